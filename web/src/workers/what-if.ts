import { rows } from '@kovelin/core/job/table.ts';
import type { Job } from '@kovelin/core/job/types.ts';
import { WHOLE } from '@kovelin/core/whole/inputs.ts';
import { SCHOOLS } from '@kovelin/core/whole/schools.ts';
import { inputsOf, keyOf } from '@kovelin/core/whole/stage.ts';
import { experimental_streamedQuery as streamedQuery, useQuery } from '@tanstack/react-query';
import { inTurn } from './ask.ts';
import { AS_LONG_AS_ASKED, ask } from './whole.ts';

/** A question for each of a list, one after the other; the answers come as they are ready. */
function useEach<A, T>(
  what: string,
  job: Job,
  list: readonly A[],
  question: (item: A, key: string, signal: AbortSignal) => Promise<T>,
) {
  const key = keyOf(job, WHOLE);
  return useQuery({
    ...AS_LONG_AS_ASKED,
    queryKey: [what, job.id, key],
    queryFn: streamedQuery({
      streamFn: ({ signal }) => inTurn(list, (item) => question(item, key, signal)),
    }),
    enabled: list.length > 0,
  });
}

/** The price of every school on this job; each is planned anew. */
export const useSchoolPrices = (job: Job) =>
  useEach('schools', job, [...SCHOOLS.keys()], (index, key, signal) =>
    ask((api) => api.school(key, inputsOf(job, WHOLE), index), signal),
  );

export const useOptionPrices = (job: Job) =>
  useEach('options', job, rows(job.options), (option, key, signal) =>
    ask((api) => api.option(key, inputsOf(job, WHOLE), option), signal),
  );

/** What else a paint's surfaces could be painted with, worked out to the end. */
export function useAlternatives(job: Job, paint: string) {
  const key = keyOf(job, WHOLE);
  return useQuery({
    ...AS_LONG_AS_ASKED,
    queryKey: ['alternatives', job.id, key, paint],
    queryFn: ({ signal }) => ask((api) => api.alternatives(key, inputsOf(job, WHOLE), paint), signal),
    placeholderData: (before, query) => (query?.queryKey[1] === job.id ? before : undefined),
  });
}
