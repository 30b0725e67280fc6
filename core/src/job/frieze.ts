import { newPart, type IdSource } from './blank.ts';
import type { Edit } from './edits.ts';
import { labelsFor } from './labels.ts';
import type { Room } from './measured.ts';
import { rows } from './table.ts';

/** The part of every wall above the picture rail as a surface of its own, where it is none yet; nothing without a rail. */
export function friezeEdits(room: Room, ids: IdSource): readonly Edit[] {
  const rail = room.trim['picture-rail'];
  const parts = rows(room.parts);
  if (!rail?.at) return [];
  const label = labelsFor(room);
  return rows(room.walls).flatMap((wall): readonly Edit[] => {
    if (!wall.length || parts.some((part) => part.kind === 'frieze' && part.wall === wall.id)) return [];
    const part = newPart({ id: ids(), label: label('frieze'), kind: 'frieze', wall: wall.id, sill: rail.at });
    return [{ name: 'addPart', args: { room: room.id, part } }];
  });
}

/** The same taken back: what is above the rail goes with its wall again. */
export const noFriezeEdits = ({ id: room, parts }: Room): readonly Edit[] =>
  rows(parts).flatMap((part): readonly Edit[] =>
    part.kind === 'frieze' ? [{ name: 'removePart', args: { room, part: part.id } }] : [],
  );
