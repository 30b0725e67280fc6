import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { openJob } from '../job/open.ts';
import {
  BRISTLES,
  BRUSH_SHAPES,
  FABRICS,
  PILES,
  LINE_KINDS,
  MATERIALS,
  OPERATIONS,
  TASKS,
  PREP_STEPS,
  PRIMER_EXTENTS,
  PRIMER_KINDS,
  SHEENS,
  SURFACE_KINDS,
} from '../job/vocabulary.ts';
import { SLIPS } from '../measure/slips.ts';
import { readLabel } from '../record/label.ts';
import { run } from './run.ts';

const example = (name: string) => readFileSync(join(__dirname, '../../../examples', name), 'utf8');
const call = (verb: string, file = 'loft-bedroom.tape') => run([verb, file], example);
const json = <T>(verb: string) => JSON.parse(call(verb).stdout) as T;
const finite = (value: unknown): boolean =>
  typeof value !== 'object' || value === null
    ? value === null || typeof value !== 'number' || Number.isFinite(value)
    : Object.values(value).every(finite);

test('lines: chosen costs are the cost, every line goes the way of the order', () => {
  const { rooms } = json<{
    rooms: {
      lines: { between: (string | null)[]; length: number; chosen: { first: string; cost: number }; text: string }[];
      order: string[];
      cost: number;
      schools: { school: string; chosen: boolean }[];
    }[];
  }>('lines');
  for (const { lines, order, cost, schools } of rooms) {
    expect(lines.reduce((sum, { chosen }) => sum + chosen.cost, 0)).toBeCloseTo(cost, 6);
    expect(new Set(lines.flatMap((l) => l.between)).size - 1).toBeLessThanOrEqual(order.length);
    for (const { between, chosen } of lines) {
      const [a, b] = between;
      if (a && b) expect(order.indexOf(chosen.first)).toBe(Math.min(order.indexOf(a), order.indexOf(b)));
    }
    expect(schools.filter((s) => s.chosen).map((s) => s.school)).toContain('trim-first');
  }
});

test('play: strokes with shapes, minutes and litres; a surface or coat that is not there is told with those that are', () => {
  const surfaces = json<{ surfaces: { id: string; area: number }[] }>('specify').surfaces;
  const one = surfaces[0] ?? { id: '', area: 0 };
  const played = run(['play', 'loft-bedroom.tape', '--surface', one.id, '--coat', '2'], example);
  const { strokes, minutes } = JSON.parse(played.stdout) as {
    strokes: { area: number; minutes: number }[];
    minutes: number;
  };
  expect(strokes.reduce((sum, s) => sum + s.area, 0)).toBeCloseTo(one.area, 6);
  expect(strokes.reduce((sum, s) => sum + s.minutes, 0)).toBeCloseTo(minutes, 9);
  for (const [words, sentence] of [
    [[], /Which surface\? --surface takes one of/],
    [['--surface', 'nowhere'], /“nowhere” is no surface that this job paints/],
    [['--surface', one.id, '--coat', '9'], /--coat is “9”; this surface gets 2/],
    [['--pace', '3'], /usage/],
  ] as const)
    expect(run(['play', 'loft-bedroom.tape', ...words], example)).toMatchObject({
      code: 2,
      stdout: '',
      stderr: expect.stringMatching(sentence),
    });
});

test('takeoff', () => {
  const { rooms } = json<{
    rooms: {
      name: string;
      closure: object;
      walls: Record<string, number>[];
      lines: { kind: string }[];
      trim: { kind: string }[];
    }[];
  }>('takeoff');
  expect(Object.keys(rooms[0] ?? {})).toEqual([
    'name',
    'perimeter',
    'floorArea',
    'ceilingArea',
    'closure',
    'walls',
    'lines',
    'meetings',
    'trim',
    'surfaces',
    'warnings',
  ]);
  expect(Object.keys(rooms[0]?.closure ?? {})).toEqual(
    expect.arrayContaining(['misclosure', 'ratio', 'tolerance', 'withinTolerance', 'provisional']),
  );
  for (const wall of rooms[0]?.walls ?? [])
    expect((wall['gross'] ?? 0) - (wall['openings'] ?? 0)).toBeCloseTo(wall['net'] ?? -1, 12);
  for (const line of rooms[0]?.lines ?? []) expect(LINE_KINDS).toContain(line.kind);
  expect(rooms[0]?.trim.map((t) => t.kind)).toEqual(['baseboard', 'casing']);
});

