import 'fake-indexeddb/auto';
import { afterAll, afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { openJob } from '@kovelin/core/job/open.ts';
import { newJob } from '@kovelin/core/job/create.ts';
import { newRoom, seededIds } from '@kovelin/core/job/blank.ts';
import type { Job } from '@kovelin/core/job/types.ts';
import { Dexie } from 'dexie';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { Database } from './db.ts';
import { door } from './door.ts';
import { UnfitJob, JobSession } from './session.ts';

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
/** Waits for something a session comes to by itself: what another tab saved. */
const until = (holds: () => boolean) =>
  new Promise<void>((resolve) => {
    const look = () => holds() && resolve();
    for (const session of sessions) session.subscribe(look);
    look();
  });
const rename = (room: string, name: string) => ({ name: 'setRoom' as const, args: { room, set: { name } } });

beforeEach(async () => {
  db = new Database(`test-${count++}`);
  await db.jobs.put({ id: 'j', rev: 1, name: job.name, updated: 0, job });
});
afterEach(() => {
  for (const session of sessions.splice(0)) session.close();
  db.close();
});

// the first test of this file: afterwards the rules are here
test('what is done before the rules are here waits for them, and is refused in words', async () => {
  const s = await open();
  expect(s.edit(rename('a', 'Early'))).toBeNull();
  s.edit({ name: 'removeRoom', args: { room: 'nowhere' } });
  expect([s.state.job, s.state.saving]).toEqual([job, 'saving']);
  await s.settled();
  expect((await stored())?.rooms.byId['a']?.name).toBe('Early');
  expect([s.state.saving, s.state.notice]).toEqual(['saved', expect.stringMatching(/no longer/)]);
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
  const owner = {};
  await door();
  s.setDraft(owner, rename('a', 'Typing'));
  expect([s.state.shown.rooms.byId['a']?.name, s.state.job.rooms.byId['a']?.name, s.state.canUndo]).toEqual([
    'Typing',
    'Room a',
    false,
  ]);
  s.setDraft({}, null);
  expect(s.state.shown.rooms.byId['a']?.name).toBe('Typing');
  s.setDraft(owner, null);
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
  await until(() => one.state.notice !== null);
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

test('a save that fails is said with what to do, tried again, and the sentence goes', async () => {
  const s = await open();
  const put = jest.spyOn(db.jobs, 'put').mockRejectedValue(new DOMException('full', 'QuotaExceededError'));
  s.edit(rename('a', 'Parlour'));
  await s.settled();
  expect([s.state.saving, s.state.notice]).toEqual(['failed', expect.stringMatching(/no room left.*Export/)]);
  put.mockRestore();
  s.retry();
  await s.settled();
  expect([s.state.saving, s.state.notice, (await stored())?.rooms.byId['a']?.name]).toEqual(['saved', null, 'Parlour']);
});

describe('undo across tabs', () => {
  test('a wall added here and one removed there: the undo is refused, and the job opens', async () => {
    const [one, two] = [await open(), await open()];
    one.edit({ name: 'addWall', args: { room: 'a', id: 'new', after: null } });
    await one.settled();
    await until(() => two.state.job.rooms.byId['a']?.walls.order.length === 5);
    two.edit({ name: 'removeWall', args: { room: 'a', wall: 'a-0' } });
    one.undo();
    await Promise.all([one.settled(), two.settled()]);
    const opened = openJob(JSON.stringify(await stored()));
    expect(opened.ok).toBe(true);
    await until(() => one.state.saving === 'saved' && one.state.job.rooms.byId['a']?.walls.byId['a-0'] === undefined);
    // whichever was first: either the undo went in before, or it was left out and said
    const walls = (await stored())?.rooms.byId['a']?.walls.order;
    expect([
      ['a-1', 'a-2', 'a-3'],
      ['a-1', 'a-2', 'a-3', 'new'],
    ]).toContainEqual(walls);
    if (walls?.includes('new')) expect(one.state.notice).toMatch(/left out/);
  });
  test('a length both changed: the undo made before the other was seen does not take it back', async () => {
    const [one, two] = [await open(), await open()];
    const length = (metres: number) => ({
      name: 'setWall' as const,
      args: { room: 'a', wall: 'a-0', set: { length: { typed: `${metres} m`, metres } } },
    });
    one.edit(length(3));
    await one.settled();
    await until(() => two.state.rev === 2);
    two.edit(length(4));
    // queued behind an edit of its own, so that it is saved after the other is known
    one.edit(rename('b', 'Washroom'));
    one.undo();
    one.undo();
    await Promise.all([one.settled(), two.settled()]);
    await until(() => one.state.saving === 'saved' && two.state.saving === 'saved');
    const now = (await stored())?.rooms.byId['a']?.walls.byId['a-0']?.length?.metres;
    // the edit of the other tab stands, unless it came last and stands on top
    expect(now).toBe(4);
  });
  test('what cannot be in a job is not stored, whatever patches say', async () => {
    const s = await open();
    const patches = [{ op: 'replace' as const, path: ['rooms', 'byId', 'a', 'walls', 'order'], value: ['gone'] }];
    expect(s.edit({ name: 'patch', args: { patches } })).toMatch(/order list/);
    await s.settled();
    expect(await stored()).toEqual(job);
  });
});

describe('leaving in the middle of a save', () => {
  const kept = new Map<string, string>();
  beforeEach(() => {
    kept.clear();
    const storage = {
      setItem: (key: string, value: string) => kept.set(key, value),
      getItem: (key: string) => kept.get(key) ?? null,
      removeItem: (key: string) => kept.delete(key),
    };
    // its keys are its own properties, as a browser's are
    const keys = {
      ownKeys: () => [...kept.keys()],
      getOwnPropertyDescriptor: () => ({ enumerable: true, configurable: true }),
    };
    Object.defineProperty(globalThis, 'localStorage', { value: new Proxy(storage, keys), configurable: true });
  });
  afterAll(() => {
    Reflect.deleteProperty(globalThis, 'localStorage');
  });

  test('what was not in the database yet is taken up by the next page, once', async () => {
    const s = await open();
    const put = jest.spyOn(db.jobs, 'put').mockRejectedValue(new Error('the page is gone'));
    s.edit(rename('a', 'Parlour'));
    s.edit(rename('b', 'Washroom'));
    expect(s.leave()).toBe(true);
    await s.settled();
    put.mockRestore();
    const next = await open();
    expect(next.state.job.rooms.byId['b']?.name).toBe('Washroom');
    await next.settled();
    expect([(await db.jobs.get('j'))?.rev, kept.size]).toEqual([3, 0]);
  });
  test('a page left as soon as it was opened leaves all of it to the next: at no moment is it nowhere', async () => {
    const s = await open();
    const put = jest.spyOn(db.jobs, 'put').mockRejectedValue(new Error('the page is gone'));
    s.edit(rename('a', 'Parlour'));
    s.leave();
    await s.settled();
    const seen: boolean[] = [];
    const forget = kept.delete.bind(kept);
    const spied = jest.spyOn(kept, 'delete').mockImplementation((key) => {
      const had = forget(key);
      seen.push([...kept.values()].some((value) => value.includes('Parlour')));
      return had;
    });
    await open();
    spied.mockRestore();
    expect([seen.length > 0, seen.every(Boolean)]).toEqual([true, true]);
    put.mockRestore();
  });
  /** A page that is left with an edit which the database has not. */
  const leftWith = async (name: string): Promise<void> => {
    const s = await open();
    const put = jest.spyOn(db.jobs, 'put').mockRejectedValue(new Error('the page is gone'));
    s.edit(rename('a', name));
    expect(s.leave()).toBe(true);
    await s.settled();
    s.close();
    put.mockRestore();
  };
  test('where nothing can be noted any more, the notes of the page before stay until they are saved', async () => {
    await leftWith('Parlour');
    const before = [...kept];
    const write = jest.spyOn(kept, 'set').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    const put = jest.spyOn(db.jobs, 'put').mockRejectedValue(new Error('the page is gone'));
    const full = await open();
    expect(full.state.job.rooms.byId['a']?.name).toBe('Parlour');
    await full.settled();
    full.close();
    expect([...kept]).toEqual(before);
    write.mockRestore();
    put.mockRestore();
    const next = await open();
    await next.settled();
    expect((await stored())?.rooms.byId['a']?.name).toBe('Parlour');
  });
  test('two pages that open at once take up the same notes, and the edit is one', async () => {
    await leftWith('Parlour');
    const rev = (await db.jobs.get('j'))?.rev ?? 0;
    const pages = await Promise.all([open(), open()]);
    await Promise.all(pages.map((page) => page.settled()));
    expect((await stored())?.rooms.byId['a']?.name).toBe('Parlour');
    expect((await db.jobs.get('j'))?.rev).toBe(rev + 1);
    for (const page of pages) {
      expect(page.state.job.rooms.byId['a']?.name).toBe('Parlour');
      page.close();
    }
    expect(kept.size).toBe(0);
  });
  test('what was saved after all is not saved over what others did since', async () => {
    const s = await open();
    s.edit(rename('a', 'Parlour'));
    s.leave();
    const left = new Map(kept);
    await s.settled();
    s.edit(rename('a', 'Drawing room'));
    await s.settled();
    for (const [key, value] of left) kept.set(key, value);
    const next = await open();
    await next.settled();
    expect([(await stored())?.rooms.byId['a']?.name, (await db.jobs.get('j'))?.rev]).toEqual(['Drawing room', 3]);
  });
});

test('a damaged record is said when it is opened, and left as it is', async () => {
  const damaged = { id: 'j', rev: 1, name: 'x', updated: 0, job: { format: 'kovelin-job' } as unknown as Job };
  await db.jobs.put(damaged);
  await expect(JobSession.open(db, 'j')).rejects.toBeInstanceOf(UnfitJob);
  expect(await db.jobs.get('j')).toEqual(damaged);
});

test.each([1, 2, 5])('a job kept by version %i opens in this one, with all it had', async (version) => {
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
