import { pricesIn, type Prices } from '../order/samples.ts';
import { cutIn, type RoomTakeoff } from '../measure/takeoff.ts';
import type { JobOrder } from './plan.ts';

/** The paint most likely to run short. */
export interface Risk {
  readonly chance: number;
  readonly of: string;
}
/** What the ledger says of the order and the plan: person-minutes have set-up and clean-up in them; the price is the quote's. */
export interface Ordered {
  readonly paint: number;
  readonly risk: Risk | null;
  readonly minutes: number;
  readonly price: number;
  /** Prices of what is bought, and how many of them are samples. */
  readonly prices: Prices;
}
/** What the bottom of every screen shows, in SI; each figure is the sum the named step shows. */
export interface Ledger {
  /** null until all rooms are worked out. */
  readonly measured: { readonly area: number; readonly cutIn: number } | null;
  /** null until there is a plan. */
  readonly ordered: Ordered | null;
}

/** Paint (L), its greatest risk, work and price of an order, as the ledger has them. */
export function orderedOf({ paints, materials, labour, price }: JobOrder): Ordered {
  const [worst] = [...paints].sort((a, b) => b.shortfallChance - a.shortfallChance);
  return {
    paint: paints.reduce((sum, p) => sum + p.ordered, 0),
    risk: worst ? { chance: worst.shortfallChance, of: worst.colour?.name ?? worst.product.name } : null,
    minutes: labour.minutes,
    price: price.total,
    prices: pricesIn({ paints, materials }),
  };
}

/** The ledger as far as things are known; null: not yet. */
export const ledgerOf = (takeoffs: readonly RoomTakeoff[] | null, ordered: Ordered | null): Ledger => ({
  measured: takeoffs && {
    area: takeoffs.flatMap((t) => t.surfaces).reduce((sum, s) => sum + s.area.value, 0),
    cutIn: takeoffs.reduce((sum, t) => sum + cutIn(t), 0),
  },
  ordered,
});
