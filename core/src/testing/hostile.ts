import fc from 'fast-check';
import { newJob } from '../job/create.ts';
import { newOpening, newPart, seededIds, newRoom } from '../job/blank.ts';
import { DEFAULT_KEYS } from '../job/defaults.ts';
import { EDIT_NAMES, type Edit, type EditName } from '../job/edits.ts';
import { rows } from '../job/table.ts';
import * as r from '../job/recorded.ts';
import type { Job } from '../job/types.ts';
import { WALL_SHAPES } from '../job/wall-shapes.ts';
import type { Reading } from '../units/reading.ts';
import type { Room } from '../job/measured.ts';
import * as v from '../job/vocabulary.ts';

/** Values that no figure can be made of, beside ones that are only unusual: for laws over edits and files. */
const NUMBERS = [0, -0, -1, 1, 2, 0.5, 1e-9, 5e-324, 60, 1e3, 1e4, 1e6, 1e16, 1e308, NaN, Infinity, -Infinity];
export const hostileNumber = fc.oneof(fc.constantFrom(...NUMBERS), fc.double(), fc.integer({ min: -5, max: 500 }));
/** Any characters at all; a string of the library makes a table of all of them first. */
export const anyText = (least: number, most: number): fc.Arbitrary<string> =>
  fc
    .array(fc.integer({ min: 0, max: 0x10ffff }), { minLength: least, maxLength: most })
    .map((points) => String.fromCodePoint(...points.map((at) => (at >= 0xd800 && at < 0xe000 ? at - 0xd800 : at))));
const TEXTS = ['', ' ', 'A', 'Bay window', 'Room #2', '__proto__', 'constructor', 'a\nb', '"', '\\', '＝1+1', '\uFEFF'];
export const hostileText = fc.oneof(
  fc.constantFrom(...TEXTS),
  fc.constantFrom(80, 81, 201, 4001).map((n) => 'x'.repeat(n)),
  anyText(0, 12),
);
const mostly = <T>(good: fc.Arbitrary<T>, bad: fc.Arbitrary<unknown>): fc.Arbitrary<T> =>
  fc.oneof({ weight: 5, arbitrary: good }, { weight: 1, arbitrary: bad as fc.Arbitrary<T> });
const length = fc.integer({ min: 1, max: 6000 }).map((mm): Reading => ({ typed: `${mm} mm`, metres: mm / 1000 }));
/** As small and as large as the validator accepts. */
const ends = fc.constantFrom(0.001, 100, 1000, 10_000).map((metres): Reading => ({ typed: `${metres} m`, metres }));
const mm = (size: number): Reading => ({ typed: `${size} mm`, metres: size / 1000 });
const small = fc.integer({ min: 50, max: 600 }).map(mm);
const reading = mostly(
  fc.oneof({ weight: 4, arbitrary: length }, { weight: 1, arbitrary: ends }),
  fc.record({ typed: hostileText, metres: hostileNumber }),
);
const maybe = fc.option(reading);
const from = <T>(values: readonly T[]) => mostly(fc.constantFrom(...values), hostileText);
const count = mostly(fc.integer({ min: 1, max: 12 }), hostileNumber);
const share = mostly(fc.double({ min: 0, max: 0.9, noNaN: true }), hostileNumber);
const day = mostly(
  fc.constantFrom('2026-11-26', '2028-02-29'),
  fc.oneof(hostileText, fc.constantFrom('2026-02-31', '2026-13-01', '2026-11-26T10:00:00Z')),
);
const hex = from(['#f4f1ea', '#22394f', '#7a1f26']);
const name = mostly(fc.constantFrom('Loft', 'Wall 2'), hostileText);
const boolean = fc.boolean();

