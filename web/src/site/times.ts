import type { Crew } from '@kovelin/core/job/crew.ts';
import { dayOf, momentAt } from '@kovelin/core/sequence/calendar.ts';
import { clockTime } from '@kovelin/core/units/date.ts';

/** A countdown: 4:05, 1 h 20 min, 3 days; late ones with a minus sign. */
export function countdown(minutes: number): string {
  const late = minutes < 0;
  const left = Math.abs(minutes);
  const sign = late ? '−' : '';
  if (left < 60) return `${sign}${Math.floor(left)}:${String(Math.floor((left % 1) * 60)).padStart(2, '0')}`;
  if (left < 24 * 60) return `${sign}${Math.floor(left / 60)} h ${String(Math.floor(left % 60)).padStart(2, '0')} min`;
  return `${sign}${Math.round(left / 1440)} days`;
}

/** By the clock on the wall, to the minute; another day is named. */
export function onWall(minutes: number, now: number, crew: Crew): string {
  const { time } = momentAt(crew, Math.max(0, minutes));
  const days = dayOf(crew, Math.max(0, minutes)) - dayOf(crew, Math.max(0, now));
  if (days === 0) return clockTime(time);
  return days === 1 ? `tomorrow ${clockTime(time)}` : `in ${days} days`;
}
