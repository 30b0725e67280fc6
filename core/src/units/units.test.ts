import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { runs } from '../testing/runs.ts';
import { aboutLength, formatLength, lengthRow, meant, parseLength, typeLength } from './length.ts';
import { formatMinutes, formatVolume, parseMoney, parsePercent, parseSpread, parseVolume } from './quantities.ts';
import { FOOT, GALLON, INCH, SQUARE_FOOT } from './si.ts';
import { addDays, daysBetween } from './date.ts';
import { dayAt, isDay } from './day.ts';
import { dayText, readDayText } from './day-text.ts';
import { readReading, unitOf } from './reading.ts';
import { parseDegrees, parseTemperature } from './temperature.ts';
import { compute, evaluate, given } from './working.ts';

const metres = (text: string, unit?: 'ft' | 'm') => {
  const parsed = parseLength(text, { unit });
  return parsed.ok ? parsed.value : parsed.problems[0]?.message;
};

test('a sum of lengths is said to the inch or the centimetre, and no finer', () => {
  expect(aboutLength(16.374, 'imperial')).toBe('53′ 9″');
  expect(aboutLength(16.3762, 'metric')).toBe('16.38 m');
  // one unit to a row, and one number of decimals
  expect(lengthRow([3.2, 0.9, 4.355], 'metric')).toEqual(['3.200 m', '0.900 m', '4.355 m']);
  expect(lengthRow([3.2, 0.9], 'metric')).toEqual(['3.20 m', '0.90 m']);
  expect(lengthRow([1.2, 0.9], 'metric')).toEqual(['1.20 m', '0.90 m']);
  expect(lengthRow([0.2, 0.9], 'metric')).toEqual(['200 mm', '900 mm']);
  expect(lengthRow([3.048, 0.6096], 'imperial')).toEqual(['10′', '2′']);
});

describe('exact factors [std: NIST SP 811 Appendix B, from memory]', () => {
  test('1 ft = 0.3048 m, 1 US gal = 3.785411784 L = 231 in3, 1 mil over a gallon covers 1604 sq ft', () => {
    expect(metres('1 ft')).toBe(0.3048);
    const gallon = parseVolume('1 gal');
    expect(gallon.ok && gallon.value).toBe(3.785411784);
    expect(231 * INCH ** 3 * 1000).toBeCloseTo(GALLON, 12);
    expect(GALLON / 1000 / (INCH / 1000) / SQUARE_FOOT).toBeCloseTo(1604.17, 2);
  });
});

