import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { runs } from '../testing/runs.ts';
import { readAny } from '../exchange/read.ts';
import type { DEFAULT_KEYS } from '../job/defaults.ts';
import { applyEdit, type Edit } from '../job/edits.ts';
import type { Survey } from '../job/surveyed.ts';
import type { Job } from '../job/types.ts';
import { OPERATIONS, TEXTURES, type OperationKind } from '../job/vocabulary.ts';
import { OPERATION_RULES, ruleOf } from '../paces/rules.ts';
import { cautionsOf } from '../specify/warnings.ts';
import { tasksOf } from '../sequence/tasks.ts';
import { FOOT, INCH } from '../units/si.ts';
import { evaluate } from '../units/working.ts';
import { baseOrder, basePlan } from '../whole/plan.ts';
import { wholeOf } from '../whole/whole.ts';
import type { Operation } from './operations.ts';

const SHEET = `units ft
room Study
height 8
wall A 12 R
wall B 10 R
wall C 12 R
wall D 10 R
door d on A 2'6 x 6'8 at 3 casing 2 1/2"
window w on C 11 x 7 at 6" sill 6"
trim baseboard 6"
`;
function jobOf(sheet: string, ...edits: Edit[]): Job {
  const opened = readAny(sheet, 'Study');
  if (!opened.ok) throw new Error(opened.problems[0]?.message);
  let { job } = opened.value;
  for (const edit of edits) {
    const done = applyEdit(job, edit);
    if (!done.ok) throw new Error(done.problems[0]?.message);
    job = done.value.job;
  }
  return job;
}
const study = (...edits: Edit[]): Job => jobOf(SHEET, ...edits);
const room = Object.values(study().rooms.byId)[0];
const id = room?.id ?? '';
const wall = (index: number) => `${room?.walls.order[index]}/field`;
const door = `${room?.openings.order[0]}/leaf`;
const found = (job: Job, name: string) => wholeOf(job).operations.find((op) => op.id === name);
const find = (job: Job, name: string) => found(job, name) as Operation;
const sum = (ops: readonly Operation[]) => ops.reduce((minutes, op) => minutes + op.minutes.value, 0);
const of = (job: Job, surface: string, ...kinds: OperationKind[]) =>
  wholeOf(job).operations.filter((op) => op.surface === surface && (!kinds.length || kinds.includes(op.kind)));
/** Length cut along a surface for its first coat. */
const cutOf = (job: Job, surface: string): number =>
  of(job, surface, 'cut', 'lap')
    .filter((op) => op.coat === 1)
    .reduce((all, op) => all + op.quantity, 0);
const painted = (job: Job) => new Set(wholeOf(job).surfaces.map((s) => s.surface.id));
const survey = (scope: string, set: Partial<Survey>): Edit => ({ name: 'setSurvey', args: { scope, set } });
const pace = (key: (typeof DEFAULT_KEYS)[number], value: number): Edit => ({
  name: 'setSetting',
  args: { key, value },
});
const NO_HOLES = { pinhole: 0, coin: 0, large: 0, anchor: 0 };
const sound: Partial<Survey> = { repairs: NO_HOLES, coat: 'water-borne', condition: 'sound' };
const PREP: readonly OperationKind[] = [
  'plates-off',
  'plates-on',
  'hardware-off',
  'hardware-on',
  'wash',
  'degrease',
  'rinse',
  'scrape',
  'fill',
  'degloss',
  'sand',
  'dust',
  'wipe',
  'caulk',
];

