import { describe, expect, test } from '@jest/globals';
import { edited, loft } from '../testing/jobs.ts';
import fc from 'fast-check';
import { runs } from '../testing/runs.ts';
import highs from 'highs';
import { applyEdit } from '../job/edits.ts';
import type { Edit } from '../job/edits.ts';
import type { Job } from '../job/types.ts';
import type { Product } from '../job/paints.ts';
import { seeded } from '../units/random.ts';
import { theoreticalSpread } from '../specify/spread.ts';
import { GALLON, QUART, SQUARE_FOOT } from '../units/si.ts';
import { evaluate } from '../units/working.ts';
import { chooseCans, type Size } from './cans.ts';
import { baseOrder } from '../whole/plan.ts';
import { wholeOf } from '../whole/whole.ts';
import { planBoxing, wallsFrom, type BoxWall } from './boxing.ts';
import { alternatives } from '../whole/compare.ts';
import { type PaintLine, boxingOf, orderPaint, perCoat } from './paint.ts';
import { simulated } from './risk.ts';
import { demandOf, expectedLeftover, litresFor, riskCurve, shortfallChance } from './shortfall.ts';
import { chanceAbove, leftoverOf, simulateDemand } from './simulate.ts';

describe('cans at least cost', () => {
  /** The same question put to a MILP solver (HiGHS), lexicographically: cost, then count, then litres left over. */
  const solver = async () => {
    const milp = await highs();
    return (cans: readonly Size[], demand: number): [number, number, number] => {
      const sum = (of: (can: Size) => number) => cans.map((can, i) => `${of(can)} n${i}`).join(' + ');
      const bounds = [`fill: ${sum((c) => c.litres)} >= ${demand}`];
      const least = (goal: string) => {
        const { ObjectiveValue } = milp.solve(
          `Minimize\n o: ${goal}\nSubject To\n ${bounds.join('\n ')}\nGeneral\n ${cans.map((_, i) => `n${i}`).join(' ')}\nEnd`,
          { mip_rel_gap: 0, mip_abs_gap: 1e-9 },
        );
        return ObjectiveValue;
      };
      const cost = Math.round(least(sum((c) => c.price)));
      bounds.push(`cost: ${sum((c) => c.price)} <= ${cost}`);
      const count = Math.round(least(sum(() => 1)));
      bounds.push(`count: ${sum(() => 1)} <= ${count}`);
      return [cost, count, least(sum((c) => c.litres))];
    };
  };
  test('agrees with HiGHS on random price lists', async () => {
    const solve = await solver();
    const can = fc.record({
      litres: fc.integer({ min: 4, max: 80 }).map((n) => n / 4),
      price: fc.integer({ min: 1, max: 60 }).map((n) => n * 100),
    });
    fc.assert(
      fc.property(
        fc.uniqueArray(can, { minLength: 1, maxLength: 4, selector: (c) => c.litres }),
        fc.integer({ min: 1, max: 160 }),
        (cans, quarters) => {
          const demand = quarters / 4;
          const ours = chooseCans(cans, demand);
          const [cost, count, litres] = solve(cans, demand);
          expect([ours?.cost, ours?.count]).toEqual([cost, count]);
          expect(ours?.litres).toBeCloseTo(litres, 4);
        },
      ),
      runs(20),
    );
  });
  test('where greedy by the cheapest litre, or by the largest can, fails', () => {
    const cans = [
      { litres: 10, price: 9000 },
      { litres: 5, price: 4600 },
      { litres: 1, price: 1500 },
    ];
    expect(chooseCans(cans, 14)).toMatchObject({ cost: 13600, count: 2, litres: 15 });
    expect(
      chooseCans(
        [
          { litres: 5, price: 3000 },
          { litres: 3, price: 2000 },
        ],
        6,
      ),
    ).toMatchObject({ cost: 4000, count: 2, litres: 6 });
    expect(
      chooseCans(
        [
          { litres: 2, price: 1000 },
          { litres: 4, price: 2000 },
        ],
        8,
      ),
    ).toMatchObject({ cost: 4000, count: 2 });
  });
  test('nothing wanted costs nothing, nothing sold is said, free cans end', () => {
    expect([
      chooseCans([], 0)?.cost,
      chooseCans([], 1),
      chooseCans(
        [
          { litres: 1, price: 0 },
          { litres: 5, price: 0 },
        ],
        500,
      )?.count,
    ]).toEqual([0, null, 100]);
  });
  test('a search without end is ended: sizes that differ by nothing, a demand beyond all cans', () => {
    const alike = Array.from({ length: 40 }, (_, i) => ({ litres: 1 + i * 1e-7, price: 1000 }));
    for (const [sizes, demand] of [
      [alike, 97.3],
      [[{ litres: 0.05, price: 1 }], 1e10],
    ] as const) {
      const choice = chooseCans(sizes, demand);
      expect(choice?.litres).toBeGreaterThanOrEqual(demand - 1e-6);
      expect(Number.isFinite(choice?.cost)).toBe(true);
    }
  });
});

