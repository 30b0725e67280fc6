import { tapeReading, type Reading } from '../units/reading.ts';
import type { Metres, System } from '../units/si.ts';
import { newOpening, newRoom, toTable, type IdSource } from './blank.ts';
import type { Opening, Room, Wall } from './measured.ts';
import { rows, type Id } from './table.ts';
import { usualOf } from './usual.ts';
import type { OpeningKind } from './vocabulary.ts';

/** A rectangular room as somebody says it in one breath. */
export interface PlainRoom {
  readonly name: string;
  readonly length: Reading;
  readonly width: Reading;
  readonly height: Reading;
  readonly doors: number;
  readonly windows: number;
  readonly baseboard: boolean;
}
export interface DrawnRoom {
  readonly room: Room;
  /** Doors and windows that no wall had room for, of a usual size. */
  readonly left: number;
}

/** Kept free at either end of a wall and between two openings: a casing and a hand [starting judgement]. */
const GAP: Metres = 0.3;
/** Walls by their index, in the order in which they are filled: the door is in the first wall, windows look the other way. */
const SEATS: Readonly<Record<'door' | 'window', readonly number[]>> = { door: [0, 1, 3, 2], window: [2, 1, 3, 0] };

/**
 * Four walls with square corners, its openings of usual sizes spread evenly over the walls that hold them, the first wall having
 * the doors. All of it is a starting value that the user corrects; what does not fit is counted, not squeezed in.
 */
export function plainRoom(id: Id, plain: PlainRoom, ids: IdSource, system: System): DrawnRoom {
  const usual = usualOf(system);
  const blank = newRoom(id, plain.name, ids, system);
  const walls = rows(blank.walls).map((wall, i): Wall => ({ ...wall, length: i % 2 ? plain.width : plain.length }));
  const seats = walls.map(() => [] as ('door' | 'window')[]);
  const widthOn = (i: number) =>
    (seats[i] ?? []).reduce<Metres>((sum, kind) => sum + usual.openings[kind].width.metres + GAP, GAP);
  const isLow = (kind: 'door' | 'window') => {
    const { height, sill } = usual.openings[kind];
    return height.metres + (sill?.metres ?? 0) >= plain.height.metres;
  };
  let left = 0;
  const seat = (kind: 'door' | 'window'): void => {
    const free = SEATS[kind].find(
      (i) => widthOn(i) + usual.openings[kind].width.metres + GAP <= (walls[i]?.length?.metres ?? 0),
    );
    if (free === undefined || isLow(kind)) left++;
    else seats[free]?.push(kind);
  };
  for (let n = 0; n < plain.doors; n++) seat('door');
  for (let n = 0; n < plain.windows; n++) seat('window');
  const count: Partial<Record<OpeningKind, number>> = {};
  const openings = seats.flatMap((kinds, i) => {
    const wall = walls[i];
    const free = (wall?.length?.metres ?? 0) - kinds.reduce((sum, kind) => sum + usual.openings[kind].width.metres, 0);
    let at = free / (kinds.length + 1);
    return kinds.map((kind): Opening => {
      const n = (count[kind] = (count[kind] ?? 0) + 1);
      const { width, ...size } = usual.openings[kind];
      const place = tapeReading(at, system);
      at += width.metres + free / (kinds.length + 1);
      const start = { id: ids(), label: `${kind.charAt(0)}${n}`, wall: wall?.id ?? '', kind, at: place };
      return { ...newOpening({ ...start, width, height: size.height }), ...size };
    });
  });
  const face = usual.baseboard;
  const room: Room = {
    ...blank,
    height: plain.height,
    walls: toTable(walls),
    openings: toTable(openings),
    trim: plain.baseboard ? { baseboard: { face, girth: null, at: null, later: false } } : {},
  };
  return { room, left };
}
