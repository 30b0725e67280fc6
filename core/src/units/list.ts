/** Lists of which one knows that a place is there: a mistake is an error where it is made, not an `undefined` later. */

/** What stands at a place of a list. @throws RangeError where nothing does. */
export function at<T>(list: ArrayLike<T>, place: number): T {
  const found = list[place];
  if (found === undefined) throw new RangeError(`nothing at ${place} of ${list.length}`);
  return found;
}

/** What stands at a place of a closed list: after the last comes the first, and before it the last. @throws RangeError in an empty one. */
export const ring = <T>(list: readonly T[], place: number): T =>
  at(list, ((place % list.length) + list.length) % list.length);

/** Each of a closed list with what follows it. */
export const pairs = <T>(list: readonly T[]): (readonly [T, T])[] =>
  list.map((each, place) => [each, ring(list, place + 1)]);

/** Keys of an object that has no others than its type says. */
export const keysOf = <K extends string>(of: Partial<Record<K, unknown>>): K[] => Object.keys(of) as K[];
/** Keys and values of an object that has no others than its type says. */
export const entriesOf = <K extends string, V>(of: Partial<Record<K, V>>): [K, V][] => Object.entries(of) as [K, V][];
