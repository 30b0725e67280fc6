import type { Metres, SquareMetres } from '../units/si.ts';
import { arcPoints } from './arc.ts';
import { cross, polygonArea, solve, type Point } from './geometry.ts';
import type { Outline } from './outline.ts';
import { at, pairs, ring } from '../units/list.ts';

interface Spot extends Point {
  readonly z: Metres;
}
/** A point of the ceiling's edge in plan, with the heights known there. */
interface Rim {
  readonly at: Point;
  readonly spots: readonly Spot[];
  /** A height between two corners: a crease may start here. */
  readonly peak: boolean;
}
export interface Plane {
  readonly plan: readonly Point[];
  readonly planArea: SquareMetres;
  /** Area on the slope over plan area: 1 / cos pitch. */
  readonly factor: number;
}
export interface Ceiling {
  readonly shape: 'flat' | 'slope' | 'ridge' | 'vault';
  readonly planes: readonly Plane[];
}

/** Heights may differ this much from a plane before we say that we do not know the shape. */
export const HEIGHT_TOLERANCE = 0.025;
const LEVEL = 1e-4;

/** The plane through the rim's heights, or null when none passes within tolerance. */
function plane(rim: readonly Rim[]): Plane | null {
  const spots = rim.flatMap((r) => r.spots);
  const plan = rim.map((r) => r.at);
  // most ceilings are level: then there is nothing to fit
  if (spots.every((p) => p.z === spots[0]?.z)) return { plan, planArea: polygonArea(plan), factor: 1 };
  const cx = spots.reduce((s, p) => s + p.x, 0) / spots.length;
  const cy = spots.reduce((s, p) => s + p.y, 0) / spots.length;
  const centred = spots.map((p) => ({ x: p.x - cx, y: p.y - cy, z: p.z }));
  const sum = (f: (p: Spot) => number) => centred.reduce((s, p) => s + f(p), 0);
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
  return { plan, planArea: polygonArea(plan), factor: Math.hypot(bx, by) < LEVEL ? 1 : Math.hypot(1, bx, by) };
}

/** A wall's own arc in plan, ends left out; empty for a straight wall. Outward is to the left of a clockwise walk. */
export function bowInPlan(from: Point, to: Point, outline: Outline): Point[] {
  if (!outline.bow) return [];
  const { chord, side } = outline.bow;
  const [ux, uy] = [(to.x - from.x) / chord, (to.y - from.y) / chord];
  const sign = side === 'out' ? 1 : -1;
  return arcPoints(outline.bow).map(({ x, y }) => ({
    x: from.x + ux * x - uy * y * sign,
    y: from.y + uy * x + ux * y * sign,
  }));
}

/** The room's true plan: corners, and the arcs of curved walls between them. `wallOf[i]`: the wall the i-th side belongs to. */
export function planOf(
  corners: readonly Point[],
  outlines: readonly (Outline | null)[],
): { readonly points: Point[]; readonly wallOf: number[] } {
  const [points, wallOf]: [Point[], number[]] = [[], []];
  corners.forEach((p, i) => {
    const outline = outlines[i];
    const side = [p, ...(outline ? bowInPlan(p, ring(corners, i + 1), outline) : [])];
    points.push(...side);
    wallOf.push(...side.map(() => i));
  });
  return { points, wallOf };
}

function rimOf(corners: readonly Point[], outlines: readonly Outline[]): Rim[] {
  return corners.flatMap((p, i): Rim[] => {
    const before = ring(outlines, i - 1).top.at(-1) as Point;
    const outline = at(outlines, i);
    const next = ring(corners, i + 1);
    const corner = {
      at: p,
      spots: [
        { ...p, z: before.y },
        { ...p, z: at(outline.top, 0).y },
      ],
      peak: false,
    };
    const along = (t: number) => ({ x: p.x + (next.x - p.x) * t, y: p.y + (next.y - p.y) * t });
    const peaks = outline.top.slice(1, -1).map(({ x, y }) => {
      const at = along(x / outline.length);
      return { at, spots: [{ ...at, z: y }], peak: true };
    });
    // heights along a curved wall are known at its ends only
    const bow = bowInPlan(p, next, outline).map((at) => ({ at, spots: [], peak: false }));
    return [corner, ...peaks, ...bow];
  });
}

/** Cuts the polygon that has both rim points along the line between them; null when that line is one of its sides. */
function cutAlong(pieces: readonly (readonly Rim[])[], a: Rim, b: Rim): Rim[][] | null {
  const found = pieces.find((piece) => piece.includes(a) && piece.includes(b));
  if (!found) return null;
  const [i, j] = [found.indexOf(a), found.indexOf(b)].sort((x, y) => x - y) as [number, number];
  if (j - i < 2 || i + found.length - j < 2) return null;
  const [one, other] = [found.slice(i, j + 1), [...found.slice(j), ...found.slice(0, i + 1)]];
  return [...pieces.filter((p) => p !== found).map((p) => [...p]), one, other];
}

/**
 * The ceiling that the tops of the walls imply: one plane, or planes that meet along creases between heights given inside
 * two walls (a ridge has one crease, a vault with a flat between two slopes has two).
 * null when they imply something else (then its area is not guessed).
 * @param corners starts of the walls in plan  @param outlines one a wall, same order
 */
export function ceilingOver(corners: readonly Point[], outlines: readonly Outline[]): Ceiling | null {
  const rim = rimOf(corners, outlines);
  const whole = plane(rim);
  if (whole) return { shape: whole.factor === 1 ? 'flat' : 'slope', planes: [whole] };
  const peaks = rim.filter((r) => r.peak);
  const m = peaks.length / 2;
  if (m < 1 || !Number.isInteger(m)) return null;
  const total = polygonArea(rim.map((r) => r.at));
  // creases do not cross: they pair the peaks from one wall to the other, from the outside in
  for (let turn = 0; turn < m; turn++) {
    const creases = Array.from({ length: m }, (_, k) => [ring(peaks, turn + k), ring(peaks, turn - 1 - k)] as const);
    if (creases.some(([a, b]) => pairs(rim).some(([p, q]) => cross(a.at, b.at, p.at, q.at)))) continue;
    const pieces = creases.reduce<Rim[][] | null>((list, [a, b]) => list && cutAlong(list, a, b), [rim]);
    const planes = pieces?.map(plane);
    if (!planes || planes.some((p) => p === null)) continue;
    const sound = planes as Plane[];
    if (Math.abs(sound.reduce((sum, p) => sum + p.planArea, 0) - total) > 1e-6) continue;
    return { shape: sound.length === 2 ? 'ridge' : 'vault', planes: sound };
  }
  return null;
}

/**
 * Perimeter of the plan moved inwards by a border (the inner edge of a tray): each side loses border x tan(half its turn) at
 * either end. null when a side has no length left. Turns in degrees, right positive.
 */
export function insetPerimeter(lengths: readonly Metres[], turns: readonly number[], border: Metres): Metres | null {
  const loss = turns.map((turn) => border * Math.tan((turn * Math.PI) / 360));
  const inner = lengths.map((length, i) => length - at(loss, i) - ring(loss, i - 1));
  return inner.every((length) => length > 1e-6) ? inner.reduce((a, b) => a + b, 0) : null;
}
