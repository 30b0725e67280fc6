import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { runs } from '../testing/runs.ts';
import { LAID_BY } from '../job/recorded.ts';
import { SHEENS } from '../job/vocabulary.ts';
import { fadeShare, glossOf, paintNeeded, touchUp, VERDICTS, type TouchUpCase, type Verdict } from './touchUp.ts';

const job = { settings: {} };
/** A nail hole filled in a flat pale wall of last year, with what was left of its own can. */
const EASY: TouchUpCase = {
  patches: 1,
  size: 0.02,
  age: 1,
  sun: 0,
  hex: '#e6e2d8',
  sheen: 'flat',
  paint: 'same',
  batch: 'same',
  cover: 'same',
  laid: 'roller',
  coats: 2,
  raked: false,
  ground: null,
  trim: false,
};
const rank = (verdict: Verdict) => VERDICTS.indexOf(verdict);

/** The rules of the trade, each by name [common practice, no source; where each begins is a starting judgement]. */
const CASES: readonly (readonly [rule: string, of: Partial<TouchUpCase>, verdict: Verdict, because: string])[] = [
  ['a small spot in flat paint of its own can is brushed', {}, 'brush', 'size'],
  ['a larger one wants a small roller, feathered thin', { size: 0.08 }, 'mini-roller', 'size'],
  [
    'where a small roller hardly blends, paint thinned by 5 % is the last try',
    { size: 0.1, patches: 3, sheen: 'matte', raked: true },
    'thinned',
    'raked',
  ],
  ['a place as large as that is painted corner to corner', { size: 0.4 }, 'wall', 'size'],
  ['many places', { patches: 12, size: 0.06, batch: 'unknown' }, 'wall', 'patches'],
  ['deep red is not touched up', { hex: '#6b1f24' }, 'wall', 'deep-no'],
  ['nor deep brown', { hex: '#4d3423' }, 'wall', 'deep-no'],
  ['nor deep green', { hex: '#20453a' }, 'wall', 'deep-no'],
  ['a deep blue shows, and is not barred', { hex: '#22394f', size: 0.01 }, 'mini-roller', 'deep'],
  ['satin catches the light', { sheen: 'satin' }, 'wall', 'sheen'],
  [
    'a builder’s thin sprayed coat foretells that a touch-up will show',
    { laid: 'spray', coats: 1 },
    'wall',
    'thin-build',
  ],
  ['another paint', { paint: 'other' }, 'wall', 'paint-other'],
  ['faded where the sun falls: the neighbours too', { age: 10, sun: 4, hex: '#8fb0c4' }, 'neighbours', 'fade'],
  ['faded all over and long ago: the room', { age: 25, sun: 6, hex: '#6f9a72' }, 'room', 'fade'],
];
test.each(CASES)('%s', (_, of, verdict, because) => {
  const answer = touchUp(job, { ...EASY, ...of });
  expect([answer.verdict, answer.because.map(({ rule }) => rule)]).toEqual([
    verdict,
    expect.arrayContaining([because]),
  ]);
});

