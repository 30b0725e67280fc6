import type { Job } from '../job/types.ts';
import type { SurfaceId } from '../job/table.ts';
import type { RoomTakeoff } from '../measure/takeoff.ts';
import type { Specified } from '../specify/specify.ts';
import { isDamp } from '../specify/case.ts';
import { remember } from '../units/remember.ts';
import { coatsOf } from './coats.ts';
import { cutLines, finishOf, isCarded, maskedLines, primerOf } from './lines.ts';
import { operation, type Labouring, type Operation } from './operation.ts';
import { preparationOf } from './preparation.ts';
import { roomOperations } from './room.ts';

export type { Operation } from './operation.ts';

/** Not painted until it is dry, or what licensed people take off is gone: damp ground, fresh plaster or filler, a texture with asbestos. */
export const isWaiting = ({ survey }: Specified): boolean =>
  survey.fresh || isDamp(survey) || (survey.texture === 'popcorn' && survey.fibres === 'removal');

/** What can be seen and may be painted now; a wall wholly behind cabinets has nothing of either. */
const isWorkedOn = (s: Specified): boolean => s.surface.area.value > 1e-6 && !isWaiting(s);

const remembered = remember(
  (surfaces: readonly Specified[], takeoff: RoomTakeoff, settings: Job['settings'], practice: Job['practice']) =>
    list({ settings, practice }, takeoff, surfaces),
);

/** All operations of a room in the order a room sees them; sequence/ says when. `surfaces`: those that this job paints. */
export const operationsOf = (job: Labouring, takeoff: RoomTakeoff, surfaces: readonly Specified[]): Operation[] =>
  remembered(surfaces, takeoff, job.settings, job.practice);

function list(job: Labouring, takeoff: RoomTakeoff, surfaces: readonly Specified[]): Operation[] {
  const painted = surfaces.filter(isWorkedOn);
  if (painted.length === 0) return [];
  const byId = new Map<SurfaceId, Specified>(painted.map((s) => [s.surface.id, s]));
  const cut = cutLines(takeoff, byId, finishOf);
  const primed = cutLines(takeoff, byId, primerOf);
  const masked = maskedLines(job, takeoff, byId);
  return [
    ...roomOperations(job, takeoff, painted),
    ...painted.flatMap((s) => preparationOf(job, s)),
    ...painted.flatMap((s) =>
      coatsOf(job, {
        takeoff,
        specified: s,
        cut: cut.get(s.surface.id) ?? [],
        primed: primed.get(s.surface.id) ?? [],
      }),
    ),
    ...masked.flatMap((line) => {
      const kinds = isCarded(line) ? (['card'] as const) : (['mask', 'unmask'] as const);
      const place = { room: takeoff.room.id, line: line.id };
      return kinds.flatMap((kind) => operation(job, place, kind, [{ name: 'line', quantity: line.length }]));
    }),
  ];
}

/** Lines that a room has masked, by the trim and floor they run along. */
export const maskedOf = (job: Labouring, takeoff: RoomTakeoff, surfaces: readonly Specified[]) =>
  maskedLines(job, takeoff, new Map(surfaces.filter(isWorkedOn).map((s) => [s.surface.id, s])));
