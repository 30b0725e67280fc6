import { JOB_VERSION } from './version.ts';
import Joi from 'joi';
import { isDay, isZone } from '../units/day.ts';
import { DEFAULT_KEYS, DEFAULTS } from './defaults.ts';
import { ENDS, isStart, MOST, START_ENDS, type Ends } from './limits.ts';
import type { Can, Colour, Decisions, FinishChoice, Practice, Priced, PrimerLayer, Product } from './paints.ts';
import type { Crew, Moment, Person, TakenPlan, TaskPin } from './crew.ts';
import type { Accepted, AcceptedPace, AcceptedSpread } from './learned.ts';
import type { LineSaid, OrderPin } from './lines.ts';
import type { Job } from './types.ts';
import type { JobOption, Firm, Pricing, ShelfCan } from './priced.ts';
import type { Opening, Part, Room, Wall } from './measured.ts';
import { COUNTRIES, DATE_FORMS, DIALECTS, PAPERS, type Air, type AirReading, type Region } from './region.ts';
import * as r from './recorded.ts';
import type { Reading } from '../units/reading.ts';
import type { Survey } from './surveyed.ts';
import type { Table } from './table.ts';
import * as v from './vocabulary.ts';

/** The job document at the door. What it may hold is said in limits.ts and defaults.ts; `docs/job.schema.json` is made from this. */

/** An object with just the keys of its type: a key added to one and not to the other does not compile. */
const shape = <T>(keys: { readonly [K in keyof T]-?: Joi.Schema }) => Joi.object(keys);

/** Keys that reach an object's prototype are no keys of ours. */
const OWN = '(?!__proto__$|constructor$|prototype$)';
const key = (most: number) =>
  Joi.string()
    .pattern(new RegExp(`^${OWN}`), 'a key')
    .max(most);
const id = Joi.string()
  .pattern(new RegExp(`^${OWN}[A-Za-z0-9][\\w-]{0,79}$`), 'an id')
  .required();
/** Shown on drawings and written on sheets: a line of its own, so without control characters. */
const line = Joi.string().pattern(/^\P{Cc}*$/u, 'one line of text');
const label = line.min(1).max(MOST.name).required();
const scope = Joi.string()
  .pattern(new RegExp(`^${OWN}[A-Za-z0-9][\\w-]*([:/][\\w-]+)*$`), 'a surface or scope')
  .max(200);
const one = <T extends string>(values: readonly T[]) => Joi.string<T>().valid(...values);
const number = ([least, most]: Ends) => Joi.number().min(least).max(most).required();
const whole = (least: number, most: number) => Joi.number().integer().min(least).max(most).required();
const money = number(ENDS.money).integer();
const day = Joi.string()
  .custom((text: string, helpers) => (isDay(text) ? text : helpers.error('day')))
  .required();
