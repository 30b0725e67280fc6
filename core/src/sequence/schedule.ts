import { setting } from '../job/defaults.ts';
import type { Person, TakenPlan } from '../job/crew.ts';
import type { Job } from '../job/types.ts';
import type { RoomTakeoff } from '../measure/takeoff.ts';
import { capital, phrase, type Word } from '../units/word.ts';
import { nameWord } from '../words/names.ts';
import { formatMinutes } from '../units/quantities.ts';
import { rememberLast } from '../units/remember.ts';
import type { Minutes } from '../units/si.ts';
import { cleanUpKey, countedDays, type WorkDays } from '../work/days.ts';
import type { Operation } from '../work/operations.ts';
import { lowerBound } from './bound.ts';
import { calendarOf, dayOf, HORIZON, midnight, type Calendar, type Span } from './calendar.ts';
import { compile } from './instance.ts';
import { cutsOf, networkOf, type Network } from './network.ts';
import type { Placed } from './placed.ts';
import type { Solution } from './search.ts';
import { solve, type SolveOptions } from './solve.ts';
import type { Keep, Sequencing, Task } from './task.ts';
import { tasksOf } from './tasks.ts';

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
export interface JobSchedule {
  readonly placed: readonly Placed<Task>[];
  /** Tasks in the order in which they were placed. */
  readonly order: readonly string[];
  readonly finish: Minutes;
  /** Proven: nobody finishes earlier. It never reads the plan. */
  readonly bound: Minutes;
  /** finish / bound - 1, in working minutes. */
  readonly gap: number;
  /** Minutes by which pins and rooms wanted back are missed. */
  readonly late: Minutes;
  readonly network: Network;
  readonly crew: readonly Person[];
  readonly workingTime: readonly Span[];
  /** Who works on which day, and when they set up and clean up. */
  readonly personDays: readonly PersonDay[];
  /** Person-minutes of all operations; and of the trips to them, of changing tools and of waiting for each other. */
  readonly minutes: Minutes;
  readonly travel: Minutes;
  readonly problems: readonly PlanProblem[];
}
export type Planning = Sequencing & Pick<Job, 'taken'>;

/** What the search reads of a task. */
const bare = ({
  id,
  work,
  people,
  interruptible,
  after,
  room,
  paint,
  tool,
  who,
  hours,
  at,
  by,
  uses,
  notBefore,
}: Task) => [id, work, people, interruptible, after, room, paint, tool, who, hours, at, by, uses, notBefore] as const;
const said = ({ hours, start, weekdays, holidays, extra, zone, quiet, people }: Job['crew']) =>
  [
    hours,
    start,
    weekdays,
    holidays,
    extra,
    zone,
    quiet,
    people.map((p) => [p.hours, p.from, p.until, p.away]),
  ] as const;

/** The same tasks on the same days are not searched twice, whatever else of the job changed. */
const search = rememberLast(
  8,
  (network: Network, crew: Job['crew'], options: SolveOptions) =>
    JSON.stringify([network.tasks.map(bare), network.capacity, network.apart, network.travel, said(crew), options]),
  (network, _crew, options) => solve<Task>(network, options),
);

const stepsOf = (job: Pick<Job, 'settings'>): Pick<SolveOptions, 'steps'> =>
  setting(job, 'plan.steps') > 0 ? { steps: setting(job, 'plan.steps') } : {};

/** A plan of these very tasks: one that was found for tasks alike is read with these. */
function searched(network: Network, crew: Job['crew'], options: SolveOptions): Solution<Task> | null {
  const found = search(network, crew, options);
  const byId = new Map(network.tasks.map((task) => [task.id, task]));
  return found && { ...found, placed: found.placed.map((p) => ({ ...p, task: byId.get(p.task.id) ?? p.task })) };
}

/** A plan that was taken, as the solver reads it. */
const takenOf = ({ taken, crew }: Pick<Job, 'taken' | 'crew'>): NonNullable<SolveOptions['taken']> | null =>
  taken && {
    order: taken.order,
    who: Object.fromEntries(
      Object.entries(taken.who).map(([task, who]) => [
        task,
        who.map((id) => crew.people.findIndex((person) => person.id === id)).filter((n) => n >= 0),
      ]),
    ),
  };

