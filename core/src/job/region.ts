import type { DateForm } from '../units/day-text.ts';
import type { Place } from './recorded.ts';
import { GALLON, QUART, type Litres, type Money, type System, type Units } from '../units/si.ts';
import type { Can } from './paints.ts';

export const COUNTRIES = ['US', 'CA', 'GB', 'IE', 'DE', 'FR', 'NL', 'AU', 'NZ', 'other'] as const;
export type Country = (typeof COUNTRIES)[number];
export const DIALECTS = ['american', 'british'] as const;
export type Dialect = (typeof DIALECTS)[number];
export const PAPERS = ['a4', 'letter'] as const;
export type PaperSize = (typeof PAPERS)[number];
/** 11/26/2026, 26/11/2026 or 2026-11-26. */
export const DATE_FORMS = ['month-first', 'day-first', 'year-first'] as const satisfies readonly DateForm[];

/** Where a job is: chosen by its country, each member the user's to change. */
export interface Region {
  readonly country: Country;
  readonly words: Dialect;
  readonly paper: PaperSize;
  readonly dates: DateForm;
  /** Paint from before this year may hold lead, by the local rule. */
  readonly lead: number;
  /** Textures from before this year may hold asbestos. */
  readonly asbestos: number;
  /** Sizes of tins on the shelf. */
  readonly tins: readonly Litres[];
}

/** The rooms' air: degrees Celsius, relative humidity 0-1, draught m/s. */
/** Air as it was read at a time: minutes of the day, degrees Celsius, relative humidity 0-1, m/s. */
export interface AirReading {
  readonly at: number;
  readonly temperature: number;
  readonly humidity: number;
  readonly draught: number;
}
export interface Air extends Omit<AirReading, 'at'> {
  /** Of the walls; null: as the air. */
  readonly surface: number | null;
  /** Degrees warmer under the ceiling than where it is read. */
  readonly ceiling: number;
  /** Through a day, in the order of its hours; none: the same all day. */
  readonly day: readonly AirReading[];
}
/** A room that is heated and aired, at the draught of a still room [starting judgement]. */
export const STARTING_AIR: Air = { temperature: 20, humidity: 0.5, draught: 0.1, surface: null, ceiling: 1, day: [] };

interface CountryRow extends Omit<Region, 'country'> {
  readonly name: string;
  readonly currency: string;
  readonly units: Units;
  readonly taxName: string;
  /** Its usual rate on painting, a fraction [from memory; your tax office knows]; null: none that is charged on all such work. */
  readonly tax: number | null;
  /** Roughly where most of its houses are: what the sun is reckoned by until somebody says where the job is [from memory]. */
  readonly middle: Place;
  /** IANA time zone of most of it. */
  readonly zone: string;
  /** Minor units for a US cent of the starting prices [starting judgement, invented]. */
  readonly level: number;
}

const US_TINS = [QUART, GALLON, 5 * GALLON] as const;
const METRIC_TINS = [0.75, 1, 2.5, 5, 10] as const;
const american = {
  words: 'american',
  paper: 'letter',
  dates: 'month-first',
  units: 'imperial',
  tins: US_TINS,
} as const;
const british = { words: 'british', paper: 'a4', dates: 'day-first', units: 'metric', tins: METRIC_TINS } as const;
const euro = { ...british, currency: 'EUR', taxName: 'VAT', level: 0.95 } as const;

/**
 * What a country usually brings. Years of the lead and asbestos rules are from memory and to be looked up where the work is:
 * US EPA RRP 40 CFR 745 for 1978; elsewhere the year from which such paint was no longer sold.
 */
