import { closest, distance } from 'fastest-levenshtein';
import type { DraftRoom } from '../job/reconcile.ts';
import type { Foot, Opening, Part, Peak, Room, TrimRun, Wall } from '../job/measured.ts';
import type { Usual } from '../job/usual.ts';
import type { Reading } from '../units/reading.ts';
import { newOpening, newPart } from '../job/blank.ts';
import { MOST } from '../job/limits.ts';
import {
  LEAVES,
  OPENING_KINDS,
  OPENING_SHAPES,
  PART_KINDS,
  SASHES,
  TRIM_KINDS,
  type OpeningKind,
  type PartKind,
  type TrimKind,
} from '../job/vocabulary.ts';
import { isFixture, PART_RULES, WAYS_OF } from '../measure/parts.ts';
import { Faults } from './faults.ts';
import { JOB_WORDS, readJobLine, type JobLine } from './job-lines.ts';
import { Line, LineProblem, unquote, withoutComment } from './line.ts';
import { pairOf, SIZE_WORDS, TRIM_KEYWORDS, type Size } from './part-words.ts';
import type { Problem } from '../units/problem.ts';
import type { LengthUnit } from '../units/si.ts';

/** The tape sheet: an open plain-text format for measurements. Grammar in docs/formats.md. */
export interface SheetRoom {
  readonly draft: DraftRoom;
  /** Line numbers: of the room, and of each wall, opening and trim by label or kind. */
  readonly line: number;
  readonly lines: ReadonlyMap<string, number>;
}
export interface Sheet {
  readonly units: LengthUnit | null;
  readonly rooms: readonly SheetRoom[];
  /** What it says of the job: the number of its room, or -1 before the first. */
  readonly said: readonly { readonly line: number; readonly room: number; readonly said: JobLine }[];
  readonly problems: readonly Problem[];
}

const MAX_SHEET_LINES = 20_000;
const MAX_LINE = 2000;
/** How many of a kind a room holds, by the list it stands in. */
const MOST_OF = { walls: MOST.walls, openings: MOST.openings, parts: MOST.parts, checks: MOST.diagonals } as const;
const ONE_OF = { walls: 'walls', openings: 'openings', parts: 'parts', checks: 'diagonals' } as const;

function roomFor(line: Line, room: Building, list: keyof typeof MOST_OF): void {
  if (room[list].length >= MOST_OF[list])
    line.fail(`${room.name} has more than ${MOST_OF[list]} ${ONE_OF[list]}, the most a room holds.`);
}
const DIRECTIVES = [
  'units',
  'room',
  'height',
  'corners',
  'wall',
  ...OPENING_KINDS,
  'check',
  'trim',
  ...JOB_WORDS,
  ...PART_KINDS,
] as const;

interface Building {
  name: string;
  line: number;
  height: Reading | null;
  turns: Room['turns'];
  walls: DraftRoom['walls'][number][];
  openings: DraftRoom['openings'][number][];
  checks: DraftRoom['checks'][number][];
  trim: Partial<Record<TrimKind, TrimRun>>;
  parts: DraftRoom['parts'][number][];
  lines: Map<string, number>;
  /** Labels named before they may exist: [label, line, column]. */
  named: [string, number, number][];
  /** Labels of openings whose casing nobody mentioned. */
  uncased: Set<string>;
}

/**
 * Reads a tape sheet. Bad lines become problems with line and column; the other lines still count. Never throws.
 * @param usual the casing of an opening whose line says nothing of it, where it is typed in the application as rows are; a file
 * that says nothing means none.
 */
