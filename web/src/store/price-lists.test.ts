import 'fake-indexeddb/auto';
import { afterAll, beforeEach, expect, test } from '@jest/globals';
import type { PriceRow } from '@kovelin/core/exchange/price-list.ts';
import { JOB_VERSION } from '@kovelin/core/job/version.ts';
import { Dexie } from 'dexie';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Database, db } from './db.ts';
import { newRoom } from '@kovelin/core/job/blank.ts';
import { createJob } from './jobs.ts';
import { columnsBefore, ownedBefore, rememberColumns, rememberOwned } from './kept.ts';
import { priceLists, pricesWhere, removeList, searchPrices, sweep } from './price-lists.ts';

Object.defineProperty(globalThis, 'navigator', { value: { language: 'en-US' }, configurable: true });

const row = (n: number): PriceRow => ({ code: `C${n}`, name: `Wall paint no. ${n}`, litres: 1, price: 100 * n });
const whole = async (id: string, from: number, imported = '2026-11-25') => {
  await db.priceChunks.bulkPut([0, 1].map((n) => ({ list: id, n, rows: [row(from + 2 * n), row(from + 2 * n + 1)] })));
  await db.priceLists.put({ id, name: id, imported, currency: 'USD', rows: 4 });
};
beforeEach(async () => {
  await Promise.all([db.priceLists.clear(), db.priceChunks.clear(), db.kept.clear(), db.jobs.clear()]);
});
afterAll(() => db.close());

test('a list is found by words of name and code, in its order, over all its chunks', async () => {
  await whole('a', 1);
  await whole('b', 51, '2026-11-26');
  expect((await priceLists()).map((l) => l.id)).toEqual(['b', 'a']);
  expect((await searchPrices('a', 'PAINT wall')).map((r) => r.code)).toEqual(['C1', 'C2', 'C3', 'C4']);
  expect((await searchPrices('a', 'c3')).map((r) => r.price)).toEqual([300]);
  expect(await searchPrices('a', 'c51')).toEqual([]);
  expect((await searchPrices('a', '', 3)).length).toBe(3);
  expect((await pricesWhere('b', ({ code }) => ['C52', 'C1'].includes(code))).map((r) => r.code)).toEqual(['C52']);
});
test('an import that never ended is swept, whole lists and the one being read are not; a removed list takes its rows along', async () => {
  await whole('a', 1);
  await db.priceChunks.bulkPut([
    { list: 'cut-off', n: 0, rows: [row(9)] },
    { list: 'going-on', n: 0, rows: [row(10)] },
  ]);
  expect((await priceLists()).map((l) => l.id)).toEqual(['a']);
  await sweep(db, new Set(['going-on']));
  expect(await db.priceChunks.orderBy('list').uniqueKeys()).toEqual(['a', 'going-on']);
  await removeList('a');
  expect([await priceLists(), await db.priceChunks.where('list').equals('a').count()]).toEqual([[], 0]);
});
test('what is owned goes on to new jobs, and is forgotten when it is none; columns are kept by headings', async () => {
  await rememberOwned('pole', 2);
  await rememberOwned('tray', 1);
  await rememberOwned('tray', 0);
  expect(await ownedBefore()).toEqual({ pole: 2 });
  await createJob('fresh', 'Fresh', (id, ids, units) => [newRoom(id, 'Room', ids, units)]);
  expect((await db.jobs.get('fresh'))?.job.owned).toEqual({ pole: 2 });
  const columns = { name: 1, price: 3, size: 2, code: 0 };
  await rememberColumns(['Code', 'Name', 'Size', 'Price'], columns);
  expect([await columnsBefore(['Code', 'Name', 'Size', 'Price']), await columnsBefore(['Code', 'Name'])]).toEqual([
    columns,
    null,
  ]);
});
test('jobs kept in a browser of version 3 are there in this version, brought up to it', async () => {
  const old = new Dexie('kovelin-old');
  old.version(3).stores({ jobs: 'id, updated', touches: '[jobId+rev]' });
  const job = JSON.parse(readFileSync(join(__dirname, '../../../core/src/job/fixtures/v3.json'), 'utf8')) as {
    id: string;
  };
  await old.table('jobs').put({ id: job.id, rev: 7, name: 'Old', updated: 1, job });
  old.close();
  const now = new Database('kovelin-old');
  const kept = await now.jobs.get(job.id);
  expect([kept?.rev, kept?.job.version, kept?.job.pricing.margin, kept?.job.shelf.order]).toEqual([
    7,
    JOB_VERSION,
    0,
    [],
  ]);
  expect(await now.priceLists.count()).toBe(0);
  // the log of the site is there, and keeps what it has
  const entry = {
    id: 'e1',
    job: job.id,
    device: 'd',
    seq: 1,
    at: '2026-11-26T08:00:00.000Z',
    kind: 'note',
    who: 'p',
    note: 'dry',
  } as const;
  await now.log.add(entry);
  await expect(now.log.add({ ...entry, seq: 2 })).rejects.toThrow(/Key already exists|constraint/i);
  now.close();
});
