import { MOST } from '../job/limits.ts';
import { HOW_MANY, type HowMany } from '../job/library.ts';
import { COUNTRIES, type Air, type Country } from '../job/region.ts';
import type { Survey } from '../job/surveyed.ts';
import * as v from '../job/vocabulary.ts';
import type { Minutes } from '../units/si.ts';
import type { Line } from './line.ts';
import { readScope, type SheetScope } from './sheet-scope.ts';
import {
  readFocal,
  readLineSaid,
  readOrder,
  readPractice,
  TECHNIQUE_WORDS,
  type TechniqueLine,
} from './technique-lines.ts';

/**
 * The lines of a tape sheet that say the job: where it is, who works when, in what air, what goes on, what is there now. Read
 * here into what they say; `job-sheet.ts` does it to a job once its rooms are known.
 */
export interface PaintLine {
  readonly kind: 'paint';
  readonly id: string;
  readonly name: string;
  readonly like: string;
  readonly spread: number | null;
  readonly contrast: number | null;
  readonly recoat: Minutes | null;
  readonly scrub: v.ScrubClass | null;
}
export interface FinishLine {
  readonly kind: 'finish';
  readonly scope: SheetScope;
  readonly product: string | null;
  readonly colour: { readonly hex: string; readonly name: string | null } | null;
  readonly sheen: v.Sheen | null;
}
export interface SurveyLine {
  readonly kind: 'survey';
  readonly scope: SheetScope;
  readonly set: Partial<Survey>;
  readonly holes: HowMany | null;
}
export interface CrewLine {
  readonly kind: 'crew';
  readonly name: string;
  readonly hours: readonly (readonly [Minutes, Minutes])[] | null;
  /** Pay for a day, minor units. */
  readonly day: number | null;
  readonly hand: v.Hand | null;
}
export type JobLine =
  | PaintLine
  | FinishLine
  | SurveyLine
  | CrewLine
  | TechniqueLine
  | { readonly kind: 'air'; readonly air: Pick<Air, 'temperature' | 'humidity' | 'draught'> }
  | { readonly kind: 'region'; readonly country: Country }
  | { readonly kind: 'use'; readonly use: v.RoomUse };

export const JOB_WORDS = ['region', 'paint', 'crew', 'air', 'use', 'finish', 'survey', ...TECHNIQUE_WORDS] as const;
export type JobWord = (typeof JOB_WORDS)[number];

const NUMBER = /-?\d+(?:\.\d+)?/y;
function number(line: Line, what: string, [least, most]: readonly [number, number]): number {
  const { column } = line;
  const found = line.take(NUMBER);
  const value = found === null ? NaN : Number(found);
  return value >= least && value <= most ? value : line.fail(`${what} is a number from ${least} to ${most}.`, column);
}
function whole(line: Line, what: string, ends: readonly [number, number]): number {
  const { column } = line;
  const value = number(line, what, ends);
  return Number.isInteger(value) ? value : line.fail(`${what} is a whole number.`, column);
}
/** A share, written `50%` or `0.5`. */
function share(line: Line, what: string): number {
  const value = number(line, what, [0, 100]);
  const isPercent = line.take(/%/y) !== null;
  return isPercent || value > 1 ? value / 100 : value;
}
function hex(line: Line): string {
  const { column } = line;
  return (line.take(/#[0-9a-f]{6}(?![0-9a-f])/iy) ?? line.fail('A colour is written #rrggbb.', column)).toLowerCase();
}
const QUOTED = /"(?:[^"\\]|\\.)*"/y;
/** A name where one follows between quotation marks. */
const named = (line: Line): string | null => (line.peek(QUOTED) ? line.name('A name').slice(0, MOST.name) : null);

const list = <T extends string>(line: Line, what: string, words: readonly T[]): T[] => {
  if (line.keyword('none')) return [];
  const found = [line.choice(what, words)];
  while (line.take(/,/y)) found.push(line.choice(what, words));
  return found;
};
const one =
  <K extends keyof Survey>(key: K, what: string, words: readonly (Survey[K] & string)[]) =>
  (line: Line): Partial<Survey> =>
    ({ [key]: line.choice(what, words) }) as Partial<Survey>;
