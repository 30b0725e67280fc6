import type { Metres } from '../units/si.ts';
import { adjustLengths, type ClosureSettings, type WalkReadings } from './closure.ts';
import { directions, distance, solve, walk, type Point } from './geometry.ts';
import { at } from '../units/list.ts';

export interface Residual {
  /** Adjusted less read, m. */
  readonly value: Metres;
  /** In its own standard errors (Baarda's w); 0 where the readings cannot check this one. */
  readonly standardised: number;
}
export interface Residuals {
  readonly walls: readonly Residual[];
  readonly diagonals: readonly Residual[];
  /** Index of the wall with the largest standardised residual, when beyond the limit. */
  readonly worst: number | null;
}
/** A standardised residual beyond this is rarer than 1 in 100. */
const SUSPICIOUS = 2.58;

/**
 * Residuals of an adjusted walk (turns held), each divided by its own standard error: the square root of the reading's
 * variance less that of the adjusted value, which is the diagonal of the inverse of the bordered normal matrix.
 * null when the walk cannot be adjusted. Source: least squares with conditions, as in surveying texts (from memory).
 */
export function residualsOf(readings: WalkReadings, settings: ClosureSettings): Residuals | null {
  const units = directions(readings.turns);
  const adjusted = adjustLengths(readings.lengths, units, readings.diagonals, settings);
  if (!adjusted) return null;
  const n = adjusted.length;
  const corners = walk(adjusted, units);
  const slopes = readings.diagonals.map(({ from, to }) => diagonalSlope(corners, units, from, to));
  const matrix = (): number[][] =>
    Array.from({ length: n + 2 }, (_, i) =>
      Array.from({ length: n + 2 }, (__, j) => {
        if (i >= n && j >= n) return 0;
        if (i >= n || j >= n) {
          const unit = at(units, Math.min(i, j));
          return Math.max(i, j) === n ? unit.x : unit.y;
        }
        const own = i === j ? 1 / settings.readingError ** 2 : 0;
        return slopes.reduce((sum, s) => sum + (at(s, i) * at(s, j)) / settings.diagonalError ** 2, own);
      }),
    );
  /** Column of the inverse applied to `right`. */
  const spread = (right: readonly number[]): number => {
    const x = solve(matrix(), [...right, ...new Array<number>(n + 2 - right.length).fill(0)]);
    return x ? right.reduce((sum, r, i) => sum + r * at(x, i), 0) : 0;
  };
  const residual = (value: Metres, error: Metres, adjustedVariance: number): Residual => {
    const variance = error ** 2 - adjustedVariance;
    return { value, standardised: variance > 1e-6 * error ** 2 ? value / Math.sqrt(variance) : 0 };
  };
  const walls = adjusted.map((length, i) =>
    residual(length - at(readings.lengths, i), settings.readingError, spread(adjusted.map((_, j) => Number(i === j)))),
  );
  const diagonals = readings.diagonals.map(({ from, to, length }, k) =>
    residual(distance(at(corners, from), at(corners, to)) - length, settings.diagonalError, spread(at(slopes, k))),
  );
  const size = walls.map((w) => Math.abs(w.standardised));
  const largest = size.indexOf(Math.max(...size));
  return { walls, diagonals, worst: (size[largest] ?? 0) > SUSPICIOUS ? largest : null };
}

/** How a diagonal grows with each wall's length. */
function diagonalSlope(corners: readonly Point[], units: readonly Point[], from: number, to: number): number[] {
  const [low, high] = from < to ? [from, to] : [to, from];
  const [p, q] = [at(corners, low), at(corners, high)];
  const length = distance(p, q) || 1;
  return units.map((unit, i) => (i >= low && i < high ? ((q.x - p.x) * unit.x + (q.y - p.y) * unit.y) / length : 0));
}
