import type { Point } from '../measure/geometry.ts';
import type { Metres } from '../units/si.ts';
import { boxShape, type Shape } from './play.ts';
import { pairs } from '../units/list.ts';

export interface Box {
  readonly left: Metres;
  readonly right: Metres;
  readonly bottom: Metres;
  readonly top: Metres;
}
/** The box round some points, m. */
export const boxOf = (points: readonly Point[]): Box => ({
  left: Math.min(...points.map((p) => p.x)),
  right: Math.max(...points.map((p) => p.x)),
  bottom: Math.min(...points.map((p) => p.y)),
  top: Math.max(...points.map((p) => p.y)),
});
/** A box as a shape. */
export const pointsOf = ({ left, right, bottom, top }: Box): Shape => boxShape(left, right, bottom, top);
/** The middle of a box. */
export const middleOf = ({ left, right, bottom, top }: Box): Point => ({
  x: (left + right) / 2,
  y: (bottom + top) / 2,
});

/** What of a convex shape lies in a box. */
export function within(shape: Shape, { left, right, bottom, top }: Box): Shape {
  const sides = [
    { inside: (p: Point) => p.x >= left, at: (p: Point, q: Point) => (left - p.x) / (q.x - p.x) },
    { inside: (p: Point) => p.x <= right, at: (p: Point, q: Point) => (right - p.x) / (q.x - p.x) },
    { inside: (p: Point) => p.y >= bottom, at: (p: Point, q: Point) => (bottom - p.y) / (q.y - p.y) },
    { inside: (p: Point) => p.y <= top, at: (p: Point, q: Point) => (top - p.y) / (q.y - p.y) },
  ];
  return sides.reduce<Shape>(
    (points, { inside, at }) =>
      pairs(points).flatMap(([p, q]) => {
        const t = at(p, q);
        const crossing = inside(p) === inside(q) ? [] : [{ x: p.x + (q.x - p.x) * t, y: p.y + (q.y - p.y) * t }];
        return inside(p) ? [p, ...crossing] : crossing;
      }),
    shape,
  );
}

/** A band this wide on both sides of a stroke, and past its ends. */
export function bandAlong([from, to]: readonly [Point, Point], width: Metres): Shape {
  const length = Math.hypot(to.x - from.x, to.y - from.y) || 1;
  const [ux, uy] = [((to.x - from.x) / length) * width, ((to.y - from.y) / length) * width];
  const corner = (p: Point, along: number, beside: number): Point => ({
    x: p.x + along * ux - beside * uy,
    y: p.y + along * uy + beside * ux,
  });
  return [corner(from, -1, -1), corner(to, 1, -1), corner(to, 1, 1), corner(from, -1, 1)];
}

/** Trapezia whose edges run on straight, as one: [left low, right low, right high, left high], from left to right as they come. */
export function joined(pieces: readonly Shape[]): Shape[] {
  const near = (p: number, q: number) => Math.abs(p - q) < 1e-9;
  const goesOn = (a: Point, b: Point, c: Point) =>
    near((b.y - a.y) * (c.x - b.x), (c.y - b.y) * (b.x - a.x)) || near(a.x, b.x);
  const done: Shape[] = [];
  // which of them end no further left than the next piece begins
  let ending: number[] = [];
  for (const piece of pieces) {
    const [ll, rl, rh, lh] = piece as [Point, Point, Point, Point];
    ending = ending.filter((i) => (done[i]?.[1]?.x ?? 0) > ll.x - 1e-9);
    const i = ending.find((at) => {
      const [a, b, c, d] = done[at] as [Point, Point, Point, Point];
      return near(b.x, ll.x) && near(b.y, ll.y) && near(c.y, lh.y) && goesOn(a, b, rl) && goesOn(d, c, rh);
    });
    if (i === undefined) {
      ending.push(done.push(piece) - 1);
      continue;
    }
    const [a, , , d] = done[i] as [Point, Point, Point, Point];
    done[i] = [a, rl, rh, d];
  }
  return done;
}

/** How far up and down a shape reaches wherever it is between two places: the lowest of its top edge, the highest of its foot. */
export function reachOver(shape: Shape, from: Metres, to: Metres): { readonly foot: Metres; readonly top: Metres } {
  // a strip may end a hair beyond the shape: what is looked at lies within both
  const inner = shape.map((p) => p.x).filter((x) => x > from + 2 * HAIR && x < to - 2 * HAIR);
  const [near, far] = [from + HAIR, to - HAIR];
  const spans = [near, ...inner.flatMap((x) => [x - HAIR, x + HAIR]), far]
    .map((x) => heightsAt(shape, x))
    .filter((ys) => ys.length > 0);
  return {
    foot: Math.max(...spans.map((ys) => Math.min(...ys))),
    top: Math.min(...spans.map((ys) => Math.max(...ys))),
  };
}
const HAIR: Metres = 1e-6;
/** Where an upright line crosses the edges of a shape. */
const heightsAt = (shape: Shape, x: Metres): Metres[] =>
  pairs(shape).flatMap(([p, q]) => {
    const crosses = (p.x <= x && q.x > x) || (q.x <= x && p.x > x);
    return crosses ? [p.y + ((q.y - p.y) * (x - p.x)) / (q.x - p.x)] : [];
  });

/** The same turned on its side: x for y. */
export const turned = (shape: Shape): Shape => shape.map(({ x, y }) => ({ x: y, y: x }));
