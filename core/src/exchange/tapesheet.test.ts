import { describe, expect, test } from '@jest/globals';
import { cottageText, edited, loftSheet } from '../testing/jobs.ts';
import fc from 'fast-check';
import { runs } from '../testing/runs.ts';
import { seededIds } from '../job/blank.ts';
import { PART_KINDS, type PartKind } from '../job/vocabulary.ts';
import { PART_RULES } from '../measure/parts.ts';
import { assignReadings, readReadings } from './readings.ts';
import { roomFromDraft } from '../job/reconcile.ts';
import { suspectsOf } from '../measure/suspects.ts';
import { takeoffJob } from '../measure/takeoff.ts';
import { readForView } from './read.ts';
import { usualOf } from '../job/usual.ts';
import { formatTapeSheet } from './tapesheet-write.ts';
import { parseTapeSheet } from './tapesheet.ts';
import { formatJobSheet } from './job-sheet-write.ts';
import { rows } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import type { Specified } from '../specify/specify.ts';
import { said as said_ } from '../units/word.ts';
import { wholeOf } from '../whole/whole.ts';
import { nameWord } from '../words/names.ts';

const LOFT = loftSheet();
const problem = (text: string) => {
  const { line, column, message } = parseTapeSheet(text).problems[0] ?? { line: 0, column: 0, message: '' };
  return `${line}:${column} ${message}`;
};
const inRoom = (line: string) => `units ft\nroom R\nwall A 12\n${line}`;

test('the loft bedroom, clause by clause', () => {
  const sheet = parseTapeSheet(LOFT);
  expect(sheet.problems).toEqual([]);
  const { draft } = sheet.rooms[0] ?? {};
  expect(draft?.name).toBe('Loft bedroom');
  expect(draft?.walls[0]).toMatchObject({
    label: 'A',
    turn: 90,
    length: { typed: `12'6 1/2` },
    peaks: [{ at: { typed: `6'3` } }],
  });
  expect(draft?.openings.map((o) => [o.kind, o.label, o.wall, o.sill?.typed ?? null, o.casing?.typed ?? null])).toEqual(
    [
      ['door', 'd1', 'A', null, '2 1/2"'],
      ['window', 'w1', 'C', `1'8`, null],
      ['opening', 'o1', 'B', null, null],
    ],
  );
  expect([draft?.checks[0]?.length.typed, draft?.trim.baseboard?.face.typed]).toEqual([`16'3`, '5 1/2"']);
});

/** Every clause there is, once. */
const EVERYTHING = `units ft
room Everything
height 8
corners measured
wall A 12 R bow out 8"
wall B 10 R stairs 9' to 1' down 3' steps 5
wall C 12 R h 8 peak 9 at 4 peak 9 at 8
wall D 10 R bow in 6" stairs 1 to 2 up 6"
door d1 on A 2'6 x 6'8 at 1' casing 2" girth 3" back 2" leaf panelled 3 x 2 faces 2 frame 5"
door d2 on A 2'6 x 6'8 at 6' leaf none
door d3 on C 2'6 x 6'8 at 8' leaf flush 1 x 1
window w1 on C 3' x 4' at 2' sill 2' head segmental 6" reveal 5" bare sash hung 2 x 3 board 8" apron 3"
window w2 on C 2' x 2' at 6' sill 4' head circle reveal 4"
opening o1 on D 2' x 7' at 3' head round
opening o2 on D 2' x 7' at 6' head gable 1'
trim baseboard 5" girth 6"
trim picture-rail 2" girth 3" at 7'
${PART_KINDS.map((kind, i) => partLine(kind, i)).join('\n')}
`;
function partLine(kind: PartKind, i: number): string {
  const { needs, takes, place, counted } = PART_RULES[kind];
  const word = { width: 'wide', height: 'high', depth: 'deep', at: 'at', sill: 'sill' };
  const sizes = [...needs, ...takes].map((size, k) => `${word[size]} ${k + 1}' ${i % 12}"`);
  return [kind, `p${i}`, place === 'wall' ? 'on B' : '', ...sizes, counted ? `count ${i}` : ''].join(' ');
}

test.each([LOFT, EVERYTHING])('what is written reads back to the same room, in both systems', (sheet) => {
  const { problems, rooms } = parseTapeSheet(sheet);
  expect(problems).toEqual([]);
  const draft = rooms[0]?.draft;
  if (!draft) throw new Error('no room');
  const room = roomFromDraft(draft, 'r', seededIds('r'), 'imperial');
  for (const system of ['imperial', 'metric'] as const) {
    const again = parseTapeSheet(formatTapeSheet([room], system));
    expect(again.problems).toEqual([]);
    const metres = (d: typeof draft | undefined) =>
      JSON.stringify(d, (key, value: unknown) =>
        key === 'typed' ? undefined : typeof value === 'number' ? Number(value.toFixed(6)) : value,
      );
    expect(metres(again.rooms[0]?.draft)).toBe(metres(draft));
  }
});

