import type { Random } from '../units/random.ts';
import type { Minutes } from '../units/si.ts';
import { Board, choiceFor, type Choice } from './board.ts';
import type { Calendar } from './calendar.ts';
import type { Activity, Compiled } from './instance.ts';
import { loosened, overrunOf } from './loose.ts';
import { costOf, scoreOf } from './score.ts';
import type { Candidate, Walk } from './walk.ts';

const { floor, max, min } = Math;

/** A plan may stand in for one that it is worse than, if it is no worse than so many steps ago. */
const MEMORY = 5;
/** Share of the walks whose changes are made to what is begun on the last day. */
const LATE = 0.6;
/** Shares of the changes that are made where the end is held up, and of those that put a while of work into another order. */
const HASTENED = 0.3;
const RESHUFFLED = 0.3;
/** A longer gap between two stretches is a night. */
const NIGHT: Minutes = 360;

/** What a minute counts that runs into a break. */
const OVERRUN = 0.3;

/**
 * Changes an order of tasks, and who does them, a little at a time; what may wait is put off every other step. It walks on plans
 * whose breaks give way, and offers what comes of the same order where they do not.
 */
export class OrderWalk implements Walk {
  /** The plan that is tried, and the one that the walk stands on. */
  private board: Board;
  private stands: Board;
  /** The one that was made last. */
  private made: Board;
  private readonly loose: Compiled;
  /** What is offered. */
  private readonly strict: Board;
  private readonly now: Choice;
  private readonly tried: Choice;
  private readonly history = new Float64Array(MEMORY).fill(Infinity);
  private nowCost = Infinity;
  private best = Infinity;
  private taken = 0;
  /** Changes that the next step makes at once; -1: it tries what the walk was begun on. */
  private changes = -1;
  /** The next step puts off what may wait in the plan of this one. */
  private justified = false;
  /** Steps since this walk got better. */
  stale = 0;

  constructor(
    private readonly problem: Compiled,
    private readonly random: Random,
  ) {
    this.loose = loosened(problem);
    this.board = new Board(this.loose);
    this.stands = new Board(this.loose);
    this.strict = new Board(problem);
    this.made = this.board;
    this.now = choiceFor(problem);
    this.tried = choiceFor(problem);
  }

  /** Goes on from a plan; `shaken`: so many changes at once. */
  begin({ key, who }: Choice, shaken = 0): void {
    this.now.key.set(key);
    this.now.who.set(who);
    this.changes = shaken > 0 ? shaken : -1;
    this.nowCost = Infinity;
    this.best = Infinity;
    this.history.fill(Infinity);
    this.stale = 0;
    this.justified = false;
    this.isLate = this.random() < LATE;
  }

  /** Changes are made to what is begun on the last day, or to anything. */
  private isLate = false;
  private pool: number[] = [];
  private pooled(): void {
    this.pool.length = 0;
    if (!this.isLate) return;
    const { start, end } = this.stands;
    const finish = end.reduce((most, t) => max(most, t), 0);
    const parts = (this.problem.plain[0] as Calendar).within(0, finish);
    let day = 0;
    for (let i = 1; i < parts.length; i++)
      if ((parts[i]?.[0] ?? 0) - (parts[i - 1]?.[1] ?? 0) > NIGHT) day = parts[i]?.[0] ?? 0;
    start.forEach((t, i) => t >= day - 1e-6 && this.pool.push(i));
    if (this.pool.length < 6) this.pool.length = 0;
  }

  /** A plan of a choice as it is; the loose one stays on the board. */
  placed(choice: Choice): Candidate | null {
    if (!this.board.place(choice)) return null;
    const cost =
      costOf(this.loose, this.board, scoreOf(this.loose, this.board)) + OVERRUN * overrunOf(this.problem, this.board);
    if (!this.strict.place(choice)) return null;
    const score = scoreOf(this.problem, this.strict);
    return { score, cost, choice };
  }

