import type { LogEntry, SaidEntry } from '@kovelin/core/site/entry.ts';
import { inOrder } from '@kovelin/core/site/log.ts';
import { liveQuery } from 'dexie';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { say } from './say.ts';
import { db, type PhotoRow } from '../store/db.ts';
import { LogWriter, type WriterState } from '../store/log-writer.ts';
import { append, deviceOf, logOf } from '../store/site-log.ts';
import { steadyNow } from './clock-time.ts';

export interface SiteLog extends WriterState {
  /** In order; null: not read yet. */
  readonly entries: readonly LogEntry[] | null;
  readonly say: (...said: readonly SaidEntry[]) => void;
  /** Says that photos were taken, and keeps them with it. */
  readonly show: (said: readonly SaidEntry[], photos: readonly PhotoRow[]) => void;
  readonly again: () => void;
}

/** A writer a job: what waits in it waits on, whatever step is looked at. */
const writers = new Map<string, LogWriter>();
function writerFor(job: string): LogWriter {
  const known =
    writers.get(job) ??
    new LogWriter(async ({ said, at, photos }) => append(db, job, await deviceOf(db), said, at, photos));
  writers.set(job, known);
  return known;
}

/** The log of a job, as it stands in this and every other tab; what is said is written at once, in the order in which it was said. */
export function useLog(job: string): SiteLog {
  const [entries, setEntries] = useState<readonly LogEntry[] | null>(null);
  const writer = writerFor(job);
  const state = useSyncExternalStore(
    (listener) => writer.listen(listener),
    () => writer.state,
  );
  useEffect(() => {
    const reading = liveQuery(() => logOf(db, job)).subscribe({
      next: (rows) => setEntries(rows.sort(inOrder)),
      error: (reason: unknown) => say(`The log could not be read: ${String(reason)}`),
    });
    return () => reading.unsubscribe();
  }, [job]);
  useEffect(() => {
    if (!state.waiting) return;
    const stay = (event: BeforeUnloadEvent): void => event.preventDefault();
    window.addEventListener('beforeunload', stay);
    return () => window.removeEventListener('beforeunload', stay);
  }, [state.waiting]);
  return {
    ...state,
    entries,
    say: (...said) => writer.say(said, steadyNow()),
    show: (said, photos) => writer.say(said, steadyNow(), photos),
    again: () => writer.again(),
  };
}
