import { seeded, type Random } from '../units/random.ts';
import type { Minutes } from '../units/si.ts';
import { Board, choiceFor, type Choice } from './board.ts';
import { lowerBound } from './bound.ts';
import { HORIZON } from './calendar.ts';
import type { Activity, Compiled } from './instance.ts';
import { OrderWalk } from './orderWalk.ts';
import { placedOf, type Placed } from './placed.ts';
import { RuleWalk } from './ruleWalk.ts';
import { isBetter, type Score } from './score.ts';
import type { Candidate } from './walk.ts';

const { floor, max, min } = Math;

export interface Solution<T extends Activity = Activity> {
  readonly placed: readonly Placed<T>[];
  readonly score: Score;
  /** Proved: no plan finishes earlier. It never reads a plan. */
  readonly bound: Minutes;
  /** Steps that were taken, and whether nothing is left to look for. */
  readonly steps: number;
  readonly proven: boolean;
}
/** A plan that was taken: tasks in its order, and who does them. */
export interface Taken {
  readonly order: readonly string[];
  readonly who: Readonly<Record<string, readonly number[]>>;
}

const NEAR = 1e-6;
/** Of ten steps, so many try rules; the others change the order of the best plan. */
const RULES = 6;
/** First steps, all of them by rules. */
const OPENING = 12;
/** Steps without getting better after which a walk of orders begins again from the best plan, shaken. */
const PATIENCE = 100;

/** A search for a plan: each step tries one; the best stands at any time. */
export class Search<T extends Activity = Activity> {
  private readonly random: Random;
  private readonly rules: RuleWalk;
  private readonly orders: OrderWalk;
  private best: { readonly score: Score; readonly choice: Choice } | null = null;
  private taken = 0;
  /** The best plan came from elsewhere since the orders were begun. */
  private isElsewhere = true;
  private proved: Minutes = 0;
  /** The finish for which the bound was last sought. */
  private looked: Minutes = Infinity;

  constructor(
    private readonly problem: Compiled<T>,
    seed = 1,
    from: Taken | null = null,
  ) {
    this.random = seeded(seed);
    this.rules = new RuleWalk(problem, this.random);
    this.orders = new OrderWalk(problem, this.random);
    if (from) this.offer(this.follow(from), true);
  }

  get steps(): number {
    return this.taken;
  }
  get isFound(): boolean {
    return this.best !== null;
  }
  get score(): Score | null {
    return this.best?.score ?? null;
  }
  /** The more is known of the finish, the closer it is looked for. */
  get bound(): Minutes {
    const finish = this.best?.score.finish ?? HORIZON;
    if (finish < this.looked - 1) {
      this.proved = max(this.proved, lowerBound(this.problem, finish));
      this.looked = finish;
    }
    return this.proved;
  }
  get isProven(): boolean {
    return this.best !== null && this.best.score.late < NEAR && this.best.score.finish <= this.bound + NEAR;
  }

  /** Tries one more plan. @returns true where it is the best so far. */
  step(): boolean {
    const n = this.taken++;
    if (n < OPENING || n % 10 < RULES || !this.best) return this.offer(this.rules.step(), true);
    if (this.isElsewhere) this.orders.begin(this.best.choice);
    else if (this.orders.stale > PATIENCE) this.orders.begin(this.best.choice, 3 + floor(12 * this.random()));
    this.isElsewhere = false;
    return this.offer(this.orders.step(), false);
  }

  private offer(made: Candidate | null, fromElsewhere: boolean): boolean {
    if (!made || (this.best && !isBetter(made.score, this.best.score))) return false;
    const { score, choice } = made;
    this.best = { score, choice: { key: Float64Array.from(choice.key), who: Int8Array.from(choice.who) } };
    this.isElsewhere ||= fromElsewhere;
    return true;
  }

  /** A plan that was taken, as far as its tasks are still there. */
  private follow({ order, who }: Taken): Candidate | null {
    const { chains, tasks, able } = this.problem;
    const choice = choiceFor(this.problem);
    const at = new Map(order.map((id, i) => [id, i]));
    chains.forEach((chain, c) => {
      choice.key[c] = min(...chain.map((i) => at.get(tasks[i]?.id ?? '') ?? Infinity), 1e6);
    });
    tasks.forEach((task, i) => {
      const wish = who[task.id]?.[0] ?? -1;
      if (able[i]?.includes(wish)) choice.who[i] = wish;
    });
    return this.orders.placed(choice);
  }

  /** The best plan so far; null: none was found. */
  solution(): Solution<T> | null {
    if (!this.best) return null;
    const { score, choice } = this.best;
    const board = new Board(this.problem);
    board.place(choice);
    return {
      placed: placedOf(this.problem, board),
      score,
      bound: min(this.bound, score.finish),
      steps: this.taken,
      proven: this.isProven,
    };
  }
}