  step(): Candidate | null {
    const { key, who } = this.tried;
    const at = this.taken++ % MEMORY;
    if (this.justified) {
      // keys are the latest begins that the plan just made would allow
      this.justify(key);
      if (this.random() < 0.5) who.fill(-1);
    } else {
      key.set(this.now.key);
      who.set(this.now.who);
      for (let changes = this.changes; changes >= 0; changes--) this.change();
      this.changes = 0;
    }
    const again = !this.justified;
    this.justified = false;
    const made = this.placed(this.tried);
    if (!made) return null;
    this.justified = again;
    this.made = this.board;
    const { cost } = made;
    this.stale++;
    if (cost < this.best - 1e-6) {
      this.best = cost;
      this.stale = 0;
    }
    if (cost <= this.nowCost + 1e-6 || cost <= (this.history[at] as number)) {
      this.nowCost = cost;
      this.now.who.set(who);
      this.problem.chains.forEach((chain, c) => (this.now.key[c] = this.board.start[chain[0] as number] as number));
      [this.board, this.stands] = [this.stands, this.board];
      this.pooled();
    }
    this.history[at] = this.nowCost;
    return made;
  }

  /** Latest begins by which the plan on the board ends no later, everybody keeping the order of their tasks. */
  private justify(key: Float64Array): void {
    const { start, end } = this.made;
    const { waits, tasks, count, calendars, plain, people, travel, kind, chains } = this.problem;
    const finish = end.reduce((most, t) => max(most, t), 0);
    const byEnd = Int32Array.from({ length: count }, (_, i) => i).sort(
      (a, b) => (end[b] as number) - (end[a] as number) || (start[b] as number) - (start[a] as number),
    );
    const [latestEnd, latestStart] = [new Float64Array(count).fill(finish), new Float64Array(count).fill(Infinity)];
    const next = new Int32Array(people).fill(-1);
    for (const i of byEnd) {
      const { work, interruptible } = tasks[i] as Activity;
      let by = latestEnd[i] as number;
      let begins = latestStart[i] as number;
      for (let person = 0; person < people; person++) {
        if (!((this.made.on[i] as number) & (1 << person))) continue;
        const after = next[person] as number;
        if (after >= 0) {
          const fetch = (travel[(kind[i] as number) + 1] as Float64Array)[kind[after] as number] as number;
          const until = latestStart[after] as number;
          by = min(by, fetch > 0 ? (plain[person] as Calendar).startBy(until, fetch, true) : until);
        }
        next[person] = i;
        begins = min(begins, (calendars[i]?.[person] as Calendar).startBy(by, work, interruptible));
      }
      // never earlier than it stands: the shift is an estimate where rooms are narrow
      begins = max(begins, start[i] as number);
      latestStart[i] = begins;
      for (const { from, end: atEnd, least } of waits[i] as Compiled['waits'][number]) {
        if (atEnd) latestEnd[from] = min(latestEnd[from] as number, begins - least);
        else latestStart[from] = min(latestStart[from] as number, begins - least);
      }
    }
    chains.forEach((chain, c) => (key[c] = latestStart[chain[0] as number] as number));
  }

