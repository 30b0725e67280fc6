import { placeOf, trimBands } from '../../measure/runs.ts';
import { frameOf, isOffFloor, pointsOf } from '../../measure/openings.ts';
import { pointsOfBox, polygonOf } from '../../measure/outline.ts';
import { PART_RULES } from '../../measure/parts.ts';
import type { RoomTakeoff, WallTakeoff } from '../../measure/takeoff.ts';
import type { Point } from '../../measure/geometry.ts';
import { formatLength } from '../../units/length.ts';
import type { Metres, System } from '../../units/si.ts';
import type { Corner } from './chains.ts';
import { keysOf, ring } from '../../units/list.ts';

export const DRAWING_LAYERS = ['plan', 'elevation', 'openings', 'trim', 'parts', 'dimensions', 'text'] as const;
export type DrawingLayer = (typeof DRAWING_LAYERS)[number];

export type Mark =
  | {
      readonly kind: 'chain';
      readonly layer: DrawingLayer;
      readonly closed: boolean;
      readonly corners: readonly Corner[];
    }
  | {
      readonly kind: 'text';
      readonly layer: DrawingLayer;
      readonly at: Point;
      readonly text: string;
      /** Cap height, and degrees left from the horizontal. */
      readonly height: Metres;
      readonly angle: number;
    };

const LETTERS = 0.1;
const OFFSET = 0.35;
const APART = 1.2;

const chain = (layer: DrawingLayer, points: readonly Point[], closed: boolean): Mark => ({
  kind: 'chain',
  layer,
  closed,
  corners: points.map((p) => ({ x: p.x, y: p.y, bulge: 0 })),
});
const moved = (points: readonly Point[], by: Point): Point[] => points.map((p) => ({ x: p.x + by.x, y: p.y + by.y }));

/** A dimension as a drafter draws it: extension lines, a line with ticks, its figure above; `off` lies to the right of a to b. */
function dimension(a: Point, b: Point, off: Metres, system: System): Mark[] {
  const length = Math.hypot(b.x - a.x, b.y - a.y);
  if (length < 1e-6) return [];
  const [ux, uy] = [(b.x - a.x) / length, (b.y - a.y) / length];
  const at = (p: Point, along: number, aside: number): Point => ({
    x: p.x + ux * along + uy * aside,
    y: p.y + uy * along - ux * aside,
  });
  const tick = 0.05;
  const line = (p: Point, q: Point) => chain('dimensions', [p, q], false);
  const degrees = (Math.atan2(uy, ux) * 180) / Math.PI;
  const upright = degrees > 90.01 || degrees < -89.99;
  return [
    line(at(a, 0, Math.sign(off) * 0.06), at(a, 0, off + Math.sign(off) * 0.06)),
    line(at(b, 0, Math.sign(off) * 0.06), at(b, 0, off + Math.sign(off) * 0.06)),
    line(at(a, 0, off), at(b, 0, off)),
    line(at(a, -tick, off - tick), at(a, tick, off + tick)),
    line(at(b, -tick, off - tick), at(b, tick, off + tick)),
    {
      kind: 'text',
      layer: 'dimensions',
      at: at(a, length / 2, off - (upright ? -1 : 1) * 0.04),
      text: formatLength(length, system),
      height: LETTERS,
      angle: upright ? degrees + 180 : degrees,
    },
  ];
}

/** The plan, and below it the elevation of every wall as seen from inside, all in metres with their dimensions. */
export function draft(takeoff: RoomTakeoff, system: System): Mark[] {
  const { corners, walls, room } = takeoff;
  const marks: Mark[] = [
    {
      kind: 'chain',
      layer: 'plan',
      closed: true,
      corners: corners.map((p, i) => {
        const bow = walls[i]?.outline.bow;
        const bulge = bow ? Math.tan(bow.half / 2) * (bow.side === 'out' ? -1 : 1) : 0;
        return { x: p.x, y: p.y, bulge };
      }),
    },
  ];
  const xs = takeoff.plan.map((p) => p.x);
  const ys = takeoff.plan.map((p) => p.y);
  const [left, low, high] = [Math.min(...xs), Math.min(...ys), Math.max(...ys)];
  const word = (at: Point, text: string, height = LETTERS * 1.5): Mark => ({
    kind: 'text',
    layer: 'text',
    at,
    text,
    height,
    angle: 0,
  });
  marks.push(word({ x: left, y: high + 3 * OFFSET }, room.name, LETTERS * 2));
  corners.forEach((p, i) => {
    const q = ring(corners, i + 1);
    // a clockwise walk has the room on its right: its dimensions stand on the left
    marks.push(...dimension(p, q, -OFFSET, system));
    const mid = { x: (p.x + q.x) / 2, y: (p.y + q.y) / 2 };
    const length = Math.hypot(q.x - p.x, q.y - p.y) || 1;
    const inward = { x: mid.x + ((q.y - p.y) / length) * 0.25, y: mid.y - ((q.x - p.x) / length) * 0.25 };
    marks.push(word(inward, walls[i]?.wall.label ?? ''));
  });
  const tallest = Math.max(0, ...walls.flatMap((w) => w.outline.top.map((p) => p.y)));
  const floor = low - APART - tallest;
  let x = left;
  for (const wall of walls) {
    marks.push(...elevation(takeoff, wall, { x, y: floor }, system));
    x += wall.outline.length + APART;
  }
  return marks;
}

function elevation({ room }: RoomTakeoff, w: WallTakeoff, at: Point, system: System): Mark[] {
  const { outline, openings, parts } = w;
  const shape = (layer: DrawingLayer, points: readonly Point[]) => chain(layer, moved(points, at), true);
  const place = (x: Metres, y: Metres): Point => ({ x: at.x + x, y: at.y + y });
  const marks: Mark[] = [shape('elevation', polygonOf(outline))];
  for (const kind of keysOf(room.trim))
    marks.push(...trimBands(room, outline, openings, parts, kind).map((band) => shape('trim', band)));
  for (const o of openings) {
    const off = isOffFloor(o, outline);
    if (o.casing) marks.push(shape('trim', pointsOf(frameOf(o, o.casing.metres, off))));
    marks.push(shape('openings', pointsOf(frameOf(o, 0, off))));
  }
  for (const part of parts)
    if (PART_RULES[part.kind].layer) marks.push(shape('parts', pointsOfBox(placeOf(part, outline))));
  const start = (outline.top[0] as Point).y;
  const stops = [0, ...openings.flatMap((o) => [o.at.metres, o.at.metres + o.width.metres]), outline.length].sort(
    (a, b) => a - b,
  );
  marks.push(
    ...dimension(place(0, 0), place(outline.length, 0), 2 * OFFSET, system),
    ...dimension(place(0, 0), place(0, start), -OFFSET, system),
    ...(openings.length
      ? stops.slice(1).flatMap((b, i) => dimension(place(stops[i] as number, 0), place(b, 0), OFFSET, system))
      : []),
    {
      kind: 'text',
      layer: 'text',
      at: place(0, (outline.top[0] as Point).y + 0.12),
      text: `Wall ${w.wall.label}`,
      height: LETTERS * 1.5,
      angle: 0,
    },
  );
  return marks;
}
