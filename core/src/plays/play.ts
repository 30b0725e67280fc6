import type { SurfaceId } from '../job/table.ts';
import type { OperationKind, PieceFace, StrokeKind } from '../job/vocabulary.ts';
import { polygonArea, type Point } from '../measure/geometry.ts';
import type { Litres, Metres, Minutes, SquareMetres } from '../units/si.ts';
import type { Reason } from '../words/reasons.ts';
import { at } from '../units/list.ts';

/** A simple polygon, metres. */
export type Shape = readonly Point[];

export interface Stroke {
  readonly id: string;
  /** What is done as one, such as a line or a strip, numbered from 1. */
  readonly step: number;
  readonly kind: StrokeKind;
  /** Which part of a piece it is, null: its kind and place say it. */
  readonly part: PieceFace | null;
  /** What is covered for the first time in this coat; all strokes of a play tile its surface. */
  readonly shape: readonly Shape[];
  /** Of it, developed, m2. */
  readonly area: SquareMetres;
  /** Along which the tool goes, where that is said. */
  readonly path: readonly Point[];
  /** What is covered again, by stroke. */
  readonly overlaps: readonly { readonly stroke: string; readonly shape: Shape }[];
  readonly litres: Litres;
  /** Of a dip: taken up for the strokes after it, whose `litres` it is. */
  readonly load: Litres;
  readonly minutes: Minutes;
  /** Strokes that come before it. */
  readonly after: readonly string[];
}

/** How strips follow each other over a broad surface: along x or y of its drawing, from one end to the other. */
export interface Way {
  readonly axis: 'x' | 'y';
  readonly from: Metres;
  readonly to: Metres;
}

/** Where something stands while some of it is painted: on the wall's drawing, or the ceiling's plan. */
export interface Station {
  readonly kind: 'tray' | 'ladder';
  readonly at: Point;
  /** Strokes done from there. */
  readonly strokes: readonly string[];
}

export interface Play {
  readonly surface: SurfaceId;
  readonly layer: 'finish' | 'primer';
  /** From 1. */
  readonly coat: number;
  readonly strokes: readonly Stroke[];
  readonly minutes: Minutes;
  readonly litres: Litres;
  readonly stations: readonly Station[];
  /** null: it is not rolled in strips. */
  readonly way: Way | null;
  /** How it is done, and why so. */
  readonly how: readonly Reason[];
}

/** An operation of the coat, as the play needs it: its minutes are shared out to strokes, and made nowhere else. */
export interface Done {
  readonly kind: OperationKind;
  readonly coat: number;
  /** The line it runs along; null: none, or several. */
  readonly line: string | null;
  readonly minutes: Minutes;
}

/** A stroke before minutes and paint are shared out. */
export interface Draft {
  readonly id: string;
  /** A name for what is done as one; none: itself. */
  readonly step?: string;
  readonly kind: StrokeKind;
  readonly part?: PieceFace;
  readonly shape?: readonly Shape[];
  readonly area?: SquareMetres;
  readonly path?: readonly Point[];
  readonly overlaps?: Stroke['overlaps'];
  /** The operations that it is part of; its share of them goes by `weight`. */
  readonly of: (done: Done) => boolean;
  readonly weight: number;
  /** Paint, as a share by area; 0 or none: it moves none. */
  readonly film?: number;
  /** Of a dip: the strokes that lay what it takes up. */
  readonly feeds?: readonly string[];
}

/** What a play is made from, before it is timed. */
export interface Drafted {
  readonly drafts: readonly Draft[];
  readonly stations: readonly Station[];
  readonly way: Way | null;
  readonly how: readonly Reason[];
}

/** Area of simple polygons. */
export const areaOf = (shapes: readonly Shape[]): SquareMetres =>
  shapes.reduce((sum, shape) => sum + polygonArea(shape), 0);

/** A rectangle as a shape, anticlockwise from its lower left, m. */
export const boxShape = (left: Metres, right: Metres, bottom: Metres, top: Metres): Shape => [
  { x: left, y: bottom },
  { x: right, y: bottom },
  { x: right, y: top },
  { x: left, y: top },
];

/** Shares the minutes of the operations and the paint of the coat out to strokes: nothing is left over, nothing is added. */
export function shared(
  drafts: readonly Draft[],
  done: readonly Done[],
  litres: Litres,
): { readonly strokes: readonly Stroke[]; readonly minutes: Minutes; readonly litres: Litres } {
  const minutes = new Map<string, Minutes>();
  let spare = 0;
  for (const operation of done) {
    const own = drafts.filter((d) => d.of(operation));
    const all = own.reduce((sum, d) => sum + d.weight, 0);
    // what belongs to no stroke is everybody's
    if (!(all > 0)) spare += operation.minutes;
    else for (const d of own) minutes.set(d.id, (minutes.get(d.id) ?? 0) + (operation.minutes * d.weight) / all);
  }
  const films = drafts.reduce((sum, d) => sum + (d.film ?? 0), 0);
  const weights = drafts.reduce((sum, d) => sum + d.weight, 0);
  const laid = new Map(drafts.map((d) => [d.id, films > 0 ? (litres * (d.film ?? 0)) / films : 0]));
  const steps = [...new Set(drafts.map((d) => d.step ?? d.id))];
  const strokes = drafts.map((d, i): Stroke => ({
    id: d.id,
    step: steps.indexOf(d.step ?? d.id) + 1,
    kind: d.kind,
    part: d.part ?? null,
    shape: d.shape ?? [],
    area: d.area ?? 0,
    path: d.path ?? [],
    overlaps: d.overlaps ?? [],
    litres: laid.get(d.id) ?? 0,
    load: (d.feeds ?? []).reduce((sum, id) => sum + (laid.get(id) ?? 0), 0) / dipsOf(drafts, d),
    minutes: (minutes.get(d.id) ?? 0) + (weights > 0 ? (spare * d.weight) / weights : 0),
    after: i > 0 ? [at(drafts, i - 1).id] : [],
  }));
  return {
    strokes,
    minutes: strokes.reduce((sum, s) => sum + s.minutes, 0),
    litres: strokes.reduce((sum, s) => sum + s.litres, 0),
  };
}
/** Dips that carry the same strokes share what they lay. */
const dipsOf = (drafts: readonly Draft[], { feeds }: Draft): number =>
  feeds ? drafts.filter((d) => d.feeds === feeds).length : 1;
