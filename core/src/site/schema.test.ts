import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { runs } from '../testing/runs.ts';
import { readLog, writeLog } from '../exchange/site-log.ts';
import { logFiles, tryLog } from '../testing/hostile-logs.ts';
import { faultOfSaid, readEntry } from './schema.ts';

const BASE = { id: 'a-1', at: '2026-12-01T08:00:00.000Z', seq: 1, device: 'a', who: 'ana' };
const entry = (more: object) => readEntry({ ...BASE, ...more });
const messageOf = (more: object): string => {
  const read = entry(more);
  return read.ok ? '' : (read.problems[0]?.message ?? '');
};

describe('entries at the door', () => {
  test.each([
    { kind: 'start', operation: 't' },
    { kind: 'done', operation: 't' },
    { kind: 'stop', operation: 't', value: { reason: 'break' } },
    { kind: 'stop', value: { reason: 'day-over' } },
    { kind: 'air', value: { temperature: -3.5, humidity: 0.8, draught: 0 } },
    { kind: 'can', value: { paint: 'paint-wall|satin|c1', litres: 3.785, batch: '' } },
    { kind: 'litres', value: { paint: 'paint-wall|satin|c1', left: 0.1, by: 'dip' } },
    { kind: 'cover', value: { thing: 'Hall: smoke 1' } },
    { kind: 'uncover', value: { thing: 'Hall: smoke 1' } },
    { kind: 'note', note: 'dry by ten' },
    { kind: 'photo', value: { photo: 'p1', width: 4000, height: 3000 } },
    { kind: 'correct', corrects: 'a-0', value: { removed: true } },
    { kind: 'correct', corrects: 'a-0', value: { at: '2026-12-01T07:55:00.000Z', note: 'earlier' } },
  ])('%j is an entry', (more) => {
    expect(entry(more)).toEqual({ ok: true, value: { ...BASE, ...more } });
  });

  test.each([
    [{ kind: 'start' }, /Operation is required/],
    [{ kind: 'start', operation: 't', value: { reason: 'break' } }, /Value is not allowed/],
    [{ kind: 'note' }, /Note is required/],
    [{ kind: 'stop', operation: 't', value: { reason: 'tired' } }, /Value.reason must be one of \[break, waits/],
    [{ kind: 'air', value: { temperature: 20, humidity: 55, draught: 0 } }, /humidity must be less than or equal to 1/],
    [{ kind: 'litres', value: { paint: 'p', left: -1, by: 'dip' } }, /left must be greater than or equal to 0/],
    [{ kind: 'can', value: { paint: 'p', litres: 1e9, batch: '' } }, /litres must be less than or equal to 1000/],
    [{ kind: 'note', note: 'x'.repeat(5000) }, /length must be less than or equal to 4000/],
    [{ kind: 'correct', value: { removed: true } }, /Corrects is required/],
    [{ kind: 'done', operation: 't', corrects: 'a-0' }, /Corrects is not allowed/],
    [{ kind: 'done', operation: 't', id: '../x' }, /Id with value \.\.\/x fails to match the an id pattern/],
    [{ kind: 'done', operation: 't', seq: 0 }, /Seq must be greater than or equal to 1/],
    [{ kind: 'done', operation: 't', at: 'yesterday' }, /At with value yesterday.*a moment such as/],
    [{ kind: 'done', operation: 't', at: '2026-02-31T25:00:00.000Z' }, /At is no moment from 2020 to 2099/],
    [{ kind: 'done', operation: 't', at: '9999-12-31T23:59:59.999-14:00' }, /At is no moment from 2020 to 2099/],
    [{ kind: 'correct', corrects: 'a-0', value: { at: '9999-12-31T23:59:59.999-14:00' } }, /Value does not match/],
    [
      { kind: 'correct', corrects: 'a-0', value: { value: { temperature: 'x', humidity: 1e300 } } },
      /Value does not match/,
    ],
    [{ kind: 'litres', value: { paint: 'p', left: NaN, by: 'dip' } }, /left must be a number/],
    [{ kind: 'done', operation: 't', mood: 'good' }, /Mood is not allowed/],
  ])('%j is refused with what is wrong', (more, message) => {
    expect(messageOf(more)).toMatch(message);
  });
  test('what is no entry at all', () => {
    for (const nothing of [null, 7, 'start', [], {}, { kind: 'constructor' }])
      expect(readEntry(nothing).ok).toBe(false);
  });
  test('a moment in another zone or without seconds is the same moment', () => {
    for (const at of ['2026-12-01T09:00+01:00', '2026-12-01T08:00Z', '2026-12-01T08:00:00.000Z']) {
      const read = entry({ kind: 'done', operation: 't', at });
      expect(read.ok && read.value.at).toBe(BASE.at);
    }
  });
});

describe('files', () => {
  const job = { id: 'cottage', name: 'Cottage' };
  const line = (more: object) => JSON.stringify({ ...BASE, kind: 'note', note: 'x', ...more });
  test('a file of which no line is an entry is no log; more lines than a log has are not read', () => {
    const said = (text: string) => {
      const read = readLog(text, job);
      return read.ok ? '' : read.problems[0]?.message;
    };
    expect(said('{"kind":"lunch"}\n'.repeat(12))).toMatch(
      /no log: no line of it is an entry. Line 1: No entry of the kind “lunch”/,
    );
    expect(said('x\n'.repeat(1e6))).toMatch(/more than 100000 lines/);
    expect(said('x'.repeat(2e6) + '\n')).toMatch(/no log/);
  });
  test('law: what is no entry is kept as it came and written out again, and stands in the way of nothing', () => {
    const wrong = fc.oneof(
      fc.jsonValue().map((value) => JSON.stringify(value)),
      fc.string({ minLength: 1 }).map((text) => `?${text.replaceAll('\n', ' ')}`.trim()),
      fc.constantFrom('{"kind":"lunch","id":"a-9","who":"ana"}', line({ note: 'x'.repeat(4001) }), line({ seq: 1e99 })),
      fc.string().map((note) => line({ note: `${note}!` })),
    );
    fc.assert(
      fc.property(fc.array(wrong, { maxLength: 8 }), fc.nat(8), (lines, place) => {
        const own = line({ id: 'a-1', note: 'mine' });
        const all = [...lines.slice(0, place), own, ...lines.slice(place)];
        const text = `${JSON.stringify({ kovelin: 'log', version: 1, job: job.id })}\n${own}\n${all.join('\n')}\n`;
        const read = readLog(text, job);
        if (!read.ok) throw new Error(read.problems[0]?.message);
        expect([...read.value.log.values()].map(({ note }) => note)).toEqual(['mine']);
        // one named like that entry is among them
        expect(read.value.aside).toHaveLength(all.length - 1);
        const again = readLog(writeLog(read.value.log, job, read.value.aside), job);
        expect(again.ok && again.value.aside.map((one) => one.text).sort()).toEqual(
          read.value.aside.map((one) => one.text).sort(),
        );
      }),
      runs(67),
    );
  });
  test('empty lines, a mark of the encoding and lines ended as on other systems are no fault', () => {
    const read = readLog(`\uFEFF\r\n${line({})}\r\n\r\n${line({ id: 'a-2', seq: 2 })}\r\n`, job);
    expect(read.ok && read.value.log.size).toBe(2);
    expect(read.ok && read.value.warnings).toEqual([]);
  });
  test('law: of a log whose lines were changed anyhow each is an entry or set aside, and the export has all of them', () => {
    fc.assert(
      fc.property(logFiles(7), (text) => expect(tryLog(text)).toBeNull()),
      runs(67),
    );
  });
  test('the same line twice is one entry', () => {
    const twice = readLog([line({}), line({})].join('\n'), job);
    expect(twice.ok && [twice.value.log.size, twice.value.aside]).toEqual([1, []]);
  });
  test('a note of its longest, and one longer, as they are about to be noted', () => {
    const note = (length: number) => faultOfSaid({ kind: 'note', who: 'ana', note: 'x'.repeat(length) });
    expect([note(4000), note(4001)]).toEqual([null, expect.stringMatching(/cannot be noted: Note length.*4000/)]);
  });
});
