import type { Crew } from '@kovelin/core/job/crew.ts';
import { ENDS, MOST, within } from '@kovelin/core/job/limits.ts';
import { clockTime } from '@kovelin/core/units/date.ts';
import { bad, good, type Result } from '@kovelin/core/units/problem.ts';

/** 8, 8:30, 8.30, 8h30, 8am, 4:30 pm; NaN: none of them. */
function timeOf(text: string): number {
  const [, hours = '', minutes = '00', half] =
    /^\s*(\d{1,2})(?:[:.h]([0-5]\d))?\s*([ap])?\.?m?\.?\s*$/i.exec(text) ?? [];
  if (hours === '' || (half && (Number(hours) < 1 || Number(hours) > 12))) return NaN;
  const afternoon = half?.toLowerCase() === 'p' ? 12 : 0;
  return (half ? (Number(hours) % 12) + afternoon : Number(hours)) * 60 + Number(minutes);
}

/** Stretches of a day as people write them: 8-12, 12:45-17; 8am-4pm. */
export function readHours(text: string): Result<Crew['hours']> {
  const hours = text.split(/[,;]/).map((part) => {
    const [from = '', to = '', more] = part.split(/\s*(?:-|–|\bto\b)\s*/);
    return [timeOf(from), more === undefined ? timeOf(to) : NaN] as const;
  });
  const sound =
    hours.length <= MOST.stretches &&
    hours.every(([a, b], i) => within(b - a, ENDS.stretch) && b <= 1440 && a >= (hours[i - 1]?.[1] ?? 0));
  return sound
    ? good(hours)
    : bad(
        `Write stretches of the day in order, of at least ${ENDS.stretch[0]} minutes, for example 8:00-12:00, 12:45-17:00 or 8am-4pm.`,
      );
}
export const writeHours = (hours: Crew['hours']): string =>
  hours.map(([from, to]) => `${clockTime(from)}-${clockTime(to)}`).join(', ');
