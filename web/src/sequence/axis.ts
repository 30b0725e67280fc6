import type { Crew } from '@kovelin/core/job/crew.ts';
import { dayOf, type Span } from '@kovelin/core/sequence/calendar.ts';

/** A stretch of working time, and where it begins on the axis, minutes. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
  readonly at: number;
  readonly day: number;
}
/** Working time alone, with a little room between stretches and more between days: nights and breaks hold no work. */
export interface Axis {
  readonly stretches: readonly Stretch[];
  readonly end: number;
  /** From minutes of the job to minutes of the axis, and back. */
  readonly place: (t: number) => number;
  readonly timeAt: (at: number) => number;
}
const BETWEEN = { stretches: 8, days: 40 };

/** `only`: one day alone, from 0; null: all of them. */
export function axisOf(workingTime: readonly Span[], crew: Crew, only: number | null): Axis {
  const stretches: Stretch[] = [];
  let at = 0;
  for (const [from, to] of workingTime) {
    const day = dayOf(crew, from);
    if (only !== null && only !== day) continue;
    const before = stretches.at(-1);
    if (before) at += before.day === day ? BETWEEN.stretches : BETWEEN.days;
    stretches.push({ from, to, at, day });
    at += to - from;
  }
  const clamped = (value: number, least: number, most: number): number => Math.min(Math.max(value, least), most);
  return {
    stretches,
    end: at,
    place: (t) => {
      const own = stretches.find((s) => t <= s.to + 1e-9) ?? stretches.at(-1);
      return own ? own.at + clamped(t, own.from, own.to) - own.from : 0;
    },
    timeAt: (x) => {
      const own = stretches.find((s) => x <= s.at + s.to - s.from + 1e-9) ?? stretches.at(-1);
      return own ? own.from + clamped(x - own.at, 0, own.to - own.from) : 0;
    },
  };
}
