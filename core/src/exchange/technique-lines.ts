import { STARTING_PRACTICE } from '../job/create.ts';
import type { Edit } from '../job/edits.ts';
import type { LineSaid } from '../job/lines.ts';
import type { Room } from '../job/measured.ts';
import type { Practice } from '../job/paints.ts';
import { rows, type Id } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import * as v from '../job/vocabulary.ts';
import { finishOf } from '../lines/finishes.ts';
import type { Meeting } from '../measure/meetings.ts';
import { takeoffRoom } from '../measure/takeoff.ts';
import { specifyRoom } from '../specify/specify.ts';
import type { Line } from './line.ts';
import { scopeWords, surfaceOf } from './sheet-scope.ts';
import { keysOf } from '../units/list.ts';

/** Lines of a tape sheet that say how it is painted: schools, the focal wall, what is known or pinned of a line, finishes pinned in order. */
export const TECHNIQUE_WORDS = ['practice', 'focal', 'line', 'order'] as const;

interface SaidOfLine {
  readonly kind: 'line';
  readonly of: v.LineKind;
  /** Its two sides by their labels, and which of several; null: all lines of the kind. */
  readonly sides: readonly [string, string] | null;
  readonly n: number;
  readonly set: Omit<LineSaid, 'first'>;
  /** Label of the side that laps. */
  readonly first: string | null;
}
export type TechniqueLine =
  | { readonly kind: 'practice'; readonly set: Partial<Practice> }
  | { readonly kind: 'focal'; readonly wall: string }
  | SaidOfLine
  | { readonly kind: 'order'; readonly before: string; readonly after: string };

/** Schools as a sheet says them. */
const SCHOOLS = {
  trimOrder: v.TRIM_ORDERS,
  accent: v.ACCENT_SCHOOLS,
  pull: v.PULLS,
  tape: v.TAPE_SCHOOLS,
  spread: v.SPREADS,
  layOff: v.LAY_OFFS,
  firstCoats: v.FIRST_COATS,
  doors: v.DOOR_SCHOOLS,
  roles: v.WET_SCHOOLS,
  division: v.DIVISIONS,
  openings: v.OPENING_SCHOOLS,
  walls: v.WALL_SCHOOLS,
  prep: v.PREP_SCHOOLS,
  coats: ['equal', 'thin-then-full'],
  brick: v.BRICK_SCHOOLS,
  boxing: v.BOXINGS,
  washing: v.WASHINGS,
  rim: v.RIMS,
} as const satisfies Partial<{ [K in keyof Practice]: readonly Practice[K][] }>;
const SCHOOL_KEYS = keysOf(SCHOOLS);

/** `practice trimOrder trim-last …`: schools, each by its key. @throws the line’s own fault. */
export function readPractice(line: Line): TechniqueLine {
  let set: Partial<Practice> = {};
  while (!line.done) {
    const key = line.choice('A school', SCHOOL_KEYS);
    set = { ...set, [key]: line.choice(`“${key}”`, SCHOOLS[key]) };
  }
  if (!Object.keys(set).length)
    line.fail(`Say which: practice trimOrder cheapest. Schools are ${SCHOOL_KEYS.join(', ')}.`);
  return { kind: 'practice', set };
}

/** `focal A` or `focal none`. @throws the line’s own fault. */
export const readFocal = (line: Line): TechniqueLine => ({
  kind: 'focal',
  wall: line.name('The focal wall, or none,'),
});

const LINE_KEYS = ['wavy', 'first', 'method', 'stays'] as const;
const isKey = (line: Line): boolean =>
  LINE_KEYS.some((key) => line.peek(new RegExp(`${key}(?![\\w-])`, 'iy')) !== null);
/** A label, with a piece after it: `d1/casing`. */
const side = (line: Line): string => line.name('A side of the line') + (line.take(/\/[\w/-]+/y) ?? '');

