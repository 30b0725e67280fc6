import { setting } from '../job/defaults.ts';
import { NOTHING_LEARNED } from '../job/learned.ts';
import type { Job } from '../job/types.ts';
import type { Oddity } from '../job/vocabulary.ts';
import { foldLog, potsNow, type SiteState } from '../site/fold.ts';
import type { LogEntry } from '../site/entry.ts';
import { dayList, factsOf, keepsOpen, type DayFacts, type ListItem } from '../site/lists.ts';
import { earlyStarts, edgeLeft, nowNext, shortOf, type EdgeLeft, type Short, type Waits } from '../site/next.ts';
import type { TakenPlan } from '../job/crew.ts';
import { dayOf } from '../sequence/calendar.ts';
import { viewSchedule, type ScheduleView } from '../sequence/view.ts';
import { clocksOf, type SiteClock } from '../site/clocks.ts';
import type { Log } from '../site/log.ts';
import { minutesSince, zeroOf } from '../site/moments.ts';
import { pacesOf, timedOf, type Believed, type LearnedPace } from '../site/paces.ts';
import { restOf, type Rest } from '../site/rest.ts';
import { spreadsOf, usedOf, type LearnedSpread, type PlannedPaint } from '../site/spread.ts';
import { airAt } from '../climate/air.ts';
import { openTimeOf } from '../climate/open.ts';
import { networkFor, scheduleNetwork, takenFrom, type JobSchedule } from '../sequence/schedule.ts';
import type { SolveOptions } from '../sequence/solve.ts';
import type { Task } from '../sequence/task.ts';
import { effective } from '../specify/reasons.ts';
import { rememberLast } from '../units/remember.ts';
import type { Litres, Minutes } from '../units/si.ts';
import { paintOf } from '../work/goes.ts';
import { PLANNED, type WholeInput } from './inputs.ts';
import { keepFor } from './wet.ts';
import { basePlan } from './plan.ts';
import { stage } from './stage.ts';
import { wholeOf } from './whole.ts';

type OnSite = WholeInput & Pick<Job, 'crew' | 'air'>;

/** What a log says of a job, in the job's minutes; before its first day and its first entry they count from 1970. */
export const stateOf = (job: Pick<Job, 'crew'>, log: Log): SiteState =>
  foldLog(log, minutesSince(zeroOf(job.crew, log) ?? 0), (who) => job.crew.people[personIn(job)(who)]?.id ?? who);

/** The job in the air that was read last: what dries, and how long an edge stays wet, goes by it. */
function inLoggedAir<J extends Pick<Job, 'air'>>(job: J, state: SiteState): J {
  const last = state.air.at(-1);
  return last ? { ...job, air: loggedAir(job.air, last.air) } : job;
}
/** One object for one air, whatever entry says it: what was worked out in it is still known. */
const loggedAir = rememberLast(
  4,
  (air: Job['air'], last: SiteState['air'][number]['air']) => JSON.stringify([air, last]),
  (air, last): Job['air'] => ({ ...air, ...last, day: [] }),
);

/** Index of whom an entry names, by id or by name; -1: nobody of the crew. */
export const personIn =
  ({ crew }: Pick<Job, 'crew'>) =>
  (who: string): number => {
    const byId = crew.people.findIndex(({ id }) => id === who);
    const named = who.trim().toLowerCase();
    return byId >= 0 ? byId : crew.people.findIndex(({ name }) => name.trim().toLowerCase() === named);
  };

/** Tasks and days of a job: asked several times for every entry that is noted. */
export const networkOn = stage(PLANNED, (job) => {
  const { takeoffs, operations } = wholeOf(job);
  return networkFor(job, takeoffs, operations, keepFor(job));
});

/** A plan of the rest: what is done stands as it was, what is running goes on. */
export function replanned(
  job: OnSite,
  state: SiteState,
  now: Minutes,
  options: SolveOptions = {},
): JobSchedule & Pick<Rest, 'running'> {
  const here = inLoggedAir(job, state);
  const { network, longest } = networkOn(here);
  const { network: left, done, running } = restOf(network, state, personIn(job), now);
  const { takeoffs } = wholeOf(here);
  return { ...scheduleNetwork(here, takeoffs, left, longest, options, done), running };
}

/** How long a film of a task stays open in the air of now. */
export function openFor(job: OnSite): (task: Task) => Minutes | null {
  return (task) => {
    if (task.kept) return Number.isFinite(task.kept.open.minutes) ? task.kept.open.minutes : null;
    const product = paintOf(task.go);
    const { specified } = task.go;
    if (!product || !specified) return null;
    const up = specified.surface.kind === 'ceiling' ? 1 : 0;
    const film = {
      product,
      dose: effective(specified.system.conditioner),
      porous: false,
      film: 1,
      deep: false,
    };
    const open = openTimeOf(job, film, airAt(job.air, null, up));
    return Number.isFinite(open.minutes) ? open.minutes : null;
  };
}

