import { useState } from 'react';

/** The value as it was, while it is as before: what is drawn of it is not drawn again. */
export function useSteady<T>(value: T): T {
  const [steady, setSteady] = useState(value);
  if (steady === value || JSON.stringify(steady) === JSON.stringify(value)) return steady;
  setSteady(value);
  return value;
}
