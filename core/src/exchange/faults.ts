import type { Problem } from '../units/problem.ts';

/** What could not be read of a file: the first hundred with their line, the rest as a number. */
export class Faults {
  private readonly kept: Problem[] = [];
  private count = 0;
  constructor(private readonly most = 100) {}

  say(message: string, line?: number): void {
    this.take({ path: '', ...(line === undefined ? {} : { line }), message });
  }
  take(problem: Problem): void {
    if (this.count++ < this.most) this.kept.push(problem);
  }
  get none(): boolean {
    return this.count === 0;
  }
  get problems(): readonly Problem[] {
    const more = this.count - this.kept.length;
    return more > 0 ? [...this.kept, { path: '', message: `... and ${more} more that could not be read.` }] : this.kept;
  }
}

/** A line longer than this is no line of a list or a sheet: the file is of another kind. */
export const MOST_LINE = 100_000;

/** The first line over the limit, 1-based; 0: there is none. */
export function overlongLine(text: string, most = MOST_LINE): number {
  let [line, start] = [1, 0];
  for (let at = 0; at < text.length; at++) {
    const c = text[at];
    if (c === '\n' || c === '\r') {
      if (c === '\n' || text[at + 1] !== '\n') line++;
      start = at + 1;
    } else if (at - start >= most) return line;
  }
  return 0;
}
/** The line on which a row begins that is over the limit because a cell in quotation marks goes on from line to line; 0: there is none. */
export function overlongRow(text: string, separator: string, most = MOST_LINE): number {
  let [line, first, start] = [1, 1, 0];
  let [atCell, quoted] = [true, false];
  for (let at = 0; at < text.length; at++) {
    const c = text[at] as string;
    if (at - start >= most) return first;
    const newLine = c === '\n' || (c === '\r' && text[at + 1] !== '\n');
    if (newLine) line++;
    if (quoted) {
      if (c !== '"') continue;
      const next = text[at + 1];
      if (next === '"') at++;
      // as the reader has it: a mark that nothing ends after does not close its cell
      else if (next === undefined || next === separator || next === '\n' || next === '\r') quoted = false;
    } else if (newLine) {
      [first, start, atCell] = [line, at + 1, true];
    } else {
      quoted = atCell && c === '"';
      atCell = c === separator;
    }
  }
  return 0;
}
/** Why a line of so many characters is not read. @param line counted from 1. */
export const overlong = (line: number): string =>
  `Line ${line} has more than ${MOST_LINE} characters; a list or a palette has a line an entry. It was not read.`;
