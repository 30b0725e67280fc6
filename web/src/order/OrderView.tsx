import {
  parseMoney,
  formatMoney,
  formatPercent,
  formatSpread,
  formatVolume,
  parseSpread,
  formatMinutes,
} from '@kovelin/core/units/quantities.ts';
import type { PaintLine } from '@kovelin/core/order/paint.ts';
import type { Product } from '@kovelin/core/job/types.ts';
import { DraftField, Section } from '../app/fields.tsx';
import { useJob, type JobView } from '../app/job-context.ts';
import { materialWord, pieceWord, sentenceCase, surfaceWord } from '../app/words.ts';
import { Figure } from '../app/Working.tsx';
import { UnrolledRoom, type Coat } from '../drawing/UnrolledRoom.tsx';

export default function OrderView() {
  const view = useJob();
  const { takeoff, derived, surface, specified, system, state } = view;
  const { order } = derived;
  const currency = state.shown.currency;
  if (!takeoff || !order.paints.length)
    return (
      <main className="middle empty-view">
        <p>Measure a room first: what to buy follows from it.</p>
      </main>
    );
  const uses = new Map<string, { fill: string; litres: number }>();
  for (const line of order.paints)
    if (line.colour)
      for (const use of line.uses)
        uses.set(use.specified.surface.id, { fill: line.colour.hex, litres: use.litres.value });
  const paint = (id: string): Coat => {
    const use = uses.get(id);
    return use ? { fill: use.fill, note: formatVolume(use.litres, system) } : { fill: 'var(--trim)' };
  };
  const line = order.paints.find((p) => p.colour && p.uses.some((u) => u.specified.surface.id === surface?.id)) ?? null;
  return (
    <>
      <main className="middle" aria-label="Order">
        <UnrolledRoom view={view} takeoff={takeoff} paint={paint} aside={<Totals view={view} />} />
        <div className="entry-panel">
          <div className="panel-head">
            <h2>To buy for the whole job</h2>
          </div>
          <div className="scroll" tabIndex={0} role="region" aria-label="What to buy">
            <table className="schedule">
              <thead>
                <tr>
                  <th>Paint</th>
                  <th>Wanted</th>
                  <th>Cans</th>
                  <th>Bought</th>
                  <th>May run short</th>
                  <th>Cost</th>
                </tr>
              </thead>
              <tbody>
                {order.paints.map((p) => (
                  <tr key={p.key} className={p === line ? 'chosen' : ''}>
                    <th scope="row">
                      {p.colour ? (
                        <span className="chip" style={{ background: p.colour.hex }} />
                      ) : (
                        <span className="chip none" />
                      )}{' '}
                      {p.product.name}, {p.sheen}
                      {p.colour && `, ${p.colour.name}`}
                    </th>
                    <td className="number">
                      <Figure working={p.expected} system={system} />
                    </td>
                    <td>
                      <Cans line={p} view={view} />
                    </td>
                    <td className="number">{formatVolume(p.ordered, system)}</td>
                    <td className="number">{formatPercent(p.shortfallChance)}</td>
                    <td className="number">{p.choice ? formatMoney(p.choice.cost, currency) : 'no sizes'}</td>
                  </tr>
                ))}
                {order.materials.map((m) => (
                  <tr key={`${m.item}${JSON.stringify(m.size)}`}>
                    <th scope="row">{materialWord(m, system)}</th>
                    <td className="number">
                      <Figure working={m.working} system={system} />
                    </td>
                    <td>{pieceWord(m.quantity, m.unit)}</td>
                    <td />
                    <td />
                    <td className="number">{formatMoney(m.cost, currency)}</td>
                  </tr>
                ))}
                <tr>
                  <th scope="row">Labour, {formatMinutes(order.labour.minutes)}</th>
                  <td colSpan={4} />
                  <td className="number">{formatMoney(order.labour.cost, currency)}</td>
                </tr>
                <tr className="total">
                  <th scope="row">Total</th>
                  <td colSpan={4} />
                  <td className="number">{formatMoney(order.total, currency)}</td>
                </tr>
              </tbody>
            </table>
          </div>
        </div>
      </main>
      <aside className="panel" aria-label="Selected surface">
        {specified && line && (
          <>
            <h2>{surfaceWord(specified.surface.name, system)}</h2>
            <p className="sub">
              {takeoff.room.name} · {line.product.name}
            </p>
            <Section title="Paint on this surface">
              {line.uses
                .filter((u) => u.specified.surface.id === specified.surface.id)
                .map((u) => (
                  <Figure key={u.specified.surface.id} working={u.litres} system={system} />
                ))}
            </Section>
            <ProductCard product={line.product} view={view} />
          </>
        )}
      </aside>
    </>
  );
}

