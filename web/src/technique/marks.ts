import type { MadeLine } from '@kovelin/core/lines/lines.ts';
import type { Point } from '@kovelin/core/measure/geometry.ts';
import type { RoomTakeoff, WallTakeoff } from '@kovelin/core/measure/takeoff.ts';
import { placeOf } from '@kovelin/core/measure/runs.ts';
import { at } from '@kovelin/core/units/list.ts';

/** A straight piece of a line on its wall, metres, and the unit vector from it towards the side that is cut. */
export interface Stroke {
  readonly from: Point;
  readonly to: Point;
  readonly towards: Point;
}

const minus = (p: Point, q: Point): Point => ({ x: p.x - q.x, y: p.y - q.y });
const times = ({ x, y }: Point, k: number): Point => ({ x: x * k, y: y * k });
const dot = (p: Point, q: Point): number => p.x * q.x + p.y * q.y;
const UP: Point = { x: 0, y: 1 };
const LEFT: Point = { x: -1, y: 0 };

/** Straight pieces of a line that runs on a wall, each with the side on which the second finish lies. */
export function strokesOf({ line, chosen }: MadeLine, takeoff: RoomTakeoff, wall: WallTakeoff): Stroke[] {
  const polylines = line.meeting.geometry();
  const points = polylines.flat();
  const middle = points.reduce<Point>(
    (sum, p) => ({ x: sum.x + p.x / points.length, y: sum.y + p.y / points.length }),
    {
      x: 0,
      y: 0,
    },
  );
  /** From the line towards its first named side. */
  const towardsFirstNamed = (at: Point): Point => {
    switch (line.kind) {
      case 'corner':
        return line.sides[0].s?.surface.wall === line.meeting.wall ? LEFT : times(LEFT, -1);
      case 'casing-frame':
      case 'frame-leaf':
      case 'wall-casing':
      case 'wall-opening':
      case 'cover':
        return minus(at, middle);
      case 'wall-crown':
      case 'wall-board':
        return times(UP, -1);
      case 'wall-chair-rail':
      case 'wall-picture-rail': {
        const lower =
          takeoff.room.trim[line.kind === 'wall-chair-rail' ? 'chair-rail' : 'picture-rail']?.at?.metres ?? 0;
        return at.y < lower + 0.001 ? times(UP, -1) : UP;
      }
      case 'region': {
        const part = wall.parts.find((p) => line.sides[0].id.endsWith(`/${p.id}`));
        const other = wall.parts.find((p) => line.sides[1].id.endsWith(`/${p.id}`));
        const box = placeOf(part ?? other ?? (wall.parts[0] as never), wall.outline);
        const centre = { x: (box.left + box.right) / 2, y: (box.bottom + box.top) / 2 };
        return times(minus(centre, at), part ? 1 : -1);
      }
      default:
        return UP;
    }
  };
  const cut = 1 - chosen.first;
  return polylines.flatMap((polyline) =>
    polyline.slice(1).flatMap((to, i): Stroke[] => {
      const from = at(polyline, i);
      const along = minus(to, from);
      const length = Math.hypot(along.x, along.y);
      if (length < 1e-6) return [];
      const normal = times({ x: -along.y, y: along.x }, 1 / length);
      const named = towardsFirstNamed({ x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 });
      const towards = dot(normal, named) >= 0 === (cut === 0) ? normal : times(normal, -1);
      return [{ from, to, towards }];
    }),
  );
}
