import { pack } from '../workers/archive.ts';
import type { BackupRow, Database } from './db.ts';
import { freshId } from './ids.ts';

type Milliseconds = number;
const HOUR: Milliseconds = 3_600_000;
const DAY = 24 * HOUR;

/** So many of the last are kept, then one a day, then one a week. */
const KEPT = { last: 3, days: 7, weeks: 4 } as const;

/** Is a new one due: something was changed since the last, and that is an hour old? */
export const isDue = (last: Milliseconds | null, changed: Milliseconds | null, now: Milliseconds): boolean =>
  changed !== null && (last === null || (changed > last && now - last >= HOUR));

/** Which of the backups stay: the last ones, the last of each of some days, the last of each of some weeks. */
export function staying<T extends Pick<BackupRow, 'at'>>(backups: readonly T[]): T[] {
  const newest = [...backups].sort((a, b) => b.at - a.at);
  const lastOf = (length: Milliseconds, most: number): T[] => {
    const seen = new Map<number, T>();
    for (const backup of newest) {
      const span = Math.floor(backup.at / length);
      if (!seen.has(span)) seen.set(span, backup);
    }
    return [...seen.values()].slice(0, most);
  };
  const stay = new Set([...newest.slice(0, KEPT.last), ...lastOf(DAY, KEPT.days), ...lastOf(7 * DAY, KEPT.weeks)]);
  return newest.filter((backup) => stay.has(backup));
}

/** When a job or a log was changed last; null: there is nothing. */
async function lastChange(db: Database): Promise<Milliseconds | null> {
  const job = await db.jobs.orderBy('updated').last();
  const entries = await db.log.count();
  const counted = await db.kept.get(COUNTED);
  // an append-only log changed where it is longer
  const grew = entries > Number(counted?.value ?? 0);
  return job ? (grew ? Date.now() : job.updated) : null;
}
/** Entries of all logs when the last backup was made. */
const COUNTED = 'backed-up-entries';

/** Keeps all jobs and logs as they are now, and lets go of backups that are older than what is kept. */
export async function backUp(db: Database, why: BackupRow['why']): Promise<void> {
  const entries = await db.log.count();
  const { file, jobs } = await pack(undefined, false);
  const row: BackupRow = {
    id: freshId(),
    at: Date.now(),
    why,
    jobs: jobs.map(({ id, name }) => ({ id, name })),
    file,
  };
  await db.transaction('rw', db.backups, db.kept, async () => {
    const before = await db.backups.toArray();
    const stay = new Set(staying([...before, row]).map(({ id }) => id));
    await db.backups.bulkDelete(before.map(({ id }) => id).filter((id) => !stay.has(id)));
    await db.backups.put(row);
    await db.kept.put({ key: COUNTED, value: entries });
  });
}

/** Makes a backup where one is due. */
export async function backUpWhereDue(db: Database): Promise<void> {
  const last = await db.backups.orderBy('at').last();
  if (isDue(last?.at ?? null, await lastChange(db), Date.now())) await backUp(db, 'rolling');
}
