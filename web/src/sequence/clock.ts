import type { Crew } from '@kovelin/core/job/crew.ts';
import { DateTime } from 'luxon';

/** Minutes from the job's start, as a day and a time on the wall. */
export function clock(minutes: number, crew: Crew): { day: number; date: string | null; time: string } {
  const zero = crew.hours[0]?.[0] ?? 480;
  const total = minutes + zero;
  const day = Math.floor(total / 1440);
  const inDay = Math.round(total - day * 1440);
  const date = crew.start ? DateTime.fromISO(crew.start).plus({ days: day }).toFormat('ccc d LLL') : null;
  return { day, date, time: `${Math.floor(inDay / 60)}:${String(inDay % 60).padStart(2, '0')}` };
}

/** “Day 2, Wed 2 Dec”; `inside` a sentence: “day 2, Wed 2 Dec”. */
export const dayWord = (minutes: number, crew: Crew, inside = false): string => {
  const { day, date } = clock(minutes, crew);
  return `${inside ? 'day' : 'Day'} ${day + 1}${date ? `, ${date}` : ''}`;
};
