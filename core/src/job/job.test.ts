import { describe, expect, test } from '@jest/globals';
import { Ajv } from 'ajv';
import fc from 'fast-check';
import { runs } from '../testing/runs.ts';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { newJob } from './create.ts';
import { newRoom, seededIds } from './blank.ts';
import { editJob } from './admit.ts';
import { DEFAULT_KEYS, DEFAULTS, type DefaultKey } from './defaults.ts';
import { applyEdit, type Edit } from './edits.ts';
import { overlap } from './overlap.ts';
import { MAX_JOB_BYTES } from './limits.ts';
import { systemOf } from './region.ts';
import { JOB_VERSION } from './version.ts';
import { openJob } from './open.ts';
import { reconcileRoom } from './reconcile.ts';
import { takeoffJob } from '../measure/takeoff.ts';
import { smallJob } from '../testing/hostile.ts';
import { figuresFault } from '../testing/laws.ts';
import { sentence } from '../units/problem.ts';
import { rows } from './table.ts';
import type { Job } from './types.ts';
import type { Room } from './measured.ts';
import { at } from '../units/list.ts';

const room = newRoom('r1', 'Parlour', seededIds('r1'), 'imperial');
const job = newJob('j1', 'Test', 'imperial', [room]);
const text = JSON.stringify(job);
const messages = (content: string) => {
  const opened = openJob(content);
  return opened.ok ? [] : opened.problems.map((p) => `${p.path}: ${p.message}`);
};
const edited = (before: Job, edit: Edit) => {
  const result = applyEdit(before, edit);
  if (!result.ok) throw new Error(result.problems[0]?.message);
  return result.value;
};

