import { setting } from '../job/defaults.ts';
import type { Product } from '../job/paints.ts';
import type { Job } from '../job/types.ts';
import type { Minutes } from '../units/si.ts';
import { compute, given, type Computed } from '../units/working.ts';
import { dryingIn, isDoubtful, LABEL_AIR, type AirNow } from './air.ts';

/** What of a film decides how long it stays open. */
export interface Film {
  readonly product: Pick<Product, 'base' | 'open' | 'labelAir'>;
  /** Flow conditioner, litres to a litre. */
  readonly dose: number;
  readonly porous: boolean;
  /** Film that is laid over that of the label. */
  readonly film: number;
  /** A deep tinting base stays wet longer. */
  readonly deep: boolean;
}

/** How long a film can be worked over without a mark. */
export interface OpenTime {
  /** Infinity: in this air it does not dry. */
  readonly minutes: Minutes;
  /** Label or starting value, and what it was multiplied by. */
  readonly working: Computed;
  /** Evaporation over that of the label's air; 1 where it is not scaled. */
  readonly drying: number;
  readonly doubtful: boolean;
  readonly dries: boolean;
}

/** Conditioner, L to L, that doubles open time [common practice, no source]. */
const DOUBLES = 0.19;

/**
 * Open time in this air: what the label says, else the starting value, scaled by the model for water-borne paint only; oil dries by
 * oxidation and is not scaled. Recoat, tape and cure stay the label's.
 */
export function openTimeOf(job: Pick<Job, 'settings'>, film: Film, air: AirNow): OpenTime {
  const { product, dose, porous, deep } = film;
  const water = product.base === 'water-borne';
  const label = product.labelAir;
  const of: AirNow = label ? { ...LABEL_AIR, ...label, surface: label.temperature } : LABEL_AIR;
  const drying = water ? dryingIn(air, of) : 1;
  const dries = drying > 0;
  const start = product.open ?? setting(job, water ? 'open.minutes' : 'open.oil');
  const working = compute(
    'product',
    'open time',
    'minutes',
    given(product.open === null ? 'starting value' : 'by its label', start, 'minutes'),
    given('air', dries ? 1 / drying : 0, 'ratio'),
    given('conditioner', water ? 1 + dose / DOUBLES : 1, 'ratio'),
    given('porous ground', porous ? setting(job, 'open.porous') : 1, 'ratio'),
    given('film', film.film, 'ratio'),
    given('deep base', deep ? setting(job, 'open.deep') : 1, 'ratio'),
  );
  return {
    minutes: dries ? working.value : Infinity,
    working,
    drying,
    doubtful: water && isDoubtful(drying),
    dries,
  };
}
