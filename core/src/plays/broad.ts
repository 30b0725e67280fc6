import { setting } from '../job/defaults.ts';
import type { Job } from '../job/types.ts';
import type { Hand } from '../job/vocabulary.ts';
import { layersOn } from '../measure/face.ts';
import type { Point } from '../measure/geometry.ts';
import type { Meeting } from '../measure/meetings.ts';
import { overlay, type Layer } from '../measure/overlay.ts';
import type { RoomTakeoff } from '../measure/takeoff.ts';
import { dipOf } from '../paces/minutes.ts';
import { effective } from '../specify/reasons.ts';
import type { Specified } from '../specify/specify.ts';
import type { Litres, Metres } from '../units/si.ts';
import { areaOf, type Done, type Draft, type Shape } from './play.ts';

export interface BroadAsk {
  readonly job: Pick<Job, 'settings'>;
  readonly takeoff: RoomTakeoff;
  readonly specified: Specified;
  /** What is done in this coat. */
  readonly done: readonly Done[];
  readonly litres: Litres;
  readonly hand: Hand;
  readonly coat: number;
}

const CUTS: ReadonlySet<string> = new Set(['cut', 'lap', 'prime-cut']);
const isRoll = ({ kind }: Done): boolean => kind === 'roll' || kind === 'prime-roll';

/** A broad surface laid out flat: what lies over it, the strips it is rolled in, and the lines along which it is cut. */
interface Ground {
  /** Layers below it, itself, and what hides it. */
  readonly under: readonly Layer[];
  readonly over: readonly Layer[];
  readonly shape: Shape;
  readonly box: { readonly left: Metres; readonly right: Metres; readonly bottom: Metres; readonly top: Metres };
  /** Strips stand upright, or lie along. */
  readonly upright: boolean;
  /** From the right, or the top, to the other end. */
  readonly backwards: boolean;
  readonly lines: readonly { readonly id: string; readonly strokes: readonly (readonly [Point, Point])[] }[];
  /** Developed over drawn area: a sloping ceiling is larger than its plan. */
  readonly stretch: number;
}

const boxOf = (points: readonly Point[]) => ({
  left: Math.min(...points.map((p) => p.x)),
  right: Math.max(...points.map((p) => p.x)),
  bottom: Math.min(...points.map((p) => p.y)),
  top: Math.max(...points.map((p) => p.y)),
});
type Box = Ground['box'];
const pointsOf = ({ left, right, bottom, top }: Box): Shape => [
  { x: left, y: bottom },
  { x: right, y: bottom },
  { x: right, y: top },
  { x: left, y: top },
];

/** What of a convex shape lies in a box. */
function within(shape: Shape, { left, right, bottom, top }: Box): Shape {
  const sides = [
    { inside: (p: Point) => p.x >= left, at: (p: Point, q: Point) => (left - p.x) / (q.x - p.x) },
    { inside: (p: Point) => p.x <= right, at: (p: Point, q: Point) => (right - p.x) / (q.x - p.x) },
    { inside: (p: Point) => p.y >= bottom, at: (p: Point, q: Point) => (bottom - p.y) / (q.y - p.y) },
    { inside: (p: Point) => p.y <= top, at: (p: Point, q: Point) => (top - p.y) / (q.y - p.y) },
  ];
  return sides.reduce<Shape>(
    (points, { inside, at }) =>
      points.flatMap((p, i) => {
        const q = points[(i + 1) % points.length] as Point;
        const t = at(p, q);
        const crossing = inside(p) === inside(q) ? [] : [{ x: p.x + (q.x - p.x) * t, y: p.y + (q.y - p.y) * t }];
        return inside(p) ? [p, ...crossing] : crossing;
      }),
    shape,
  );
}

/** A band this wide on both sides of a stroke, and past its ends. */
function bandAlong([from, to]: readonly [Point, Point], width: Metres): Shape {
  const length = Math.hypot(to.x - from.x, to.y - from.y) || 1;
  const [ux, uy] = [((to.x - from.x) / length) * width, ((to.y - from.y) / length) * width];
  const corner = (p: Point, along: number, beside: number): Point => ({
    x: p.x + along * ux - beside * uy,
    y: p.y + along * uy + beside * ux,
  });
  return [corner(from, -1, -1), corner(to, 1, -1), corner(to, 1, 1), corner(from, -1, 1)];
}

