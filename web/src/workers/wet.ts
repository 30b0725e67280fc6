import type { Job } from '@kovelin/core/job/types.ts';
import { WHOLE } from '@kovelin/core/whole/inputs.ts';
import { inputsOf, keyOf } from '@kovelin/core/whole/stage.ts';
import type { WetWish } from '@kovelin/core/whole/wet.ts';
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { askers } from './ask.ts';
import { startWorker } from './start.ts';
import type { WetApi } from './wet.worker.ts';

const ask = askers<WetApi>(() => startWorker('wet'));
const KEPT = { staleTime: Infinity, gcTime: 30_000, retry: false, placeholderData: keepPreviousData } as const;

/** Of each edge, the share of runs in which somebody sees a mark on it; the last ones stay while others are worked out. */
export function useSeen(job: Job, surface: string, wish: WetWish) {
  const key = keyOf(job, WHOLE);
  return useQuery({
    ...KEPT,
    queryKey: ['wet', job.id, key, surface, wish],
    queryFn: ({ signal }) => ask((api) => api.seen(key, inputsOf(job, WHOLE), surface, wish), signal),
  });
}

/** What else might be done, what saves most first. */
export function useRemedies(job: Job, surface: string, wish: WetWish) {
  const key = keyOf(job, WHOLE);
  return useQuery({
    ...KEPT,
    queryKey: ['remedies', job.id, key, surface, wish],
    queryFn: ({ signal }) => ask((api) => api.remedies(key, inputsOf(job, WHOLE), surface, wish), signal),
  });
}
