import type { Opening, Part, Room } from '@kovelin/core/job/measured.ts';
import type { TrimKind } from '@kovelin/core/job/vocabulary.ts';
import { placeOf, trimBands } from '@kovelin/core/measure/runs.ts';
import { boxOf, frameOf, isOffFloor, pointsOf } from '@kovelin/core/measure/openings.ts';
import { pointsOfBox, polygonOf, type Box } from '@kovelin/core/measure/outline.ts';
import { PART_RULES } from '@kovelin/core/measure/parts.ts';
import type { WallTakeoff } from '@kovelin/core/measure/takeoff.ts';
import type { Metres } from '@kovelin/core/units/si.ts';
import { remember } from '@kovelin/core/units/remember.ts';
import { path } from './transform.ts';
import { keysOf } from '@kovelin/core/units/list.ts';

/** What stands on a wall, in metres along it and up from its floor: the same however large it is drawn. */
export interface OpeningShape {
  readonly opening: Opening;
  readonly box: Box;
  /** Its own outline, and that of its casing where it has one. */
  readonly points: string;
  readonly cased: string | null;
  readonly casing: Metres;
}
export interface PartShape {
  readonly part: Part;
  readonly box: Box;
  readonly points: string;
}
export interface WallShapes {
  readonly points: string;
  /** The lower end of its top edge, and its lowest foot. */
  readonly top: Metres;
  readonly foot: Metres;
  readonly openings: readonly OpeningShape[];
  readonly trim: readonly { readonly kind: TrimKind; readonly points: string }[];
  /** Regions, in their order, then what hides the wall. */
  readonly regions: readonly PartShape[];
  readonly covers: readonly PartShape[];
}

export const shapesOf = remember((wall: WallTakeoff, room: Room): WallShapes => {
  const { outline, parts } = wall;
  const partsOn = (layer: 'region' | 'cover') =>
    parts
      .filter(
        (part) => PART_RULES[part.kind].layer === layer || (layer === 'cover' && part.kind === 'radiator' && part.at),
      )
      .map((part): PartShape => {
        const box = placeOf(part, outline);
        return { part, box, points: path(pointsOfBox(box)) };
      });
  return {
    points: path(polygonOf(outline)),
    top: Math.min(outline.top[0]?.y ?? 0, outline.top.at(-1)?.y ?? 0),
    foot: Math.min(0, ...outline.foot.map((p) => p.y)),
    openings: wall.openings.map((opening): OpeningShape => {
      const off = isOffFloor(opening, outline);
      const casing = opening.casing?.metres ?? 0;
      return {
        opening,
        box: boxOf(opening, outline),
        points: path(pointsOf(frameOf(opening, 0, off))),
        cased: casing > 0 ? path(pointsOf(frameOf(opening, casing, off))) : null,
        casing,
      };
    }),
    trim: keysOf(room.trim).flatMap((kind) =>
      trimBands(room, outline, wall.openings, parts, kind).map((band) => ({ kind, points: path(band) })),
    ),
    regions: partsOn('region'),
    covers: partsOn('cover'),
  };
});
