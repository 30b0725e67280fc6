import type { DraftRoom } from '../job/reconcile.ts';
import { rows, type Reading, type Room, type TrimRun } from '../job/types.ts';
import { OPENING_KINDS, TRIM_KINDS, type OpeningKind, type TrimKind } from '../job/vocabulary.ts';
import { parseLength, scanLength, trimNumber, typeLength, type LengthOptions } from '../units/length.ts';
import type { Problem } from '../units/problem.ts';
import type { LengthUnit, System } from '../units/si.ts';

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
  readonly problems: readonly Problem[];
}

export const MAX_SHEET_LINES = 20_000;
const DIRECTIVES = ['units', 'room', 'height', 'wall', ...OPENING_KINDS, 'check', 'trim'] as const;

class LineProblem extends Error {
  constructor(
    readonly column: number,
    message: string,
  ) {
    super(message);
  }
}

/** One line, read from left to right. Columns are 1-based. */
class Line {
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
  token(what: string): string {
    return this.take(/\S+/y) ?? this.fail(`${what} is missing here.`);
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
    const found = scanLength(this.text, start, { unit: this.unit, what, ...options });
    if (!found.ok) throw new LineProblem(found.problems[0]?.column ?? start + 1, found.problems[0]?.message ?? '');
    this.at = found.value.end;
    return { typed: this.text.slice(start, found.value.end).trim(), metres: found.value.metres };
  }
  fail(message: string, column = this.column): never {
    throw new LineProblem(column, message);
  }
}

interface Building {
  name: string;
  line: number;
  height: Reading | null;
  walls: DraftRoom['walls'][number][];
  openings: DraftRoom['openings'][number][];
  checks: DraftRoom['checks'][number][];
  trim: Partial<Record<TrimKind, TrimRun>>;
  lines: Map<string, number>;
  /** Labels named before they may exist: [label, line, column]. */
  named: [string, number, number][];
}

/** Reads a tape sheet. Bad lines become problems with line and column; the other lines still count. Never throws. */
export function parseTapeSheet(text: string, startUnits: LengthUnit | null = null): Sheet {
  const problems: Problem[] = [];
  const rooms: Building[] = [];
  let units = startUnits;
  const lines = text.split(/\r\n|\r|\n/);
  if (lines.length > MAX_SHEET_LINES)
    return {
      units,
      rooms: [],
      problems: [
        { path: '', message: `This tape sheet has ${lines.length} lines; at most ${MAX_SHEET_LINES} are read.` },
      ],
    };
  lines.forEach((raw, index) => {
    const line = new Line(raw.replace(/#.*$/, ''), units ?? undefined);
    if (line.done) return;
    try {
      units = readLine(line, index + 1, rooms, units);
      if (!line.done) line.fail(`“${line.rest().slice(0, 40)}” is not understood here.`);
    } catch (error) {
      if (!(error instanceof LineProblem)) throw error;
      problems.push({ path: '', line: index + 1, column: error.column, message: error.message });
    }
  });
  for (const room of rooms)
    for (const [label, line, column] of room.named)
      if (!room.walls.some((wall) => wall.label === label))
        problems.push({
          path: '',
          line,
          column,
          message: `There is no wall “${label}” in ${room.name}; its walls are ${room.walls.map((w) => w.label).join(', ') || 'none yet'}.`,
        });
  if (!rooms.length && !problems.length)
    problems.push({ path: '', line: 1, message: 'This tape sheet has no room; start one with a line “room Bedroom”.' });
  problems.sort((a, b) => (a.line ?? 0) - (b.line ?? 0));
  return { units, problems, rooms: rooms.map(finish) };
}

function finish({ line, lines, named: _named, ...room }: Building): SheetRoom {
  const known = new Set(room.walls.map((wall) => wall.label));
  const openings = room.openings.filter((o) => known.has(o.wall));
  const checks = room.checks.filter((c) => known.has(c.from) && known.has(c.to));
  return { line, lines, draft: { ...room, openings, checks } };
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
    const name = line.rest();
    if (!name || name.length > 80) line.fail('A room needs a name of 1 to 80 characters.', start);
    rooms.push({
      name,
      line: number,
      height: null,
      walls: [],
      openings: [],
      checks: [],
      trim: {},
      lines: new Map(),
      named: [],
    });
    return units;
  }
  if (!(DIRECTIVES as readonly string[]).includes(word))
    line.fail(`“${word}” does not start a line of a tape sheet; one of ${DIRECTIVES.join(', ')} does.`, start);
  const room = rooms.at(-1) ?? line.fail('Name the room first, with a line “room Bedroom”.', start);
  if (word === 'height') room.height = line.reading('a height', { max: 20 });
  else if (word === 'wall') readWall(line, number, room);
  else if (word === 'check') readCheck(line, number, room);
  else if (word === 'trim') readTrim(line, number, room);
  else readOpening(line, number, room, word as OpeningKind);
  return units;
}

/** Long or control-laden labels are refused: they are shown on drawings. */
function newLabel(line: Line, number: number, room: Building, what: string): string {
  const column = line.column;
  const label = line.token(`The name of the ${what}`);
  if (label.length > 20) line.fail(`The name of a ${what} is one short word, at most 20 characters.`, column);
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
  const label = newLabel(line, number, room, 'wall');
  let length: Reading | null = null;
  let turn: number | null = null;
  let heights: [Reading, Reading | null] | null = null;
  let peak: { height: Reading; at: Reading } | null = null;
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
      once(peak, 'a peak');
      const height = line.reading('a height', { max: 20 });
      if (!line.keyword('at')) line.fail("Say where the peak is: peak 11' at 6'3.");
      peak = { height, at: line.reading('a distance') };
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
    peak,
  });
}

