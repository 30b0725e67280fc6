import type { Job } from '@kovelin/core/job/types.ts';
import { useState } from 'react';

const KEY = 'kovelin-mine';

/** Whose day this device shows: remembered on it, for a phone is one person's. */
export function useMine({ crew }: Pick<Job, 'crew'>): readonly [person: number, set: (person: number) => void] {
  const [id, setId] = useState(() => localStorage.getItem(KEY));
  const found = crew.people.findIndex((person) => person.id === id);
  return [
    Math.max(0, found),
    (person) => {
      const chosen = crew.people[person]?.id ?? '';
      localStorage.setItem(KEY, chosen);
      setId(chosen);
    },
  ];
}
