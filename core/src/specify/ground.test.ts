import { describe, expect, test } from '@jest/globals';
import { edited, fewPlans, opened } from '../testing/jobs.ts';
import fc from 'fast-check';
import { runs } from '../testing/runs.ts';
import { type Edit } from '../job/edits.ts';
import type { PrimerLayer, Product } from '../job/paints.ts';
import type { Survey } from '../job/surveyed.ts';
import type { Job } from '../job/types.ts';
import { PREP_STEPS, PRIMER_KINDS, STAINS, type OperationKind, type PrimerKind } from '../job/vocabulary.ts';
import { orderPaint, type PaintLine } from '../order/paint.ts';
import { baseOrder } from '../whole/plan.ts';
import { wholeOf } from '../whole/whole.ts';
import { primerAt } from '../work/coats.ts';
import { hide } from './hiding.ts';
import { brightFamily, opacityOf } from './opacity.ts';
import { layersOf, primerMeeting, type Demand } from './primers.ts';
import { effective } from './reasons.ts';
import type { Specified } from './specify.ts';
import { cautionsOf, warningsOf } from './warnings.ts';

/** A room of 1968 with a door, a radiator and a chair: each case says what is there. Common practice, no source. */
const SHEET = `units m
room Study
height 2.5
wall A 4 R
wall B 3.5 R
wall C 4 R
wall D 3.5 R
door d1 on A 0.8 x 2 at 1 casing 0.06
radiator x1 on C 1 x 0.6 deep 0.1
furniture f1 0.5 x 0.9 deep 0.5
trim skirting 12 cm
`;
const job = (...lines: string[]): Job => fewPlans(opened(`${SHEET}${lines.join('\n')}`));
const at = (of: Job, kind: string, name = ''): Specified => {
  const found = wholeOf(of).surfaces.find(
    ({ surface }) => surface.kind === kind && (!name || surface.name.kind === name),
  );
  if (!found) throw new Error(`no ${kind} ${name}`);
  return found;
};
const prep = (s: Specified) => s.system.prep.value;
const primers = (s: Specified) =>
  layersOf(s.system.primer.value).map(
    ({ kind, extent, coats }) => `${kind} ${extent}${coats > 1 ? ` x ${coats}` : ''}`,
  );
const kinds = (of: Job, surface: string): OperationKind[] =>
  wholeOf(of)
    .operations.filter((op) => op.surface === surface)
    .map((op) => op.kind);
const rules = (s: Specified) => warningsOf(s).map(({ reason }) => reason.rule);

describe('steps that suit the surface', () => {
  const WET_OR_DUSTY: readonly OperationKind[] = [
    'wash',
    'degrease',
    'rinse',
    'scrape',
    'sand',
    'dust',
    'fill',
    'degloss',
  ];
  test('an old popcorn ceiling is kept clear of until a laboratory has seen it, and painted over gently', () => {
    const old = job('survey ceiling texture popcorn built 1968');
    const ceiling = at(old, 'ceiling');
    expect(prep(ceiling)).toEqual([]);
    expect(kinds(old, ceiling.surface.id).filter((kind) => WET_OR_DUSTY.includes(kind))).toEqual([]);
    expect(cautionsOf(ceiling).map((c) => c.rule)).toEqual(['caution.asbestos']);
    // nothing is bought to wash or sand it with, and whoever lists it all the same is warned
    const bought = baseOrder(old).materials.filter((m) => m.item === 'wash');
    const without = baseOrder(job('survey ceiling texture smooth')).materials.filter((m) => m.item === 'wash');
    expect(bought[0]?.working.value ?? 0).toBeLessThan(without[0]?.working.value ?? 0);
    const forced: Edit = { name: 'decide', args: { surface: ceiling.surface.id, member: 'prep', value: ['sand'] } };
    expect(rules(at(edited(old, forced), 'ceiling'))).toContain('warn.suspect');
  });
  test.each([
    ['tested, none in it: no water and no paper all the same', 'fibres none', 'plates-off'],
    ['new, not tested', 'built 2015', 'plates-off'],
    ['tested, there is', 'fibres found', ''],
    ['deep stucco may be washed', 'texture deep-stucco', 'plates-off wash'],
  ])('popcorn %s', (_, said, steps) =>
    expect(prep(at(job(`survey ceiling texture popcorn ${said}`), 'ceiling')).join(' ')).toBe(steps),
  );
  test('taken off by licensed people first: not painted now', () => {
    const waiting = job('survey ceiling texture popcorn fibres removal');
    expect(kinds(waiting, at(waiting, 'ceiling').surface.id)).toEqual([]);
  });
  test.each([
    ['new board is dusted, for filler softens', 'survey walls substrate drywall coat bare', 'wall', 'plates-off dust'],
    ['bare wood is sanded before its primer', 'survey trim coat bare', 'baseboard', 'sand dust caulk'],
    ['a bare door is not degreased', 'survey door coat bare', 'door', 'hardware-off sand dust'],
    [
      'soot comes off even bare plaster',
      'survey walls substrate plaster coat bare stains smoke',
      'wall',
      'plates-off degrease dust',
    ],
    ['smoke: degreased, which washes it', 'survey walls stains smoke', 'wall', 'plates-off degrease'],
    ['a radiator has no joints to caulk', 'survey piece sheen matte', 'piece', 'wash'],
  ])('%s', (_, said, kind, steps) => expect(prep(at(job(said), kind)).join(' ')).toBe(steps));
  test('sound old paint, the other school: sanded and wiped damp, greasy zones degreased all the same, no washing to wait for', () => {
    const sanded = edited(job('survey trim sheen satin'), { name: 'setPractice', args: { set: { prep: 'sand' } } });
    expect(prep(at(sanded, 'wall'))).toEqual(['plates-off', 'sand', 'dust', 'wipe']);
    expect(prep(at(sanded, 'door'))).toEqual(['hardware-off', 'degrease', 'sand', 'dust', 'wipe']);
    const chalky = edited(sanded, { name: 'setSurvey', args: { scope: 'all:wall', set: { condition: 'chalky' } } });
    expect(prep(at(chalky, 'wall'))).toContain('wash');
    expect(wholeOf(sanded).operations.filter((op) => op.kind === 'wash')).toEqual([]);
  });
});

