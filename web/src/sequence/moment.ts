import type { Moment } from '@kovelin/core/job/crew.ts';
import { clockTime } from '@kovelin/core/units/date.ts';
import { bad, good, type Result } from '@kovelin/core/units/problem.ts';

/** “2 10:30”, or “10:30” on the day it is planned for. */
export function readMoment(text: string, day: number): Result<Moment | null> {
  if (!text.trim()) return good(null);
  const [, of, hours = '', minutes = '00'] =
    /^(?:(?:day\s*)?(\d+)[\s,]+)?(\d{1,2})(?:[:.h]([0-5]\d))?$/i.exec(text.trim()) ?? [];
  const time = Number(hours) * 60 + Number(minutes);
  const at = of === undefined ? day : Number(of) - 1;
  return hours !== '' && time <= 1440 && at >= 0
    ? good({ day: at, time })
    : bad('Write a time of the day, for example 10:30, or day 2, 10:30.');
}
export const momentWords = (at: Moment | null): string => (at ? `day ${at.day + 1}, ${clockTime(at.time)}` : '');
