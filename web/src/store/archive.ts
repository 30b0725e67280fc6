import type { ArchivedJob, ArchivedPhoto, ReadJob } from '@kovelin/core/exchange/archive.ts';
import { differencesOf, patchesFor, type Difference, type Side } from '@kovelin/core/job/differences.ts';
import { meet } from '@kovelin/core/site/log.ts';
import { bad, good, type Result } from '@kovelin/core/units/problem.ts';
import { commit } from './commit.ts';
import { newRow, stateOf, touchesOf, type Database, type JobRow, type PhotoRow } from './db.ts';
import { door } from './door.ts';
import { beginning, give, take } from './exchange.ts';
import { freshId } from './ids.ts';
import { logOf, takeOver } from './site-log.ts';

/** Jobs going out as a file, and coming back. */

/**
 * All jobs that are not deleted, or those named, with their logs; each as it is kept.
 * @param isGiven to another device: what both sides have in common from then on is noted.
 */
export async function archived(
  db: Database,
  isGiven: boolean,
  ids?: readonly string[],
  withPhotos = false,
): Promise<ArchivedJob[]> {
  const tables = [db.jobs, db.trash, db.log, db.aside, db.photos, db.bases, db.kept];
  return db.transaction(isGiven ? 'rw' : 'r', tables, async () => {
    const rows = ids ? (await db.jobs.bulkGet([...ids])).filter((row) => row !== undefined) : await db.jobs.toArray();
    const hidden = new Set((await db.trash.toArray()).map((row) => row.id));
    const jobs: ArchivedJob[] = [];
    for (const row of rows.filter(({ id }) => !hidden.has(id))) {
      const { log, aside } = await logOf(db, row.id);
      const exchange = isGiven && stateOf(row) === 'whole' ? await give(db, row.job) : null;
      const held = withPhotos ? new Set(await db.photos.where('job').equals(row.id).primaryKeys()) : new Set();
      const entries = [...log.values()];
      const spoken = new Set(entries.flatMap((entry) => (entry.kind === 'photo' ? [entry.value.photo] : [])));
      const photos = [...spoken].filter((id) => held.has(id)).length;
      jobs.push({ id: row.id, name: row.name, job: row.job, log: entries, aside, photos, exchange });
    }
    return jobs;
  });
}

/** Photos of jobs, one after the other: there may be more than fit into memory. */
export async function* photosOf(db: Database, jobs: readonly string[]): AsyncGenerator<ArchivedPhoto> {
  const ids = await db.photos.where('job').anyOf(jobs).primaryKeys();
  for (const id of ids) {
    const row = await db.photos.get(id);
    if (row) yield { id, job: row.job, bytes: new Uint8Array(await row.blob.arrayBuffer()) };
  }
}

/** What a job that came in is to those that are here. */
export interface Arrival {
  readonly came: ReadJob;
  /** null: there is none of this id. */
  readonly row: JobRow | null;
  /** The job that stands here cannot be worked with, so nothing can be compared with it. */
  readonly isUnfit: boolean;
  readonly differences: readonly Difference[];
  /** Why nobody can say who changed what; null: it can be said. */
  readonly lost: 'gone' | 'unknown' | 'own' | null;
  /** Entries of the log that are not here yet, and lines of it that are none. */
  readonly entries: number;
  readonly aside: number;
  readonly photos: number;
  /** It comes from a backup of this device, not from another: nobody else knows of it. */
  readonly isOwn: boolean;
}

/** The job that stands here; null: none, or it is deleted. */
async function standing(db: Database, id: string): Promise<JobRow | null> {
  const [row, trashed] = await Promise.all([db.jobs.get(id), db.trash.get(id)]);
  return row && !trashed ? row : null;
}

/** What a job of an archive would bring here: new, the same, or otherwise thing by thing; entries and photos not here yet. */
export async function arrivalOf(db: Database, came: ReadJob, isOwn = false): Promise<Arrival> {
  const { id } = came.job;
  const [row, here] = await Promise.all([standing(db, id), logOf(db, id)]);
  const isUnfit = row !== null && stateOf(row) !== 'whole';
  const photos = await db.photos.bulkGet(came.photos.map((photo) => photo.id));
  const { fresh } = meet(here.log, came.log);
  const texts = new Set(here.aside.map(({ text }) => text));
  const begun = row && !isUnfit && !isOwn ? await beginning(db, row.job, came.exchange) : null;
  return {
    came,
    row,
    isUnfit,
    differences: row && !isUnfit ? differencesOf(row.job, came.job, begun?.bases ?? []) : [],
    lost: isOwn ? 'own' : (begun?.lost ?? null),
    entries: fresh.length,
    aside: came.aside.filter(({ text }) => !texts.has(text)).length,
    photos: photos.filter((photo) => photo === undefined).length,
    isOwn,
  };
}

/**
 * Takes a job in as it was chosen: all of it or nothing. Its log is united with the one here, photos come with it; what was chosen of its
 * differences is an edit like any other, validated as one. Errors: a sentence where that cannot be, or where the job here is no longer the
 * one that was compared.
 */
export async function takeIn(
  db: Database,
  { came, row, isUnfit, differences, isOwn }: Arrival,
  choose: (difference: Difference) => Side,
): Promise<Result<{ readonly id: string; readonly entries: number }>> {
  // the rules come before the transaction, which ends when something else is waited for
  await door();
  const { id } = came.job;
  const photos = came.photos.map(({ bytes, ...photo }): PhotoRow => ({
    ...photo,
    blob: new Blob([bytes as Uint8Array<ArrayBuffer>], { type: 'image/jpeg' }),
  }));
  const tables = [db.jobs, db.touches, db.trash, db.log, db.aside, db.photos, db.bases, db.kept];
  return db
    .transaction('rw', tables, async () => {
      const now = await standing(db, id);
      if (now?.made !== row?.made || now?.rev !== row?.rev)
        throw new Refused('It was changed here since it was compared: what it says otherwise is shown anew.');
      if (!row) {
        await db.trash.delete(id);
        await touchesOf(db, id).delete();
        await db.jobs.put(newRow(came.job, freshId()));
      } else if (!isUnfit) await edit(db, row, patchesFor(row.job, came.job, differences, choose));
      const { entries } = await takeOver(db, id, { ...came, photos });
      if (!isOwn && !isUnfit) await take(db, came.exchange, came.job, row === null);
      return good({ id, entries });
    })
    .catch((error: unknown) => {
      if (error instanceof Refused) return bad(error.message);
      throw error;
    });
}
/** Takes back all that was written. */
class Refused extends Error {}

async function edit(db: Database, { id, made, rev }: JobRow, patches: ReturnType<typeof patchesFor>): Promise<void> {
  if (!patches.length) return;
  const change = { name: 'patch', args: { patches } } as const;
  const { refused } = await commit(db, { id, made, by: freshId() }, { key: freshId(), edit: change, since: rev });
  if (refused !== null) throw new Refused(refused);
}
