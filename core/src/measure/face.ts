import { setting } from '../job/defaults.ts';
import type { Job } from '../job/types.ts';
import type { Opening, Part, Room, TrimRun, Wall } from '../job/measured.ts';
import type { LineKind, TrimKind } from '../job/vocabulary.ts';
import type { Metres, SquareMetres } from '../units/si.ts';
import { compute, given, unopened, type Working } from '../units/working.ts';
import { phrase, type Word } from '../units/word.ts';
import { TRIM } from '../words/terms.ts';
import type { Point } from './geometry.ts';
import {
  boardLength,
  boxOf,
  casingLength,
  edgeLength,
  frameOf,
  isOffFloor,
  openingArea,
  pointsOf,
} from './openings.ts';
import { climbs, footLength, lowestTop, pointsOfBox, polygonOf, topLength, type Box, type Outline } from './outline.ts';
import { overlay, type Layer, type Overlay } from './overlay.ts';
import { fixtureCut, partBox, PART_RULES } from './parts.ts';

/** A line along a wall. */
export interface WallLine {
  readonly kind: LineKind;
  readonly length: Metres;
}
/** A region of a wall with a finish of its own, or what is left of the wall beside such regions. */
export interface Region {
  readonly part: Part;
  readonly area: Working;
  readonly cut: Metres;
}
export interface WallTakeoff {
  readonly wall: Wall;
  readonly outline: Outline;
  readonly adjusted: Metres;
  /** Sound openings and parts on this wall. */
  readonly openings: readonly Opening[];
  readonly parts: readonly Part[];
  /** Runs of trim along it. */
  readonly runs: Partial<Record<TrimKind, Metres>>;
  readonly gross: Working;
  readonly openingArea: Working;
  readonly net: Working;
  /** Net less the faces of trim, what is hidden, and regions with a finish of their own: what Order buys paint for. */
  readonly painted: Working;
  /** Gross less openings over the threshold: what the gross school prices labour on. */
  readonly grossSchool: Working;
  readonly regions: readonly Region[];
  /** Lines a brush cuts along this wall, and along the rest of it beside its regions. */
  readonly lines: readonly WallLine[];
  readonly cut: Metres;
}

type Context = Pick<Job, 'settings'>;

/** A stretch of trim on a wall. */
interface Stretch {
  readonly left: Metres;
  readonly right: Metres;
  readonly bottom: Metres;
}
const total = (stretches: readonly Stretch[]): Metres => stretches.reduce((sum, s) => sum + s.right - s.left, 0);

/** Stretches of a run at a height above the floor, broken by what stands across it and by stairs. */
function stretches(outline: Outline, boxes: readonly Box[], bottom: Metres, face: Metres): Stretch[] {
  const across = boxes.filter((box) => box.bottom < bottom + face - 1e-6 && box.top > bottom + 1e-6);
  const gone = [...across, ...buried(outline, bottom).map(([left, right]) => ({ left, right }))];
  return gaps(gone, outline.length).map(([left, right]) => ({ left, right, bottom }));
}

/** Stretches along the foot: on the floor, and on the landing that stairs beside the wall lead to. */
function footStretches(outline: Outline, boxes: readonly Box[], face: Metres): Stretch[] {
  const [from, to] = outline.stairs;
  const levels = [
    { left: 0, right: from === to ? outline.length : from, bottom: (outline.foot[0] as Point).y },
    { left: from === to ? outline.length : to, right: outline.length, bottom: (outline.foot.at(-1) as Point).y },
  ];
  return levels.flatMap(({ left, right, bottom }) => {
    const across = boxes.filter((box) => box.bottom < bottom + face - 1e-6 && box.top > bottom + 1e-6);
    const ends = [
      { left: 0, right: left },
      { left: right, right: outline.length },
    ];
    return gaps([...across, ...ends], outline.length).map(([a, b]) => ({ left: a, right: b, bottom }));
  });
}

