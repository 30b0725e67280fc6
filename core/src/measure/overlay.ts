import type { Metres, SquareMetres } from '../units/si.ts';
import type { Point } from './geometry.ts';
import { at, pairs } from '../units/list.ts';

/** A shape laid on a wall or a ceiling: a simple polygon, either way round. */
export interface Layer {
  readonly id: string;
  readonly points: readonly Point[];
}
export interface Overlay {
  /** What is seen of each layer: where it lies uppermost, within the first. */
  readonly areas: ReadonlyMap<string, SquareMetres>;
  /** Length of the border between what is uppermost on its two sides; `''` is outside. */
  readonly border: (a: string, b: string) => Metres;
  /** The same borders, stretch by stretch. */
  readonly edges: readonly Edge[];
  /** What is seen, in trapezia: they tile the first layer. */
  readonly pieces: readonly Piece[];
}
export interface Piece {
  readonly id: string;
  readonly points: readonly Point[];
}

const OUTSIDE = -1;
const E = 1e-9;

/** A stretch of border between what is uppermost on its two sides; `''` is outside. */
export interface Edge {
  readonly a: string;
  readonly b: string;
  readonly from: Point;
  readonly to: Point;
}
interface Side {
  readonly a: Point;
  readonly b: Point;
  readonly layer: number;
  readonly low: Metres;
  readonly high: Metres;
}
interface Stretch {
  readonly from: Metres;
  readonly to: Metres;
  readonly top: number;
}

const yAt = ({ a, b }: Side, x: Metres): Metres => a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x);

/**
 * Lays shapes on one another, the first at the bottom, and measures what is seen of each and how they border on one
 * another. Exact for polygons: between two neighbouring corners or crossings every edge is a straight line that meets no
 * other, so each slab falls into trapezia. What reaches beyond the first layer counts as nothing.
 */
