import { rows, type FinishChoice, type Id, type Job, type JobOption, type SurfaceId } from '../job/types.ts';
import { takeoffJob, type RoomTakeoff } from '../measure/takeoff.ts';
import { specifyRoom, type Specified } from '../specify/specify.ts';
import type { Minutes, Money } from '../units/si.ts';
import { remember } from '../units/remember.ts';
import { operationsOf, type Operation } from '../work/operations.ts';
import { orderMaterials, type MaterialLine } from './materials.ts';
import { orderPaint, type PaintLine } from './paint.ts';
import { priceLabour, priceOf, type Labour, type Price } from './price.ts';

export interface JobOrder {
  readonly paints: readonly PaintLine[];
  readonly materials: readonly MaterialLine[];
  readonly labour: Labour;
  /** Paint, materials and labour at cost. */
  readonly total: Money;
  readonly price: Price;
}

/** The whole way from measures to price; every view and the shell read this one derivation. */
export interface Derived {
  readonly takeoffs: readonly RoomTakeoff[];
  /** All surfaces with their systems. */
  readonly surfaces: readonly Specified[];
  /** Surfaces of options that were not taken: neither ordered nor worked on. */
  readonly leftOut: ReadonlySet<SurfaceId>;
  readonly operations: readonly Operation[];
  readonly order: JobOrder;
}

export function derive(job: Job): Derived {
  const takeoffs = takeoffJob(job);
  const leftOut = leftOutBy(job.options);
  const finished = { ...job, finishes: finishesWith(job.finishes, job.options) };
  const perRoom = takeoffs.map((takeoff) => {
    const surfaces = specifyRoom(finished, takeoff);
    return { takeoff, surfaces, done: within(surfaces, leftOut) };
  });
  const done = perRoom.flatMap((r) => r.done);
  const operations = perRoom.flatMap((r) => operationsOf(job, r.takeoff, r.done));
  return {
    takeoffs,
    surfaces: perRoom.flatMap((r) => r.surfaces),
    leftOut,
    operations,
    order: orderOf(job, takeoffs, done, operations),
  };
}

function orderOf(
  job: Job,
  takeoffs: readonly RoomTakeoff[],
  surfaces: readonly Specified[],
  operations: readonly Operation[],
): JobOrder {
  const paints = orderPaint(job, surfaces);
  const labour = priceLabour(job, operations);
  const materials = orderMaterials({ job, takeoffs, surfaces, paints, days: labour.days });
  const costs = {
    paint: paints.reduce((sum, p) => sum + (p.choice?.cost ?? 0), 0),
    materials: materials.reduce((sum, m) => sum + m.cost, 0),
    labour: labour.cost,
  };
  return {
    paints,
    materials,
    labour,
    total: costs.paint + costs.materials + costs.labour,
    price: priceOf(costs, job.pricing),
  };
}

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

export interface OptionPrice {
  readonly option: JobOption;
  /** Tax with it, on top of the job without this option. */
  readonly price: Money;
}
/** Each option by itself: the price of the job with it less the price without, the other options as they are. */
export function optionPrices(job: Job): OptionPrice[] {
  const total = (id: Id, taken: boolean): Money => {
    const option = job.options.byId[id] as JobOption;
    const options = { ...job.options, byId: { ...job.options.byId, [id]: { ...option, taken } } };
    return derive({ ...job, options }).order.price.total;
  };
  return rows(job.options).map((option) => ({ option, price: total(option.id, true) - total(option.id, false) }));
}

/** What the bottom of every screen shows, in SI; each figure is the sum the named step shows. */
export interface Ledger {
  readonly area: number;
  readonly cutIn: number;
  readonly paint: number;
  readonly minutes: Minutes;
  /** What the job is quoted at. */
  readonly price: Money;
  /** The paint most likely to run short. */
  readonly risk: { readonly chance: number; readonly of: string } | null;
}

export function ledgerOf({ takeoffs, surfaces, order }: Derived): Ledger {
  const worst = [...order.paints].sort((a, b) => b.shortfallChance - a.shortfallChance)[0];
  return {
    area: surfaces.reduce((sum, s) => sum + s.surface.area.value, 0),
    cutIn: takeoffs.flatMap((t) => t.lines).reduce((sum, line) => sum + line.length.value, 0),
    paint: order.paints.reduce((sum, p) => sum + p.ordered, 0),
    minutes: order.labour.minutes,
    price: order.price.total,
    risk: worst ? { chance: worst.shortfallChance, of: worst.colour?.name ?? worst.product.name } : null,
  };
}
