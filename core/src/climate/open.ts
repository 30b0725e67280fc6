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

/** The air of a label, or that in which times are taken where it names none. */
const labelled = ({ labelAir: label }: Pick<Product, 'labelAir'>): AirNow =>
  label ? { ...LABEL_AIR, ...label, surface: label.temperature } : LABEL_AIR;

/** The model is not trusted beyond so many times slower or faster. */
const FURTHEST = 4;

/**
 * How long a film takes to be dry to the touch in this air: the time of its label, scaled as its open time is, for water-borne
 * paint only, and no further than the model is trusted. Recoat, tape and cure stay the label's.
 */
export function touchDryOf(product: Pick<Product, 'base' | 'dry' | 'labelAir'>, air: AirNow): Computed {
  const drying = product.base === 'water-borne' ? dryingIn(air, labelled(product)) : 1;
  const slower = drying > 0 ? Math.min(FURTHEST, Math.max(1 / FURTHEST, 1 / drying)) : FURTHEST;
  return compute(
    'product',
    'dry to the touch',
    'minutes',
    given('by its label', product.dry, 'minutes'),
    given('air', slower, 'ratio'),
  );
}

/** Conditioner, L to L, that doubles open time [common practice, no source]. */
const DOUBLES = 0.19;
/** How much longer water-borne paint stays open with so much conditioner. */
export const longerWith = (dose: number): number => 1 + dose / DOUBLES;

/**
 * Open time in this air: what the label says, else the starting value, scaled by the model for water-borne paint only; oil dries by
 * oxidation and is not scaled. Recoat, tape and cure stay the label's.
 */
export function openTimeOf(job: Pick<Job, 'settings'>, film: Film, air: AirNow): OpenTime {
  const { product, dose, porous, deep } = film;
  const water = product.base === 'water-borne';
  const drying = water ? dryingIn(air, labelled(product)) : 1;
  const dries = drying > 0;
  const start = product.open ?? setting(job, water ? 'open.minutes' : 'open.oil');
  const working = compute(
    'product',
    'open time',
    'minutes',
    given(product.open === null ? 'starting value' : 'by its label', start, 'minutes'),
    given('air', dries ? 1 / drying : 0, 'ratio'),
    given('conditioner', water ? longerWith(dose) : 1, 'ratio'),
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
