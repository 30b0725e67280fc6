import type { Id } from '../job/table.ts';
import type { Litres } from '../units/si.ts';

/** A can to be boxed: bought, or from the shelf with its batch. */
export interface BoxCan {
  readonly litres: Litres;
  /** null: bought, one batch. */
  readonly batch: string | null;
}
/** A surface and what it takes in all its coats of the paint. */
export interface BoxWall {
  readonly id: Id;
  readonly room: Id;
  readonly litres: Litres;
}
export interface Pour {
  /** Index of the can. */
  readonly can: number;
  readonly litres: Litres;
}
export interface Bucket {
  readonly pours: readonly Pour[];
  readonly walls: readonly Id[];
  readonly litres: Litres;
}
export interface BoxingPlan {
  readonly buckets: readonly Bucket[];
  /** Walls that want more than a bucket holds: their buckets are poured to and fro. */
  readonly over: readonly Id[];
}

const MOST_STEPS = 20_000;
/** With more walls the search would not come far. */
const MOST_SEARCHED = 300;
const SLACK = 1e-9;

/**
 * Which cans to mix in which bucket, and which walls are painted from it: every wall from one bucket, in as few buckets as
 * hold them. All the paint there is goes in, shared out as the walls want it. Exact for what a job has (branch and bound
 * up to 20,000 steps, else the best found).
 */
export function planBoxing(cans: readonly BoxCan[], walls: readonly BoxWall[], bucket: Litres): BoxingPlan {
  const have = cans.reduce((sum, can) => sum + can.litres, 0);
  const want = walls.reduce((sum, wall) => sum + wall.litres, 0);
  if (have <= 0 || want <= 0) return { buckets: [], over: [] };
  const share = have / want;
  const sized = walls.map((wall) => ({ ...wall, litres: wall.litres * share }));
  const packed = pack(sized, bucket);
  const order = cans.map((_, i) => i).sort((a, b) => Number(cans[a]?.batch === null) - Number(cans[b]?.batch === null));
  const rest = cans.map((can) => can.litres);
  const buckets = packed.map((list): Bucket => {
    const litres = list.reduce((sum, wall) => sum + wall.litres, 0);
    const pours: Pour[] = [];
    let missing = litres;
    for (const can of order) {
      const poured = Math.min(rest[can] ?? 0, missing);
      if (poured <= SLACK) continue;
      rest[can] = (rest[can] ?? 0) - poured;
      missing -= poured;
      pours.push({ can, litres: poured });
    }
    return { pours, walls: list.map((wall) => wall.id), litres };
  });
  return { buckets, over: sized.filter((wall) => wall.litres > bucket + SLACK).map((wall) => wall.id) };
}

/** Into the first bin that has room, the largest wall first: at most 11/9 of the fewest bins and one more [std: bin packing texts, from memory]. */
function firstFit<T extends BoxWall>(sorted: readonly T[], bucket: Litres): T[][] {
  const bins: { walls: T[]; litres: Litres }[] = [];
  for (const wall of sorted) {
    const bin = bins.find((b) => b.litres + wall.litres <= bucket + SLACK);
    if (bin) {
      bin.walls.push(wall);
      bin.litres += wall.litres;
    } else bins.push({ walls: [wall], litres: wall.litres });
  }
  return bins.map((b) => b.walls);
}

/** Fewest bins, then fewest rooms over more than one; a wall larger than a bin has one to itself. */
function pack<T extends BoxWall>(walls: readonly T[], bucket: Litres): T[][] {
  const sorted = [...walls].sort((a, b) => b.litres - a.litres);
  if (sorted.length > MOST_SEARCHED) return firstFit(sorted, bucket);
  const filled = (bin: readonly T[]) => bin.reduce((sum, wall) => sum + wall.litres, 0);
  const split = (bins: readonly (readonly T[])[]) =>
    bins.reduce((sum, bin) => sum + new Set(bin.map((wall) => wall.room)).size, 0);
  let best: T[][] | null = null;
  let bestCost: readonly [number, number] = [Infinity, Infinity];
  let steps = 0;
  const bins: T[][] = [];
  const visit = (at: number): void => {
    if (bins.length > bestCost[0] || steps++ > MOST_STEPS) return;
    const wall = sorted[at];
    if (!wall) {
      const cost = [bins.length, split(bins)] as const;
      if (cost[0] < bestCost[0] || cost[1] < bestCost[1]) {
        best = bins.map((bin) => [...bin]);
        bestCost = cost;
      }
      return;
    }
    // into the fullest first, which finds a good answer early; the same room before others
    const fits = bins
      .map((bin, i) => ({ i, room: bin.some((w) => w.room === wall.room), full: filled(bin) }))
      .filter(({ full }) => full + wall.litres <= bucket + SLACK)
      .sort((a, b) => Number(b.room) - Number(a.room) || b.full - a.full);
    for (const { i } of fits) {
      bins[i]?.push(wall);
      visit(at + 1);
      bins[i]?.pop();
    }
    bins.push([wall]);
    visit(at + 1);
    bins.pop();
  };
  visit(0);
  return best ?? [[...walls]];
}

/**
 * Paint from the shelf that is used as it comes: whole walls only, as much of it as can be. Exact over hundredths of a litre.
 * @returns the walls painted from it.
 */
export function wallsFrom(litres: Litres, walls: readonly BoxWall[]): Id[] {
  const unit = 0.01;
  const most = Math.floor(litres / unit + SLACK);
  // reach[v]: the last wall added to reach v, and the volume before it
  const reach: ({ wall: number; before: number } | null)[] = new Array(most + 1).fill(null);
  const open = new Array<boolean>(most + 1).fill(false);
  open[0] = true;
  walls.forEach((wall, index) => {
    const size = Math.ceil(wall.litres / unit - SLACK);
    for (let v = most; v >= size; v--)
      if (!open[v] && open[v - size]) {
        open[v] = true;
        reach[v] = { wall: index, before: v - size };
      }
  });
  let at = most;
  while (at > 0 && !open[at]) at--;
  const found: Id[] = [];
  for (let step = reach[at]; at > 0 && step; step = reach[at]) {
    found.push(walls[step.wall]?.id ?? '');
    at = step.before;
  }
  return found;
}
