import type { Opening } from '../job/measured.ts';
import type { Metres, SquareMetres } from '../units/si.ts';
import { compute, given, type Working } from '../units/working.ts';
import { arcOver, arcPoints } from './arc.ts';
import type { Point } from './geometry.ts';
import { footAt, type Box, type Outline } from './outline.ts';

/** An opening's outline, or that of its casing: upright sides up to the springing, then its head. */
interface Frame {
  readonly left: Metres;
  readonly bottom: Metres;
  readonly width: Metres;
  readonly height: Metres;
  /** Of the head above the springing; 0 for a straight one. */
  readonly rise: Metres;
  readonly shape: Opening['shape'];
}

/** How far the head rises above the springing. */
export function riseOf(o: Opening): Metres {
  if (o.shape === 'rectangle') return 0;
  if (o.shape === 'round') return o.width.metres / 2;
  if (o.shape === 'circle') return o.height.metres;
  return o.rise?.metres ?? (o.shape === 'gable' ? o.height.metres : o.width.metres / 6);
}

/** Has the opening an edge below: is it above the floor (or the stairs) it would stand on? */
export const isOffFloor = (o: Opening, outline: Outline): boolean =>
  (o.sill?.metres ?? 0) > footAt(outline, o.at.metres + o.width.metres / 2) + 1e-6;

/** A window board takes the place of the casing below. */
const isCasedBelow = (o: Opening, offFloor: boolean): boolean => offFloor && o.board === null;

/** An opening with its casing, along the wall and up from the floor, m. */
export function frameOf(o: Opening, casing: Metres, offFloor: boolean): Frame {
  const below = isCasedBelow(o, offFloor) || o.shape === 'circle' ? casing : 0;
  return {
    left: o.at.metres - casing,
    bottom: (o.sill?.metres ?? 0) - below,
    width: o.width.metres + 2 * casing,
    height: o.height.metres + casing + below,
    rise: o.shape === 'rectangle' ? 0 : riseOf(o) + (o.shape === 'circle' ? casing + below : casing),
    shape: o.shape,
  };
}

/** The box round an opening, m; with its casing if asked, and never under the floor. */
export const boxOf = (o: Opening, outline: Outline, withCasing = false): Box => {
  const f = frameOf(o, withCasing ? (o.casing?.metres ?? 0) : 0, isOffFloor(o, outline));
  return { left: f.left, right: f.left + f.width, bottom: Math.max(0, f.bottom), top: f.bottom + f.height };
};

/** As a polygon in the wall's coordinates; arcs with exactly their area. */
export function pointsOf({ left, bottom, width, height, rise, shape }: Frame): Point[] {
  const at = (x: Metres, y: Metres): Point => ({ x: left + x, y: bottom + y });
  const spring = height - rise;
  if (shape === 'circle') {
    const lower = arcPoints(arcOver(width, height / 2)).map((p) => at(p.x, height / 2 - p.y));
    const upper = arcPoints(arcOver(width, height / 2)).map((p) => at(p.x, height / 2 + p.y));
    return [at(0, height / 2), ...lower, at(width, height / 2), ...upper.reverse()];
  }
  const head =
    shape === 'rectangle'
      ? []
      : shape === 'gable'
        ? [at(width / 2, height)]
        : arcPoints(arcOver(width, rise))
            .map((p) => at(p.x, spring + p.y))
            .reverse();
  return [at(0, 0), at(width, 0), at(width, spring), ...head, at(0, spring)];
}

function areaOfFrame(f: Frame): SquareMetres {
  if (f.shape === 'circle') return (Math.PI * f.width * f.height) / 4;
  const head = f.shape === 'gable' ? (f.width * f.rise) / 2 : f.rise > 0 ? arcOver(f.width, f.rise).area : 0;
  return f.width * (f.height - f.rise) + head;
}

/** Of the edge: all round, or without what stands on the floor. */
function perimeter(f: Frame, withBottom: boolean): Metres {
  if (f.shape === 'circle') return Math.PI * f.width;
  const head =
    f.shape === 'rectangle'
      ? f.width
      : f.shape === 'gable'
        ? 2 * Math.hypot(f.width / 2, f.rise)
        : arcOver(f.width, f.rise).length;
  return 2 * (f.height - f.rise) + head + (withBottom ? f.width : 0);
}

/** Width times height, or what the shape of the head leaves of it. */
export function openingArea(o: Opening): Working {
  const [w, h] = [o.width.metres, o.height.metres];
  const width = given('width', w, 'length');
  if (o.shape === 'rectangle') return compute('product', o.label, 'area', width, given('height', h, 'length'));
  if (o.shape === 'circle')
    return compute('product', o.label, 'area', given('π / 4', Math.PI / 4, 'ratio'), width, width);
  const rise = riseOf(o);
  const upright = compute('product', 'upright part', 'area', width, given('to the springing', h - rise, 'length'));
  const head =
    o.shape === 'gable'
      ? compute('product', 'gable', 'area', given('half', 1 / 2, 'ratio'), width, given('rise', rise, 'length'))
      : given(`head, an arc of radius ${arcOver(w, rise).radius.toFixed(3)} m`, arcOver(w, rise).area, 'area');
  return compute('sum', o.label, 'area', upright, head);
}

/** Face of the casing on this side: the outline with it less the opening. */
const casingFace = (o: Opening, offFloor: boolean, casing = o.casing?.metres ?? 0): SquareMetres =>
  areaOfFrame(frameOf(o, casing, offFloor)) - areaOfFrame(frameOf(o, 0, offFloor));

/** Length of casing of which the face is made; to its outer edges where the corners are square. */
export const casingLength = (o: Opening, offFloor: boolean, casing = o.casing?.metres ?? 0): Metres =>
  casing > 0 ? casingFace(o, offFloor, casing) / casing : 0;

/** The line a brush cuts round the opening, or round its casing. */
export function edgeLength(o: Opening, offFloor: boolean): Metres {
  const frame = frameOf(o, o.casing?.metres ?? 0, offFloor);
  return perimeter(frame, isCasedBelow(o, offFloor));
}

/** Developed run of the returns: sides and head, and the bottom of what has no board and stands above the floor. */
export const revealLength = (o: Opening, offFloor: boolean): Metres =>
  perimeter(frameOf(o, 0, offFloor), isCasedBelow(o, offFloor));

/** A board or an apron: as wide as the opening and its casing. */
export const boardLength = (o: Opening): Metres => o.width.metres + 2 * (o.casing?.metres ?? 0);
