import { startWorker } from './start.ts';
import type { Job } from '@kovelin/core/job/types.ts';
import { SPECIFIED, WHOLE } from '@kovelin/core/whole/inputs.ts';
import { inputsOf, keyOf } from '@kovelin/core/whole/stage.ts';
import type { SessionState } from '../store/session.ts';
import { useQuery } from '@tanstack/react-query';
import { proxy } from 'comlink';
import { askers } from './ask.ts';
import type { SearchProgress, WholeApi } from './whole.worker.ts';

export const ask = askers<WholeApi>(() => startWorker('whole'));

/** An answer stands as long as what it was made of; of one that nobody looks at, only the last few are kept. */
export const AS_LONG_AS_ASKED = { staleTime: Infinity, gcTime: 30_000, retry: false } as const;

/** Edits this close together, ms, are waited out: a worker that the next edit ends has worked for nothing. */
const CLOSE = 1000;
const MOMENT = 150;
let asked = -Infinity;
async function settling(signal: AbortSignal): Promise<void> {
  const isClose = performance.now() - asked < CLOSE;
  asked = performance.now();
  if (!isClose) return;
  await new Promise<void>((resolve, reject) => {
    const wait = setTimeout(resolve, MOMENT);
    signal.addEventListener('abort', () => {
      clearTimeout(wait);
      reject(signal.reason as Error);
    });
  });
}

/** A worker of its own: were it the plan's, the next plan would find it busy, or ended, and begin in a cold one. */
const askAside = askers<WholeApi>(() => startWorker('whole'));
/** Asked when nothing has changed for so long, ms. */
const QUIET = 700;
const quiet = (signal: AbortSignal): Promise<void> =>
  new Promise((resolve, reject) => {
    const wait = setTimeout(resolve, QUIET);
    signal.addEventListener('abort', () => {
      clearTimeout(wait);
      reject(signal.reason as Error);
    });
  });

/** What nobody answered, found when the plan is there: it may wait, the plan may not. */
export function useAssumed(job: Job) {
  const key = keyOf(job, SPECIFIED);
  const { data } = usePlan(job);
  return useQuery({
    ...AS_LONG_AS_ASKED,
    enabled: data !== undefined,
    queryKey: ['assumed', job.id, key],
    queryFn: async ({ signal }) => {
      await quiet(signal);
      // the worker that made the plan knows nearly all of it
      return ask((api) => api.assumed(keyOf(job, WHOLE), inputsOf(job, WHOLE)), signal);
    },
    placeholderData: (before, query) => (query?.queryKey[1] === job.id ? before : undefined),
  });
}

/** The base plan and what the order by it comes to, worked out beside the page from what they read of the job and nothing else. */
export function usePlan(job: Job) {
  const key = keyOf(job, WHOLE);
  return useQuery({
    ...AS_LONG_AS_ASKED,
    // what cost so much in one currency says nothing of another
    queryKey: ['plan', job.id, job.currency, key],
    queryFn: async ({ signal }) => {
      await settling(signal);
      return ask((api) => api.plan(key, inputsOf(job, WHOLE)), signal);
    },
    // the answer before stays until the next is there
    placeholderData: (before, query) =>
      query?.queryKey[1] === job.id && query.queryKey[2] === job.currency ? before : undefined,
  });
}

/** Whether what follows from the plan is of before: something it reads has changed since, if only in a field. */
export function useIsOld({ job, shown }: Pick<SessionState, 'job' | 'shown'>): boolean {
  const { data, isPlaceholderData } = usePlan(job);
  return data !== undefined && (isPlaceholderData || keyOf(shown, WHOLE) !== keyOf(job, WHOLE));
}

/** How the plan does when minutes and drying vary; asked when the plan is there. */
export function useReplays(job: Job) {
  const key = keyOf(job, WHOLE);
  const { data } = usePlan(job);
  return useQuery({
    ...AS_LONG_AS_ASKED,
    enabled: (data?.schedule.tasks.length ?? 0) > 0,
    queryKey: ['replays', job.id, key],
    queryFn: async ({ signal }) => {
      await quiet(signal);
      // the worker that made the plan still knows it
      return ask((api) => api.replays(key, inputsOf(job, WHOLE)), signal);
    },
    placeholderData: (before, query) => (query?.queryKey[1] === job.id ? before : undefined),
  });
}

/** When the job would end without its pins. */
export function useUnpinned(job: Job) {
  const key = keyOf(job, WHOLE);
  return useQuery({
    ...AS_LONG_AS_ASKED,
    enabled: Object.keys(job.pins).length > 0,
    queryKey: ['unpinned', job.id, key],
    queryFn: ({ signal }) => askAside((api) => api.unpinned(key, inputsOf(job, WHOLE)), signal),
  });
}

/** The least overtime by which the job ends a day sooner. */
export function useOvertime(job: Job) {
  const key = keyOf(job, WHOLE);
  const { data } = usePlan(job);
  return useQuery({
    ...AS_LONG_AS_ASKED,
    enabled: (data?.schedule.tasks.length ?? 0) > 0,
    queryKey: ['overtime', job.id, key],
    queryFn: async ({ signal }) => {
      await quiet(signal);
      return askAside((api) => api.overtime(key, inputsOf(job, WHOLE)), signal);
    },
  });
}

/** A plan sought beyond the base plan; `round`: which time it is asked for, 0 not yet. */
export function useSearchOn(job: Job, round: number, told: (progress: SearchProgress) => void) {
  const key = keyOf(job, WHOLE);
  return useQuery({
    ...AS_LONG_AS_ASKED,
    enabled: round > 0,
    queryKey: ['better', job.id, key, round],
    queryFn: ({ signal }) => ask((api) => api.searchOn(key, inputsOf(job, WHOLE), round + 1, proxy(told)), signal),
  });
}
