import type { ArchivedJob, ArchivedPhoto, ReadJob } from '@kovelin/core/exchange/archive.ts';
import { differencesOf, patchesFor, type Difference, type Side } from '@kovelin/core/job/differences.ts';
import type { Job } from '@kovelin/core/job/types.ts';
import { bad, good, type Result } from '@kovelin/core/units/problem.ts';
import { commit } from './commit.ts';
import { newRow, stateOf, touchesOf, type Database, type JobRow, type PhotoRow } from './db.ts';
import { door } from './door.ts';
import { freshId } from './ids.ts';
import { handedKey } from './kept.ts';
import { logOf, takeOver } from './site-log.ts';

/** Jobs going out as a file, and coming back. */

/** All jobs that are not deleted, or those named, with their logs; each as it is kept. */
export async function archived(db: Database, ids?: readonly string[]): Promise<ArchivedJob[]> {
  return db.transaction('r', db.jobs, db.trash, db.log, async () => {
    const rows = ids ? (await db.jobs.bulkGet([...ids])).filter((row) => row !== undefined) : await db.jobs.toArray();
    const hidden = new Set((await db.trash.toArray()).map((row) => row.id));
    const there = rows.filter((row) => !hidden.has(row.id));
    return Promise.all(there.map(async ({ id, name, job }) => ({ id, name, job, log: await logOf(db, id) })));
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
  /** The job that stands here cannot be worked with, so nothing can be held against it. */
  readonly isUnfit: boolean;
  readonly differences: readonly Difference[];
  /** Entries of the log that are not here yet. */
  readonly entries: number;
  readonly photos: number;
  /** It comes from a backup of this device, not from another: nobody else knows of it. */
  readonly isOwn: boolean;
}

/** What a job of an archive would bring here: new, the same, or otherwise thing by thing; entries and photos not here yet. */
export async function arrivalOf(db: Database, came: ReadJob, isOwn = false): Promise<Arrival> {
  const { id } = came.job;
  const [row, trashed, log, handed] = await Promise.all([
    db.jobs.get(id),
    db.trash.get(id),
    logOf(db, id),
    db.kept.get(handedKey(id)),
  ]);
  const here = row && !trashed ? row : null;
  const isUnfit = here !== null && stateOf(here) !== 'whole';
  const photos = await db.photos.bulkGet(came.photos.map((photo) => photo.id));
  const known = new Set(log.map((entry) => entry.id));
  // what both began from helps only where it is of this version
  const base = isOwn ? undefined : (handed?.value as Job | undefined);
  return {
    came,
    row: here,
    isUnfit,
    differences:
      here && !isUnfit ? differencesOf(here.job, came.job, base?.version === here.job.version ? base : null) : [],
    entries: came.log.filter((entry) => !known.has(entry.id)).length,
    photos: photos.filter((photo) => photo === undefined).length,
    isOwn,
  };
}

/**
 * Takes a job in as it was chosen: all of it or nothing. Its log is united with the one here, photos come with it; what was chosen of its
 * differences is an edit like any other, held against the rules. Errors: a sentence where that cannot be.
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
  const written = await db
    .transaction('rw', [db.jobs, db.touches, db.trash, db.log, db.photos, db.kept], async () => {
      if (!row) {
        await db.trash.delete(id);
        await touchesOf(db, id).delete();
        await db.jobs.put(newRow(came.job, freshId()));
      } else if (!isUnfit) await edit(db, row, patchesFor(row.job, came.job, differences, choose));
      const taken = await takeOver(db, id, came.log, photos);
      if (!taken.ok) throw new Refused(taken.problems[0]?.message ?? '');
      if (!isOwn) await db.kept.put({ key: handedKey(id), value: came.job });
      return good({ id, entries: taken.value });
    })
    .catch((error: unknown) => {
      if (error instanceof Refused) return bad(error.message);
      throw error;
    });
  return written;
}
/** Takes back all that was written. */
class Refused extends Error {}

async function edit(db: Database, { id, made, rev }: JobRow, patches: ReturnType<typeof patchesFor>): Promise<void> {
  if (!patches.length) return;
  const change = { name: 'patch', args: { patches } } as const;
  const { refused } = await commit(db, { id, made, by: freshId() }, { key: freshId(), edit: change, since: rev });
  if (refused !== null) throw new Refused(refused);
}

/** Remembers what a job was when it was given away. */
export const handedOver = (db: Database, { id, job }: ArchivedJob): Promise<unknown> =>
  db.kept.put({ key: handedKey(id), value: job });
