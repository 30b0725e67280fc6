import type { Reason } from '../words/reasons.ts';

export interface Decided<T> {
  readonly value: T;
  readonly because: readonly Reason[];
  /** The user's decision, beside the recommendation. */
  readonly override?: T;
}

/** What counts: the overrule where there is one. */
export const effective = <T>(decided: Decided<T>): T => decided.override ?? decided.value;
