import type { OperationKind } from '../job/vocabulary.ts';
import type { Minutes } from '../units/si.ts';
import type { WetEdgePlan } from '../wetEdge/decide.ts';
import type { Operation } from '../work/operations.ts';
import type { Keep, Lag, Task } from './task.ts';

/** Of a cut's or a roll's go, what a play of the coat has; the rest is done before it (rubbing) or after it (pulling tape). */
const BEFORE: ReadonlySet<OperationKind> = new Set<OperationKind>(['rub']);
const LAID: ReadonlySet<OperationKind> = new Set<OperationKind>(['lap', 'cut', 'roll']);

/** A cut that is to be rolled while it is wet, with its rolling. */
interface Pair {
  readonly cut: Task;
  readonly roll: Task;
  readonly kept: WetEdgePlan | null;
}

/**
 * Cuts of last coats with their rolling: one task, alone or two from the middle; or the roller behind the cutter, not later than
 * the cut stays open. Where edges are to be dry, or no stretch of the day is long enough, it is cut, and rolled when it can be.
 */
export function keptWet(tasks: readonly Task[], keep: Keep, longest: Minutes): Task[] {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const pairs = tasks.flatMap((roll): Pair[] => {
    const wet = roll.after.find(({ because }) => because === 'lag.wet-cut');
    const cut = wet && byId.get(wet.task);
    return cut ? [{ cut, roll, kept: keep(roll.surface) }] : [];
  });
  const made = new Map<string, Task[]>();
  const renamed = new Map<string, string>();
  for (const pair of pairs) {
    const own = tasksOf(pair, longest);
    made.set(pair.cut.id, own);
    made.set(pair.roll.id, []);
    if (own.length === 1 && own[0]) for (const { id } of [pair.cut, pair.roll]) renamed.set(id, own[0].id);
  }
  return tasks
    .flatMap((task) => made.get(task.id) ?? [task])
    .map((task) => ({ ...task, after: withoutSelf(task.id, task.after, renamed) }));
}

/** Lags to and from what was made one, each once: the longest. */
function withoutSelf(self: string, lags: readonly Lag[], renamed: ReadonlyMap<string, string>): Lag[] {
  const own = new Map<string, Lag>();
  for (const lag of lags) {
    const task = renamed.get(lag.task) ?? lag.task;
    const before = own.get(task);
    if (task !== self && !(before && before.minLag >= lag.minLag)) own.set(task, { ...lag, task });
  }
  return [...own.values()];
}

const minutes = (operations: readonly Operation[]): Minutes =>
  operations.reduce((sum, op) => sum + op.minutes.value, 0);

function tasksOf({ cut, roll, kept }: Pair, longest: Minutes): Task[] {
  const operations = [...cut.operations, ...roll.operations];
  const before = minutes(operations.filter((op) => BEFORE.has(op.kind)));
  const after = minutes(operations.filter((op) => !BEFORE.has(op.kind) && !LAID.has(op.kind)));
  const plain = minutes(operations);
  if (kept?.method === 'follow') return following({ cut, roll, kept }, before, after);
  const people = kept?.people ?? 1;
  const work = kept ? before + Math.max(...kept.spans.map(([, to]) => to)) + after : plain;
  if (work > longest || kept?.method === 'dry-edges') return [cut, { ...roll, after: roll.after.map(later) }];
  const id = roll.id.replace(':roll', ':wet');
  const go = { ...roll.go, id, kind: 'wet', operations, minutes: plain } as const;
  const lags = [...cut.after, ...roll.after.filter((lag) => lag.task !== cut.id)];
  const idle = Math.max(0, work * people - plain);
  return [{ ...roll, id, go, kind: 'wet', operations, work, people, after: lags, idle, kept }];
}
const later = (lag: Lag): Lag => (lag.because === 'lag.wet-cut' ? { ...lag, because: 'lag.cut-first' } : lag);

/** Two tasks: the roller begins when the cutter has the lead, and not so late that an edge sets. */
function following(
  { cut, roll, kept }: Pair & { readonly kept: WetEdgePlan },
  before: Minutes,
  after: Minutes,
): Task[] {
  const [[begun, ended], [rolls, rolled]] = [kept.spans[0] ?? [0, 0], kept.spans[1] ?? [0, 0]];
  const lead = before + rolls - begun;
  const cutting = before + ended - begun;
  const rolling = rolled - rolls + after;
  return [
    { ...cut, work: cutting, people: 1, idle: Math.max(0, cutting - minutes(cut.operations)) },
    {
      ...roll,
      work: rolling,
      people: 1,
      idle: Math.max(0, rolling - minutes(roll.operations)),
      kept,
      after: roll.after.map((lag) =>
        lag.task === cut.id
          ? { ...lag, from: 'start', minLag: lead, maxLag: lead + kept.slack, because: 'lag.follow' }
          : lag,
      ),
    },
  ];
}
