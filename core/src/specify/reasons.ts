import type { Reason, RuleId } from './wording.ts';

export type { Reason, RuleId };

export interface Decided<T> {
  readonly value: T;
  readonly because: readonly Reason[];
  /** The user's decision, beside the recommendation. */
  readonly override?: T;
}

export const because = (rule: RuleId, used: Reason['with'] = {}): Reason => ({ rule, with: used });
/** What counts: the overrule where there is one. */
export const effective = <T>(decided: Decided<T>): T => decided.override ?? decided.value;
