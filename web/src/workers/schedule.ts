import type { Job } from '@kovelin/core/job/types.ts';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { askers } from './ask.ts';
import type { ScheduleApi } from './schedule.worker.ts';

const ask = askers<ScheduleApi>(() => new Worker(new URL('./schedule.worker.ts', import.meta.url), { type: 'module' }));

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
    queryFn: ({ signal }) => ask((api) => api.schedule(job), signal),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    gcTime: 10_000,
    retry: false,
  });
}
