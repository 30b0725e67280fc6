import { useState } from 'react';
import { useTyped } from './typed.ts';

/** Where a tab keeps what is typed and is no edit yet. */
const storageKey = (place: string): string => `kovelin-typed|${place}`;

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/** @returns null where nothing is half typed, or nothing can be kept. */
export function halfTyped<T>(place: string): T | null {
  try {
    return JSON.parse(sessionStorage.getItem(storageKey(place)) ?? 'null') as T | null;
  } catch {
    return null;
  }
}
/** @param value null: it is an edit now, or was given up. */
export function keepHalfTyped(place: string, value: unknown): void {
  try {
    if (value === null) sessionStorage.removeItem(storageKey(place));
    else sessionStorage.setItem(storageKey(place), JSON.stringify(value));
  } catch {
    // then it lasts as long as its field
  }
}

/**
 * A state that people type into before they press something: it counts as typed, and a reload, another side, step or surface takes nothing
 * away. @param place of the field, in a job: its name in the tab. @param blank nothing typed; setting it forgets.
 */
export function useHalfTyped<T>(place: string, blank: T): readonly [value: T, set: (value: T) => void] {
  const [held, setHeld] = useState<{ readonly place: string; readonly value: T }>(() => ({
    place,
    value: halfTyped<T>(place) ?? blank,
  }));
  // another surface or paint: what was typed of that one
  const now = held.place === place ? held : { place, value: halfTyped<T>(place) ?? blank };
  if (now !== held) setHeld(now);
  useTyped(!same(now.value, blank), () => true);
  const set = (value: T): void => {
    keepHalfTyped(place, same(value, blank) ? null : value);
    setHeld({ place, value });
  };
  return [now.value, set];
}
