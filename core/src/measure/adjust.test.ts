import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { inverse, Matrix, solve as solveElsewhere } from 'ml-matrix';
import { seeded } from '../units/random.ts';
import { readRoom, SETTINGS, SHAPES, trueRoom } from '../testing/rooms.ts';
import { close } from './closure.ts';
import { directions, polygonArea, solve, walk, type Point } from './geometry.ts';
import { residualsOf } from './residuals.ts';
import { at } from '../units/list.ts';

describe('against an independent linear-algebra library (ml-matrix)', () => {
  test('elimination solves what it solves, and says when there is no answer', () => {
    const number = fc.double({ min: -5, max: 5, noNaN: true });
    const system = fc
      .integer({ min: 1, max: 7 })
      .chain((n) =>
        fc.tuple(
          fc.array(fc.array(number, { minLength: n, maxLength: n }), { minLength: n, maxLength: n }),
          fc.array(number, { minLength: n, maxLength: n }),
        ),
      );
    fc.assert(
      fc.property(system, ([a, b]) => {
        // well away from singular
        const strong = a.map((row, i) => row.map((v, j) => v + (i === j ? 40 : 0)));
        const theirs = solveElsewhere(new Matrix(strong), Matrix.columnVector(b)).to1DArray();
        solve(
          strong.map((row) => [...row]),
          [...b],
        )?.forEach((x, i) => expect(x).toBeCloseTo(theirs[i] ?? NaN, 9));
      }),
    );
    expect(
      solve(
        [
          [1, 2],
          [2, 4],
        ],
        [1, 2],
      ),
    ).toBeNull();
  });

  test('least squares with the closure as a condition: v = -W^-1 A^T (A W^-1 A^T)^-1 (A l)', () => {
    const random = seeded(3);
    for (const shape of SHAPES)
      for (let k = 0; k < 20; k++) {
        const readings = readRoom(random, trueRoom(random, shape), k % 2 === 0);
        const units = directions(readings.turns);
        const A = new Matrix([units.map((u) => u.x), units.map((u) => u.y)]);
        const l = Matrix.columnVector([...readings.lengths]);
        const v = A.transpose()
          .mmul(inverse(A.mmul(A.transpose())))
          .mmul(A.mmul(l))
          .mul(-1);
        close(readings, SETTINGS).adjusted.forEach((length, i) =>
          expect(length - (readings.lengths[i] ?? 0)).toBeCloseTo(v.get(i, 0), 9),
        );
      }
  });

  test('standardised residuals: v over the square root of the diagonal of Q_l - Q_adjusted', () => {
    const random = seeded(9);
    for (const shape of SHAPES) {
      const readings = readRoom(random, trueRoom(random, shape), true);
      const units = directions(readings.turns);
      const A = new Matrix([units.map((u) => u.x), units.map((u) => u.y)]);
      const Qv = A.transpose()
        .mmul(inverse(A.mmul(A.transpose())))
        .mmul(A)
        .mul(SETTINGS.readingError ** 2);
      residualsOf(readings, SETTINGS)?.walls.forEach((w, i) => {
        if (Qv.get(i, i) > 1e-9) expect(w.standardised).toBeCloseTo(w.value / Math.sqrt(Qv.get(i, i)), 6);
      });
    }
  });

  test('with a diagonal: the normal equations of both kinds of reading hold at the answer', () => {
    const random = seeded(4);
    for (const shape of SHAPES) {
      const readings = readRoom(random, trueRoom(random, shape), false, 1);
      const units = directions(readings.turns);
      const { adjusted } = close(readings, SETTINGS);
      const [d] = readings.diagonals;
      if (!d) throw new Error('no diagonal');
      const corners = walk(adjusted, units);
      const [p, q] = [at(corners, d.from), at(corners, d.to)];
      const now = Math.hypot(q.x - p.x, q.y - p.y);
      // gradient of the sum of squares lies in the span of the two closure conditions
      const gradient = adjusted.map((l, i) => {
        const slope =
          i >= d.from && i < d.to ? ((q.x - p.x) * (units[i]?.x ?? 0) + (q.y - p.y) * (units[i]?.y ?? 0)) / now : 0;
        return (
          (l - (readings.lengths[i] ?? 0)) / SETTINGS.readingError ** 2 +
          (slope * (now - d.length)) / SETTINGS.diagonalError ** 2
        );
      });
      const A = new Matrix([units.map((u) => u.x), units.map((u) => u.y)]);
      const g = Matrix.columnVector(gradient);
      const lambda = inverse(A.mmul(A.transpose())).mmul(A.mmul(g));
      const rest = Matrix.sub(g, A.transpose().mmul(lambda));
      expect(rest.norm() / (g.norm() + 1)).toBeLessThan(1e-4);
    }
  });
});

