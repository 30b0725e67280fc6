import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { asBefore, beginAs, pricesOf } from '../job/as-before.ts';
import { newJob } from '../job/create.ts';
import { openJob } from '../job/open.ts';
import { rows } from '../job/table.ts';
import { bedroom, DOOR, edited } from '../testing/jobs.ts';
import { runs } from '../testing/runs.ts';
import { baseOrder } from '../whole/plan.ts';
import { headOf, readPriceList, type PriceRow } from '../exchange/price-list.ts';
import { toCsv } from '../exchange/csv.ts';
import { exampleList, isOf, isSample, isThing, priceOfCan, priceOfPiece, pricesIn, SIMULATED_DESK } from './samples.ts';

const DAY = '2026-12-02';
const room = bedroom(DOOR);
const wall = Object.values(room.products).find(({ name }) => name.startsWith('Wall paint'));
if (!wall) throw new Error('no wall paint');

test('law: of all that is bought each paint and thing is a sample until it is typed; none that is not bought counts', () => {
  const { paints, materials } = baseOrder(room);
  const bought = new Set(paints.map(({ product }) => product.id));
  const items = new Set(materials.filter(({ quantity }) => quantity > 0).map(({ item }) => item));
  expect(pricesIn(baseOrder(room))).toEqual({ all: bought.size + items.size, samples: bought.size + items.size });
  expect(bought.size).toBeLessThan(Object.keys(room.products).length);
  const some = fc.record({ paints: fc.subarray([...bought]), items: fc.subarray([...items]) });
  fc.assert(
    fc.property(some, (typed) => {
      const job = edited(
        room,
        ...typed.paints.map((id) => {
          const product = room.products[id] as typeof wall;
          return priceOfCan(product, product.cans[0]?.litres ?? 0, 4000, DAY);
        }),
        ...typed.items.map((item) => priceOfPiece(item, 500, DAY)),
      );
      const { all, samples } = pricesIn(baseOrder(job));
      expect(all - samples).toBe(typed.paints.length + typed.items.length);
    }),
    runs(12),
  );
  // what a desk that is made up asked is nobody's price
  expect(isSample({ source: SIMULATED_DESK, date: DAY })).toBe(true);
});

test('the other sizes of a paint go up with the first that is typed, and stay when a second is', () => {
  const [small, large] = [wall.cans[0], wall.cans.at(-1)];
  if (!small || !large) throw new Error('no cans');
  const job = edited(room, priceOfCan(wall, large.litres, large.price * 2, DAY));
  const priced = job.products[wall.id];
  expect(priced?.cans.map(({ price }) => price)).toEqual(wall.cans.map(({ price }) => price * 2));
  expect(priced?.priced).toEqual({ source: 'your price', date: DAY });
  const second = edited(job, priceOfCan(priced as typeof wall, small.litres, 999, DAY)).products[wall.id];
  expect(second?.cans.map(({ price }) => price)).toEqual([999, ...wall.cans.slice(1).map(({ price }) => price * 2)]);
});

test('a new job begins as the last one: its crew, hours and prices, and no day of it; not in another currency', () => {
  const away = room.crew.people.map((one) => ({ ...one, name: 'Ana', day: 21_000, away: ['2026-12-24'] }));
  const last = edited(
    room,
    { name: 'setCrew', args: { set: { people: away.slice(0, 1), hours: [[420, 960]], start: '2026-12-07' } } },
    priceOfCan(wall, wall.cans[0]?.litres ?? 0, 3100, DAY),
    priceOfPiece('caulk', 425, DAY),
  );
  const fresh = newJob('next', 'Next', 'imperial', rows(room.rooms));
  const before = asBefore(last, fresh.currency);
  if (!before) throw new Error('nothing goes on');
  const next = beginAs(fresh, before);
  expect(pricesOf(before, fresh)).toBe(2);
  expect(next.crew).toEqual({ ...fresh.crew, people: [{ ...away[0], away: [] }], hours: [[420, 960]] });
  expect(next.products[wall.id]?.cans).toEqual(last.products[wall.id]?.cans);
  expect(next.prices).toEqual(last.prices);
  expect(pricesIn(baseOrder(next)).samples).toBe(pricesIn(baseOrder(fresh)).samples - 2);
  expect(openJob(JSON.stringify(next)).ok).toBe(true);
  expect(asBefore(last, 'GBP')).toBeNull();
});

test('the example list is read again as what it says: every paint in its sizes and every thing, by code or name', async () => {
  const bought = baseOrder(room);
  const text = toCsv(exampleList(bought, 'imperial'));
  const head = headOf(text);
  if (!head.ok) throw new Error('no list');
  const read: PriceRow[] = [];
  const columns = { separator: head.value.separator, columns: head.value.guess };
  const { refused } = await readPriceList(text, columns, ({ rows: some }) => (read.push(...some), true));
  expect(refused).toBe(0);
  for (const { product } of bought.paints)
    expect(read.filter((row) => isOf(product, row)).map(({ litres, price }) => ({ litres, price }))).toEqual(
      product.cans.map(({ litres, price }) => ({ litres: expect.closeTo(litres, 9), price })),
    );
  for (const { item, each } of bought.materials)
    expect(read.filter((row) => isThing(item, row, 'imperial')).map(({ price }) => price)).toEqual([each]);
});