/** `line corner A B tape …`: how one line, or all of a kind, is made. @throws the line’s own fault. */
export function readLineSaid(line: Line): TechniqueLine {
  const of = line.choice('A kind of line', v.LINE_KINDS);
  const sides = line.done || isKey(line) ? null : ([side(line), side(line)] as const);
  const n = sides && line.peek(/\d+/y) ? line.whole('Which of them', 99) : 1;
  let set: Omit<LineSaid, 'first'> = {};
  let first: string | null = null;
  while (!line.done) {
    const key = line.choice('What is said of a line', LINE_KEYS);
    if (key === 'wavy') set = { ...set, wavy: line.choice('Wavy', ['yes', 'no'] as const) === 'yes' };
    else if (key === 'first') first = side(line);
    else if (key === 'method') set = { ...set, method: line.choice('A way of making a line', v.LINE_METHODS) };
    else set = { ...set, stays: line.choice('The coats a tape lies for', v.TAPE_STAYS) };
  }
  if (first === null && !Object.keys(set).length)
    line.fail('Say what of it: line corner A B wavy yes, or first A, method tape-sealed, stays last.');
  if (!sides && (first !== null || set.wavy !== undefined))
    line.fail('Which side is first, and whether it is wavy, is said of one line: line corner A B first A.');
  return { kind: 'line', of, sides, n, set, first };
}

/** `order ceiling before A`: which of two finishes goes on first. @throws the line’s own fault. */
export function readOrder(line: Line): TechniqueLine {
  const before = side(line);
  if (!line.keyword('before')) line.fail('Say which finish comes first: order ceiling before A.');
  return { kind: 'order', before, after: side(line) };
}

const BELOW = 'This stands below the room it is about.';
/** A line done to a job; a sentence where it cannot be. */
export function techniqueEdits(job: Job, room: Room | null, said: TechniqueLine): Edit[] | string {
  if (said.kind === 'practice') return [{ name: 'setPractice', args: { set: said.set } }];
  if (said.kind === 'line' && !said.sides) return [{ name: 'setLine', args: { key: said.of, set: said.set } }];
  if (!room) return BELOW;
  if (said.kind === 'focal') return focal(room, said.wall);
  return said.kind === 'line' ? lined(job, room, said) : ordered(job, room, said);
}

function focal(room: Room, wall: string): Edit[] | string {
  const found = rows(room.walls).find((w) => w.label === wall);
  if (!found && wall !== 'none')
    return `There is no wall “${wall}” in ${room.name}; ${rows(room.walls)
      .map((w) => w.label)
      .join(', ')} and none are accepted.`;
  return [{ name: 'setRoom', args: { room: room.id, set: { focal: found?.id ?? 'none' } } }];
}

/** What a label may stand for where two sides meet: its surface, or the thing itself. */
function sidesFor(room: Room, label: string): readonly Id[] {
  if (label === 'ceiling' || label === 'floor') return [`${room.id}/${label}`];
  const things = [...rows(room.walls), ...rows(room.openings), ...rows(room.parts)];
  const surface = surfaceOf(room, label);
  return [...(surface ? [surface] : []), ...things.filter((thing) => thing.label === label).map((thing) => thing.id)];
}

function lined(job: Job, room: Room, { of, sides, n, set, first }: SaidOfLine): Edit[] | string {
  const [a = '', b = ''] = sides ?? [];
  const meetings = takeoffRoom(job, room).meetings.filter(({ kind }) => kind === of);
  const [one, other] = [sidesFor(room, a), sidesFor(room, b)];
  const joins = ({ a: p, b: q }: Meeting) =>
    (one.includes(p) && other.includes(q)) || (one.includes(q) && other.includes(p));
  const found = meetings.filter(joins)[n - 1];
  if (!found) {
    const known = meetings
      .map((m) => [m.a, m.b].map((id) => sideWords(job, id, (text) => text)).join(' '))
      .slice(0, 20);
    return `No ${of} line runs between “${a}” and “${b}” in ${room.name}${known.length ? `; ${known.join(', ')} have one` : ', nor any other of that kind'}.`;
  }
  const laps = first === null ? [] : sidesFor(room, first).filter((id) => id === found.a || id === found.b);
  if (first !== null && !laps.length) return `“${first}” is no side of that line; ${a} and ${b} are.`;
  return [{ name: 'setLine', args: { key: found.id, set: { ...set, ...(laps[0] ? { first: laps[0] } : {}) } } }];
}