/** Clocks of a moment. */
export function clocksNow(job: OnSite, state: SiteState, now: Minutes): SiteClock[] {
  const here = inLoggedAir(job, state);
  return clocksOf(here, networkOn(here).network, state, now, openFor(here));
}

/** Litres that Order reckons for each task that lays a finish: its coat's share of its surface. */
export function plannedPaint(job: OnSite): PlannedPaint[] {
  const uses = new Map(
    wholeOf(job).paints.flatMap(({ key, product, uses: used }) =>
      used.map((use) => [`${use.specified.surface.id} ${product.role}`, { key, coats: use.coats }] as const),
    ),
  );
  return networkOn(job).network.tasks.flatMap((task): PlannedPaint[] => {
    const { specified } = task.go;
    if (!specified || !LAYING.has(task.kind)) return [];
    const role = task.kind.startsWith('prime') ? 'primer' : 'finish';
    const own = uses.get(`${task.surface} ${role}`);
    if (!own) return [];
    const litres = own.coats[Math.max(1, task.coat) - 1] ?? 0;
    return litres > 0 ? [{ operation: task.id, paint: own.key, texture: specified.survey.texture, litres }] : [];
  });
}
/** A coat counts where its field is laid. */
const LAYING: ReadonlySet<Task['kind']> = new Set<Task['kind']>(['roll', 'wet', 'brush', 'prime-roll', 'prime-brush']);

export interface Lessons {
  readonly paces: readonly LearnedPace[];
  readonly spreads: readonly LearnedSpread[];
}
/** The job as it was planned before anything was learned: what a log teaches is held against that. */
function untaught(job: OnSite): OnSite {
  const { paces, spreads } = job.learned;
  return paces.length || spreads.length ? { ...job, learned: NOTHING_LEARNED } : job;
}
/** What the log teaches of paces and of spread. */
export function lessonsOf(taught: OnSite, state: SiteState): Lessons {
  const job = untaught(taught);
  const paces: Believed = { tau: setting(job, 'learn.pace'), sigma: setting(job, 'learn.scatter') };
  const spread = setting(job, 'learn.spread');
  return {
    paces: pacesOf(timedOf(state, networkOn(job).network.tasks), paces),
    spreads: spreadsOf(usedOf(state, plannedPaint(job)), { tau: spread, sigma: spread }),
  };
}

/** What the rest of the plan comes to when it goes on in its order, and when it is planned anew. */
export interface Change {
  /** When the job ends by the plan as it was; as it now goes on; and planned anew. */
  readonly planned: Minutes;
  readonly goesOn: Minutes;
  readonly anew: Minutes;
  /** Tasks that somebody else does, or that fall on another day, by the new plan. */
  readonly moved: readonly string[];
  readonly plan: TakenPlan;
}
/** What Site shows of a moment. */
export interface SiteView {
  readonly zero: number | null;
  /** Entries that it was made of. */
  readonly noted: number;
  readonly schedule: ScheduleView;
  readonly running: readonly string[];
  readonly people: readonly {
    readonly on: string | null;
    readonly since: Minutes | null;
    /** Minutes that were planned for what they are on. */
    readonly planned: Minutes;
    readonly next: readonly {
      readonly task: string;
      readonly from: Minutes;
      readonly waits: Waits | null;
      readonly short: Short | null;
    }[];
    /** Of what they are on, should they put it down now. */
    readonly edge: EdgeLeft | null;
  }[];
  readonly clocks: readonly SiteClock[];
  /** The day, counted from 0, and what it asks for. */
  readonly day: number;
  readonly list: readonly ListItem[];
  readonly facts: Pick<DayFacts, 'detectors' | 'dose' | 'floors'>;
  readonly ticks: readonly string[];
  readonly reasons: readonly (readonly [tick: string, note: string])[];
  readonly covered: SiteState['covered'];
  readonly keepsOpen: readonly string[];
  readonly odd: readonly { readonly entry: string; readonly because: Oddity }[];
  readonly pots: readonly PotNow[];
  readonly lessons: Lessons;
}
/** A paint that is on the job: what is left in its cans, and what is still to be laid. */
export interface PotNow {
  readonly paint: string;
  /** null: nobody looked yet. */
  readonly left: Litres | null;
  readonly opened: Litres;
  /** By what the order reckoned, at the spread that the log found. */
  readonly needed: Litres;
  /** Bought and not opened yet. */
  readonly unopened: Litres;
}

