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

/**
 * A day as people write it: in the order of their region, the year of two figures or four, with slashes, points, hyphens or
 * spaces; year-month-day is understood everywhere. What is no day there is says what would be one.
 */
export function readDayText(text: string, form: DateForm): Result<string> {
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
