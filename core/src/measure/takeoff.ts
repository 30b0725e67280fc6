import { setting } from '../job/defaults.ts';
import {
  rows,
  type Id,
  type Job,
  type Opening,
  type Room,
  type SurfaceId,
  type TrimRun,
  type Wall,
} from '../job/types.ts';
import type { SurfaceKind, TrimKind } from '../job/vocabulary.ts';
import type { Problem } from '../units/problem.ts';
import { remember } from '../units/remember.ts';
import type { Metres, SquareMetres, System } from '../units/si.ts';
import { compute, given, type Working } from '../units/working.ts';
import { ceilingOver, type Ceiling } from './ceiling.ts';
import { checkRoom, crossingWalls } from './check.ts';
import { close, type Closure, type ClosureSettings, type WalkReadings } from './closure.ts';
import { reversedTurns } from './slips.ts';
import { covered, directions, polygonArea, walk, type Point } from './geometry.ts';
import { surfacesOf, TRIM_NAMES } from './surfaces.ts';
import { boxOf, outlineOf, topLength, type Box, type Outline } from './outline.ts';

export const LINE_KINDS = [
  'wall-ceiling',
  'wall-crown',
  'crown-ceiling',
  'corner',
  'wall-baseboard',
  'wall-floor',
  'wall-casing',
  'wall-opening',
  'wall-chair-rail',
  'wall-picture-rail',
] as const;
export type LineKind = (typeof LINE_KINDS)[number];

export interface WallTakeoff {
  readonly wall: Wall;
  readonly outline: Outline;
  readonly adjusted: Metres;
  readonly openings: readonly Opening[];
  readonly gross: Working;
  readonly openingArea: Working;
  readonly net: Working;
  /** Net less the faces of trim: what Order buys paint for. */
  readonly painted: Working;
  /** Gross less openings over the threshold: what the gross school prices labour on. */
  readonly grossSchool: Working;
  readonly lines: readonly Working[];
}
export interface TrimTakeoff {
  readonly kind: TrimKind | 'casing';
  readonly length: Working;
  readonly area: Working;
}
export interface Surface {
  readonly id: SurfaceId;
  readonly kind: SurfaceKind;
  readonly room: Id;
  /** “Wall A”, “Ceiling”, “Baseboard”, “Door d1”. */
  readonly name: string;
  readonly wall: Id | null;
  readonly area: Working;
  /** Run of trim; zero for broad surfaces. */
  readonly length: Metres;
  /** Lines a brush cuts in along this surface. */
  readonly cut: Metres;
}
export interface RoomTakeoff {
  readonly room: Room;
  readonly problems: readonly Problem[];
  readonly warnings: readonly Problem[];
  /** Wall labels still without a length. */
  readonly missing: readonly string[];
  readonly perimeter: Metres;
  readonly closure: Closure | null;
  readonly corners: readonly Point[];
  readonly floorArea: SquareMetres | null;
  readonly ceiling: Ceiling | null;
  readonly ceilingArea: Working | null;
  readonly walls: readonly WallTakeoff[];
  readonly lines: readonly { readonly kind: LineKind; readonly length: Working }[];
  readonly trim: readonly TrimTakeoff[];
  readonly surfaces: readonly Surface[];
}

type Context = Pick<Job, 'settings' | 'units'>;

const remembered = remember((room: Room, settings: Job['settings'], units: System) =>
  derive({ settings, units }, room),
);

/** Everything measured of a room; the same room (by identity) under the same settings is not worked out twice. */
export const takeoffRoom = (job: Context, room: Room): RoomTakeoff => remembered(room, job.settings, job.units);

export const takeoffJob = (job: Pick<Job, 'settings' | 'units' | 'rooms'>): RoomTakeoff[] =>
  rows(job.rooms).map((room) => takeoffRoom(job, room));

