import { setting } from '../job/defaults.ts';
import type { Job } from '../job/types.ts';
import type { SurfaceId } from '../job/table.ts';
import type { TaskKind } from '../job/vocabulary.ts';
import { ruleOf } from '../paces/rules.ts';
import { groupBy } from '../units/group.ts';
import type { Minutes } from '../units/si.ts';
import { keptWet } from './keeping.ts';
import { goesOf, paintOf, type Go } from '../work/goes.ts';
import { driesAfter, lagsOf } from '../work/lags.ts';
import { needsOf } from './needs.ts';
import type { Activity, Wait } from './instance.ts';
import type { Operation } from '../work/operations.ts';
import type { Kept } from '../wetEdge/keep.ts';
import type { RuleId } from '../words/reasons.ts';

export interface Lag extends Wait {
  readonly because: RuleId;
}
/** A go of work that is planned. */
export interface Task extends Activity {
  readonly go: Go;
  readonly surface: SurfaceId;
  readonly kind: TaskKind;
  readonly coat: number;
  readonly operations: readonly Operation[];
  readonly after: readonly Lag[];
  /** What then dries, minutes after its end, before the next coat. */
  readonly drying: Minutes;
  /** Of `work` with all who are on it: changing tools and waiting for each other, which no operation holds. */
  readonly idle: Minutes;
  /** A last coat that is cut and rolled by stretches; null: all in one. */
  readonly kept: Kept | null;
}

export type Sequencing = Pick<Job, 'settings' | 'practice' | 'crew' | 'pins' | 'wanted'>;

/**
 * Operations of a job as tasks with lags. In each room: cover, prepare, then top down; trim before or after the walls
 * by the school chosen; what was painted is looked at when it is dry. `longest` is the longest working stretch.
 */
export function tasksOf(
  job: Sequencing,
  operations: readonly Operation[],
  longest: Minutes,
  keep: Keep = () => null,
): Task[] {
  const rooms = groupBy(operations, (op) => op.room);
  return [...rooms.values()].flatMap((ops) =>
    keptWet(roomTasks(job, ops, longest), keep, job.practice.roles === 'cut-all' ? 0 : longest),
  );
}
/** How the last coat of a surface is kept wet; null: it is not rolled in strips. */
export type Keep = (surface: SurfaceId, longest: Minutes) => Kept | null;

/** Goes after which nothing of their own dries for the next coat. */
const EDGING: ReadonlySet<TaskKind> = new Set<TaskKind>(['lap', 'cut', 'prime-cut', 'mask', 'unmask']);

function roomTasks(job: Sequencing, operations: readonly Operation[], longest: Minutes): Task[] {
  const crew = job.crew.people.length;
  const goes = goesOf(job, operations);
  const lags = groupBy(lagsOf(job, goes), ({ to }) => to.id);
  return goes.map((go): Task => {
    const interruptible = go.operations.every((op) => ruleOf(op.kind).interruptible);
    const people = interruptible ? 1 : Math.min(crew, Math.max(1, Math.ceil(go.minutes / longest - 1e-9)));
    return {
      id: go.id,
      go,
      surface: go.surface,
      kind: go.kind,
      coat: go.coat,
      operations: go.operations,
      work: go.minutes / people,
      people,
      interruptible,
      ...needsOf(job, go),
      after: (lags.get(go.id) ?? []).map(({ from, least, most, because }) => ({
        task: from.id,
        from: 'finish',
        minLag: least,
        maxLag: most,
        because,
      })),
      idle: 0,
      kept: null,
      drying: go.specified && !EDGING.has(go.kind) ? driesAfter(job, go).next : 0,
    };
  });
}
