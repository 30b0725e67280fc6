import { isDay } from './day.ts';
import { bad, good, type Result } from './problem.ts';

/** How a date is written: 11/26/2026, 26/11/2026 or 2026-11-26. */
export type DateForm = 'month-first' | 'day-first' | 'year-first';

/** A stored day (2026-11-26) as the reader writes it. */
export function dayText(day: string, form: DateForm): string {
  const [year = '', month = '', date = ''] = day.split('-');
  if (form === 'year-first') return day;
  return form === 'month-first' ? `${month}/${date}/${year}` : `${date}/${month}/${year}`;
}

const NAMED: Readonly<Record<DateForm, string>> = {
  'month-first': 'month/day/year: 12/1/2026',
  'day-first': 'day/month/year: 1/12/2026',
  'year-first': 'year-month-day: 2026-12-01',
};

const WEEKDAYS = ['sun', 'mon', 'tue', 'wed', 'thu', 'fri', 'sat'];
const MONTHS = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];
const MS_PER_DAY = 86_400_000;
const later = (day: string, days: number): string =>
  new Date(Date.parse(day) + days * MS_PER_DAY).toISOString().slice(0, 10);

/**
 * A day by its name, the next one there is: today, tomorrow, Sat, 5 Dec, Dec 5; “next Mon” is that of the week after this one.
 * Null: it has none of these.
 */
function namedDay(text: string, today: string): string | null {
  const [, which = '', words = ''] =
    /^(?:(this|next) )?(.*)$/.exec(text.trim().toLowerCase().replace(/\s+/g, ' ')) ?? [];
  if (words === 'today') return today;
  if (words === 'tomorrow') return later(today, 1);
  // a name of which the first three letters tell it
  const place = (names: readonly string[], word = '') =>
    /^[a-z]{3,9}$/.test(word) ? names.indexOf(word.slice(0, 3)) : -1;
  const weekday = place(WEEKDAYS, words);
  const now = new Date(today).getUTCDay();
  // a week begins on Monday
  if (weekday >= 0 && which === 'next') return later(today, 7 + ((weekday + 6) % 7) - ((now + 6) % 7));
  if (weekday >= 0) return later(today, (weekday - now + 7) % 7 || 7);
  if (which) return null;
  const [, date, month] = /^(\d{1,2})\.? ([a-z]+)\.?$/.exec(words.replace(/^([a-z]+)\.? (\d{1,2})$/, '$2 $1')) ?? [];
  const at = place(MONTHS, month);
  if (at < 0 || date === undefined) return null;
  const inYear = (year: number) => `${year}-${String(at + 1).padStart(2, '0')}-${date.padStart(2, '0')}`;
  const year = Number(today.slice(0, 4));
  return [inYear(year), inYear(year + 1)].find((day) => isDay(day) && day >= today) ?? null;
}

/**
 * A day as people write it: in the order of their region, the year of two figures or four, with slashes, points, hyphens or
 * spaces; year-month-day is understood everywhere; and, where it is known which day it is (`today`, as stored), by its name.
 * What is no day there is says what would be one.
 */
export function readDayText(text: string, form: DateForm, today?: string): Result<string> {
  const named = today === undefined ? null : namedDay(text, today);
  if (named !== null) return good(named);
  const parts = text.trim().split(/[\s/.-]+/);
  const [a = '', b = '', c = ''] = parts;
  const isYearFirst = a.length === 4;
  const [year, month, date] = isYearFirst
    ? [a, b, c]
    : form === 'month-first'
      ? [c, a, b]
      : form === 'day-first'
        ? [c, b, a]
        : ['', '', ''];
  const whole = /^\d{2}$/.test(year) ? `20${year}` : year;
  const day = `${whole}-${month.padStart(2, '0')}-${date.padStart(2, '0')}`;
  return parts.length === 3 && isDay(day) ? good(day) : bad(`Write a day there is as ${NAMED[form]}.`);
}
