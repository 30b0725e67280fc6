import 'fake-indexeddb/auto';
import { afterAll, beforeEach, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { openJob } from '@kovelin/core/job/open.ts';
import { db, type JobRow } from './db.ts';
import { deleteJob, duplicateJob, importFile, renameJob, restoreJob } from './jobs.ts';

const text = readFileSync(join(__dirname, '../../../examples/keepers-cottage.json'), 'utf8');
const file = (content: string, name = 'cottage.json') => new File([content], name);
const row = async (id: string): Promise<JobRow> => {
  const found = await db.jobs.get(id);
  if (!found) throw new Error('not there');
  return found;
};

beforeEach(async () => {
  await db.jobs.clear();
});
afterAll(() => {
  db.close();
});

test('a file brought in is stored as it was written; brought in again, it is a second job', async () => {
  expect(await importFile(file(text), 'fresh')).toEqual({ id: 'keepers-cottage' });
  const opened = openJob(text);
  expect((await row('keepers-cottage')).job).toEqual(opened.ok && opened.value);
  expect(await importFile(file(text), 'fresh')).toEqual({ id: 'fresh' });
  expect(await db.jobs.count()).toBe(2);
});

test('a tape sheet becomes a job named after its file; a faulty one is refused and nothing is stored', async () => {
  const sheet = readFileSync(join(__dirname, '../../../examples/loft-bedroom.tape'), 'utf8');
  expect(await importFile(file(sheet, 'loft.tape'), 'loft')).toEqual({ id: 'loft' });
  expect((await row('loft')).name).toBe('loft');
  expect(await importFile(file('units ft\nroom R\nwall A', 'bad.tape'), 'bad')).toEqual({
    problems: [expect.stringMatching(/^line 3, column/)],
  });
  expect(await db.jobs.get('bad')).toBeUndefined();
});

test('a reading that cannot be does not keep a job out: it is shown beside its field', async () => {
  const tooWide =
    'units ft\nroom R\nheight 8\nwall A 10\nwall B 9\nwall C 10\nwall D 9\nwindow w on A 12 x 4 at 0 sill 3\n';
  expect(await importFile(file(tooWide, 'wide.tape'), 'wide')).toEqual({ id: 'wide' });
});

test('renamed, duplicated, deleted and brought back: the rev goes on, so that open tabs notice', async () => {
  await importFile(file(text), 'fresh');
  await renameJob(await row('keepers-cottage'), 'Boat house');
  const named = await row('keepers-cottage');
  expect([named.name, named.job.name, named.rev]).toEqual(['Boat house', 'Boat house', 2]);
  await duplicateJob(named, 'copy');
  expect((await row('copy')).job.name).toBe('Boat house (copy)');
  await deleteJob('keepers-cottage');
  expect(await db.jobs.get('keepers-cottage')).toBeUndefined();
  await restoreJob(named);
  expect(await row('keepers-cottage')).toMatchObject({ name: 'Boat house', rev: 3 });
});
