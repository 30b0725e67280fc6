import { describe, expect, test } from '@jest/globals';
import { cottageText, edited, fewPlans, opened } from '../testing/jobs.ts';
import { specifyContract, takeoffContract } from '../exchange/contracts.ts';
import { quotePdf, shoppingPdf } from '../exchange/order-pdf.ts';
import { quoteCsv, shoppingCsv, shoppingText } from '../exchange/order-text.ts';
import { scheduleCsv } from '../exchange/schedule-csv.ts';
import { takeoffCsv } from '../exchange/takeoff-csv.ts';
import { formatTapeSheet } from '../exchange/tapesheet-write.ts';
import { type Edit } from '../job/edits.ts';
import { rows } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import * as enums from '../job/vocabulary.ts';
import { shoppingList } from '../order/shopping.ts';
import { viewSchedule } from '../sequence/view.ts';
import { ruleOf } from '../paces/rules.ts';
import { prepPlan } from '../specify/prep-plan.ts';
import { QUESTIONS, readBack } from '../specify/questions.ts';
import { warningsOf } from '../specify/warnings.ts';
import { INCH, type Units } from '../units/si.ts';
import { counted, heading, listed, pair, phrase, said, type Word } from '../units/word.ts';
import type { Working } from '../units/working.ts';
import { quoteOf } from '../whole/quote.ts';
import { baseOrder, basePlan } from '../whole/plan.ts';
import { wholeOf } from '../whole/whole.ts';
import { STARTING } from './defaults.ts';
import { clientNames, namesWord, nameWord, type Name } from './names.ts';
import { reasonWord, WORDING } from './reasons.ts';
import * as systems from './systems.ts';
import * as terms from './terms.ts';
import { taskWord } from '../paces/tasks.ts';
import { LABOUR, materialWord, pieceWord } from './work.ts';
import { keysOf } from '../units/list.ts';

/** What is said on one side of the Atlantic alone. */
const AMERICAN =
  /baseboard|\bcasings?\b|matte|drywall|chair.rail|\bcrown|roller cover(?!s again)|standard cover|\b(one|an?|in|short.\w+) covers?\b|\bcans?\b|drop cloth|degloss|latex|\bnap\b|\d in nap|[″′]|half-inch|\bgal\b|\bmold/i;
const BRITISH =
  /skirting|architrave|\bmatt\b|plasterboard|dado.rail|cornice|sleeve|\btins?\b|dust sheet|\bpile\b|\d mm\b|mould|\bm²|(col|lab|vap|neighb)our|\bgrey\b|(met|lit|fib)re|draught/i;
const FOREIGN: Readonly<Record<Units, RegExp>> = { imperial: BRITISH, metric: AMERICAN };
const SYSTEMS = ['imperial', 'metric'] as const;

/** A room with every trim, written by people from both sides. */
const TRIMMED = `units m
room Trimmed
height 2.4
wall A 4 R
wall B 3 R
wall C 4 R
wall D 3 R
door d1 on A 0.8 x 2 at 0.5 architrave 0.07 back 0.07 frame 0.1
window w1 on B 1 x 1.2 at 0.5 sill 0.9 casing 0.07 reveal 0.1 sash hung board 0.2
trim skirting 12 cm
trim crown 9 cm
trim dado-rail 7 cm at 0.9
trim picture-rail 5 cm at 2
dado p1 on C 0.8
round-column c1 0.3 x 2.3
`;

/** A job of bare board, old gloss, holes and stains, in the units wanted. */
function fixture(text: string, units: Units): Job {
  const survey = (scope: string, set: object): Edit => ({ name: 'setSurveys', args: { scopes: [scope], set } }) as Edit;
  const edits: readonly Edit[] = [
    { name: 'moveTo', args: { country: units === 'imperial' ? 'US' : 'GB' } },
    survey('all:wall', { substrate: 'drywall', coat: 'bare', repairs: { pinhole: 3, coin: 2, large: 1, anchor: 1 } }),
    survey('all:ceiling', { texture: 'popcorn', condition: 'peeling' }),
    survey('all:trim', { coat: 'oil', sheen: 'gloss', stains: ['smoke', 'rust'] }),
  ];
  return edited(fewPlans(opened(text)), ...edits);
}

