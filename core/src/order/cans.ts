import type { Can } from '../job/paints.ts';
import { rememberLast } from '../units/remember.ts';
import type { Litres, Money } from '../units/si.ts';
import { at } from '../units/list.ts';

/** What is sold: how much is in it, and its price. */
export type Size = Pick<Can, 'litres' | 'price'>;
export interface CanCount extends Size {
  readonly count: number;
}
export interface CanChoice {
  readonly cans: readonly CanCount[];
  readonly litres: Litres;
  readonly cost: Money;
  readonly count: number;
}

/** A job's own cans take some hundred steps; nonsense ends here, with the best found. */
const MOST_STEPS = 200_000;
/** A millilitre short is not short. */
const GRACE = 1e-6;
const EMPTY: CanChoice = { cans: [], litres: 0, cost: 0, count: 0 };

/** Cheapest first, then fewest containers, then least left over. */
function better(a: CanChoice, b: CanChoice): boolean {
  if (a.cost !== b.cost) return a.cost < b.cost;
  if (a.count !== b.count) return a.count < b.count;
  return a.litres < b.litres - GRACE;
}

/**
 * Cans that hold at least `demand` litres at least cost; ties: fewer containers, then less left over. Exact: branch and
 * bound over counts, bounded by the cheapest litre still to choose from and, at equal cost, by the largest can (up to
 * 200,000 steps, else the best found).
 * @returns null when nothing is sold.
 */
export const chooseCans = rememberLast(
  500,
  (sizes: readonly Size[], demand: Litres) => `${demand}|${sizes.map((s) => `${s.litres}:${s.price}`).join()}`,
  search,
);

function search(sizes: readonly Size[], demand: Litres): CanChoice | null {
  if (demand <= GRACE) return EMPTY;
  const usable = sizes.filter((can) => can.litres > 0);
  if (!usable.length) return null;
  const kinds = [...usable].sort((a, b) => a.price / a.litres - b.price / b.litres || b.litres - a.litres);
  const largestFrom = kinds.map((_, k) => Math.max(...kinds.slice(k).map((can) => can.litres)));
  let best: CanChoice | null = null;
  const counts = new Array<number>(kinds.length).fill(0);

  function hopeless(k: number, rest: Litres, cost: Money, count: number): boolean {
    if (!best) return false;
    const can = at(kinds, k);
    const least = cost + Math.max(0, Math.ceil((rest * can.price) / can.litres - 1e-6));
    if (least !== best.cost) return least > best.cost;
    const fewest = count + Math.ceil(rest / at(largestFrom, k) - 1e-9);
    return fewest > best.count || (fewest === best.count && best.litres <= demand + GRACE);
  }
  let steps = 0;
  function visit(k: number, rest: Litres, cost: Money, count: number): void {
    steps++;
    if (rest <= GRACE) {
      const found = {
        cans: kinds.flatMap((can, i) => (counts[i] ? [{ ...can, count: counts[i] }] : [])),
        litres: demand - rest,
        cost,
        count,
      };
      if (!best || better(found, best)) best = found;
      return;
    }
    const can = kinds[k];
    if (!can || hopeless(k, rest, cost, count)) return;
    for (let n = Math.ceil((rest - GRACE) / can.litres); n >= 0 && steps < MOST_STEPS; n--) {
      counts[k] = n;
      visit(k + 1, rest - n * can.litres, cost + n * can.price, count + n);
    }
    counts[k] = 0;
  }
  visit(0, demand, 0, 0);
  return best;
}
