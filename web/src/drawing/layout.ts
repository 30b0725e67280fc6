import type { Opening } from '@kovelin/core/job/types.ts';
import { boxOf, polygonOf } from '@kovelin/core/measure/outline.ts';
import type { Point } from '@kovelin/core/measure/geometry.ts';
import type { RoomTakeoff, WallTakeoff } from '@kovelin/core/measure/takeoff.ts';

/** The unrolled room on a sheet of `width` x `height` pixels: one scale for walls and ceiling. */
export interface OpeningShape {
  readonly opening: Opening;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly casing: number;
}
export interface WallShape {
  readonly takeoff: WallTakeoff;
  readonly x: number;
  readonly width: number;
  readonly points: string;
  /** Where the top edge starts. */
  readonly top: number;
  /** Where its letter and note stand clear of openings, and how wide that place is. */
  readonly label: { readonly x: number; readonly y: number; readonly width: number };
  readonly openings: readonly OpeningShape[];
  /** Baseboard: height and the stretches left between openings. */
  readonly baseboard: { readonly height: number; readonly runs: readonly (readonly [number, number])[] } | null;
  readonly rails: readonly { readonly y: number; readonly height: number }[];
}
export interface RoomLayout {
  /** At least the sheet's; wider where walls would be too narrow to read. */
  readonly width: number;
  readonly scale: number;
  readonly floor: number;
  readonly walls: readonly WallShape[];
  readonly ceiling: {
    readonly points: string;
    readonly x: number;
    readonly y: number;
    readonly width: number;
    readonly height: number;
  } | null;
  /** What is left beside the ceiling. */
  readonly aside: { readonly x: number; readonly y: number; readonly width: number; readonly height: number };
}

const MARGIN = { left: 44, right: 14, top: 10, bottom: 40 };
const GAP = 3;
const BETWEEN = 26;
/** Pixels a metre below which a long room scrolls sideways instead of shrinking. */
const LEAST_SCALE = 34;

export const path = (points: readonly Point[]): string =>
  points.map((p) => `${p.x.toFixed(2)},${p.y.toFixed(2)}`).join(' ');

function bounds(points: readonly Point[]) {
  const [xs, ys] = [points.map((p) => p.x), points.map((p) => p.y)];
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  return { left, high, width: right - left, height: high - low };
}

export function layoutRoom(takeoff: RoomTakeoff, sheetWidth: number, height: number): RoomLayout | null {
  const walls = takeoff.walls;
  if (!walls.length || sheetWidth < 80 || height < 80) return null;
  const run = walls.reduce((sum, w) => sum + w.outline.length, 0);
  const width = Math.max(sheetWidth, run * LEAST_SCALE + MARGIN.left + MARGIN.right);
  const tallest = Math.max(...walls.flatMap((w) => w.outline.top.map((p) => p.y)));
  const plan = takeoff.closure && takeoff.corners.length > 2 ? bounds(takeoff.corners) : null;
  const across = (width - MARGIN.left - MARGIN.right - GAP * (walls.length - 1)) / run;
  const down = (height - MARGIN.top - MARGIN.bottom - (plan ? BETWEEN : 0)) / (tallest + (plan?.height ?? 0));
  const scale = Math.min(across, down);
  if (!(scale > 0) || !Number.isFinite(scale)) return null;
  const used = run * scale + GAP * (walls.length - 1);
  const left = MARGIN.left + Math.max(0, (width - MARGIN.left - MARGIN.right - used) / 2);
  const content = (tallest + (plan?.height ?? 0)) * scale + (plan ? BETWEEN : 0);
  const slack = Math.max(0, height - MARGIN.top - MARGIN.bottom - content);
  const floor = height - MARGIN.bottom - slack / 2;
  let x = left;
  const shapes = walls.map((w) => {
    const shape = wallShape(takeoff, w, x, floor, scale);
    x += w.outline.length * scale + GAP;
    return shape;
  });
  const top = MARGIN.top + slack / 2;
  const ceiling = plan && {
    points: path(
      takeoff.corners.map((p) => ({ x: left + (p.x - plan.left) * scale, y: top + (plan.high - p.y) * scale })),
    ),
    x: left,
    y: top,
    width: plan.width * scale,
    height: plan.height * scale,
  };
  const asideX = ceiling ? ceiling.x + ceiling.width + 28 : left;
  const asideTop = slack > 40 ? MARGIN.top : top;
  return {
    width,
    scale,
    floor,
    walls: shapes,
    ceiling,
    aside: {
      x: asideX,
      y: asideTop,
      width: Math.max(0, sheetWidth - MARGIN.right - asideX),
      height: ceiling ? ceiling.height + (top - asideTop) : 0,
    },
  };
}

function wallShape(takeoff: RoomTakeoff, w: WallTakeoff, x: number, floor: number, scale: number): WallShape {
  const at = (p: Point): Point => ({ x: x + p.x * scale, y: floor - p.y * scale });
  const openings = w.openings.map((opening): OpeningShape => {
    const box = boxOf(opening);
    return {
      opening,
      x: x + box.left * scale,
      y: floor - box.top * scale,
      width: (box.right - box.left) * scale,
      height: (box.top - (opening.sill?.metres ?? 0)) * scale,
      casing: (opening.casing?.metres ?? 0) * scale,
    };
  });
  const top = floor - Math.min(w.outline.top[0]?.y ?? 0, w.outline.top.at(-1)?.y ?? 0) * scale;
  const face = takeoff.room.trim.baseboard?.face.metres;
  const rails = (['chair-rail', 'picture-rail'] as const).flatMap((kind) => {
    const rail = takeoff.room.trim[kind];
    return rail
      ? [{ y: floor - ((rail.at?.metres ?? 0) + rail.face.metres) * scale, height: rail.face.metres * scale }]
      : [];
  });
  return {
    takeoff: w,
    x,
    width: w.outline.length * scale,
    points: path(polygonOf(w.outline).map(at)),
    top,
    label: labelPlace(openings, x, w.outline.length * scale, top + 4),
    openings,
    baseboard: face
      ? {
          height: face * scale,
          runs: gaps(
            w.openings.filter((o) => !o.sill?.metres).map((o) => boxOf(o, true)),
            w.outline.length,
          ).map(([a, b]) => [x + a * scale, x + b * scale] as const),
        }
      : null,
    rails,
  };
}

/** The widest stretch of a wall free of openings over the height of two lines of lettering. */
function labelPlace(openings: readonly OpeningShape[], x: number, width: number, y: number) {
  const across = openings.filter((o) => o.y - o.casing < y + 38);
  const free = gaps(
    across.map((o) => ({ left: o.x - o.casing - x, right: o.x + o.width + o.casing - x })),
    width,
  );
  const [from, to] = [...free].sort((a, b) => b[1] - b[0] - (a[1] - a[0]) || a[0] - b[0])[0] ?? [0, width];
  const start = to - from < 18 ? 0 : from;
  return { x: x + start + 7, y: y + 16, width: to - from - 10 };
}

/** What boxes on the floor leave of a wall's length. */
function gaps(boxes: readonly { left: number; right: number }[], length: number): (readonly [number, number])[] {
  const runs: (readonly [number, number])[] = [];
  let from = 0;
  for (const { left, right } of [...boxes].sort((a, b) => a.left - b.left)) {
    if (left > from) runs.push([from, left]);
    from = Math.max(from, right);
  }
  if (from < length) runs.push([from, length]);
  return runs;
}