const wordsIn = (working: Working): Word[] => [
  working.name,
  ...(working.op === 'given' ? [] : working.of.flatMap(wordsIn)),
];
/** Every text a contract holds but its keys. */
const textsIn = (value: unknown): string[] =>
  typeof value !== 'object' || value === null
    ? []
    : Object.entries(value).flatMap(([key, inner]) =>
        typeof inner === 'string' && ['text', 'name', 'message'].includes(key) ? [inner] : textsIn(inner),
      );

/** All that a job says: files, sheets, and what the views are made of. */
function allSaid(job: Job): string[] {
  const whole = wholeOf(job);
  const order = baseOrder(job);
  const plan = viewSchedule(basePlan(job), whole.takeoffs);
  const list = shoppingList(job, order);
  const quote = quoteOf(job, order, [], '2026-01-05');
  const files = [
    takeoffCsv(job),
    scheduleCsv(job, whole.surfaces),
    formatTapeSheet(rows(job.rooms), job.units),
    shoppingText(job, list),
    shoppingCsv(job, list),
    quoteCsv(job, quote),
    ...textsIn([specifyContract(job, whole), whole.takeoffs.map((_, i) => takeoffContract(job, whole).rooms[i])]),
    ...textsIn([quotePdf(job, quote), shoppingPdf(job, list)]),
  ];
  const words: Word[] = [
    ...whole.takeoffs.flatMap((t) => [
      ...t.lines.flatMap((l) => wordsIn(l.length)),
      ...t.trim.flatMap((trim) => [...wordsIn(trim.area), ...wordsIn(trim.length)]),
      ...t.surfaces.flatMap((s) => [...wordsIn(s.area), terms.SURFACE[s.kind], terms.surfacesWord(s.kind)]),
      ...[...t.problems, ...t.warnings].map((p) => p.message),
    ]),
    ...whole.surfaces.flatMap((s) => [
      readBack(s),
      ...warningsOf(s).map((w) => reasonWord(w.reason)),
      ...prepPlan(s).flatMap((line) => [terms.PREP[line.step], reasonWord(line.how)]),
    ]),
    ...order.paints.flatMap((p) => [systems.paintWord(p), ...wordsIn(p.expected)]),
    ...order.materials.flatMap((m) => [materialWord(m), pieceWord(m.quantity, m.unit), ...wordsIn(m.working)]),
    ...plan.tasks.flatMap((task) => [taskWord(task), task.paint ?? '']),
    ...whole.operations.flatMap((op) => [
      ruleOf(op.kind).word({ name: op.specified ? nameWord(op.specified.surface.name) : '', coat: op.coat }),
      ...wordsIn(op.minutes),
    ]),
    ...Object.values(STARTING),
    ...Object.values(LABOUR),
    ...Object.values(systems.MEMBER_WORDS),
    ...QUESTIONS.flatMap((q) => [q.ask, q.short, ...q.options.map((o) => o.label)]),
  ];
  return [...files, ...words.map((word) => said(word, job.units))];
}