export const COUNTRY_ROWS: Readonly<Record<Country, CountryRow>> = {
  US: {
    ...american,
    tax: null,
    middle: { latitude: 40, longitude: -85 },
    zone: 'America/New_York',
    name: 'United States',
    currency: 'USD',
    taxName: 'Sales tax',
    lead: 1978,
    asbestos: 1990,
    level: 1,
  },
  CA: {
    ...american,
    tax: 0.05,
    middle: { latitude: 45, longitude: -77 },
    zone: 'America/Toronto',
    name: 'Canada',
    currency: 'CAD',
    taxName: 'GST/HST',
    dates: 'year-first',
    lead: 1991,
    asbestos: 1990,
    level: 1.35,
  },
  GB: {
    ...british,
    tax: 0.2,
    middle: { latitude: 52.5, longitude: -1.5 },
    zone: 'Europe/London',
    name: 'United Kingdom',
    currency: 'GBP',
    taxName: 'VAT',
    lead: 1992,
    asbestos: 2000,
    level: 0.8,
  },
  IE: {
    ...euro,
    tax: 0.135,
    middle: { latitude: 53.3, longitude: -7 },
    zone: 'Europe/Dublin',
    name: 'Ireland',
    lead: 1992,
    asbestos: 2000,
  },
  DE: {
    ...euro,
    tax: 0.19,
    middle: { latitude: 51, longitude: 10 },
    zone: 'Europe/Berlin',
    name: 'Germany',
    taxName: 'MwSt',
    lead: 1990,
    asbestos: 1994,
  },
  FR: {
    ...euro,
    tax: 0.1,
    middle: { latitude: 47.5, longitude: 2.5 },
    zone: 'Europe/Paris',
    name: 'France',
    taxName: 'TVA',
    lead: 1949,
    asbestos: 1998,
  },
  NL: {
    ...euro,
    tax: 0.09,
    middle: { latitude: 52.2, longitude: 5.3 },
    zone: 'Europe/Amsterdam',
    name: 'Netherlands',
    taxName: 'BTW',
    lead: 1992,
    asbestos: 1994,
  },
  AU: {
    ...british,
    tax: 0.1,
    middle: { latitude: -34.5, longitude: 147 },
    zone: 'Australia/Sydney',
    name: 'Australia',
    currency: 'AUD',
    taxName: 'GST',
    lead: 1997,
    asbestos: 2004,
    level: 1.5,
  },
  NZ: {
    ...british,
    tax: 0.15,
    middle: { latitude: -39, longitude: 175.5 },
    zone: 'Pacific/Auckland',
    name: 'New Zealand',
    currency: 'NZD',
    taxName: 'GST',
    lead: 1980,
    asbestos: 2000,
    level: 1.65,
  },
  other: {
    ...euro,
    tax: null,
    middle: { latitude: 48, longitude: 9 },
    zone: 'UTC',
    name: 'Elsewhere',
    dates: 'year-first',
    taxName: 'Tax',
    lead: 1992,
    asbestos: 2005,
  },
};

/** The region a country starts with. */
export function regionOf(country: Country): Region {
  const { words, paper, dates, lead, asbestos, tins } = COUNTRY_ROWS[country];
  return { country, words, paper, dates, lead, asbestos, tins };
}
/** Where a job is taken to be whose country nobody said. */
export const countryFor = (units: Units): Country => (units === 'imperial' ? 'US' : 'GB');

/** Minor units that a starting price of so many US cents comes to. */
export const localPrice = (cents: Money, country: Country): Money => Math.round(cents * COUNTRY_ROWS[country].level);

const STEP: Money = 10;
/** A tin as large as five gallons is mixed in pale and middling colours only [starting judgement]. */
const LARGE: Litres = 9;

/**
 * Tins as they are sold in one country, priced by those of another: price goes with size between the two nearest sizes, and
 * as the sizes at the end do beyond them [our model]. No sizes to go by: none.
 */
export function tinsOf(cans: readonly Can[], sizes: readonly Litres[], times: number): Can[] {
  const known = [...cans].sort((a, b) => a.litres - b.litres);
  return known.length === 0
    ? []
    : sizes.map((litres) => ({
        litres,
        price: Math.max(0, Math.round((priceAt(known, litres) * times) / STEP) * STEP),
        bases: litres >= LARGE ? ['white', 'middle'] : null,
      }));
}
/** Straight between two sizes on a scale of logarithms. */
function priceAt(known: readonly Can[], litres: Litres): number {
  const after = Math.max(
    1,
    known.findIndex((can) => can.litres >= litres),
  );
  const from = known[Math.min(after, known.length - 1) - 1] ?? known[0];
  const to = known[Math.min(after, known.length - 1)];
  if (!from || !to) return 0;
  const flat = from.litres === to.litres || from.price <= 0 || to.price <= 0;
  const power = flat ? 1 : Math.log(to.price / from.price) / Math.log(to.litres / from.litres);
  return from.price * (litres / from.litres) ** power;
}

/** Units and words of a job together. */
export function systemOf({ units, region }: { readonly units: Units; readonly region: Pick<Region, 'words'> }): System {
  if (units === 'imperial') return region.words === 'american' ? 'imperial' : 'imperial-british';
  return region.words === 'british' ? 'metric' : 'metric-american';
}
