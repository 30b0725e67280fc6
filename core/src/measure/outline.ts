import type { Opening, Room, Wall } from '../job/types.ts';
import type { Metres } from '../units/si.ts';
import type { Point } from './geometry.ts';

/** A wall as seen from inside: x from its start (left) to its end (right), y up from the floor. */
export interface Outline {
  readonly length: Metres;
  /** The top edge, left to right: two points, or three with a peak. */
  readonly top: readonly Point[];
}

/** null while the wall's length or a height is missing. Offsets along the wall are not rescaled to an adjusted length. */
export function outlineOf(room: Pick<Room, 'height'>, wall: Wall, length: Metres | null): Outline | null {
  const start = (wall.heightStart ?? room.height)?.metres;
  const end = (wall.heightEnd ?? wall.heightStart ?? room.height)?.metres;
  if (length === null || start === undefined || end === undefined) return null;
  const peak = wall.peak ? [{ x: wall.peak.at.metres, y: wall.peak.height.metres }] : [];
  return { length, top: [{ x: 0, y: start }, ...peak, { x: length, y: end }] };
}

export const polygonOf = ({ length, top }: Outline): Point[] => [{ x: 0, y: 0 }, ...top, { x: length, y: 0 }];

/** Height of the top edge at a distance along the wall. */
export function heightAt({ top }: Outline, x: Metres): Metres {
  for (let i = 1; i < top.length; i++) {
    const [a, b] = [top[i - 1] as Point, top[i] as Point];
    if (x <= b.x || i === top.length - 1) return b.x === a.x ? b.y : a.y + ((b.y - a.y) * (x - a.x)) / (b.x - a.x);
  }
  return 0;
}

export const topLength = ({ top }: Outline): Metres =>
  top.slice(1).reduce((sum, b, i) => sum + Math.hypot(b.x - (top[i] as Point).x, b.y - (top[i] as Point).y), 0);

export interface Box {
  readonly left: Metres;
  readonly right: Metres;
  readonly bottom: Metres;
  readonly top: Metres;
}

/** The opening itself, or with its casing: two legs and a head; all round a window above the floor. */
export function boxOf(opening: Opening, withCasing = false): Box {
  const casing = withCasing ? (opening.casing?.metres ?? 0) : 0;
  const sill = opening.sill?.metres ?? 0;
  const left = opening.at.metres;
  return {
    left: left - casing,
    right: left + opening.width.metres + casing,
    bottom: sill > 0 ? Math.max(0, sill - casing) : 0,
    top: sill + opening.height.metres + casing,
  };
}

export const overlaps = (a: Box, b: Box): boolean => {
  const e = 1e-6;
  return a.left < b.right - e && b.left < a.right - e && a.bottom < b.top - e && b.bottom < a.top - e;
};