/** A small job with something of everything, so that laws over it are quick. */
export function smallJob(): Job {
  const first = newRoom('r1', 'Parlour', seededIds('r1'), 'metric');
  const metres = [4, 3, 4, 3];
  const walls = rows(first.walls).map((wall, i) => ({
    ...wall,
    length: { typed: `${metres[i]} m`, metres: metres[i] ?? 3 },
  }));
  const at = (typed: string): Reading => ({ typed, metres: parseFloat(typed) });
  const wall = walls[0]?.id ?? '';
  const door = newOpening({
    id: 'o1',
    label: 'd1',
    wall,
    kind: 'door',
    width: at('0.8 m'),
    height: at('2 m'),
    at: at('1 m'),
  });
  const dado = newPart({ id: 'p1', label: 'dado', kind: 'dado', wall, height: at('0.9 m') });
  const room: Room = {
    ...first,
    walls: { ...first.walls, byId: Object.fromEntries(walls.map((w) => [w.id, w])) },
    openings: { byId: { o1: { ...door, casing: at('0.07 m') } }, order: ['o1'] },
    parts: { byId: { p1: dado }, order: ['p1'] },
    checks: [{ from: walls[0]?.id ?? '', to: walls[2]?.id ?? '', length: at('5 m') }],
    trim: { baseboard: { face: at('0.1 m'), girth: null, at: null, later: false } },
  };
  const job = newJob('j1', 'Small', 'metric', [room]);
  return {
    ...job,
    survey: { 'r1-0/field': { coat: 'oil' } },
    shelf: {
      byId: { s1: { id: 's1', product: 'paint-wall', sheen: 'matte', colour: 'colour-wall', litres: 1, batch: '7' } },
      order: ['s1'],
    },
    defects: {
      byId: {
        f1: {
          id: 'f1',
          surface: 'r1-0/field',
          at: { x: 1, y: 1.2 },
          size: 0.2,
          kind: 'lap',
          seen: '2026-11-26',
          by: '',
          coat: null,
          signs: {},
          cause: null,
          remedy: null,
          state: 'open',
          note: '',
        },
      },
      order: ['f1'],
    },
    samples: {
      byId: {
        c1: { id: 'c1', scope: 'r1:wall', colour: 'colour-wall', kind: 'sheet', seen: [], dropped: null },
      },
      order: ['c1'],
    },
    options: {
      byId: { x1: { id: 'x1', name: 'Ceiling', surfaces: ['r1/ceiling'], finish: null, taken: true } },
      order: ['x1'],
    },
  };
}

