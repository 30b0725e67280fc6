import type { Job } from '@kovelin/core/job/types.ts';
import { WHOLE } from '@kovelin/core/whole/inputs.ts';
import { inputsOf, keyOf } from '@kovelin/core/whole/stage.ts';
import type { WetWish } from '@kovelin/core/whole/wet.ts';
import { experimental_streamedQuery as streamedQuery, keepPreviousData, useQuery } from '@tanstack/react-query';
import { askers, inTurn } from './ask.ts';
import { startWorker } from './start.ts';
import type { WetApi } from './wet.worker.ts';

const ask = askers<WetApi>(() => startWorker('wet'));
const READ = [...WHOLE, 'air'] as const;
const KEPT = { staleTime: Infinity, gcTime: 30_000, retry: false } as const;

/** Chances of a wall by its runs; the last ones stay while others are worked out. */
export function useChances(job: Job, surface: string, wish: WetWish) {
  const key = keyOf(job, READ);
  return useQuery({
    ...KEPT,
    queryKey: ['wet', job.id, key, surface, wish],
    queryFn: ({ signal }) => ask((api) => api.chances(key, inputsOf(job, READ), surface, wish), signal),
    placeholderData: keepPreviousData,
  });
}

/** What would help, one after the other as each is run; a place is null where a remedy does not apply. */
export function useRemedies(job: Job, surface: string, wish: WetWish, count: number) {
  const key = keyOf(job, READ);
  return useQuery({
    ...KEPT,
    queryKey: ['remedies', job.id, key, surface, wish],
    queryFn: streamedQuery({
      streamFn: ({ signal }) =>
        inTurn([...Array(count).keys()], (n) =>
          ask((api) => api.remedy(key, inputsOf(job, READ), surface, wish, n), signal),
        ),
    }),
    enabled: count > 0,
  });
}
