import { groupBy } from '../units/group.ts';
import { bad, good, type Result } from '../units/problem.ts';
import type { LogEntry, SaidEntry } from './entry.ts';

/** A log is a set of entries: in which order they came together changes nothing. */
export type Log = ReadonlyMap<string, LogEntry>;

/** By time, then device, then number: the same on every device. */
export const inOrder = (a: LogEntry, b: LogEntry): number =>
  compared(a.at, b.at) || compared(a.device, b.device) || a.seq - b.seq;
const compared = (a: string, b: string): number => Number(a > b) - Number(a < b);

/** One text for one content, whatever the order of its members. */
export function contentOf(value: unknown): string {
  return JSON.stringify(value, (_, own: unknown) =>
    own !== null && typeof own === 'object' && !Array.isArray(own)
      ? Object.fromEntries(Object.entries(own).sort(([a], [b]) => compared(a, b)))
      : own,
  );
}

/** The union of entries by id. Errors: an id that stands there with another content. */
export function union(log: Log, entries: Iterable<LogEntry>): Result<Log> {
  const all = new Map(log);
  for (const entry of entries) {
    const known = all.get(entry.id);
    if (known && contentOf(known) !== contentOf(entry))
      return bad(
        `Entry ${entry.id} of ${entry.at} is in the log with another content (${known.kind} instead of ${entry.kind}, or other words). A log is corrected by another entry, never changed; nothing was taken over.`,
      );
    all.set(entry.id, entry);
  }
  return good(all);
}

/**
 * The next entry of a device: not before its last, though the clock was put back. `now`: milliseconds since 1970; `of`: what its
 * entries are named after, where one device writes several logs.
 */
export function stamped(
  said: SaidEntry,
  device: string,
  last: Pick<LogEntry, 'at' | 'seq'> | null,
  now: number,
  of: string = device,
): LogEntry {
  const seq = (last?.seq ?? 0) + 1;
  const at = Math.max(now, last ? Date.parse(last.at) + 1 : 0);
  return { ...said, id: `${of}-${seq}`, at: new Date(at).toISOString(), seq, device };
}

/** The last entry of each device. */
export function lastOf(entries: Iterable<LogEntry>): ReadonlyMap<string, LogEntry> {
  const devices = groupBy([...entries], ({ device }) => device);
  return new Map(
    [...devices].map(([device, own]) => [device, own.reduce((last, entry) => (entry.seq > last.seq ? entry : last))]),
  );
}

/**
 * What the log says when every correction is taken: in order of the times that then hold. The last correction of an entry counts, one that
 * is itself corrected as it then says. Corrections of what is not there wait until it is.
 */
export function corrected(log: Log): readonly LogEntry[] {
  const entries = [...log.values()].sort(inOrder);
  const corrections = new Map<string, LogEntry<'correct'>[]>();
  for (const entry of entries)
    if (entry.kind === 'correct') {
      const own = corrections.get(entry.corrects);
      if (own) own.push(entry);
      else corrections.set(entry.corrects, [entry]);
    }
  /** null: taken back. `seen`: what led here, for corrections that correct each other say nothing. */
  const holding = (entry: LogEntry, seen: ReadonlySet<string>): LogEntry | null => {
    const standing = (corrections.get(entry.id) ?? []).filter(({ id }) => !seen.has(id));
    let holds: LogEntry | null = entry;
    for (const correction of standing) {
      const held = holding(correction, new Set([...seen, entry.id]));
      if (held?.kind !== 'correct') continue;
      const { value } = held;
      holds = 'removed' in value ? null : ({ ...entry, ...value } as LogEntry);
    }
    return holds;
  };
  return entries.flatMap((entry) => (entry.kind === 'correct' ? [] : (holding(entry, new Set()) ?? []))).sort(inOrder);
}