describe('the chance of running short', () => {
  test('closed form against seeded simulation; the shared error does not average out', () => {
    const parts = [3, 2, 4, 1];
    const demand = demandOf(parts, 0.1, 0.02);
    const bought = 10.9;
    const random = seeded(7);
    const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
    let short = 0;
    const runs = 100_000;
    for (let i = 0; i < runs; i++) {
      const shared = 0.1 * normal();
      if (parts.reduce((sum, p) => sum + p * (1 + shared + 0.02 * normal()), 0) > bought) short++;
    }
    expect(shortfallChance(demand, bought)).toBeCloseTo(short / runs, 2);
    expect(demand.sd / demand.mean).toBeGreaterThan(0.1);
  });
  test('litres for a risk give that risk; 5 % is 1.645 standard deviations [std: normal tables, from memory]', () => {
    const demand = { mean: 10, sd: 1 };
    expect(litresFor(demand, 0.05)).toBeCloseTo(11.645, 3);
    expect(shortfallChance(demand, litresFor(demand, 0.05))).toBeCloseTo(0.05, 12);
  });
});

describe('what comes of buying', () => {
  test('simulated jobs agree with the closed forms where there is one: chance and leftover', () => {
    const paint = {
      surfaces: [3, 2, 4, 1].map((litres) => ({ litres, coats: 2, thinnest: 0 })),
      fixed: 0.75,
      spreadCv: 0.1,
      measureCv: 0.02,
    };
    const sorted = simulateDemand(paint, 100_000, seeded(11));
    const { sd } = demandOf([3, 2, 4, 1], 0.1, 0.02);
    for (const have of [10, 11, 12, 12.6]) {
      const demand = { mean: 10.75, sd };
      expect(chanceAbove(sorted, have)).toBeCloseTo(shortfallChance(demand, have), 2);
      expect(leftoverOf(sorted, have)).toBeCloseTo(expectedLeftover(demand, have), 1);
    }
    // the same seed is the same jobs
    expect(simulateDemand(paint, 50, seeded(3))).toEqual(simulateDemand(paint, 50, seeded(3)));
  });
  test('a film too thin to hide asks for another coat, which no closed form knows', () => {
    const risky = { surfaces: [{ litres: 10, coats: 2, thinnest: 1 }], fixed: 0, spreadCv: 0.1, measureCv: 0 };
    const sorted = simulateDemand(risky, 20_000, seeded(5));
    // half the hands are thinner than the plan: they take 1.5 times their thinner film
    expect(chanceAbove(sorted, 12.5)).toBeCloseTo(0.5 - shortfallChance({ mean: 0, sd: 1 }, 10 * (1 - 12.5 / 15)), 1);
  });
  test('more litres are never a greater risk, nor less left over', () => {
    const curve = riskCurve({ mean: 10, sd: 1.2 });
    curve.slice(1).forEach((point, i) => {
      expect(point.chance).toBeLessThanOrEqual(curve[i]?.chance ?? 0);
      expect(point.leftover).toBeGreaterThanOrEqual(curve[i]?.leftover ?? 0);
    });
  });
});

