import { setting } from '../job/defaults.ts';
import type { Point } from '../measure/geometry.ts';
import type { Layer } from '../measure/overlay.ts';
import { dipOf } from '../paces/minutes.ts';
import { effective } from '../specify/reasons.ts';
import type { Litres, Metres, Minutes } from '../units/si.ts';
import { isRoll, type Ground, type PlayAsk } from './ground.ts';
import { laidOffTogether, type Manner } from './manner.ts';
import type { Draft, Shape, Stroke } from './play.ts';
import { boxOf, pointsOf, reachOver, turned, within, type Box } from './shapes.ts';

/** What is rolled with one or more loads, out of the corner or out of the last strip. */
interface Strip {
  readonly n: number;
  readonly box: Box;
  /** What a load spreads over, the highest first; ids are strokes. */
  readonly sections: readonly { readonly id: string; readonly box: Box }[];
  /** Top and bottom, once the cover is unloaded. */
  readonly ends: string;
}

/** Along the way the strips go on, and across it. */
interface Span {
  readonly from: Metres;
  readonly to: Metres;
  readonly low: Metres;
  readonly high: Metres;
}
const boxFor = ({ upright }: Ground, { from, to, low, high }: Span): Box =>
  upright ? { left: from, right: to, bottom: low, top: high } : { left: low, right: high, bottom: from, top: to };

/** Of the way the strips go on: its two ends, nearest to where rolling begins first. */
export function wayOf({ box, upright, backwards }: Ground): readonly [Metres, Metres] {
  const [low, high] = upright ? [box.left, box.right] : [box.bottom, box.top];
  return backwards ? [high, low] : [low, high];
}

/** How far strips lie apart, in metres: half to one cover is left to the last strip, and filled from the wet. */
function pitchOf(ask: PlayAsk, ground: Ground, { spread }: Manner, long: Metres, dipArea: number): Metres {
  const { width } = effective(ask.specified.system.cover);
  if (ground.kind === 'ceiling' || ground.narrow) return width;
  if (spread === 'zigzag') return width * (1 + setting(ask.job, 'roll.gap'));
  // as wide as one load fills from top to bottom
  return Math.min(2 * width, Math.max(width, long > 0 ? dipArea / long : width));
}

/** Square metres of the drawing that one load covers. */
function dipAreaOf({ job, specified: s, litres }: PlayAsk, { stretch }: Ground): number {
  const each = s.surface.area.value > 0 ? litres / s.surface.area.value : 0;
  return each > 0 ? dipOf(job, effective(s.system.cover)) / each / stretch : Infinity;
}

/** The strips a face is rolled in, in the order in which they are rolled; together they tile it. */
export function stripsOf(ask: PlayAsk, ground: Ground, manner: Manner): Strip[] {
  const { box, upright, shape, narrow } = ground;
  const [start, end] = wayOf(ground);
  const way = Math.sign(end - start);
  const whole = Math.abs(end - start);
  const across: readonly [Metres, Metres] = upright ? [box.bottom, box.top] : [box.left, box.right];
  const dipArea = dipAreaOf(ask, ground);
  const count = Math.max(1, Math.ceil(whole / pitchOf(ask, ground, manner, across[1] - across[0], dipArea) - 1e-9));
  const pitch = whole / count;
  const keepOff = narrow ? 0 : setting(ask.job, 'roll.ends');
  return Array.from({ length: count }, (_, i): Strip => {
    const [a, b] = [start + way * i * pitch, start + way * (i + 1) * pitch];
    const [from, to] = [Math.min(a, b), Math.max(a, b)];
    const { foot, top } = reachOver(upright ? shape : turned(shape), from, to);
    const zone = Math.min(keepOff, Math.max(0, top - foot) / 4);
    const [low, high] = [foot + zone, top - zone];
    const n = loadsFor(pitch * (high - low), pitch * 2 * zone, dipArea);
    // a whole upright strip is spread in one, however many loads it takes
    const sections = manner.spread === 'upright' && !narrow ? 1 : n;
    const each = (high - low) / sections;
    return {
      n: i + 1,
      box: boxFor(ground, { from, to, low: across[0], high: across[1] }),
      ends: `strip-${i + 1}/ends`,
      sections: Array.from({ length: sections }, (_, j) => ({
        id: `strip-${i + 1}/${j + 1}`,
        box: boxFor(ground, { from, to, low: high - (j + 1) * each, high: high - j * each }),
      })),
    };
  });
}
/** Loads that carry what lies between the ends, the last of them the ends too. */
function loadsFor(between: number, ends: number, dipArea: number): number {
  if (!(between > 0) || dipArea === Infinity) return 1;
  const room = dipArea - ends;
  return Math.max(1, Math.ceil((room > dipArea / 4 ? between / room : (between + ends) / dipArea) - 1e-9));
}

