import { seeded } from '../units/random.ts';
import type { Minutes } from '../units/si.ts';
import { Board, type Choice } from './board.ts';
import { lowerBound } from './bound.ts';
import type { Calendar, Span } from './calendar.ts';
import { HORIZON } from './calendar.ts';
import { compile, type Activity, type Compiled, type Instance } from './instance.ts';

const { abs, floor, max, min, round } = Math;

/** How good a plan is, the first that differs deciding. */
export interface Score {
  /** Minutes by which pins and hours wanted back are missed. */
  readonly late: Minutes;
  readonly finish: Minutes;
  /** Paid and not worked, before each person's last task. */
  readonly idle: Minutes;
  /** Going to rooms, paints and tools. */
  readonly travel: Minutes;
}
export interface Placed<T extends Activity = Activity> {
  readonly task: T;
  readonly pieces: readonly Span[];
  /** Indices into the crew. */
  readonly who: readonly number[];
  /** Fetching before it, a person at a time. */
  readonly travel: readonly { readonly who: number; readonly pieces: readonly Span[] }[];
}
export interface Solution<T extends Activity = Activity> {
  readonly placed: readonly Placed<T>[];
  readonly score: Score;
  /** Proved: no plan finishes earlier. It never reads a plan. */
  readonly bound: Minutes;
  /** Steps that were taken, and whether nothing is left to look for. */
  readonly steps: number;
  readonly proven: boolean;
}
export interface SolveOptions {
  /** Orders tried; the search ends earlier where the bound is met. Left out: so many as the tasks set. */
  readonly steps?: number;
  readonly seed?: number;
  /** A plan that was taken: tasks in its order, and who does them. */
  readonly taken?: {
    readonly order: readonly string[];
    readonly who: Readonly<Record<string, readonly number[]>>;
  } | null;
}

const NEAR = 1e-6;
/** Placements that a search makes by itself: the same on every machine. */
const PLACEMENTS = 40_000;
/** A small job is searched several times over, each with other chances: it takes no time, and its days hang on few tasks. */
const SMALL = { tasks: 60, searches: 5, steps: 600 };
const stepsFor = (count: number): number => min(SMALL.steps, max(60, round(PLACEMENTS / (count + 1))));

const isBetter = (a: Score, b: Score): boolean =>
  abs(a.late - b.late) > NEAR
    ? a.late < b.late
    : abs(a.finish - b.finish) > 0.05
      ? a.finish < b.finish
      : abs(a.idle - b.idle) > 0.5
        ? a.idle < b.idle
        : a.travel < b.travel - NEAR;

/** Weights of what a search walks on besides the finish, tried on the demo and on plain bedrooms. */
const PRESS = { latest: 0.2, all: 0.05, idle: 0.08, travel: 0.04 };
/** A plan may stand in for one that it is worse than, if it is no worse than so many steps ago. */
const MEMORY = 5;
/** Share of the changes that are made where the end is held up. */
const HASTENED = 0.6;

/** First orders at most. */
const OPENINGS = 60;
/** Steps without getting better after which a walk ends, and how many are begun from first orders. */
const PATIENCE = 160;
const ELITE = 4;

/** A search for a plan: each step tries one order of the tasks; the best stands at any time. */
export class Search<T extends Activity = Activity> {
  /** The plan that is tried, and the one that the search stands on. */
  private board: Board<T>;
  private stands: Board<T>;
  /** The one that was made last. */
  private made: Board<T>;
  private readonly random: () => number;
  private readonly now: Choice;
  private readonly tried: Choice;
  private best: { readonly score: Score; readonly choice: Choice } | null = null;
  private readonly history: Float64Array;
  private nowCost = Infinity;
  private taken = 0;
  /** Steps since this walk got better; the best of it; changes that the next step makes at once. */
  private stale = 0;
  private runCost = Infinity;
  private kicks = 0;
  private readonly elite: (Choice & { readonly cost: number })[] = [];
  /** The next step puts off what may wait in the plan of this one. */
  private justified = false;
  private readonly tail: Float64Array;
  /** Orders made afresh before the search walks on from them. */
  private readonly openings: number;
  private proved: Minutes = 0;
  /** The finish for which the bound was last sought. */
  private looked: Minutes = Infinity;

