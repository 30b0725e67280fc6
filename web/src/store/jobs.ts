import { asBefore, beginAs, type AsBefore } from '@kovelin/core/job/as-before.ts';
import { newJob } from '@kovelin/core/job/create.ts';
import { seededIds, type IdSource } from '@kovelin/core/job/blank.ts';
import type { Room } from '@kovelin/core/job/measured.ts';
import { COUNTRIES, COUNTRY_ROWS, type Country } from '@kovelin/core/job/region.ts';
import type { Job } from '@kovelin/core/job/types.ts';
import type { Units } from '@kovelin/core/units/si.ts';
import { db, logRows, newRow, stateOf, touchesOf, type JobRow } from './db.ts';
import { forgetCopies } from './exchange.ts';
import { freshId } from './ids.ts';
import { forgetLeft } from './journal.ts';
import { meBefore, ownedBefore, regionBefore } from './kept.ts';

/** Whole jobs: made, copied, removed and brought in. Each a single transaction; what cannot be written throws. */
const put = (job: Job): Promise<string> => db.jobs.add(newRow(job, freshId()));

/** As the browser's language says: en-GB is British, plain German is Germany's. */
export function countryHere(): Country {
  const [language = '', place = ''] = navigator.language.split('-');
  const named = (code: string) => COUNTRIES.find((country) => country === code.toUpperCase());
  return named(place) ?? named(language) ?? 'other';
}

/** Where the last job was, or as the browser's language says. */
export const countryBefore = async (): Promise<Country> => (await regionBefore()) ?? countryHere();

/** The example that ships. */
const DEMO = 'keepers-cottage';

type Draw = (id: string, ids: IdSource, units: Units) => readonly Room[];

/** @param draw makes its first room, or all of them. */
export async function createJob(id: string, name: string, draw: Draw): Promise<string> {
  const country = await countryBefore();
  const { units } = COUNTRY_ROWS[country];
  const room = `${id}r`;
  const job = newJob(id, name, units, draw(room, seededIds(room), units), country);
  const { own, firm, tax, asBefore: goesOn } = await meBefore();
  const rate = tax?.country === country ? tax.rate : null;
  const pricing = { ...job.pricing, firm, tax: rate, ...(own ? { billed: 'own' as const } : {}) };
  const [first] = job.crew.people;
  const crew = {
    ...job.crew,
    // where it is painted is most often where it is planned
    zone: Intl.DateTimeFormat().resolvedOptions().timeZone,
    // alone, on whatever days they have
    ...(own && first ? { people: [{ ...first, name: 'Me' }], weekdays: [1, 2, 3, 4, 5, 6, 7] } : {}),
  };
  const begun = { ...job, pricing, crew, owned: await ownedBefore() };
  const last = goesOn ? lastOf(await listJobs(), job.currency) : null;
  // what was owned in other jobs still is
  return put(last ? beginAs(begun, last.goesOn) : begun);
}

/** The last job whose crew and prices the next one may begin with: in its currency, and no demonstration. */
export function lastOf(
  jobs: readonly JobRow[],
  currency: string,
): { readonly name: string; readonly goesOn: AsBefore } | null {
  for (const row of jobs) {
    const goesOn = row.id === DEMO || stateOf(row) !== 'whole' ? null : asBefore(row.job, currency);
    if (goesOn) return { name: row.name, goesOn };
  }
  return null;
}

export const duplicateJob = (row: JobRow, id: string): Promise<string> =>
  put({ ...row.job, id, name: `${[...row.name].slice(0, 70).join('')} (copy)` });

/** @returns a sentence when it cannot be done. */
export async function renameJob({ id, made, rev }: JobRow, name: string): Promise<string | null> {
  const { commit } = await import('./commit.ts');
  const edit = { name: 'renameJob', args: { name } } as const;
  const { refused } = await commit(db, { id, made, by: freshId() }, { key: freshId(), edit, since: rev });
  return refused;
}

/** Hides a job; it is there until its undo has passed (`emptyTrash`). */
export const deleteJob = (id: string): Promise<string> => db.trash.put({ id, at: Date.now() });
export const restoreJob = (id: string): Promise<void> => db.trash.delete(id);

/** Takes out for good what was deleted before `until`, with all that belongs to it. */
export async function emptyTrash(until: number, ids?: readonly string[]): Promise<void> {
  const tables = [db.jobs, db.touches, db.trash, db.log, db.aside, db.bases, db.kept];
  const gone = await db.transaction('rw', tables, async () => {
    const rows = await db.trash.toArray();
    const late = rows.filter((row) => row.at <= until && (ids?.includes(row.id) ?? true)).map((row) => row.id);
    await db.jobs.bulkDelete(late);
    for (const id of late) {
      await touchesOf(db, id).delete();
      await logRows(db, id).delete();
      await db.aside.where('job').equals(id).delete();
      await forgetCopies(db, id);
    }
    await db.trash.bulkDelete(late);
    return late;
  });
  gone.forEach(forgetLeft);
  await sweepPhotos();
}

/** Photos go when neither a job nor a backup of it is there any more. */
async function sweepPhotos(): Promise<void> {
  await db.transaction('rw', db.jobs, db.photos, db.backups, async () => {
    const held = new Set(await db.jobs.toCollection().primaryKeys());
    await db.backups.each(({ jobs }) => jobs.forEach(({ id }) => held.add(id)));
    const jobs = (await db.photos.orderBy('job').uniqueKeys()).map(String);
    await db.photos
      .where('job')
      .anyOf(jobs.filter((id) => !held.has(id)))
      .delete();
  });
}

/** Touches of jobs that are no longer there: an earlier version left them. */
export async function sweepTouches(): Promise<void> {
  await db.transaction('rw', db.jobs, db.touches, async () => {
    const there = new Set(await db.jobs.toCollection().primaryKeys());
    const orphans = await db.touches.filter((touch) => !there.has(touch.jobId)).primaryKeys();
    await db.touches.bulkDelete(orphans);
  });
}

/** All jobs that are not deleted, the newest first. */
export async function listJobs(): Promise<JobRow[]> {
  const [rows, trash] = await Promise.all([db.jobs.orderBy('updated').reverse().toArray(), db.trash.toArray()]);
  const hidden = new Set(trash.map((row) => row.id));
  return rows.filter((row) => !hidden.has(row.id));
}

/** Brings a job in that was read from a file. A job that is there already stays; this is then a second one. */
export async function bringIn(job: Job, id: string): Promise<string> {
  const taken = await db.jobs.get(job.id);
  return put(taken || job.id === 'sheet' ? { ...job, id } : job);
}
