import { bad, good, type Result } from '../../units/problem.ts';
import type { LengthUnit } from '../../units/si.ts';
import { MAX_PLAN_BYTES, type Chain, type Corner, type PlanFile } from './chains.ts';
import { at } from '../../units/list.ts';

/** $INSUNITS of the units a room is drawn in. */
const UNITS: Readonly<Record<number, LengthUnit>> = { 1: 'in', 2: 'ft', 4: 'mm', 5: 'cm', 6: 'm' };

interface Pair {
  readonly code: number;
  readonly value: string;
  readonly line: number;
}
interface Entity {
  readonly type: string;
  readonly layer: string;
  readonly pairs: readonly Pair[];
  readonly line: number;
}

class DxfFault extends Error {
  constructor(
    readonly line: number,
    message: string,
  ) {
    super(message);
  }
}

/**
 * Reads the outlines of an ASCII DXF: LINE, LWPOLYLINE, POLYLINE and ARC of its ENTITIES section, by layer, with the units of
 * its header. Anything else is counted in the notes. One pass; bad files give a sentence with the line.
 */
export function readDxf(text: string): Result<PlanFile> {
  if (text.length > MAX_PLAN_BYTES) return bad('This drawing is larger than 20 MB; export only the floor plan.');
  if (!text.trim()) return bad('This is not a text DXF: the file is empty.');
  if (text.includes('\0')) return bad('This is a binary file; save the drawing as a text (ASCII) DXF.');
  try {
    return good(plan(pairsOf(text)));
  } catch (error) {
    if (error instanceof DxfFault) return bad(error.message, { line: error.line });
    throw error;
  }
}

function pairsOf(text: string): Pair[] {
  const lines = text.split(/\r\n|\n|\r/);
  while (lines.length && !(lines.at(-1) ?? '').trim()) lines.pop();
  const pairs: Pair[] = [];
  for (let i = 0; i < lines.length; i += 2) {
    const code = (lines[i] ?? '').trim();
    if (!/^\d{1,4}$/.test(code))
      throw new DxfFault(
        i + 1,
        i === 0
          ? 'This is not a text DXF: it should start with a group code (a whole number) on a line of its own.'
          : `“${code.slice(0, 20)}” stands where a group code (a whole number) was expected; a line of the file is missing or one too many.`,
      );
    const value = lines[i + 1];
    if (value === undefined) throw new DxfFault(i + 1, 'The file stops in the middle of a pair, as if it was cut off.');
    pairs.push({ code: Number(code), value: value.trim(), line: i + 2 });
  }
  return pairs;
}

const number = ({ value, line }: Pair): number => {
  const parsed = value === '' ? NaN : Number(value);
  if (!Number.isFinite(parsed) || Math.abs(parsed) > 1e9)
    throw new DxfFault(line, `“${value.slice(0, 20)}” is not a coordinate; a number was expected.`);
  return parsed;
};

function plan(pairs: readonly Pair[]): PlanFile {
  let section = '';
  let unit: LengthUnit | null = null;
  const entities: Entity[] = [];
  let current: (Entity & { pairs: Pair[] }) | null = null;
  let closed = false;
  pairs.forEach((pair, i) => {
    const before = pairs[i - 1];
    if (pair.code === 0 && pair.value === 'EOF') closed = true;
    if (pair.code === 2 && before?.code === 0 && before.value === 'SECTION') section = pair.value;
    else if (pair.code === 0 && pair.value === 'ENDSEC') section = '';
    else if (section === 'HEADER' && pair.code === 70 && before?.code === 9 && before.value === '$INSUNITS')
      unit = UNITS[number(pair)] ?? null;
    else if (section === 'ENTITIES' && pair.code === 0) {
      current = { type: pair.value, layer: '0', pairs: [], line: pair.line };
      entities.push(current);
      return;
    } else if (section === 'ENTITIES' && current) {
      if (pair.code === 8) Object.assign(current, { layer: pair.value || '0' });
      else current.pairs.push(pair);
      return;
    }
    current = null;
  });
  if (!closed && !entities.length)
    throw new DxfFault(
      pairs.length * 2,
      'This file has no ENTITIES section with lines in it, and no end; it was cut off.',
    );
  return { unit, metresPerUnit: null, ...chainsOf(entities) };
}

function chainsOf(entities: readonly Entity[]): Pick<PlanFile, 'layers' | 'notes'> {
  const layers = new Map<string, Chain[]>();
  const passed = new Map<string, number>();
  const add = (layer: string, chain: Chain) => {
    const chains = layers.get(layer);
    if (chains) chains.push(chain);
    else layers.set(layer, [chain]);
  };
  for (let i = 0; i < entities.length; i++) {
    const entity = at(entities, i);
    const value = (code: number): number => {
      const pair = entity.pairs.find((p) => p.code === code);
      if (!pair) throw new DxfFault(entity.line, `This ${entity.type} has no group ${code}, so it has no place.`);
      return number(pair);
    };
    if (entity.type === 'LINE')
      add(entity.layer, {
        closed: false,
        corners: [
          { x: value(10), y: value(20), bulge: 0 },
          { x: value(11), y: value(21), bulge: 0 },
        ],
      });
    else if (entity.type === 'ARC') add(entity.layer, arc(value(10), value(20), value(40), value(50), value(51)));
    else if (entity.type === 'LWPOLYLINE') add(entity.layer, polyline(entity, cornersOf(entity.pairs)));
    else if (entity.type === 'POLYLINE') {
      const corners: Corner[] = [];
      while (entities[i + 1]?.type === 'VERTEX') corners.push(...cornersOf(at(entities, ++i).pairs).slice(0, 1));
      if (entities[i + 1]?.type === 'SEQEND') i++;
      add(entity.layer, polyline(entity, corners));
    } else passed.set(entity.type, (passed.get(entity.type) ?? 0) + 1);
  }
  const notes = [...passed].map(([type, n]) => `${n} of ${type} passed over: only lines, polylines and arcs are read.`);
  return { layers: [...layers].map(([name, chains]) => ({ name, chains })), notes };
}

/** Group 10 starts a corner; its 20 and 42 follow. */
function cornersOf(pairs: readonly Pair[]): Corner[] {
  const corners: { x: number; y: number; bulge: number; line: number }[] = [];
  for (const pair of pairs) {
    if (pair.code === 10) corners.push({ x: number(pair), y: NaN, bulge: 0, line: pair.line });
    const last = corners.at(-1);
    if (last && pair.code === 20) last.y = number(pair);
    if (last && pair.code === 42) last.bulge = number(pair);
  }
  for (const { y, line } of corners)
    if (Number.isNaN(y)) throw new DxfFault(line, 'A corner here has an x (group 10) but no y (group 20).');
  return corners.map(({ x, y, bulge }) => ({ x, y, bulge }));
}

const polyline = (entity: Entity, corners: readonly Corner[]): Chain => {
  const flags = entity.pairs.find((p) => p.code === 70);
  return { closed: flags ? (number(flags) & 1) === 1 : false, corners };
};

/** Counter-clockwise from its start angle to its end angle, degrees. */
function arc(x: number, y: number, radius: number, from: number, to: number): Chain {
  const sweep = (((to - from) % 360) + 360) % 360 || 360;
  const at = (angle: number, bulge: number): Corner => {
    const radians = (angle * Math.PI) / 180;
    return { x: x + radius * Math.cos(radians), y: y + radius * Math.sin(radians), bulge };
  };
  return { closed: false, corners: [at(from, Math.tan((sweep * Math.PI) / 720)), at(from + sweep, 0)] };
}
