import { setting } from '../job/defaults.ts';
import { LINE_KINDS, type LineKind } from '../job/vocabulary.ts';
import { rows, type Id } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import type { Part, Room } from '../job/measured.ts';
import type { Problem } from '../units/problem.ts';
import { groupBy } from '../units/group.ts';
import { remember } from '../units/remember.ts';
import type { Metres, SquareMetres, Units } from '../units/si.ts';
import { compute, given, unopened, type Working } from '../units/working.ts';
import { ceilingOver, insetPerimeter, planOf, type Ceiling } from './ceiling.ts';
import { checkRoom, crossingWalls } from './check.ts';
import { close, type Closure, type ClosureSettings, type WalkReadings } from './closure.ts';
import { LINE, TRIM } from '../words/terms.ts';
import { takeoffWall, type WallTakeoff } from './face.ts';
import { directions, polygonArea, walk, type Point } from './geometry.ts';
import { MEETING_RULES, meetingsOf, type Meeting } from './meetings.ts';
import { outlineOf } from './outline.ts';
import { PART_RULES, sizesOf } from './parts.ts';
import { reversedTurns } from './slips.ts';
import type { Surface, TrimTakeoff } from './surface.ts';
import { casingTrim, surfacesOf } from './surfaces.ts';
import { entriesOf } from '../units/list.ts';

export type { WallTakeoff } from './face.ts';
export type { Surface } from './surface.ts';

export interface RoomTakeoff {
  readonly room: Room;
  readonly problems: readonly Problem[];
  readonly warnings: readonly Problem[];
  /** Wall labels still without a length. */
  readonly missing: readonly string[];
  readonly perimeter: Metres;
  readonly closure: Closure | null;
  readonly corners: readonly Point[];
  /** The true plan: corners, and the arcs of curved walls. */
  readonly plan: readonly Point[];
  readonly floorArea: SquareMetres | null;
  readonly ceiling: Ceiling | null;
  readonly ceilingArea: Working | null;
  readonly walls: readonly WallTakeoff[];
  /** Where surfaces touch; and what of that is cut in along, by kind. */
  readonly meetings: readonly Meeting[];
  readonly lines: readonly { readonly kind: LineKind; readonly length: Working }[];
  readonly trim: readonly TrimTakeoff[];
  /** Parts that are sound. */
  readonly parts: readonly Part[];
  readonly surfaces: readonly Surface[];
}

type Context = Pick<Job, 'settings' | 'units'>;

const remembered = remember((room: Room, settings: Job['settings'], units: Units) => derive({ settings, units }, room));

/** Everything measured of a room; the same room (by identity) under the same settings is not worked out twice. */
export const takeoffRoom = (job: Context, room: Room): RoomTakeoff => remembered(room, job.settings, job.units);

