import { groupBy } from '../units/group.ts';
import { seeded } from '../units/random.ts';
import type { Minutes } from '../units/si.ts';
import { crewTime, fit, HORIZON, longestStretch, nextWorking, type Calendar, type Span } from './calendar.ts';
import { leastTravel, type Task } from './tasks.ts';

export interface Placed<T extends SmallTask = Task> {
  readonly task: T;
  readonly pieces: readonly Span[];
  /** Indices into the crew. */
  readonly who: readonly number[];
  /** Fetching before the first piece, and by whom; null: nobody has to. */
  readonly travel: { readonly pieces: readonly Span[]; readonly who: readonly number[] } | null;
}
export interface Schedule<T extends SmallTask = Task> {
  readonly placed: readonly Placed<T>[];
  readonly finish: Minutes;
  /** Proven: nobody finishes earlier. Reads the tasks and the calendar, never the schedule. */
  readonly bound: Minutes;
}
/** What the scheduler needs of a task; a job's own tasks carry their operations too. */
export type SmallTask = Pick<Task, 'id' | 'work' | 'people' | 'interruptible'> & {
  readonly after: readonly Omit<Task['after'][number], 'because'>[];
  readonly surface?: string;
  readonly trip?: Task['trip'];
};

const at = (lag: SmallTask['after'][number], placed: Placed<SmallTask>): Minutes =>
  lag.from === 'finish' ? (placed.pieces.at(-1) as Span)[1] : (placed.pieces[0] as Span)[0];

/** Tasks in an order where what comes before stands before; null when the lags run in a circle. */
function topological<T extends SmallTask>(tasks: readonly T[]): T[] | null {
  const waiting = new Map(tasks.map((t) => [t.id, t.after.length]));
  const next = groupBy(
    tasks.flatMap((t) => t.after.map((lag) => [lag.task, t] as const)),
    ([id]) => id,
  );
  const order = tasks.filter((t) => t.after.length === 0);
  for (const task of order)
    for (const [, follower] of next.get(task.id) ?? []) {
      const left = (waiting.get(follower.id) ?? 0) - 1;
      waiting.set(follower.id, left);
      if (left === 0) order.push(follower);
    }
  return order.length === tasks.length ? order : null;
}

/** Earliest starts and ends with unlimited people on the calendar: the critical path; null beyond the horizon. */
function earliest(tasks: readonly SmallTask[], calendar: Calendar): Map<string, Placed<SmallTask>> | null {
  const early = new Map<string, Placed<SmallTask>>();
  for (const task of tasks) {
    const ready = Math.max(
      0,
      ...task.after.map((lag) => at(lag, early.get(lag.task) as Placed<SmallTask>) + lag.minLag),
    );
    const pieces = fit(calendar, ready, task.work, task.interruptible);
    if (!pieces) return null;
    early.set(task.id, { task, pieces, who: [], travel: null });
  }
  return early;
}

/**
 * A lower bound on the finish: the larger of the critical path with its lags on the calendar, and the crew's minutes
 * on the calendar if nobody ever waits, the trips that cannot be spared with them. Both hold for every schedule.
 */
export function lowerBound(tasks: readonly SmallTask[], calendar: Calendar, crew: number): Minutes {
  const early = earliest(topological(tasks) ?? [], calendar);
  const path = early ? largest([...early.values()].map((p) => (p.pieces.at(-1) as Span)[1])) : Infinity;
  const minutes = tasks.reduce((sum, task) => sum + task.work * task.people, leastTravel(tasks));
  return Math.max(path, crewTime(calendar, minutes, crew));
}

const largest = (values: readonly number[]): number => values.reduce((a, b) => Math.max(a, b), 0);

/** Longest elapsed time from a task's start to the end of everything behind it: the classic priority. */
function tails(order: readonly SmallTask[]): Map<string, Minutes> {
  const tail = new Map<string, Minutes>();
  for (const task of [...order].reverse()) {
    tail.set(task.id, Math.max(tail.get(task.id) ?? 0, 0) + task.work);
    for (const lag of task.after) {
      const through = (tail.get(task.id) as number) + lag.minLag;
      tail.set(lag.task, Math.max(tail.get(lag.task) ?? 0, through));
    }
  }
  return tail;
}

/** One person's work: stretches in order, none overlapping. */
class Agenda {
  private readonly spans: Span[] = [];

  /** Index of the first stretch that ends after `t`. */
  private after(t: Minutes): number {
    let [low, high] = [0, this.spans.length];
    while (low < high) {
      const middle = (low + high) >>> 1;
      if ((this.spans[middle] as Span)[1] > t + 1e-9) high = middle;
      else low = middle + 1;
    }
    return low;
  }
  isFree(pieces: readonly Span[]): boolean {
    return pieces.every(([from, to]) => to <= (this.spans[this.after(from)]?.[0] ?? Infinity) + 1e-9);
  }
  nextEnd(t: Minutes): Minutes {
    return this.spans[this.after(t)]?.[1] ?? Infinity;
  }
  lastEnd(t: Minutes): Minutes {
    return this.spans[this.after(t) - 1]?.[1] ?? -1;
  }
  add(pieces: readonly Span[]): void {
    for (const piece of pieces) this.spans.splice(this.after(piece[0]), 0, piece);
  }
  remove(pieces: readonly Span[]): void {
    for (const piece of pieces) this.spans.splice(this.spans.indexOf(piece), 1);
  }
}

