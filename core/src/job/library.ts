import { GALLON, QUART, SQUARE_FOOT } from '../units/si.ts';
import type { Colour, Product } from './paints.ts';
import type { Survey } from './surveyed.ts';
import type { Family, PaintFamily, PrimerKind, Sheen, TintBase } from './vocabulary.ts';

/** Starting products: plainly named, invented, with common label values. A job copies them and may change its copy. */
const perGallon = (squareFeet: number) => (squareFeet * SQUARE_FOOT) / GALLON;
/** Five gallons are mixed in pale and middling colours only [starting judgement]. */
const BIG: readonly TintBase[] = ['white', 'middle'];
const usCans = (quart: number, gallon: number, five: number) => [
  { litres: QUART, price: quart, bases: null },
  { litres: GALLON, price: gallon, bases: null },
  { litres: 5 * GALLON, price: five, bases: BIG },
];
const STARTING = 'starting value, invented';

const finish = (
  id: string,
  name: string,
  family: PaintFamily | null,
  sheens: readonly Sheen[],
  rate: number,
  contrast: number,
  prices: [number, number, number],
): Product => ({
  id,
  name,
  role: 'finish',
  primer: 'none',
  serves: [],
  base: 'water-borne',
  family,
  sheens,
  scrub: null,
  labelRate: perGallon(rate),
  porousRate: null,
  solids: null,
  contrast,
  inColour: {},
  contrastRate: null,
  recoat: 120,
  dry: 60,
  tapeAfter: null,
  open: null,
  labelAir: null,
  labelRange: null,
  recoatBefore: null,
  cans: usCans(...prices),
  code: id.toUpperCase(),
  priced: null,
  source: STARTING,
  picked: null,
});
/** What a primer of a kind does besides: whatever leaves a film seals a patch [starting judgement; a label may say more]. */
export const PRIMER_SERVES: Readonly<Record<PrimerKind, readonly PrimerKind[]>> = {
  none: [],
  bonding: ['bonding', 'sealing'],
  blocking: ['blocking', 'sealing'],
  penetrating: ['penetrating'],
  board: ['board', 'sealing'],
  sealing: ['sealing'],
  undercoat: ['undercoat', 'sealing'],
};
const primer = (kind: PrimerKind, name: string, rate: number, prices: [number, number, number]): Product => ({
  ...finish(`primer-${kind}`, name, null, ['flat'], rate, 0.9, prices),
  role: 'primer',
  primer: kind,
  serves: PRIMER_SERVES[kind],
  recoat: 60,
  dry: 30,
});

export const STARTING_PRODUCTS: readonly Product[] = [
  finish(
    'paint-wall',
    'Wall paint, water-borne',
    'wall',
    ['flat', 'matte', 'eggshell', 'satin'],
    375,
    0.96,
    [2100, 5200, 23500],
  ),
  {
    ...finish(
      'paint-ceiling',
      'Ceiling paint, water-borne',
      'ceiling',
      ['flat', 'matte'],
      375,
      0.97,
      [1700, 3900, 17500],
    ),
    recoat: 90,
    dry: 45,
  },
  finish(
    'paint-trim',
    'Trim enamel, water-borne',
    'enamel',
    ['eggshell', 'satin', 'semi-gloss', 'gloss'],
    400,
    0.95,
    [2600, 6800, 31000],
  ),
  {
    ...finish(
      'paint-wet',
      'Wet-room paint, water-borne',
      'wet-room',
      ['matte', 'eggshell', 'satin'],
      375,
      0.96,
      [2500, 6300, 28500],
    ),
    scrub: 1,
  },
  {
    ...finish('paint-chalk', 'Chalk-type furniture paint', 'chalk-type', ['flat'], 350, 0.97, [2800, 8200, 37000]),
    recoat: 15,
    dry: 10,
  },
  finish(
    'paint-clear',
    'Clear finish, water-borne',
    'clear',
    ['matte', 'satin', 'gloss'],
    425,
    0.3,
    [2700, 7200, 32500],
  ),
  primer('bonding', 'Bonding primer', 350, [2200, 5600, 25500]),
  primer('blocking', 'Stain-blocking primer', 350, [2300, 6000, 27500]),
  primer('penetrating', 'Penetrating primer', 250, [1900, 4800, 21500]),
  primer('board', 'Board and sealing primer', 300, [1500, 3200, 13500]),
  primer('undercoat', 'Undercoat', 350, [1900, 4900, 22000]),
];

export const STARTING_COLOURS: readonly Colour[] = [
  { id: 'colour-wall', name: 'W1 warm white', hex: '#f4f1ea' },
  { id: 'colour-ceiling', name: 'W2 plain white', hex: '#f5f5f2' },
  { id: 'colour-trim', name: 'W3 soft white', hex: '#f2efe6' },
];

export const STARTING_FINISHES: Readonly<Record<string, { product: string; colour: string }>> = {
  'all:wall': { product: 'paint-wall', colour: 'colour-wall' },
  'all:ceiling': { product: 'paint-ceiling', colour: 'colour-ceiling' },
  'all:trim': { product: 'paint-trim', colour: 'colour-trim' },
};

/** How many holes a room has, said once for all of it. */
export const HOW_MANY = ['none', 'few', 'some', 'many'] as const;
export type HowMany = (typeof HOW_MANY)[number];
type Holes = Survey['repairs'];
const NO_HOLES: Holes = { pinhole: 0, coin: 0, large: 0, anchor: 0 };
/** What that comes to on each surface of a family [starting judgement]; counted surfaces go by their count. */
export const ROOM_HOLES: Readonly<Record<HowMany, Readonly<Record<Family, Holes>>>> = {
  none: { wall: NO_HOLES, ceiling: NO_HOLES, trim: NO_HOLES },
  few: { wall: { ...NO_HOLES, pinhole: 5 }, ceiling: NO_HOLES, trim: NO_HOLES },
  some: {
    wall: { pinhole: 10, coin: 2, large: 0, anchor: 2 },
    ceiling: { ...NO_HOLES, pinhole: 2 },
    trim: { ...NO_HOLES, pinhole: 2 },
  },
  many: {
    wall: { pinhole: 20, coin: 4, large: 1, anchor: 4 },
    ceiling: { ...NO_HOLES, pinhole: 5, coin: 1 },
    trim: { ...NO_HOLES, pinhole: 5 },
  },
};

const SURFACE: Survey = {
  substrate: 'drywall',
  texture: 'smooth',
  fibres: 'unknown',
  coat: 'water-borne',
  condition: 'sound',
  repairs: NO_HOLES,
  stains: [],
  porous: 'no',
  touched: [],
  colour: '#e6e0d2',
  sheen: 'matte',
  patches: [],
  wax: 'no',
  damp: 'no',
  fresh: false,
  raking: 'windows',
  level: 'unknown',
  solvent: 'not-done',
  drop: 'not-done',
  wipe: 'not-done',
  moisture: null,
  adhesion: null,
  built: null,
  zones: {},
};

/** What a survey says before anybody has looked: visible starting answers. */
export const STARTING_SURVEY: Readonly<Record<Family, Survey>> = {
  wall: SURFACE,
  ceiling: { ...SURFACE, sheen: 'flat', colour: '#efece4' },
  trim: { ...SURFACE, substrate: 'wood', sheen: 'semi-gloss', colour: '#ece8dc' },
};
