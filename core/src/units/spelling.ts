/** What America spells otherwise: the words of a painter's day, no dictionary [common usage, no source]. */
const SPELT: readonly (readonly [RegExp, string])[] = [
  [/(col|lab|vap|neighb)our/gi, '$1or'],
  [/(gr)ey/gi, '$1ay'],
  [/(met|lit|fib)re/gi, '$1er'],
  [/(dra)ught/gi, '$1ft'],
  [/(m)ould/gi, '$1old'],
];

/** A text of ours, written as Britain does, in American spelling. Never for what people wrote. */
export const american = (text: string): string =>
  SPELT.reduce((spelt, [british, here]) => spelt.replace(british, here), text);
