import type { SurfaceId } from '../job/table.ts';
import type { OperationKind } from '../job/vocabulary.ts';
import type { Point } from '../measure/geometry.ts';
import type { Litres, Minutes, SquareMetres } from '../units/si.ts';

/** What a hand does without stopping. */
export const STROKES = [
  'cut',
  'dip',
  'roll',
  'roll-face',
  'edge',
  'reveal',
  'panel',
  'muntin',
  'rail',
  'stile',
  'run',
  'piece',
] as const;
export type StrokeKind = (typeof STROKES)[number];

/** A simple polygon, metres. */
export type Shape = readonly Point[];

export interface Stroke {
  readonly id: string;
  readonly kind: StrokeKind;
  /** What is covered for the first time in this coat; all strokes of a play tile its surface. */
  readonly shape: readonly Shape[];
  /** Of it, developed, m2. */
  readonly area: SquareMetres;
  /** What is covered again, by stroke. */
  readonly overlaps: readonly { readonly stroke: string; readonly shape: Shape }[];
  readonly litres: Litres;
  readonly minutes: Minutes;
  /** Strokes that come before it. */
  readonly after: readonly string[];
}
export interface Play {
  readonly surface: SurfaceId;
  /** From 1. */
  readonly coat: number;
  readonly strokes: readonly Stroke[];
  readonly minutes: Minutes;
  readonly litres: Litres;
}

/** An operation of the coat, as the play needs it: its minutes are shared out to strokes, and made nowhere else. */
export interface Done {
  readonly kind: OperationKind;
  /** The line it runs along; null: none, or several. */
  readonly line: string | null;
  readonly minutes: Minutes;
}

/** A stroke before minutes and paint are shared out. */
export interface Draft extends Omit<Stroke, 'litres' | 'minutes' | 'after'> {
  /** The operations that it is part of; its share of them goes by `weight`. */
  readonly of: (done: Done) => boolean;
  readonly weight: number;
  /** Only those it must wait for; null: the stroke before it. */
  readonly after: readonly string[] | null;
  /** Paint, as a share by area: 0 for what moves none. */
  readonly film: number;
}

/** Area of simple polygons. */
export const areaOf = (shapes: readonly Shape[]): SquareMetres =>
  shapes.reduce((sum, points) => {
    const twice = points.reduce((s, p, i) => {
      const q = points[(i + 1) % points.length] as Point;
      return s + p.x * q.y - q.x * p.y;
    }, 0);
    return sum + Math.abs(twice) / 2;
  }, 0);

/** Shares the minutes of the operations and the paint of the coat out to strokes: nothing is left over, nothing is added. */
export function shared(
  surface: SurfaceId,
  coat: number,
  drafts: readonly Draft[],
  done: readonly Done[],
  litres: Litres,
): Play {
  const minutes = new Map<string, Minutes>();
  let spare = 0;
  for (const operation of done) {
    const own = drafts.filter((d) => d.of(operation));
    const all = own.reduce((sum, d) => sum + d.weight, 0);
    // what belongs to no stroke, such as a corner brushed for a neighbour, is everybody's
    if (!(all > 0)) spare += operation.minutes;
    else for (const d of own) minutes.set(d.id, (minutes.get(d.id) ?? 0) + (operation.minutes * d.weight) / all);
  }
  const films = drafts.reduce((sum, d) => sum + d.film, 0);
  const weights = drafts.reduce((sum, d) => sum + d.weight, 0);
  const strokes = drafts.map((d, i): Stroke => ({
    id: d.id,
    kind: d.kind,
    shape: d.shape,
    area: d.area,
    overlaps: d.overlaps,
    litres: films > 0 ? (litres * d.film) / films : 0,
    minutes: (minutes.get(d.id) ?? 0) + (weights > 0 ? (spare * d.weight) / weights : 0),
    after: d.after ?? (i > 0 ? [(drafts[i - 1] as Draft).id] : []),
  }));
  return {
    surface,
    coat,
    strokes,
    minutes: strokes.reduce((sum, s) => sum + s.minutes, 0),
    litres: strokes.reduce((sum, s) => sum + s.litres, 0),
  };
}
