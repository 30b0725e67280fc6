import type { LogEntry, SaidEntry } from '@kovelin/core/site/entry.ts';
import { meet, parsed, readEntries, stamped, type Aside, type Log } from '@kovelin/core/site/log.ts';
import { readEntry } from '@kovelin/core/site/schema.ts';
import { sentence } from '@kovelin/core/units/problem.ts';
import { logRows, type Database, type LogRow, type PhotoRow } from './db.ts';
import { freshId } from './ids.ts';

const DEVICE = 'device';

/** What this browser signs its entries with: given once, kept with the jobs. */
export async function deviceOf(db: Database): Promise<string> {
  return db.transaction('rw', db.kept, async () => {
    const known = await db.kept.get(DEVICE);
    return known ? String(known.value) : renamed(db);
  });
}
/** Another one, where somebody else signs with it too. */
async function renamed(db: Database): Promise<string> {
  const value = freshId();
  await db.kept.put({ key: DEVICE, value });
  return value;
}

const entryOf = ({ job: _, ...entry }: LogRow): LogEntry => entry as LogEntry;

/** A log as it is kept. What was set aside by an earlier Kovelin is an entry where this one understands it. */
export interface KeptLog {
  readonly log: Log;
  readonly aside: readonly Aside[];
}
/** The log of a job, as it stands. */
export async function logOf(db: Database, job: string): Promise<KeptLog> {
  const [rows, lines] = await Promise.all([logRows(db, job).toArray(), db.aside.where('job').equals(job).toArray()]);
  const asides = lines.map(({ text }) => ({ value: parsed(text), text }));
  const elsewhere = await ofOthers(db, job, [...readEntries(asides).log.keys()]);
  return readEntries([...rows.map((row) => ({ value: entryOf(row) })), ...asides], elsewhere);
}
/** Those of the ids that are entries of another job. */
async function ofOthers(db: Database, job: string, ids: string[]): Promise<ReadonlySet<string>> {
  const rows = await db.log.bulkGet(ids);
  return new Set(rows.flatMap((row) => (row && row.job !== job ? [row.id] : [])));
}

/** What was said at a moment (ms since 1970), with the photos it speaks of. */
export interface Noted {
  readonly said: readonly SaidEntry[];
  readonly at: number;
  readonly photos?: readonly PhotoRow[];
}
/**
 * Writes what was said behind the last entry of this device, in one strict transaction: when it answers, it is on the disk. Another tab that
 * writes at the same moment comes before or after, never in its place. Errors: an entry that is none; what the database says when it cannot
 * write.
 */
export async function append(db: Database, job: string, device: string, noted: readonly Noted[]): Promise<LogEntry[]> {
  return db.transaction('rw', db.log, db.photos, async () => {
    await db.photos.bulkAdd(noted.flatMap(({ photos = [] }) => photos));
    let last = await db.log.where('[job+device+seq]').between([job, device, 0], [job, device, Infinity]).last();
    const written: LogEntry[] = [];
    for (const { said, at } of noted)
      for (const one of said) {
        // named by chance: a copied profile signs as this one does, and counts on from the same number
        const entry = readEntry(stamped(one, device, last ?? null, at, freshId()));
        if (!entry.ok) throw new Error(entry.problems.map(sentence).join(' '));
        written.push(entry.value);
        last = { ...entry.value, job };
      }
    await db.log.bulkAdd(written.map((entry) => ({ ...entry, job })));
    return written;
  });
}

/** What came from elsewhere: a file's, another device's, a backup's. */
export interface Came {
  readonly log: Iterable<LogEntry>;
  readonly aside: readonly Pick<Aside, 'text'>[];
  readonly photos?: readonly PhotoRow[];
}
/**
 * Entries of other devices, their photos, and what of them is not understood, taken over together. Nothing that is here changes: an entry
 * named like another is set aside, and a photo that is here stays. @returns how many entries were new, and how many lines were set aside.
 */
export async function takeOver(
  db: Database,
  job: string,
  { log, aside, photos = [] }: Came,
): Promise<{ readonly entries: number; readonly aside: number }> {
  const came = [...log];
  return db.transaction('rw', [db.log, db.aside, db.photos, db.kept], async () => {
    const here = await logOf(db, job);
    const elsewhere = await ofOthers(
      db,
      job,
      came.map(({ id }) => id),
    );
    const met = meet(here.log, came, elsewhere);
    await db.log.bulkAdd(met.fresh.map((entry) => ({ ...entry, job })));
    const known = new Set((await db.aside.where('job').equals(job).toArray()).map(({ text }) => text));
    const lines = [...new Set([...aside, ...met.aside].map(({ text }) => text))].filter((text) => !known.has(text));
    await db.aside.bulkAdd(lines.map((text) => ({ job, text })));
    const there = await db.photos.bulkGet(photos.map(({ id }) => id));
    await db.photos.bulkAdd(photos.filter((_, i) => !there[i]));
    // whoever wrote them signs as this browser does: it was copied from this one, or this one from it
    const own = await db.kept.get(DEVICE);
    if (own && met.fresh.some(({ device }) => device === own.value)) await renamed(db);
    return { entries: met.fresh.length, aside: lines.length };
  });
}
