import { remember } from './remember.ts';
import type { System } from './si.ts';
import { american } from './spelling.ts';

/** A word people read; where America and Britain say it differently, both. No text until `said`: the compiler sees to it. */
export type Word = string | Pair;
export interface Pair {
  /** In feet and inches, and in metres. */
  readonly american: string;
  readonly british: string;
  /** Where a size is in it: American words in metres, and British ones in feet and inches. */
  readonly mixed?: { readonly american: string; readonly british: string };
}
/** A word that America and Britain say differently. */
export const pair = (american: string, british: string): Word =>
  american === british ? american : { american, british };

/** American or British words, and sizes in the units that go with them. */
export function said(word: Word, system: System): string {
  if (typeof word === 'string') return word;
  if (system === 'imperial') return word.american;
  if (system === 'metric') return word.british;
  return system === 'metric-american' ? (word.mixed ?? word).american : (word.mixed ?? word).british;
}

/** A text that names a size: in the units of each. */
export const inBoth = (on: (system: System) => string): Word =>
  four(on('imperial'), on('metric'), on('metric-american'), on('imperial-british'));

const four = (american: string, british: string, inMetres: string, inFeet: string): Word =>
  american === inMetres && british === inFeet
    ? pair(american, british)
    : { american, british, mixed: { american: inMetres, british: inFeet } };

/** A word changed in the same way on both sides. */
export const both = (word: Word, change: (text: string) => string): Word =>
  typeof word === 'string'
    ? change(word)
    : four(
        change(word.american),
        change(word.british),
        change((word.mixed ?? word).american),
        change((word.mixed ?? word).british),
      );

/** A text of ours in the spelling of the reader. Never for what people wrote. */
export const spelt = (text: string, system: System): string => (spells(system) ? american(text) : text);
const spells = (system: System): boolean => system === 'imperial' || system === 'metric-american';

/** What turns the direction of all text after it (Unicode Standard Annex 9): in a name it must turn the name alone. */
const TURNS = /[\u202A-\u202E\u2066-\u2069]/;
/** What is between isolating marks already. */
const ISOLATED = /\u2068[^\u2066-\u2069]*\u2069/g;
/** A text that people wrote, so that it turns nothing beside it: between isolating marks where it holds what would. */
export const isolated = (text: string): string =>
  TURNS.test(text) && TURNS.test(text.replace(ISOLATED, ''))
    ? `\u2068${text.replace(/[\u2066-\u2069]/g, '')}\u2069`
    : text;

/** Our own texts as America spells them: a call has the same each time. */
const americanTexts = remember((text: TemplateStringsArray): readonly string[] => text.map(american));

/**
 * Words put together: one text where all of them are the same on both sides, else a pair. The text between them is ours, and
 * spelt as each side spells.
 */
export function phrase(text: TemplateStringsArray, ...words: readonly (Word | number)[]): Word {
  const here = americanTexts(text);
  const on = (system: System): string =>
    (spells(system) ? here : text).reduce((whole, own, i) => {
      const word = words[i - 1] ?? '';
      return whole + (typeof word === 'number' ? String(word) : isolated(said(word, system))) + own;
    });
  // most are the same on both sides: those are made once
  const differs = words.some((word) => typeof word === 'object') || text.some((own, i) => here[i] !== own);
  return differs ? inBoth(on) : on('imperial');
}

/** As a sentence or a heading begins. */
export const capital = (word: Word): Word => both(word, (text) => text.charAt(0).toUpperCase() + text.slice(1));
/** The same, said. */
export const heading = (word: Word, system: System): string => said(capital(word), system);
/** Words one after the other, with something between. */
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
