import type { LengthOptions } from '../units/length.ts';
import { scanReading, type Reading } from '../units/reading.ts';
import type { LengthUnit } from '../units/si.ts';
import type { Word } from '../units/word.ts';

/** What is wrong in a line, and where. */
export class LineProblem extends Error {
  constructor(
    readonly column: number,
    message: string,
  ) {
    super(message);
  }
}

const QUOTED = /"(?:[^"\\]|\\.)*"/y;
/** A quoted text without its quotes and backslashes. */
export const unquote = (text: string): string => text.slice(1, -1).replace(/\\(.)/g, '$1');
/** A text as the sheet quotes it. */
export const quote = (text: string): string => `"${text.replace(/["\\]/g, '\\$&')}"`;
/** A line without its comment; a # between quotation marks, or of a colour that is said, starts none. */
export const withoutComment = (text: string): string =>
  text.replace(
    /(?:^|\s)"(?:[^"\\]|\\.)*"|\b(?:colou?r|patches)\s+#[0-9a-f]{6}\b(?:\s*,\s*#[0-9a-f]{6}\b)*|#.*$/gi,
    (found) => (found.startsWith('#') ? '' : found),
  );

/** One line, read from left to right. Columns are 1-based. */
export class Line {
  at = 0;
  constructor(
    readonly text: string,
    readonly unit: LengthUnit | undefined,
  ) {}

  get column(): number {
    this.skip();
    return this.at + 1;
  }
  get done(): boolean {
    this.skip();
    return this.at >= this.text.length;
  }
  private skip(): void {
    while (/\s/.test(this.text[this.at] ?? '')) this.at++;
  }
  peek(pattern: RegExp): RegExpExecArray | null {
    this.skip();
    pattern.lastIndex = this.at;
    return pattern.exec(this.text);
  }
  take(pattern: RegExp): string | null {
    const found = this.peek(pattern);
    if (found) this.at += found[0].length;
    return found ? found[0] : null;
  }
  keyword(word: string): boolean {
    return this.take(new RegExp(`${word}(?![\\w-])`, 'iy')) !== null;
  }
  /** A word that is said in two ways: either will do. */
  either(word: Word): boolean {
    return typeof word === 'string' ? this.keyword(word) : this.keyword(word.american) || this.keyword(word.british);
  }
  token(what: string): string {
    return this.take(/\S+/y) ?? this.fail(`${what} is missing here.`);
  }
  /** A name: one word, or several between quotation marks (which stand after a space, as inch marks never do). */
  name(what: string): string {
    const quoted = this.take(QUOTED);
    return quoted === null ? this.token(what) : unquote(quoted);
  }
  rest(): string {
    this.skip();
    const rest = this.text.slice(this.at).trim();
    this.at = this.text.length;
    return rest;
  }
  reading(what: string, options: LengthOptions = {}): Reading {
    this.skip();
    const start = this.at;
    const found = scanReading(this.text, start, { unit: this.unit, what, ...options });
    if (!found.ok) throw new LineProblem(found.problems[0]?.column ?? start + 1, found.problems[0]?.message ?? '');
    this.at = found.value.end;
    return found.value.reading;
  }
  /** One of the words, or a sentence with all of them. */
  choice<T extends string>(what: string, words: readonly T[]): T {
    const column = this.column;
    return words.find((word) => this.keyword(word)) ?? this.fail(`${what} is one of ${words.join(', ')}.`, column);
  }
  whole(what: string, max: number): number {
    const column = this.column;
    const found = this.take(/\d+(?![\d.,'"/])/y);
    if (found === null || Number(found) > max) this.fail(`${what} is a whole number up to ${max}.`, column);
    return Number(found);
  }
  fail(message: string, column = this.column): never {
    throw new LineProblem(column, message);
  }
}
