import type { Opening } from '../job/measured.ts';
import type { Id } from '../job/table.ts';
import { polygonArea, type Point } from '../measure/geometry.ts';
import { frameOf, pointsOf } from '../measure/openings.ts';
import type { Outline } from '../measure/outline.ts';
import { bowInPlan } from '../measure/ceiling.ts';
import type { RoomTakeoff } from '../measure/takeoff.ts';
import { remember } from '../units/remember.ts';
import type { Degrees, Metres, SquareMetres } from '../units/si.ts';
import { at, pairs, ring } from '../units/list.ts';

/** Where the sun stands: degrees clockwise from north, and above the horizon. */
export interface Sun {
  readonly azimuth: Degrees;
  readonly altitude: Degrees;
}
/** Where the beam of a window falls: on a wall as it is seen from inside (m along it and up), or on the floor in plan. */
export interface Patch {
  readonly wall: Id | 'floor';
  readonly window: Id;
  readonly points: readonly Point[];
  readonly area: SquareMetres;
  /** Between the light and the surface: the smaller, the more it rakes. */
  readonly angle: Degrees;
  /** From which end of the wall, as it is seen from inside, the light comes. */
  readonly from: 'left' | 'right';
}

/** A straight side of the plan: of a curved wall there are several. */
interface Side {
  readonly wall: Id;
  readonly outline: Outline;
  readonly from: Point;
  readonly unit: Point;
  readonly length: Metres;
  /** Where it begins along the wall as it is seen from inside, and how much longer that is than its chord. */
  readonly start: Metres;
  readonly stretch: number;
}
interface Pane {
  readonly opening: Opening;
  readonly from: Point;
  readonly unit: Point;
  readonly side: Side;
  /** Outline of the hole, m along from its start and up from the floor, anticlockwise. */
  readonly hole: readonly Point[];
}
interface Lit {
  readonly sides: readonly Side[];
  readonly panes: readonly Pane[];
  readonly corners: readonly Point[];
}

const TINY = 1e-9;
const radians = (degrees: Degrees): number => (degrees * Math.PI) / 180;
const crossOf = (a: Point, b: Point): number => a.x * b.y - a.y * b.x;
const dot = (a: Point, b: Point): number => a.x * b.x + a.y * b.y;
const less = (a: Point, b: Point): Point => ({ x: a.x - b.x, y: a.y - b.y });
const along = (from: Point, unit: Point, by: number): Point => ({ x: from.x + unit.x * by, y: from.y + unit.y * by });

/** The sides of a room and the holes that let light in; null: its walk does not close. */
const litRoom = remember((takeoff: RoomTakeoff): Lit | null => {
  if (takeoff.floorArea === null) return null;
  const { corners, walls } = takeoff;
  const sides = walls.flatMap((w, i): Side[] => {
    const from = at(corners, i);
    const to = ring(corners, i + 1);
    const chain = [from, ...bowInPlan(from, to, w.outline), to];
    const lengths = chain.slice(1).map((p, j) => Math.hypot(p.x - at(chain, j).x, p.y - at(chain, j).y));
    const stretch = w.outline.length / lengths.reduce((sum, length) => sum + length, 0);
    let start = 0;
    return lengths.flatMap((length, j) => {
      const a = at(chain, j);
      const b = at(chain, j + 1);
      const side = { wall: w.wall.id, outline: w.outline, from: a, length, start, stretch };
      start += length * stretch;
      return length > TINY ? [{ ...side, unit: { x: (b.x - a.x) / length, y: (b.y - a.y) / length } }] : [];
    });
  });
  const panes = walls.flatMap((w) =>
    w.openings
      .filter(({ kind }) => kind === 'window')
      .flatMap((opening): Pane[] => {
        const middle = opening.at.metres + opening.width.metres / 2;
        const side = sides.findLast((own) => own.wall === w.wall.id && own.start <= middle);
        if (!side) return [];
        const hole = pointsOf(frameOf(opening, 0, true));
        const from = along(side.from, side.unit, (opening.at.metres - side.start) / side.stretch);
        const shifted = hole.map((p) => ({ x: p.x - opening.at.metres, y: p.y }));
        return [{ opening, side, from, unit: side.unit, hole: shifted }];
      }),
  );
  return { sides, panes, corners: sides.map(({ from }) => from) };
});

