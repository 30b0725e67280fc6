import type { Id } from './table.ts';
import type { CoatClass, TaskKind, Texture } from './vocabulary.ts';

/** A rate that was learned, as a logarithm of it over the planned one. */
interface LearnedRate {
  readonly log: number;
  /** Standard deviation of `log`, and entries it rests on. */
  readonly sd: number;
  readonly m: number;
  /** ISO date on which it was accepted. */
  readonly date: string;
}
/** Somebody's pace at one kind of work. */
export interface AcceptedPace extends LearnedRate {
  readonly person: Id;
  readonly kind: TaskKind;
  readonly coat: CoatClass;
}
/** How far a paint goes on a texture; null: on several. */
export interface AcceptedSpread extends LearnedRate {
  readonly product: Id;
  readonly texture: Texture | null;
}
export interface Accepted {
  readonly paces: readonly AcceptedPace[];
  readonly spreads: readonly AcceptedSpread[];
}
export const NOTHING_LEARNED: Accepted = { paces: [], spreads: [] };
