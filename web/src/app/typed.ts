import { useEffect, useLayoutEffect, useRef, useSyncExternalStore } from 'react';

/** Fields in which something was typed that is no edit yet: it counts as unsaved, and is taken when the page or the field goes. */
const open = new Map<object, Take>();
/** Makes the edit of what stands in a field. @param isGone the field is no longer there: what cannot be taken is said. @returns whether it was made. */
type Take = (isGone: boolean) => boolean;
const listeners = new Set<() => void>();
const changed = () => {
  for (const listener of listeners) listener();
};

/** Takes everything that is being typed, wherever it can be read. @returns whether all of it could be. */
export const takeTyped = (): boolean =>
  [...open]
    .map(([owner, take]) => {
      const isTaken = take(false);
      // a page that is left says so more than once
      if (isTaken) open.delete(owner);
      return isTaken;
    })
    .every(Boolean);

/** A page that is left takes what is typed with it; where that cannot be, the browser asks first. */
export function takeTypedOnLeaving(): void {
  window.addEventListener('pagehide', takeTyped);
  window.addEventListener('beforeunload', (event) => {
    if (!takeTyped()) event.preventDefault();
  });
}

const isTyping = (): boolean => open.size > 0;
/** Whether anything is typed that is no edit yet. */
export const useTyping = (): boolean =>
  useSyncExternalStore((listener) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }, isTyping);

/** @param take called when the page is left, and when the field leaves the page. */
export function useTyped(dirty: boolean, take: Take): void {
  const latest = useRef(take);
  useLayoutEffect(() => {
    latest.current = take;
  });
  useEffect(() => {
    if (!dirty) return;
    const owner = {};
    open.set(owner, (isGone) => latest.current(isGone));
    changed();
    return () => {
      open.delete(owner);
      changed();
    };
  }, [dirty]);
  // the field itself goes: a step, a room or a row was left in the middle of typing
  useEffect(() => () => void latest.current(true), []);
}
