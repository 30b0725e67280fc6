import type { StrokeKind } from '../job/vocabulary.ts';
import type { Hand } from '../job/vocabulary.ts';
import type { Metres } from '../units/si.ts';
import type { Point } from '../measure/geometry.ts';
import { areaOf, boxShape, type Done, type Draft, type Shape } from './play.ts';
import { boxOf } from './shapes.ts';

/** A door's leaf: its size, its panels, and the width of stiles and rails, which is one. */
export interface Leaf {
  readonly width: Metres;
  readonly height: Metres;
  readonly rows: number;
  readonly columns: number;
  readonly stile: Metres;
  /** What a panel's moulding adds to its edge; 0: none. */
  readonly moulding: Metres;
  readonly thickness: Metres;
  readonly faces: 1 | 2;
  readonly kind: 'flush' | 'panelled' | 'glazed';
}

/** A member of a framed leaf. */
export interface Member {
  readonly id: string;
  readonly kind: Extract<StrokeKind, 'panel' | 'muntin' | 'rail' | 'stile'>;
  readonly shape: Shape;
  /** The row it lies in, or below: rails are numbered from the top, 0 to the number of rows. */
  readonly row: number;
  /** Members whose edge closes a joint of this one: it butts into them, so it is painted before them. */
  readonly into: readonly string[];
}

/**
 * Members of a leaf of any rows x columns and how they are joined: stiles run through from top to bottom, rails butt into the
 * stiles, muntins into the rails, panels into what is round them [common practice, no source].
 */
export function membersOf({ width: w, height: h, rows, columns, stile }: Leaf): Member[] {
  const [pw, ph] = [(w - (columns + 1) * stile) / columns, (h - (rows + 1) * stile) / rows];
  const left = (c: number) => stile + c * (pw + stile);
  const top = (r: number) => h - stile - r * (ph + stile);
  const sides = ['stile-left', 'stile-right'];
  const members: Member[] = [];
  for (let r = 0; r < rows; r++) {
    for (let c = 0; c < columns; c++) {
      const into = [
        `rail-${r}`,
        `rail-${r + 1}`,
        c > 0 ? `muntin-${r}-${c}` : 'stile-left',
        c < columns - 1 ? `muntin-${r}-${c + 1}` : 'stile-right',
      ];
      const shape = boxShape(left(c), left(c) + pw, top(r) - ph, top(r));
      members.push({ id: `panel-${r}-${c}`, kind: 'panel', row: r, into, shape });
    }
    for (let c = 1; c < columns; c++)
      members.push({
        id: `muntin-${r}-${c}`,
        kind: 'muntin',
        row: r,
        into: [`rail-${r}`, `rail-${r + 1}`],
        shape: boxShape(left(c) - stile, left(c), top(r) - ph, top(r)),
      });
  }
  for (let r = 0; r <= rows; r++) {
    const above = h - r * (ph + stile);
    members.push({
      id: `rail-${r}`,
      kind: 'rail',
      row: r,
      into: sides,
      shape: boxShape(stile, w - stile, above - stile, above),
    });
  }
  members.push({ id: 'stile-left', kind: 'stile', row: rows, into: [], shape: boxShape(0, stile, 0, h) });
  members.push({ id: 'stile-right', kind: 'stile', row: rows, into: [], shape: boxShape(w - stile, w, 0, h) });
  return members;
}

const RANK = { panel: 0, muntin: 1, rail: 2, stile: 3 } as const;
/**
 * An order in which every member comes before those it butts into. `by` kind: all panels, then muntins, rails, stiles; by row, where
 * paint dries too fast for that: each row with its muntins, and the rail above it as soon as both rows it closes are done.
 */
export function orderOf(members: readonly Member[], by: 'kind' | 'row', hand: Hand): Member[] {
  const sides = hand === 'right' ? ['stile-right', 'stile-left'] : ['stile-left', 'stile-right'];
  const key = (m: Member): number => {
    if (m.kind === 'stile') return 1e6 + sides.indexOf(m.id);
    return by === 'kind' ? RANK[m.kind] * 1000 + m.row : m.row * 10 + RANK[m.kind];
  };
  const left = new Set(members);
  const order: Member[] = [];
  while (left.size) {
    const ready = [...left].filter((m) => [...left].every((other) => !other.into.includes(m.id)));
    const [next] = ready.sort((a, b) => key(a) - key(b));
    if (!next) throw new Error('members that butt into each other in a circle');
    left.delete(next);
    order.push(next);
  }
  return order;
}

