import { JOB_VERSION } from './version.ts';
import type { Units } from '../units/si.ts';
import { toTable } from './blank.ts';
import { COUNTRY_ROWS, countryFor, localPrice, regionOf, STARTING_AIR, tinsOf, type Country } from './region.ts';
import { STARTING_COLOURS, STARTING_FINISHES, STARTING_PRODUCTS } from './library.ts';
import { personOf, STARTING_DAYS } from './crew.ts';
import type { Id } from './table.ts';
import type { Job } from './types.ts';
import type { JobOption, Pricing, ShelfCan } from './priced.ts';
import type { Defect, Sample } from './recorded.ts';
import type { Room } from './measured.ts';
import type { Practice, Product } from './paints.ts';

export const STARTING_PRACTICE: Practice = {
  openings: 'net',
  trimOrder: 'trim-first',
  accent: 'cheapest',
  pull: 'wet',
  tape: 'by-ground',
  spread: 'zigzag',
  layOff: 'up-and-back',
  firstCoats: 'cut-first',
  doors: 'rolled',
  roles: 'as-needed',
  division: 'free',
  walls: 'weighed',
  prep: 'wash',
  coats: 'equal',
  brick: 'long-pile',
  weakCoats: 1,
  house: null,
  boxing: 'box',
  washing: 'daily',
  rim: 'holes',
};

/** Starting judgements, to be changed to one's own. */
const STARTING_PRICING: Pricing = {
  overhead: 0.1,
  margin: 0.15,
  tax: null,
  taxName: 'Tax',
  taxed: 'all',
  billed: 'hours',
  promised: 'plan',
  client: '',
  firm: { name: '', contact: '', address: '' },
  valid: 30,
  notes: '',
};
/** A painter's day of eight hours and a quarter, US cents [starting judgement]. */
const STARTING_DAY = 34_650;

/** A starting product in the tins and at the prices of a country. */
export function soldIn(product: Product, country: Country): Product {
  if (country === 'US') return product;
  const { tins, level } = COUNTRY_ROWS[country];
  return { ...product, cans: tinsOf(product.cans, tins, level) };
}

/** A starting paint that a job has not got, in the tins of its country. */
export const startingPaint = (job: Pick<Job, 'region'>, wanted: (product: Product) => boolean): Product | undefined => {
  const found = STARTING_PRODUCTS.find(wanted);
  return found && soldIn(found, job.region.country);
};

/** A job in which everything can be computed at once: starting products, colours and crew. */
export function newJob(
  id: Id,
  name: string,
  units: Units = 'imperial',
  rooms: readonly Room[] = [],
  country: Country = countryFor(units),
): Job {
  const day = localPrice(STARTING_DAY, country);
  return {
    format: 'kovelin-job',
    version: JOB_VERSION,
    id,
    name,
    units,
    currency: COUNTRY_ROWS[country].currency,
    region: regionOf(country),
    air: STARTING_AIR,
    rooms: toTable(rooms),
    products: Object.fromEntries(STARTING_PRODUCTS.map((product) => [product.id, soldIn(product, country)])),
    colours: Object.fromEntries(STARTING_COLOURS.map((colour) => [colour.id, colour])),
    finishes: STARTING_FINISHES,
    survey: {},
    decisions: {},
    practice: STARTING_PRACTICE,
    lines: {},
    orders: {},
    crew: {
      people: [
        personOf({ id: 'person-1', name: 'Painter 1', day, hand: 'right' }),
        personOf({ id: 'person-2', name: 'Painter 2', day, hand: 'right' }),
      ],
      hours: [
        [480, 720],
        [765, 1020],
      ],
      start: null,
      ...STARTING_DAYS,
      zone: COUNTRY_ROWS[country].zone,
    },
    learned: { paces: [], spreads: [] },
    pins: {},
    wanted: {},
    taken: null,
    pricing: { ...STARTING_PRICING, taxName: COUNTRY_ROWS[country].taxName },
    shelf: toTable<ShelfCan>([]),
    options: toTable<JobOption>([]),
    reserved: {},
    owned: {},
    prices: {},
    bought: {},
    noted: {},
    place: null,
    earlier: {},
    leftovers: {},
    defects: toTable<Defect>([]),
    accepted: {},
    samples: toTable<Sample>([]),
    settings: {},
  };
}
