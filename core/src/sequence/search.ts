import { seeded, type Random } from '../units/random.ts';
import type { Minutes } from '../units/si.ts';
import { Board, choiceFor, type Choice } from './board.ts';
import { lowerBound } from './bound.ts';
import { HORIZON, whenWorked, workedBy } from './calendar.ts';
import { Exact, isEnumerable } from './exact.ts';
import type { Activity, Compiled } from './instance.ts';
import { OrderWalk } from './orderWalk.ts';
import { placedOf, type Placed } from './placed.ts';
import { RuleWalk } from './ruleWalk.ts';
import { isBetter, type Score } from './score.ts';
import type { Candidate } from './walk.ts';

const { floor, max, min } = Math;

export interface Solution<T extends Activity = Activity> {
  readonly placed: readonly Placed<T>[];
  /** Tasks in the order in which they were placed: a search that is given it begins on this very plan. */
  readonly order: readonly string[];
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
/** A finish that is better by less is no better. */
const SAME: Minutes = 0.05;
/** Of ten steps, so many try rules, fewer where there are few tasks; the others change the order of the best plan. */
const RULES = { few: 2, many: 6 };
export const FEW = 60;
/** First steps, all of them by rules. */
const OPENING = 12;
/** Steps without getting better after which a walk of orders begins again from the best plan, shaken. */
const PATIENCE = 100;

/** A search for a plan: each step tries one; the best stands at any time. */
export class Search<T extends Activity = Activity> {
  private readonly random: Random;
  private readonly byRules: number;
  private readonly rules: RuleWalk;
  private readonly orders: OrderWalk;
  private best: { readonly score: Score; readonly choice: Choice } | null = null;
  private taken = 0;
  /** The best plan came from elsewhere since the orders were begun. */
  private isElsewhere = true;
  /** The finish for which the bound was last sought. */
  private looked: Minutes = Infinity;
  /** From here on a look at all plans gave no answer. */
  private open: Minutes = Infinity;

  constructor(
    private readonly problem: Compiled<T>,
    seed = 1,
    from: Taken | null = null,
    /** What is proved already. */
    private proved: Minutes = 0,
  ) {
    this.random = seeded(seed);
    this.byRules = problem.count <= FEW ? RULES.few : RULES.many;
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
    return this.best !== null && this.best.score.late < NEAR && this.best.score.finish <= this.bound + SAME + NEAR;
  }

  /** Tries one more plan. @returns true where it is the best so far. */
  step(): boolean {
    const n = this.taken++;
    if (n < OPENING || n % 10 < this.byRules || !this.best) return this.offer(this.rules.step(), true);
    if (this.isElsewhere) this.orders.begin(this.best.choice);
    else if (this.orders.stale > PATIENCE) this.orders.begin(this.best.choice, 3 + floor(12 * this.random()));
    this.isElsewhere = false;
    return this.offer(this.orders.step(), false);
  }

  /** Paid minutes of a plan against those that are proved; 0: nothing is left to gain. */
  get gap(): number {
    const { plain } = this.problem;
    const least = workedBy(plain, this.bound);
    return this.best && least > 0 ? max(0, workedBy(plain, this.best.score.finish) / least - 1) : Infinity;
  }

  /**
   * Looks at all plans of a small job for one that ends sooner than the best, or halfway to the bound where that was too much: it is
   * found, or there is none and the bound gets better, or so many tries were too few.
   * @returns false where that is no use.
   */
  look(tries: number): boolean {
    const { best, problem } = this;
    if (!best || best.score.late > NEAR || this.isProven || problem.count > FEW || !isEnumerable(problem)) return false;
    const { finish } = best.score;
    const { plain } = problem;
    const open = min(this.open, finish);
    const halfway = whenWorked(plain, (workedBy(plain, this.bound) + workedBy(plain, open)) / 2, open);
    const goal = this.open > finish ? finish - SAME : halfway;
    const found = new Exact(problem, goal, tries).look();
    if (found === 'none') this.proved = max(this.proved, goal);
    else if (found === 'unknown') this.open = goal;
    else if (this.offer(this.orders.placed(found.choice), true)) this.open = Infinity;
    return true;
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
  solution(proved: Minutes = this.bound): Solution<T> | null {
    if (!this.best) return null;
    const { score, choice } = this.best;
    const board = new Board(this.problem);
    board.place(choice);
    return {
      placed: placedOf(this.problem, board),
      order: board.order.flatMap((c) => (this.problem.chains[c] ?? []).map((i) => this.problem.tasks[i]?.id ?? '')),
      score,
      bound: min(max(proved, this.bound), score.finish),
      steps: this.taken,
      proven: this.isProven,
    };
  }
}
