import { describe, expect, test } from '@jest/globals';
import Papa from 'papaparse';
import type { Job } from '../job/types.ts';
import { chosenEdits, opinionOf, samplesFor, undertoneOf, windowsTo } from '../record/choose.ts';
import { paintFromLabel } from '../record/label.ts';
import { labOf } from '../specify/colour.ts';
import { bedroom, edited } from '../testing/jobs.ts';
import { smallJob } from '../testing/hostile.ts';
import { jobRecord } from '../whole/record.ts';
import { wholeOf } from '../whole/whole.ts';
import { acceptancePdf, punchPdf } from './accept-pdf.ts';
import { recordCsv, recordJson } from './record-files.ts';
import { homeRecordPdf, LABEL_SHEETS, labelsPdf, sheetsFor } from './record-pdf.ts';
import { keysOf } from '../units/list.ts';

const OLD = {
  ...paintFromLabel(
    'e',
    { PAINT: '=Old paint', COLOUR: 'Ochre', HEX: '#c9a45c', DATE: '2011', NOTE: 'two, “thick”' },
    'label',
  ),
  coats: 2,
};
const before: Job = edited(smallJob(), { name: 'addEarlier', args: { surfaces: ['r1-0/field'], paint: OLD } });

/** All text of a document, in order. */
const words = (document: unknown): string =>
  JSON.stringify(document, (_, value: unknown) =>
    typeof value === 'object' && value !== null && 'text' in value && Array.isArray(value.text)
      ? value.text.map((run: { text: string }) => run.text).join('')
      : value,
  );

describe('what is on the walls, as files', () => {
  const record = jobRecord(before, []);
  test('JSON and CSV have a row a coat, unknown is empty, and nothing is a formula', () => {
    const json = JSON.parse(recordJson(before, record)) as {
      surfaces: { id: string; layers: { coat: number; sheen: null }[] }[];
    };
    const own = json.surfaces.find(({ id }) => id === 'r1-0/field');
    expect(own?.layers.map(({ coat, sheen }) => [coat, sheen])).toEqual([
      [1, null],
      [2, null],
    ]);
    const { data, errors } = Papa.parse<Record<string, string>>(recordCsv(before, record), {
      header: true,
      skipEmptyLines: true,
    });
    expect(errors).toEqual([]);
    expect(
      data.map((row) => [row['surface'], row['coat'], row['colour'], row['sheen'], row['certain'], row['note']]),
    ).toEqual(['1', '2'].map((coat) => ['Wall A', coat, 'Ochre', '', 'no', 'two, “thick”']));
    expect(data[0]?.['paint']).toBe("'=Old paint");
  });
  test('the home record says what is uncertain, and how long not to wash', () => {
    const text = words(homeRecordPdf(before, record));
    expect(text).toMatch(/=Old paint, Ochre.*not certain: label.*Do not wash the walls for 30 days/s);
  });
  test.each(keysOf(LABEL_SHEETS))('%s: labels lie on the paper, none on another, sheet by sheet', (sheet) => {
    const { columns, rows, width, height, paper } = LABEL_SHEETS[sheet];
    expect(sheetsFor(paper)).toContain(sheet);
    const each = columns * rows;
    const document = labelsPdf(
      Array.from({ length: each + 2 }, (_, i) => ({ label: { PAINT: `${i}` }, code: 'data:x' })),
      sheet,
      1,
    );
    const [pageWidth, pageHeight] = paper === 'a4' ? [595.28, 841.89] : [612, 792];
    const pictures = (
      document.content as {
        image?: string;
        width: number;
        absolutePosition: { x: number; y: number };
        pageBreak?: string;
      }[]
    ).filter(({ image }) => image);
    expect(pictures.filter(({ pageBreak }) => pageBreak)).toHaveLength(1);
    const places = pictures.map(({ absolutePosition: { x, y } }) => ({ x, y }));
    for (const { x, y } of places) {
      expect(x + (width - 2.5) * (72 / 25.4)).toBeLessThanOrEqual(pageWidth + 0.01);
      expect(y + (height - 2.5) * (72 / 25.4)).toBeLessThanOrEqual(pageHeight + 0.01);
    }
    const first = places.slice(0, each - 1);
    for (const [i, a] of first.entries())
      for (const b of first.slice(i + 1))
        expect(
          Math.abs(a.x - b.x) >= width * (72 / 25.4) - 0.01 || Math.abs(a.y - b.y) >= height * (72 / 25.4) - 0.01,
        ).toBe(true);
    expect(Object.keys(document.images ?? {})).toHaveLength(1);
  });
  test('acceptance: conditions, what is open, who took it over, and the strokes of the signature; the punch list: what to do', () => {
    const signed = edited(
      before,
      { name: 'setDefect', args: { defect: 'f1', set: { remedy: 'ridge-only' } } },
      {
        name: 'accept',
        args: {
          room: 'r1',
          acceptance: {
            date: '2026-11-27',
            by: 'The keeper',
            distance: 1,
            light: 'noon',
            signature: [[0, 0, 0.5, 0.5, 1, 0]],
            note: '',
          },
        },
      },
    );
    const { surfaces } = wholeOf(signed);
    const sheet = words(acceptancePdf(signed, surfaces));
    expect(sheet).toMatch(
      /PDCA standard P1.*1\. Wall A: lap mark, open.*Taken over on 27\/11\/2026 by The keeper, looked at from 1\.00 m/s,
    );
    expect(sheet).toContain('"points":[{"x":0,"y":0},{"x":90,"y":33},{"x":180,"y":0}]');
    expect(words(punchPdf(signed, surfaces))).toMatch(/Wall A, 1\.00 m along, 1\.20 m up.*Sand at 220/s);
  });
});

