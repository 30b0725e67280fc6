import 'fake-indexeddb/auto';
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { openJob } from '@kovelin/core/job/open.ts';
import { newJob, newRoom, seededIds } from '@kovelin/core/job/create.ts';
import type { Job } from '@kovelin/core/job/types.ts';
import { Dexie } from 'dexie';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Database } from './db.ts';
import { JobSession } from './session.ts';

let db: Database;
let count = 0;
const sessions: JobSession[] = [];
const job: Job = newJob(
  'j',
  'Cottage',
  'imperial',
  ['a', 'b'].map((id) => newRoom(id, `Room ${id}`, seededIds(id), 'imperial')),
);
const open = async () => {
  const session = await JobSession.open(db, 'j');
  if (!session) throw new Error('no job');
  sessions.push(session);
  return session;
};
const stored = async () => (await db.jobs.get('j'))?.job;
const rename = (room: string, name: string) => ({ name: 'setRoom' as const, args: { room, set: { name } } });

beforeEach(async () => {
  db = new Database(`test-${count++}`);
  await db.jobs.put({ id: 'j', rev: 1, name: job.name, updated: 0, job });
});
afterEach(() => {
  for (const session of sessions.splice(0)) session.close();
  db.close();
});

test('an edit shows at once, is one save and one undo step', async () => {
  const s = await open();
  expect(s.edit(rename('a', 'Parlour'))).toBeNull();
  expect(s.state.job.rooms.byId['a']?.name).toBe('Parlour');
  await s.settled();
  expect([(await stored())?.rooms.byId['a']?.name, (await db.jobs.get('j'))?.rev, s.state.saving]).toEqual([
    'Parlour',
    2,
    'saved',
  ]);
  s.undo();
  await s.settled();
  expect(await stored()).toEqual(job);
  s.redo();
  await s.settled();
  expect((await stored())?.rooms.byId['a']?.name).toBe('Parlour');
});

test('a draft drives what is shown and is never saved', async () => {
  const s = await open();
  s.setDraft(rename('a', 'Typing'));
  expect([s.state.shown.rooms.byId['a']?.name, s.state.job.rooms.byId['a']?.name, s.state.canUndo]).toEqual([
    'Typing',
    'Room a',
    false,
  ]);
  s.setDraft(null);
  expect(s.state.shown).toBe(s.state.job);
});

test('two tabs edit different rooms: both survive, undo stays', async () => {
  const [one, two] = [await open(), await open()];
  one.edit(rename('a', 'Parlour'));
  two.edit(rename('b', 'Washroom'));
  await Promise.all([one.settled(), two.settled()]);
  expect(Object.values((await stored())?.rooms.byId ?? {}).map((r) => r.name)).toEqual(['Parlour', 'Washroom']);
  two.undo();
  await two.settled();
  expect(Object.values((await stored())?.rooms.byId ?? {}).map((r) => r.name)).toEqual(['Parlour', 'Room b']);
});

test('two tabs edit the same place: the later one stands, the touched undo step is dropped, visibly', async () => {
  const [one, two] = [await open(), await open()];
  one.edit(rename('a', 'First'));
  await one.settled();
  two.edit(rename('a', 'Second'));
  await two.settled();
  await new Promise((resolve) => setTimeout(resolve, 50));
  expect((await stored())?.rooms.byId['a']?.name).toBe('Second');
  expect([one.state.canUndo, one.state.notice]).toEqual([false, expect.stringMatching(/1 undo step was dropped/)]);
});

test('an edit whose target another tab removed is refused with a sentence, and nothing else is lost', async () => {
  const [one, two] = [await open(), await open()];
  one.edit({ name: 'removeRoom', args: { room: 'a' } });
  two.edit(rename('a', 'Gone'));
  two.edit(rename('b', 'Kept'));
  await Promise.all([one.settled(), two.settled()]);
  expect([(await stored())?.rooms.order, (await stored())?.rooms.byId['b']?.name]).toEqual([['b'], 'Kept']);
  expect(two.state.notice).toMatch(/Not saved: This room is no longer/);
  expect(two.state.job).toEqual(await stored());
});

test('a save that fails is said and tried again', async () => {
  const s = await open();
  await db.jobs.delete('j');
  s.edit(rename('a', 'Parlour'));
  await s.settled();
  expect([s.state.saving, s.state.notice]).toEqual(['failed', expect.stringMatching(/could not save/)]);
  await db.jobs.put({ id: 'j', rev: 1, name: job.name, updated: 0, job });
  s.retry();
  await s.settled();
  expect((await stored())?.rooms.byId['a']?.name).toBe('Parlour');
});

test.each([1, 2])('a job kept by version %i opens in this one, with all it had', async (version) => {
  const frozen = readFileSync(join(__dirname, `../../../core/src/job/fixtures/v${version}.json`), 'utf8');
  const name = `old-${count++}`;
  const old = new Dexie(name);
  old.version(version).stores({ jobs: 'id, updated', touches: '[jobId+rev]' });
  await old.table('jobs').put({ id: 'j', rev: 7, name: 'Loft', updated: 0, job: JSON.parse(frozen) as unknown });
  old.close();
  const now = new Database(name);
  const row = await now.jobs.get('j');
  const opened = openJob(frozen);
  expect(row?.rev).toBe(7);
  expect(row?.job).toEqual(opened.ok && opened.value);
  now.close();
});