describe('lengths as people write them', () => {
  test.each([
    [`12'6 1/2`, 150.5],
    [`12' 6.5"`, 150.5],
    ['12ft 6.5in', 150.5],
    ['12-6-1/2', 150.5],
    [`150.5"`, 150.5],
    ['12′ 6½″', 150.5],
    ['12’ 6 1⁄2”', 150.5],
    ['150 1/2 in', 150.5],
    [`12'`, 144],
    ['12.5 ft', 150],
    [`(12'6 + 3'2)`, 188],
    [`12'6 + 3'2`, 188],
    [`½"`, 0.5],
    [`6'0`, 72],
    ['12 feet 6 inches', 150],
    [`12'-6"`, 150],
  ])('%s is %d inches', (text, inches) => expect(metres(text)).toBeCloseTo(inches * INCH, 12));

  test.each([
    ['3.82 m', 3.82],
    ['3,82 m', 3.82],
    ['382cm', 3.82],
    ['3820mm', 3.82],
    ['3820 millimetres', 3.82],
    ['2.4 m + 12"', 2.7048],
  ])('%s is %d m', (text, value) => expect(metres(text)).toBeCloseTo(value, 12));

  test.each([
    ['4350', 'metric', 60, '4350 mm'],
    ['435', 'metric', 60, '435 cm'],
    ['240', 'metric', 20, '240 cm'],
    ['90', 'metric', 60, '90 cm'],
    ['12', 'metric', 60, null],
    ['60000', 'metric', 60, '60000 mm'],
    ['60001', 'metric', 60, null],
    ['4.35', 'metric', 60, null],
    ['400', 'imperial', 60, '400"'],
    ['150', 'imperial', 60, null],
    ['99999', 'imperial', 60, null],
  ] as const)('%s typed in a %s job, at most %d m, may have meant %s', (text, system, max, wanted) => {
    expect(meant(text, system, max)).toBe(wanted);
    if (!wanted) return;
    const read = parseLength(wanted, { max });
    expect([read.ok && read.value <= max, parseLength(text, { unit: unitOf(system), max }).ok]).toEqual([true, false]);
  });

  test('law: what is offered can be taken as it stands, is as long as it may be, and nothing is offered for what can be read', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 120_000 }),
        fc.constantFrom('metric' as const, 'imperial' as const),
        fc.constantFrom(1, 20, 60),
        (n, system, max) => {
          const offered = meant(`${n}`, system, max);
          if (offered === null) return;
          const read = parseLength(offered, { max });
          expect(read.ok && read.value <= max && read.value >= 0.3).toBe(true);
          expect(parseLength(`${n}`, { unit: unitOf(system), max }).ok).toBe(false);
        },
      ),
      runs(133),
    );
  });

  test('a bare number takes the unit in force, and needs one', () => {
    expect(metres('12', 'ft')).toBeCloseTo(12 * FOOT, 12);
    expect(metres('3,82', 'm')).toBeCloseTo(3.82, 12);
    expect(metres('12')).toMatch(/needs a unit/);
  });

  test.each([
    [`12'14`, 4, /a foot or more: write 13'2/],
    ['abc', 1, /“abc” is not a length/],
    [`-3'`, 1, /negative/],
    ['', 1, /missing/],
    [`400'`, 1, /^A length of 400 ft is over the limit of 197 ft; was a unit/],
    [`12.5' 6"`, 7, /whole feet/],
    [`12' 6" x`, 8, /“x” does not belong/],
    ['1,234 mm', 1, /decimal or a thousand/],
    [`(12' + 3'`, 10, /bracket/],
    [`3/2"`, 1, /not a fraction/],
    [`0"`, 1, /nothing/],
    ['12 6', 4, /does not belong|needs a unit/],
    [`12' 3 m`, 5, /does not belong/],
  ])('%s is refused at column %i', (text, column, message) => {
    const parsed = parseLength(text, { unit: 'ft' });
    expect(parsed.ok).toBe(false);
    if (!parsed.ok)
      expect(parsed.problems[0]).toMatchObject({
        column,
        message: expect.stringMatching(message) as unknown as string,
      });
  });

  test('what is shown or typed reads back: to 1/32 in, 0.5 mm, and exactly', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.002, max: 59, noNaN: true }), (length) => {
        for (const [system, within] of [
          ['imperial', INCH / 32],
          ['metric', 0.0005],
        ] as const) {
          expect(Math.abs((metres(formatLength(length, system)) as number) - length)).toBeLessThan(within + 1e-9);
          expect(Math.abs((metres(typeLength(length, system)) as number) - length)).toBeLessThan(1e-5);
        }
      }),
    );
  });

  test('any text gives metres or a sentence, never a throw', () => {
    const scraps = fc
      .array(fc.constantFrom(...`0123456789 '"-+/.,()½mftinc`), { maxLength: 14 })
      .map((a) => a.join(''));
    fc.assert(
      fc.property(fc.oneof(fc.string(), scraps), (text) => {
        const parsed = parseLength(text, { unit: 'ft' });
        if (parsed.ok) expect(Number.isFinite(parsed.value) && parsed.value > 0).toBe(true);
        else expect(parsed.problems[0]?.message).toMatch(/[.?]$/);
      }),
    );
  });
});