describe('laws', () => {
  const years = fc.double({ min: 0, max: 40, noNaN: true });
  const hex = fc.integer({ min: 0, max: 0xffffff }).map((n) => `#${n.toString(16).padStart(6, '0')}`);
  const sameness = fc.constantFrom('same', 'other', 'unknown' as const);
  const any: fc.Arbitrary<TouchUpCase> = fc.record({
    patches: fc.integer({ min: 1, max: 30 }),
    size: fc.double({ min: 0.001, max: 2, noNaN: true }),
    age: years,
    sun: fc.double({ min: 0, max: 10, noNaN: true }),
    hex,
    sheen: fc.constantFrom(...SHEENS),
    paint: sameness,
    batch: sameness,
    cover: sameness,
    laid: fc.option(fc.constantFrom(...LAID_BY)),
    coats: fc.option(fc.integer({ min: 1, max: 4 })),
    raked: fc.boolean(),
    ground: fc.option(hex),
    trim: fc.boolean(),
  }) as fc.Arbitrary<TouchUpCase>;

  test('more age, sun, size or places: never a smaller answer, never less to be seen', () => {
    fc.assert(
      fc.property(
        any,
        fc.constantFrom('age', 'sun', 'size', 'patches' as const),
        fc.integer({ min: 1, max: 5 }),
        (c, what, more) => {
          const [less, greater] = [touchUp(job, c), touchUp(job, { ...c, [what]: c[what] + more })];
          expect(greater.score).toBeGreaterThanOrEqual(less.score - 1e-6);
          expect(rank(greater.verdict)).toBeGreaterThanOrEqual(rank(less.verdict));
          expect(greater.deltaE).toBeGreaterThanOrEqual(less.deltaE - 1e-6);
          expect(greater.gloss).toBeGreaterThanOrEqual(less.gloss - 1e-9);
        },
      ),
      runs(133),
    );
  });
  test('what shines more shows a spot more, whatever else is so', () => {
    const points = (c: TouchUpCase) => touchUp(job, c).because.find(({ rule }) => rule === 'sheen')?.points ?? 0;
    for (const [i, sheen] of SHEENS.slice(1).entries())
      expect(points({ ...EASY, sheen })).toBeGreaterThan(points({ ...EASY, sheen: SHEENS[i] ?? 'flat' }));
  });
  test('the same batch, cover or paint is never worse, and what would change it is so when it is changed', () => {
    fc.assert(
      fc.property(any, fc.constantFrom('batch', 'cover', 'paint' as const), (c, what) => {
        const [was, same] = [touchUp(job, c), touchUp(job, { ...c, [what]: 'same' })];
        expect(rank(same.verdict)).toBeLessThanOrEqual(rank(was.verdict));
        expect(
          [same.score, same.deltaE, same.gloss].every(
            (v, i) => v <= ([was.score, was.deltaE, was.gloss][i] ?? 0) + 1e-9,
          ),
        ).toBe(true);
        for (const { change, verdict } of was.wouldChange) {
          expect(rank(verdict)).toBeLessThan(rank(was.verdict));
          if (change === 'cover') expect(touchUp(job, { ...c, cover: 'same' }).verdict).toBe(verdict);
        }
        expect(was.score).toBeCloseTo(
          was.because.reduce((sum, { points }) => sum + points, 0),
          9,
        );
      }),
    );
  });
});

test('the figures: fading starts at nothing and never goes beyond what is lost in the end; gloss is that of the sheen', () => {
  // starting judgements: 1 % a year by the light of a room, 2.5 % for each hour of sun, 40 % in the end; deep colours more
  expect(fadeShare(job, { age: 0, sun: 8, hex: '#22394f' })).toBe(0);
  expect(fadeShare(job, { age: 1000, sun: 8, hex: '#22394f' })).toBeCloseTo(0.4, 6);
  expect(fadeShare(job, { age: 1, sun: 0, hex: '#ffffff' })).toBeCloseTo(0.4 * (1 - Math.exp(-0.01)), 9);
  expect(fadeShare(job, { age: 2, sun: 2, hex: '#5a2a2a' })).toBeGreaterThan(
    fadeShare(job, { age: 2, sun: 2, hex: '#e6e2d8' }),
  );
  // bands of EN 13300 at 60° and 85°, from memory: matt below 10, satin (mid sheen) up to 60, gloss from 60
  expect([glossOf('matte') < 10, glossOf('satin') < 60, glossOf('gloss') >= 60]).toEqual([true, true, true]);
  const strong = touchUp(job, { ...EASY, hex: '#22394f', ground: '#f2efe8' });
  expect([strong.coats, touchUp(job, EASY).coats]).toEqual([3, 2]);
  const areas = { wall: 10, neighbours: 25, room: 40 };
  expect(paintNeeded({ verdict: 'neighbours', coats: 2 }, EASY, areas, 10)).toBe(5);
  expect(paintNeeded({ verdict: 'brush', coats: 2 }, EASY, areas, 10)).toBeCloseTo((3 * 0.02 ** 2 * 2) / 10, 12);
});
