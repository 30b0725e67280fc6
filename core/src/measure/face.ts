import { setting } from '../job/defaults.ts';
import type { Job } from '../job/types.ts';
import type { Opening, Part, Room, Wall } from '../job/measured.ts';
import type { TrimKind } from '../job/vocabulary.ts';
import type { Metres, SquareMetres } from '../units/si.ts';
import { compute, given, unopened, type Working } from '../units/working.ts';
import { phrase, type Word } from '../units/word.ts';
import { TRIM } from '../words/terms.ts';
import type { Point } from './geometry.ts';
import { boardLength, casingLength, frameOf, isOffFloor, openingArea, pointsOf } from './openings.ts';
import { climbs, pointsOfBox, polygonOf, type Outline } from './outline.ts';
import { overlay, type Layer, type Overlay } from './overlay.ts';
import { PART_RULES } from './parts.ts';
import { placeOf, runsOn, trimBands } from './runs.ts';
import { at, entriesOf, keysOf } from '../units/list.ts';

/** A region of a wall with a finish of its own, or what is left of the wall beside such regions. */
export interface Region {
  readonly part: Part;
  readonly area: Working;
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
  /** What lies uppermost where the wall is more than one surface; null: it is one. */
  readonly seen: Overlay | null;
}

type Context = Pick<Job, 'settings'>;

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
    regions: layers
      .filter((p) => PART_RULES[p.kind].layer === 'region')
      .map((part) => ({ part, area: regionArea(part, outline, area(part).value) })),
    seen,
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
    const a = at(chain, i);
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
    ...entriesOf(runs).map(([kind, length]) => face(() => TRIM[kind], length, room.trim[kind]?.face.metres ?? 0)),
    ...openings.flatMap((o) =>
      o.casing
        ? [face(() => phrase`${TRIM.casing} of ${o.label}`, casingLength(o, isOffFloor(o, outline)), o.casing.metres)]
        : [],
    ),
    ...openings.flatMap((o) => (o.apron ? [face(() => `apron of ${o.label}`, boardLength(o), o.apron.metres)] : [])),
  ];
}

/** What is seen on a wall: field, regions in their order, what hides it, trim, aprons, casings, openings; the later the higher. */
export const seenOn = (...on: Parameters<typeof layersOn>): Overlay => overlay(layersOn(...on));

/** The layers of a wall from the field up. */
export function layersOn(
  room: Room,
  outline: Outline,
  openings: readonly Opening[],
  parts: readonly Part[],
  runs: Partial<Record<TrimKind, Metres>>,
): Layer[] {
  const of = (layer: 'region' | 'cover'): Layer[] =>
    parts
      .filter((p) => PART_RULES[p.kind].layer === layer)
      .map((p) => ({ id: p.id, points: pointsOfBox(placeOf(p, outline)) }));
  const named = (id: string, points: readonly Point[]): Layer => ({ id, points });
  const trim = keysOf(runs).flatMap((kind) =>
    trimBands(room, outline, openings, parts, kind).map((band) => named(`trim:${kind}`, band)),
  );
  const casings = openings.filter((o) => o.casing).map((o) => named(`casing:${o.id}`, shape(o, o.casing?.metres ?? 0)));
  const aprons = openings.filter((o) => o.apron).map((o) => named(`apron:${o.id}`, apronBox(o)));
  return [
    { id: 'field', points: polygonOf(outline) },
    ...of('region'),
    ...of('cover'),
    ...trim,
    ...aprons,
    ...casings,
    ...openings.map((o) => named(`opening:${o.id}`, shape(o, 0))),
  ];
  function shape(o: Opening, casing: Metres): Point[] {
    return pointsOf(frameOf(o, casing, isOffFloor(o, outline)));
  }
  function apronBox(o: Opening): Point[] {
    const top = o.sill?.metres ?? 0;
    const left = o.at.metres - (o.casing?.metres ?? 0);
    return pointsOfBox({ left, right: left + boardLength(o), top, bottom: top - (o.apron?.metres ?? 0) });
  }
}
