import type {
  AccentSchool,
  Base,
  BoardLevel,
  Bristle,
  BrushShape,
  CoatStyle,
  Division,
  Condition,
  ExistingCoat,
  Fabric,
  FixtureWay,
  Hand,
  LineKind,
  LineMethod,
  OpeningKind,
  PaintFamily,
  PartKind,
  PrepStep,
  PrimerKind,
  PieceFace,
  StrokeKind,
  Change,
  Pull,
  RepairClass,
  RoomUse,
  Seal,
  Sheen,
  Stain,
  Substrate,
  SurfaceKind,
  TapeSchool,
  Spread,
  LayOff,
  FirstCoats,
  DoorSchool,
  Skill,
  WetMethod,
  WetSchool,
  TapeStay,
  Texture,
  TintBase,
  Toucher,
  TrimKind,
  TrimOrder,
  Rim,
  Washing,
} from '../job/vocabulary.ts';
import { both, pair, phrase, type Word } from '../units/word.ts';

/**
 * The registry of what things are called, in the middle of a sentence: a row for each value of a published enum, a pair where
 * America and Britain differ [common practice, no source]. Nowhere else is a key turned into a word.
 */
export type Words<K extends string> = Readonly<Record<K, Word>>;

export const SHEEN: Words<Sheen> = {
  flat: 'flat',
  matte: pair('matte', 'matt'),
  eggshell: 'eggshell',
  satin: 'satin',
  'semi-gloss': 'semi-gloss',
  gloss: 'gloss',
};
export const SUBSTRATE: Words<Substrate> = {
  drywall: pair('drywall', 'plasterboard'),
  plaster: 'plaster',
  wood: 'wood',
  mdf: 'MDF',
  metal: 'metal',
  masonry: 'masonry',
  unknown: 'unknown',
};
export const TEXTURE: Words<Texture> = {
  smooth: 'smooth',
  'orange-peel': 'orange peel',
  knockdown: 'knockdown',
  'rough-plaster': 'rough plaster',
  popcorn: 'popcorn',
  brick: 'brick',
  'deep-stucco': 'deep stucco',
  grain: 'wood grain',
};
export const COAT: Words<ExistingCoat> = {
  'water-borne': 'water-based',
  oil: 'oil',
  clear: 'clear',
  bare: 'bare',
  unknown: 'unknown',
};
export const BASE: Words<Base> = { 'water-borne': 'water-based', oil: 'oil' };
export const CONDITION: Words<Condition> = {
  sound: 'sound',
  chalky: 'chalky',
  peeling: 'peeling',
  weak: 'weak',
  unknown: 'unknown',
};
/** One, and several. */
export const HOLES: Readonly<Record<RepairClass, readonly [one: Word, many: Word]>> = {
  pinhole: ['pinhole', 'pinholes'],
  coin: ['coin-size hole', 'coin-size holes'],
  large: ['larger hole', 'larger holes'],
  anchor: ['anchor', 'anchors'],
};
export const STAIN: Words<Stain> = {
  water: 'water',
  smoke: 'smoke',
  grease: 'grease',
  tannin: 'tannin',
  rust: 'rust',
  ink: 'ink',
  other: 'other',
};
export const TOUCHER: Words<Toucher> = { hands: 'hands', children: 'children', pets: 'pets' };
export const LEVEL: Words<BoardLevel> = { unknown: 'an unknown level', 3: 'Level 3', 4: 'Level 4', 5: 'Level 5' };
export const ROOM_USE: Words<RoomUse> = {
  living: 'living',
  bedroom: 'bedroom',
  kitchen: 'kitchen',
  bathroom: 'bathroom',
  hall: 'hall',
  other: 'other',
};