describe('a job file at the door', () => {
  test('every version ever written still opens, to the same rooms', () => {
    const area = (job: Job) => takeoffJob(job).map((t) => [t.room.name, t.surfaces.map((s) => s.area.value)]);
    const opened = Array.from({ length: JOB_VERSION }, (_, i) => {
      const job = openJob(readFileSync(join(__dirname, `fixtures/v${i + 1}.json`), 'utf8'));
      if (!job.ok) throw new Error(job.problems.map(sentence).join('\n'));
      return area(job.value).slice(0, 1);
    });
    expect(opened[0]?.[0]?.[0]).toBe('Loft bedroom');
    for (const later of opened) expect(later).toEqual(opened[0]);
  });
  test('version 3: repairs in words become counts, yes and no become answers, a practice gets its schools', () => {
    const old = JSON.parse(readFileSync(join(__dirname, 'fixtures/v2.json'), 'utf8')) as Record<string, unknown>;
    const survey = { 'all:wall': { repairs: 'many', stains: true, wiped: true, wax: true, raking: false } };
    const primer = { kind: 'bonding', extent: 'full', coats: 1 };
    const opened = openJob(JSON.stringify({ ...old, survey, decisions: { 'all:wall': { primer } } }));
    expect(opened).toMatchObject({
      ok: true,
      value: {
        survey: {
          'all:wall': {
            repairs: { pinhole: 20, coin: 4, large: 0, anchor: 0 },
            stains: ['other'],
            touched: ['hands'],
            wax: 'yes',
            raking: 'no',
          },
        },
        decisions: { 'all:wall': { primer: { ...primer, tint: null } } },
        practice: { walls: 'weighed', coats: 'equal', house: null },
      },
    });
    const family = opened.ok && Object.values(opened.value.products).map((p) => p.family);
    expect(family).toEqual(['wall', 'ceiling', 'enamel', null, null, null, null, null]);
  });
  test('version 4: pay by the hour becomes pay for a day, and nothing is priced on top', () => {
    const opened = openJob(readFileSync(join(__dirname, 'fixtures/v3.json'), 'utf8'));
    const { people, hours } = opened.ok ? opened.value.crew : { people: [], hours: [] };
    const minutes = hours.reduce((sum, [from, to]) => sum + to - from, 0);
    expect(people.map((p) => p.day)).toEqual(people.map(() => (4200 * minutes) / 60));
    expect(opened).toMatchObject({ ok: true, value: { pricing: { overhead: 0, margin: 0, tax: null }, owned: {} } });
  });
  test('version 6: minutes of several steps at once are gone, what was paid a load is paid a trip, no trim is still to come', () => {
    const old = JSON.parse(readFileSync(join(__dirname, 'fixtures/v5.json'), 'utf8')) as Job;
    const settings = {
      'pace.prep': 1,
      'pace.prepTrim': 1,
      'pace.prime': 1,
      'prep.poor': 3,
      'load.minutes': 5,
      'pace.cut': 1,
    };
    const opened = openJob(JSON.stringify({ ...old, settings }));
    expect(opened).toMatchObject({ ok: true, value: { settings: { 'travel.minutes': 5, 'pace.cut': 1 } } });
    expect(Object.keys((opened.ok && opened.value.settings) || {})).toHaveLength(2);
    const runs = opened.ok ? rows(opened.value.rooms).flatMap((r) => Object.values(r.trim)) : [];
    expect(runs.map((run) => run.later)).toEqual(runs.map(() => false));
    expect(runs.length).toBeGreaterThan(0);
  });
  test('version 7: a region by the currency, one primer is the first of two, what nobody did about a fixture is usual', () => {
    const old = JSON.parse(readFileSync(join(__dirname, 'fixtures/v6.json'), 'utf8')) as Job;
    const now = (change: Partial<Job>) => {
      const opened = openJob(JSON.stringify({ ...old, ...change }));
      if (!opened.ok) throw new Error(opened.problems.map(sentence).join('\n'));
      return opened.value;
    };
    expect(now({}).region).toMatchObject({ country: 'US', paper: 'letter', lead: 1978 });
    expect(now({ units: 'metric' }).region).toMatchObject({ country: 'other', words: 'british', paper: 'a4' });
    expect(now({ units: 'metric', currency: 'GBP' }).region.country).toBe('GB');
    // nothing is priced anew but the gallons of a metric job that nobody had priced
    expect(now({}).products['paint-wall']?.cans).toEqual(old.products['paint-wall']?.cans);
    const sizes = (job: Job) => job.products['paint-wall']?.cans.map((can) => can.litres);
    expect(sizes(now({ units: 'metric' }))).toEqual([0.75, 1, 2.5, 5, 10]);
    const wall = {
      ...old.products['paint-wall'],
      priced: { source: 'shop', date: '2026-11-01' },
    } as Job['products'][string];
    expect(sizes(now({ units: 'metric', products: { ...old.products, 'paint-wall': wall } }))).toEqual(sizes(old));
    expect(now({}).products['primer-board']?.serves).toEqual(['board', 'sealing']);
    expect(Object.values(now({}).decisions)[0]?.primer).toMatchObject({ kind: 'undercoat', then: null });
    expect(now({}).air).toMatchObject({ temperature: 20, humidity: 0.5, draught: 0.1, surface: null, day: [] });
  });
  test('version 8: nothing is said of lines yet, every hand is a right one, no focal wall was asked for', () => {
    const opened = openJob(readFileSync(join(__dirname, 'fixtures/v7.json'), 'utf8'));
    if (!opened.ok) throw new Error(opened.problems.map(sentence).join('\n'));
    const { lines, orders, practice, crew, rooms: all, products } = opened.value;
    expect([lines, orders]).toEqual([{}, {}]);
    expect(practice).toMatchObject({ accent: 'cheapest', pull: 'wet', tape: 'by-ground' });
    expect(new Set(crew.people.map((p) => p.hand))).toEqual(new Set(['right']));
    expect(new Set(rows(all).map((r) => r.focal))).toEqual(new Set([null]));
    expect(new Set(Object.values(products).map((p) => p.tapeAfter))).toEqual(new Set([null]));
  });
  test('version 5: what version 4 let in although it cannot be is mended, and nothing else is lost', () => {
    const old = JSON.parse(readFileSync(join(__dirname, 'fixtures/v4.json'), 'utf8')) as Job;
    const [id = ''] = old.rooms.order;
    const was = old.rooms.byId[id] as Room;
    const [a = '', b = ''] = was.walls.order;
    const broken = {
      ...old,
      name: 'Line\nend',
      settings: { 'pace.protect': 0, 'diagonal.se': 0, 'order.risk': 1e16 },
      crew: {
        ...old.crew,
        hours: [
          [600, 500],
          [480, 720],
          [700, 800],
        ],
        people: old.crew.people.map((p) => ({ ...p, day: p.day + 0.5 })),
      },
      products: Object.fromEntries(
        Object.entries(old.products).map(([key, p]) => [
          key,
          {
            ...p,
            labelRate: 1e-9,
            cans: Array.from({ length: 45 }, () => ({ litres: 1e-6, price: 2e11, bases: null })),
          },
        ]),
      ),
      pricing: { ...old.pricing, valid: -3 },
      bought: { tape: '2026-11-25T10:00:00Z' },
      rooms: {
        ...old.rooms,
        byId: {
          ...old.rooms.byId,
          [id]: {
            ...was,
            walls: {
              byId: {
                ...was.walls.byId,
                [a]: { ...was.walls.byId[a], length: { typed: '13', metres: 13 * 0.3048 } },
                [b]: { ...was.walls.byId[b], length: { typed: '0', metres: 0 } },
              },
              order: [...was.walls.order, 'gone'],
            },
          },
        },
      },
    };
    const opened = openJob(JSON.stringify(broken));
    if (!opened.ok) throw new Error(opened.problems.map(sentence).join('\n'));
    const job = opened.value;
    const walls = job.rooms.byId[id]?.walls;
    expect([walls?.order, walls?.byId[a]?.length?.typed, walls?.byId[b]?.length]).toEqual([
      was.walls.order,
      `13'`,
      null,
    ]);
    expect([job.name, job.crew.hours, job.pricing.valid, job.bought]).toEqual([
      'Line end',
      [[480, 720]],
      0,
      { tape: '2026-11-25' },
    ]);
    expect(job.settings).toEqual({ 'pace.protect': 0.01, 'diagonal.se': 0.0005, 'order.risk': 0.5 });
    expect(Object.values(job.products).map((p) => [p.labelRate, p.cans.length, p.cans[0]?.litres])).toEqual(
      Object.values(job.products).map(() => [0.5, 40, 0.05]),
    );
    expect(Number.isInteger(job.crew.people[0]?.day)).toBe(true);
  });
  test('what is written opens to the same document', () => expect(openJob(text)).toEqual({ ok: true, value: job }));
  test.each([
    ['truncated', text.slice(0, 2000), /cut off/],
    ['empty', '', /empty/],
    ['another kind', '%PDF-1.7 ...', /another kind/],
    ['other JSON', '{"a":1}', /not a Kovelin job/],
    ['a future version', text.replace(`"version":${JOB_VERSION}`, '"version":99'), /newer Kovelin.*left as it is/],
    ['a number JSON has not', text.replace('"turn":90', '\n"turn":NaN'), /“NaN” is no value of JSON/],
    ['a day there is not', text.replace('"start":null', '"start":"2026-02-31"'), /a day there is, written 2026-11-26/],
    [
      'a first day of another century',
      text.replace('"start":null', '"start":"1900-01-01"'),
      /first day from 2000-01-01 to 2100-12-31/,
    ],
    ['a thing of nothing', text.replace('"metres":2.4384', '"metres":0'), /metres is 0; at least 0.001/],
    ['hours that run back', text.replace('[480,720]', '[720,480]'), /working hours are stretches.*in order/],
    ['a wrong type', text.replace('"turn":90', '"turn":"R"'), /walls\/byId.*turn.*number/],
    ['an unknown key', text.replace('"units"', '"unit":1,"units"'), /unit.*not allowed/],
    ['a dangling wall', text.replace('"order":["r1-0"', '"order":["gone"'), /order list/],
    ['a missing finish', text.replace('"product":"paint-wall"', '"product":"nothing"'), /paint that is not in the job/],
    ['too large', ' '.repeat(MAX_JOB_BYTES + 1), /20 MB/],
    ['a key that reaches prototypes', text.replace('"byId":{"r1"', '"byId":{"__proto__":{},"r1"'), /__proto__/],
  ])('%s is refused with a sentence', (_, content, message) => expect(messages(content).join('\n')).toMatch(message));
  test('a bare word is said with its line and column; a mark of the encoding before the text is passed over', () => {
    const opened = openJob(text.replace('"turn":90', '\n "turn":NaN'));
    expect(opened).toMatchObject({ ok: false, problems: [{ line: 2, column: 9 }] });
    expect(openJob(`\uFEFF${text}`)).toEqual({ ok: true, value: job });
  });
  test('damage anywhere gives a document or sentences, never a throw', () => {
    fc.assert(
      fc.property(fc.nat(text.length - 1), fc.string({ maxLength: 3 }), (at, scrap) => {
        const opened = openJob(text.slice(0, at) + scrap + text.slice(at + 1));
        if (!opened.ok) expect(opened.problems.length).toBeGreaterThan(0);
      }),
      runs(50),
    );
  });
});

