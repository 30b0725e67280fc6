import type { Opening, Part } from '../job/measured.ts';
import type { PartKind, PieceFace } from '../job/vocabulary.ts';
import type { Metres, SquareMetres } from '../units/si.ts';
import type { RuleId } from '../words/reasons.ts';
import { boxShape, type Done, type Draft } from './play.ts';

interface Face {
  readonly part: PieceFace;
  readonly wide: Metres;
  readonly high: Metres;
}
interface Sizes {
  readonly w: Metres;
  readonly h: Metres;
  readonly d: Metres;
  readonly n: number;
}
interface PieceRow {
  /** In the order they are painted: what is hard to reach first, what is looked at last. */
  readonly faces: (s: Sizes) => readonly Face[];
  readonly how: Extract<RuleId, `play.${string}`> | null;
}
const face = (part: PieceFace, wide: Metres, high: Metres): Face => ({ part, wide, high });

/** Faces of each kind in the order they are painted [common practice, no source]. */
const PIECES: Readonly<Partial<Record<PartKind, PieceRow>>> = {
  radiator: {
    faces: ({ w, h, d }) => [
      face('back', w, h),
      face('ribs', w, d),
      face('ends', 2 * d, h),
      face('top', w, d),
      face('front', w, h),
    ],
    how: 'play.radiator',
  },
  shelf: {
    faces: ({ w, h, d }) => [
      face('underside', w, d),
      face('ends', 2 * d, h),
      face('top', w, d),
      face('front-edge', w, h),
    ],
    how: 'play.shelf',
  },
  'built-in': {
    faces: ({ w, h, d, n }) => [
      face('back', w, h),
      face('inside', 2 * w, d),
      face('shelves', w, 2 * d * n),
      face('sides', 4 * d, h),
      face('top', w, d),
    ],
    how: 'play.shelf',
  },
  furniture: {
    faces: ({ w, h, d }) => [face('back', w, h), face('ends', 2 * d, h), face('front', w, h), face('top', w, d)],
    how: 'play.raised',
  },
  drum: {
    faces: ({ w, h }) => [face('round', Math.PI * w, h), face('top', w, (Math.PI / 4) * w)],
    how: 'play.raised',
  },
  cone: { faces: ({ w, h }) => [face('mantle', (Math.PI * w) / 2, Math.hypot(w / 2, h))], how: 'play.raised' },
  soffit: { faces: ({ w, h, d }) => [face('ends', 2 * d, h), face('underside', w, d), face('front', w, h)], how: null },
  recess: { faces: ({ w, h, d }) => [face('head', w, d), face('sides', 2 * d, h), face('back', w, h)], how: null },
  pilaster: { faces: ({ w, h, d }) => [face('sides', 2 * d, h), face('front', w, h)], how: null },
  closet: {
    faces: ({ w, h, d }) => [face('head', w, d), face('back', w, h), face('sides', 2 * d, h), face('front', w, h)],
    how: null,
  },
  column: { faces: ({ w, h, d }) => [face('sides', 2 * d, h), face('front', 2 * w, h)], how: null },
  'round-column': { faces: ({ w, h }) => [face('round', Math.PI * w, h)], how: null },
  beam: { faces: ({ w, h, d }) => [face('sides', 2 * w, h), face('underside', w, d)], how: null },
  'half-wall': { faces: ({ w, h, d }) => [face('sides', 2 * w, h), face('ends', d, h), face('top', w, d)], how: null },
  skylight: { faces: ({ w, h, d }) => [face('shaft', 2 * (w + d), h)], how: null },
};

const all = (_: Done) => true;

/** Faces in their order, as high as makes them the area that was measured. */
function strokesOf(faces: readonly Face[], area: SquareMetres, name: string): Draft[] {
  const drawn = faces.reduce((sum, { wide, high }) => sum + wide * high, 0);
  if (!(drawn > 0)) return [];
  const scale = area / drawn;
  let foot = 0;
  return faces
    .filter(({ wide, high }) => wide * high > 1e-9)
    .map(({ part, wide, high }): Draft => {
      const own = high * scale;
      const shape = boxShape(0, wide, foot, foot + own);
      const path = [
        { x: 0, y: foot + own / 2 },
        { x: wide, y: foot + own / 2 },
      ];
      foot += own * 1.08;
      const painted = wide * own;
      return {
        id: `${name}${part}`,
        kind: 'piece',
        part,
        shape: [shape],
        area: painted,
        path,
        film: painted,
        weight: painted,
        of: all,
      };
    });
}

/** One of several alike is painted after the other. */
const ALIKE = 12;

/** A piece of furniture, a radiator, a shelf, what stands out of a wall; null: nothing is known of its faces. */
export function pieceStrokes(part: Part, area: SquareMetres): { drafts: Draft[]; how: PieceRow['how'] } | null {
  const row = PIECES[part.kind];
  if (!row) return null;
  const sizes: Sizes = {
    w: part.width?.metres ?? 0,
    h: part.height?.metres ?? 0,
    d: part.depth?.metres ?? 0,
    n: part.count,
  };
  const faces = row.faces(sizes);
  const several = part.kind === 'built-in' || part.kind === 'half-wall' ? 1 : part.count;
  const n = several <= ALIKE ? Math.max(1, several) : 1;
  const drafts = Array.from({ length: n }, (_, i) => {
    const shift = i * 1.1 * Math.max(0, ...faces.map((f) => f.wide));
    return strokesOf(faces, area / n, n > 1 ? `${i + 1}/` : '').map((d) => moved(d, shift));
  });
  return { drafts: drafts.flat(), how: row.how };
}
const moved = (draft: Draft, by: Metres): Draft => {
  const at = ({ x, y }: { readonly x: Metres; readonly y: Metres }) => ({ x: x + by, y });
  return { ...draft, shape: (draft.shape ?? []).map((shape) => shape.map(at)), path: (draft.path ?? []).map(at) };
};

/** Head, sides and, off the floor, the bottom of the plastered returns of an opening. */
export function revealStrokes({ width, height, reveal, sill }: Opening, area: SquareMetres): Draft[] {
  const depth = reveal?.depth.metres ?? 0;
  const faces = [face('head', width.metres, depth), face('sides', 2 * depth, height.metres)];
  return strokesOf(sill ? [...faces, face('bottom', width.metres, depth)] : faces, area, '');
}

/** What has no faces that are known: all of it, along its length. */
export const wholeStroke = (area: SquareMetres): Draft[] => strokesOf([face('all', 1, area)], area, '');
