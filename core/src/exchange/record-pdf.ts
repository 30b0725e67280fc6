import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { setting } from '../job/defaults.ts';
import type { PaperSize } from '../job/region.ts';
import { systemOf } from '../job/region.ts';
import type { Job } from '../job/types.ts';
import type { Label } from '../record/label.ts';
import { leftName } from '../record/leftovers.ts';
import { paintsOf, type Paint, type SurfaceRecord } from '../record/layer.ts';
import { dayText } from '../units/day-text.ts';
import { groupBy } from '../units/group.ts';
import { formatVolume } from '../units/quantities.ts';
import { counted, heading, said } from '../units/word.ts';
import type { JobRecord } from '../whole/record.ts';
import { careWords } from '../words/care.ts';
import { LAID } from '../words/found.ts';
import { clientNamesIn } from '../specify/client-names.ts';
import { pileWord } from '../words/systems.ts';
import { FABRIC, SHEEN } from '../words/terms.ts';
import { head, bullets, LINES, page, t } from './pdf.ts';
import { keysOf } from '../units/list.ts';

/** Sheets of labels as shops sell them, mm [common sizes, from memory]; the printer keeps its scale at 100 %. */
export const LABEL_SHEETS = {
  'a4-21': { paper: 'a4', columns: 3, rows: 7, width: 63.5, height: 38.1, left: 7.25, top: 15.15, gap: 2.5 },
  'a4-8': { paper: 'a4', columns: 2, rows: 4, width: 99.1, height: 67.7, left: 4.65, top: 13.1, gap: 2.5 },
  'letter-10': { paper: 'letter', columns: 2, rows: 5, width: 101.6, height: 50.8, left: 3.97, top: 12.7, gap: 4.76 },
  'letter-6': { paper: 'letter', columns: 2, rows: 3, width: 101.6, height: 84.67, left: 3.97, top: 12.7, gap: 4.76 },
} as const satisfies Readonly<
  Record<
    string,
    {
      readonly paper: PaperSize;
      readonly columns: number;
      readonly rows: number;
      readonly width: number;
      readonly height: number;
      readonly left: number;
      readonly top: number;
      readonly gap: number;
    }
  >
>;
export type LabelSheet = keyof typeof LABEL_SHEETS;
/** The sheets of labels that are sold in a size of paper. */
export const sheetsFor = (paper: PaperSize): LabelSheet[] =>
  keysOf(LABEL_SHEETS).filter((key) => LABEL_SHEETS[key].paper === paper);

const POINT = 72 / 25.4;
/** Round the edge of a label, mm: printers are not exact. */
const INSET = 2.5;

/** A label and the picture of its code, a data URL. */
export interface PrintedLabel {
  readonly label: Label;
  readonly code: string;
}

/** Labels on sheets. @param skip labels of the first sheet that are gone already */
export function labelsPdf(labels: readonly PrintedLabel[], sheet: LabelSheet, skip = 0): TDocumentDefinitions {
  const { paper, columns, rows, width, height, left, top, gap } = LABEL_SHEETS[sheet];
  const each = columns * rows;
  const first = Math.min(each - 1, Math.max(0, Math.floor(skip)));
  // each picture stands in the document once, however many labels bear it
  const pictures = new Map([...new Set(labels.map(({ code }) => code))].map((code, i) => [code, `code-${i}`]));
  const content = labels.flatMap(({ label, code }, i): Content[] => {
    const place = (first + i) % each;
    const x = (left + (place % columns) * (width + gap) + INSET) * POINT;
    const y = (top + Math.floor(place / columns) * height + INSET) * POINT;
    const inner = { width: (width - 2 * INSET) * POINT, height: (height - 2 * INSET) * POINT };
    const side = Math.min(inner.height, inner.width * 0.48);
    const breaks = i > 0 && place === 0 ? { pageBreak: 'before' as const } : {};
    return [
      { image: pictures.get(code) ?? code, width: side, height: side, absolutePosition: { x, y }, ...breaks },
      {
        columns: [{ width: inner.width - side - 4, stack: labelLines(label, height) }],
        absolutePosition: { x: x + side + 4, y },
      },
    ];
  });
  return {
    pageSize: paper === 'letter' ? 'LETTER' : 'A4',
    pageMargins: 0,
    images: Object.fromEntries([...pictures].map(([code, name]) => [name, code])),
    content,
    defaultStyle: { font: 'Text', fontSize: height > 60 ? 9.5 : 7, lineHeight: 1.05, color: '#000000' },
  };
}
/** What a label says to whoever has no phone: the paint large, the rest below, as many lines as fit. */
function labelLines(label: Label, height: number): Content[] {
  const large = height > 60 ? 13 : 9;
  const rest = [
    [label.SHEEN, label.COATS && said(counted(Number(label.COATS), 'coat'), 'imperial')].filter(Boolean).join(', '),
    label.FORMULA && `mix ${label.FORMULA}`,
    label.BATCH && `batch ${label.BATCH}`,
    label.COVER,
    label.DATE,
    label.LEFT && `left ${label.LEFT}`,
    label.NOTE,
  ].filter(Boolean);
  const lines = Math.max(2, Math.floor((height - 16) / (height > 60 ? 4.6 : 3.2)));
  return [
    t([label.ROOM, label.SURFACE].filter(Boolean).join(': '), { bold: true }),
    t([label.COLOUR, label.HEX && !label.COLOUR ? label.HEX : ''].filter(Boolean).join(' '), {
      bold: true,
      fontSize: large,
    }),
    t(label.PAINT ?? ''),
    ...rest.slice(0, lines).map((text) => t(String(text))),
  ];
}