test('takeoff of a walk with a foot too much: the class that explains it, and the diagonal that would tell', () => {
  const sheet = `units ft\nroom Box\nheight 8\nwall A 13'6 R\nwall B 10'4 R\nwall C 12'6 R\nwall D 10'4 R\n`;
  const out = run(['takeoff', 'box.tape'], () => sheet);
  const { closure, walls } =
    (
      JSON.parse(out.stdout) as {
        rooms: { closure: Record<string, unknown>; walls: { reading: number; adjusted: number }[] }[];
      }
    ).rooms[0] ?? {};
  expect(out.code).toBe(0);
  const [first] = closure?.['suspects'] as { walls: string[]; reading: number; slip: string; corrected: number }[];
  expect(first).toMatchObject({
    walls: ['A', 'C'],
    slip: 'foot',
    reading: expect.closeTo(13.5 * 0.3048, 9),
    corrected: expect.closeTo(12.5 * 0.3048, 9),
  });
  expect(SLIPS).toContain(first?.slip);
  expect(closure?.['tell']).toMatchObject({ from: 'A', to: 'C' });
  for (const wall of walls ?? []) expect(wall.adjusted).toBe(wall.reading);
});

test('specify: every member a published value with reasons', () => {
  type Member = { value: never; because: { rule: string; text: string }[] };
  const { surfaces } = json<{
    surfaces: {
      kind: string;
      area: number;
      system: Record<'prep' | 'primer' | 'sheen' | 'cover' | 'brush' | 'coats', Member>;
    }[];
  }>('specify');
  expect(surfaces.length).toBe(8);
  for (const { kind, system } of surfaces) {
    expect(SURFACE_KINDS).toContain(kind);
    const { prep, primer, sheen, cover, brush, coats } = system as unknown as Record<
      string,
      { value: Record<string, unknown> }
    >;
    expect(PREP_STEPS).toEqual(expect.arrayContaining(prep?.value as unknown as string[]));
    expect([PRIMER_KINDS, PRIMER_EXTENTS]).toEqual([
      expect.arrayContaining([primer?.value['kind']]),
      expect.arrayContaining([primer?.value['extent']]),
    ]);
    expect([SHEENS, PILES, FABRICS]).toEqual([
      expect.arrayContaining([sheen?.value]),
      expect.arrayContaining([cover?.value['pile']]),
      expect.arrayContaining([cover?.value['fabric']]),
    ]);
    expect([BRUSH_SHAPES, BRISTLES]).toEqual([
      expect.arrayContaining([brush?.value['shape']]),
      expect.arrayContaining([brush?.value['bristle']]),
    ]);
    expect(coats?.value).toBeGreaterThanOrEqual(1);
    for (const member of Object.values(system)) expect(member.because[0]?.text.length).toBeGreaterThan(5);
  }
});

test('order: money adds up, chances are chances', () => {
  const { paints, materials, labour, total } = json<{
    paints: {
      cost: number;
      cans: { size: number; count: number; price: number }[];
      shortfallChance: number;
      ordered: number;
    }[];
    materials: { item: string; cost: number }[];
    labour: { cost: number };
    total: number;
  }>('order');
  for (const p of paints) {
    expect(p.cans.reduce((s, c) => s + c.count * c.price, 0)).toBe(p.cost);
    expect(p.cans.reduce((s, c) => s + c.count * c.size, 0)).toBeCloseTo(p.ordered, 9);
    expect(p.shortfallChance).toBeLessThanOrEqual(0.05);
  }
  for (const m of materials) expect(MATERIALS).toContain(m.item);
  expect([...paints, ...materials, labour].reduce((s, l) => s + l.cost, 0)).toBe(total);
});