describe('named edits', () => {
  const ids = rows(room.walls).map((w) => w.id);
  const edit = fc.oneof(
    fc.record({
      name: fc.constant('setWall' as const),
      args: fc.record({
        room: fc.constant('r1'),
        wall: fc.constantFrom(...ids),
        set: fc.record({ turn: fc.integer({ min: -180, max: 180 }) }),
      }),
    }),
    fc.record({
      name: fc.constant('addWall' as const),
      args: fc.record({ room: fc.constant('r1'), id: fc.uuid(), after: fc.constantFrom(...ids, null) }),
    }),
    fc.record({
      name: fc.constant('setUnits' as const),
      args: fc.record({ units: fc.constantFrom('imperial' as const, 'metric' as const) }),
    }),
    fc.record({
      name: fc.constant('decide' as const),
      args: fc.record({
        surface: fc.constantFrom('a/field', 'b/field'),
        member: fc.constant('coats' as const),
        value: fc.constantFrom(1, 2, null),
      }),
    }),
  );
  test('undoing any run of edits gives back the document, and the same edits give the same document again', () => {
    fc.assert(
      fc.property(fc.array(edit, { maxLength: 12 }), (edits) => {
        let now = job;
        const inverses = edits.map((e) => {
          const done = edited(now, e as Edit);
          now = done.job;
          return done.inverse;
        });
        expect(edits.reduce((j, e) => edited(j, e as Edit).job, job)).toEqual(now);
        for (const patches of inverses.reverse()) now = edited(now, { name: 'patch', args: { patches } }).job;
        expect(now).toEqual(job);
      }),
      runs(20),
    );
  });
  test('an edit whose target is gone, or whose argument cannot be, is a problem', () => {
    const refused = (e: Edit) => {
      const result = applyEdit(job, e);
      return result.ok ? '' : result.problems[0]?.message;
    };
    expect(refused({ name: 'removeRoom', args: { room: 'gone' } })).toMatch(/no longer/);
    expect(refused({ name: 'renameJob', args: { name: ' ' } })).toMatch(/1 to 80/);
    expect(refused({ name: 'setWall', args: { room: 'r1', wall: 'r1-0', set: { turn: 400 } } })).toMatch(/360/);
    expect(refused({ name: 'setCrew', args: { set: { hours: [[600, 500]] } } })).toMatch(/in order/);
  });
  test('edits of an order: refused with a sentence where they cannot be, and undone whole', () => {
    const message = (e: Edit) => {
      const result = applyEdit(job, e);
      return result.ok ? '' : result.problems[0]?.message;
    };
    const wall = job.products['paint-wall'];
    if (!wall) throw new Error('no wall paint');
    const can = {
      id: 's1',
      product: 'paint-wall',
      sheen: 'matte',
      colour: 'colour-wall',
      litres: 1,
      batch: '7',
    } as const;
    const option = { id: 'o1', name: 'Closet', surfaces: ['r1-0/field'], finish: null, taken: false };
    expect(message({ name: 'setPricing', args: { set: { margin: 1 } } })).toMatch(/between 0 and 100/);
    expect(message({ name: 'addShelfCan', args: { can: { ...can, litres: 0 } } })).toMatch(/more than nothing/);
    expect(message({ name: 'addOption', args: { option: { ...option, name: ' ' } } })).toMatch(/1 to 80/);
    expect(message({ name: 'setOption', args: { option: 'gone', set: { taken: true } } })).toMatch(/no longer/);
    expect(message({ name: 'setOwned', args: { key: 'pole', pieces: 1.5 } })).toMatch(/whole number/);
    expect(
      message({ name: 'setFinishes', args: { scopes: ['all:wall'], finish: { product: 'x', colour: 'colour-wall' } } }),
    ).toMatch(/no longer in the job/);
    const cans = wall.cans.map((c) => ({ ...c, price: -1 }));
    expect(message({ name: 'setProduct', args: { product: { ...wall, cans } } })).toMatch(/whole number of cents/);
    const priced = { source: 'Desk', date: '2026-11-25' };
    const edits: Edit[] = [
      { name: 'addShelfCan', args: { can } },
      { name: 'addOption', args: { option } },
      { name: 'setOption', args: { option: 'o1', set: { taken: true } } },
      { name: 'setOwned', args: { key: 'pole', pieces: 2 } },
      { name: 'tick', args: { key: 'tape|0.0254', date: '2026-11-25' } },
      {
        name: 'takePrices',
        args: {
          paints: [
            { product: 'paint-wall', cans: wall.cans.slice(0, 1) },
            { product: 'gone', cans: [] },
          ],
          materials: [{ item: 'tape', each: 900 }],
          priced,
        },
      },
      { name: 'decideEach', args: { member: 'coats', values: [{ surface: 'r1-0/field', value: 3 }] } },
    ];
    let now = job;
    const inverses = edits.map((e) => {
      const done = edited(now, e);
      now = done.job;
      return done.inverse;
    });
    expect(openJob(JSON.stringify(now))).toEqual({ ok: true, value: now });
    expect([now.prices['tape']?.each, now.products['paint-wall']?.priced, now.products['gone']]).toEqual([
      900,
      priced,
      undefined,
    ]);
    expect(now.decisions['r1-0/field']).toEqual({ coats: 3 });
    for (const patches of inverses.reverse()) now = edited(now, { name: 'patch', args: { patches } }).job;
    expect(now).toEqual(job);
  });
  test('every starting value: at its ends the edit, the door and all figures bear it, beyond them none lets it in', () => {
    const small = smallJob();
    // what the door and the edit say of a value is the same for a job without a room
    const bare = newJob('bare', 'Bare');
    // all that follows takes a while: at one end of each, the least and the most in turn, two dozen at a time
    const some = new Map<DefaultKey, number>();
    const followed = (): void => {
      const job = { ...small, settings: { ...small.settings, ...Object.fromEntries(some) } };
      expect([[...some], figuresFault(job)]).toEqual([[...some], null]);
      some.clear();
    };
    for (const [n, key] of DEFAULT_KEYS.entries()) {
      const [least, most] = DEFAULTS[key].ends;
      expect([key, DEFAULTS[key].value >= least && DEFAULTS[key].value <= most]).toEqual([key, true]);
      for (const value of [least, most]) {
        const done = editJob(bare, { name: 'setSetting', args: { key, value } });
        expect([key, value, done.ok]).toEqual([key, value, true]);
        if ((value === least) === (n % 2 === 0)) some.set(key, value);
        if (some.size === 24) followed();
      }
      for (const value of [least - 1e-6, most * 1.01, NaN]) {
        expect(editJob(bare, { name: 'setSetting', args: { key, value } }).ok).toBe(false);
        // the door looks at it as the edit does: at one end of each
        if (value > most === (n % 2 === 0) && !Number.isNaN(value))
          expect(openJob(JSON.stringify({ ...bare, settings: { [key]: value } })).ok).toBe(false);
      }
    }
    followed();
  });
  test('paths overlap when one lies inside the other', () => {
    expect(overlap([{ path: ['rooms', 'a'] }], [{ path: ['rooms', 'a', 'name'] }])).toBe(true);
    expect(overlap([{ path: ['rooms', 'a'] }], [{ path: ['rooms', 'b'] }])).toBe(false);
  });
});

