import Papa from 'papaparse';

/** What a spreadsheet would take for a formula, its full-width forms too, behind whatever cannot be seen. */
const FORMULA = /^[\s\p{C}\p{M}]*[=+\-@\t\r＝＋－＠]/u;

/** Rows as CSV (RFC 4180), text that would be a formula neutralised. */
export const toCsv = (rows: readonly (readonly (string | number)[])[]): string =>
  `${Papa.unparse(rows as (string | number)[][], { escapeFormulae: FORMULA, newline: '\r\n' })}\r\n`;
