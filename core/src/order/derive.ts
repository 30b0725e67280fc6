import type { Job } from '../job/types.ts';
import { takeoffJob, type RoomTakeoff } from '../measure/takeoff.ts';
import { specifyRoom, type Specified } from '../specify/specify.ts';
import type { Minutes, Money } from '../units/si.ts';
import { operationsOf, type Operation } from '../work/operations.ts';
import { orderMaterials, type MaterialLine } from './materials.ts';
import { orderPaint, type PaintLine } from './paint.ts';

export interface JobOrder {
  readonly paints: readonly PaintLine[];
  readonly materials: readonly MaterialLine[];
  readonly labour: { readonly minutes: Minutes; readonly cost: Money };
  readonly total: Money;
}

/** The whole way from measures to price; every view and the shell read this one derivation. */
export interface Derived {
  readonly takeoffs: readonly RoomTakeoff[];
  readonly surfaces: readonly Specified[];
  readonly operations: readonly Operation[];
  readonly order: JobOrder;
}

export function derive(job: Job): Derived {
  const takeoffs = takeoffJob(job);
  const perRoom = takeoffs.map((takeoff) => ({ takeoff, surfaces: specifyRoom(job, takeoff) }));
  const surfaces = perRoom.flatMap((r) => r.surfaces);
  const operations = perRoom.flatMap((r) => operationsOf(job, r.takeoff, r.surfaces));
  const paints = orderPaint(job, surfaces);
  const materials = orderMaterials(job, takeoffs, surfaces);
  const minutes = operations.reduce((sum, op) => sum + op.minutes.value, 0);
  const labour = { minutes, cost: Math.round((minutes / 60) * hourlyOf(job.crew)) };
  const shown = [...paints.map((p) => p.choice?.cost ?? 0), ...materials.map((m) => m.cost), labour.cost];
  return {
    takeoffs,
    surfaces,
    operations,
    order: { paints, materials, labour, total: shown.reduce((a, b) => a + b, 0) },
  };
}

/** What an hour's work costs on average: a day's pay over its working hours. */
export function hourlyOf({ people, hours }: Job['crew']): number {
  const day = hours.reduce((sum, [from, to]) => sum + to - from, 0);
  return people.reduce((sum, p) => sum + p.day, 0) / people.length / (day / 60);
}

/** What the bottom of every screen shows, in SI; each figure is the sum the named step shows. */
export interface Ledger {
  readonly area: number;
  readonly cutIn: number;
  readonly paint: number;
  readonly minutes: Minutes;
  readonly total: Money;
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
    total: order.total,
    risk: worst ? { chance: worst.shortfallChance, of: worst.colour?.name ?? worst.product.name } : null,
  };
}
