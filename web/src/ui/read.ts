import { within, type Ends } from '@kovelin/core/job/limits.ts';
import { bad, good, type Result } from '@kovelin/core/units/problem.ts';

/** What was read, where it lies between the ends the document accepts; `show` writes an end as a person would. */
export const between =
  (read: (text: string) => Result<number>, ends: Ends, show: (value: number) => string) =>
  (text: string): Result<number> => {
    const found = read(text);
    return !found.ok || within(found.value, ends)
      ? found
      : bad(`From ${show(ends[0])} to ${show(ends[1])} is accepted here.`);
  };

/** A text of at most so many characters, or of at least one, too. */
export const readText =
  (most: number, least = 0) =>
  (text: string): Result<string> => {
    const { length } = text.trim();
    return length >= least && length <= most
      ? good(text.trim())
      : bad(least ? `${least} to ${most} characters are accepted.` : `At most ${most} characters.`);
  };

/** A whole number as a field reads it. */
export const readCount =
  (most: number, least = 0) =>
  (text: string): Result<number> => {
    const n = /^\d{1,4}$/.test(text.trim()) ? Number(text) : NaN;
    return n >= least && n <= most ? good(n) : bad(`A whole number from ${least} to ${most} is expected here.`);
  };
