import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { american } from './spelling.ts';
import { isolated, phrase, said, spelt } from './word.ts';

describe('our own texts are spelt as the reader’s country spells [common usage, no source]', () => {
  test.each([
    ['Colours of two neighbours', 'Colors of two neighbors'],
    ['Labour and price', 'Labor and price'],
    ['a mask for solvent vapour', 'a mask for solvent vapor'],
    ['Greyish, and light grey', 'Grayish, and light gray'],
    ['square metres to the litre', 'square meters to the liter'],
    ['centimetres, millimetres, microfibre', 'centimeters, millimeters, microfiber'],
    ['no draught at the mouldings', 'no draft at the moldings'],
    ['four walls, poured from a can; hour by hour', 'four walls, poured from a can; hour by hour'],
    ['a moulded door in an old harbour', 'a molded door in an old harbour'],
  ])('%s', (text, there) => {
    expect(american(text)).toBe(there);
  });
  test('law: what is spelt once is not changed again, and keeps its length but for what is dropped', () => {
    const words = fc.constantFrom(
      'colour',
      'wall',
      'Grey',
      'litres',
      'labour',
      'sheen',
      'draughts',
      'four',
      'mould',
      '3.5 m',
    );
    fc.assert(
      fc.property(fc.array(words), (list) => {
        const once = american(list.join(' '));
        expect(american(once)).toBe(once);
        expect(once.split(' ').length).toBe(list.join(' ').split(' ').length);
      }),
    );
  });
  test('what people wrote is never spelt anew, whatever stands round it', () => {
    fc.assert(
      fc.property(fc.string(), (name) => {
        const word = phrase`the colour ${name}, in grey`;
        expect(said(word, 'imperial')).toBe(`the color ${name}, in gray`);
        expect(said(word, 'metric-american')).toBe(`the color ${name}, in gray`);
        expect(said(word, 'metric')).toBe(`the colour ${name}, in grey`);
        expect(said(word, 'imperial-british')).toBe(`the colour ${name}, in grey`);
      }),
      { examples: [['Harbour grey'], ['colour']] },
    );
  });
  test('a text is one word where both spell it alike', () => {
    expect(phrase`two coats`).toBe('two coats');
    expect([spelt('two colours', 'imperial'), spelt('two colours', 'imperial-british')]).toEqual([
      'two colors',
      'two colours',
    ]);
  });
});

test('law: a name that turns the direction of text turns nothing beside it (Unicode Standard Annex 9, from memory)', () => {
  const mark = fc.constantFrom(
    '\u202a',
    '\u202b',
    '\u202c',
    '\u202d',
    '\u202e',
    '\u2066',
    '\u2067',
    '\u2068',
    '\u2069',
    'a',
    'ב',
  );
  const name = fc.array(mark, { maxLength: 8 }).map((marks) => marks.join(''));
  fc.assert(
    fc.property(name, name, (one, other) => {
      const text = said(phrase`${phrase`wall of ${one}`} and ${other}, done`, 'metric');
      // an isolate ends at its mark, and whatever was opened within it (rules X5c and X6a)
      expect(text.replace(/\u2068[^\u2066-\u2069]*\u2069/g, '')).toMatch(/^[^\u202a-\u202e\u2066-\u2069]*, done$/);
    }),
  );
  expect(isolated('Parlour')).toBe('Parlour');
});
