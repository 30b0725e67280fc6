import { setting } from '../job/defaults.ts';
import type { Job } from '../job/types.ts';
import type { Hand } from '../job/vocabulary.ts';
import { layersOn } from '../measure/face.ts';
import type { Point } from '../measure/geometry.ts';
import { MEETING_RULES, type Meeting } from '../measure/meetings.ts';
import type { Layer } from '../measure/overlay.ts';
import type { RoomTakeoff } from '../measure/takeoff.ts';
import type { Specified } from '../specify/specify.ts';
import type { Litres, Metres } from '../units/si.ts';
import { areaOf, type Done, type Shape } from './play.ts';
import { boxOf, type Box } from './shapes.ts';
import { at, ring } from '../units/list.ts';

/** A coat of a surface, as a play is asked for. */
export interface PlayAsk {
  readonly job: Pick<Job, 'settings' | 'practice' | 'air'>;
  readonly takeoff: RoomTakeoff;
  readonly specified: Specified;
  readonly layer: 'finish' | 'primer';
  readonly coat: number;
  /** Coats of that layer. */
  readonly coats: number;
  /** What is done in this coat. */
  readonly done: readonly Done[];
  readonly litres: Litres;
  readonly hand: Hand;
  /** Some line of it was taped for a first coat, and this one is cut inside that. */
  readonly inside: boolean;
}

type Segment = readonly [Point, Point];
/** A line that the brush goes along, piece by piece as an arm reaches; none: it has no place on the drawing. */
export interface CutLine {
  readonly id: string;
  /** Brushed for both sides of a corner that gets one finish. */
  readonly blind: boolean;
  readonly length: Metres;
  readonly stretches: readonly Segment[];
}

/** A broad surface laid out flat: what lies over it, how it is rolled, and the lines along which it is cut. */
export interface Ground {
  readonly kind: 'wall' | 'ceiling';
  /** Layers below it and itself, and what hides it. */
  readonly under: readonly Layer[];
  readonly over: readonly Layer[];
  readonly shape: Shape;
  readonly box: Box;
  /** Strips stand upright, or lie along. */
  readonly upright: boolean;
  /** From the right, or the top, to the other end. */
  readonly backwards: boolean;
  /** In the order they are cut. */
  readonly lines: readonly CutLine[];
  /** Developed over drawn area: a sloping ceiling is larger than its plan. */
  readonly stretch: number;
  /** What decides which way its strips run; null: nothing but the hand. */
  readonly light: 'across' | 'along' | 'none' | null;
  /** So narrow that it is rolled along its length. */
  readonly narrow: boolean;
}

/** Covers that fit across what is still narrow. */
const NARROW = 2;

const CUTS: ReadonlySet<string> = new Set(['cut', 'lap', 'prime-cut']);
/** Whether it is cut in. */
export const isCut = ({ kind }: Done): boolean => CUTS.has(kind);
/** Whether it is rolled, with paint or primer. */
export const isRoll = ({ kind }: Done): boolean => kind === 'roll' || kind === 'prime-roll';

/** What is rolled of a wall or ceiling, and in which direction; null: nothing is. @param cover width of the roller cover, m. */
export const groundOf = (ask: PlayAsk, cover: Metres): Ground | null =>
  ask.specified.surface.kind === 'ceiling' ? ceilingGround(ask) : wallGround(ask, cover);

/** Which meetings of the surface are cut in this coat: by line, or all of them by one operation. */
function cutMeetings({ takeoff, specified, done, layer }: PlayAsk): Meeting[] {
  const { id } = specified.surface;
  const cut = new Set(done.filter(isCut).map((d) => d.line));
  const mine = takeoff.meetings.filter(({ a, b }) => a === id || b === id);
  if (layer === 'primer') return cut.size ? mine.filter(({ kind }) => MEETING_RULES[kind].cut) : [];
  return mine.filter((m) => cut.has(m.id) || (cut.has(null) && isBlind(m)));
}
const isBlind = ({ kind, corner }: Meeting): boolean => kind === 'corner' && corner === 'inside';

const segmentsOf = (polylines: readonly (readonly Point[])[]): Segment[] =>
  polylines.flatMap((line) => line.slice(1).map((to, i) => [at(line, i), to] as const));
const lengthOf = ([p, q]: Segment): Metres => Math.hypot(q.x - p.x, q.y - p.y);

/** In stretches of an arm's reach, from the hand's own side, or from the top down. */
function stretchesOf(segments: readonly Segment[], reach: Metres, hand: Hand): Segment[] {
  const begins = ([p, q]: Segment): Segment => {
    const steep = Math.abs(q.y - p.y) > Math.abs(q.x - p.x);
    const forwards = steep ? p.y > q.y : hand === 'right' ? p.x > q.x : p.x < q.x;
    return forwards ? [p, q] : [q, p];
  };
  const ordered = segments.map(begins).toSorted(([p], [q]) => (hand === 'right' ? q.x - p.x : p.x - q.x));
  return ordered.flatMap((segment) => {
    const [p, q] = segment;
    const n = Math.max(1, Math.ceil(lengthOf(segment) / reach - 1e-9));
    const at = (i: number): Point => ({ x: p.x + ((q.x - p.x) * i) / n, y: p.y + ((q.y - p.y) * i) / n });
    return Array.from({ length: n }, (_, i): Segment => [at(i), at(i + 1)]);
  });
}

