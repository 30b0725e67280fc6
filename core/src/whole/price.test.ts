import { optionPrices } from '../testing/options.ts';
import { describe, expect, test } from '@jest/globals';
import { cottage as openCottage, edited as editedJob, someRooms } from '../testing/jobs.ts';
import fc from 'fast-check';
import { applyEdit, type Edit } from '../job/edits.ts';
import type { Job } from '../job/types.ts';
import { FOOT } from '../units/si.ts';
import { evaluate } from '../units/working.ts';
import { baseDays, baseOrder, basePlan } from './plan.ts';
import { wholeOf } from './whole.ts';
import { isKept, KIT, materialKey } from '../order/kit.ts';
import { priceLabour, priceOf, shareOut } from '../order/price.ts';
import { quoteOf } from './quote.ts';
import { schoolPrice, SCHOOLS, type School } from './schools.ts';
import { shoppingList } from '../order/shopping.ts';

const cottage = someRooms(openCottage(), 'Parlour', 'Washroom');
const edited = (...edits: Edit[]): Job => editedJob(cottage, ...edits);
const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0);

describe('a price', () => {
  // Textbook relation of markup and margin, from memory: 25 % on cost is 20 % of price; tax is on the price
  test('margin and tax on a worked example: 800.00 of costs, 20 % margin, 10 % tax', () =>
    expect(
      priceOf(
        { paint: 20000, materials: 10000, labour: 50000 },
        { billed: 'hours', overhead: 0, margin: 0.2, tax: 0.1, taxed: 'all' },
      ),
    ).toMatchObject({ net: 100000, tax: 10000, total: 110000 }));
  test('tax on materials alone, overhead before margin', () =>
    expect(
      priceOf(
        { paint: 20000, materials: 10000, labour: 50000 },
        { billed: 'days', overhead: 0.1, margin: 0.2, tax: 0.05, taxed: 'materials' },
      ),
    ).toMatchObject({ net: 110000, tax: 1500, total: 111500 }));
  test('for oneself: what is bought and its tax, less the kit, and hours that cost nothing', () => {
    const own = edited({ name: 'setPricing', args: { set: { billed: 'own' } } });
    const mine = baseOrder(own);
    const billed = baseOrder(cottage);
    expect(mine.labour.minutes).toBe(billed.labour.minutes);
    expect(mine.labour.cost).toBe(0);
    expect(mine.price.lines.map(({ kind }) => kind)).toEqual(['paint', 'materials', 'tax']);
    const bought = billed.price.lines.filter(({ kind }) => kind === 'paint' || kind === 'materials');
    expect(mine.price.net).toBe(sum(bought.map(({ amount }) => amount)));
    // what lasts of it is in the kit that is asked for once
    const kit = KIT.map(({ item, size }) => materialKey(item, size));
    const lasting = billed.materials.filter(({ item }) => isKept(item)).map(({ key }) => key);
    expect(lasting.length).toBeGreaterThan(5);
    expect(kit).toEqual(expect.arrayContaining(lasting));
    expect(mine.price.total).toBe(mine.price.net + Math.round(mine.price.net * (own.pricing.tax ?? 0)));
  });
  const money = fc.integer({ min: 0, max: 5_000_000 });
  const share = fc.double({ min: 0, max: 0.9, noNaN: true });
  test('whole minor units, and always the sum of the lines shown', () => {
    fc.assert(
      fc.property(money, money, money, share, share, share, (paint, materials, labour, overhead, margin, tax) => {
        const price = priceOf({ paint, materials, labour }, { billed: 'hours', overhead, margin, tax, taxed: 'all' });
        expect(sum(price.lines.map((l) => l.amount))).toBe(price.total);
        for (const { amount } of price.lines) expect(Number.isInteger(amount)).toBe(true);
      }),
    );
  });
  test('a sum shared out is that sum, each part within a unit of its share', () => {
    fc.assert(
      fc.property(money, fc.array(fc.nat(1000), { minLength: 1, maxLength: 9 }), (total, weights) => {
        const parts = shareOut(total, weights);
        expect(sum(parts)).toBe(total);
        const all = sum(weights);
        if (all > 0)
          parts.forEach((part, i) => expect(Math.abs(part - (total * (weights[i] ?? 0)) / all)).toBeLessThan(1));
      }),
    );
  });
});

