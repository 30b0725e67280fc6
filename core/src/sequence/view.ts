import type { RoomTakeoff } from '../measure/takeoff.ts';
import type { OperationKind, TaskKind } from '../job/vocabulary.ts';
import type { Word } from '../units/word.ts';
import type { Name } from '../words/names.ts';
import { paintWord } from '../words/systems.ts';
import type { JobSchedule } from './schedule.ts';

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
  /** What is done in it. */
  readonly steps: readonly {
    readonly kind: OperationKind;
    readonly surface: string;
    readonly coat: number;
    readonly minutes: number;
  }[];
}
export type ScheduleView = Pick<JobSchedule, 'finish' | 'bound' | 'workingTime' | 'personDays' | 'problems'> & {
  readonly tasks: readonly TaskView[];
};

export function viewSchedule(schedule: JobSchedule, takeoffs: readonly RoomTakeoff[]): ScheduleView {
  const { placed, finish, bound, workingTime, personDays, problems } = schedule;
  const names = new Map(takeoffs.flatMap((t) => t.surfaces.map((s) => [s.id, s.name] as const)));
  const rooms = new Map(takeoffs.map((t) => [t.room.id, t.room.name]));
  const tasks = placed.map(({ task, pieces, who }): TaskView => {
    const { room, surface, kind, coat, specified } = task.go;
    const paint = specified && (kind.startsWith('prime') ? (specified.primer?.name ?? null) : paintWord(specified));
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
      steps: task.operations.map((op) => ({
        kind: op.kind,
        surface: op.surface,
        coat: op.coat,
        minutes: op.minutes.value,
      })),
    };
  });
  return { tasks, finish, bound, workingTime, personDays, problems };
}
