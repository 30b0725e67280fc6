import type { Id, SurfaceId } from '../job/table.ts';
import { familyOf } from '../job/vocabulary.ts';
import { labOf } from '../specify/colour.ts';
import type { Specified } from '../specify/specify.ts';
import type { Room } from '../job/measured.ts';
import { groupBy } from '../units/group.ts';
import type { Word } from '../units/word.ts';
import { paintWord } from '../words/systems.ts';

/** What is laid on a surface, trim apart: it is brushed by itself, whatever it is painted with. */
export const finishOf = ({ surface, product, colour, sheen }: Specified): string =>
  [...(familyOf(surface.kind) === 'trim' ? ['trim'] : []), product.id, colour.id, sheen].join('|');

/** Two sides that get the same need no line between them. */
export const paintOn = ({ product, colour, sheen }: Specified): string => `${product.id}|${colour.id}|${sheen}`;

/** One finish of a room: a node of the order in which finishes lap. */
export interface RoomFinish {
  /** Of product, colour and sheen: it stands when the room is measured again. */
  readonly id: string;
  readonly group: 'ceiling' | 'wall' | 'trim';
  readonly label: Word;
  readonly hex: string;
  readonly surfaces: readonly Specified[];
  /** CIE L* of its colour. */
  readonly lightness: number;
}

const GROUPS = ['ceiling', 'wall', 'trim'] as const;

/** Finishes from the top down, as a room is painted where nothing else says otherwise. */
export function finishesOf(surfaces: readonly Specified[]): RoomFinish[] {
  const found = [...groupBy(surfaces, finishOf)].map(([id, own]): RoomFinish => {
    const [one] = own as [Specified];
    const groups = own.map((s) => familyOf(s.surface.kind));
    return {
      id,
      group: GROUPS.find((group) => groups.includes(group)) ?? 'trim',
      label: paintWord(one),
      hex: one.colour.hex,
      surfaces: own,
      lightness: labOf(one.colour.hex).l,
    };
  });
  return found.sort((a, b) => GROUPS.indexOf(a.group) - GROUPS.indexOf(b.group));
}

/** A finish of one wall, or a few, that the room is to be looked at for. */
export interface Accent {
  readonly finish: string;
  readonly walls: readonly SurfaceId[];
  /** Nobody said so: its finish is on one wall alone. */
  readonly assumed: boolean;
}

/** The wall said to be the focal one; where nobody was asked, the only one with a finish of its own among three or more. */
export function accentOf({ focal }: Pick<Room, 'focal'>, finishes: readonly RoomFinish[]): Accent | null {
  if (focal === 'none') return null;
  const walls = finishes.flatMap(({ id, surfaces }) =>
    surfaces.flatMap(({ surface }) =>
      surface.kind === 'wall' && isField(surface.id) ? [{ finish: id, surface: surface.id, wall: surface.wall }] : [],
    ),
  );
  const others = (finish: string) => walls.filter((w) => w.finish !== finish).length;
  const own = (finish: string) => walls.filter((w) => w.finish === finish);
  const made = (finish: string, assumed: boolean): Accent => ({
    finish,
    walls: own(finish).map((w) => w.surface),
    assumed,
  });
  const said = focal === null ? undefined : walls.find((w) => w.wall === focal);
  if (said) return others(said.finish) ? made(said.finish, false) : null;
  const alone = walls.filter((w) => own(w.finish).length === 1 && others(w.finish) >= 2);
  const [only] = alone;
  return only && alone.length === 1 ? made(only.finish, true) : null;
}
const isField = (id: SurfaceId): boolean => id.endsWith('/field');

/** Walls that could be the focal one: those with a finish that not all have. */
export const focalChoices = (room: Pick<Room, 'walls'>, finishes: readonly RoomFinish[]): Id[] =>
  finishes.filter(({ group }) => group === 'wall').length < 2 ? [] : [...room.walls.order];
