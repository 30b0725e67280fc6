import { newJob, newRoom, seededIds } from '@kovelin/core/job/create.ts';
import { MAX_JOB_BYTES, tooLarge } from '@kovelin/core/job/limits.ts';
import { rows, type Job } from '@kovelin/core/job/types.ts';
import type { RoomTakeoff } from '@kovelin/core/measure/takeoff.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { sentence } from '@kovelin/core/units/problem.ts';
import { db, type JobRow } from './db.ts';
import { ownedBefore } from './kept.ts';

/** Whole jobs: made, copied, removed, brought in and taken out. Each a single transaction. */
const put = (job: Job, rev = 1): Promise<string> =>
  db.jobs.add({ id: job.id, rev, name: job.name, updated: Date.now(), job });

export async function createJob(id: string, name: string): Promise<string> {
  const units = navigator.language === 'en-US' ? 'imperial' : 'metric';
  const job = newJob(id, name, units, [newRoom(`${id}r`, 'Room 1', seededIds(`${id}r`), units)]);
  // what was owned in other jobs still is
  return put({ ...job, owned: await ownedBefore() });
}

export const duplicateJob = (row: JobRow, id: string): Promise<string> =>
  put({ ...row.job, id, name: `${row.name} (copy)`.slice(0, 80) });

export async function renameJob(row: JobRow, name: string): Promise<void> {
  await db.transaction('rw', db.jobs, db.touches, async () => {
    const now = await db.jobs.get(row.id);
    if (!now) return;
    await db.jobs.put({ ...now, name, rev: now.rev + 1, updated: Date.now(), job: { ...now.job, name } });
    await db.touches.put({ jobId: row.id, rev: now.rev + 1, paths: [['name']] });
  });
}

export const deleteJob = (id: string): Promise<void> => db.jobs.delete(id);
export const restoreJob = (row: JobRow): Promise<string> => db.jobs.put({ ...row, rev: row.rev + 1 });

/** Brings a job file or a tape sheet in as a new job. @returns its id, or the sentences why not. */
export async function importFile(file: File, id: string): Promise<{ id: string } | { problems: string[] }> {
  if (file.size > MAX_JOB_BYTES) return { problems: [tooLarge(file.size)] };
  const { importText } = await import('./import.ts');
  const opened = importText(await file.text(), file.name.replace(/\.[^.]*$/, '').slice(0, 80) || 'Imported job');
  if (!opened.ok) return { problems: opened.problems.map(sentence) };
  const taken = await db.jobs.get(opened.value.id);
  const job = taken || opened.value.id === 'sheet' ? { ...opened.value, id } : opened.value;
  return { id: await put(job) };
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