export function parseTapeSheet(text: string, startUnits: LengthUnit | null = null, usual: Usual | null = null): Sheet {
  const problems: Problem[] = [];
  const rooms: Building[] = [];
  const said: Sheet['said'][number][] = [];
  let units = startUnits;
  const lines = text.split(/\r\n|\r|\n/);
  if (lines.length > MAX_SHEET_LINES)
    return {
      units,
      rooms: [],
      said: [],
      problems: [
        { path: '', message: `This tape sheet has ${lines.length} lines; at most ${MAX_SHEET_LINES} are read.` },
      ],
    };
  lines.forEach((raw, index) => {
    if (raw.length > MAX_LINE) {
      const message = `This line has ${raw.length} characters; a line of a tape sheet has at most ${MAX_LINE}.`;
      problems.push({ path: '', line: index + 1, message });
      return;
    }
    const line = new Line(withoutComment(raw), units ?? undefined);
    if (line.done) return;
    try {
      const word = JOB_WORDS.find((one) => line.peek(new RegExp(`${one}(?=\\s|$)`, 'iy')));
      if (word && line.keyword(word))
        said.push({ line: index + 1, room: rooms.length - 1, said: readJobLine(word, line) });
      else units = readLine(line, index + 1, rooms, units);
      if (!line.done) line.fail(`“${line.rest().slice(0, 40)}” is not understood here.`);
    } catch (error) {
      if (!(error instanceof LineProblem)) throw error;
      // a fault that goes on from line to line is said once
      if (problems.at(-1)?.message !== error.message)
        problems.push({ path: '', line: index + 1, column: error.column, message: error.message });
    }
  });
  for (const room of rooms) {
    const labels = new Set(room.walls.map((wall) => wall.label));
    const shown = [...labels].slice(0, 30).join(', ') || 'none yet';
    for (const [label, line, column] of room.named)
      if (!labels.has(label))
        problems.push({
          path: '',
          line,
          column,
          message: `There is no wall “${label}” in ${room.name}; its walls are ${shown}.`,
        });
  }
  if (!rooms.length && !problems.length)
    problems.push({ path: '', line: 1, message: 'This tape sheet has no room; start one with a line “room Bedroom”.' });
  problems.sort((a, b) => (a.line ?? 0) - (b.line ?? 0));
  const faults = new Faults();
  for (const problem of problems) faults.take(problem);
  return { units, problems: faults.problems, rooms: rooms.map((room) => finish(room, usual)), said };
}

function finish({ line, lines, named: _named, uncased, ...room }: Building, usual: Usual | null): SheetRoom {
  const known = new Set(room.walls.map((wall) => wall.label));
  const openings = room.openings
    .filter((o) => known.has(o.wall))
    .map((o) => (usual && uncased.has(o.label) ? { ...o, casing: usual.openings[o.kind].casing } : o));
  const checks = room.checks.filter((c) => known.has(c.from) && known.has(c.to));
  const parts = room.parts.filter((p) => p.wall === null || known.has(p.wall));
  return { line, lines, draft: { ...room, openings, checks, parts } };
}

/** The nearest word, where one is near; else what lines there are. */
function meant(word: string): string {
  const near = closest(word, [...DIRECTIVES]);
  if (distance(word, near) <= Math.max(1, Math.floor(word.length / 3))) return `Did you mean ${near}?`;
  const lines = DIRECTIVES.slice(0, DIRECTIVES.indexOf('trim') + 1).join(', ');
  return `One of ${lines}, or a part (${PART_KINDS.join(', ')}) does.`;
}

function readLine(line: Line, number: number, rooms: Building[], units: LengthUnit | null): LengthUnit | null {
  const start = line.column;
  const word = line.token('A word').toLowerCase();
  if (word === 'units') {
    const unit = line.token('The unit').toLowerCase();
    return unit === 'ft' || unit === 'm' || unit === 'in' || unit === 'cm' || unit === 'mm'
      ? unit
      : line.fail(`“${unit}” is not a unit for a tape; write units ft or units m (in, cm and mm are read too).`, start);
  }
  if (word === 'room') {
    const written = line.rest();
    const name = /^"(?:[^"\\]|\\.)*"$/.test(written) ? unquote(written) : written;
    if (!name.trim() || name.length > MOST.name) line.fail('A room needs a name of 1 to 80 characters.', start);
    if (rooms.length >= MOST.rooms) line.fail(`A sheet holds at most ${MOST.rooms} rooms; split it.`, start);
    rooms.push({
      name,
      line: number,
      height: null,
      turns: 'declared',
      walls: [],
      openings: [],
      checks: [],
      trim: {},
      parts: [],
      lines: new Map(),
      named: [],
      uncased: new Set(),
    });
    return units;
  }
  if (!(DIRECTIVES as readonly string[]).includes(word))
    line.fail(`“${word}” does not start a line of a tape sheet. ${meant(word)}`, start);
  const room = rooms.at(-1) ?? line.fail('Name the room first, with a line “room Bedroom”.', start);
  if (word === 'height') room.height = line.reading('a height', { max: 20 });
  else if (word === 'corners') room.turns = line.choice('How the corners are known', ['declared', 'measured'] as const);
  else if (word === 'wall') readWall(line, number, room);
  else if (word === 'check') readCheck(line, number, room);
  else if (word === 'trim') readTrim(line, number, room);
  else if ((OPENING_KINDS as readonly string[]).includes(word)) readOpening(line, number, room, word as OpeningKind);
  else readPart(line, number, room, word as PartKind);
  return units;
}

