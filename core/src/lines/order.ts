/** An arc that must be kept, `before` and `after` being places in the list of finishes. */
export interface Arc<R = unknown> {
  readonly before: number;
  readonly after: number;
  readonly because: R;
}
export interface Ordering {
  /** Places in the list, first laid first. */
  readonly order: readonly number[];
  readonly cost: number;
  /** Share by which the cost may lie above the least there is; 0: it is the least. */
  readonly gap: number;
}

/** A part this large is ordered exactly, over all its subsets. */
const EXACT = 18;
/** Orders that a larger part may try [starting judgement]. */
const TRIES = 200_000;
const EPS = 1e-9;

type Costs = readonly (readonly number[])[];
const at = (costs: Costs, i: number, j: number): number => costs[i]?.[j] ?? 0;

/**
 * The least-cost order of finishes: `costs[i][j]` is what all lines between i and j cost where i comes before j, and every arc
 * is kept. Arcs must not run in a circle (see `circleOf`). Finishes in no circle of cheaper directions are simply
 * sorted by them, so only the strongly connected parts are searched: exactly, by dynamic programming over
 * subsets, up to 18 finishes; above that by branch and bound, whose gap is told.
 */
export function cheapestOrder(costs: Costs, arcs: readonly Arc[]): Ordering {
  const n = costs.length;
  const kept = new Set(arcs.map(({ before, after }) => before * n + after));
  const leads = (i: number, j: number): boolean =>
    kept.has(i * n + j) || (!kept.has(j * n + i) && at(costs, i, j) < at(costs, j, i) - EPS);
  const follows = Array.from({ length: n }, (_, i) => numbers(n).filter((j) => j !== i && leads(i, j)));
  let gap = 0;
  const order = componentsOf(follows).flatMap((part) => {
    if (part.length === 1) return part;
    const own = part.map((i) => part.map((j) => at(costs, i, j)));
    const before = part.map((j) => part.flatMap((i, k) => (kept.has(i * n + j) ? [k] : [])));
    const found = part.length <= EXACT ? overSubsets(own, before) : bounded(own, before);
    gap = Math.max(gap, found.gap);
    return found.order.map((k) => part[k] as number);
  });
  return { order, cost: costOf(costs, order), gap };
}

const numbers = (n: number): number[] => Array.from({ length: n }, (_, i) => i);

/** What an order of finishes costs: the sum over each pair of the one that goes on before the other. */
export function costOf(costs: Costs, order: readonly number[]): number {
  let sum = 0;
  order.forEach((j, k) => {
    for (let before = 0; before < k; before++) sum += at(costs, order[before] as number, j);
  });
  return sum;
}

/** Strongly connected parts (Tarjan), those that lead first; among free ones the list's own order. */
function componentsOf(follows: readonly (readonly number[])[]): number[][] {
  const index = new Map<number, number>();
  const low = new Map<number, number>();
  const stack: number[] = [];
  const open = new Set<number>();
  const parts: number[][] = [];
  const partOf = new Map<number, number>();
  const visit = (i: number): void => {
    index.set(i, index.size);
    low.set(i, index.get(i) as number);
    stack.push(i);
    open.add(i);
    for (const j of follows[i] ?? []) {
      if (!index.has(j)) visit(j);
      if (open.has(j)) low.set(i, Math.min(low.get(i) as number, low.get(j) as number));
    }
    if (low.get(i) !== index.get(i)) return;
    const part = stack.splice(stack.indexOf(i));
    for (const j of part) {
      open.delete(j);
      partOf.set(j, parts.length);
    }
    parts.push(part.sort((a, b) => a - b));
  };
  follows.forEach((_, i) => !index.has(i) && visit(i));
  const waits = parts.map(() => new Set<number>());
  follows.forEach((list, i) => {
    for (const j of list) {
      const [from, to] = [partOf.get(i) as number, partOf.get(j) as number];
      if (from !== to) waits[to]?.add(from);
    }
  });
  const sorted: number[][] = [];
  const left = new Set(parts.keys());
  while (left.size) {
    const ready = [...left].filter((p) => [...(waits[p] ?? [])].every((q) => !left.has(q)));
    const next = ready.sort((p, q) => (parts[p]?.[0] ?? 0) - (parts[q]?.[0] ?? 0))[0] as number;
    left.delete(next);
    sorted.push(parts[next] as number[]);
  }
  return sorted;
}

/**
 * `before[j]`: those that must come before j. What is laid first, subset by subset from the empty one up (Held and Karp): its cheapest
 * order with all that it is laid before, over what each pair costs at least. A subset dearer than an order that was
 * found at once is not gone on from.
 */
