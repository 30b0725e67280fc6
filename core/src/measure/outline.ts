import type { Room, Wall } from '../job/measured.ts';
import type { Metres } from '../units/si.ts';
import { arcOver, type Arc } from './arc.ts';
import type { Point } from './geometry.ts';
import { at } from '../units/list.ts';

/** A wall as seen from inside: x from its start (left) to its end (right), y up from the floor; a curved one developed. */
export interface Outline {
  readonly length: Metres;
  /** The straight line between its ends; the length itself where it is not curved. */
  readonly chord: Metres;
  readonly bow: (Arc & { readonly side: 'out' | 'in' }) | null;
  /** The top edge, left to right. */
  readonly top: readonly Point[];
  /** The bottom edge, left to right: level, or climbing beside stairs. */
  readonly foot: readonly Point[];
  /** Where stairs run, along the wall; nowhere: [0, 0]. */
  readonly stairs: readonly [Metres, Metres];
}

/**
 * null while the wall's length or a height is missing. `chord` is the adjusted length of a wall; offsets along the wall are
 * not rescaled to it. A foot whose ends do not lie on the wall is left level (check.ts says so).
 */
export function outlineOf(room: Pick<Room, 'height'>, wall: Wall, chord: Metres | null): Outline | null {
  const start = (wall.heightStart ?? room.height)?.metres;
  const end = (wall.heightEnd ?? wall.heightStart ?? room.height)?.metres;
  if (chord === null || start === undefined || end === undefined) return null;
  const bow = wall.bow && wall.bow.rise.metres > 0 && chord > 0 ? arcOver(chord, wall.bow.rise.metres) : null;
  const length = bow?.length ?? chord;
  const peaks = wall.peaks.map((peak) => ({ x: peak.at.metres, y: peak.height.metres }));
  return {
    length,
    chord,
    bow: bow && wall.bow && { ...bow, side: wall.bow.side },
    top: [{ x: 0, y: start }, ...peaks, { x: length, y: end }],
    ...footOf(wall.foot, length),
  };
}

function footOf(foot: Wall['foot'], length: Metres): Pick<Outline, 'foot' | 'stairs'> {
  const [from, to] = [foot?.from.metres ?? 0, foot?.to.metres ?? 0];
  if (!foot || from === to || Math.max(from, to) > length + 1e-3)
    return {
      stairs: [0, 0],
      foot: [
        { x: 0, y: 0 },
        { x: length, y: 0 },
      ],
    };
  const rise = foot.down ? -foot.rise.metres : foot.rise.metres;
  const run = to - from;
  const steps = Array.from({ length: foot.steps }, (_, i): Point[] => {
    const [x, y] = [from + (run * i) / foot.steps, (rise * i) / foot.steps];
    return [
      { x, y },
      { x, y: y + rise / foot.steps },
    ];
  }).flat();
  const climb = [...(steps.length ? steps : [{ x: from, y: 0 }]), { x: to, y: rise }].map((p) => ({
    x: Math.min(p.x, length),
    y: p.y,
  }));
  const points = run > 0 ? climb : climb.reverse();
  const [first, last] = [at(points, 0), points.at(-1) as Point];
  const chain = [{ x: 0, y: first.y }, ...points, { x: length, y: last.y }];
  return {
    stairs: [first.x, last.x],
    foot: chain.filter((p, i) => i === 0 || Math.hypot(p.x - at(chain, i - 1).x, p.y - at(chain, i - 1).y) > 1e-9),
  };
}

/** The face of a wall as a polygon, anticlockwise, m. */
export const polygonOf = ({ top, foot }: Outline): Point[] => [...foot, ...[...top].reverse()];

/** Height of a chain of points at a distance along the wall, from its nearer end beyond them; at a step, the higher side. */
function chainAt(chain: readonly Point[], x: Metres): Metres {
  const at = Math.min(Math.max(x, 0), chain.at(-1)?.x ?? 0);
  return chain.slice(1).reduce((highest, b, i) => {
    const a = chain[i] as Point;
    if (at < a.x - 1e-9 || at > b.x + 1e-9) return highest;
    const y = b.x - a.x < 1e-9 ? Math.max(a.y, b.y) : a.y + ((b.y - a.y) * (at - a.x)) / (b.x - a.x);
    return Math.max(highest, y);
  }, -Infinity);
}
/** Height of the ceiling over the floor at `x` along the wall, m. */
export const heightAt = ({ top }: Outline, x: Metres): Metres => chainAt(top, x);
/** Height of the wall’s foot at `x` along it, m: more than 0 over stairs. */
export const footAt = ({ foot }: Outline, x: Metres): Metres => chainAt(foot, x);

const chainLength = (chain: readonly Point[]): Metres =>
  chain.slice(1).reduce((sum, b, i) => sum + Math.hypot(b.x - at(chain, i).x, b.y - at(chain, i).y), 0);
/** Length of the wall’s upper edge, m. */
export const topLength = ({ top }: Outline): Metres => chainLength(top);
/** Of the bottom edge, stairs followed. */
export const footLength = ({ foot }: Outline): Metres => chainLength(foot);

/** Is the foot anything but one level line? */
export const climbs = ({ foot }: Outline): boolean => foot.length > 2;
export interface Box {
  readonly left: Metres;
  readonly right: Metres;
  readonly bottom: Metres;
  readonly top: Metres;
}
/** The corners of a box, anticlockwise from its lower left. */
export const pointsOfBox = ({ left, right, bottom, top }: Box): Point[] => [
  { x: left, y: bottom },
  { x: right, y: bottom },
  { x: right, y: top },
  { x: left, y: top },
];

/** Whether two boxes share more than an edge. */
export const overlaps = (a: Box, b: Box): boolean => {
  const e = 1e-6;
  return a.left < b.right - e && b.left < a.right - e && a.bottom < b.top - e && b.bottom < a.top - e;
};

/** The lowest the top edge, or the highest the bottom edge, gets between two places along the wall. */
export const lowestTop = (outline: Outline, left: Metres, right: Metres): Metres =>
  Math.min(
    heightAt(outline, left),
    heightAt(outline, right),
    ...outline.top.filter((p) => p.x > left && p.x < right).map((p) => p.y),
  );
/** The highest place of the wall’s foot between two places along it, m. */
export const highestFoot = (outline: Outline, left: Metres, right: Metres): Metres => {
  const e = 1e-6;
  return Math.max(
    footAt(outline, left + e),
    footAt(outline, right - e),
    ...outline.foot.filter((p) => p.x > left + e && p.x < right - e).map((p) => p.y),
  );
};