/** Where stairs are higher than a run. */
function buried({ foot }: Outline, at: Metres): (readonly [Metres, Metres])[] {
  return foot.slice(1).flatMap((b, i) => {
    const a = foot[i] as Point;
    if (Math.max(a.y, b.y) <= at || a.x === b.x) return [];
    const crossing = a.x + ((b.x - a.x) * (at - a.y)) / (b.y - a.y || 1);
    if (Math.min(a.y, b.y) > at) return [[a.x, b.x] as const];
    return [b.y > a.y ? ([crossing, b.x] as const) : ([a.x, crossing] as const)];
  });
}

/** What breaks a run of trim: openings with their casings, and parts that stand before the wall. */
const obstacles = (outline: Outline, openings: readonly Opening[], parts: readonly Part[]): Box[] => [
  ...openings.map((o) => boxOf(o, outline, true)),
  ...parts.filter((p) => PART_RULES[p.kind].breaksRuns).map((p) => placeOf(p, outline)),
];

export const placeOf = (part: Part, outline: Outline): Box =>
  partBox(part, outline, (left, right) => lowestTop(outline, left, right));

/** Runs of trim along one wall. */
export function runsOn(
  room: Pick<Room, 'trim'>,
  { outline, openings, parts }: Pick<WallTakeoff, 'outline' | 'openings' | 'parts'>,
): Partial<Record<TrimKind, Metres>> {
  const boxes = obstacles(outline, openings, parts);
  const { baseboard, crown, ...rails } = room.trim;
  const runs: Partial<Record<TrimKind, Metres>> = {};
  if (baseboard) runs.baseboard = total(footStretches(outline, boxes, baseboard.face.metres));
  if (crown) runs.crown = topLength(outline);
  for (const [kind, run] of Object.entries(rails) as [TrimKind, TrimRun][]) {
    const at = run.at?.metres ?? 0;
    runs[kind] = total(stretches(outline, boxes, at, run.face.metres));
  }
  return runs;
}

/** Everything measured of one wall. `openings` and `parts` are the sound ones that stand on it. */
export function takeoffWall(
  job: Context,
  room: Room,
  wall: Wall,
  outline: Outline,
  openings: readonly Opening[],
  parts: readonly Part[],
): WallTakeoff {
  const threshold = setting(job, 'openings.threshold');
  const gross = grossOf(outline);
  const areas = openings.map(openingArea);
  const total = compute('sum', 'Openings', 'area', ...areas);
  const net = compute('difference', 'Net', 'area', gross, total);
  const runs = runsOn(room, { outline, openings, parts });
  const faces = trimFaces(room, outline, openings, runs);
  const layered = parts.some((p) => PART_RULES[p.kind].layer);
  const seen = layered ? seenOn(room, outline, openings, parts, runs) : null;
  const area = (part: Part) => given(`${part.kind} ${part.label}`, seen?.areas.get(part.id) ?? 0, 'area');
  const layers = parts.filter((p) => PART_RULES[p.kind].layer);
  const painted = compute(
    'difference',
    'Painted',
    'area',
    net,
    compute('sum', 'trim faces', 'area', ...faces),
    ...(layers.length ? [compute('sum', 'hidden, or a finish of its own', 'area', ...layers.map(area))] : []),
  );
  const grossSchool = compute(
    'difference',
    'Gross school',
    'area',
    gross,
    compute('sum', 'openings over the threshold', 'area', ...areas.filter((a) => a.value > threshold)),
  );
  const edges = linesOf(room, outline, openings, runs);
  const fixtures = parts.reduce((sum, p) => sum + fixtureCut(job, p), 0);
  const regions = layers.filter((p) => PART_RULES[p.kind].layer === 'region');
  const covers = layers.filter((p) => PART_RULES[p.kind].layer === 'cover');
  const walls = ['field', ...regions.map((p) => p.id)];
  const pairs = seen
    ? walls.flatMap((a, i) => walls.slice(i + 1).map((b) => seen.border(a, b))).reduce((x, y) => x + y, 0)
    : 0;
  const roundCovers = seen ? covers.reduce((s, p) => s + walls.reduce((t, w) => t + seen.border(w, p.id), 0), 0) : 0;
  const extra: readonly WallLine[] = [
    { kind: 'region', length: pairs },
    { kind: 'cover', length: roundCovers },
    { kind: 'fixture', length: fixtures },
  ];
  const lines = [...edges, ...extra.filter((line) => line.length > 0)];
  /** All borders of one part of the wall; where regions meet, either side is cut. */
  const bordersOf = (id: string) =>
    seen
      ? ['', 'trim', 'opening', ...walls, ...covers.map((p) => p.id)].reduce(
          (s, other) => s + seen.border(id, other),
          0,
        )
      : 0;
  return {
    wall,
    outline,
    adjusted: outline.chord,
    openings,
    parts,
    runs,
    gross,
    openingArea: total,
    net,
    painted,
    grossSchool,
    regions: regions.map((part) => ({
      part,
      area: regionArea(part, outline, area(part).value),
      cut: bordersOf(part.id),
    })),
    lines,
    cut: seen ? bordersOf('field') + fixtures : lines.reduce((s, line) => s + line.length, 0),
  };
}

