import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import type { Job } from '../job/types.ts';
import type { Quote } from '../whole/quote.ts';
import type { ShoppingList } from '../order/shopping.ts';
import { dayText } from '../units/day-text.ts';
import { formatMoney } from '../units/quantities.ts';

/** Fonts the documents ask for; whoever makes the PDF embeds them. `Wide` is fetched only where `needsWide` says so. */
export const PDF_FONTS = ['Text', 'TextExt', 'Head', 'Wide'] as const;

/** Latin as our own fonts have it; the extended Latin letters come in a file of their own. */
const OWN =
  /^[\u0020-\u007e\u00a0-\u00ff\u0131\u0152\u0153\u02c6\u02da\u02dc\u2013\u2014\u2018-\u201e\u2022\u2026\u20ac\u2122\u2212]$/u;
const EXTENDED = /^[\u0100-\u02ba\u1e00-\u1e9f\u1ef2-\u1eff\u20a0-\u20ab\u20ad-\u20c0]$/u;
/** Signs of drawings that the text font lacks, as a typewriter has them. */
const PLAIN: Readonly<Record<string, string>> = { '\u2044': '/', '\u2032': "'", '\u2033': '"', '\u202f': '\u00a0' };

type Run = { text: string; font?: 'TextExt' | 'Wide' };

/** Text in runs of the fonts that can show it. */
export function runs(text: string): Run[] {
  const list: Run[] = [];
  for (const raw of text) {
    const char = PLAIN[raw] ?? raw;
    const font = OWN.test(char) ? undefined : EXTENDED.test(char) ? 'TextExt' : 'Wide';
    const last = list.at(-1);
    if (last && last.font === font) last.text += char;
    else list.push(font ? { text: char, font } : { text: char });
  }
  return list;
}
export const needsWide = (document: unknown): boolean => JSON.stringify(document).includes('"font":"Wide"');

const t = (text: string, more: Record<string, unknown> = {}): Content => ({ text: runs(text), ...more }) as Content;
const head = (text: string, size: number, above = 14): Content =>
  t(text, { fontSize: size, bold: true, margin: [0, above, 0, 4], color: '#23564F' });
const bullets = (lines: readonly string[]): Content => ({ ul: lines.map((line) => t(line)), margin: [0, 0, 0, 2] });

const LINES = {
  hLineWidth: () => 0.5,
  vLineWidth: () => 0,
  hLineColor: () => '#CFC8B8',
  paddingTop: () => 5,
  paddingBottom: () => 5,
};

const page = (job: Pick<Job, 'region'>, content: Content[]): TDocumentDefinitions => ({
  pageSize: job.region.paper === 'letter' ? 'LETTER' : 'A4',
  pageMargins: [48, 48, 48, 56],
  content,
  defaultStyle: { font: 'Text', fontSize: 10, lineHeight: 1.2, color: '#20302F' },
  footer: (current, count) => ({
    text: `page ${current} of ${count}`,
    alignment: 'right',
    margin: [0, 16, 48, 0],
    fontSize: 9,
    color: '#566260',
  }),
});

/** A quote as a document of one or two pages. */
export function quotePdf(job: Job, quote: Quote): TDocumentDefinitions {
  const money = (minor: number) => t(formatMoney(minor, job.currency), { alignment: 'right' });
  const row = (cells: TableCell[], bold = false): TableCell[] =>
    cells.map((cell) => (bold ? { ...(cell as object), bold: true } : cell)) as TableCell[];
  const rooms = quote.rooms.map((room): TableCell[] => [
    { stack: [t(room.name, { bold: true, fontSize: 12 }), bullets(room.scope)] },
    money(room.amount),
  ]);
  const sums: TableCell[][] = [
    ...(quote.tax ? [row([t('Before tax'), money(quote.net)])] : []),
    ...(quote.tax
      ? [row([t(`${quote.taxName}, ${Number((quote.taxRate * 100).toFixed(2))} %`), money(quote.tax)])]
      : []),
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
    t(job.name, { fontSize: 24, bold: true, color: '#23564F' }),
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
