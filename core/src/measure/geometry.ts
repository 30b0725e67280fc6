import type { Degrees, Metres, SquareMetres } from '../units/si.ts';
import { at, pairs } from '../units/list.ts';

/** Plan coordinates in metres: x along the first wall, y to its left (up on paper). */
export interface Point {
  readonly x: Metres;
  readonly y: Metres;
}

/** Between two points, m. */
export const distance = (a: Point, b: Point): Metres => Math.hypot(a.x - b.x, a.y - b.y);

/** Unit vectors of walls whose turns (deflections, right positive) are given; exact for multiples of 90 degrees. */
export function directions(turns: readonly Degrees[]): Point[] {
  let heading = 0;
  return turns.map((turn) => {
    const quarter = heading / 90;
    const unit = Number.isInteger(quarter) ? QUARTERS[((quarter % 4) + 4) % 4] : undefined;
    const angle = (heading * Math.PI) / 180;
    heading -= turn;
    return unit ?? { x: Math.cos(angle), y: Math.sin(angle) };
  });
}
const QUARTERS: readonly Point[] = [
  { x: 1, y: 0 },
  { x: 0, y: 1 },
  { x: -1, y: 0 },
  { x: 0, y: -1 },
];

/** Corners from the start of the first wall, one more than there are walls. */
export function walk(lengths: readonly Metres[], units: readonly Point[]): Point[] {
  const points: Point[] = [{ x: 0, y: 0 }];
  lengths.forEach((length, i) => {
    const last = at(points, i);
    const unit = at(units, i);
    points.push({ x: last.x + length * unit.x, y: last.y + length * unit.y });
  });
  return points;
}

/** Enclosed area (shoelace); positive whichever way round. */
export const polygonArea = (points: readonly Point[]): SquareMetres => Math.abs(signedArea(points));

/** Area of a polygon by the shoelace formula, m2; positive anticlockwise. */
export function signedArea(points: readonly Point[]): SquareMetres {
  let twice = 0;
  let from = points.at(-1);
  for (const to of points) {
    if (from) twice += from.x * to.y - to.x * from.y;
    from = to;
  }
  return twice / 2;
}

const side = (a: Point, b: Point, p: Point): number => (b.x - a.x) * (p.y - a.y) - (b.y - a.y) * (p.x - a.x);

/** Do the open segments cross (touching ends do not count)? */
export function cross(a: Point, b: Point, c: Point, d: Point): boolean {
  const e = 1e-9;
  return side(a, b, c) * side(a, b, d) < -e && side(c, d, a) * side(c, d, b) < -e;
}

/** The first pair of sides that cross, by index, or null for a simple polygon. */
export function crossing(points: readonly Point[]): readonly [number, number] | null {
  const sides = pairs(points);
  for (const [i, [a, b]] of sides.entries())
    for (let j = i + 2; j < sides.length; j++)
      if (!(i === 0 && j === sides.length - 1) && cross(a, b, ...at(sides, j))) return [i, j];
  return null;
}

/** Solves A x = b by elimination with partial pivoting; null when A is singular. A is consumed. */
export function solve(a: number[][], b: number[]): number[] | null {
  const n = b.length;
  for (let k = 0; k < n; k++) {
    let p = k;
    for (let i = k + 1; i < n; i++) if (Math.abs(a[i]?.[k] ?? 0) > Math.abs(a[p]?.[k] ?? 0)) p = i;
    const pivot = at(a, p);
    if (Math.abs(at(pivot, k)) < 1e-12) return null;
    [a[k], a[p], b[k], b[p]] = [pivot, at(a, k), at(b, p), at(b, k)];
    for (let i = k + 1; i < n; i++) {
      const row = at(a, i);
      const factor = at(row, k) / at(pivot, k);
      if (factor === 0) continue;
      for (let j = k; j < n; j++) row[j] = at(row, j) - factor * at(pivot, j);
      b[i] = at(b, i) - factor * at(b, k);
    }
  }
  const x = new Array<number>(n).fill(0);
  for (let i = n - 1; i >= 0; i--) {
    const row = at(a, i);
    let sum = at(b, i);
    for (let j = i + 1; j < n; j++) sum -= at(row, j) * at(x, j);
    x[i] = sum / at(row, i);
  }
  return x;
}
