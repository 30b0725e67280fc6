import { rows } from '@kovelin/core/job/table.ts';
import type { PaintLine } from '@kovelin/core/order/paint.ts';
import type { JobOrder } from '@kovelin/core/whole/plan.ts';
import { pricesIn } from '@kovelin/core/order/samples.ts';
import { listed, said, spelt } from '@kovelin/core/units/word.ts';
import { formatMinutes, formatMoney, formatVolume } from '@kovelin/core/units/quantities.ts';
import { lazy, Suspense, useState } from 'react';
import { flushSync } from 'react-dom';
import { Link, useLocation, useSearchParams } from 'react-router';
import { useSpelt } from '../app/useSpelt.ts';
import { useWhole, useOrder, type WholeView } from '../app/whole.ts';
import { Old } from '../app/Old.tsx';
import { PlanAwaited } from '../app/PlanAwaited.tsx';
import { Sides } from '../ui/Sides.tsx';
import { UnrolledRoom, type Coat } from '../drawing/UnrolledRoom.tsx';
import { MaterialTable, MaterialPanel } from './Materials.tsx';
import { PaintPanel } from './PaintPanel.tsx';
import { PaintTable } from './PaintTable.tsx';
import { toFirstSample } from './PriceField.tsx';
import { PricePanel, PriceTable } from './PriceTable.tsx';
import { taxWord } from './words.ts';
import Button from '@mui/material/Button';
import './order.css';

const Prices = lazy(() => import('./Prices.tsx'));
const StartingValues = lazy(() => import('./StartingValues.tsx'));

type TableKey = 'paint' | 'materials' | 'price';
const tables = (own: boolean): readonly (readonly [TableKey, string])[] => [
  ['paint', 'Paint'],
  ['materials', 'Everything else'],
  ['price', own ? 'Time and cost' : 'Labour and price'],
];

/** What to buy and what it costs: paint, everything else, the price. */
export default function OrderView() {
  const view = useWhole();
  const [params] = useSearchParams();
  const [table, setTable] = useState<TableKey>(params.get('show') === 'firm' ? 'price' : 'paint');
  const [picked, setPicked] = useState<string | null>(null);
  const [material, setMaterial] = useState<string | null>(null);
  const [dialog, setDialog] = useState<'prices' | 'values' | null>(null);
  const { search } = useLocation();
  const { takeoff, derived, surface } = view;
  const { paints } = derived;
  const own = view.state.shown.pricing.billed === 'own';
  const order = useOrder(view);
  if (!takeoff || !paints.length)
    return (
      <main className="middle empty-view">
        <p>Measure a room first: what to buy follows from it.</p>
      </main>
    );
  /** From the last price of a paint to the first of everything else. */
  const toMaterials = () => {
    flushSync(() => setTable('materials'));
    toFirstSample();
  };
  const { fills, here } = shown(view, paints);
  // the paint chosen in the table, else the finish of the surface looked at
  const line = paints.find((p) => p.key === picked) ?? here ?? paints[0] ?? null;
  const paint = (id: string): Coat => fills.get(id) ?? { fill: 'var(--void)', note: 'option, not taken' };
  return (
    <>
      <main className="middle" aria-label="Order">
        <UnrolledRoom
          view={{
            ...view,
            select: (id) => {
              setPicked(null);
              view.select(id);
            },
          }}
          takeoff={takeoff}
          paint={paint}
          aside={order && <Totals view={view} order={order} />}
        />
        <div className="entry-panel">
          <div className="panel-head">
            <Sides
              label="What to show of the order"
              sides={tables(own).map(([key, text]) => [key, spelt(text, view.system)] as const)}
              value={table}
              onChange={setTable}
            />
            <Button size="small" onClick={() => setDialog('prices')}>
              Prices …
            </Button>
            <Button size="small" onClick={() => setDialog('values')}>
              Starting values …
            </Button>
            <Button component={Link} size="small" to={`../list${search}`} relative="path">
              Shopping list
            </Button>
            {!own && (
              <Button component={Link} size="small" to={`../quote${search}`} relative="path">
                Quote
              </Button>
            )}
          </div>
          <div className="scroll" tabIndex={0} role="region" aria-label="What to buy">
            {table !== 'price' && order && pricesIn(order).samples > 0 && (
              <p className="hint">Type what you pay. Enter takes what stands there, and goes to the next sample.</p>
            )}
            {table === 'paint' && <PaintTable view={view} chosen={line} onPick={setPicked} onLast={toMaterials} />}
            {table !== 'paint' && !order && <PlanAwaited job={view.state.job} />}
            {table === 'materials' && order && (
              <MaterialTable view={view} order={order} chosen={material} onPick={setMaterial} />
            )}
            {table === 'price' && order && <PriceTable view={view} order={order} />}
          </div>
        </div>
      </main>
      <aside className="panel" aria-label="Selected">
        {table === 'paint' && line && (
          <PaintPanel
            key={line.key}
            view={view}
            line={line}
            surface={surface}
            picked={picked !== null || line !== here}
          />
        )}
        {table === 'materials' && order && <MaterialPanel view={view} order={order} chosen={material} />}
        {table === 'price' && <PricePanel view={view} />}
      </aside>
      <Suspense fallback={null}>
        {dialog === 'prices' && <Prices view={view} line={line} onClose={() => setDialog(null)} />}
        {dialog === 'values' && <StartingValues view={view} onClose={() => setDialog(null)} />}
      </Suspense>
    </>
  );
}

