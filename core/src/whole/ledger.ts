import type { JobOrder, Whole } from './whole.ts';

/** The paint most likely to run short. */
export interface Risk {
  readonly chance: number;
  readonly of: string;
}
/** What the bottom of every screen shows, in SI; each figure is the sum the named step shows. */
export interface Ledger {
  readonly area: number;
  readonly cutIn: number;
  readonly paint: number;
  readonly risk: Risk | null;
  /** Person-minutes, set-up and clean-up with them, and what the job is quoted at; null until there is a plan. */
  readonly minutes: number | null;
  readonly price: number | null;
}

export function ledgerOf({ takeoffs, surfaces, paints }: Whole, order: JobOrder | null): Ledger {
  const [worst] = [...paints].sort((a, b) => b.shortfallChance - a.shortfallChance);
  return {
    area: surfaces.reduce((sum, s) => sum + s.surface.area.value, 0),
    cutIn: takeoffs.flatMap((t) => t.lines).reduce((sum, line) => sum + line.length.value, 0),
    paint: paints.reduce((sum, p) => sum + p.ordered, 0),
    risk: worst ? { chance: worst.shortfallChance, of: worst.colour?.name ?? worst.product.name } : null,
    minutes: order?.labour.minutes ?? null,
    price: order?.price.total ?? null,
  };
}
