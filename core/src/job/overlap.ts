import type { Patch } from 'immer';

type Path = Patch['path'];

/** Places in a list shift when one is added or taken out: a list counts as one place. */
function placeOf(path: Path): Path {
  const index = path.findIndex((key) => typeof key === 'number');
  return index < 0 ? path : path.slice(0, index);
}
const isPrefix = (short: Path, long: Path): boolean => short.every((key, i) => key === long[i]);
const meet = (a: Path, b: Path): boolean => (a.length <= b.length ? isPrefix(a, b) : isPrefix(b, a));

/** Do two sets of patches touch the same place of the document, or one a place within the other’s? */
export const overlap = (a: readonly Pick<Patch, 'path'>[], b: readonly Pick<Patch, 'path'>[]): boolean =>
  a.some((x) => b.some((y) => meet(placeOf(x.path), placeOf(y.path))));