  /** One small change of the order: of what holds up the end, or of anything. */
  private change(): void {
    const way = this.random();
    if (way < HASTENED && this.hasten()) return;
    if (way > 1 - RESHUFFLED) return this.reshuffle();
    const { key, who } = this.tried;
    const { chains, chainOf, count, able, tasks } = this.problem;
    const kind = this.random();
    const task = this.one();
    const chain = chainOf[task] as number;
    const may = able[task] as readonly number[];
    const somebody = (): number => (this.random() < 0.3 ? -1 : (may[this.any(may.length)] as number));
    if (kind < 0.3) {
      // earlier or later, near in time
      const reach = this.random() < 0.3 ? 1440 : 240;
      key[chain] = (key[chain] as number) + reach * (this.random() - 0.5);
    } else if (kind < 0.45) {
      const other = chainOf[this.one()] as number;
      [key[chain], key[other]] = [key[other] as number, key[chain] as number];
    } else if (kind < 0.7) who[task] = somebody();
    else {
      // all of a room, or all with one tool, for a while
      const { room, tool } = tasks[task] as Activity;
      const byTool = this.random() < 0.5;
      const from = key[chain] as number;
      const long = 60 + 400 * this.random();
      const one = somebody();
      const shift = (this.random() - 0.5) * (this.random() < 0.5 ? 0 : 400);
      for (let i = 0; i < count; i++) {
        const c = chainOf[i] as number;
        if (
          (byTool ? tasks[i]?.tool !== tool : tasks[i]?.room !== room) ||
          (key[c] as number) < from ||
          (key[c] as number) > from + long
        )
          continue;
        if (one < 0 || able[i]?.includes(one)) who[i] = one;
        if (chains[c]?.[0] === i) key[c] = (key[c] as number) + shift;
      }
    }
  }
  /** All that begins within an hour or so is done in another order, by others. */
  private reshuffle(): void {
    const { key, who } = this.tried;
    const { start } = this.stands;
    const { chains, able } = this.problem;
    const from = start[this.one()] as number;
    const long = 30 + 120 * this.random() ** 2;
    const shuffle = this.random() < 0.7;
    for (const [c, chain] of chains.entries()) {
      const head = chain[0] as number;
      if ((start[head] as number) < from || (start[head] as number) > from + long) continue;
      if (shuffle) key[c] = from + long * this.random();
      for (const task of chain) {
        const may = able[task] as readonly number[];
        if (this.random() < 0.7) who[task] = this.random() < 0.2 ? -1 : (may[this.any(may.length)] as number);
      }
    }
  }
  /** A task of those that changes are made to. */
  private one(): number {
    return this.pool.length ? (this.pool[this.any(this.pool.length)] as number) : this.any(this.problem.count);
  }
  private any(n: number): number {
    return min(n - 1, floor(this.random() * n));
  }

  /** Something on the critical path that waited for people, and not for paint, begins before what kept them. @returns false: nothing did. */
  private hasten(): boolean {
    const { start } = this.stands;
    const { key, who } = this.tried;
    const { chainOf } = this.problem;
    const held = this.heldUp();
    if (!held.length) return false;
    for (let n = this.random() < 0.6 ? 1 : 1 + this.any(4); n > 0; n--) {
      const [task, ready, keeper] = held[this.any(held.length)] as readonly [number, Minutes, number];
      const chain = chainOf[task] as number;
      if (keeper >= 0 && this.random() < 0.3) key[chainOf[keeper] as number] = (start[task] as number) + 1;
      else key[chain] = ready - 1 - 30 * this.random();
      if (this.random() < 0.5) who[task] = -1;
    }
    return true;
  }

  /**
   * Tasks on the way to the end that began later than what they wait for asked, with that moment, and what kept their people;
   * walked back on the board from what ends last.
   */
  private heldUp(): (readonly [task: number, ready: Minutes, keeper: number])[] {
    const { start, end } = this.stands;
    const { waits, count } = this.problem;
    let task = 0;
    for (let i = 1; i < count; i++) if ((end[i] as number) > (end[task] as number)) task = i;
    const held: (readonly [number, Minutes, number])[] = [];
    for (let k = 0; k < count; k++) {
      let [next, ready] = [-1, 0];
      for (const { from, end: atEnd, least } of waits[task] as Compiled['waits'][number]) {
        const then = ((atEnd ? end[from] : start[from]) as number) + least;
        if (then >= ready) [ready, next] = [then, from];
      }
      const before = this.beforeIt(task);
      if ((start[task] as number) > ready + 0.5) held.push([task, ready, before]);
      if (before >= 0 && (end[before] as number) > ready) next = before;
      if (next < 0) break;
      task = next;
    }
    return held;
  }
  /** What the person on a task did last before it; -1: nothing. */
  private beforeIt(task: number): number {
    let latest = -1;
    for (let person = 0; person < this.problem.people; person++) {
      if (!((this.stands.on[task] as number) & (1 << person))) continue;
      const agenda = this.stands.agenda(person);
      const at = agenda.indexOf(task);
      const before = at > 0 ? (agenda[at - 1] as number) : -1;
      if (before >= 0 && (latest < 0 || (this.stands.end[before] as number) > (this.stands.end[latest] as number)))
        latest = before;
    }
    return latest;
  }
}