test('other quantities, and what they refuse', () => {
  const value = <T>(r: { ok: true; value: T } | { ok: false }) => (r.ok ? r.value : 'refused');
  expect(value(parseVolume('8 fl oz'))).toBeCloseTo(0.2365882365, 10);
  expect(value(parseSpread('400 ft2/gal'))).toBeCloseTo(9.817, 3);
  const money = (...texts: string[]) => texts.map((text) => value(parseMoney(text)));
  expect(money('12.50', '12,5', '$12.50', 'CHF 12.50', '12,50 zł')).toEqual([1250, 1250, 1250, 1250, 1250]);
  expect(money('$1,234.50', '1.234,50', '1’234.50', '1 234,50', '1,234')).toEqual([
    123450, 123450, 123450, 123450, 123400,
  ]);
  expect(money('-1', '1.2345', '1,23,456', 'x', '12 sheep', 'Zq12z', '0.125')).toEqual(Array(7).fill('refused'));
  const inPounds = ['£12.50', '12 GBP', '12', '12,50 £'].map((text) => value(parseMoney(text, 'GBP')));
  expect(inPounds).toEqual([1250, 1200, 1200, 1250]);
  expect([value(parseMoney('12 kr', 'SEK')), value(parseMoney('Fr. 12', 'CHF'))]).toEqual([1200, 1200]);
  for (const text of ['€12', '12 EUR', '$12', 'Fr. 12']) {
    const read = parseMoney(text, 'GBP');
    expect(read.ok ? '' : read.problems[0]?.message).toMatch(
      /another currency; this job counts in GBP, and nothing is/,
    );
  }
  expect([value(parseVolume('-1 L')), value(parseVolume('10 acres'))]).toEqual(['refused', 'refused']);
  expect([formatMinutes(680), formatVolume(GALLON, 'imperial'), formatVolume(0.5, 'metric')]).toEqual([
    '11 h 20 min',
    '1 gal',
    '500 mL',
  ]);
});

test('a figure keeps the terms that make it', () => {
  const figure = compute(
    'difference',
    'net',
    'area',
    compute('product', 'gross', 'area', given('w', 3, 'length'), given('h', 2, 'length')),
    given('door', 1.5, 'area'),
  );
  expect([figure.value, evaluate(figure)]).toEqual([4.5, 4.5]);
});

describe('a reading keeps the unit of its numbers', () => {
  const typed = (text: string, unit: 'ft' | 'm' | 'cm' | 'in') => {
    const read = readReading(text, unit, { zero: true });
    return read.ok ? read.value.typed : read.problems[0]?.message;
  };
  test.each([
    ['13', 'ft', `13'`],
    ['12 + 3', 'ft', `12' + 3'`],
    ['12 1/2', 'in', '12 1/2"'],
    ['3,82', 'm', '3,82 m'],
    [' 382 ', 'cm', '382 cm'],
    [`12'6`, 'm', `12'6`],
    ['3 + 2 m', 'm', '3 m + 2 m'],
    ['0', 'ft', `0'`],
  ] as const)('%s in %s is kept as %s', (text, unit, kept) => expect(typed(text, unit)).toBe(kept));
  test('what is kept means the same without the unit in force, or is refused', () => {
    const scrap = fc.array(fc.constantFrom('1', '2', '0.5', ' ', '+', "'", '"', ' m', '1/2', '½', ','), {
      maxLength: 40,
    });
    fc.assert(
      fc.property(scrap, fc.constantFrom('ft' as const, 'm' as const, 'mm' as const), (parts, unit) => {
        const read = readReading(parts.join(''), unit, { zero: true });
        if (!read.ok) return;
        expect(read.value.typed.length).toBeLessThanOrEqual(80);
        const again = parseLength(read.value.typed, { zero: true });
        expect(again).toEqual({ ok: true, value: expect.closeTo(read.value.metres, 12) as unknown as number });
      }),
    );
    expect(typed(Array.from({ length: 40 }, () => '1').join('+'), 'ft')).toMatch(/at most 80 characters/);
  });
});

test('days there are, and the way between them', () => {
  expect(['2026-11-26', '2028-02-29', '2026-02-29', '2026-02-31', '2026-13-01', '26-11-2026', ''].map(isDay)).toEqual([
    true,
    true,
    false,
    false,
    false,
    false,
    false,
  ]);
  expect([addDays('2026-02-27', 2), daysBetween('2026-03-28', '2026-03-30')]).toEqual(['2026-03-01', 2]);
});