/** Ends under the sections of their strip. */
export const layersOf = (strips: readonly Strip[]): Layer[] =>
  strips.flatMap(({ box, ends, sections }) => [
    { id: ends, points: pointsOf(box) },
    ...sections.map(({ id, box: own }) => ({ id, points: pointsOf(own) })),
  ]);

/** Up and down beside each other, joined as one track. */
function zigzag({ left, right, bottom, top }: Box, upright: boolean, turns: number): Point[] {
  return Array.from({ length: turns + 1 }, (_, i): Point => {
    const along = i / turns;
    return upright
      ? { x: left + (right - left) * along, y: i % 2 ? top : bottom }
      : { x: i % 2 ? right : left, y: bottom + (top - bottom) * along };
  });
}
/** Four strokes make a W. */
const TURNS = 4;

export interface Seen {
  readonly shapes: (id: string) => readonly Shape[];
  readonly area: (id: string) => number;
}

/** Strokes of rolling, strip by strip: a load, its sections, top and bottom, then lay off as many strips as are still fresh. */
export function rolledStrokes(
  ask: PlayAsk,
  ground: Ground,
  manner: Manner,
  strips: readonly Strip[],
  seen: Seen,
): { readonly drafts: Draft[]; readonly together: number } {
  const { done } = ask;
  const rolling = done.filter(isRoll).reduce((sum, d) => sum + d.minutes, 0);
  const idsOf = (strip: Strip) => [...strip.sections.map((s) => s.id), strip.ends].filter((id) => seen.area(id) > 1e-9);
  const there = strips.filter((strip) => idsOf(strip).length > 0);
  const together = laidOffTogether(ask, there.length, rolling / Math.max(1, there.length));
  const pace = paceOf(ask, ground, there, rolling, seen);
  const drafts: Draft[] = manner.newCover
    ? [{ id: 'rest', kind: 'rest', step: `strip-${there[0]?.n ?? 1}`, of: isRoll, weight: pace.rest }]
    : [];
  let before: Strip | null = null;
  let fresh: Strip[] = [];
  let laid = 0;
  for (const strip of there) {
    drafts.push(...stripStrokes(ask, ground, manner, strip, before, seen, pace));
    before = strip;
    fresh.push(strip);
    if (manner.layOff !== null && (fresh.length === together || strip === there.at(-1))) {
      drafts.push(layOff(`lay-off-${++laid}`, fresh.flatMap(idsOf), fresh, ground, manner, seen, pace.layOff));
      fresh = [];
    }
  }
  return { drafts, together };
}

/** Weights in minutes: loading and resting take their time, the rest goes by area. */
interface Pace {
  readonly dip: Minutes;
  readonly rest: Minutes;
  /** A square metre, spread and laid off. */
  readonly spread: Minutes;
  readonly layOff: Minutes;
}
function paceOf(ask: PlayAsk, ground: Ground, strips: readonly Strip[], rolling: Minutes, seen: Seen): Pace {
  const { job } = ask;
  const area = strips
    .flatMap((s) => [...s.sections.map((one) => one.id), s.ends])
    .reduce((sum, id) => sum + seen.area(id), 0);
  const dip = setting(job, 'dip.minutes');
  const loads = area / ground.stretch / dipAreaOf(ask, ground);
  const rest = Math.min(setting(job, 'cover.rest'), rolling / 10);
  const moving = Math.max(rolling - loads * dip - rest, rolling / 10);
  const share = setting(job, 'roll.layOff');
  const each = area > 0 ? moving / area : 0;
  return { dip, rest, spread: each * (1 - share), layOff: each * share };
}

