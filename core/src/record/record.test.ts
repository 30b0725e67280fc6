import { describe, expect, test } from '@jest/globals';
import { loft as openLoft, value } from '../testing/jobs.ts';
import fc from 'fast-check';
import { runs } from '../testing/runs.ts';
import { labelFor } from '../exchange/record-contract.ts';
import { openJob } from '../job/open.ts';
import { applyEdit, type Edit } from '../job/edits.ts';
import type { EarlierPaint } from '../job/recorded.ts';
import type { Job } from '../job/types.ts';
import { smallJob } from '../testing/hostile.ts';
import { EIGHT, loggedPlan, writer } from '../testing/site-log.ts';
import { basePlan } from '../whole/plan.ts';
import { findablesOf, jobRecord } from '../whole/record.ts';
import { colourWords } from '../specify/colour-words.ts';
import { paintAgain } from './again.ts';
import { Finder, type Findable } from './find.ts';
import {
  bytesOf,
  fitLabel,
  LABEL_KEYS,
  MAX_LABEL_BYTES,
  paintFromLabel,
  readLabel,
  writeLabel,
  type Label,
} from './label.ts';
import { paintsOf } from './layer.ts';

const done = (job: Job, edit: Edit): Job => {
  const result = applyEdit(job, edit);
  if (!result.ok) throw new Error(result.problems[0]?.message);
  return result.value.job;
};

