import { rows, type SurfaceId } from '../job/table.ts';
import type { FinishChoice } from '../job/paints.ts';
import type { Job } from '../job/types.ts';
import type { RoomLines } from '../lines/lines.ts';
import { takeoffJob, type RoomTakeoff } from '../measure/takeoff.ts';
import { orderPaint, type PaintLine } from '../order/paint.ts';
import { specifyRoom, type Specified } from '../specify/specify.ts';
import { lazy, remember, rememberLast } from '../units/remember.ts';
import { mendingCoats, mendsOf } from '../work/remedies.ts';
import { operationsOf, roomLines, type Operation } from '../work/operations.ts';
import { DECIDED, MEASURED, SPECIFIED, type Decided } from './inputs.ts';
import { stage } from './stage.ts';

export const leftOutBy = remember(
  (options: Job['options']): ReadonlySet<SurfaceId> =>
    new Set(rows(options).flatMap((o) => (o.finish === null && !o.taken ? o.surfaces : []))),
);

/** The same list where nothing of it is left out, so that what is remembered of it stays known. */
const within = remember((surfaces: readonly Specified[], leftOut: ReadonlySet<SurfaceId>): readonly Specified[] =>
  surfaces.some((s) => leftOut.has(s.surface.id)) ? surfaces.filter((s) => !leftOut.has(s.surface.id)) : surfaces,
);

export const finishesWith = remember((finishes: Job['finishes'], options: Job['options']): Job['finishes'] => {
  const taken = rows(options).filter((o) => o.taken && o.finish);
  if (!taken.length) return finishes;
  const own = taken.flatMap(({ surfaces, finish }) =>
    surfaces.map((id): [SurfaceId, FinishChoice] => [id, finish as FinishChoice]),
  );
  return { ...finishes, ...Object.fromEntries(own) };
});

export interface SpecifiedRoom {
  readonly takeoff: RoomTakeoff;
  readonly surfaces: readonly Specified[];
  /** Those that are painted. */
  readonly done: readonly Specified[];
}

export const takeoffs = stage(MEASURED, takeoffJob);

/** Rooms with the systems of their surfaces, before it is decided how their coats are kept wet. */
export const specifiedRooms = stage(SPECIFIED, (job): readonly SpecifiedRoom[] => {
  const leftOut = leftOutBy(job.options);
  const finished = { ...job, finishes: finishesWith(job.finishes, job.options) };
  return takeoffs(job).map((takeoff) => {
    const surfaces = specifyRoom(finished, takeoff);
    return { takeoff, surfaces, done: within(surfaces, leftOut) };
  });
});

/** The crew as lines and operations see it: hands, pay and hours. On which days who works is the plan's, and makes none of them anew. */
export const handsOf = rememberLast(
  8,
  ({ people, hours }: Job['crew']) => JSON.stringify([people.map(({ day, hand }) => [day, hand]), hours]),
  (crew) => crew,
);

export interface LinedRoom {
  readonly takeoff: RoomTakeoff;
  /** What of it is painted. */
  readonly painted: readonly Specified[];
  readonly made: RoomLines;
}
/** Rooms as they are specified, with what is done in them and bought for them: each is worked out when somebody looks at it. */
export interface Made {
  readonly rooms: readonly SpecifiedRoom[];
  readonly painted: () => readonly Specified[];
  readonly operations: () => readonly Operation[];
  readonly lines: () => readonly LinedRoom[];
  readonly paints: () => readonly PaintLine[];
}
export function madeOf(job: Decided, rooms: readonly SpecifiedRoom[]): Made {
  const own = { ...job, crew: handsOf(job.crew) };
  const painted = lazy(() => rooms.flatMap((r) => r.done));
  return {
    rooms,
    painted,
    operations: lazy(() => rooms.flatMap((r) => operationsOf(own, r.takeoff, r.done))),
    lines: lazy(() =>
      rooms.map(({ takeoff, done }) => ({ takeoff, painted: done, made: roomLines(own, takeoff, done) })),
    ),
    paints: lazy(() => orderPaint(job, painted(), mendingCoats(job, mendsOf(job, painted())))),
  };
}

/** The job before it is decided how its coats are kept wet. */
export const plainly = stage(DECIDED, (job) => madeOf(job, specifiedRooms(job)));
