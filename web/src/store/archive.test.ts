import 'fake-indexeddb/auto';
import { afterAll, beforeEach, expect, jest, test } from '@jest/globals';
import { readArchive, writeArchive } from '@kovelin/core/exchange/archive.ts';
import { readLog, writeLog } from '@kovelin/core/exchange/site-log.ts';
import { editJob } from '@kovelin/core/job/admit.ts';
import { usualSide, type Difference, type Side } from '@kovelin/core/job/differences.ts';
import type { Edit } from '@kovelin/core/job/edits.ts';
import type { Job } from '@kovelin/core/job/types.ts';
import type { LogEntry } from '@kovelin/core/site/entry.ts';
import { contentOf } from '@kovelin/core/site/log.ts';
import { faultOfSaid } from '@kovelin/core/site/schema.ts';
import { anySaid } from '@kovelin/core/testing/hostile-logs.ts';
import { smallJob } from '@kovelin/core/testing/hostile.ts';
import fc from 'fast-check';
import { runs } from '@kovelin/core/testing/runs.ts';
import { archived, arrivalOf, takeIn } from './archive.ts';
import { anyOf, aroundOf, history } from '../testing/ring.ts';
import { isDue, staying } from './backups.ts';
import { Database, newRow, type LogRow } from './db.ts';
import { append, deviceOf, logOf } from './site-log.ts';

// the laws among these take their time on a slow machine; what ends in the middle would go on into the next
jest.setTimeout(60_000);
const [desk, phone] = [new Database('desk'), new Database('phone')];
beforeEach(async () => {
  for (const db of [desk, phone]) await Promise.all(db.tables.map((table) => table.clear()));
});
afterAll(() => [desk, phone].forEach((db) => db.close()));

const job: Job = { ...smallJob(), id: 'house' };
const said = { kind: 'note', who: 'Ana', note: 'wet' } as const;
const note = async (db: Database, text: string) =>
  append(db, 'house', await deviceOf(db), [
    { said: [{ ...said, note: text }], at: Date.parse('2026-12-01T08:00:00Z') },
  ]);
const changed = async (db: Database, edit: Edit): Promise<void> => {
  const row = await db.jobs.get('house');
  const done = row && editJob(row.job, edit);
  if (!row || !done?.ok) throw new Error('not changed');
  await db.jobs.put({ ...row, rev: row.rev + 1, job: done.value.job });
};
/** From one device to the other, as the file goes. */
async function sent(from: Database, to: Database) {
  const jobs = await archived(from, true, ['house']);
  const read = await readArchive(await writeArchive(jobs, [], '2026-12-01T08:00:00.000Z'));
  if (!read.ok || !read.value.jobs[0]) throw new Error('not read');
  return arrivalOf(to, read.value.jobs[0]);
}
const usual = (difference: Difference): Side => usualSide(difference) ?? 'here';
const entriesOf = async (db: Database): Promise<LogEntry[]> => [...(await logOf(db, 'house')).log.values()];

test('there and back twice: each side’s own changes and entries are on both, and the same file again changes nothing', async () => {
  await desk.jobs.add(newRow(job, 'made'));
  await note(desk, 'from the desk');
  expect((await takeIn(phone, await sent(desk, phone), usual)).ok).toBe(true);
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
    expect(await takeIn(desk, back, usual)).toMatchObject({ ok: true, value: { entries: 1 } });
    const again = await sent(phone, desk);
    expect([again.entries, again.differences.map(({ key }) => key)]).toEqual([0, ['name']]);
    expect(await takeIn(phone, await sent(desk, phone), usual)).toMatchObject({ ok: true });
    const [here, there] = await Promise.all([desk.jobs.get('house'), phone.jobs.get('house')]);
    expect(here?.job).toEqual(there?.job);
    expect([here?.job.name, here?.job.pricing.client]).toEqual([`House ${round}`, `Client ${round}`]);
    const ids = async (db: Database) => (await entriesOf(db)).map(({ id }) => id).sort();
    expect(await ids(desk)).toEqual(await ids(phone));
  }
  expect(await entriesOf(desk)).toHaveLength(5);
});

