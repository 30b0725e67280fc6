import { setting } from '../job/defaults.ts';
import type { Job } from '../job/types.ts';
import type { Product } from '../job/paints.ts';
import type { Metres } from '../units/si.ts';

/**
 * Theoretical spreading rate, m2/L, of a paint with `volume` solids (0-1) at a dry film of `dry` metres: a litre leaves that
 * share of itself, spread as thick as the film. 10 x VS % / um in metric, 1604 x VS / mils in US units (a gallon is 231 in3).
 */
export const theoreticalSpread = (volume: number, dry: Metres): number => (volume * 1e-3) / dry;

/** m2/L that reach a smooth sealed wall: by the label, or by solids and film. */
export const wallRate = ({ solids, labelRate }: Product): number =>
  solids ? theoreticalSpread(solids.volume, solids.dry) : labelRate;

/** Film at that rate over the film at which the contrast ratio was measured. */
export const contrastFilm = (product: Product): number =>
  product.contrastRate === null ? 1 : product.contrastRate / wallRate(product);

/** m2/L to buy by: a label rate holds the ordinary losses already, a theoretical one does not. */
export const buyingRate = (job: Pick<Job, 'settings'>, product: Product): number =>
  product.solids ? wallRate(product) * (1 - setting(job, 'loss.method')) : product.labelRate;

export interface Nap {
  /** Piles longer (or, negative, shorter) than the one that fits. */
  readonly steps: number;
  /** Film laid over that of the pile that fits, and its unevenness over the ordinary one. */
  readonly film: number;
  readonly cv: number;
}
/** Too short a pile starves the film, too long a one heaps it up; both are less even [starting judgement]. */
export const napOf = (job: Pick<Job, 'settings'>, steps: number): Nap => ({
  steps,
  film: Math.max(0.5, 1 + setting(job, 'nap.film') * steps),
  cv: 1 + setting(job, 'nap.cv') * Math.abs(steps),
});
