import { useEffect, useLayoutEffect, useRef, useSyncExternalStore } from 'react';

/** Fields in which something was typed that is no edit yet: it counts as unsaved, and is taken when the page or the field goes. */
const open = new Map<object, () => void>();
const listeners = new Set<() => void>();
const changed = () => {
  for (const listener of listeners) listener();
};

/** Takes everything that is being typed, wherever it can be read. */
export function takeTyped(): void {
  for (const take of [...open.values()]) take();
}

const isTyping = (): boolean => open.size > 0;
/** Whether anything is typed that is no edit yet. */
export const useTyping = (): boolean =>
  useSyncExternalStore((listener) => {
    listeners.add(listener);
    return () => listeners.delete(listener);
  }, isTyping);

/** @param take makes the edit of what stands in the field, or says why it cannot; called when the field leaves the page, too. */
export function useTyped(dirty: boolean, take: () => void): void {
  const latest = useRef(take);
  useLayoutEffect(() => {
    latest.current = take;
  });
  useEffect(() => {
    if (!dirty) return;
    const owner = {};
    open.set(owner, () => latest.current());
    changed();
    return () => {
      open.delete(owner);
      changed();
    };
  }, [dirty]);
  // the field itself goes: a step, a room or a row was left in the middle of typing
  useEffect(() => () => latest.current(), []);
}
