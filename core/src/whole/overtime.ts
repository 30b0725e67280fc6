import { baseDays, baseOrder, basePlan } from './plan.ts';
import type { Crew } from '../job/crew.ts';
import { DAY, dayOf } from '../sequence/calendar.ts';
import type { JobSchedule } from '../sequence/schedule.ts';
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
  const { before, onLast } = daysWorked(now, crew);
  for (const minutes of TRIED) {
    if (last[1] + minutes > DAY) break;
    // what is done on the last day has to find room on those before it
    if (onLast > minutes * before + 1e-6) continue;
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

/** Days that people work before the last one, a person at a time; and minutes of work on that. */
function daysWorked({ personDays, placed, finish }: JobSchedule, crew: Crew): { before: number; onLast: Minutes } {
  const last = dayOf(crew, finish);
  const onLast = placed.reduce(
    (sum, { pieces, who }) =>
      sum + pieces.reduce((own, [from, to]) => own + (dayOf(crew, from) === last ? (to - from) * who.length : 0), 0),
    0,
  );
  return { before: personDays.filter(({ day }) => day < last).length, onLast };
}