const inOrder = (people: readonly number[]): number[] => [...people].sort((p, q) => p - q);

class Board<T extends SmallTask> {
  readonly placed = new Map<string, Placed<T>>();
  private readonly agendas: Agenda[];
  private readonly last: (string | undefined)[];
  /** Paints that each person has in which room already. */
  private readonly fetched: Set<string>[];
  constructor(
    private readonly calendar: Calendar,
    crew: number,
  ) {
    this.agendas = Array.from({ length: crew }, () => new Agenda());
    this.last = new Array<string | undefined>(crew).fill(undefined);
    this.fetched = this.agendas.map(() => new Set());
  }

  /** Earliest placement at or after `ready`; people who were last on the same surface go on with it. null: beyond the horizon. */
  private place(task: T, ready: Minutes): Placed<T> | null {
    for (let moment = ready; Number.isFinite(moment);) {
      const pieces = fit(this.calendar, moment, task.work, task.interruptible);
      if (!pieces) return null;
      const ready = this.free(task, pieces).filter((person) => !this.mustFetch(task, person));
      if (ready.length >= task.people) return { task, pieces, who: inOrder(ready.slice(0, task.people)), travel: null };
      const fetching = this.withTravel(task, moment);
      if (fetching) return fetching;
      moment = Math.min(...this.agendas.map((agenda) => agenda.nextEnd(moment)));
    }
    return null;
  }

  private mustFetch({ trip }: T, person: number): boolean {
    return trip ? !this.fetched[person]?.has(trip.key) : false;
  }

  /** Who is free for all of it: those who were last on the same surface first, then those who worked last. */
  private free(task: T, pieces: readonly Span[]): number[] {
    const free = this.agendas.flatMap((agenda, person) => (agenda.isFree(pieces) ? [person] : []));
    const start = (pieces[0] as Span)[0];
    const lastEnd = (p: number) => (this.agendas[p] as Agenda).lastEnd(start);
    const goesOn = (p: number) => Number(this.last[p] === task.surface);
    return free.sort((p, q) => goesOn(q) - goesOn(p) || lastEnd(q) - lastEnd(p) || p - q);
  }

  /** The same task after its paint was fetched; null: nobody is free for both. */
  private withTravel(task: T, moment: Minutes): Placed<T> | null {
    if (!task.trip) return null;
    const travel = fit(this.calendar, moment, task.trip.minutes, true);
    const pieces = travel && fit(this.calendar, (travel.at(-1) as Span)[1], task.work, task.interruptible);
    if (!pieces) return null;
    const free = this.free(task, [...travel, ...pieces]);
    if (free.length < task.people) return null;
    const who = inOrder(free.slice(0, task.people));
    return { task, pieces, who, travel: { pieces: travel, who: who.filter((p) => this.mustFetch(task, p)) } };
  }

  private commit(placed: Placed<T>): void {
    this.placed.set(placed.task.id, placed);
    for (const person of placed.who) {
      this.agendas[person]?.add(placed.pieces);
      this.last[person] = placed.task.surface;
    }
    for (const person of placed.travel?.who ?? []) {
      this.agendas[person]?.add(placed.travel?.pieces ?? []);
      this.fetched[person]?.add(placed.task.trip?.key ?? '');
    }
  }
  private undo(placed: Placed<T>): void {
    this.placed.delete(placed.task.id);
    for (const person of placed.who) this.agendas[person]?.remove(placed.pieces);
    for (const person of placed.travel?.who ?? []) {
      this.agendas[person]?.remove(placed.travel?.pieces ?? []);
      this.fetched[person]?.delete(placed.task.trip?.key ?? '');
    }
  }

  readyAt(task: T): Minutes {
    return nextWorking(
      this.calendar,
      Math.max(0, ...task.after.map((lag) => at(lag, this.placed.get(lag.task) as Placed<T>) + lag.minLag)),
    );
  }

  /** Places a chain of tasks held together by maximal lags: moved later as a whole until all of it fits. */
  chain(tasks: readonly T[]): boolean {
    const [head, ...rest] = tasks as [T, ...T[]];
    let from = this.readyAt(head);
    for (let tries = 0; tries < 400; tries++) {
      const first = this.place(head, from);
      if (!first) return false;
      const done: Placed<T>[] = [first];
      this.commit(first);
      let late = 0;
      for (const task of rest) {
        const placed = this.place(task, this.readyAt(task));
        if (!placed) {
          late = Infinity;
          break;
        }
        const start = (placed.pieces[0] as Span)[0];
        late = Math.max(
          0,
          ...task.after.map((lag) =>
            lag.maxLag === null ? 0 : start - at(lag, this.placed.get(lag.task) as Placed<T>) - lag.maxLag,
          ),
        );
        if (late > 1e-9) break;
        this.commit(placed);
        done.push(placed);
      }
      if (late <= 1e-9) return true;
      for (const placed of [...done].reverse()) this.undo(placed);
      if (late === Infinity) return false;
      from = nextWorking(this.calendar, (first.pieces[0] as Span)[0] + Math.max(1, late));
    }
    return false;
  }
}