/** The part of a convex polygon where `inside` is not negative; it is linear, so edges are cut where it is nothing. */
function clip(points: readonly Point[], inside: (p: Point) => number): Point[] {
  return pairs(points).flatMap(([p, q]) => {
    const [a, b] = [inside(p), inside(q)];
    const kept = a >= 0 ? [p] : [];
    if ((a > 0 && b < 0) || (a < 0 && b > 0)) {
      const t = a / (a - b);
      kept.push({ x: p.x + (q.x - p.x) * t, y: p.y + (q.y - p.y) * t });
    }
    return kept;
  });
}
/** What two convex polygons share; the second anticlockwise. */
const shared = (a: readonly Point[], b: readonly Point[]): Point[] =>
  pairs(b).reduce<Point[]>((left, [p, q]) => clip(left, (r) => crossOf(less(q, p), less(r, p))), [...a]);

/** Below this no beam is worth drawing, m². */
const LEAST = 1e-4;

/**
 * Where direct sun falls in a room, as if nothing stood before its windows and nothing in it. Every beam is followed to the first
 * wall in its way, so that plans of any shape are right; walls reach from floor to ceiling.
 * @param bearing of somebody who faces the first wall from inside, degrees from north
 * @param depth of walls round their windows, where it was not measured, m
 */
export function beams(takeoff: RoomTakeoff, bearing: Degrees, sun: Sun, depth: Metres): Patch[] {
  const lit = litRoom(takeoff);
  if (!lit || sun.altitude <= 0.1) return [];
  // up on paper is what one faces who looks at the first wall
  const turn = radians(sun.azimuth - bearing);
  const [up, flat] = [Math.sin(radians(sun.altitude)), Math.cos(radians(sun.altitude))];
  const towards = { x: Math.sin(turn), y: Math.cos(turn) };
  const ray = { x: -towards.x, y: -towards.y };
  const fall = up / flat;
  return lit.panes.flatMap((pane) => {
    const { opening, unit, from, hole } = pane;
    // outward is to the left of a clockwise walk
    const facing = dot(towards, { x: -unit.y, y: unit.x });
    if (facing <= 1e-6) return [];
    const thick = opening.reveal?.depth.metres ?? depth;
    const [sideways, down] = [(thick * dot(towards, unit)) / facing, (thick * fall) / facing];
    const through = hole.map((p) => ({ x: p.x - sideways, y: p.y - down }));
    const let_in = shared(hole, through);
    if (let_in.length < 3) return [];
    const across = crossOf(unit, ray);
    const cuts = lit.corners
      .map((corner) => crossOf(less(corner, from), ray) / across)
      .filter((s) => s > TINY && s < opening.width.metres - TINY)
      .sort((a, b) => a - b);
    const edges = [0, ...cuts, opening.width.metres];
    return edges.slice(1).flatMap((end, i) => {
      const begin = at(edges, i);
      if (end - begin < TINY) return [];
      const strip = clip(
        clip(let_in, (p) => p.x - begin),
        (p) => end - p.x,
      );
      if (strip.length < 3) return [];
      const hit = firstHit(lit.sides, pane.side, along(from, unit, (begin + end) / 2), ray);
      return hit ? fallsOn({ pane, strip, side: hit, ray, fall, flat, up }) : [];
    });
  });
}