function overSubsets(costs: Costs, before: readonly (readonly number[])[]): { order: number[]; gap: number } {
  const n = costs.length;
  const all = 1 << n;
  const extra = overFloor(costs);
  const need = Int32Array.from(before, (list) => list.reduce((mask, i) => mask | (1 << i), 0));
  const most = costOf(extra, improved(extra, before)) + EPS;
  // what a place costs before a subset is the sum of two halves of that
  const half = n >> 1;
  const mask = (1 << half) - 1;
  const [low, high] = [sumsBefore(extra, 0, half), sumsBefore(extra, half, n)];
  const best = new Float64Array(all).fill(Infinity);
  const last = new Int8Array(all);
  best[0] = 0;
  for (let set = 0; set < all; set++) {
    const here = best[set] as number;
    if (here > most) continue;
    for (let left = ~set & (all - 1); left; left &= left - 1) {
      const bit = left & -left;
      const j = 31 - Math.clz32(bit);
      if (((need[j] as number) & ~set) !== 0) continue;
      const [next, rest] = [set | bit, ~(set | bit) & (all - 1)];
      const cost = here + (low[(rest & mask) * n + j] as number) + (high[(rest >> half) * n + j] as number);
      if (cost >= (best[next] as number) - EPS) continue;
      best[next] = cost;
      last[next] = j;
    }
  }
  const order: number[] = [];
  for (let set = all - 1; set;) {
    const j = last[set] as number;
    order.unshift(j);
    set ^= 1 << j;
  }
  return { order, gap: 0 };
}

/** What each pair costs over its cheaper way round. */
const overFloor = (costs: Costs): number[][] =>
  costs.map((row, i) => row.map((cost, j) => cost - Math.min(cost, at(costs, j, i))));

/** For each subset of `from` to `to`, what each place costs before all of it. */
function sumsBefore(costs: Costs, from: number, to: number): Float64Array {
  const n = costs.length;
  const sums = new Float64Array((1 << (to - from)) * n);
  for (let set = 1; set < 1 << (to - from); set++) {
    const lowest = from + 31 - Math.clz32(set & -set);
    for (let j = 0; j < n; j++) sums[set * n + j] = (sums[(set & (set - 1)) * n + j] as number) + at(costs, j, lowest);
  }
  return sums;
}

/** An order that keeps every arc, each place moved to where it costs least until none of them gains. */
function improved(costs: Costs, before: readonly (readonly number[])[]): number[] {
  const order: number[] = [];
  while (order.length < costs.length)
    order.push(
      numbers(costs.length).find(
        (j) => !order.includes(j) && (before[j] ?? []).every((i) => order.includes(i)),
      ) as number,
    );
  for (let gained = true; gained;) {
    gained = false;
    for (const j of numbers(costs.length)) {
      const from = order.indexOf(j);
      let [most, to] = [EPS, from];
      for (const step of [1, -1]) {
        let gain = 0;
        for (let k = from + step; k >= 0 && k < order.length; k += step) {
          const other = order[k] as number;
          // now, and with j on the other side of it; an arc between them is not turned
          const [earlier, later] = step > 0 ? [j, other] : [other, j];
          if ((before[later] ?? []).includes(earlier)) break;
          gain += at(costs, earlier, later) - at(costs, later, earlier);
          if (gain > most) [most, to] = [gain, k];
        }
      }
      if (to === from) continue;
      order.splice(from, 1);
      order.splice(to, 0, j);
      gained = true;
    }
  }
  return order;
}

/** Depth first, the cheapest addition first, cut off by what each pair costs at least; ends after a number of tries. */
function bounded(costs: Costs, before: readonly (readonly number[])[]): { order: number[]; gap: number } {
  const n = costs.length;
  const floor = (i: number, j: number) => Math.min(at(costs, i, j), at(costs, j, i));
  const bound = numbers(n).reduce((sum, i) => sum + numbers(i).reduce((s, j) => s + floor(i, j), 0), 0);
  let best: number[] = [];
  let cost = Infinity;
  let tries = 0;
  let ended = true;
  // `extra`: what the pairs decided so far cost above their floors
  const extend = (order: number[], left: ReadonlySet<number>, extra: number): void => {
    if (bound + extra >= cost - EPS) return;
    if (!left.size) {
      best = [...order];
      cost = bound + extra;
      return;
    }
    const added = [...left]
      .filter((j) => (before[j] ?? []).every((i) => !left.has(i)))
      .map((j) => ({
        j,
        more: [...left].reduce((sum, i) => (i === j ? sum : sum + at(costs, j, i) - floor(i, j)), 0),
      }))
      .sort((a, b) => a.more - b.more || a.j - b.j);
    for (const { j, more } of added) {
      if (best.length && ++tries > TRIES) {
        ended = false;
        return;
      }
      extend([...order, j], new Set([...left].filter((i) => i !== j)), extra + more);
    }
  };
  extend([], new Set(numbers(n)), 0);
  return { order: best, gap: ended || cost <= 0 ? 0 : (cost - bound) / cost };
}

/** Arcs that run in a circle, in its order; null: there is none. The shortest from the first arc that is in one. */
export function circleOf<R>(arcs: readonly Arc<R>[]): Arc<R>[] | null {
  for (const start of arcs) {
    const from = new Map<number, Arc<R> | null>([[start.after, null]]);
    const queue = [start.after];
    for (const here of queue) {
      if (here === start.before) break;
      for (const arc of arcs)
        if (arc.before === here && !from.has(arc.after)) {
          from.set(arc.after, arc);
          queue.push(arc.after);
        }
    }
    if (!from.has(start.before)) continue;
    const circle: Arc<R>[] = [];
    for (let arc = from.get(start.before); arc; arc = from.get(arc.before)) circle.unshift(arc);
    return [start, ...circle];
  }
  return null;
}
