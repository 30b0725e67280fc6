import 'fake-indexeddb/auto';
import { afterAll, beforeEach, expect, jest, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { openJob } from '@kovelin/core/job/open.ts';
import { plainRoom } from '@kovelin/core/job/plain-room.ts';
import { rows } from '@kovelin/core/job/table.ts';
import type { Job } from '@kovelin/core/job/types.ts';
import { tapeReading } from '@kovelin/core/units/reading.ts';
import { db, type JobRow } from './db.ts';
import {
  bringIn,
  countryBefore,
  createJob,
  deleteJob,
  duplicateJob,
  emptyTrash,
  listJobs,
  renameJob,
  restoreJob,
} from './jobs.ts';
import { rememberMe, rememberOwned, rememberRegion } from './kept.ts';
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

/** A room as the first page asks for it. */
const drawn: Parameters<typeof createJob>[2] = (id, ids, units) => {
  const length = tapeReading(4.5, units);
  const plain = { name: 'Study', length, width: length, height: length, doors: 1, windows: 2, baseboard: true };
  return [plainRoom(id, plain, ids, units).room];
};
test('who does the work and what they own is asked once: each new job begins with it', async () => {
  await rememberRegion('US');
  const begun = async (id: string) => (await row(await createJob(id, 'Study', drawn))).job;
  const first = await begun('first');
  expect([first.pricing.billed, first.crew.people.length, first.owned]).toEqual(['hours', 2, {}]);
  const firm = { name: 'Two Lamps', contact: '555 0134', address: 'The old boathouse' };
  await rememberMe({ own: true, tax: { country: 'GB', rate: 0.2 } });
  await rememberMe({ firm });
  await rememberOwned('pole', 1);
  const next = await begun('next');
  expect(next.pricing).toEqual({ ...first.pricing, billed: 'own', firm });
  expect(next.crew.people.map(({ name }) => name)).toEqual(['Me']);
  expect([first.crew.weekdays.length, next.crew.weekdays.length]).toEqual([5, 7]);
  // planned where it is: the zone is the browser's
  expect(next.crew.zone).toBe(Intl.DateTimeFormat().resolvedOptions().timeZone);
  expect(next.pricing.tax).toBeNull();
  expect(next.owned).toEqual({ pole: 1 });
  await db.kept.clear();
});
test.each([
  ['GB', 'metric', 'GBP', '1.2 m', '120 mm'],
  ['US', 'imperial', 'USD', `3'`, `5"`],
  ['DE', 'metric', 'EUR', '1.2 m', '120 mm'],
] as const)(
  'a first room in %s is drawn in %s, priced in %s, with a window of %s and a board of %s; it opens and goes through the door',
  async (country, units, currency, window, board) => {
    await rememberRegion(country);
    expect(await countryBefore()).toBe(country);
    const id = await createJob('first', 'Study', drawn);
    const { job } = await row(id);
    expect([job.units, job.currency, job.region.country]).toEqual([units, currency, country]);
    const [room] = rows(job.rooms);
    expect([job.name, room?.name, room?.walls.order.length, room?.openings.order.length]).toEqual([
      'Study',
      'Study',
      4,
      3,
    ]);
    expect(rows(room?.openings ?? { byId: {}, order: [] }).find(({ kind }) => kind === 'window')?.width.typed).toBe(
      window,
    );
    expect(room?.trim.baseboard?.face.typed).toBe(board);
    expect(openJob(JSON.stringify(job)).ok).toBe(true);
    // what is made anew has ids of its own
    const other = await row(await createJob('second', 'Study', drawn));
    const ids = (of: Job) => rows(of.rooms).flatMap((r) => [r.id, ...r.walls.order, ...r.openings.order]);
    expect(ids(job).filter((one) => ids(other.job).includes(one))).toEqual([]);
    const tab = await JobSession.open(db, id);
    expect(tab?.state.job).toEqual(job);
    tab?.close();
  },
);

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
