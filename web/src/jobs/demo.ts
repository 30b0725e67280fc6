import type { Job } from '@kovelin/core/job/types.ts';
import cottage from '../../../examples/keepers-cottage.json?url';
import { db, newRow } from '../store/db.ts';
import { freshId } from '../store/ids.ts';

/** Puts the demo job among the jobs, where it is not there yet. @returns its id. */
export async function openDemo(): Promise<string> {
  const file = await fetch(cottage);
  if (!file.ok) throw new Error(`Failed to fetch the example (${file.status})`);
  const job = (await file.json()) as Job;
  return db.transaction('rw', db.jobs, db.trash, async () => {
    await db.trash.delete(job.id);
    if (!(await db.jobs.get(job.id))) await db.jobs.add(newRow(job, freshId()));
    return job.id;
  });
}
