import Papa from 'papaparse';
import { seededIds, useFromName } from '../job/blank.ts';
import { MOST } from '../job/limits.ts';
import type { Room } from '../job/measured.ts';
import { plainRoom, type PlainRoom } from '../job/plain-room.ts';
import { usualOf } from '../job/usual.ts';
import { ROOM_USES, type RoomUse } from '../job/vocabulary.ts';
import { entriesOf } from '../units/list.ts';
import { bad, good, type Problem, type Result } from '../units/problem.ts';
import { readReading, unitOf, type Reading } from '../units/reading.ts';
import type { LengthUnit, System, Units } from '../units/si.ts';
import { separatorOf } from './csv.ts';
import { Faults, overlong, overlongLine } from './faults.ts';

/** A house of rectangular rooms, one a row. */
export interface House {
  readonly rooms: readonly Room[];
  /** What was not read, or not as it was written: a sentence a line of the file. */
  readonly notes: readonly Problem[];
}

/** The headings that are looked for, in any case and in any order; a unit may stand behind one: `length (ft)`. */
const HEADINGS = {
  room: /^(room|name|space)/i,
  length: /^(length|long)/i,
  width: /^(width|wide|breadth)/i,
  height: /^(height|high|ceiling)/i,
  doors: /^doors?\b/i,
  windows: /^windows?\b/i,
  use: /^(use|kind|type)/i,
} as const;
type Column = keyof typeof HEADINGS;
const UNIT = /\b(ft|feet|in|inch|inches|m|cm|mm)\b\W*$/i;
const UNITS: Readonly<Record<string, LengthUnit>> = { feet: 'ft', inch: 'in', inches: 'in' };

/** A table as it is offered to be filled in. */
export const HOUSE_EXAMPLE = `room,length,width,height,doors,windows,use
Living room,4.85 m,3.6 m,2.5 m,1,2,living
Bedroom,3.9 m,3.2 m,2.5 m,1,1,bedroom
Bathroom,2.3 m,1.7 m,2.5 m,1,1,bathroom
Hall,4.1 m,1.2 m,2.5 m,5,0,hall
`;

interface Head {
  readonly at: Readonly<Partial<Record<Column, number>>>;
  readonly unit: Readonly<Partial<Record<Column, LengthUnit>>>;
  readonly cells: readonly string[];
}
function headOf(cells: readonly string[]): Head {
  const found = entriesOf(HEADINGS).flatMap(([column, pattern]) => {
    const at = cells.findIndex((cell) => pattern.test(cell.trim()));
    return at < 0 ? [] : [[column, at] as const];
  });
  const unit = found.flatMap(([column, at]) => {
    const said = UNIT.exec((cells[at] ?? '').replace(HEADINGS[column], ' '))?.[1]?.toLowerCase();
    return said ? [[column, UNITS[said] ?? (said as LengthUnit)] as const] : [];
  });
  return { at: Object.fromEntries(found), unit: Object.fromEntries(unit), cells };
}