const hex = Joi.string().pattern(/^#[0-9a-f]{6}$/, '#rrggbb');
const free = (most: number) => Joi.string().max(most).required().allow('');
const priced = { source: Joi.string().max(MOST.source).required().allow(''), date: day };

const readingOf = (ends: Ends) => shape<Reading>({ typed: line.max(MOST.typed).required(), metres: number(ends) });
const size = readingOf(ENDS.size).required();
const maybeSize = size.allow(null);
const place = readingOf(ENDS.place).required();
const maybePlace = place.allow(null);

/** Entries by key; `most` of them. */
const record = (keys: Joi.StringSchema, entry: Joi.Schema, most: number) =>
  Joi.object().pattern(keys, entry).max(most).required();
const table = (entries: Joi.ObjectSchema, most: number) =>
  shape<Table<unknown>>({
    byId: entries,
    order: Joi.array().items(Joi.string()).unique().max(most).required(),
  }).required();

const wall = shape<Wall>({
  id,
  label,
  length: maybeSize,
  turn: Joi.number().greater(-360).less(360).required(),
  heightStart: maybeSize,
  heightEnd: maybeSize,
  peaks: Joi.array()
    .items(Joi.object({ height: size, at: place }))
    .max(MOST.heights)
    .required(),
  bow: Joi.object({ rise: size, side: one(['out', 'in']).required() })
    .required()
    .allow(null),
  foot: Joi.object({
    from: place,
    to: place,
    rise: size,
    down: Joi.boolean().required(),
    steps: whole(0, MOST.steps),
  })
    .required()
    .allow(null),
});
const grid = whole(1, MOST.panels);
const opening = shape<Opening>({
  id,
  label,
  wall: id,
  kind: one(v.OPENING_KINDS).required(),
  width: size,
  height: size,
  at: place,
  sill: maybePlace,
  shape: one(v.OPENING_SHAPES).required(),
  rise: maybeSize,
  casing: maybeSize,
  girth: maybeSize,
  back: maybeSize,
  reveal: Joi.object({ depth: size, painted: Joi.boolean().required() }).required().allow(null),
  leaf: one(v.LEAVES).required(),
  faces: Joi.number().valid(1, 2).required(),
  panels: Joi.object({ rows: grid, columns: grid }).required(),
  frame: maybeSize,
  sash: one(v.SASHES).required(),
  board: maybeSize,
  apron: maybeSize,
});
const part = shape<Part>({
  id,
  label,
  kind: one(v.PART_KINDS).required(),
  wall: id.allow(null),
  width: maybeSize,
  height: maybeSize,
  depth: maybeSize,
  at: maybePlace,
  sill: maybePlace,
  count: whole(0, MOST.count),
  way: one(v.FIXTURE_WAYS).required().allow(null),
});
const walls = record(id, wall, MOST.walls);
const openings = record(id, opening, MOST.openings);
const parts = record(id, part, MOST.parts);
const room = shape<Room>({
  id,
  name: label,
  use: one(v.ROOM_USES).required(),
  floor: one(v.FLOORS).required(),
  bearing: Joi.number().min(0).less(360).required().allow(null),
  focal: id.allow(null),
  height: maybeSize,
  turns: one(['declared', 'measured']).required(),
  walls: table(walls, MOST.walls),
  openings: table(openings, MOST.openings),
  checks: Joi.array()
    .items(Joi.object({ from: id, to: id, length: size }))
    .max(MOST.diagonals)
    .required(),
  trim: Joi.object()
    .pattern(
      one(v.TRIM_KINDS),
      Joi.object({ face: size, girth: maybeSize, at: maybePlace, later: Joi.boolean().required() }),
    )
    .required(),
  parts: table(parts, MOST.parts),
});
const rate = number(ENDS.rate);
const product = shape<Product>({
  id,
  name: label,
  role: one(['finish', 'primer']).required(),
  primer: one(v.PRIMER_KINDS).required(),
  serves: Joi.array().items(one(v.PRIMER_KINDS)).unique().required(),
  base: one(v.BASES).required(),
  family: one(v.PAINT_FAMILIES).required().allow(null),
  sheens: Joi.array().items(one(v.SHEENS)).min(1).max(MOST.sizes).required(),
  scrub: Joi.number()
    .valid(...v.SCRUB_CLASSES)
    .required()
    .allow(null),
  labelRate: rate,
  porousRate: rate.allow(null),
  solids: Joi.object({ volume: number(ENDS.solids), dry: number(ENDS.dryFilm) })
    .required()
    .allow(null),
  contrast: number(ENDS.contrast),
  inColour: record(id.optional(), number(ENDS.contrast).optional(), MOST.colours),
  contrastRate: rate.allow(null),
  recoat: number(ENDS.minutes),
  dry: number(ENDS.minutes),
  open: number(ENDS.open).allow(null),
  labelAir: Joi.object({ temperature: number(ENDS.temperature), humidity: number(ENDS.share) })
    .required()
    .allow(null),
  labelRange: Joi.object({ least: number(ENDS.temperature), most: number(ENDS.temperature) })
    .required()
    .allow(null),
  recoatBefore: number(ENDS.minutes).allow(null),
  tapeAfter: number(ENDS.minutes).allow(null),
  cans: Joi.array()
    .items(
      shape<Can>({
        litres: number(ENDS.can),
        price: money,
        bases: Joi.array().items(one(v.TINT_BASES)).unique().required().allow(null),
      }),
    )
    .max(MOST.sizes)
    .required(),
  code: free(MOST.name),
  priced: shape<Priced>(priced).required().allow(null),
  source: free(MOST.source),
  picked: day.allow(null),
});
const said = line.max(MOST.formula);
const colour = shape<Colour>({ id, name: label, hex: hex.required(), code: said, formula: said });
const finish = shape<FinishChoice>({ product: id, colour: id });
const adhesion = Joi.number().integer().min(0).max(5).allow(null);
const zone = Joi.object({
  coat: one(v.EXISTING_COATS),
  condition: one(v.CONDITIONS),
  solvent: one(v.SOLVENT_RUBS),
  adhesion,
  wax: one(v.KNOWN),
});
const survey = shape<Survey>({
  substrate: one(v.SUBSTRATES),
  texture: one(v.TEXTURES),
  fibres: one(v.FIBRES),
  coat: one(v.EXISTING_COATS),
  condition: one(v.CONDITIONS),
  repairs: Joi.object(Object.fromEntries(v.REPAIR_CLASSES.map((of) => [of, whole(0, MOST.count)]))),
  stains: Joi.array().items(one(v.STAINS)).unique(),
  porous: one(v.KNOWN),
  touched: Joi.array().items(one(v.TOUCHERS)).unique(),
  colour: hex,
  sheen: one(v.SHEENS),
  patches: Joi.array().items(hex).max(MOST.oldColours),
  wax: one(v.KNOWN),
  damp: one(v.KNOWN),
  fresh: Joi.boolean(),
  raking: one(v.RAKING),
  level: one(v.BOARD_LEVELS),
  solvent: one(v.SOLVENT_RUBS),
  drop: one(v.WATER_DROPS),
  wipe: one(v.WIPES),
  moisture: number(ENDS.moisture).optional().allow(null),
  adhesion,
  built: number(ENDS.year).integer().optional().allow(null),
  zones: Joi.object().pattern(one(v.ZONES), zone),
});
const pile = Joi.number().valid(...v.PILES);
const width = number(ENDS.tool);
const layer = {
  kind: one(v.PRIMER_KINDS).required(),
  extent: one(v.PRIMER_EXTENTS).required(),
  coats: whole(0, 4),
  tint: hex.required().allow(null),
};
const decisions = shape<Decisions>({
  prep: Joi.array().items(one(v.PREP_STEPS)).unique(),
  primer: Joi.object({ ...layer, then: shape<PrimerLayer>(layer).required().allow(null) }),
  paint: one(v.PAINT_FAMILIES),
  sheen: one(v.SHEENS),
  cover: Joi.object({ pile: pile.required(), fabric: one(v.FABRICS).required(), width }),
  brush: Joi.object({ width, shape: one(v.BRUSH_SHAPES).required(), bristle: one(v.BRISTLES).required() }),
  coats: whole(1, 8).optional(),
  style: one(v.COAT_STYLES),
  conditioner: Joi.number().valid(...v.CONDITIONERS),
  seal: one(v.SEALS),
});

/** Stretches of one day: long enough to work in, in order, not overlapping. */
const stretches = Joi.array()
  .items(
    Joi.array()
      .items(number([0, 1440]))
      .length(2),
  )
  .max(MOST.stretches)
  .custom((stretches: readonly (readonly [number, number])[], helpers) =>
    stretches.every(([from, to], i) => to - from >= ENDS.stretch[0] && from >= (stretches[i - 1]?.[1] ?? 0))
      ? stretches
      : helpers.error('hours'),
  )
  .required();
const hours = stretches.min(1);
const timeOfDay = number([0, 1440]);
const days = Joi.array().items(day.optional()).unique().max(MOST.days).required();
/** Known to the calendar of the reader. */
const timeZone = Joi.string()
  .custom((name: string, helpers) => (isZone(name) ? name : helpers.error('zone')))
  .required();
const crew = shape<Crew>({
  people: Joi.array()
    .items(
      shape<Person>({
        id,
        name: label,
        day: money,
        hand: one(v.HANDS).required(),
        hours: hours.allow(null),
        from: day.allow(null),
        until: day.allow(null),
        away: days,
        skills: Joi.array().items(one(v.SKILLS)).unique().min(1).required().allow(null),
      }),
    )
    .unique('id')
    .min(1)
    .max(MOST.people)
    .required(),
  hours,
  start: day.custom((text: string, helpers) => (isStart(text) ? text : helpers.error('start'))).allow(null),
  weekdays: Joi.array().items(Joi.number().integer().min(1).max(7)).unique().min(1).required(),
  holidays: days,
  extra: days,
  zone: timeZone,
  quiet: stretches,
  closing: timeOfDay.allow(null),
  platforms: whole(1, MOST.count).allow(null),
}).required();
const moment = shape<Moment>({ day: whole(0, MOST.day), time: timeOfDay });
const taskId = Joi.string()
  .pattern(new RegExp(`^${OWN}\\S+$`), 'a task')
  .max(MOST.key);
const who = Joi.array().items(id.optional()).unique().min(1).max(MOST.people).required();
const pins = record(taskId, shape<TaskPin>({ at: moment.required().allow(null), who: who.allow(null) }), MOST.pins);
const wanted = record(id.optional(), moment, MOST.rooms);
const taken = shape<TakenPlan>({
  order: Joi.array().items(taskId).unique().max(MOST.tasks).required(),
  who: record(taskId, who, MOST.tasks),
})
  .required()
  .allow(null);
const practice = shape<Practice>({
  openings: one(v.OPENING_SCHOOLS).required(),
  trimOrder: one(v.TRIM_ORDERS).required(),
  accent: one(v.ACCENT_SCHOOLS).required(),
  pull: one(v.PULLS).required(),
  tape: one(v.TAPE_SCHOOLS).required(),
  spread: one(v.SPREADS).required(),
  layOff: one(v.LAY_OFFS).required(),
  firstCoats: one(v.FIRST_COATS).required(),
  doors: one(v.DOOR_SCHOOLS).required(),
  roles: one(v.WET_SCHOOLS).required(),
  division: one(v.DIVISIONS).required(),
  walls: one(v.WALL_SCHOOLS).required(),
  prep: one(v.PREP_SCHOOLS).required(),
  coats: one(['equal', 'thin-then-full']).required(),
  brick: one(v.BRICK_SCHOOLS).required(),
  weakCoats: Joi.number().valid(1, 2).required(),
  house: Joi.object({ pile: pile.required(), fabric: one(v.FABRICS).required() })
    .required()
    .allow(null),
  boxing: one(v.BOXINGS).required(),
  washing: one(v.WASHINGS).required(),
  rim: one(v.RIMS).required(),
}).required();
const lesson = { log: number(ENDS.learned), sd: number(ENDS.learned), m: whole(1, 1e6), date: day };
const learned = shape<Accepted>({
  paces: Joi.array()
    .items(
      shape<AcceptedPace>({
        person: id,
        kind: one(v.TASKS).required(),
        coat: one(v.COAT_CLASSES).required(),
        ...lesson,
      }),
    )
    .max(MOST.learned)
    .required(),
  spreads: Joi.array()
    .items(shape<AcceptedSpread>({ product: id, texture: one(v.TEXTURES).required().allow(null), ...lesson }))
    .max(MOST.learned)
    .required(),
}).required();
const pricing = shape<Pricing>({
  overhead: number(ENDS.share),
  margin: number(ENDS.margin),
  tax: number(ENDS.share).allow(null),
  taxName: label,
  taxed: one(v.TAXED).required(),
  billed: one(v.BILLINGS).required(),
  promised: one(v.PROMISES).required(),
  client: free(MOST.client),
  firm: shape<Firm>({ name: free(MOST.client), contact: free(MOST.client), address: free(MOST.notes) }).required(),
  valid: whole(...ENDS.valid),
  notes: free(MOST.notes),
}).required();
const region = shape<Region>({
  country: one(COUNTRIES).required(),
  words: one(DIALECTS).required(),
  paper: one(PAPERS).required(),
  dates: one(DATE_FORMS).required(),
  lead: number(ENDS.year).integer(),
  asbestos: number(ENDS.year).integer(),
  tins: Joi.array().items(number(ENDS.can)).unique().min(1).max(MOST.sizes).required(),
}).required();
const reading = {
  temperature: number(ENDS.temperature),
  humidity: number(ENDS.share),
  draught: number(ENDS.draught),
};
const air = shape<Air>({
  ...reading,
  surface: number(ENDS.temperature).allow(null),
  ceiling: number(ENDS.warmer),
  day: Joi.array()
    .items(shape<AirReading>({ at: number(ENDS.clock), ...reading }))
    .max(MOST.readings)
    .required(),
}).required();
const shelfCan = shape<ShelfCan>({
  id,
  product: id,
  sheen: one(v.SHEENS).required(),
  colour: id.allow(null),
  litres: number(ENDS.shelf),
  batch: free(MOST.batch),
});
const option = shape<JobOption>({
  id,
  name: label,
  surfaces: Joi.array().items(scope).unique().max(MOST.surfaces).required(),
  finish: finish.required().allow(null),
  taken: Joi.boolean().required(),
});

const rooms = record(id, room, MOST.rooms);
const shelf = record(id, shelfCan, MOST.shelf);
const options = record(id, option, MOST.options);
const products = record(id, product, MOST.products);
const colours = record(id, colour, MOST.colours);
const finishes = record(scope, finish, MOST.scopes);
const surveys = record(scope, survey, MOST.scopes);
const decided = record(scope, decisions, MOST.scopes);
const lines = record(
  key(MOST.key),
  shape<LineSaid>({
    wavy: Joi.boolean(),
    first: scope,
    method: one(v.LINE_METHODS),
    stays: one(v.TAPE_STAYS),
  }),
  MOST.scopes,
);
const finishKey = key(MOST.key).required();
const orders = record(
  id.optional(),
  Joi.array()
    .items(shape<OrderPin>({ before: finishKey, after: finishKey }))
    .max(MOST.pins),
  MOST.rooms,
);
const reserved = record(key(MOST.key), Joi.boolean().valid(true), MOST.scopes);
const owned = record(key(MOST.key), whole(0, MOST.pieces), MOST.scopes);
const prices = record(key(MOST.key), Joi.object({ each: money, ...priced }), MOST.scopes);
const dated = record(key(MOST.key), day, MOST.scopes);
const settings = Joi.object(Object.fromEntries(DEFAULT_KEYS.map((k) => [k, number(DEFAULTS[k].ends).optional()])));

const where = shape<r.Place>({ latitude: number(ENDS.latitude), longitude: number(ENDS.longitude) })
  .required()
  .allow(null);
const text = free(MOST.formula);
const earlierPaint = shape<r.EarlierPaint>({
  id,
  coats: whole(1, 20),
  product: text,
  colour: text,
  code: text,
  formula: text,
  hex: hex.required().allow(null),
  sheen: one(v.SHEENS).required().allow(null),
  base: one(v.BASES).required().allow(null),
  batch: text,
  primer: text,
  fabric: one(v.FABRICS).required().allow(null),
  pile: pile.required().allow(null),
  laid: one(r.LAID_BY).required().allow(null),
  thinner: text,
  wax: text,
  when: Joi.string()
    .pattern(/^\d{4}(-\d{2}(-\d{2})?)?$/, 'a year, a month or a day such as 2019-05-30')
    .required()
    .allow(''),
  who: text,
  note: free(MOST.notes),
  source: text,
  certain: Joi.boolean().required(),
});
const earlier = record(scope, Joi.array().items(earlierPaint).max(MOST.layers), MOST.scopes);
const leftovers = record(
  key(MOST.key),
  shape<r.Leftover>({ where: text, litres: number([0, ENDS.shelf[1]]).allow(null), date: day }),
  MOST.leftovers,
);
const spot = number([-ENDS.place[1], ENDS.place[1]]);
const defect = shape<r.Defect>({
  id,
  surface: scope.required(),
  at: Joi.object({ x: spot, y: spot }).required().allow(null),
  size: number(ENDS.defect),
  kind: one(r.DEFECTS).required(),
  seen: day,
  by: text,
  coat: whole(1, 20).allow(null),
  signs: Joi.object(Object.fromEntries(Object.entries(r.SIGNS).map(([sign, said]) => [sign, one(said)]))).required(),
  cause: one(r.CAUSES).required().allow(null),
  remedy: one(r.REMEDIES).required().allow(null),
  state: one(r.DEFECT_STATES).required(),
  note: free(MOST.notes),
});
const defects = record(id, defect, MOST.defects);
const timeOfLight = one(r.TIMES_OF_LIGHT).required();
const accepted = record(
  id.optional(),
  shape<r.Acceptance>({
    date: day,
    by: text,
    distance: number(ENDS.distance),
    light: timeOfLight,
    signature: Joi.array()
      .items(Joi.array().items(Joi.number().min(0).max(1)).max(MOST.stroke))
      .max(MOST.strokes)
      .required(),
    note: free(MOST.notes),
  }),
  MOST.rooms,
);
const sample = shape<r.Sample>({
  id,
  scope: scope.required(),
  colour: id,
  kind: one(r.SAMPLE_KINDS).required(),
  seen: Joi.array()
    .items(
      shape<r.SampleLook>({
        room: id,
        wall: id.allow(null),
        light: timeOfLight,
        liking: one(r.LIKINGS).required(),
        note: free(MOST.notes),
      }),
    )
    .max(MOST.looks)
    .required(),
  dropped: day.allow(null),
});
const samples = record(id, sample, MOST.samples);

/** What a fault is called: what stands there, and what would be accepted. */
const SENTENCES = {
  day: '{{#label}} is “{{#value}}”; a day there is, written 2026-11-26, is accepted',
  start: `{{#label}} is “{{#value}}”; a first day from ${START_ENDS[0]} to ${START_ENDS[1]} is accepted`,
  hours: `{{#label}}: working hours are stretches of one day of at least ${ENDS.stretch[0]} minutes, in order and not overlapping`,
  'number.min': '{{#label}} is {{#value}}; at least {{#limit}} is accepted',
  'number.max': '{{#label}} is {{#value}}; at most {{#limit}} is accepted',
  'object.max': '{{#label}} holds {{#value.length}} entries; at most {{#limit}} are accepted',
  'array.max': '{{#label}} holds {{#value.length}} entries; at most {{#limit}} are accepted',
};
/** One fault at a time, so that a file of nothing but faults is soon refused. */
const SAYING = { convert: false, abortEarly: true, errors: { wrap: { label: false } }, messages: SENTENCES } as const;

export const jobSchema = shape<Job>({
  format: Joi.string().valid('kovelin-job').required(),
  version: Joi.number().valid(JOB_VERSION).required(),
  id,
  name: label,
  units: one(['imperial', 'metric']).required(),
  currency: Joi.string()
    .pattern(/^[A-Z]{3}$/, 'a currency code')
    .required(),
  region,
  air,
  rooms: table(rooms, MOST.rooms),
  products,
  colours,
  finishes,
  survey: surveys,
  decisions: decided,
  practice,
  lines,
  orders,
  crew,
  learned,
  pins,
  wanted,
  taken,
  pricing,
  shelf: table(shelf, MOST.shelf),
  options: table(options, MOST.options),
  reserved,
  owned,
  prices,
  bought: dated,
  noted: dated,
  place: where,
  earlier,
  leftovers,
  defects: table(defects, MOST.defects),
  accepted,
  samples: table(samples, MOST.samples),
  settings: settings.required(),
}).prefs(SAYING);

/** Places whose entries can be looked at one by one, so that an edit is checked where it was made. `*`: any entry. */
const PLACES: readonly (readonly [path: readonly string[], schema: Joi.ObjectSchema, most: number])[] = [
  [['rooms', 'byId', '*', 'walls', 'byId'], walls, MOST.walls],
  [['rooms', 'byId', '*', 'openings', 'byId'], openings, MOST.openings],
  [['rooms', 'byId', '*', 'parts', 'byId'], parts, MOST.parts],
  [['rooms', 'byId'], rooms, MOST.rooms],
  [['products'], products, MOST.products],
  [['colours'], colours, MOST.colours],
  [['finishes'], finishes, MOST.scopes],
  [['survey'], surveys, MOST.scopes],
  [['decisions'], decided, MOST.scopes],
  [['shelf', 'byId'], shelf, MOST.shelf],
  [['options', 'byId'], options, MOST.options],
  [['lines'], lines, MOST.scopes],
  [['orders'], orders, MOST.rooms],
  [['reserved'], reserved, MOST.scopes],
  [['owned'], owned, MOST.scopes],
  [['prices'], prices, MOST.scopes],
  [['bought'], dated, MOST.scopes],
  [['noted'], dated, MOST.scopes],
  [['earlier'], earlier, MOST.scopes],
  [['leftovers'], leftovers, MOST.leftovers],
  [['defects', 'byId'], defects, MOST.defects],
  [['accepted'], accepted, MOST.rooms],
  [['samples', 'byId'], samples, MOST.samples],
  [['settings'], settings, DEFAULT_KEYS.length],
];
export const RECORDS = PLACES.map(([path, schema, most]) => [path, schema.prefs(SAYING), most] as const);

const members = new Map<string, Joi.Schema>();
/** The rule of one member of the document. */
export function memberSchema(key: string): Joi.Schema {
  const known = members.get(key) ?? jobSchema.extract(key).prefs(SAYING);
  members.set(key, known);
  return known;
}
