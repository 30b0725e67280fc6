import type { Metres, SquareMetres } from '../units/si.ts';
import { polygonArea, solve, cross, type Point } from './geometry.ts';
import type { Outline } from './outline.ts';

interface Spot extends Point {
  readonly z: Metres;
}
export interface Plane {
  readonly plan: readonly Point[];
  readonly planArea: SquareMetres;
  /** Area on the slope over plan area: 1 / cos pitch. */
  readonly factor: number;
}
export interface Ceiling {
  readonly shape: 'flat' | 'slope' | 'ridge';
  readonly planes: readonly Plane[];
}

/** Heights may differ this much from a plane before we say that we do not know the shape. */
export const HEIGHT_TOLERANCE = 0.025;

/** Steepness factor of the plane through the spots, or null when no plane passes within tolerance. */
function plane(plan: readonly Point[], spots: readonly Spot[]): Plane | null {
  const cx = spots.reduce((s, p) => s + p.x, 0) / spots.length;
  const cy = spots.reduce((s, p) => s + p.y, 0) / spots.length;
  const sum = (f: (p: Spot) => number) => spots.reduce((s, p) => s + f({ x: p.x - cx, y: p.y - cy, z: p.z }), 0);
  const mean = sum((p) => p.z) / spots.length;
  const fit = solve(
    [
      [sum((p) => p.x * p.x), sum((p) => p.x * p.y)],
      [sum((p) => p.x * p.y), sum((p) => p.y * p.y)],
    ],
    [sum((p) => p.x * (p.z - mean)), sum((p) => p.y * (p.z - mean))],
  );
  if (!fit) return null;
  const [bx, by] = fit as [number, number];
  const off = Math.max(...spots.map((p) => Math.abs(p.z - mean - bx * (p.x - cx) - by * (p.y - cy))));
  if (off > HEIGHT_TOLERANCE) return null;
  const level = Math.hypot(bx, by) < 1e-4;
  return { plan, planArea: polygonArea(plan), factor: level ? 1 : Math.hypot(1, bx, by) };
}

/**
 * The ceiling that the tops of the walls imply: one plane, or two meeting along the line between two peaks.
 * null when they imply something else (then its area is not guessed).
 * @param corners starts of the walls in plan  @param outlines one a wall, same order
 */
export function ceilingOver(corners: readonly Point[], outlines: readonly Outline[]): Ceiling | null {
  const n = corners.length;
  const ring: { spots: Spot[]; peak: boolean }[] = [];
  corners.forEach((p, i) => {
    const before = (outlines[(i + n - 1) % n] as Outline).top.at(-1) as Point;
    const { top, length } = outlines[i] as Outline;
    ring.push({
      spots: [
        { ...p, z: before.y },
        { ...p, z: (top[0] as Point).y },
      ],
      peak: false,
    });
    if (top.length === 3) {
      const q = corners[(i + 1) % n] as Point;
      const { x, y } = top[1] as Point;
      const t = x / length;
      ring.push({ spots: [{ x: p.x + (q.x - p.x) * t, y: p.y + (q.y - p.y) * t, z: y }], peak: true });
    }
  });
  const whole = plane(
    corners,
    ring.flatMap((r) => r.spots),
  );
  if (whole) return { shape: whole.factor === 1 ? 'flat' : 'slope', planes: [whole] };
  const peaks = ring.flatMap((r, i) => (r.peak ? [i] : []));
  if (peaks.length !== 2) return null;
  const [i, j] = peaks as [number, number];
  const halves = [ring.slice(i, j + 1), [...ring.slice(j), ...ring.slice(0, i + 1)]];
  const planes = halves.map((half) =>
    plane(
      half.map((r) => r.spots[0] as Spot),
      half.flatMap((r) => r.spots),
    ),
  );
  const [a, b] = planes;
  if (!a || !b || Math.abs(a.planArea + b.planArea - polygonArea(corners)) > 1e-6) return null;
  const [r1, r2] = [ring[i]?.spots[0] as Spot, ring[j]?.spots[0] as Spot];
  if (corners.some((p, k) => cross(r1, r2, p, corners[(k + 1) % n] as Point))) return null;
  return { shape: 'ridge', planes: [a, b] };
}
