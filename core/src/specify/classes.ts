import type { Sheen } from '../job/vocabulary.ts';
import { bad, good, type Result } from '../units/problem.ts';

/** Hiding classes of EN 13300 by contrast ratio [EN 13300, values from memory]: 1 from 99.5 %, 2 from 98, 3 from 95, else 4. */
export type HidingClass = 1 | 2 | 3 | 4;
/** Class of a contrast ratio (from 0 to 1) at a spreading rate, after EN 13300. */
export const hidingClass = (contrast: number): HidingClass =>
  contrast >= 0.995 ? 1 : contrast >= 0.98 ? 2 : contrast >= 0.95 ? 3 : 4;

/** A class stands for its lower bound: a label promises no more. */
const LEAST_OF: Readonly<Record<HidingClass, number>> = { 1: 0.995, 2: 0.98, 3: 0.95, 4: 0.9 };
/** The least contrast ratio of a class, from 0 to 1 (EN 13300). */
export const contrastOfClass = (of: HidingClass): number => LEAST_OF[of];

/** Contrast ratio as people write it: 97, 97 %, 0.97, or “class 2” of EN 13300. Full hiding cannot be a film's. */
export function parseContrast(text: string): Result<number> {
  const named = /^\s*(?:class|cl\.?)\s*([1-4])\s*$/i.exec(text);
  if (named) return good(contrastOfClass(Number(named[1]) as HidingClass));
  const found = /^\s*(\d+(?:[.,]\d+)?)\s*%?\s*$/.exec(text);
  const value = found ? Number((found[1] ?? '').replace(',', '.')) : NaN;
  const ratio = value > 1 ? value / 100 : value;
  if (ratio === 1)
    return bad('A film that hides wholly has no thickness; the label says a little less, for example 99.5 %.', {
      column: 1,
    });
  return ratio > 0 && ratio < 1
    ? good(ratio)
    : bad('Write a contrast ratio such as 97 %, or a class of EN 13300: class 2.', { column: 1 });
}

/** The levels a sheen's name usually means [common practice, no source]. */
export const LEVEL_OF: Readonly<Record<Sheen, string>> = {
  flat: 'G1, 0-5 at 60°',
  matte: 'G2, to 10 at 60°',
  eggshell: 'G3, 10-25 at 60°',
  satin: 'G4, 20-35 at 60°',
  'semi-gloss': 'G5, 35-70 at 60°',
  gloss: 'G6-G7, over 70 at 60°',
};