const room = from(['r1', 'n1', 'gone']);
const wall = from(['r1-0', 'r1-1', 'r1-2', 'r1-3', 'gone']);
/** In an order. */
const place = mostly(fc.integer({ min: 0, max: 4 }), hostileNumber);
const fresh = mostly(fc.constantFrom('n1', 'n2', 'n3'), hostileText);
const surface = from(['r1-0/field', 'r1/ceiling', 'o1/leaf', 'all:wall', 'all:trim', 'r1:wall', 'r1/baseboard']);
const product = from(['paint-wall', 'paint-trim', 'primer-board', 'n1']);
const colour = from(['colour-wall', 'colour-trim', 'n1']);
const some = <T>(model: { [K in keyof T]: fc.Arbitrary<T[K]> }) => fc.record(model, { requiredKeys: [] });
const list = <T>(item: fc.Arbitrary<T>, most = 4) => fc.array(item, { maxLength: most });
const finish = fc.record({ product, colour });
const foot = fc.record({ from: reading, to: reading, rise: reading, down: boolean, steps: count });
const wallSet = some({
  label: name,
  length: maybe,
  turn: mostly(fc.constantFrom(90, -90, 45), hostileNumber),
  heightStart: maybe,
  heightEnd: maybe,
  peaks: list(fc.record({ height: reading, at: reading }), 9),
  bow: fc.option(fc.record({ rise: reading, side: from(['in', 'out']) })),
  foot: fc.option(foot),
});
const openingSet = some({
  label: name,
  wall,
  kind: from(v.OPENING_KINDS),
  width: reading,
  height: reading,
  at: reading,
  sill: maybe,
  shape: from(v.OPENING_SHAPES),
  rise: maybe,
  casing: maybe,
  back: maybe,
  reveal: fc.option(fc.record({ depth: reading, painted: boolean })),
  leaf: from(v.LEAVES),
  faces: fc.constantFrom(1, 2, 3),
  panels: fc.record({ rows: count, columns: count }),
  frame: maybe,
  sash: from(v.SASHES),
  board: maybe,
});
const partSet = some({
  label: name,
  kind: from(v.PART_KINDS),
  wall: fc.option(wall),
  width: maybe,
  height: maybe,
  depth: maybe,
  at: maybe,
  sill: maybe,
  count,
});
const can = fc.record({
  litres: mostly(fc.constantFrom(0.5, 1, 2.5, 5, 10), hostileNumber),
  price: mostly(fc.integer({ min: 0, max: 20_000 }), hostileNumber),
  bases: fc.option(list(from(v.TINT_BASES), 3)),
});
const cans = fc.oneof(
  { weight: 6, arbitrary: list(can, 5) },
  { weight: 1, arbitrary: fc.array(can, { minLength: 20, maxLength: 45 }) },
);
const priced = fc.record({ source: name, date: day });
const practice = some({
  openings: from(v.OPENING_SCHOOLS),
  trimOrder: from(v.TRIM_ORDERS),
  accent: from(v.ACCENT_SCHOOLS),
  pull: from(v.PULLS),
  tape: from(v.TAPE_SCHOOLS),
  spread: from(v.SPREADS),
  layOff: from(v.LAY_OFFS),
  firstCoats: from(v.FIRST_COATS),
  doors: from(v.DOOR_SCHOOLS),
  roles: from(v.WET_SCHOOLS),
  division: from(v.DIVISIONS),
  walls: from(v.WALL_SCHOOLS),
  coats: from(['equal', 'thin-then-full']),
  weakCoats: fc.constantFrom(1, 2, 3),
  house: fc.option(fc.record({ pile: fc.constantFrom(0.005, 0.01, 7), fabric: from(v.FABRICS) })),
  boxing: from(v.BOXINGS),
  washing: from(v.WASHINGS),
  rim: from(v.RIMS),
});
const survey = some({
  substrate: from(v.SUBSTRATES),
  texture: from(v.TEXTURES),
  coat: from(v.EXISTING_COATS),
  condition: from(v.CONDITIONS),
  repairs: fc.record({ pinhole: count, coin: count, large: count, anchor: count }),
  stains: list(from(v.STAINS)),
  colour: hex,
  patches: list(hex, 6),
  sheen: from(v.SHEENS),
  moisture: fc.option(mostly(fc.constantFrom(0, 12), hostileNumber)),
  adhesion: fc.option(mostly(fc.constantFrom(0, 5), hostileNumber)),
  built: fc.option(mostly(fc.constant(1950), hostileNumber)),
});
const decision = fc.oneof(
  fc.record({ member: fc.constant('coats'), value: fc.option(count) }),
  fc.record({ member: fc.constant('sheen'), value: fc.option(from(v.SHEENS)) }),
  fc.record({
    member: fc.constant('primer'),
    value: fc.option(
      fc.record({ kind: from(v.PRIMER_KINDS), extent: from(v.PRIMER_EXTENTS), coats: count, tint: fc.option(hex) }),
    ),
  }),
  fc.record({
    member: fc.constant('cover'),
    value: fc.record({ pile: fc.constantFrom(0.005, 0.028, 1), fabric: from(v.FABRICS), width: share }),
  }),
  fc.record({ member: fc.constant('conditioner'), value: fc.constantFrom(0, 0.125, 0.2) }),
);
const minutes = fc.oneof(fc.integer({ min: 0, max: 1440 }), hostileNumber);
const base = smallJob();
const wallPaint = Object.values(base.products)[0];
const productOf = fc
  .record({
    id: product,
    name,
    labelRate: mostly(fc.constantFrom(0.5, 9, 12), hostileNumber),
    porousRate: fc.option(mostly(fc.constant(6), hostileNumber)),
    solids: fc.option(fc.record({ volume: share, dry: mostly(fc.constant(30e-6), hostileNumber) })),
    contrast: mostly(fc.constantFrom(0.3, 0.96), hostileNumber),
    recoat: minutes,
    dry: minutes,
    tapeAfter: fc.option(minutes),
    open: fc.option(minutes),
    labelAir: fc.option(fc.record({ temperature: hostileNumber, humidity: share })),
    labelRange: fc.constant(null),
    recoatBefore: fc.option(minutes),
    cans,
    sheens: mostly(fc.constant(['flat', 'satin']), list(from(v.SHEENS))),
    priced: fc.option(priced),
  })
  .map((set) => ({ ...wallPaint, ...set }));