/** All that Site shows of a moment, from the job and its log. */
export function siteView(job: OnSite, entries: readonly LogEntry[], now: Minutes): SiteView {
  const log: Log = new Map(entries.map((entry) => [entry.id, entry]));
  const state = stateOf(job, log);
  const goesOn = replanned({ ...job, taken: job.taken ?? takenFrom(basePlan(job)) }, state, now, { steps: 0 });
  const takeoffs = wholeOf(job).takeoffs;
  const day = dayOf(job.crew, Math.max(0, now));
  const today = goesOn.placed.filter(({ pieces }) =>
    pieces.some(([from, to]) => dayOf(job.crew, Math.max(0, from)) === day || dayOf(job.crew, Math.max(0, to)) === day),
  );
  const facts = factsOf(
    job,
    today.map(({ task }) => task),
  );
  const lessons = lessonsOf(job, state);
  const { network } = networkOn(job);
  const planned = new Map(network.tasks.map((task) => [task.id, task]));
  const clocks = clocksNow(job, state, now);
  return {
    zero: zeroOf(job.crew, log),
    noted: entries.length,
    schedule: viewSchedule(goesOn, takeoffs),
    running: goesOn.running,
    people: job.crew.people.map(({ id }, person) => {
      const { on, since, next } = nowNext(goesOn.placed, planned, state, person, id, now);
      const edge = clocks.find(
        ({ kind, operation, frees }) => kind === 'edge' && (operation === on?.id || frees.includes(on?.id ?? '')),
      );
      return {
        on: on?.id ?? null,
        since,
        planned: planned.get(on?.id ?? '')?.work ?? 0,
        next: next.slice(0, NEXT).map(({ task, from, waits }) => ({
          task: task.id,
          from,
          waits,
          short: shortOf(task, network.calendars['plain']?.[person], now),
        })),
        edge: on && since !== null ? edgeLeft(planned.get(on.id) ?? on, since, edge?.due ?? null, now) : null,
      };
    }),
    clocks,
    day,
    list: dayList(job, facts),
    facts: { detectors: facts.detectors, dose: facts.dose, floors: facts.floors },
    ticks: [...state.ticks.keys()],
    reasons: [...state.reasons],
    covered: state.covered,
    keepsOpen: keepsOpen(state, day),
    odd: [...state.odd, ...earlyStarts(network.tasks, state)].map(({ entry, because }) => ({
      entry: entry.id,
      because,
    })),
    pots: potsOf(job, state, lessons),
    lessons,
  };
}
/** So many of somebody's next tasks are told. */
const NEXT = 6;

/** What a new plan of the rest would come to; sought only when somebody asks. */
export function changeOf(job: OnSite, entries: readonly LogEntry[], now: Minutes): Change {
  const state = stateOf(job, new Map(entries.map((entry) => [entry.id, entry])));
  const base = basePlan(job);
  const from = { ...job, taken: job.taken ?? takenFrom(base) };
  const goesOn = replanned(from, state, now, { steps: 0 });
  const anew = replanned(from, state, now);
  const before = new Map(goesOn.placed.map((p) => [p.task.id, p]));
  const dayAt = ({ pieces }: (typeof goesOn.placed)[number]): number =>
    dayOf(job.crew, Math.max(0, pieces[0]?.[0] ?? 0));
  return {
    planned: base.finish,
    goesOn: goesOn.finish,
    anew: anew.finish,
    moved: anew.placed.flatMap((p) => {
      const was = before.get(p.task.id);
      return was && (was.who.join() !== p.who.join() || dayAt(was) !== dayAt(p)) ? [p.task.id] : [];
    }),
    plan: takenFrom(anew),
  };
}

/** Every paint of the job in its cans, and whether they will do. */
function potsOf(job: OnSite, state: SiteState, { spreads }: Lessons): PotNow[] {
  const now = potsNow(state.pots);
  // the spread of the log stands in for what was learned of it before
  const planned = plannedPaint(untaught(job));
  return wholeOf(job).paints.map(({ key, ordered, fromShelf }): PotNow => {
    const own = planned.filter(({ paint }) => paint === key);
    const left = own.filter(({ operation }) => (state.tasks.get(operation)?.done ?? null) === null);
    const spread = spreads.find(({ paint }) => paint === key)?.mean ?? 0;
    const opened = state.pots.reduce((sum, line) => sum + (line.paint === key ? line.opened : 0), 0);
    return {
      paint: key,
      left: now.get(key) ?? null,
      opened,
      needed: left.reduce((sum, { litres }) => sum + litres, 0) * Math.exp(-spread),
      unopened: Math.max(0, ordered + fromShelf - opened),
    };
  });
}