describe('chalk-type furniture', () => {
  const chair = (seal = 'clear-wax') =>
    edited(job('finish f1 product paint-chalk'), {
      name: 'decide',
      args: { surface: `${chairId}/faces`, member: 'seal', value: seal as 'worn' },
    });
  const chairId = Object.values(job().rooms.byId)[0]?.parts.order[1] ?? '';
  test('only cleaned, no primer, two coats a quarter of an hour apart, ended in wax', () => {
    const s = at(job('finish f1 product paint-chalk'), 'piece', 'furniture');
    expect([prep(s), primers(s), s.system.coats.value, s.product.recoat]).toEqual([['wash'], [], 2, 15]);
    expect(s.system.seal.value).toBe('clear-wax');
    expect(cautionsOf(s).map((c) => c.rule)).toContain('caution.wax-rags');
  });
  test.each([
    ['clear-wax', ['wax'], ['wax']],
    ['dark-wax', ['wax'], ['wax', 'dark-wax']],
    ['worn', ['wear', 'wax'], ['wax']],
    ['highlight', ['highlight', 'wax'], ['wax', 'highlight']],
    ['none', [], []],
  ])('%s: its work and its stock', (seal, work, stock) => {
    const with_ = chair(seal);
    expect(kinds(with_, `${chairId}/faces`).filter((kind) => ['wear', 'highlight', 'wax'].includes(kind))).toEqual(
      work,
    );
    const items = baseOrder(with_).materials.map((m) => m.item);
    expect(items.filter((item) => ['wax', 'dark-wax', 'highlight'].includes(item))).toEqual(stock);
  });
  test('dark wax, lightened with clear a small area at a time, takes longer than clear', () => {
    const minutes = (seal: string) =>
      wholeOf(chair(seal)).operations.find((op) => op.kind === 'wax')?.minutes.value ?? 0;
    expect(minutes('dark-wax')).toBeGreaterThan(2 * minutes('clear-wax'));
  });
});

describe('each fixture and each fixing', () => {
  const with_ = (...parts: string[]) => job(...parts);
  const wall = (of: Job) => at(of, 'wall').surface.id;
  test.each([
    ['off', ['plates-off', 'plates-on']],
    ['replaced', ['plates-off', 'plates-on']],
    ['masked', ['mask-fixtures']],
    ['painted', ['plates-off', 'plates-on', 'paint-fixtures']],
    ['cut', []],
  ])('a plate %s', (way, expected) => {
    const made = with_(`plate p1 on A count 3 way ${way}`);
    const done = kinds(made, wall(made)).filter((kind) => /plates|fixtures/.test(kind));
    expect(done.sort()).toEqual([...expected].sort());
    const cut = wholeOf(made).takeoffs[0]?.meetings.find((m) => m.kind === 'fixture' && m.a === wall(made));
    expect(cut !== undefined && cut.length > 0).toBe(way === 'cut');
  });
  test('fixings: out and filled, so that there are holes; or out and back, for a shelf that returns', () => {
    const filled = with_('fixing k1 on A count 4 way filled');
    expect(at(filled, 'wall').survey.repairs.anchor).toBe(4);
    expect(kinds(filled, wall(filled))).toEqual(expect.arrayContaining(['fixings-out', 'fill', 'prime-spot']));
    const stays = with_('fixing k1 on A count 4');
    expect(at(stays, 'wall').survey.repairs.anchor).toBe(0);
    expect(kinds(stays, wall(stays))).toEqual(expect.arrayContaining(['fixings-out', 'fixings-back']));
  });
});

