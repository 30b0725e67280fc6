import { groupBy } from '../units/group.ts';
import type { Oddity } from '../job/vocabulary.ts';
import type { LogEntry, SaidEntry } from './entry.ts';
import { ENDS } from '../job/limits.ts';
import { readEntry } from './schema.ts';

/** A log is a set of entries: in which order they came together changes nothing. */
export type Log = ReadonlyMap<string, LogEntry>;

/**
 * A line that is no entry here: of a newer Kovelin, damaged, or named like another entry. It is kept and goes out as it came; nothing
 * follows from it.
 */
export interface Aside {
  /** One line of JSON, or what stood in its place. */
  readonly text: string;
  readonly reason: string;
}

const compared = (a: string, b: string): number => Number(a > b) - Number(a < b);
/** By time, then device, then number: the same on every device. */
export const inOrder = (a: LogEntry, b: LogEntry): number =>
  compared(a.at, b.at) || compared(a.device, b.device) || a.seq - b.seq || compared(a.id, b.id);

/** What a text says as JSON; undefined: it is none. */
export function parsed(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch (reason) {
    if (reason instanceof SyntaxError) return undefined;
    throw reason;
  }
}

/** One text for one content, whatever the order of its members. */
export function contentOf(value: unknown): string {
  return JSON.stringify(value, (_, own: unknown) =>
    own !== null && typeof own === 'object' && !Array.isArray(own)
      ? Object.fromEntries(Object.entries(own).sort(([a], [b]) => compared(a, b)))
      : own,
  );
}

/** What comes of entries that meet a log: those it has not yet, and those whose id stands there with another content. */
export interface Met {
  readonly fresh: readonly LogEntry[];
  readonly aside: readonly Aside[];
}
/** @param elsewhere ids that belong to the log of another job. */
export function meet(log: Log, entries: Iterable<LogEntry>, elsewhere: ReadonlySet<string> = new Set()): Met {
  const fresh = new Map<string, LogEntry>();
  const aside: Aside[] = [];
  for (const entry of entries) {
    const known = log.get(entry.id) ?? fresh.get(entry.id);
    if (elsewhere.has(entry.id))
      aside.push({ text: contentOf(entry), reason: `${entry.id} is an entry of another job.` });
    else if (!known) fresh.set(entry.id, entry);
    else if (contentOf(known) !== contentOf(entry))
      aside.push({
        text: contentOf(entry),
        reason: `${entry.id} is another entry here, of ${known.at}; that one stands.`,
      });
  }
  return { fresh: [...fresh.values()], aside };
}

/** Something that may be an entry: `text` as it came, where that is known. */
export interface Line {
  readonly value: unknown;
  readonly text?: string;
}
/**
 * Entries out of whatever was stored or sent; what is none is set aside, for the reason it says. @param elsewhere ids that belong to the log
 * of another job.
 */
export function readEntries(
  lines: Iterable<Line>,
  elsewhere: ReadonlySet<string> = new Set(),
): { readonly log: Log; readonly aside: readonly Aside[] } {
  const entries: LogEntry[] = [];
  const aside: Aside[] = [];
  for (const { value, text } of lines) {
    const read = readEntry(value);
    if (read.ok) entries.push(read.value);
    else aside.push({ text: text ?? contentOf(value), reason: read.problems[0]?.message ?? '' });
  }
  const met = meet(new Map(), entries, elsewhere);
  return { log: new Map(met.fresh.map((entry) => [entry.id, entry])), aside: [...aside, ...met.aside] };
}

type Milliseconds = number;
const DAY: Milliseconds = 86_400_000;

/**
 * The next entry of a device: not before its last, though the clock was put back a little. Where the last lies more than a day ahead, the
 * clock was wrong then, and the time is what it is now. `now`: milliseconds since 1970.
 */
