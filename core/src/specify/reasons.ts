import type { WORDING } from './wording.ts';

export type RuleId = keyof typeof WORDING;

/** Why: the rule and the numbers or words it used. The sentence is made in wording.ts and nowhere else. */
export interface Reason {
  readonly rule: RuleId;
  readonly with: Readonly<Record<string, string | number>>;
}
export interface Decided<T> {
  readonly value: T;
  readonly because: readonly Reason[];
  /** The user's decision, beside the recommendation. */
  readonly override?: T;
}

export const because = (rule: RuleId, used: Reason['with'] = {}): Reason => ({ rule, with: used });
/** What counts: the overrule where there is one. */
export const effective = <T>(decided: Decided<T>): T => decided.override ?? decided.value;
