import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { runs } from '../testing/runs.ts';
import { orderContract, scheduleContract } from '../exchange/contracts.ts';
import {
  CAUSES,
  DEFECTS,
  REMEDIES,
  SIGNS,
  type Defect,
  type DefectKind,
  type RemedyKind,
  type SignAnswers,
} from '../job/recorded.ts';
import type { Job } from '../job/types.ts';
import type { JobSchedule } from '../sequence/schedule.ts';
import { writer } from '../testing/site-log.ts';
import { bedroom, BASEBOARD, DOOR, edited } from '../testing/jobs.ts';
import { faultsOf, type CheckedPlan } from '../testing/plan-faults.ts';
import { defectViews, factsOf as siteFacts, lookedOver } from '../whole/inspect.ts';
import { logFrom } from '../whole/record.ts';
import { baseOrder, basePlan } from '../whole/plan.ts';
import { networkOn, stateOf } from '../whole/site.ts';
import { wholeOf } from '../whole/whole.ts';
import { CAUSE, DEFECT, FACT, SIGN } from '../words/found.ts';
import { REMEDY_STEPS } from '../work/remedies.ts';
import { compare, NO_FACTS, REMEDIES_FOR, type Facts } from './compare.ts';

const SILENT: Facts = { ...NO_FACTS, taped: true };

/** What a painter would say of each [common practice, no source]. */
const CASES: readonly (readonly [kind: DefectKind, answers: SignAnswers, facts: Partial<Facts>, cause: string])[] = [
  ['lap', { where: 'strip-edges', feel: 'raised' }, { pause: 14, open: 7 }, 'edge-set'],
  ['lap', { again: 'yes', since: 'drying', paused: 'no' }, { pause: 0, open: 7 }, 'gone-back'],
  ['orange-peel', {}, {}, 'wrong-cover'],
  ['orange-peel', { cover: 'other', where: 'all-over' }, {}, 'wrong-cover'],
  ['lint', { cover: 'unwashed' }, {}, 'dirty-cover'],
  ['tracks', { where: 'strip-edges', feel: 'raised', cover: 'as-said' }, {}, 'pressed'],
  ['flashing', { where: 'patches' }, { patched: true }, 'thirsty-ground'],
  ['halo', { where: 'cut-band' }, { cutAge: 40, open: 8 }, 'brush-band'],
  ['cissing', { since: 'wet', where: 'spots' }, {}, 'grease'],
  ['filler-lifted', { since: 'wet' }, { early: 30 }, 'too-early'],
  ['tape-bleed', { where: 'tape' }, {}, 'tape-open'],
  ['torn-edge', { where: 'tape' }, { pulledLate: true }, 'tape-late'],
  ['shade', { where: 'can-change' }, { batches: 2, boxed: false }, 'unboxed'],
  ['poor-hiding', { where: 'all-over', cover: 'as-said', from: 'front' }, { coatsLeft: 1 }, 'few-coats'],
  ['bleeding', { since: 'days', where: 'spots' }, { stained: true }, 'stain'],
  ['blocking', { where: 'joint' }, { moves: true }, 'closed-early'],
  ['wavy-edge', {}, { taped: false }, 'unsteady-hand'],
  ['run', { feel: 'raised' }, {}, 'too-much'],
  ['blistering', { feel: 'hollow', since: 'days' }, { damp: true }, 'damp-ground'],
  ['flaking', { feel: 'hollow' }, { weak: true }, 'weak-ground'],
];
test.each(CASES)('%s, %j, the log: %j -> %s', (kind, answers, facts, cause) => {
  const found = compare(kind, answers, { ...SILENT, ...facts });
  expect(found.ranked[0]?.cause).toBe(cause);
  for (const { evidence } of found.ranked)
    for (const { key } of evidence) {
      const [sign = '', answer = ''] = key.split('.');
      expect(key.includes('.') ? SIGN[sign as keyof typeof SIGN].answers[answer] : FACT[key]?.(1)).toBeTruthy();
    }
});

