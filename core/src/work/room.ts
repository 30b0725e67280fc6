import { setting } from '../job/defaults.ts';
import type { Part } from '../job/measured.ts';
import type { SurfaceId } from '../job/table.ts';
import type { RoomTakeoff } from '../measure/takeoff.ts';
import { reachOf } from '../paces/reach.ts';
import type { FixtureWay } from '../job/vocabulary.ts';
import { isFixture, wayOf } from '../measure/parts.ts';
import { effective } from '../specify/reasons.ts';
import type { Specified } from '../specify/specify.ts';
import { operation, type Labouring, type Operation } from './operation.ts';

/** What is done to a room before its surfaces, and after them. `painted`: what is worked on here. */
export function roomOperations(job: Labouring, takeoff: RoomTakeoff, painted: readonly Specified[]): Operation[] {
  const place = { room: takeoff.room.id };
  const floor = [{ name: 'floor worked over', quantity: floorWorkedOver(takeoff, painted) }];
  const furnished = painted.every((s) => s.survey.coat === 'bare') ? [] : floor;
  const counted = (which: (part: Part) => boolean) => [{ name: 'how many', quantity: countOf(takeoff.parts, which) }];
  const covered = counted((part) => wayOf(part) === 'covered');
  const rods = counted((part) => part.kind === 'rod');
  const plates = painted.some((s) => effective(s.system.prep).includes('plates-off')) ? 1 : 0;
  const power = [{ name: 'once', quantity: plates }];
  const raised = painted.filter((s) => reachOf(job, s.surface) !== 'floor');
  const area = [{ name: 'painted', quantity: painted.reduce((sum, s) => sum + s.surface.area.value, 0) }];
  return [
    ...operation(job, place, 'furniture-out', furnished),
    ...operation(job, place, 'cloths-down', floor),
    ...operation(job, place, 'platform', [{ name: 'once', quantity: raised.length ? 1 : 0 }]),
    ...operation(job, place, 'power-off', power),
    ...operation(job, place, 'detectors-covered', covered),
    ...operation(job, place, 'curtains-off', rods),
    ...painted.flatMap((s) => fittings(job, takeoff, s)),
    ...operation(job, place, 'look', area),
    ...operation(job, place, 'touch-up', area),
    ...operation(job, place, 'detectors-uncovered', covered),
    ...operation(job, place, 'curtains-on', rods),
    ...operation(job, place, 'power-on', power),
    ...operation(job, place, 'furniture-back', furnished),
    ...operation(job, place, 'cloths-up', floor),
  ];
}

const countOf = (parts: readonly Part[], which: (part: Part) => boolean): number =>
  parts.filter(which).reduce((n, p) => n + p.count, 0);

/** A strip along each wall and run that is painted, this wide; under a ceiling the whole floor. */
const STRIP = 1.5;
function floorWorkedOver(takeoff: RoomTakeoff, painted: readonly Specified[]): number {
  const floor = takeoff.floorArea ?? 0;
  if (painted.some((s) => s.surface.kind === 'ceiling')) return floor;
  const walls = new Set(painted.map((s) => s.surface.wall));
  const strips = takeoff.walls.reduce((sum, w) => sum + (walls.has(w.wall.id) ? w.outline.length * STRIP : 0), 0);
  const runs = painted.reduce((sum, s) => sum + (s.surface.wall === null ? s.surface.length * STRIP : 0), 0);
  return Math.min(floor, strips + runs);
}

/** What is done about the fittings of a wall or ceiling, and the hardware of a door: off, and on again. */
function fittings(job: Labouring, takeoff: RoomTakeoff, s: Specified): Operation[] {
  const place = { room: takeoff.room.id, specified: s };
  const steps = effective(s.system.prep);
  const plates = [{ name: 'plates', quantity: steps.includes('plates-off') ? platesOn(job, takeoff, s) : 0 }];
  const doors = [{ name: 'doors', quantity: steps.includes('hardware-off') ? 1 : 0 }];
  const here = (...ways: readonly FixtureWay[]) => [
    { name: 'how many', quantity: countOf(fixturesOn(takeoff, s), (part) => ways.includes(wayOf(part) ?? 'cut')) },
  ];
  return [
    ...operation(job, place, 'plates-off', plates),
    ...operation(job, place, 'plates-on', plates),
    ...operation(job, place, 'fixings-out', here('stays', 'filled')),
    ...operation(job, place, 'fixings-back', here('stays')),
    ...operation(job, place, 'mask-fixtures', here('masked')),
    ...operation(job, place, 'drape', [
      { name: 'how many', quantity: countOf(takeoff.parts, (p) => isSpattered(p, s)) },
    ]),
    ...operation(job, place, 'paint-fixtures', here('painted')),
    ...operation(job, place, 'hardware-off', doors),
    ...operation(job, place, 'hardware-on', doors),
  ];
}

/** What stays before a wall that is rolled catches its spatter; furniture is covered with the room’s. */
const STANDING: ReadonlySet<Part['kind']> = new Set<Part['kind']>(['radiator', 'built-in', 'cabinet']);
const isSpattered = (part: Part, { surface }: Specified): boolean =>
  STANDING.has(part.kind) && part.wall !== null && surface.id === `${part.wall}/field`;

/** Off and on again, itself or the new one in its place. */
const isOff = (part: Part): boolean => ['off', 'replaced', 'painted'].includes(wayOf(part) ?? '');
const PLATES: ReadonlySet<Part['kind']> = new Set<Part['kind']>(['plate', 'socket', 'vent']);
const fieldOf = (part: Part, takeoff: RoomTakeoff): SurfaceId =>
  part.wall === null ? `${takeoff.room.id}/ceiling` : `${part.wall}/field`;

const fixturesOn = (takeoff: RoomTakeoff, s: Specified): readonly Part[] =>
  takeoff.parts.filter((part) => isFixture(part.kind) && fieldOf(part, takeoff) === s.surface.id);

/** Those counted on it; where a room has none counted, its walls share the starting number. */
function platesOn(job: Labouring, takeoff: RoomTakeoff, s: Specified): number {
  // plates of which some were counted are all that there are
  if (takeoff.parts.some(({ kind }) => PLATES.has(kind))) return countOf(fixturesOn(takeoff, s), isOff);
  return s.surface.id.endsWith('/field') ? setting(job, 'plates.room') / takeoff.walls.length : 0;
}
