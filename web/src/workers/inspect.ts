import type { Job } from '@kovelin/core/job/types.ts';
import type { LogEntry } from '@kovelin/core/site/entry.ts';
import { WHOLE } from '@kovelin/core/whole/inputs.ts';
import { inputsOf, keyOf } from '@kovelin/core/whole/stage.ts';
import { numberOf } from '@kovelin/core/units/remember.ts';
import { useQuery } from '@tanstack/react-query';
import { AS_LONG_AS_ASKED, ask } from './whole.ts';

const NEVER = new AbortController().signal;

/** Looks of a day, and what is thought of each defect; asked again when the job, its log or the day changed. */
export function useInspect(job: Job, entries: readonly LogEntry[] | null, date: string) {
  const key = keyOf(job, WHOLE);
  const { place, defects } = job;
  const log = entries ?? [];
  return useQuery({
    ...AS_LONG_AS_ASKED,
    enabled: entries !== null,
    queryKey: ['inspect', job.id, key, numberOf(defects), JSON.stringify(place), log.length, date],
    queryFn: () => ask((api) => api.inspect(key, inputsOf(job, WHOLE), { place, defects }, log, date), NEVER),
    placeholderData: (before, query) => (query?.queryKey[1] === job.id ? before : undefined),
  });
}