const orNone = (line: Line, what: string, ends: readonly [number, number], read = number): number | null =>
  line.keyword('none') ? null : read(line, what, ends);
const yes = (line: Line): boolean => line.choice('This', ['yes', 'no'] as const) === 'yes';

/** Keys of a survey line, as the job file names them. */
const ANSWERS: Readonly<Record<string, (line: Line, before: Partial<Survey>) => Partial<Survey>>> = {
  substrate: one('substrate', 'A substrate', v.SUBSTRATES),
  texture: one('texture', 'A texture', v.TEXTURES),
  fibres: one('fibres', 'A test for asbestos', v.FIBRES),
  coat: one('coat', 'The existing coat', v.EXISTING_COATS),
  condition: one('condition', 'A condition', v.CONDITIONS),
  porous: one('porous', 'Porous', v.KNOWN),
  wax: one('wax', 'Wax', v.KNOWN),
  damp: one('damp', 'Damp', v.KNOWN),
  fresh: (line) => ({ fresh: yes(line) }),
  sheen: one('sheen', 'A sheen', v.SHEENS),
  raking: one('raking', 'Raking light', v.RAKING),
  level: one('level', 'A board level', v.BOARD_LEVELS),
  solvent: one('solvent', 'A solvent rub', v.SOLVENT_RUBS),
  drop: one('drop', 'A water drop', v.WATER_DROPS),
  wipe: one('wipe', 'A wipe', v.WIPES),
  stains: (line) => ({ stains: list(line, 'A stain', v.STAINS) }),
  touched: (line) => ({ touched: list(line, 'Who touches it', v.TOUCHERS) }),
  colour: (line) => ({ colour: hex(line) }),
  patches: (line) => {
    const patches = [hex(line)];
    while (line.take(/,/y)) patches.push(hex(line));
    return patches.length <= MOST.oldColours
      ? { patches }
      : line.fail(`A surface has at most ${MOST.oldColours} other old colours.`);
  },
  moisture: (line) => ({ moisture: orNone(line, 'A moisture reading', [0, 100]) }),
  adhesion: (line) => ({ adhesion: orNone(line, 'A cross-cut class', [0, 5], whole) }),
  built: (line) => ({ built: orNone(line, 'A year', [1000, 2100], whole) }),
  repairs: (line, before) => {
    const repairs = { pinhole: 0, coin: 0, large: 0, anchor: 0, ...before.repairs };
    do repairs[line.choice('A kind of hole', v.REPAIR_CLASSES)] = whole(line, 'The number of holes', [0, MOST.count]);
    while (line.take(/,/y));
    return { repairs };
  },
};
const KEYS = Object.keys(ANSWERS);

function readSurvey(line: Line): SurveyLine {
  const where = readScope(line);
  let set: Partial<Survey> = {};
  let holes: HowMany | null = null;
  while (!line.done) {
    if (line.keyword('holes')) {
      if (where.kind !== 'wall') line.fail('Holes are said once for a room: survey walls holes few.');
      holes = line.choice('The holes of a room', HOW_MANY);
      continue;
    }
    const key =
      KEYS.find((word) => line.keyword(word)) ??
      line.fail(`“${line.rest().slice(0, 30)}” is no question of a survey; ${KEYS.join(', ')} and holes are.`);
    set = { ...set, ...ANSWERS[key]?.(line, set) };
  }
  if (!holes && !Object.keys(set).length) line.fail('Say what is there: survey walls coat oil condition sound.');
  return { kind: 'survey', scope: where, set, holes };
}

