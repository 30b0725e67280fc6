import 'fake-indexeddb/auto';
import { afterAll, beforeEach, expect, jest, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { openJob } from '@kovelin/core/job/open.ts';
import type { Job } from '@kovelin/core/job/types.ts';
import { db, type JobRow } from './db.ts';
import { bringIn, deleteJob, duplicateJob, emptyTrash, listJobs, renameJob, restoreJob } from './jobs.ts';
import { JobSession } from './session.ts';
import { whyNot } from './why.ts';

const text = readFileSync(join(__dirname, '../../../examples/keepers-cottage.json'), 'utf8');
const row = async (id: string): Promise<JobRow> => {
  const found = await db.jobs.get(id);
  if (!found) throw new Error('not there');
  return found;
};

beforeEach(async () => {
  await Promise.all([db.jobs.clear(), db.touches.clear(), db.trash.clear()]);
});
afterAll(() => {
  db.close();
});

const cottage = (): Job => {
  const opened = openJob(text);
  if (!opened.ok) throw new Error('not a job');
  return opened.value;
};

test('a job brought in is stored as it was read; brought in again, it is a second job', async () => {
  expect(await bringIn(cottage(), 'fresh')).toBe('keepers-cottage');
  expect((await row('keepers-cottage')).job).toEqual(cottage());
  expect(await bringIn(cottage(), 'fresh')).toBe('fresh');
  expect(await db.jobs.count()).toBe(2);
});

test('renamed and copied; what was changed meanwhile in another tab stays', async () => {
  await bringIn(cottage(), 'fresh');
  const seen = await row('keepers-cottage');
  const tab = await JobSession.open(db, 'keepers-cottage');
  tab?.edit({ name: 'setUnits', args: { units: 'metric' } });
  await tab?.settled();
  expect(await renameJob(seen, 'Boat house')).toBeNull();
  const named = await row('keepers-cottage');
  expect([named.name, named.job.name, named.job.units, named.rev]).toEqual(['Boat house', 'Boat house', 'metric', 3]);
  expect(await renameJob(named, ' ')).toMatch(/1 to 80/);
  await duplicateJob({ ...named, name: 'x'.repeat(80) }, 'copy');
  expect((await row('copy')).job.name).toHaveLength(77);
  tab?.close();
});

test('a deleted job is hidden, comes back whole with an open tab on it, and is gone with all it left when its undo has passed', async () => {
  await bringIn(cottage(), 'fresh');
  const tab = await JobSession.open(db, 'keepers-cottage');
  tab?.edit({ name: 'setUnits', args: { units: 'metric' } });
  await tab?.settled();
  const state = (saving: string) =>
    new Promise<void>((resolve) => {
      const look = () => tab?.state.saving === saving && resolve();
      tab?.subscribe(look);
      look();
    });
  await deleteJob('keepers-cottage');
  await state('gone');
  expect([await listJobs(), await JobSession.open(db, 'keepers-cottage')]).toEqual([[], null]);
  expect(tab?.edit({ name: 'setUnits', args: { units: 'imperial' } })).toMatch(/deleted/);
  await restoreJob('keepers-cottage');
  await state('saved');
  expect((await listJobs()).map((r) => r.job.units)).toEqual(['metric']);
  await deleteJob('keepers-cottage');
  await emptyTrash(Date.now() - 60_000);
  expect(await db.jobs.count()).toBe(1);
  await emptyTrash(Date.now());
  expect(await Promise.all([db.jobs.count(), db.touches.count(), db.trash.count()])).toEqual([0, 0, 0]);
  // brought in again under the same id, it is another job: the old tab does not write into it
  await bringIn(cottage(), 'fresh');
  await state('gone');
  expect((await row('keepers-cottage')).job.units).toBe('imperial');
  tab?.close();
});

test('a write that fails throws, and nothing was removed before', async () => {
  await bringIn(cottage(), 'fresh');
  const full = new DOMException('full', 'QuotaExceededError');
  const put = jest.spyOn(db.trash, 'put').mockRejectedValue(full);
  await expect(deleteJob('keepers-cottage')).rejects.toBe(full);
  put.mockRestore();
  expect(whyNot(full)).toMatch(/no room left/);
  expect((await listJobs()).map((r) => r.id)).toEqual(['keepers-cottage']);
});
