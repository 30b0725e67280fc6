import { personOf } from '../job/crew.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { runs } from '../testing/runs.ts';
import highsLoader from 'highs';
import { readAny } from '../exchange/read.ts';
import { applyEdit, type Edit } from '../job/edits.ts';
import type { Job } from '../job/types.ts';
import { hourlyOf } from '../paces/prices.ts';
import { FOOT } from '../units/si.ts';
import { said } from '../units/word.ts';
import { orderedByMilp } from '../testing/linear-order.ts';
import { wholeOf } from '../whole/whole.ts';
import { roomLines } from '../work/operations.ts';
import { linesIn } from './line.ts';
import { schoolOrders, type MadeLine } from './lines.ts';
import { optionOf, stepsOf } from './methods.ts';
import { cheapestOrder, circleOf, costOf, type Arc } from './order.ts';
import { circleSentence, lineSentence, linesAlike } from './say.ts';
import { at } from '../units/list.ts';

type Costs = number[][];
const none = undefined;
const costsOf = (n: number) =>
  fc.array(fc.array(fc.integer({ min: 0, max: 40 }), { minLength: n, maxLength: n }), { minLength: n, maxLength: n });
/** Arcs that follow some order, so that they run in no circle. */
const arcsOf = (n: number) =>
  fc
    .array(fc.tuple(fc.nat(n - 1), fc.nat(n - 1)), { maxLength: 3 })
    .map((pairs) =>
      pairs
        .filter(([a, b]) => a !== b)
        .map(([a, b]): Arc => ({ before: Math.min(a, b), after: Math.max(a, b), because: none })),
    );
const room = fc.integer({ min: 2, max: 8 }).chain((n) => fc.tuple(costsOf(n), arcsOf(n)));
function permutations(list: readonly number[]): number[][] {
  if (list.length < 2) return [[...list]];
  return list.flatMap((one) => permutations(list.filter((x) => x !== one)).map((rest) => [one, ...rest]));
}
const keeps = (order: readonly number[], arcs: readonly Arc[]) =>
  arcs.every(({ before, after }) => order.indexOf(before) < order.indexOf(after));