/** How a leaf is painted. */
interface LeafManner {
  /** Rolled all over, then brushed out; else piece by piece. */
  readonly rolled: boolean;
  readonly by: 'kind' | 'row';
  readonly hand: Hand;
}

const isFaces = ({ kind }: Done): boolean => kind === 'faces' || kind === 'prime-faces';
const isEdges = ({ kind }: Done): boolean => kind === 'edges' || kind === 'prime-faces';
/** The last look for drips, of the time of a face. */
const LOOK = 0.04;

/** Strokes of a hung, wedged leaf: edges, then each face in turn without a stop, and a look for drips at the end of it. */
export function leafStrokes(leaf: Leaf, manner: LeafManner): Draft[] {
  const { width: w, height: h, thickness } = leaf;
  const edges = (
    [
      ['edge-lock', h],
      ['edge-top', w],
      ['edge-hinge', h],
    ] as const
  ).map(([id, length]): Draft => {
    const shape = [boxShape(0, thickness, 0, length)];
    const area = areaOf(shape);
    return { id, kind: 'edge', shape, area, film: area, weight: area, of: isEdges };
  });
  const members: readonly Member[] =
    leaf.kind === 'flush'
      ? [{ id: 'face', kind: 'panel', row: 0, into: [], shape: boxShape(0, w, 0, h) }]
      : orderOf(membersOf(leaf), manner.by, manner.hand).filter((m) => leaf.kind !== 'glazed' || m.kind !== 'panel');
  const sides = Array.from({ length: leaf.faces }, (_, i) => `face${i + 1}`);
  return [...edges, ...sides.flatMap((side) => faceStrokes(side, leaf, members, manner))];
}

function faceStrokes(side: string, leaf: Leaf, members: readonly Member[], { rolled }: LeafManner): Draft[] {
  const name = (id: string) => `${side}/${id}`;
  const shapes = members.map((m) => m.shape);
  const face = areaOf(shapes);
  const whole: Draft = {
    id: name('roll'),
    kind: 'roll-face',
    shape: shapes,
    area: face,
    film: face,
    weight: face / 2,
    of: isFaces,
  };
  const pieces = members.flatMap((m): Draft[] => {
    const own = areaOf([m.shape]);
    const reveals = leaf.kind === 'panelled' && m.kind === 'panel' && leaf.moulding > 0;
    const plain = { id: name(m.id), kind: m.kind, path: grainOf(m), of: isFaces };
    const brushed: Draft = rolled
      ? { ...plain, overlaps: [{ stroke: name('roll'), shape: m.shape }], weight: own / 2 }
      : { ...plain, shape: [m.shape], area: own, film: own, weight: own };
    const round = outlineOf(m.shape);
    const area = round * leaf.moulding;
    const moulding: Draft = {
      id: name(`reveal-${m.id}`),
      kind: 'reveal',
      shape: [boxShape(0, round, 0, leaf.moulding)],
      area,
      film: area,
      weight: area,
      of: isFaces,
    };
    return reveals ? [moulding, brushed] : [brushed];
  });
  const drips: Draft = {
    id: name('drips'),
    kind: 'look',
    overlaps: shapes.map((shape, i) => ({ stroke: name(members[i]?.id ?? ''), shape })),
    weight: face * LOOK,
    of: isFaces,
  };
  return [...(rolled ? [whole] : []), ...pieces, drips];
}

/** Each piece is laid off along its grain: stiles, muntins and panels upright, rails across. */
function grainOf({ kind, shape }: Member): Point[] {
  const { left, right, bottom, top } = boxOf(shape);
  const [x, y] = [(left + right) / 2, (bottom + top) / 2];
  return kind === 'rail'
    ? [
        { x: left, y },
        { x: right, y },
      ]
    : [
        { x, y: top },
        { x, y: bottom },
      ];
}
const outlineOf = (shape: Shape): Metres => {
  const { left, right, bottom, top } = boxOf(shape);
  return 2 * (right - left + top - bottom);
};