/** The takeoff of each room, in the job’s order. */
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
  const chords = walls.map((wall, i) => closure?.adjusted[i] ?? wall.length?.metres ?? null);
  const outlines = walls.map((wall, i) => outlineOf(room, wall, chords[i] ?? null));
  const plan = planOf(corners, outlines);
  const knot = closure && crossingWalls(room, plan);
  if (knot) problems.push(knot);
  const { parts } = check;
  const wallTakeoffs = walls.flatMap((wall, i) => {
    const outline = outlines[i];
    return outline
      ? [
          takeoffWall(
            job,
            room,
            wall,
            outline,
            check.openings.filter((opening) => opening.wall === wall.id),
            parts.filter((part) => part.wall === wall.id),
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
      message: `The wall heights of ${room.name} fit neither a flat ceiling, nor one slope, nor slopes that meet between the peaks of two walls; its ceiling area is left open. Check the heights at each corner.`,
    });
  const covered = ceiling ? ceilingWith(job, room, ceiling, chords as Metres[], parts, wallTakeoffs) : null;
  if (covered && 'message' in covered) problems.push({ path: `rooms/${room.id}/parts`, message: covered.message });
  const ceilingArea = covered && !('message' in covered) ? covered : null;
  const meetings = meetingsOf(job, room, wallTakeoffs, parts);
  const trim = takeoffTrim(room, wallTakeoffs);
  return {
    room,
    problems,
    warnings,
    missing,
    closure,
    corners,
    plan: plan.points,
    ceiling,
    ceilingArea,
    meetings,
    lines: sumLines(meetings, wallTakeoffs),
    trim,
    parts,
    perimeter: lengths.reduce((a, b) => a + b, 0),
    floorArea: whole ? polygonArea(plan.points) : null,
    walls: wallTakeoffs,
    surfaces: surfacesOf(job, room, wallTakeoffs, trim, parts, ceilingArea, meetings),
  };
}

/** The planes of the ceiling, plus the upright sides of a tray, less what is let into it or hangs from it. */
function ceilingWith(
  job: Context,
  room: Room,
  ceiling: Ceiling,
  chords: readonly Metres[],
  parts: readonly Part[],
  walls: readonly WallTakeoff[],
): Working | { readonly message: string } {
  const planes = ceiling.planes.map((p) =>
    compute(
      'product',
      'slope',
      'area',
      given('plan area', p.planArea, 'area'),
      given('1 / cos of the pitch', p.factor, 'ratio'),
    ),
  );
  const sides: Working[] = [];
  for (const tray of parts.filter((p) => p.kind === 'tray')) {
    const turns = rows(room.walls).map((wall) => wall.turn);
    const inner = insetPerimeter(chords, turns, tray.depth?.metres ?? 0);
    if (inner === null)
      return {
        message: `The border of tray ${tray.label} is wider than ${room.name} has room for; make it narrower than half the room.`,
      };
    sides.push(
      compute(
        'product',
        `sides of tray ${tray.label}`,
        'area',
        given('inner edge', inner, 'length'),
        given('rise', tray.height?.metres ?? 0, 'length'),
      ),
    );
  }
  const gone = parts.flatMap((part) => {
    const outline = walls.find((w) => w.wall.id === part.wall)?.outline ?? null;
    return PART_RULES[part.kind].ofCeiling?.(sizesOf(job, part, outline, [])) ?? [];
  });
  const whole = compute('sum', 'Ceiling', 'area', ...planes, ...sides);
  if (!gone.length) return whole;
  const left = compute('difference', 'Ceiling', 'area', whole, ...gone);
  return left.value >= 0
    ? left
    : {
        message: `What is let into the ceiling of ${room.name} is larger than the ceiling itself; check the sizes of its hatches, skylights, beams and soffits.`,
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

/** How well a walk has to close here, m, from the job’s starting values. */
export const closureSettings = (job: Pick<Job, 'settings'>): ClosureSettings => ({
  least: setting(job, 'closure.least'),
  ratio: setting(job, 'closure.ratio'),
  readingError: setting(job, 'reading.se'),
  diagonalError: setting(job, 'diagonal.se'),
});

/** Meetings that a brush cuts in along, added up by kind. */
function sumLines(meetings: readonly Meeting[], walls: readonly WallTakeoff[]): RoomTakeoff['lines'] {
  const byKind = groupBy(
    meetings.filter(({ kind }) => MEETING_RULES[kind].cut),
    (meeting) => meeting.kind,
  );
  const on = (id: Id | null) => walls.find((w) => w.wall.id === id)?.wall.label;
  const name = ({ wall }: Meeting) => (wall === null ? 'ceiling' : `wall ${on(wall)}`);
  return LINE_KINDS.flatMap((kind) => {
    const list = byKind.get(kind);
    if (!list) return [];
    const length = list.reduce((sum, meeting) => sum + meeting.length, 0);
    const terms = () => list.map((meeting) => given(name(meeting), meeting.length, 'length'));
    return [{ kind, length: unopened(length, () => compute('sum', LINE[kind], 'length', ...terms())) }];
  });
}

/** Length that a brush cuts walls and ceilings in along, each line once. */
export const cutIn = ({ lines }: Pick<RoomTakeoff, 'lines'>): Metres =>
  lines.reduce((sum, { length }) => sum + length.value, 0);

function takeoffTrim(room: Room, walls: readonly WallTakeoff[]): TrimTakeoff[] {
  const kinds = entriesOf(room.trim).filter(([, run]) => !run.later);
  const result = kinds.map(([kind, run]): TrimTakeoff => {
    const terms = walls.map((w) => given(`wall ${w.wall.label}`, w.runs[kind] ?? 0, 'length'));
    const length = compute('sum', TRIM[kind], 'length', ...terms);
    const girth = run.girth
      ? given('developed girth', run.girth.metres, 'length')
      : given('face', run.face.metres, 'length');
    return { kind, length, area: compute('product', TRIM[kind], 'area', length, girth) };
  });
  const casing = casingTrim(walls);
  return casing ? [...result, casing] : result;
}