/** A region's own rectangle, or what of it lies within the wall, less what stands on it. */
function regionArea(part: Part, outline: Outline, seen: SquareMetres): Working {
  const box = placeOf(part, outline);
  const field = { id: 'field', points: polygonOf(outline) };
  const own = overlay([field, { id: part.id, points: pointsOfBox(box) }]).areas.get(part.id) ?? 0;
  const whole = (box.right - box.left) * (box.top - box.bottom);
  const within =
    Math.abs(whole - own) < 1e-9
      ? compute(
          'product',
          part.kind,
          'area',
          given('width', box.right - box.left, 'length'),
          given('height', box.top - box.bottom, 'length'),
        )
      : given('within the outline of the wall', own, 'area');
  return compute(
    'difference',
    `${part.kind} ${part.label}`,
    'area',
    within,
    given('openings, trim and others on it', within.value - seen, 'area'),
  );
}

/** Mean of two heights times the width between them, less what stairs take below (or plus what they leave). */
function grossOf(outline: Outline): Working {
  const top = trapezia(outline.top);
  if (!climbs(outline)) return compute('sum', 'Gross', 'area', ...top);
  return compute(
    'difference',
    'Gross',
    'area',
    compute('sum', 'down to the floor', 'area', ...top),
    compute('sum', 'below the stairs’ line', 'area', ...trapezia(outline.foot)),
  );
}
const trapezia = (chain: readonly Point[]): Working[] =>
  chain.slice(1).flatMap((b, i) => {
    const a = chain[i] as Point;
    if (b.x === a.x) return [];
    return compute(
      'product',
      'trapezium',
      'area',
      given('width', b.x - a.x, 'length'),
      compute('mean', 'mean height', 'length', given('height', a.y, 'length'), given('height', b.y, 'length')),
    );
  });

function trimFaces(
  room: Room,
  outline: Outline,
  openings: readonly Opening[],
  runs: Partial<Record<TrimKind, Metres>>,
): Working[] {
  const face = (name: () => Word, length: Metres, width: Metres) =>
    unopened(length * width, () =>
      compute('product', name(), 'area', given('run', length, 'length'), given('face', width, 'length')),
    );
  return [
    ...(Object.entries(runs) as [TrimKind, Metres][]).map(([kind, length]) =>
      face(() => TRIM[kind], length, room.trim[kind]?.face.metres ?? 0),
    ),
    ...openings.flatMap((o) =>
      o.casing
        ? [face(() => phrase`${TRIM.casing} of ${o.label}`, casingLength(o, isOffFloor(o, outline)), o.casing.metres)]
        : [],
    ),
    ...openings.flatMap((o) => (o.apron ? [face(() => `apron of ${o.label}`, boardLength(o), o.apron.metres)] : [])),
  ];
}

