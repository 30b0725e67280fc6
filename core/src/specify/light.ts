import { setting } from '../job/defaults.ts';
import { rows, type Id } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import type { Room } from '../job/measured.ts';
import type { RoomTakeoff } from '../measure/takeoff.ts';

/** A corner less sharp than this does not put a window beside the next wall, degrees. */
const SHARP = 30;

/**
 * Windows whose light grazes a surface [our model]: on the next wall, within `light.near` of the corner they share, or
 * with their head as near to the ceiling.
 * @returns labels of windows by wall id, and `ceiling`.
 */
export function grazing(job: Pick<Job, 'settings'>, takeoff: RoomTakeoff): ReadonlyMap<Id, readonly string[]> {
  const near = setting(job, 'light.near');
  const found = new Map<Id, string[]>();
  const add = (surface: Id, label: string) => found.set(surface, [...(found.get(surface) ?? []), label]);
  const { walls } = takeoff;
  const at = (i: number) => walls[(i + walls.length) % walls.length];
  walls.forEach((w, i) => {
    const [before, after] = [at(i - 1), at(i + 1)];
    for (const o of w.openings) {
      if (o.kind !== 'window') continue;
      const end = w.adjusted - o.at.metres - o.width.metres;
      if (before && before !== w && before.wall.turn > SHARP && o.at.metres < near) add(before.wall.id, o.label);
      if (after && after !== w && w.wall.turn > SHARP && end < near) add(after.wall.id, o.label);
      const top = (o.sill?.metres ?? 0) + o.height.metres;
      if ((takeoff.room.height?.metres ?? Infinity) - top < near / 2) add('ceiling', o.label);
    }
  });
  return found;
}

/** The compass bearing each wall looks along from inside, degrees 0-360, from that of the first; null without one. */
export function bearingsOf(room: Room): ReadonlyMap<Id, number> | null {
  const walls = rows(room.walls);
  if (room.bearing === null) return null;
  // walked clockwise, a turn to the right turns the compass the same way
  let heading = room.bearing;
  return new Map(
    walls.map((w) => {
      const here = ((heading % 360) + 360) % 360;
      heading += w.turn;
      return [w.id, here];
    }),
  );
}

const POINTS = ['north', 'north-east', 'east', 'south-east', 'south', 'south-west', 'west', 'north-west'] as const;
/** The nearest of eight points. @param bearing in degrees from north, clockwise; any number of turns. */
export const compassPoint = (bearing: number): (typeof POINTS)[number] =>
  POINTS[Math.round((((bearing % 360) + 360) % 360) / 45) % 8] ?? 'north';