function derive(job: Context, room: Room): RoomTakeoff {
  const check = checkRoom(room, job.units, () => reversedTurns(readingsOf(room), closureSettings(job)));
  const problems = [...check.problems];
  const warnings = [...check.warnings];
  const walls = rows(room.walls);
  const missing = walls.filter((wall) => !wall.length).map((wall) => wall.label);
  const lengths = walls.map((wall) => wall.length?.metres ?? 0);
  const closure = check.turnsComeRound && missing.length === 0 ? close(readingsOf(room), closureSettings(job)) : null;
  const corners = closure?.corners ?? walk(lengths, directions(walls.map((wall) => wall.turn))).slice(0, -1);
  const knot = closure && crossingWalls(room, corners);
  if (knot) problems.push(knot);
  const wallTakeoffs = walls.flatMap((wall, i) => {
    const adjusted = closure?.adjusted[i] ?? wall.length?.metres ?? null;
    const outline = outlineOf(room, wall, adjusted);
    return outline
      ? [
          takeoffWall(
            job,
            room,
            wall,
            outline,
            check.openings.filter((opening) => opening.wall === wall.id),
          ),
        ]
      : [];
  });
  const whole = closure && !knot && wallTakeoffs.length === walls.length;
  const ceiling = whole
    ? ceilingOver(
        corners,
        wallTakeoffs.map((w) => w.outline),
      )
    : null;
  if (whole && !ceiling)
    warnings.push({
      path: `rooms/${room.id}/ceiling`,
      message: `The wall heights of ${room.name} fit neither a flat ceiling, nor one slope, nor two slopes meeting between two peaks; its ceiling area is left open. Check the heights at each corner.`,
    });
  const ceilingArea =
    ceiling &&
    compute(
      'sum',
      'Ceiling',
      'area',
      ...ceiling.planes.map((p) =>
        compute(
          'product',
          'slope',
          'area',
          given('plan area', p.planArea, 'area'),
          given('1 / cos of the pitch', p.factor, 'ratio'),
        ),
      ),
    );
  const lines = gather(room, wallTakeoffs);
  const trim = takeoffTrim(room, wallTakeoffs);
  return {
    room,
    problems,
    warnings,
    missing,
    closure,
    corners,
    ceiling,
    ceilingArea,
    lines,
    trim,
    perimeter: lengths.reduce((a, b) => a + b, 0),
    floorArea: whole ? polygonArea(corners) : null,
    walls: wallTakeoffs,
    surfaces: surfacesOf(job, room, wallTakeoffs, trim, ceilingArea),
  };
}

/** A room's readings as its walk; a wall without a length counts as nothing. */
export function readingsOf(room: Room): WalkReadings {
  const walls = rows(room.walls);
  const indexOf = (id: Id) => walls.findIndex((wall) => wall.id === id);
  return {
    lengths: walls.map((wall) => wall.length?.metres ?? 0),
    turns: walls.map((wall) => wall.turn),
    turnsMeasured: room.turns === 'measured',
    diagonals: room.checks.map((check) => ({
      from: indexOf(check.from),
      to: indexOf(check.to),
      length: check.length.metres,
    })),
  };
}

export const closureSettings = (job: Pick<Job, 'settings'>): ClosureSettings => ({
  least: setting(job, 'closure.least'),
  ratio: setting(job, 'closure.ratio'),
  readingError: setting(job, 'reading.se'),
  diagonalError: setting(job, 'diagonal.se'),
});

/** Length of a run between two heights, broken by what stands across it (with its casings). */
function runLength(outline: Outline, boxes: readonly Box[], from: Metres, to: Metres): Metres {
  const across = boxes.filter((box) => box.bottom < to - 1e-6 && box.top > from + 1e-6);
  return (
    outline.length -
    covered(
      across.map((box) => [box.left, box.right] as const),
      outline.length,
    )
  );
}

/** Outer length of a casing: legs and head to their outer edges; all four sides round a window above the floor. */
function casingLength(opening: Opening): Metres {
  const c = opening.casing?.metres ?? 0;
  const [w, h] = [opening.width.metres, opening.height.metres];
  return opening.sill?.metres ? 2 * h + 2 * w + 4 * c : 2 * h + w + 2 * c;
}
function edgeLength(opening: Opening): Metres {
  const c = opening.casing?.metres ?? 0;
  const [w, h] = [opening.width.metres + 2 * c, opening.height.metres + c];
  return opening.sill?.metres ? 2 * (h + c) + 2 * w : 2 * h + w;
}

function runsOn(room: Room, outline: Outline, boxes: readonly Box[]): Partial<Record<TrimKind, Metres>> {
  const { baseboard, crown, ...rails } = room.trim;
  const runs: Partial<Record<TrimKind, Metres>> = {};
  if (baseboard) runs.baseboard = runLength(outline, boxes, 0, baseboard.face.metres);
  if (crown) runs.crown = topLength(outline);
  for (const [kind, run] of Object.entries(rails) as [TrimKind, TrimRun][]) {
    const at = run.at?.metres ?? 0;
    runs[kind] = runLength(outline, boxes, at, at + run.face.metres);
  }
  return runs;
}