/** A plan as it is taken: its tasks in their order, with who does them. */
export const takenFrom = ({ placed, order, crew }: Pick<JobSchedule, 'placed' | 'order' | 'crew'>): TakenPlan => ({
  order,
  who: Object.fromEntries(placed.map((p) => [p.task.id, p.who.map((n) => crew[n]?.id ?? '')])),
});

/** Tasks of a job on its days: what a plan is sought for. `longest`: the longest stretch of a day that is worked. */
export function networkFor(
  job: Sequencing,
  takeoffs: readonly RoomTakeoff[],
  operations: readonly Operation[],
  keep: Keep,
): { readonly network: Network; readonly longest: Minutes } {
  const cuts = cutsOf(job);
  const longest = Math.max(0, ...job.crew.people.map((person) => calendarOf(job.crew, person, cuts).longest));
  return { network: networkOf(job, takeoffs, tasksOf(job, operations, longest, keep)), longest };
}

/** The job's schedule; what cannot be scheduled is a problem that says what would do. */
export function scheduleJob(
  job: Planning,
  takeoffs: readonly RoomTakeoff[],
  operations: readonly Operation[],
  keep: Keep,
  options: SolveOptions = {},
): JobSchedule {
  const { network, longest } = networkFor(job, takeoffs, operations, keep);
  return scheduleNetwork(job, takeoffs, network, longest, options);
}

const NOTHING_LEFT: Pick<Solution<Task>, 'placed' | 'order' | 'bound' | 'score'> = {
  placed: [],
  order: [],
  bound: 0,
  score: { late: 0, finish: 0, idle: 0, travel: 0, slack: Infinity },
};

/** The schedule of tasks on their days; `over`: what is done already, as it was. */
export function scheduleNetwork(
  job: Planning,
  takeoffs: readonly RoomTakeoff[],
  network: Network,
  longest: Minutes,
  options: SolveOptions = {},
  over: readonly Placed<Task>[] = [],
): JobSchedule {
  const { tasks } = network;
  const crew = job.crew.people;
  const minutes = tasks.reduce((sum, task) => sum + task.work * task.people - task.idle, 0);
  const idle = tasks.reduce((sum, task) => sum + task.idle, 0);
  const names = new Map(
    takeoffs.flatMap((t) =>
      t.surfaces.map((s) => [s.id, phrase`${capital(nameWord(s.name))} in ${t.room.name}`] as const),
    ),
  );
  const tooLong = longest > 0 ? tasks.filter((t) => !t.interruptible && t.work > longest + 1e-9) : [];
  const problems = tooLong.map((t): PlanProblem => ({
    path: t.surface,
    message: phrase`${names.get(t.surface) ?? 'This'} takes ${formatMinutes(t.work)} without a stop with ${t.people} on it, and the longest working stretch is ${formatMinutes(longest)}. Put more people on the job, or work a longer stretch that day.`,
  }));
  const ended = over.reduce((late, { pieces }) => Math.max(late, pieces.at(-1)?.[1] ?? 0), 0);
  const isAllDone = over.length > 0 && !tasks.length;
  const found = problems.length
    ? null
    : isAllDone
      ? NOTHING_LEFT
      : searched(network, job.crew, { taken: takenOf(job), ...stepsOf(job), ...options });
  if (!found) {
    if (!problems.length) problems.push(whyNone(job, network));
    return {
      placed: [],
      order: [],
      finish: 0,
      bound: 0,
      gap: 0,
      late: 0,
      network,
      crew,
      workingTime: workingTime(job.crew, 0),
      personDays: [],
      minutes,
      travel: idle,
      problems,
    };
  }
  const { score } = found;
  const placed = [...over, ...found.placed];
  const [finish, bound] = [Math.max(score.finish, ended), Math.max(found.bound, ended)];
  const cleanUp = setting(job, cleanUpKey(job));
  return {
    placed,
    order: [...over.map(({ task }) => task.id), ...found.order],
    finish,
    bound,
    gap: gapOf(network, finish, bound),
    late: score.late,
    network,
    crew,
    workingTime: workingTime(job.crew, finish),
    personDays: personDaysOf(job, placed, setting(job, 'day.setUp'), cleanUp),
    minutes,
    travel: score.travel + idle,
    problems,
  };
}

