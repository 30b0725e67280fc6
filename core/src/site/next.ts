import type { Placed } from '../sequence/placed.ts';
import type { Calendar } from '../sequence/calendar.ts';
import type { Lag, Task } from '../sequence/task.ts';
import type { Minutes } from '../units/si.ts';
import type { RuleId } from '../words/reasons.ts';
import { WET } from './clocks.ts';
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
  /** The task that it waits for, dry or done, and why; null: for a time of the day. */
  readonly of: { readonly task: string; readonly because: RuleId } | null;
}

/**
 * @param person Index into the crew; `who`: what the log calls them.
 * @param planned All tasks as they were planned, with what each waits for: of a plan of the rest only moments are left of that.
 */
export function nowNext(
  placed: readonly Placed<Task>[],
  planned: ReadonlyMap<string, Task>,
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
    .map(({ task, pieces }) => ({
      task,
      from: pieces[0]?.[0] ?? 0,
      waits: waitsOf(placed, state, planned.get(task.id) ?? task, task.notBefore ?? 0, now),
    }));
  return { on: on?.task ?? null, since: session?.from ?? null, next };
}
const isOver = (state: SiteState, { id }: Task): boolean => (state.tasks.get(id)?.done ?? null) !== null;

/** null: it may begin. */
function waitsOf(
  placed: readonly Placed<Task>[],
  state: SiteState,
  task: Task,
  notBefore: Minutes,
  now: Minutes,
): Waits | null {
  let waits: Waits = { until: notBefore, task: null, of: null };
  for (const lag of task.after) {
    const of = { task: lag.task, because: lag.because };
    const since = sinceOf(state, lag, now);
    if (since === null) {
      const planned = placed.find((p) => p.task.id === lag.task);
      return { until: planned?.pieces.at(-1)?.[1] ?? now, task: lag.task, of };
    }
    if (since + lag.minLag >= waits.until) waits = { until: since + lag.minLag, task: null, of };
  }
  return waits.until > now + SLACK ? waits : null;
}
/** Nobody waits for the last seconds. */
const SLACK: Minutes = 0.25;

/** The moment a lag counts from, as it was known at `now`; null: it had not come. */
function sinceOf(state: SiteState, { task, from }: Pick<Lag, 'task' | 'from'>, now: Minutes): Minutes | null {
  const log = state.tasks.get(task);
  const since = from === 'start' ? log?.sessions[0]?.from : log?.done;
  return since === undefined || since === null || since > now + SLACK ? null : since;
}

/** Starts of tasks before what they wait for was done or dry, as entries of the log. */
export function earlyStarts(tasks: readonly Task[], state: SiteState): SiteState['odd'] {
  const early = new Set(
    tasks.flatMap(({ id, after }) => {
      const began = state.tasks.get(id)?.sessions[0]?.from;
      if (began === undefined) return [];
      const isEarly = after.some((lag) => {
        const since = sinceOf(state, lag, began);
        return since === null || since + lag.minLag > began + SLACK;
      });
      return isEarly ? [id] : [];
    }),
  );
  return state.entries.flatMap((entry) => {
    if (entry.kind !== 'start' || !entry.operation || !early.delete(entry.operation)) return [];
    return [{ entry, because: 'early' as const }];
  });
}

/** A surface that does not fit before a break or the evening: what is left of the stretch, and when the next begins. */
export interface Short {
  readonly left: Minutes;
  readonly goesOn: Minutes;
}
/** null: it fits, may be put down, or nobody works now. */
export function shortOf({ work, interruptible }: Task, calendar: Calendar | undefined, now: Minutes): Short | null {
  if (!calendar || interruptible || calendar.next(now) > now) return null;
  const [stretch] = calendar.within(now, now + work + SLACK);
  const left = (stretch?.[1] ?? now) - now;
  return left < work - SLACK ? { left, goesOn: calendar.next(now + left + SLACK) } : null;
}

/** What to do with the wet edge of a surface that is put down, and for how many minutes it can still be done. */
export interface EdgeLeft {
  readonly way: 'corner' | 'feather' | 'rub';
  readonly minutes: Minutes;
}
/** A corner this near is gone on to [starting judgement]. */
const NEAR: Minutes = 10;
/** `due`: when its oldest edge sets; null: no edge of it is known. */
export function edgeLeft(task: Task, since: Minutes, due: Minutes | null, now: Minutes): EdgeLeft | null {
  if (!WET.has(task.kind)) return null;
  if (due !== null && due <= now) return { way: 'rub', minutes: 0 };
  const left = Math.max(0, task.work - (now - since));
  const until = due === null ? NEAR : due - now;
  return left <= Math.min(NEAR, until)
    ? { way: 'corner', minutes: left }
    : { way: 'feather', minutes: Math.min(until, NEAR) };
}
