import type { Minutes } from '../units/si.ts';
import { Board, choiceFor, type Choice } from './board.ts';
import { CrewTime, latestEnds, relationsOf } from './bound.ts';
import { NEVER, type Calendar } from './calendar.ts';
import type { Activity, Chain, Compiled } from './instance.ts';

const { max, min } = Math;
const NEAR = 1e-7;

/** What a look at every plan found: one that ends in time, that there is none, or nothing in so many tries. */
export type Looked = { readonly choice: Choice } | 'none' | 'unknown';

/**
 * Is every plan worth looking at among those that place one task after the other, each as early as it may begin, in the order of their
 * begins? Not where maximal lags tie tasks together, for those may have to begin later; nor where some of several people do a task.
 */
export const isEnumerable = ({ chains, count, tasks, able }: Compiled): boolean =>
  chains.length === count && tasks.every((task, i) => task.people === 1 || task.people === able[i]?.length);

/**
 * Looks for a plan that ends by `finish`, at all of them in at most so many tries: depth first, what is most pressing first. Given up
 * on is a beginning after which some task begins too late, or more is left to do before a moment than there are hours; and one that
 * is in nothing ahead of another with the same tasks done.
 */
export class Exact {
  private readonly board: Board;
  private readonly waiting: Int32Array;
  private readonly placed: Uint8Array;
  /** By which each task has to have ended, and tasks in the order of that. */
  private readonly latest: Float64Array;
  private readonly byLatest: Int32Array;
  /** Of each person: what they work by each of those moments. */
  private readonly workedBy: readonly Float64Array[];
  private readonly heads: Float64Array;
  private readonly ends: Float64Array;
  private readonly free: Float64Array;
  /** Has everybody the same hours, and may everybody do everything? */
  private readonly isAlike: boolean;
  private readonly known = new Map<string, Float64Array[]>();
  private tries = 0;

  constructor(
    private readonly problem: Compiled,
    finish: Minutes,
    private readonly most: number,
  ) {
    const { count, people, plain, chains } = problem;
    this.board = new Board(problem);
    this.waiting = Int32Array.from(problem.waitsFor);
    this.placed = new Uint8Array(chains.length);
    const latest = latestEnds(problem, new CrewTime(problem, people, finish), relationsOf(problem), finish);
    this.latest = latest;
    this.byLatest = Int32Array.from({ length: count }, (_, i) => i).sort(
      (a, b) => (latest[a] as number) - (latest[b] as number),
    );
    this.workedBy = plain.map((calendar) =>
      Float64Array.from(this.byLatest, (i) => calendar.worked(max(0, latest[i] as number))),
    );
    const hours = (calendar: Calendar): string => JSON.stringify(calendar.within(0, finish));
    this.isAlike = problem.calendars.every(
      (own, i) => new Set(own.map(hours)).size === 1 && problem.able[i]?.length === people,
    );
    this.heads = new Float64Array(count);
    this.ends = new Float64Array(count);
    this.free = new Float64Array(people);
  }

  look(): Looked {
    return this.goesOn(this.problem.chains.length, 0) ?? 'none';
  }

  /** @returns null: nothing that begins like this ends in time. */
  private goesOn(left: number, from: Minutes): Looked | null {
    if (left === 0) return { choice: this.choice() };
    if (++this.tries > this.most) return 'unknown';
    this.freed();
    if (this.isTooLate() || this.isOverfull() || this.isBehind(from)) return null;
    for (const [c, person] of this.options(from)) {
      const head = (this.problem.chains[c] as Chain)[0] as number;
      if (!this.board.takeUp(c, from, person)) continue;
      // in the order of their begins: another order comes to the same plan
      const begins = this.board.start[head] as number;
      const isLate = (this.board.end[head] as number) > (this.latest[head] as number) + 1e-6;
      const found = isLate || begins < from - NEAR ? null : this.with(c, left, begins);
      if (found) return found;
      this.board.takeBack(c);
    }
    return null;
  }
  private with(c: number, left: number, begins: Minutes): Looked | null {
    const { followers } = this.problem;
    this.placed[c] = 1;
    for (const next of followers[c] as readonly number[]) this.waiting[next] = (this.waiting[next] as number) - 1;
    const found = this.goesOn(left - 1, begins);
    for (const next of followers[c] as readonly number[]) this.waiting[next] = (this.waiting[next] as number) + 1;
    this.placed[c] = 0;
    return found;
  }

  /** Since when each person has nothing left of what was placed. */
  private freed(): void {
    const { people, plain } = this.problem;
    for (let person = 0; person < people; person++) {
      const last = this.board.agenda(person).at(-1);
      const since = last === undefined ? 0 : (this.board.end[last] as number);
      this.free[person] = (plain[person] as Calendar).next(since);
    }
  }

  /** Earliest begins of what is left; true where one ends too late. */
  private isTooLate(): boolean {
    const { order, tasks, waits, able, calendars } = this.problem;
    const { heads, ends, free, board } = this;
    for (const i of order) {
      if ((board.start[i] as number) >= 0) {
        heads[i] = board.start[i] as number;
        ends[i] = board.end[i] as number;
        continue;
      }
      const { work, interruptible } = tasks[i] as Activity;
      let ready = this.problem.ready[i] as number;
      for (const { from, end, least } of waits[i] as Compiled['waits'][number])
        ready = max(ready, ((end ? ends[from] : heads[from]) as number) + least);
      let [begins, done] = [NEVER, NEVER];
      for (const person of able[i] as readonly number[]) {
        const calendar = calendars[i]?.[person] as Calendar;
        const then = calendar.start(max(ready, free[person] as number), work, interruptible);
        begins = min(begins, then);
        if (then < NEVER) done = min(done, calendar.end(then, work, interruptible));
      }
      heads[i] = begins;
      ends[i] = done;
      if (done > (this.latest[i] as number) + 1e-6) return true;
    }
    return false;
  }