describe('the least-cost acyclic order', () => {
  test('is that of every permutation tried (up to 8 finishes, with arcs that must be kept)', () => {
    fc.assert(
      fc.property(room, ([costs, arcs]) => {
        const { order, cost, gap } = cheapestOrder(costs, arcs);
        const all = permutations(costs.map((_, i) => i)).filter((p) => keeps(p, arcs));
        expect(keeps(order, arcs)).toBe(true);
        expect([...order].sort((a, b) => a - b)).toEqual(costs.map((_, i) => i));
        expect([cost, gap]).toEqual([Math.min(...all.map((p) => costOf(costs, p))), 0]);
      }),
      runs(20),
    );
  });
  // linear ordering as 0/1 variables with every triangle forbidden to turn in a circle; HiGHS, a general MILP solver
  test('costs what HiGHS finds for 12 to 14 finishes; above 18 its gap is told, and bounds what is missing', async () => {
    const highs = await highsLoader();
    let seed = 11;
    const random = () => (seed = (seed * 48271) % 2147483647) / 2147483647;
    const made = (n: number): Costs =>
      Array.from({ length: n }, () => Array.from({ length: n }, () => Math.floor(random() * 30)));
    for (const n of [12, 13, 14]) {
      const costs = made(n);
      expect(cheapestOrder(costs, []).cost).toBeCloseTo(orderedByMilp(highs, costs), 6);
    }
    const many = cheapestOrder(made(20), []);
    expect(new Set(many.order).size).toBe(20);
    expect(many.gap).toBeGreaterThanOrEqual(0);
    expect(many.gap).toBeLessThan(1);
  });
  test('arcs in a circle are found as that circle, opposite ones on a pair among them; others are in none', () => {
    const arc = (before: number, after: number): Arc<string> => ({ before, after, because: `${before}${after}` });
    const said = (arcs: readonly Arc<string>[]) => circleOf(arcs)?.map((a) => a.because) ?? null;
    expect(said([arc(0, 1), arc(1, 2), arc(0, 2)])).toBeNull();
    expect(said([arc(3, 0), arc(0, 1), arc(1, 2), arc(2, 0)])).toEqual(['01', '12', '20']);
    expect(said([arc(0, 1), arc(1, 0)])).toEqual(['01', '10']);
  });
});
const SHEET = `units ft
room Bedroom
height 8
wall A 12 R
wall B 10 R
wall C 12 R
wall D 10 R
door d on A 2'6 x 6'8 at 3 casing 2 1/2"
window w on C 4 x 4 at 3 sill 3
trim baseboard 6"
trim picture-rail 2" at 6'6
tile t on D 3 x 2 at 2 sill 3
`;
const jobOf = (...edits: Edit[]): Job => {
  const read = readAny(SHEET, 'Bedroom');
  if (!read.ok) throw new Error(read.problems[0]?.message);
  return edits.reduce((job, edit) => {
    const done = applyEdit(job, edit);
    if (!done.ok) throw new Error(done.problems[0]?.message);
    return done.value.job;
  }, read.value.job);
};
const bedroom = Object.values(jobOf().rooms.byId)[0];
const id = bedroom?.id ?? '';
const walls = bedroom?.walls.order ?? [];
const field = (i: number) => `${walls[i]}/field`;
const deep: Edit[] = [
  { name: 'setColour', args: { colour: { id: 'deep', name: 'deep blue', hex: '#22394f' } } },
  { name: 'setFinish', args: { scope: field(1), finish: { product: 'paint-wall', colour: 'deep' } } },
  { name: 'setPractice', args: { set: { trimOrder: 'cheapest' } } },
];
const practice = (set: Partial<Job['practice']>): Edit => ({ name: 'setPractice', args: { set } });
const line = (key: string, set: Partial<Job['lines'][string]>): Edit => ({ name: 'setLine', args: { key, set } });
const survey = (scope: string, set: Partial<Job['survey'][string]>): Edit => ({
  name: 'setSurvey',
  args: { scope, set },
});
function made(...edits: Edit[]) {
  const job = jobOf(...edits);
  const whole = wholeOf(job);
  const [takeoff] = whole.takeoffs as [(typeof whole.takeoffs)[number]];
  return { job, takeoff, surfaces: whole.surfaces, lines: roomLines(job, takeoff, whole.surfaces) };
}
/** The line between two surfaces, by parts of their ids. */
const between = ({ lines }: ReturnType<typeof made>, kind: string, ...parts: string[]): MadeLine => {
  const found = lines.lines.find(({ line: l }) => l.kind === kind && parts.every((part) => l.id.includes(part)));
  if (!found) throw new Error(`no ${kind} of ${parts.join()}`);
  return found;
};
/** Id of the side that is laid first. */
const first = ({ line: l, chosen }: MadeLine) => l.sides[chosen.first].id;
const methods = (m: MadeLine) => new Set(m.options.map((o) => o.method));
const best = (m: MadeLine, side: string, method?: string) =>
  m.options.find((o) => m.line.sides[o.first].id === side && (!method || o.method === method));

