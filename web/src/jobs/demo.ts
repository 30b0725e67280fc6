import type { Job } from '@kovelin/core/job/types.ts';
import { newRow } from '../store/commit.ts';
import { db } from '../store/db.ts';
import { freshId } from '../store/ids.ts';

export async function openDemo(): Promise<string> {
  const { default: cottage } = await import('../../../examples/keepers-cottage.json');
  const job = cottage as unknown as Job;
  return db.transaction('rw', db.jobs, db.trash, async () => {
    await db.trash.delete(job.id);
    if (!(await db.jobs.get(job.id))) await db.jobs.add(newRow(job, freshId()));
    return job.id;
  });
}
