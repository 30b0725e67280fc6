import { orderMaterials, type MaterialLine } from '../order/materials.ts';
import type { PaintLine } from '../order/paint.ts';
import { priceLabour, priceOf, type Labour, type Price } from '../order/price.ts';
import { setting } from '../job/defaults.ts';
import { replay, type Replays } from '../sequence/replay.ts';
import { daysOf, scheduleJob, takenFrom, type JobSchedule } from '../sequence/schedule.ts';
import type { SolveOptions } from '../sequence/solve.ts';
import { sigmaOf } from '../wetEdge/uniform.ts';
import type { Minutes, Money } from '../units/si.ts';
import { mendsOf } from '../work/remedies.ts';
import type { WorkDays } from '../work/days.ts';
import { PLANNED, WHOLE, type Planned, type WholeInput } from './inputs.ts';
import { keepFor } from './wet.ts';
import { stage } from './stage.ts';
import { wholeOf } from './whole.ts';

/**
 * The plan that price, quote and ledger go by. It ends after a number of steps that the tasks set, so that it is the same on
 * every machine; large jobs take seconds, hence a worker asks for it.
 */
export const basePlan = stage(PLANNED, (job): JobSchedule =>
  scheduleJob(job, wholeOf(job).takeoffs, wholeOf(job).operations, keepFor(job)),
);

/** A search that goes on from the base plan, with other chances each time. */
export function searchOn(job: Planned, seed: number, steps: number, told?: SolveOptions['told']): JobSchedule {
  const { takeoffs, operations } = wholeOf(job);
  const from = { ...job, taken: takenFrom(basePlan(job)) };
  return scheduleJob(from, takeoffs, operations, keepFor(job), { seed, steps, ...(told ? { told } : {}) });
}

/** Times that the base plan is worked through with minutes and drying as they come. */
const REPLAYS = 500;
export const replays = stage(PLANNED, (job): Replays => {
  const { network, placed } = basePlan(job);
  const varying = {
    people: sigmaOf(setting(job, 'replay.people')),
    tasks: sigmaOf(setting(job, 'replay.tasks')),
    drying: sigmaOf(setting(job, 'replay.drying')),
  };
  return replay(network, placed, varying, REPLAYS);
});

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
  const labour = priceLabour(job, wholeOf(job).operations, days);
  const question = {
    job,
    takeoffs: wholeOf(job).takeoffs,
    surfaces: wholeOf(job).painted,
    paints: wholeOf(job).paints,
    lines: wholeOf(job).lines.map(({ made }) => made),
    days: days.days,
    mends: mendsOf(job, wholeOf(job).painted),
  };
  const materials = orderMaterials(question);
  const costs = {
    paint: wholeOf(job).paints.reduce((sum, p) => sum + (p.choice?.cost ?? 0), 0),
    materials: materials.reduce((sum, m) => sum + m.cost, 0),
    labour: labour.cost,
  };
  return {
    paints: wholeOf(job).paints,
    materials,
    labour,
    total: costs.paint + costs.materials + costs.labour,
    price: priceOf(costs, job.pricing),
  };
}

/** The days of the base plan; where no plan fits, as many as the minutes fill. A quote may count on what eight in ten plays keep. */
export const baseDays = (job: Planned & Pick<WholeInput, 'pricing'>): WorkDays => ({
  ...daysOf(job, basePlan(job)),
  spare: job.pricing.promised === 'p80' ? spareOf(job) : 0,
});
function spareOf(job: Planned): number {
  const { network, finish } = basePlan(job);
  const worked = (t: Minutes): Minutes =>
    (network.calendars['plain'] ?? []).reduce((sum, calendar) => sum + calendar.worked(t), 0);
  const planned = worked(finish);
  return planned > 0 ? Math.max(0, worked(replays(job).p80) / planned - 1) : 0;
}

/** What to buy and what it costs by the base plan. */
export const baseOrder = stage(WHOLE, (job): JobOrder => orderOf(job, baseDays(job)));
