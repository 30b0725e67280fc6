import type { Job } from '../job/types.ts';
import type { Quote } from '../whole/quote.ts';
import type { ShoppingList } from '../order/shopping.ts';
import { toCsv } from './csv.ts';
import { formatMoney } from '../units/quantities.ts';
import type { Money } from '../units/si.ts';

/** Shopping lists and quotes as text and CSV (RFC 4180, UTF-8; cells that a spreadsheet would run are neutralised). */
const amount = (minor: Money) => (minor / 100).toFixed(2);

/** The shopping list as CSV, a row a line; money in whole units of the job’s currency. */
export const shoppingCsv = (job: Job, { aisles, total }: ShoppingList): string =>
  toCsv([
    ['aisle', 'what', 'how many', 'note', `cost (${job.currency})`, 'bought'],
    ...aisles.flatMap(({ aisle, lines }) =>
      lines.map((l) => [aisle, l.what, l.howMany, l.note, amount(l.cost), l.ticked ? (job.bought[l.key] ?? '') : '']),
    ),
    ['', 'total', '', '', amount(total), ''],
  ]);

/** As it is sent in a message: a heading for each aisle, a line each, what is bought marked. */
export const shoppingText = (job: Job, { aisles, total }: ShoppingList): string =>
  [
    `${job.name}: to buy`,
    ...aisles.flatMap(({ aisle, lines }) => [
      '',
      aisle.toUpperCase(),
      ...lines.map((l) => `${l.ticked ? '[x]' : '[ ]'} ${l.howMany}  ${l.what}${l.note ? ` (${l.note})` : ''}`),
    ]),
    '',
    `About ${formatMoney(total, job.currency)}`,
    '',
  ].join('\n');

/** The quote as CSV: rooms with their scope, options, tax and total; money in whole units of its currency. */
export const quoteCsv = (job: Job, quote: Quote): string =>
  toCsv([
    ['part', 'name', 'what', `amount (${job.currency})`],
    ...quote.rooms.flatMap((room) =>
      room.scope.map((line, i) => ['room', room.name, line, i === 0 ? amount(room.amount) : '']),
    ),
    ['net', '', '', amount(quote.net)],
    [
      'tax',
      quote.taxName,
      quote.taxRate === null ? 'not said' : `${(quote.taxRate * 100).toFixed(2)} %`,
      amount(quote.tax),
    ],
    ['total', '', '', amount(quote.total)],
    ...quote.options.map((o) => ['option', o.name, o.what, amount(o.amount)]),
    ...quote.included.map((line) => ['included', '', line, '']),
    ...quote.excluded.map((line) => ['not included', '', line, '']),
    ...quote.cautions.map((line) => ['take care', '', line, '']),
    ...(quote.assumed ? [['assumed', '', quote.assumed, '']] : []),
  ]);
