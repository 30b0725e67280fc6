import type { PaintLine } from '@kovelin/core/order/paint.ts';
import { formatMoney, formatPercent, formatVolume } from '@kovelin/core/units/quantities.ts';
import { priceOfCan } from '@kovelin/core/order/samples.ts';
import { today } from '@kovelin/core/units/date.ts';
import { heading, said } from '@kovelin/core/units/word.ts';
import { paintWord } from '@kovelin/core/words/systems.ts';
import { THE } from '@kovelin/core/words/terms.ts';
import type { WholeView } from '../app/whole.ts';
import { TextButton } from '../ui/TextButton.tsx';
import { Figure } from '../app/Working.tsx';
import { PriceField } from './PriceField.tsx';
import { Cell, DataTable, Row, RowHead } from '../ui/DataTable.tsx';

interface Props {
  readonly view: WholeView;
  readonly chosen: PaintLine | null;
  readonly onPick: (key: string) => void;
  /** Enter in the last price. */
  readonly onLast: () => void;
}

/** Each paint of the order: wanted, tins to buy, what they cost, what is left over, and the chance of too little. */
export function PaintTable({ view, chosen, onPick, onLast }: Props) {
  const { derived, system, state } = view;
  const { paints } = derived;
  const currency = state.shown.currency;
  return (
    <DataTable
      columns={[
        'Paint, numbered as in the drawing',
        'Wanted',
        <span key="2">{heading(THE.can, system)}s to buy, hatched is left over; what each costs</span>,
        'Cost',
        'Left over',
        'Chance of running out',
      ]}
    >
      {paints.map((p, i) => (
        <Row key={p.key} selected={p === chosen}>
          <RowHead>
            <TextButton className="order-name" onClick={() => onPick(p.key)}>
              {i + 1} <span className={p.colour ? 'chip' : 'chip none'} style={{ background: p.colour?.hex }} />{' '}
              {said(paintWord(p), system)}
            </TextButton>
          </RowHead>
          <Cell label="Wanted" className="number">
            <Figure working={p.expected} system={system} />
          </Cell>
          <Cell label="To buy, hatched is left over; what each costs">
            <Cans line={p} view={view} onLast={onLast} />
            {p.fromShelf > 0 && <small className="with">and {formatVolume(p.fromShelf, system)} from the shelf</small>}
          </Cell>
          <Cell label="Cost" className="number">
            {p.choice ? formatMoney(p.choice.cost, currency) : 'no size sold'}
          </Cell>
          <Cell label="Left over" className="number">
            {formatVolume(p.leftover, system)}
          </Cell>
          <Cell label="Chance of running out" className="number">
            {formatPercent(p.shortfallChance)}
          </Cell>
        </Row>
      ))}
      <Row className="total">
        <RowHead>All the paint</RowHead>
        <Cell label="Wanted" className="number">
          {formatVolume(
            paints.reduce((sum, p) => sum + p.expected.value, 0),
            system,
          )}
        </Cell>
        <Cell label="Bought" className="number">
          {formatVolume(
            paints.reduce((sum, p) => sum + p.ordered, 0),
            system,
          )}
        </Cell>
        <Cell label="Cost" className="number">
          {formatMoney(
            paints.reduce((sum, p) => sum + (p.choice?.cost ?? 0), 0),
            currency,
          )}
        </Cell>
        <Cell label="Left over" className="number">
          {formatVolume(
            paints.reduce((sum, p) => sum + p.leftover, 0),
            system,
          )}
        </Cell>
        <Cell />
      </Row>
    </DataTable>
  );
}

const MOST_DRAWN = 6;

/** Cans to one scale, as tall as the cube root of what they hold; the last ones show what is left over on average. A price a size. */
function Cans({ line, view, onLast }: Pick<Props, 'view' | 'onLast'> & { line: PaintLine }) {
  const { system } = view;
  const cans = (line.choice?.cans ?? []).flatMap((can) => Array.from({ length: can.count }, () => can.litres));
  const over = leftIn(cans, line.leftover);
  return (
    <span className="cans">
      {(line.choice?.cans ?? []).map((can) => {
        const first = cans.indexOf(can.litres);
        return (
          <span key={can.litres} className="can-line">
            <span className="can">
              {over.slice(first, first + Math.min(can.count, MOST_DRAWN)).map((share, i) => (
                <CanPicture key={i} litres={can.litres} left={share} hex={line.colour?.hex ?? null} />
              ))}
              {can.count} × {formatVolume(can.litres, system)}
            </span>
            <PriceField
              view={view}
              label={`${formatVolume(can.litres, system)}, ${said(paintWord(line), system)}`}
              price={can.price}
              priced={line.product.priced}
              edit={(next) => priceOfCan(line.product, can.litres, next, today())}
              insteadOfNothing="What you have of it already goes on the shelf, under Mixing."
              onLast={onLast}
            />
          </span>
        );
      })}
    </span>
  );
}

/** The share of each can that is left over: the largest are opened first, so it is in the last ones. */
function leftIn(cans: readonly number[], left: number): number[] {
  const shares: number[] = [];
  let rest = left;
  for (const litres of [...cans].reverse()) {
    const here = Math.min(litres, rest);
    rest -= here;
    shares.unshift(here / litres);
  }
  return shares;
}

/** A can: paint that is used in its colour, what is left over hatched. */
function CanPicture({ litres, left, hex }: { litres: number; left: number; hex: string | null }) {
  const size = 13 * Math.cbrt(litres);
  const [width, height] = [size - 2, size * 1.1 - 4];
  const top = 3;
  const used = height * (1 - left);
  return (
    <svg width={size} height={size * 1.1 + 1} aria-hidden="true">
      <rect x="1" y={top} width={width} height={height} fill="var(--card)" className="edge" />
      <rect x="1" y={top} width={width} height={used} fill={hex ?? 'var(--trim)'} />
      <path d={hatch(1, top + used, width, height - used)} className="left-over" />
      <rect x="1" y={top} width={width} height={height} fill="none" className="edge" />
      <path d={`M1 ${top}q${width / 2} -3 ${width} 0`} className="handle" />
    </svg>
  );
}
/** Slanting lines inside a box. */
function hatch(x: number, y: number, width: number, height: number): string {
  const lines: string[] = [];
  for (let at = 3; at < width + height; at += 3.5) {
    const [x1, y1] = at < height ? [x, y + at] : [x + at - height, y + height];
    const [x2, y2] = at < width ? [x + at, y] : [x + width, y + at - width];
    lines.push(`M${x1} ${y1}L${x2} ${y2}`);
  }
  return height > 1 ? lines.join('') : '';
}
