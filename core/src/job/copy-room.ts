import type { IdSource } from './blank.ts';
import type { Room } from './measured.ts';
import type { Id, Table } from './table.ts';

/** What else says something of a room, by keys that name it or what is in it: `room:wall`, `room/ceiling`, `wall/region/part`. */
type Said<T> = Readonly<Record<string, T>>;

export interface RoomCopy {
  readonly room: Room;
  /** The entries of a map that are of the room, as the copy's own. */
  readonly saidOf: <T>(map: Said<T>) => Record<string, T>;
}

/** A room like another, with everything in it, under ids of its own; where it looks to is not known. */
export function copyOfRoom(room: Room, id: Id, name: string, ids: IdSource): RoomCopy {
  const { walls, openings, parts } = room;
  const idOf = new Map([room.id, ...[walls, openings, parts].flatMap(({ order }) => order)].map((old) => [old, ids()]));
  idOf.set(room.id, id);
  const now = (old: Id): Id => idOf.get(old) ?? old;
  const copied = <T extends { readonly id: Id }>(
    table: Table<T>,
    settle: (item: T) => T = (item) => item,
  ): Table<T> => ({
    byId: Object.fromEntries(
      Object.values(table.byId).map((item) => [now(item.id), settle({ ...item, id: now(item.id) })]),
    ),
    order: table.order.map(now),
  });
  return {
    room: {
      ...room,
      id,
      name,
      bearing: null,
      focal: room.focal && now(room.focal),
      walls: copied(walls),
      openings: copied(openings, (opening) => ({ ...opening, wall: now(opening.wall) })),
      parts: copied(parts, (part) => ({ ...part, wall: part.wall && now(part.wall) })),
      checks: room.checks.map((check) => ({ ...check, from: now(check.from), to: now(check.to) })),
    },
    saidOf: (map) =>
      Object.fromEntries(
        Object.entries(map).flatMap(([key, value]) => {
          const [of = ''] = key.split(/[/:]/, 1);
          if (!idOf.has(of)) return [];
          const own = now(of) + key.slice(of.length);
          return [[own.replace(/(?<=\/region\/).+/, now), value]];
        }),
      ),
  };
}

/** The first of “Bedroom 2”, “Bedroom 3” ... that no room has. */
export function nextName(name: string, taken: readonly string[]): string {
  // room for the number, and no character cut in two
  const bare = [...name.replace(/\s+\d+$/, '')].slice(0, 70).join('');
  let n = 2;
  while (taken.includes(`${bare} ${n}`)) n++;
  return `${bare} ${n}`;
}
