import { dayText, type DateForm } from '@kovelin/core/units/day-text.ts';
import { daysBetween, today } from '@kovelin/core/units/date.ts';

/** A tax in the middle of a sentence: “sales tax”, but “VAT” and “MwSt”. */
export const taxWord = (name: string): string => (/^[A-Z][a-z ]*$/.test(name) ? name.toLowerCase() : name);

/** Days after which a price is called old. */
const OLD = 14;
/** A day, and that it is old where it is. */
export function ageWord(date: string, form: DateForm): string {
  const days = daysBetween(date, today());
  const text = dayText(date, form);
  return days > OLD ? `${text}, ${days} days old` : text;
}
