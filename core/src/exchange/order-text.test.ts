import { optionPrices } from '../testing/options.ts';
import { describe, expect, test } from '@jest/globals';
import { cottage, edited } from '../testing/jobs.ts';
import Papa from 'papaparse';
import { baseOrder } from '../whole/plan.ts';
import { quoteOf } from '../whole/quote.ts';
import { shoppingList } from '../order/shopping.ts';
import { quotePdf, shoppingPdf } from './order-pdf.ts';
import { runs, scriptsIn } from './pdf.ts';
import { quoteCsv, shoppingCsv, shoppingText } from './order-text.ts';

const job = edited(cottage(), {
  name: 'setPricing',
  args: { set: { tax: 0.07, client: '=HYPERLINK("x")', notes: 'Łódź, Πειραιάς' } },
});
const order = baseOrder(job);
const quote = quoteOf(job, order, optionPrices(job), '2026-11-25');
const list = shoppingList(job, order);

describe('on paper', () => {
  test('letters go to the font that has them', () => {
    // the second of these letters is two: a mark goes with what it stands on
    expect(runs('Zoe\u0308 3⁄8″, Łódź Ωא\u05b8')).toEqual([
      { text: 'Zoë 3/8", ' },
      { text: 'Ł', font: 'TextExt' },
      { text: 'ód' },
      { text: 'ź', font: 'TextExt' },
      { text: ' ' },
      { text: 'Ω', font: 'Greek' },
      { text: 'א\u05b8', font: 'Hebrew' },
    ]);
    expect([scriptsIn(quotePdf(job, quote)), scriptsIn(shoppingPdf(job, list))]).toEqual([['Greek'], []]);
  });
});

describe('as text and CSV', () => {
  test('amounts of a quote add up, cells that a spreadsheet would run are neutralised', () => {
    const rows = Papa.parse<string[]>(quoteCsv(job, quote).trim()).data;
    const of = (part: string) =>
      rows.filter((r) => r[0] === part).reduce((sum, r) => sum + Math.round(Number(r[3]) * 100), 0);
    expect([of('room'), of('net') + of('tax')]).toEqual([quote.net, of('total')]);
    const loud = {
      ...list,
      aisles: [{ aisle: 'paint' as const, lines: [{ ...(list.aisles[0]?.lines[0] ?? never()), what: '=1+1' }] }],
    };
    expect(shoppingCsv(job, loud)).toContain("'=1+1");
  });
  test('the list as CSV and as a message has every line and the same total', () => {
    const rows = Papa.parse<string[]>(shoppingCsv(job, list).trim()).data.slice(1, -1);
    expect(rows.reduce((sum, r) => sum + Math.round(Number(r[4]) * 100), 0)).toBe(list.total);
    expect(shoppingText(job, list).match(/^\[ \]/gm)).toHaveLength(rows.length);
  });
});
const never = (): never => {
  throw new Error('an empty list');
};
