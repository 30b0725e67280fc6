import { bad, good, type Result } from './problem.ts';
import { FOOT, INCH, METRES_PER, type LengthUnit, type Metres, type System, isImperial } from './si.ts';

/**
 * Lengths as people write them on a wall, a phone or a scrap of lining paper:
 * 12'6 1/2, 12' 6.5", 12ft 6.5in, 12-6-1/2 (a hyphen joins), 150.5", 6½", 3.82 m, 3,82 m, 382cm, 3820mm,
 * and sums: 12'6 + 3'2.
 */

const UNIT_WORDS: readonly (readonly [LengthUnit, RegExp])[] = [
  ['in', /(?:"|″|”|''|′′|(?:inches|inch|in)(?![a-z]))/iy],
  ['ft', /(?:'|′|’|‘|(?:feet|foot|ft)(?![a-z]))/iy],
  ['mm', /(?:millimetres?|millimeters?|mm)(?![a-z])/iy],
  ['cm', /(?:centimetres?|centimeters?|cm)(?![a-z])/iy],
  ['m', /(?:metres?|meters?|m)(?![a-z])/iy],
];

const GLYPHS: Readonly<Record<string, number>> = {
  '½': 1 / 2,
  '¼': 1 / 4,
  '¾': 3 / 4,
  '⅛': 1 / 8,
  '⅜': 3 / 8,
  '⅝': 5 / 8,
  '⅞': 7 / 8,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
};

const ACCEPTED = `Write feet and inches (12' 6 1/2"), inches (150 1/2"), or metres, cm or mm (3.82 m).`;

class LengthError extends Error {
  constructor(
    readonly at: number,
    message: string,
  ) {
    super(message);
  }
}

interface Numeral {
  readonly value: number;
  readonly whole: boolean;
  readonly text: string;
}

class Cursor {
  at: number;
  /** Where a number ended that had no unit of its own. */
  readonly bare: number[] = [];
  constructor(
    readonly text: string,
    start: number,
  ) {
    this.at = start;
  }

  match(pattern: RegExp): RegExpExecArray | null {
    pattern.lastIndex = this.at;
    const found = pattern.exec(this.text);
    if (found) this.at += found[0].length;
    return found;
  }

  spaces(): void {
    this.match(/[ \t\u00a0\u202f]*/y);
  }

  /** A number with an optional fraction: 6, 6.5, 6,5, 6 1/2, 6-1/2, 6½, 1/2. */
  numeral(): Numeral | null {
    const start = this.at;
    const done = (value: number, whole: boolean): Numeral => ({ value, whole, text: this.text.slice(start, this.at) });
    const alone = this.fraction();
    if (alone !== null) return done(alone, false);
    const digits = this.match(/\d+(?:[.,]\d+)?|[.,]\d+/y);
    if (!digits) return null;
    const value = Number(digits[0].replace(',', '.'));
    if (/[.,]/.test(digits[0])) return done(value, false);
    const back = this.at;
    this.match(/ ?-? ?/y);
    const part = this.fraction();
    if (part !== null) return done(value + part, false);
    this.at = back;
    return done(value, true);
  }

  private fraction(): number | null {
    const glyph = this.match(/[½¼¾⅛⅜⅝⅞⅓⅔]/y);
    if (glyph) return GLYPHS[glyph[0]] ?? null;
    const start = this.at;
    const found = this.match(/(\d+)[/⁄](\d+)(?!\d)/y);
    if (!found) return null;
    const [top, bottom] = [Number(found[1]), Number(found[2])];
    if (bottom === 0 || top >= bottom)
      throw new LengthError(
        start,
        `${found[0]} is not a fraction smaller than one; a tape reads halves to sixty-fourths.`,
      );
    return top / bottom;
  }

  unit(): LengthUnit | null {
    const back = this.at;
    this.spaces();
    for (const [unit, pattern] of UNIT_WORDS) if (this.match(pattern)) return unit;
    this.at = back;
    return null;
  }
}

function commaIsSafe(numeral: Numeral, unit: LengthUnit, at: number): void {
  if (unit !== 'm' && unit !== 'cm' && /,\d{3}$/.test(numeral.text))
    throw new LengthError(at, `${numeral.text} could be a decimal or a thousand; write it without the comma.`);
}

/** The inches after feet: `6 1/2`, `6.5"`, `-6-1/2`; null when what follows is not inches. */
function inchesAfterFeet(cursor: Cursor, feet: Numeral, needsHyphen: boolean): number | null {
  const back = cursor.at;
  if (needsHyphen ? !cursor.match(/-/y) : (cursor.match(/ ?- ?(?=\d)/y), cursor.spaces(), false)) return null;
  const start = cursor.at;
  const numeral = cursor.numeral();
  const end = cursor.at;
  // “12' 45R” on a tape sheet: a turn after the feet, not inches
  const isTurn = start > back && /^[RL](?![a-z])/i.test(cursor.text.slice(end, end + 2));
  const unit = numeral ? cursor.unit() : null;
  if (!numeral || isTurn || (unit !== null && unit !== 'in')) {
    cursor.at = back;
    return null;
  }
  if (unit === null) cursor.at = end;
  if (!feet.whole)
    throw new LengthError(start, `${feet.text} feet already holds a part of a foot; write whole feet before inches.`);
  if (numeral.value >= 12) {
    const total = Number(feet.value) * 12 + numeral.value;
    throw new LengthError(
      start,
      `${numeral.text} inches after feet is a foot or more: write ${Math.floor(total / 12)}'${trimNumber(total % 12)}, or ${numeral.text}" alone.`,
    );
  }
  return numeral.value;
}

function term(cursor: Cursor, bare: LengthUnit | undefined): Metres {
  cursor.spaces();
  const start = cursor.at;
  if (/[-−–]/.test(cursor.text[start] ?? '')) throw new LengthError(start, `A length cannot be negative. ${ACCEPTED}`);
  const first = cursor.numeral();
  if (!first) {
    const rest = cursor.text.slice(start).trim();
    throw new LengthError(
      start,
      `${rest ? `“${rest.slice(0, 40)}” is not a length.` : 'A length is missing here.'} ${ACCEPTED}`,
    );
  }
  const unit = cursor.unit();
  if (unit === 'ft') {
    commaIsSafe(first, 'ft', start);
    const inches = inchesAfterFeet(cursor, first, false);
    return inches === null ? first.value * FOOT : (first.value * 12 + inches) * INCH;
  }
  if (unit === null && first.whole) {
    const inches = inchesAfterFeet(cursor, first, true);
    if (inches !== null) return (first.value * 12 + inches) * INCH;
  }
  const used = unit ?? bare;
  if (!used)
    throw new LengthError(
      start,
      `${first.text} needs a unit: ${first.text}', ${first.text}" or ${first.text} m (or a line “units ft” above).`,
    );
  commaIsSafe(first, used, start);
  if (!unit) cursor.bare.push(start + first.text.length);
  return first.value * METRES_PER[used];
}

function sum(cursor: Cursor, bare: LengthUnit | undefined): Metres {
  cursor.spaces();
  const bracket = cursor.match(/\(/y) !== null;
  let total = term(cursor, bare);
  for (let back = cursor.at; ; back = cursor.at) {
    cursor.spaces();
    if (!cursor.match(/\+/y)) {
      cursor.at = back;
      break;
    }
    total += term(cursor, bare);
  }
  if (bracket) {
    cursor.spaces();
    if (!cursor.match(/\)/y)) throw new LengthError(cursor.at, 'A bracket is open: close it with “)”.');
  }
  return total;
}

export interface LengthOptions {
  /** The unit of a number written without one; absent: a unit is required. */
  readonly unit?: LengthUnit | undefined;
  readonly max?: Metres;
  /** What is measured, for the sentence: “a wall”. */
  readonly what?: string;
  /** Zero is a length for a sill or an offset, not for a wall. */
  readonly zero?: boolean;
}

function checkSize(metres: Metres, options: LengthOptions, start: number): void {
  const what = options.what ?? 'a length';
  const max = options.max ?? 60;
  if (metres <= 0 && !options.zero)
    throw new LengthError(start, `${capital(what)} of nothing cannot be; measure it again.`);
  if (metres > max) {
    const says = (value: Metres, digits: number) =>
      options.unit === 'ft'
        ? `${trimNumber(value / FOOT, digits)} ft`
        : options.unit === 'm'
          ? `${trimNumber(value, digits)} m`
          : `${trimNumber(value, digits)} m (${trimNumber(value / FOOT, digits)} ft)`;
    throw new LengthError(
      start,
      `${capital(what)} of ${says(metres, 1)} is over the limit of ${says(max, 0)}; was a unit or a mark left out?`,
    );
  }
}

/**
 * What somebody meant who typed a bare number that is too long for what is measured: millimetres or centimetres in a metric job,
 * inches in another. null: it was not that.
 */
export function meant(text: string, system: System, max: Metres): string | null {
  const bare = text.trim();
  if (!/^\d{2,5}$/.test(bare)) return null;
  const n = Number(bare);
  const units = isImperial(system)
    ? ([['"', INCH, FOOT]] as const)
    : ([
        [' mm', 0.001, 1],
        [' cm', 0.01, 1],
      ] as const);
  if (n * (units[0]?.[2] ?? 1) <= max) return null;
  // a metre or more is the likelier wall; less than a foot is none
  const found = [1, 0.3].flatMap((least) => units.filter(([, unit]) => n * unit <= max && n * unit >= least))[0];
  return found ? `${bare}${found[0]}` : null;
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

export interface Scanned {
  readonly metres: Metres;
  /** Indices at which a number without a unit ended: there the unit in force belongs. */
  readonly bare: readonly number[];
  /** Index just past the length. */
  readonly end: number;
}

/**
 * Reads the longest length that starts at `start` (0-based).
 * @returns metres and where it ended, or a Problem with a 1-based column. Never throws.
 */
export function scanLength(text: string, start: number, options: LengthOptions = {}): Result<Scanned> {
  const cursor = new Cursor(text, start);
  try {
    const metres = sum(cursor, options.unit);
    checkSize(metres, options, start);
    return good({ metres, end: cursor.at, bare: cursor.bare });
  } catch (error) {
    if (error instanceof LengthError) return bad(error.message, { column: error.at + 1 });
    throw error;
  }
}

/** Reads a whole text as one length in metres. Errors: a Problem with column and sentence. */
export function parseLength(text: string, options: LengthOptions = {}): Result<Metres> {
  const scanned = scanWhole(text, options);
  return scanned.ok ? good(scanned.value.metres) : scanned;
}

/** The same, with where its numbers stand. */
export function scanWhole(text: string, options: LengthOptions): Result<Scanned> {
  const scanned = scanLength(text, 0, options);
  if (!scanned.ok) return scanned;
  const rest = text.slice(scanned.value.end);
  if (rest.trim()) {
    const column = scanned.value.end + 1 + (rest.length - rest.trimStart().length);
    return bad(`“${rest.trim().slice(0, 40)}” does not belong to a length. ${ACCEPTED}`, { column });
  }
  return scanned;
}

/** A number with at most so many digits after the point, and no noughts at its end. */
export function trimNumber(value: number, digits = 4): string {
  return String(Number(value.toFixed(digits)));
}

const GCD = (a: number, b: number): number => (b === 0 ? a : GCD(b, a % b));

/** Feet, inches and a reduced fraction to the nearest 1/16 in. */
function toTape(metres: Metres): { feet: number; inches: number; top: number; bottom: number } {
  const sixteenths = Math.round((metres / INCH) * 16);
  const top = sixteenths % 16;
  const divisor = GCD(top, 16);
  return {
    feet: Math.floor(sixteenths / 192),
    inches: Math.floor(sixteenths / 16) % 12,
    top: top / divisor,
    bottom: 16 / divisor,
  };
}

/** 12′ 6 1⁄2″ (primes and a fraction slash, for a face with `frac`), or 3.82 m / 140 mm. */
export function formatLength(metres: Metres, system: System): string {
  if (!Number.isFinite(metres)) return '–';
  if (metres < 0) return `−${formatLength(-metres, system)}`;
  if (!isImperial(system)) {
    const millimetres = Math.round(metres * 1000);
    return millimetres < 1000 ? `${millimetres} mm` : `${(millimetres / 1000).toFixed(millimetres % 10 ? 3 : 2)} m`;
  }
  const { feet, inches, top, bottom } = toTape(metres);
  const parts: string[] = [];
  if (feet) parts.push(`${feet}′`);
  const inchText = [inches || (!top && !feet) ? String(inches) : '', top ? `${top}⁄${bottom}` : '']
    .filter(Boolean)
    .join(' ');
  if (inchText) parts.push(`${inchText}″`);
  return parts.join(' ');
}

/** Lengths that stand in one row: all in metres, with as many decimals as the finest of them, or all in feet and inches. */
export function lengthRow(lengths: readonly Metres[], system: System): string[] {
  const isShort = lengths.every((metres) => metres < 1);
  if (isImperial(system) || isShort || lengths.some((metres) => !Number.isFinite(metres)))
    return lengths.map((metres) => formatLength(metres, system));
  const decimals = lengths.some((metres) => Math.round(metres * 1000) % 10) ? 3 : 2;
  return lengths.map((metres) => `${metres.toFixed(decimals)} m`);
}

/** A length that is summed or reckoned, to the inch or the centimetre: no tape was read to a sixteenth there. */
export const aboutLength = (metres: Metres, system: System): string =>
  formatLength(isImperial(system) ? Math.round(metres / INCH) * INCH : Math.round(metres * 100) / 100, system);

/** What a person would type for a length, exact to the micrometre: the shorthand's own writing. */
export function typeLength(metres: Metres, system: System): string {
  if (isImperial(system)) {
    const sixtyFourths = (metres / INCH) * 64;
    if (Math.abs(sixtyFourths - Math.round(sixtyFourths)) < 1e-4) {
      const total = Math.round(sixtyFourths);
      const feet = Math.floor(total / 768);
      const inches = Math.floor(total / 64) % 12;
      const part = total % 64;
      const divisor = GCD(part, 64);
      const fraction = part ? `${part / divisor}/${64 / divisor}` : '';
      const tail = [inches || (!fraction && !feet) ? String(inches) : '', fraction].filter(Boolean).join(' ');
      return (feet ? `${feet}'` : '') + (tail ? `${tail}${feet ? '' : '"'}` : '');
    }
    return `${trimNumber(metres / INCH, 5)}"`;
  }
  return `${trimNumber(metres, 6)} m`;
}