/** Groups each task with the followers that a maximal lag ties to it, in topological order. */
function chainsOf<T extends SmallTask>(order: readonly T[]): T[][] {
  const chains: T[][] = [];
  const chainOf = new Map<string, T[]>();
  for (const task of order) {
    const tied = task.after.find((lag) => lag.maxLag !== null);
    const chain = (tied && chainOf.get(tied.task)) ?? [];
    if (chain.length === 0) chains.push(chain);
    chain.push(task);
    chainOf.set(task.id, chain);
  }
  return chains;
}

interface Link<T extends SmallTask> {
  readonly chain: readonly T[];
  /** Indices of chains that wait for this one, once for each lag. */
  readonly followers: number[];
  readonly waitsFor: number;
}

function linkChains<T extends SmallTask>(chains: readonly T[][]): Link<T>[] {
  const home = new Map(chains.flatMap((chain, i) => chain.map((task) => [task.id, i] as const)));
  const outside = chains.map((chain, i) =>
    chain.flatMap((t) => t.after.map((lag) => home.get(lag.task) as number)).filter((from) => from !== i),
  );
  const links = chains.map((chain, i): Link<T> => ({
    chain,
    followers: [],
    waitsFor: (outside[i] as number[]).length,
  }));
  outside.forEach((froms, i) => froms.forEach((from) => links[from]?.followers.push(i)));
  return links;
}

/** One pass of list scheduling: of the chains that may start, the weightiest (or, `eager`, the one ready soonest). */
function build<T extends SmallTask>(
  links: readonly Link<T>[],
  weight: readonly number[],
  board: Board<T>,
  eager: boolean,
): Placed<T>[] | null {
  const waiting = links.map((link) => link.waitsFor);
  const ready = new Map<number, Minutes>();
  const release = (i: number) => ready.set(i, board.readyAt((links[i] as Link<T>).chain[0] as T));
  waiting.forEach((count, i) => count === 0 && release(i));
  while (ready.size) {
    let next = -1;
    for (const [i, start] of ready) {
      const sooner = next < 0 ? -1 : eager ? start - (ready.get(next) as number) : 0;
      if (sooner < 0 || (sooner === 0 && (weight[i] as number) > (weight[next] as number))) next = i;
    }
    ready.delete(next);
    const { chain, followers } = links[next] as Link<T>;
    if (!board.chain(chain)) return null;
    for (const i of followers) {
      waiting[i] = (waiting[i] as number) - 1;
      if (waiting[i] === 0) release(i);
    }
  }
  return board.placed.size === links.reduce((sum, link) => sum + link.chain.length, 0)
    ? [...board.placed.values()]
    : null;
}

export interface SearchOptions {
  /** Orders tried beside the first; the search ends early when the bound is met. */
  readonly tries?: number;
  readonly seed?: number;
}

/**
 * A feasible schedule: precedence with minimal and maximal lags, people, working hours; one piece a task unless it may
 * be interrupted. List scheduling by longest tail, then seeded random restarts; the best is kept.
 * @returns null when the lags run in a circle, a task is longer than every stretch, or a tied chain fits nowhere.
 */
export function scheduleTasks<T extends SmallTask>(
  tasks: readonly T[],
  calendar: Calendar,
  crew: number,
  options: SearchOptions = {},
): Schedule<T> | null {
  const order = topological(tasks);
  const longest = longestStretch(calendar);
  if (!order || tasks.some((t) => t.people > crew || (!t.interruptible && t.work > longest + 1e-9))) return null;
  const bound = lowerBound(tasks, calendar, crew);
  if (bound > HORIZON) return null;
  const tail = tails(order);
  const random = seeded(options.seed ?? 1);
  const links = linkChains(chainsOf(order));
  const longestTail = links.map(({ chain }) => Math.max(...chain.map((t) => tail.get(t.id) ?? 0)));
  let best: Schedule<T> | null = null;
  const tries = options.tries ?? Math.min(60, Math.max(4, Math.round(8000 / (tasks.length + 1))));
  for (let attempt = 0; attempt <= tries; attempt++) {
    const noise = attempt === 0 ? 0 : 0.05 + 0.5 * random();
    const weight = longestTail.map((length) => length * (1 + noise * (random() - 0.5)));
    const placed = build(links, weight, new Board<T>(calendar, crew), attempt % 2 === 1);
    if (!placed) continue;
    const finish = largest(placed.map((p) => (p.pieces.at(-1) as Span)[1]));
    if (!best || finish < best.finish - 1e-9) best = { placed, finish, bound };
    if (best.finish <= bound + 1e-6) break;
  }
  return (
    best && { ...best, placed: [...best.placed].sort((a, b) => (a.pieces[0] as Span)[0] - (b.pieces[0] as Span)[0]) }
  );
}
