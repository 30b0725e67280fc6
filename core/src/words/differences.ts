import type { Difference, FieldDifference, Path } from '../job/differences.ts';
import { systemOf } from '../job/region.ts';
import type { Room } from '../job/measured.ts';
import { rows } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import { dayText } from '../units/day-text.ts';
import { formatLength } from '../units/length.ts';
import { formatMinutes, formatMoney, formatPercent, formatSpread, formatVolume } from '../units/quantities.ts';
import { formatTemperature } from '../units/temperature.ts';
import type { System } from '../units/si.ts';
import { said } from '../units/word.ts';
import { STARTING } from './defaults.ts';
import { openingWord, partWord } from './names.ts';
import { SURFACE, TRIM } from './terms.ts';

/** Differences of two copies of a job, as people choose between them: under which heading, of what, and what each side says. */
export interface DifferenceWords {
  readonly group: string;
  readonly title: string;
  readonly lines: readonly { readonly label: string; readonly here: string; readonly there: string }[];
}

const GROUPS: readonly (readonly [heading: string, members: readonly string[]])[] = [
  ['Survey', ['survey']],
  ['Specification', ['products', 'colours', 'finishes', 'decisions', 'practice', 'lines', 'orders']],
  ['Crew and plan', ['crew', 'pins', 'wanted', 'taken', 'learned']],
  ['Order and price', ['pricing', 'shelf', 'options', 'reserved', 'owned', 'prices', 'bought']],
];
const NOWHERE = '–';

/** Members whose name is not what they are called. */
const NAMES: Readonly<Record<string, string>> = {
  at: 'from its start, or above the floor',
  turn: 'corner at its end',
  bow: 'curve',
  sill: 'height above the floor',
  frame: 'depth of the lining',
  byId: '',
  cans: 'tins',
  labelRate: 'spreading rate on the label',
  porousRate: 'spreading rate on porous ground',
  contrast: 'contrast ratio',
  inColour: 'contrast ratios by colour',
  dry: 'touch dry',
  recoat: 'recoat after',
  open: 'open time',
  day: 'by the day',
  zone: 'time zone',
  closing: 'windows shut by',
  quiet: 'quiet hours',
  lead: 'lead paint before',
  asbestos: 'asbestos before',
  tins: 'tins sold',
  valid: 'quote valid for',
  each: 'each',
  hex: 'colour',
  settings: 'starting values',
};
/** “heightStart” is “height start”. */
const plain = (key: string): string =>
  NAMES[key] ??
  key.replace(/([a-z])([A-Z])/g, (_, a: string, b: string) => `${a} ${b.toLowerCase()}`).replace(/-/g, ' ');
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

type Show = (value: number, system: System, currency: string) => string;
const minutes: Show = (value) => formatMinutes(value);
const money: Show = (value, _, currency) => formatMoney(value, currency);
const spread: Show = (value, system) => formatSpread(value, system);
const length: Show = (value, system) => formatLength(value, system);
const share: Show = (value) => formatPercent(value);
const clock: Show = (value) => `${Math.floor(value / 60)}:${String(value % 60).padStart(2, '0')}`;
const degrees: Show = (value) => `${value}°`;
const NUMBERS: Readonly<Record<string, Show>> = {
  ...{ recoat: minutes, dry: minutes, open: minutes, tapeAfter: minutes, recoatBefore: minutes },
  ...{ labelRate: spread, porousRate: spread, contrastRate: spread, turn: degrees, bearing: degrees },
  ...{ pile: length, overhead: share, margin: share, tax: share, humidity: share, moisture: share },
  ...{ price: money, each: money, closing: clock, time: clock },
  litres: (value, system) => formatVolume(value, system),
  temperature: (value, system) => formatTemperature(value, system),
  surface: (value, system) => formatTemperature(value, system),
  draught: (value) => `${value} m/s`,
  valid: (value) => `${value} days`,
  steps: (value) => `${value} risers`,
  day: (value) => `day ${value + 1}`,
};

/** What ids of a document are called, in both copies. */
function namesOf(job: Job): [string, string][] {
  const rooms = rows(job.rooms);
  return [
    ...rooms.flatMap((room): [string, string][] => [
      [room.id, room.name],
      ...rows(room.walls).map((wall): [string, string] => [wall.id, `wall ${wall.label}`]),
      ...rows(room.openings).map((o): [string, string] => [o.id, said(openingWord(o), systemOf(job))]),
      ...rows(room.parts).map((p): [string, string] => [p.id, said(partWord(p), systemOf(job))]),
    ]),
    ...[...Object.values(job.products), ...Object.values(job.colours), ...job.crew.people].map(
      (named): [string, string] => [named.id, named.name],
    ),
    ...rows(job.options).map((option): [string, string] => [option.id, option.name]),
  ];
}
function roomOf(job: Job, id: string): string | null {
  for (const room of rows(job.rooms))
    if ([room.walls, room.openings, room.parts].some((table) => Object.hasOwn(table.byId, id))) return room.name;
  return null;
}

