import Papa from 'papaparse';
import type { Litres, Money } from '../units/si.ts';
import { GALLON, PINT, QUART } from '../units/si.ts';
import { separatorOf } from './csv.ts';
import { MOST_LINE, overlong, overlongLine, overlongRow } from './faults.ts';
import { bad, good, type Problem, type Result } from '../units/problem.ts';

/** A row of a price list: a paint in one size, or a piece of material. */
export interface PriceRow {
  readonly code: string;
  readonly name: string;
  /** null: sold by the piece. */
  readonly litres: Litres | null;
  readonly price: Money;
}
/** Which column holds what; -1: none. */
export interface PriceColumns {
  readonly name: number;
  readonly price: number;
  readonly size: number;
  readonly code: number;
}
export const MAX_PRICE_BYTES = 60_000_000;
const MAX_PRICE_ROWS = 200_000;
const SAMPLE = 20;
/** Characters read before others get their turn. */
const CHUNK = 256 * 1024;

/**
 * Text of a list whose encoding is not known: UTF-8 or UTF-16 by their marks, UTF-8 where it is whole, else Windows-1252.
 */
export function decodeList(bytes: Uint8Array): string {
  if (bytes[0] === 0xff && bytes[1] === 0xfe) return new TextDecoder('utf-16le').decode(bytes);
  if (bytes[0] === 0xfe && bytes[1] === 0xff) return new TextDecoder('utf-16be').decode(bytes);
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes);
  } catch {
    return new TextDecoder('windows-1252').decode(bytes);
  }
}

const GUESS: Readonly<Record<keyof PriceColumns, RegExp>> = {
  name: /name|product|article|artikel|description|bezeichnung|item/i,
  price: /price|preis|prix|precio|prezzo|amount|cost/i,
  size: /size|volume|content|inhalt|pack|litre|liter|gebinde/i,
  code: /code|number|nummer|sku|ref|ean/i,
};
export interface ListHead {
  readonly separator: string;
  readonly headings: readonly string[];
  readonly sample: readonly (readonly string[])[];
  readonly guess: PriceColumns;
}

/** The first rows of a list, with a guess at its columns from their headings. Errors: no rows, one column only. */
export function headOf(text: string): Result<ListHead> {
  const body = text.replace(/^\ufeff/, '');
  const long = overlongLine(body);
  if (long) return bad(overlong(long));
  const separator = separatorOf(body);
  const endless = overlongRow(body, separator);
  if (endless)
    return bad(
      `The row that begins on line ${endless} has more than ${MOST_LINE} characters: a quotation mark there is not closed. The list was not read.`,
      { line: endless },
    );
  const { data } = Papa.parse<string[]>(body, { delimiter: separator, preview: SAMPLE + 1, skipEmptyLines: 'greedy' });
  const [headings, ...sample] = data;
  if (!headings || !sample.length)
    return bad('This list has no rows: a line of headings and a line a price were expected.');
  if (headings.length < 2)
    return bad('This list has one column only; columns parted by commas, semicolons, tabs or bars were expected.');
  const taken = new Set<number>();
  const find = (key: keyof PriceColumns) => {
    const at = headings.findIndex((h, i) => !taken.has(i) && GUESS[key].test(h));
    if (at >= 0) taken.add(at);
    return at;
  };
  const [price, size, code, name] = [find('price'), find('size'), find('code'), find('name')];
  return good({ separator, headings, sample, guess: { name, price, size, code } });
}

/**
 * An amount as lists write it: `12.50`, `12,50`, `1.234,50`, `1,234.50`, `$ 12`, `EUR 12,5`.
 * @returns minor units; null where it is none. Negative ones are left to the caller to refuse.
 */
export function readAmount(text: string): Money | null {
  const bare = text.replace(/[^\d.,\-−]/g, '').replace('−', '-');
  const found = /^(-?)(\d[\d.,]*)$/.exec(bare);
  if (!found) return null;
  const digits = found[2] ?? '';
  const last = Math.max(digits.lastIndexOf('.'), digits.lastIndexOf(','));
  const tail = last < 0 ? '' : digits.slice(last + 1);
  const both = digits.includes('.') && digits.includes(',');
  const again = last >= 0 && digits.indexOf(digits[last] ?? '') !== last;
  // three figures after a lone mark are thousands, unless there is a mark of the other kind before them
  const decimal = last >= 0 && !again && (both || tail.length !== 3) ? tail : '';
  const whole = (decimal || (last >= 0 && tail === '') ? digits.slice(0, last) : digits).replace(/[.,]/g, '');
  if (whole.length > 9 || decimal.length > 4) return null;
  const minor = Math.round(Number(`${whole || '0'}.${decimal || '0'}`) * 100);
  return found[1] ? -minor : minor;
}

