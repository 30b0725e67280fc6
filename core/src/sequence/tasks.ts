import type { TaskKind } from '../job/vocabulary.ts';
import { ruleOf } from '../paces/rules.ts';
import { groupBy } from '../units/group.ts';
import type { Minutes } from '../units/si.ts';
import { keptWet } from './keeping.ts';
import { goesOf } from '../work/goes.ts';
import { driesAfter, lagsOf } from '../work/lags.ts';
import { needsOf } from './needs.ts';
import type { Keep, Sequencing, Task } from './task.ts';
import type { Operation } from '../work/operations.ts';

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
  return [...rooms.values()].flatMap((ops) => keptWet(roomTasks(job, ops, longest), keep, longest));
}

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
