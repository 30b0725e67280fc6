import cdf from '@stdlib/stats-base-dists-normal-cdf';
import quantile from '@stdlib/stats-base-dists-normal-quantile';
import type { Litres } from '../units/si.ts';

/** What a paint will take: mean and standard deviation in litres, taken as normal. */
export interface Demand {
  readonly mean: Litres;
  readonly sd: Litres;
}

/**
 * Demand of one paint over several surfaces. The error of the spread rate is one error for all of them and does not
 * average out; measurement errors are independent [our model].
 */
export function demandOf(expected: readonly Litres[], spreadCv: number, measureCv: number): Demand {
  const mean = expected.reduce((a, b) => a + b, 0);
  const own = expected.reduce((a, e) => a + (measureCv * e) ** 2, 0);
  return { mean, sd: Math.sqrt((spreadCv * mean) ** 2 + own) };
}

/** Chance that more than `bought` litres are wanted (closed form, normal). */
export function shortfallChance({ mean, sd }: Demand, bought: Litres): number {
  if (sd === 0) return bought >= mean - 1e-12 ? 0 : 1;
  return cdf(mean - bought, 0, sd);
}

/** Litres to have so that the chance of running short is `risk` (0-1, exclusive). */
export const litresFor = ({ mean, sd }: Demand, risk: number): Litres =>
  mean + (sd === 0 ? 0 : quantile(1 - risk, 0, sd));

/** Litres still in the cans at the end, on average: what is short on a bad day is not a negative leftover. */
export function expectedLeftover({ mean, sd }: Demand, have: Litres): Litres {
  if (sd === 0) return Math.max(0, have - mean);
  const z = (have - mean) / sd;
  const density = Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI);
  return (have - mean) * cdf(z, 0, 1) + sd * density;
}

export interface RiskPoint {
  readonly litres: Litres;
  readonly chance: number;
  readonly leftover: Litres;
}
/** The trade between running short and having over, from where it is a coin's toss to where it hardly happens, or to `upTo`. */
export function riskCurve(demand: Demand, upTo: Litres = 0, points = 41): RiskPoint[] {
  const [from, to] = [demand.mean - 0.5 * demand.sd, Math.max(upTo * 1.02, demand.mean + 3.2 * demand.sd)];
  return Array.from({ length: points }, (_, i) => {
    const litres = Math.max(0, from + ((to - from) * i) / (points - 1));
    return { litres, chance: shortfallChance(demand, litres), leftover: expectedLeftover(demand, litres) };
  });
}