describe('minutes, worked by hand from the starting paces', () => {
  test('a wall is cut along its lines, a corner once, and rolled over its painted area with its dips', () => {
    const job = study();
    const baseboard = 12 - 2.5 - 5 / 12;
    const casing = 2 * (6 + 8 / 12 + 2.5 / 12) + 2.5 + 5 / 12;
    const cut = (i: number) => cutOf(job, wall(i)) / FOOT;
    const all = [0, 1, 2, 3].map(cut).reduce((a, b) => a + b, 0);
    // ceiling line, corners once each, baseboard, casing, and the window's edge
    const window = 2 * 7 + 2 * 11;
    expect(all).toBeCloseTo(44 + 4 * 8 + (44 - 2.5 - 5 / 12) + casing + window, 9);
    const first = of(job, wall(0), 'cut').filter((op) => op.coat === 1);
    // earlier coats stop short of what is painted beside them
    const short = (op: Operation) => (op.against && painted(job).has(op.against) ? 0.75 : 1);
    expect(sum(first)).toBeCloseTo(
      first.reduce((all, op) => all + (op.quantity / 0.9) * short(op), 0),
      9,
    );
    expect(cut(0)).toBeGreaterThanOrEqual(12 + baseboard + casing);
    const s = wholeOf(job).surfaces.find((x) => x.surface.id === wall(0));
    const area = s?.surface.area.value ?? 0;
    const dips = area / (s?.product.labelRate ?? 1) / 0.07;
    expect(find(job, `${wall(0)}:roll2`).minutes.value).toBeCloseTo((0.85 * area) / 0.75 + dips * 0.2, 9);
    expect(find(job, `${id}:cloths-down`).minutes.value).toBeCloseTo((120 * FOOT ** 2) / 1.5, 9);
  });

  test('gross school: an ordinary opening stays in what labour is priced on, one over the threshold does not', () => {
    const gross = study({ name: 'setPractice', args: { set: { openings: 'gross' } } });
    const area = (job: Job, i: number) => find(job, `${wall(i)}:roll1`).quantity / FOOT ** 2;
    expect([area(gross, 1), area(gross, 0)]).toEqual([80, 96].map((v) => expect.closeTo(v, 9)));
    const small = study({ name: 'setPractice', args: { set: { openings: 'gross' } } }, pace('openings.threshold', 5));
    expect(area(small, 2)).toBeLessThan(area(gross, 2));
  });

  test('tape and card follow the lines: card along the floor, the tops of trim against spatter, tape as a line is made', () => {
    const baseboard = 44 - 2.5 - 5 / 12;
    const laid = (kind: OperationKind, ...edits: Edit[]) =>
      wholeOf(study(...edits)).operations.filter((op) => op.kind === kind);
    const length = (ops: readonly Operation[]) => ops.reduce((all, op) => all + op.quantity, 0) / FOOT;
    const first: Edit = { name: 'setPractice', args: { set: { trimOrder: 'trim-first' } } };
    const last: Edit = { name: 'setPractice', args: { set: { trimOrder: 'trim-last' } } };
    expect(length(laid('card', last))).toBeCloseTo(baseboard, 9);
    expect(length(laid('spatter', first))).toBeCloseTo(baseboard, 9);
    // walls are done when trim is painted: nothing spatters it
    expect(laid('spatter', last)).toEqual([]);
    const taped: Edit = { name: 'setLine', args: { key: 'wall-casing', set: { method: 'tape-sealed' } } };
    const casing = 2 * (6 + 8 / 12 + 2.5 / 12) + 2.5 + 5 / 12;
    for (const kind of ['mask', 'seal-tape', 'unmask'] as const)
      expect(length(laid(kind, first, taped))).toBeCloseTo(casing, 9);
  });
});

