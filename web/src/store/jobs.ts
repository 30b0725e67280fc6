import { newJob, newRoom, seededIds } from '@kovelin/core/job/create.ts';
import { rows } from '@kovelin/core/job/table.ts';
import type { Job } from '@kovelin/core/job/types.ts';
import type { RoomTakeoff } from '@kovelin/core/measure/takeoff.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { db, newRow, type JobRow } from './db.ts';
import { freshId } from './ids.ts';
import { forgetLeft } from './journal.ts';
import { ownedBefore } from './kept.ts';

/** Whole jobs: made, copied, removed, brought in and taken out. Each a single transaction; what cannot be written throws. */
const put = (job: Job): Promise<string> => db.jobs.add(newRow(job, freshId()));

export async function createJob(id: string, name: string): Promise<string> {
  const units = navigator.language === 'en-US' ? 'imperial' : 'metric';
  const job = newJob(id, name, units, [newRoom(`${id}r`, 'Room 1', seededIds(`${id}r`), units)]);
  // what was owned in other jobs still is
  return put({ ...job, owned: await ownedBefore() });
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
  const gone = await db.transaction('rw', db.jobs, db.touches, db.trash, async () => {
    const rows = await db.trash.toArray();
    const late = rows.filter((row) => row.at <= until && (ids?.includes(row.id) ?? true)).map((row) => row.id);
    await db.jobs.bulkDelete(late);
    for (const id of late) await db.touches.where('[jobId+rev]').between([id, 0], [id, Infinity]).delete();
    await db.trash.bulkDelete(late);
    return late;
  });
  gone.forEach(forgetLeft);
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

export function download(name: string, text: string | Blob, type = 'application/json'): void {
  const url = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(url), 10_000);
}

export const fileName = ({ name }: { readonly name: string }) =>
  name.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/g, '') || 'job';

export async function exportTakeoff(job: Job): Promise<void> {
  const { takeoffCsv } = await import('@kovelin/core/exchange/takeoff-csv.ts');
  download(`${fileName(job)}-takeoff.csv`, takeoffCsv(job), 'text/csv');
}

export async function exportSchedule(job: Job, surfaces: readonly Specified[]): Promise<void> {
  const { scheduleCsv } = await import('@kovelin/core/exchange/schedule-csv.ts');
  download(`${fileName(job)}-finish-schedule.csv`, scheduleCsv(job, surfaces), 'text/csv');
}

export async function exportTapeSheet(job: Job): Promise<void> {
  const { formatTapeSheet } = await import('@kovelin/core/exchange/tapesheet-write.ts');
  download(`${fileName(job)}.tape`, formatTapeSheet(rows(job.rooms), job.units), 'text/plain');
}

/** The plan and the elevations of one room, to scale, with dimensions. */
export async function exportDrawing(job: Job, takeoff: RoomTakeoff, format: 'dxf' | 'svg'): Promise<void> {
  const { draft } = await import('@kovelin/core/exchange/plan/drafting.ts');
  const marks = draft(takeoff, job.units);
  const name = `${fileName(job)}-${fileName(takeoff.room)}.${format}`;
  if (format === 'dxf') {
    const { writeDxf } = await import('@kovelin/core/exchange/plan/dxf-write.ts');
    download(name, writeDxf(marks), 'image/vnd.dxf');
  } else {
    const { writeSvg } = await import('@kovelin/core/exchange/plan/svg.ts');
    download(name, writeSvg(marks, `${takeoff.room.name}, ${job.name}`), 'image/svg+xml');
  }
}

export const exportJob = (job: Job): void =>
  download(`${fileName(job)}.kovelin.json`, `${JSON.stringify(job, null, 1)}\n`);