function stripStrokes(
  ask: PlayAsk,
  ground: Ground,
  manner: Manner,
  strip: Strip,
  before: Strip | null,
  seen: Seen,
  pace: Pace,
): Draft[] {
  const { litres, specified: s, job } = ask;
  const each = s.surface.area.value > 0 ? litres / s.surface.area.value : 0;
  const most: Litres = dipOf(job, effective(s.system.cover));
  const own = strip.sections.filter(({ id }) => seen.area(id) > 1e-9);
  const ends = seen.area(strip.ends) > 1e-9 ? [strip.ends] : [];
  const drafts = own.flatMap(({ id, box }, i): Draft[] => {
    const feeds = i === own.length - 1 ? [id, ...ends] : [id];
    return [
      ...loads(`dip-${id}`, `strip-${strip.n}`, feeds, each, most, seen, pace.dip),
      {
        id,
        kind: 'spread',
        step: `strip-${strip.n}`,
        shape: seen.shapes(id),
        area: seen.area(id),
        path: zigzag(
          boxOf(seen.shapes(id).flat()),
          manner.spread === 'upright' || ground.upright,
          turnsIn(manner, box, ground, ask),
        ),
        overlaps: backInto(ground, strip, box, before, seen),
        of: isRoll,
        weight: seen.area(id) * pace.spread,
        film: seen.area(id),
      },
    ];
  });
  const alone =
    own.length === 0 ? loads(`dip-${strip.ends}`, `strip-${strip.n}`, ends, each, most, seen, pace.dip) : [];
  return [
    ...drafts,
    ...alone,
    ...ends.map((id): Draft => ({
      id,
      kind: 'ends',
      step: `strip-${strip.n}`,
      shape: seen.shapes(id),
      area: seen.area(id),
      of: isRoll,
      weight: seen.area(id) * pace.spread,
      film: seen.area(id),
    })),
  ];
}
const turnsIn = (
  { spread }: Manner,
  { left, right, bottom, top }: Box,
  { upright }: Ground,
  { specified: s }: PlayAsk,
): number =>
  spread === 'zigzag'
    ? TURNS
    : 2 * Math.max(1, Math.round((upright ? right - left : top - bottom) / effective(s.system.cover).width));

/** As many loads as carry what the strokes lay: one, but for small covers and upright strips. */
function loads(
  id: string,
  step: string,
  feeds: readonly string[],
  each: number,
  most: Litres,
  seen: Seen,
  minutes: Minutes,
): Draft[] {
  const litres = feeds.reduce((sum, fed) => sum + seen.area(fed), 0) * each;
  const n = Math.max(1, Math.ceil(litres / most - 1e-6));
  return Array.from({ length: n }, (_, i): Draft => ({
    id: n > 1 ? `${id}/${i + 1}` : id,
    kind: 'dip',
    step,
    of: isRoll,
    weight: minutes,
    feeds,
  }));
}

/** Of a cover's width: half a ceiling's strip, a quarter of a wall's, is gone over again. */
const BACK = { wall: 0.25, ceiling: 0.5 } as const;
/** Back into the wet: what of the last strip is rolled over again from this section. */
function backInto(ground: Ground, strip: Strip, section: Box, before: Strip | null, seen: Seen): Stroke['overlaps'] {
  if (!before) return [];
  const { upright, backwards, kind } = ground;
  const [near, far] = upright ? [strip.box.left, strip.box.right] : [strip.box.bottom, strip.box.top];
  const deep = (far - near) * BACK[kind];
  const [from, to] = backwards ? [far, far + deep] : [near - deep, near];
  const again: Box = upright ? { ...section, left: from, right: to } : { ...section, bottom: from, top: to };
  return [...before.sections.map((s) => s.id), before.ends].flatMap((stroke) =>
    seen
      .shapes(stroke)
      .map((piece) => within(piece, again))
      .filter((piece) => piece.length > 2)
      .map((shape) => ({ stroke, shape })),
  );
}

function layOff(
  id: string,
  over: readonly string[],
  strips: readonly Strip[],
  { upright }: Ground,
  manner: Manner,
  seen: Seen,
  minutes: Minutes,
): Draft {
  const shapes = over.flatMap((stroke) => seen.shapes(stroke).map((shape) => ({ stroke, shape })));
  const area = over.reduce((sum, stroke) => sum + seen.area(stroke), 0);
  const { left, right, bottom, top } = boxOf(shapes.flatMap(({ shape }) => shape));
  const path = strips.flatMap(({ box }): Point[] => {
    if (!upright)
      return [
        { x: left, y: (box.bottom + box.top) / 2 },
        { x: right, y: (box.bottom + box.top) / 2 },
      ];
    const x = (Math.max(box.left, left) + Math.min(box.right, right)) / 2;
    const down: Point[] = [
      { x, y: top },
      { x, y: bottom },
    ];
    return manner.layOff === 'down' ? down : [{ x, y: bottom }, ...down];
  });
  return {
    id,
    kind: 'lay-off',
    step: `strip-${strips.at(-1)?.n ?? 0}`,
    overlaps: shapes,
    path,
    of: isRoll,
    weight: area * minutes,
  };
}