export function overlay(layers: readonly Layer[]): Overlay {
  const sides: Side[] = layers
    .flatMap(({ points }, layer) =>
      pairs(points).flatMap(([p, q]): Side[] => {
        if (Math.abs(p.x - q.x) < E) return [];
        const [low, high] = p.y < q.y ? [p.y, q.y] : [q.y, p.y];
        return [p.x < q.x ? { a: p, b: q, layer, low, high } : { a: q, b: p, layer, low, high }];
      }),
    )
    .sort((p, q) => p.a.x - q.a.x);
  const count = layers.length;
  const seen = new Array<SquareMetres>(count).fill(0);
  // a table of all pairs, outside being the last row and column: it is asked and added to for every edge of every slab
  const borders = new Float64Array((count + 1) ** 2);
  const place = (a: number, b: number) => (a < 0 ? count : a) * (count + 1) + (b < 0 ? count : b);
  const edges: Edge[] = [];
  const pieces: Piece[] = [];
  const nameOf = (layer: number) => layers[layer]?.id ?? '';
  const meet = (a: number, b: number, from: Point, to: Point) => {
    if (a === b) return;
    const length = Math.hypot(to.x - from.x, to.y - from.y);
    edges.push({ a: nameOf(a), b: nameOf(b), from, to });
    borders[place(a, b)] = (borders[place(a, b)] ?? 0) + length;
    borders[place(b, a)] = (borders[place(b, a)] ?? 0) + length;
  };
  const xs = cuts(layers, sides);
  let before: Stretch[] = [];
  // sides over the slab: they come and go from left to right
  let over: Side[] = [];
  let next = 0;
  const inside = new Uint8Array(count);
  for (let i = 1; i < xs.length; i++) {
    const [left, right] = [at(xs, i - 1), at(xs, i)];
    const mid = (left + right) / 2;
    while (next < sides.length && at(sides, next).a.x < mid) over.push(at(sides, next++));
    over = over.filter(({ b }) => b.x > mid);
    const across = over
      .map((edge) => ({ edge, mid: yAt(edge, mid), left: yAt(edge, left), right: yAt(edge, right) }))
      .sort((p, q) => p.mid - q.mid);
    inside.fill(0);
    let uppermost = OUTSIDE;
    const [starts, ends]: [Stretch[], Stretch[]] = [[], []];
    let below = OUTSIDE;
    across.forEach((lower, k) => {
      const { layer } = lower.edge;
      inside[layer] = inside[layer] ? 0 : 1;
      uppermost = Math.max(uppermost, layer);
      while (uppermost >= 0 && !inside[uppermost]) uppermost--;
      const upper = across[k + 1];
      // edges that coincide enclose nothing: the border belongs to what lies beyond the last of them
      if (upper && upper.mid - lower.mid < E) return;
      const top = inside[0] ? uppermost : OUTSIDE;
      meet(below, top, { x: left, y: lower.left }, { x: right, y: lower.right });
      below = top;
      if (!upper || top === OUTSIDE) return;
      const area = ((upper.left - lower.left + upper.right - lower.right) / 2) * (right - left);
      seen[top] = (seen[top] ?? 0) + area;
      pieces.push({
        id: nameOf(top),
        points: [
          { x: left, y: lower.left },
          { x: right, y: lower.right },
          { x: right, y: upper.right },
          { x: left, y: upper.left },
        ],
      });
      starts.push({ from: lower.left, to: upper.left, top });
      ends.push({ from: lower.right, to: upper.right, top });
    });
    beside(left, before, starts, meet);
    before = ends;
  }
  beside(xs.at(-1) ?? 0, before, [], meet);
  const areas = new Map<string, SquareMetres>();
  const named = new Map<string, number[]>([['', [OUTSIDE]]]);
  layers.forEach(({ id }, i) => {
    // several layers may bear one name
    areas.set(id, (areas.get(id) ?? 0) + (seen[i] ?? 0));
    named.set(id, [...(named.get(id) ?? []), i]);
  });
  const border = (a: string, b: string): Metres => {
    const [as, bs] = [named.get(a) ?? [], named.get(b) ?? []];
    return as.reduce((sum, i) => sum + bs.reduce((s, j) => s + (borders[place(i, j)] ?? 0), 0), 0);
  };
  return { areas, border, edges, pieces };
}

/** Where a slab begins: at every corner, and wherever two edges cross; `sides`: from left to right. */
function cuts(layers: readonly Layer[], sides: readonly Side[]): Metres[] {
  const xs = layers.flatMap((layer) => layer.points.map((p) => p.x));
  sides.forEach((p, i) => {
    for (let j = i + 1; j < sides.length; j++) {
      const q = at(sides, j);
      if (q.a.x >= p.b.x) break;
      if (p.layer === q.layer || p.low > q.high || q.low > p.high) continue;
      const [from, to] = [q.a.x, Math.min(p.b.x, q.b.x)];
      const [gap, other] = [yAt(p, from) - yAt(q, from), yAt(p, to) - yAt(q, to)];
      if (gap * other < 0) xs.push(from + ((to - from) * gap) / (gap - other));
    }
  });
  return xs.sort((a, b) => a - b).filter((x, i) => i === 0 || x - at(xs, i - 1) > E);
}

/** What stands left and right of the upright line between two slabs. */
function beside(
  x: Metres,
  left: readonly Stretch[],
  right: readonly Stretch[],
  meet: (a: number, b: number, from: Point, to: Point) => void,
): void {
  const ys: Metres[] = [];
  for (const { from, to } of left) ys.push(from, to);
  for (const { from, to } of right) ys.push(from, to);
  ys.sort((a, b) => a - b);
  const at = (list: readonly Stretch[], y: Metres) => list.find((s) => s.from < y && y < s.to)?.top ?? OUTSIDE;
  for (let i = 1; i < ys.length; i++) {
    const [from, to] = [ys[i - 1] as Metres, ys[i] as Metres];
    if (to - from > E) meet(at(left, (from + to) / 2), at(right, (from + to) / 2), { x, y: from }, { x, y: to });
  }
}
