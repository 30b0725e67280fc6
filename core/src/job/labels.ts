import type { Room } from './measured.ts';
import { rows } from './table.ts';

type Labelled = Pick<Room, 'walls' | 'openings' | 'parts'>;

/** What walls, openings and parts of a room are called; each has a name of its own there. */
export const labelsIn = ({ walls, openings, parts }: Labelled): Set<string> =>
  new Set([...rows(walls), ...rows(openings), ...rows(parts)].map(({ label }) => label));

/** Gives labels that are free in a room, none twice: “d1”, “d2” for a kind that begins with d. */
export function labelsFor(room: Labelled): (kind: string) => string {
  const taken = labelsIn(room);
  return (kind) => {
    let n = 1;
    while (taken.has(`${kind.charAt(0)}${n}`)) n++;
    const label = `${kind.charAt(0)}${n}`;
    taken.add(label);
    return label;
  };
}
