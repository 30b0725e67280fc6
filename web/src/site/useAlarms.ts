import type { SiteClock } from '@kovelin/core/site/clocks.ts';
import { CLOSING } from '@kovelin/core/words/site.ts';
import { useEffect, useRef, useState } from 'react';
import { notify, sound } from './sound.ts';

export interface Alarms {
  /** Clocks that have come due and were not seen to yet. */
  readonly ringing: readonly SiteClock[];
  readonly hush: () => void;
  readonly mayNotify: boolean;
  /** Asks for notices, and makes a sound so that later ones are let through. */
  readonly allow: () => void;
}

/** What is about to set is told so long before, minutes. */
const BEFORE = 1;
export const ringsAt = ({ kind, due }: SiteClock): number => (CLOSING.has(kind) ? due - BEFORE : due);

/** Rings when a clock comes due while the page is open, and keeps the screen awake while one runs. */
export function useAlarms(clocks: readonly SiteClock[], now: number): Alarms {
  const [hushed, setHushed] = useState<ReadonlySet<string>>(new Set());
  const [mayNotify, setMayNotify] = useState(() => 'Notification' in window && Notification.permission === 'granted');
  const rung = useRef<Set<string> | null>(null);
  const ringing = clocks.filter((clock) => ringsAt(clock) <= now && !hushed.has(clock.id) && clock.kind !== 'touch');
  const due = ringing.map(({ id }) => id).join('|');
  useEffect(() => {
    const ids = due ? due.split('|') : [];
    // what was due before the page was opened is shown, and rings no more
    const fresh = rung.current === null ? [] : ids.filter((id) => !rung.current?.has(id));
    rung.current = new Set([...(rung.current ?? []), ...ids]);
    if (!fresh.length) return;
    sound();
    // the page says the same; a device that shows no notices has lost nothing
    if (mayNotify) notify(`${fresh.length} due now`).catch(() => setMayNotify(false));
  }, [due, mayNotify]);
  const runs = clocks.some(({ due: at }) => at > now && at < now + 60);
  useEffect(() => {
    if (!runs || !('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | null = null;
    let gone = false;
    const hold = (): void => {
      if (document.visibilityState !== 'visible') return;
      navigator.wakeLock.request('screen').then(
        (held) => {
          lock = held;
          if (gone) void held.release();
        },
        // a phone short of power says no: the clocks run all the same
        () => undefined,
      );
    };
    hold();
    document.addEventListener('visibilitychange', hold);
    return () => {
      gone = true;
      document.removeEventListener('visibilitychange', hold);
      void lock?.release();
    };
  }, [runs]);
  return {
    ringing,
    hush: () => setHushed(new Set([...hushed, ...ringing.map(({ id }) => id)])),
    mayNotify,
    allow: () => {
      sound();
      if ('Notification' in window)
        void Notification.requestPermission().then((answer) => setMayNotify(answer === 'granted'));
    },
  };
}
