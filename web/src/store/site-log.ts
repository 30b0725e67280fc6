import type { LogEntry, SaidEntry } from '@kovelin/core/site/entry.ts';
import { contentOf, stamped, type Log, union } from '@kovelin/core/site/log.ts';
import { bad, good, type Result } from '@kovelin/core/units/problem.ts';
import type { Database, LogRow, PhotoRow } from './db.ts';
import { freshId } from './ids.ts';

/** Behind every device, in the order of keys. */
const LAST = '\uffff';
const DEVICE = 'device';
/** What this browser signs its entries with: given once, kept with the jobs. */
export async function deviceOf(db: Database): Promise<string> {
  return db.transaction('rw', db.kept, async () => {
    const known = await db.kept.get(DEVICE);
    if (known) return String(known.value);
    const value = freshId();
    await db.kept.put({ key: DEVICE, value });
    return value;
  });
}

const entryOf = ({ job: _, ...entry }: LogRow): LogEntry => entry as LogEntry;

export const logRows = (db: Database, job: string) =>
  db.log.where('[job+device+seq]').between([job, '', 0], [job, LAST, Infinity]);
/** The log of a job, as it stands. */
export async function logOf(db: Database, job: string): Promise<LogEntry[]> {
  const rows = await logRows(db, job).toArray();
  return rows.map(entryOf);
}

/**
 * Writes what is said behind the last entry of this device, with the photos it speaks of, in one strict transaction: when it answers, it
 * is on the disk. Another tab that writes at the same moment comes before or after, never in its place. Errors: what the database says when it cannot write.
 */
export async function append(
  db: Database,
  job: string,
  device: string,
  said: readonly SaidEntry[],
  now: number,
  photos: readonly PhotoRow[] = [],
): Promise<LogEntry[]> {
  return db.transaction('rw', db.log, db.photos, async () => {
    await db.photos.bulkAdd(photos);
    let last = await db.log.where('[job+device+seq]').between([job, device, 0], [job, device, Infinity]).last();
    const written: LogEntry[] = [];
    for (const one of said) {
      const entry = stamped(one, device, last ?? null, now, `${device}-${job}`.slice(0, 70));
      last = { ...entry, job };
      await db.log.add(last);
      written.push(entry);
    }
    return written;
  });
}

/** Entries of other devices and their photos, taken over all together or not at all. @returns how many entries were new. */
export async function takeOver(
  db: Database,
  job: string,
  entries: readonly LogEntry[],
  photos: readonly PhotoRow[] = [],
): Promise<Result<number>> {
  return db.transaction('rw', db.log, db.photos, async () => {
    const here = await logOf(db, job);
    const log: Log = new Map(here.map((entry) => [entry.id, entry]));
    const elsewhere = await db.log.bulkGet(entries.map(({ id }) => id));
    const clash = elsewhere.find(
      (row, i) => row !== undefined && (row.job !== job || contentOf(entryOf(row)) !== contentOf(entries[i])),
    );
    if (clash && clash.job !== job)
      return bad(`Entry ${clash.id} stands in the log of another job. Nothing was taken over.`);
    const all = union(log, entries);
    if (!all.ok) return all;
    const fresh = [...all.value.values()].filter(({ id }) => !log.has(id));
    await db.log.bulkAdd(fresh.map((entry) => ({ ...entry, job })));
    await db.photos.bulkPut(photos);
    return good(fresh.length);
  });
}
