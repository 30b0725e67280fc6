import type { Minutes } from '../units/si.ts';

export type Span = readonly [start: Minutes, end: Minutes];

/** Working stretches, in minutes from the job's start (the first stretch of day 1 starts at 0). */
export interface Calendar {
  /** Stretches of one day, first at 0. */
  readonly day: readonly Span[];
}
export const DAY = 1440;
/** Work is planned ten years ahead and no further: what takes longer is said to be a slip. */
export const HORIZON: Minutes = 3652 * DAY;

/** @param hours stretches of a day in minutes after midnight, in order */
export function calendarOf(hours: readonly Span[]): Calendar {
  const zero = hours[0]?.[0] ?? 0;
  return { day: hours.map(([from, to]) => [from - zero, to - zero] as const) };
}

/** The same days without their first and last minutes of work. */
export function between({ day }: Calendar, first: Minutes, last: Minutes): Calendar {
  const cut = (spans: readonly Span[], minutes: Minutes): Span[] => {
    let left = minutes;
    return spans.flatMap(([from, to]): Span[] => {
      const gone = Math.min(left, to - from);
      left -= gone;
      return to - from > gone + 1e-9 ? [[from + gone, to]] : [];
    });
  };
  const turned = (spans: readonly Span[]) => [...spans].reverse().map(([from, to]): Span => [-to, -from]);
  return { day: turned(cut(turned(cut(day, first)), last)) };
}

const dayOf = (t: Minutes) => Math.floor(t / DAY);

/** The stretches that end after `t`, up to the horizon. */
function* stretches({ day }: Calendar, t: Minutes): Generator<Span> {
  for (let d = Math.max(0, dayOf(t)); d * DAY < HORIZON; d++)
    for (const [from, to] of day) if (d * DAY + to > t + 1e-9) yield [d * DAY + from, d * DAY + to];
}

export const longestStretch = ({ day }: Calendar): Minutes => Math.max(0, ...day.map(([from, to]) => to - from));

/** First working moment at or after `t`; beyond the horizon there is none. */
export function nextWorking(calendar: Calendar, t: Minutes): Minutes {
  const { value } = stretches(calendar, t).next() as { value?: Span };
  return value ? Math.max(t, value[0]) : Infinity;
}

/**
 * The earliest pieces of work from `t`: one piece inside one stretch, or, interruptible, as many as breaks cut it into.
 * @returns null when one piece is longer than every stretch, or the horizon comes first.
 */
export function fit(calendar: Calendar, t: Minutes, minutes: Minutes, interruptible: boolean): Span[] | null {
  if (!interruptible && minutes > longestStretch(calendar) + 1e-9) return null;
  const pieces: Span[] = [];
  let left = minutes;
  for (const [from, to] of stretches(calendar, t)) {
    const start = Math.max(from, t);
    if (!interruptible) {
      if (to - start >= minutes - 1e-9) return [[start, start + minutes]];
      continue;
    }
    const take = Math.min(left, to - start);
    pieces.push([start, start + take]);
    left -= take;
    if (left <= 1e-9) return pieces;
  }
  return null;
}

/** When `workers` people have done `minutes` of work if nobody ever waits; Infinity beyond the horizon. */
export function crewTime(calendar: Calendar, minutes: Minutes, workers: number): Minutes {
  if (minutes <= 0) return 0;
  return fit(calendar, 0, minutes / workers, true)?.at(-1)?.[1] ?? Infinity;
}

/** Stretches from the start to the end of the day in which `finish` falls. */
export function workingTime(calendar: Calendar, finish: Minutes): Span[] {
  const days = Math.max(1, Math.ceil(finish / DAY));
  return Array.from({ length: days }, (_, d) => calendar.day.map(([a, b]): Span => [d * DAY + a, d * DAY + b])).flat();
}