/** @returns how each difference is said, in the units and words of `here`. */
export function sayDifferences(here: Job, there: Job): (difference: Difference) => DifferenceWords {
  const system = systemOf(here);
  const names = new Map([...namesOf(there), ...namesOf(here)]);
  const wordOf = (part: string): string => {
    const known = { ...SURFACE, ...TRIM }[part as keyof typeof SURFACE];
    return names.get(part) ?? (known ? said(known, system) : plain(part));
  };
  /** A surface, a scope or a task by what its id is made of: those of a room with its name. */
  const place = (id: string): string => {
    const parts = id.split(/[/:|>]/).filter((part) => part && !/^\d+$/.test(part));
    const room = parts.map((part) => roomOf(here, part) ?? roomOf(there, part)).find((name) => name !== null);
    const words = parts.map((part) => (part === 'all' ? 'everywhere' : part === 'field' ? '' : wordOf(part)));
    return [...new Set([room ?? '', ...words])].filter(Boolean).join(', ');
  };
  const value = (what: unknown, key: string): string => {
    if (what === undefined || what === null || what === '') return NOWHERE;
    if (typeof what === 'boolean') return what ? 'yes' : 'no';
    if (typeof what === 'number')
      return NUMBERS[key]?.(what, system, here.currency) ?? String(Number(what.toPrecision(4)));
    if (typeof what === 'string')
      return /^\d{4}-\d\d-\d\d$/.test(what)
        ? dayText(what, here.region.dates)
        : (names.get(what) ?? what.replace(/-/g, ' '));
    if (Array.isArray(what)) return listOf(what, key);
    const members = what as Readonly<Record<string, unknown>>;
    if (typeof members['typed'] === 'string') return members['typed'];
    return Object.entries(members)
      .filter(([name, one]) => name !== 'id' && one !== null && one !== false && one !== '')
      .map(([name, one]) => `${plain(name)} ${value(one, name)}`)
      .slice(0, 6)
      .join(', ');
  };
  const listOf = (list: readonly unknown[], key: string): string => {
    if (!list.length) return 'none';
    const isStretch = (one: unknown): one is readonly [number, number] =>
      Array.isArray(one) && one.length === 2 && one.every((n) => typeof n === 'number');
    if (list.every(isStretch))
      return list.map(([a, b]) => `${clock(a, system, '')} to ${clock(b, system, '')}`).join(', ');
    const shown = list.slice(0, 6).map((one) => value(one, key === 'tins' ? 'litres' : key));
    return shown.join('; ') + (list.length > 6 ? ` and ${list.length - 6} more` : '');
  };
  const line = ({ path, here: a, there: b }: FieldDifference) => {
    const key = path.at(-1) ?? '';
    return { label: capital(path.map(wordOf).filter(Boolean).join(', ')), here: value(a, key), there: value(b, key) };
  };
  return ({ path, fields, here: a, there: b }) => {
    const group = groupOf(path, names);
    const title = titleOf(path, place, wordOf, system);
    const key = path.at(-1) ?? '';
    if (fields.length && !(fields.length === 1 && fields[0]?.path.length === 0))
      return { group, title, lines: fields.map(line) };
    const whole = (side: unknown): string =>
      isRoom(path) && side !== undefined
        ? roomText(side as Room)
        : side === undefined
          ? 'not there'
          : path[0] === 'taken'
            ? side
              ? 'a plan of its own'
              : NOWHERE
            : value(side, key) || 'there';
    return { group, title, lines: [{ label: '', here: whole(a), there: whole(b) }] };
  };
}

const isRoom = (path: Path): boolean => path.length === 3 && path[0] === 'rooms';
const roomText = ({ walls, openings, parts }: Room): string =>
  `there: ${walls.order.length} walls, ${openings.order.length} openings, ${parts.order.length} other things`;

function groupOf([member = '', , id = '']: Path, names: ReadonlyMap<string, string>): string {
  if (member === 'rooms') return `Measurements${names.has(id) ? `, ${names.get(id)}` : ''}`;
  return GROUPS.find(([, members]) => members.includes(member))?.[0] ?? 'The job itself';
}

/** Members whose things are named by a surface, a line or a task. */
const PLACED: ReadonlySet<string> = new Set([
  'survey',
  'finishes',
  'decisions',
  'lines',
  'pins',
  'wanted',
  'orders',
  'noted',
]);
const OF: Readonly<Record<string, string>> = {
  finishes: 'finish of',
  decisions: 'decided for',
  lines: 'line',
  pins: 'pinned:',
  wanted: 'wanted back:',
  orders: 'order of finishes in',
  noted: 'noted:',
  crew: 'crew:',
  practice: 'practice:',
  pricing: 'pricing:',
  prices: 'price of',
  owned: 'owned:',
  bought: 'bought:',
  reserved: 'kept for touching up:',
  taken: 'plan that was taken',
  region: 'where it is:',
  air: 'air:',
};
function titleOf(path: Path, place: (id: string) => string, wordOf: (part: string) => string, system: System): string {
  const [member = '', key = ''] = path;
  if (member === 'settings') return startingTitle(key, system);
  if (member === 'rooms') {
    const [, , , table = '', , id] = path;
    if (path.length <= 3) return path.length === 3 ? capital(wordOf(path[2] ?? '')) : 'Order of the rooms';
    if (path.at(-1) === 'order') return `Order of the ${table}`;
    return capital(table === 'trim' ? wordOf(path[4] ?? 'trim') : wordOf(id ?? table));
  }
  const rest = PLACED.has(member)
    ? place(key)
    : path
        .slice(1)
        .filter((part) => part !== 'byId')
        .map(wordOf)
        .join(', ');
  return capital([OF[member] ?? '', rest || plain(member)].filter(Boolean).join(' ').trim());
}
function startingTitle(key: string, system: System): string {
  const word = Object.hasOwn(STARTING, key) ? STARTING[key as keyof typeof STARTING] : key;
  return `Starting value: ${said(word, system)}`;
}
