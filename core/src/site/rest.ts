import type { Network } from '../sequence/network.ts';
import type { Span } from '../sequence/calendar.ts';
import type { Placed } from '../sequence/placed.ts';
import type { Task } from '../sequence/task.ts';
import type { Minutes } from '../units/si.ts';
import { WET } from './clocks.ts';
import { onIt, spanOf, workedOn, type SiteState, type TaskLog } from './fold.ts';

/** Of a task that takes longer than planned, this much of its minutes is still to come [starting judgement]. */
const STILL = 0.1;

/** Where a coat was put down its edge is met again, rubbed if it has set [starting judgement]. */
const REJOINED: Minutes = 5;

/** A plan of what is left: what is done stands as it was, what somebody is on goes on, the rest waits for both. */
export interface Rest {
  readonly network: Network;
  readonly done: readonly Placed<Task>[];
  /** Tasks that somebody is on now. */
  readonly running: readonly string[];
}

/** @param person Index into the crew of who wrote an entry; -1: nobody who is still there. */
export function restOf(network: Network, state: SiteState, person: (who: string) => number, now: Minutes): Rest {
  const logged = (id: string): TaskLog | undefined => state.tasks.get(id);
  const over = network.tasks.filter((task) => isOver(logged(task.id)));
  const running = new Set(
    network.tasks.flatMap(({ id }) => {
      const log = logged(id);
      return log && !isOver(log) && onIt(log).length ? [id] : [];
    }),
  );
  const spans = new Map(
    network.tasks.flatMap((task) => {
      const log = logged(task.id);
      const span = log && spanOf(log);
      return span ? [[task.id, [span[0], isOver(log) ? span[1] : null] as const] as const] : [];
    }),
  );
  const left = network.tasks.flatMap((task): Task[] => {
    const log = logged(task.id);
    if (isOver(log)) return [];
    const own = log && log.sessions.length ? begun(task, log, person, network, now, running.has(task.id)) : task;
    return [waiting(own, spans, network, now)];
  });
  return {
    network: { ...network, tasks: left },
    done: over.map((task) => asItWas(task, logged(task.id) as TaskLog, person)),
    running: [...running],
  };
}
const isOver = (log: TaskLog | undefined): boolean => log !== undefined && log.done !== null;

/** What is left of a task that was begun; who is on it stays on it, over breaks if need be. */
function begun(
  task: Task,
  log: TaskLog,
  person: (who: string) => number,
  network: Network,
  now: Minutes,
  runs: boolean,
): Task {
  const planned = task.work * task.people;
  const there = onIt(log)
    .map(person)
    .filter((n) => n >= 0);
  const people = runs ? Math.max(1, there.length) : task.people;
  const work = Math.max(planned - workedOn(log, now), STILL * planned) / people;
  if (!runs) return { ...task, work: work + (WET.has(task.kind) ? REJOINED : 0) };
  const goesOn = network.calendars['plain']?.[there[0] ?? 0]?.next(now) ?? now;
  return {
    ...task,
    work,
    people,
    interruptible: true,
    hours: 'plain',
    who: there.length ? there : task.who,
    at: goesOn,
    after: [],
  };
}

/** Waits for what is done are moments now. */
function waiting(
  task: Task,
  spans: ReadonlyMap<string, readonly [Minutes, Minutes | null]>,
  network: Network,
  now: Minutes,
): Task {
  let [notBefore, by] = [now, task.by];
  const after = task.after.filter((lag) => {
    const [from, to = null] = spans.get(lag.task) ?? [];
    const since = lag.from === 'start' ? from : to;
    if (since === undefined || since === null) return true;
    // what is begun but not done is still waited for, by its end
    notBefore = Math.max(notBefore, since + lag.minLag);
    if (lag.maxLag !== null) by = Math.min(by ?? Infinity, since + lag.maxLag + task.work);
    return false;
  });
  for (const { a, b, aFirst, bFirst } of network.apart) {
    const [other, wait] = a === task.id ? [b, bFirst] : b === task.id ? [a, aFirst] : [null, 0];
    const to = other === null ? null : (spans.get(other)?.[1] ?? null);
    if (to !== null) notBefore = Math.max(notBefore, to + wait);
  }
  return { ...task, after, notBefore, by };
}

/** A task that is done, where and by whom it was. */
function asItWas(task: Task, log: TaskLog, person: (who: string) => number): Placed<Task> {
  const done = log.done as Minutes;
  const pieces = joined(log.sessions.map(({ from, to }): Span => [from, to ?? done]));
  const who = [...new Set(log.sessions.map((session) => person(session.who)))].filter((n) => n >= 0);
  return { task, pieces: pieces.length ? pieces : [[done, done]], who, travel: [] };
}
/** Stretches of time that touch or overlap, as one. */
function joined(spans: readonly Span[]): Span[] {
  const found: [Minutes, Minutes][] = [];
  for (const [from, to] of [...spans].sort((a, b) => a[0] - b[0])) {
    const last = found.at(-1);
    if (last && from <= last[1]) last[1] = Math.max(last[1], to);
    else found.push([from, to]);
  }
  return found;
}
