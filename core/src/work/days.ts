import { setting } from '../job/defaults.ts';
import type { Job } from '../job/types.ts';
import type { Minutes } from '../units/si.ts';
import { compute, given, type Working } from '../units/working.ts';

type Crewed = Pick<Job, 'settings' | 'crew'>;

/** Minutes of a working day. */
export const dayLength = ({ crew }: Pick<Job, 'crew'>): Minutes =>
  crew.hours.reduce((sum, [from, to]) => sum + to - from, 0);

/** Set-up and clean-up of one person and day. */
const daily = (job: Crewed): Minutes => setting(job, 'day.setUp') + setting(job, 'day.cleanUp');

/**
 * Working days for so many person-minutes: what set-up and clean-up leave of a day, by everybody. A count for price and
 * materials; drying may stretch it on the calendar, which is the schedule’s to say.
 */
export function workingDays(job: Crewed, minutes: Minutes): number {
  const useful = Math.max(30, dayLength(job) - daily(job)) * job.crew.people.length;
  return minutes > 0 ? Math.ceil(minutes / useful - 1e-9) : 0;
}

/** Person-minutes of setting up and cleaning up in so many days. */
export const setUpMinutes = (job: Crewed, days: number): Working =>
  compute(
    'product',
    'set up and clean up',
    'minutes',
    given('days', days, 'count'),
    given('people', job.crew.people.length, 'count'),
    given('a person’s day', daily(job), 'minutes'),
  );