describe('days as people write them', () => {
  test.each([
    ['12/1/2026', 'month-first', '2026-12-01'],
    ['1/12/2026', 'day-first', '2026-12-01'],
    ['1.12.26', 'day-first', '2026-12-01'],
    ['2026-12-01', 'month-first', '2026-12-01'],
    ['2026-12-01', 'year-first', '2026-12-01'],
  ] as const)('%s, %s', (text, form, day) => expect(readDayText(text, form)).toEqual({ ok: true, value: day }));
  test.each([
    ['31/2/2026', 'day-first'],
    ['11/27/2026', 'day-first'],
    ['1/12/2026', 'year-first'],
    ['tomorrow', 'month-first'],
  ] as const)('%s is none, %s', (text, form) => {
    const read = readDayText(text, form);
    expect(read.ok ? '' : read.problems[0]?.message).toMatch(/^Write a day there is as .*2026/);
  });
  test.each([
    ['today', '2026-12-01'],
    ['Tomorrow', '2026-12-02'],
    ['Sat', '2026-12-05'],
    ['this sat', '2026-12-05'],
    ['next Sat', '2026-12-12'],
    ['next Mon', '2026-12-07'],
    // a Tuesday: the next one
    ['tuesday', '2026-12-08'],
    ['5 Dec', '2026-12-05'],
    ['Dec 5', '2026-12-05'],
    ['30. November', '2027-11-30'],
  ])('on a Tuesday, 1 December 2026, %s is the next there is', (text, day) =>
    expect(readDayText(text, 'day-first', '2026-12-01')).toEqual({ ok: true, value: day }),
  );
  test('a name of no day is none', () => {
    for (const text of ['someday', '31 Nov', 'Smarch 5', 'sa'])
      expect(readDayText(text, 'day-first', '2026-12-01').ok).toBe(false);
  });
  test('law: a day is read back as it was written', () => {
    fc.assert(
      fc.property(
        fc.date({ min: new Date('1900-01-01'), max: new Date('2099-12-31'), noInvalidDate: true }),
        fc.constantFrom('month-first' as const, 'day-first' as const, 'year-first' as const),
        (date, form) => {
          const day = date.toISOString().slice(0, 10);
          expect(readDayText(dayText(day, form), form)).toEqual({ ok: true, value: day });
          const noon = new Date(`${day}T12:00:00`);
          expect(dayAt(noon.getTime())).toBe(day);
        },
      ),
    );
  });
});

test('law: no reader gives a figure that is none, whatever was typed: words of JavaScript and hundreds of digits too', () => {
  const readers: Readonly<Record<string, (text: string) => ReturnType<typeof parseVolume>>> = {
    parseVolume,
    parseSpread,
    parseMoney,
    parsePercent,
    parseLength,
    parseTemperature: (text) => parseTemperature(text, 'imperial'),
    parseDegrees: (text) => parseDegrees(text, 'metric'),
  };
  const number = fc.oneof(
    fc.constantFrom('0', '-0', '1', '20', '9'.repeat(400), `0.${'0'.repeat(400)}1`, '1e999', 'NaN', ''),
    fc.double().map(String),
  );
  const unit = fc.oneof(
    fc.constantFrom(
      '',
      'constructor',
      '__proto__',
      'toString',
      'valueOf',
      'gal',
      'L',
      'm2',
      'sq ft/gal',
      'h',
      '%',
      'F',
    ),
    fc.string({ maxLength: 5 }),
  );
  fc.assert(
    fc.property(number, unit, fc.constantFrom(...Object.entries(readers)), (typed, of, [name, read]) => {
      const found = read(`${typed} ${of}`);
      expect([name, typed, of, found.ok ? Number.isFinite(found.value) : true]).toEqual([name, typed, of, true]);
    }),
    runs(667),
  );
  expect([parsePercent('').ok, parsePercent('101').ok, parsePercent('55,5 %')]).toEqual([
    false,
    false,
    { ok: true, value: expect.closeTo(0.555, 12) },
  ]);
});
