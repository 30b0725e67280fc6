import type { Job } from '@kovelin/core/job/types.ts';
import type { LogEntry } from '@kovelin/core/site/entry.ts';
import { dated } from '@kovelin/core/site/log.ts';
import { zeroOf } from '@kovelin/core/site/moments.ts';
import { WHOLE } from '@kovelin/core/whole/inputs.ts';
import { inputsOf, keyOf } from '@kovelin/core/whole/stage.ts';
import { useQuery } from '@tanstack/react-query';
import { AS_LONG_AS_ASKED, ask } from './whole.ts';

// apart from whole.ts, for a calendar of time zones is not part of every page
/** An answer that is never given up: it is short, and the warm worker is not ended for it. */
const NEVER = new AbortController().signal;

/** What Site shows, from the log as it stands; asked again when the log, the job or the minute changed. `now`: ms since 1970. */
export function useSite(job: Job, entries: readonly LogEntry[] | null, now: Milliseconds) {
  const key = keyOf(job, WHOLE);
  const log = entries ?? [];
  return useQuery({
    ...AS_LONG_AS_ASKED,
    enabled: entries !== null,
    // a log only grows
    queryKey: ['site', job.id, key, log.length, Math.floor(now / EVERY)],
    queryFn: () => ask((api) => api.site(key, inputsOf(job, WHOLE), log, minutesOn(job, log, now)), NEVER),
    placeholderData: (before, query) => (query?.queryKey[1] === job.id ? before : undefined),
  });
}
type Milliseconds = number;
/** Asked anew so often though nothing was noted. */
const EVERY = 60_000;
/**
 * Minutes of a job, at a moment; before it has a first day and a first entry, its first hour is now. A clock that was set back behind the
 * last entry is not followed: time stands still until it has caught up.
 */
export function minutesOn(job: Job, log: readonly LogEntry[], now: Milliseconds): number {
  const zero = zeroOf(job.crew, new Map(log.map((entry) => [entry.id, entry])));
  const ahead = lastAhead(log, now);
  const then = ahead && !ahead.isWrong ? Math.max(now, ahead.at) : now;
  return zero === null ? 0 : (then - zero) / 60_000;
}
/**
 * When the last entry of a log in order was, where that is later than the clock by more than clocks of two devices differ; null: it is not.
 * `isWrong`: by more than a day, so that the clock that wrote it cannot be followed.
 */
export function lastAhead(
  log: readonly LogEntry[],
  now: Milliseconds,
): { readonly at: Milliseconds; readonly isWrong: boolean } | null {
  const last = dated(log).at(-1);
  const at = last ? Date.parse(last.at) : now;
  return at > now + DIFFER ? { at, isWrong: at > now + DAY } : null;
}
const DIFFER: Milliseconds = 120_000;
const DAY: Milliseconds = 86_400_000;

/** What a new plan of the rest would change; asked when somebody wants to know. */
export function useChange(job: Job, entries: readonly LogEntry[] | null, now: Milliseconds, round: number) {
  const key = keyOf(job, WHOLE);
  const log = entries ?? [];
  return useQuery({
    ...AS_LONG_AS_ASKED,
    enabled: round > 0 && entries !== null,
    queryKey: ['change', job.id, key, log.length, round],
    queryFn: () => ask((api) => api.change(key, inputsOf(job, WHOLE), log, minutesOn(job, log, now)), NEVER),
  });
}
