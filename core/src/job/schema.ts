import Joi from 'joi';
import { DEFAULTS } from './defaults.ts';
import * as v from './vocabulary.ts';

/** The job document at the door (open, import). `docs/job.schema.json` is generated from this. */
const id = Joi.string()
  .pattern(/^[A-Za-z0-9][\w-]{0,79}$/, 'an id')
  .required();
const label = Joi.string().min(1).max(80).required();
const scope = Joi.string()
  .pattern(/^[A-Za-z0-9][\w-]*([:/][\w-]+)*$/, 'a surface or scope')
  .max(200);
const one = (values: readonly string[]) => Joi.string().valid(...values);
const ratio = Joi.number().greater(0).less(1);
const minutes = Joi.number().min(0).max(100_000);
const money = Joi.number().integer().min(0).max(1e9);
const rate = Joi.number().greater(0).max(100);
const litres = Joi.number().greater(0).max(1000);
const share = Joi.number().min(0).max(1).required();
const priced = { source: Joi.string().max(200).required(), date: Joi.string().isoDate().required() };
const hex = Joi.string().pattern(/^#[0-9a-f]{6}$/, '#rrggbb');

const reading = Joi.object({
  typed: Joi.string().max(80).required(),
  metres: Joi.number().min(0).max(1000).required(),
});
const maybe = reading.required().allow(null);

const table = (item: Joi.ObjectSchema) =>
  Joi.object({
    byId: Joi.object()
      .pattern(Joi.string().pattern(/^[A-Za-z0-9][\w-]*$/), item)
      .required(),
    order: Joi.array().items(Joi.string()).unique().max(2000).required(),
  }).required();

const wall = Joi.object({
  id,
  label,
  length: maybe,
  turn: Joi.number().greater(-360).less(360).required(),
  heightStart: maybe,
  heightEnd: maybe,
  peaks: Joi.array()
    .items(Joi.object({ height: reading.required(), at: reading.required() }))
    .max(8)
    .required(),
  bow: Joi.object({ rise: reading.required(), side: one(['out', 'in']).required() })
    .required()
    .allow(null),
  foot: Joi.object({
    from: reading.required(),
    to: reading.required(),
    rise: reading.required(),
    down: Joi.boolean().required(),
    steps: Joi.number().integer().min(0).max(60).required(),
  })
    .required()
    .allow(null),
});
const grid = Joi.number().integer().min(1).max(12).required();
const opening = Joi.object({
  id,
  label,
  wall: id,
  kind: one(v.OPENING_KINDS).required(),
  width: reading.required(),
  height: reading.required(),
  at: reading.required(),
  sill: maybe,
  shape: one(v.OPENING_SHAPES).required(),
  rise: maybe,
  casing: maybe,
  girth: maybe,
  back: maybe,
  reveal: Joi.object({ depth: reading.required(), painted: Joi.boolean().required() }).required().allow(null),
  leaf: one(v.LEAVES).required(),
  faces: Joi.number().valid(1, 2).required(),
  panels: Joi.object({ rows: grid, columns: grid }).required(),
  frame: maybe,
  sash: one(v.SASHES).required(),
  board: maybe,
  apron: maybe,
});
const part = Joi.object({
  id,
  label,
  kind: one(v.PART_KINDS).required(),
  wall: id.allow(null),
  width: maybe,
  height: maybe,
  depth: maybe,
  at: maybe,
  sill: maybe,
  count: Joi.number().integer().min(0).max(999).required(),
});
const room = Joi.object({
  id,
  name: label,
  use: one(v.ROOM_USES).required(),
  floor: one(v.FLOORS).required(),
  bearing: Joi.number().min(0).less(360).required().allow(null),
  height: maybe,
  turns: one(['declared', 'measured']).required(),
  walls: table(wall),
  openings: table(opening),
  checks: Joi.array()
    .items(Joi.object({ from: id, to: id, length: reading.required() }))
    .required(),
  trim: Joi.object()
    .pattern(one(v.TRIM_KINDS), Joi.object({ face: reading.required(), girth: maybe, at: maybe }))
    .required(),
  parts: table(part),
});
const product = Joi.object({
  id,
  name: label,
  role: one(['finish', 'primer']).required(),
  primer: one(v.PRIMER_KINDS).required(),
  base: one(v.BASES).required(),
  family: one(v.PAINT_FAMILIES).required().allow(null),
  sheens: Joi.array().items(one(v.SHEENS)).min(1).required(),
  labelRate: rate.required(),
  porousRate: rate.required().allow(null),
  solids: Joi.object({ volume: ratio.required(), dry: Joi.number().greater(0).max(0.01).required() })
    .required()
    .allow(null),
  contrast: ratio.required(),
  contrastRate: rate.required().allow(null),
  recoat: minutes.required(),
  dry: minutes.required(),
  cans: Joi.array()
    .items(
      Joi.object({
        litres: litres.required(),
        price: money.required(),
        bases: Joi.array().items(one(v.TINT_BASES)).unique().required().allow(null),
      }),
    )
    .max(20)
    .required(),
  code: Joi.string().max(80).required().allow(''),
  priced: Joi.object(priced).required().allow(null),
  source: Joi.string().max(200).required(),
  picked: Joi.string().isoDate().required().allow(null),
});
const adhesion = Joi.number().integer().min(0).max(5).allow(null);
const zone = Joi.object({
  coat: one(v.EXISTING_COATS),
  condition: one(v.CONDITIONS),
  solvent: one(v.SOLVENT_RUBS),
  adhesion,
  wax: one(v.KNOWN),
});
const holes = Joi.number().integer().min(0).max(999).required();
const survey = Joi.object({
  substrate: one(v.SUBSTRATES),
  texture: one(v.TEXTURES),
  coat: one(v.EXISTING_COATS),
  condition: one(v.CONDITIONS),
  repairs: Joi.object(Object.fromEntries(v.REPAIR_CLASSES.map((of) => [of, holes]))),
  stains: Joi.array().items(one(v.STAINS)).unique(),
  porous: one(v.KNOWN),
  touched: Joi.array().items(one(v.TOUCHERS)).unique(),
  colour: hex,
  sheen: one(v.SHEENS),
  patches: Joi.array().items(hex).max(4),
  wax: one(v.KNOWN),
  damp: one(v.KNOWN),
  fresh: Joi.boolean(),
  raking: one(v.RAKING),
  level: one(v.BOARD_LEVELS),
  solvent: one(v.SOLVENT_RUBS),
  drop: one(v.WATER_DROPS),
  wipe: one(v.WIPES),
  moisture: Joi.number().min(0).max(100).allow(null),
  adhesion,
  built: Joi.number().integer().min(1000).max(2100).allow(null),
  zones: Joi.object().pattern(one(v.ZONES), zone),
});
const pile = Joi.number().valid(...v.PILES);
const width = Joi.number().greater(0).max(1).required();
const decisions = Joi.object({
  prep: Joi.array().items(one(v.PREP_STEPS)).unique(),
  primer: Joi.object({
    kind: one(v.PRIMER_KINDS).required(),
    extent: one(v.PRIMER_EXTENTS).required(),
    coats: Joi.number().integer().min(0).max(4).required(),
    tint: hex.required().allow(null),
  }),
  paint: one(v.PAINT_FAMILIES),
  sheen: one(v.SHEENS),
  cover: Joi.object({
    pile: pile.required(),
    fabric: one(v.FABRICS).required(),
    width,
  }),
  brush: Joi.object({ width, shape: one(v.BRUSH_SHAPES).required(), bristle: one(v.BRISTLES).required() }),
  coats: Joi.number().integer().min(1).max(8),
  style: one(v.COAT_STYLES),
  conditioner: Joi.number().valid(...v.CONDITIONERS),
});

export const jobSchema = Joi.object({
  format: Joi.string().valid('kovelin-job').required(),
  version: Joi.number().valid(4).required(),
  id,
  name: label,
  units: one(['imperial', 'metric']).required(),
  currency: Joi.string()
    .pattern(/^[A-Z]{3}$/, 'a currency code')
    .required(),
  rooms: table(room),
  products: Joi.object().pattern(Joi.string(), product).required(),
  colours: Joi.object()
    .pattern(Joi.string(), Joi.object({ id, name: label, hex: hex.required() }))
    .required(),
  finishes: Joi.object()
    .pattern(scope, Joi.object({ product: id, colour: id }))
    .required(),
  survey: Joi.object().pattern(scope, survey).required(),
  decisions: Joi.object().pattern(scope, decisions).required(),
  practice: Joi.object({
    openings: one(v.OPENING_SCHOOLS).required(),
    trimOrder: one(v.TRIM_ORDERS).required(),
    walls: one(v.WALL_SCHOOLS).required(),
    coats: one(['equal', 'thin-then-full']).required(),
    brick: one(v.BRICK_SCHOOLS).required(),
    weakCoats: Joi.number().valid(1, 2).required(),
    house: Joi.object({ pile: pile.required(), fabric: one(v.FABRICS).required() })
      .required()
      .allow(null),
    boxing: one(v.BOXINGS).required(),
  }).required(),
  crew: Joi.object({
    people: Joi.array()
      .items(Joi.object({ id, name: label, day: money.required() }))
      .min(1)
      .max(3)
      .required(),
    hours: Joi.array()
      .items(Joi.array().items(minutes.max(1440)).length(2))
      .min(1)
      .required(),
    start: Joi.string().isoDate().required().allow(null),
  }).required(),
  pricing: Joi.object({
    overhead: share,
    margin: share.less(1),
    tax: share,
    taxName: label,
    taxed: one(v.TAXED).required(),
    billed: one(v.BILLINGS).required(),
    client: Joi.string().max(200).required().allow(''),
    valid: Joi.number().integer().min(0).max(365).required(),
    notes: Joi.string().max(4000).required().allow(''),
  }).required(),
  shelf: table(
    Joi.object({
      id,
      product: id,
      sheen: one(v.SHEENS).required(),
      colour: id.allow(null),
      litres: litres.required(),
      batch: Joi.string().max(40).required().allow(''),
    }),
  ),
  options: table(
    Joi.object({
      id,
      name: label,
      surfaces: Joi.array().items(scope).unique().max(500).required(),
      finish: Joi.object({ product: id, colour: id }).required().allow(null),
      taken: Joi.boolean().required(),
    }),
  ),
  owned: Joi.object().pattern(Joi.string().max(120), Joi.number().integer().min(0).max(9999)).required(),
  prices: Joi.object()
    .pattern(Joi.string().max(120), Joi.object({ each: money.required(), ...priced }))
    .required(),
  bought: Joi.object().pattern(Joi.string().max(300), Joi.string().isoDate()).required(),
  noted: Joi.object().pattern(Joi.string().max(300), Joi.string().isoDate()).required(),
  settings: Joi.object()
    .pattern(one(Object.keys(DEFAULTS)), Joi.number().min(0))
    .required(),
});