/** Long or control-laden labels are refused: they are shown on drawings. */
function newLabel(line: Line, number: number, room: Building, what: string): string {
  const column = line.column;
  const label = line.name(`The name of the ${what}`);
  if (!label || label.length > MOST.name)
    line.fail(
      `The name of a ${what} has 1 to ${MOST.name} characters; several words stand in quotation marks.`,
      column,
    );
  if (room.lines.has(label))
    line.fail(
      `“${label}” is already used in ${room.name} (line ${room.lines.get(label)}); names are unique in a room.`,
      column,
    );
  room.lines.set(label, number);
  return label;
}

const TURN = /(\d+(?:\.\d+)?)?([RL])(?![\w'-])/iy;

function readWall(line: Line, number: number, room: Building): void {
  roomFor(line, room, 'walls');
  const label = newLabel(line, number, room, 'wall');
  let length: Reading | null = null;
  let turn: number | null = null;
  let heights: [Reading, Reading | null] | null = null;
  const peaks: Peak[] = [];
  let bow: Wall['bow'] = null;
  let foot: Foot | null = null;
  while (!line.done) {
    const column = line.column;
    const once = (taken: unknown, what: string) =>
      taken !== null && line.fail(`This wall already has ${what}.`, column);
    const found = line.peek(TURN);
    if (found) {
      once(turn, 'a turn');
      line.take(TURN);
      const degrees = found[1] === undefined ? 90 : Number(found[1]);
      if (degrees >= 360) line.fail('A turn is less than 360 degrees.', column);
      turn = found[2]?.toUpperCase() === 'R' ? degrees : -degrees;
    } else if (line.keyword('h')) {
      once(heights, 'heights');
      const from = line.reading('a height', { max: 20 });
      heights = [from, line.keyword('to') ? line.reading('a height', { max: 20 }) : null];
    } else if (line.keyword('peak')) {
      const height = line.reading('a height', { max: 20 });
      if (!line.keyword('at')) line.fail("Say where the peak is: peak 11' at 6'3.");
      peaks.push({ height, at: line.reading('a distance') });
      if (peaks.length > 8) line.fail('A wall has at most eight heights between its ends.', column);
    } else if (line.keyword('bow')) {
      once(bow, 'a bow');
      const side = line.choice('The side a wall bows to', ['out', 'in'] as const);
      bow = { side, rise: line.reading('the rise of a bow') };
    } else if (line.keyword('stairs')) {
      once(foot, 'stairs');
      foot = readStairs(line);
    } else {
      once(length, 'a length');
      length = line.reading('a wall');
    }
  }
  if (!length) line.fail(`Wall ${label} needs its length, for example: wall ${label} 12'6 1/2 R.`);
  room.walls.push({
    label,
    length,
    turn: turn ?? 90,
    heightStart: heights?.[0] ?? null,
    heightEnd: heights?.[1] ?? null,
    peaks,
    bow,
    foot,
  });
}

/** stairs 1' to 11' up 8' steps 13 */
function readStairs(line: Line): Foot {
  const from = line.reading('a distance', { zero: true });
  if (!line.keyword('to')) line.fail("Say where the stairs start and end: stairs 1' to 11' up 8'.");
  const to = line.reading('a distance', { zero: true });
  const down = line.choice('The way stairs go', ['up', 'down'] as const) === 'down';
  const rise = line.reading('a rise', { max: 20 });
  return { from, to, rise, down, steps: line.keyword('steps') ? line.whole('The number of steps', 60) : 0 };
}

function onWall(line: Line, number: number, room: Building): string {
  const column = line.column;
  const wall = line.name('The wall');
  room.named.push([wall, number, column]);
  return wall;
}

function readOpening(line: Line, number: number, room: Building, kind: OpeningKind): void {
  roomFor(line, room, 'openings');
  const label = newLabel(line, number, room, kind);
  const sample = `${kind} ${label} on A 3' x 4' at 2'${kind === 'window' ? " sill 1'8" : ''}`;
  let wall: string | null = null;
  let size: [Reading, Reading] | null = null;
  let at: Reading | null = null;
  let more: Partial<Opening> = {};
  while (!line.done) {
    if (line.keyword('on')) wall = onWall(line, number, room);
    else if (line.keyword('at')) at = line.reading('a distance', { zero: true });
    else {
      const clause = readOpeningClause(line);
      if (clause) more = { ...more, ...clause };
      else if (size) line.fail(`“${line.rest().slice(0, 40)}” is not understood here. Write it like: ${sample}.`);
      else {
        const width = line.reading('a width');
        if (!line.take(/[x×*]/iy)) line.fail(`Put an x between width and height: ${sample}.`);
        size = [width, line.reading('a height', { max: 20 })];
      }
    }
  }
  if (!wall || !size || !at)
    line.fail(`A ${kind} needs its wall, its size and its distance from the wall's start: ${sample}.`);
  const { id: _id, ...opening } = newOpening({ id: '', label, wall, kind, width: size[0], height: size[1], at });
  room.openings.push({ ...opening, ...more });
  if (!('casing' in more)) room.uncased.add(label);
}

const GRID = /(\d{1,2})\s*[x×]\s*(\d{1,2})(?![\d.,'"/])/iy;

/** Rows x columns of panels or panes. */
function readGrid(line: Line): Partial<Pick<Opening, 'panels'>> {
  const column = line.column;
  const found = line.peek(GRID);
  if (!found) return {};
  line.take(GRID);
  const panels = { rows: Number(found[1]), columns: Number(found[2]) };
  if (!(panels.rows >= 1 && panels.rows <= 12 && panels.columns >= 1 && panels.columns <= 12))
    line.fail('Panels and panes are 1 to 12 rows by 1 to 12 columns: 3 x 2.', column);
  return { panels };
}

/** What an opening may have besides its place and its size; null where none of its words stands here. */
function readOpeningClause(line: Line): Partial<Opening> | null {
  const simple = (['casing', 'back', 'frame', 'board', 'apron', 'girth', 'sill'] as const).find((word) =>
    line.either(word === 'casing' ? TRIM_KEYWORDS.casing : word),
  );
  if (simple === 'casing' && line.keyword('none')) return { casing: null };
  if (simple)
    return { [simple]: line.reading(`a ${simple}`, { zero: simple === 'sill', max: simple === 'sill' ? 20 : 2 }) };
  if (line.keyword('head')) {
    const shape = line.choice('A head', OPENING_SHAPES);
    const rise = shape === 'segmental' || (shape === 'gable' && line.peek(/[\d½¼¾]/y)) ? line.reading('a rise') : null;
    return { shape, rise };
  }
  if (line.keyword('reveal')) {
    const depth = line.reading('a reveal', { max: 2 });
    return { reveal: { depth, painted: !line.keyword('bare') } };
  }
  if (line.keyword('leaf')) return { leaf: line.choice('A leaf', LEAVES), ...readGrid(line) };
  if (line.keyword('sash')) return { sash: line.choice('A sash', SASHES), ...readGrid(line) };
  if (line.keyword('faces')) return { faces: line.whole('The number of faces painted', 2) === 2 ? 2 : 1 };
  return null;
}

/** `soffit s1 on A 10' x 1' deep 14" at 0`: the pair is the first two sizes its kind needs; others follow their word. */
function readPart(line: Line, number: number, room: Building, kind: PartKind): void {
  roomFor(line, room, 'parts');
  const label = newLabel(line, number, room, kind);
  const rule = PART_RULES[kind];
  let wall: string | null = null;
  const set: { -readonly [K in Size | 'at' | 'sill']?: Reading } = {};
  let count = 1;
  let way: Part['way'] = null;
  while (!line.done) {
    const word = SIZE_WORDS.find(([name]) => line.keyword(name));
    if (word) set[word[1]] = line.reading(`a size`, { zero: word[1] === 'at' || word[1] === 'sill' });
    else if (line.keyword('on')) wall = onWall(line, number, room);
    else if (line.keyword('count')) count = line.whole('A count', 999);
    else if (isFixture(kind) && line.keyword('way')) way = line.choice(`What is done about a ${kind}`, WAYS_OF[kind]);
    else {
      const column = line.column;
      const [first, second] = pairOf(kind);
      if (!first || set[first])
        line.fail(`“${line.rest().slice(0, 40)}” is not understood here. Write it like: ${partSample(kind)}.`, column);
      set[first] = line.reading('a size');
      if (second) {
        if (!line.take(/[x×*]/iy)) line.fail(`Put an x between its sizes: ${partSample(kind)}.`);
        set[second] = line.reading('a size');
      }
    }
  }
  for (const size of rule.needs) if (!set[size]) line.fail(`A ${kind} needs more: ${partSample(kind)}.`);
  if (rule.place === 'wall' && wall === null) line.fail(`A ${kind} stands on a wall: ${partSample(kind)}.`);
  const { id: _id, ...part } = newPart({ id: '', label, kind, count, way, ...set });
  room.parts.push({ ...part, wall });
}

function partSample(kind: PartKind): string {
  const { needs, place, counted } = PART_RULES[kind];
  const pair = pairOf(kind).filter((size) => needs.includes(size));
  const rest = SIZE_WORDS.filter(([, key]) => needs.includes(key) && !pair.includes(key as Size));
  const words = [
    `${kind} p1`,
    place === 'wall' ? 'on A' : '',
    pair.map((_, i) => (i ? "2'" : "3'")).join(' x '),
    ...rest.map(([word]) => `${word} 1'`),
    counted ? 'count 2' : '',
  ];
  return words.filter(Boolean).join(' ');
}

function readCheck(line: Line, number: number, room: Building): void {
  roomFor(line, room, 'checks');
  const column = line.column;
  const [from, to] = [onWall(line, number, room), onWall(line, number, room)];
  if (from === to) line.fail('A diagonal joins the starting corners of two different walls.', column);
  room.checks.push({ from, to, length: line.reading('a diagonal', { max: 85 }) });
}

/** “skirting” or “baseboard”, as a sheet may say it. */
const keywords = (kind: TrimKind): string => {
  const word = TRIM_KEYWORDS[kind];
  return typeof word === 'string' ? word : `${word.american} or ${word.british}`;
};

function readTrim(line: Line, number: number, room: Building): void {
  const column = line.column;
  const kind =
    TRIM_KINDS.find((name) => line.either(TRIM_KEYWORDS[name])) ??
    line.fail(`Trim is one of ${TRIM_KINDS.map(keywords).join(', ')}.`);
  if (room.trim[kind]) line.fail(`${room.name} already has a ${keywords(kind)}.`, column);
  const face = line.reading('a face', { unit: undefined, max: 1 });
  let girth: Reading | null = null;
  let at: Reading | null = null;
  let later = false;
  while (!line.done)
    if (line.keyword('girth')) girth = line.reading('a girth', { unit: undefined, max: 1 });
    else if (line.keyword('at')) at = line.reading('a height', { max: 20 });
    else if (line.keyword('later')) later = true;
    else break;
  const rail = kind === 'chair-rail' || kind === 'picture-rail';
  if (rail && !at) line.fail(`Say how high it is: trim ${keywords(kind)} 2 1/2" at 3'.`);
  if (!rail && at) line.fail(`A ${keywords(kind)} has its place; leave “at” out.`, column);
  room.trim[kind] = { face, girth, at, later };
  room.lines.set(`trim ${kind}`, number);
}