describe('lines of a room', () => {
  test('law: lines, same finishes and unpainted sides are all its meetings; by kind their lengths are the takeoff’s', () => {
    const { job, takeoff, surfaces } = made(...deep);
    const byId = new Map(surfaces.map((s) => [s.surface.id, s]));
    const lines = linesIn(job, takeoff, byId);
    const ids = new Set(lines.map((l) => l.id));
    for (const meeting of takeoff.meetings) {
      const [a, b] = [byId.get(meeting.a), byId.get(meeting.b)];
      const same = a && b && a.product === b.product && a.colour === b.colour && a.sheen === b.sheen;
      expect([meeting.id, ids.has(meeting.id)]).toEqual([meeting.id, Boolean((a ?? b) && !same)]);
    }
    for (const { kind, length } of takeoff.lines) {
      const own = takeoff.meetings.filter((m) => m.kind === kind);
      const [lined, rest] = [own.filter((m) => ids.has(m.id)), own.filter((m) => !ids.has(m.id))];
      const sum = (list: typeof own) => list.reduce((all, m) => all + m.length, 0);
      expect(sum(lined) + sum(rest)).toBeCloseTo(length.value, 9);
    }
    // two corners of the accent, by hand
    expect(lines.filter((l) => l.kind === 'corner').map((l) => l.length / FOOT)).toEqual(
      [8, 8].map((h) => expect.closeTo(h, 6)),
    );
  });
  test('chosen costs are the cost; every line between two finishes goes the way of their order; no school is cheaper than none', () => {
    const { job, takeoff, surfaces, lines } = made(...deep);
    expect(lines.lines.reduce((sum, { chosen }) => sum + chosen.cost, 0)).toBeCloseTo(lines.cost, 6);
    for (const { line: l, chosen } of lines.lines) {
      const [a, b] = [l.sides[chosen.first].finish, l.sides[1 - chosen.first]?.finish];
      if (a && b) expect(lines.order.indexOf(a)).toBeLessThan(lines.order.indexOf(b ?? ''));
    }
    const schools = schoolOrders(job, takeoff, surfaces);
    const free = schools.find((s) => s.school === 'cheapest');
    for (const school of schools) expect(school.cost).toBeGreaterThanOrEqual((free?.cost ?? 0) - 1e-6);
    expect(schools.map((s) => s.school)).toContain('accent-laps-out');
  });
  test('ways worked out for a metre and shared are those of the line itself; a line’s operations are the steps of the way that was taken', () => {
    const { job, lines } = made(...deep, line('corner', { method: 'tape-sealed' }));
    const { operations } = wholeOf(job);
    for (const { line: l, options, chosen } of lines.lines) {
      for (const { minutes, spoilt, cost, tape, ...way } of options) {
        const own = optionOf(job, l, way, hourlyOf(job) / 60);
        expect([own.minutes - minutes, own.spoilt - spoilt, own.cost - cost].every((d) => Math.abs(d) < 1e-9)).toBe(
          true,
        );
        expect([own.tape, own.because]).toEqual([tape, way.because]);
        const steps = stepsOf(job, l, way);
        expect(steps.reduce((sum, s) => sum + s.minutes.value, 0)).toBeCloseTo(minutes, 9);
      }
      const own = operations.filter((op) => op.line === l.id);
      expect(own.reduce((sum, op) => sum + op.minutes.value, 0)).toBeCloseTo(chosen.minutes, 9);
    }
    const taped = operations.filter((op) => op.line?.startsWith('corner'));
    expect(new Set(taped.map((op) => op.kind))).toEqual(new Set(['lap', 'cut', 'mask', 'seal-tape', 'unmask']));
  });
});

