import type { Job } from '../job/types.ts';
import { onIt, potsNow, type SiteState, type TaskLog } from '../site/fold.ts';
import { wetAt, type SiteClock } from '../site/clocks.ts';
import { bad, good, type Result } from '../units/problem.ts';
import { said } from '../units/word.ts';
import { systemOf } from '../job/region.ts';
import type { Minutes } from '../units/si.ts';
import { clocksNow, lessonsOf, personIn, replanned, stateOf } from '../whole/site.ts';
import type { Learned } from '../site/paces.ts';
import { scheduleContract } from './contracts.ts';
import { readLog, type ReadLog } from './site-log.ts';

export type Options = ReadonlyMap<string, string>;
export type Read = (path: string) => string;

/** `replay FILE LOG.jsonl [--now MINUTES]`: what the log comes to at a moment, left out: that of its last entry. */
export function replayContract(job: Job, options: Options, read: Read): Result<unknown> {
  const opened = logFor(job, options.get('log') ?? '', read);
  if (!opened.ok) return opened;
  const { log, aside } = opened.value;
  const state = stateOf(job, log);
  const last = Math.max(
    0,
    ...[...state.tasks.values()].flatMap(({ sessions, done }) => [done ?? 0, ...sessions.map((s) => s.to ?? s.from)]),
  );
  const now = nowFor(options.get('now'), last);
  if (!now.ok) return now;
  return good({ ...replayed(job, state, now.value), aside: aside.map(({ reason }) => reason) });
}

function replayed(job: Job, state: SiteState, now: Minutes) {
  const name = (who: string): string => job.crew.people[personIn(job)(who)]?.name ?? who;
  const tasks = [...state.tasks.values()];
  const clocks = clocksNow(job, state, now);
  const lessons = lessonsOf(job, state);
  return {
    now,
    state: {
      running: tasks.flatMap((task) =>
        runningOf(task).map(({ who, since }) => ({ operation: task.operation, who: name(who), since })),
      ),
      done: tasks.flatMap(({ operation, done }) => (done === null ? [] : [{ operation, at: done }])),
      wet: wetAt(clocks, now),
      tape: clocks.filter(isTape).map(({ surface, kind, due, frees }) => ({
        surface,
        [kind === 'close' ? 'by' : 'from']: due,
        operations: frees,
      })),
      covered: state.covered.map((own) => ({ ...own, who: name(own.who) })),
      litres: [...potsNow(state.pots)].map(([paint, left]) => ({ paint, left })),
      odd: state.odd.map(({ entry, because }) => ({ entry: entry.id, because })),
    },
    clocks: clocks.map(({ kind, surface, operation, since, due, because, frees }) => ({
      kind,
      surface,
      operation,
      since,
      due,
      because,
      frees,
    })),
    actual: tasks.flatMap((task) =>
      task.done === null || !task.sessions.length ? [] : [{ operation: task.operation, minutes: minutesOf(task) }],
    ),
    paces: lessons.paces.map(({ person, kind, coat, ...learned }) => ({
      person: name(person),
      kind,
      coat,
      ...told(learned),
    })),
    spread: lessons.spreads.map(({ paint, texture, ...learned }) => ({ paint, texture, ...told(learned) })),
  };
}
/** Logarithms of rate over planned rate. */
const told = ({ m, strays, prior, own, mean, sd }: Learned) => ({ m, strays: strays.length, prior, own, mean, sd });
const minutesOf = ({ sessions }: TaskLog): Minutes =>
  sessions.reduce((sum, { from, to }) => sum + (to ?? from) - from, 0);
const runningOf = (task: TaskLog): { who: string; since: Minutes }[] =>
  onIt(task).map((who) => ({ who, since: task.sessions.find((own) => own.who === who && own.to === null)?.from ?? 0 }));
const isTape = ({ because }: SiteClock): boolean =>
  because === 'lag.pull-dry' ||
  because === 'lag.pull-tacky' ||
  because === 'lag.tape-after' ||
  because === 'lag.pulled';

/** `schedule FILE --log LOG.jsonl --now MINUTES`: a plan of the rest. */
export function rescheduleContract(job: Job, options: Options, read: Read): Result<unknown> {
  const opened = logFor(job, options.get('log') ?? '', read);
  if (!opened.ok) return opened;
  const now = nowFor(options.get('now'), null);
  if (!now.ok) return now;
  const plan = replanned(job, stateOf(job, opened.value.log), now.value);
  if (plan.problems.length)
    return { ok: false, problems: plan.problems.map((p) => ({ ...p, message: said(p.message, systemOf(job)) })) };
  const done = new Set(
    plan.placed.filter(({ task }) => !plan.network.tasks.some(({ id }) => id === task.id)).map(({ task }) => task.id),
  );
  return good({ ...scheduleContract(job, plan), now: now.value, done: [...done], running: plan.running });
}

/** The log of a job from a file. */
export function logFor(job: Job, path: string, read: Read): Result<ReadLog> {
  let text: string;
  try {
    text = read(path);
  } catch (error) {
    return bad(`${path} cannot be read: ${error instanceof Error ? error.message : String(error)}`);
  }
  return readLog(text, job);
}
function nowFor(text: string | undefined, otherwise: Minutes | null): Result<Minutes> {
  if (text === undefined && otherwise !== null) return good(otherwise);
  const now = Number(text);
  return text !== undefined && text.trim() !== '' && Number.isFinite(now) && now >= 0
    ? good(now)
    : bad(`--now is “${text ?? 'left out'}”; minutes from the job's first working hour are accepted, such as 95.`);
}
