import { rows, type SurfaceId } from '../job/table.ts';
import type { FinishChoice } from '../job/paints.ts';
import type { Job } from '../job/types.ts';
import type { RoomLines } from '../lines/lines.ts';
import { takeoffJob, type RoomTakeoff } from '../measure/takeoff.ts';
import { orderPaint, type PaintLine } from '../order/paint.ts';
import { specifyRoom, type Specified } from '../specify/specify.ts';
import { remember, rememberLast } from '../units/remember.ts';
import { mendingCoats, mendsOf } from '../work/remedies.ts';
import { operationsOf, roomLines, type Operation } from '../work/operations.ts';
import { MEASURED, PAINTED, SPECIFIED, WORKED, type Planned } from './inputs.ts';
import { stage } from './stage.ts';

const leftOutBy = remember(
  (options: Job['options']): ReadonlySet<SurfaceId> =>
    new Set(rows(options).flatMap((o) => (o.finish === null && !o.taken ? o.surfaces : []))),
);

/** The same list where nothing of it is left out, so that what is remembered of it stays known. */
const within = remember((surfaces: readonly Specified[], leftOut: ReadonlySet<SurfaceId>): readonly Specified[] =>
  surfaces.some((s) => leftOut.has(s.surface.id)) ? surfaces.filter((s) => !leftOut.has(s.surface.id)) : surfaces,
);

const finishesWith = remember((finishes: Job['finishes'], options: Job['options']): Job['finishes'] => {
  const taken = rows(options).filter((o) => o.taken && o.finish);
  if (!taken.length) return finishes;
  const own = taken.flatMap(({ surfaces, finish }) =>
    surfaces.map((id): [SurfaceId, FinishChoice] => [id, finish as FinishChoice]),
  );
  return { ...finishes, ...Object.fromEntries(own) };
});

interface SpecifiedRoom {
  readonly takeoff: RoomTakeoff;
  readonly surfaces: readonly Specified[];
  /** Those that are painted. */
  readonly done: readonly Specified[];
}

const takeoffs = stage(MEASURED, takeoffJob);

/** Rooms with the systems of their surfaces. */
export const specifiedRooms = stage(SPECIFIED, (job): readonly SpecifiedRoom[] => {
  const leftOut = leftOutBy(job.options);
  const finished = { ...job, finishes: finishesWith(job.finishes, job.options) };
  return takeoffs(job).map((takeoff) => {
    const surfaces = specifyRoom(finished, takeoff);
    return { takeoff, surfaces, done: within(surfaces, leftOut) };
  });
});

const surfaces = stage(SPECIFIED, (job): readonly Specified[] => specifiedRooms(job).flatMap((r) => r.surfaces));
export const painted = stage(SPECIFIED, (job): readonly Specified[] => specifiedRooms(job).flatMap((r) => r.done));

/** The crew as lines and operations see it: hands, pay and hours. On which days who works is the plan's, and makes none of them anew. */
export const handsOf = rememberLast(
  8,
  ({ people, hours }: Job['crew']) => JSON.stringify([people.map(({ day, hand }) => [day, hand]), hours]),
  (crew) => crew,
);

const operations = stage(WORKED, (job): readonly Operation[] => {
  const own = { ...job, crew: handsOf(job.crew) };
  return specifiedRooms(job).flatMap((r) => operationsOf(own, r.takeoff, r.done));
});

export interface LinedRoom {
  readonly takeoff: RoomTakeoff;
  /** What of it is painted. */
  readonly painted: readonly Specified[];
  readonly made: RoomLines;
}
const lines = stage(WORKED, (job): readonly LinedRoom[] => {
  const own = { ...job, crew: handsOf(job.crew) };
  return specifiedRooms(job).map(({ takeoff, done }) => ({
    takeoff,
    painted: done,
    made: roomLines(own, takeoff, done),
  }));
});

const paints = stage(PAINTED, (job): readonly PaintLine[] =>
  orderPaint(job, painted(job), mendingCoats(job, mendsOf(job, painted(job)))),
);

/**
 * A job from its measures to its paint: each stage is worked out when somebody looks at it, and kept while what it reads
 * stays the same. What needs a plan is in plan.ts.
 */
export class Whole {
  constructor(private readonly job: Planned) {}
  get takeoffs(): readonly RoomTakeoff[] {
    return takeoffs(this.job);
  }
  /** All surfaces with their systems. */
  get surfaces(): readonly Specified[] {
    return surfaces(this.job);
  }
  /** Surfaces of options that were not taken: neither ordered nor worked on. */
  get leftOut(): ReadonlySet<SurfaceId> {
    return leftOutBy(this.job.options);
  }
  get operations(): readonly Operation[] {
    return operations(this.job);
  }
  /** Rooms with who laps over whom in them. */
  get lines(): readonly LinedRoom[] {
    return lines(this.job);
  }
  get paints(): readonly PaintLine[] {
    return paints(this.job);
  }
}
export const wholeOf = remember((job: Planned): Whole => new Whole(job));
