import { daysBetween, today } from '@kovelin/core/units/date.ts';

/** Days after which a price is called old. */
const OLD = 14;
export function ageWord(date: string): string {
  const days = daysBetween(date, today());
  return days > OLD ? `${date}, ${days} days old` : date;
}
