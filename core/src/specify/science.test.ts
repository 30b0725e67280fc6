import { describe, expect, test } from '@jest/globals';
import Color from 'colorjs.io';
import fc from 'fast-check';
import { runs } from '../testing/runs.ts';
import { contrastOfClass, hidingClass, parseContrast } from './classes.ts';
import { hexOfLab, labDelta, labOf, lrvOf, undertone } from './colour.ts';
import { parseColour } from './colour-text.ts';
import { averageReadings } from './readings.ts';
import { bestTint, doubts, filmReflectance, hide, hideAll } from './hiding.ts';

const question = { film: 1, cutFilm: 0.75, first: 1, last: 1, cv: 0.35, limit: 1 };
const hex = fc
  .tuple(fc.nat(255), fc.nat(255), fc.nat(255))
  .map((c) => `#${c.map((v) => v.toString(16).padStart(2, '0')).join('')}`);

// Sharma, Wu and Dalal, "The CIEDE2000 color-difference formula", 2005, table 1; values from memory
const PAIRS = `50 2.6772 -79.7751 50 0 -82.7485 2.0425
50 3.1571 -77.2803 50 0 -82.7485 2.8615
50 2.8361 -74.02 50 0 -82.7485 3.4412
50 -1.3802 -84.2814 50 0 -82.7485 1
50 -1.1848 -84.8006 50 0 -82.7485 1
50 -0.9009 -85.5211 50 0 -82.7485 1
50 0 0 50 -1 2 2.3669
50 -1 2 50 0 0 2.3669
50 2.49 -0.001 50 -2.49 0.0009 7.1792
50 2.49 -0.001 50 -2.49 0.0011 7.2195
50 -0.001 2.49 50 0.0009 -2.49 4.8045
50 -0.001 2.49 50 0.0011 -2.49 4.7461
50 2.5 0 50 0 -2.5 4.3065
50 2.5 0 73 25 -18 27.1492
50 2.5 0 61 -5 29 22.8977
50 2.5 0 56 -27 -3 31.903
50 2.5 0 58 24 15 19.4535
50 2.5 0 50 3.1736 0.5854 1
50 2.5 0 50 3.2972 0 1
50 2.5 0 50 1.8634 0.5757 1
50 2.5 0 50 3.2592 0.335 1
60.2574 -34.0099 36.2677 60.4626 -34.1751 39.4387 1.2644
63.0109 -31.0961 -5.8663 62.8187 -29.7946 -4.0864 1.263
61.2901 3.7196 -5.3901 61.4292 2.248 -4.962 1.8731
35.0831 -44.1164 3.7933 35.0232 -40.0716 1.5901 1.8645
22.7233 20.0904 -46.694 23.0331 14.973 -42.5619 2.0373
36.4612 47.858 18.3852 36.2715 50.5065 21.2231 1.4146
90.8027 -2.0831 1.441 91.1528 -1.6435 0.0447 1.4441
90.9257 -0.5406 -0.9208 88.6381 -0.8985 -0.7239 1.5381
6.7747 -0.2908 -2.4247 5.8714 -0.0985 -2.2286 0.6377
2.0776 0.0795 -1.135 0.9033 -0.0636 -0.5514 0.9082`.split('\n');

test.each(PAIRS)('CIEDE2000 of the published pair %s', (line) => {
  const [l1 = 0, a1 = 0, b1 = 0, l2 = 0, a2 = 0, b2 = 0, expected = 0] = line.split(' ').map(Number);
  expect(labDelta({ l: l1, a: a1, b: b1 }, { l: l2, a: a2, b: b2 })).toBeCloseTo(expected, 4);
});

describe('colours', () => {
  test('Lab and back, and luminance, agree with a second colour library (colorjs.io)', () => {
    fc.assert(
      fc.property(hex, (colour) => {
        const theirs = new Color(colour).to('lab-d65').coords;
        const { l, a, b } = labOf(colour);
        [l, a, b].forEach((v, i) => expect(v).toBeCloseTo(theirs[i] ?? NaN, 2));
        expect(lrvOf(colour)).toBeCloseTo(100 * (new Color(colour).to('xyz-d65').coords[1] ?? NaN), 2);
        expect(hexOfLab({ l, a, b })).toEqual({ hex: colour, shown: true });
      }),
    );
    expect(hexOfLab({ l: 60, a: 110, b: 60 }).shown).toBe(false);
  });
  test.each([
    ['#ffffff', 'near white, neutral'],
    ['#f4f1ea', 'near white, a trace of yellow'],
    ['#22394f', 'deep, clearly blue'],
    ['#7a1f26', 'deep, strongly red'],
    ['#c3cdbd', 'light, a leaning to green'],
    ['#808080', 'of middle depth, neutral'],
  ])('%s is %s', (colour, words) => expect(undertone(colour)).toBe(words));
});