export const PREP: Words<PrepStep | 'between'> = {
  'plates-off': 'plates off',
  'hardware-off': 'hardware off',
  wash: 'wash',
  degrease: 'degrease',
  scrape: 'scrape',
  fill: 'fill',
  degloss: pair('degloss', 'key'),
  sand: 'sand',
  dust: 'dust',
  wipe: 'wipe damp',
  caulk: 'caulk',
  between: 'rub between coats',
};
export const PRIMER: Words<PrimerKind> = {
  none: 'none',
  bonding: 'bonding primer',
  blocking: 'blocking primer',
  penetrating: 'penetrating primer',
  board: pair('drywall primer', 'plasterboard primer'),
  sealing: 'sealing primer',
  undercoat: 'undercoat',
};
export const FAMILY: Words<PaintFamily> = {
  wall: 'wall paint',
  'wet-room': 'wall paint for wet rooms',
  ceiling: 'ceiling paint',
  enamel: 'water-based enamel',
  'oil-enamel': 'oil enamel',
  'chalk-type': 'chalk-type paint',
  clear: 'clear finish',
};
export const STYLE: Words<CoatStyle> = {
  equal: 'equal coats',
  'thin-then-full': 'a thin coat, then full ones',
  'one-heavy': 'one heavy coat',
};
export const FABRIC: Words<Fabric> = {
  microfibre: pair('microfiber', 'microfibre'),
  woven: 'woven',
  'nylon-polyester': 'nylon-polyester',
  foam: 'foam',
  mohair: 'mohair',
};
export const BRUSH: Words<BrushShape> = { 'angled-sash': 'angled sash', flat: 'flat', fine: 'fine' };
export const BRISTLE: Words<Bristle> = { synthetic: 'synthetic', natural: 'natural' };
export const TINT_BASE: Words<TintBase> = { white: 'white', middle: 'middle', deep: 'deep' };
export const TRIM_ORDER: Words<TrimOrder> = {
  'trim-first': 'trim first',
  'trim-last': 'trim last',
  'one-day': 'all in a day',
  cheapest: 'what costs least',
};
export const ACCENT: Words<AccentSchool> = {
  cheapest: 'what costs least',
  'laps-out': 'laps out first',
  'cut-last': 'is cut last',
};
export const PULL: Words<Pull> = { wet: 'while it is wet', tacky: 'when it is tacky', dry: 'dry, scored' };
export const TAPING: Words<TapeSchool> = { 'by-ground': 'as the ground asks', 'caulk-all': 'every edge caulked' };
export const SPREAD: Words<Spread> = { zigzag: 'in a zigzag, its gaps filled', upright: 'in upright strokes' };
export const LAY_OFF: Words<LayOff> = { 'up-and-back': 'upward and back in one', down: 'downward only' };
export const FIRST_COAT: Words<FirstCoats> = {
  'cut-first': 'cut short of the line, then rolled',
  'roll-first': 'rolled, then cut',
};
export const DOORS: Words<DoorSchool> = {
  rolled: 'rolled all over, then brushed out',
  pieces: 'piece by piece',
};
export const WET_SCHOOL: Words<WetSchool> = {
  'as-needed': 'alone; two where a mark would be seen',
  alone: 'always alone',
  pair: 'always two: one cuts, one follows',
  'cut-all': 'all edges first, rolled when they are dry',
};
export const DIVISION: Words<Division> = {
  free: 'whoever is free takes what comes next',
  'ceilings-walls': 'one on ceilings, one on walls',
  'mask-lap': 'one masks while another laps and cuts',
  'seal-cut-roll': 'three: one seals the tape, one cuts, one rolls and pulls it',
};
export const WASHING: Words<Washing> = {
  daily: 'washed every evening: paint creeps into the ferrule',
  bagged: 'wrapped airtight to their shape, washed when the paint changes',
};
export const RIM: Words<Rim> = {
  holes: 'holes in the groove, so that it drains',
  band: 'a band across the can to wipe the brush on',
};
export const SKILL: Words<Skill> = {
  prepare: 'prepare',
  cut: 'cut in',
  roll: 'roll',
  brush: 'brush trim and doors',
  mask: 'mask and pull tape',
};
export const HAND: Words<Hand> = { right: 'right-handed', left: 'left-handed' };
export const METHOD: Words<LineMethod> = {
  freehand: 'freehand',
  straightened: 'freehand, once it is sanded and run with a fine bead',
  tape: 'burnished tape',
  'tape-sealed': 'tape, its edge sealed',
  'tape-caulked': 'tape, its edge caulked',
  shield: 'a shield',
  edger: 'an edger',
  wrap: 'freehand, from where the wrap-round roller left off',
};
/** Strokes of a play, as they are told while they are made. */
export const STAYS: Words<TapeStay> = { first: 'the first coat only', last: 'the last coat only', all: 'all coats' };