describe('colours on trial', () => {
  test('taking one puts it on its scope and the others aside; opinions count, and lights that are missing are named', () => {
    const job = edited(before, {
      name: 'addSample',
      args: {
        sample: {
          id: 'c2',
          scope: 'r1:wall',
          colour: 'colour-trim',
          kind: 'painted',
          dropped: null,
          seen: [{ room: 'r1', wall: 'r1-0', light: 'lamp', liking: 'yes', note: '' }],
        },
      },
    });
    const { still } = samplesFor(job, 'r1:wall');
    expect(still.map(({ id }) => id)).toEqual(['c1', 'c2']);
    const sample = job.samples.byId['c2'];
    if (!sample) throw new Error('no sample');
    expect(opinionOf(sample)).toEqual({ counts: { no: 0, unsure: 0, yes: 1 }, unseen: ['morning', 'noon', 'evening'] });
    const after = edited(job, ...chosenEdits(job, sample, 'paint-wall', '2026-11-27'));
    expect(after.finishes['r1:wall']).toEqual({ product: 'paint-wall', colour: 'colour-trim' });
    expect(samplesFor(after, 'r1:wall').still.map(({ id }) => id)).toEqual(['c2']);
  });
  test('an undertone threefold keeps its hue; windows look where their walls do', () => {
    const [own, shown] = ['#eceae2', undertoneOf('#eceae2')].map(labOf);
    if (!own || !shown) throw new Error('no colour');
    expect(Math.atan2(shown.b, shown.a)).toBeCloseTo(Math.atan2(own.b, own.a), 1);
    expect(Math.hypot(shown.a, shown.b)).toBeGreaterThan(2.5 * Math.hypot(own.a, own.b));
    const [room] = Object.values(bedroom().rooms.byId);
    if (!room) throw new Error('no room');
    // its window is on the third wall of four: opposite the first
    expect(windowsTo({ ...room, bearing: 0 })).toEqual(['south']);
    expect(windowsTo(room)).toEqual([]);
  });
});
