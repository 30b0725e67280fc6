import { DateTime } from 'luxon';
import type { Crew, Moment, Person } from '../job/crew.ts';
import { rememberLast } from '../units/remember.ts';
import type { Minutes } from '../units/si.ts';

// looked up once: these are asked for millions of times
const { max, min } = Math;
/** A moment that never comes. */
export const NEVER: Minutes = Infinity;

export type Span = readonly [start: Minutes, end: Minutes];

export const DAY = 1440;
/** Work is planned ten years ahead and no further: what takes longer is said to be a slip. */
const DAYS = 3652;
export const HORIZON: Minutes = DAYS * DAY;

/** Stretches of a day counted from the first, minutes from the job's start, in order. */
export type DayStretches = (day: number) => readonly Span[];

/**
 * When somebody works, in elapsed minutes from the job's start. `worked` counts what of it lies within stretches: where
 * two moments are so many worked minutes apart, that much can be done between them.
 */
export class Calendar {
  private readonly from: number[] = [];
  private readonly to: number[] = [];
  /** Worked before each stretch. */
  private readonly before: number[] = [];
  private nextDay = 0;
  /** The stretch that was found last. */
  private last = 0;
  /** Longest stretch of the days that were looked at: at least a fortnight. */
  private longestSeen = 0;
  constructor(
    private readonly stretchesOf: DayStretches,
    private readonly over: Minutes = 0,
  ) {
    while (this.nextDay < 14) this.extend();
  }

  /** One more day; false: the horizon is reached. */
  private extend(): boolean {
    if (this.nextDay >= DAYS) return false;
    for (const [from, to] of this.stretchesOf(this.nextDay)) {
      const n = this.from.length;
      const done = n ? (this.before[n - 1] as number) + (this.to[n - 1] as number) - (this.from[n - 1] as number) : 0;
      this.from.push(from);
      this.to.push(to);
      this.before.push(done);
      this.longestSeen = max(this.longestSeen, to - from);
    }
    this.nextDay++;
    return true;
  }

  /** Index of the first stretch that ends after `t`; -1: beyond the horizon. */
  private after(t: Minutes): number {
    if (!(t < HORIZON)) return -1;
    while ((this.to.at(-1) ?? -NEVER) <= t + 1e-9) if (!this.extend()) return -1;
    // mostly asked of the same stretch again, or of the next
    for (let i = this.last; i <= this.last + 1 && i < this.to.length; i++)
      if ((this.to[i] as number) > t + 1e-9 && (i === 0 || (this.to[i - 1] as number) <= t + 1e-9))
        return (this.last = i);
    let [low, high] = [0, this.to.length - 1];
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((this.to[middle] as number) > t + 1e-9) high = middle;
      else low = middle + 1;
    }
    this.last = low;
    return low;
  }

  /** The same hours, but what is not put down may run so far over the end of a stretch. */
  loosened(over: Minutes): Calendar {
    return new Calendar(this.stretchesOf, over);
  }

  get longest(): Minutes {
    return this.longestSeen;
  }

  /** First working moment at or after `t`; Infinity: beyond the horizon. */
  next(t: Minutes): Minutes {
    const i = this.after(t);
    return i < 0 ? NEVER : max(t, this.from[i] as number);
  }

  /** Minutes worked before `t`. */
  worked(t: Minutes): Minutes {
    if (t <= 0) return 0;
    const i = this.after(t);
    if (i < 0) {
      const last = this.to.length - 1;
      return last < 0 ? 0 : (this.before[last] as number) + (this.to[last] as number) - (this.from[last] as number);
    }
    return (this.before[i] as number) + max(0, t - (this.from[i] as number));
  }

  /** The moment by which so much has been worked; Infinity: beyond the horizon. */
  at(worked: Minutes): Minutes {
    if (worked <= 0) return 0;
    for (;;) {
      const last = this.to.length - 1;
      if (last >= 0) {
        const all = (this.before[last] as number) + (this.to[last] as number) - (this.from[last] as number);
        if (all >= worked - 1e-9) break;
      }
      if (!this.extend()) return NEVER;
    }
    let [low, high] = [0, this.before.length - 1];
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if ((this.before[middle] as number) < worked - 1e-9) low = middle;
      else high = middle - 1;
    }
    return (this.from[low] as number) + worked - (this.before[low] as number);
  }

  /** The moment at which so much has been worked since `t`. */
  later(t: Minutes, minutes: Minutes): Minutes {
    return minutes <= 0 ? t : this.at(this.worked(t) + minutes);
  }

  /**
   * Earliest start at or after `t` of so much work: inside one stretch, or, interruptible, over as many as it takes.
   * @returns NEVER where it fits nowhere before the horizon.
   */
  start(t: Minutes, minutes: Minutes, interruptible: boolean): Minutes {
    if (interruptible) return Number.isFinite(this.later(this.next(t), minutes)) ? this.next(t) : NEVER;
    let i = this.after(t);
    while (i >= 0) {
      while (i >= this.to.length) if (!this.extend()) return NEVER;
      const begins = max(t, this.from[i] as number);
      if ((this.to[i] as number) + this.over - begins >= minutes - 1e-9) return begins;
      i++;
    }
    return NEVER;
  }

  /** Latest start of so much work that ends by `t`; -NEVER: it does not fit before. */
  startBy(t: Minutes, minutes: Minutes, interruptible: boolean): Minutes {
    if (t === NEVER) return NEVER;
    if (interruptible) {
      const left = this.worked(t) - minutes;
      if (left < -1e-9) return -NEVER;
      // a moment that a break follows is as late as the end of that break
      const i = this.after(this.at(left));
      return i < 0 ? this.at(left) : max(this.at(left), this.from[i] as number);
    }
    for (let i = this.lastBefore(t); i >= 0; i--) {
      const ends = min(t, this.to[i] as number);
      if (ends - (this.from[i] as number) >= minutes - 1e-9) return ends - minutes;
    }
    return -NEVER;
  }
  /** Index of the last stretch that begins before `t`; -1: none. */
  private lastBefore(t: Minutes): number {
    const i = this.after(t);
    if (i < 0) return this.to.length - 1;
    return (this.from[i] as number) < t ? i : i - 1;
  }

  /** The end of work that starts then. */
  end(start: Minutes, minutes: Minutes, interruptible: boolean): Minutes {
    return interruptible ? max(start, this.later(start, minutes)) : start + minutes;
  }

  /** The parts of [from, to] that are worked. */
  within(from: Minutes, to: Minutes): Span[] {
    const parts: Span[] = [];
    for (let i = this.after(from); i >= 0 && i < this.to.length && (this.from[i] as number) < to; i++) {
      const part: Span = [max(from, this.from[i] as number), min(to, this.to[i] as number)];
      if (part[1] > part[0]) parts.push(part);
      if (i === this.to.length - 1) this.extend();
    }
    return parts;
  }
}

