import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { STARTING_AIR } from '../job/region.ts';
import { evaluate } from '../units/working.ts';
import { airAt, dewPoint, dryingIn, evaporation, LABEL_AIR, saturation } from './air.ts';
import { limitsOf } from './limits.ts';
import { openTimeOf, touchDryOf } from './open.ts';

// saturation vapour pressure of water, hPa: handbook tables (CRC, from memory)
test.each([
  [0, 6.11],
  [10, 12.28],
  [20, 23.39],
  [30, 42.47],
])('at %i °C water saturates at %d hPa', (t, hPa) => {
  expect(Math.abs(saturation(t) / hPa - 1)).toBeLessThan(0.004);
});
// psychrometric tables: dew points of air at 20 and 30 °C (ASHRAE Fundamentals, from memory)
test.each([
  [20, 0.5, 9.3],
  [20, 0.8, 16.4],
  [30, 0.5, 18.4],
])('air at %i °C and %d has its dew point near %d', (temperature, humidity, dew) => {
  expect(Math.abs(dewPoint({ temperature, humidity }) - dew)).toBeLessThan(0.2);
  expect(saturation(dewPoint({ temperature, humidity }))).toBeCloseTo(humidity * saturation(temperature), 9);
});
test('law: warmer, drier and draughtier air dries faster; air over a surface at its dew point does not dry at all', () => {
  const air = fc
    .record({
      temperature: fc.double({ min: 5, max: 40, noNaN: true }),
      humidity: fc.double({ min: 0.05, max: 0.95, noNaN: true }),
      draught: fc.double({ min: 0, max: 2, noNaN: true }),
    })
    .map((a) => ({ ...a, surface: a.temperature }));
  fc.assert(
    fc.property(air, (a) => {
      expect(evaporation({ ...a, surface: a.surface + 1 })).toBeGreaterThan(evaporation(a));
      expect(evaporation({ ...a, humidity: a.humidity - 0.05 })).toBeGreaterThan(evaporation(a));
      expect(evaporation({ ...a, draught: a.draught + 0.1 })).toBeGreaterThan(evaporation(a));
      expect(evaporation({ ...a, surface: dewPoint(a) })).toBeCloseTo(0, 6);
    }),
  );
  expect(dryingIn(LABEL_AIR)).toBe(1);
});
test('through the day air is read off between its readings; under the ceiling it is warmer and holds the same water', () => {
  const reading = (at: number, temperature: number) => ({ at, temperature, humidity: 0.5, draught: 0.1 });
  const air = { ...STARTING_AIR, ceiling: 3, day: [reading(480, 16), reading(720, 20), reading(960, 24)] };
  expect([480, 600, 960, 1200].map((at) => airAt(air, at).temperature)).toEqual([16, 18, 24, 24]);
  const [low, high] = [airAt(air, 720), airAt(air, 720, 1)];
  expect([high.temperature, high.humidity < low.humidity]).toEqual([23, true]);
  expect(dewPoint(high)).toBeCloseTo(dewPoint(low), 6);
});
test('open time: the label first; conditioner at 190 mL/L doubles it; oil is not scaled; outside 1/4 to 4 times it is doubtful', () => {
  const film = {
    product: { base: 'water-borne', open: null, labelAir: null },
    dose: 0,
    porous: false,
    film: 1,
    deep: false,
  } as const;
  const open = (set: object, now = LABEL_AIR) => openTimeOf({ settings: {} }, { ...film, ...set }, now);
  expect(open({}).minutes).toBe(6);
  expect(open({ dose: 0.19 }).minutes).toBeCloseTo(12, 9);
  expect(open({ product: { ...film.product, open: 9 } }).minutes).toBe(9);
  const warm = { ...LABEL_AIR, temperature: 35, surface: 35, humidity: 0.2 };
  expect(open({ product: { ...film.product, base: 'oil' } }, warm).drying).toBe(1);
  expect([open({}, warm).doubtful, open({}).doubtful, evaluate(open({}, warm).working)]).toEqual([
    false,
    false,
    open({}, warm).minutes,
  ]);
  expect(open({}, { ...warm, draught: 3 }).doubtful).toBe(true);
  expect(open({}, { ...LABEL_AIR, surface: 5 })).toMatchObject({ dries: false, minutes: Infinity });
});
// ISO 8502-4 (from memory): a surface is kept at least 3 °C above the dew point
test.each([5, 15, 25])(
  'at %i °C a surface nearer its dew point than 3 °C is warned of, and one further from it is not',
  (temperature) => {
    const air = { ...LABEL_AIR, temperature, humidity: 0.6 };
    const dew = dewPoint(air);
    const near = (above: number) =>
      limitsOf({ ...air, surface: dew + above }, { labelRange: { least: -20, most: 60 } }, 1);
    expect([near(2.9), near(3.1)]).toEqual([['air.dew'], []]);
  },
);
test('dry to the touch follows the air as far as the model is trusted; oil keeps the time of its label', () => {
  const product = { base: 'water-borne', dry: 60, labelAir: { temperature: 20, humidity: 0.5 } } as const;
  const dry = (air: object, base: 'water-borne' | 'oil' = 'water-borne') =>
    touchDryOf({ ...product, base }, { ...LABEL_AIR, temperature: 20, surface: 20, ...air }).value;
  expect(dry({})).toBeCloseTo(60, 9);
  expect(dry({ humidity: 0.8 })).toBeGreaterThan(60);
  expect([dry({ surface: 5 }), dry({ draught: 20 }), dry({ surface: 5 }, 'oil')]).toEqual([240, 15, 60]);
});
test('limits: cold, hot, damp, near the dew point; the label’s own range outranks them', () => {
  const at = (set: object, labelRange: { least: number; most: number } | null = null) =>
    limitsOf({ ...LABEL_AIR, ...set }, { labelRange }, 1);
  expect(at({})).toEqual([]);
  expect(at({ temperature: 8, surface: 8 })).toEqual(['air.cold']);
  expect(at({ temperature: 8, surface: 8 }, { least: 5, most: 30 })).toEqual([]);
  expect(at({ surface: 40 }, { least: 5, most: 38 })).toEqual(['air.hot']);
  expect(at({ humidity: 0.9, surface: 23 })).toEqual(['air.dew', 'air.damp']);
});
