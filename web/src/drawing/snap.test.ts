import { pair } from '@kovelin/core/units/word.ts';
import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { snap } from './snap.ts';

const bounds = { length: 4, width: 1, casing: 0.07, others: [], step: 0.01, reach: 0.05 };

test('an opening rests in the middle, in the corner, against its neighbour, else on a mark of the tape', () => {
  const others = [{ label: 'd1', left: 0.5, right: 1.4 }];
  expect(snap(1.52, bounds)).toEqual({ at: 1.5, why: 'in the middle' });
  expect(snap(0.06, bounds)).toEqual({ at: 0.07, why: pair('casing in the corner', 'architrave in the corner') });
  expect(snap(-0.02, bounds)).toEqual({ at: 0, why: 'in the corner' });
  expect(snap(1.44, { ...bounds, others })).toEqual({ at: 1.47, why: 'against d1' });
  expect(snap(2.2345, bounds)).toEqual({ at: 2.23, why: null });
});

test('wherever it is dragged it stays on its wall, and never far from the hand', () => {
  const length = fc.double({ min: 0.2, max: 12, noNaN: true });
  fc.assert(
    fc.property(length, length, fc.double({ min: -20, max: 20, noNaN: true }), (wall, width, wanted) => {
      const { at } = snap(wanted, { ...bounds, length: wall, width });
      const last = Math.max(0, wall - width);
      expect(at).toBeGreaterThanOrEqual(0);
      expect(at).toBeLessThanOrEqual(last);
      expect(Math.abs(at - Math.min(last, Math.max(0, wanted)))).toBeLessThanOrEqual(0.051);
    }),
  );
});
