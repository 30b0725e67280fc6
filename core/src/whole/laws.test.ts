import { describe, expect, test } from '@jest/globals';
import { cottage as openCottage, cottageText, edited } from '../testing/jobs.ts';
import fc from 'fast-check';
import { runs } from '../testing/runs.ts';
import { orderContract } from '../exchange/contracts.ts';
import { type Edit } from '../job/edits.ts';
import { openJob } from '../job/open.ts';
import { baseOrder } from './plan.ts';
import { wholeOf } from './whole.ts';
import { boxingOf, mendingOf, perCoat } from '../order/paint.ts';
import { quoteOf } from './quote.ts';
import { shoppingList } from '../order/shopping.ts';

const cottage = openCottage();
const surfaces = wholeOf(cottage).surfaces.map((s) => s.surface.id);
const set = (key: string, value: number): Edit => ({ name: 'setSetting', args: { key, value } as never });

/** Changes that people make to an order, in any combination. */
const change: fc.Arbitrary<Edit> = fc.oneof(
  fc.constantFrom('box' as const, 'as-they-come' as const).map((boxing): Edit => ({
    name: 'setPractice',
    args: { set: { boxing } },
  })),
  fc.constantFrom('equal' as const, 'thin-then-full' as const).map((coats): Edit => ({
    name: 'setPractice',
    args: { set: { coats } },
  })),
  fc.constantFrom('hours' as const, 'days' as const).map((billed): Edit => ({
    name: 'setPricing',
    args: { set: { billed } },
  })),
  fc.record({ margin: fc.constantFrom(0, 0.2, 0.5), tax: fc.constantFrom(0, 0.19) }).map((s): Edit => ({
    name: 'setPricing',
    args: { set: s },
  })),
  fc.boolean().map((taken): Edit => ({ name: 'setOption', args: { option: 'option-1', set: { taken } } })),
  fc.integer({ min: 0, max: 9 }).map((pieces): Edit => ({ name: 'setOwned', args: { key: 'pole', pieces } })),
  fc.constantFrom(0, 0.125, 0.25).map((value): Edit => ({
    name: 'decideAll',
    args: { surfaces, member: 'conditioner', value } as never,
  })),
  fc.constantFrom('no' as const, 'yes' as const, 'unknown' as const).map((porous): Edit => ({
    name: 'setSurvey',
    args: { scope: 'all:wall', set: { porous } },
  })),
  fc.constantFrom(0.01, 0.05, 0.3).map((risk) => set('order.risk', risk)),
);
const numbers = (value: unknown): number[] =>
  typeof value === 'number' ? [value] : value && typeof value === 'object' ? Object.values(value).flatMap(numbers) : [];
const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0);

test('whatever is changed: figures are finite, sums are sums, the chosen chance is kept, every wall has one bucket', () => {
  fc.assert(
    fc.property(fc.array(change, { maxLength: 6 }), (edits) => {
      const job = edited(cottage, ...edits);
      const order = baseOrder(job);
      for (const n of numbers(orderContract(job, order))) expect(Number.isFinite(n)).toBe(true);
      expect(order.labour.cost).toBe(sum(order.labour.lines.map((l) => l.cost)));
      expect(order.price.total).toBe(sum(order.price.lines.map((l) => l.amount)));
      expect(shoppingList(job, order).total).toBe(order.total - order.labour.cost);
      const quote = quoteOf(job, order, [], '2026-11-25');
      expect([sum(quote.rooms.map((r) => r.amount)), quote.net + quote.tax]).toEqual([order.price.net, quote.total]);
      const risk = job.settings['order.risk'] ?? 0.05;
      for (const paint of order.paints) {
        expect(paint.shortfallChance).toBeLessThanOrEqual(risk + 1e-9);
        expect(paint.leftover).toBeGreaterThanOrEqual(0);
        expect(sum(perCoat(paint.uses)) + mendingOf(paint.uses)).toBeCloseTo(
          sum(paint.uses.map((u) => u.litres.value)),
          9,
        );
        const walls = boxingOf(paint, job.settings).buckets.flatMap((b) => b.walls);
        expect(new Set(walls).size).toBe(walls.length);
        if (job.practice.boxing === 'box' && paint.product.role === 'finish' && paint.boxed.length)
          expect(walls.length).toBe(new Set(paint.uses.map((use) => use.specified.surface.id)).size);
      }
    }),
    runs(4),
  );
});

