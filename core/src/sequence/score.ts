import type { Minutes } from '../units/si.ts';
import type { Board } from './board.ts';
import type { Calendar } from './calendar.ts';
import type { Activity, Compiled } from './instance.ts';

const { abs, max, min } = Math;

/** How good a plan is, the first that differs deciding. */
export interface Score {
  /** Minutes by which pins and hours wanted back are missed. */
  readonly late: Minutes;
  readonly finish: Minutes;
  /** Paid and not worked, before each person's last task. */
  readonly idle: Minutes;
  /** Going to rooms, paints and tools. */
  readonly travel: Minutes;
  /** What is left of the maximal lags (tape, wet edges) that are kept most closely; Infinity: there are none. */
  readonly slack: Minutes;
}

const NEAR = 1e-6;
/** Whether the first plan is better: less late, then sooner done, less idle, less on the way, more slack. */
export const isBetter = (a: Score, b: Score): boolean =>
  abs(a.late - b.late) > NEAR
    ? a.late < b.late
    : abs(a.finish - b.finish) > 0.05
      ? a.finish < b.finish
      : abs(a.idle - b.idle) > 0.5
        ? a.idle < b.idle
        : abs(a.travel - b.travel) > NEAR
          ? a.travel < b.travel
          : a.slack > b.slack + NEAR;

/** Of the plan on a board. */
export function scoreOf({ tasks, waits, people, plain, kind, travel, count }: Compiled, board: Board): Score {
  const { start, end } = board;
  let [late, finish, slack] = [0, 0, Infinity];
  for (let i = 0; i < count; i++) {
    const { at, by } = tasks[i] as Activity;
    if (at !== null) late += max(0, (start[i] as number) - at);
    if (by !== null) late += max(0, (end[i] as number) - by);
    if ((end[i] as number) > finish) finish = end[i] as number;
    for (const { from, end: atEnd, most } of waits[i] as Compiled['waits'][number])
      if (most < Infinity)
        slack = min(slack, ((atEnd ? end[from] : start[from]) as number) + most - (start[i] as number));
  }
  let [idle, fetched] = [0, 0];
  for (let person = 0; person < people; person++) {
    const agenda = board.agenda(person);
    let [busy, trips, before] = [0, 0, 0];
    for (const task of agenda) {
      busy += (tasks[task] as Activity).work;
      trips += (travel[before] as Float64Array)[kind[task] as number] as number;
      before = (kind[task] as number) + 1;
    }
    const last = agenda.at(-1);
    fetched += trips;
    if (last !== undefined) idle += (plain[person] as Calendar).worked(end[last] as number) - busy - trips;
  }
  return { late, finish, idle: max(0, idle), travel: fetched, slack };
}

/** Weights of what a search walks on besides the finish, tried on the demo and on plain bedrooms. */
const PRESS = { latest: 0.2, all: 0.05, idle: 0.08, travel: 0.04 };

/** One figure that goes down where a plan gets better a little: a search walks on it. */
export function costOf(problem: Compiled, board: Board, { late, finish, idle, travel }: Score): number {
  const { plain, people } = problem;
  const worked = plain.reduce((sum, calendar) => sum + calendar.worked(finish), 0) / people;
  return (
    50 * late +
    worked +
    finish * 0.002 +
    (PRESS.idle * idle) / people +
    PRESS.travel * travel +
    pressure(problem, board)
  );
}

/** What a finish hides while a night lies before it: when the last tasks could begin, and how late all of it is done. */
function pressure({ waits, count }: Compiled, { start, end }: Board): number {
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

/** Longest time from a task's begin to the end of all that follows it. */
export function tailsOf({ order, tasks, waits, count }: Compiled): Float64Array {
  const tail = new Float64Array(count);
  for (let k = count - 1; k >= 0; k--) {
    const i = order[k] as number;
    tail[i] = (tail[i] as number) + (tasks[i] as Activity).work;
    for (const { from, least } of waits[i] as Compiled['waits'][number])
      tail[from] = max(tail[from] as number, (tail[i] as number) + least);
  }
  return tail;
}
