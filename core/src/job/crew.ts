import type { Id } from './table.ts';
import type { Minutes, Money } from '../units/si.ts';
import type { Hand } from './vocabulary.ts';

export interface Person {
  readonly id: Id;
  readonly name: string;
  /** Pay for a day, minor units. */
  readonly day: Money;
  readonly hand: Hand;
}

export interface Crew {
  readonly people: readonly Person[];
  /** Working stretches of a day, minutes after midnight. */
  readonly hours: readonly (readonly [Minutes, Minutes])[];
  /** ISO date of the first day; null: not set. */
  readonly start: string | null;
}