const roomDraft = fc.record({
  name,
  height: maybe,
  walls: list(
    fc.record({
      label: name,
      length: maybe,
      turn: fc.constantFrom(90, 90, -90, 400),
      heightStart: maybe,
      heightEnd: maybe,
    }),
    6,
  ).map((walls) => walls.map((w) => ({ ...w, peaks: [], bow: null, foot: null }))),
  openings: fc.constant([]),
  checks: fc.constant([]),
  trim: fc.constant({}),
  parts: fc.constant([]),
});

const moment = fc.record({ day: mostly(fc.nat(9), hostileNumber), time: mostly(fc.nat(1440), hostileNumber) });
const task = mostly(from(['r1-1/field:roll1', 'r1:look']), hostileText);

const earlierPaint = fc.record({
  id: fresh,
  coats: count,
  product: hostileText,
  colour: name,
  code: name,
  formula: name,
  hex: fc.option(hex),
  sheen: fc.option(from(v.SHEENS)),
  base: fc.option(from(v.BASES)),
  batch: name,
  primer: name,
  fabric: fc.option(from(v.FABRICS)),
  pile: fc.option(fc.constantFrom(0.005, 7)),
  laid: fc.option(from(r.LAID_BY)),
  thinner: name,
  wax: name,
  when: mostly(fc.constantFrom('2019', '2019-05', ''), hostileText),
  who: name,
  note: name,
  source: name,
  certain: boolean,
});
const defect = {
  surface,
  at: fc.option(fc.record({ x: hostileNumber, y: hostileNumber })),
  size: mostly(fc.constant(0.1), hostileNumber),
  kind: from(r.DEFECTS),
  seen: day,
  by: name,
  coat: fc.option(count),
  signs: some({ from: from(r.SIGNS.from), where: from(r.SIGNS.where) }),
  cause: fc.option(from(r.CAUSES)),
  remedy: fc.option(from(r.REMEDIES)),
  state: from(r.DEFECT_STATES),
  note: hostileText,
};
const sample = {
  scope: surface,
  kind: from(r.SAMPLE_KINDS),
  seen: list(
    fc.record({
      room,
      wall: fc.option(wall),
      light: from(r.TIMES_OF_LIGHT),
      liking: from(r.LIKINGS),
      note: hostileText,
    }),
  ),
  dropped: fc.option(day),
};