describe('boxing', () => {
  const wall = fc.record({
    litres: fc.integer({ min: 1, max: 80 }).map((n) => n / 10),
    room: fc.constantFrom('a', 'b', 'c'),
  });
  const wallsOf = (list: readonly { litres: number; room: string }[]): BoxWall[] =>
    list.map((w, i) => ({ ...w, id: `w${i}` }));
  test('every wall from one bucket, every can poured out whole, no bucket over unless a wall is', () => {
    fc.assert(
      fc.property(
        fc.array(wall, { minLength: 1, maxLength: 9 }),
        fc.array(fc.constantFrom(0.95, 3.8, 5, 18.9), { minLength: 1, maxLength: 5 }),
        (list, cans) => {
          const walls = wallsOf(list);
          const plan = planBoxing(
            cans.map((litres, i) => ({ litres, batch: i === 0 ? 'old' : null })),
            walls,
            16,
          );
          expect(plan.buckets.flatMap((b) => b.walls).sort()).toEqual(walls.map((w) => w.id).sort());
          cans.forEach((litres, can) => {
            const out = plan.buckets.flatMap((b) => b.pours).filter((p) => p.can === can);
            expect(out.reduce((sum, p) => sum + p.litres, 0)).toBeCloseTo(litres, 6);
          });
          for (const bucket of plan.buckets)
            if (!bucket.walls.some((id) => plan.over.includes(id)))
              expect(bucket.litres).toBeLessThanOrEqual(16 + 1e-6);
        },
      ),
    );
  });
  test('hundreds of walls are packed without a search, each in one bucket', () => {
    const walls = wallsOf(Array.from({ length: 5000 }, (_, i) => ({ litres: 0.5 + (i % 13) / 2, room: `r${i % 40}` })));
    const want = walls.reduce((sum, w) => sum + w.litres, 0);
    const plan = planBoxing([{ litres: want, batch: null }], walls, 16);
    expect(plan.buckets.flatMap((b) => b.walls).sort()).toEqual(walls.map((w) => w.id).sort());
    expect(plan.buckets.every((b) => b.litres <= 16 + 1e-6)).toBe(true);
    expect(plan.buckets.length).toBeLessThanOrEqual((11 / 9) * Math.ceil(want / 16) + 1);
  });
  test('as few buckets as a MILP solver (HiGHS) needs', async () => {
    const milp = await highs();
    fc.assert(
      fc.property(fc.array(wall, { minLength: 2, maxLength: 6 }), (list) => {
        const walls = wallsOf(list);
        const total = walls.reduce((sum, w) => sum + w.litres, 0);
        const ours = planBoxing([{ litres: total, batch: null }], walls, 10).buckets.length;
        const bins = walls.map((_, b) => b);
        const text = `Minimize\n o: ${bins.map((b) => `y${b}`).join(' + ')}\nSubject To\n ${[
          ...walls.map((_, i) => `one${i}: ${bins.map((b) => `x${i}_${b}`).join(' + ')} = 1`),
          ...bins.map(
            (b) => `fit${b}: ${walls.map((w, i) => `${w.litres} x${i}_${b}`).join(' + ')} - 10 y${b} <= 0.000001`,
          ),
        ].join(
          '\n ',
        )}\nBinary\n ${bins.flatMap((b) => [`y${b}`, ...walls.map((_, i) => `x${i}_${b}`)]).join(' ')}\nEnd`;
        expect(ours).toBe(Math.round(milp.solve(text).ObjectiveValue));
      }),
      runs(8),
    );
  });
  test('a batch used as it comes paints whole walls, as much of it as can be', () => {
    fc.assert(
      fc.property(fc.array(wall, { maxLength: 8 }), fc.integer({ min: 0, max: 200 }), (list, tenths) => {
        const walls = wallsOf(list);
        const have = tenths / 10;
        const size = (ids: readonly string[]) =>
          walls.filter((w) => ids.includes(w.id)).reduce((sum, w) => sum + w.litres, 0);
        let best = 0;
        for (let mask = 0; mask < 1 << walls.length; mask++) {
          const sum = size(walls.filter((_, i) => mask & (1 << i)).map((w) => w.id));
          if (sum <= have + 1e-9) best = Math.max(best, sum);
        }
        expect(size(wallsFrom(have, walls))).toBeCloseTo(best, 6);
      }),
    );
  });
});