/** The first side that a ray in plan meets. */
function firstHit(sides: readonly Side[], out: Side, from: Point, ray: Point): Side | null {
  let nearest = Infinity;
  let found: Side | null = null;
  for (const side of sides) {
    if (side === out) continue;
    const across = crossOf(ray, side.unit);
    if (Math.abs(across) < TINY) continue;
    const gap = less(side.from, from);
    const [t, q] = [crossOf(gap, side.unit) / across, crossOf(gap, ray) / across];
    if (t > 1e-6 && t < nearest && q >= -1e-6 && q <= side.length + 1e-6) {
      nearest = t;
      found = side;
    }
  }
  return found;
}

interface Beam {
  readonly pane: Pane;
  /** The part of the hole whose light meets this side. */
  readonly strip: readonly Point[];
  readonly side: Side;
  readonly ray: Point;
  /** Of the light, a metre along the plan; and its parts along it and down. */
  readonly fall: number;
  readonly flat: number;
  readonly up: number;
}
/** A beam on the wall that it meets, cut to that wall, and what of it fell on the floor before. */
function fallsOn({ pane, strip, side, ray, fall, flat, up }: Beam): Patch[] {
  const window = pane.opening.id;
  const across = crossOf(ray, side.unit);
  const gone = (s: number): number => crossOf(less(side.from, along(pane.from, pane.unit, s)), side.unit) / across;
  const height = (p: Point): number => p.y - fall * gone(p.x);
  const onWall = strip.map((p): Point => {
    const q = crossOf(less(side.from, along(pane.from, pane.unit, p.x)), ray) / across;
    return { x: side.start + q * side.stretch, y: height(p) };
  });
  const wallAngle =
    (Math.asin(Math.min(1, flat * Math.abs(dot(ray, { x: -side.unit.y, y: side.unit.x })))) * 180) / Math.PI;
  const from = dot(ray, side.unit) > 0 ? 'left' : 'right';
  const patches = within(onWall, side.outline).map((points) => made(side.wall, window, points, wallAngle, from));
  const onFloor = clip(strip, (p) => -height(p)).map((p) => {
    const landed = p.y / fall;
    return along(along(pane.from, pane.unit, p.x), ray, landed);
  });
  const floor = made('floor', window, onFloor, (Math.asin(up) * 180) / Math.PI, from);
  return [...patches, floor].filter(({ area }) => area > LEAST);
}
const made = (
  wall: Patch['wall'],
  window: Id,
  points: readonly Point[],
  angle: Degrees,
  from: Patch['from'],
): Patch => ({
  wall,
  window,
  points,
  from,
  area: points.length < 3 ? 0 : polygonArea(points),
  angle,
});

/** A convex polygon cut to a wall's outline, between whose breaks top and foot are straight. */
function within(points: readonly Point[], { top, foot }: Outline): Point[][] {
  const xs = points.map((p) => p.x);
  const [least, most] = [Math.min(...xs), Math.max(...xs)];
  const breaks = [...new Set([...top, ...foot].map((p) => p.x))].sort((a, b) => a - b);
  return breaks.slice(1).flatMap((end, i) => {
    const begin = at(breaks, i);
    if (end <= least || begin >= most || end - begin < TINY) return [];
    const [high, low] = [lineOver(top, begin, end), lineOver(foot, begin, end)];
    const cut = [
      (p: Point) => p.x - begin,
      (p: Point) => end - p.x,
      (p: Point) => high(p.x) - p.y,
      (p: Point) => p.y - low(p.x),
    ];
    const left = cut.reduce<Point[]>(clip, [...points]);
    return left.length < 3 ? [] : [left];
  });
}
/** The straight line of a chain between two of its breaks. */
function lineOver(chain: readonly Point[], begin: number, end: number): (x: number) => number {
  const at = (begin + end) / 2;
  const i = Math.max(
    1,
    chain.findIndex((p, j) => j > 0 && p.x >= at && (chain[j - 1] as Point).x <= at),
  );
  const [a, b] = [chain[i - 1] as Point, chain[i] as Point];
  const slope = b.x - a.x > TINY ? (b.y - a.y) / (b.x - a.x) : 0;
  return (x) => a.y + slope * (x - a.x);
}
