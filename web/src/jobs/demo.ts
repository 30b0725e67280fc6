import type { Job } from '@kovelin/core/job/types.ts';
import { db } from '../store/db.ts';

export async function openDemo(): Promise<string> {
  const { default: cottage } = await import('../../../examples/keepers-cottage.json');
  const job = cottage as unknown as Job;
  return db.transaction('rw', db.jobs, async () => {
    if (!(await db.jobs.get(job.id)))
      await db.jobs.add({ id: job.id, rev: 1, name: job.name, updated: Date.now(), job });
    return job.id;
  });
}
