import { gaps } from '@kovelin/core/measure/runs.ts';
import type { Point } from '@kovelin/core/measure/geometry.ts';
import type { RoomTakeoff, WallTakeoff } from '@kovelin/core/measure/takeoff.ts';
import { shapesOf, type WallShapes } from './shapes.ts';
import { path, Transform } from './transform.ts';

/** The unrolled room on a sheet of `width` x `height` pixels: one scale for walls and ceiling. */
export interface PlacedWall {
  readonly takeoff: WallTakeoff;
  readonly shapes: WallShapes;
  /** From the start of the wall, at the floor. */
  readonly at: Transform;
  /** Where its letter and note stand clear of openings, and how wide that place is, pixels. */
  readonly label: Place;
  /** Its length stands a line lower than those beside it, so that they do not touch. */
  readonly lowered: boolean;
}
interface Place {
  readonly x: number;
  readonly y: number;
  readonly width: number;
}
export interface RoomLayout {
  /** At least the sheet's; wider where walls would be too narrow to read. */
  readonly width: number;
  /** From the left of the walls, at the floor. */
  readonly at: Transform;
  readonly walls: readonly PlacedWall[];
  readonly ceiling: {
    /** The plan, metres, and where it lies. */
    readonly points: string;
    readonly at: Transform;
    /** Pixels. */
    readonly x: number;
    readonly y: number;
    readonly width: number;
    readonly height: number;
  } | null;
  /** What is left beside the ceiling, pixels. */
  readonly aside: Place & { readonly height: number };
}

const MARGIN = { left: 44, right: 14, top: 10, bottom: 40 };
const GAP = 3;
const BETWEEN = 26;
/** Pixels a metre below which a long room scrolls sideways instead of shrinking. */
const LEAST_SCALE = 30;

function bounds(points: readonly Point[]) {
  const [xs, ys] = [points.map((p) => p.x), points.map((p) => p.y)];
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  return { left, high, width: right - left, height: high - low };
}

/** Width of a letter of a dimension, and what stands free beside it, pixels. */
export const DIMENSION_LETTER = 6;
const FREE = 6;
/** A second line of dimensions, pixels. */
export const LOWER = 14;

/** Of figures that would touch, every other one stands lower. */
export function staggered(widths: readonly number[], letters: readonly number[]): boolean[] {
  let before = false;
  return widths.map((width, i) => {
    const wants = (letters[i] ?? 0) * DIMENSION_LETTER + FREE;
    const last = i > 0 && (letters[i - 1] ?? 0) * DIMENSION_LETTER + FREE > (widths[i - 1] ?? 0);
    const reach = (widths[i - 1] ?? 0) / 2 + width / 2 - ((letters[i - 1] ?? 0) * DIMENSION_LETTER) / 2 - wants / 2;
    before = i > 0 && (wants > width || last) && reach < FREE && !before;
    return before;
  });
}

/** @param letters of the length that stands below each wall. */
export function layoutRoom(
  takeoff: RoomTakeoff,
  sheetWidth: number,
  height: number,
  letters: readonly number[] = [],
): RoomLayout | null {
  const { walls } = takeoff;
  if (!walls.length || sheetWidth < 80 || height < 80) return null;
  const shapes = walls.map((wall) => shapesOf(wall, takeoff.room));
  const run = walls.reduce((sum, w) => sum + w.outline.length, 0);
  const width = Math.max(sheetWidth, run * LEAST_SCALE + MARGIN.left + MARGIN.right);
  const tallest = Math.max(...walls.flatMap((w) => w.outline.top.map((p) => p.y)));
  // a stairwell wall reaches below the floor
  const deepest = -Math.min(...shapes.map((s) => s.foot));
  const plan = takeoff.closure && takeoff.plan.length > 2 ? bounds(takeoff.plan) : null;
  const tall = tallest + deepest + (plan?.height ?? 0);
  const between = plan ? BETWEEN : 0;
  const gap = GAP * (walls.length - 1);
  const across = (width - MARGIN.left - MARGIN.right - gap) / run;
  const isCrowded = staggered(
    walls.map((w) => w.outline.length * across),
    letters,
  ).some(Boolean);
  const bottom = MARGIN.bottom + (isCrowded ? LOWER : 0);
  const down = (height - MARGIN.top - bottom - between) / tall;
  const scale = Math.min(across, down);
  if (!(scale > 0) || !Number.isFinite(scale)) return null;
  const left = MARGIN.left + Math.max(0, (width - MARGIN.left - MARGIN.right - run * scale - gap) / 2);
  const slack = Math.max(0, height - MARGIN.top - bottom - tall * scale - between);
  const at = new Transform(scale, left, height - bottom - slack / 2 - deepest * scale);
  const starts = walls.reduce<number[]>(
    (xs, w) => [...xs, (xs.at(-1) ?? left) + w.outline.length * scale + GAP],
    [left],
  );
  const lowered = isCrowded
    ? staggered(
        walls.map((w) => w.outline.length * scale),
        letters,
      )
    : [];
  const top = MARGIN.top + slack / 2;
  const ceiling = plan && {
    points: path(takeoff.plan),
    at: at.from(left - plan.left * scale, top + plan.high * scale),
    x: left,
    y: top,
    width: plan.width * scale,
    height: plan.height * scale,
  };
  const asideX = ceiling ? ceiling.x + ceiling.width + 28 : left;
  const asideTop = slack > 40 ? MARGIN.top : top;
  return {
    width,
    at,
    walls: walls.map((wall, i) =>
      placed(wall, shapes[i] as WallShapes, at.from(starts[i] ?? left, at.y), lowered[i] ?? false),
    ),
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

const placed = (takeoff: WallTakeoff, shapes: WallShapes, at: Transform, lowered: boolean): PlacedWall => ({
  takeoff,
  shapes,
  at,
  label: labelPlace(shapes, takeoff.outline.length, at),
  lowered,
});

/** The widest stretch of a wall free of what stands on it, over the height of two lines of lettering. */
function labelPlace({ openings, covers, top }: WallShapes, length: number, at: Transform): Place {
  const low = top - at.metres(42);
  const standing = [...openings, ...covers.map((cover) => ({ ...cover, casing: 0 }))];
  const free = gaps(
    standing
      .filter(({ box, casing }) => box.top + casing > low)
      .map(({ box, casing }) => ({ left: box.left - casing, right: box.right + casing })),
    length,
  );
  const [from, to] = [...free].sort((a, b) => b[1] - b[0] - (a[1] - a[0]) || a[0] - b[0])[0] ?? [0, length];
  const width = (to - from) * at.scale;
  return { x: at.across(width < 18 ? 0 : from) + 7, y: at.up(top) + 20, width: width - 10 };
}
