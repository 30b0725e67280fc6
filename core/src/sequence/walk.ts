import type { Choice } from './board.ts';
import type { Score } from './score.ts';

/** A plan that a step made; its choice is written over by the next one. */
export interface Candidate {
  readonly score: Score;
  /** What the walk goes by. */
  readonly cost: number;
  readonly choice: Choice;
}
/** A way of looking for plans, a step a plan. */
export interface Walk {
  /** null: what was tried fits nowhere before the horizon. */
  step(): Candidate | null;
}
