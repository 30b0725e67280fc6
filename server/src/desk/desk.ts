import { DEFAULTS, type DefaultKey } from '@kovelin/core/job/defaults.ts';
import { STARTING_PRODUCTS } from '@kovelin/core/job/library.ts';
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

/** A simulated trade counter: what it asks today for the starting paints and materials. */
export class PriceDesk {
  readonly currency = 'USD';
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
  price({ code, litres }: DeskItem): DeskPrice {
    const list =
      litres === null
        ? MATERIALS.includes(code as (typeof MATERIALS)[number])
          ? DEFAULTS[`price.${code}` as DefaultKey].value
          : undefined
        : STARTING_PRODUCTS.find((p) => p.code === code)?.cans.find((can) => Math.abs(can.litres - litres) < NEAR)
            ?.price;
    return { code, litres, each: list === undefined ? null : Math.round((list * this.drift(code)) / STEP) * STEP };
  }
  /** The same all day, another tomorrow; each code in its own rhythm. */
  private drift(code: string): number {
    const seed = [...code].reduce((sum, c) => (sum * 31 + c.charCodeAt(0)) % 997, 7);
    const day = Math.floor(this.now().getTime() / DAY);
    return 1 + SWING * Math.sin((day + seed) / (5 + (seed % 11)));
  }
}
