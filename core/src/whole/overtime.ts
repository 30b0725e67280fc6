import { baseDays, baseOrder, basePlan } from './plan.ts';
import type { Crew } from '../job/crew.ts';
import { dayOf, DAY } from '../sequence/calendar.ts';
import type { Minutes, Money } from '../units/si.ts';
import type { WholeInput } from './inputs.ts';

/** So many minutes more a day, by which the job ends sooner. */
export interface Overtime {
  readonly minutes: Minutes;
  readonly hours: Crew['hours'];
  readonly finish: Minutes;
  /** Days that are not come to any more. */
  readonly saved: number;
  readonly cost: Money;
}

/** Minutes more a day that are tried, the fewest first. */
const TRIED: readonly Minutes[] = [5, 15, 30, 60];

/** The least overtime by which the job ends on an earlier day; null: an hour more does not save one. */
export function overtimeFor(job: WholeInput): Overtime | null {
  const { crew } = job;
  const now = basePlan(job);
  const last = crew.hours.at(-1);
  if (!now.placed.length || !last) return null;
  for (const minutes of TRIED) {
    if (last[1] + minutes > DAY) break;
    const hours = [...crew.hours.slice(0, -1), [last[0], last[1] + minutes] as const];
    const longer = { ...job, crew: { ...crew, hours } };
    const then = basePlan(longer);
    if (!then.placed.length || dayOf(crew, then.finish) >= dayOf(crew, now.finish)) continue;
    return {
      minutes,
      hours,
      finish: then.finish,
      saved: baseDays(job).days - baseDays(longer).days,
      cost: baseOrder(longer).price.total - baseOrder(job).price.total,
    };
  }
  return null;
}
