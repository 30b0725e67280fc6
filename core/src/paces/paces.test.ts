import { expect, test } from '@jest/globals';
import { newJob } from '../job/create.ts';
import { FOOT, INCH, SQUARE_FOOT } from '../units/si.ts';
import { minutesOf, type Timed } from './minutes.ts';
import type { OperationKind } from '../job/vocabulary.ts';

const STARTING = newJob('j', 'Paces');
const hour = 60;
const coat = (rate: number): Timed => ({ dips: { litres: 1 / rate, width: 9 * INCH, pile: 0.01 } });
/** Done in an hour at the starting paces, in the unit of the published figure. */
const inAnHour = (kind: OperationKind, unit: number, timed?: Timed): number =>
  hour / (minutesOf(STARTING, kind, [{ name: '', quantity: 1 }], timed).value * unit);

/**
 * Published estimating rates for interior painting beside the starting paces (docs/guide/work.md has the table). All values from memory: they
 * are to agree in size, within half and double. NPCE: National Painting Cost Estimator, Craftsman Book Company, medium rates;
 * RSMeans: Building Construction Costs, 09 91 23; Spon's: Architects' and Builders' Price Book, labour constants.
 */
test.each<[string, number, number]>([
  ['NPCE: smooth walls, roller, first coat, 325 sq ft/h', 325, inAnHour('roll', SQUARE_FOOT, coat(9.2))],
  [
    'NPCE: ceilings, roller, first coat, 260 sq ft/h',
    260,
    inAnHour('roll', SQUARE_FOOT, { ...coat(9.2), overhead: true }),
  ],
  ['NPCE: baseboard, brush, first coat, 100 ft/h', 100, inAnHour('brush', FOOT)],
  ['NPCE: washing smooth walls, 200 to 300 sq ft/h', 250, inAnHour('wash', SQUARE_FOOT)],
  ['NPCE: sanding walls lightly, 250 to 350 sq ft/h', 300, inAnHour('sand', SQUARE_FOOT)],
  ['NPCE: cutting in by brush, 120 to 200 ft/h', 160, inAnHour('cut', FOOT)],
])('%s', (_, published, ours) => {
  expect(ours / published).toBeGreaterThan(0.5);
  expect(ours / published).toBeLessThan(2);
});

test('two coats by roller on a room’s walls, cut in: RSMeans about 100 sq ft/h, Spon’s 0.12 h/m2 (from memory)', () => {
  // 3.6 x 3 m, 2.4 m high: 31.7 m2 of wall, cut in along 13.2 m of ceiling, 13.2 m of baseboard and four corners
  const [area, lines] = [31.7, 2 * 13.2 + 4 * 2.4];
  const dips = { litres: area / 9.2, width: 9 * INCH, pile: 0.01 };
  const once = (factors: Timed['factors']) =>
    minutesOf(STARTING, 'roll', [{ name: '', quantity: area }], { dips, factors: factors ?? [] }).value +
    minutesOf(STARTING, 'cut', [{ name: '', quantity: lines }], { factors: factors ?? [] }).value;
  const hours = (once([]) + once([{ name: 'later', value: 0.85 }])) / hour;
  expect(area / SQUARE_FOOT / hours).toBeGreaterThan(100);
  expect(area / SQUARE_FOOT / hours).toBeLessThan(200);
  expect(hours / area).toBeGreaterThan(0.06);
  expect(hours / area).toBeLessThan(0.13);
});
