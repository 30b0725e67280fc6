import type { Job } from '../job/types.ts';
import { minutesOf } from '../paces/minutes.ts';
import { dayLength } from '../paces/prices.ts';
import type { Minutes } from '../units/si.ts';
import type { Working } from '../units/working.ts';

type Crewed = Pick<Job, 'settings' | 'crew' | 'practice' | 'learned'>;

/** Washing up at the end of a day takes so long: less where brushes and covers are wrapped. */
export const cleanUpKey = ({ practice }: Pick<Job, 'practice'>) =>
  practice.washing === 'bagged' ? ('day.bagged' as const) : ('day.cleanUp' as const);

/** Days as they are worked and paid. */
export interface WorkDays {
  /** Days on which anybody works. */
  readonly days: number;
  /** The days of each person of the crew. */
  readonly byPerson: readonly number[];
  /** Person-minutes of going to each room with each paint. */
  readonly travel: Minutes;
  /** Share of the minutes that is counted besides, so that eight jobs in ten keep to it. */
  readonly spare: number;
  /** They are those of a plan; else no plan fits, and they are counted from the minutes. */
  readonly planned: boolean;
}

/** Set-up and clean-up of one person and day, covers wrapped before its breaks with it. */
export const daily = (job: Crewed): Minutes =>
  (['set-up', 'clean-up'] as const).reduce((sum, kind) => sum + onceOf(job, kind).value, 0);
function onceOf(job: Crewed, kind: 'set-up' | 'clean-up'): Working {
  const breaks = kind === 'clean-up' ? job.crew.hours.length - 1 : 0;
  return minutesOf(job, kind, [
    { name: 'once', quantity: 1, ...(kind === 'clean-up' ? { pace: cleanUpKey(job) } : {}) },
    ...(breaks > 0 ? [{ name: 'breaks', quantity: breaks, pace: 'day.wrap' } as const] : []),
  ]);
}

/** Set-up and clean-up of each person and day of a plan. */
export function dayOperations(
  job: Crewed,
  personDays: readonly { readonly person: number; readonly day: number }[],
): { readonly id: string; readonly kind: 'set-up' | 'clean-up'; readonly minutes: Working }[] {
  return personDays.flatMap(({ person, day }) =>
    (['set-up', 'clean-up'] as const).map((kind) => ({
      id: `day${day + 1}/${job.crew.people[person]?.id ?? person}:${kind}`,
      kind,
      minutes: onceOf(job, kind),
    })),
  );
}

/** Days for so many person-minutes without a plan: what set-up and clean-up leave of a day, by everybody. */
export function countedDays(job: Crewed, minutes: Minutes, travel: Minutes = 0): WorkDays {
  const useful = Math.max(30, dayLength(job) - daily(job)) * job.crew.people.length;
  const days = minutes > 0 ? Math.ceil((minutes + travel) / useful - 1e-9) : 0;
  return { days, byPerson: job.crew.people.map(() => days), travel, spare: 0, planned: false };
}
