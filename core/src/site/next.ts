import type { Placed } from '../sequence/placed.ts';
import type { Task } from '../sequence/task.ts';
import type { Minutes } from '../units/si.ts';
import type { SiteState } from './fold.ts';

/** What somebody is on, and what comes after it by the plan. */
export interface NowNext {
  readonly on: Task | null;
  readonly since: Minutes | null;
  /** In order; the first is what to do now where they are on nothing. */
  readonly next: readonly { readonly task: Task; readonly from: Minutes; readonly waits: Waits | null }[];
}
/** What must be over or dry before a task may begin. */
export interface Waits {
  readonly until: Minutes;
  /** Is it a moment that is known, or does something have to be done first? */
  readonly task: string | null;
}

/** @param person Index into the crew; `who`: what the log calls them. */
export function nowNext(
  placed: readonly Placed<Task>[],
  state: SiteState,
  person: number,
  who: string,
  now: Minutes,
): NowNext {
  const on = placed.find(({ task }) => state.tasks.get(task.id)?.sessions.some((s) => s.who === who && s.to === null));
  const session = on && state.tasks.get(on.task.id)?.sessions.find((s) => s.who === who && s.to === null);
  const next = placed
    .filter((p) => p !== on && p.who.includes(person) && !isOver(state, p.task))
    .sort((a, b) => (a.pieces[0]?.[0] ?? 0) - (b.pieces[0]?.[0] ?? 0))
    .map(({ task, pieces }) => ({ task, from: pieces[0]?.[0] ?? 0, waits: waitsOf(placed, state, task, now) }));
  return { on: on?.task ?? null, since: session?.from ?? null, next };
}
const isOver = (state: SiteState, { id }: Task): boolean => (state.tasks.get(id)?.done ?? null) !== null;

/** null: it may begin. */
function waitsOf(placed: readonly Placed<Task>[], state: SiteState, task: Task, now: Minutes): Waits | null {
  let until = task.notBefore ?? 0;
  for (const lag of task.after) {
    const log = state.tasks.get(lag.task);
    const since = lag.from === 'start' ? log?.sessions[0]?.from : log?.done;
    if (since === null || since === undefined) {
      const planned = placed.find((p) => p.task.id === lag.task);
      return { until: planned?.pieces.at(-1)?.[1] ?? now, task: lag.task };
    }
    until = Math.max(until, since + lag.minLag);
  }
  return until > now + 0.25 ? { until, task: null } : null;
}