/** What a painter signs: each a named check. [common practice, no source] */
describe('who laps over whom', () => {
  test('the ceiling laps down and the wall is cut to it, for a ceiling cut overhead against a finished wall is hard to keep straight', () => {
    const top = between(made(...deep), 'wall-ceiling', field(0));
    expect(first(top)).toBe(`${id}/ceiling`);
    expect(top.because.map((r) => r.rule)).toContain('line.cheaper');
    expect(top.because).toContainEqual({ rule: 'line.other-way', with: { reason: 'overhead' } });
  });
  test('an accent: its off-hand side is harder freehand, for a left hand the other one; with a hand for each neither is', () => {
    const side = (i: number, hands: ('left' | 'right')[]) => {
      const people = hands.map((hand, n) => personOf({ id: `p${n}`, name: 'P', day: 30_000, hand }));
      const m = made(...deep, { name: 'setCrew', args: { set: { people } } });
      // the accent is wall 1: it ends at its corner with wall 2, at its right
      return best(between(m, 'corner', field(1), field(i)), field(i), 'freehand')?.because.includes('off-hand');
    };
    expect([side(0, ['right']), side(2, ['right'])]).toEqual([true, false]);
    expect([side(0, ['left']), side(2, ['left'])]).toEqual([false, true]);
    expect([side(0, ['left', 'right']), side(2, ['left', 'right'])]).toEqual([false, false]);
  });
  test('accent first: the ceiling laps onto it, it laps round its corners, its own ceiling line is taped and caulked, others freehand', () => {
    const m = made(...deep, practice({ accent: 'laps-out' }));
    expect(first(between(m, 'wall-ceiling', field(1)))).toBe(`${id}/ceiling`);
    for (const i of [0, 2]) expect(first(between(m, 'corner', field(1), field(i)))).toBe(field(1));
    expect(between(m, 'wall-ceiling', field(1)).chosen.method).toBe('tape-caulked');
    for (const i of [0, 2, 3]) expect(between(m, 'wall-ceiling', field(i)).chosen.method).toBe('freehand');
  });
  test('accent last: its neighbours and the ceiling lap onto it; asked which wall is the focal one, “none” makes none', () => {
    const m = made(...deep, practice({ accent: 'cut-last' }));
    for (const i of [0, 2]) expect(first(between(m, 'corner', field(1), field(i)))).toBe(field(i));
    expect(m.lines.accent).toMatchObject({ walls: [field(1)], assumed: true });
    const said = made(...deep, { name: 'setRoom', args: { room: id, set: { focal: at(walls, 1) } } });
    expect(said.lines.accent).toMatchObject({ assumed: false });
    expect(made(...deep, { name: 'setRoom', args: { room: id, set: { focal: 'none' } } }).lines.accent).toBeNull();
  });
  test('schools of trim: first it laps onto walls, last it is cut to them; in a day ceilings come before walls, deep before light', () => {
    const trim = `${id}/baseboard`;
    expect(first(between(made(practice({ trimOrder: 'trim-first' })), 'wall-baseboard', field(0)))).toBe(trim);
    expect(first(between(made(practice({ trimOrder: 'trim-last' })), 'wall-baseboard', field(0)))).toBe(field(0));
    const { order } = made(...deep, practice({ trimOrder: 'one-day' })).lines;
    expect(order.map((f) => f.split('|').slice(-2)[0])).toEqual([
      'colour-ceiling',
      'deep',
      'colour-wall',
      'colour-trim',
    ]);
  });
  test('light over a deep lap has more to hide; a slip of deep on light is likelier to be put right', () => {
    const corner = between(made(...deep), 'corner', field(0), field(1));
    expect(best(corner, field(1), 'freehand')?.because).toContain('light-over-deep');
    expect(best(corner, field(0), 'freehand')?.because).toContain('deep-on-light');
    expect(best(corner, field(0), 'freehand')?.spoilt).toBeGreaterThan(best(corner, field(1), 'freehand')?.spoilt ?? 0);
  });
});