const FEET = /['"′″]|\d\s*(ft|feet|in|inch|inches)\b/i;
/** A table larger than any is not read to its end twice. */
const cellsOf = (body: string): string[][] =>
  Papa.parse<string[]>(body, { delimiter: separatorOf(body), preview: MOST.rooms + 1 }).data;

const firstLine = (text: string): string => /[^\r\n]*/.exec(text.trimStart())?.[0].slice(0, 2000) ?? '';
/** Whether a text is such a table: its first line names a length and a width. */
export function isHouse(text: string): boolean {
  const line = firstLine(text);
  const { at } = headOf(line.split(separatorOf(line)));
  return at.length !== undefined && at.width !== undefined;
}
/** In which units a table is written: in feet where a heading or any of its lengths says so. */
export function systemOfHouse(text: string): Units {
  const [headings = [], ...lines] = cellsOf(text.trimStart());
  const { at, unit } = headOf(headings);
  const columns = [at.length, at.width, at.height];
  const isFeet =
    Object.values(unit).some((one) => one === 'ft' || one === 'in') ||
    lines.some((cells) => columns.some((column) => FEET.test(cells[column ?? -1] ?? '')));
  return isFeet ? 'imperial' : 'metric';
}

/**
 * Rooms from a table with headings (`room, length, width, height, doors, windows, use`), by commas, semicolons, tabs or bars. A number
 * without a unit has that of its heading, or is in m or ft. What is not said is as usual: its height, a door, a window. A row that
 * cannot be read is left out and said with its line and what it looked like. Errors: no such table, no row of it, too many rooms.
 * @param seed makes the ids.
 */
export function readHouse(text: string, system: System, seed: string): Result<House> {
  const body = text.replace(/^\ufeff/, '').trimStart();
  const before = text.slice(0, text.length - body.length).split('\n').length - 1;
  const long = overlongLine(body);
  if (long) return bad(overlong(long));
  if (!isHouse(body))
    return bad(
      `The first line names no length and no width: a line of headings was expected, such as ${firstLine(HOUSE_EXAMPLE)}, and a line a room.`,
      { line: before + 1 },
    );
  const { data } = Papa.parse<string[]>(body, { delimiter: separatorOf(body) });
  const [headings = [], ...lines] = data;
  const filled = lines.filter((cells) => cells.some((cell) => cell.trim()));
  if (filled.length > MOST.rooms)
    return bad(
      `This table has ${filled.length.toLocaleString('en-US')} rooms; a job holds ${MOST.rooms}. Nothing was read: make a table a floor or a house.`,
    );
  const head = headOf(headings);
  const faults = new Faults();
  const ids = seededIds(seed);
  let line = before + 1 + (headings.join('').match(/\n/g)?.length ?? 0);
  const rooms = lines.flatMap((cells): readonly Room[] => {
    line += 1;
    const at = line;
    line += cells.join('').match(/\n/g)?.length ?? 0;
    if (!cells.some((cell) => cell.trim())) return [];
    const read = readRow(cells, head, system);
    if (typeof read === 'string') {
      const looked = cells.join(', ').replace(/\s+/g, ' ').slice(0, 60);
      faults.say(`“${looked}” was not read: ${read}`, at);
      return [];
    }
    const { room, left } = plainRoom(ids(), { ...read, baseboard: true }, ids, system);
    if (left)
      faults.say(
        `${left} of the doors and windows of ${read.name}, of the usual size, found no place on its walls.`,
        at,
      );
    if (read.unknown)
      faults.say(`“${read.unknown}” is no use of a room: ${ROOM_USES.join(', ')}. Its name decides.`, at);
    return [{ ...room, use: read.use }];
  });
  if (!rooms.length)
    return faults.none
      ? bad('This table has no rooms: a line a room was expected.')
      : { ok: false, problems: faults.problems };
  return good({ rooms, notes: faults.problems });
}

interface Row extends Omit<PlainRoom, 'baseboard'> {
  readonly use: RoomUse;
  /** A use that is none. */
  readonly unknown: string;
}
/** A row as a room, or why it is none. */
function readRow(cells: readonly string[], { at, unit, cells: headings }: Head, system: System): Row | string {
  if (cells.length > headings.length && cells.slice(headings.length).some((cell) => cell.trim()))
    return `it has ${cells.length} parts under ${headings.length} headings. Write 3.82, or put 3,82 in quotation marks.`;
  const cell = (column: Column) => (at[column] === undefined ? '' : (cells[at[column]] ?? '').trim());
  const length = (column: 'length' | 'width' | 'height', max: number): Reading | null | string => {
    const text = cell(column);
    if (!text) return null;
    const read = readReading(text, unit[column] ?? unitOf(system), { max, what: `a ${column}` });
    return read.ok ? read.value : `its ${column}: ${read.problems[0]?.message ?? ''}`;
  };
  const count = (column: 'doors' | 'windows'): number | string => {
    const text = cell(column);
    if (!text) return 1;
    return /^\d{1,2}$/.test(text)
      ? Number(text)
      : `“${text.slice(0, 20)}” is no number of ${column}; 0 to 99 was expected.`;
  };
  const sizes = [length('length', 60), length('width', 60), length('height', 20)] as const;
  const counts = [count('doors'), count('windows')] as const;
  const why = [...sizes, ...counts].find((one) => typeof one === 'string');
  if (why !== undefined) return `${why}`;
  const [long, wide, high] = sizes as readonly (Reading | null)[];
  if (!long || !wide) return `it has no ${long ? 'width' : 'length'}.`;
  const name = [...cell('room').replace(/\s+/g, ' ')].slice(0, MOST.name).join('') || 'Room';
  const said = cell('use');
  const known = ROOM_USES.find((use) => use === said.toLowerCase());
  const guess = useFromName(said);
  const [doors, windows] = counts as readonly [number, number];
  return {
    name,
    length: long,
    width: wide,
    height: high ?? usualOf(system).height,
    doors,
    windows,
    use: known ?? (guess === 'other' ? useFromName(name) : guess),
    unknown: said && !known && guess === 'other' ? said.slice(0, 40) : '',
  };
}