/** Minutes that all of them work by a moment. */
export const workedBy = (calendars: readonly Calendar[], t: Minutes): Minutes =>
  calendars.reduce((sum, calendar) => sum + calendar.worked(t), 0);
/** The moment, before `until`, by which they have worked so much. */
export function whenWorked(calendars: readonly Calendar[], worked: Minutes, until: Minutes): Minutes {
  let [low, high] = [0, until];
  while (high - low > 1e-3) {
    const middle = (low + high) / 2;
    if (workedBy(calendars, middle) < worked) low = middle;
    else high = middle;
  }
  return high;
}

/** What of a job says when its people work. */
export type Working = Pick<Crew, 'hours' | 'start' | 'weekdays' | 'holidays' | 'extra' | 'zone'>;

/** Midnights of a job's days by its first date and zone: a calendar of time zones is slow to ask. */
const midnights = rememberLast(
  16,
  (start: string, zone: string) => `${start} ${zone}`,
  (start, zone) => {
    const first = DateTime.fromISO(start, { zone }).startOf('day');
    const known: number[] = [];
    return (day: number): Minutes => (known[day] ??= first.plus({ days: day }).diff(first, 'minutes').minutes);
  },
);

/** Minutes from the job's start to midnight before its nth day; in the zone, so that a day may have 23 or 25 hours. */
export function midnight({ start, zone, hours }: Working, day: number): Minutes {
  const first = hours[0]?.[0] ?? 0;
  if (start === null) return day * DAY - first;
  return midnights(start, zone)(day) - onWall(start, zone, 0, first);
}
/** Minutes from midnight of the nth day to a time by the clock on the wall: more or fewer on the day that it is put back or forward. */
function onWall(start: string, zone: string, day: number, time: Minutes): Minutes {
  const long = midnights(start, zone)(day + 1) - midnights(start, zone)(day);
  if (long === DAY || time >= DAY) return time;
  const local = DateTime.fromISO(start, { zone }).startOf('day').plus({ days: day });
  const then = local.set({ hour: Math.floor(time / 60), minute: Math.floor(time % 60) });
  return then.diff(local, 'minutes').minutes + (time % 1);
}

/** So many minutes after midnight by the clock on the wall. */
export const onClock = (crew: Working, day: number, time: Minutes): Minutes =>
  midnight(crew, day) + (crew.start === null ? time : onWall(crew.start, crew.zone, day, time));
/** A moment of the plan as minutes of the crew’s clock since the first midnight. */
export const momentOf = (crew: Working, { day, time }: Moment): Minutes => onClock(crew, day, time);