/** Trapezia side by side whose edges run on straight, as one: [left low, right low, right high, left high]. */
function joined(pieces: readonly Shape[]): Shape[] {
  const near = (p: number, q: number) => Math.abs(p - q) < 1e-9;
  const goesOn = (a: Point, b: Point, c: Point) =>
    near((b.y - a.y) * (c.x - b.x), (c.y - b.y) * (b.x - a.x)) || near(a.x, b.x);
  return pieces.reduce<Shape[]>((list, piece) => {
    const [ll, rl, rh, lh] = piece as [Point, Point, Point, Point];
    const i = list.findIndex((before) => {
      const [a, b, c, d] = before as [Point, Point, Point, Point];
      return near(b.x, ll.x) && near(b.y, ll.y) && near(c.y, lh.y) && goesOn(a, b, rl) && goesOn(d, c, rh);
    });
    if (i < 0) return [...list, piece];
    const [a, , , d] = list[i] as [Point, Point, Point, Point];
    return list.map((shape, k) => (k === i ? [a, rl, rh, d] : shape));
  }, []);
}

const strokesOf = (polylines: readonly (readonly Point[])[]): (readonly [Point, Point])[] =>
  polylines.flatMap((line) => line.slice(1).map((to, i) => [line[i] as Point, to] as const));

/** Lines of this coat as they run on a wall; a corner that the next wall begins at stands at its start. */
function linesOn(ask: BroadAsk, wallId: string, height: Metres): Ground['lines'] {
  const cut = new Set(ask.done.filter((d) => CUTS.has(d.kind)).map((d) => d.line));
  const { id: surface } = ask.specified.surface;
  const mine = ({ id, a, b, kind, corner }: Meeting): boolean =>
    cut.has(id) || (cut.has(null) && kind === 'corner' && corner === 'inside' && (a === surface || b === surface));
  return ask.takeoff.meetings.filter(mine).map((meeting) => ({
    id: meeting.id,
    strokes:
      meeting.kind === 'corner' && meeting.wall !== wallId
        ? [
            [
              { x: 0, y: 0 },
              { x: 0, y: height },
            ] as const,
          ]
        : strokesOf(meeting.geometry()),
  }));
}

function wallGround(ask: BroadAsk): Ground | null {
  const { takeoff, specified, hand } = ask;
  const { surface } = specified;
  const wall = takeoff.walls.find((w) => w.wall.id === surface.wall);
  if (!wall) return null;
  const all = layersOn(takeoff.room, wall.outline, wall.openings, wall.parts, wall.runs);
  const own = surface.id.includes('/region/') ? (surface.id.split('/').at(-1) ?? '') : 'field';
  const at = all.findIndex((layer) => layer.id === own);
  const shape = all[at]?.points;
  if (!shape || !surface.id.startsWith(`${wall.wall.id}/`)) return null;
  const height = Math.max(...wall.outline.top.map((p) => p.y));
  return {
    under: all.slice(0, at + 1),
    over: all.slice(at + 1),
    shape,
    box: boxOf(shape),
    upright: true,
    backwards: hand === 'right',
    lines: linesOn(ask, wall.wall.id, height),
    stretch: 1,
  };
}

/** Across the light of the windows for the first coat, along it for the next; without windows a long room is crossed first. */
function ceilingGround(ask: BroadAsk): Ground | null {
  const { takeoff, specified, coat, hand, done } = ask;
  const plan = takeoff.plan;
  if (plan.length < 3) return null;
  const box = boxOf(plan);
  const long = box.right - box.left >= box.top - box.bottom;
  const i = takeoff.walls.findIndex((w) => w.openings.some((o) => o.kind === 'window'));
  const [from, to] = [plan[i], plan[(i + 1) % plan.length]];
  // light falls square to the wall with the window
  const lightAlongX = i >= 0 && from && to ? Math.abs(to.y - from.y) > Math.abs(to.x - from.x) : long;
  const acrossFirst = coat % 2 === 1;
  const plain = plan.length === takeoff.walls.length;
  const cut = done.filter((d) => CUTS.has(d.kind) && d.line !== null).map((d) => d.line as string);
  const edge = (n: number): readonly [Point, Point] => [plan[n] as Point, plan[(n + 1) % plan.length] as Point];
  const lines = cut.flatMap((id) => {
    const meeting = takeoff.meetings.find((m) => m.id === id);
    const n = takeoff.walls.findIndex((w) => w.wall.id === meeting?.wall);
    if (n < 0) return [];
    return [{ id, strokes: plain ? [edge(n)] : [] }];
  });
  const drawn = areaOf([plan]);
  return {
    under: [{ id: 'field', points: plan }],
    over: [],
    shape: plan,
    box,
    // strips across the light run square to it
    upright: lightAlongX === acrossFirst,
    backwards: hand === 'right',
    lines,
    stretch: drawn > 0 ? specified.surface.area.value / drawn : 1,
  };
}

