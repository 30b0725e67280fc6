import { systemOf } from '@kovelin/core/job/region.ts';
import type { Job } from '@kovelin/core/job/types.ts';
import type { RoomTakeoff } from '@kovelin/core/measure/takeoff.ts';
import type { ScheduleView } from '@kovelin/core/sequence/view.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';

/** What is taken out of a job as files; each way of writing comes when it is asked for. */
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

/** The takeoff of a job as CSV. */
export async function exportTakeoff(job: Job): Promise<void> {
  const { takeoffCsv } = await import('@kovelin/core/exchange/takeoff-csv.ts');
  download(`${fileName(job)}-takeoff.csv`, takeoffCsv(job), 'text/csv');
}

export async function exportSchedule(job: Job, surfaces: readonly Specified[]): Promise<void> {
  const { scheduleCsv } = await import('@kovelin/core/exchange/schedule-csv.ts');
  download(`${fileName(job)}-finish-schedule.csv`, scheduleCsv(job, surfaces), 'text/csv');
}

export async function exportTapeSheet(job: Job): Promise<void> {
  const { formatJobSheet } = await import('@kovelin/core/exchange/job-sheet-write.ts');
  download(`${fileName(job)}.tape`, formatJobSheet(job), 'text/plain');
}

/** The plan and the elevations of one room, to scale, with dimensions. */
export async function exportDrawing(job: Job, takeoff: RoomTakeoff, format: 'dxf' | 'svg'): Promise<void> {
  const { draft } = await import('@kovelin/core/exchange/plan/drafting.ts');
  const marks = draft(takeoff, systemOf(job));
  const name = `${fileName(job)}-${fileName(takeoff.room)}.${format}`;
  if (format === 'dxf') {
    const { writeDxf } = await import('@kovelin/core/exchange/plan/dxf-write.ts');
    download(name, writeDxf(marks), 'image/vnd.dxf');
  } else {
    const { writeSvg } = await import('@kovelin/core/exchange/plan/svg.ts');
    download(name, writeSvg(marks, `${takeoff.room.name}, ${job.name}`), 'image/svg+xml');
  }
}

/** The plan as a calendar or a table. @returns a sentence where it cannot be written. */
export async function exportPlan(job: Job, plan: ScheduleView, format: 'ics' | 'csv'): Promise<string | null> {
  const { planCsv, planIcs } = await import('@kovelin/core/exchange/plan-files.ts');
  if (format === 'csv') {
    download(`${fileName(job)}-plan.csv`, planCsv(job, plan), 'text/csv');
    return null;
  }
  const written = planIcs(job, plan);
  if (!written.ok) return written.problems[0]?.message ?? '';
  download(`${fileName(job)}-plan.ics`, written.value, 'text/calendar');
  return null;
}

export const exportJob = (job: Job): void =>
  download(`${fileName(job)}.kovelin.json`, `${JSON.stringify(job, null, 1)}\n`);
