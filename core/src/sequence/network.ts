import { setting } from '../job/defaults.ts';
import type { Job } from '../job/types.ts';
import type { OperationKind } from '../job/vocabulary.ts';
import { effective } from '../specify/reasons.ts';
import { cutCoatsOf } from '../specify/specify.ts';
import type { Operation } from '../work/operations.ts';
import { finishOf } from '../lines/finishes.ts';
import type { RoomTakeoff } from '../measure/takeoff.ts';
import { groupBy } from '../units/group.ts';
import type { Minutes } from '../units/si.ts';
import type { RuleId } from '../words/reasons.ts';
import { cleanUpKey } from '../work/days.ts';
import { driesAfter } from '../work/lags.ts';
import { calendarOf, type Calendar, type Cuts } from './calendar.ts';
import { PLAIN, type Apart, type Instance } from './instance.ts';
import { BEFORE, PLATFORM, QUIET } from './needs.ts';
import type { Task } from './task.ts';

/** Two tasks of a job that keep apart, and why. */
export interface ApartTask extends Apart {
  readonly because: RuleId;
}
export interface Network extends Instance<Task> {
  readonly apart: readonly ApartTask[];
}

/** The tasks of a job with its people's days, its rooms' places and what must keep apart. */
export function networkOf(
  job: Pick<Job, 'settings' | 'practice' | 'crew' | 'air'>,
  takeoffs: readonly RoomTakeoff[],
  tasks: readonly Task[],
): Network {
  return {
    tasks,
    calendars: calendarsOf(job, tasks),
    capacity: capacityOf(job, takeoffs, tasks),
    apart: [...groupBy(tasks, (task) => task.room)].flatMap(([room, own]) =>
      takeoffs.some((t) => t.room.id === room) ? apartIn(job, own) : [],
    ),
    travel: {
      room: setting(job, 'travel.room'),
      paint: setting(job, 'travel.minutes'),
      tool: setting(job, 'turn.minutes'),
    },
  };
}

/** What of everybody's day is not for tasks. */
export const cutsOf = (job: Pick<Job, 'settings' | 'practice'>): Cuts => ({
  setUp: setting(job, 'day.setUp'),
  cleanUp: setting(job, cleanUpKey(job)),
  wrap: setting(job, 'day.wrap'),
});

function calendarsOf(
  job: Pick<Job, 'settings' | 'crew' | 'practice'>,
  tasks: readonly Task[],
): Record<string, readonly Calendar[]> {
  const { crew } = job;
  const daily = cutsOf(job);
  const cutsIn = (hours: string): Cuts => {
    if (hours === QUIET) return { ...daily, quiet: crew.quiet };
    return hours.startsWith(BEFORE) ? { ...daily, before: Number(hours.slice(BEFORE.length)) } : daily;
  };
  const kinds = new Set([PLAIN, ...tasks.map((task) => task.hours)]);
  return Object.fromEntries(
    [...kinds].map((hours) => [hours, crew.people.map((person) => calendarOf(crew, person, cutsIn(hours)))]),
  );
}

/** A person needs so much of a room’s floor, m2; as many as its largest task has find a place in it in any case. */
function capacityOf(
  job: Pick<Job, 'settings' | 'crew'>,
  takeoffs: readonly RoomTakeoff[],
  tasks: readonly Task[],
): Record<string, number> {
  // who follows a cutter is in the room with them
  const together = (task: Task): number => (task.after.some((lag) => lag.from === 'start') ? 2 : task.people);
  const least = (room: string): number => Math.max(1, ...tasks.map((t) => (t.room === room ? together(t) : 1)));
  const places = takeoffs.flatMap(({ room, floorArea }) =>
    floorArea === null
      ? []
      : [[room.id, Math.max(least(room.id), Math.floor(floorArea / setting(job, 'room.each')))] as const],
  );
  const { platforms } = job.crew;
  return { ...Object.fromEntries(places), ...(platforms === null ? {} : { [PLATFORM]: platforms }) };
}

/** What lays paint up to a line: laps, and the last coat of what is cut to them; earlier coats stop short of it. */
const isAtLine = ({ kind, coat, specified }: Operation): boolean =>
  specified !== null &&
  (kind === 'lap' ||
    (kind === 'cut' && coat === cutCoatsOf(specified)) ||
    (kind === 'trim-edge' && coat === effective(specified.system.coats)));
const linesAt = ({ operations }: Task): string[] =>
  operations.flatMap((op) => (op.line !== null && isAtLine(op) ? [op.line] : []));
const DUSTY: ReadonlySet<OperationKind> = new Set<OperationKind>(['rub', 'sand']);

/**
 * What in a room may come in either order but not at once: edges of two finishes that touch, dust and a wet film. Where lags
 * already say which comes first, nothing is added.
 */
function apartIn(job: Pick<Job, 'settings' | 'practice' | 'air'>, tasks: readonly Task[]): ApartTask[] {
  const comesBefore = orderIn(tasks);
  const wet = (task: Task): Minutes => Math.max(driesAfter(job, task.go).touch, 0);
  const open = (a: Task, b: Task): boolean => !comesBefore(a, b) && !comesBefore(b, a);
  const edges = tasks.filter((task) => task.operations.some(isAtLine));
  const finish = (task: Task): string => (task.go.specified ? finishOf(task.go.specified) : '');
  const lines = new Map(edges.map((task) => [task.id, new Set(linesAt(task))]));
  const toCut = setting(job, 'mask.dry');
  const against = edges.flatMap((a, i) =>
    edges.slice(i + 1).flatMap((b): ApartTask[] => {
      // edges that only end in the same corner do not touch
      const touch = finish(a) !== finish(b) && linesAt(a).some((line) => lines.get(b.id)?.has(line));
      if (!touch || !open(a, b)) return [];
      return [{ a: a.id, b: b.id, aFirst: toCut, bFirst: toCut, because: 'lag.wet-edge' }];
    }),
  );
  const dusty = tasks.filter((task) => task.operations.some((op) => DUSTY.has(op.kind)));
  // what is rubbed by hand is wiped and painted at once
  const films = tasks.filter((task) => task.paint !== null && !dusty.includes(task));
  const dust = dusty.flatMap((a) =>
    films.flatMap((b): ApartTask[] =>
      a.id === b.id || a.surface === b.surface || !open(a, b) || isSame(against, a, b)
        ? []
        : [{ a: a.id, b: b.id, aFirst: 0, bFirst: wet(b), because: 'lag.dust-wet' }],
    ),
  );
  return [...against, ...dust];
}
const isSame = (pairs: readonly ApartTask[], one: Task, two: Task): boolean =>
  pairs.some(({ a, b }) => (a === one.id && b === two.id) || (a === two.id && b === one.id));

/** Does one task of a room wait for another, by however many steps? */
function orderIn(tasks: readonly Task[]): (a: Task, b: Task) => boolean {
  const before = new Map<string, Set<string>>();
  const byId = new Map(tasks.map((task) => [task.id, task]));
  const all = (id: string): Set<string> => {
    const known = before.get(id);
    if (known) return known;
    const own = new Set<string>();
    before.set(id, own);
    for (const { task } of byId.get(id)?.after ?? []) {
      own.add(task);
      for (const earlier of all(task)) own.add(earlier);
    }
    return own;
  };
  return (a, b) => all(b.id).has(a.id);
}