/** ISO date of the nth day; null: the first is not set. */
const dateOf = ({ start }: Pick<Crew, 'start'>, day: number): string | null => {
  if (start === null) return null;
  const date = new Date(`${start}T00:00:00Z`);
  date.setUTCDate(date.getUTCDate() + day);
  return date.toISOString().slice(0, 10);
};
/** 1 (Monday) to 7. */
const weekdayOf = (date: string): number => new Date(`${date}T00:00:00Z`).getUTCDay() || 7;

/** Does the crew work that day? */
const isWorkday = ({ weekdays, holidays, extra }: Working, date: string): boolean =>
  extra.includes(date) || (weekdays.includes(weekdayOf(date)) && !holidays.includes(date));
/** Without dates there are no weekends. */
function isWorked(crew: Working, day: number): boolean {
  const date = dateOf(crew, day);
  return date === null || isWorkday(crew, date);
}
function isThere({ from, until, away }: Person, date: string | null): boolean {
  return (
    date === null || ((from === null || date >= from) && (until === null || date <= until) && !away.includes(date))
  );
}

/** Is anybody there to work on a day (ISO date)? */
export const anybodyWorks = (crew: Crew, date: string): boolean =>
  isWorkday(crew, date) && crew.people.some((person) => isThere(person, date));
/** The first day after one on which anybody works; null: none within a year. */
export function nextWorkday(crew: Crew, date: string): string | null {
  for (let day = 1; day <= 366; day++) {
    const next = dateOf({ start: date }, day);
    if (next && anybodyWorks(crew, next)) return next;
  }
  return null;
}

/** What is left of stretches without their first and last minutes. */
function between(spans: readonly Span[], first: Minutes, last: Minutes): Span[] {
  const cut = (own: readonly Span[], minutes: Minutes): Span[] => {
    let left = minutes;
    return own.flatMap(([from, to]): Span[] => {
      const gone = min(left, to - from);
      left -= gone;
      return to - from > gone + 1e-9 ? [[from + gone, to]] : [];
    });
  };
  const turned = (own: readonly Span[]) => [...own].reverse().map(([from, to]): Span => [-to, -from]);
  return turned(cut(turned(cut(spans, first)), last));
}
/** What of stretches lies outside others. */
const without = (spans: readonly Span[], others: readonly Span[]): Span[] =>
  others.reduce<Span[]>(
    (left, [a, b]) =>
      left.flatMap(([from, to]): Span[] => {
        const parts: Span[] = [
          [from, min(to, a)],
          [max(from, b), to],
        ];
        return parts.filter(([x, y]) => y > x + 1e-9);
      }),
    [...spans],
  );

/** How the days of a calendar are cut: at either end, by hours without noise, by an hour at which all must be dry. */
export interface Cuts {
  readonly setUp?: Minutes;
  readonly cleanUp?: Minutes;
  /** Before each break: covers are wrapped airtight. */
  readonly wrap?: Minutes;
  readonly quiet?: readonly Span[];
  /** Minute of the day. */
  readonly before?: Minutes | null;
}

/** The working days of somebody; `null`: of whoever works longest, all on their own hours left out. */
export function calendarOf(crew: Working, person: Person | null, cuts: Cuts = {}): Calendar {
  const { setUp = 0, cleanUp = 0, wrap = 0, quiet = [], before = null } = cuts;
  const hours = person?.hours ?? crew.hours;
  const closed: Span[] = before === null ? [] : [[before, 2 * DAY]];
  const worked = between(hours, setUp, cleanUp).map(([from, to], i, all): Span => [
    from,
    i < all.length - 1 ? max(from, to - wrap) : to,
  ]);
  const day = without(without(worked, quiet), closed);
  return new Calendar((n) => {
    if (!isWorked(crew, n) || (person && !isThere(person, dateOf(crew, n)))) return [];
    return day
      .map(([from, to]): Span => [max(0, onClock(crew, n, from)), onClock(crew, n, to)])
      .filter(([from, to]) => to > from);
  });
}

/** The day, counted from the first, in which a moment lies. */
export function dayOf(crew: Working, t: Minutes): number {
  let day = max(0, Math.floor((t + (crew.hours[0]?.[0] ?? 0)) / DAY));
  if (crew.start === null) return day;
  // a day may have 23 or 25 hours
  while (midnight(crew, day + 1) <= t) day++;
  while (day > 0 && midnight(crew, day) > t) day--;
  return day;
}

/** A moment as people name it: the day, and the time by the clock on the wall. */
export function momentAt(crew: Working, t: Minutes): Moment {
  const day = dayOf(crew, t);
  const since = t - midnight(crew, day);
  const more = midnight(crew, day + 1) - midnight(crew, day) - DAY;
  // clocks are changed before anybody works
  return { day, time: since >= 240 ? since - more : since };
}
