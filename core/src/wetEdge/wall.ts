import type { Point } from '../measure/geometry.ts';
import type { Play, Shape, Stroke } from '../plays/play.ts';
import { boxOf } from '../plays/shapes.ts';
import type { Metres, Minutes } from '../units/si.ts';
import { at } from '../units/list.ts';

/** A strip as it is rolled, by how far it lies from where rolling begins. */
interface WetStrip {
  readonly from: Metres;
  readonly to: Metres;
  /** Its loads and its laying off with it. */
  readonly minutes: Minutes;
  /** Of what is wet beside the next strip, on the drawing. */
  readonly low: Metres;
  readonly high: Metres;
  /** What of the surface it covers. */
  readonly shapes: readonly Shape[];
}

/** A part of a cut line that one strip is rolled against. */
export interface WetCut {
  readonly strip: number;
  /** Distance of its two ends from where rolling begins, as it is cut. */
  readonly from: Metres;
  readonly to: Metres;
  readonly minutes: Minutes;
  /** Its two ends on the drawing; null: it has no place there. */
  readonly ends: readonly [Point, Point] | null;
  /** Which stretch of an arm's reach it belongs to, in the order of the play. */
  readonly piece: number;
  /** It is cut from a ladder, not from the floor. */
  readonly high: boolean;
}

/** A coat of a broad surface as what is wet of it: strips in their order, and what was cut along each. */
export interface WetWall {
  readonly strips: readonly WetStrip[];
  readonly cuts: readonly WetCut[];
  readonly length: Metres;
  readonly way: NonNullable<Play['way']>;
}

const CUT: ReadonlySet<Stroke['kind']> = new Set<Stroke['kind']>(['cut', 'cut-again', 'back-roll']);
const stripName = ({ id, overlaps, kind }: Stroke): string | null => {
  const named = kind === 'lay-off' ? (overlaps.at(-1)?.stroke ?? '') : id.replace(/^dip-/, '');
  return /^strip-\d+/.exec(named)?.[0] ?? null;
};

/** What of a play is wet when; null: it is not rolled in strips. */
export function wetWallOf(play: Play): WetWall | null {
  const { way, strokes } = play;
  if (!way || !strokes.some((s) => s.kind === 'spread' || s.kind === 'ends')) return null;
  const sign = Math.sign(way.to - way.from) || 1;
  const along = (p: Point): Metres => (p[way.axis] - way.from) * sign;
  const strips = stripsOf(play, along);
  const ladders = play.stations.filter((station) => station.kind === 'ladder');
  const high = new Set(ladders.flatMap((station) => station.strokes));
  const cuts = cutsOf(lastPasses(strokes), strips, along, high);
  return { strips, cuts, length: Math.abs(way.to - way.from), way };
}

function stripsOf({ strokes, way }: Play, along: (p: Point) => Metres): WetStrip[] {
  const names = [...new Set(strokes.flatMap((s) => (s.area > 0 && !CUT.has(s.kind) ? (stripName(s) ?? []) : [])))];
  return names.map((name, n): WetStrip => {
    // a new cover rests before its first strip
    const isOwn = (s: Stroke) => stripName(s) === name || (n === 0 && s.kind === 'rest');
    const own = strokes.filter((s) => !CUT.has(s.kind) && isOwn(s));
    const points = own.flatMap((s) => s.shape.flat());
    const ways = points.map(along);
    const box = boxOf(points);
    const [low, high] = way?.axis === 'y' ? [box.left, box.right] : [box.bottom, box.top];
    return {
      from: Math.min(...ways),
      to: Math.max(...ways),
      minutes: own.reduce((sum, s) => sum + s.minutes, 0),
      low,
      high,
      shapes: own.flatMap((s) => s.shape),
    };
  });
}

/** A band that is cut twice was dry in between: what is rolled against is the last of it. */
function lastPasses(strokes: readonly Stroke[]): Stroke[] {
  const again = new Set(strokes.filter((s) => s.kind === 'cut-again').map((s) => s.id.replace(/~\d+$/, '')));
  const last = Math.max(0, ...strokes.map((s) => Number(/~(\d+)$/.exec(s.id)?.[1] ?? 1)));
  return strokes.filter(
    (s) =>
      CUT.has(s.kind) && !(s.kind === 'cut' && again.has(s.id)) && Number(/~(\d+)$/.exec(s.id)?.[1] ?? last) === last,
  );
}

/** Each cut stroke taken apart where strips meet; what has no place is cut in the middle of the wall. */
function cutsOf(
  strokes: readonly Stroke[],
  strips: readonly WetStrip[],
  along: (p: Point) => Metres,
  fromLadder: ReadonlySet<string>,
): WetCut[] {
  const stripAt = (u: Metres): number => {
    const found = strips.findIndex((s) => u < s.to - 1e-9);
    return found < 0 ? strips.length - 1 : found;
  };
  return strokes.flatMap((stroke, piece): WetCut[] => {
    const high = fromLadder.has(stroke.id);
    const [p, q] = stroke.path;
    if (!p || !q) {
      const middle = (strips.at(-1)?.to ?? 0) / 2;
      return [{ strip: stripAt(middle), from: middle, to: middle, minutes: stroke.minutes, ends: null, piece, high }];
    }
    const [a, b] = [along(p), along(q)];
    // cut the way it is rolled
    const [from, to, start, end] = a <= b ? [a, b, p, q] : [b, a, q, p];
    const point = (u: Metres): Point => {
      const share = to - from > 1e-9 ? (u - from) / (to - from) : 0;
      return { x: start.x + (end.x - start.x) * share, y: start.y + (end.y - start.y) * share };
    };
    if (to - from < 1e-6)
      return [{ strip: stripAt(from), from, to, minutes: stroke.minutes, ends: [p, q], piece, high }];
    const marks = [from, ...strips.map((s) => s.to).filter((u) => u > from + 1e-9 && u < to - 1e-9), to];
    return marks.slice(1).map((mark, i): WetCut => {
      const before = at(marks, i);
      return {
        strip: stripAt((before + mark) / 2),
        from: before,
        to: mark,
        minutes: (stroke.minutes * (mark - before)) / (to - from),
        ends: [point(before), point(mark)],
        piece,
        high,
      };
    });
  });
}
