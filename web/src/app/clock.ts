import type { Crew } from '@kovelin/core/job/crew.ts';
import { momentAt } from '@kovelin/core/sequence/calendar.ts';
import { formatMinutes } from '@kovelin/core/units/quantities.ts';
import { DateTime } from 'luxon';

/** Nobody looks at the clock for less. */
const STEP = 5;

/** Minutes from the job's start, as a day and a time on the wall, to five minutes. */
export function clock(minutes: number, crew: Crew): { day: number; date: string | null; time: string } {
  const { day, time } = momentAt(crew, minutes);
  const inDay = Math.round(time / STEP) * STEP;
  const date = crew.start ? DateTime.fromISO(crew.start).plus({ days: day }).toFormat('ccc d LLL') : null;
  return { day, date, time: `${Math.floor(inDay / 60)}:${String(inDay % 60).padStart(2, '0')}` };
}

/** “Day 2, Wed 2 Dec”; `inside` a sentence: “day 2, Wed 2 Dec”. */
export const dayWord = (minutes: number, crew: Crew, inside = false): string => {
  const { day, date } = clock(minutes, crew);
  return `${inside ? 'day' : 'Day'} ${day + 1}${date ? `, ${date}` : ''}`;
};

/** How much later a plan ends: “35 min later that day”, “the next morning”, “2 days later”. */
export function laterWord(bound: number, finish: number, crew: Crew): string {
  const [from, to] = [clock(bound, crew), clock(finish, crew)];
  const days = to.day - from.day;
  if (days === 0) return `${formatMinutes(Math.round((finish - bound) / STEP) * STEP)} later that day`;
  const half = Number.parseInt(to.time) < 12 ? 'morning' : 'afternoon';
  return days === 1 ? `the next ${half}` : `${days} days later`;
}
