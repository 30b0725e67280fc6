import { newOpening } from '../job/blank.ts';
import { rows } from '../job/table.ts';
import type { Foot, Opening, Part, Room } from '../job/measured.ts';
import type { Reading } from '../units/reading.ts';
import { parseLength, trimNumber, typeLength, type LengthOptions } from '../units/length.ts';
import { isImperial, type LengthUnit, type System } from '../units/si.ts';
import { said } from '../units/word.ts';
import { MOST } from '../job/limits.ts';
import { quote } from './line.ts';
import { pairOf, SIZE_WORDS, TRIM_KEYWORDS, type Size } from './part-words.ts';
import { entriesOf } from '../units/list.ts';

const sheetUnit = (system: System): LengthUnit => (isImperial(system) ? 'ft' : 'm');

/** A reading as it was typed where that still means the same under the sheet's units; otherwise written anew. */
function write(reading: Reading, system: System, needsUnit = false): string {
  const options: LengthOptions = { max: 1000, zero: true, ...(needsUnit ? {} : { unit: sheetUnit(system) }) };
  const again = parseLength(reading.typed, options);
  const same = again.ok && Math.abs(again.value - reading.metres) < 1e-9 && !/[#\r\n]/.test(reading.typed);
  return same ? reading.typed : typeLength(reading.metres, system);
}

function writeTurn(turn: number): string {
  const side = turn < 0 ? 'L' : 'R';
  return Math.abs(turn) === 90 ? side : `${trimNumber(Math.abs(turn), 4)}${side}`;
}

type Write = (reading: Reading) => string;

const writeStairs = ({ from, to, rise, down, steps }: Foot, w: Write) =>
  `stairs ${w(from)} to ${w(to)} ${down ? 'down' : 'up'} ${w(rise)}${steps ? ` steps ${steps}` : ''}`;

/** Place and size, then only what differs from a plain opening of its kind. */
function writeOpening(o: Opening, label: string, wall: string, w: Write, system: System): string {
  const base = newOpening({
    id: o.id,
    label: o.label,
    wall: o.wall,
    kind: o.kind,
    width: o.width,
    height: o.height,
    at: o.at,
  });
  const one = (word: string, reading: Reading | null) => (reading ? ` ${word} ${w(reading)}` : '');
  const sameGrid = o.panels.rows === base.panels.rows && o.panels.columns === base.panels.columns;
  const grid = sameGrid ? '' : ` ${o.panels.rows} x ${o.panels.columns}`;
  const withLeaf = o.leaf !== base.leaf || (grid && o.sash === 'none');
  return [
    `${o.kind} ${label} on ${wall} ${w(o.width)} x ${w(o.height)} at ${w(o.at)}`,
    one('sill', o.sill),
    o.shape === 'rectangle'
      ? ''
      : ` head ${o.shape}${o.rise && o.shape !== 'round' && o.shape !== 'circle' ? ` ${w(o.rise)}` : ''}`,
    o.casing ? one(said(TRIM_KEYWORDS.casing, system), o.casing) : ` ${said(TRIM_KEYWORDS.casing, system)} none`,
    one('girth', o.girth),
    one('back', o.back),
    o.reveal ? ` reveal ${w(o.reveal.depth)}${o.reveal.painted ? '' : ' bare'}` : '',
    withLeaf ? ` leaf ${o.leaf}${o.sash === 'none' ? grid : ''}` : '',
    o.faces === 2 ? ' faces 2' : '',
    one('frame', o.frame),
    o.sash === 'none' ? '' : ` sash ${o.sash}${grid}`,
    one('board', o.board),
    one('apron', o.apron),
  ].join('');
}

function writePart(part: Part, label: string, wall: string | null, w: Write): string {
  const pair = pairOf(part.kind);
  const whole = pair.length > 0 && pair.every((size) => part[size]);
  const words = SIZE_WORDS.flatMap(([word, key]) => {
    const reading = part[key];
    return reading && !(whole && pair.includes(key as Size)) ? [`${word} ${w(reading)}`] : [];
  });
  return [
    `${part.kind} ${label}`,
    wall ? `on ${wall}` : '',
    whole ? pair.map((size) => w(part[size] as Reading)).join(' x ') : '',
    ...words,
    part.count === 1 ? '' : `count ${part.count}`,
    part.way ? `way ${part.way}` : '',
  ]
    .filter(Boolean)
    .join(' ');
}

/** Each thing's name as a sheet takes it: in quotation marks where it is not one word, another where two share one. */
function labelsOf(room: Room): ReadonlyMap<string, string> {
  const taken = new Set<string>();
  const named = [...rows(room.walls), ...rows(room.openings), ...rows(room.parts)].map(({ id, label }) => {
    let own = label;
    for (let n = 2; taken.has(own); n++) own = `${label.slice(0, MOST.name - 6)} (${n})`;
    taken.add(own);
    return [id, /^[^\s"#\\]+$/.test(own) ? own : quote(own)] as const;
  });
  return new Map(named);
}

/** One room as tape-sheet lines, without the units line. Walls without a length are left out. */
export function formatRoom(room: Room, system: System): string {
  const w = (reading: Reading) => write(reading, system);
  const labels = labelsOf(room);
  const labelOf = (id: string) => labels.get(id) ?? '';
  const lines = [`room ${/["#\\]/.test(room.name) ? quote(room.name) : room.name}`];
  if (room.height) lines.push(`height ${w(room.height)}`);
  if (room.turns === 'measured') lines.push('corners measured');
  for (const wall of rows(room.walls)) {
    if (!wall.length) continue;
    const heights = wall.heightStart
      ? ` h ${w(wall.heightStart)}${wall.heightEnd ? ` to ${w(wall.heightEnd)}` : ''}`
      : '';
    const peaks = wall.peaks.map((peak) => ` peak ${w(peak.height)} at ${w(peak.at)}`).join('');
    const bow = wall.bow ? ` bow ${wall.bow.side} ${w(wall.bow.rise)}` : '';
    const stairs = wall.foot ? ` ${writeStairs(wall.foot, w)}` : '';
    lines.push(`wall ${labelOf(wall.id)} ${w(wall.length)} ${writeTurn(wall.turn)}${heights}${peaks}${bow}${stairs}`);
  }
  for (const o of rows(room.openings)) lines.push(writeOpening(o, labelOf(o.id), labelOf(o.wall), w, system));
  for (const part of rows(room.parts))
    lines.push(writePart(part, labelOf(part.id), part.wall && labelOf(part.wall), w));
  for (const check of room.checks) lines.push(`check ${labelOf(check.from)} ${labelOf(check.to)} ${w(check.length)}`);
  for (const [kind, run] of entriesOf(room.trim))
    lines.push(
      `trim ${said(TRIM_KEYWORDS[kind], system)} ${write(run.face, system, true)}${run.girth ? ` girth ${write(run.girth, system, true)}` : ''}${run.at ? ` at ${w(run.at)}` : ''}${run.later ? ' later' : ''}`,
    );
  return lines.join('\n');
}

/** Rooms as a tape sheet in the units of `system`; it reads back as the same rooms. */
export const formatTapeSheet = (rooms: readonly Room[], system: System): string =>
  [`units ${sheetUnit(system)}`, ...rooms.map((room) => `\n${formatRoom(room, system)}`)].join('\n') + '\n';