/** What a painter signs: each a named check. [common practice, no source] */
describe('a painter’s day', () => {
  const prepOf = (surface: string, set: Partial<Survey>, ...more: Edit[]) =>
    sum(of(study(survey(surface, set), ...more), surface, ...PREP));
  test('preparing a door: hardware, degreasing, deglossing, two grits, dust and fill take 15 to 30 min; overruled to nothing, none', () => {
    const set: Partial<Survey> = { coat: 'oil', sheen: 'gloss', repairs: { ...NO_HOLES, pinhole: 5 } };
    const minutes = prepOf(door, set);
    expect(minutes).toBeGreaterThan(15);
    expect(minutes).toBeLessThan(30);
    expect(prepOf(door, set, { name: 'decide', args: { surface: door, member: 'prep', value: [] } })).toBe(0);
  });
  test('peeling oil paint on a door without holes takes 15 to 30 min to prepare', () => {
    const minutes = prepOf(door, { ...sound, coat: 'oil', condition: 'peeling' });
    expect(minutes).toBeGreaterThan(15);
    expect(minutes).toBeLessThan(30);
    expect(minutes).toBeGreaterThan(prepOf(door, { ...sound, coat: 'oil' }));
  });
  test('a patch takes three visits, each dry before the next by its depth; a pinhole one', () => {
    const job = study(survey(wall(1), { ...sound, repairs: { pinhole: 4, coin: 2, large: 1, anchor: 0 } }));
    const visits = of(job, wall(1), 'fill');
    expect(visits.map((op) => [op.coat, op.quantity])).toEqual([
      [1, 7],
      [2, 3],
      [3, 1],
    ]);
    expect(sum(visits)).toBeCloseTo(4 * 0.5 + 2 * 4 + 15, 9);
    const tasks = tasksOf(job, wholeOf(job).operations, 240);
    const lag = (n: number) =>
      Math.max(
        ...tasks
          .filter((t) => t.id.startsWith(`${id}:fill${n}`))
          .flatMap((t) => t.after.filter((l) => l.task.startsWith(`${id}:fill${n - 1}`)).map((l) => l.minLag)),
      );
    expect([lag(2), lag(3)]).toEqual([120, 120]);
    expect(
      of(study(survey(wall(1), { ...sound, repairs: { ...NO_HOLES, pinhole: 4 } })), wall(1), 'fill'),
    ).toHaveLength(1);
  });
  test('caulk and washing dry before anything is painted over them, also where nothing was filled', () => {
    const all = (['wall', 'ceiling', 'trim'] as const).map((k) => survey(`all:${k}`, sound));
    const tasks = tasksOf(study(...all), wholeOf(study(...all)).operations, 240);
    const into = (pattern: RegExp, from: RegExp) =>
      tasks.filter((t) => pattern.test(t.id)).flatMap((t) => t.after.filter((l) => from.test(l.task)));
    expect(into(/baseboard:brush1/, /:caulk/)[0]).toMatchObject({ minLag: 60, because: 'lag.caulked' });
    const washed = tasks.filter((t) => t.after.some((l) => /:wash/.test(l.task)));
    expect(washed.flatMap((t) => t.after.filter((l) => /:wash/.test(l.task)).map((l) => l.minLag))).toEqual(
      expect.arrayContaining([30]),
    );
  });
  test('priming a whole surface is cut in and rolled like any coat: new board takes about as long as its finish', () => {
    const bare = (['wall', 'ceiling'] as const).map((k) => survey(`all:${k}`, { ...sound, coat: 'bare' }));
    const ops = wholeOf(study(...bare)).operations.filter((op) => op.specified?.surface.kind !== 'door');
    const primer = sum(ops.filter((op) => op.kind === 'prime-cut' || op.kind === 'prime-roll'));
    const finish = sum(ops.filter((op) => (op.kind === 'cut' || op.kind === 'roll') && op.coat === 1));
    expect(primer / finish).toBeGreaterThan(0.75);
    expect(primer / finish).toBeLessThan(1.1);
  });
  test('brick and deep stucco take 1.5 to 2 times as long to roll and to prepare', () => {
    const rolled = (texture: Survey['texture']) =>
      sum(of(study(survey(wall(1), { ...sound, texture })), wall(1), 'roll', 'wash', 'rinse'));
    for (const texture of ['brick', 'deep-stucco'] as const) {
      expect(rolled(texture) / rolled('smooth')).toBeGreaterThan(1.4);
      expect(rolled(texture) / rolled('smooth')).toBeLessThan(2);
    }
  });
  test('beyond a pole’s reach a ladder or tower, in a stairwell always a platform, with its caution', () => {
    const stairs = jobOf(
      `units ft\nroom Stairs\nheight 8\nwall A 12 R stairs 1' to 11' up 5' steps 8\nwall B 4 R\nwall C 12 R\nwall D 4 R\n`,
    );
    const tall = jobOf(SHEET.replace('height 8', 'height 14'));
    const kinds = (job: Job) => wholeOf(job).operations.map((op) => op.kind);
    expect([kinds(stairs), kinds(tall), kinds(study())].map((k) => k.includes('platform'))).toEqual([
      true,
      true,
      false,
    ]);
    const cautions = (job: Job) => wholeOf(job).surfaces.flatMap((s) => cautionsOf(s).map((c) => c.rule));
    expect(cautions(stairs)).toContain('caution.stairs');
    expect(cautions(tall)).toContain('caution.height');
    const per = (job: Job, name: string) => find(job, name).minutes.value / find(job, name).quantity;
    expect(per(tall, `${wall(1)}:roll1`)).toBeGreaterThan(1.05 * per(study(), `${wall(1)}:roll1`));
  });
  test('no cut where ceiling and walls get one finish; nor fine along a moulding that is still to come', () => {
    const one = study(
      { name: 'setFinish', args: { scope: 'all:ceiling', finish: { product: 'paint-wall', colour: 'colour-wall' } } },
      {
        name: 'decide',
        args: { surface: `${id}/ceiling`, member: 'sheen', value: 'matte' },
      },
      ...[0, 1, 2, 3].map((i): Edit => ({
        name: 'decide',
        args: { surface: wall(i), member: 'sheen', value: 'matte' },
      })),
    );
    expect(cutOf(one, `${id}/ceiling`)).toBe(0);
    expect(cutOf(one, wall(1))).toBeLessThan(cutOf(study(), wall(1)) - 9 * FOOT);
    const later = jobOf(`${SHEET}trim crown 4" later\n`);
    // both sides of a line that is hidden are cut in passing
    const hidden = (surface: string) => of(later, surface, 'cut').filter((op) => /crown/.test(op.line ?? ''));
    const pace = 0.9 / 0.6;
    expect(sum(hidden(wall(1)).filter((op) => op.coat === 1))).toBeCloseTo((10 * FOOT) / pace, 9);
    expect(wholeOf(later).surfaces.some((s) => s.surface.kind === 'crown')).toBe(false);
    expect(find(later, `${wall(1)}:roll1`).quantity).toBeLessThan(find(study(), `${wall(1)}:roll1`).quantity);
  });
  test('a wall wholly behind cabinets costs nothing', () => {
    const job = jobOf(`${SHEET}cabinet k on B 10 x 8 at 0\n`);
    expect(of(job, wall(1))).toEqual([]);
  });
  test('later coats are quicker, cut and rolled', () => {
    for (const kind of ['cut', 'roll'])
      expect(find(study(), `${wall(1)}:${kind}2`).minutes.value).toBeLessThan(
        find(study(), `${wall(1)}:${kind}1`).minutes.value,
      );
  });
  test('a hung radiator is painted where it can be reached: 15 to 25 min a coat; it holds up no wall', () => {
    const job = jobOf(`${SHEET}radiator r on B 4 x 2 deep 4" at 2\n`);
    const part = job.rooms.byId[id]?.parts.order[0] ?? '';
    const minutes = find(job, `${part}/faces:faces1`).minutes.value;
    expect(minutes).toBeGreaterThan(15);
    expect(minutes).toBeLessThan(25);
    const tasks = tasksOf(job, wholeOf(job).operations, 240);
    const waits = tasks.filter((t) => t.after.some((l) => l.task.startsWith(part))).map((t) => t.kind);
    expect(new Set(waits)).toEqual(new Set(['brush', 'look']));
  });
  test('where the cut band wants more coats than the field it is cut more often, and its litres are ordered', () => {
    const deep: Edit[] = [
      { name: 'setColour', args: { colour: { id: 'deep', name: 'deep', hex: '#22394f' } } },
      { name: 'setFinish', args: { scope: wall(1), finish: { product: 'paint-wall', colour: 'deep' } } },
    ];
    // a thin band: a third of the film that the roller lays
    const job = study(...deep, pace('hiding.cutFilm', 0.33));
    const [cuts, rolls] = [of(job, wall(1), 'cut'), of(job, wall(1), 'roll')];
    const coats = new Set(cuts.map((op) => op.coat)).size;
    expect(coats).toBeGreaterThan(rolls.length);
    const uses = baseOrder(job)
      .paints.filter((p) => p.product.role === 'finish')
      .flatMap((p) => p.uses);
    const use = uses.find((u) => u.specified.surface.id === wall(1));
    const band = (use?.specified.surface.cut ?? 0) * 0.035 * 0.33 * (coats - rolls.length);
    expect((use?.coats[0] ?? 0) - (use?.coats[1] ?? 0)).toBeCloseTo(band / (use?.specified.product.labelRate ?? 1), 9);
    expect((use?.coats ?? []).reduce((all, litres) => all + litres, 0)).toBeCloseTo(use?.litres.value ?? 0, 9);
  });
  test('trim waits for the ceiling’s last coat; the room is looked over when dry and cleared after that', () => {
    const job = study();
    const placed = new Map(basePlan(job).placed.map((p) => [p.task.id, p.pieces]));
    const end = (name: string) => placed.get(name)?.at(-1)?.[1] ?? NaN;
    const start = (name: string) => placed.get(name)?.[0]?.[0] ?? NaN;
    expect(start(`${id}/baseboard:brush1`)).toBeGreaterThanOrEqual(end(`${id}/ceiling:wet2`) - 1e-9);
    // in one go, or rolled by who follows
    const done = (i: number) => (placed.has(`${wall(i)}:wet2`) ? end(`${wall(i)}:wet2`) : end(`${wall(i)}:roll2`));
    const last = Math.max(...[0, 1, 2, 3].map(done));
    expect(start(`${id}:look`)).toBeGreaterThanOrEqual(last + 120 - 1e-9);
    for (const [name] of placed)
      if (/:clear/.test(name)) expect(start(name)).toBeGreaterThanOrEqual(end(`${id}:look`) - 1e-9);
  });
  test('fresh and damp walls are not painted until they may be', () => {
    for (const set of [{ fresh: true }, { damp: 'yes' as const }, { moisture: 20 }]) {
      const job = study(survey(wall(1), set));
      expect(of(job, wall(1))).toEqual([]);
      expect(of(job, wall(0)).length).toBeGreaterThan(0);
    }
  });
  test('the rub between coats is an operation on trim, in gloss and before the last coat of what shines', () => {
    const kinds = (job: Job, surface: string) => of(job, surface).map((op) => op.kind + (op.coat || ''));
    expect(kinds(study(), `${id}/baseboard`)).toEqual(expect.arrayContaining(['rub2']));
    expect(kinds(study(), wall(1))).not.toContain('rub2');
    const satin = study({ name: 'decide', args: { surface: wall(1), member: 'sheen', value: 'satin' } });
    expect(kinds(satin, wall(1))).toContain('rub2');
  });
  test('covers by room and piece: 4, 6, 9, 12 and 18 in; a wider one is quicker; two painters have one each', () => {
    const widths = (job: Job) =>
      new Set(wholeOf(job).surfaces.map((s) => Math.round((s.system.cover.value.width / INCH) * 10) / 10));
    const sized = (w: number) =>
      jobOf(SHEET.replaceAll(/(wall [AC]) 12/g, `$1 ${w}`).replaceAll(/(wall [BD]) 10/g, `$1 ${w}`));
    expect([...widths(study())].sort()).toEqual([4, 6, 9]);
    expect(widths(sized(18)).has(12)).toBe(true);
    expect(widths(sized(30)).has(18)).toBe(true);
    const narrow = study({
      name: 'decide',
      args: { surface: wall(1), member: 'cover', value: { pile: 0.01, fabric: 'microfibre', width: 4 * INCH } },
    });
    expect(find(narrow, `${wall(1)}:roll1`).minutes.value).toBeGreaterThan(
      find(study(), `${wall(1)}:roll1`).minutes.value,
    );
    const covers = baseOrder(study()).materials.filter((m) => m.item === 'cover' && m.size.width === 9 * INCH);
    for (const line of covers) expect(line.wanted).toBeGreaterThanOrEqual(2);
  });
  test('what is taken off is put on again: plates, hardware, curtains, detectors, furniture, covers, power', () => {
    const taped: Edit = { name: 'setLine', args: { key: 'wall-casing', set: { method: 'tape-sealed' } } };
    const job = jobOf(`${SHEET}rod r on B count 1\ndetector s count 2\nplate p on A count 3\n`, taped);
    const { operations } = wholeOf(job);
    const amount = (kind: OperationKind) =>
      operations.filter((op) => op.kind === kind).reduce((n, op) => n + op.quantity, 0);
    const pairs: readonly (readonly [OperationKind, OperationKind, number | null])[] = [
      ['plates-off', 'plates-on', 3],
      ['hardware-off', 'hardware-on', 1],
      ['curtains-off', 'curtains-on', 1],
      ['detectors-covered', 'detectors-uncovered', 2],
      ['power-off', 'power-on', 1],
      ['furniture-out', 'furniture-back', null],
      ['cloths-down', 'cloths-up', null],
      ['mask', 'unmask', null],
    ];
    for (const [off, on, count] of pairs) {
      expect([off, amount(off)]).toEqual([off, amount(on)]);
      expect(amount(off)).toBeGreaterThan(0);
      if (count !== null) expect(amount(off)).toBe(count);
    }
    for (const kind of ['look', 'touch-up'] as const) expect(amount(kind)).toBeGreaterThan(0);
  });
  test('going to a room, a paint and a tool is charged by the plan', () => {
    const plan = basePlan(study());
    const trips = plan.placed.flatMap((p) => p.travel.flatMap((trip) => trip.pieces.map(([from, to]) => to - from)));
    const turns = plan.placed.reduce((all, p) => all + p.task.idle, 0);
    expect(trips.length).toBeGreaterThan(5);
    expect(plan.travel).toBeCloseTo(trips.reduce((all, minutes) => all + minutes, 0) + turns, 6);
  });
  test('a wall that fills a whole stretch is placed, its paint fetched before it', () => {
    const per = find(study(), `${wall(1)}:roll1`).quantity;
    const longest = 255 - 25;
    const job = study(pace('pace.roll', per / (longest - 1)), pace('dip.minutes', 0));
    const plan = basePlan(job);
    expect(plan.problems).toEqual([]);
    const long = plan.placed.find((p) => p.task.id === `${wall(1)}:roll1`);
    expect(long?.task.work).toBeCloseTo(longest - 1, 6);
    for (const { travel, pieces } of plan.placed)
      for (const trip of travel) expect(trip.pieces.at(-1)?.[1]).toBeLessThanOrEqual((pieces[0]?.[0] ?? NaN) + 1e-9);
  });
  test('one person takes the power off and the plates after it', () => {
    const protect = tasksOf(study(), wholeOf(study()).operations, 240).filter((t) => t.kind === 'protect');
    const kinds = protect.map((t) => t.operations.map((op) => op.kind)).filter((k) => k.includes('plates-off'));
    expect(kinds).toHaveLength(1);
    expect(kinds[0]?.indexOf('power-off')).toBeLessThan(kinds[0]?.indexOf('plates-off') ?? -1);
    expect(kinds[0]).toContain('power-off');
  });
  test('a plain bedroom with ceiling, trim and door is 12 to 16 hours of work', () => {
    const bedroom = jobOf(
      SHEET.replace(/window.*/, `window w on C 3 x 4 at 3 sill 2'6" casing 2 1/2" board 6"`).replace(
        'baseboard 6"',
        'baseboard 5"',
      ),
    );
    const hours = baseOrder(bedroom).labour.minutes / 60;
    expect(hours).toBeGreaterThan(12);
    expect(hours).toBeLessThan(16);
  });
});

