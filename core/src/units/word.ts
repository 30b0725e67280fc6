import type { System } from './si.ts';

/** A word people read; where America and Britain say it differently, both. No text until `said`: the compiler sees to it. */
export type Word = string | Pair;
export interface Pair {
  readonly american: string;
  readonly british: string;
}
export const pair = (american: string, british: string): Word =>
  american === british ? american : { american, british };

/** Whoever tapes in feet and inches reads American words, whoever tapes in metres British ones. */
export const said = (word: Word, system: System): string =>
  typeof word === 'string' ? word : system === 'imperial' ? word.american : word.british;

/** A text that names a size: in the units of each. */
export const inBoth = (on: (system: System) => string): Word => pair(on('imperial'), on('metric'));

/** A word changed in the same way on both sides. */
export const both = (word: Word, change: (text: string) => string): Word =>
  typeof word === 'string' ? change(word) : pair(change(word.american), change(word.british));

/** Words put together: one text where all of them are the same on both sides, else a pair. */
export function phrase(text: TemplateStringsArray, ...words: readonly (Word | number)[]): Word {
  const on = (system: System): string => {
    let whole = text[0] ?? '';
    words.forEach((word, i) => {
      whole += (typeof word === 'number' ? String(word) : said(word, system)) + (text[i + 1] ?? '');
    });
    return whole;
  };
  // most are the same on both sides: those are made once
  return words.some((word) => typeof word === 'object') ? inBoth(on) : on('imperial');
}

/** As a sentence or a heading begins. */
export const capital = (word: Word): Word => both(word, (text) => text.charAt(0).toUpperCase() + text.slice(1));
/** The same, said. */
export const heading = (word: Word, system: System): string => said(capital(word), system);
export const inOrder = (words: readonly Word[], between = ', '): Word =>
  words.reduce<Word>((list, word, i) => (i ? phrase`${list}${between}${word}` : word), '');
/** “A, B and C”. */
export const listed = (words: readonly Word[]): Word => {
  const last = words.at(-1) ?? '';
  return words.length < 2 ? last : phrase`${inOrder(words.slice(0, -1))} and ${last}`;
};
/** “1 coat”, “2 coats”. */
export const counted = (n: number, one: Word, many: Word = both(one, (text) => `${text}s`)): Word =>
  phrase`${n} ${n === 1 ? one : many}`;