describe('spread', () => {
  test('a gallon is 231 cubic inches: 1604 sq ft at 1 mil and full solids [NIST SP 811, from memory]', () => {
    const squareFeet = (perLitre: number) => (perLitre * GALLON) / SQUARE_FOOT;
    expect(squareFeet(theoreticalSpread(1, 25.4e-6))).toBeCloseTo((231 * 1000) / 144, 6);
    expect(squareFeet(theoreticalSpread(1, 25.4e-6))).toBeCloseTo(1604, 0);
  });
  // the usual worked example of coating handbooks, from memory: 60 % volume solids at 75 um spread 8 m2/L
  test.each([
    [0.6, 75e-6, 8],
    [0.4, 40e-6, 10],
  ])('volume solids %d at %d m: %d m2/L', (volume, dry, rate) =>
    expect(theoreticalSpread(volume, dry)).toBeCloseTo(rate, 9),
  );
  test('a rate for porous ground holds the porosity already: it is not divided twice', () => {
    const porous = (porousRate: number | null) => {
      const job = edited(loft(), { name: 'setSurvey', args: { scope: 'all:wall', set: { porous: 'yes' } } });
      const wall = job.products['paint-wall'] as Product;
      const set = edited(job, { name: 'setProduct', args: { product: { ...wall, porousRate } } });
      const use = wholeOf(set).paints.find((p) => p.product.id === 'paint-wall')?.uses[0];
      return (
        (use?.litres.value ?? NaN) /
        ((use?.specified.surface.area.value ?? NaN) + (use?.specified.surface.cut ?? NaN) * 0.013125)
      );
    };
    const rate = loft().products['paint-wall']?.labelRate ?? NaN;
    expect(porous(null)).toBeCloseTo(2.2 / rate, 9);
    expect(porous(rate / 1.5)).toBeCloseTo(2.5 / rate, 9);
  });
});

describe('what is there already', () => {
  const can = (litres: number, batch = 'b1'): Edit => ({
    name: 'addShelfCan',
    args: { can: { id: `s${litres}`, product: 'paint-wall', sheen: 'matte', colour: 'colour-wall', litres, batch } },
  });
  const walls = (job: Job) => wholeOf(job).paints.find((p) => p.product.id === 'paint-wall');
  test('boxed, all of it is taken off what is bought, at the same risk', () => {
    const [without, with2] = [walls(loft()), walls(edited(loft(), can(2)))];
    expect((without?.wanted ?? 0) - (with2?.wanted ?? 0)).toBeCloseTo(2, 9);
    expect(with2?.shortfallChance).toBeLessThanOrEqual(0.05);
    expect(with2 && boxingOf(with2, {}).buckets.flatMap((b) => b.pours).length).toBeGreaterThan(1);
    expect(walls(edited(loft(), can(60)))).toMatchObject({ ordered: 0, shortfallChance: expect.closeTo(0, 6) });
  });
  test('as it comes, it does whole walls only, and what it cannot is bought', () => {
    const asItComes: Edit = { name: 'setPractice', args: { set: { boxing: 'as-they-come' } } };
    const line = walls(edited(loft(), asItComes, can(2)));
    const done = line?.shelf[0]?.walls ?? [];
    expect(done.length).toBeGreaterThan(0);
    const litres = (line?.uses ?? [])
      .filter((u) => done.includes(u.specified.surface.id))
      .reduce((sum, u) => sum + u.litres.value, 0);
    expect(litres).toBeLessThanOrEqual(2);
    expect(line?.fromShelf).toBeCloseTo(litres, 9);
    expect(walls(edited(loft(), asItComes, can(0.2)))?.shelf[0]?.walls).toEqual([]);
  });
  test('pieces that are owned are taken off, never below none', () => {
    const pole = (job: Job) => baseOrder(job).materials.find((m) => m.item === 'pole');
    expect(pole(edited(loft(), { name: 'setOwned', args: { key: 'pole', pieces: 9 } }))).toMatchObject({
      wanted: 2,
      owned: 2,
      quantity: 0,
      cost: 0,
    });
  });
});