test('text edits keep ids by label, then by position', () => {
  const walls = rows(room.walls).map(({ id: _, ...wall }) => wall);
  const draft = { name: 'Parlour', height: null, openings: [], checks: [], trim: {}, parts: [] };
  const renamed = reconcileRoom(
    room,
    { ...draft, walls: walls.map((w) => (w.label === 'B' ? { ...w, label: 'Bay' } : w)) },
    seededIds('n'),
  );
  expect(renamed.walls.order).toEqual(room.walls.order);
  const inserted: Room = reconcileRoom(
    room,
    { ...draft, walls: [walls[0], { ...walls[1], label: 'X' }, ...walls.slice(1)] as typeof walls },
    seededIds('n'),
  );
  expect(inserted.walls.order.filter((id) => room.walls.order.includes(id))).toEqual(room.walls.order);
});

test('the published schema is the one in force', async () => {
  const { schemaText } = await import('../../../scripts/schema.ts');
  const published = readFileSync(join(__dirname, '../../../docs/job.schema.json'), 'utf8');
  expect(published).toBe(schemaText());
  // read by an independent validator: it takes every version in force, and refuses what the door refuses
  const validate = new Ajv({ strict: false, validateFormats: false }).compile(JSON.parse(published) as object);
  const example = readFileSync(join(__dirname, '../../../examples/keepers-cottage.json'), 'utf8');
  expect(validate(JSON.parse(example))).toBe(true);
  for (const [a, b] of [
    ['"turn": 90', '"turn": "R"'],
    ['"units"', '"unit": 1, "units"'],
    ['"sash": "none"', '"sash": "open"'],
  ] as const)
    expect([a, validate(JSON.parse(example.replace(a, b)))]).toEqual([a, false]);
});

