import type { StrokeKind } from '../job/vocabulary.ts';
import type { Opening } from '../job/measured.ts';
import type { Metres } from '../units/si.ts';
import { boxShape, type Done, type Draft } from './play.ts';

/** The wood of a sash, and where it stands in the window. */
interface Wood {
  readonly id: string;
  readonly kind: Extract<StrokeKind, 'bar' | 'rail' | 'stile'>;
  readonly from: { readonly x: Metres; readonly y: Metres };
  readonly length: Metres;
  readonly upright: boolean;
}

/** One sash: bars, then rails, then stiles, as they are joined. */
function sashWood(name: string, left: Metres, bottom: Metres, w: Metres, h: Metres, panes: Opening['panels']): Wood[] {
  const wood: Wood[] = [];
  const add = (id: string, kind: Wood['kind'], x: Metres, y: Metres, length: Metres, upright: boolean) =>
    wood.push({ id: `${name}/${id}`, kind, from: { x, y }, length, upright });
  for (let c = 1; c < panes.columns; c++) add(`bar-up-${c}`, 'bar', left + (w * c) / panes.columns, bottom, h, true);
  for (let r = 1; r < panes.rows; r++) add(`bar-${r}`, 'bar', left, bottom + (h * r) / panes.rows, w, false);
  add('rail-top', 'rail', left, bottom + h, w, false);
  add('rail-bottom', 'rail', left, bottom, w, false);
  add('stile-left', 'stile', left, bottom, h, true);
  add('stile-right', 'stile', left + w, bottom, h, true);
  return wood;
}

/** Of a sash's minutes: moved, and looked at, so that it does not stick. */
const MOVE = 0.05;

/** Sash by sash, the outer one of a hung pair first, each moved before it can stick. `girth`: of its wood, developed. */
export function sashStrokes({ width, height, sash, panels }: Opening, girth: Metres): Draft[] {
  const [w, h] = [width.metres, height.metres];
  // drawn apart, as they are painted
  const apart = 2 * girth;
  const sashes =
    sash === 'hung'
      ? [sashWood('upper', 0, h / 2 + apart, w, h / 2, panels), sashWood('lower', 0, 0, w, h / 2, panels)]
      : sash === 'sliding'
        ? [sashWood('outer', 0, 0, w / 2, h, panels), sashWood('inner', w / 2 + apart, 0, w / 2, h, panels)]
        : [sashWood('sash', 0, 0, w, h, panels)];
  const of = (_: Done) => true;
  return sashes.flatMap((wood, i): Draft[] => {
    const strokes = wood.map(({ id, kind, from: { x, y }, length, upright }): Draft => {
      const half = girth / 2;
      const shape = upright ? boxShape(x - half, x + half, y, y + length) : boxShape(x, x + length, y - half, y + half);
      const area = length * girth;
      const path = upright
        ? [
            { x, y: y + length },
            { x, y },
          ]
        : [
            { x, y },
            { x: x + length, y },
          ];
      return { id, kind, shape: [shape], area, path, film: area, weight: area, of };
    });
    const moved: Draft = {
      id: `move-${i + 1}`,
      kind: 'look',
      part: 'move',
      overlaps: strokes.map((s) => ({ stroke: s.id, shape: (s.shape ?? [])[0] ?? [] })),
      weight: strokes.reduce((sum, s) => sum + s.weight, 0) * MOVE,
      of,
    };
    return sash === 'fixed' ? strokes : [...strokes, moved];
  });
}
