import Papa from 'papaparse';
import { MOST_LINE } from './faults.ts';

/** What a spreadsheet would take for a formula, its full-width forms too, behind whatever cannot be seen. */
const FORMULA = /^[\s\p{C}\p{M}]*[=+\-@\t\r＝＋－＠]/u;

/** Rows as CSV (RFC 4180), text that would be a formula neutralised. */
export const toCsv = (rows: readonly (readonly (string | number)[])[]): string =>
  `${Papa.unparse(rows as (string | number)[][], { escapeFormulae: FORMULA, newline: '\r\n' })}\r\n`;

/** The separator of a list: of those in its first line outside quotes, the most frequent. */
export function separatorOf(text: string): string {
  const counts = new Map<string, number>();
  let quoted = false;
  for (const c of text.slice(0, MOST_LINE)) {
    if (c === '"') quoted = !quoted;
    else if (!quoted && (c === '\n' || c === '\r')) break;
    else if (!quoted) counts.set(c, (counts.get(c) ?? 0) + 1);
  }
  const count = (c: string) => counts.get(c) ?? 0;
  return [';', '\t', '|', ','].reduce((best, c) => (count(c) > count(best) ? c : best), ',');
}