describe('primers that do what is asked', () => {
  test.each([
    ['nothing to fill, nothing to prime', '', 'wall', []],
    ['pinholes are dabbed with the finish', 'survey walls repairs pinhole 9', 'wall', []],
    ['patches on a wall: a spot of sealing primer', 'survey walls repairs coin 2', 'wall', ['sealing spot']],
    ['filled wood: a spot of undercoat', 'survey trim repairs coin 1', 'baseboard', ['undercoat spot']],
    ['bare spots on wood: undercoat', 'survey trim condition peeling', 'baseboard', ['undercoat spot']],
    ['smoke is blocked all over', 'survey walls stains smoke', 'wall', ['blocking full']],
    ['one stain, one spot', 'survey walls stains rust', 'wall', ['blocking spot']],
    ['bare wood with tannin', 'survey trim coat bare stains tannin', 'baseboard', ['blocking spot', 'undercoat full']],
    ['oil with smoke', 'survey walls coat oil stains smoke', 'wall', ['bonding full', 'blocking full']],
    [
      'weak plaster with water stains',
      'survey walls substrate plaster condition weak stains water',
      'wall',
      ['penetrating full', 'blocking spot'],
    ],
    ['bare board with water stains', 'survey walls coat bare stains water', 'wall', ['board full', 'blocking spot']],
    [
      'patches where all of it is primed need none of their own',
      'survey walls coat bare repairs coin 3',
      'wall',
      ['board full'],
    ],
    [
      'peeling with patches: one that bonds and seals',
      'survey walls condition peeling repairs coin 3',
      'wall',
      ['bonding spot'],
    ],
  ])('%s', (_, said, kind, expected) => {
    const s = at(job(said), kind);
    expect(primers(s)).toEqual(expected);
    expect(rules(s)).toEqual([]);
    // whatever is primed, spots and all of it, is primed with something
    for (const { specified, kind: work, coat } of wholeOf(job(said)).operations)
      if (specified && work.startsWith('prime') && !work.startsWith('prime-cut'))
        expect(primerAt(specified, work, coat)).not.toBeNull();
  });

  const asks: Readonly<Record<string, Partial<Survey>>> = { oil: { coat: 'oil', stains: ['smoke'] } };
  test('a primer that does both saves the second; where none of the job does, it is said', () => {
    const stained = edited(job(), { name: 'setSurvey', args: { scope: 'all:wall', set: asks['oil'] ?? {} } });
    const blocking = stained.products['primer-blocking'] as Product;
    const both = edited(stained, {
      name: 'setProduct',
      args: { product: { ...blocking, serves: ['blocking', 'bonding', 'sealing'] } },
    });
    expect(primers(at(both, 'wall'))).toEqual(['blocking full']);
    const { 'primer-blocking': _, ...others } = stained.products;
    const s = at({ ...stained, products: others }, 'wall');
    expect(primers(s)).toContain('blocking full');
    expect(rules(s)).toContain('warn.no-primer');
    // the one over a primer that is missing is still laid with its own product
    const { 'primer-bonding': _none, ...fewer } = stained.products;
    const bare = { ...stained, products: fewer };
    const rolled = wholeOf(bare).operations.filter((op) => op.kind === 'prime-roll');
    expect(rolled.map((op) => op.specified && primerAt(op.specified, op.kind, op.coat)?.id)).toEqual(
      rolled.map(() => 'primer-blocking'),
    );
    expect(rolled.length).toBe(4);
  });

  const primerOf = ({ products }: Job): Product => {
    const found = products['primer-board'];
    if (!found) throw new Error('no board primer');
    return found;
  };
  const demand = fc.record({
    does: fc.constantFrom<PrimerKind>('bonding', 'blocking', 'penetrating', 'board', 'sealing', 'undercoat'),
    extent: fc.constantFrom('spot' as const, 'full' as const),
    coats: fc.constant(1),
  });
  const product = fc
    .subarray(
      [...PRIMER_KINDS].filter((kind) => kind !== 'none'),
      { minLength: 1 },
    )
    .map((serves): Product => ({ ...primerOf(job()), primer: serves[0] ?? 'none', serves }));
  test('law: two demands are always met, each by a primer that does it, in spots or all over as it was asked', () => {
    fc.assert(
      fc.property(fc.array(demand, { maxLength: 2 }), fc.array(product), (demands: Demand[], products) => {
        const layers = layersOf(primerMeeting(demands, products));
        const does = (layer: PrimerLayer, { does: wanted }: Demand) =>
          layer.kind === wanted || products.some((p) => p.primer === layer.kind && p.serves.includes(wanted));
        for (const d of demands)
          expect(layers.some((layer) => does(layer, d) && (d.extent === 'spot' || layer.extent === 'full'))).toBe(true);
        expect(layers.length).toBeLessThanOrEqual(demands.length);
      }),
      runs(33),
    );
  });

  test('litres of a spot go by number and size, by brush: more patches more primer, no cover bought for it', () => {
    const primer = (of: Job): PaintLine | undefined =>
      orderPaint(of, wholeOf(of).surfaces).find((p) => p.product.role === 'primer');
    const litres = (said: string) => primer(job(said))?.uses.reduce((sum, use) => sum + use.litres.value, 0) ?? 0;
    // 4 walls x 2 coin-size places of 0.01 m2 at the board primer's 300 sq ft/gal, worked by hand
    expect(litres('survey walls repairs coin 2')).toBeCloseTo((4 * 2 * 0.01) / ((300 * 0.09290304) / 3.785411784), 9);
    expect(litres('survey walls repairs coin 4')).toBeCloseTo(2 * litres('survey walls repairs coin 2'), 9);
    const covers = (of: Job) => baseOrder(of).materials.flatMap((m) => (m.item === 'cover' ? [[m.key, m.wanted]] : []));
    expect(covers(job('survey walls repairs coin 2'))).toEqual(covers(job()));
    // smoke over all walls and ceiling: all of them, not a spot
    const smoked = job('survey walls stains smoke', 'survey ceiling stains smoke');
    const area = wholeOf(smoked).surfaces.filter((s) => s.survey.stains.length > 0);
    const total = area.reduce((sum, s) => sum + s.surface.area.value, 0);
    expect(primer(smoked)?.expected.value).toBeGreaterThan(total / 10);
  });
});

