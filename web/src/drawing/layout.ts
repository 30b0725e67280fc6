import type { Opening, Part } from '@kovelin/core/job/measured.ts';
import type { TrimKind } from '@kovelin/core/job/vocabulary.ts';
import { gaps, placeOf, trimBands } from '@kovelin/core/measure/face.ts';
import { boxOf, frameOf, isOffFloor, pointsOf } from '@kovelin/core/measure/openings.ts';
import { pointsOfBox, polygonOf } from '@kovelin/core/measure/outline.ts';
import { PART_RULES } from '@kovelin/core/measure/parts.ts';
import type { Point } from '@kovelin/core/measure/geometry.ts';
import type { RoomTakeoff, WallTakeoff } from '@kovelin/core/measure/takeoff.ts';

/** The unrolled room on a sheet of `width` x `height` pixels: one scale for walls and ceiling. */
export interface OpeningShape {
  readonly opening: Opening;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** Its own outline, and that of its casing where it has one. */
  readonly points: string;
  readonly cased: string | null;
  /** The casing's width in pixels. */
  readonly casing: number;
}
export interface PartShape {
  readonly part: Part;
  readonly points: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
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
  readonly trim: readonly { readonly kind: TrimKind; readonly points: string }[];
  /** Regions, in their order, then what hides the wall. */
  readonly regions: readonly PartShape[];
  readonly covers: readonly PartShape[];
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
  // a stairwell wall reaches below the floor
  const deepest = Math.max(0, ...walls.flatMap((w) => w.outline.foot.map((p) => -p.y)));
  const plan = takeoff.closure && takeoff.plan.length > 2 ? bounds(takeoff.plan) : null;
  const across = (width - MARGIN.left - MARGIN.right - GAP * (walls.length - 1)) / run;
  const down = (height - MARGIN.top - MARGIN.bottom - (plan ? BETWEEN : 0)) / (tallest + deepest + (plan?.height ?? 0));
  const scale = Math.min(across, down);
  if (!(scale > 0) || !Number.isFinite(scale)) return null;
  const used = run * scale + GAP * (walls.length - 1);
  const left = MARGIN.left + Math.max(0, (width - MARGIN.left - MARGIN.right - used) / 2);
  const content = (tallest + deepest + (plan?.height ?? 0)) * scale + (plan ? BETWEEN : 0);
  const slack = Math.max(0, height - MARGIN.top - MARGIN.bottom - content);
  const floor = height - MARGIN.bottom - slack / 2 - deepest * scale;
  let x = left;
  const shapes = walls.map((w) => {
    const shape = wallShape(takeoff, w, x, floor, scale);
    x += w.outline.length * scale + GAP;
    return shape;
  });
  const top = MARGIN.top + slack / 2;
  const ceiling = plan && {
    points: path(
      takeoff.plan.map((p) => ({ x: left + (p.x - plan.left) * scale, y: top + (plan.high - p.y) * scale })),
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
      // as far as the walls
      height: ceiling ? ceiling.height + (top - asideTop) + BETWEEN - 4 : 0,
    },
  };
}

function wallShape({ room }: RoomTakeoff, w: WallTakeoff, x: number, floor: number, scale: number): WallShape {
  const at = (p: Point): Point => ({ x: x + p.x * scale, y: floor - p.y * scale });
  const drawn = (points: readonly Point[]) => path(points.map(at));
  const { outline, parts } = w;
  const openings = w.openings.map((opening): OpeningShape => {
    const box = boxOf(opening, outline);
    const off = isOffFloor(opening, outline);
    const casing = opening.casing?.metres ?? 0;
    return {
      opening,
      x: x + box.left * scale,
      y: floor - box.top * scale,
      width: (box.right - box.left) * scale,
      height: opening.height.metres * scale,
      points: drawn(pointsOf(frameOf(opening, 0, off))),
      cased: casing > 0 ? drawn(pointsOf(frameOf(opening, casing, off))) : null,
      casing: casing * scale,
    };
  });
  const shapes = (layer: 'region' | 'cover') =>
    parts
      .filter(
        (part) => PART_RULES[part.kind].layer === layer || (layer === 'cover' && part.kind === 'radiator' && part.at),
      )
      .map((part): PartShape => {
        const box = placeOf(part, outline);
        return {
          part,
          points: drawn(pointsOfBox(box)),
          x: x + box.left * scale,
          y: floor - box.top * scale,
          width: (box.right - box.left) * scale,
          height: (box.top - box.bottom) * scale,
        };
      });
  const top = floor - Math.min(outline.top[0]?.y ?? 0, outline.top.at(-1)?.y ?? 0) * scale;
  const covers = shapes('cover');
  return {
    takeoff: w,
    x,
    width: outline.length * scale,
    points: drawn(polygonOf(outline)),
    top,
    label: labelPlace([...openings, ...covers], x, outline.length * scale, top + 4),
    openings,
    trim: (Object.keys(room.trim) as TrimKind[]).flatMap((kind) =>
      trimBands(room, outline, w.openings, parts, kind).map((band) => ({ kind, points: drawn(band) })),
    ),
    regions: shapes('region'),
    covers,
  };
}

/** The widest stretch of a wall free of what stands on it, over the height of two lines of lettering. */
function labelPlace(
  standing: readonly { readonly x: number; readonly y: number; readonly width: number; readonly casing?: number }[],
  x: number,
  width: number,
  y: number,
) {
  const across = standing.filter((o) => o.y - (o.casing ?? 0) < y + 38);
  const free = gaps(
    across.map((o) => ({ left: o.x - (o.casing ?? 0) - x, right: o.x + o.width + (o.casing ?? 0) - x })),
    width,
  );
  const [from, to] = [...free].sort((a, b) => b[1] - b[0] - (a[1] - a[0]) || a[0] - b[0])[0] ?? [0, width];
  const start = to - from < 18 ? 0 : from;
  return { x: x + start + 7, y: y + 16, width: to - from - 10 };
}