describe('labour', () => {
  const worked = sum(wholeOf(cottage).operations.map((op) => op.minutes.value));
  test('by hours or by whole days of everybody; the cost is the sum of its lines', () => {
    const { operations } = wholeOf(cottage);
    const plan = baseDays(cottage);
    const hours = priceLabour(cottage, operations, plan);
    const days = priceLabour({ ...cottage, pricing: { ...cottage.pricing, billed: 'days' } }, operations, plan);
    for (const labour of [hours, days]) {
      expect(labour.cost).toBe(sum(labour.lines.map((l) => l.cost)));
      expect(labour.minutes).toBeCloseTo(sum(labour.lines.map((l) => l.minutes)), 9);
      // a person-day of the plan takes 20 minutes to set up, 25 to clean up, and 2 to wrap covers before the break at noon
      expect(labour.minutes).toBeCloseTo(worked + plan.travel + sum(plan.byPerson) * 47, 9);
    }
    expect(days.cost).toBe((plan.byPerson[0] ?? 0) * 36_000 + (plan.byPerson[1] ?? 0) * 31_500);
  });
  test('the days are those of the plan: no fewer than the minutes fill, and nobody works outside them', () => {
    const { placed, personDays } = basePlan(cottage);
    const plan = baseDays(cottage);
    // a day of 495 minutes has 450 for work, by two
    expect(plan.days).toBeGreaterThanOrEqual(Math.ceil(worked / 900));
    expect(plan).toMatchObject({ planned: true, days: new Set(personDays.map((p) => p.day)).size });
    for (const { pieces, who } of placed)
      for (const [from, to] of pieces)
        for (const person of who) {
          const own = personDays.find((p) => p.person === person && p.day === Math.floor(from / 1440));
          expect(from).toBeGreaterThanOrEqual(own?.setUp[1] ?? Infinity);
          expect(to).toBeLessThanOrEqual(own?.cleanUp[0] ?? -Infinity);
        }
  });
  test('where no plan fits, days are counted from the minutes, and said to be', () =>
    expect(baseDays({ ...cottage, settings: { ...cottage.settings, 'pace.rollOverhead': 0.01 } })).toMatchObject({
      planned: false,
    }));
});

describe('materials', () => {
  const line = (item: string, job: Job = cottage) => baseOrder(job).materials.filter((m) => m.item === item);
  test('each by its formula, rounded up to whole pieces, its working true', () => {
    for (const m of baseOrder(cottage).materials) {
      expect(m.wanted).toBe(Math.ceil(evaluate(m.working) - 1e-9));
      expect([m.quantity + m.owned, m.cost]).toEqual([m.wanted, m.quantity * m.each]);
    }
  });
  test('fine paper by grit, filler by holes, a new cover for last coats, safety by the cautions that apply', () => {
    const passage = edited({ name: 'setSurvey', args: { scope: 'all:wall', set: { built: 2010 } } });
    expect(line('abrasive').map((m) => m.size.grit)).toEqual(
      [80, 120, 150, 220].filter((g) => line('abrasive').some((m) => m.size.grit === g)),
    );
    expect(line('filler')[0]?.quantity).toBeGreaterThan(0);
    expect(line('cover').every((m) => m.quantity >= 1)).toBe(true);
    expect([line('mask').length, line('lead-test').length, line('asbestos-test')[0]?.quantity]).toEqual([1, 1, 1]);
    expect(line('respirator')).toEqual([]);
    const cloths = (job?: Job) =>
      line('drop-cloth', job).map(({ quantity, cost, working }) => [quantity, cost, working.value]);
    expect(cloths(passage)).toEqual(cloths());
  });
  test('rough walls take the better tape; a floor shield where trim comes last', () => {
    const rough = edited({ name: 'setSurvey', args: { scope: 'all:wall', set: { texture: 'rough-plaster' } } });
    const taped: Edit = { name: 'setLine', args: { key: 'wall-casing', set: { method: 'tape-sealed' } } };
    expect([line('tape', edited(taped)).length, line('tape', rough).length]).toEqual([1, 0]);
    const both = applyEdit(rough, taped);
    expect(both.ok && line('tape-fine', both.value.job).length).toBe(1);
    const last = edited({ name: 'setPractice', args: { set: { trimOrder: 'trim-last' } } });
    expect([line('tape', last).length, line('card', last)[0]?.quantity]).toEqual([0, 2]);
  });
  test('a bead of caulk: 5 mm across, a cartridge of 300 mL does 24 m (by hand)', () => {
    const caulk = line('caulk')[0];
    const metres = (caulk?.working.value ?? 0) * (0.0003 / (0.005 ** 2 / 2));
    expect(metres).toBeGreaterThan(30 * FOOT);
    expect(caulk?.quantity).toBe(Math.ceil(metres / 24 - 1e-9));
  });
});