function whyNone({ crew, settings }: Pick<Job, 'crew' | 'settings'>, network: Network): PlanProblem {
  const daily = setting({ settings }, 'day.setUp') + setting({ settings }, 'day.cleanUp');
  const longest = Math.max(...crew.people.map((p) => length(p.hours ?? crew.hours)));
  const nobody = network.calendars['plain']?.every((calendar) => calendar.next(0) === Infinity);
  if (nobody && longest <= daily)
    return {
      path: 'crew/hours',
      message: 'These hours leave nothing beside setting up and cleaning up. Lengthen a stretch.',
    };
  if (nobody)
    return {
      path: 'crew/people',
      message: 'Nobody works on any day: look at the first and last days of the crew, days of the week and days off.',
    };
  const problem = compile(network);
  if (!problem)
    return { path: 'crew/hours', message: 'What waits for what runs in a circle; a pin or a practice is the reason.' };
  return lowerBound(problem) > HORIZON
    ? {
        path: 'settings',
        message: `This work takes more than ten years with ${crew.people.length} on it; a pace, a length or a drying time is probably a slip.`,
      }
    : {
        path: 'crew/hours',
        message:
          'No order of work fits these hours: a cut and its rolling must fit into one working stretch. Lengthen a stretch.',
      };
}

const length = (hours: readonly Span[]): Minutes => hours.reduce((sum, [from, to]) => sum + to - from, 0);

/** Working minutes of all calendars by a moment. */
const workedBy = ({ calendars }: Network, t: Minutes): Minutes =>
  (calendars['plain'] ?? []).reduce((sum, calendar) => sum + calendar.worked(t), 0);
const gapOf = (network: Network, finish: Minutes, bound: Minutes): number => {
  const least = workedBy(network, bound);
  return least > 0 ? Math.max(0, workedBy(network, finish) / least - 1) : 0;
};

/** Stretches of the crew from the start to the end of the day in which `finish` falls. */
const workingTime = (crew: Job['crew'], finish: Minutes): Span[] =>
  calendarOf(crew, null).within(0, midnight(crew, dayOf(crew, finish) + 1));

/** Everybody sets up at the beginning of a day on which they do anything, and cleans up after the last of it. */
function personDaysOf(
  { crew }: Pick<Job, 'crew'>,
  placed: readonly Placed[],
  setUp: Minutes,
  cleanUp: Minutes,
): PersonDay[] {
  const lastEnd = new Map<string, Minutes>();
  const stretches = placed.flatMap(({ pieces, who, travel }) => [
    { pieces, who },
    ...travel.map((trip) => ({ pieces: trip.pieces, who: [trip.who] })),
  ]);
  for (const { pieces, who } of stretches)
    for (const [from, to] of pieces)
      for (const person of who) {
        const key = `${dayOf(crew, from)} ${person}`;
        lastEnd.set(key, Math.max(lastEnd.get(key) ?? 0, to));
      }
  const whole = crew.people.map((person) => calendarOf(crew, person));
  const days = [...lastEnd].map(([key, end]): PersonDay => {
    const [day = 0, person = 0] = key.split(' ').map(Number);
    const calendar = whole[person] as Calendar;
    const begins = calendar.next(Math.max(0, midnight(crew, day)));
    const cleans = cleanUp > 0 ? calendar.start(end, cleanUp, true) : end;
    return {
      person,
      day,
      setUp: [begins, calendar.later(begins, setUp)],
      cleanUp: [cleans, calendar.later(cleans, cleanUp)],
    };
  });
  return days.sort((a, b) => a.day - b.day || a.person - b.person);
}

/** The days of a plan; where none fits, as many as its minutes fill. */
export function daysOf(
  job: Pick<Job, 'settings' | 'crew' | 'practice' | 'learned'>,
  { personDays, problems, minutes, travel }: Pick<JobSchedule, 'personDays' | 'problems' | 'minutes' | 'travel'>,
): WorkDays {
  if (problems.length) return countedDays(job, minutes, travel);
  return {
    days: new Set(personDays.map((p) => p.day)).size,
    byPerson: job.crew.people.map((_, i) => personDays.filter((p) => p.person === i).length),
    travel,
    spare: 0,
    planned: true,
  };
}

/** Does one plan beat another: fewer misses, an earlier finish, less fetching? */
export const isBetterPlan = (a: JobSchedule, b: JobSchedule): boolean =>
  Math.abs(a.late - b.late) > 0.5
    ? a.late < b.late
    : Math.abs(a.finish - b.finish) > 0.5
      ? a.finish < b.finish
      : a.travel < b.travel - 1;