/** Arguments for every named edit: an edit without a row here does not compile. */
const ARGUMENTS: Readonly<Record<EditName, fc.Arbitrary<unknown>>> = {
  renameJob: fc.record({ name: hostileText }),
  setUnits: fc.record({ units: from(['metric', 'imperial']) }),
  moveTo: fc.record({ country: from(['DE', 'US', 'GB', 'constructor', 'XX']) }),
  setRegion: fc.record({
    set: some({
      words: from(['american', 'british', 'other']),
      paper: from(['a4', 'letter', 'a5']),
      dates: from(['day-first', 'month-first', 'never']),
      lead: mostly(fc.integer({ min: 1900, max: 2000 }), hostileNumber),
      asbestos: mostly(fc.integer({ min: 1900, max: 2010 }), hostileNumber),
      tins: fc.uniqueArray(mostly(fc.constantFrom(0.75, 1, 2.5, 10), hostileNumber), { maxLength: 4 }),
    }),
  }),
  setCurrency: fc.record({ currency: from(['EUR', 'GBP', 'eur', '']) }),
  setAir: fc.record({
    set: some({
      temperature: mostly(fc.integer({ min: 5, max: 35 }), hostileNumber),
      humidity: share,
      draught: mostly(share, hostileNumber),
    }),
  }),
  pinTask: fc.record({
    task,
    pin: fc.record({ at: fc.option(moment), who: fc.option(list(from(['person-1', '']))) }),
  }),
  wantRoom: fc.record({ room, at: fc.option(moment) }),
  takePlan: fc.record({
    plan: fc.option(fc.record({ order: list(task), who: fc.dictionary(task, list(from(['person-1']))) })),
  }),
  takeUp: fc.record({ scope: surface, product: productOf, colour }),
  setHoles: fc.record({ room, how: from(['none', 'few', 'many', 'loads', 'constructor']) }),
  reserve: fc.record({ key: hostileText, on: boolean }),
  addRoom: fc.record({ id: fresh, name }),
  addRooms: fc.record({
    rooms: fc
      .record({ id: fresh, name })
      .map((r) => [{ ...newRoom(r.id, 'x', seededIds(r.id), 'metric'), name: r.name }]),
  }),
  setRoom: fc.record({
    room,
    set: some({
      name,
      use: from(v.ROOM_USES),
      height: maybe,
      turns: from(['declared', 'measured']),
      floor: from(v.FLOORS),
      bearing: fc.option(hostileNumber),
      focal: fc.option(mostly(wall, fc.constant('none'))),
    }),
  }),
  removeRoom: fc.record({ room }),
  moveRoom: fc.record({ room, to: place }),
  copyRoom: fc.record({ room, id: fresh, name }),
  addWall: fc.record({ room, id: fresh, after: fc.option(wall) }),
  moveWall: fc.record({ room, wall, to: place }),
  shapeWall: fc.record({
    room,
    wall,
    seed: hostileText,
    ask: mostly(
      fc.record({ shape: from(WALL_SHAPES), width: fc.constant(mm(300)), depth: fc.constant(mm(100)), at: small }),
      fc.record({ shape: from(WALL_SHAPES), width: reading, depth: reading, at: reading }),
    ),
  }),
  setWall: fc.record({ room, wall, set: wallSet }),
  setLengths: fc.record({ room, lengths: list(fc.record({ wall, length: reading })) }),
  removeWall: fc.record({ room, wall }),
  addOpening: fc.record({ room, id: fresh, set: openingSet }).map(({ room, id, set }) => ({
    room,
    opening: {
      ...newOpening({
        id,
        label: 'w',
        wall: 'r1-1',
        kind: 'window',
        width: { typed: '1 m', metres: 1 },
        height: { typed: '1 m', metres: 1 },
        at: { typed: '1 m', metres: 1 },
      }),
      ...set,
    },
  })),
  setOpening: fc.record({ room, opening: from(['o1', 'n1']), set: openingSet }),
  removeOpening: fc.record({ room, opening: from(['o1', 'n1']) }),
  addPart: fc
    .record({ room, id: fresh, set: partSet })
    .map(({ room, id, set }) => ({ room, part: { ...newPart({ id, label: 'p', kind: 'dado' }), ...set } })),
  setPart: fc.record({ room, part: from(['p1', 'n1']), set: partSet }),
  removePart: fc.record({ room, part: from(['p1', 'n1']) }),
  setTrim: fc.record({
    room,
    kind: from(v.TRIM_KINDS),
    run: fc.option(fc.record({ face: reading, girth: maybe, at: maybe })),
  }),
  setChecks: fc.record({ room, checks: list(fc.record({ from: wall, to: wall, length: reading })) }),
  setRoomFromText: fc.record({ room, draft: roomDraft, seed: fresh }),
  setFinish: fc.record({ scope: surface, finish: fc.option(finish) }),
  setFinishes: fc.record({ scopes: list(surface), finish }),
  setSurvey: fc.record({ scope: surface, set: survey }),
  forgetSurvey: fc.record({ scope: surface }),
  setSurveys: fc.record({ scopes: list(surface), set: survey }),
  decide: fc.record({ surface, decision }).map(({ surface, decision }) => ({ surface, ...decision })),
  decideAll: fc
    .record({ surfaces: list(surface), decision })
    .map(({ surfaces, decision }) => ({ surfaces, ...decision })),
  together: fc.record({ scope: surface, set: survey, practice }).map(({ scope, set, practice: schools }) => ({
    edits: [
      { name: 'setSurvey', args: { scope, set } },
      { name: 'setPractice', args: { set: schools } },
    ],
  })),
  decideEach: fc.record({ surfaces: list(surface), decision }).map(({ surfaces, decision }) => ({
    member: decision.member,
    values: surfaces.map((s) => ({ surface: s, value: decision.value })),
  })),
  note: fc.record({ key: hostileText, date: fc.option(day) }),
  setPractice: fc.record({ set: practice }),
  setLine: fc.record({
    key: mostly(fc.constantFrom('wall-ceiling', 'corner', 'corner:r1-1/field+r1-2/field:1'), hostileText),
    set: fc.option(
      some({
        wavy: fc.option(boolean),
        first: fc.option(surface),
        method: from(v.LINE_METHODS),
        stays: from(v.TAPE_STAYS),
      }),
    ),
  }),
  mergeColours: fc.record({ from: colour, into: colour }),
  setPlace: fc.record({ place: fc.option(fc.record({ latitude: hostileNumber, longitude: hostileNumber })) }),
  setEarlier: fc.record({ surface, paints: list(earlierPaint, 3) }),
  addEarlier: fc.record({ surfaces: list(surface), paint: earlierPaint }),
  setLeftover: fc.record({
    key: hostileText,
    leftover: fc.option(fc.record({ where: hostileText, litres: fc.option(hostileNumber), date: day })),
  }),
  addDefect: fc.record({ defect: fc.record({ id: fresh, ...defect }) }),
  setDefect: fc.record({ defect: from(['f1', 'n1']), set: some(defect) }),
  removeDefect: fc.record({ defect: from(['f1', 'n1']) }),
  accept: fc.record({
    room,
    acceptance: fc.option(
      fc.record({
        date: day,
        by: hostileText,
        distance: mostly(fc.constant(1.5), hostileNumber),
        light: from(r.TIMES_OF_LIGHT),
        signature: list(list(hostileNumber)),
        note: hostileText,
      }),
    ),
  }),
  addSample: fc.record({ sample: fc.record({ id: fresh, colour, ...sample }) }),
  setSample: fc.record({ sample: from(['c1', 'n1']), set: some(sample) }),
  removeSample: fc.record({ sample: from(['c1', 'n1']) }),
  setLearned: fc.record({
    set: some({
      paces: list(
        fc.record({
          person: from(['p1', 'p2']),
          kind: from(v.TASKS),
          coat: from(v.COAT_CLASSES),
          log: mostly(fc.constant(0.1), hostileNumber),
          sd: fc.constant(0.1),
          m: fc.constantFrom(1, 0),
          date: day,
        }),
      ),
      spreads: list(
        fc.record({
          product: from(['paint-wall']),
          texture: fc.option(from(v.TEXTURES)),
          log: mostly(fc.constant(-0.1), hostileNumber),
          sd: fc.constant(0.1),
          m: fc.constant(2),
          date: day,
        }),
      ),
    }),
  }),
  pinOrder: fc.record({ room, pins: list(fc.record({ before: hostileText, after: hostileText }), 4) }),
  setCrew: fc.record({
    set: some({
      people: list(
        fc.record({
          id: fresh,
          name,
          day: mostly(fc.integer({ min: 0, max: 50_000 }), hostileNumber),
          hand: from(v.HANDS),
        }),
      ),
      hours: list(fc.tuple(minutes, minutes), 3),
      start: fc.option(day),
    }),
  }),
  setSetting: fc.record({
    key: from(DEFAULT_KEYS),
    value: fc.option(fc.oneof(hostileNumber, fc.double({ min: 0, max: 100, noNaN: true }))),
  }),
  setColour: fc.record({ colour: fc.record({ id: colour, name, hex }) }),
  addColours: fc.record({ colours: list(fc.record({ id: fresh, name, hex })) }),
  setProduct: fc.record({ product: productOf }),
  takePrices: fc.record({
    paints: list(fc.record({ product, cans, code: name })),
    materials: list(fc.record({ item: hostileText, each: hostileNumber })),
    priced,
  }),
  setPricing: fc.record({
    set: some({
      overhead: share,
      margin: share,
      tax: share,
      taxName: name,
      taxed: from(v.TAXED),
      billed: from(v.BILLINGS),
      promised: from(v.PROMISES),
      client: name,
      firm: fc.record({ name, contact: name, address: name }),
      valid: count,
      notes: name,
    }),
  }),
  addShelfCan: fc.record({
    can: fc.record({
      id: fresh,
      product,
      sheen: from(v.SHEENS),
      colour: fc.option(colour),
      litres: mostly(share, hostileNumber),
      batch: name,
    }),
  }),
  removeShelfCan: fc.record({ can: from(['s1', 'n1']) }),
  addOption: fc.record({
    option: fc.record({
      id: fresh,
      name,
      surfaces: list(surface),
      finish: fc.option(finish),
      taken: boolean,
    }),
  }),
  setOption: fc.record({
    option: from(['x1', 'n1']),
    set: some({ name, surfaces: list(surface), finish: fc.option(finish), taken: boolean }),
  }),
  removeOption: fc.record({ option: from(['x1', 'n1']) }),
  setOwned: fc.record({ key: hostileText, pieces: count }),
  tick: fc.record({ key: hostileText, date: fc.option(day) }),
  patch: fc.record({
    patches: list(
      fc.record({
        op: fc.constantFrom('replace', 'add', 'remove'),
        path: fc.constantFrom(
          ['rooms', 'order'],
          ['rooms', 'byId', 'r1', 'walls', 'order'],
          ['name'],
          ['settings', 'pace.roll'],
          ['crew', 'hours', 0],
        ),
        value: fc.oneof(hostileText, hostileNumber, fc.constant([])),
      }),
      2,
    ),
  }),
};

