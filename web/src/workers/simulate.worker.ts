import { chanceAbove, leftoverOf, simulateDemand, type SimPaint } from '@kovelin/core/order/simulate.ts';
import { seeded } from '@kovelin/core/units/random.ts';

export const api = {
  /** Chance of running short and what is left, for each amount to have, over so many simulated jobs. */
  risk(
    paint: SimPaint,
    litres: readonly number[],
    runs: number,
  ): { litres: number; chance: number; leftover: number }[] {
    const sorted = simulateDemand(paint, runs, seeded(20261125));
    return litres.map((have) => ({
      litres: have,
      chance: chanceAbove(sorted, have),
      leftover: leftoverOf(sorted, have),
    }));
  },
};
export type SimulateApi = typeof api;