test.each([
  ['#22394F', { hex: '#22394f', shown: true }],
  ['fa0', { hex: '#ffaa00', shown: true }],
  ['34 57 79', { hex: '#22394f', shown: true }],
  ['rgb(34, 57, 79)', { hex: '#22394f', shown: true }],
  ['Lab 53,585 0 0', { hex: '#808080', shown: true }],
  ['Lab 60 110 60', { hex: expect.stringMatching(/^#[0-9a-f]{6}$/), shown: false }],
])('a colour written “%s”', (text, value) => expect(parseColour(text)).toEqual({ ok: true, value }));
test.each(['#12345', 'Lab 120 0 0', '300 0 0', 'teal', ''])('“%s” is no colour, and what would be is said', (text) => {
  const read = parseColour(text);
  expect(read.ok ? '' : read.problems[0]?.message).toMatch(/Write sRGB as #22394f/);
});

describe('Kubelka and Munk', () => {
  test('a paint that absorbs nothing: R = SX / (1 + SX) over black (Kubelka 1948, from memory)', () => {
    for (const sx of [0.1, 0.5, 1, 3, 9]) expect(filmReflectance(1 - 1e-7, sx, 0)).toBeCloseTo(sx / (1 + sx), 2);
  });
  test('at full hiding the ground does not matter', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.02, max: 0.9, noNaN: true }), (r) =>
        expect(filmReflectance(r, 80, 0.01)).toBeCloseTo(filmReflectance(r, 80, 0.95), 6),
      ),
    );
  });
  test('a thinner film, as of the brushed band, is never nearer to full hiding in any band of light', () => {
    const part = fc.double({ min: 0.02, max: 0.95, noNaN: true });
    fc.assert(
      fc.property(part, part, fc.double({ min: 0.05, max: 8, noNaN: true }), part, (r, ground, sx, thinner) => {
        const off = (power: number) => Math.abs(filmReflectance(r, power, ground) - r);
        expect(off(sx * thinner)).toBeGreaterThanOrEqual(off(sx) - 1e-9);
      }),
    );
  });
  test('the worst of several old colours decides', () => {
    fc.assert(
      fc.property(hex, hex, hex, fc.double({ min: 0.85, max: 0.995, noNaN: true }), (paint, one, other, contrast) => {
        const common = { ...question, paint, contrast };
        const both = hideAll(common, [one, other]);
        const each = [one, other].map((background) => hide({ ...common, background }));
        expect(both.coats).toBe(Math.max(...each.map((h) => h.coats)));
      }),
      runs(13),
    );
  });
  test('a tinted primer is found where it saves a coat, never worse than white, and checked by the model itself', () => {
    const deep = { ...question, paint: '#22394f', background: '#f4f1ea', contrast: 0.95 };
    const bare = hide(deep);
    const tint = bestTint(deep, { white: '#f0f0ea', contrast: 0.9 }, bare.coats);
    expect([bare.coats, tint?.coats, tint?.saves]).toEqual([3, 2, 1]);
    expect(tint?.thinDelta).toBeLessThanOrEqual(1);
    expect(lrvOf(tint?.tint ?? '#ffffff')).toBeLessThan(40);
    // a white over white has nothing to save
    const white = { ...question, paint: '#f2efe6', background: '#f4f1ea', contrast: 0.97 };
    expect(bestTint(white, { white: '#f0f0ea', contrast: 0.9 }, hide(white).coats)).toBeNull();
  });
  test('what is worse than the label says never takes fewer coats', () => {
    fc.assert(
      fc.property(hex, hex, (paint, background) => {
        const asked = { ...question, paint, background, contrast: 0.97 };
        for (const { coats } of doubts(asked)) expect(coats).toBeGreaterThanOrEqual(hide(asked).coats);
      }),
      runs(13),
    );
  });
});

describe('classes at their boundaries', () => {
  // EN 13300 and MPI, values from memory
  test.each([
    [0.996, 1],
    [0.995, 1],
    [0.9949, 2],
    [0.98, 2],
    [0.9799, 3],
    [0.95, 3],
    [0.9499, 4],
  ])('contrast %d is class %i', (contrast, of) => expect(hidingClass(contrast)).toBe(of));
  test.each([
    ['class 2', 0.98],
    ['97', 0.97],
    ['97,5 %', 0.975],
    ['0.985', 0.985],
  ])('“%s” is read', (text, ratio) => expect(parseContrast(text)).toEqual({ ok: true, value: ratio }));
  test.each([
    ['100 %', /no thickness/],
    ['class 7', /class of EN 13300/],
    ['-3', /class of EN 13300/],
    ['0', /class of EN 13300/],
  ])('“%s” is refused', (text, message) => {
    const read = parseContrast(text);
    expect(read.ok ? '' : read.problems[0]?.message).toMatch(message);
  });
  test('a class read is a class shown', () => {
    for (const n of [1, 2, 3] as const) expect(hidingClass(contrastOfClass(n))).toBe(n);
  });
});

describe('several readings of one chip', () => {
  const near = fc.double({ min: -0.4, max: 0.4, noNaN: true });
  test('their mean, without one that fell on dirt; never farther from the truth than the worst kept', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(near, near, near), { minLength: 3, maxLength: 7 }), fc.nat(7), (noise, at) => {
        const truth = { l: 60, a: 5, b: 20 };
        const clean = noise.map(([l, a, b]) => ({ l: truth.l + l, a: truth.a + a, b: truth.b + b }));
        const dirty = [...clean.slice(0, at), { ...truth, l: 51 }, ...clean.slice(at)];
        const found = averageReadings(dirty);
        expect(found?.left).toEqual([Math.min(at, clean.length)]);
        expect(found?.lab).toEqual(averageReadings(clean)?.lab);
        expect(labDelta(found?.lab ?? truth, truth)).toBeLessThan(1);
      }),
    );
    expect(averageReadings([])).toBeNull();
    const apart = averageReadings([
      { l: 20, a: 0, b: 0 },
      { l: 60, a: 0, b: 0 },
    ]);
    expect([apart?.lab.l, apart?.left]).toEqual([40, []]);
  });
});