test('schedule: names, windows, lags', () => {
  const s = json<{
    crew: string[];
    workingTime: number[][];
    tasks: { operation: string; who: string[]; after: { task: string; because: string }[]; id: string }[];
    finish: number;
    bound: number;
  }>('schedule');
  const ids = s.tasks.map((t) => t.id);
  expect(new Set(ids).size).toBe(ids.length);
  for (const t of s.tasks) {
    expect(TASKS).toContain(t.operation);
    for (const lag of t.after) expect(lag.because).toMatch(/^\S.{8,}/);
    expect(s.crew).toEqual(expect.arrayContaining(t.who));
    expect(ids).toEqual(expect.arrayContaining(t.after.map((a) => a.task)));
  }
  expect([s.workingTime[0]?.[0], s.bound <= s.finish]).toEqual([0, true]);
});

test('work: every operation with its terms, set-up and clean-up of the plan’s days with them', () => {
  interface Listed {
    readonly id: string;
    readonly kind: string;
    readonly quantity: number;
    readonly minutes: number;
    readonly terms: { readonly value: number };
  }
  const { operations, minutes, byKind } = json<{
    operations: Listed[];
    minutes: number;
    byKind: Record<string, number>;
  }>('work');
  for (const op of operations) {
    expect(OPERATIONS).toContain(op.kind);
    expect(op.terms.value).toBe(op.minutes);
  }
  const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0);
  expect(sum(operations.map((op) => op.minutes))).toBeCloseTo(minutes, 9);
  expect(sum(Object.values(byKind))).toBeCloseTo(minutes, 9);
  const { personDays } = json<{ personDays: unknown[] }>('schedule');
  for (const kind of ['set-up', 'clean-up'])
    expect(operations.filter((op) => op.kind === kind)).toHaveLength(personDays.length);
  const { labour } = json<{ labour: { minutes: number; lines: { kind: string; minutes: number }[] } }>('order');
  const travel = labour.lines.find((l) => l.kind === 'travel')?.minutes ?? 0;
  expect(minutes + travel).toBeCloseTo(labour.minutes, 9);
});

test('every number is finite, in both examples', () => {
  for (const [file, verbs] of [
    ['loft-bedroom.tape', ['takeoff', 'work']],
    ['keepers-cottage.json', ['takeoff', 'specify', 'order', 'schedule']],
  ] as const)
    for (const verb of verbs) {
      const out = call(verb, file);
      expect([file, verb, out.code, out.stderr]).toEqual([file, verb, 0, out.stderr]);
      expect(finite(JSON.parse(out.stdout))).toBe(true);
    }
});

test('the demo job and its tape sheet measure the same', () => {
  expect(openJob(example('keepers-cottage.json')).ok).toBe(true);
  const areas = (file: string) =>
    (JSON.parse(call('takeoff', file).stdout) as { rooms: { floorArea: number; ceilingArea: number }[] }).rooms.map(
      (r) => [r.floorArea, r.ceilingArea],
    );
  expect(areas('keepers-cottage.tape')).toEqual(areas('keepers-cottage.json'));
});

test.each([
  [['paint', 'x.tape'], 'room R', /usage: .*takeoff\|specify\|order\|schedule\|lines\|play\|wetedge\|replay\|/],
  [['takeoff'], '', /usage/],
  [['takeoff', 'x.tape'], `units ft\nroom R\nwall A 12'14`, /^line 3, column 11: 14 inches/],
  [['takeoff', 'x.json'], '{"format":"kovelin-job","version":99}', /^version: This job was written by a newer Kovelin/],
  [['order', 'x.json'], '{"format"', /^line 1.*cut off/],
])('%j says what is wrong and prints nothing', (args, content, message) => {
  const out = run(args, () => content);
  expect([out.code, out.stdout]).toEqual([2, '']);
  expect(out.stderr).toMatch(message);
});

