import { useEffect, useId } from 'react';
import { useSearchParams } from 'react-router';

/** @returns the id of a field that takes the focus when a link leads to it: `?show=` and its name. */
export function useLedTo(name: string): string {
  const id = useId();
  const [params, setParams] = useSearchParams();
  const isLedTo = params.get('show') === name;
  useEffect(() => {
    if (!isLedTo) return;
    document.getElementById(id)?.focus();
    setParams(
      (now) => {
        now.delete('show');
        return now;
      },
      { replace: true },
    );
  }, [isLedTo, id, setParams]);
  return id;
}