function takeoffWall(
  job: Context,
  room: Room,
  wall: Wall,
  outline: Outline,
  openings: readonly Opening[],
): WallTakeoff {
  const threshold = setting(job, 'openings.threshold');
  const areaOf = (opening: Opening) =>
    compute(
      'product',
      opening.label,
      'area',
      given('width', opening.width.metres, 'length'),
      given('height', opening.height.metres, 'length'),
    );
  const gross = compute('sum', 'Gross', 'area', ...trapezia(outline));
  const openingArea = compute('sum', 'Openings', 'area', ...openings.map(areaOf));
  const net = compute('difference', 'Net', 'area', gross, openingArea);
  const boxes = openings.map((opening) => boxOf(opening, true));
  const runs = runsOn(room, outline, boxes);
  const faces = [
    ...(Object.entries(runs) as [TrimKind, Metres][]).map(([kind, length]) =>
      compute(
        'product',
        TRIM_NAMES[kind],
        'area',
        given('run', length, 'length'),
        given('face', room.trim[kind]?.face.metres ?? 0, 'length'),
      ),
    ),
    ...openings
      .filter((o) => o.casing)
      .map((o) =>
        compute(
          'product',
          `casing of ${o.label}`,
          'area',
          given('run', casingLength(o), 'length'),
          given('face', o.casing?.metres ?? 0, 'length'),
        ),
      ),
  ];
  const painted = compute('difference', 'Painted', 'area', net, compute('sum', 'trim faces', 'area', ...faces));
  const grossSchool = compute(
    'difference',
    'Gross school',
    'area',
    gross,
    compute('sum', 'openings over the threshold', 'area', ...openings.map(areaOf).filter((a) => a.value > threshold)),
  );
  const [start, end] = [outline.top[0], outline.top.at(-1)] as [Point, Point];
  const line = (name: LineKind, length: Metres) => given(name, length, 'length');
  const lines = [
    line(room.trim.crown ? 'wall-crown' : 'wall-ceiling', topLength(outline)),
    line('corner', start.y),
    line('corner', end.y),
    room.trim.baseboard
      ? line('wall-baseboard', runs.baseboard ?? 0)
      : line('wall-floor', runLength(outline, boxes, 0, 0.001)),
    ...openings.map((o) => line(o.casing ? 'wall-casing' : 'wall-opening', edgeLength(o))),
    ...(['chair-rail', 'picture-rail'] as const).flatMap((kind) =>
      runs[kind] === undefined ? [] : [line(`wall-${kind}`, 2 * runs[kind])],
    ),
  ];
  return { wall, outline, adjusted: outline.length, openings, gross, openingArea, net, painted, grossSchool, lines };
}

/** A wall's outline as trapezia: mean of two heights times the width between them. */
const trapezia = ({ top }: Outline): Working[] =>
  top.slice(1).map((b, i) => {
    const a = top[i] as Point;
    return compute(
      'product',
      'trapezium',
      'area',
      given('width', b.x - a.x, 'length'),
      compute('mean', 'mean height', 'length', given('height', a.y, 'length'), given('height', b.y, 'length')),
    );
  });

/** Cut-in length by kind of line, each line once: a corner belongs to two walls, and counts as high as the lower of them. */
function gather(room: Room, walls: readonly WallTakeoff[]): RoomTakeoff['lines'] {
  const terms = new Map<LineKind, Working[]>();
  const add = (kind: LineKind, term: Working) => terms.set(kind, [...(terms.get(kind) ?? []), term]);
  walls.forEach(({ wall, outline, lines }, i) => {
    for (const line of lines)
      if (line.name !== 'corner') add(line.name as LineKind, given(`wall ${wall.label}`, line.value, 'length'));
    if (room.trim.crown) add('crown-ceiling', given(`wall ${wall.label}`, topLength(outline), 'length'));
    const next = walls[(i + 1) % walls.length];
    if (next && walls.length > 2)
      add(
        'corner',
        given(
          `${wall.label} to ${next.wall.label}`,
          Math.min((outline.top.at(-1) as Point).y, (next.outline.top[0] as Point).y),
          'length',
        ),
      );
  });
  return LINE_KINDS.flatMap((kind) => {
    const of = terms.get(kind);
    return of ? [{ kind, length: compute('sum', kind, 'length', ...of) }] : [];
  });
}

function takeoffTrim(room: Room, walls: readonly WallTakeoff[]): TrimTakeoff[] {
  const kinds = Object.entries(room.trim) as [TrimKind, TrimRun][];
  const result = kinds.map(([kind, run]): TrimTakeoff => {
    const terms = walls.map(({ wall, outline, openings }) =>
      given(
        `wall ${wall.label}`,
        runsOn(
          room,
          outline,
          openings.map((o) => boxOf(o, true)),
        )[kind] ?? 0,
        'length',
      ),
    );
    const length = compute('sum', TRIM_NAMES[kind], 'length', ...terms);
    return {
      kind,
      length,
      area: compute('product', TRIM_NAMES[kind], 'area', length, given('face', run.face.metres, 'length')),
    };
  });
  const cased = walls.flatMap((w) => w.openings).filter((o) => o.casing);
  if (cased.length) {
    const length = compute('sum', 'Casing', 'length', ...cased.map((o) => given(o.label, casingLength(o), 'length')));
    const area = compute(
      'sum',
      'Casing',
      'area',
      ...cased.map((o) =>
        compute(
          'product',
          o.label,
          'area',
          given('run', casingLength(o), 'length'),
          given('face', o.casing?.metres ?? 0, 'length'),
        ),
      ),
    );
    result.push({ kind: 'casing', length, area });
  }
  return result;
}
