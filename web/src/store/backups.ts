import { pack } from '../workers/archive.ts';
import type { BackupRow, Database } from './db.ts';
import { freshId } from './ids.ts';
import { keepCopy } from './safe-copy.ts';
import { whyNot } from './why.ts';

type Milliseconds = number;
const HOUR: Milliseconds = 3_600_000;
const DAY = 24 * HOUR;

/** So many of the last are kept, then one a day, then one a week. */
const KEPT = { last: 3, days: 7, weeks: 4 } as const;

/** When the last was made, and of what. */
interface Made {
  readonly at: Milliseconds;
  readonly state: string;
}
/** Is a new one due: something is otherwise than when the last was made, and that is an hour ago (or ahead: the clock was wrong)? */
export const isDue = (last: Made | null, state: string | null, now: Milliseconds): boolean =>
  state !== null && (last === null || (state !== last.state && Math.abs(now - last.at) >= HOUR));

/**
 * Which of the backups stay: the last ones, the last of each of some days, the last of each of some weeks. Those that a wrong clock dated
 * ahead give way to all others.
 */
export function staying<T extends Pick<BackupRow, 'at'>>(backups: readonly T[], now: Milliseconds): T[] {
  const isAhead = ({ at }: T): boolean => at > now + DAY;
  const newest = [...backups].sort((a, b) => Number(isAhead(a)) - Number(isAhead(b)) || b.at - a.at);
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

/** What is here, so far as it tells one state from another; null: there is nothing. */
async function stateOf(db: Database): Promise<string | null> {
  const saved = (await db.jobs.orderBy('updated').keys()) as number[];
  const entries = [await db.log.count(), await db.aside.count()];
  return saved.length ? [saved.length, saved.at(-1), saved.reduce((a, b) => a + b, 0), ...entries].join(' ') : null;
}
/** Where it is kept what the last backup was made of, and the last copy outside the database. */
const MADE = 'backed-up';
const COPIED = 'copied';

/**
 * Keeps all jobs and logs as they are now, and lets go of backups that are older than what is kept. It is read back at once.
 * @returns what is wrong with it, a sentence each.
 */
export async function backUp(db: Database, why: BackupRow['why']): Promise<readonly string[]> {
  const state = await stateOf(db);
  const { file, jobs, faults } = await pack('kept', undefined, false);
  const at = Date.now();
  const row: BackupRow = { id: freshId(), at, why, jobs, file, faults };
  await db.transaction('rw', db.backups, db.kept, async () => {
    const before = await db.backups.toArray();
    const stay = new Set(staying([...before, row], at).map(({ id }) => id));
    await db.backups.bulkDelete(before.map(({ id }) => id).filter((id) => !stay.has(id)));
    await db.backups.put(row);
    await db.kept.put({ key: MADE, value: { at, state } });
  });
  const unread = faults.map((fault) => `The backup cannot be read back whole: ${fault}`);
  return [...unread, ...(await copied(db, file, state))];
}
/** A backup is one though its copy outside the database cannot be. @returns why it cannot, as a sentence; empty: it is there. */
async function copied(db: Database, file: Blob, state: string | null): Promise<readonly string[]> {
  try {
    await keepCopy(db, file);
  } catch (error) {
    return [`No copy was made outside the database: ${whyNot(error)}`];
  }
  await db.kept.put({ key: COPIED, value: state });
  return [];
}

/** Makes a backup where one is due, and a copy outside the database where anything changed. @returns what is wrong with them. */
export async function backUpWhereDue(db: Database): Promise<readonly string[]> {
  const made = await db.kept.get(MADE);
  const state = await stateOf(db);
  if (isDue((made?.value as Made | undefined) ?? null, state, Date.now())) return backUp(db, 'rolling');
  const last = await db.kept.get(COPIED);
  if (state === null || last?.value === state) return [];
  return copied(db, (await pack('kept', undefined, false)).file, state);
}