describe('paints, sheens and light', () => {
  const bath = (...lines: string[]) => job('use bathroom', ...lines);
  test('an ordinary paint in a wet room is warned of, and a wet-room paint is not', () => {
    expect(rules(at(bath(), 'wall'))).toEqual(['warn.wet-room']);
    expect(rules(at(bath('finish walls product paint-wet'), 'wall'))).toEqual([]);
  });
  test('the satin recommended for a bathroom raises no raking-light warning of its own; a shinier one does', () => {
    const raked = bath('finish walls product paint-wall', 'survey walls raking yes level 4');
    expect(at(raked, 'wall').sheen).toBe('satin');
    expect(rules(at(raked, 'wall'))).toEqual(['warn.wet-room']);
    const shinier = job('survey walls raking yes level 4', 'finish walls sheen satin');
    expect(rules(at(shinier, 'wall'))).toEqual(['warn.raking']);
  });
  test('the wall that holds a window is not raked by it, its neighbour is; all of them get one sheen', () => {
    const lit = job('window w1 on B 1 x 1.2 at 0.1 sill 0.9', 'survey walls level 4 substrate drywall', 'use living');
    const walls = wholeOf(lit).surfaces.filter((s) => s.surface.kind === 'wall');
    expect(walls.map((s) => s.grazedBy)).toEqual([['w1'], [], [], []]);
    expect(new Set(walls.map((s) => s.sheen)).size).toBe(1);
  });
  test.each([
    ['class 1 wipes whatever its sheen', 1, 'matte', []],
    ['class 4 does not', 4, 'eggshell', ['warn.scrub']],
  ] as const)('scrub class: %s', (_, scrub, sheen, warned) => {
    const s = at(
      job('use hall', `paint mine "Mine" like paint-wall scrub ${scrub}`, 'finish walls product mine'),
      'wall',
    );
    expect([s.sheen, rules(s)]).toEqual([sheen, warned]);
  });
  test('mini rollers: a smooth door 5 mm; a textured one 10 mm and brushed out, which takes longer', () => {
    const pile = (said: string) => at(job(said), 'door').system.cover.value.pile;
    expect([pile('survey door texture smooth'), pile('survey door texture grain')]).toEqual([0.005, 0.01]);
    const faces = (said: string) => wholeOf(job(said)).operations.find((op) => op.kind === 'faces')?.minutes.value ?? 0;
    expect(faces('survey door texture grain')).toBeCloseTo(1.2 * faces('survey door texture smooth'), 9);
  });
  test('clear over clear: sanded, two coats, nothing to hide', () => {
    const s = at(job('survey door coat clear', 'finish d1 product paint-clear'), 'door');
    expect([prep(s).includes('sand'), primers(s), s.system.coats.value, rules(s)]).toEqual([true, [], 2, []]);
  });
  test('a short recoat on filled ground is warned of', () => {
    const quick = 'paint quick "Quick" like paint-wall recoat 30';
    const filled = job(quick, 'finish walls product quick', 'survey walls repairs coin 2');
    expect(rules(at(filled, 'wall'))).toEqual(['warn.recoat']);
    expect(rules(at(job(quick, 'finish walls product quick'), 'wall'))).toEqual([]);
  });
});

