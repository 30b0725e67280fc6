import { bad, good, type Result } from '../units/problem.ts';
import { tapeReading, type Reading } from '../units/reading.ts';
import type { Degrees, Metres, System } from '../units/si.ts';
import { formatLength } from '../units/length.ts';
import { letter, type IdSource } from './blank.ts';
import { labelsFor } from './labels.ts';
import type { Opening, Part, Room, Wall } from './measured.ts';
import type { Id } from './table.ts';

/** What a wall may have inside it that is walls of its own: a chimney breast into the room, an alcove or a canted bay out of it. */
export const WALL_SHAPES = ['breast', 'alcove', 'bay'] as const;
export type WallShape = (typeof WALL_SHAPES)[number];

export interface ShapeAsk {
  readonly shape: WallShape;
  /** Along the wall, its opening; into the room or out of it; from the wall's start. */
  readonly width: Reading;
  readonly depth: Reading;
  readonly at: Reading;
}

/** Lengths and turns of the walls between the two ends of it; a bay is canted by 45 degrees. */
function sidesOf({ shape, width: { metres: w }, depth: { metres: d } }: ShapeAsk): {
  readonly first: Degrees;
  readonly sides: readonly (readonly [Metres, Degrees])[];
} {
  if (shape === 'bay') {
    const canted = d * Math.SQRT2;
    return { first: -45, sides: [[canted, 45], [w - 2 * d, 45], [canted, -45]] }; // prettier-ignore
  }
  const into = shape === 'breast' ? 90 : -90;
  return { first: into, sides: [[d, -into], [w, -into], [d, into]] }; // prettier-ignore
}

/**
 * The room with it built into a wall: the wall ends where it begins, its sides and its front are walls, and a last one goes on to
 * the corner. Openings and parts stay where they are. Refused: what does not fit, or stands where it begins or ends.
 */
export function withShape(
  room: Room,
  id: Id,
  ask: ShapeAsk,
  ids: IdSource,
  system: System,
): Result<{ readonly room: Room; readonly added: readonly Id[] }> {
  const { walls } = room;
  const wall = walls.byId[id];
  if (!wall?.length) return bad('Type the length of this wall first.');
  const [long, w, d, x] = [wall.length.metres, ask.width.metres, ask.depth.metres, ask.at.metres];
  const size = (metres: Metres) => formatLength(metres, system);
  const isPlain = !wall.bow && !wall.foot && !wall.peaks.length;
  if (!isPlain || (wall.heightStart?.metres ?? null) !== (wall.heightEnd?.metres ?? null))
    return bad(`Wall ${wall.label} is curved, slopes or climbs: measure it wall by wall.`);
  if (x <= 0 || x + w >= long)
    return bad(
      `From ${size(x)} to ${size(x + w)} does not lie inside wall ${wall.label}, which is ${size(long)}; leave some of it at both ends.`,
    );
  if (ask.shape === 'bay' && w <= 2 * d)
    return bad(`A bay of ${size(w)} is too narrow to be ${size(d)} deep; less than ${size(w / 2)} is accepted.`);
  const at = walls.order.indexOf(id);
  const beside = [-1, 1].flatMap((by) => {
    const next = walls.byId[walls.order[(at + by + walls.order.length) % walls.order.length] ?? ''];
    return next?.length && next.id !== id ? [next.length.metres] : [];
  });
  const free = Math.min(...beside);
  if (ask.shape === 'breast' && d >= free)
    return bad(`A breast ${size(d)} deep is deeper than the room, ${size(free)} beside it.`);

  const { first, sides } = sidesOf(ask);
  const labels = new Set(Object.values(walls.byId).map(({ label }) => label));
  let index = walls.order.length;
  const freshLabel = (): string => {
    while (labels.has(letter(index))) index++;
    return letter(index++);
  };
  const made = [...sides, [long - x - w, wall.turn] as const].map(([length, turn]): Wall => ({
    ...wall,
    id: ids(),
    label: freshLabel(),
    length: tapeReading(length, system),
    turn,
  }));
  const front = made[1]?.id ?? id;
  const last = made.at(-1)?.id ?? id;
  /** On which of them something stands, and how far from its start; null: across an end. */
  const placed = (from: Metres, wide: Metres): readonly [Id, Metres] | null => {
    if (from + wide <= x) return [id, from];
    if (from >= x + w) return [last, from - x - w];
    if (ask.shape === 'bay') return from >= x + d && from + wide <= x + w - d ? [front, from - x - d] : null;
    return from >= x && from + wide <= x + w ? [front, from - x] : null;
  };
  type Standing = Pick<Opening | Part, 'wall' | 'at' | 'width' | 'label'>;
  const placeOf = ({ wall: on, at: from, width }: Standing) =>
    on === id && from ? placed(from.metres, width?.metres ?? 0) : undefined;
  const { openings, parts } = room;
  const stuck = [...Object.values(openings.byId), ...Object.values(parts.byId)].find((item) => placeOf(item) === null);
  if (stuck) return bad(`${stuck.label} stands where it would begin or end: move that first.`);
  const settled = <T extends Standing>(item: T): T => {
    const [on, from] = placeOf(item) ?? [];
    return on === undefined || from === undefined ? item : { ...item, wall: on, at: tapeReading(from, system) };
  };
  const each = <T extends Standing>(byId: Readonly<Record<Id, T>>): Record<Id, T> =>
    Object.fromEntries(Object.entries(byId).map(([key, item]) => [key, settled(item)]));
  // what goes from end to end of a wall goes on along its parts
  const along = Object.values(parts.byId).filter((part) => part.wall === id && part.at === null && part.width === null);
  const label = labelsFor(room);
  const copies = made.flatMap((on) =>
    along.map((part): Part => ({ ...part, id: ids(), wall: on.id, label: label(part.kind) })),
  );
  const shortened: Wall = { ...wall, length: ask.at, turn: first };
  return good({
    room: {
      ...room,
      walls: {
        byId: { ...walls.byId, [id]: shortened, ...Object.fromEntries(made.map((one) => [one.id, one])) },
        order: walls.order.toSpliced(at + 1, 0, ...made.map((one) => one.id)),
      },
      openings: { ...openings, byId: each(openings.byId) },
      parts: {
        byId: { ...each(parts.byId), ...Object.fromEntries(copies.map((part) => [part.id, part])) },
        order: [...parts.order, ...copies.map((part) => part.id)],
      },
    },
    added: made.map((one) => one.id),
  });
}
