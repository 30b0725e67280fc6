import { setting } from '../job/defaults.ts';
import type { Id, SurfaceId } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import type { ClockKind } from '../job/vocabulary.ts';
import type { Network } from '../sequence/network.ts';
import type { Task } from '../sequence/task.ts';
import { groupBy } from '../units/group.ts';
import type { Minutes } from '../units/si.ts';
import type { RuleId } from '../words/reasons.ts';
import { paintOf } from '../work/goes.ts';
import { driesAfter } from '../work/lags.ts';
import { onIt, spanOf, type SiteState, type TaskLog } from './fold.ts';

/** A time that nobody keeps in the head; minutes from the job's start. */
export interface SiteClock {
  readonly id: string;
  readonly kind: ClockKind;
  readonly room: Id;
  readonly surface: SurfaceId;
  /** The task since which it runs. */
  readonly operation: string;
  readonly since: Minutes;
  readonly due: Minutes;
  /** Why; null: the paint itself. */
  readonly because: RuleId | null;
  /** Tasks that may begin then, or should have. */
  readonly frees: readonly string[];
  /** The stretch of a last coat that is painted now, from 1; 0: it has none. */
  readonly stretch: number;
}

type Clocking = Pick<Job, 'settings' | 'practice' | 'air'>;
/** Until after so long what came due is still shown. */
const SHOWN: Minutes = 15;

/** Kinds of tasks whose film has edges that set while it is painted. */
export const WET: ReadonlySet<Task['kind']> = new Set<Task['kind']>([
  'lap',
  'cut',
  'roll',
  'wet',
  'brush',
  'prime-cut',
  'prime-roll',
  'prime-brush',
]);

/** All clocks that run at a moment, the next to come due first. `openOf`: how long a film of a task stays open; null: it has no edge. */
export function clocksOf(
  job: Clocking,
  { tasks }: Pick<Network, 'tasks'>,
  state: SiteState,
  now: Minutes,
  openOf: (task: Task) => Minutes | null,
): SiteClock[] {
  const logged = new Map(tasks.flatMap((task) => (state.tasks.has(task.id) ? [[task.id, task] as const] : [])));
  const clocks = [...logged.values()].flatMap((task): SiteClock[] => {
    const log = state.tasks.get(task.id) as TaskLog;
    const span = spanOf(log);
    if (!span) return [];
    const [from] = span;
    const runs = onIt(log).length > 0;
    const done = log.done === null ? null : (span[1] ?? log.done);
    return [
      ...(runs && task.kind === 'caulk' ? [clock(task, 'skin', from, from + setting(job, 'caulk.skin'))] : []),
      ...edges(tasks, state, task, from, now, openOf),
      ...followed(tasks, state, task, from, done),
      ...(done === null ? [] : drying(job, tasks, state, task, done)),
    ];
  });
  return clocks
    .filter(({ due }) => due > now - SHOWN)
    .sort((a, b) => a.due - b.due || Number(a.id > b.id) - Number(a.id < b.id));
}

const clock = (
  task: Task,
  kind: ClockKind,
  since: Minutes,
  due: Minutes,
  more: Partial<Pick<SiteClock, 'because' | 'frees' | 'stretch'>> = {},
): SiteClock => ({
  id: [kind, task.id, more.because ?? '', Math.round(due * 10)].join(' '),
  kind,
  room: task.go.room,
  surface: task.surface,
  operation: task.id,
  since,
  due,
  because: null,
  frees: [],
  stretch: 0,
  ...more,
});

/** Rules by which one person rolls what another, or they themselves, cut while it is wet. */
const WHILE_WET: ReadonlySet<RuleId> = new Set<RuleId>(['lag.wet-cut', 'lag.follow']);