/** One named edit with arguments of the right shape and any values. */
export const hostileEditOf = (name: EditName): fc.Arbitrary<Edit> =>
  ARGUMENTS[name].map((args) => ({ name, args }) as Edit);
export const hostileEdit: fc.Arbitrary<Edit> = fc.oneof(...EDIT_NAMES.map(hostileEditOf));

/** A place of a document, counted through all its leaves, and what to put there. */
export const mutation = fc.record({
  at: fc.nat(),
  value: fc.oneof(
    { weight: 4, arbitrary: hostileNumber },
    { weight: 1, arbitrary: hostileText },
    { weight: 1, arbitrary: fc.constantFrom(null, [], {}, true) },
  ),
});
export type Mutation = { readonly at: number; readonly value: unknown };

/** The document with a leaf replaced; a number by a number, a text by a text, where the mutation has one. */
export function mutated(document: unknown, { at, value }: Mutation): unknown {
  const copy = JSON.parse(JSON.stringify(document)) as Record<string, unknown>;
  const leaves: [Record<string, unknown>, string][] = [];
  const walk = (owner: Record<string, unknown>) => {
    for (const [key, item] of Object.entries(owner))
      if (typeof item === 'object' && item !== null && Object.keys(item).length) walk(item as Record<string, unknown>);
      else leaves.push([owner, key]);
  };
  walk(copy);
  const alike = leaves.filter(([owner, key]) => typeof owner[key] === typeof value);
  const chosen = alike.length ? alike : leaves;
  const [owner, key] = chosen[at % chosen.length] as [Record<string, unknown>, string];
  owner[key] = value;
  return copy;
}
