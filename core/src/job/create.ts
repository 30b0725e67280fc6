import type { System } from '../units/si.ts';
import { toTable } from './blank.ts';
import { STARTING_COLOURS, STARTING_FINISHES, STARTING_PRODUCTS } from './library.ts';
import type { Id } from './table.ts';
import type { Job } from './types.ts';
import type { JobOption, Pricing, ShelfCan } from './priced.ts';
import type { Room } from './measured.ts';
import type { Practice } from './paints.ts';

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
    version: 6,
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