/** The oldest edge that is still to be met wet: of a coat by stretches that somebody is on, of a cut until it is rolled. */
function edges(
  tasks: readonly Task[],
  state: SiteState,
  task: Task,
  from: Minutes,
  now: Minutes,
  openOf: (task: Task) => Minutes | null,
): SiteClock[] {
  const rolled = tasks.find(({ after }) => after.some((lag) => lag.task === task.id && WHILE_WET.has(lag.because)));
  const met = rolled ?? (task.kind === 'wet' ? task : null);
  // rolled in one go, each strip meets one that was just laid
  if (!met || isDone(state, met) || met.kept?.method === 'whole') return [];
  const open = openOf(met);
  if (open === null) return [];
  const [since, stretch] = stretchAt(task, from, now);
  return [clock(task, 'edge', since, since + open, { stretch, frees: rolled ? [rolled.id] : [] })];
}
const isDone = (state: SiteState, { id }: Task): boolean => (state.tasks.get(id)?.done ?? null) !== null;

/** The stretch that is painted at a moment, as far as it goes by plan, and since when. */
function stretchAt({ kept }: Task, from: Minutes, now: Minutes): readonly [since: Minutes, stretch: number] {
  if (!kept || kept.sections.length < 2) return [from, 0];
  let since = from;
  for (const [i, { cut, roll }] of kept.sections.entries()) {
    if (i === kept.sections.length - 1 || now < since + cut + roll) return [since, i + 1];
    since += cut + roll;
  }
  return [since, kept.sections.length];
}

/** What waits for a task: the time from which it may begin, and where there is one, by which it should. */
function followed(
  tasks: readonly Task[],
  state: SiteState,
  task: Task,
  from: Minutes,
  done: Minutes | null,
): SiteClock[] {
  const waiting = tasks.flatMap((other) => {
    if (state.tasks.has(other.id)) return [];
    return other.after.flatMap((lag) => {
      const since = lag.task !== task.id ? null : lag.from === 'start' ? from : done;
      return since === null ? [] : [{ other, lag, since }];
    });
  });
  const alike = groupBy(
    waiting,
    ({ lag, since }) => `${lag.because} ${since + lag.minLag} ${lag.maxLag === null ? '' : since + lag.maxLag}`,
  );
  return [...alike.values()].flatMap((own): SiteClock[] => {
    const [{ lag, since } = { lag: null, since: 0 }] = own;
    if (!lag) return [];
    const told = { because: lag.because, frees: own.map(({ other }) => other.id) };
    return [
      ...(lag.minLag > 0 ? [clock(task, 'opens', since, since + lag.minLag, told)] : []),
      ...(lag.maxLag === null ? [] : [clock(task, 'close', since, since + lag.maxLag, told)]),
    ];
  });
}

/** What dries after a task: to the touch, for a next coat not later than its label has it, and until it may be washed. */
function drying(job: Clocking, tasks: readonly Task[], state: SiteState, task: Task, done: Minutes): SiteClock[] {
  const product = paintOf(task.go);
  if (!product || !WET.has(task.kind)) return [];
  const { touch } = driesAfter(job, task.go);
  const coats = tasks.filter((other) => other.surface === task.surface && WET.has(other.kind));
  const next = coats.filter((other) => other.coat > task.coat);
  const isLast = !next.length && product.role === 'finish' && task.kind !== 'lap' && task.kind !== 'cut';
  const by = product.recoatBefore;
  return [
    ...(touch > 0 ? [clock(task, 'touch', done, done + touch)] : []),
    ...(by !== null && next.length > 0 && next.every((other) => !state.tasks.has(other.id))
      ? [clock(task, 'recoat-by', done, done + by, { frees: next.map(({ id }) => id) })]
      : []),
    ...(isLast ? [clock(task, 'cure', done, done + setting(job, 'cure.days') * 1440)] : []),
  ];
}

/** Films that are wet at a moment: what is being painted, and what is not dry to the touch. */
export const wetAt = (
  clocks: readonly SiteClock[],
  now: Minutes,
): { readonly surface: SurfaceId; readonly until: Minutes }[] =>
  [
    ...groupBy(
      clocks.filter(({ kind, due }) => kind === 'touch' && due > now),
      ({ surface }) => surface,
    ),
  ].map(([surface, own]) => ({ surface, until: Math.max(...own.map(({ due }) => due)) }));
