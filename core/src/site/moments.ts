import { DateTime } from 'luxon';
import type { Working } from '../sequence/calendar.ts';
import type { Minutes } from '../units/si.ts';
import type { Log } from './log.ts';

/**
 * The moment, milliseconds since 1970, at which a job's minutes begin: the first hour of its first day by the clock on the wall of its zone. A job
 * without a first day begins on that of its log's first entry; null: there is neither.
 */
export function zeroOf({ start, zone, hours }: Working, log: Log): number | null {
  const date = start ?? firstDate(log, zone);
  if (date === null) return null;
  const minute = hours[0]?.[0] ?? 0;
  const day = DateTime.fromISO(date, { zone }).startOf('day');
  return day.set({ hour: Math.floor(minute / 60), minute: minute % 60 }).toMillis();
}

/** The day of a log's first entry. */
function firstDate(log: Log, zone: string): string | null {
  let first: string | null = null;
  for (const { at } of log.values()) if (first === null || at < first) first = at;
  return first === null ? null : DateTime.fromISO(first, { zone }).toISODate();
}

/** Minutes from `zero` (ms since 1970) to a moment written in ISO 8601. */
export const minutesSince =
  (zero: number) =>
  (at: string): Minutes =>
    (Date.parse(at) - zero) / 60_000;
/** The moment `t` minutes after `zero` (ms since 1970), in ISO 8601. */
export const isoAt = (zero: number, t: Minutes): string => new Date(zero + Math.round(t * 60_000)).toISOString();
