import { applyEdit } from '@kovelin/core/job/edits.ts';
import { rows } from '@kovelin/core/job/table.ts';
import type { Job } from '@kovelin/core/job/types.ts';
import { WHOLE } from '@kovelin/core/whole/inputs.ts';
import { SCHOOLS } from '@kovelin/core/whole/schools.ts';
import { variantEdits, type Variant } from '@kovelin/core/whole/variants.ts';
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

/** What other ways of doing the job come to, one after the other; what a variant makes of the job is worked out here. */
export function useVariants(job: Job, variants: readonly Variant[]) {
  const jobs = variants.map((variant) => changed(job, variant));
  return useQuery({
    ...AS_LONG_AS_ASKED,
    queryKey: ['variants', job.id, keyOf(job, WHOLE), JSON.stringify(variants)],
    queryFn: streamedQuery({
      streamFn: ({ signal }) =>
        inTurn(jobs, (other) => ask((api) => api.variant(keyOf(other, WHOLE), inputsOf(other, WHOLE)), signal)),
    }),
  });
}
const changed = (job: Job, variant: Variant): Job =>
  variantEdits(job, variant).reduce((now, edit) => {
    const done = applyEdit(now, edit);
    return done.ok ? done.value.job : now;
  }, job);
