import type { Board } from './board.ts';
import type { Calendar, Span } from './calendar.ts';
import type { Activity, Compiled } from './instance.ts';

export interface Placed<T extends Activity = Activity> {
  readonly task: T;
  readonly pieces: readonly Span[];
  /** Indices into the crew. */
  readonly who: readonly number[];
  /** Fetching before it, a person at a time. */
  readonly travel: readonly { readonly who: number; readonly pieces: readonly Span[] }[];
}

/** The plan on a board, read out in the order of its begins. */
export function placedOf<T extends Activity>(problem: Compiled<T>, board: Board<T>): Placed<T>[] {
  const { tasks, calendars, plain, people, kind, travel } = problem;
  const fetching = tasks.map((): { who: number; pieces: readonly Span[] }[] => []);
  for (let person = 0; person < people; person++) {
    let before = 0;
    for (const task of board.agenda(person)) {
      const minutes = (travel[before] as Float64Array)[kind[task] as number] as number;
      before = (kind[task] as number) + 1;
      if (minutes <= 0) continue;
      const calendar = plain[person] as Calendar;
      const begins = calendar.startBy(board.start[task] as number, minutes, true);
      fetching[task]?.push({ who: person, pieces: calendar.within(begins, board.start[task] as number) });
    }
  }
  return tasks
    .map((task, i): Placed<T> => {
      const who = Array.from({ length: people }, (_, p) => p).filter((p) => (board.on[i] as number) & (1 << p));
      const [from, to] = [board.start[i] as number, board.end[i] as number];
      const calendar = calendars[i]?.[who[0] ?? 0] as Calendar;
      const pieces: Span[] = task.interruptible ? calendar.within(from, to) : [[from, to]];
      return { task, pieces: pieces.length ? pieces : [[from, to]], who, travel: fetching[i] ?? [] };
    })
    .sort((a, b) => (a.pieces[0]?.[0] ?? 0) - (b.pieces[0]?.[0] ?? 0));
}