test('a dearer paint that hides in two coats against a cheaper one in three, labour and all', () => {
  const wall = loft().products['paint-wall'] as Product;
  const job = edited(
    loft(),
    { name: 'setColour', args: { colour: { id: 'colour-wall', name: 'Deep', hex: '#22394f' } } },
    {
      name: 'setProduct',
      args: {
        product: {
          ...wall,
          id: 'dear',
          name: 'Dear',
          contrast: 0.995,
          cans: wall.cans.map((c) => ({ ...c, price: Math.round(c.price * 1.4) })),
        },
      },
    },
  );
  const line = wholeOf(job).paints.find((p) => p.product.id === 'paint-wall');
  if (!line) throw new Error('no wall paint');
  const [now, dear] = alternatives(job, line);
  expect([now?.coats, dear?.coats, dear?.product.id]).toEqual([[3, 3], [2, 2], 'dear']);
  expect(dear?.minutes).toBeLessThan(now?.minutes ?? 0);
  expect(dear?.total).toBe((now?.total ?? 0) + (dear?.difference ?? NaN));
});
test('a second coat of penetrating primer saves finish paint on thirsty ground, and is priced against it', () => {
  const job = edited(loft(), {
    name: 'setSurvey',
    args: { scope: 'all:wall', set: { condition: 'weak', porous: 'yes' } },
  });
  const line = wholeOf(job).paints.find((p) => p.product.id === 'paint-wall');
  const twice = line && alternatives(job, line).find((a) => a.primerCoats === 2);
  const then = edited(job, { name: 'setPractice', args: { set: { weakCoats: 2 } } });
  const saved = wholeOf(then).paints.find((p) => p.product.id === 'paint-wall');
  expect(saved?.expected.value).toBeLessThan(line?.expected.value ?? 0);
  expect(twice?.total).toBe(baseOrder(then).total);
});
test('a deep colour is not sold in every size; conditioner is dosed from the litres it goes into', () => {
  const job = edited(
    loft(),
    {
      name: 'setColour',
      args: { colour: { id: 'colour-wall', name: 'Deep', hex: '#22394f' } },
    },
    { name: 'setSetting', args: { key: 'order.reserve', value: 40 } },
  );
  const line = wholeOf(job).paints.find((p) => p.product.id === 'paint-wall');
  expect([line?.base, line?.choice?.cans.some((c) => c.litres > 18)]).toEqual(['deep', false]);
  // it goes into the last coat alone
  const doors = wholeOf(loft()).surfaces.filter(({ surface }) => surface.kind === 'door');
  const dosed = edited(loft(), {
    name: 'decideAll',
    args: { surfaces: doors.map(({ surface }) => surface.id), member: 'conditioner', value: 0.125 },
  });
  const trim = wholeOf(dosed).paints.find((p) => p.product.id === 'paint-trim');
  const uses = (trim?.uses ?? []).filter((u) => u.specified.surface.kind === 'door');
  expect(uses.length).toBeGreaterThan(0);
  expect(trim?.conditioner).toBeCloseTo(
    uses.reduce((sum, u) => sum + (u.coats.at(-1) ?? 0) * 0.125, 0),
    9,
  );
});
test('what a worker is asked of a paint is the line’s own demand', () => {
  const line = wholeOf(loft()).paints[0];
  if (!line) throw new Error('no paint');
  const asked = simulated(loft(), line);
  expect(asked.fixed + asked.surfaces.reduce((sum, s) => sum + s.litres, 0)).toBeCloseTo(line.demand.mean, 9);
  expect(orderPaint(loft(), []).length).toBe(0);
});

