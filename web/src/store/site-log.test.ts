import 'fake-indexeddb/auto';
import { expect, test } from '@jest/globals';
import type { LogEntry, SaidEntry } from '@kovelin/core/site/entry.ts';
import { inOrder } from '@kovelin/core/site/log.ts';
import { Database } from './db.ts';
import { LogWriter } from './log-writer.ts';
import { append, deviceOf, logOf } from './site-log.ts';

const note = (text: string): SaidEntry => ({ kind: 'note', who: 'ana', note: text });
const EIGHT = Date.parse('2026-12-01T08:00:00Z');
const inOrderOf = async (db: Database, job: string) => [...(await logOf(db, job)).log.values()].sort(inOrder);
const words = (entries: readonly LogEntry[]) => entries.map((entry) => entry.note);

test('a device signs the same way each time; its entries stand in order though its clock goes back, and apart from other jobs', async () => {
  const db = new Database('site-order');
  const device = await deviceOf(db);
  expect(await deviceOf(db)).toBe(device);
  await append(db, 'cottage', device, [{ said: [note('one'), note('two')], at: EIGHT }]);
  await append(db, 'mill', device, [{ said: [note('elsewhere')], at: EIGHT }]);
  const [third] = await append(db, 'cottage', device, [{ said: [note('three')], at: EIGHT - 3_600_000 }]);
  expect(words(await inOrderOf(db, 'cottage'))).toEqual(['one', 'two', 'three']);
  expect(Date.parse(third?.at ?? '')).toBe(EIGHT + 2);
  // at the same moment from two tabs: one after the other, none lost
  await Promise.all(
    Array.from({ length: 20 }, (_, n) => append(db, 'cottage', device, [{ said: [note(`tab ${n}`)], at: EIGHT + 10 }])),
  );
  const all = await inOrderOf(db, 'cottage');
  expect(all.map(({ seq }) => seq)).toEqual(Array.from({ length: 23 }, (_, n) => n + 1));
  db.close();
});

test('where there is no room it is said and waits; then it is written, in the order in which it was said', async () => {
  const written: string[] = [];
  let full = true;
  let again = (): void => undefined;
  const late: (() => void)[] = [];
  const writer = new LogWriter(
    async (noted) => {
      await Promise.resolve();
      if (full) throw new DOMException('no room', 'QuotaExceededError');
      written.push(...noted.flatMap(({ said }) => said.map((one) => one.note ?? '')));
    },
    (run, ms) => (ms > 1000 ? (again = run) : late.push(run)),
  );
  const quiet = async (waiting: number): Promise<void> => {
    for (let n = 0; n < 50 && writer.state.waiting !== waiting; n++) await Promise.resolve();
  };
  writer.say({ said: [note('one')], at: EIGHT });
  writer.say({ said: [note('two')], at: EIGHT });
  for (let n = 0; n < 50 && !writer.state.failed; n++) await Promise.resolve();
  // nobody waits long without being told
  late.forEach((look) => look());
  expect(writer.state).toEqual({
    waiting: 2,
    late: true,
    failed: expect.stringMatching(/no room left.*Nothing that was noted is lost/),
  });
  full = false;
  again();
  await quiet(0);
  expect(writer.state).toEqual({ waiting: 0, late: false, failed: null });
  expect(written).toEqual(['one', 'two']);
});
