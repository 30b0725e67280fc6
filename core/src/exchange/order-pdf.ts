import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import type { Job } from '../job/types.ts';
import { taxLine, type Quote } from '../whole/quote.ts';
import { bullets, head, LINES, page, t } from './pdf.ts';
import type { ShoppingList } from '../order/shopping.ts';
import { dayText } from '../units/day-text.ts';
import { formatMoney } from '../units/quantities.ts';

/** A quote as a document of one or two pages. */
export function quotePdf(job: Job, quote: Quote): TDocumentDefinitions {
  const money = (minor: number) => t(formatMoney(minor, job.currency), { alignment: 'right' });
  const row = (cells: TableCell[], bold = false): TableCell[] =>
    cells.map((cell) => (bold ? { ...(cell as object), bold: true } : cell)) as TableCell[];
  const tax = taxLine(quote);
  const rooms = quote.rooms.map((room): TableCell[] => [
    { stack: [t(room.name, { bold: true, fontSize: 12 }), bullets(room.scope)] },
    money(room.amount),
  ]);
  const sums: TableCell[][] = [
    ...(quote.tax ? [row([t('Before tax'), money(quote.net)])] : []),
    ...(tax === null ? [] : [row([t(tax), quote.taxRate === null ? t('') : money(quote.tax)])]),
    row([t('Total', { fontSize: 13 }), { ...(money(quote.total) as object), fontSize: 13 } as TableCell], true),
  ];
  const options = quote.options.map((o): TableCell[] => [
    { stack: [t(`${o.name}${o.taken ? ' (included above)' : ''}`, { bold: true }), t(o.what)] },
    money(o.amount),
  ]);
  const table = (body: TableCell[][]): Content => ({
    table: { widths: ['*', 84], body, dontBreakRows: true },
    layout: LINES,
  });
  return page(job, [
    ...(quote.firm.name ? [t(quote.firm.name, { fontSize: 14, bold: true })] : []),
    ...[quote.firm.address, quote.firm.contact].filter(Boolean).map((line) => t(line)),
    t(`Quote: ${quote.job}`, { fontSize: 24, bold: true, color: '#23564F', margin: [0, 10, 0, 0] }),
    t(
      [
        quote.client && `For ${quote.client}.`,
        `Quote of ${dayText(quote.date, job.region.dates)}, good until ${dayText(quote.until, job.region.dates)}.`,
        `About ${quote.days} working ${quote.days === 1 ? 'day' : 'days'} for ${quote.people === 1 ? 'one person' : `${quote.people} people`}.`,
      ]
        .filter(Boolean)
        .join(' '),
      { margin: [0, 2, 0, 10] },
    ),
    table([...rooms, ...sums]),
    ...(options.length ? [head('Options, each by itself', 14), table(options)] : []),
    head('Included', 14),
    bullets(quote.included),
    head('Not included', 14),
    bullets(quote.excluded),
    head('Take care', 14),
    bullets(quote.cautions),
    ...(quote.assumed ? [head('Assumed', 14), t(quote.assumed)] : []),
    ...(quote.notes ? [head('Notes', 14), t(quote.notes)] : []),
  ]);
}

/** The shopping list with boxes to tick. */
export function shoppingPdf(job: Job, list: ShoppingList): TDocumentDefinitions {
  const box = (ticked: boolean): Content => ({
    canvas: [
      { type: 'rect', x: 0, y: 1, w: 9, h: 9, lineWidth: 0.8, lineColor: '#20302F' },
      ...(ticked
        ? [
            {
              type: 'polyline' as const,
              lineWidth: 1.2,
              points: [
                { x: 2, y: 5 },
                { x: 4, y: 8 },
                { x: 8, y: 3 },
              ],
            },
          ]
        : []),
    ],
  });
  const rows = list.aisles.flatMap(({ aisle, lines }): TableCell[][] => [
    [{ ...(t(aisle, { bold: true, color: '#23564F', fontSize: 12 }) as object), colSpan: 4 } as TableCell, {}, {}, {}],
    ...lines.map((l): TableCell[] => [
      box(l.ticked),
      t(l.howMany),
      { stack: [t(l.what), ...(l.note ? [t(l.note, { fontSize: 8.5, color: '#566260' })] : [])] },
      t(formatMoney(l.cost, job.currency), { alignment: 'right' }),
    ]),
  ]);
  return page(job, [
    t(`${job.name}: to buy`, { fontSize: 22, bold: true, color: '#23564F', margin: [0, 0, 0, 8] }),
    { table: { widths: [14, 80, '*', 70], body: rows, dontBreakRows: true, keepWithHeaderRows: 1 }, layout: LINES },
    t(`About ${formatMoney(list.total, job.currency)}`, { bold: true, alignment: 'right', margin: [0, 8, 0, 0] }),
  ]);
}
