import type { Id } from './table.ts';
import { MOST } from './limits.ts';

/**
 * What two copies of a job have in common is told by the copies that went from device to device: each has an id, and the ids of those whose
 * content is in it.
 */
export interface Ancestry {
  /** Both began from these: none of them is in another of them. */
  readonly bases: readonly Id[];
  /** One of them is no longer kept here, or the two have no common beginning that anybody knows. */
  readonly lost: 'gone' | 'unknown' | null;
}

/**
 * The last copies that are in both. @param here ids of the copies in the job that stands here. @param there the same of the one that came, its
 * own id with them. @param kept of the copies that are kept here: what is in each.
 */
export function ancestryOf(here: readonly Id[], there: readonly Id[], kept: ReadonlyMap<Id, readonly Id[]>): Ancestry {
  const known = new Set(here);
  const common = there.filter((id) => known.has(id));
  if (!common.length) return { bases: [], lost: 'unknown' };
  const within = new Set(common.flatMap((id) => kept.get(id) ?? []));
  const bases = common.filter((id) => !within.has(id));
  // of a copy that is not kept, nobody can say what was changed since
  return bases.every((id) => kept.has(id)) ? { bases, lost: null } : { bases: [], lost: 'gone' };
}

/** The copies in a job when another was taken into it. */
export const united = (here: readonly Id[], there: readonly Id[]): readonly Id[] =>
  [...here.filter((id) => !there.includes(id)), ...there].slice(-MOST.exchanges);