describe('the label: a text that any phone reads', () => {
  const text = fc.string({ unit: 'grapheme', maxLength: 60 });
  const label = fc.record(
    {
      ...(Object.fromEntries(LABEL_KEYS.map((key) => [key, text])) as Record<keyof Required<Label>, typeof text>),
      NOTE: fc.string({ unit: 'grapheme', maxLength: 500 }),
      HEX: fc.constant('#a1b2c3'),
      COATS: fc.constantFrom('1', '2'),
      DATE: fc.constantFrom('2026', '2026-11', '2026-11-26'),
      LEFT: fc.constantFrom('0.8 L', '12 L'),
    },
    { requiredKeys: [] },
  );

  test('law: what is written is at most 300 bytes, and read back it is the same label', () => {
    fc.assert(
      fc.property(label, (any) => {
        const fit = fitLabel(any);
        const written = writeLabel(any);
        expect(bytesOf(written)).toBeLessThanOrEqual(MAX_LABEL_BYTES);
        expect(writeLabel(fit)).toBe(written);
        if (Object.keys(fit).length) expect(value(readLabel(written))).toEqual({ label: fit, warnings: [] });
        // only what does not fit gives way, the note first
        const plain = fitLabel({ ...any, NOTE: '' });
        if (fit.NOTE) for (const key of LABEL_KEYS) if (key !== 'NOTE') expect(fit[key]).toBe(plain[key]);
      }),
      runs(100),
    );
  });
  test('law: nothing that a code may say breaks the reader; what is no label says so', () => {
    fc.assert(
      fc.property(
        fc.oneof(
          text,
          text.map((rest) => `KOVELIN/1\n${rest}`),
        ),
        (any) => {
          const read = readLabel(any);
          if (!read.ok) expect(read.problems[0]?.message).toMatch(/Kovelin|KEY:VALUE|accepted|twice|nothing/);
        },
      ),
    );
    const says = (of: string) => {
      const read = readLabel(of);
      return read.ok ? read.value.warnings.join() : read.problems[0]?.message;
    };
    expect(says('https://example.org')).toBe(
      'This code says “https://example.org”. A Kovelin label begins with the line KOVELIN/1.',
    );
    expect(says('KOVELIN/2\nPAINT:x')).toMatch(/newer Kovelin \(KOVELIN\/2\)/);
    expect(says('KOVELIN/1\nPAINT:x\nHE')).toMatch(/damaged/);
    expect(says('KOVELIN/1\nHEX:blue')).toMatch(/HEX is “blue”; a colour such as #d5d6d2 is accepted/);
    expect(says('KOVELIN/1\nPAINT:x\nGLOW:yes')).toBe('GLOW is not known here and was left out.');
  });
  test('whole characters: no half of a letter with its accent, or of a sign of several', () => {
    const note = '👩‍🎨'.repeat(60);
    expect(fitLabel({ PAINT: 'é'.repeat(20), NOTE: note }).NOTE).toMatch(/^(👩‍🎨)+$/u);
  });
  test('what a label does not say is unknown, and none of it is certain', () => {
    const paint = paintFromLabel(
      'n1',
      { PAINT: 'Wall paint', SHEEN: 'matt', COVER: 'microfibre 10 mm', LEFT: '0.8 L' },
      'label',
    );
    expect(paint).toMatchObject({
      sheen: 'matte',
      fabric: 'microfibre',
      pile: 0.01,
      hex: null,
      base: null,
      laid: null,
      certain: false,
    });
    expect(paint.note).toBe('LEFT:0.8 L');
  });
});

const loft = openLoft();
const plan = basePlan(loft);
const names = loft.crew.people.map(({ name }) => name);

describe('layers from what was done', () => {
  const entries = loggedPlan(plan.placed, names, 1);
  const van = writer('shop');
  const [paint] = [...new Set(plan.placed.flatMap(({ task }) => (task.kind === 'wet' ? [task.go.specified] : [])))];
  if (!paint) throw new Error('no wall is rolled');
  const key = `${paint.product.id}|${paint.sheen}|${paint.colour.id}`;
  van.says(0, { kind: 'can', who: names[0] ?? '', value: { paint: key, litres: 3.8, batch: '0417' } });
  van.says(1, { kind: 'air', who: names[0] ?? '', value: { temperature: 19, humidity: 0.55, draught: 0.1 } });
  van.says(90_000, { kind: 'litres', who: names[0] ?? '', value: { paint: key, left: 0.9, by: 'dip' } });
  const log = [...entries, ...van.entries];

  test('a layer for each coat that was laid, with its batch, air, people and day; the others have none', () => {
    const { surfaces, left } = jobRecord(loft, log);
    const wall = surfaces.find(({ id }) => id === paint.surface.id);
    const coats = wall?.layers.filter(({ role }) => role === 'finish') ?? [];
    expect(coats.map(({ coat }) => coat)).toEqual([1, 2]);
    expect(coats[1]).toMatchObject({
      product: paint.product.name,
      colour: { name: paint.colour.name, hex: paint.colour.hex },
      sheen: paint.sheen,
      batch: '0417',
      laid: 'roller',
      cover: { fabric: 'microfibre' },
      air: { temperature: 19, humidity: 0.55 },
      certain: true,
    });
    expect(coats[1]?.when).toMatch(/^2026-12-0\d$/);
    expect(names).toContain(coats[1]?.who);
    // each coat that the plan lays is on the record once
    const laid = plan.placed.filter(({ task }) =>
      ['roll', 'wet', 'brush', 'prime-roll', 'prime-brush'].includes(task.kind),
    );
    expect(surfaces.reduce((n, { layers }) => n + layers.length, 0)).toBe(laid.length);
    expect(left).toEqual([{ key, litres: 0.9, where: '', batches: ['0417'] }]);
    // half of the log: fewer layers, none made up
    const half = jobRecord(loft, log.slice(0, Math.floor(entries.length / 2)));
    expect(half.surfaces.flatMap(({ layers }) => layers).length).toBeLessThan(laid.length);
    expect(jobRecord(loft, []).surfaces.every(({ top }) => top === null)).toBe(true);
  });
  test('its label says what was done; before anything is, what is planned', () => {
    const planned = jobRecord(loft, []);
    const of = (record: typeof planned) => {
      const found = record.surfaces.find(({ id }) => id === paint.surface.id);
      if (!found) throw new Error('no such wall');
      return found;
    };
    expect(labelFor(planned, of(planned))).toMatchObject({ COATS: '2', NOTE: 'as planned' });
    const after = jobRecord(loft, log);
    const label = labelFor(after, of(after));
    expect(label).toMatchObject({ PAINT: paint.product.name, BATCH: '0417', COATS: '2', LEFT: '0.9 L' });
    expect(label.DATE).toMatch(/^2026-12/);
    expect(label.NOTE).toBeUndefined();
  });
  test('the next job on the rooms begins with what is on them; the layers of both stack', () => {
    const first = jobRecord(loft, log);
    const again = paintAgain(loft, first.surfaces, first.left, { id: 'again', name: 'Again' });
    const opened = value(openJob(JSON.stringify(again)));
    expect(opened.survey[paint.surface.id]).toMatchObject({
      coat: 'water-borne',
      colour: paint.colour.hex,
      sheen: paint.sheen,
    });
    expect(Object.values(opened.shelf.byId)).toMatchObject([{ litres: 0.9, batch: '0417', colour: paint.colour.id }]);
    const second = jobRecord(opened, loggedPlan(basePlan(opened).placed, names, 1));
    for (const { id, layers } of first.surfaces) {
      const stacked = second.surfaces.find((own) => own.id === id)?.layers ?? [];
      expect(stacked.slice(0, layers.length).map(({ product, coat, certain }) => [product, coat, certain])).toEqual(
        layers.map(({ product, coat, certain }) => [product, coat, certain]),
      );
    }
    expect(paintsOf(second.surfaces.find(({ id }) => id === paint.surface.id)?.layers ?? []).length).toBeGreaterThan(1);
  });
});

describe('earlier paint, and colours that are one', () => {
  const earlier: EarlierPaint = {
    ...paintFromLabel('e', { PAINT: 'Old paint', HEX: '#7a1f26', DATE: '2011' }, 'by hand'),
    laid: 'spray',
  };
  test('clashing records are both kept, the same one is not said twice', () => {
    const add = (job: Job, paint: EarlierPaint) =>
      done(job, { name: 'addEarlier', args: { surfaces: ['r1-0/field'], paint } });
    let job = add(add(smallJob(), earlier), { ...earlier, id: 'other' });
    expect(job.earlier['r1-0/field']).toHaveLength(1);
    job = add(job, { ...earlier, product: 'Another paint' });
    expect(job.earlier['r1-0/field']?.map(({ id, product }) => [id, product])).toEqual([
      ['e', 'Old paint'],
      ['e-1', 'Another paint'],
    ]);
    expect(jobRecord(job, []).surfaces.find(({ id }) => id === 'r1-0/field')?.top).toMatchObject({
      product: 'Another paint',
      laid: 'spray',
      certain: false,
      sheen: null,
    });
  });
  test('two colours that are one: everything that named the one names the other', () => {
    const before = smallJob();
    const job = done(before, { name: 'mergeColours', args: { from: 'colour-wall', into: 'colour-trim' } });
    expect(JSON.stringify(job)).not.toContain('"colour-wall"');
    expect(value(openJob(JSON.stringify(job)))).toEqual(job);
  });
});

describe('search over all jobs', () => {
  const row = (id: string, roomName: string, hex: string, more: Partial<Findable> = {}): Findable => ({
    id,
    job: 'j',
    jobName: 'Cottage',
    room: 'r',
    roomName,
    on: 'Walls A and B',
    surface: 's',
    kind: 'on',
    product: 'Wall paint',
    colour: id,
    code: '',
    hex,
    batch: '',
    when: '2026-11-26',
    litres: null,
    units: 'metric',
    also: '',
    ...more,
  });
  const finder = new Finder([
    row('B7 sea', 'Hall', '#3f5f86'),
    row('G1', 'Hall', '#c3cdbd'),
    row('B2', 'Parlour', '#41618a'),
    row('can', '', '#3f5f86', { kind: 'left', litres: 0.8, batch: '0417' }),
  ]);
  const ids = (query: string) => finder.find(query).map(({ of }) => of.id);

  test('“the blue in the hall” is found by the name of no colour; a batch, a can, a slip of the finger too', () => {
    expect(ids('the blue in the hall')).toEqual(['B7 sea']);
    expect(ids('0417')).toEqual(['can']);
    expect(ids('left blue')).toEqual(['can']);
    expect(ids('parlor blue')).toEqual(['B2']);
    expect(ids('sauna')).toEqual([]);
  });
  test('by nearness of colour: the nearest first, what is another colour not at all', () => {
    const found = finder.find('#40608a');
    expect(found.map(({ of }) => of.id)).toEqual(['B2', 'can', 'B7 sea']);
    expect(found[0]?.deltaE).toBeLessThan(found[1]?.deltaE ?? 0);
    expect(ids('hall #40608a')).toEqual(['B7 sea']);
  });
  test.each([
    ['#f4f1ea', 'white'],
    ['#8a8c8e', 'grey'],
    ['#22394f', 'blue'],
    ['#7a1f26', 'red'],
    ['#5d4a38', 'brown'],
    ['#c3cdbd', 'green'],
    ['#e6d28a', 'yellow'],
  ])('%s is called %s', (hex, word) => {
    expect(colourWords(hex)).toContain(word);
  });
  test('what a job has to be found: laid or planned finishes, earlier paint, cans', () => {
    const van = writer('van');
    van.says(5, { kind: 'start', who: 'p', operation: 'r1-0/field:roll2' });
    van.says(9, { kind: 'done', who: 'p', operation: 'r1-0/field:roll2' });
    van.says(10, { kind: 'litres', who: 'p', value: { paint: 'paint-wall|matte|colour-wall', left: 0.5, by: 'eye' } });
    const paint = paintFromLabel('e', { PAINT: 'Old', NOTE: 'behind the stove' }, 'label');
    const job = done(smallJob(), { name: 'addEarlier', args: { surfaces: ['r1/ceiling'], paint } });
    const kinds = findablesOf(job, van.entries).map(({ kind, on, litres }) => [kind, on, litres]);
    expect(kinds).toContainEqual(['on', 'Wall A', null]);
    expect(kinds).toContainEqual(['planned', 'Wall A, dado dado; walls B, C and D', null]);
    expect(kinds).toContainEqual(['earlier', 'Ceiling', null]);
    expect(kinds).toContainEqual(['left', '', 0.5]);
    expect(new Date(EIGHT).toISOString().slice(0, 10)).toBe(
      findablesOf(job, van.entries).find(({ kind }) => kind === 'on')?.when,
    );
  });
});
