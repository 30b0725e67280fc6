import cdf from '@stdlib/stats-base-dists-normal-cdf';
import type { Metres, Minutes } from '../units/si.ts';

/** One person at uniform paces: metres of wall cut and rolled in a minute, and the change from brush to roller. */
export interface Uniform {
  readonly cut: number;
  readonly roll: number;
  readonly turn: Minutes;
}

/** Age of the band at x when it is rolled, where a stretch is cut from its start and then rolled from there: L/c + t + x/r - x/c. */
export const ageAt = ({ cut: c, roll: r, turn: t }: Uniform, length: Metres, x: Metres): Minutes =>
  length / c + t + x / r - x / c;

/** Longest stretch whose band is open when it is rolled; 0: not even a short one. */
export const longestStretch = ({ cut: c, roll: r, turn: t }: Uniform, open: Minutes): Metres =>
  Math.max(0, Math.min(c, r) * (open - t));

/** Two people, the cutter running free: ages go from `ahead` at the start to this at the end. */
export const ageRunningFree = ({ cut: c, roll: r }: Uniform, length: Metres, ahead: Minutes): Minutes =>
  ahead + length / r - length / c;

/** How far a cutter who waits may be ahead of the roller: no age is above it and one strip's time. */
export const leadWithin = (open: Minutes, strip: Minutes): Minutes => Math.max(0, open - strip);

/** Chance that a single edge laps: age and open time both log-normal about their medians, by their coefficients of variation. */
export const chanceOf = (age: Minutes, open: Minutes, cvAge: number, cvOpen: number): number =>
  chanceBeyond(age / open, Math.hypot(sigmaOf(cvAge), sigmaOf(cvOpen)));

/** Chance that an age is beyond its open time. @param share of it at the median @param sigma of the logarithm of both. */
export function chanceBeyond(share: number, sigma: number): number {
  if (!(share > 0)) return 0;
  const over = Math.log(share);
  return sigma > 0 ? cdf(over / sigma, 0, 1) : over > 0 ? 1 : 0;
}

/** Standard deviation of the logarithm of what varies by this coefficient. */
export const sigmaOf = (cv: number): number => Math.sqrt(Math.log(1 + cv ** 2));