describe('laws of an order', () => {
  const litres = (...edits: Edit[]) => sum(wholeOf(edited(cottage, ...edits)).paints.map((p) => p.expected.value));
  test('feet or metres, the order is the same', () => {
    const metric = baseOrder(edited(cottage, { name: 'setUnits', args: { units: 'metric' } }));
    const { paints, total } = baseOrder(cottage);
    expect([metric.total, metric.paints.map((p) => p.ordered)]).toEqual([total, paints.map((p) => p.ordered)]);
  });
  test('less risk, thirst, losses and a larger reserve never take less; conditioner stands in for paint', () => {
    const base = litres();
    const wanted = (risk: number) => sum(wholeOf(edited(cottage, set('order.risk', risk))).paints.map((p) => p.wanted));
    expect(wanted(0.01)).toBeGreaterThan(wanted(0.2));
    expect(litres(set('loss.tray', 0.3))).toBeGreaterThan(base);
    const kept = (...edits: Edit[]) =>
      wholeOf(edited(cottage, ...edits)).paints.flatMap(({ reserve, shortfallChance }) =>
        reserve ? [{ ...reserve, short: shortfallChance }] : [],
      );
    const larger = kept(set('order.reserve', 1.5));
    kept().forEach((reserve, i) => {
      expect(reserve.chance).toBeGreaterThanOrEqual(reserve.short);
      expect(larger[i]?.chance).toBeGreaterThanOrEqual(reserve.chance);
      expect(larger[i]?.price).toBeGreaterThanOrEqual(reserve.price);
    });
    expect(litres({ name: 'setSurvey', args: { scope: 'all:wall', set: { porous: 'yes' } } })).toBeGreaterThan(base);
    const dose: Edit = { name: 'decideAll', args: { surfaces, member: 'conditioner', value: 0.25 } };
    expect(litres(dose)).toBeLessThan(base);
  });
});

describe('a job file with nonsense in its order is refused, the place named', () => {
  /** The example with one place of it spoiled. */
  const spoiled = (path: string, value: unknown): string => {
    const job = JSON.parse(cottageText()) as Record<string, unknown>;
    const keys = path.split('/');
    const last = keys.pop() ?? '';
    const owner = keys.reduce<Record<string, unknown>>((at, key) => at[key] as Record<string, unknown>, job);
    owner[last] = value;
    return JSON.stringify(job);
  };
  test.each([
    ['a negative price', 'products/paint-wall/cans/0/price', -1],
    ['half a cent', 'products/paint-wall/cans/0/price', 10.5],
    ['an empty can', 'products/paint-wall/cans/0/litres', 0],
    ['a base nobody mixes', 'products/paint-wall/cans/0/bases', ['beige']],
    ['no spread rate', 'products/paint-wall/labelRate', 0],
    ['a spread on porous ground below nothing', 'products/paint-wall/porousRate', -3],
    ['full contrast', 'products/paint-wall/contrast', 1],
    ['more than solid', 'products/paint-wall/solids', { volume: 1.2, dry: 4e-5 }],
    ['a price of no day', 'products/paint-wall/priced', { source: 'desk', date: 'yesterday' }],
    ['all margin', 'pricing/margin', 1],
    ['a negative tax', 'pricing/tax', -0.1],
    ['half a pole', 'owned/pole', 0.5],
    ['a day nobody pays', 'crew/people/0/day', -5],
    ['paint of nothing on the shelf', 'shelf/byId/shelf-1/product', 'gone'],
    ['an option in no colour', 'options/byId/option-1/finish', { product: 'paint-wall', colour: 'gone' }],
  ])('%s', (_, path, value) => {
    const read = openJob(spoiled(path, value));
    const places = read.ok ? [] : read.problems.map((p) => p.path);
    // the entry that is wrong, or the field inside it
    const entry = path.replace(/\/(product|finish)$/, '');
    expect(places.some((place) => place.startsWith(entry))).toBe(true);
  });
});