  /** Is there more left to do between two moments than people have hours? */
  private isOverfull(): boolean {
    const { count, tasks, people, plain } = this.problem;
    const { board, byLatest, heads, free } = this;
    const begins = new Set<number>();
    for (let i = 0; i < count; i++) if ((board.start[i] as number) < 0) begins.add(heads[i] as number);
    for (const from of begins) {
      let sum = 0;
      for (let k = 0; k < count; k++) {
        const i = byLatest[k] as number;
        if ((board.start[i] as number) >= 0 || (heads[i] as number) < from) continue;
        const { work, people: on } = tasks[i] as Activity;
        sum += work * on;
        let hours = 0;
        for (let person = 0; person < people; person++) {
          const gone = (plain[person] as Calendar).worked(max(from, free[person] as number));
          hours += max(0, (this.workedBy[person]?.[k] as number) - gone);
        }
        if (sum > hours + 1e-6) return true;
      }
    }
    return false;
  }

  /** Was there a beginning with the same tasks done in which nobody is later, and nothing that is waited for? Else it is kept. */
  private isBehind(from: Minutes): boolean {
    const { chains, chainOf, waits, apart, people } = this.problem;
    const { board, placed } = this;
    let key = '';
    for (let c = 0; c < chains.length; c += 15) {
      let bits = 0;
      for (let k = 0; k < 15 && c + k < chains.length; k++) bits |= (placed[c + k] as number) << k;
      key += String.fromCharCode(bits);
    }
    const everybody = Array.from({ length: people }, (_, person) => person);
    const standing = everybody.map((person) => this.standing(person));
    // of people who could stand in for each other it does not matter who is where
    if (this.isAlike)
      everybody.sort(
        (a, b) =>
          Number((standing[a] as string) > (standing[b] as string)) -
            Number((standing[a] as string) < (standing[b] as string)) ||
          (this.free[a] as number) - (this.free[b] as number),
      );
    for (const person of everybody) key += `.${standing[person]}`;
    // what lets tasks begin before the next may begin anyhow is all the same
    const moments = everybody.map((person) => max(from, this.free[person] as number));
    for (let c = 0; c < chains.length; c++) {
      if (placed[c]) continue;
      const task = (chains[c] as Chain)[0] as number;
      let ready = from;
      for (const { from: before, end, least } of waits[task] as Compiled['waits'][number])
        if (placed[chainOf[before] as number])
          ready = max(ready, ((end ? board.end[before] : board.start[before]) as number) + least);
      for (const { other, second } of apart[task] as Compiled['apart'][number])
        if (placed[chainOf[other] as number]) ready = max(ready, (board.end[other] as number) + second);
      moments.push(ready);
    }
    const state = Float64Array.of(from, ...moments);
    const others = this.known.get(key);
    if (others?.some((other) => other.every((t, i) => t <= (state[i] as number) + 1e-9))) return true;
    if (others) others.push(state);
    else this.known.set(key, [state]);
    return false;
  }
  /** Where somebody is with what in the hand, and what of few things they hold. */
  private standing(person: number): string {
    const { kind, needs } = this.problem;
    const last = this.board.agenda(person).at(-1);
    return last === undefined ? '' : `${kind[last]} ${needs[last]?.join()}`;
  }

  /** What may come next, by whom: what has to begin soonest first. */
  private options(from: Minutes): (readonly [chain: number, person: number])[] {
    const { chains, tasks, able, plain, travel, kind } = this.problem;
    const { heads, latest, free, board } = this;
    const found: [chain: number, person: number, presses: number][] = [];
    for (let c = 0; c < chains.length; c++) {
      if (this.placed[c] || (this.waiting[c] as number) > 0) continue;
      const task = (chains[c] as Chain)[0] as number;
      const { work, people } = tasks[task] as Activity;
      const presses = (latest[task] as number) - work;
      if (people > 1) found.push([c, -1, presses]);
      else
        for (const person of able[task] as readonly number[]) {
          const last = board.agenda(person).at(-1) ?? -1;
          const fetch = (travel[last < 0 ? 0 : (kind[last] as number) + 1] as Float64Array)[
            kind[task] as number
          ] as number;
          const idle = (plain[person] as Calendar).worked(max(heads[task] as number, from, free[person] as number));
          found.push([c, person, presses + 3 * idle + 5 * fetch]);
        }
    }
    return found.sort((a, b) => a[2] - b[2]).map(([c, person]) => [c, person]);
  }

  private choice(): Choice {
    const choice = choiceFor(this.problem);
    const { start, on } = this.board;
    this.problem.chains.forEach((chain, c) => (choice.key[c] = start[chain[0] as number] as number));
    for (let i = 0; i < choice.who.length; i++) {
      const bits = on[i] as number;
      if ((bits & (bits - 1)) === 0) choice.who[i] = 31 - Math.clz32(bits);
    }
    return choice;
  }
}