describe('hiding by colour', () => {
  const over = (hex: string) => {
    const s = at(job('survey walls colour #f4f1ea', `finish walls product paint-wall colour ${hex}`), 'wall');
    return { coats: effective(s.system.coats), primer: effective(s.system.primer), opacity: s.opacity };
  };
  test.each([
    ['a bright red', '#c8202f', 'red'],
    ['a bright orange', '#e07b2a', 'orange'],
    ['a bright yellow', '#f2c321', 'yellow'],
  ])('%s over white: three or four coats, or a tinted ground; its opacity a starting value', (_, hex, family) => {
    const { coats, primer, opacity } = over(hex);
    expect(opacity).toMatchObject({ from: 'starting', family });
    expect(coats >= 3 ? coats <= 4 : primer.tint !== null).toBe(true);
  });
  test.each(['#f4f1ea', '#9a6b4a', '#c79a3b', '#b5523b', '#22394f', '#9db5a0', '#3f7d4a'])(
    'whites, earths and the rest go by the label: %s',
    (hex) => expect(brightFamily({ hex })).toBeNull(),
  );
  test('the paint’s own figure counts once it is known, whatever the colour', () => {
    const red = job('finish walls product paint-wall colour #c8202f "Signal"');
    const id = Object.values(red.colours).find((c) => c.name === 'Signal')?.id ?? '';
    const product = red.products['paint-wall'] as Product;
    const known = { ...product, inColour: { [id]: 0.985 } };
    expect(opacityOf(red, known, { id, name: '', hex: '#c8202f' })).toMatchObject({ contrast: 0.985, from: 'known' });
    const told = at(edited(red, { name: 'setProduct', args: { product: known } }), 'wall');
    expect(told.question.contrast).toBe(0.985);
    const question = { background: '#f4f1ea', film: 1, cutFilm: 0.75, first: 1, last: 1, cv: 0.35, limit: 1 };
    expect(told.hiding.coats).toBe(hide({ ...question, ...told.question, background: told.hiding.before }).coats);
  });
});

test('whatever is answered, steps come in the order of the trade, no two primers are the same, and no figure is not one', () => {
  const survey = fc.record({
    substrate: fc.constantFrom('drywall', 'plaster', 'wood', 'metal', 'unknown'),
    texture: fc.constantFrom('smooth', 'popcorn', 'brick'),
    coat: fc.constantFrom('water-borne', 'oil', 'clear', 'bare', 'unknown'),
    condition: fc.constantFrom('sound', 'chalky', 'peeling', 'weak', 'unknown'),
    stains: fc.subarray([...STAINS], { maxLength: 2 }),
    repairs: fc.record({ pinhole: fc.nat(9), coin: fc.nat(3), large: fc.nat(1), anchor: fc.nat(3) }),
  }) as fc.Arbitrary<Partial<Survey>>;
  const start = job();
  fc.assert(
    fc.property(survey, fc.constantFrom('all:wall', 'all:trim', 'all:ceiling'), (set, scope) => {
      const now = edited(start, { name: 'setSurvey', args: { scope, set } });
      for (const s of wholeOf(now).surfaces) {
        expect(prep(s)).toEqual(PREP_STEPS.filter((step) => prep(s).includes(step)));
        const layers = layersOf(s.system.primer.value);
        expect(new Set(layers.map((l) => l.kind)).size).toBe(layers.length);
      }
      for (const op of wholeOf(now).operations) expect(op.minutes.value).toBeGreaterThan(0);
      for (const paint of wholeOf(now).paints) expect(Number.isFinite(paint.expected.value)).toBe(true);
    }),
    runs(20),
  );
});
