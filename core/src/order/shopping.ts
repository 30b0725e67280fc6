import { systemOf } from '../job/region.ts';
import type { Job } from '../job/types.ts';
import { formatVolume } from '../units/quantities.ts';
import type { Money } from '../units/si.ts';
import { said } from '../units/word.ts';
import { paintWord } from '../words/systems.ts';
import { TINT_BASE } from '../words/terms.ts';
import { materialWord, pieceWord } from '../words/work.ts';
import { AISLES, type Aisle } from './kit.ts';
import type { MaterialLine } from './materials.ts';
import type { PaintLine } from './paint.ts';

/** A line to put in the basket. */
export interface ShoppingLine {
  readonly key: string;
  readonly aisle: Aisle;
  readonly what: string;
  /** `2 × 1 gal`, `3 rolls`. */
  readonly howMany: string;
  readonly note: string;
  readonly cost: Money;
  readonly ticked: boolean;
  readonly hex: string | null;
}
export interface ShoppingList {
  readonly aisles: readonly { readonly aisle: Aisle; readonly lines: readonly ShoppingLine[] }[];
  readonly total: Money;
}

/** What there is to buy. */
interface Ordered {
  readonly paints: readonly PaintLine[];
  readonly materials: readonly MaterialLine[];
}

/** What to buy, aisle by aisle; what is owned or on the shelf is not on it. The total is the sum of its lines. */
export function shoppingList(job: Job, order: Ordered): ShoppingList {
  const paint = (p: PaintLine): ShoppingLine[] =>
    (p.choice?.cans ?? []).map((can) => {
      const key = `${p.key}|${can.litres}`;
      return {
        key,
        aisle: 'paint',
        what: said(paintWord(p), systemOf(job)),
        howMany: `${can.count} × ${formatVolume(can.litres, systemOf(job))}`,
        note: [
          `${said(TINT_BASE[p.base], systemOf(job))} base`,
          can.count > 1 || (p.choice?.cans.length ?? 0) > 1 ? 'one batch number' : '',
        ]
          .filter(Boolean)
          .join(', '),
        cost: can.count * can.price,
        ticked: key in job.bought,
        hex: p.colour?.hex ?? null,
      };
    });
  const material = (m: MaterialLine): ShoppingLine => ({
    key: m.key,
    aisle: m.aisle,
    what: said(materialWord(m), systemOf(job)),
    howMany: said(pieceWord(m.quantity, m.unit), systemOf(job)),
    note: m.owned ? `${m.owned} owned already` : '',
    cost: m.cost,
    ticked: m.key in job.bought,
    hex: null,
  });
  const all = [...order.paints.flatMap(paint), ...order.materials.filter((m) => m.quantity > 0).map(material)];
  return {
    aisles: AISLES.map((aisle) => ({ aisle, lines: all.filter((line) => line.aisle === aisle) })).filter(
      (a) => a.lines.length > 0,
    ),
    total: all.reduce((sum, line) => sum + line.cost, 0),
  };
}