/** Cans to one scale: a can's picture is as tall as the cube root of what it holds. */
function Cans({ line, view }: { line: PaintLine; view: JobView }) {
  const cans = line.choice?.cans ?? [];
  return (
    <span className="cans">
      {cans.map((can) => {
        const size = 13 * Math.cbrt(can.litres);
        return (
          <span key={can.litres} className="can">
            <svg width={size} height={size * 1.1} aria-hidden="true">
              <path
                d={`M1 3h${size - 2}v${size * 1.1 - 4}h-${size - 2}z`}
                fill={line.colour?.hex ?? 'var(--trim)'}
                className="edge"
              />
              <path d={`M1 3q${size / 2 - 1} -3 ${size - 2} 0`} className="handle" />
            </svg>
            {can.count} × {formatVolume(can.litres, view.system)}
          </span>
        );
      })}
    </span>
  );
}

function Totals({ view }: { view: JobView }) {
  const { order } = view.derived;
  const currency = view.state.shown.currency;
  const paints = order.paints.reduce((sum, p) => sum + (p.choice?.cost ?? 0), 0);
  const materials = order.materials.reduce((sum, m) => sum + m.cost, 0);
  return (
    <div className="closing">
      <h3>What the whole job takes</h3>
      <dl className="facts">
        {(
          [
            ['Paint', paints],
            ['Materials', materials],
            ['Labour', order.labour.cost],
            ['Together', order.total],
          ] as const
        ).map(([label, money]) => (
          <div key={label}>
            <dt>{label}</dt>
            <dd>{formatMoney(money, currency)}</dd>
          </div>
        ))}
      </dl>
    </div>
  );
}

/** The job's own copy of a product: what its label says may be corrected here. */
function ProductCard({ product, view }: { product: Product; view: JobView }) {
  const { session, system, state } = view;
  const set = (change: Partial<Product>) =>
    session.edit({ name: 'setProduct', args: { product: { ...product, ...change, source: 'your label' } } });
  const percent = (text: string): { ok: true; value: number } | { ok: false; message: string } => {
    const value = Number(text.replace('%', '').replace(',', '.').trim());
    return value > 0 && value < 100
      ? { ok: true, value: value / 100 }
      : { ok: false, message: 'A contrast ratio lies between 0 and 100 %, for example 96.' };
  };
  const minutes = (text: string): { ok: true; value: number } | { ok: false; message: string } => {
    const value = Number(text);
    return text.trim() && Number.isInteger(value) && value >= 0 && value <= 10_000
      ? { ok: true, value }
      : { ok: false, message: 'Write whole minutes, for example 120.' };
  };
  const problem = (result: ReturnType<typeof parseSpread>) =>
    result.ok ? result : { ok: false as const, message: result.problems[0]?.message ?? '' };
  return (
    <Section title={product.name} extra={<small>{product.source}</small>}>
      <DraftField
        label="Label spread rate"
        value={formatSpread(product.labelRate, system)}
        parse={(text) =>
          problem(parseSpread(/[a-z]/i.test(text) ? text : `${text} ${system === 'imperial' ? 'ft2/gal' : 'm2/L'}`))
        }
        onCommit={(labelRate) =>
          session.edit({ name: 'setProduct', args: { product: { ...product, labelRate, source: 'your label' } } })
        }
      />
      <DraftField
        label="Contrast ratio, %"
        value={String(Number((product.contrast * 100).toFixed(1)))}
        parse={percent}
        onCommit={(contrast) => set({ contrast })}
      />
      <DraftField
        label="Recoat after, minutes"
        value={String(product.recoat)}
        parse={minutes}
        onCommit={(recoat) => set({ recoat })}
      />
      <p className="hint">
        Made in {product.sheens.map(sentenceCase).join(', ').toLowerCase()}. The label outranks these starting values.
      </p>
      <div className="pair">
        {product.cans.map((can, i) => (
          <DraftField
            key={can.litres}
            label={`Price of ${formatVolume(can.litres, system)}, ${state.shown.currency}`}
            value={(can.price / 100).toFixed(2)}
            parse={(text) => problem(parseMoney(text))}
            onCommit={(price) => set({ cans: product.cans.map((c, j) => (j === i ? { ...c, price } : c)) })}
          />
        ))}
      </div>
    </Section>
  );
}
