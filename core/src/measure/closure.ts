import type { Degrees, Metres } from '../units/si.ts';
import { directions, distance, solve, walk, type Point } from './geometry.ts';
import { at, pairs } from '../units/list.ts';

export interface Diagonal {
  /** Indices of the walls whose starting corners it joins. */
  readonly from: number;
  readonly to: number;
  readonly length: Metres;
}

export interface WalkReadings {
  readonly lengths: readonly Metres[];
  readonly turns: readonly Degrees[];
  readonly turnsMeasured: boolean;
  readonly diagonals: readonly Diagonal[];
}

export interface ClosureSettings {
  /** Always tolerated, m. */
  readonly least: Metres;
  /** Tolerated as 1:n of the perimeter. */
  readonly ratio: number;
  readonly readingError: Metres;
  readonly diagonalError: Metres;
}

export interface Closure {
  /** Length of the vector left when the walls are laid end to end. */
  readonly misclosure: Metres;
  readonly gap: Point;
  /** n of 1:n of the perimeter; null when there is no gap. */
  readonly ratio: number | null;
  readonly tolerance: Metres;
  readonly withinTolerance: boolean;
  /** Outside tolerance nothing is adjusted and a straight last side closes the plan. */
  readonly provisional: boolean;
  readonly adjusted: readonly Metres[];
  /** One corner a wall, its start; closed (the last wall ends at the first corner, or is joined to it if provisional). */
  readonly corners: readonly Point[];
}

const CLOSED = 1e-9;

/**
 * Misclosure of a walk and its adjustment.
 * Turns declared: least squares on lengths, equal weights, closure as an exact condition, diagonals as observations
 * with their own standard error (Gauss-Newton). Turns measured: the compass (Bowditch) rule on the corners [std:
 * surveying texts]. Lengths in metres, turns in degrees summing to 360 (nearly, where measured).
 */
export function close(readings: WalkReadings, settings: ClosureSettings): Closure {
  const { lengths, turnsMeasured } = readings;
  const perimeter = lengths.reduce((a, b) => a + b, 0);
  const turns = turnsMeasured ? shareAngles(readings.turns) : readings.turns;
  const units = directions(turns);
  const open = walk(lengths, units);
  const gap = open.at(-1) as Point;
  const misclosure = Math.hypot(gap.x, gap.y);
  const tolerance = Math.max(settings.least, perimeter / settings.ratio);
  const base = { misclosure, gap, ratio: misclosure > CLOSED ? perimeter / misclosure : null, tolerance };
  const asRead = { ...base, adjusted: lengths, corners: open.slice(0, -1), provisional: true };
  if (misclosure > tolerance) return { ...asRead, withinTolerance: false };
  if (turnsMeasured) return { ...base, withinTolerance: true, provisional: false, ...compass(open, lengths) };
  const adjusted = adjustLengths(lengths, units, readings.diagonals, settings);
  if (!adjusted) return { ...asRead, withinTolerance: true };
  return { ...base, withinTolerance: true, provisional: false, adjusted, corners: walk(adjusted, units).slice(0, -1) };
}

function shareAngles(turns: readonly Degrees[]): Degrees[] {
  const excess = turns.reduce((a, b) => a + b, 0) - 360;
  return turns.map((turn) => turn - excess / turns.length);
}

function compass(open: readonly Point[], lengths: readonly Metres[]): Pick<Closure, 'adjusted' | 'corners'> {
  const gap = open.at(-1) as Point;
  const perimeter = lengths.reduce((a, b) => a + b, 0);
  let run = 0;
  const corners = lengths.map((length, i) => {
    const share = run / perimeter;
    run += length;
    const p = at(open, i);
    return { x: p.x - gap.x * share, y: p.y - gap.y * share };
  });
  return { corners, adjusted: pairs(corners).map(([p, q]) => distance(p, q)) };
}

/**
 * Lengths that close the walk exactly and minimise sum (v/s)2 + sum (diagonal residual/sd)2, for the corrections v.
 * `units` are the walls' directions. null when the equations have no single answer (all walls parallel).
 */
export function adjustLengths(
  lengths: readonly Metres[],
  units: readonly Point[],
  diagonals: readonly Diagonal[],
  { readingError, diagonalError }: ClosureSettings,
): Metres[] | null {
  if (diagonals.length === 0) return shareGap(lengths, units);
  const n = lengths.length;
  let estimate = [...lengths];
  for (let round = 0; round < 8; round++) {
    const size = n + 2;
    const a = Array.from({ length: size }, () => new Array<number>(size).fill(0));
    const b = new Array<number>(size).fill(0);
    const add = (i: number, j: number, value: number) => (at(a, i)[j] = at(at(a, i), j) + value);
    const weight = 1 / readingError ** 2;
    const corners = walk(estimate, units);
    const gap = at(corners, n);
    for (let i = 0; i < n; i++) {
      add(i, i, weight);
      b[i] = weight * (at(lengths, i) - at(estimate, i));
      const unit = at(units, i);
      for (const [row, component] of [
        [n, unit.x],
        [n + 1, unit.y],
      ] as const) {
        add(i, row, component);
        add(row, i, component);
      }
    }
    b[n] = -gap.x;
    b[n + 1] = -gap.y;
    for (const { from, to, length } of diagonals) {
      const [low, high] = from < to ? [from, to] : [to, from];
      const [p, q] = [at(corners, low), at(corners, high)];
      const now = distance(p, q);
      if (now < CLOSED) continue;
      const slope = units.map((unit, i) =>
        i >= low && i < high ? ((q.x - p.x) * unit.x + (q.y - p.y) * unit.y) / now : 0,
      );
      const w = 1 / diagonalError ** 2;
      for (let i = low; i < high; i++) {
        b[i] = at(b, i) + w * at(slope, i) * (length - now);
        for (let j = low; j < high; j++) add(i, j, w * at(slope, i) * at(slope, j));
      }
    }
    const step = solve(a, b);
    if (!step) return null;
    estimate = estimate.map((value, i) => value + at(step, i));
    if (step.slice(0, n).every((v) => Math.abs(v) < 1e-10)) break;
  }
  return estimate;
}

/** Without diagonals the answer is closed: v = -u . (sum of u u^T)^-1 gap, for each wall's direction u. */
function shareGap(lengths: readonly Metres[], units: readonly Point[]): Metres[] | null {
  let [xx, xy, yy] = [0, 0, 0];
  for (const { x, y } of units) {
    xx += x * x;
    xy += x * y;
    yy += y * y;
  }
  const determinant = xx * yy - xy * xy;
  if (determinant < 1e-9) return null;
  const gap = walk(lengths, units).at(-1) as Point;
  const [a, b] = [(yy * gap.x - xy * gap.y) / determinant, (xx * gap.y - xy * gap.x) / determinant];
  return lengths.map((length, i) => length - at(units, i).x * a - at(units, i).y * b);
}
