import type { Id } from './table.ts';
import type { Minutes, Money } from '../units/si.ts';
import type { Hand, Skill } from './vocabulary.ts';

/** A stretch of a day, minutes after midnight. */
type Stretch = readonly [Minutes, Minutes];

export interface Person {
  readonly id: Id;
  readonly name: string;
  /** Pay for a day, minor units. */
  readonly day: Money;
  readonly hand: Hand;
  /** Their own hours; null: those of the crew. */
  readonly hours: readonly Stretch[] | null;
  /** ISO dates of their first and last day on the job; null: those of the job. */
  readonly from: string | null;
  readonly until: string | null;
  /** ISO dates on which they are away. */
  readonly away: readonly string[];
  /** What they do; null: everything. */
  readonly skills: readonly Skill[] | null;
}

export interface Crew {
  readonly people: readonly Person[];
  /** Working stretches of a day. */
  readonly hours: readonly Stretch[];
  /** ISO date of the first day; null: not set, and days are counted without weekends. */
  readonly start: string | null;
  /** Days of the week that are worked, 1 (Monday) to 7. */
  readonly weekdays: readonly number[];
  /** ISO dates on which nobody works. */
  readonly holidays: readonly string[];
  /** ISO dates that are worked although their weekday is not. */
  readonly extra: readonly string[];
  /** IANA time zone of the job. */
  readonly zone: string;
  /** Hours of a day without noise and dust. */
  readonly quiet: readonly Stretch[];
  /** Minute of the day by which painted windows and doors are to be shut; null: they may stand open. */
  readonly closing: Minutes | null;
  /** Work platforms there are; null: as many as are wanted. */
  readonly platforms: number | null;
}

/** A moment that the people of a job name: so many days after its first, at a time of the day. */
export interface Moment {
  readonly day: number;
  readonly time: Minutes;
}
/** What was pinned of a task: when it begins, who does it; null: left to the plan. */
export interface TaskPin {
  readonly at: Moment | null;
  readonly who: readonly Id[] | null;
}
/** A plan that was found by searching on and taken: its tasks in the order they were placed, with who does them. */
export interface TakenPlan {
  readonly order: readonly string[];
  readonly who: Readonly<Record<string, readonly Id[]>>;
}

/** Somebody of whom nothing more is said. */
export const personOf = (said: Pick<Person, 'id' | 'name' | 'day' | 'hand'>): Person => ({
  ...said,
  hours: null,
  from: null,
  until: null,
  away: [],
  skills: null,
});

/** Nothing said of days and tools. */
export const STARTING_DAYS: Omit<Crew, 'people' | 'hours' | 'start'> = {
  weekdays: [1, 2, 3, 4, 5],
  holidays: [],
  extra: [],
  zone: 'UTC',
  quiet: [],
  closing: 1200,
  platforms: null,
};
