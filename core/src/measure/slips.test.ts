import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { seeded } from '../units/random.ts';
import { pick, plant, PLANTED, readRoom, SETTINGS, SHAPES, trueRoom, type Shape } from '../testing/rooms.ts';
import { parseLength } from '../units/length.ts';
import { FOOT } from '../units/si.ts';
import { close } from './closure.ts';
import { findSlips, reversedTurns, tellingDiagonal, type TypedWalk } from './slips.ts';

const square = [90, 90, 90, 90];
const typedWalk = (
  typed: readonly string[],
  turns: readonly number[] = square,
  diagonals: TypedWalk['diagonals'] = [],
): TypedWalk => ({
  typed,
  lengths: typed.map((text) => {
    const parsed = parseLength(text);
    if (!parsed.ok) throw new Error(text);
    return parsed.value;
  }),
  turns,
  turnsMeasured: false,
  diagonals,
});

/** Share of random rooms in which the planted wall is in the first class and every member closes equally. */
function share(shape: Shape, diagonals: number, rooms: number): { found: number; single: number } {
  const random = seeded(11 + rooms + diagonals);
  let [found, single, count] = [0, 0, 0];
  while (count < rooms) {
    const imperial = random() < 0.5;
    const readings = readRoom(random, trueRoom(random, shape), imperial, diagonals);
    const wall = Math.floor(random() * readings.lengths.length);
    const wrong = plant(random, readings, wall, pick(random, PLANTED), imperial);
    if (!wrong || close(wrong, SETTINGS).withinTolerance) continue;
    count++;
    const [first] = findSlips(wrong, SETTINGS);
    const remains =
      first?.members.map(
        (m) =>
          close({ ...wrong, lengths: wrong.lengths.map((l, i) => (i === m.wall ? m.corrected : l)) }, SETTINGS)
            .misclosure,
      ) ?? [];
    if (
      first?.members.some((m) => m.wall === wall) &&
      Math.max(...remains) - Math.min(...remains) < 2 * SETTINGS.readingError
    )
      found++;
    if (first?.members.length === 1) single++;
  }
  return { found: found / rooms, single: single / rooms };
}

describe('one planted slip beyond tolerance', () => {
  test.each(SHAPES.map((shape) => [shape]))('%s: the wall is in the first class in 95 %% of rooms', (shape) => {
    expect(share(shape, 0, 150).found).toBeGreaterThanOrEqual(0.95);
  });
  test('a diagonal tells more walls apart', () => {
    const [without, withOne] = [share('box', 0, 150), share('box', 1, 150)];
    expect(withOne.found).toBeGreaterThanOrEqual(0.95);
    expect(withOne.single).toBeGreaterThan(without.single + 0.3);
  });
});

test('a wall misread by any amount is among those offered: a wrong fix is never the only one', () => {
  const centimetres = (least: number, most: number) => fc.integer({ min: least, max: most }).map((cm) => cm / 100);
  const sides = fc.tuple(centimetres(200, 900), centimetres(200, 900));
  fc.assert(
    fc.property(sides, fc.nat(3), centimetres(-150, 150), ([a, b], wall, error) => {
      const read = [a, b, a, b].map((length, i) => (i === wall ? length + error : length));
      const readings = typedWalk(read.map((metres) => `${metres.toFixed(2)} m`));
      if (close(readings, SETTINGS).withinTolerance) return;
      const offered = findSlips(readings, SETTINGS).flatMap(({ members }) => members);
      const truth = wall % 2 ? b : a;
      expect(offered.some((m) => m.wall === wall && Math.abs(m.corrected - truth) < 0.02)).toBe(true);
    }),
  );
});

describe('by hand', () => {
  test('a foot on one wall of a box: it and the wall facing it explain the readings equally well', () => {
    const [first] = findSlips(typedWalk([`13'6`, `10'4`, `12'6`, `10'4`]), SETTINGS);
    expect(first?.slip).toBe('foot');
    expect(first?.members.map((m) => [m.wall, Number((m.corrected / FOOT).toFixed(6))])).toEqual([
      [0, 12.5],
      [2, 13.5],
    ]);
  });
  test('the diagonal that tells them apart, and what it should read', () => {
    const readings = typedWalk([`13'6`, `10'4`, `12'6`, `10'4`]);
    const [first] = findSlips(readings, SETTINGS);
    const telling = first && tellingDiagonal(readings, first, SETTINGS);
    expect([telling?.from, telling?.to]).toEqual([0, 2]);
    expect(telling?.expected.map((e) => e.length / FOOT)).toEqual(
      [Math.hypot(12.5, 10 + 1 / 3), Math.hypot(13.5, 10 + 1 / 3)].map((l) => expect.closeTo(l, 6)),
    );
    const known = { ...readings, diagonals: [{ from: 0, to: 2, length: Math.hypot(12.5, 10 + 1 / 3) * FOOT }] };
    expect(findSlips(known, SETTINGS)[0]?.members.map((m) => m.wall)).toEqual([0]);
  });
  test('swapped digits are found where they were written, metric taken for imperial by its factor', () => {
    expect(findSlips(typedWalk(['3.28 m', '2.70 m', '3.82 m', '2.70 m']), SETTINGS)[0]).toMatchObject({
      slip: 'digits',
      members: [{ wall: 0 }, { wall: 2 }],
    });
    const [first] = findSlips(typedWalk(['4.10 m', '3.20 m', '13.451 m', '3.20 m']), SETTINGS);
    expect([first?.slip, first?.members.map((m) => m.wall)]).toEqual(['unit', [0, 2]]);
  });
  test('in a canted room a single wall stands accused', () => {
    const random = seeded(5);
    const readings = readRoom(random, trueRoom(random, 'canted'), true);
    const wrong = plant(random, readings, 2, 'foot', true);
    const [first] = wrong ? findSlips(wrong, SETTINGS) : [];
    expect([first?.slip, first?.members.map((m) => m.wall)]).toEqual(['foot', [2]]);
  });
  test('readings that no single slip explains accuse nobody, and nothing is changed', () => {
    const readings = typedWalk([`13'7 3/8`, `10'4`, `12'6`, `11'1 1/8`]);
    expect(findSlips(readings, SETTINGS).filter((c) => c.slip !== 'misread')).toEqual([]);
    expect(readings.lengths[0]).toBeCloseTo((13 + 7.375 / 12) * FOOT, 12);
  });
  test('a turn taken the wrong way is named', () => {
    const ell = typedWalk(['5 m', '3 m', '3.5 m', '2 m', '1.5 m', '5 m'], [90, 90, 90, 90, 90, 90]);
    expect(reversedTurns(ell, SETTINGS)).toEqual([2]);
  });
});
