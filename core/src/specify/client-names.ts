import type { Room } from '../job/measured.ts';
import type { Surface } from '../measure/surface.ts';
import type { Word } from '../units/word.ts';
import { clientNames } from '../words/names.ts';

/** Surfaces of a room as its client calls them: “all four walls; two doors; pilaster on wall C”. */
export const clientNamesIn = (
  surfaces: readonly { readonly surface: Surface }[],
  room: Pick<Room, 'walls'> | undefined,
): Word =>
  clientNames(
    surfaces.map(({ surface }) => surface),
    ({ wall }) => room?.walls.byId[wall ?? '']?.label ?? null,
    room?.walls.order.length,
  );
