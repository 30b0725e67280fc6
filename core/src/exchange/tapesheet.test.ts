import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { seededIds } from '../job/create.ts';
import { roomFromDraft } from '../job/reconcile.ts';
import { formatTapeSheet } from './tapesheet-write.ts';
import { parseTapeSheet } from './tapesheet.ts';

const LOFT = readFileSync(join(__dirname, '../../../examples/loft-bedroom.tape'), 'utf8');
const problem = (text: string) => {
  const { line, column, message } = parseTapeSheet(text).problems[0] ?? { line: 0, column: 0, message: '' };
  return `${line}:${column} ${message}`;
};
const inRoom = (line: string) => `units ft\nroom R\nwall A 12\n${line}`;

test('the loft bedroom, clause by clause', () => {
  const sheet = parseTapeSheet(LOFT);
  expect(sheet.problems).toEqual([]);
  const { draft } = sheet.rooms[0] ?? {};
  expect(draft?.name).toBe('Loft bedroom');
  expect(draft?.walls[0]).toMatchObject({
    label: 'A',
    turn: 90,
    length: { typed: `12'6 1/2` },
    peaks: [{ at: { typed: `6'3` } }],
  });
  expect(draft?.openings.map((o) => [o.kind, o.label, o.wall, o.sill?.typed ?? null, o.casing?.typed ?? null])).toEqual(
    [
      ['door', 'd1', 'A', null, '2 1/2"'],
      ['window', 'w1', 'C', `1'8`, null],
      ['opening', 'o1', 'B', null, null],
    ],
  );
  expect([draft?.checks[0]?.length.typed, draft?.trim.baseboard?.face.typed]).toEqual([`16'3`, '5 1/2"']);
});

test('what is written reads back to the same room, in both systems', () => {
  const draft = parseTapeSheet(LOFT).rooms[0]?.draft;
  if (!draft) throw new Error('no room');
  const room = roomFromDraft(draft, 'r', seededIds('r'), 'imperial');
  for (const system of ['imperial', 'metric'] as const) {
    const again = parseTapeSheet(formatTapeSheet([room], system));
    expect(again.problems).toEqual([]);
    const metres = (d: typeof draft | undefined) =>
      JSON.stringify(d, (key, value: unknown) =>
        key === 'typed' ? undefined : typeof value === 'number' ? Number(value.toFixed(6)) : value,
      );
    expect(metres(again.rooms[0]?.draft)).toBe(metres(draft));
  }
});

describe('wall clauses in any order; turns', () => {
  test.each([
    [`wall B R 12'6 1/2 h 8' to 6'2`, 90, 12 * 12 + 6.5],
    [`wall B 45R 12'`, 45, 144],
    [`wall B 12' 45R`, 45, 144],
    [`wall B 12'6L`, -90, 150],
    ['wall B 22.5L 3.5', -22.5, 42],
  ])('%s', (line, turn, inches) => {
    const sheet = parseTapeSheet(inRoom(line));
    expect(sheet.problems).toEqual([]);
    expect(sheet.rooms[0]?.draft.walls[1]).toMatchObject({
      turn,
      length: { metres: expect.closeTo(inches * 0.0254, 9) as unknown as number },
    });
  });
});

test.each([
  ['wall A 12', /1:1 Name the room first/],
  ['room R\nwall A 12', /2:8 12 needs a unit/],
  [inRoom('wall A 10'), /4:6 “A” is already used in R \(line 3\)/],
  [inRoom('wall B 10 R R'), /4:13 This wall already has a turn/],
  [inRoom('wall B'), /4:7 Wall B needs its length/],
  [inRoom('door d on Z 3 x 7 at 1'), /4:11 There is no wall “Z” in R; its walls are A/],
  [inRoom('door d on A 3 7 at 1'), /4:15 Put an x between/],
  [inRoom('window w on A 3 x 4'), /needs its wall, its size and its distance/],
  [inRoom('trim baseboard 5'), /4:16 5 needs a unit/],
  [inRoom('trim chair-rail 3"'), /Say how high it is/],
  [inRoom('check A A 3'), /two different walls/],
  [inRoom('lintel 3'), /4:1 “lintel” does not start a line/],
  [inRoom('height 8 9'), /“9” is not understood/],
  ['units yd', /1:1 “yd” is not a unit/],
  ['', /has no room/],
])('%j is refused with its line and column', (text, message) => expect(problem(text)).toMatch(message));

test('mutated and random text never throws, and good lines still count', () => {
  const lines = LOFT.split('\n');
  const mutated = fc
    .tuple(fc.nat(lines.length - 1), fc.nat(40), fc.string({ maxLength: 4 }))
    .map(([i, at, scrap]) => lines.map((l, j) => (j === i ? l.slice(0, at) + scrap + l.slice(at) : l)).join('\n'));
  fc.assert(
    fc.property(fc.oneof(mutated, fc.string()), (text) => {
      const sheet = parseTapeSheet(text);
      for (const p of sheet.problems) expect(p.message.length).toBeGreaterThan(10);
      for (const room of sheet.rooms)
        for (const wall of room.draft.walls) expect(Number.isFinite(wall.length?.metres)).toBe(true);
    }),
    { numRuns: 300 },
  );
});