describe('wall clauses in any order; turns', () => {
  test.each([
    [`wall B R 12'6 1/2 h 8' to 6'2`, 90, 12 * 12 + 6.5],
    [`wall B 45R 12'`, 45, 144],
    [`wall B 12' 45R`, 45, 144],
    [`wall B 12'6L`, -90, 150],
    ['wall B 22.5L 3.5', -22.5, 42],
  ])('%s', (line, turn, inches) => {
    const sheet = parseTapeSheet(inRoom(line));
    expect(sheet.problems).toEqual([]);
    expect(sheet.rooms[0]?.draft.walls[1]).toMatchObject({
      turn,
      length: { metres: expect.closeTo(inches * 0.0254, 9) as unknown as number },
    });
  });
});

test.each([
  ['skirting 5"', 'baseboard'],
  ['cornice 4"', 'crown'],
  [`dado-rail 3" at 3'`, 'chair-rail'],
  [`picture-rail 2" at 7'`, 'picture-rail'],
])('trim %s is the %s', (said, kind) => {
  const sheet = parseTapeSheet(inRoom(`trim ${said}`));
  expect([sheet.problems, Object.keys(sheet.rooms[0]?.draft.trim ?? {})]).toEqual([[], [kind]]);
});

test.each([
  ['wall A 12', /1:1 Name the room first/],
  ['room R\nwall A 12', /2:8 12 needs a unit/],
  [inRoom('wall A 10'), /4:6 “A” is already used in R \(line 3\)/],
  [inRoom('wall B 10 R R'), /4:13 This wall already has a turn/],
  [inRoom('wall B'), /4:7 Wall B needs its length/],
  [inRoom('door d on Z 3 x 7 at 1'), /4:11 There is no wall “Z” in R; its walls are A/],
  [inRoom('door d on A 3 7 at 1'), /4:15 Put an x between/],
  [inRoom('window w on A 3 x 4'), /needs its wall, its size and its distance/],
  [inRoom('trim baseboard 5'), /4:16 5 needs a unit/],
  [inRoom('trim chair-rail 3"'), /Say how high it is/],
  [inRoom('check A A 3'), /two different walls/],
  [inRoom('wall B 12 R bow 3'), /4:17 The side a wall bows to is one of out, in/],
  [inRoom('wall B 12 R stairs 1 up 3'), /Say where the stairs start and end/],
  [inRoom('window w on A 3 x 4 at 1 head pointed'), /A head is one of rectangle, round/],
  [inRoom('door d on A 3 x 7 at 1 leaf panelled 0 x 2'), /1 to 12 rows/],
  [inRoom('tile t on A 3 by 2 at 1'), /4:15 Put an x between its sizes: tile p1 on A 3' x 2' at 1'/],
  [inRoom('mullion 3'), /4:1 “mullion” does not start a line of a tape sheet\. One of units, room/],
  [inRoom('windo w1 on A 3 x 4 at 1'), /4:1 “windo” does not start a line of a tape sheet\. Did you mean window\?/],
  [inRoom('height 8 9'), /“9” is not understood/],
  ['units yd', /1:1 “yd” is not a unit/],
  ['', /has no room/],
])('%j is refused with its line and column', (text, message) => expect(problem(text)).toMatch(message));

test('mutated and random text never throws, and good lines still count', () => {
  const lines = EVERYTHING.split('\n');
  const mutated = fc
    .tuple(fc.nat(lines.length - 1), fc.nat(40), fc.string({ maxLength: 4 }))
    .map(([i, at, scrap]) => lines.map((l, j) => (j === i ? l.slice(0, at) + scrap + l.slice(at) : l)).join('\n'));
  fc.assert(
    fc.property(fc.oneof(mutated, fc.string()), (text) => {
      const sheet = parseTapeSheet(text);
      for (const p of sheet.problems) expect(p.message.length).toBeGreaterThan(10);
      for (const room of sheet.rooms)
        for (const wall of room.draft.walls) expect(Number.isFinite(wall.length?.metres)).toBe(true);
    }),
    runs(100),
  );
});

describe('a list of readings', () => {
  const metres = (text: string) =>
    readReadings(text, 'metric').readings.map((r) => [r.label, Number(r.reading.metres.toFixed(4))]);
  test.each<[string, string, unknown[]]>([
    [
      'lines, as a meter logs them',
      '3.820 m\n2.405 m\n',
      [
        [null, 3.82],
        [null, 2.405],
      ],
    ],
    [
      'decimal commas and semicolons, with headings',
      'wall;length;unit\nA;3,82;m\nB;2405;mm',
      [
        ['A', 3.82],
        ['B', 2.405],
      ],
    ],
    [
      'commas and quotes',
      `wall,length\nA,"12'6 1/2"""\nB,3.5`,
      [
        ['A', 3.8227],
        ['B', 3.5],
      ],
    ],
    [
      'tabs, bare numbers in the job’s unit',
      'A\t3.82\nB\t2.4',
      [
        ['A', 3.82],
        ['B', 2.4],
      ],
    ],
    [
      'a bare decimal comma',
      '3,82\n2,4',
      [
        [null, 3.82],
        [null, 2.4],
      ],
    ],
  ])('%s', (_, text, expected) => expect(metres(text)).toEqual(expected));

  test('walls take the readings that name them, the others go to walls still waiting; what fits nowhere is said', () => {
    const draft = parseTapeSheet('units m\nroom R\nwall A 3\nwall B 2\nwall C 3').rooms[0]?.draft;
    if (!draft) throw new Error('no room');
    const room = roomFromDraft(draft, 'r', seededIds('r'), 'metric');
    const to = (text: string) => {
      const { lengths, problems } = assignReadings(room, readReadings(text, 'metric').readings);
      return [
        lengths.map((l) => `${room.walls.byId[l.wall]?.label}${l.length.metres}`).join(' '),
        problems.map((p) => `${p.line} ${p.message}`).join(),
      ];
    };
    expect(to('C;9\n5\n6')).toEqual(['C9 A5 B6', '']);
    expect(to('1\n2\n3\n4')).toEqual(['A1 B2 C3', '4 There are more readings than walls; R has 3. Add a wall first.']);
    expect(to('Z;4')[1]).toMatch(/no wall “Z” in R; its walls are A, B, C/);
    expect(readReadings('nonsense 4x', 'metric').problems[0]?.message).toMatch(/holds no length/);
    expect(readReadings('', 'metric').problems[0]?.message).toMatch(/empty/);
  });
});

test('names of several words, quotation marks, a # or the same twice come back from the sheet, or apart', () => {
  const room = roomFromDraft(parseTapeSheet(LOFT).rooms[0]?.draft as never, 'r', seededIds('r'), 'imperial');
  const line = fc
    .string({ minLength: 1, maxLength: 20, unit: 'grapheme' })
    .filter((t) => /^\P{Cc}*$/u.test(t) && t === t.trim() && t !== '');
  fc.assert(
    fc.property(fc.array(line, { minLength: 4, maxLength: 4 }), line, (labels, name) => {
      const byId = Object.fromEntries(
        room.walls.order.map((id, i) => [id, { ...room.walls.byId[id], label: labels[i] ?? 'x' }]),
      ) as typeof room.walls.byId;
      const sheet = parseTapeSheet(formatTapeSheet([{ ...room, name, walls: { ...room.walls, byId } }], 'imperial'));
      expect(sheet.problems).toEqual([]);
      const { draft } = sheet.rooms[0] ?? {};
      expect(draft?.name).toBe(name);
      const seen = draft?.walls.map((w) => w.label) ?? [];
      expect(new Set(seen).size).toBe(4);
      labels.forEach((label, i) => labels.indexOf(label) === i && expect(seen[i]).toBe(label));
    }),
    runs(67),
  );
  expect(
    parseTapeSheet('units ft\nroom Room 1 # the first\nwall "Bay # 2" 4 # not a name').rooms[0]?.draft,
  ).toMatchObject({
    name: 'Room 1',
    walls: [{ label: 'Bay # 2', length: { typed: `4'` } }],
  });
});

test('a bare number is a foot out like any other: the slip finder names it', () => {
  const sheet = 'units ft\nroom R\nheight 8\nwall A 13\nwall B 10\nwall C 12\nwall D 10\n';
  const opened = readForView(sheet, 'x');
  if (!opened.ok) throw new Error('not read');
  const [takeoff] = takeoffJob(opened.value);
  const [first] = takeoff ? suspectsOf(opened.value, takeoff).classes : [];
  expect([first?.slip, first?.walls.map((w) => w.wall.label)]).toEqual(['foot', ['A', 'C']]);
});

describe('a sheet says the whole job', () => {
  const read = (text: string): Job => {
    const opened = readForView(text, 'x');
    if (!opened.ok) throw new Error(opened.problems.map((p) => `${p.line}: ${p.message}`).join('\n'));
    return opened.value;
  };
  test('both ways: what is written of the cottage says the same when it is read, surface by surface', () => {
    const cottage = read(cottageText());
    const sheet = formatJobSheet(cottage);
    const again = read(sheet);
    expect(formatJobSheet(again)).toBe(sheet);
    const said = (job: Job) =>
      wholeOf(job).surfaces.map((s) => [
        said_(nameWord(s.surface.name), 'metric'),
        s.survey,
        [s.product.id, s.colour.hex, s.colour.name, s.sheen],
        s.system.prep.value,
        s.system.primer.value,
      ]);
    expect(said(again)).toEqual(said(cottage));
    // answers that look alike are not taken for one another
    const set = { wax: 'yes', damp: 'no', porous: 'yes' } as const;
    const waxed = edited(cottage, { name: 'setSurvey', args: { scope: 'all:wall', set } });
    expect(said(read(formatJobSheet(waxed)))).toEqual(said(waxed));
    expect([again.crew.hours, again.crew.people.map((p) => [p.name, p.day]), again.air, again.region]).toEqual([
      cottage.crew.hours,
      cottage.crew.people.map((p) => [p.name, p.day]),
      cottage.air,
      cottage.region,
    ]);
  });
  const PAINTED = [
    ...['units m', 'practice trimOrder cheapest accent laps-out doors pieces', 'line corner method tape-sealed'],
    ...['crew Ana hand left', 'room R', 'height 2.4', 'wall A 4 R', 'wall B 3 R', 'wall C 4 R', 'wall D 3 R'],
    ...['door d1 on A 0.8 x 2 at 1 casing 0.07', 'tile t1 on D 1 x 1 at 1 sill 1', 'focal B'],
    ...['line corner A/field B/field wavy yes method tape first B', 'line cover D t1 method tape-caulked stays all'],
    ...['order ceiling before A', 'finish B colour #22394f "Deep"'],
  ];
  test('lines, finishes in order, the focal wall, hands and schools: read, written and read again', () => {
    const job = read(PAINTED.join('\n'));
    const [room] = rows(job.rooms);
    const walls = room ? rows(room.walls) : [];
    const wall = (label: string) => walls.find((w) => w.label === label)?.id;
    expect([room?.focal, job.crew.people.map((p) => p.hand), job.practice.accent]).toEqual([
      wall('B'),
      ['left'],
      'laps-out',
    ]);
    expect(Object.values(job.lines)).toEqual([
      { method: 'tape-sealed' },
      { wavy: true, method: 'tape', first: `${wall('B')}/field` },
      { method: 'tape-caulked', stays: 'all' },
    ]);
    const lines = wholeOf(job).lines[0]?.made;
    expect(lines?.lost).toEqual([]);
    expect(lines?.lines.find(({ line }) => line.id.startsWith('corner') && line.wavy)?.pinned).toBe(true);
    const sheet = formatJobSheet(job);
    expect(formatJobSheet(read(sheet))).toBe(sheet);
    expect(Object.values(read(sheet).lines)).toHaveLength(3);
  });
  test.each([
    ['focal Q', /There is no wall “Q” in R; A, B, C, D and none/],
    ['line corner A C wavy yes', /No corner line runs between “A” and “C” in R; A\/field B\/field/],
    ['line corner A B first C', /“C” is no side of that line; A and B are/],
    ['line corner first A', /is said of one line/],
    ['line corner A B method glue', /A way of making a line is one of freehand, straightened/],
    ['order ceiling before Q', /There is no “Q” in R/],
    ['practice trimOrder sideways', /“trimOrder” is one of trim-first/],
  ])('%s is refused by a sentence', (line, message) => {
    const opened = readForView([...PAINTED, line].join('\n'), 'x');
    expect(opened.ok ? 'read' : opened.problems[0]?.message).toMatch(message);
  });
  test('scopes: the job, a room, a wall, a door, a piece of one; the nearest counts', () => {
    const lines = [
      'units m',
      'region DE',
      'crew Ana hours 7:30-12, 13-16 day 280',
      'crew "Bo B" hours 8-12',
      'air 18 65% 0.3',
      'finish walls colour #dfd6c2 "Sand"',
      'room R',
      'use kitchen',
      'height 2.5',
      'wall A 3 R',
      'wall B 3 R',
      'wall C 3 R',
      'wall D 3 R',
      'door d1 on A 0.8 x 2 at 1 casing 0.07',
      'plate p1 on B count 2 way masked',
      'survey walls holes some',
      'survey A coat oil sheen gloss stains water, rust adhesion 3 built 1931',
      'survey here/casing coat oil',
      'finish A product paint-wet colour #22394f sheen satin',
    ];
    const job = read(lines.join('\n'));
    const astray = readForView([...lines, 'survey A/casing coat oil'].join('\n'), 'x');
    expect(astray.ok ? '' : astray.problems[0]?.message).toMatch(
      /There is no “A\/casing” in R; here\/ceiling, A\/field/,
    );
    const of = (label: string) =>
      wholeOf(job).surfaces.find((s) => said_(nameWord(s.surface.name), 'metric') === label) as Specified;
    expect(job).toMatchObject({
      units: 'metric',
      currency: 'EUR',
      air: { temperature: 18, humidity: 0.65, draught: 0.3 },
    });
    expect(job.crew).toMatchObject({ hours: [[480, 720]], people: [{ name: 'Ana', day: 28_000 }, { name: 'Bo B' }] });
    expect(of('wall A')).toMatchObject({
      sheen: 'satin',
      product: { id: 'paint-wet' },
      colour: { hex: '#22394f' },
      survey: { coat: 'oil', stains: ['water', 'rust'], adhesion: 3, built: 1931, repairs: { coin: 2 } },
    });
    expect(of('wall B')).toMatchObject({
      colour: { name: 'Sand' },
      survey: { coat: 'water-borne', repairs: { pinhole: 10 } },
    });
    expect(of('architrave').survey.coat).toBe('oil');
    expect(of('door d1').survey.coat).toBe('water-borne');
    expect(rows(job.rooms)[0]?.use).toBe('kitchen');
  });
  test.each([
    ['finish walls', /Say what goes on/],
    ['finish walls product paint-blue', /“paint-blue” is no paint of this job; paint-wall, /],
    ['finish walls product primer-board', /is a primer; a finish is wanted/],
    ['finish Q colour #ffffff', /There is no “Q” in R; walls, ceiling, trim and A are there/],
    ['finish walls colour ffffff', /A colour is written #rrggbb/],
    ['survey walls mood good', /“mood good” is no question of a survey; substrate, /],
    ['survey walls coat varnish', /The existing coat is one of water-borne, oil/],
    ['survey walls repairs coin many', /The number of holes is a number from 0 to 999/],
    ['survey walls adhesion 2.5', /A cross-cut class is a whole number/],
    ['crew Ana hours early', /Hours are stretches of the day: hours 8-12/],
    ['crew Ana hours 12-8', /Working hours are stretches of one day/],
    ['air 70 50%', /A temperature, degrees Celsius, is a number from -20 to 60/],
    ['region Mars', /A country is one of US, /],
    ['plate p1 on A way filled', /What is done about a plate is one of off, masked, cut, replaced, painted/],
  ])('“%s” is refused with its line, saying what would be accepted', (line, message) => {
    const opened = readForView(inRoom(line), 'x');
    expect(opened.ok).toBe(false);
    const [first] = opened.ok ? [] : opened.problems;
    expect([first?.line, first?.message]).toEqual([4, expect.stringMatching(message)]);
  });
  test('a colour is no comment, and a comment is no colour', () => {
    expect(parseTapeSheet(inRoom('survey walls colour #a1b2c3, # as it was')).problems.length).toBe(1);
    expect(parseTapeSheet(inRoom('survey walls colour #a1b2c3 # as it was')).said[0]?.said).toMatchObject({
      set: { colour: '#a1b2c3' },
    });
    expect(parseTapeSheet(inRoom('#a1b2c3 is the colour')).problems).toEqual([]);
  });
});

test('typed in the application a door has the usual casing unless its line says another, or none; a file means what it says', () => {
  const sheet = `units ft\nroom R\nheight 8'\nwall A 12' R\ndoor d1 on A 2' x 6' at 1'\nwindow w1 on A 2' x 2' at 4' casing 3"\nopening o1 on A 2' x 6' at 8' casing none\n`;
  const casings = (usual: Parameters<typeof parseTapeSheet>[2]) =>
    parseTapeSheet(sheet, null, usual).rooms[0]?.draft.openings.map((o) => o.casing?.typed ?? null);
  expect(casings(null)).toEqual([null, `3"`, null]);
  expect(casings(usualOf('imperial'))).toEqual([`2 1/2"`, `3"`, null]);
});
