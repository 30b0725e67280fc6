import { mendingOf, perCoat, type PaintLine, type Reserve } from '@kovelin/core/order/paint.ts';
import type { Surface } from '@kovelin/core/measure/takeoff.ts';
import { formatMoney, formatPercent, formatVolume } from '@kovelin/core/units/quantities.ts';
import { heading, said } from '@kovelin/core/units/word.ts';
import { nameWord } from '@kovelin/core/words/names.ts';
import { paintWord } from '@kovelin/core/words/systems.ts';
import { THE, TINT_BASE } from '@kovelin/core/words/terms.ts';
import { lazy, Suspense, useState } from 'react';
import { Section } from '../ui/Section.tsx';
import { Sides } from '../ui/Sides.tsx';
import type { WholeView } from '../app/whole.ts';
import { Figure } from '../app/Working.tsx';
import { Mixing } from './Mixing.tsx';
import { Check } from '../ui/Check.tsx';
import { ProductCard } from './ProductCard.tsx';

const RiskCurve = lazy(() => import('./RiskCurve.tsx'));
const Compare = lazy(() => import('./Compare.tsx'));

const SIDES = [
  ['enough', 'Enough?'],
  ['mix', 'Mixing'],
  ['product', 'The paint'],
] as const;
type Side = (typeof SIDES)[number][0];
/** The side looked at stays when another paint is chosen. */
let kept: Side = 'enough';

interface Props {
  readonly view: WholeView;
  readonly line: PaintLine;
  readonly surface: Surface | null;
  /** The paint itself was chosen, in the table, not a surface painted with it. */
  readonly picked: boolean;
}

/** The paint of what is chosen: how much is enough, mixing, its label. */
export function PaintPanel({ view, line, surface, picked }: Props) {
  const [side, setSide] = useState<Side>(kept);
  const { system } = view;
  const of = picked || !surface ? null : heading(nameWord(surface.name), view.system);
  const uses = line.uses.filter((u) => u.specified.surface.id === surface?.id);
  const count = new Set(line.uses.map((u) => u.specified.surface.id)).size;
  const mending = mendingOf(line.uses);
  return (
    <>
      <h2>{of ?? said(paintWord(line), system)}</h2>
      <p className="sub">
        {of !== null && `${said(paintWord(line), system)} · `}
        {count} {count === 1 ? 'surface' : 'surfaces'} · {said(TINT_BASE[line.base], system)} base
      </p>
      <Sides
        label="About this paint"
        sides={SIDES}
        value={side}
        onChange={(next) => setSide((kept = next))}
        fullWidth
      />
      {side === 'enough' && (
        <>
          <Section title="How much is enough?">
            <Suspense fallback={<p className="hint">Drawing the curve …</p>}>
              <RiskCurve view={view} line={line} />
            </Suspense>
            <p className="hint">
              Bought: {formatVolume(line.ordered, system)}
              {line.fromShelf > 0 && ` and ${formatVolume(line.fromShelf, system)} from the shelf`}. Chance of not
              finishing: <b className="number">{formatPercent(line.shortfallChance)}</b>. In the {said(THE.can, system)}
              s at the end, on average: {formatVolume(line.leftover, system)}.
            </p>
            {line.reserve && <ReserveChoice view={view} line={line} reserve={line.reserve} />}
            <p className="hint">
              On the surfaces, {line.product.role === 'primer' ? 'primer' : 'coat by coat'}:{' '}
              {perCoat(line.uses)
                .map((litres, i) => `${i + 1}. ${formatVolume(litres, system)}`)
                .join(', ')}
              {mending > 0 &&
                `${perCoat(line.uses).length ? '; ' : ' '}to mend what was found: ${formatVolume(mending, system)}`}
              .
            </p>
          </Section>
          {uses.length > 0 && surface && (
            <Section title={`On ${said(nameWord(surface.name), system)}`}>
              {uses.map((u, i) => (
                <div key={`${u.layer} ${i}`}>
                  {u.layer === 'mending' && <p className="hint">To mend what was found there:</p>}
                  <Figure working={u.litres} system={system} />
                </div>
              ))}
            </Section>
          )}
          {line.product.role === 'finish' && (
            <Section title="Would another paint do better?">
              <Suspense fallback={<p className="hint">Working it out …</p>}>
                <Compare view={view} line={line} />
              </Suspense>
            </Section>
          )}
        </>
      )}
      {side === 'mix' && <Mixing view={view} line={line} />}
      {side === 'product' && <ProductCard product={line.product} view={view} />}
    </>
  );
}

/** Paint for touching up later: bought for only where the user wants it, and what that costs. */
function ReserveChoice({ view, line, reserve }: { view: WholeView; line: PaintLine; reserve: Reserve }) {
  const { session, state, system } = view;
  const { litres, chance, price, bought } = reserve;
  return (
    <Check
      className="check reserve"
      label={
        <span>
          Buy {formatVolume(litres, system)} for touching up as well:{' '}
          {price > 0
            ? `${formatMoney(price, state.shown.currency)} ${bought ? 'of the price' : 'more'}`
            : 'costs nothing more here'}
          . As bought now, less than that is left with a chance of <b className="number">{formatPercent(chance)}</b>.
        </span>
      }
      checked={bought}
      onChange={(isOn) => session.edit({ name: 'reserve', args: { key: line.key, on: isOn } })}
    />
  );
}