describe('how a line is made [common practice, no source]', () => {
  const corner = (...edits: Edit[]) => between(made(...deep, ...edits), 'corner', field(1), field(2));
  test('a wavy corner wants tape, straight to the eye, or sanding and a bead; a straight one is cut by hand', () => {
    expect(corner().chosen.method).toBe('freehand');
    const wavy = corner(line(corner().line.id, { wavy: true }));
    expect(wavy.chosen.method).toMatch(/^tape/);
    expect(wavy.because).toContainEqual({ rule: 'line.here', with: { reason: 'wavy' } });
    expect([methods(corner()).has('straightened'), methods(wavy).has('straightened')]).toEqual([false, true]);
    const beaded = made(...deep, line(corner().line.id, { wavy: true, method: 'straightened' }));
    const { steps, chosen } = between(beaded, 'corner', field(1), field(2));
    expect(steps.map((s) => s.kind)).toContain('straighten');
    expect(chosen.because).not.toContain('wavy');
    const dry = wholeOf(beaded.job).operations.find((op) => op.kind === 'straighten');
    expect(dry?.quantity).toBeCloseTo(chosen.tape?.length ?? corner().line.length, 9);
  });
  test('on rough walls tape that is not caulked bleeds: caulked is the cheapest of tapes, with the better tape; on smooth it is not', () => {
    const rough = corner(survey('all:wall', { texture: 'rough-plaster' }));
    const cheapest = (m: MadeLine) => m.options.find((o) => o.method.startsWith('tape'));
    expect(cheapest(rough)).toMatchObject({ method: 'tape-caulked', tape: { item: 'tape-fine' } });
    expect(cheapest(corner())).toMatchObject({ tape: { item: 'tape' } });
    expect(cheapest(corner())?.method).not.toBe('tape-caulked');
  });
  test('stucco right into the corner is easier freehand than smooth', () => {
    const into = (m: MadeLine) => best(m, field(1), 'freehand')?.minutes ?? 0;
    expect(into(corner(survey('all:wall', { texture: 'deep-stucco' })))).toBeLessThan(into(corner()));
  });
  test('popcorn is kept clear of by a hair, by brush: no tape at all', () => {
    const top = between(made(survey('all:ceiling', { texture: 'popcorn' })), 'wall-ceiling', field(0));
    expect(methods(top)).toEqual(new Set(['freehand']));
    expect(top.chosen.because).toContain('popcorn');
  });
  test('a line that trim hides later is cut rough, by hand', () => {
    const read = readAny(`${SHEET}trim crown 4" later\n`, 'Bedroom');
    const whole = wholeOf((read.ok && read.value.job) as Job);
    const job = (read.ok && read.value.job) as Job;
    const lines = roomLines(job, whole.takeoffs[0] as never, whole.surfaces);
    const crown = lines.lines.find(({ line: l }) => l.kind === 'wall-crown');
    expect([crown?.chosen.method, crown?.chosen.spoilt, crown?.line.hidden]).toEqual(['freehand', 0, true]);
  });
  test('a shield where only the floor is at stake; the top of finished trim is covered against spatter, unsealed', () => {
    const m = made(practice({ trimOrder: 'trim-first' }));
    const floor = between(m, 'baseboard-floor', `${id}/baseboard`);
    expect(floor.chosen.method).toBe('shield');
    const kinds = between(m, 'wall-baseboard', field(0)).steps.map((s) => s.kind);
    expect(kinds).toContain('spatter');
    expect(kinds).not.toContain('seal-tape');
  });
  test('tile and other things not painted are there first: the wall is cut to them', () => {
    const tile = between(made(), 'cover', field(3));
    expect(tile.line.sides[tile.chosen.first].s).toBeNull();
    expect(tile.because.map((r) => r.rule)).toContain('line.there');
  });
  test('burnished tape is for a first coat, and later ones are cut inside it; sealed tape lies for the last; one can be told otherwise', () => {
    const taped = (method: 'tape' | 'tape-sealed', stays?: 'all') =>
      corner(line('corner', { method, ...(stays ? { stays } : {}) }));
    const factors = (o: MadeLine) =>
      o.steps
        .filter((s) => s.kind === 'cut')
        .map((s) => s.factors.map((f) => f.name).filter((n) => n !== 'a later coat'));
    expect([taped('tape').chosen.stays, factors(taped('tape'))]).toEqual([
      'first',
      [['against tape'], ['inside the taped line']],
    ]);
    expect([taped('tape-sealed').chosen.stays, factors(taped('tape-sealed'))]).toEqual([
      'last',
      [['stops short of the line'], ['against tape']],
    ]);
    expect(taped('tape-sealed', 'all').steps.find((s) => s.kind === 'mask')?.coat).toBe(1);
  });
  test('one school caulks every edge; a wrap-round roller where the wall is dull, for its stipple laps onto it', () => {
    expect([...methods(corner(practice({ tape: 'caulk-all' })))].filter((m) => m.startsWith('tape'))).toEqual([
      'tape-caulked',
    ]);
    const top = (sheen: 'matte' | 'satin') =>
      methods(
        between(
          made({ name: 'decide', args: { surface: field(0), member: 'sheen', value: sheen } }),
          'wall-ceiling',
          field(0),
        ),
      );
    expect([top('matte').has('wrap'), top('satin').has('wrap')]).toEqual([true, false]);
  });
});

