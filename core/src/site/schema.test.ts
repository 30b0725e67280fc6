import { describe, expect, test } from '@jest/globals';
import { readLog } from '../exchange/site-log.ts';
import { readEntry } from './schema.ts';

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
    [{ kind: 'done', operation: 't', at: '2026-02-31T25:00:00.000Z' }, /At is no moment there is/],
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
  test('of many wrong lines a few are said and the others counted; nothing is taken over', () => {
    const read = readLog(Array.from({ length: 12 }, () => '{"kind":"lunch"}').join('\n'), job);
    expect(read.ok).toBe(false);
    const said = read.ok ? [] : read.problems.map(({ message }) => message);
    expect(said).toHaveLength(6);
    expect(said.at(-1)).toBe('7 more lines are wrong; nothing was taken over.');
  });
  test('empty lines, a mark of the encoding and lines ended as on other systems are no fault', () => {
    const read = readLog(`\uFEFF\r\n${line({})}\r\n\r\n${line({ id: 'a-2', seq: 2 })}\r\n`, job);
    expect(read.ok && read.value.log.size).toBe(2);
    expect(read.ok && read.value.warnings).toEqual([]);
  });
  test('the same line twice is one entry; the same id with other words refuses the file', () => {
    const twice = readLog([line({}), line({})].join('\n'), job);
    expect(twice.ok && twice.value.log.size).toBe(1);
    const two = readLog([line({}), line({ note: 'y' })].join('\n'), job);
    expect(!two.ok && two.problems[0]?.message).toMatch(/another content/);
  });
});
