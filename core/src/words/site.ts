import type { ClockKind, DayPart, Floor, Level, Oddity, StopReason, TaskKind } from '../job/vocabulary.ts';
import { across } from './systems.ts';
import { INCH } from '../units/si.ts';
import { capital, phrase, type Word } from '../units/word.ts';
import { THE } from './terms.ts';

/** Things to be done before, during and at the end of a painter's day. */
export const DAY_ITEMS = {
  cloths: 'Floor and furniture covered before tools come in',
  power: 'Power off at the board, and tested, before a plate comes off; screws bagged by room',
  detectors: 'Detectors covered, each noted here: none stays covered tonight',
  draught: phrase`Windows and doors shut: no draught where paint is rolled`,
  rag: 'A wet rag in the pocket',
  stir: 'Paint stirred to the bottom of the can, and strained',
  box: phrase`Cans of one colour boxed: mixed in one bucket`,
  'rim-holes': 'Holes punched in the groove of the rim, so that it drains',
  'rim-band': 'A band across the can to wipe the brush on: the rim stays clean',
  lint: phrase`${capital(THE.cover)} rid of lint: pinched along, rolled over tape, damped and spun`,
  'brush-water': phrase`Brush damped with water and shaken out; loaded about ${across(INCH)}, paint kept off the ferrule`,
  'brush-oil': phrase`Natural bristle, dipped in thinner and wiped; loaded about ${across(INCH)}, paint kept off the ferrule`,
  rest: 'First load rests a minute in the cover before it meets the wall',
  filler: 'Filler smoothed with a damp blade, then felt by hand with the eyes shut',
  floor: 'Edges looked at from the floor, where they are seen from',
  setting: 'What begins to set is left alone',
  wrap: 'Covers and brushes wrapped airtight; trays covered',
  misses: 'A last look for misses, from the side, before anything is washed',
  uncover: 'Detectors uncovered',
  waxed: 'Sashes dry and waxed where they meet, then shut',
  windows: 'Windows shut',
  levels: 'What is left in each can dipped and noted; rims wiped, lids on',
  'wash-water': 'Brushes and covers washed until the water runs clear, spun, combed, laid flat',
  'wash-oil':
    'Brushes cleaned in thinner until it stays clear, combed, laid flat; thinner kept for settling, never down a drain',
  bag: 'Brushes wrapped airtight in their own shape, covers airtight; chilled keeps longer, away from food',
  rags: 'Rags with oil or oily wax laid flat outside, or kept under water',
  vinegar: 'A hardened brush: hot vinegar for 20 to 30 minutes, then combed',
} as const satisfies Readonly<Record<string, Word>>;
export type DayItem = keyof typeof DAY_ITEMS;

/** What a clock runs for. */
export const CLOCKS: Readonly<Record<ClockKind, Word>> = {
  edge: 'Wet edge: met by',
  skin: 'Caulk skins',
  close: 'Not later than',
  'recoat-by': 'Next coat by',
  touch: 'Dry to the touch',
  opens: 'May begin',
  cure: 'Cured: may be washed',
};
/** What sets or closes, where being late costs something. */
export const CLOSING: ReadonlySet<ClockKind> = new Set<ClockKind>(['edge', 'skin', 'close', 'recoat-by']);

export const STOPPED: Readonly<Record<StopReason, Word>> = {
  break: 'a break',
  waits: 'it has to wait',
  trouble: 'something is wrong',
  helping: 'helping somewhere else',
  'day-over': 'the day is over',
  'went-on': 'went on to something else',
};
export const LEVEL_BY: Readonly<Record<Level, Word>> = { dip: 'by dip', weight: 'by weight', eye: 'by eye' };
export const DAY_PART: Readonly<Record<DayPart, Word>> = {
  before: 'Before you begin',
  during: 'While you work',
  break: 'Before a break',
  end: 'Before you go',
};
export const ODD: Readonly<Record<Oddity, Word>> = {
  early: 'begun before what it waits for was done or dry',
  'done-first': 'done, though nobody began it: its minutes are not known',
  again: 'said twice: the first counts',
  'not-on-it': 'stopped, though nobody was on it',
  'not-covered': 'uncovered, though it was not noted as covered',
  clock: 'the clock of this device ran ahead: taken to be of the time of its next entry',
  impossible: 'corrects an entry to what it cannot be: that one stands as it was',
  circle: 'corrections that correct each other: none of them counts',
};

/** Kinds of work, as a pace is told of them. */
export const WORK_KIND: Readonly<Record<TaskKind, Word>> = {
  protect: 'covering',
  wash: 'washing',
  fill: 'filling',
  sand: 'sanding',
  caulk: 'caulking',
  spot: 'spot-priming',
  'prime-cut': 'cutting in primer',
  'prime-roll': 'rolling primer',
  'prime-brush': 'priming by brush',
  mask: 'masking',
  card: 'setting card',
  lap: 'laying laps',
  cut: 'cutting in',
  roll: 'rolling',
  wet: 'cutting in and rolling',
  brush: 'painting trim and doors',
  wax: 'waxing',
  unmask: 'pulling tape',
  look: 'looking over',
  mend: 'mending',
  'touch-up': 'touching up',
  clear: 'clearing',
};

/** What is done about a drip on the floor. */
export const DRIP: Readonly<Record<Floor, Word>> = {
  unknown: 'A drip on the floor: wet rag at once, until you know that the floor is sealed',
  sealed: 'A drip on a sealed floor: let it harden, then lift it with a plastic blade',
  porous: 'A drip on a porous floor: wet rag at once',
  carpet: 'A drip on carpet: lifted with a blade, dabbed with a wet rag, never rubbed',
};

/** A rate over the planned one, as people say it: “12 % quicker”. */
export function rateWord(log: number, more: string, less: string): string {
  const share = Math.exp(log) - 1;
  return Math.abs(share) < 0.005 ? 'as planned' : `${Math.round(Math.abs(share) * 100)} % ${share > 0 ? more : less}`;
}
