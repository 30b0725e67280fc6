import Papa from 'papaparse';
import { hexOfLab, labOf } from '../specify/colour.ts';
import { bad, good, type Problem, type Result } from '../units/problem.ts';
import { Faults, overlong, overlongLine } from './faults.ts';
import { parseXml } from './xml.ts';

/** A colour of a palette file. `shown` is false where a screen cannot show it and the nearest it can stands in. */
export interface PaletteColour {
  readonly name: string;
  readonly hex: string;
  readonly shown: boolean;
}
export interface Palette {
  readonly colours: readonly PaletteColour[];
  /** Rows that could not be read, with their line. */
  readonly problems: readonly Problem[];
}

export const MAX_PALETTE_BYTES = 10_000_000;
const MAX_COLOURS = 20_000;
/** Comments and faults with them. */
const MAX_LINES = 5 * MAX_COLOURS;

/** Reads a palette, told by its content: GPL, CxF3 (ISO 17972) or CSV of a name and sRGB or Lab. Never throws. */
export function readPalette(text: string): Result<Palette> {
  if (text.length > MAX_PALETTE_BYTES)
    return bad('This palette is larger than 10 MB; keep only the colours you want and save it again.');
  const long = /^\s*</.test(text) ? 0 : overlongLine(text);
  if (long) return bad(overlong(long));
  const lines = text.split('\n', MAX_LINES + 1).length;
  if (lines > MAX_LINES)
    return bad(`This file has more than ${MAX_LINES} lines; a palette of that many colours is not read.`);
  const read = /^\s*GIMP Palette/.test(text)
    ? good(readGpl(text))
    : /^\s*</.test(text)
      ? readCxf(text)
      : good(readCsv(text));
  if (!read.ok) return read;
  const { colours, problems } = read.value;
  if (colours.length > MAX_COLOURS)
    return bad(`This palette has more colours than can be read; at most ${MAX_COLOURS} are read.`);
  if (!colours.length && !problems.length) return bad('There are no colours in this file.');
  return read;
}

const name = (text: string, n: number): string => text.trim().replace(/\s+/g, ' ').slice(0, 80) || `Colour ${n}`;
const two = (value: number) => Math.round(value).toString(16).padStart(2, '0');
const isByte = (value: number) => Number.isFinite(value) && value >= 0 && value <= 255;