test('an entry with the id of another, or of another job, is set aside; a photo that is here stays, and one of another job is not moved', async () => {
  await desk.jobs.bulkAdd([newRow(job, 'made'), newRow({ ...job, id: 'mill' }, 'mill')]);
  const [entry] = await note(desk, 'as it was');
  const [other] = await append(desk, 'mill', 'van', [{ said: [said], at: 0 }]);
  if (!entry || !other) throw new Error('no entry');
  const photo = (id: string, of: string) => ({ id, job: of, blob: new Blob(['here']) });
  await desk.photos.bulkAdd([photo('p1', 'house'), photo('p2', 'mill')]);
  const { came } = await sent(desk, desk);
  const bytes = new TextEncoder().encode('came');
  const forged = await arrivalOf(desk, {
    ...came,
    log: [{ ...entry, note: 'forged' } as LogEntry, other],
    photos: ['p1', 'p2', 'p3'].map((id) => ({ id, job: 'house', bytes })),
  });
  expect(await takeIn(desk, forged, usual)).toMatchObject({ ok: true, value: { entries: 0 } });
  const { log, aside } = await logOf(desk, 'house');
  expect([...log.values()].map(({ note: text }) => text)).toEqual(['as it was']);
  expect(aside.map(({ text }) => JSON.parse(text) as LogEntry)).toEqual([{ ...entry, note: 'forged' }, other]);
  const photos = await desk.photos.toArray();
  expect(photos.map(({ id, job: of, blob }) => [id, of, blob.size])).toEqual([
    ['p1', 'house', 4],
    ['p2', 'mill', 4],
    ['p3', 'house', 4],
  ]);
  // again: nothing is set aside twice, and it goes out with the log
  await takeIn(desk, await arrivalOf(desk, forged.came), usual);
  const out = (await archived(desk, false, ['house']))[0];
  expect([out?.log.length, out?.aside.length]).toEqual([1, 2]);
});

test('what an earlier Kovelin stored and is no entry is set aside; what it did not know is an entry where it is known', async () => {
  await desk.jobs.add(newRow(job, 'made'));
  const [entry] = await note(desk, 'fine');
  if (!entry) throw new Error('no entry');
  await desk.log.add({ ...entry, job: 'house', id: 'k2', seq: 2, note: 'x'.repeat(4001) } as LogRow);
  await desk.aside.bulkAdd([
    { job: 'house', text: JSON.stringify({ ...entry, id: 'k3', seq: 3, note: 'known now' }) },
    { job: 'house', text: '{"kind":"lunch"}' },
  ]);
  const there = await sent(desk, phone);
  expect([there.entries, there.aside, (await takeIn(phone, there, usual)).ok]).toEqual([2, 2, true]);
  expect((await entriesOf(phone)).map(({ note: text }) => text).sort()).toEqual(['fine', 'known now']);
});

test('law: whatever is noted comes back the same through the export, a backup and a hand-over, every kind of entry with values at their ends', async () => {
  const lines = (entries: Iterable<LogEntry>) => [...entries].map((entry) => contentOf(entry)).sort();
  const brought = async (isGiven: boolean) => {
    const read = await readArchive(
      await writeArchive(await archived(desk, isGiven, ['house']), [], '2026-12-01T08:00:00.000Z'),
    );
    if (!read.ok || !read.value.jobs[0]) throw new Error('not read');
    return { came: read.value.jobs[0], warnings: read.value.warnings };
  };
  await desk.jobs.add(newRow(job, 'made'));
  await fc.assert(
    fc.asyncProperty(fc.array(anySaid, { minLength: 1, maxLength: 12 }), async (all) => {
      await Promise.all([desk.log.clear(), phone.log.clear(), phone.jobs.clear(), phone.bases.clear()]);
      expect(all.map(faultOfSaid)).toEqual(all.map(() => null));
      const written = lines(
        await append(desk, 'house', 'van', [{ said: all, at: Date.parse('2026-12-01T08:00:00Z') }]),
      );
      expect(written).toHaveLength(all.length);
      const { log, aside } = await logOf(desk, 'house');
      expect([lines(log.values()), aside]).toEqual([written, []]);
      const file = readLog(writeLog(log, job), job);
      expect(file.ok && [lines(file.value.log.values()), file.value.aside]).toEqual([written, []]);
      const backup = await brought(false);
      expect([lines(backup.came.log), backup.warnings]).toEqual([written, []]);
      await takeIn(phone, await arrivalOf(phone, (await brought(true)).came), usual);
      expect(lines(await entriesOf(phone))).toEqual(written);
    }),
    runs(4),
  );
});

test('a copied profile signs as its original: where they meet the second gets a name of its own, and every entry is kept', async () => {
  await desk.jobs.add(newRow(job, 'made'));
  const device = await deviceOf(desk);
  await phone.kept.put({ key: 'device', value: device });
  await takeIn(phone, await sent(desk, phone), usual);
  await note(desk, 'at the desk');
  await note(phone, 'on the stairs');
  await takeIn(desk, await sent(phone, desk), usual);
  await note(desk, 'later');
  expect([(await deviceOf(phone)) === device, (await deviceOf(desk)) === device]).toEqual([true, false]);
  await takeIn(phone, await sent(desk, phone), usual);
  const words = ['at the desk', 'later', 'on the stairs'];
  for (const db of [desk, phone]) expect((await entriesOf(db)).map(({ note: text }) => text).sort()).toEqual(words);
});