describe('laws of minutes', () => {
  const surveyed = fc.record({
    texture: fc.constantFrom(...TEXTURES),
    coat: fc.constantFrom('water-borne', 'oil', 'bare', 'unknown'),
    condition: fc.constantFrom('sound', 'chalky', 'peeling', 'weak'),
    repairs: fc.record({ pinhole: fc.nat(9), coin: fc.nat(4), large: fc.nat(2), anchor: fc.nat(3) }),
  }) as fc.Arbitrary<Partial<Survey>>;
  const sized = (w: number, h: number) =>
    SHEET.replace('height 8', `height ${h}`).replaceAll(/(wall [AC]) 12/g, `$1 ${w}`);

  test('minutes are what their terms come to, and above nothing; every kind has its row in the order of work', () => {
    fc.assert(
      fc.property(surveyed, fc.integer({ min: 12, max: 40 }), (set, w) => {
        const job = jobOf(sized(w, 9), survey('all:wall', set), survey('all:trim', set));
        const { operations } = wholeOf(job);
        for (const op of operations) {
          expect(evaluate(op.minutes)).toBeCloseTo(op.minutes.value, 9);
          expect(op.minutes.value).toBeGreaterThan(0);
          expect(op.quantity).toBeGreaterThan(0);
        }
        expect(new Set(operations.map((op) => op.id)).size).toBe(operations.length);
      }),
      runs(7),
    );
    expect(Object.keys(OPERATION_RULES)).toEqual([...OPERATIONS]);
  });

  // with one width of cover: a large room takes a wider one
  test('more work never takes fewer minutes: a longer or higher room, more holes, another step, another coat', () => {
    const total = (job: Job) => sum(wholeOf(job).operations);
    fc.assert(
      fc.property(surveyed, fc.integer({ min: 12, max: 24 }), fc.integer({ min: 8, max: 14 }), (set, w, h) => {
        const at = (width: number, height: number, more: Partial<Survey> = {}) =>
          total(jobOf(sized(width, height), survey('all:wall', { ...set, fibres: 'none', ...more })));
        const now = at(w, h);
        expect(at(w + 1, h)).toBeGreaterThan(now);
        expect(at(w, h + 1)).toBeGreaterThan(now);
        const { pinhole, coin, large, anchor } = { ...NO_HOLES, ...set.repairs };
        const more = { pinhole: pinhole + 1, coin: coin + 1, large: large + 1, anchor: anchor + 1 };
        expect(at(w, h, { repairs: more })).toBeGreaterThan(now);
      }),
      runs(13),
    );
    const coats = (value: number) =>
      total(study({ name: 'decide', args: { surface: wall(1), member: 'coats', value } }));
    expect([coats(2) < coats(3), coats(3) < coats(4)]).toEqual([true, true]);
  });

  test('nothing listed costs nothing, nothing unlisted costs anything: each step of preparation by itself', () => {
    const minutes = (steps: readonly string[]) => {
      const decided = { surface: wall(1), member: 'prep', value: steps };
      const few = survey(wall(1), { repairs: { ...NO_HOLES, pinhole: 5 } });
      const job = study(few, { name: 'decide', args: decided } as Edit);
      return sum(of(job, wall(1), ...PREP));
    };
    expect(minutes([])).toBe(0);
    const steps = ['wash', 'degrease', 'scrape', 'fill', 'degloss', 'sand', 'dust', 'wipe'];
    for (const step of steps) expect(minutes([step])).toBeGreaterThan(0);
    // washing and degreasing are rinsed once
    const rinse = find(study(), `${wall(1)}:rinse`).minutes.value;
    expect(minutes(steps)).toBeCloseTo(steps.reduce((all, step) => all + minutes([step]), 0) - rinse, 9);
  });

  test('a slower pace lengthens its own kind, and no other', () => {
    const before = wholeOf(study()).operations;
    const after = new Map(wholeOf(study(pace('pace.roll', 0.3))).operations.map((op) => [op.id, op.minutes.value]));
    for (const op of before) {
      const same = after.get(op.id) === op.minutes.value;
      expect(same).toBe(!(ruleOf(op.kind).pace === 'pace.roll' && op.specified?.surface.kind === 'wall'));
    }
  });

  test('ids stand when the room is measured again', () => {
    const ids = (job: Job) => wholeOf(job).operations.map((op) => op.id);
    expect(ids(jobOf(SHEET.replace('wall A 12', `wall A 12'0 1/2`)))).toEqual(ids(study()));
  });
});