/** What is on the rooms, for whoever lives in them: one document, with the care it wants. */
export function homeRecordPdf(job: Job, record: JobRecord): TDocumentDefinitions {
  const system = systemOf(job);
  const rooms = groupBy(record.surfaces, ({ specified }) => specified.surface.room);
  const content = [...rooms].flatMap(([room, surfaces]): Content[] => {
    const known = surfaces.filter(({ top }) => top !== null);
    if (!known.length) return [];
    const groups = groupBy(known, (own) => JSON.stringify(told(job, own)));
    return [
      head(job.rooms.byId[room]?.name ?? '', 15),
      {
        table: {
          widths: [110, 14, '*'],
          dontBreakRows: true,
          body: [...groups.values()].flatMap((own): TableCell[][] => {
            const [first] = own;
            if (!first) return [];
            const here = own.map(({ specified }) => specified);
            const walls = heading(clientNamesIn(here, job.rooms.byId[room]), system);
            return told(job, first).map((line, i): TableCell[] => [
              t(i ? '' : walls, { bold: true }),
              line.hex
                ? { canvas: [{ type: 'rect', x: 0, y: 2, w: 10, h: 10, color: line.hex, lineColor: '#20302F' }] }
                : '',
              { stack: [t(line.what, { bold: line.top }), t(line.how, { fontSize: 8.5, color: '#566260' })] },
            ]);
          }),
        },
        layout: LINES,
      },
    ];
  });
  const left = record.left.map(({ key, litres, where, batches }) => {
    return [
      `${leftName(job, key)}: ${formatVolume(litres, system)}`,
      where,
      batches.length ? `batch ${batches.join(', ')}` : '',
    ]
      .filter(Boolean)
      .join('; ');
  });
  return page(job, [
    t(`${job.name}: what is on the walls`, { fontSize: 22, bold: true, color: '#23564F' }),
    ...(content.length ? content : [t('Nothing is on record yet.')]),
    ...(left.length ? [head('What is left', 14), bullets(left)] : []),
    head('Care', 14),
    bullets(careWords(setting(job, 'cure.days')).map((word) => said(word, system))),
  ]);
}

interface Told {
  readonly top: boolean;
  readonly hex: string | null;
  readonly what: string;
  readonly how: string;
}
/** The paints of a surface from what is seen down to the oldest, each in two lines. */
function told(job: Job, { layers }: SurfaceRecord): Told[] {
  const system = systemOf(job);
  const form = job.region.dates;
  const paints = paintsOf(layers).reverse();
  return paints.map(({ top, coats }: Paint, i): Told => {
    const { colour, cover } = top;
    const day = top.when && /^\d{4}-\d{2}-\d{2}$/.test(top.when) ? dayText(top.when, form) : top.when;
    return {
      top: i === 0,
      hex: colour?.hex ?? null,
      what: [
        top.product ?? 'a paint nobody knows',
        colour?.name,
        colour?.code && !colour.name?.includes(colour.code) && colour.code,
        top.sheen && said(SHEEN[top.sheen], system),
      ]
        .filter(Boolean)
        .join(', '),
      how: [
        said(counted(coats, top.role === 'primer' ? 'coat of primer' : 'coat'), system),
        top.laid && said(LAID[top.laid], system),
        cover &&
          [cover.fabric && said(FABRIC[cover.fabric], system), cover.pile && said(pileWord(cover.pile), system)]
            .filter(Boolean)
            .join(', '),
        top.formula && `mix ${top.formula}`,
        top.batch && `batch ${top.batch}`,
        top.primer && top.primer !== 'none' && `over ${top.primer}`,
        top.thinner && top.thinner !== 'none' && top.thinner,
        top.wax,
        day,
        top.who,
        top.certain ? '' : `not certain: ${top.source}`,
        top.note,
      ]
        .filter(Boolean)
        .join('; '),
    };
  });
}
