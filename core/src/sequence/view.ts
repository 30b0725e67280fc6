import type { RoomTakeoff } from '../measure/takeoff.ts';
import type { TaskKind } from '../job/vocabulary.ts';
import type { Word } from '../units/word.ts';
import type { Name } from '../words/names.ts';
import type { RuleId } from '../words/reasons.ts';
import { groupBy } from '../units/group.ts';
import { paintOf } from '../work/goes.ts';
import { paintWord } from '../words/systems.ts';
import { conflictsOf, type Conflict } from './conflict.ts';
import { criticalChain, heldIn, type Held } from './held.ts';
import type { JobSchedule } from './schedule.ts';
import type { Task } from './task.ts';

/** A task of the schedule with the names a person reads; small enough to hand from a worker. */
export interface TaskView {
  readonly id: string;
  readonly room: string;
  readonly roomName: string;
  readonly surface: string;
  /** null: done to the room as a whole. */
  readonly name: Name | null;
  readonly kind: TaskKind;
  readonly coat: number;
  /** Paint or primer used; null: none. */
  readonly paint: Word | null;
  readonly work: number;
  readonly pieces: readonly (readonly [number, number])[];
  readonly who: readonly number[];
  /** Minutes it dries before the next coat. */
  readonly drying: number;
  /** Ids of the operations done in it. */
  readonly operations: readonly string[];
  /** What it waits for: each rule with the longest time that it asks for, and the last of the tasks it speaks of. */
  readonly waits: readonly { readonly because: RuleId; readonly least: number; readonly task: string }[];
  /** What of all that kept it from beginning sooner; null: nothing but hours or a pin. */
  readonly held: Held | null;
  /** It waited for the hours of the day, too. */
  readonly overHours: boolean;
  /** Of a last coat that is cut and rolled by sections: how many; 0: it is not. */
  readonly sections: number;
}
export type ScheduleView = Pick<
  JobSchedule,
  'finish' | 'bound' | 'gap' | 'late' | 'workingTime' | 'personDays' | 'problems'
> & {
  readonly tasks: readonly TaskView[];
  /** Ids of the tasks that one after the other hold up the end. */
  readonly chain: readonly string[];
  readonly conflicts: readonly Conflict[];
};

/** Each rule once, with the longest of its times, and the last of its tasks to be over. */
function waitsOf({ after }: Task, ends: ReadonlyMap<string, number>): TaskView['waits'] {
  const byRule = groupBy(after, ({ because }) => because);
  return [...byRule].map(([because, own]) => ({
    because,
    least: Math.max(...own.map((lag) => lag.minLag)),
    task: own.reduce((late, lag) => ((ends.get(lag.task) ?? 0) > (ends.get(late.task) ?? 0) ? lag : late)).task,
  }));
}

/** A schedule as it is read: days of each person, each task with its words and reasons, what is done when. */
export function viewSchedule(schedule: JobSchedule, takeoffs: readonly RoomTakeoff[]): ScheduleView {
  const held = heldIn(schedule.network, schedule.placed);
  const ends = new Map(schedule.placed.map((p) => [p.task.id, p.pieces.at(-1)?.[1] ?? 0]));
  const { placed, finish, bound, gap, late, workingTime, personDays, problems } = schedule;
  const names = new Map(takeoffs.flatMap((t) => t.surfaces.map((s) => [s.id, s.name] as const)));
  const rooms = new Map(takeoffs.map((t) => [t.room.id, t.room.name]));
  const tasks = placed.map(({ task, pieces, who }): TaskView => {
    const { room, surface, kind, coat, specified } = task.go;
    const product = specified && paintOf(task.go);
    const paint = product && (product.role === 'primer' ? product.name : paintWord(specified));
    return {
      id: task.id,
      room,
      roomName: rooms.get(room) ?? '',
      surface,
      name: names.get(surface) ?? null,
      kind,
      coat,
      paint,
      work: task.work,
      pieces,
      who,
      drying: task.drying,
      operations: task.operations.map((op) => op.id),
      waits: waitsOf(task, ends),
      held: held.get(task.id)?.held ?? null,
      overHours: held.get(task.id)?.overHours ?? false,
      sections: task.kept?.method === 'sections' ? task.kept.sections.length : 0,
    };
  });
  const chain = criticalChain(placed, held);
  const conflicts = late > 0.5 ? conflictsOf(schedule.network) : [];
  return { tasks, chain, conflicts, finish, bound, gap, late, workingTime, personDays, problems };
}