function readFinish(line: Line): FinishLine {
  const where = readScope(line);
  let product: string | null = null;
  let colour: FinishLine['colour'] = null;
  let sheen: v.Sheen | null = null;
  while (!line.done)
    if (line.keyword('product')) product = line.name('A paint');
    else if (line.keyword('colour') || line.keyword('color')) colour = { hex: hex(line), name: named(line) };
    else if (line.keyword('sheen')) sheen = line.choice('A sheen', v.SHEENS);
    else break;
  if (!product && !colour && !sheen)
    line.fail('Say what goes on: finish walls product paint-wall colour #f4f1ea "Warm white" sheen matte.');
  return { kind: 'finish', scope: where, product, colour, sheen };
}

const STRETCH = /(\d{1,2})(?::(\d\d))?\s*[-–]\s*(\d{1,2})(?::(\d\d))?/y;
function readCrew(line: Line): CrewLine {
  const name = line.name('The name of a painter');
  if (!name.trim() || name.length > MOST.name) line.fail('A painter has a name of 1 to 80 characters.');
  const hours: [Minutes, Minutes][] = [];
  let day: number | null = null;
  let hand: v.Hand | null = null;
  while (!line.done)
    if (line.keyword('hours'))
      do {
        const found = line.peek(STRETCH) ?? line.fail('Hours are stretches of the day: hours 8-12, 12:45-17.');
        line.take(STRETCH);
        const at = (hour?: string, minute = '0') => Number(hour) * 60 + Number(minute);
        hours.push([at(found[1], found[2]), at(found[3], found[4])]);
      } while (line.take(/,/y));
    else if (line.keyword('day')) day = Math.round(number(line, 'Pay for a day', [0, 1e7]) * 100);
    else if (line.keyword('hand')) hand = line.choice('A hand', v.HANDS);
    else break;
  return { kind: 'crew', name, hours: hours.length ? hours : null, day, hand };
}

function readPaint(line: Line): PaintLine {
  const { column } = line;
  const id = line.token('The key of the paint');
  if (!/^[A-Za-z][\w-]{0,60}$/.test(id))
    line.fail('A key is letters, figures and hyphens, such as paint-mine.', column);
  const name = line.name('Its name, between quotation marks,');
  if (!line.keyword('like')) line.fail('Say which paint it is like: paint paint-mine "Mine" like paint-wall.');
  const like = line.name('A paint');
  const said = { spread: null, contrast: null, recoat: null, scrub: null } as {
    spread: number | null;
    contrast: number | null;
    recoat: number | null;
    scrub: v.ScrubClass | null;
  };
  while (!line.done)
    if (line.keyword('spread')) said.spread = number(line, 'A spread rate, m2/L,', [0.5, 100]);
    else if (line.keyword('contrast')) said.contrast = share(line, 'A contrast ratio');
    else if (line.keyword('recoat')) said.recoat = number(line, 'A recoat time, minutes,', [0, 100_000]);
    else if (line.keyword('scrub')) {
      const known = number(line, 'A scrub class', [1, 5]);
      said.scrub = v.SCRUB_CLASSES.find((one) => one === known) ?? line.fail('A scrub class is 1, 2, 3, 4 or 5.');
    } else break;
  return { kind: 'paint', id, name: name.slice(0, MOST.name), like, ...said };
}

const READ: Readonly<Record<JobWord, (line: Line) => JobLine>> = {
  region: (line) => ({ kind: 'region', country: line.choice('A country', COUNTRIES) }),
  paint: readPaint,
  crew: readCrew,
  air: (line) => {
    const temperature = number(line, 'A temperature, degrees Celsius,', [-20, 60]);
    const humidity = share(line, 'A relative humidity');
    const draught = line.done ? 0.1 : number(line, 'A draught, m/s,', [0, 10]);
    return { kind: 'air', air: { temperature, humidity, draught } };
  },
  use: (line) => ({ kind: 'use', use: line.choice('What a room is used for', v.ROOM_USES) }),
  finish: readFinish,
  survey: readSurvey,
  practice: readPractice,
  focal: readFocal,
  line: readLineSaid,
  order: readOrder,
};

/** What a line of the sheet says of the job, by its first word. @throws the line’s own fault, with its column. */
export const readJobLine = (word: JobWord, line: Line): JobLine => READ[word](line);