test('record, label, looks, touchup: what they print, and what is wrong with a call', () => {
  const file = 'loft-bedroom.tape';
  const { surfaces } = JSON.parse(call('record').stdout) as { surfaces: { id: string; layers: unknown[] }[] };
  expect(surfaces.every(({ layers }) => layers.length === 0)).toBe(true);
  const wall = surfaces.find(({ id }) => id.endsWith('/field'))?.id ?? '';
  const label = run(['label', file, '--surface', wall], example).stdout;
  expect(readLabel(label)).toMatchObject({ ok: true, value: { label: { ROOM: 'Loft bedroom', NOTE: 'as planned' } } });
  const spot = [
    'touchup',
    file,
    '--surface',
    wall,
    '--patches',
    '1',
    '--size',
    '0.02',
    '--batch',
    'same',
    '--cover',
    'same',
  ];
  const small = JSON.parse(run([...spot, '--age', '1'], example).stdout) as Record<string, number>;
  const old = JSON.parse(run([...spot, '--age', '20', '--sun', '6'], example).stdout) as Record<string, number>;
  expect(old['deltaE']).toBeGreaterThan(small['deltaE'] ?? 0);
  expect(finite([small, old])).toBe(true);
  const looks = JSON.parse(
    run(['looks', file, '--date', '2026-12-01', '--lat', '51.5', '--lon', '0'], example).stdout,
  ) as {
    place: { assumed: boolean };
    surfaces: { from: number; laid: number; again: number; stand: string }[];
  };
  expect(looks.place.assumed).toBe(false);
  for (const { from, laid, again, stand } of looks.surfaces)
    expect([Math.round(from - laid), Math.round(again - laid), stand.length > 10]).toEqual([120, 1440, true]);
  const wrong = (...args: string[]) => run(args, example).stderr;
  expect(wrong('label', file)).toMatch(/--surface is “left out”; the id of a surface/);
  expect(wrong('touchup', file, '--surface', wall)).toMatch(/How many places/);
  expect(wrong('touchup', file, '--surface', wall, '--patches', '1', '--size', 'big')).toMatch(
    /metres from 0.001 to 50 is accepted/,
  );
  expect(wrong('touchup', file, '--surface', wall, '--patches', '1', '--size', '1', '--batch', 'old')).toMatch(
    /same, other, unknown are accepted/,
  );
  expect(wrong('looks', file, '--date', '2026-02-31')).toMatch(/a day there is/);
  expect(wrong('looks', file, '--lat', '50')).toMatch(/go together/);
  expect(wrong('record', file, '--log', 'gone.jsonl')).toMatch(/gone.jsonl cannot be read/);
});

test('replay and schedule --log: what a log comes to, and what is wrong with one', () => {
  const [first] = (JSON.parse(call('schedule').stdout) as { tasks: { id: string; work: number; who: string[] }[] })
    .tasks;
  if (!first) throw new Error('nothing planned');
  const entry = (n: number, minutes: number, more: object) =>
    JSON.stringify({
      id: `a-${n}`,
      at: new Date(Date.parse('2026-12-01T13:00:00Z') + minutes * 60_000).toISOString(),
      seq: n,
      device: 'a',
      who: first.who[0],
      ...more,
    });
  const log = [
    entry(1, 20, { kind: 'start', operation: first.id }),
    entry(2, 20 + 2 * first.work, { kind: 'done', operation: first.id }),
    '{"kind":"lunch"}',
    '{"id":"a-3"',
  ].join('\n');
  const read = (path: string) => (path.endsWith('.jsonl') ? log : example(path));
  const replayed = run(['replay', 'loft-bedroom.tape', 'day.jsonl', '--now', '200'], read);
  const { actual, paces, aside } = JSON.parse(replayed.stdout) as {
    aside: string[];
    actual: { operation: string; minutes: number }[];
    paces: { m: number; own: number; mean: number; sd: number }[];
  };
  expect(actual).toEqual([{ operation: first.id, minutes: expect.closeTo(2 * first.work, 3) }]);
  expect(aside).toEqual([expect.stringMatching(/^Line 3: No entry of the kind “lunch”/)]);
  // one entry of half the pace, by the closed form at the starting values
  expect(paces[0]?.mean).toBeCloseTo(-Math.LN2 / 0.09 / (1 / 0.09 + 1 / 0.0625), 3);
  const planned = run(['schedule', 'loft-bedroom.tape', '--log', 'day.jsonl', '--now', '200'], read);
  const rest = JSON.parse(planned.stdout) as { done: string[]; tasks: { id: string; pieces: [number, number][] }[] };
  expect(rest.done).toEqual([first.id]);
  for (const task of rest.tasks) if (task.id !== first.id) expect(task.pieces[0]?.[0]).toBeGreaterThanOrEqual(200);
  const bad = (args: string[], text: string) => run(args, (path) => (path.endsWith('.jsonl') ? text : example(path)));
  for (const [args, text, message] of [
    [['replay', 'loft-bedroom.tape'], '', /usage/],
    [['schedule', 'loft-bedroom.tape', '--now', '5'], '', /--now goes with --log/],
    [['schedule', 'loft-bedroom.tape', '--log', 'x.jsonl', '--now', 'noon'], '', /--now is “noon”; minutes/],
    [['replay', 'loft-bedroom.tape', 'x.jsonl'], '{"kovelin":"log","job":"mill","name":"Mill"}', /another job, “Mill”/],
    [
      ['replay', 'loft-bedroom.tape', 'x.jsonl'],
      '{"kind":"lunch"}\n{}\n',
      /no log: no line of it is an entry. Line 1: No entry of the kind “lunch”/,
    ],
    [['replay', 'loft-bedroom.tape', 'x.jsonl'], 'noise\nnoise', /no log: .*Line 1: this is no JSON/],
  ] as const) {
    const out = bad([...args], text);
    expect([out.code, out.stdout]).toEqual([2, '']);
    expect(out.stderr).toMatch(message);
  }
});

