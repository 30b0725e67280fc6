import { setting } from '../job/defaults.ts';
import type { Job } from '../job/types.ts';
import type { Minutes } from '../units/si.ts';

type Crewed = Pick<Job, 'settings' | 'crew'>;

/** Days as they are worked and paid. */
export interface WorkDays {
  /** Days on which anybody works. */
  readonly days: number;
  /** The days of each person of the crew. */
  readonly byPerson: readonly number[];
  /** They are those of a plan; else no plan fits, and they are counted from the minutes. */
  readonly planned: boolean;
}

/** Minutes of a working day. */
export const dayLength = ({ crew }: Pick<Job, 'crew'>): Minutes =>
  crew.hours.reduce((sum, [from, to]) => sum + to - from, 0);

/** Set-up and clean-up of one person and day. */
export const daily = (job: Pick<Job, 'settings'>): Minutes => setting(job, 'day.setUp') + setting(job, 'day.cleanUp');

/** Days for so many person-minutes without a plan: what set-up and clean-up leave of a day, by everybody. */
export function countedDays(job: Crewed, minutes: Minutes): WorkDays {
  const useful = Math.max(30, dayLength(job) - daily(job)) * job.crew.people.length;
  const days = minutes > 0 ? Math.ceil(minutes / useful - 1e-9) : 0;
  return { days, byPerson: job.crew.people.map(() => days), planned: false };
}
