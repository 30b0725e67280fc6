import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import highs from 'highs';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readAny } from '../exchange/read.ts';
import { applyEdit } from '../job/edits.ts';
import type { Job } from '../job/types.ts';
import { seeded } from '../sequence/schedule.ts';
import { GALLON, QUART } from '../units/si.ts';
import { evaluate } from '../units/working.ts';
import { chooseCans, type Size } from './cans.ts';
import { derive } from './derive.ts';
import { demandOf, litresFor, shortfallChance } from './shortfall.ts';

const loft = (): Job => {
  const opened = readAny(readFileSync(join(__dirname, '../../../examples/loft-bedroom.tape'), 'utf8'), 'Loft');
  if (!opened.ok) throw new Error('the example is broken');
  return opened.value.job;
};

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
      { numRuns: 60 },
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

describe('an order', () => {
  test('litres worked by hand: area x coats / rate, losses, reserve', () => {
    const line = derive(loft()).order.paints.find((p) => p.product.id === 'paint-wall');
    const used = (line?.uses ?? []).reduce(
      (sum, use) => sum + (use.specified.surface.area.value * 2) / use.specified.product.labelRate,
      0,
    );
    expect(line?.expected.value).toBeCloseTo(used * 1.01 + 0.15 + 0.1 + 0.5, 9);
    expect(evaluate(line?.expected ?? { op: 'given', name: '', value: 0, dimension: 'count' })).toBeCloseTo(
      line?.expected.value ?? -1,
      12,
    );
    expect(line?.shortfallChance).toBeLessThanOrEqual(0.05);
    expect(line?.choice?.cans.map((c) => c.litres)).toEqual(
      expect.arrayContaining([expect.closeTo(GALLON, 9) as unknown as number]),
    );
    expect(QUART * 4).toBe(GALLON);
  });
  test('totals are the sum of the lines shown', () => {
    const { order } = derive(loft());
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
    const paints = derive(two.value.job).order.paints.filter((p) => p.product.id === 'paint-wall');
    expect(paints).toHaveLength(2);
    const area = (p: typeof paints) => p.flatMap((x) => x.uses).reduce((s, u) => s + u.specified.surface.area.value, 0);
    expect(area(paints)).toBeCloseTo(area(derive(job).order.paints.filter((p) => p.product.id === 'paint-wall')), 12);
    expect(paints.find((p) => p.colour?.id === 'deep')?.uses[0]?.specified.system.coats.value).toBe(3);
  });
});
