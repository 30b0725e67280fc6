import type { IdSource } from './blank.ts';
import { newRoom, toTable, useFromName } from './blank.ts';
import { rows, type Id } from './table.ts';
import type { Check, Opening, Part, Room, Wall } from './measured.ts';
import type { System } from '../units/si.ts';
import { at } from '../units/list.ts';

/** A room as shorthand text says it: by labels, before it has ids. */
export interface DraftRoom {
  readonly name: string;
  readonly height: Room['height'];
  /** Missing: declared. */
  readonly turns?: Room['turns'];
  readonly walls: readonly Omit<Wall, 'id'>[];
  readonly openings: readonly (Omit<Opening, 'id' | 'wall'> & { readonly wall: string })[];
  readonly checks: readonly { readonly from: string; readonly to: string; readonly length: Check['length'] }[];
  readonly trim: Room['trim'];
  readonly parts: readonly (Omit<Part, 'id' | 'wall'> & { readonly wall: string | null })[];
}

/** Pairs drafts with what was there, by label first and then by position, so that ids (and decisions on them) stay. */
function pair<D extends { readonly label: string }, T extends { readonly id: Id; readonly label: string }>(
  drafts: readonly D[],
  existing: readonly T[],
): (T | undefined)[] {
  const free = new Set(existing);
  const byLabel = drafts.map((draft) => {
    const found = existing.find((item) => item.label === draft.label && free.has(item));
    if (found) free.delete(found);
    return found;
  });
  return byLabel.map((found, index) => {
    if (found) return found;
    const there = existing[index];
    return there && free.delete(there) ? there : undefined;
  });
}

/** The room the draft describes, keeping the ids of the room it replaces. Draft labels must resolve (the reader checks). */
export function reconcileRoom(room: Room, draft: DraftRoom, ids: IdSource): Room {
  const walls = pair(draft.walls, rows(room.walls)).map((old, index): Wall => ({
    ...at(draft.walls, index),
    id: old?.id ?? ids(),
  }));
  const idOf = new Map(walls.map((wall) => [wall.label, wall.id]));
  const wallId = (label: string): Id => idOf.get(label) ?? '';
  const openings = pair(draft.openings, rows(room.openings)).map((old, index): Opening => {
    const opening = at(draft.openings, index);
    return { ...opening, id: old?.id ?? ids(), wall: wallId(opening.wall) };
  });
  const parts = pair(draft.parts, rows(room.parts)).map((old, index): Part => {
    const part = at(draft.parts, index);
    return { ...part, id: old?.id ?? ids(), wall: part.wall === null ? null : wallId(part.wall) };
  });
  return {
    ...room,
    name: draft.name,
    use: draft.name === room.name ? room.use : useFromName(draft.name),
    height: draft.height,
    turns: draft.turns ?? 'declared',
    walls: toTable(walls),
    openings: toTable(openings),
    checks: draft.checks.map((check) => ({ from: wallId(check.from), to: wallId(check.to), length: check.length })),
    trim: draft.trim,
    parts: toTable(parts),
  };
}

/** A new room from what was typed of it. */
export const roomFromDraft = (draft: DraftRoom, id: Id, ids: IdSource, units: System): Room =>
  reconcileRoom({ ...newRoom(id, draft.name, ids, units), walls: toTable<Wall>([]) }, draft, ids);