describe('a job in another country', () => {
  const start = newJob('j', 'Job', 'imperial');
  const moved = (country: 'GB' | 'DE' | 'FR' | 'US') => edited(start, { name: 'moveTo', args: { country } }).job;
  test('brings its tins, money, words, paper, dates, tax and rules; and one edit back', () => {
    const there = moved('GB');
    expect(there).toMatchObject({ currency: 'GBP', units: 'metric', pricing: { taxName: 'VAT' } });
    expect(there.region).toMatchObject({ words: 'british', paper: 'a4', dates: 'day-first', lead: 1992 });
    for (const { cans } of Object.values(there.products))
      expect(cans.map((can) => can.litres)).toEqual([0.75, 1, 2.5, 5, 10]);
    const back = edited(there, { name: 'moveTo', args: { country: 'US' } }).job;
    expect(Object.values(back.products).map((p) => p.cans.map((can) => can.litres))).toEqual(
      Object.values(start.products).map((p) => p.cans.map((can) => can.litres)),
    );
  });
  test('a larger tin costs more, and less by the litre; prices go by the level, what a shop asked is forgotten', () => {
    for (const { cans } of Object.values(moved('GB').products))
      cans.slice(1).forEach((can, i) => {
        const less = at(cans, i);
        expect(can.price).toBeGreaterThan(less.price);
        expect(can.price / can.litres).toBeLessThanOrEqual((less.price / less.litres) * 1.001);
      });
    const taken = edited(moved('GB'), {
      name: 'takePrices',
      args: { paints: [], materials: [{ item: 'tape', each: 600 }], priced: { source: 'shop', date: '2026-11-26' } },
    }).job;
    expect(edited(taken, { name: 'moveTo', args: { country: 'DE' } }).job.prices).toEqual({});
    // the same money: what was asked stands
    const german = edited(moved('DE'), {
      name: 'takePrices',
      args: { paints: [], materials: [{ item: 'tape', each: 600 }], priced: { source: 'shop', date: '2026-11-26' } },
    }).job;
    expect(edited(german, { name: 'moveTo', args: { country: 'FR' } }).job.prices).toEqual(german.prices);
  });
  test('each of it can be had otherwise: words apart from units, sizes of tins', () => {
    const words = edited(moved('GB'), { name: 'setRegion', args: { set: { words: 'american', tins: [1, 4] } } }).job;
    expect(systemOf(words)).toBe('metric-american');
    expect(words.products['paint-wall']?.cans.map((can) => can.litres)).toEqual([1, 4]);
  });
});
