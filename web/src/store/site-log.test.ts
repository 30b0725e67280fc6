import 'fake-indexeddb/auto';
import { expect, test } from '@jest/globals';
import type { LogEntry, SaidEntry } from '@kovelin/core/site/entry.ts';
import { Database } from './db.ts';
import { LogWriter } from './log-writer.ts';
import { append, deviceOf, logOf, takeOver } from './site-log.ts';

const note = (text: string): SaidEntry => ({ kind: 'note', who: 'ana', note: text });
const EIGHT = Date.parse('2026-12-01T08:00:00Z');
const words = (entries: readonly LogEntry[]) => entries.map((entry) => entry.note);

test('a device signs the same way each time; its entries stand in order though its clock goes back, and apart from other jobs', async () => {
  const db = new Database('site-order');
  const device = await deviceOf(db);
  expect(await deviceOf(db)).toBe(device);
  await append(db, 'cottage', device, [note('one'), note('two')], EIGHT);
  await append(db, 'mill', device, [note('elsewhere')], EIGHT);
  const [third] = await append(db, 'cottage', device, [note('three')], EIGHT - 3_600_000);
  expect(words(await logOf(db, 'cottage'))).toEqual(['one', 'two', 'three']);
  expect(Date.parse(third?.at ?? '')).toBe(EIGHT + 2);
  // at the same moment from two tabs: one after the other, none lost
  await Promise.all(
    Array.from({ length: 20 }, (_, n) => append(db, 'cottage', device, [note(`tab ${n}`)], EIGHT + 10)),
  );
  const all = await logOf(db, 'cottage');
  expect(all.map(({ seq }) => seq)).toEqual(Array.from({ length: 23 }, (_, n) => n + 1));
  db.close();
});

test('another device’s entries are taken over once, all or none', async () => {
  const [here, there] = [new Database('site-here'), new Database('site-there')];
  await append(here, 'cottage', 'kdesk', [note('at the desk')], EIGHT);
  await append(there, 'cottage', 'kphone', [note('on the stairs'), note('in the loft')], EIGHT);
  const theirs = await logOf(there, 'cottage');
  expect(await takeOver(here, 'cottage', theirs)).toEqual({ ok: true, value: 2 });
  expect(await takeOver(here, 'cottage', theirs)).toEqual({ ok: true, value: 0 });
  const [first, second] = theirs;
  if (!first || !second) throw new Error('two entries');
  const forged = { ...second, note: 'never there' } as LogEntry;
  const fresh = { ...first, id: 'kphone-cottage-9', seq: 9 } as LogEntry;
  const refused = await takeOver(here, 'cottage', [fresh, forged]);
  expect(!refused.ok && refused.problems[0]?.message).toMatch(/another content/);
  const elsewhere = await takeOver(here, 'mill', theirs);
  expect(!elsewhere.ok && elsewhere.problems[0]?.message).toMatch(/log of another job/);
  expect(await logOf(here, 'cottage')).toHaveLength(3);
  here.close();
  there.close();
});

test('where there is no room it is said and waits; then it is written, in the order in which it was said', async () => {
  const written: string[] = [];
  let full = true;
  let again = (): void => undefined;
  const writer = new LogWriter(
    async ({ said }) => {
      await Promise.resolve();
      if (full) throw new DOMException('no room', 'QuotaExceededError');
      written.push(...said.map((one) => one.note ?? ''));
    },
    (run) => (again = run),
  );
  const quiet = async (waiting: number): Promise<void> => {
    for (let n = 0; n < 50 && writer.state.waiting !== waiting; n++) await Promise.resolve();
  };
  writer.say([note('one')], EIGHT);
  writer.say([note('two')], EIGHT);
  for (let n = 0; n < 50 && !writer.state.failed; n++) await Promise.resolve();
  expect(writer.state).toEqual({
    waiting: 2,
    failed: expect.stringMatching(/no room left.*Nothing that was noted is lost/),
  });
  full = false;
  again();
  await quiet(0);
  expect(writer.state).toEqual({ waiting: 0, failed: null });
  expect(written).toEqual(['one', 'two']);
});