const UNITS: Readonly<Record<string, Litres>> = {
  l: 1,
  lt: 1,
  ltr: 1,
  litre: 1,
  litres: 1,
  liter: 1,
  ml: 0.001,
  cl: 0.01,
  gal: GALLON,
  gallon: GALLON,
  gallons: GALLON,
  qt: QUART,
  quart: QUART,
  pt: PINT,
  pint: PINT,
};
/** A size: `2,5 L`, `1 gal`, `750ml`; a bare number is litres; empty or `each` is a piece. undefined: not understood. */
export function readSize(text: string): Litres | null | undefined {
  const typed = text.trim().toLowerCase();
  if (!typed || /^(each|pc|pcs|piece|ea|st|stk)\.?$/.test(typed)) return null;
  const found = /^(\d+(?:[.,]\d+)?)\s*([a-z]*)\.?$/.exec(typed);
  const unit = found ? UNITS[found[2] || 'l'] : undefined;
  if (!found || unit === undefined) return undefined;
  const litres = Number((found[1] ?? '').replace(',', '.')) * unit;
  return litres > 0 && litres <= 1000 ? litres : undefined;
}

export interface PriceChunk {
  readonly rows: readonly PriceRow[];
  readonly problems: readonly Problem[];
}
/** One row of cells to a price, or why not. `line` is its line in the file, headings counted. */
function readPriceRow(cells: readonly string[], columns: PriceColumns, line: number): PriceRow | Problem {
  const cell = (at: number) => (at < 0 ? '' : (cells[at] ?? '').trim());
  const fault = (message: string): Problem => ({ path: '', line, message });
  const name = cell(columns.name).replace(/\s+/g, ' ').slice(0, 80);
  if (!name) return fault('there is no name.');
  const price = readAmount(cell(columns.price));
  if (price === null)
    return fault(`“${cell(columns.price).slice(0, 20)}” is not a price; 12.50 or 12,50 was expected.`);
  if (price < 0) return fault(`a price cannot be negative (“${cell(columns.price).slice(0, 20)}”).`);
  const litres = readSize(cell(columns.size));
  if (litres === undefined)
    return fault(`“${cell(columns.size).slice(0, 20)}” is not a size; 2.5 L, 1 gal or nothing was expected.`);
  return { code: cell(columns.code).slice(0, 80), name, litres, price };
}

/**
 * Reads a list in chunks, so that progress can be shown and the reading stopped. Rows that cannot be read are passed over and said,
 * the first hundred with their line.
 * @param onChunk gets rows as they come and how far through the text they are (0-1); false stops.
 */
export function readPriceList(
  text: string,
  { separator, columns }: { readonly separator: string; readonly columns: PriceColumns },
  onChunk: (chunk: PriceChunk, done: number) => Promise<boolean> | boolean,
): Promise<{ readonly rows: number; readonly refused: number; readonly stopped: boolean }> {
  const body = text.replace(/^\ufeff/, '');
  const count = { rows: 0, refused: 0, stopped: false };
  let line = 1;
  const read = (data: readonly (readonly string[])[]): PriceChunk => {
    const [rows, problems]: [PriceRow[], Problem[]] = [[], []];
    for (const cells of data) {
      const at = line;
      line += 1 + cells.reduce((n, cell) => n + (cell.includes('\n') ? cell.split('\n').length - 1 : 0), 0);
      if (at === 1 || !cells.some((cell) => cell.trim())) continue;
      const row = readPriceRow(cells, columns, at);
      if ('message' in row) {
        count.refused++;
        if (count.refused <= 100) problems.push(row);
      } else rows.push(row);
    }
    count.rows += rows.length;
    if (count.rows > MAX_PRICE_ROWS) {
      problems.push({ path: '', message: `At most ${MAX_PRICE_ROWS} rows are read; the rest was left out.` });
      count.stopped = true;
    }
    return { rows, problems };
  };
  return new Promise((resolve, reject) => {
    Papa.parse<string[]>(body, {
      delimiter: separator,
      chunkSize: CHUNK,
      chunk: ({ data, meta }: Papa.ParseResult<string[]>, parser: Papa.Parser) => {
        const chunk = read(data);
        const answer = onChunk(chunk, Math.min(1, meta.cursor / body.length));
        const go = (on: boolean) => {
          if (!on) count.stopped = true;
          return !count.stopped;
        };
        if (typeof answer === 'boolean') {
          if (!go(answer)) parser.abort();
          return;
        }
        parser.pause();
        answer.then((on) => (go(on) ? parser.resume() : parser.abort()), reject);
      },
      complete: () => resolve(count),
    });
  });
}