test('one file opened in two tabs: what was done after the first took it in is compared anew, not written over', async () => {
  await desk.jobs.add(newRow(job, 'made'));
  const file = (await sent(desk, phone)).came;
  const [one, two] = [await arrivalOf(phone, file), await arrivalOf(phone, file)];
  expect((await takeIn(phone, one, usual)).ok).toBe(true);
  await changed(phone, { name: 'renameJob', args: { name: 'Mine' } });
  const refused = await takeIn(phone, two, usual);
  expect(refused.ok ? '' : refused.problems[0]?.message).toMatch(/changed here since it was compared/);
  expect((await phone.jobs.get('house'))?.job.name).toBe('Mine');
  const anew = await arrivalOf(phone, file);
  expect(anew.differences.map(({ key, changed: by }) => [key, by])).toEqual([['name', 'here']]);
});

test('given away again and again though nobody took it: one’s own edits are one’s own', async () => {
  await desk.jobs.add(newRow(job, 'made'));
  await takeIn(phone, await sent(desk, phone), usual);
  for (const name of ['First', 'Second', 'Third']) {
    await changed(desk, { name: 'renameJob', args: { name } });
    await archived(desk, true, ['house']);
  }
  const back = await sent(phone, desk);
  expect(back.differences.map(({ key, changed: by }) => [key, by])).toEqual([['name', 'here']]);
  // the copy that both began from is no longer kept: nobody is named, and nothing chosen
  await desk.bases.clear();
  const lost = await sent(phone, desk);
  expect([lost.lost, lost.differences.map((one) => usualSide(one))]).toEqual(['gone', [null]]);
});

test.each([
  ['in a ring', aroundOf(3), 0.9],
  ['to anybody', anyOf(3), 0.6],
])(
  'law: three devices give their copies %s: who changed a thing is named rightly or not at all',
  async (_, next, most) => {
    const tablet = new Database('tablet');
    // 200 histories of each are tried by the bench
    for (const seed of [1, 2]) {
      const { differed, named, faults } = await history([desk, phone, tablet], seed, 30, next);
      expect(faults).toEqual([]);
      expect([differed > 30, named > most * differed]).toEqual([true, true]);
    }
    tablet.close();
  },
);

test('what comes back from a backup of this device is no exchange: nobody changed anything there, and nothing is chosen', async () => {
  await desk.jobs.add(newRow(job, 'made'));
  const backup = (await sent(desk, desk)).came;
  await changed(desk, { name: 'renameJob', args: { name: 'Later' } });
  await takeIn(phone, await sent(desk, phone), usual);
  const own = await arrivalOf(desk, backup, true);
  expect([own.lost, own.differences.map(({ key, changed: by }) => [key, by])]).toEqual(['own', [['name', null]]]);
  expect((await takeIn(desk, own, () => 'there')).ok).toBe(true);
  // it was put back here, which the phone did not do
  const back = await sent(phone, desk);
  expect(back.differences.map(({ key, changed: by }) => [key, by])).toEqual([['name', 'here']]);
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
  expect(await archived(desk, true)).toEqual([]);
  const deleted = await arrivalOf(desk, arrival.came);
  expect([deleted.row, (await takeIn(desk, deleted, usual)).ok]).toEqual([null, true]);
  expect((await archived(desk, false)).map(({ id, log }) => [id, log.length])).toEqual([['house', 1]]);
});

test('backups: due an hour after the last where something is otherwise, wherever a wrong clock dated that', () => {
  const HOUR = 3_600_000;
  const last = { at: 5 * HOUR, state: 'a' };
  expect([
    isDue(null, 'a', 10),
    isDue(null, null, 10),
    isDue(last, 'b', 6 * HOUR),
    isDue(last, 'b', 5.5 * HOUR),
    isDue(last, 'a', 9 * HOUR),
    // it lies years ahead; its log was deleted
    isDue({ at: 1e6 * HOUR, state: 'a' }, 'b', 6 * HOUR),
  ]).toEqual([true, false, true, false, false, true]);
});
test('three backups, a week of days and four weeks stay; those dated ahead give way', () => {
  const HOUR = 3_600_000;
  const hourly = Array.from({ length: 60 * 24 }, (_, n) => ({ at: n * HOUR }));
  // as they come, hour by hour: what stays of those that stayed
  let kept: { at: number }[] = [1e6, 1e6 + 1, 1e6 + 2, 1e6 + 3].map((n) => ({ at: n * HOUR }));
  for (const backup of hourly) kept = staying([...kept, backup], backup.at);
  const ages = kept.map(({ at }) => (60 * 24 - 1 - at / HOUR) / 24);
  expect(kept.length).toBeLessThanOrEqual(3 + 7 + 4);
  expect(ages.filter((age) => age >= 0 && age < 0.1)).toHaveLength(3);
  expect(ages.filter((age) => age < 7).length).toBeGreaterThanOrEqual(9);
  expect([Math.max(...ages) > 17, Math.min(...ages)]).toEqual([true, 0]);
  expect(staying(kept, 60 * 24 * HOUR)).toEqual(kept);
});