describe('pins', () => {
  test('a pinned side is first whatever it costs, and costs no less; a pinned method is taken', () => {
    const free = made(...deep);
    const l = between(free, 'corner', field(1), field(2)).line;
    for (const side of [field(1), field(2)]) {
      const pinned = made(...deep, line(l.id, { first: side, method: 'tape-caulked' }));
      const m = between(pinned, 'corner', field(1), field(2));
      expect([first(m), m.chosen.method, m.pinned]).toEqual([side, 'tape-caulked', true]);
      expect(pinned.lines.cost).toBeGreaterThanOrEqual(free.lines.cost - 1e-6);
    }
  });
  test('pins in a circle are shown as that circle, and left out of account; a finish that is nowhere is lost', () => {
    const [a, b, c] = made(...deep).lines.order as [string, string, string];
    const pins = (list: readonly [string, string][]) =>
      made(...deep, { name: 'pinOrder', args: { room: id, pins: list.map(([before, after]) => ({ before, after })) } });
    expect(
      pins([
        [c, b],
        [b, a],
      ]).lines.order.slice(0, 3),
    ).toEqual([c, b, a]);
    const circle = pins([
      [a, b],
      [b, c],
      [c, a],
    ]);
    expect(circle.lines.circle).toHaveLength(3);
    expect(circle.lines.order).toEqual(made(...deep).lines.order);
    expect(said(circleSentence(circle.lines, circle.takeoff) ?? '', 'imperial')).toMatch(
      /run in a circle.*before.*take one/,
    );
    expect(pins([['nowhere', a]]).lines.lost).toEqual([{ before: 'nowhere', after: a }]);
  });
  test('what a line wants is a sentence: who laps, how far, then how the other is cut and at which side', () => {
    const m = made(...deep);
    const text = said(lineSentence(between(m, 'corner', field(0), field(1)), m.takeoff), 'imperial');
    expect(text).toMatch(
      /^Wall A to wall B: .+ laps 1⁄2″ round the corner first; cut .+ freehand, its (left|right) side$/,
    );
    // each way by its own word
    const words = { 'tape-sealed': 'sealed', 'tape-caulked': 'caulked', tape: 'burnished', edger: 'edger' } as const;
    const corner = between(m, 'corner', field(1), field(2)).line;
    for (const [method, word] of Object.entries(words)) {
      const other = made(...deep, line(corner.id, { first: field(1), method: method as keyof typeof words }));
      expect(said(lineSentence(between(other, 'corner', field(1), field(2)), other.takeoff), 'imperial')).toContain(
        word,
      );
    }
  });
  test('law: on paper lines made alike are one sentence, and their lengths add up', () => {
    const { lines, takeoff } = made(...deep);
    const alike = linesAlike(lines.lines, takeoff);
    const sum = (of: readonly { readonly length: number }[]) => of.reduce((all, { length }) => all + length, 0);
    expect(sum(alike)).toBeCloseTo(sum(lines.lines.map(({ line }) => line)), 9);
    expect(alike.length).toBeLessThan(lines.lines.length);
    expect(said(alike.find(({ kind }) => kind === 'wall-ceiling')?.says ?? '', 'metric')).toMatch(
      /^.*walls? .* to ceiling: /i,
    );
  });
  test('a wall that is all opening, and one behind tile, have lines without trouble', () => {
    const sheet = `units ft\nroom R\nheight 8\nwall A 6 R\nwall B 6 R\nwall C 6 R\nwall D 6 R\nopening o on A 6 x 8 at 0\ntile t on B 6 x 8 at 0\n`;
    const read = readAny(sheet, 'R');
    if (!read.ok) throw new Error(read.problems[0]?.message);
    const whole = wholeOf(read.value.job);
    const { lines, cost } = roomLines(read.value.job, whole.takeoffs[0] as never, whole.surfaces);
    expect(lines.length).toBeGreaterThan(0);
    expect(Number.isFinite(cost)).toBe(true);
  });
});
