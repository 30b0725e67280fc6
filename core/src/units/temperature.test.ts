import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { formatDegrees, formatTemperature, parseDegrees, parseTemperature } from './temperature.ts';

const value = (read: ReturnType<typeof parseTemperature>) => (read.ok ? read.value : read.problems[0]?.message);

describe('temperatures', () => {
  // fixed points of the two scales
  test.each([
    ['32 F', 'metric', 0],
    ['212°F', 'metric', 100],
    ['68', 'imperial', 20],
    ['20 C', 'imperial', 20],
    ['20', 'metric', 20],
    ['18,5 °C', 'metric', 18.5],
    ['−40', 'imperial', -40],
  ] as const)('%s in %s units is %d °C', (text, system, celsius) => {
    expect(value(parseTemperature(text, system))).toBeCloseTo(celsius, 9);
  });
  test.each([
    ['warm', 'metric', '“warm” is no temperature; 20 or 68 F is.'],
    ['', 'imperial', '“” is no temperature; 68 or 20 C is.'],
    ['20 K', 'metric', '“20 K” is no temperature; 20 or 68 F is.'],
  ] as const)('%j is refused by a sentence', (text, system, message) => {
    expect(value(parseTemperature(text, system))).toBe(message);
  });
  test('a difference has no zero of its own: 9 °F are 5 °C', () => {
    expect(value(parseDegrees('9', 'imperial'))).toBeCloseTo(5, 9);
    expect([formatDegrees(5, 'imperial'), formatDegrees(5, 'metric')]).toEqual(['9 °F', '5 °C']);
    expect(value(parseDegrees('much', 'metric'))).toBe('“much” is no number of degrees; 2 is.');
  });
  test('law: what is written reads back, to the degree that it is written to', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -20, max: 60, noNaN: true }),
        fc.constantFrom('metric', 'imperial' as const),
        (t, system) => {
          const again = parseTemperature(formatTemperature(t, system), system);
          expect(Math.abs((again.ok ? again.value : NaN) - t)).toBeLessThan(system === 'metric' ? 0.0501 : 0.2801);
        },
      ),
    );
  });
});
