import type { Crew } from '@kovelin/core/job/crew.ts';
import { momentAt } from '@kovelin/core/sequence/calendar.ts';
import { clockTime } from '@kovelin/core/units/date.ts';
import { DateTime } from 'luxon';

/** A countdown: 4:05, 1 h 20 min, 3 days; late ones with a minus sign. */
export function countdown(minutes: number): string {
  const late = minutes < 0;
  const left = Math.abs(minutes);
  const sign = late ? '−' : '';
  if (left < 60) return `${sign}${Math.floor(left)}:${String(Math.floor((left % 1) * 60)).padStart(2, '0')}`;
  if (left < 24 * 60) return `${sign}${Math.floor(left / 60)} h ${String(Math.floor(left % 60)).padStart(2, '0')} min`;
  return `${sign}${Math.round(left / 1440)} days`;
}

/** When a job's minutes begin, ms since 1970; null: it has no first day and nothing noted. */
export type Zero = number | null;

/** By the clock on the wall, to the minute; another day than now's is named. */
export function onWall(minutes: number, now: number, zero: Zero, crew: Crew): string {
  if (zero === null) {
    const { day, time } = momentAt(crew, Math.max(0, minutes));
    return day === 0 ? clockTime(time) : `day ${day + 1}, ${clockTime(time)}`;
  }
  const at = wallTime(zero, minutes, crew);
  const today = wallTime(zero, now, crew);
  const days = Math.round(at.startOf('day').diff(today.startOf('day'), 'days').days);
  const time = at.toFormat('H:mm');
  return days === 0 ? time : days === 1 ? `tomorrow ${time}` : `${at.toFormat('ccc d LLL')}, ${time}`;
}
const wallTime = (zero: number, minutes: number, { zone }: Pick<Crew, 'zone'>): DateTime =>
  DateTime.fromMillis(zero + Math.round(minutes) * 60_000, { zone });
