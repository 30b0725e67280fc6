import type { Minutes } from '../units/si.ts';
import type { Board } from './board.ts';
import type { Calendar } from './calendar.ts';
import type { Activity, Compiled } from './instance.ts';

/** What is not put down may run so far into a break. */
const OVER: Minutes = 20;

/**
 * The same tasks with breaks that give way a little. A plan that misses a break by two minutes looks as bad as one that misses it by
 * twenty; here it ends as early as if it fitted, and what it runs over can be counted and worked off.
 */
export function loosened(problem: Compiled): Compiled {
  const made = new Map<Calendar, Calendar>();
  const loose = (strict: Calendar): Calendar => {
    const known = made.get(strict) ?? strict.loosened(OVER);
    made.set(strict, known);
    return known;
  };
  return { ...problem, calendars: problem.calendars.map((own) => own.map(loose)) };
}

/** Minutes that the plan on a board runs into breaks, by the hours that people really have. */
export function overrunOf({ tasks, calendars, count }: Compiled, { start, end, on }: Board): Minutes {
  let over = 0;
  for (let i = 0; i < count; i++) {
    const { interruptible, work } = tasks[i] as Activity;
    if (interruptible) continue;
    // who is on it together keeps the same hours: the last of them stands for all
    const calendar = calendars[i]?.[31 - Math.clz32(on[i] as number)] as Calendar;
    over += work - (calendar.worked(end[i] as number) - calendar.worked(start[i] as number));
  }
  return over;
}