function ordered(job: Job, room: Room, { before, after }: Extract<TechniqueLine, { kind: 'order' }>): Edit[] | string {
  const surfaces = specifyRoom(job, takeoffRoom(job, room));
  const finish = (label: string): string | null => {
    const ids = sidesFor(room, label);
    const found = surfaces.find((s) => ids.includes(s.surface.id));
    return found ? finishOf(found) : null;
  };
  const [first, then] = [finish(before), finish(after)];
  if (first === null || then === null)
    return `There is no “${first === null ? before : after}” in ${room.name}; a surface says which finish is meant, such as ceiling, A or here/casing.`;
  const pins = [...(job.orders[room.id] ?? []), { before: first, after: then }];
  return [{ name: 'pinOrder', args: { room: room.id, pins } }];
}

/** How a sheet calls a side: a surface, the floor, or the thing that stands there. */
function sideWords(job: Job, id: Id, quoted: (label: string) => string): string {
  if (id.endsWith('/floor')) return 'floor';
  return scopeWords(job, id, quoted)?.words.replace(/\/$/, '') ?? id;
}

/** The same lines of a job, by the room they stand in; null: before the first. What is pinned and gone is not written. */
export function techniqueLines(job: Job, quoted: (label: string) => string): ReadonlyMap<Id | null, readonly string[]> {
  const lines = new Map<Id | null, string[]>();
  const add = (room: Id | null, text: string) => lines.set(room, [...(lines.get(room) ?? []), text]);
  const schools = SCHOOL_KEYS.filter((key) => job.practice[key] !== STARTING_PRACTICE[key]);
  if (schools.length) add(null, `practice ${schools.map((key) => `${key} ${job.practice[key]}`).join(' ')}`);
  const saidWords = ({ wavy, method, stays }: LineSaid): string =>
    [
      ...(wavy === undefined ? [] : [`wavy ${wavy ? 'yes' : 'no'}`]),
      ...(method ? [`method ${method}`] : []),
      ...(stays ? [`stays ${stays}`] : []),
    ].join(' ');
  for (const kind of v.LINE_KINDS) {
    const said = job.lines[kind];
    if (said) add(null, `line ${kind} ${saidWords(said)}`);
  }
  for (const room of rows(job.rooms)) {
    if (room.focal !== null) {
      const wall = room.walls.byId[room.focal];
      if (wall || room.focal === 'none') add(room.id, `focal ${wall ? quoted(wall.label) : 'none'}`);
    }
    const takeoff = takeoffRoom(job, room);
    for (const { id, kind, a, b } of takeoff.meetings) {
      const said = job.lines[id];
      if (!said) continue;
      const n = id.split(':').at(-1);
      const words = [a, b].map((one) => sideWords(job, one, quoted));
      const first = said.first ? ` first ${sideWords(job, said.first, quoted)}` : '';
      add(room.id, `line ${kind} ${words.join(' ')}${n === '1' ? '' : ` ${n}`} ${saidWords(said)}${first}`.trimEnd());
    }
    const pins = job.orders[room.id] ?? [];
    const surfaces = pins.length ? specifyRoom(job, takeoff) : [];
    for (const pin of pins) {
      const [p, q] = [pin.before, pin.after].map((id) => surfaces.find((s) => finishOf(s) === id)?.surface.id);
      if (p && q) add(room.id, `order ${sideWords(job, p, quoted)} before ${sideWords(job, q, quoted)}`);
    }
  }
  return lines;
}