describe('a quote', () => {
  const wall = Object.values(cottage.rooms.byId).find((r) => r.name === 'Washroom')?.walls.order[0];
  const option = (finish: { product: string; colour: string } | null, taken = false): Edit => ({
    name: 'addOption',
    args: { option: { id: 'o1', name: 'The washroom’s first wall', surfaces: [`${wall}/field`], finish, taken } },
  });
  test('rooms add up to the net, net and tax to the total, in plain words', () => {
    const job = edited({ name: 'setPricing', args: { set: { tax: 0.07, client: 'The keeper' } } });
    const quote = quoteOf(job, baseOrder(job), optionPrices(job), '2026-11-25');
    expect(sum(quote.rooms.map((r) => r.amount))).toBe(quote.net);
    expect(quote.net + quote.tax).toBe(quote.total);
    expect([quote.until, quote.rooms.length]).toEqual(['2026-12-25', 2]);
    const words = JSON.stringify(quote);
    expect(words).toMatch(/All four walls: plates off, .*2 coats of Wet-room paint/);
    expect(words).toMatch(/local code/);
    expect(words).not.toMatch(/undefined|NaN|null/);
  });
  test('an option is priced apart, is neither ordered nor worked until taken, and then costs what was said', () => {
    const job = edited(option(null));
    const priced = optionPrices(job).find(({ option: { id } }) => id === 'o1');
    const taken = edited(option(null, true));
    expect(baseOrder(taken).price.total).toBe(baseOrder(cottage).price.total);
    expect(baseOrder(job).price.total + (priced?.price ?? NaN)).toBe(baseOrder(taken).price.total);
    expect(priced?.price).toBeGreaterThan(0);
    expect(wholeOf(job).operations.some((op) => op.surface === `${wall}/field`)).toBe(false);
    expect(quoteOf(job, baseOrder(job), optionPrices(job), '2026-11-25').excluded.join()).toMatch(
      /first wall: an option, priced separately/,
    );
  });
  test('a second colour as an option: the same wall, another finish', () => {
    const job = edited(option({ product: 'paint-wall', colour: 'deep' }, true));
    expect(wholeOf(job).surfaces.find((s) => s.surface.id === `${wall}/field`)?.colour.id).toBe('deep');
    // of few plans one may be a day longer than the other
    const asPlanned = { name: 'setSetting', args: { key: 'plan.steps', value: null } } as const;
    const prices = optionPrices(edited(option({ product: 'paint-wall', colour: 'deep' }), asPlanned));
    expect(prices.find(({ option: { id } }) => id === 'o1')?.price).toBeGreaterThan(0);
  });
});

test('each school’s price is what the job costs under it, against the practice as it is', () => {
  const job = edited({ name: 'setPractice', args: { set: { coats: 'thin-then-full' } } });
  const now = baseOrder(job).price.total;
  const tried = ['coats'];
  const isChosen = ({ of, set }: School) => JSON.stringify(job.practice[of]) === JSON.stringify(set[of]);
  const prices = SCHOOLS.filter((s) => tried.includes(s.of) || isChosen(s)).map((s) => schoolPrice(job, s));
  expect(prices.filter((p) => p.chosen).every((p) => p.cost === 0 && p.minutes === 0)).toBe(true);
  expect(new Set(prices.filter((p) => p.chosen).map((p) => p.of)).size).toBe(new Set(prices.map((p) => p.of)).size);
  for (const { set, cost, of } of prices.filter((p) => tried.includes(p.of))) {
    const then = baseOrder({ ...job, practice: { ...job.practice, ...set } }).price.total;
    expect([of, cost]).toEqual([of, then - now]);
  }
});

test('the shopping list goes aisle by aisle, and its total is the sum of its lines and of what the order says', () => {
  const order = baseOrder(cottage);
  const list = shoppingList(cottage, order);
  const lines = list.aisles.flatMap((a) => a.lines);
  expect(list.total).toBe(sum(lines.map((l) => l.cost)));
  expect(list.total).toBe(order.total - order.labour.cost);
  expect(new Set(lines.map((l) => l.key)).size).toBe(lines.length);
  const ticked = edited({ name: 'tick', args: { key: lines[0]?.key ?? '', date: '2026-11-25' } });
  expect(shoppingList(ticked, order).aisles[0]?.lines[0]?.ticked).toBe(true);
});
