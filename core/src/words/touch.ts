import { aboutLength } from '../units/length.ts';
import { INCH } from '../units/si.ts';
import { counted, inBoth, phrase, type Word } from '../units/word.ts';
import { across } from './systems.ts';
import { THE } from './terms.ts';

/** What is said of touching up: answers, reasons, what would change them, and how it is done. */
export const VERDICT = {
  brush: 'Brush the spots',
  'mini-roller': 'A small roller on the spots, feathered thin',
  thinned: phrase`Thinned a little, as a last try before the whole wall`,
  wall: 'The whole wall, corner to corner',
  neighbours: 'The wall and those beside it',
  room: 'All walls of the room',
} as const satisfies Readonly<Record<string, Word>>;
/** The same of trim, whose ends are its joints. */
export const TRIM_VERDICT: Readonly<Record<keyof typeof VERDICT, Word>> = {
  ...VERDICT,
  wall: 'All of it, from joint to joint',
  neighbours: 'All of it, and what it runs into',
  room: 'All trim of the room',
};

const delta = (value: number): string => `ΔE ${value.toFixed(1)}`;
const size = (metres: number): Word => inBoth((system) => aboutLength(metres, system));

/** Why, by rule; `value` is the figure it goes by. */
export const TOUCH_REASON = {
  size: (value: number) => phrase`the largest place is about ${size(value)} across`,
  patches: (value: number) => (value === 1 ? 'one place' : phrase`${value} places: more to be found`),
  fade: (value: number) =>
    value < 0.1
      ? phrase`light has hardly changed the colour`
      : `light has changed the colour by ${delta(value)} since it was painted`,
  batch: (value: number) => `another batch, or one that nobody knows, differs by about ${delta(value)}`,
  gloss: (value: number) =>
    phrase`about ${value.toFixed(1)} gloss units from another ${THE.cover}, another hand, another day`,
  sheen: (value: number) => `a sheen of about ${value} gloss units, which a spot breaks`,
  deep: (value: number) => `a deep colour (L* ${value.toFixed(0)}) shows each edge`,
  'deep-no': (value: number) => `deep reds, browns and greens (L* ${value.toFixed(0)}) do not touch up`,
  raked: () => 'light grazes it, and shows every change of film',
  'thin-build': (value: number) =>
    value > 1
      ? 'sprayed and not rolled out: a brush or roller looks otherwise'
      : 'a builder’s thin sprayed coat: it drinks, and a touch-up shows',
  sprayed: () => 'sprayed and rolled out: a roller comes near it',
  'paint-unknown': () => 'nobody knows the paint: it has to be matched',
  'paint-other': () => phrase`another paint: product, colour, sheen and batch have to be the same, or it shows`,
  trim: () => 'trim is laid off in one, from joint to joint',
} as const satisfies Readonly<Record<string, (value: number) => Word>>;

export const TOUCH_CHANGE = {
  batch: 'with paint of the same batch',
  cover: phrase`with the same ${THE.cover}, fabric and ${THE.pile}`,
  paint: 'with the very paint that is on it',
  smaller: phrase`if it were one place no larger than ${across(1.2 * INCH)}`,
  raked: 'if no light grazed it',
  flat: 'if it were flat',
} as const satisfies Readonly<Record<string, Word>>;

const WAIT = phrase`Let it dry before you judge: wet paint is another colour`;
const BEFORE = 'Fill, sand, dust; prime what is bare, or it flashes';
const coats = (n: number): Word => phrase`${counted(n, 'thin coat')}, each dry before the next`;
/** How each answer is done, step by step. */
export const TOUCH_STEPS: Readonly<Record<keyof typeof VERDICT, (times: number) => readonly Word[]>> = {
  brush: (n) => [
    BEFORE,
    'Stir, and take the least that will do',
    'Tips of the bristles only, or of a foam brush; strokes outward from the middle, the edge left to nothing',
    coats(n),
    WAIT,
  ],
  'mini-roller': (n) => [
    BEFORE,
    phrase`A small ${THE.cover} of the fabric and ${THE.pile} that the wall was rolled with, nearly dry`,
    'From the middle outward, pressing less and less, to nothing at the edge',
    coats(n),
    WAIT,
  ],
  thinned: (n) => [
    BEFORE,
    'Thin a little of the paint, by no more than 5 %, with what its label names; try it where nobody looks',
    'Feather it out over twice the place',
    coats(n),
    WAIT,
    'Seen all the same? Then the wall, corner to corner',
  ],
  wall: (n) => [
    BEFORE,
    'Cut in and roll the wall from corner to corner, wet edge kept: an inside corner hides what little is left',
    coats(n),
    WAIT,
  ],
  neighbours: (n) => [
    BEFORE,
    'The wall and those beside it, corner to corner: the old ones have faded too, and the corner would tell',
    coats(n),
    WAIT,
  ],
  room: (n) => [BEFORE, 'All walls, as a new job', coats(n), WAIT],
};
