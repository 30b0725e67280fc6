import type { Corner } from './chains.ts';
import { DRAWING_LAYERS, type Mark } from './drafting.ts';

const COLOURS: Readonly<Record<(typeof DRAWING_LAYERS)[number], number>> = {
  plan: 7,
  elevation: 7,
  openings: 4,
  trim: 3,
  parts: 6,
  dimensions: 8,
  text: 7,
};

const figure = (value: number) => String(Number(value.toFixed(6)));
/** One line of plain text: what the format cannot carry is written as an escape. */
const plain = (text: string) =>
  text
    .replace(/[\r\n]+/g, ' ')
    .replace(/[^\x20-\x7e]/g, (c) => `\\U+${(c.codePointAt(0) ?? 63).toString(16).toUpperCase().padStart(4, '0')}`);

/** An ASCII DXF (release 12 entities, metres): polylines with bulges for arcs, and text. */
export function writeDxf(marks: readonly Mark[]): string {
  const out: (readonly [number, string | number])[] = [];
  const put = (...pairs: (readonly [number, string | number])[]) => out.push(...pairs);
  put([0, 'SECTION'], [2, 'HEADER'], [9, '$ACADVER'], [1, 'AC1009'], [9, '$INSUNITS'], [70, 6], [0, 'ENDSEC']);
  put([0, 'SECTION'], [2, 'TABLES'], [0, 'TABLE'], [2, 'LAYER'], [70, DRAWING_LAYERS.length]);
  for (const layer of DRAWING_LAYERS) put([0, 'LAYER'], [2, layer], [70, 0], [62, COLOURS[layer]], [6, 'CONTINUOUS']);
  put([0, 'ENDTAB'], [0, 'ENDSEC'], [0, 'SECTION'], [2, 'ENTITIES']);
  for (const mark of marks)
    if (mark.kind === 'text')
      put(
        [0, 'TEXT'],
        [8, mark.layer],
        [10, figure(mark.at.x)],
        [20, figure(mark.at.y)],
        [40, figure(mark.height)],
        [1, plain(mark.text)],
        [50, figure(mark.angle)],
      );
    else {
      put([0, 'POLYLINE'], [8, mark.layer], [66, 1], [10, 0], [20, 0], [70, mark.closed ? 1 : 0]);
      for (const { x, y, bulge } of mark.corners as readonly Corner[]) {
        put([0, 'VERTEX'], [8, mark.layer], [10, figure(x)], [20, figure(y)]);
        if (bulge) put([42, figure(bulge)]);
      }
      put([0, 'SEQEND'], [8, mark.layer]);
    }
  put([0, 'ENDSEC'], [0, 'EOF']);
  return out.map(([code, value]) => `${code}\r\n${value}\r\n`).join('');
}