const LOW: ReadonlySet<string> = new Set(['wall-baseboard', 'wall-floor', 'wall-stair']);
const HIGH: ReadonlySet<string> = new Set(['wall-ceiling', 'wall-crown']);
/** From the top down, and from the hand's side on; what stands on the floor last. */
const cutRank = ({ kind }: Meeting): number => (HIGH.has(kind) ? 0 : LOW.has(kind) ? 2 : 1);

function wallLines(ask: PlayAsk, wallId: string, height: Metres): CutLine[] {
  const { job, hand } = ask;
  const reach = setting(job, 'cut.stretch');
  // a corner that the next wall begins at stands at its start
  const atStart: Segment = [
    { x: 0, y: 0 },
    { x: 0, y: height },
  ];
  return cutMeetings(ask)
    .map((meeting) => {
      const elsewhere = meeting.kind === 'corner' && meeting.wall !== wallId;
      const segments = elsewhere ? [atStart] : segmentsOf(meeting.geometry());
      const middle = segments.reduce((sum, [p, q]) => sum + p.x + q.x, 0) / (2 * segments.length || 1);
      return {
        rank: cutRank(meeting),
        middle: hand === 'right' ? -middle : middle,
        line: {
          id: meeting.id,
          blind: isBlind(meeting),
          length: meeting.length,
          stretches: stretchesOf(segments, reach, hand),
        },
      };
    })
    .sort((a, b) => a.rank - b.rank || a.middle - b.middle)
    .map(({ line }) => line);
}

function wallGround(ask: PlayAsk, cover: Metres): Ground | null {
  const { takeoff, specified, hand } = ask;
  const { surface } = specified;
  const wall = takeoff.walls.find((w) => w.wall.id === surface.wall);
  if (!wall || !surface.id.startsWith(`${wall.wall.id}/`)) return null;
  const all = layersOn(takeoff.room, wall.outline, wall.openings, wall.parts, wall.runs);
  const own = surface.id.includes('/region/') ? (surface.id.split('/').at(-1) ?? '') : 'field';
  const at = all.findIndex((layer) => layer.id === own);
  const shape = all[at]?.points;
  if (!shape) return null;
  const height = Math.max(...wall.outline.top.map((p) => p.y));
  const box = boxOf(shape);
  const [wide, high] = [box.right - box.left, box.top - box.bottom];
  const narrow = Math.min(wide, high) <= NARROW * cover;
  const upright = !narrow || high > wide;
  return {
    kind: 'wall',
    under: all.slice(0, at + 1),
    over: all.slice(at + 1),
    shape,
    box,
    upright,
    backwards: upright ? hand === 'right' : true,
    lines: wallLines(ask, wall.wall.id, height),
    stretch: 1,
    light: null,
    narrow,
  };
}

/** This much longer than it is wide, a room is long and narrow [starting judgement]. */
const LONG = 2;

/**
 * Across the light of the windows for the first coat, along it for the next. Without windows it does not matter, but that a long
 * narrow room is crossed first, then rolled along [common practice, no source].
 */
function ceilingGround(ask: PlayAsk): Ground | null {
  const { takeoff, specified, coat, hand, job } = ask;
  const plan = takeoff.plan;
  if (plan.length < 3) return null;
  const box = boxOf(plan);
  const [wide, deep] = [box.right - box.left, box.top - box.bottom];
  const i = takeoff.walls.findIndex((w) => w.openings.some((o) => o.kind === 'window'));
  const [from, to] = [plan[i], plan[(i + 1) % plan.length]];
  const lit = i >= 0 && from && to;
  // light falls square to the wall with the window
  const lightAlongX = lit ? Math.abs(to.y - from.y) > Math.abs(to.x - from.x) : wide >= deep;
  const across = coat % 2 === 1;
  const long = Math.max(wide, deep) > LONG * Math.min(wide, deep);
  const plain = plan.length === takeoff.walls.length;
  const reach = setting(job, 'cut.stretch');
  const edge = (n: number): Segment => [at(plan, n), ring(plan, n + 1)];
  const edges = cutMeetings(ask).map((meeting): CutLine => {
    const n = takeoff.walls.findIndex((w) => w.wall.id === meeting.wall);
    const segments = plain && n >= 0 ? [edge(n)] : [];
    return { id: meeting.id, blind: false, length: meeting.length, stretches: stretchesOf(segments, reach, hand) };
  });
  const drawn = areaOf([plan]);
  return {
    kind: 'ceiling',
    under: [{ id: 'field', points: plan }],
    over: [],
    shape: plan,
    box,
    // strips across the light run square to it
    upright: lightAlongX === across,
    backwards: hand === 'right',
    // edges, then what is round
    lines: edges.toSorted((a, b) => Number(a.stretches.length === 0) - Number(b.stretches.length === 0)),
    stretch: drawn > 0 ? specified.surface.area.value / drawn : 1,
    light: lit || long ? (across ? 'across' : 'along') : 'none',
    narrow: false,
  };
}
