import type { LogEntry, SaidEntry } from '@kovelin/core/site/entry.ts';
import { liveQuery } from 'dexie';
import { useEffect, useRef, useState } from 'react';
import { db } from '../store/db.ts';
import { append, deviceOf, logOf } from '../store/site-log.ts';
import { steadyNow } from './clock-time.ts';

/** What was said and is not on the disk yet, with the time at which it was said. */
interface Waiting {
  readonly said: readonly SaidEntry[];
  readonly at: number;
}
export interface SiteLog {
  /** null: not read yet. */
  readonly entries: readonly LogEntry[] | null;
  /** Entries that wait to be written. */
  readonly waiting: number;
  /** Why they could not be. */
  readonly failed: string | null;
  readonly say: (...said: readonly SaidEntry[]) => void;
  readonly again: () => void;
}

/** What could not be written is tried again after so long, ms. */
const AGAIN = 8000;

/** The log of a job, as it stands in this and every other tab; what is said is written at once, in the order in which it was said. */
export function useLog(job: string): SiteLog {
  const [entries, setEntries] = useState<readonly LogEntry[] | null>(null);
  const [waiting, setWaiting] = useState(0);
  const [failed, setFailed] = useState<string | null>(null);
  const queue = useRef<Waiting[]>([]);
  const busy = useRef(false);
  useEffect(() => {
    const reading = liveQuery(() => logOf(db, job)).subscribe({
      next: setEntries,
      error: (reason: unknown) => setFailed(reason instanceof Error ? reason.message : String(reason)),
    });
    return () => reading.unsubscribe();
  }, [job]);

  const write = async (): Promise<void> => {
    if (busy.current) return;
    busy.current = true;
    try {
      for (let next = queue.current[0]; next; next = queue.current[0]) {
        await append(db, job, await deviceOf(db), next.said, next.at);
        queue.current.shift();
        setWaiting(queue.current.length);
      }
      setFailed(null);
    } catch (reason) {
      setFailed(whyNot(reason));
    } finally {
      busy.current = false;
    }
  };
  useEffect(() => {
    if (failed === null || waiting === 0) return;
    const timer = setTimeout(() => void write(), AGAIN);
    return () => clearTimeout(timer);
  });
  return {
    entries,
    waiting,
    failed,
    say: (...said) => {
      queue.current.push({ said, at: steadyNow() });
      setWaiting(queue.current.length);
      void write();
    },
    again: () => void write(),
  };
}

function whyNot(reason: unknown): string {
  const error = reason instanceof Error ? reason : new Error(String(reason));
  return error.name === 'QuotaExceededError' || /quota/i.test(error.message)
    ? 'There is no room left on this device: free some, and it is written. Nothing that was noted is lost while this page is open.'
    : `It could not be written (${error.message}); it is tried again.`;
}
