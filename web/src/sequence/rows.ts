import type { Crew } from '@kovelin/core/job/crew.ts';
import type { RoomTakeoff } from '@kovelin/core/measure/takeoff.ts';
import type { ScheduleView, TaskView } from '@kovelin/core/sequence/view.ts';
import type { System } from '@kovelin/core/units/si.ts';
import { heading, said } from '@kovelin/core/units/word.ts';
import { nameWord } from '@kovelin/core/words/names.ts';
import { reasonWord } from '@kovelin/core/words/reasons.ts';
import type { Axis } from './axis.ts';

export interface Bar {
  readonly task: TaskView;
  readonly from: number;
  readonly to: number;
}
/** A gap in somebody's day, with what they wait for. */
export interface Gap {
  readonly from: number;
  readonly to: number;
  readonly because: string;
}
export interface Row {
  readonly key: string;
  readonly label: string;
  /** Index into the crew; null: a surface's. */
  readonly person: number | null;
  readonly bars: readonly Bar[];
  readonly drying: readonly Bar[];
  readonly gaps: readonly Gap[];
  readonly frames: readonly (readonly [from: number, to: number])[];
}

/** Shorter gaps are fetching, or nobody's to mend. */
const GAP = 10;

const barsOf = (tasks: readonly TaskView[], axis: Axis): Bar[] =>
  tasks.flatMap((task) =>
    task.pieces
      .filter(([a]) => isShown(axis, a))
      .map(([a, b]): Bar => ({ task, from: axis.place(a), to: axis.place(b) })),
  );
const isShown = ({ stretches }: Axis, t: number): boolean =>
  stretches.some(({ from, to }) => t >= from - 1e-6 && t < to + 1e-6);

/** A row a person: what they do, what they wait for, setting up and cleaning up. */
export function peopleRows(schedule: ScheduleView, crew: Crew, axis: Axis, system: System): Row[] {
  return crew.people.map((person, n): Row => {
    const own = schedule.tasks.filter((task) => task.who.includes(n));
    const bars = barsOf(own, axis);
    const frames = schedule.personDays
      .filter((p) => p.person === n)
      .flatMap((p) => [p.setUp, p.cleanUp])
      .filter(([from]) => isShown(axis, from))
      .map(([from, to]) => [axis.place(from), axis.place(to)] as const);
    return {
      key: person.id,
      label: person.name,
      person: n,
      bars,
      drying: [],
      gaps: gapsIn(bars, frames, axis, system),
      frames,
    };
  });
}

/** What somebody waits for between two tasks of one stretch: what held up the second. */
function gapsIn(bars: readonly Bar[], frames: Row['frames'], { stretches }: Axis, system: System): Gap[] {
  // setting up is no waiting
  const setUpTo = (t: number): number => frames.reduce((at, [from, to]) => (from <= at + 1e-6 && at < to ? to : at), t);
  return bars.flatMap((bar, i): Gap[] => {
    const before = bars[i - 1];
    const { held } = bar.task;
    if (!before || !held) return [];
    const because =
      held.by === 'lag'
        ? said(reasonWord({ rule: held.because, with: {} }), system)
        : held.by === 'place'
          ? 'no place to work before'
          : 'somebody else first';
    // the end of a day that nothing fits into is no waiting
    const day = stretches.find(({ at, from, to }) => bar.from <= at + to - from + 1e-6)?.day;
    return stretches
      .filter((s) => s.day === day)
      .map(({ at, from, to }) => ({
        from: setUpTo(Math.max(before.to, at)),
        to: Math.min(bar.from, at + to - from),
        because,
      }))
      .filter((gap) => gap.to - gap.from >= GAP);
  });
}

/** A row a surface of a room, and one for the room as a whole: its coats, and what dries. */
export function surfaceRows(
  { tasks }: ScheduleView,
  { room, surfaces }: RoomTakeoff,
  axis: Axis,
  system: System,
): Row[] {
  const row = (key: string, label: string, own: readonly TaskView[]): Row => ({
    key,
    label,
    person: null,
    bars: barsOf(own, axis),
    drying: own.flatMap((task): Bar[] => {
      const ends = task.pieces.at(-1)?.[1] ?? 0;
      return task.drying > 0 && isShown(axis, ends)
        ? [{ task, from: axis.place(ends), to: axis.place(ends + task.drying) }]
        : [];
    }),
    gaps: [],
    frames: [],
  });
  const here = tasks.filter((task) => task.room === room.id);
  return [
    row(
      room.id,
      'All of it',
      here.filter((task) => task.name === null),
    ),
    ...surfaces.map((s) =>
      row(
        s.id,
        heading(nameWord(s.name), system),
        here.filter((task) => task.name !== null && task.surface === s.id),
      ),
    ),
  ].filter(({ bars }) => bars.length > 0);
}
