import { DateTime } from 'luxon';

/** A day is written `2026-11-26`, everywhere a date is stored. */
const DAY = 'yyyy-MM-dd';

/** The day it is where the reader is. */
export const today = (now = DateTime.local()): string => now.toFormat(DAY);

/** The day so many days later, or earlier, by the calendar. */
export const addDays = (day: string, days: number): string =>
  DateTime.fromFormat(day, DAY, { zone: 'utc' }).plus({ days }).toFormat(DAY);

/** Whole days from one day to another. */
export const daysBetween = (from: string, to: string): number =>
  Math.round(DateTime.fromISO(to, { zone: 'utc' }).diff(DateTime.fromISO(from, { zone: 'utc' }), 'days').days);

/** A minute of the day as a clock shows it: 8:05. */
export const clockTime = (at: number): string =>
  `${Math.floor(at / 60)}:${String(Math.round(at) % 60).padStart(2, '0')}`;
