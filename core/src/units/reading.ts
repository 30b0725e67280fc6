import { scanLength, scanWhole, typeLength, type LengthOptions, type Scanned } from './length.ts';
import { bad, good, type Result } from './problem.ts';
import { INCH, type LengthUnit, type Metres, type System, isImperial } from './si.ts';

/** What the tape said, as typed, and what it means: changing units never changes what was measured. */
export interface Reading {
  readonly typed: string;
  readonly metres: Metres;
}

/** A reading is one entry, not a reckoning. */
const MOST_TYPED = 80;
const MARKS: Readonly<Record<LengthUnit, string>> = { ft: "'", in: '"', m: ' m', cm: ' cm', mm: ' mm' };

/** The unit of numbers that were written without one: it is kept with them, so that they mean the same for ever. */
export const unitOf = (system: System): LengthUnit => (isImperial(system) ? 'ft' : 'm');

function written(text: string, from: number, { metres, end, bare }: Scanned, unit: LengthUnit): Result<Reading> {
  const marked = [...bare].reverse().reduce((t, at) => t.slice(0, at) + MARKS[unit] + t.slice(at), text.slice(0, end));
  const typed = marked.slice(from).trim();
  return typed.length <= MOST_TYPED
    ? good({ typed, metres })
    : bad(`A reading has at most ${MOST_TYPED} characters; add it up, and write the sum.`, { column: from + 1 });
}

/** Reads a whole text as a reading. A number without a unit takes the one in force and keeps it. Errors: as of a length. */
export function readReading(
  text: string,
  unit: LengthUnit,
  options: Omit<LengthOptions, 'unit'> = {},
): Result<Reading> {
  const scanned = scanWhole(text, { ...options, unit });
  return scanned.ok ? written(text, 0, scanned.value, unit) : scanned;
}

/** The longest reading that starts at `start`, and where it ends. `unit` absent: every number needs its own. */
export function scanReading(
  text: string,
  start: number,
  options: LengthOptions,
): Result<{ readonly reading: Reading; readonly end: number }> {
  const scanned = scanLength(text, start, options);
  if (!scanned.ok) return scanned;
  const reading = written(text, start, scanned.value, options.unit ?? 'm');
  return reading.ok ? good({ reading: reading.value, end: scanned.value.end }) : reading;
}

/** A length as a tape would have said it: to the nearest 1/16 in or millimetre, typed and meant alike. */
export function tapeReading(metres: Metres, system: System): Reading {
  const mark = isImperial(system) ? INCH / 16 : 0.001;
  const rounded = Math.round(metres / mark) * mark;
  return { typed: typeLength(rounded, system), metres: rounded };
}