describe('an order', () => {
  test('litres worked by hand: area x coats / rate, losses', () => {
    const line = wholeOf(loft()).paints.find((p) => p.product.id === 'paint-wall');
    // half of the cut band, 35 mm wide at three quarters of a film, is rolled again
    const used = (line?.uses ?? []).reduce((sum, { specified: { surface, product } }) => {
      const area = surface.area.value + surface.cut * 0.035 * 0.5 * 0.75;
      return sum + (area * 2) / product.labelRate;
    }, 0);
    expect(line?.expected.value).toBeCloseTo(used * 1.01 + 0.15 + 0.1, 9);
    expect(evaluate(line?.expected ?? { op: 'given', name: '', value: 0, dimension: 'count' })).toBeCloseTo(
      line?.expected.value ?? -1,
      12,
    );
    // coat by coat it is the same paint
    expect(perCoat(line?.uses ?? []).reduce((a, b) => a + b, 0)).toBeCloseTo(used, 9);
    expect(line?.shortfallChance).toBeLessThanOrEqual(0.05);
    expect(line?.choice?.cans.map((c) => c.litres)).toEqual(
      expect.arrayContaining([expect.closeTo(GALLON, 9) as unknown as number]),
    );
    expect(QUART * 4).toBe(GALLON);
  });
  test('two chances: not finishing, which cans are bought against; and keeping less than the reserve, which is a choice with its price', () => {
    const job = loft();
    const line = wholeOf(job).paints.find((p) => p.product.id === 'paint-ceiling') as PaintLine;
    const { demand, ordered, reserve } = line;
    // the chances of a normal demand, by a published approximation of its distribution [Abramowitz & Stegun 26.2.17, from memory]
    const beyond = (z: number): number => {
      if (z < 0) return 1 - beyond(-z);
      const t = 1 / (1 + 0.2316419 * z);
      const poly = t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
      return (Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)) * poly;
    };
    expect(line.shortfallChance).toBeCloseTo(beyond((ordered - demand.mean) / demand.sd), 6);
    expect(reserve?.chance).toBeCloseTo(beyond((ordered - 0.5 - demand.mean) / demand.sd), 6);
    expect(line.shortfallChance).toBeLessThanOrEqual(0.05);
    // the reserve is not in what is wanted, nor bought for, until it is chosen
    expect(line.wanted).toBeCloseTo(demand.mean + 1.6448536 * demand.sd, 6);
    const bought = wholeOf(edited(job, { name: 'reserve', args: { key: line.key, on: true } })).paints.find(
      (p) => p.key === line.key,
    );
    expect(bought?.reserve).toMatchObject({ bought: true, price: reserve?.price ?? -1 });
    expect((bought?.choice?.cost ?? 0) - (line.choice?.cost ?? 0)).toBe(reserve?.price);
    expect(bought?.reserve?.chance).toBeLessThanOrEqual(0.05);
    expect(bought?.expected.value).toBe(line.expected.value);
  });
  test('totals are the sum of the lines shown', () => {
    const order = baseOrder(loft());
    const lines = [
      ...order.paints.map((p) => p.choice?.cost ?? 0),
      ...order.materials.map((m) => m.cost),
      order.labour.cost,
    ];
    expect(order.total).toBe(lines.reduce((a, b) => a + b, 0));
    for (const m of order.materials) expect(m.quantity).toBe(Math.ceil(evaluate(m.working) - 1e-9));
  });
  test('two colours are two paints; areas add over them', () => {
    const job = loft();
    const wall = `${Object.values(job.rooms.byId)[0]?.walls.order[2]}/field`;
    const deep = applyEdit(job, {
      name: 'setColour',
      args: { colour: { id: 'deep', name: 'B7 deep slate', hex: '#22394f' } },
    });
    const two =
      deep.ok &&
      applyEdit(deep.value.job, {
        name: 'setFinish',
        args: { scope: wall, finish: { product: 'paint-wall', colour: 'deep' } },
      });
    if (!two || !two.ok) throw new Error('edit refused');
    const paints = wholeOf(two.value.job).paints.filter((p) => p.product.id === 'paint-wall');
    expect(paints).toHaveLength(2);
    const area = (p: typeof paints) => p.flatMap((x) => x.uses).reduce((s, u) => s + u.specified.surface.area.value, 0);
    expect(area(paints)).toBeCloseTo(area(wholeOf(job).paints.filter((p) => p.product.id === 'paint-wall')), 12);
    expect(paints.find((p) => p.colour?.id === 'deep')?.uses[0]?.specified.system.coats.value).toBe(3);
  });
});