/** What each surface is painted with, numbered as in the table, and the finish of the surface looked at. */
function shown({ surface, system }: WholeView, paints: readonly PaintLine[]) {
  const found = new Map<string, Coat>();
  const litresOf = new Map<string, number>();
  let at: PaintLine | null = null;
  paints.forEach((p, i) => {
    if (p.product.role === 'primer') return;
    for (const { specified, litres } of p.uses) {
      const { id } = specified.surface;
      // its coats, and what is mended with the same paint
      const all = (litresOf.get(id) ?? 0) + litres.value;
      litresOf.set(id, all);
      found.set(id, {
        fill: p.colour?.hex ?? 'var(--trim)',
        // the unit stays with its figure where a narrow wall breaks the line
        note: `${i + 1}: ${formatVolume(all, system).replaceAll(' ', '\u00a0')}`,
      });
      if (id === surface?.id) at = p;
    }
  });
  return { fills: found, here: at as PaintLine | null };
}

function Totals({ view, order: { price, labour } }: { view: WholeView; order: JobOrder }) {
  const { state, system } = view;
  const spell = useSpelt();
  const money = (kind: (typeof price.lines)[number]['kind']) => price.lines.find((l) => l.kind === kind)?.amount ?? 0;
  const { billed, overhead, margin, taxName } = state.shown.pricing;
  const own = billed === 'own';
  const sum = (minor: number) => formatMoney(minor, state.shown.currency);
  const facts: [string, string][] = [
    ['Paint', sum(money('paint'))],
    ['Everything else', sum(money('materials'))],
    own ? ['Your time', formatMinutes(labour.minutes)] : [spell('Labour'), sum(labour.cost)],
    [own ? 'Cost' : 'Price', sum(price.total)],
  ];
  const inPrice = [
    !own && overhead > 0 && 'overhead',
    !own && margin > 0 && 'margin',
    price.tax > 0 && taxWord(taxName),
  ].filter((part) => part !== false);
  const plainly = own
    ? 'It is what you buy: your own time costs nothing here.'
    : 'The price is what it costs: no overhead, margin or tax is in it.';
  const untaken = rows(state.shown.options).filter((o) => !o.taken).length;
  return (
    <div className="closing">
      <h3>
        What the whole job takes <Old view={view} />
      </h3>
      <dl className="facts">
        {facts.map(([label, amount]) => (
          <div key={label}>
            <dt>{label}</dt>
            <dd>{amount}</dd>
          </div>
        ))}
      </dl>
      <p className="hint">
        {inPrice.length > 0 ? `The ${own ? 'cost' : 'price'} has ${said(listed(inPrice), system)} in it.` : plainly}
        {untaken > 0 && ` ${untaken} ${untaken === 1 ? 'option is' : 'options are'} priced separately.`}
      </p>
    </div>
  );
}
