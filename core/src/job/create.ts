import type { System } from '../units/si.ts';
import { STARTING_COLOURS, STARTING_FINISHES, STARTING_PRODUCTS, useFromName } from './library.ts';
import type { Id, Table } from './table.ts';
import type { Job } from './types.ts';
import type { JobOption, Pricing, ShelfCan } from './priced.ts';
import type { Opening, Part, Room, Wall } from './measured.ts';
import type { Practice } from './paints.ts';

export type IdSource = () => Id;

/** Ids that a named edit can make again when it is re-run: a seed and a count. */
export function seededIds(seed: string): IdSource {
  let n = 0;
  return () => `${seed}-${(n++).toString(36)}`;
}

export const toTable = <T extends { readonly id: Id }>(items: readonly T[]): Table<T> => ({
  byId: Object.fromEntries(items.map((item) => [item.id, item])),
  order: items.map((item) => item.id),
});

/** A, B ... Z, AA, AB ... */
export function letter(index: number): string {
  const rest = Math.floor(index / 26);
  return (rest > 0 ? letter(rest - 1) : '') + String.fromCharCode(65 + (index % 26));
}

export const newWall = (id: Id, label: string): Wall => ({
  id,
  label,
  length: null,
  turn: 90,
  heightStart: null,
  heightEnd: null,
  peaks: [],
  bow: null,
  foot: null,
});

type OpeningStart = Pick<Opening, 'id' | 'label' | 'wall' | 'kind' | 'width' | 'height' | 'at'>;

/** An opening of which only place and size are known. */
export const newOpening = (start: OpeningStart): Opening => ({
  sill: null,
  shape: 'rectangle',
  rise: null,
  casing: null,
  girth: null,
  back: null,
  reveal: null,
  leaf: start.kind === 'door' ? 'flush' : 'none',
  faces: 1,
  panels: start.kind === 'door' ? { rows: 2, columns: 1 } : { rows: 1, columns: 1 },
  frame: null,
  sash: 'none',
  board: null,
  apron: null,
  ...start,
});

export const newPart = (start: Pick<Part, 'id' | 'label' | 'kind'> & Partial<Part>): Part => ({
  wall: null,
  width: null,
  height: null,
  depth: null,
  at: null,
  sill: null,
  count: 1,
  ...start,
});

/** A room waits for its first wall: four walls, square corners, 8 ft or 2.4 m high, all visibly starting values. */
export function newRoom(id: Id, name: string, ids: IdSource, units: System): Room {
  return {
    id,
    name,
    use: useFromName(name),
    floor: 'unknown',
    bearing: null,
    height: units === 'imperial' ? { typed: "8'", metres: 2.4384 } : { typed: '2.4 m', metres: 2.4 },
    turns: 'declared',
    walls: toTable([0, 1, 2, 3].map((index) => newWall(ids(), letter(index)))),
    openings: toTable<Opening>([]),
    checks: [],
    trim: {},
    parts: toTable<Part>([]),
  };
}

export const STARTING_PRACTICE: Practice = {
  openings: 'net',
  trimOrder: 'trim-first',
  walls: 'weighed',
  coats: 'equal',
  brick: 'long-pile',
  weakCoats: 1,
  house: null,
  boxing: 'box',
};

/** Starting judgements, to be changed to one's own. */
export const STARTING_PRICING: Pricing = {
  overhead: 0.1,
  margin: 0.15,
  tax: 0,
  taxName: 'Tax',
  taxed: 'all',
  billed: 'hours',
  client: '',
  valid: 30,
  notes: '',
};
/** A painter's day of eight hours and a quarter [starting judgement]. */
export const STARTING_DAY = 34_650;

/** A job in which everything can be computed at once: starting products, colours and crew. */
export function newJob(id: Id, name: string, units: System = 'imperial', rooms: readonly Room[] = []): Job {
  return {
    format: 'kovelin-job',
    version: 5,
    id,
    name,
    units,
    currency: 'USD',
    rooms: toTable(rooms),
    products: Object.fromEntries(STARTING_PRODUCTS.map((product) => [product.id, product])),
    colours: Object.fromEntries(STARTING_COLOURS.map((colour) => [colour.id, colour])),
    finishes: STARTING_FINISHES,
    survey: {},
    decisions: {},
    practice: STARTING_PRACTICE,
    crew: {
      people: [
        { id: 'person-1', name: 'Painter 1', day: STARTING_DAY },
        { id: 'person-2', name: 'Painter 2', day: STARTING_DAY },
      ],
      hours: [
        [480, 720],
        [765, 1020],
      ],
      start: null,
    },
    pricing: STARTING_PRICING,
    shelf: toTable<ShelfCan>([]),
    options: toTable<JobOption>([]),
    owned: {},
    prices: {},
    bought: {},
    noted: {},
    settings: {},
  };
}
