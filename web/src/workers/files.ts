import { useCallback, useEffect, useRef, useState } from 'react';
import type { Remote } from 'comlink';
import { whyNot } from '../store/why.ts';
import { askers, TooLong } from './ask.ts';
import { startWorker } from './start.ts';
import type { FilesApi } from './files.worker.ts';

/** A file that takes longer is no file of a house. */
export const MOST_SECONDS = 20;
export const askFiles = askers<FilesApi>(() => startWorker('files'), MOST_SECONDS);

/** Why a file was not read, as a sentence; null where the reader stopped it. */
export function whyNotRead(name: string, error: unknown): string | null {
  if (error instanceof DOMException && error.name === 'AbortError') return null;
  if (error instanceof TooLong)
    return `${name} took longer than ${error.seconds} seconds to read and was given up; nothing was taken. Keep only what is needed of it and save it again.`;
  return `${name} was not read: ${whyNot(error)}`;
}

export interface Reading {
  /** The file that is being read; null: none. */
  readonly name: string | null;
  readonly cancel: () => void;
  /** Asks one question about a file; the one before it is given up. @returns null when it was stopped, or said why not. */
  readonly read: <P extends Promise<unknown>>(
    name: string,
    question: (api: Remote<FilesApi>) => P,
    fail: (message: string) => void,
  ) => Promise<Awaited<P> | null>;
}

/** One file at a time, beside the page, with a way to stop it. */
export function useReading(): Reading {
  const [name, setName] = useState<string | null>(null);
  const going = useRef<AbortController | null>(null);
  const cancel = useCallback(() => going.current?.abort(), []);
  useEffect(() => cancel, [cancel]);
  const read = useCallback(
    async <P extends Promise<unknown>>(
      file: string,
      question: (api: Remote<FilesApi>) => P,
      fail: (message: string) => void,
    ): Promise<Awaited<P> | null> => {
      cancel();
      const mine = new AbortController();
      going.current = mine;
      setName(file);
      const answer = await askFiles(question, mine.signal).catch((error: unknown) => {
        const why = whyNotRead(file, error);
        if (why) fail(why);
        return null;
      });
      if (going.current === mine) setName(null);
      return answer;
    },
    [cancel],
  );
  return { name, cancel, read };
}