describe('tasks and their lags', () => {
  const lag = (job: Job, name: string, before: string) =>
    tasksOf(job, wholeOf(job).operations, 240)
      .find((t) => t.id === name)
      ?.after.filter((l) => l.task === before);
  test('the last coat is rolled while its cut is wet; an earlier one may wait', () => {
    expect(lag(study(), `${wall(0)}:wet2`, `${wall(0)}:roll1`)).toEqual([
      expect.objectContaining({ because: 'lag.recoat' }),
    ]);
    expect(lag(study(), `${wall(0)}:roll1`, `${wall(0)}:cut1`)).toEqual([expect.objectContaining({ maxLag: null })]);
  });
  test('a coat waits for the label’s recoat time, in elapsed minutes', () => {
    const job = study();
    expect(lag(job, `${wall(0)}:wet2`, `${wall(0)}:roll1`)?.[0]?.minLag).toBe(120);
    const ceiling = `${id}/ceiling`;
    expect(lag(job, `${ceiling}:wet2`, `${ceiling}:roll1`)?.[0]?.minLag).toBe(90);
    // touch-dry is the label's 45 minutes in the air it was taken in, and slower in cooler air (our model)
    const dry = (temperature: number) =>
      lag({ ...job, air: { ...job.air, temperature, ceiling: 0 } }, `${wall(0)}:cut1`, `${ceiling}:roll1`)?.[0]?.minLag;
    expect(dry(23)).toBeCloseTo(45, 9);
    expect(dry(15)).toBeGreaterThan(60);
  });
  test('all minutes of the operations are in the tasks, each operation in one of them', () => {
    const job = study();
    const { operations } = wholeOf(job);
    const tasks = tasksOf(job, operations, 240);
    expect(tasks.flatMap((t) => t.operations.map((op) => op.id)).sort()).toEqual(operations.map((op) => op.id).sort());
    expect(tasks.reduce((all, t) => all + t.work * t.people, 0)).toBeCloseTo(sum(operations), 9);
  });
  test('every surface is prepared before any is painted', () => {
    const plan = basePlan(study());
    const ends = (pattern: RegExp) =>
      plan.placed.filter((p) => pattern.test(p.task.id)).map((p) => p.pieces.at(-1)?.[1] ?? 0);
    const starts = plan.placed
      .filter((p) => /:(cut|roll|brush|prime-)/.test(p.task.id))
      .map((p) => p.pieces[0]?.[0] ?? 0);
    expect(Math.max(...ends(/:(wash|fill\d|sand)/))).toBeLessThanOrEqual(Math.min(...starts) + 1e-9);
  });
  test('a surface too long for one person in a stretch gets another', () => {
    const job = study(pace('pace.roll', 0.025));
    expect(tasksOf(job, wholeOf(job).operations, 240).find((t) => t.id === `${wall(1)}:roll1`)?.people).toBe(2);
  });
});
