import 'fake-indexeddb/auto';
import { afterAll, beforeEach, expect, test } from '@jest/globals';
import { readArchive, writeArchive } from '@kovelin/core/exchange/archive.ts';
import { editJob } from '@kovelin/core/job/admit.ts';
import { usualSide } from '@kovelin/core/job/differences.ts';
import type { Edit } from '@kovelin/core/job/edits.ts';
import type { Job } from '@kovelin/core/job/types.ts';
import { smallJob } from '@kovelin/core/testing/hostile.ts';
import { archived, arrivalOf, handedOver, takeIn } from './archive.ts';
import { isDue, staying } from './backups.ts';
import { Database, newRow } from './db.ts';
import { append, deviceOf, logOf } from './site-log.ts';

const [desk, phone] = [new Database('desk'), new Database('phone')];
beforeEach(async () => {
  for (const db of [desk, phone]) await Promise.all(db.tables.map((table) => table.clear()));
});
afterAll(() => [desk, phone].forEach((db) => db.close()));

const job: Job = { ...smallJob(), id: 'house' };
const said = { kind: 'note', who: 'Ana', note: 'wet' } as const;
const note = async (db: Database, text: string) =>
  append(db, 'house', await deviceOf(db), [{ ...said, note: text }], Date.parse('2026-12-01T08:00:00Z'));
const changed = async (db: Database, edit: Edit): Promise<void> => {
  const row = await db.jobs.get('house');
  const done = row && editJob(row.job, edit);
  if (!row || !done?.ok) throw new Error('not changed');
  await db.jobs.put({ ...row, rev: row.rev + 1, job: done.value.job });
};
/** From one device to the other, as the file goes. */
async function sent(from: Database, to: Database) {
  const jobs = await archived(from, ['house']);
  const pieces: Uint8Array[] = [];
  await writeArchive(jobs, [], '2026-12-01T08:00:00.000Z', (piece) => pieces.push(piece));
  for (const one of jobs) await handedOver(from, one);
  const read = readArchive(Uint8Array.from(Buffer.concat(pieces)));
  if (!read.ok || !read.value.jobs[0]) throw new Error('not read');
  return arrivalOf(to, read.value.jobs[0]);
}

test('there and back twice: each side’s own changes and entries are on both, and the same file again changes nothing', async () => {
  await desk.jobs.add(newRow(job, 'made'));
  await note(desk, 'from the desk');
  expect((await takeIn(phone, await sent(desk, phone), usualSide)).ok).toBe(true);
  for (const round of [1, 2]) {
    await note(phone, `from the phone ${round}`);
    await note(desk, `from the desk ${round}`);
    await changed(phone, { name: 'setPricing', args: { set: { client: `Client ${round}` } } });
    await changed(desk, { name: 'renameJob', args: { name: `House ${round}` } });
    const back = await sent(phone, desk);
    expect(back.differences.map(({ key, changed: by }) => [key, by])).toEqual([
      ['name', 'here'],
      ['pricing/client', 'there'],
    ]);
    expect(await takeIn(desk, back, usualSide)).toMatchObject({ ok: true, value: { entries: 1 } });
    const again = await sent(phone, desk);
    expect([again.entries, again.differences.map(({ key }) => key)]).toEqual([0, ['name']]);
    expect(await takeIn(phone, await sent(desk, phone), usualSide)).toMatchObject({ ok: true });
    const [here, there] = await Promise.all([desk.jobs.get('house'), phone.jobs.get('house')]);
    expect(here?.job).toEqual(there?.job);
    expect([here?.job.name, here?.job.pricing.client]).toEqual([`House ${round}`, `Client ${round}`]);
    const ids = async (db: Database) => (await logOf(db, 'house')).map(({ id }) => id).sort();
    expect(await ids(desk)).toEqual(await ids(phone));
  }
  expect(await logOf(desk, 'house')).toHaveLength(5);
});

