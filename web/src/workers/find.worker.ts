import { Finder, type Findable, type Found } from '@kovelin/core/record/find.ts';
import { findablesOf } from '@kovelin/core/whole/record.ts';
import type { LogEntry } from '@kovelin/core/site/entry.ts';
import { groupBy } from '@kovelin/core/units/group.ts';
import { db, stateOf, type JobRow } from '../store/db.ts';

/** What of every job can be looked for, and of which state of it. */
const known = new Map<string, { readonly rev: number; readonly noted: number; readonly all: readonly Findable[] }>();
let finder: { readonly of: string; readonly finder: Finder } | null = null;

export interface FindAnswer {
  readonly found: readonly Found[];
  readonly jobs: number;
  /** Jobs that cannot be read here. */
  readonly left: readonly string[];
}

/** Jobs that are not in the bin. */
async function jobsNow(): Promise<JobRow[]> {
  const [rows, trash] = await Promise.all([db.jobs.toArray(), db.trash.toCollection().primaryKeys()]);
  const gone = new Set(trash);
  return rows.filter(({ id }) => !gone.has(id));
}

export const api = {
  /** What fits the words over all jobs as they stand now; a job is gone through again when it or its log changed. */
  async find(query: string, kinds: readonly Findable['kind'][], most: number): Promise<FindAnswer> {
    const rows = await jobsNow();
    const logs = groupBy(await db.log.toArray(), ({ job }) => job);
    const left: string[] = [];
    const state: string[] = [];
    for (const row of rows) {
      if (stateOf(row) !== 'whole') {
        left.push(row.name);
        continue;
      }
      const entries = (logs.get(row.id) ?? []).map(({ job: _, ...entry }) => entry as LogEntry);
      const before = known.get(row.id);
      state.push(`${row.id} ${row.rev} ${entries.length}`);
      if (before?.rev === row.rev && before.noted === entries.length) continue;
      known.set(row.id, { rev: row.rev, noted: entries.length, all: findablesOf(row.job, entries) });
    }
    const there = new Set(rows.map(({ id }) => id));
    for (const id of known.keys()) if (!there.has(id)) known.delete(id);
    const of = state.join('|');
    if (finder?.of !== of) finder = { of, finder: new Finder([...known.values()].flatMap(({ all }) => all)) };
    const found = finder.finder.find(query, Infinity).filter(({ of: one }) => kinds.includes(one.kind));
    return { found: found.slice(0, most), jobs: rows.length, left };
  },
};
export type FindApi = typeof api;
