import type { Edit } from '../job/edits.ts';
import type { Priced, Product } from '../job/paints.ts';
import type { MaterialItem } from '../job/vocabulary.ts';
import type { Litres, Money, System } from '../units/si.ts';
import { said } from '../units/word.ts';
import { itemWord } from '../words/work.ts';
import type { MaterialLine } from './materials.ts';
import type { PaintLine } from './paint.ts';

/** The name of the desk that stands in for a shop: its prices are invented. */
export const SIMULATED_DESK = 'Simulated trade counter';

/** A price that nobody who sells it named. */
export const isSample = (priced: Priced | null): boolean => priced === null || priced.source === SIMULATED_DESK;

interface Bought {
  readonly paints: readonly PaintLine[];
  readonly materials: readonly MaterialLine[];
}
/** Prices, each paint and each kind of thing once: how many there are, and how many are samples. */
export interface Prices {
  readonly all: number;
  readonly samples: number;
}
/** The prices of what is bought. */
export function pricesIn({ paints, materials }: Bought): Prices {
  const prices = new Map<string, Priced | null>([
    ...paints.flatMap(({ choice, product }) => (choice?.cans.length ? [[product.id, product.priced] as const] : [])),
    ...materials.flatMap(({ quantity, item, priced }) => (quantity ? [[item, priced] as const] : [])),
  ]);
  return { all: prices.size, samples: [...prices.values()].filter(isSample).length };
}

/** As they are typed, and not from a list. */
const own = (date: string): Priced => ({ source: 'your price', date });

/** What a size of a paint costs; while all its prices are samples, the other sizes go up or down with it. */
export function priceOfCan(product: Product, litres: Litres, price: Money, date: string): Edit {
  const before = product.cans.find((can) => can.litres === litres)?.price ?? 0;
  const times = isSample(product.priced) && before > 0 ? price / before : 1;
  const cans = product.cans.map((can) => ({
    ...can,
    price: can.litres === litres ? price : Math.round(can.price * times),
  }));
  return {
    name: 'takePrices',
    args: { paints: [{ product: product.id, cans }], materials: [], priced: own(date) },
  };
}

/** What a piece costs, in all its sizes. */
export const priceOfPiece = (item: MaterialItem, each: Money, date: string): Edit => ({
  name: 'takePrices',
  args: { paints: [], materials: [{ item, each }], priced: own(date) },
});

/** What a row of a list is known by: its code, or its name in any case. */
type Named = Readonly<Record<'code' | 'name', string>>;
const isCalled = (row: Named, code: string, ...names: readonly string[]): boolean =>
  (code !== '' && row.code === code) || names.some((name) => row.name.toLowerCase() === name.toLowerCase());

/** Whether a row of a list is of what a job uses: a paint by its code or name, a thing by what it is called. */
export const isOf = (product: Product, row: Named): boolean => isCalled(row, product.code, product.name);
export const isThing = (item: MaterialItem, row: Named, system: System): boolean =>
  isCalled(row, item, said(itemWord(item), system));

/** What is bought as rows of a list to be filled in: name, size, price, code. The prices are the job's now. */
export function exampleList({ paints, materials }: Bought, system: System): (string | number)[][] {
  const money = (minor: Money) => (minor / 100).toFixed(2);
  const used = new Map(paints.map(({ product }) => [product.id, product]));
  const things = new Map(materials.map((line) => [line.item, line]));
  return [
    ['name', 'size', 'price', 'code'],
    ...[...used.values()].flatMap(({ name, cans, code }) =>
      cans.map(({ litres, price }) => [name, `${litres} L`, money(price), code]),
    ),
    ...[...things.values()].map(({ item, each }) => [said(itemWord(item), system), '', money(each), item]),
  ];
}
