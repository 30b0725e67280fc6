import { soldIn } from '@kovelin/core/job/create.ts';
import { DEFAULTS } from '@kovelin/core/job/defaults.ts';
import { STARTING_PRODUCTS } from '@kovelin/core/job/library.ts';
import { COUNTRIES, COUNTRY_ROWS, localPrice, type Country } from '@kovelin/core/job/region.ts';
import { MATERIALS } from '@kovelin/core/job/vocabulary.ts';

/** What is asked of the desk: a code and a size; `litres` null for a piece. */
export interface DeskItem {
  readonly code: string;
  readonly litres: number | null;
}
export interface DeskPrice extends DeskItem {
  /** Minor units; null: the desk does not sell it. */
  readonly each: number | null;
}

const DAY = 86_400_000;
/** Starting judgements: prices move up to a tenth either way over some weeks; one call in twenty-five finds nobody. */
const SWING = 0.1;
const BUSY = 0.04;
const STEP = 5;
const NEAR = 0.01;

/** What the starting list asks for it there; undefined: it is not on it. */
function listed({ code, litres }: DeskItem, country: Country): number | undefined {
  if (litres === null) {
    const item = MATERIALS.find((known) => known === code);
    return item && localPrice(DEFAULTS[`price.${item}`].value, country);
  }
  const product = STARTING_PRODUCTS.find((p) => p.code === code);
  return product && soldIn(product, country).cans.find((can) => Math.abs(can.litres - litres) < NEAR)?.price;
}

/** A simulated trade counter: what it asks today for the starting paints and materials. */
export class PriceDesk {
  constructor(
    private readonly random: () => number,
    private readonly now: () => Date,
  ) {}

  get busy(): boolean {
    return this.random() < BUSY;
  }
  get at(): string {
    return this.now().toISOString();
  }
  /** Where it is asked from: the country named, else one that counts in the currency; null: it sells to none such. */
  countryOf(currency: string, country?: string): Country | null {
    const sells = (known: Country) => COUNTRY_ROWS[known].currency === currency;
    return COUNTRIES.find((known) => sells(known) && (country === undefined || known === country)) ?? null;
  }
  price(item: DeskItem, country: Country): DeskPrice {
    const { code, litres } = item;
    const list = listed(item, country);
    return { code, litres, each: list === undefined ? null : Math.round((list * this.drift(code)) / STEP) * STEP };
  }
  /** The same all day, another tomorrow; each code in its own rhythm. */
  private drift(code: string): number {
    const seed = [...code].reduce((sum, c) => (sum * 31 + c.charCodeAt(0)) % 997, 7);
    const day = Math.floor(this.now().getTime() / DAY);
    return 1 + SWING * Math.sin((day + seed) / (5 + (seed % 11)));
  }
}
