import { keepFor } from '../whole/wet.ts';
import { orderContract, scheduleContract, specifyContract, takeoffContract } from '../exchange/contracts.ts';
import { formatTapeSheet } from '../exchange/tapesheet-write.ts';
import { editJob } from '../job/admit.ts';
import type { Edit, EditName } from '../job/edits.ts';
import { openJob } from '../job/open.ts';
import { rows } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import { daysOf, scheduleJob } from '../sequence/schedule.ts';
import { ledgerOf, orderedOf } from '../whole/ledger.ts';
import { orderOf } from '../whole/plan.ts';
import { wholeOf } from '../whole/whole.ts';
import { mutated, type Mutation } from './hostile.ts';

/** Path of the first number below a value that is no figure; null: all are. */
export function notFinite(value: unknown, path = ''): string | null {
  if (typeof value === 'number') return Number.isFinite(value) ? null : `${path} = ${value}`;
  if (typeof value !== 'object' || value === null) return null;
  if (value instanceof Map) return notFinite([...value], path);
  for (const [key, item] of Object.entries(value)) {
    const found = notFinite(item, `${path}/${key}`);
    if (found) return found;
  }
  return null;
}

/** What is wrong with what follows from a job that the door let in; null: every figure is one. */
export function figuresFault(job: Job): string | null {
  const whole = wholeOf(job);
  const schedule = scheduleJob(job, whole.takeoffs, whole.operations, keepFor(job), { steps: 2 });
  const order = orderOf(job, daysOf(job, schedule));
  formatTapeSheet(rows(job.rooms), job.units);
  return notFinite({
    takeoff: takeoffContract(job, whole),
    specify: specifyContract(job, whole),
    order: orderContract(job, order),
    ledger: ledgerOf(whole.takeoffs, orderedOf(order)),
    schedule: scheduleContract(job, schedule),
  });
}

/** Runs edits one after the other; those refused change nothing. @returns the job, and the first fault against the law. */
export function runEdits(start: Job, edits: readonly Edit[]): { job: Job; accepted: EditName[]; fault: string | null } {
  let job = start;
  const accepted: EditName[] = [];
  for (const edit of edits) {
    const done = editJob(job, edit);
    if (!done.ok) continue;
    accepted.push(edit.name);
    job = done.value.job;
    const opened = openJob(JSON.stringify(job));
    if (!opened.ok) return { job, accepted, fault: `${edit.name}: ${JSON.stringify(opened.problems)}` };
    if (JSON.stringify(opened.value) !== JSON.stringify(job))
      return { job, accepted, fault: `${edit.name}: not the same` };
  }
  return { job, accepted, fault: figuresFault(job) };
}

/** A file with some places changed: refused, or opened to finite figures. */
export function tryMutations(
  document: unknown,
  mutations: readonly Mutation[],
): { opened: boolean; fault: string | null } {
  const opened = openJob(JSON.stringify(mutations.reduce(mutated, document)));
  return opened.ok ? { opened: true, fault: figuresFault(opened.value) } : { opened: false, fault: null };
}
