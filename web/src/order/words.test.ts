import { expect, test } from '@jest/globals';
import { COUNTRIES, COUNTRY_ROWS } from '@kovelin/core/job/region.ts';
import { addDays, today } from '@kovelin/core/units/date.ts';
import { ageWord, taxWord } from './words.ts';

test('a tax in the middle of a sentence is written small only where it is a word', () => {
  const said = COUNTRIES.map((country) => taxWord(COUNTRY_ROWS[country].taxName));
  expect(new Set(said)).toEqual(new Set(['sales tax', 'GST/HST', 'VAT', 'MwSt', 'TVA', 'BTW', 'GST', 'tax']));
});

test('an old price says how old it is, its day as the region writes it', () => {
  const [year, month, day] = addDays(today(), -15).split('-');
  expect(ageWord(`${year}-${month}-${day}`, 'day-first')).toBe(`${day}/${month}/${year}, 15 days old`);
  expect(ageWord(today(), 'year-first')).toBe(today());
});
