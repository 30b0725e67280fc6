/** How a date is written: 11/26/2026, 26/11/2026 or 2026-11-26. */
export type DateForm = 'month-first' | 'day-first' | 'year-first';

/** A stored day (2026-11-26) as the reader writes it. */
export function dayText(day: string, form: DateForm): string {
  const [year = '', month = '', date = ''] = day.split('-');
  if (form === 'year-first') return day;
  return form === 'month-first' ? `${month}/${date}/${year}` : `${date}/${month}/${year}`;
}
