import type { Job } from '../job/types.ts';
import type { SurfaceId } from '../job/table.ts';
import { linesOf, type RoomLines } from '../lines/lines.ts';
import type { RoomTakeoff } from '../measure/takeoff.ts';
import type { Specified } from '../specify/specify.ts';
import { isDamp } from '../specify/case.ts';
import { remember } from '../units/remember.ts';
import { coatsOf, tapingOf, type Lined } from './coats.ts';
import { blindLines, primedLines, stepsBySurface } from './lines.ts';
import type { Labouring, Operation } from './operation.ts';
import { preparationOf } from './preparation.ts';
import { mendingOf } from './remedies.ts';
import { roomOperations } from './room.ts';

export type { Operation } from './operation.ts';

/** Not painted until it is dry, or what licensed people take off is gone: damp ground, fresh plaster or filler, a texture with asbestos. */
export const isWaiting = ({ survey }: Specified): boolean =>
  survey.fresh || isDamp(survey) || (survey.texture === 'popcorn' && survey.fibres === 'removal');

/** What can be seen and may be painted now; a wall wholly behind cabinets has nothing of either. */
const isWorkedOn = (s: Specified): boolean => s.surface.area.value > 1e-6 && !isWaiting(s);

const remembered = remember(
  (
    surfaces: readonly Specified[],
    takeoff: RoomTakeoff,
    settings: Job['settings'],
    practice: Job['practice'],
    crew: Job['crew'],
    learned: Job['learned'],
    lines: Job['lines'],
    orders: Job['orders'],
    prices: Job['prices'],
    region: Job['region'],
    defects: Job['defects'],
  ) => list({ settings, practice, crew, learned, lines, orders, prices, region, defects }, takeoff, surfaces),
);

/** All operations of a room in the order a room sees them; sequence/ says when. `surfaces`: those that this job paints. */
export const operationsOf = (job: Labouring, takeoff: RoomTakeoff, surfaces: readonly Specified[]): Operation[] =>
  remembered(
    surfaces,
    takeoff,
    job.settings,
    job.practice,
    job.crew,
    job.learned,
    job.lines,
    job.orders,
    job.prices,
    job.region,
    job.defects,
  );

const workedOn = remember((surfaces: readonly Specified[]): readonly Specified[] => surfaces.filter(isWorkedOn));

/** The lines of a room between what is painted now and what is beside it. */
export const roomLines = (job: Labouring, takeoff: RoomTakeoff, surfaces: readonly Specified[]): RoomLines =>
  linesOf(job, takeoff, workedOn(surfaces));

function list(job: Labouring, takeoff: RoomTakeoff, surfaces: readonly Specified[]): Operation[] {
  const painted = workedOn(surfaces);
  if (painted.length === 0) return [];
  const byId = new Map<SurfaceId, Specified>(painted.map((s) => [s.surface.id, s]));
  const steps = stepsBySurface(roomLines(job, takeoff, surfaces));
  const blind = blindLines(takeoff, byId);
  const primed = primedLines(takeoff, byId);
  const lined = painted.map((s): Lined => {
    const of = <T>(map: ReadonlyMap<SurfaceId, readonly T[]>): readonly T[] => map.get(s.surface.id) ?? [];
    return { takeoff, specified: s, steps: of(steps), blind: of(blind), primed: of(primed) };
  });
  return [
    ...roomOperations(job, takeoff, painted),
    ...painted.flatMap((s) => preparationOf(job, s)),
    ...lined.flatMap((own) => coatsOf(job, own)),
    ...lined.flatMap((own) => tapingOf(job, own)),
    ...mendingOf(job, painted),
  ];
}
