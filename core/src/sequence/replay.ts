import type { TaskKind } from '../job/vocabulary.ts';
import { normals, seeded } from '../units/random.ts';
import type { Minutes } from '../units/si.ts';
import { NEVER, type Calendar } from './calendar.ts';
import { compile, type Instance } from './instance.ts';
import type { Placed } from './placed.ts';
import type { Task } from './task.ts';

/** How much people's minutes and drying vary: standard deviations of the logarithms of their factors. */
export interface Varying {
  /** Of each person, for the whole job; and of each task by itself. */
  readonly people: number;
  readonly tasks: number;
  /** Of all drying times together: a damp or a warm week. */
  readonly drying: number;
}
export interface Replays {
  readonly runs: number;
  /** Finishes that half, eight and nine in ten of the runs kept. */
  readonly p50: Minutes;
  readonly p80: Minutes;
  readonly p90: Minutes;
  /** Tasks that held up the end, by the share of the runs in which they did; the oftenest first. */
  readonly delays: readonly { readonly task: string; readonly share: number }[];
}

const ENDING: ReadonlySet<TaskKind> = new Set<TaskKind>(['look', 'touch-up', 'clear']);

/**
 * A plan worked through again and again, everybody keeping the order of their tasks, with minutes and drying as they come. Each run
 * draws a factor for each person, one for each task and one for drying; the same seed draws the same.
 */
export function replay(
  instance: Instance<Task>,
  placed: readonly Placed<Task>[],
  varying: Varying,
  runs: number,
  seed = 1,
): Replays {
  const problem = compile(instance);
  if (!problem || !placed.length || runs < 1) return { runs: 0, p50: 0, p80: 0, p90: 0, delays: [] };
  const draw = normals(seeded(seed));
  const index = new Map(problem.tasks.map((task, i) => [task.id, i]));
  const order = placed.map((p) => ({ i: index.get(p.task.id) as number, who: p.who, travel: p.travel }));
  const trips = order.map(({ travel }) =>
    travel.reduce(
      (most, { pieces }) =>
        Math.max(
          most,
          pieces.reduce((sum, [from, to]) => sum + to - from, 0),
        ),
      0,
    ),
  );
  const finishes: Minutes[] = [];
  const held = new Float64Array(problem.count);
  const [start, end] = [new Float64Array(problem.count), new Float64Array(problem.count)];
  const because = new Int32Array(problem.count);
  for (let run = 0; run < runs; run++) {
    const people = problem.plain.map(() => Math.exp(varying.people * draw()));
    const drying = Math.exp(varying.drying * draw());
    const free = problem.plain.map(() => 0);
    const last = problem.plain.map(() => -1);
    let final = -1;
    order.forEach(({ i, who }, n) => {
      const task = problem.tasks[i] as Task;
      const slowest = Math.max(...who.map((person) => people[person] as number));
      const work = task.work * slowest * Math.exp(varying.tasks * draw());
      let [ready, reason] = [problem.ready[i] as number, -1];
      for (const { from, end: atEnd, least } of problem.waits[i] ?? []) {
        const then = ((atEnd ? end[from] : start[from]) as number) + least * drying;
        if (then > ready) [ready, reason] = [then, from];
      }
      for (const person of who) {
        const calendar = problem.plain[person] as Calendar;
        const there = calendar.later(free[person] as number, trips[n] as number);
        if (there > ready) [ready, reason] = [there, last[person] as number];
      }
      const calendar = problem.calendars[i]?.[who[0] ?? 0] as Calendar;
      // slower than a stretch is long, it is put down after all
      const whole = calendar.start(ready, work, task.interruptible);
      const begins = whole === NEVER ? calendar.start(ready, work, true) : whole;
      start[i] = begins;
      end[i] = calendar.end(begins, work, task.interruptible || whole === NEVER);
      because[i] = reason;
      for (const person of who) {
        free[person] = end[i] as number;
        last[person] = i;
      }
      if (final < 0 || (end[i] as number) > (end[final] as number)) final = i;
    });
    finishes.push(end[final] as number);
    for (let i = final; i >= 0; i = because[i] as number) held[i] = (held[i] as number) + 1;
  }
  finishes.sort((a, b) => a - b);
  const at = (share: number): Minutes => finishes[Math.min(runs - 1, Math.ceil(share * runs) - 1)] as number;
  const delays = Array.from(held, (count, i) => ({ task: problem.tasks[i]?.id ?? '', share: count / runs }))
    // what ends every room ends the job, and says nothing
    .filter(({ share }, i) => share > 0 && !ENDING.has(problem.tasks[i]?.kind ?? 'look'))
    .sort((a, b) => b.share - a.share);
  return { runs, p50: at(0.5), p80: at(0.8), p90: at(0.9), delays };
}