describe('a job says', () => {
  test.each(SYSTEMS)('in %s units, no word of the other side in any file, sheet or view', (units) => {
    const texts = [cottageText(), TRIMMED].flatMap((text) => allSaid(fixture(text, units)));
    // columns of a file have one name in every country
    const lines = texts.flatMap((text) => text.replaceAll(',colour,sRGB,', ',').split('\n'));
    const foreign = lines.filter((line) => FOREIGN[units].test(line));
    expect([...new Set(foreign)]).toEqual([]);
    expect(texts.join('\n')).not.toMatch(/undefined|NaN|\[object/);
    // the fixture holds what the other side would have said
    expect(texts.join('\n')).toMatch(units === 'metric' ? /skirting/ : /baseboard/);
    expect(texts.join('\n')).toMatch(units === 'metric' ? /plasterboard/ : /drywall/);
    expect(texts.join('\n')).toMatch(units === 'metric' ? /matt\b/ : /matte/);
  });
  test('every rule’s sentence, with anything it may be given, in the words of each', () => {
    const used = {
      ...{ sheen: 'matte', coat: 'unknown', condition: 'weak', texture: 'popcorn', substrate: 'drywall', level: '4' },
      ...{ stains: ['rust', 'ink'], touched: ['pets'], use: 'hall', family: 'ceiling', wiped: 'often', bumps: 'none' },
      ...{ wanted: 'matte', offered: ['gloss'], tint: '#445566', saves: 1, coats: 2, hiding: 2, minimum: 2 },
      ...{
        delta: 1.2,
        limit: 1,
        adhesion: 4,
        repairs: 3,
        moisture: 15,
        dry: 12,
        contrast: 0.9,
        label: 0.96,
        hue: 'red',
      },
      ...{ fibres: 'found', kind: 'blocking', product: 'Wall paint', scrub: 4, recoat: 30, least: 90, year: 1978 },
      ...{
        share: 0.2,
        reason: 'wavy',
        method: 'edger',
        seen: 0.05,
        dose: 0.19,
        long: 1.4,
        hand: 'right',
        from: 'right',
        width: 0.1016,
        cover: 0.2286,
        strips: 2,
        pile: 0.01,
      },
    };
    for (const units of SYSTEMS)
      for (const rule of keysOf(WORDING)) {
        const text = said(reasonWord({ rule, with: used }), units);
        expect(text).toMatch(/^\S.{8,}\S$/);
        expect([rule, text]).not.toEqual([rule, expect.stringMatching(FOREIGN[units])]);
        expect(text).not.toMatch(/undefined|NaN|\[object/);
      }
  });
});

test('every published value has a word, and none is its key with a hyphen by accident', () => {
  const tables: readonly (readonly [readonly (string | number)[], Readonly<Record<string, Word>>])[] = [
    [enums.SHEENS, terms.SHEEN],
    [enums.SUBSTRATES, terms.SUBSTRATE],
    [enums.TEXTURES, terms.TEXTURE],
    [enums.PREP_STEPS, terms.PREP],
    [enums.PART_KINDS, terms.PART],
    [enums.SURFACE_KINDS, terms.SURFACE],
    [enums.LINE_KINDS, terms.LINE],
    [enums.LABOUR_GROUPS, LABOUR],
    [enums.FIXTURE_WAYS, terms.WAY],
    [enums.SEALS, terms.SEALED],
  ];
  for (const [keys, table] of tables)
    for (const key of keys) expect(said(table[key] ?? '', 'metric')).toMatch(/^\S.*\S$/);
  const all = [
    ...enums.PILES.map((pile) => systems.coverWord({ pile, fabric: enums.FABRICS[0], width: 0.2286 })),
    ...enums.PRIMER_KINDS.map((kind) =>
      systems.primerWord({ kind, extent: 'full', coats: 2, tint: '#556677', then: null }),
    ),
    ...enums.PAINT_FAMILIES.map((v) => systems.memberWord('paint', v)),
    ...enums.CONDITIONERS.map((v) => systems.memberWord('conditioner', v)),
    ...enums.MATERIALS.map((item) => materialWord({ item, size: {} })),
    ...enums.PIECES.map((unit) => pieceWord(2, unit)),
  ];
  for (const word of all) for (const units of SYSTEMS) expect(said(word, units)).toMatch(/^\S.{2,}$/);
});

describe('words are put together', () => {
  test('a phrase is a pair where a word of it is one', () => {
    expect(phrase`wall to ${terms.TRIM.casing}`).toEqual(pair('wall to casing', 'wall to architrave'));
    expect(phrase`wall ${'A'}, coat ${2}`).toBe('wall A, coat 2');
    expect(said(listed(['A', 'B', 'C']), 'metric')).toBe('A, B and C');
    expect([counted(1, 'coat'), counted(2, 'brush', 'brushes')]).toEqual(['1 coat', '2 brushes']);
  });
  test('covers and brushes by the sizes each side asks for', () => {
    expect([said(systems.pileWord(0.01), 'imperial'), said(systems.pileWord(0.01), 'metric')]).toEqual([
      '3⁄8 in nap',
      '10 mm pile',
    ]);
    // words of one side with the units of the other
    expect(said(systems.pileWord(0.01), 'metric-american')).toBe('10 mm nap');
    expect(said(phrase`${terms.TRIM.baseboard}, ${systems.across(INCH * 9)}`, 'imperial-british')).toBe('skirting, 9″');
    expect(said(systems.coverWord({ pile: 0.01, fabric: 'microfibre', width: 0.2286 }), 'metric')).toBe(
      '10 mm pile, 230 mm microfibre',
    );
    expect(said(systems.brushWord({ width: 0.0635, shape: 'angled-sash', bristle: 'natural' }), 'imperial')).toBe(
      '2 1⁄2″ angled sash, natural',
    );
  });
  const name = (kind: Name['kind'], label = '', wall: string | null = null): Name => ({ kind, label, wall });
  test('names of surfaces, one and several', () => {
    expect(heading(nameWord(name('baseboard')), 'metric')).toBe('Skirting');
    expect(said(nameWord(name('back', 'd1')), 'metric')).toBe('far architrave of d1');
    expect(said(nameWord(name('round-column', 'c1')), 'imperial')).toBe('round column c1');
    const several = [
      name('wall', 'A'),
      name('wall', 'C'),
      name('ceiling'),
      name('door', 'd1'),
      name('baseboard'),
      name('baseboard'),
      name('dado', 'p1', 'B'),
    ];
    expect(said(namesWord(several), 'imperial')).toBe(
      'walls A and C; ceiling; door d1; baseboard (2); wall B, dado p1',
    );
    expect(said(namesWord([name('shelf', 's1'), name('shelf', 's2')]), 'metric')).toBe('shelves s1 and s2');
    const four = ['A', 'B', 'C', 'D'].map((label) => name('wall', label));
    expect(said(namesWord(four, 4), 'imperial')).toBe('all four walls');
    expect(said(namesWord(four, 5), 'imperial')).toBe('walls A, B, C and D');
    // a client knows walls, and what is a door; our labels they do not
    const onB = (own: Name) => ({ name: own });
    const all = [...four, name('door', 'd1'), name('door', 'd2'), name('lining', 'd1'), name('pilaster', 'p1')].map(
      onB,
    );
    expect(
      said(
        clientNames(all, () => 'B', 4),
        'metric',
      ),
    ).toBe('all four walls; two doors; door lining in wall B; pilaster on wall B');
    expect(
      said(
        clientNames([onB(name('dado', 'p1', 'C'))], () => 'B'),
        'metric',
      ),
    ).toBe('dado on wall C');
    // what somebody calls a thing is its name, for everybody
    const called = ['door', 'lining', 'sash', 'shelf'] as const;
    expect(called.map((kind) => said(nameWord(name(kind, 'hall door')), 'imperial'))).toEqual([
      'hall door',
      'lining of hall door',
      'sash of hall door',
      'hall door',
    ]);
    const doors = [name('door', 'd1'), name('door', 'd2'), name('door', 'hall door'), name('door', 'north')];
    expect(said(namesWord(doors), 'imperial')).toBe('doors d1, d2 and north; hall door');
    expect(
      said(
        clientNames(doors.map(onB), () => 'B'),
        'imperial',
      ),
    ).toBe('two doors; hall door; door north');
  });
});
