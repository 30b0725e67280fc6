import { useEffect, useRef } from 'react';

/** A file that was chosen before what reads it was there: read once. */
export function useArrived(file: File | undefined, read: (file: File) => void): void {
  const latest = useRef(read);
  useEffect(() => {
    latest.current = read;
  });
  useEffect(() => {
    if (file) latest.current(file);
  }, [file]);
}