export const TRIM: Words<TrimKind | 'casing'> = {
  baseboard: pair('baseboard', 'skirting'),
  crown: pair('crown', 'cornice'),
  'chair-rail': pair('chair rail', 'dado rail'),
  'picture-rail': 'picture rail',
  casing: pair('casing', 'architrave'),
};
export const OPENING: Words<OpeningKind> = { door: 'door', window: 'window', opening: 'opening' };
export const PART: Words<PartKind> = {
  dado: 'dado',
  panel: 'panel',
  frieze: 'frieze',
  tile: 'tile',
  cabinet: 'cabinet',
  soffit: 'soffit',
  recess: 'recess',
  pilaster: 'pilaster',
  closet: 'closet',
  column: 'column',
  'round-column': 'round column',
  beam: 'beam',
  'half-wall': 'half wall',
  hatch: 'hatch',
  skylight: 'skylight',
  tray: 'tray',
  stringer: 'stringer',
  spindles: 'spindles',
  handrail: 'handrail',
  radiator: 'radiator',
  shelf: 'shelf',
  'built-in': 'built-in',
  furniture: 'furniture',
  drum: 'drum',
  cone: 'cone',
  plate: 'plate',
  socket: 'socket',
  light: 'light',
  detector: 'detector',
  vent: 'vent',
  rod: 'rod',
  mirror: 'mirror',
  fixing: 'fixing',
};
/** What is done about a fixture. */
export const WAY: Words<FixtureWay> = {
  off: 'taken off, and back on',
  masked: 'masked where it is',
  cut: 'cut round',
  covered: 'covered, and uncovered every day',
  replaced: 'taken off, a new one on',
  painted: 'painted',
  filled: 'out, and its hole filled',
  stays: 'out and back: what hung there comes back',
};
/** How chalk-type paint is ended. */
export const SEALED: Words<Seal> = {
  none: 'nothing over it',
  'clear-wax': 'clear wax',
  'dark-wax': 'dark wax over clear',
  worn: 'raised edges worn through, clear wax',
  highlight: 'a lighter highlight, clear wax',
};
export const SURFACE: Words<SurfaceKind> = {
  ceiling: 'ceiling',
  wall: 'wall',
  ...TRIM,
  door: 'door',
  frame: 'lining',
  sash: 'sash',
  board: 'window board',
  stair: 'stair',
  piece: 'piece',
};
export const LINE: Words<LineKind> = {
  'wall-ceiling': 'wall to ceiling',
  'wall-crown': phrase`wall to ${TRIM.crown}`,
  'crown-ceiling': phrase`${TRIM.crown} to ceiling`,
  corner: 'corners',
  'wall-baseboard': phrase`wall to ${TRIM.baseboard}`,
  'wall-floor': 'wall to floor',
  'wall-stair': 'wall to stairs',
  'wall-casing': phrase`wall to ${TRIM.casing}`,
  'wall-opening': 'wall to opening',
  'wall-board': 'wall to window board',
  'wall-chair-rail': phrase`wall to ${TRIM['chair-rail']}`,
  'wall-picture-rail': phrase`wall to ${TRIM['picture-rail']}`,
  region: 'between finishes on a wall',
  cover: 'round what hides wall',
  fixture: 'round fixtures',
  'baseboard-floor': phrase`${TRIM.baseboard} to floor`,
  'casing-frame': phrase`${TRIM.casing} to lining`,
  'frame-leaf': 'lining to door',
};
/** “Doors”, “sashes”, “skirtings”. */
export const surfacesWord = (kind: SurfaceKind): Word =>
  kind === 'sash' ? 'sashes' : both(SURFACE[kind], (one) => `${one}s`);

/** Words of the trade that are no value of an enum. */
export const THE = {
  cover: pair('cover', 'sleeve'),
  rollerCover: pair('roller cover', 'roller sleeve'),
  pile: pair('nap', 'pile'),
  can: pair('can', 'tin'),
  dropCloth: pair('drop cloth', 'dust sheet'),
  mould: pair('mold', 'mould'),
} as const satisfies Readonly<Record<string, Word>>;

export const STROKE: Words<StrokeKind> = {
  cut: 'cut in',
  'cut-again': 'cut in again, when it is dry',
  'back-roll': 'roll over the band',
  rest: phrase`let the new ${THE.cover} rest`,
  dip: 'load the roller, let it drain',
  spread: 'spread, back into the wet',
  ends: 'top and bottom',
  'lay-off': 'lay off',
  'roll-face': 'roll the whole face',
  edge: 'an edge, little paint',
  reveal: phrase`mouldings of a panel`,
  panel: 'a panel',
  muntin: 'a muntin',
  rail: 'a rail',
  stile: 'a stile, top to bottom',
  bar: 'a bar',
  run: 'a section, strokes one way',
  piece: 'a face',
  look: 'look for drips',
};
export const FACE: Words<PieceFace> = {
  all: 'all of it, along its length',
  back: 'the back',
  ribs: 'between the ribs',
  underside: 'the underside',
  inside: 'the inside',
  shelves: 'the shelves',
  ends: 'the ends',
  sides: 'the sides',
  head: 'the head',
  bottom: 'the bottom',
  front: 'the front',
  'front-edge': 'the front edge',
  top: 'the top',
  round: 'the round',
  mantle: 'the mantle',
  shaft: 'the shaft',
  move: 'move the sash, so that it does not stick',
};

export const CHANGE: Words<Change> = {
  whole: 'all of it in one go',
  sections: 'section by section',
  conditioner: 'flow conditioner',
  undosed: 'no flow conditioner',
  second: 'a second person',
  wider: 'a wider roller',
  hour: 'another hour of the day',
  shut: 'windows and doors shut',
};
export const WET_METHOD: Words<WetMethod> = {
  whole: 'cut it, roll it in one go',
  sections: 'section by section',
  follow: 'one cuts, one rolls behind',
  two: 'two, from the middle outwards',
  'dry-edges': 'all edges first, rolled when they are dry',
  face: 'a face in one go',
};
