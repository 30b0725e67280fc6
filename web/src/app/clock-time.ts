import { useEffect, useState } from 'react';

/** The clock of the device when this page began, and how long the page has run since: a clock that is set meanwhile moves nothing. */
const begun = Date.now() - performance.now();
/** A device that slept: its clock went on, and the page's may not have. Further apart, the clock is believed where it is ahead. */
const SLEPT = 5000;

/** Milliseconds since 1970, never going back while a page is open. */
export function steadyNow(): number {
  const steady = begun + performance.now();
  const told = Date.now();
  return told - steady > SLEPT ? told : steady;
}

/** The time, told every so many ms. */
export function useNow(every: number): number {
  const [now, setNow] = useState(steadyNow);
  useEffect(() => {
    const timer = setInterval(() => setNow(steadyNow()), every);
    return () => clearInterval(timer);
  }, [every]);
  return now;
}
