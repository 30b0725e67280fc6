import { setting } from '../job/defaults.ts';
import { NOTHING_LEARNED } from '../job/learned.ts';
import type { Job } from '../job/types.ts';
import { foldLog, type SiteState } from '../site/fold.ts';
import { clocksOf, type SiteClock } from '../site/clocks.ts';
import type { Log } from '../site/log.ts';
import { minutesSince, zeroOf } from '../site/moments.ts';
import { pacesOf, timedOf, type Believed, type LearnedPace } from '../site/paces.ts';
import { restOf, type Rest } from '../site/rest.ts';
import { spreadsOf, usedOf, type LearnedSpread, type PlannedPaint } from '../site/spread.ts';
import { airAt } from '../climate/air.ts';
import { openTimeOf } from '../climate/open.ts';
import { networkFor, scheduleNetwork, type JobSchedule } from '../sequence/schedule.ts';
import type { SolveOptions } from '../sequence/solve.ts';
import type { Task } from '../sequence/task.ts';
import { effective } from '../specify/reasons.ts';
import type { Minutes } from '../units/si.ts';
import { paintOf } from '../work/goes.ts';
import type { WholeInput } from './inputs.ts';
import { keepFor } from './keep.ts';
import { wholeOf } from './whole.ts';

type OnSite = WholeInput & Pick<Job, 'crew' | 'air'>;

/** What a log says of a job, in the job's minutes; before its first day and its first entry they count from 1970. */
export const stateOf = (job: Pick<Job, 'crew'>, log: Log): SiteState =>
  foldLog(log, minutesSince(zeroOf(job.crew, log) ?? 0), (who) => job.crew.people[personIn(job)(who)]?.id ?? who);

/** The job in the air that was read last: what dries, and how long an edge stays wet, goes by it. */
export function inLoggedAir<J extends Pick<Job, 'air'>>(job: J, state: SiteState): J {
  const last = state.air.at(-1);
  return last ? { ...job, air: { ...job.air, ...last.air, day: [] } } : job;
}

/** Index of whom an entry names, by id or by name; -1: nobody of the crew. */
export const personIn =
  ({ crew }: Pick<Job, 'crew'>) =>
  (who: string): number => {
    const byId = crew.people.findIndex(({ id }) => id === who);
    const named = who.trim().toLowerCase();
    return byId >= 0 ? byId : crew.people.findIndex(({ name }) => name.trim().toLowerCase() === named);
  };

function networkOn(job: OnSite): ReturnType<typeof networkFor> {
  const { takeoffs, operations } = wholeOf(job);
  return networkFor(job, takeoffs, operations, keepFor(job));
}

/** What is left to do, from what is true at a moment. */
export const restNow = (job: OnSite, state: SiteState, now: Minutes): Rest =>
  restOf(networkOn(inLoggedAir(job, state)).network, state, personIn(job), now);

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
    if (task.kept) return task.kept.open;
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
/** What the log teaches of paces and of spread. */
export function lessonsOf(taught: OnSite, state: SiteState): Lessons {
  // against what was planned before anything was learned
  const job = { ...taught, learned: NOTHING_LEARNED };
  const paces: Believed = { tau: setting(job, 'learn.pace'), sigma: setting(job, 'learn.scatter') };
  const spread = setting(job, 'learn.spread');
  return {
    paces: pacesOf(timedOf(state, networkOn(job).network.tasks), paces),
    spreads: spreadsOf(usedOf(state, plannedPaint(job)), { tau: spread, sigma: spread }),
  };
}