function onWall(line: Line, number: number, room: Building): string {
  const column = line.column;
  const wall = line.token('The wall');
  room.named.push([wall, number, column]);
  return wall;
}

function readOpening(line: Line, number: number, room: Building, kind: OpeningKind): void {
  const label = newLabel(line, number, room, kind);
  const sample = `${kind} ${label} on A 3' x 4' at 2'${kind === 'window' ? " sill 1'8" : ''}`;
  let wall: string | null = null;
  let size: [Reading, Reading] | null = null;
  const parts: Partial<Record<'at' | 'sill' | 'casing', Reading>> = {};
  while (!line.done) {
    const key = (['at', 'sill', 'casing'] as const).find((word) => line.keyword(word));
    if (key) parts[key] = line.reading(key === 'at' ? 'a distance' : `a ${key}`, { zero: key !== 'casing' });
    else if (line.keyword('on')) wall = onWall(line, number, room);
    else if (size) line.fail(`“${line.rest().slice(0, 40)}” is not understood here. Write it like: ${sample}.`);
    else {
      const width = line.reading('a width');
      if (!line.take(/[x×*]/iy)) line.fail(`Put an x between width and height: ${sample}.`);
      size = [width, line.reading('a height', { max: 20 })];
    }
  }
  if (!wall || !size || !parts.at)
    line.fail(`A ${kind} needs its wall, its size and its distance from the wall's start: ${sample}.`);
  room.openings.push({
    label,
    wall,
    kind,
    width: size[0],
    height: size[1],
    at: parts.at,
    sill: parts.sill ?? null,
    casing: parts.casing ?? null,
  });
}

function readCheck(line: Line, number: number, room: Building): void {
  const column = line.column;
  const [from, to] = [onWall(line, number, room), onWall(line, number, room)];
  if (from === to) line.fail('A diagonal joins the starting corners of two different walls.', column);
  room.checks.push({ from, to, length: line.reading('a diagonal', { max: 85 }) });
}

function readTrim(line: Line, number: number, room: Building): void {
  const column = line.column;
  const kind = TRIM_KINDS.find((name) => line.keyword(name)) ?? line.fail(`Trim is one of ${TRIM_KINDS.join(', ')}.`);
  if (room.trim[kind]) line.fail(`${room.name} already has a ${kind}.`, column);
  const face = line.reading('a face', { unit: undefined, max: 1 });
  const at = line.keyword('at') ? line.reading('a height', { max: 20 }) : null;
  const rail = kind === 'chair-rail' || kind === 'picture-rail';
  if (rail && !at) line.fail(`Say how high it is: trim ${kind} 2 1/2" at 3'.`);
  if (!rail && at) line.fail(`A ${kind} has its place; leave “at” out.`, column);
  room.trim[kind] = { face, at };
  room.lines.set(`trim ${kind}`, number);
}

const sheetUnit = (system: System): LengthUnit => (system === 'imperial' ? 'ft' : 'm');

/** A reading as it was typed where that still means the same under the sheet's units; otherwise written anew. */
function write(reading: Reading, system: System, needsUnit = false): string {
  const options: LengthOptions = { max: 1000, zero: true, ...(needsUnit ? {} : { unit: sheetUnit(system) }) };
  const again = parseLength(reading.typed, options);
  const same = again.ok && Math.abs(again.value - reading.metres) < 1e-9 && !/#/.test(reading.typed);
  return same ? reading.typed : typeLength(reading.metres, system);
}

function writeTurn(turn: number): string {
  const side = turn < 0 ? 'L' : 'R';
  return Math.abs(turn) === 90 ? side : `${trimNumber(Math.abs(turn), 4)}${side}`;
}

/** One room as tape-sheet lines, without the units line. Walls without a length are left out. */
export function formatRoom(room: Room, system: System): string {
  const w = (reading: Reading) => write(reading, system);
  const labelOf = (id: string) => room.walls.byId[id]?.label ?? '';
  const lines = [`room ${room.name}`];
  if (room.height) lines.push(`height ${w(room.height)}`);
  for (const wall of rows(room.walls)) {
    if (!wall.length) continue;
    const heights = wall.heightStart
      ? ` h ${w(wall.heightStart)}${wall.heightEnd ? ` to ${w(wall.heightEnd)}` : ''}`
      : '';
    const peak = wall.peak ? ` peak ${w(wall.peak.height)} at ${w(wall.peak.at)}` : '';
    lines.push(`wall ${wall.label} ${w(wall.length)} ${writeTurn(wall.turn)}${heights}${peak}`);
  }
  for (const o of rows(room.openings))
    lines.push(
      `${o.kind} ${o.label} on ${labelOf(o.wall)} ${w(o.width)} x ${w(o.height)} at ${w(o.at)}${o.sill ? ` sill ${w(o.sill)}` : ''}${o.casing ? ` casing ${w(o.casing)}` : ''}`,
    );
  for (const check of room.checks) lines.push(`check ${labelOf(check.from)} ${labelOf(check.to)} ${w(check.length)}`);
  for (const [kind, run] of Object.entries(room.trim))
    lines.push(`trim ${kind} ${write(run.face, system, true)}${run.at ? ` at ${w(run.at)}` : ''}`);
  return lines.join('\n');
}

export const formatTapeSheet = (rooms: readonly Room[], system: System): string =>
  [`units ${sheetUnit(system)}`, ...rooms.map((room) => `\n${formatRoom(room, system)}`)].join('\n') + '\n';
