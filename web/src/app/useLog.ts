import type { LogEntry, SaidEntry } from '@kovelin/core/site/entry.ts';
import { inOrder, type Aside } from '@kovelin/core/site/log.ts';
import { faultOfSaid } from '@kovelin/core/site/schema.ts';
import { liveQuery } from 'dexie';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { say } from './say.ts';
import { db, type PhotoRow } from '../store/db.ts';
import { LogWriter, type WriterState } from '../store/log-writer.ts';
import { append, deviceOf, logOf } from '../store/site-log.ts';
import { steadyNow } from './clock-time.ts';

interface Read {
  /** In order; null: not read yet. */
  readonly entries: readonly LogEntry[] | null;
  /** Lines that are no entries here. */
  readonly aside: readonly Aside[];
}
export interface SiteLog extends WriterState, Read {
  /** Notes what is said, with photos that were taken. @returns why that cannot be, as a sentence; null: it is being written. */
  readonly note: (said: readonly SaidEntry[], photos?: readonly PhotoRow[]) => string | null;
  /** The same where no field shows the sentence: it is told. @returns whether it is being written. */
  readonly say: (...said: readonly SaidEntry[]) => boolean;
  readonly again: () => void;
}

/** A writer a job: what waits in it waits on, whatever step is looked at. */
const writers = new Map<string, LogWriter>();
function writerFor(job: string): LogWriter {
  const known = writers.get(job) ?? new LogWriter(async (noted) => append(db, job, await deviceOf(db), noted));
  writers.set(job, known);
  return known;
}

/** The log of a job, as it stands in this and every other tab; what is said is written at once, in the order in which it was said. */
export function useLog(job: string): SiteLog {
  const [read, setRead] = useState<Read>({ entries: null, aside: [] });
  const writer = writerFor(job);
  const state = useSyncExternalStore(
    (listener) => writer.listen(listener),
    () => writer.state,
  );
  useEffect(() => {
    const reading = liveQuery(() => logOf(db, job)).subscribe({
      next: ({ log, aside }) => setRead({ entries: [...log.values()].sort(inOrder), aside }),
      error: (reason: unknown) => say(`The log could not be read: ${String(reason)}`),
    });
    return () => reading.unsubscribe();
  }, [job]);
  useEffect(() => {
    // asked when it happens: a field that is taken as the page is left may just have noted something
    const stay = (event: BeforeUnloadEvent): void => {
      if (writer.state.waiting) event.preventDefault();
    };
    window.addEventListener('beforeunload', stay);
    return () => window.removeEventListener('beforeunload', stay);
  }, [writer]);
  const note: SiteLog['note'] = (said, photos = []) => {
    const fault = said.map(faultOfSaid).find((one) => one !== null) ?? null;
    if (fault === null) writer.say({ said, at: steadyNow(), photos });
    return fault;
  };
  return {
    ...state,
    ...read,
    note,
    say: (...said) => {
      const fault = note(said);
      if (fault !== null) say(fault);
      return fault === null;
    },
    again: () => writer.again(),
  };
}