/** Cut along each line, then rolled strip by strip out of the corner, each into the last while that is wet. */
export function broadStrokes(ask: BroadAsk): Draft[] {
  const ground = ask.specified.surface.kind === 'ceiling' ? ceilingGround(ask) : wallGround(ask);
  if (!ground) return [];
  const { job, specified, done, litres } = ask;
  const { width } = effective(specified.system.cover);
  const band = setting(job, 'cut.band');
  const { box, upright } = ground;
  const [start, end] = upright ? [box.left, box.right] : [box.bottom, box.top];
  const count = Math.max(1, Math.ceil((end - start) / width - 1e-9));
  const between = (i: number, j: number): Box => {
    const [near, far] = ground.backwards ? [end - j * width, end - i * width] : [start + i * width, start + j * width];
    const [a, b] = [Math.max(start, near), Math.min(end, far)];
    return upright ? { ...box, left: a, right: b } : { ...box, bottom: a, top: b };
  };
  const strips = Array.from({ length: count }, (_, i): Layer => ({
    id: `strip-${i + 1}`,
    points: pointsOf(between(i, i + 1)),
  }));
  const bands = ground.lines.flatMap(({ id, strokes }) =>
    strokes.flatMap((stroke): Layer[] => {
      const points = within(bandAlong(stroke, band), box);
      return points.length > 2 ? [{ id: `cut:${id}`, points }] : [];
    }),
  );
  // a strip that reaches beyond a wall's slopes is told by the layer it lies on: only what is over the surface is its own
  const seen = overlay([...ground.under, ...strips, ...bands, ...ground.over]);
  const own = (id: string): Shape[] => joined(seen.pieces.filter((p) => p.id === id).map((p) => p.points));
  const cuts = [...new Set(bands.map((b) => b.id))].map((id): Draft => {
    const shape = own(id);
    const area = areaOf(shape) * ground.stretch;
    const line = id.slice('cut:'.length);
    const length = ground.lines
      .filter((l) => l.id === line)
      .flatMap((l) => l.strokes)
      .reduce((sum, [p, q]) => sum + Math.hypot(q.x - p.x, q.y - p.y), 0);
    return {
      id,
      kind: 'cut',
      shape,
      area,
      overlaps: [],
      after: null,
      film: area,
      weight: length,
      of: (d) => CUTS.has(d.kind) && (d.line === line || d.line === null),
    };
  });
  const rolled = strips.map(({ id }) => ({ id, shape: own(id), area: areaOf(own(id)) * ground.stretch }));
  const whole = rolled.reduce((sum, r) => sum + r.area, 0);
  const films = whole + cuts.reduce((sum, c) => sum + c.film, 0);
  const dip = dipOf(job, effective(specified.system.cover));
  const dips = films > 0 ? (litres * whole) / films / dip : 0;
  const loading = setting(job, 'dip.minutes');
  const rolling = done.filter(isRoll).reduce((sum, d) => sum + d.minutes, 0);
  const spreading = Math.max(rolling - Math.ceil(dips) * loading, rolling * 0.1);
  // half a ceiling's strip, a quarter of a wall's, is gone over again, back into the wet
  const back = specified.surface.kind === 'ceiling' ? 0.5 : 0.25;
  let laid = 0;
  let taken = 0;
  const strokes = rolled
    .filter((r) => r.area > 1e-9)
    .flatMap(({ id, shape, area }, n): Draft[] => {
      const drafts: Draft[] = [];
      const before = laid;
      laid += whole > 0 ? (dips * area) / whole : 0;
      while (taken < laid - 1e-9 || (n === 0 && taken === 0)) {
        taken++;
        drafts.push({
          id: `dip-${taken}`,
          kind: 'dip',
          shape: [],
          area: 0,
          overlaps: [],
          after: null,
          film: 0,
          weight: loading,
          of: isRoll,
        });
        if (taken >= before + 200) break;
      }
      const last = rolled[rolled.findIndex((r) => r.id === id) - 1];
      const i = strips.findIndex((s) => s.id === id);
      const overlaps =
        last && last.area > 1e-9
          ? last.shape
              .map((piece) => within(piece, between(i - back, i)))
              .filter((piece) => piece.length > 2)
              .map((piece) => ({ stroke: last.id, shape: piece }))
          : [];
      drafts.push({
        id,
        kind: 'roll',
        shape,
        area,
        overlaps,
        after: null,
        film: area,
        weight: whole > 0 ? (spreading * area) / whole : 0,
        of: isRoll,
      });
      return drafts;
    });
  return [...cuts, ...strokes];
}
