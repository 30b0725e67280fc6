import { rows, type SurfaceId } from '../job/table.ts';
import type { FinishChoice } from '../job/paints.ts';
import type { Job } from '../job/types.ts';
import type { RoomLines } from '../lines/lines.ts';
import { takeoffJob, type RoomTakeoff } from '../measure/takeoff.ts';
import { orderMaterials, type MaterialLine } from '../order/materials.ts';
import { orderPaint, type PaintLine } from '../order/paint.ts';
import { priceLabour, priceOf, type Labour, type Price } from '../order/price.ts';
import { daysOf, scheduleJob, type JobSchedule } from '../sequence/schedule.ts';
import { specifyRoom, type Specified } from '../specify/specify.ts';
import { remember } from '../units/remember.ts';
import type { Money } from '../units/si.ts';
import type { WorkDays } from '../work/days.ts';
import { operationsOf, roomLines, type Operation } from '../work/operations.ts';
import { MEASURED, PAINTED, PLANNED, SPECIFIED, WHOLE, WORKED, type Planned, type WholeInput } from './inputs.ts';
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
const painted = stage(SPECIFIED, (job): readonly Specified[] => specifiedRooms(job).flatMap((r) => r.done));

const operations = stage(WORKED, (job): readonly Operation[] =>
  specifiedRooms(job).flatMap((r) => operationsOf(job, r.takeoff, r.done)),
);

export interface LinedRoom {
  readonly takeoff: RoomTakeoff;
  /** What of it is painted. */
  readonly painted: readonly Specified[];
  readonly made: RoomLines;
}
const lines = stage(WORKED, (job): readonly LinedRoom[] =>
  specifiedRooms(job).map(({ takeoff, done }) => ({ takeoff, painted: done, made: roomLines(job, takeoff, done) })),
);

const paints = stage(PAINTED, (job): readonly PaintLine[] => orderPaint(job, painted(job)));

/**
 * A job from its measures to its paint: each stage is worked out when somebody looks at it, and kept while what it reads
 * stays the same. What needs the days of a plan is `orderOf`.
 */
export class Whole {
  constructor(private readonly job: WholeInput) {}
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
export const wholeOf = remember((job: WholeInput): Whole => new Whole(job));

/**
 * The plan that price, quote and ledger go by. It ends after a number of steps that the tasks set, so that it is the same on
 * every machine; large jobs take seconds, hence a worker asks for it.
 */
export const basePlan = stage(PLANNED, (job): JobSchedule => scheduleJob(job, takeoffs(job), operations(job)));

export interface JobOrder {
  readonly paints: readonly PaintLine[];
  readonly materials: readonly MaterialLine[];
  readonly labour: Labour;
  /** Paint, materials and labour at cost. */
  readonly total: Money;
  readonly price: Price;
}

/** What to buy and what it costs, for the days of a plan. */
export function orderOf(job: WholeInput, days: WorkDays): JobOrder {
  const labour = priceLabour(job, operations(job), days);
  const question = {
    job,
    takeoffs: takeoffs(job),
    surfaces: painted(job),
    paints: paints(job),
    lines: lines(job).map(({ made }) => made),
    days: days.days,
  };
  const materials = orderMaterials(question);
  const costs = {
    paint: paints(job).reduce((sum, p) => sum + (p.choice?.cost ?? 0), 0),
    materials: materials.reduce((sum, m) => sum + m.cost, 0),
    labour: labour.cost,
  };
  return {
    paints: paints(job),
    materials,
    labour,
    total: costs.paint + costs.materials + costs.labour,
    price: priceOf(costs, job.pricing),
  };
}

/** The days of the base plan; where no plan fits, as many as the minutes fill. */
export const baseDays = (job: Planned): WorkDays => daysOf(job, basePlan(job));

/** What to buy and what it costs by the base plan. */
export const baseOrder = stage(WHOLE, (job): JobOrder => orderOf(job, baseDays(job)));