describe('laws of the comparison', () => {
  const answers = fc.record(
    Object.fromEntries(Object.entries(SIGNS).map(([sign, all]) => [sign, fc.constantFrom(...all)])),
    { requiredKeys: [] },
  ) as fc.Arbitrary<SignAnswers>;

  test('shares add to one; what stands out is first; unknown stays unknown; nothing is asked twice', () => {
    fc.assert(
      fc.property(fc.constantFrom(...DEFECTS), answers, (kind, said) => {
        const { ranked, likeliest, ask } = compare(kind, said, SILENT);
        expect(ranked.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
        expect(ranked).toHaveLength(CAUSES.length + 1);
        const [first = 0, second = 0] = ranked.map(({ share }) => share);
        // named is what one would bet on: likelier than a third, and by half again as likely as the next
        if (likeliest) expect([ranked[0]?.cause, first > 1 / 3, first > 1.5 * second]).toEqual([likeliest, true, true]);
        if (ask) expect(said[ask]).toBeUndefined();
      }),
    );
    // nothing is known and nothing was said: the cover is the likeliest, and no cause is named
    const nothing = compare('unknown', {}, SILENT);
    expect([nothing.ranked[0]?.cause, nothing.likeliest]).toEqual(['wrong-cover', null]);
    // the wrong pile speaks for the wrong cover, and for nothing else
    const piled = compare('tracks', {}, { ...SILENT, otherPile: true }).ranked;
    const by = (of: typeof piled) => of.flatMap(({ cause, evidence }) => evidence.map(({ key }) => `${cause} ${key}`));
    expect(by(piled).sort()).toEqual([...by(compare('tracks', {}, SILENT).ranked), 'wrong-cover pile'].sort());
    // odds multiply: the ratio of two causes changes by just what an answer weighs for them
    const odds = (said: SignAnswers) => {
      const { ranked } = compare('lap', said, SILENT);
      const of = (cause: string) => ranked.find((one) => one.cause === cause)?.share ?? 0;
      return of('edge-set') / of('wrong-cover');
    };
    expect(odds({ paused: 'yes' }) / odds({})).toBeCloseTo(4, 9);
  });
  test('every defect has its words, and every remedy its steps and a defect that it mends', () => {
    for (const kind of DEFECTS) expect(DEFECT[kind].looks).toBeTruthy();
    for (const cause of CAUSES) expect(CAUSE[cause].avoid).toBeTruthy();
    const used = new Set(Object.values(REMEDIES_FOR).flat());
    expect(REMEDIES.filter((one) => !used.has(one) || !REMEDY_STEPS[one].length)).toEqual([]);
    expect(DEFECTS.filter((kind) => kind !== 'unknown' && !REMEDIES_FOR[kind].length)).toEqual([]);
  });
});

const plain: Job = bedroom(`${DOOR}${BASEBOARD}`);
const wall = `${Object.values(plain.rooms.byId)[0]?.walls.order[1]}/field`;
const defect = (remedy: RemedyKind | null, more: Partial<Defect> = {}): Defect => ({
  id: 'd1',
  surface: wall,
  at: { x: 1, y: 1 },
  size: 0.3,
  kind: 'lap',
  seen: '2026-12-02',
  by: '',
  coat: null,
  signs: {},
  cause: null,
  remedy,
  state: 'open',
  note: '',
  ...more,
});
const withDefects = (...defects: Defect[]): Job =>
  edited(plain, ...defects.map((one) => ({ name: 'addDefect' as const, args: { defect: one } })));

/** As the file has it, held by what shares no code with the solver. */
const faults = (job: Job, plan: JobSchedule): string[] =>
  faultsOf(JSON.parse(JSON.stringify(scheduleContract(job, plan))) as CheckedPlan);

describe('a remedy becomes work, and the plan is made anew', () => {
  const mends = (job: Job) => networkOn(job).network.tasks.filter(({ kind }) => kind === 'mend');
  test('lap ridge: 220, then a coat corner to corner, after the look and each dry; its minutes and materials are in the price', () => {
    const job = withDefects(defect('ridge-corner'));
    const operations = wholeOf(job).operations.filter(({ kind }) => kind.startsWith('mend'));
    expect(operations.map(({ kind, coat }) => [kind, coat])).toEqual([
      ['mend-sand', 1],
      ['mend-coat', 2],
    ]);
    const s = wholeOf(job).surfaces.find(({ surface }) => surface.id === wall);
    expect(operations[1]?.quantity).toBeCloseTo(s?.surface.area.value ?? -1, 9);
    const plan = basePlan(job);
    const at = (id: string) => plan.placed.find(({ task }) => task.id === id)?.pieces ?? [];
    const room = s?.surface.room ?? '';
    const [look, sand, coat, touch] = [`${room}:look`, `${wall}:mend1`, `${wall}:mend2`, `${room}:touch-up`].map(at);
    expect(sand?.[0]?.[0]).toBeGreaterThanOrEqual(look?.at(-1)?.[1] ?? Infinity);
    expect(coat?.[0]?.[0]).toBeGreaterThanOrEqual(sand?.at(-1)?.[1] ?? Infinity);
    expect((touch?.[0]?.[0] ?? 0) - (coat?.at(-1)?.[1] ?? 0)).toBeGreaterThanOrEqual((s?.product.recoat ?? 1e9) - 1e-6);
    expect(faults(job, plan)).toEqual([]);
    const [before, after] = [baseOrder(plain), baseOrder(job)];
    expect(after.price.total).toBeGreaterThan(before.price.total);
    const covers = (order: typeof after) =>
      order.materials.filter(({ item }) => item === 'cover').reduce((n, m) => n + m.wanted, 0);
    expect(covers(after)).toBe(covers(before) + 1);
    expect(after.materials.some(({ item, size }) => item === 'abrasive' && size.grit === 220)).toBe(true);
  });
  test('seen on the first coat: mended when that is dry and before the second, which hides it; nothing waits for the look', () => {
    const job = withDefects(
      defect('ridge-corner', { coat: 1 }),
      defect('filler-again', { id: 'd2', kind: 'filler-lifted', coat: 1 }),
    );
    expect(mends(job).map(({ coat, operations }) => [coat, operations.map(({ kind }) => kind)])).toEqual([
      [1, ['mend-sand', 'mend-fill']],
      [2, ['mend-sand']],
      [3, ['mend-prime']],
      [4, ['mend-spot']],
    ]);
    const plan = basePlan(job);
    const pieces = (id: string) => plan.placed.find(({ task }) => task.id === id)?.pieces ?? [];
    const second = plan.placed.find(({ task }) => task.surface === wall && task.kind === 'wet');
    expect(pieces(`${wall}:mend1`)[0]?.[0]).toBeGreaterThanOrEqual(
      (pieces(`${wall}:roll1`).at(-1)?.[1] ?? Infinity) + 120 - 1e-6,
    );
    expect(pieces(`${wall}:mend4`).at(-1)?.[1]).toBeLessThanOrEqual(second?.pieces[0]?.[0] ?? 0);
    expect(faults(job, plan)).toEqual([]);
  });
  test('law: any defects on any surfaces with any remedies leave a plan that holds', () => {
    const surfaces = wholeOf(plain).surfaces.map(({ surface }) => surface.id);
    const any = fc.record({
      surface: fc.constantFrom(...surfaces),
      remedy: fc.constantFrom(...REMEDIES),
      size: fc.double({ min: 0.01, max: 3, noNaN: true }),
      coat: fc.option(fc.integer({ min: 1, max: 3 })),
    });
    fc.assert(
      fc.property(fc.array(any, { minLength: 1, maxLength: 4 }), (list) => {
        const job = withDefects(...list.map((own, i) => defect(own.remedy, { ...own, id: `d${i}` })));
        const plan = basePlan(job);
        expect(plan.problems).toEqual([]);
        expect(faults(job, plan)).toEqual([]);
      }),
      runs(4),
    );
  });
  test('law: what remedies take is ordered with the paint of the surface: places by their size, a surface coated again once', () => {
    const usesOf = (job: Job) =>
      wholeOf(job).paints.flatMap(({ product, uses }) => uses.map((use) => ({ ...use, role: product.role })));
    const mending = (job: Job, role: string, spots: boolean) =>
      usesOf(job).flatMap((use) =>
        use.layer === 'mending' && use.role === role && use.spots === spots ? [use.litres.value] : [],
      );
    const sum = (list: readonly number[]) => list.reduce((n, value) => n + value, 0);
    const last = usesOf(plain)
      .find((use) => use.specified.surface.id === wall && use.layer === 'finish')
      ?.coats.at(-1);
    // a place of a square metre, all that is feathered
    const [metre = NaN] = mending(withDefects(defect('spot-in', { size: 0.9 })), 'finish', true);
    const primer = (remedy: RemedyKind) =>
      mending(withDefects(defect(remedy, { size: 0.9 })), 'primer', true)[0] ?? NaN;
    // a stain is blocked, a filled place is sealed
    const [blocked, sealed] = [primer('block-stain'), primer('filler-again')];
    const any = fc.record({
      remedy: fc.constantFrom(...REMEDIES.filter((remedy) => remedy !== 'cut-again')),
      size: fc.double({ min: 0.01, max: 0.4, noNaN: true }),
    });
    fc.assert(
      fc.property(fc.array(any, { minLength: 1, maxLength: 4 }), (list) => {
        const job = withDefects(...list.map((each, i) => defect(each.remedy, { ...each, id: `d${i}` })));
        const has = (remedy: RemedyKind, kind: string) => REMEDY_STEPS[remedy].some((step) => step.kind === kind);
        const places = (kind: string, each: (remedy: RemedyKind) => number) =>
          sum(list.map(({ remedy, size }) => (has(remedy, kind) ? each(remedy) * (size + 0.1) ** 2 : 0)));
        const primed = (remedy: RemedyKind) => (remedy === 'block-stain' ? blocked : sealed);
        expect(sum(mending(job, 'finish', true))).toBeCloseTo(
          places('mend-spot', () => metre),
          9,
        );
        expect(sum(mending(job, 'primer', true))).toBeCloseTo(places('mend-prime', primed), 9);
        const again = list.some(({ remedy }) => has(remedy, 'mend-coat'));
        expect(mending(job, 'finish', false)).toEqual(again ? [expect.closeTo(last ?? NaN, 9)] : []);
        const mended = edited(
          job,
          ...list.map((_, i) => ({
            name: 'setDefect' as const,
            args: { defect: `d${i}`, set: { state: 'mended' as const } },
          })),
        );
        expect(wholeOf(mended).paints.map(({ wanted }) => wanted)).toEqual(
          wholeOf(plain).paints.map(({ wanted }) => wanted),
        );
      }),
      runs(7),
    );
  });
  test('the order’s file says how much of each paint is for mending; cans and chance are those of all of it', () => {
    const fileOf = (job: Job) => orderContract(job, baseOrder(job)).paints;
    expect(fileOf(plain).every(({ mending }) => mending === 0)).toBe(true);
    // every wall once more: enough to want another can
    const walls = wholeOf(plain).surfaces.filter(({ surface }) => surface.kind === 'wall');
    const job = withDefects(
      ...walls.map(({ surface }, i) => defect('another-coat', { id: `d${i}`, surface: surface.id })),
    );
    const [before, after] = [plain, job].map(fileOf);
    const mended = after?.filter(({ mending }) => mending > 0) ?? [];
    expect(mended).toHaveLength(1);
    for (const paint of mended) {
      const was = before?.find(({ product, colour }) => product === paint.product && colour === paint.colour);
      expect(paint.coats).toEqual(was?.coats);
      expect(paint.mending).toBeCloseTo(paint.coats.at(-1) ?? NaN, 9);
      expect(paint.ordered).toBeGreaterThan(was?.ordered ?? Infinity);
      expect(paint.shortfallChance).toBeLessThanOrEqual(0.05 + 1e-9);
    }
  });
  test('what is mended, left, or has no remedy yet makes no work, and a note to it plans nothing anew', () => {
    const none = withDefects(defect('ridge-only', { state: 'left' }), defect(null, { id: 'd2' }));
    expect(mends(none)).toEqual([]);
    expect(basePlan(none)).toBe(
      basePlan(edited(none, { name: 'setDefect', args: { defect: 'd2', set: { note: 'by the door' } } })),
    );
  });
});

describe('looks and facts, from what was done', () => {
  const van = writer('van');
  const task = (id: string) => `${wall}:${id}`;
  van.says(0, { kind: 'start', who: 'a', operation: task('cut1') });
  van.says(10, { kind: 'done', who: 'a', operation: task('cut1') });
  van.says(60, { kind: 'start', who: 'a', operation: task('roll1') });
  van.says(70, { kind: 'stop', who: 'a', operation: task('roll1'), value: { reason: 'break' } });
  van.says(95, { kind: 'start', who: 'a', operation: task('roll1') });
  van.says(110, { kind: 'done', who: 'a', operation: task('roll1') });
  const job = withDefects(defect(null, { coat: 1 }));
  const state = stateOf(job, logFrom(van.entries));

  test('a look is due two hours after the coat and again a day later; before anything is done, none', () => {
    const looked = lookedOver(job, state, '2026-12-02');
    const own = looked.find(({ surface }) => surface === wall);
    const laid = state.tasks.get(task('roll1'))?.done ?? NaN;
    expect(own?.look).toMatchObject({ coat: 1, first: laid + 120, second: laid + 1440 });
    expect(looked.filter(({ look }) => look !== null)).toHaveLength(1);
    expect(own?.shows.length).toBeGreaterThan(0);
    for (const { shows } of looked)
      for (const [i, { weight }] of shows.entries()) expect(weight).toBeLessThanOrEqual(shows[i - 1]?.weight ?? 1);
  });
  test('the log is asked before anybody is: breaks, the age of the cut, coats to come', () => {
    const facts = siteFacts(job, state, { surface: wall, coat: 1 });
    expect(facts).toMatchObject({ pause: 25, cutAge: 50, coatsLeft: 1, early: null, batches: 0, boxed: true });
    const [view] = defectViews(job, state);
    expect(view?.ranked[0]).toMatchObject({ cause: 'edge-set', evidence: [{ key: 'paused', value: 25 }] });
    expect(view?.remedies[0]).toBe('ridge-corner');
  });
});
