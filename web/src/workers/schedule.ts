import type { Job } from '@kovelin/core/job/types.ts';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { wrap, type Remote } from 'comlink';
import type { ScheduleApi } from './schedule.worker.ts';

interface Desk {
  readonly worker: Worker;
  readonly api: Remote<ScheduleApi>;
}

function start(): Desk {
  const worker = new Worker(new URL('./schedule.worker.ts', import.meta.url), { type: 'module' });
  return { worker, api: wrap<ScheduleApi>(worker) };
}

/** A worker that has answered waits here for the next question. */
let idle: Desk | null = null;

/** One question has a worker to itself: cancelling ends that worker and nobody else's. */
async function ask(job: Job, signal: AbortSignal) {
  const desk = idle ?? start();
  idle = null;
  const cancelled = new Promise<never>((_, reject) => {
    signal.addEventListener('abort', () => reject(new DOMException('cancelled', 'AbortError')));
  });
  try {
    const answer = await Promise.race([desk.api.schedule(job), cancelled]);
    if (idle) desk.worker.terminate();
    else idle = desk;
    return answer;
  } catch (error) {
    desk.worker.terminate();
    throw error;
  }
}

const numbers = new WeakMap<Job, number>();
let last = 0;
/** A number for each document this tab has seen: unsaved edits have no `rev` yet. */
function versionOf(job: Job): number {
  const known = numbers.get(job);
  if (known) return known;
  numbers.set(job, ++last);
  return last;
}

/** The job's schedule, worked out beside the page; the last answer stays until the next is there. */
export function useSchedule(job: Job) {
  return useQuery({
    queryKey: [job.id, versionOf(job), 'schedule'],
    queryFn: ({ signal }) => ask(job, signal),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    gcTime: 10_000,
    retry: false,
  });
}
