import Papa from 'papaparse';
import { rows, type Id } from '../job/table.ts';
import type { Room } from '../job/measured.ts';
import type { Problem } from '../units/problem.ts';
import { readReading, unitOf, type Reading } from '../units/reading.ts';
import { Faults, overlong, overlongLine } from './faults.ts';
import { METRES_PER, type LengthUnit, type System } from '../units/si.ts';

/** A length of a list, with the wall it names where it names one. */
export interface ListedReading {
  readonly label: string | null;
  readonly reading: Reading;
  readonly line: number;
}
export interface ReadingList {
  readonly readings: readonly ListedReading[];
  readonly problems: readonly Problem[];
}

const MAX_READINGS = 20_000;
export const MAX_READINGS_BYTES = 2_000_000;

const isUnit = (text: string): text is LengthUnit => Object.hasOwn(METRES_PER, text);

/**
 * Lengths from a list: pasted lines, or CSV with commas, semicolons or tabs. In each row one cell is the length (its unit in
 * the cell, in a cell of its own, or the job's), and one may name the wall; a first row of headings is passed over.
 */
export function readReadings(text: string, system: System): ReadingList {
  const refused = (message: string): ReadingList => ({ readings: [], problems: [{ path: '', message }] });
  if (text.length > MAX_READINGS_BYTES)
    return refused('This list is larger than 2 MB; keep only the lengths, one a row.');
  const long = overlongLine(text);
  if (long) return refused(overlong(long));
  const unit = unitOf(system);
  // a decimal comma without another separator is one cell
  const delimiter = text.includes('\t') ? '\t' : text.includes(';') || !/"|,\D|\D,/.test(text) ? ';' : ',';
  const { data } = Papa.parse<string[]>(text.trim(), {
    delimiter,
    skipEmptyLines: 'greedy',
    quoteChar: delimiter === ',' ? '"' : '',
  });
  if (data.length > MAX_READINGS)
    return refused(`This list has ${data.length} rows; at most ${MAX_READINGS} are read.`);
  const readings: ListedReading[] = [];
  const faults = new Faults();
  data.forEach((row, index) => {
    const cells = row.map((cell) => cell.trim()).filter(Boolean);
    const own = cells.map((c) => c.toLowerCase()).find(isUnit);
    const parts = cells.filter((c) => !isUnit(c.toLowerCase()));
    const read = (typed: string) => {
      const found = readReading(typed, own ?? unit);
      return found.ok ? found.value : null;
    };
    const at = parts.findLastIndex((cell) => /\d/.test(cell) && read(cell) !== null);
    const reading = at < 0 ? null : read(parts[at] ?? '');
    if (reading)
      readings.push({
        label: parts.find((cell, i) => i !== at && cell.length <= 20) ?? null,
        reading,
        line: index + 1,
      });
    else if (index > 0 || cells.some((cell) => /\d/.test(cell)))
      faults.say(
        `“${cells.join(' ').slice(0, 40)}” holds no length; write one a row, such as 12'6 1/2, 3.82 m, or B; 3820 mm.`,
        index + 1,
      );
  });
  if (!readings.length && faults.none) faults.say('This list is empty; write one length a row.');
  return { readings, problems: faults.problems };
}

/** Which wall each reading goes to: the one it names, else the next that has no length yet, else the next in order. */
export function assignReadings(
  room: Room,
  readings: readonly ListedReading[],
): {
  readonly lengths: readonly { readonly wall: Id; readonly length: Reading }[];
  readonly problems: readonly Problem[];
} {
  const walls = rows(room.walls);
  const byLabel = new Map(walls.map((w) => [w.label, w]));
  const shown = walls.map((w) => w.label).join(', ');
  const lengths: { wall: Id; length: Reading }[] = [];
  const faults = new Faults();
  const named = new Set(readings.flatMap((r) => (r.label === null ? [] : (byLabel.get(r.label)?.id ?? []))));
  const waiting = [...walls]
    .filter((w) => !named.has(w.id))
    .sort((a, b) => Number(a.length !== null) - Number(b.length !== null));
  for (const { label, reading, line } of readings) {
    const wall = label === null ? waiting.shift() : byLabel.get(label);
    if (wall) lengths.push({ wall: wall.id, length: reading });
    else
      faults.say(
        label === null
          ? `There are more readings than walls; ${room.name} has ${walls.length}. Add a wall first.`
          : `There is no wall “${label}” in ${room.name}; its walls are ${shown}.`,
        line,
      );
  }
  return { lengths, problems: faults.problems };
}
