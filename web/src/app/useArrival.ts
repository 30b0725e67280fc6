import { useEffect, useRef, type RefObject } from 'react';

/** Takes the focus each time `arrived` grows: what was pressed before is gone, and the page must not swallow the place. */
export function useArrival<T extends HTMLElement>(arrived: number): RefObject<T | null> {
  const place = useRef<T>(null);
  useEffect(() => {
    if (arrived === 0) return;
    // what stands above it stays in sight where it can
    place.current?.focus({ preventScroll: true });
    (place.current?.firstElementChild ?? place.current)?.scrollIntoView({ block: 'nearest' });
  }, [arrived]);
  return place;
}