  constructor(
    private readonly problem: Compiled<T>,
    private readonly options: SolveOptions = {},
  ) {
    this.board = new Board(problem);
    this.stands = new Board(problem);
    this.made = this.board;
    this.random = seeded(options.seed ?? 1);
    const chains = problem.chains.length;
    this.now = { key: new Float64Array(chains), who: new Int8Array(problem.count).fill(-1) };
    this.tried = { key: new Float64Array(chains), who: new Int8Array(problem.count).fill(-1) };
    this.history = new Float64Array(MEMORY).fill(Infinity);
    this.tail = tailsOf(problem);
    this.openings = min(OPENINGS, max(8, round(4500 / (problem.count + 1))));
  }

  get steps(): number {
    return this.taken;
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

  /** Tries one more order. @returns true where it is the best so far. */
  step(): boolean {
    const n = this.taken++;
    const { key, who } = this.tried;
    if (n < this.openings) this.open(n);
    else if (this.justified) {
      // what may wait is placed late: keys are the latest begins that the plan just made would allow
      this.justify(key);
      if (this.random() < 0.5) who.fill(-1);
    } else {
      const afresh = (n === this.openings || this.stale > PATIENCE) && this.again();
      if (afresh) this.open(n);
      else {
        key.set(this.now.key);
        who.set(this.now.who);
        for (let kicks = this.kicks; kicks >= 0; kicks--) this.change();
        this.kicks = 0;
      }
    }
    const again = !this.justified;
    this.justified = false;
    if (!this.board.place(this.tried)) return false;
    this.justified = again;
    this.made = this.board;
    const score = this.scored();
    const cost = this.costOf(score);
    if (n < this.openings) this.keep(cost, key, who);
    const at = n % this.history.length;
    this.stale++;
    if (cost < this.runCost - NEAR) {
      this.runCost = cost;
      this.stale = 0;
    }
    if (cost <= this.nowCost + NEAR || cost <= (this.history[at] as number)) {
      this.nowCost = cost;
      this.now.who.set(who);
      this.problem.chains.forEach((chain, c) => (this.now.key[c] = this.board.start[chain[0] as number] as number));
      [this.board, this.stands] = [this.stands, this.board];
    }
    this.history[at] = this.nowCost;
    const better = !this.best || isBetter(score, this.best.score);
    if (better) this.best = { score, choice: { key: Float64Array.from(key), who: Int8Array.from(who) } };
    return better;
  }

  /** Of the first orders, the best few, to walk on from one after the other. */
  private keep(cost: number, key: Float64Array, who: Int8Array): void {
    const at = this.elite.findIndex((other) => cost < other.cost);
    if (at < 0 && this.elite.length >= ELITE) return;
    const own = { cost, key: Float64Array.from(key), who: Int8Array.from(who) };
    this.elite.splice(at < 0 ? this.elite.length : at, 0, own);
    this.elite.length = min(this.elite.length, ELITE);
  }
  /** Where a walk gets no further: on from another of the first orders; from the best, shaken; or afresh. @returns whether afresh. */
  private again(): boolean {
    const next = this.elite.shift();
    const from = next ?? this.best?.choice;
    const afresh = !from || (!next && this.random() < 0.6);
    if (from && !afresh) {
      this.now.key.set(from.key);
      this.now.who.set(from.who);
      this.kicks = next ? 0 : 3 + this.any(12);
    }
    this.nowCost = Infinity;
    this.runCost = Infinity;
    this.history.fill(Infinity);
    this.stale = 0;
    return afresh;
  }

  /** The first orders: what was taken, then as a crew would take things up, going on where they are or to what is urgent. */
  private open(n: number): void {
    const { key, who } = this.tried;
    const { taken } = this.options;
    if (taken && n === 0) {
      key.set(keysOf(this.problem, taken.order));
      who.set(wishesOf(this.problem, taken.who));
      return;
    }
    const { tail } = this;
    const { chains, tasks } = this.problem;
    const most = tail.reduce((longest, own) => max(longest, own), 1);
    const first = n === 0 || (taken && n === 1);
    const between = (least: number, largest: number): number =>
      first ? (least + largest) / 2 : least + (largest - least) * this.random();
    const rule = {
      stay: between(0.5, 5),
      urgent: between(0.005, 0.06),
      wait: between(1, 3),
      least: between(5, 30),
      noise: first ? 0 : 0.004 * most * this.random(),
      stranger: this.random() < 0.5 ? 0 : between(5, 60),
      apart: this.random() < 0.5 ? 0 : between(0, 30),
    };
    const rooms = new Map(
      [...new Set(tasks.map((task) => task.room))].map((room, r) => [
        room,
        { home: r % this.problem.people, rank: first ? 0 : this.random() },
      ]),
    );
    const home = tasks.map((task) => rooms.get(task.room) ?? { home: -1, rank: 0 });
    // a large block of work with one paint in one room is worth going to; what much follows is urgent
    const done = this.board.dispatch(
      (task, person, idle, fetch, block) =>
        (10 * (rule.wait * idle + rule.stay * fetch)) / (rule.least + block) -
        rule.urgent * (tail[task] as number) +
        rule.noise * this.random() +
        (home[task]?.home === person ? 0 : rule.stranger) +
        rule.apart * (home[task]?.rank ?? 0),
    );
    if (!done) {
      key.set(Float64Array.from(chains, (chain) => most - (tail[chain[0] as number] as number)));
      who.fill(-1);
      return;
    }
    chains.forEach((chain, c) => (key[c] = this.board.start[chain[0] as number] as number));
    for (let i = 0; i < tasks.length; i++) who[i] = whoAlone(this.board.on[i] as number);
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
      const { work, interruptible } = tasks[i] as T;
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
    if (this.random() < HASTENED && this.hasten()) return;
    const { key, who } = this.tried;
    const { chains, chainOf, count, able, tasks } = this.problem;
    const kind = this.random();
    const task = this.any(count);
    const chain = chainOf[task] as number;
    const may = able[task] as readonly number[];
    const somebody = (): number => (this.random() < 0.3 ? -1 : (may[this.any(may.length)] as number));
    if (kind < 0.3) {
      // earlier or later, near in time
      const reach = this.random() < 0.3 ? 1440 : 240;
      key[chain] = (key[chain] as number) + reach * (this.random() - 0.5);
    } else if (kind < 0.45) {
      const other = this.any(chains.length);
      [key[chain], key[other]] = [key[other] as number, key[chain] as number];
    } else if (kind < 0.7) who[task] = somebody();
    else {
      // all of a room for a while
      const { room } = tasks[task] as T;
      const from = key[chain] as number;
      const long = 60 + 400 * this.random();
      const one = somebody();
      const shift = (this.random() - 0.5) * (this.random() < 0.5 ? 0 : 400);
      for (let i = 0; i < count; i++) {
        const c = chainOf[i] as number;
        if (tasks[i]?.room !== room || (key[c] as number) < from || (key[c] as number) > from + long) continue;
        if (one < 0 || able[i]?.includes(one)) who[i] = one;
        if (chains[c]?.[0] === i) key[c] = (key[c] as number) + shift;
      }
    }
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

  private scored(): Score {
    const { start, end } = this.board;
    const { tasks, people, plain, kind, travel, count } = this.problem;
    let [late, finish] = [0, 0];
    for (let i = 0; i < count; i++) {
      const { at, by } = tasks[i] as T;
      if (at !== null) late += max(0, (start[i] as number) - at);
      if (by !== null) late += max(0, (end[i] as number) - by);
      if ((end[i] as number) > finish) finish = end[i] as number;
    }
    let [idle, fetched] = [0, 0];
    for (let person = 0; person < people; person++) {
      const agenda = this.board.agenda(person);
      let [busy, trips, before] = [0, 0, 0];
      for (const task of agenda) {
        busy += (tasks[task] as T).work;
        trips += (travel[before] as Float64Array)[kind[task] as number] as number;
        before = (kind[task] as number) + 1;
      }
      const last = agenda.at(-1);
      fetched += trips;
      if (last !== undefined) idle += (plain[person] as Calendar).worked(end[last] as number) - busy - trips;
    }
    return { late, finish, idle: max(0, idle), travel: fetched };
  }

  /** One figure that goes down where a plan gets better a little: the search walks on it. */
  private costOf({ late, finish, idle, travel }: Score): number {
    const { plain, people } = this.problem;
    const worked = plain.reduce((sum, calendar) => sum + calendar.worked(finish), 0) / people;
    return 50 * late + worked + finish * 0.002 + (PRESS.idle * idle) / people + PRESS.travel * travel + this.pressure();
  }

  /** What a finish hides while a night lies before it: when the last tasks could begin, and how late all of it is done. */
  private pressure(): number {
    const { start, end } = this.board;
    const { waits, count } = this.problem;
    let [latest, all] = [0, 0];
    for (let i = 0; i < count; i++) {
      all += end[i] as number;
      for (const { from, end: atEnd, least } of waits[i] as Compiled['waits'][number]) {
        const ready = ((atEnd ? end[from] : start[from]) as number) + least;
        if (ready > latest) latest = ready;
      }
    }
    return PRESS.latest * latest + (PRESS.all * all) / count;
  }

  /** The best plan so far; null: none was found. */
  solution(): Solution<T> | null {
    if (!this.best) return null;
    const { score, choice } = this.best;
    this.board.place(choice);
    return {
      placed: placedOf(this.problem, this.board),
      score,
      bound: min(this.bound, score.finish),
      steps: this.taken,
      proven: this.isProven,
    };
  }

  /** So many steps as the tasks set, or fewer where the bound is met. */
  run(steps = this.options.steps ?? stepsFor(this.problem.count)): this {
    for (let i = 0; i < steps; i++) {
      this.step();
      // what no first order fits is not found by changing one
      if (!this.best && i > 12) break;
      if (i % 400 === 20 && this.isProven) break;
    }
    return this;
  }
}

/** Longest time from a task's begin to the end of all that follows it. */
function tailsOf({ order, tasks, waits, count }: Compiled): Float64Array {
  const tail = new Float64Array(count);
  for (let k = count - 1; k >= 0; k--) {
    const i = order[k] as number;
    tail[i] = (tail[i] as number) + (tasks[i] as Activity).work;
    for (const { from, least } of waits[i] as Compiled['waits'][number])
      tail[from] = max(tail[from] as number, (tail[i] as number) + least);
  }
  return tail;
}
/** The one person of a set of bits; -1: several. */
const whoAlone = (on: number): number => (on > 0 && (on & (on - 1)) === 0 ? round(Math.log2(on)) : -1);

function keysOf({ chains, tasks }: Compiled, order: readonly string[]): Float64Array {
  const at = new Map(order.map((id, i) => [id, i]));
  return Float64Array.from(chains, (chain) => min(...chain.map((i) => at.get(tasks[i]?.id ?? '') ?? Infinity), 1e6));
}
function wishesOf({ tasks, able }: Compiled, who: Readonly<Record<string, readonly number[]>>): Int8Array {
  return Int8Array.from(tasks, (task, i) => {
    const wish = who[task.id]?.[0] ?? -1;
    return able[i]?.includes(wish) ? wish : -1;
  });
}

function placedOf<T extends Activity>(problem: Compiled<T>, board: Board<T>): Placed<T>[] {
  const { tasks, calendars, plain, people, kind, travel } = problem;
  const fetching = tasks.map((): { who: number; pieces: readonly Span[] }[] => []);
  for (let person = 0; person < people; person++) {
    let before = 0;
    for (const task of board.agenda(person)) {
      const minutes = (travel[before] as Float64Array)[kind[task] as number] as number;
      before = (kind[task] as number) + 1;
      if (minutes <= 0) continue;
      const calendar = plain[person] as Calendar;
      const begins = calendar.startBy(board.start[task] as number, minutes, true);
      fetching[task]?.push({ who: person, pieces: calendar.within(begins, board.start[task] as number) });
    }
  }
  return tasks
    .map((task, i): Placed<T> => {
      const who = Array.from({ length: people }, (_, p) => p).filter((p) => (board.on[i] as number) & (1 << p));
      const [from, to] = [board.start[i] as number, board.end[i] as number];
      const calendar = calendars[i]?.[who[0] ?? 0] as Calendar;
      const pieces: Span[] = task.interruptible ? calendar.within(from, to) : [[from, to]];
      return { task, pieces: pieces.length ? pieces : [[from, to]], who, travel: fetching[i] ?? [] };
    })
    .sort((a, b) => (a.pieces[0]?.[0] ?? 0) - (b.pieces[0]?.[0] ?? 0));
}

/** The best plan of a search, of a small job of several; null: no order of the work fits before the horizon. */
export function planOf<T extends Activity>(problem: Compiled<T>, options: SolveOptions = {}): Solution<T> | null {
  const searches = options.steps === undefined && problem.count <= SMALL.tasks ? SMALL.searches : 1;
  let best: Solution<T> | null = null;
  for (let n = 0; n < searches && !best?.proven; n++) {
    const found = new Search(problem, { ...options, seed: (options.seed ?? 1) + n }).run().solution();
    if (!found) return best;
    if (!best || isBetter(found.score, best.score)) best = found;
  }
  return best;
}

/** @returns null where the waits run in a circle, or no order of the work fits before the horizon. */
export function solve<T extends Activity>(instance: Instance<T>, options: SolveOptions = {}): Solution<T> | null {
  const problem = compile(instance);
  return problem && planOf(problem, options);
}