function linesOf(
  room: Room,
  outline: Outline,
  openings: readonly Opening[],
  runs: Partial<Record<TrimKind, Metres>>,
): WallLine[] {
  const line = (kind: LineKind, length: Metres): WallLine => ({ kind, length });
  const [start, end] = cornersOf(outline);
  const stairs = climbs(outline) ? footLength(outline) - levelLength(outline) : 0;
  return [
    line(room.trim.crown ? 'wall-crown' : 'wall-ceiling', topLength(outline)),
    line('corner', start),
    line('corner', end),
    room.trim.baseboard
      ? line('wall-baseboard', runs.baseboard ?? 0)
      : line(
          'wall-floor',
          total(
            footStretches(
              outline,
              openings.map((o) => boxOf(o, outline, true)),
              0.001,
            ),
          ),
        ),
    ...(stairs > 0 ? [line('wall-stair', stairs)] : []),
    ...openings.map((o) => line(o.casing ? 'wall-casing' : 'wall-opening', edgeLength(o, isOffFloor(o, outline)))),
    ...(['chair-rail', 'picture-rail'] as const).flatMap((kind) =>
      runs[kind] === undefined ? [] : [line(`wall-${kind}`, 2 * runs[kind])],
    ),
  ];
}
const levelLength = (outline: Outline): Metres => {
  const [a, b] = outline.stairs;
  return outline.length - (b - a);
};
/** Heights of the two upright edges. */
export const cornersOf = ({ top, foot }: Outline): readonly [Metres, Metres] => [
  (top[0] as Point).y - (foot[0] as Point).y,
  (top.at(-1) as Point).y - (foot.at(-1) as Point).y,
];

/** What is seen on a wall: field, regions in their order, what hides it, trim, casings, openings; the later the higher. */
export function seenOn(
  room: Room,
  outline: Outline,
  openings: readonly Opening[],
  parts: readonly Part[],
  runs: Partial<Record<TrimKind, Metres>>,
): Overlay {
  const of = (layer: 'region' | 'cover'): Layer[] =>
    parts
      .filter((p) => PART_RULES[p.kind].layer === layer)
      .map((p) => ({ id: p.id, points: pointsOfBox(placeOf(p, outline)) }));
  const trim = (Object.keys(runs) as TrimKind[]).flatMap((kind) => trimBands(room, outline, openings, parts, kind));
  const casings = openings.filter((o) => o.casing).map((o) => shape(o, o.casing?.metres ?? 0));
  const aprons = openings.filter((o) => o.apron).map((o) => apronBox(o));
  return overlay([
    { id: 'field', points: polygonOf(outline) },
    ...of('region'),
    ...of('cover'),
    ...[...trim, ...aprons, ...casings].map((points) => ({ id: 'trim', points })),
    ...openings.map((o) => ({ id: 'opening', points: shape(o, 0) })),
  ]);
  function shape(o: Opening, casing: Metres): Point[] {
    return pointsOf(frameOf(o, casing, isOffFloor(o, outline)));
  }
  function apronBox(o: Opening): Point[] {
    const top = o.sill?.metres ?? 0;
    const left = o.at.metres - (o.casing?.metres ?? 0);
    return pointsOfBox({ left, right: left + boardLength(o), top, bottom: top - (o.apron?.metres ?? 0) });
  }
}

/** Faces of one kind of trim as shapes on the wall. */
export function trimBands(
  room: Pick<Room, 'trim'>,
  outline: Outline,
  openings: readonly Opening[],
  parts: readonly Part[],
  kind: TrimKind,
): Point[][] {
  const run = room.trim[kind];
  if (!run) return [];
  const face = run.face.metres;
  if (kind === 'crown')
    return outline.top.slice(1).map((b, i) => {
      const a = outline.top[i] as Point;
      // measured square to the edge, a sloping crown is taller upright
      const drop = (face * Math.hypot(b.x - a.x, b.y - a.y)) / (b.x - a.x || 1);
      return [{ x: a.x, y: a.y - drop }, { x: b.x, y: b.y - drop }, b, a];
    });
  const boxes = obstacles(outline, openings, parts);
  const runs =
    kind === 'baseboard' ? footStretches(outline, boxes, face) : stretches(outline, boxes, run.at?.metres ?? 0, face);
  return runs.map(({ left, right, bottom }) => pointsOfBox({ left, right, bottom, top: bottom + face }));
}

/** What boxes leave of a length. */
export function gaps(
  boxes: readonly { readonly left: Metres; readonly right: Metres }[],
  length: Metres,
): (readonly [Metres, Metres])[] {
  const runs: (readonly [Metres, Metres])[] = [];
  let from = 0;
  for (const { left, right } of [...boxes].sort((a, b) => a.left - b.left)) {
    if (left > from) runs.push([from, Math.min(left, length)]);
    from = Math.max(from, right);
  }
  if (from < length) runs.push([from, length]);
  return runs;
}
