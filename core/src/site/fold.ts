import { groupBy } from '../units/group.ts';
import type { Litres, Minutes } from '../units/si.ts';
import type { Oddity, StopReason } from '../job/vocabulary.ts';
import type { EntryValues, LogEntry } from './entry.ts';
import { corrected, type Log } from './log.ts';

/** A while that somebody was on a task, minutes from the job's start. */
export interface Session {
  readonly who: string;
  readonly from: Minutes;
  /** null: still on it. */
  readonly to: Minutes | null;
  /** Why it was put down; null: it was not, or it is done. */
  readonly reason: StopReason | null;
}
/** What was done of a task. */
export interface TaskLog {
  readonly operation: string;
  readonly sessions: readonly Session[];
  /** When it was done; null: it is not. */
  readonly done: Minutes | null;
}
export interface AirSaid {
  readonly at: Minutes;
  readonly air: EntryValues['air'];
}
/** What lies under a cover. */
export interface Covered {
  readonly thing: string;
  readonly since: Minutes;
  readonly who: string;
}
/** Cans opened and levels read of a paint, in order. */
export interface PotLine {
  readonly at: Minutes;
  readonly paint: string;
  readonly opened: Litres;
  /** null: a can was opened and nothing read. */
  readonly left: Litres | null;
  readonly batch: string | null;
}
/** What a log comes to. */
export interface SiteState {
  readonly tasks: ReadonlyMap<string, TaskLog>;
  readonly air: readonly AirSaid[];
  readonly covered: readonly Covered[];
  /** Things of a day's list that are ticked, and what was written to them. */
  readonly ticks: ReadonlyMap<string, Minutes>;
  readonly reasons: ReadonlyMap<string, string>;
  readonly pots: readonly PotLine[];
  /** What does not go together, by entry: shown beside it, and taken for what it can mean. */
  readonly odd: readonly { readonly entry: LogEntry; readonly because: Oddity }[];
  /** All entries as they hold, in order. */
  readonly entries: readonly LogEntry[];
}
/** Of the operations of a log, those that are things of a day's list. */
const LISTED = 'list:';

interface Doing {
  sessions: { who: string; from: Minutes; to: Minutes | null; reason: StopReason | null }[];
  done: Minutes | null;
  /** Those still on it, by who. */
  open: Map<string, Doing['sessions'][number]>;
}

/**
 * The state that a set of entries says, whoever wrote them and in whatever order they came. `minutesOf`: a moment in minutes from the job's
 * start; `personOf`: one name for everybody, whatever an entry calls them.
 */
export function foldLog(
  log: Log,
  minutesOf: (at: string) => Minutes,
  personOf: (who: string) => string = (who) => who,
): SiteState {
  const { entries, odd: unclear } = corrected(log);
  const tasks = new Map<string, Doing>();
  const covered = new Map<string, Covered>();
  const ticks = new Map<string, Minutes>();
  const reasons = new Map<string, string>();
  const odd: { entry: LogEntry; because: Oddity }[] = [...unclear];
  const taskOf = (operation: string): Doing => {
    const known = tasks.get(operation) ?? { sessions: [], done: null, open: new Map() };
    tasks.set(operation, known);
    return known;
  };
  /** What each is on: nobody is at two things at once. */
  const on = new Map<string, Doing>();
  const leaves = (who: string, at: Minutes, reason: StopReason): void => {
    const session = on.get(who)?.open.get(who);
    if (session) Object.assign(session, { to: at, reason });
    on.get(who)?.open.delete(who);
    on.delete(who);
  };
  for (const entry of entries) {
    const at = minutesOf(entry.at);
    const says = (because: Oddity) => void odd.push({ entry, because });
    const who = personOf(entry.who);
    if (entry.kind === 'start' && entry.operation) {
      const doing = taskOf(entry.operation);
      if (doing.open.has(who)) {
        says('again');
        continue;
      }
      leaves(who, at, 'went-on');
      // what is taken up again was not done after all
      doing.done = null;
      const session = { who, from: at, to: null, reason: null };
      doing.sessions.push(session);
      doing.open.set(who, session);
      on.set(who, doing);
    } else if (entry.kind === 'stop') {
      if (entry.operation && !tasks.get(entry.operation)?.open.has(who)) says('not-on-it');
      else leaves(who, at, entry.value.reason);
    } else if (entry.operation?.startsWith(LISTED)) {
      if (entry.kind === 'done') ticks.set(entry.operation, at);
      if (entry.note?.trim()) reasons.set(entry.operation, entry.note.trim());
    } else if (entry.kind === 'done' && entry.operation) {
      const doing = taskOf(entry.operation);
      if (doing.done !== null) {
        says('again');
        continue;
      }
      if (!doing.sessions.length) says('done-first');
      for (const [person, session] of doing.open) {
        session.to = at;
        on.delete(person);
      }
      doing.open.clear();
      doing.done = at;
    } else if (entry.kind === 'cover') {
      if (!covered.has(entry.value.thing)) covered.set(entry.value.thing, { thing: entry.value.thing, since: at, who });
    } else if (entry.kind === 'uncover') {
      if (!covered.delete(entry.value.thing)) says('not-covered');
    }
  }
  return {
    tasks: new Map([...tasks].map(([operation, { sessions, done }]) => [operation, { operation, sessions, done }])),
    air: entries.flatMap((entry) => (entry.kind === 'air' ? [{ at: minutesOf(entry.at), air: entry.value }] : [])),
    covered: [...covered.values()],
    ticks,
    reasons,
    pots: entries.flatMap((entry): PotLine[] => potLine(entry, minutesOf(entry.at))),
    odd,
    entries,
  };
}

function potLine(entry: LogEntry, at: Minutes): PotLine[] {
  if (entry.kind === 'can') {
    const { paint, litres, batch } = entry.value;
    return [{ at, paint, opened: litres, left: null, batch: batch || null }];
  }
  if (entry.kind === 'litres')
    return [{ at, paint: entry.value.paint, opened: 0, left: entry.value.left, batch: null }];
  return [];
}

/** Who is on a task now. */
export const onIt = ({ sessions }: TaskLog): readonly string[] =>
  sessions.flatMap(({ who, to }) => (to === null ? [who] : []));

/** Minutes that were worked on it by all who were, until now where they still are. */
export const workedOn = ({ sessions }: TaskLog, now: Minutes): Minutes =>
  sessions.reduce((sum, { from, to }) => sum + Math.max(0, (to ?? now) - from), 0);

/** First begin and last end of a task's sessions; null: it was only said to be done. */
export function spanOf({ sessions, done }: TaskLog): readonly [from: Minutes, to: Minutes | null] | null {
  if (!sessions.length) return done === null ? null : [done, done];
  const open = sessions.some(({ to }) => to === null);
  const from = Math.min(...sessions.map((own) => own.from));
  return [from, open ? null : Math.max(...sessions.map((own) => own.to ?? own.from))];
}

/** What is left of each paint by the last time that somebody looked, with what was opened since. */
export function potsNow(pots: readonly PotLine[]): ReadonlyMap<string, Litres> {
  const byPaint = groupBy(pots, ({ paint }) => paint);
  return new Map(
    [...byPaint].map(([paint, own]) => [paint, own.reduce((litres, line) => line.left ?? litres + line.opened, 0)]),
  );
}
