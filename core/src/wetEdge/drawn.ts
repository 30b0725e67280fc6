import type { Point } from '../measure/geometry.ts';
import { boxShape, type Shape } from '../plays/play.ts';
import type { Metres, Minutes } from '../units/si.ts';
import type { Setup } from './simulate.ts';
import type { WetCut, WetWall } from './wall.ts';

/** A place along the way of the strips, on the drawing of the surface. */
const placeAt = ({ way }: WetWall, u: Metres): Metres => way.from + Math.sign(way.to - way.from || 1) * u;

/** What of the drawing lies between two places along the way. */
function between(wall: WetWall, from: Metres, to: Metres, low: Metres, high: Metres): Shape {
  const [a, b] = [placeAt(wall, from), placeAt(wall, to)];
  const [near, far] = [Math.min(a, b), Math.max(a, b)];
  return wall.way.axis === 'x' ? boxShape(near, far, low, high) : boxShape(low, high, near, far);
}

/** Where two strips meet, this wide. */
export function jointShape(wall: WetWall, n: number, width: Metres): Shape {
  const [one, other] = [wall.strips[n], wall.strips[n + 1]];
  if (!one || !other) return [];
  const [low, high] = [Math.max(one.low, other.low), Math.min(one.high, other.high)];
  return between(wall, one.to - width / 2, one.to + width / 2, Math.min(low, high), Math.max(low, high));
}
/** A cut band, this wide on both sides of its line; none where it has no place. */
export function bandShape({ ends }: WetCut, width: Metres): Shape {
  if (!ends) return [];
  const [p, q] = ends;
  const long = Math.hypot(q.x - p.x, q.y - p.y) || 1;
  const [x, y] = [(-(q.y - p.y) / long) * width, ((q.x - p.x) / long) * width];
  const at = (point: Point, side: number): Point => ({ x: point.x + side * x, y: point.y + side * y });
  return [at(p, -1), at(q, -1), at(q, 1), at(p, 1)];
}

export type Wetness = 'bare' | 'wet' | 'tacking' | 'dry';
/** Paint tacks for the last third of the time it stays open. */
const TACKING = 2 / 3;
const wetness = (laid: Minutes, now: Minutes, open: Minutes): Wetness => {
  const age = now - laid;
  if (age < 0) return 'bare';
  return age < open * TACKING ? 'wet' : age < open ? 'tacking' : 'dry';
};

/** How each strip and each cut stands at a minute of the plan. */
export function standingAt(
  { wall, program, ends }: Setup,
  now: Minutes,
  open: Minutes,
): { readonly strips: readonly Wetness[]; readonly cuts: readonly Wetness[] } {
  const at = (act: number): Wetness => (act < 0 ? 'bare' : wetness(ends[act] ?? Infinity, now, open));
  return {
    strips: wall.strips.map((_, i) => at(program.rolledBy[i] ?? -1)),
    cuts: wall.cuts.map((_, i) => at(program.cutBy[i] ?? -1)),
  };
}
