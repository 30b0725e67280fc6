import type { Content, TableCell, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import type { Acceptance } from '../job/recorded.ts';
import { systemOf } from '../job/region.ts';
import { rows } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import type { Specified } from '../specify/specify.ts';
import { dayText } from '../units/day-text.ts';
import { groupBy } from '../units/group.ts';
import { aboutLength } from '../units/length.ts';
import { heading, said } from '../units/word.ts';
import { DEFECT, DEFECT_STATE, LIGHT_AT, REMEDY, VIEWING } from '../words/found.ts';
import { nameWord } from '../words/names.ts';
import { clientNamesIn } from '../specify/client-names.ts';
import { paintWord } from '../words/systems.ts';
import { bullets, head, LINES, page, t } from './pdf.ts';

/** What was painted, room by room, under which conditions it was looked at, what is open or left, and who took it over. */
export function acceptancePdf(job: Job, surfaces: readonly Specified[]): TDocumentDefinitions {
  const system = systemOf(job);
  const defects = rows(job.defects).map((defect, i) => ({ n: i + 1, defect }));
  const rooms = groupBy(surfaces, ({ surface }) => surface.room);
  const content = [...rooms].flatMap(([room, own]): Content[] => {
    const paints = groupBy(own, (s) => said(paintWord(s), system));
    const found = defects.flatMap(({ n, defect }) => {
      const s = own.find(({ surface }) => surface.id === defect.surface);
      return s
        ? [
            `${n}. ${heading(clientNamesIn([s], job.rooms.byId[room]), system)}: ${said(DEFECT[defect.kind].name, system)}, ${said(DEFECT_STATE[defect.state], system)}`,
          ]
        : [];
    });
    const accepted = job.accepted[room];
    return [
      head(job.rooms.byId[room]?.name ?? '', 15),
      table(
        [...paints].map(([paint, same]): TableCell[] => [
          t(heading(clientNamesIn(same, job.rooms.byId[room]), system)),
          t(paint),
        ]),
      ),
      ...(found.length ? [bullets(found)] : []),
      ...(accepted
        ? [t(takenWords(job, accepted), { margin: [0, 6, 0, 0] }), signature(accepted.signature)]
        : [
            t(
              'Looked at from ____________ in the light of ____________, date ____________, signed ______________________',
              { margin: [0, 14, 0, 0] },
            ),
          ]),
    ];
  });
  return page(job, [
    t(`${job.name}: acceptance`, { fontSize: 22, bold: true, color: '#23564F' }),
    t(said(VIEWING, system), { margin: [0, 4, 0, 0], color: '#566260' }),
    ...content,
  ]);
}
const takenWords = (job: Job, { date, by, distance, light, note }: Acceptance): string => {
  const system = systemOf(job);
  const how = `Taken over on ${dayText(date, job.region.dates)} by ${by}, looked at from ${aboutLength(distance, system)} in the light of ${said(LIGHT_AT[light], system)}.`;
  return [how, note].filter(Boolean).join(' ');
};
const table = (body: TableCell[][]): Content => ({
  table: { widths: ['*', '*'], body, dontBreakRows: true },
  layout: LINES,
});
const SIGNED = { width: 180, height: 66 };
const signature = (strokes: Acceptance['signature']): Content => ({
  canvas: [
    ...strokes
      .filter((own) => own.length >= 4)
      .map((own) => ({
        type: 'polyline' as const,
        lineWidth: 1.2,
        points: Array.from({ length: Math.floor(own.length / 2) }, (_, i) => ({
          x: (own[2 * i] ?? 0) * SIGNED.width,
          y: (own[2 * i + 1] ?? 0) * SIGNED.height,
        })),
      })),
    { type: 'line' as const, x1: 0, y1: SIGNED.height, x2: SIGNED.width, y2: SIGNED.height, lineWidth: 0.6 },
  ],
});

/** What is to be mended, room by room, with boxes to tick. */
export function punchPdf(job: Job, surfaces: readonly Specified[]): TDocumentDefinitions {
  const system = systemOf(job);
  const list = rows(job.defects).flatMap((defect, i) => {
    const s = surfaces.find(({ surface }) => surface.id === defect.surface);
    return s ? [{ n: i + 1, defect, s }] : [];
  });
  const rooms = groupBy(list, ({ s }) => s.surface.room);
  const content = [...rooms].flatMap(([room, own]): Content[] => [
    head(job.rooms.byId[room]?.name ?? '', 15),
    {
      table: {
        widths: [14, 18, 90, 110, '*', 70],
        dontBreakRows: true,
        body: own.map(({ n, defect, s }): TableCell[] => [
          { canvas: [{ type: 'rect', x: 0, y: 1, w: 9, h: 9, lineWidth: 0.8, lineColor: '#20302F' }] },
          t(String(n)),
          t(
            [
              heading(nameWord(s.surface.name), system),
              defect.at && `${aboutLength(defect.at.x, system)} along, ${aboutLength(defect.at.y, system)} up`,
            ]
              .filter(Boolean)
              .join(', '),
          ),
          t(
            [`${said(DEFECT[defect.kind].name, system)}, ${aboutLength(defect.size, system)} across`, defect.note]
              .filter(Boolean)
              .join('. '),
          ),
          t(
            defect.state === 'open'
              ? defect.remedy
                ? said(REMEDY[defect.remedy].how, system)
                : 'not settled'
              : said(DEFECT_STATE[defect.state], system),
          ),
          t([dayText(defect.seen, job.region.dates), defect.by].filter(Boolean).join(', ')),
        ]),
      },
      layout: LINES,
    },
  ]);
  return page(job, [
    t(`${job.name}: punch list`, { fontSize: 22, bold: true, color: '#23564F' }),
    ...(content.length ? content : [t('Nothing was found.')]),
  ]);
}