test('a file that begins with the mark of its encoding is read like any other', () => {
  const marked = (name: string) => `\uFEFF${example(name)}`;
  for (const file of ['keepers-cottage.json', 'loft-bedroom.tape'])
    expect(run(['takeoff', file], marked)).toEqual(run(['takeoff', file], example));
});

describe('wetedge', () => {
  const wet = (...more: string[]) =>
    run(['wetedge', 'loft-bedroom.tape', '--room', 'loft bedroom', '--wall', 'a', ...more], example);
  const told = (...more: string[]) => JSON.parse(wet(...more).stdout) as Readonly<Record<string, number>>;
  test('tells the closed forms with the paces they come from, in the air that is asked for', () => {
    const {
      openTime = 0,
      cutPace = 0,
      rollPace = 0,
      turn = 0,
      length = 0,
      longestStretch,
      lead = 0,
      stripMinutes = 0,
    } = told('--air', '23,50,0.1', '--uniform');
    expect(longestStretch).toBeCloseTo(Math.min(length, Math.min(cutPace, rollPace) * (openTime - turn)), 9);
    expect(lead).toBeCloseTo(openTime - stripMinutes, 9);
    expect([told('--uniform')['lapChance'], told('--uniform')['haloChance']].every((p) => p === 0 || p === 1)).toBe(
      true,
    );
    expect(told('--air', '30,30%,0.5')['openTime']).toBeLessThan(openTime);
    expect(told('--people', '2')['role']).toBe('follow');
    expect(told('--air', '10,100')['openTime']).toBeNull();
  });
  test.each([
    [['--people', '3'], /--people is “3”; 1 and 2 are accepted/],
    [['--air', '20,120,0.1'], /--air is “20,120,0.1”; degrees Celsius from -20 to 60, humidity up to 100 %/],
    [['--air', 'warm'], /--air is “warm”/],
    [['--coat', '7'], /--coat is “7”; this surface gets \d, so 1 to \d is accepted/],
    [['--coat', '1.5'], /--coat is “1.5”/],
    [['--speed', '2'], /^usage/],
  ])('%j: code 2, nothing on stdout, a sentence', (more, message) => {
    const out = wet(...more);
    expect([out.code, out.stdout]).toEqual([2, '']);
    expect(out.stderr).toMatch(message);
  });
  test('rooms, walls and surfaces that are not there are told with those that are', () => {
    const of = (...more: string[]) => run(['wetedge', 'loft-bedroom.tape', ...more], example).stderr;
    expect(of()).toMatch(/Which room\? --room takes one of Loft bedroom/);
    expect(of('--room', 'attic')).toMatch(/There is no room “attic”/);
    expect(of('--room', 'Loft bedroom', '--wall', 'Z')).toMatch(
      /There is no wall “Z”\. --wall takes one of A, B, C, D, ceiling/,
    );
    expect(of('--surface', 'x/field')).toMatch(/“x\/field” is no surface that this job paints/);
  });
});
