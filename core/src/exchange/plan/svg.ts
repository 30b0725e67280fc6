import type { Point } from '../../measure/geometry.ts';
import { bad, good, type Result } from '../../units/problem.ts';
import { parseXml } from '../xml.ts';
import { MAX_PLAN_BYTES, type Chain, type Corner, type PlanFile } from './chains.ts';
import { DRAWING_LAYERS, type Mark } from './drafting.ts';

const SCALE = 50;
/** Paper millimetres for a metre of the room. */
const MM = 1000 / SCALE;

const text = (value: string) => value.replace(/[&<>"]/g, (c) => `&#${c.charCodeAt(0)};`);
const f = (value: number) => String(Number(value.toFixed(4)));

/** Chord and bulge as the elliptical-arc command takes them; y points down on paper. */
function segment(from: Corner, to: Point, at: (p: Point) => Point): string {
  const p = at(to);
  if (!from.bulge) return `L${f(p.x)} ${f(p.y)}`;
  const chord = Math.hypot(to.x - from.x, to.y - from.y) * MM;
  const radius = (chord * (1 + from.bulge ** 2)) / (4 * Math.abs(from.bulge));
  return `A${f(radius)} ${f(radius)} 0 ${Math.abs(from.bulge) > 1 ? 1 : 0} ${from.bulge > 0 ? 0 : 1} ${f(p.x)} ${f(p.y)}`;
}

/** The drawing as SVG at 1:50, one group a layer, in paper millimetres; `data-metres-per-unit` says the scale to a reader. */
export function writeSvg(marks: readonly Mark[], title: string): string {
  const points = marks.flatMap((m): readonly Point[] => (m.kind === 'chain' ? m.corners : [m.at]));
  const [xs, ys] = [points.map((p) => p.x), points.map((p) => p.y)];
  const margin = 1;
  const [left, top] = [Math.min(...xs) - margin, Math.max(...ys) + margin];
  const width = (Math.max(...xs) + margin - left) * MM;
  const height = (top - Math.min(...ys) + margin) * MM;
  const at = (p: Point): Point => ({ x: (p.x - left) * MM, y: (top - p.y) * MM });
  const groups = DRAWING_LAYERS.map((layer) => {
    const of = marks
      .filter((m) => m.layer === layer)
      .map((m) => {
        if (m.kind === 'text') {
          const { x, y } = at(m.at);
          const anchor = layer === 'dimensions' ? ' text-anchor="middle"' : '';
          return `<text x="${f(x)}" y="${f(y)}" font-size="${f(m.height * MM * 1.4)}"${anchor}${m.angle ? ` transform="rotate(${f(-m.angle)} ${f(x)} ${f(y)})"` : ''}>${text(m.text)}</text>`;
        }
        const first = m.corners[0] as Corner;
        const start = at(first);
        const sides = m.corners.slice(1).map((c, i) => segment(m.corners[i] as Corner, c, at));
        const last = m.corners.at(-1) as Corner;
        const back = m.closed ? `${last.bulge ? segment(last, first, at) : ''}Z` : '';
        return `<path d="M${f(start.x)} ${f(start.y)}${sides.join('')}${back}"/>`;
      });
    const stroke = layer === 'dimensions' ? 0.13 : layer === 'plan' || layer === 'elevation' ? 0.5 : 0.25;
    return of.length
      ? `<g id="${layer}" fill="none" stroke="#20302f" stroke-width="${stroke}">${of.join('').replaceAll('<text', '<text fill="#20302f" stroke="none" font-family="sans-serif"')}</g>`
      : '';
  });
  return `<?xml version="1.0" encoding="UTF-8"?>
<svg xmlns="http://www.w3.org/2000/svg" width="${f(width)}mm" height="${f(height)}mm" viewBox="0 0 ${f(width)} ${f(height)}" data-metres-per-unit="${1 / MM}"><title>${text(title)}, 1:${SCALE}</title>
${groups.filter(Boolean).join('\n')}
</svg>
`;
}

type Node = Readonly<Record<string, unknown>> & { readonly ':@'?: Readonly<Record<string, string>> };

class SvgFault extends Error {}

/** Reads lines, polylines, polygons, rectangles and straight or circular paths of an SVG; a group's id is its layer. */
export function readSvg(content: string): Result<PlanFile> {
  if (content.length > MAX_PLAN_BYTES) return bad('This drawing is larger than 20 MB; export only the floor plan.');
  const parsed = parseXml(content, 'SVG', { attributeNamePrefix: '', preserveOrder: true });
  if (!parsed.ok) return parsed;
  const tree = parsed.value as Node[];
  const svg = tree.find((node) => 'svg' in node);
  if (!svg) return bad('This is XML, but not an SVG drawing: it has no <svg>.');
  const scale = Number(svg[':@']?.['data-metres-per-unit']);
  const layers = new Map<string, Chain[]>();
  const passed = new Map<string, number>();
  try {
    collect(svg['svg'] as Node[], 'drawing', 0);
  } catch (error) {
    if (error instanceof SvgFault) return bad(error.message);
    throw error;
  }
  return good({
    unit: null,
    metresPerUnit: scale > 0 && Number.isFinite(scale) ? scale : null,
    layers: [...layers].map(([name, chains]) => ({ name, chains })),
    notes: [...passed].map(
      ([kind, n]) => `${n} of <${kind}> passed over: only lines, polygons and straight or circular paths are read.`,
    ),
  });

  function collect(nodes: readonly Node[], layer: string, depth: number): void {
    if (depth > 40) throw new SvgFault('The groups of this SVG are nested more than 40 deep; ungroup the floor plan.');
    for (const node of nodes) {
      const kind = Object.keys(node).find((key) => key !== ':@') ?? '';
      const attributes = node[':@'] ?? {};
      if (['text', 'title', 'defs', 'style', 'metadata', '#text', 'desc'].includes(kind)) continue;
      if (attributes['transform'])
        throw new SvgFault(
          `A <${kind}> of this SVG has a transform; apply the transforms in the drawing (flatten it) and save it again.`,
        );
      if (kind === 'g') {
        collect(node['g'] as Node[], attributes['id'] ?? layer, depth + 1);
        continue;
      }
      const chains = chainsIn(kind, attributes);
      if (!chains) passed.set(kind, (passed.get(kind) ?? 0) + 1);
      else {
        const list = layers.get(layer) ?? [];
        layers.set(layer, list);
        // up on paper is up in the room
        for (const c of chains)
          list.push({
            closed: c.closed,
            corners: c.corners.map(({ x, y, bulge }) => ({ x, y: -y, bulge: -bulge })),
          });
      }
    }
  }
}

/** One number, or one flag of an arc, and what stands before it; each character is looked at once. */
const NUMBER = /[\s,]*([-+]?(?:\d+(?:\.\d*)?|\.\d+)(?:e[-+]?\d+)?)/iy;
const FLAG = /[\s,]*([01])/y;
const isFlag = (i: number) => i % 7 === 3 || i % 7 === 4;

/** The numbers of an attribute. The two flags of an arc may stand without a space between them and what follows. */
function numbers(value = '', arcs = false): number[] {
  const found: number[] = [];
  for (let at = 0; at < value.length;) {
    const pattern = arcs && isFlag(found.length) ? FLAG : NUMBER;
    pattern.lastIndex = at;
    const next = pattern.exec(value);
    if (!next) break;
    at = pattern.lastIndex;
    const number = Number(next[1]);
    if (!Number.isFinite(number) || Math.abs(number) > 1e9)
      throw new SvgFault('A coordinate of this SVG is not a number a drawing can have.');
    found.push(number);
  }
  return found;
}

function chainsIn(kind: string, a: Readonly<Record<string, string>>): Chain[] | null {
  const corner = (x = 0, y = 0): Corner => ({ x, y, bulge: 0 });
  if (kind === 'line') {
    const [x1, y1, x2, y2] = ['x1', 'y1', 'x2', 'y2'].map((key) => numbers(a[key])[0]);
    return [{ closed: false, corners: [corner(x1, y1), corner(x2, y2)] }];
  }
  if (kind === 'rect') {
    const [x = 0, y = 0, w = 0, h = 0] = ['x', 'y', 'width', 'height'].map((key) => numbers(a[key])[0]);
    return [{ closed: true, corners: [corner(x, y), corner(x + w, y), corner(x + w, y + h), corner(x, y + h)] }];
  }
  if (kind === 'polygon' || kind === 'polyline') {
    const list = numbers(a['points']);
    const corners = Array.from({ length: Math.floor(list.length / 2) }, (_, i) => corner(list[2 * i], list[2 * i + 1]));
    return [{ closed: kind === 'polygon', corners }];
  }
  return kind === 'path' ? pathChains(a['d'] ?? '') : null;
}

const TAKES: Readonly<Record<string, number>> = { M: 2, L: 2, H: 1, V: 1, A: 7, Z: 0 };

/** Straight lines and circular arcs of a path; null when it has other curves. */
function pathChains(d: string): Chain[] | null {
  const chains: { closed: boolean; corners: Corner[] }[] = [];
  for (const [, command = '', rest = ''] of d.matchAll(/([a-df-z])([^a-df-z]*)/gi)) {
    const upper = command.toUpperCase();
    const takes = TAKES[upper];
    if (takes === undefined) return null;
    const relative = command !== upper;
    const list = numbers(rest, upper === 'A');
    if (takes === 0) {
      const last = chains.at(-1);
      if (last) last.closed = true;
      continue;
    }
    for (let i = 0; i + takes <= list.length; i += takes) {
      const args = list.slice(i, i + takes);
      const chain = chains.at(-1);
      const from = chain?.corners.at(-1) ?? { x: 0, y: 0, bulge: 0 };
      const base = relative ? from : { x: 0, y: 0 };
      const [x, y] =
        upper === 'H'
          ? [base.x + (args[0] ?? 0), from.y]
          : upper === 'V'
            ? [from.x, base.y + (args[0] ?? 0)]
            : [base.x + (args.at(-2) ?? 0), base.y + (args.at(-1) ?? 0)];
      const to: Corner = { x, y, bulge: 0 };
      if (upper === 'M' && i === 0) {
        chains.push({ closed: false, corners: [to] });
        continue;
      }
      if (!chain) return null;
      if (upper === 'A') {
        const bulge = bulgeOf(from, to, args);
        if (bulge === null) return null;
        chain.corners[chain.corners.length - 1] = { ...from, bulge };
      }
      chain.corners.push(to);
    }
  }
  // a closed path that comes back to its start says its first corner twice
  return chains.map(({ closed, corners }) => {
    const [first, last] = [corners[0], corners.at(-1)];
    const twice =
      closed && first && last && corners.length > 1 && Math.hypot(first.x - last.x, first.y - last.y) < 1e-6;
    return { closed, corners: twice ? corners.slice(0, -1) : corners };
  });
}

function bulgeOf(from: Point, to: Point, [rx = 0, ry = 0, , large = 0, sweep = 0]: readonly number[]): number | null {
  if (Math.abs(rx - ry) > 1e-6 * Math.max(rx, ry)) return null;
  const chord = Math.hypot(to.x - from.x, to.y - from.y);
  if (!(chord > 0) || !(rx > 0)) return 0;
  const half = Math.asin(Math.min(1, chord / (2 * rx)));
  const angle = large ? 2 * Math.PI - 2 * half : 2 * half;
  // a positive sweep turns right on paper (y down): in drawing axes that is +
  return (sweep ? 1 : -1) * Math.tan(angle / 4);
}