export function stamped(
  said: SaidEntry,
  device: string,
  last: Pick<LogEntry, 'at' | 'seq'> | null,
  now: Milliseconds,
  id: string = `${device}-${(last?.seq ?? 0) + 1}`,
): LogEntry {
  const [earliest, latest] = ENDS.moment;
  const told = Math.min(Math.max(now, earliest), latest);
  const after = last ? Date.parse(last.at) + 1 : earliest;
  const wasAhead = told > earliest && after - told > DAY;
  const at = wasAhead ? told : Math.min(Math.max(told, after), latest);
  return { ...said, id, at: new Date(at).toISOString(), seq: (last?.seq ?? 0) + 1, device };
}

/**
 * Entries written by a clock more than a day ahead of what the same device wrote later happened before that: they are of its moment.
 * @returns those entries, by id, with the moment (ISO 8601) they are of.
 */
function misdated(entries: readonly LogEntry[]): ReadonlyMap<string, string> {
  const moved = new Map<string, string>();
  for (const own of groupBy(entries, ({ device }) => device).values()) {
    let later = Infinity;
    for (const { id, at } of [...own].sort((a, b) => b.seq - a.seq || compared(b.at, a.at))) {
      const moment = Date.parse(at);
      if (moment - later > DAY) moved.set(id, new Date(later).toISOString());
      else later = Math.min(later, moment);
    }
  }
  return moved;
}

/** All entries, of the moments they were written at: those of a clock that ran ahead are of the next one's. In order. */
export function dated(entries: readonly LogEntry[]): LogEntry[] {
  const moved = misdated(entries);
  return entries
    .map((entry): LogEntry => {
      const at = moved.get(entry.id);
      return at === undefined ? entry : { ...entry, at };
    })
    .sort(inOrder);
}

/** What a log says when every correction is taken. */
export interface Corrected {
  /** In order of the times that then hold. */
  readonly entries: readonly LogEntry[];
  /** What of it cannot be taken as it stands. */
  readonly odd: readonly { readonly entry: LogEntry; readonly because: Oddity }[];
}

/**
 * The last correction of an entry counts, one that is itself corrected as it then says. Corrections of what is not there wait until it is;
 * one that would make of an entry what none can be, and those that correct each other in a circle, change nothing. Takes time in
 * proportion to the log.
 */
export function corrected(log: Log): Corrected {
  const odd: { entry: LogEntry; because: Oddity }[] = [];
  const entries = dated([...log.values()]);
  for (const entry of entries) if (entry.at !== log.get(entry.id)?.at) odd.push({ entry, because: 'clock' });
  const corrections = groupBy(entries.filter(isCorrection), ({ corrects }) => corrects);
  const holds = new Map<string, LogEntry | null>();
  const applied = (entry: LogEntry): LogEntry | null => {
    let held: LogEntry | null = entry;
    for (const correction of corrections.get(entry.id) ?? []) {
      const says = holds.get(correction.id);
      if (says?.kind !== 'correct') continue;
      if ('removed' in says.value) held = null;
      else {
        const made = readEntry({ ...entry, ...says.value });
        if (made.ok) held = made.value;
        else odd.push({ entry: correction, because: 'impossible' });
      }
    }
    return held;
  };
  // those that nothing corrects are sure; then what only sure ones correct, and so on
  const waits = new Map(entries.filter(isCorrection).map(({ id }) => [id, corrections.get(id)?.length ?? 0]));
  const sure = entries.filter(isCorrection).filter(({ id }) => waits.get(id) === 0);
  for (const correction of sure) {
    holds.set(correction.id, applied(correction));
    const target = log.get(correction.corrects);
    if (!target || !isCorrection(target)) continue;
    const left = (waits.get(target.id) ?? 0) - 1;
    waits.set(target.id, left);
    if (left === 0) sure.push(target);
  }
  for (const correction of entries.filter(isCorrection))
    if (!holds.has(correction.id)) odd.push({ entry: correction, because: 'circle' });
  const standing = entries.flatMap((entry) => (isCorrection(entry) ? [] : (applied(entry) ?? [])));
  return { entries: standing.sort(inOrder), odd };
}
const isCorrection = (entry: LogEntry): entry is LogEntry<'correct'> => entry.kind === 'correct';
