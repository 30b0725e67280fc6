import type { Room } from '@kovelin/core/job/measured.ts';
import type { RoomTakeoff } from '@kovelin/core/measure/takeoff.ts';
import type { JobView } from '../app/job-context.ts';

/** What every part of the row-by-row panel is given. */
export interface RoomProps {
  readonly view: JobView;
  readonly room: Room;
  readonly takeoff: RoomTakeoff;
}

export const WALL = { max: 60, what: 'a wall' };
export const HEIGHT = { max: 20, what: 'a height' };
export const OFFSET = { zero: true, what: 'a distance' };

/** Sentences about one place of the room: `walls/w1`, `openings/o1/width`, `trim/crown`. */
export const problemsAt = ({ room, takeoff }: Pick<RoomProps, 'room' | 'takeoff'>, place: string): string[] =>
  takeoff.problems.filter((p) => p.path.startsWith(`rooms/${room.id}/${place}`)).map((p) => p.message);

/** The sentences under one part of the room, by the place there. */
export type PlacedProblems = readonly (readonly [place: string, sentence: string])[];
export function problemsUnder({ room, takeoff }: Pick<RoomProps, 'room' | 'takeoff'>, part: string): PlacedProblems {
  const under = `rooms/${room.id}/${part}/`;
  return takeoff.problems
    .filter(({ path }) => path.startsWith(under))
    .map(({ path, message }) => [path.slice(under.length), message]);
}
export const firstAt = (problems: PlacedProblems, place: string): string | null =>
  problems.find(([there]) => there.startsWith(place))?.[1] ?? null;
