import Papa from 'papaparse';
import { ENDS, MOST, within } from '../job/limits.ts';
import type { AirReading } from '../job/region.ts';
import { clockTime } from '../units/date.ts';
import { bad, good, type Result } from '../units/problem.ts';
import { at, keysOf } from '../units/list.ts';

/** One day of a climate log. */
export interface ClimateLog {
  /** ISO date, where the log says one. */
  readonly date: string | null;
  /** In the order of the minutes of the day. */
  readonly day: readonly AirReading[];
  /** What was found about it: which day, gaps, times out of order, rows that say nothing. */
  readonly notes: readonly string[];
}

const MAX_LOG_BYTES = 5_000_000;
/** A reading may stand for what follows it about this long, minutes. */
const GAP = 45;
/** Readings are kept at most so near each other, minutes. */
const NEAR = 10;

const COLUMNS = {
  time: /time|date|zeit|heure|tijd|stamp/i,
  temperature: /temp|°\s*[cf]|celsius|fahrenheit/i,
  humidity: /humid|\brh\b|r\.h\.|feucht|humidit|vocht/i,
  draught: /m\/s|draught|draft|air speed|velocity|wind/i,
} as const;
type Column = keyof typeof COLUMNS;

interface Row {
  readonly line: number;
  readonly date: string | null;
  readonly reading: AirReading;
}

/** Reads a CSV of a climate logger, whatever its columns are called: a time, a temperature, a humidity and, if there is one, a draught. Never throws. */
export function readClimateLog(text: string): Result<ClimateLog> {
  if (text.length > MAX_LOG_BYTES) return bad('This log is larger than 5 MB; cut it down to the days of the job.');
  const { data } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  const head = data.findIndex((cells) => found(cells, 'temperature') >= 0 && found(cells, 'humidity') >= 0);
  if (head < 0)
    return bad(
      'No row of this file names a temperature and a humidity; a climate log has columns such as time, temperature, humidity.',
    );
  const names = data[head] ?? [];
  const columns = Object.fromEntries(keysOf(COLUMNS).map((key) => [key, found(names, key)])) as Readonly<
    Record<Column, number>
  >;
  if (columns.time < 0) return bad(`No column of this log is a time; its columns are ${names.join(', ')}.`);
  const fahrenheit = /fahrenheit|°\s*f|\(f\)|\bf\b/i.test(names[columns.temperature] ?? '');
  const rows: Row[] = [];
  const wrong: number[] = [];
  data.slice(head + 1).forEach((cells, i) => {
    const row = readRow(cells, columns, fahrenheit, head + i + 2);
    if (row) rows.push(row);
    else wrong.push(head + i + 2);
  });
  if (!rows.length)
    return bad(
      `No row of this log has a time, a temperature and a humidity; line ${wrong[0] ?? head + 2} is the first that has not.`,
    );
  return good(dayOf(rows, wrong));
}

/** The column that is called so; a time is no temperature, whatever else stands in its name. */
function found(cells: readonly string[], column: Column): number {
  return cells.findIndex(
    (cell) =>
      COLUMNS[column].test(cell) &&
      (column === 'time' || !/^\s*(?:date|time)/i.test(cell)) &&
      !/dew|set.?point/i.test(cell),
  );
}

const CLOCK = /(\d{1,2}):(\d{2})(?::\d{2}(?:\.\d+)?)?\s*([ap]m)?/i;
const DATE = /(\d{4}-\d{2}-\d{2})|(\d{1,2})[./](\d{1,2})[./](\d{4})/;

function readRow(
  cells: readonly string[],
  columns: Readonly<Record<Column, number>>,
  fahrenheit: boolean,
  line: number,
): Row | null {
  const cell = (column: Column) => cells[columns[column]] ?? '';
  const number = (column: Column) => {
    const text = cell(column)
      .replace(',', '.')
      .replace(/[^\d.+-]/g, '');
    return text ? Number(text) : NaN;
  };
  // a date may stand in a column before the time
  const when = cells.slice(0, columns.time + 2).join(' ');
  const clock = CLOCK.exec(when);
  if (!clock) return null;
  const hour = (Number(clock[1]) % (clock[3] ? 12 : 24)) + (clock[3]?.toLowerCase() === 'pm' ? 12 : 0);
  const written = number('temperature');
  const temperature = fahrenheit ? ((written - 32) * 5) / 9 : written;
  const share = number('humidity');
  const humidity = share > 1 ? share / 100 : share;
  const draught = columns.draught < 0 ? 0.1 : number('draught');
  if (!within(temperature, ENDS.temperature) || !within(humidity, ENDS.share) || !within(draught, ENDS.draught))
    return null;
  const day = DATE.exec(when)?.[0] ?? null;
  return { line, date: day, reading: { at: hour * 60 + Number(clock[2]), temperature, humidity, draught } };
}

/** The last day that has enough readings, in their order; of readings close together the first. */
function dayOf(rows: readonly Row[], wrong: readonly number[]): ClimateLog {
  const notes: string[] = [];
  const dates = [...new Set(rows.map((row) => row.date))];
  const date = dates.toReversed().find((d) => rows.filter((row) => row.date === d).length >= 4) ?? dates.at(-1) ?? null;
  const own = rows.filter((row) => row.date === date);
  if (dates.length > 1) notes.push(`${dates.length} days in it; ${date ?? 'one of them'} is read.`);
  const back = own.find((row, i) => i > 0 && row.reading.at < (own[i - 1]?.reading.at ?? 0));
  if (back) notes.push(`Times run backwards at line ${back.line}; the readings were put in order.`);
  if (wrong.length)
    notes.push(
      `${wrong.length === 1 ? 'A row says' : `${wrong.length} rows say`} no time, temperature or humidity that can be (line ${wrong.slice(0, 5).join(', ')}); left out.`,
    );
  const sorted = own.map((row) => row.reading).toSorted((a, b) => a.at - b.at);
  const slotOf = ({ at }: AirReading) => Math.floor(at / NEAR);
  const day = sorted
    .filter((reading, i) => i === 0 || slotOf(reading) !== slotOf(at(sorted, i - 1)))
    .slice(0, MOST.readings);
  for (const [i, reading] of day.entries()) {
    const before = day[i - 1];
    if (before && reading.at - before.at > GAP)
      notes.push(
        `Nothing from ${clockTime(before.at)} to ${clockTime(reading.at)}; what lies between is taken as straight.`,
      );
  }
  return { date, day, notes };
}