test('a reading far from its fellows is flagged, an ordinary one is not', () => {
  const diagonal = { from: 0, to: 2, length: Math.hypot(4, 3) };
  const readings = (a: number) => ({
    lengths: [a, 3, 4, 3],
    turns: [90, 90, 90, 90],
    turnsMeasured: false,
    diagonals: [diagonal],
  });
  expect(residualsOf(readings(4.004), SETTINGS)?.worst).toBeNull();
  expect(residualsOf(readings(4.04), SETTINGS)?.worst).toBe(0);
});

describe('closed forms', () => {
  test('area of a regular polygon walked with its own deflection: n s2 / (4 tan(180/n))', () => {
    for (let n = 3; n <= 24; n++) {
      const s = 1.3;
      const { corners, misclosure } = close(
        {
          lengths: new Array<number>(n).fill(s),
          turns: new Array<number>(n).fill(360 / n),
          turnsMeasured: false,
          diagonals: [],
        },
        SETTINGS,
      );
      expect(misclosure).toBeLessThan(1e-12);
      expect(polygonArea(corners)).toBeCloseTo((n * s * s) / (4 * Math.tan(Math.PI / n)), 9);
    }
  });
  test('the compass rule shifts each corner by the run behind it over the perimeter, whatever the traverse', () => {
    const random = seeded(21);
    for (const shape of SHAPES) {
      const readings = { ...readRoom(random, trueRoom(random, shape), false), turnsMeasured: true };
      const open = walk(readings.lengths, directions(readings.turns));
      const gap = open.at(-1) as Point;
      const perimeter = readings.lengths.reduce((a, b) => a + b, 0);
      let run = 0;
      close(readings, SETTINGS).corners.forEach((corner, i) => {
        expect(corner.x).toBeCloseTo((open[i]?.x ?? 0) - (gap.x * run) / perimeter, 9);
        expect(corner.y).toBeCloseTo((open[i]?.y ?? 0) - (gap.y * run) / perimeter, 9);
        run += readings.lengths[i] ?? 0;
      });
    }
  });
});

test('a surveying worked example: the compass rule on a five-sided traverse', () => {
  // Ghilani & Wolf, Elementary Surveying, the chapter on traverse computations: lengths in feet, azimuths after balancing
  // the angles, balanced departures and latitudes. Values from memory.
  const sides = [
    [647.25, 126, 55, 17, 517.444, -388.835],
    [203.03, 178, 18, 58, 5.964, -202.948],
    [720.35, 15, 31, 54, 192.881, 694.022],
    [610.24, 284, 35, 20, -590.571, 153.689],
    [285.13, 206, 9, 41, -125.718, -255.928],
  ] as const;
  const azimuths = sides.map(([, d, m, s]) => d + m / 60 + s / 3600);
  const lengths = sides.map(([length]) => length);
  // run counter-clockwise in the book: mirrored here, as a room is walked clockwise
  const turns = azimuths.map((a, i) => {
    const turn = a - (azimuths[(i + 1) % azimuths.length] ?? 0);
    return turn > 180 ? turn - 360 : turn < -180 ? turn + 360 : turn;
  });
  expect(turns.reduce((a, b) => a + b, 0)).toBeCloseTo(360, 9);
  const closure = close({ lengths, turns, turnsMeasured: true, diagonals: [] }, { ...SETTINGS, least: 1 });
  expect(closure.misclosure).toBeCloseTo(0.081, 2);
  // the book says 1:30,000, rounded
  expect((closure.ratio ?? 0) / 30_000).toBeCloseTo(1, 1);
  sides.forEach(([, , , , departure, latitude], i) =>
    expect(closure.adjusted[i]).toBeCloseTo(Math.hypot(departure, latitude), 2),
  );
});