/** Lines of `red green blue name`, 0 to 255, after a heading; `#` starts a comment. */
function readGpl(text: string): Palette {
  const colours: PaletteColour[] = [];
  const faults = new Faults();
  text.split(/\r\n|\r|\n/).forEach((line, i) => {
    if (colours.length > MAX_COLOURS || i === 0 || !line.trim() || /^\s*#|^\s*(?:Name|Columns):/i.test(line)) return;
    const found = /^\s*(\d+)\s+(\d+)\s+(\d+)(?:\s+(.*))?$/.exec(line);
    const parts = found ? [Number(found[1]), Number(found[2]), Number(found[3])] : [];
    if (found && parts.every(isByte))
      colours.push({ name: name(found[4] ?? '', colours.length + 1), hex: `#${parts.map(two).join('')}`, shown: true });
    else
      faults.say(
        `“${line.trim().slice(0, 30)}” is not a colour; three numbers from 0 to 255 and a name were expected.`,
        i + 1,
      );
  });
  return { colours, problems: faults.problems };
}

const fraction = (text: string) => Number(text.trim().replace(',', '.'));

/** Rows of a name and `#rrggbb`, or a name and three numbers: headings say `L a b` or `R G B` (0-255, the default). */
function readCsv(text: string): Palette {
  const delimiter = text.includes('\t') ? '\t' : text.includes(';') ? ';' : ',';
  const { data } = Papa.parse<string[]>(text, { delimiter, skipEmptyLines: 'greedy' });
  const heading = (data[0] ?? []).map((cell) => cell.trim().toLowerCase());
  const headed = heading.some((cell) => ['name', 'l', 'l*', 'r', 'red', 'hex', 'colour', 'color'].includes(cell));
  const isLab = heading.some((cell) => cell === 'l' || cell === 'l*');
  const colours: PaletteColour[] = [];
  const faults = new Faults();
  data.forEach((row, i) => {
    if (colours.length > MAX_COLOURS || (i === 0 && headed)) return;
    const cells = row.map((cell) => cell.trim());
    const hex = cells.map((cell) => /^#?([0-9a-f]{6})$/i.exec(cell)?.[1]).find(Boolean);
    const numbers = cells.filter((cell) => cell !== '' && Number.isFinite(fraction(cell))).map(fraction);
    const label =
      cells.find((cell) => cell && !Number.isFinite(fraction(cell)) && !/^#?[0-9a-f]{6}$/i.test(cell)) ?? '';
    const [a = NaN, b = NaN, c = NaN] = numbers.slice(-3);
    const colour = hex
      ? { hex: `#${hex.toLowerCase()}`, shown: true }
      : isLab && a >= 0 && a <= 100 && Math.abs(b) <= 150 && Math.abs(c) <= 150
        ? hexOfLab({ l: a, a: b, b: c })
        : !isLab && [a, b, c].every(isByte)
          ? { hex: `#${[a, b, c].map(two).join('')}`, shown: true }
          : null;
    if (colour) colours.push({ name: name(label, colours.length + 1), ...colour });
    else
      faults.say(
        `“${cells.join(' ').slice(0, 40)}” is not a colour; a name with #rrggbb, with R G B from 0 to 255, or under a heading L a b was expected.`,
        i + 1,
      );
  });
  return { colours, problems: faults.problems };
}

type Node = Readonly<Record<string, unknown>>;
const list = (value: unknown): Node[] => (Array.isArray(value) ? value : value === undefined ? [] : [value]) as Node[];

/**
 * CxF3 (ISO 17972): objects with a CIELab or an sRGB value. Documents with a DOCTYPE are refused, and entities are never
 * resolved, so nothing outside the file can be reached.
 */
function readCxf(text: string): Result<Palette> {
  if (/<!DOCTYPE|<!ENTITY/i.test(text))
    return bad('This file declares a document type or entities, which a palette does not need; it was not read.');
  const parsed = parseXml(text, 'CxF file', {
    attributeNamePrefix: '@',
    removeNSPrefix: true,
    isArray: (tag) => tag === 'Object',
  });
  if (!parsed.ok) return parsed;
  const tree = parsed.value as { CxF?: { Resources?: { ObjectCollection?: { Object?: unknown } } } };
  if (!tree.CxF) return bad('This is XML, but not a CxF palette: it has no <CxF>.');
  const colours: PaletteColour[] = [];
  const faults = new Faults();
  list(tree.CxF.Resources?.ObjectCollection?.Object).forEach((object, i) => {
    if (colours.length > MAX_COLOURS) return;
    const label = name(unescape(String(object['@Name'] ?? '')), i + 1);
    const values = (object['ColorValues'] ?? {}) as Readonly<Record<string, Node | Node[]>>;
    const lab = list(values['ColorCIELab'])[0];
    const rgb = list(values['ColorSRGB'])[0];
    const lch = [lab?.['L'], lab?.['A'], lab?.['B']].map(Number);
    const bytes = [rgb?.['R'], rgb?.['G'], rgb?.['B']].map(Number);
    const [l = NaN, a = NaN, b = NaN] = lch;
    if (lab && l >= 0 && l <= 100 && Math.abs(a) <= 150 && Math.abs(b) <= 150)
      colours.push({ name: label, ...hexOfLab({ l, a, b }) });
    else if (rgb && bytes.every(isByte)) colours.push({ name: label, hex: `#${bytes.map(two).join('')}`, shown: true });
    else faults.say(`“${label}” has no Lab and no sRGB value that can be read.`);
  });
  return good({ colours, problems: faults.problems });
}

const ENTITIES: readonly (readonly [string, string])[] = [
  ['<', '&lt;'],
  ['>', '&gt;'],
  ['"', '&quot;'],
  ['&', '&amp;'],
];
const escape = (text: string) => [...ENTITIES].reverse().reduce((t, [c, e]) => t.replaceAll(c, e), text);
const unescape = (text: string) => ENTITIES.reduce((t, [c, e]) => t.replaceAll(e, c), text);

/** Colours as CxF3: Lab under D65, 2 degrees, and sRGB. */
export function writeCxf(colours: readonly { readonly name: string; readonly hex: string }[]): string {
  const f = (value: number) => value.toFixed(4);
  const objects = colours.map(({ name: label, hex }, i) => {
    const { l, a, b } = labOf(hex);
    const [r, g, blue] = [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16));
    return `<cc:Object ObjectType="Standard" Name="${escape(label)}" Id="c${i + 1}"><cc:ColorValues><cc:ColorCIELab ColorSpecification="CS"><cc:L>${f(l)}</cc:L><cc:A>${f(a)}</cc:A><cc:B>${f(b)}</cc:B></cc:ColorCIELab><cc:ColorSRGB ColorSpecification="CS"><cc:R>${r}</cc:R><cc:G>${g}</cc:G><cc:B>${blue}</cc:B></cc:ColorSRGB></cc:ColorValues></cc:Object>`;
  });
  return `<?xml version="1.0" encoding="UTF-8"?>
<cc:CxF xmlns:cc="http://colorexchangeformat.com/CxF3-core"><cc:FileInformation><cc:Description>Colours of a job</cc:Description></cc:FileInformation><cc:Resources><cc:ObjectCollection>
${objects.join('\n')}
</cc:ObjectCollection><cc:ColorSpecificationCollection><cc:ColorSpecification Id="CS"><cc:TristimulusSpec><cc:Illuminant>D65</cc:Illuminant><cc:Observer>2_Degree</cc:Observer></cc:TristimulusSpec></cc:ColorSpecification></cc:ColorSpecificationCollection></cc:Resources></cc:CxF>
`;
}
