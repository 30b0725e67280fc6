import type { System } from '../units/si.ts';
import type { Opening, Part, Room, Wall } from './measured.ts';
import type { Id, Table } from './table.ts';
import { usualOf } from './usual.ts';
import type { RoomUse } from './vocabulary.ts';

/** Rooms and what stands in them, before anybody measured. */
export type IdSource = () => Id;

/** Ids that a named edit can make again when it is re-run: a seed and a count. */
export function seededIds(seed: string): IdSource {
  let n = 0;
  return () => `${seed}-${(n++).toString(36)}`;
}

/** Items with ids as a table, in their order. */
export const toTable = <T extends { readonly id: Id }>(items: readonly T[]): Table<T> => ({
  byId: Object.fromEntries(items.map((item) => [item.id, item])),
  order: items.map((item) => item.id),
});

/** A, B ... Z, AA, AB ... */
export function letter(index: number): string {
  const rest = Math.floor(index / 26);
  return (rest > 0 ? letter(rest - 1) : '') + String.fromCharCode(65 + (index % 26));
}

/** A wall nobody has measured, turning right at its end. */
export const newWall = (id: Id, label: string): Wall => ({
  id,
  label,
  length: null,
  turn: 90,
  heightStart: null,
  heightEnd: null,
  peaks: [],
  bow: null,
  foot: null,
});

type OpeningStart = Pick<Opening, 'id' | 'label' | 'wall' | 'kind' | 'width' | 'height' | 'at'>;

/** An opening of which only place and size are known. */
export const newOpening = (start: OpeningStart): Opening => ({
  sill: null,
  shape: 'rectangle',
  rise: null,
  casing: null,
  girth: null,
  back: null,
  reveal: null,
  leaf: start.kind === 'door' ? 'flush' : 'none',
  faces: 1,
  panels: start.kind === 'door' ? { rows: 2, columns: 1 } : { rows: 1, columns: 1 },
  frame: null,
  sash: 'none',
  board: null,
  apron: null,
  ...start,
});

/** A part with what is said of it; all else is not known. */
export const newPart = (start: Pick<Part, 'id' | 'label' | 'kind'> & Partial<Part>): Part => ({
  wall: null,
  width: null,
  height: null,
  depth: null,
  at: null,
  sill: null,
  count: 1,
  way: null,
  ...start,
});

/** A room waits for its first wall: four walls, square corners, 8 ft or 2.4 m high, all visibly starting values. */
export function newRoom(id: Id, name: string, ids: IdSource, units: System): Room {
  return {
    id,
    name,
    use: useFromName(name),
    floor: 'unknown',
    bearing: null,
    focal: null,
    height: usualOf(units).height,
    turns: 'declared',
    walls: toTable([0, 1, 2, 3].map((index) => newWall(ids(), letter(index)))),
    openings: toTable<Opening>([]),
    checks: [],
    trim: {},
    parts: toTable<Part>([]),
  };
}

const WORDS: readonly (readonly [RoomUse, RegExp])[] = [
  ['bathroom', /bath|wash|shower|toilet|\bwc\b|cloak/i],
  ['kitchen', /kitchen|scullery|pantry|galley/i],
  ['hall', /hall|passage|corridor|stair|landing|entry|mudroom/i],
  ['bedroom', /bed|nursery|dorm/i],
  ['living', /living|parlou?r|lounge|sitting|dining|study|den\b|family/i],
];

/** A starting guess from the room's name; the user can change it. */
export const useFromName = (name: string): RoomUse => WORDS.find(([, pattern]) => pattern.test(name))?.[0] ?? 'other';