test('an entry with the id of another takes all back: the job, the log and the photos are as they were', async () => {
  await desk.jobs.add(newRow(job, 'made'));
  const [entry] = await note(desk, 'as it was');
  const arrival = await sent(desk, desk);
  if (!entry) throw new Error('no entry');
  const forged = { ...arrival.came, log: [{ ...entry, note: 'forged' }] } as typeof arrival.came;
  const there = editJob(job, { name: 'renameJob', args: { name: 'Forged' } });
  if (!there.ok) throw new Error('not renamed');
  const photos = [{ id: 'p1', job: 'house', bytes: new Uint8Array([1]) }];
  const forgedJob = await arrivalOf(desk, { ...forged, job: there.value.job, photos });
  const taken = await takeIn(desk, forgedJob, () => 'there');
  expect(taken.ok ? '' : taken.problems[0]?.message).toMatch(/content/);
  expect([(await desk.jobs.get('house'))?.name, await desk.photos.count()]).toEqual([job.name, 0]);
  expect((await logOf(desk, 'house')).map(({ note: text }) => text)).toEqual(['as it was']);
});

test('what comes back from a backup of this device is no exchange: nobody changed anything there, and what was handed over stays', async () => {
  await desk.jobs.add(newRow(job, 'made'));
  const backup = (await sent(desk, desk)).came;
  await changed(desk, { name: 'renameJob', args: { name: 'Later' } });
  await sent(desk, phone);
  const own = await arrivalOf(desk, backup, true);
  expect(own.differences.map(({ key, changed: by }) => [key, by])).toEqual([['name', null]]);
  expect((await takeIn(desk, own, () => 'there')).ok).toBe(true);
  const handed = await desk.kept.get('handed|house');
  expect([(await desk.jobs.get('house'))?.name, (handed?.value as Job).name]).toEqual([job.name, 'Later']);
});

test('a job that cannot be worked with stays as it is, and one that was deleted comes back', async () => {
  await desk.jobs.add(newRow(job, 'made'));
  await note(desk, 'kept');
  const arrival = await sent(desk, phone);
  await phone.jobs.add({ ...newRow(job, 'other'), job: { ...job, version: 99 } as unknown as Job });
  const unfit = await arrivalOf(phone, arrival.came);
  expect([unfit.isUnfit, unfit.differences]).toEqual([true, []]);
  expect((await takeIn(phone, unfit, () => 'there')).ok).toBe(true);
  expect((await phone.jobs.get('house'))?.job.version).toBe(99);
  await desk.trash.put({ id: 'house', at: 1 });
  expect(await archived(desk)).toEqual([]);
  const deleted = await arrivalOf(desk, arrival.came);
  expect([deleted.row, (await takeIn(desk, deleted, usualSide)).ok]).toEqual([null, true]);
  expect((await archived(desk)).map(({ id, log }) => [id, log.length])).toEqual([['house', 1]]);
});

test('backups: due an hour after the last where something changed; three, a week of days and four weeks stay', () => {
  const HOUR = 3_600_000;
  expect([
    isDue(null, 5, 10),
    isDue(null, null, 10),
    isDue(5, 6, 5 + HOUR),
    isDue(5, 6, HOUR),
    isDue(5, 4, 9 * HOUR),
  ]).toEqual([true, false, true, false, false]);
  const hourly = Array.from({ length: 60 * 24 }, (_, n) => ({ at: n * HOUR }));
  // as they come, hour by hour: what stays of those that stayed
  let kept: { at: number }[] = [];
  for (const backup of hourly) kept = staying([...kept, backup]);
  const ages = kept.map(({ at }) => (60 * 24 - 1 - at / HOUR) / 24);
  expect(kept.length).toBeLessThanOrEqual(3 + 7 + 4);
  expect(ages.filter((age) => age < 0.1)).toHaveLength(3);
  expect(ages.filter((age) => age < 7).length).toBeGreaterThanOrEqual(9);
  expect(Math.max(...ages)).toBeGreaterThan(17);
  expect(staying(kept)).toEqual(kept);
});
