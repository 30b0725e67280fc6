import type { Opening, Part, Room } from '../job/measured.ts';
import type { TrimKind } from '../job/vocabulary.ts';
import type { Metres } from '../units/si.ts';
import type { Point } from './geometry.ts';
import { boxOf } from './openings.ts';
import { lowestTop, pointsOfBox, topLength, type Box, type Outline } from './outline.ts';
import { partBox, PART_RULES } from './parts.ts';
import { at, entriesOf } from '../units/list.ts';

/** Runs of trim along a wall, and the openings and parts that break them. */
export interface OnWall {
  readonly outline: Outline;
  readonly openings: readonly Opening[];
  readonly parts: readonly Part[];
}

/** A stretch of trim on a wall. */
export interface Stretch {
  readonly left: Metres;
  readonly right: Metres;
  readonly bottom: Metres;
}
const total = (stretches: readonly Stretch[]): Metres => stretches.reduce((sum, s) => sum + s.right - s.left, 0);

/** Stretches of a run at a height above the floor, broken by what stands across it and by stairs. */
export function stretches(outline: Outline, boxes: readonly Box[], bottom: Metres, face: Metres): Stretch[] {
  const across = boxes.filter((box) => box.bottom < bottom + face - 1e-6 && box.top > bottom + 1e-6);
  const gone = [...across, ...buried(outline, bottom).map(([left, right]) => ({ left, right }))];
  return gaps(gone, outline.length).map(([left, right]) => ({ left, right, bottom }));
}

/** Stretches along the foot: on the floor, and on the landing that stairs beside the wall lead to. */
export function footStretches(outline: Outline, boxes: readonly Box[], face: Metres): Stretch[] {
  const [from, to] = outline.stairs;
  const levels = [
    { left: 0, right: from === to ? outline.length : from, bottom: at(outline.foot, 0).y },
    { left: from === to ? outline.length : to, right: outline.length, bottom: (outline.foot.at(-1) as Point).y },
  ];
  return levels.flatMap(({ left, right, bottom }) => {
    const across = boxes.filter((box) => box.bottom < bottom + face - 1e-6 && box.top > bottom + 1e-6);
    const ends = [
      { left: 0, right: left },
      { left: right, right: outline.length },
    ];
    return gaps([...across, ...ends], outline.length).map(([a, b]) => ({ left: a, right: b, bottom }));
  });
}

/** Where stairs are higher than a run. */
function buried({ foot }: Outline, at: Metres): (readonly [Metres, Metres])[] {
  return foot.slice(1).flatMap((b, i) => {
    const a = foot[i] as Point;
    if (Math.max(a.y, b.y) <= at || a.x === b.x) return [];
    const crossing = a.x + ((b.x - a.x) * (at - a.y)) / (b.y - a.y || 1);
    if (Math.min(a.y, b.y) > at) return [[a.x, b.x] as const];
    return [b.y > a.y ? ([crossing, b.x] as const) : ([a.x, crossing] as const)];
  });
}

/** What breaks a run of trim: openings with their casings, and parts that stand before the wall. */
export const obstacles = (outline: Outline, openings: readonly Opening[], parts: readonly Part[]): Box[] => [
  ...openings.map((o) => boxOf(o, outline, true)),
  ...parts.filter((p) => PART_RULES[p.kind].breaksRuns).map((p) => placeOf(p, outline)),
];

/** Where a part stands on its wall, m; what has no height reaches to the lowest place of the ceiling over it. */
export const placeOf = (part: Part, outline: Outline): Box =>
  partBox(part, outline, (left, right) => lowestTop(outline, left, right));

/** Runs of trim along one wall. */
export function runsOn(
  room: Pick<Room, 'trim'>,
  { outline, openings, parts }: OnWall,
): Partial<Record<TrimKind, Metres>> {
  const boxes = obstacles(outline, openings, parts);
  const { baseboard, crown, ...rails } = room.trim;
  const runs: Partial<Record<TrimKind, Metres>> = {};
  if (baseboard) runs.baseboard = total(footStretches(outline, boxes, baseboard.face.metres));
  if (crown) runs.crown = topLength(outline);
  for (const [kind, run] of entriesOf(rails)) {
    const at = run.at?.metres ?? 0;
    runs[kind] = total(stretches(outline, boxes, at, run.face.metres));
  }
  return runs;
}

/** Faces of one kind of trim as shapes on the wall. */
export function trimBands(
  room: Pick<Room, 'trim'>,
  outline: Outline,
  openings: readonly Opening[],
  parts: readonly Part[],
  kind: TrimKind,
): Point[][] {
  const run = room.trim[kind];
  if (!run) return [];
  const face = run.face.metres;
  if (kind === 'crown')
    return outline.top.slice(1).map((b, i) => {
      const a = at(outline.top, i);
      // measured square to the edge, a sloping crown is taller upright
      const drop = (face * Math.hypot(b.x - a.x, b.y - a.y)) / (b.x - a.x || 1);
      return [{ x: a.x, y: a.y - drop }, { x: b.x, y: b.y - drop }, b, a];
    });
  const boxes = obstacles(outline, openings, parts);
  const runs =
    kind === 'baseboard' ? footStretches(outline, boxes, face) : stretches(outline, boxes, run.at?.metres ?? 0, face);
  return runs.map(({ left, right, bottom }) => pointsOfBox({ left, right, bottom, top: bottom + face }));
}

/** What boxes leave of a length. */
export function gaps(
  boxes: readonly { readonly left: Metres; readonly right: Metres }[],
  length: Metres,
): (readonly [Metres, Metres])[] {
  const runs: (readonly [Metres, Metres])[] = [];
  let from = 0;
  for (const { left, right } of [...boxes].sort((a, b) => a.left - b.left)) {
    if (left > from) runs.push([from, Math.min(left, length)]);
    from = Math.max(from, right);
  }
  if (from < length) runs.push([from, length]);
  return runs;
}
