import type { Pending } from './commit.ts';

/**
 * What a page had not saved yet when it was left, written in the moment of leaving, when there is no time for the database.
 * The next session of the job takes it up.
 */
const PREFIX = 'kovelin-unsaved';
const place = (job: string, session: string) => `${PREFIX}|${job}|${session}`;

export interface Left {
  readonly made: string | undefined;
  readonly edits: readonly Pending[];
}

/** @returns false where the browser keeps nothing: then the reader has to be asked to wait. */
export function leave(job: string, session: string, left: Left): boolean {
  try {
    if (left.edits.length) localStorage.setItem(place(job, session), JSON.stringify(left));
    else localStorage.removeItem(place(job, session));
    return true;
  } catch {
    return left.edits.length === 0;
  }
}

/** A job is gone for good: what its pages left goes with it. */
export function forgetLeft(job: string): void {
  for (const left of leftBehind(job)) left.forget();
}

/** What sessions of a job left behind, the journals taken away by `forget` once it is in. */
export function leftBehind(job: string): readonly (Left & { readonly forget: () => void })[] {
  try {
    const keys = Object.keys(localStorage).filter((key) => key.startsWith(`${PREFIX}|${job}|`));
    return keys.flatMap((key) => {
      const left = JSON.parse(localStorage.getItem(key) ?? 'null') as Left | null;
      return left ? [{ ...left, forget: () => localStorage.removeItem(key) }] : [];
    });
  } catch {
    return [];
  }
}
