import type { TaskKind } from '../job/vocabulary.ts';
import type { Minutes } from '../units/si.ts';
import type { TaskView } from './view.ts';

/** A surface at one moment of a plan. */
export interface SurfaceNow {
  readonly state: 'waits' | 'worked-on' | 'drying' | 'ready' | 'done';
  /** What is being done to it, or was done last; null: nothing yet. */
  readonly kind: TaskKind | null;
  /** Finish coats that are on it, and that it gets. */
  readonly coats: number;
  readonly of: number;
  /** When that task ends, or what dries is dry; null: nobody waits for it. */
  readonly until: Minutes | null;
}

/** Tasks that put a finish coat on, when they end. */
const COATS: ReadonlySet<TaskKind> = new Set<TaskKind>(['roll', 'wet', 'brush']);

/**
 * How far a plan has brought each of its surfaces by a moment. Between two of its tasks a surface is drying, then ready; it is done
 * when its last task has ended and dried.
 */
export function surfacesAt(tasks: readonly TaskView[], t: Minutes): ReadonlyMap<string, SurfaceNow> {
  const own = new Map<string, TaskView[]>();
  for (const task of tasks) if (task.name !== null) own.set(task.surface, [...(own.get(task.surface) ?? []), task]);
  return new Map([...own].map(([surface, list]) => [surface, stateOf(list, t)] as const));
}

function stateOf(tasks: readonly TaskView[], t: Minutes): SurfaceNow {
  const start = (task: TaskView): Minutes => task.pieces[0]?.[0] ?? 0;
  const end = (task: TaskView): Minutes => task.pieces.at(-1)?.[1] ?? 0;
  const layers = tasks.filter((task) => COATS.has(task.kind));
  const of = new Set(layers.map((task) => task.coat)).size;
  const coats = new Set(layers.filter((task) => end(task) <= t).map((task) => task.coat)).size;
  const now = tasks.find((task) => start(task) <= t && t < end(task));
  if (now) return { state: 'worked-on', kind: now.kind, coats, of, until: end(now) };
  const done = tasks.filter((task) => end(task) <= t);
  const last = done.reduce<TaskView | null>((late, task) => (late && end(late) >= end(task) ? late : task), null);
  if (!last) return { state: 'waits', kind: null, coats, of, until: null };
  const wet = done.reduce<Minutes>((until, task) => Math.max(until, task.drying > 0 ? end(task) + task.drying : 0), 0);
  if (t < wet) return { state: 'drying', kind: last.kind, coats, of, until: wet };
  return { state: done.length === tasks.length ? 'done' : 'ready', kind: last.kind, coats, of, until: null };
}
