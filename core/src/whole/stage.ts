import type { Job } from '../job/types.ts';
import { rows } from '../job/table.ts';
import { numberOf, remember, rememberLast } from '../units/remember.ts';

/** Of defects only what is done about them is worked out: a note to one plans nothing anew. */
const mended = remember((defects: Job['defects']): string =>
  JSON.stringify(
    rows(defects).flatMap(({ id, surface, size, coat, remedy, state }) =>
      remedy && state === 'open' ? [[id, surface, size, coat, remedy]] : [],
    ),
  ),
);

/** A member of the job as part of a key: small ones by what they say, tables by which object they are. */
const BY_CONTENT: ReadonlySet<keyof Job> = new Set([
  'practice',
  'crew',
  'learned',
  'settings',
  'pricing',
  'owned',
  'prices',
  'region',
  'reserved',
  'pins',
  'wanted',
]);

function part<K extends keyof Job>(member: K, value: Job[K]): string {
  if (typeof value !== 'object' || value === null) return String(value);
  if (member === 'defects') return mended(value as Job['defects']);
  return BY_CONTENT.has(member) ? JSON.stringify(value) : `#${numberOf(value)}`;
}

/** A key of what a derivation reads: the same members of the job, the same key. */
export const keyOf = <K extends keyof Job>(job: Pick<Job, K>, inputs: readonly K[]): string =>
  inputs.map((member) => part(member, job[member])).join(' ');

/** The members named and nothing else: what is sent to a worker. */
export const inputsOf = <K extends keyof Job>(job: Pick<Job, K>, inputs: readonly K[]): Pick<Job, K> =>
  Object.fromEntries(inputs.map((member) => [member, job[member]])) as Pick<Job, K>;

/** Documents whose stages are kept: the one that is saved, what is being typed, and what was undone. */
const KEPT = 4;

/**
 * A stage of the whole. It reads the members of the job that it names and no others (the type sees to that), so it is worked
 * out again only when one of those changed.
 */
export const stage = <K extends keyof Job, T>(inputs: readonly K[], make: (job: Pick<Job, K>) => T) =>
  rememberLast(KEPT, (job: Pick<Job, K>) => keyOf(job, inputs), make);
