import { setting } from '../job/defaults.ts';
import type { Person } from '../job/crew.ts';
import type { Job } from '../job/types.ts';
import type { RoomTakeoff } from '../measure/takeoff.ts';
import { capital, phrase, type Word } from '../units/word.ts';
import { nameWord } from '../words/names.ts';
import { formatMinutes } from '../units/quantities.ts';
import { rememberLast } from '../units/remember.ts';
import type { Minutes } from '../units/si.ts';
import { countedDays, type WorkDays } from '../work/days.ts';
import type { Operation } from '../work/operations.ts';
import {
  between,
  calendarOf,
  DAY,
  fit,
  HORIZON,
  longestStretch,
  workingTime,
  type Calendar,
  type Span,
} from './calendar.ts';
import { lowerBound, scheduleTasks, type Placed, type Schedule, type SearchOptions } from './search.ts';
import { leastTravel, tasksOf, type Keep, type Task } from './tasks.ts';

/** A person's day, minutes from the job's start. */
export interface PersonDay {
  /** Index into the crew. */
  readonly person: number;
  /** From 0, elapsed. */
  readonly day: number;
  readonly setUp: Span;
  readonly cleanUp: Span;
}
/** Why there is no plan: its words name surfaces. */
export interface PlanProblem {
  readonly path: string;
  readonly message: Word;
}
export interface JobSchedule extends Schedule {
  readonly crew: readonly Person[];
  readonly workingTime: readonly Span[];
  /** Who works on which day, and when they set up and clean up. */
  readonly personDays: readonly PersonDay[];
  /** Person-minutes of all operations; and of the trips to them, of changing tools and of waiting for each other. */
  readonly minutes: Minutes;
  readonly travel: Minutes;
  readonly problems: readonly PlanProblem[];
}

/** What the search reads of a task. */
const bare = ({ id, work, people, interruptible, after, surface, trip }: Task) =>
  [id, work, people, interruptible, after, surface, trip] as const;

/** The same tasks on the same calendar are not searched twice, whatever else of the job changed. */
const search = rememberLast(
  8,
  (tasks: readonly Task[], calendar: Calendar, crew: number, options: SearchOptions) =>
    JSON.stringify([tasks.map(bare), calendar, crew, options]),
  scheduleTasks<Task>,
);

/** A plan of these very tasks: one that was found for tasks alike is read with these. */
function searched(tasks: readonly Task[], calendar: Calendar, crew: number, options: SearchOptions): Schedule | null {
  const found = search(tasks, calendar, crew, options);
  const byId = new Map(tasks.map((task) => [task.id, task]));
  return found && { ...found, placed: found.placed.map((p) => ({ ...p, task: byId.get(p.task.id) ?? p.task })) };
}

/** The job's schedule; what cannot be scheduled is a problem that says what would do. */
export function scheduleJob(
  job: Pick<Job, 'settings' | 'practice' | 'crew'>,
  takeoffs: readonly RoomTakeoff[],
  operations: readonly Operation[],
  keep: Keep,
  options: SearchOptions = {},
): JobSchedule {
  const hours = calendarOf(job.crew.hours);
  const calendar = between(hours, setting(job, 'day.setUp'), setting(job, 'day.cleanUp'));
  const longest = longestStretch(calendar);
  const tasks = tasksOf(job, operations, longest, keep);
  const crew = job.crew.people;
  const minutes = tasks.reduce((sum, task) => sum + task.work * task.people - task.idle, 0);
  const idle = tasks.reduce((sum, task) => sum + task.idle, 0);
  const names = new Map(
    takeoffs.flatMap((t) =>
      t.surfaces.map((s) => [s.id, phrase`${capital(nameWord(s.name))} in ${t.room.name}`] as const),
    ),
  );
  const tooLong = tasks.filter((t) => !t.interruptible && t.work > longest + 1e-9);
  const problems = tooLong.map((t): PlanProblem => ({
    path: t.surface,
    message: phrase`${names.get(t.surface) ?? 'This'} takes ${formatMinutes(t.work)} without a stop with ${t.people} on it, and the longest working stretch is ${formatMinutes(longest)}. Put more people on the job, or work a longer stretch that day.`,
  }));
  const found = problems.length ? null : searched(tasks, calendar, crew.length, options);
  if (!found) {
    if (!problems.length)
      problems.push(
        lowerBound(tasks, calendar, crew.length) > HORIZON
          ? {
              path: 'settings',
              message: `This work takes more than ten years with ${crew.length} on it; a pace, a length or a drying time is probably a slip.`,
            }
          : {
              path: 'crew/hours',
              message:
                'No order of work fits these hours: a cut and its rolling must fit into one working stretch. Lengthen a stretch.',
            },
      );
    return {
      placed: [],
      finish: 0,
      bound: 0,
      crew,
      workingTime: workingTime(hours, 0),
      personDays: [],
      minutes,
      travel: leastTravel(tasks) + idle,
      problems,
    };
  }
  const personDays = personDaysOf(found.placed, hours, calendar, setting(job, 'day.cleanUp'));
  const travel = travelOf(found.placed) + idle;
  return { ...found, crew, workingTime: workingTime(hours, found.finish), personDays, minutes, travel, problems };
}

const lengthOf = (pieces: readonly Span[]): Minutes => pieces.reduce((sum, [from, to]) => sum + to - from, 0);

/** Person-minutes of fetching. */
const travelOf = (placed: readonly Placed[]): Minutes =>
  placed.reduce((sum, { travel }) => sum + (travel ? lengthOf(travel.pieces) * travel.who.length : 0), 0);

/** Everybody sets up at the beginning of a day on which they do anything, and cleans up after the last of it. */
function personDaysOf(placed: readonly Placed[], hours: Calendar, calendar: Calendar, cleanUp: Minutes): PersonDay[] {
  const [first] = hours.day as [Span];
  const begin = calendar.day[0]?.[0] ?? first[0];
  const lastEnd = new Map<string, Minutes>();
  const stretches = placed.flatMap(({ pieces, who, travel }) => [{ pieces, who }, ...(travel ? [travel] : [])]);
  for (const { pieces, who } of stretches)
    for (const [from, to] of pieces)
      for (const person of who) {
        const key = `${Math.floor(from / DAY)} ${person}`;
        lastEnd.set(key, Math.max(lastEnd.get(key) ?? 0, to));
      }
  const days = [...lastEnd].map(([key, end]): PersonDay => {
    const [day = 0, person = 0] = key.split(' ').map(Number);
    const cleaning = cleanUp > 0 ? (fit(hours, end, cleanUp, true) ?? []) : [];
    return {
      person,
      day,
      setUp: [day * DAY + first[0], day * DAY + begin],
      cleanUp: [cleaning[0]?.[0] ?? end, cleaning.at(-1)?.[1] ?? end],
    };
  });
  return days.sort((a, b) => a.day - b.day || a.person - b.person);
}

/** The days of a plan; where none fits, as many as its minutes fill. */
export function daysOf(
  job: Pick<Job, 'settings' | 'crew'>,
  { personDays, problems, minutes, travel }: Pick<JobSchedule, 'personDays' | 'problems' | 'minutes' | 'travel'>,
): WorkDays {
  if (problems.length) return countedDays(job, minutes, travel);
  return {
    days: new Set(personDays.map((p) => p.day)).size,
    byPerson: job.crew.people.map((_, i) => personDays.filter((p) => p.person === i).length),
    travel,
    planned: true,
  };
}
