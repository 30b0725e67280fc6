import { setting, type DefaultKey } from '../job/defaults.ts';
import type { Product } from '../job/paints.ts';
import type { Job } from '../job/types.ts';
import type { LabourGroup, OperationKind, RepairClass, TaskKind, Tool } from '../job/vocabulary.ts';
import type { Minutes } from '../units/si.ts';
import { phrase, type Word } from '../units/word.ts';
import { THE } from '../words/terms.ts';

/** What dries after an operation. */
export interface Wet {
  readonly job: Pick<Job, 'settings'>;
  /** What was laid; null: no paint. */
  readonly product: Product | null;
  /** Of a visit that fills: the deepest hole that is filled further; null: none, or only skims. */
  readonly deepest: RepairClass | null;
}
export interface Lags {
  /** Until it may be cut against, masked or worked beside. */
  readonly touch: Minutes;
  /** Until the next coat, or the next thing done to the same place. */
  readonly next: Minutes;
}
/** What the words of an operation may say. */
export interface Said {
  /** The surface; empty for a room. */
  readonly name: Word;
  readonly coat: number;
}

interface OperationRule {
  readonly scope: 'day' | 'room' | 'surface' | 'line';
  readonly word: (of: Said) => Word;
  /** What it is measured in, and how much of that is done in a minute, or how many minutes one takes. */
  readonly quantity: 'm2' | 'm' | 'each';
  readonly pace: DefaultKey;
  /** The pace above the head. */
  readonly overhead?: DefaultKey;
  /** How many may share it at one time. */
  readonly people: readonly [least: number, most: number];
  readonly interruptible: boolean;
  /** It leaves a wet film of paint. */
  readonly wet: boolean;
  /** null: nothing that has to dry. */
  readonly dries: ((wet: Wet) => Lags) | null;
  readonly dusty: boolean;
  /** Done by one person in their order: nobody takes a plate off while another is still at the board. */
  readonly together?: 'power';
  readonly tool: Tool;
  /** Later coats are quicker. */
  readonly quickens: boolean;
  /** The texture of the ground costs time, and so does small work on trim, doors and pieces. */
  readonly rough: boolean;
  readonly narrow: boolean;
  /** The go of work it belongs to, and the line of the price. */
  readonly task: TaskKind | null;
  readonly group: LabourGroup;
}

const alike = (minutes: Minutes): Lags => ({ touch: minutes, next: minutes });
const coat = ({ product }: Wet): Lags => ({ touch: product?.dry ?? 0, next: product?.recoat ?? 0 });
const water = ({ job }: Wet): Lags => alike(setting(job, 'dry.wash'));
const bead = ({ job }: Wet): Lags => alike(setting(job, 'dry.caulk'));
/** Filler by its depth: what is skimmed for the last time, or was shallow, soon dries. */
const FILLER: Readonly<Record<RepairClass, DefaultKey>> = {
  pinhole: 'dry.thin',
  anchor: 'fill.dry',
  coin: 'fill.dry',
  large: 'dry.deep',
};
const filler = ({ job, deepest }: Wet): Lags => alike(setting(job, deepest ? FILLER[deepest] : 'dry.thin'));

/** Done by one or two, put down and taken up again, nothing left wet. */
const steady = {
  people: [1, 2],
  interruptible: true,
  wet: false,
  dries: null,
  dusty: false,
  quickens: false,
  rough: false,
  narrow: false,
  tool: 'none',
} as const;
const opening = { ...steady, scope: 'room', quantity: 'each', task: 'protect', group: 'protect' } as const;
const closing = { ...steady, scope: 'room', quantity: 'each', task: 'clear', group: 'clear' } as const;
/** A step of preparation over the area of a surface. */
const step = { ...steady, scope: 'surface', quantity: 'm2', rough: true, narrow: true, group: 'prep' } as const;
const film = {
  ...steady,
  scope: 'surface',
  people: [1, 1],
  interruptible: false,
  wet: true,
  dries: coat,
  quickens: true,
} as const;
const brushed = { ...film, quantity: 'm', tool: 'brush' } as const;
const rolled = { ...film, quantity: 'm2', tool: 'roller', rough: true } as const;
/** A dab is thin: touch-dry will do. */
const dabbed = {
  ...steady,
  scope: 'surface',
  quantity: 'each',
  pace: 'spot.each',
  wet: true,
  dries: (dab: Wet) => alike(coat(dab).touch),
  tool: 'brush',
  group: 'prime',
} as const;
/** What ends chalk-type paint. */
const waxed = {
  ...steady,
  scope: 'surface',
  quantity: 'm2',
  people: [1, 1],
  dries: ({ job }: Wet) => alike(setting(job, 'dry.wax')),
  tool: 'brush',
  task: 'wax',
  group: 'brush',
} as const;
/** What is done about a defect. */
const mended = {
  ...steady,
  scope: 'surface',
  quantity: 'm2',
  people: [1, 1],
  task: 'mend',
  group: 'look',
} as const;
const taped = { ...steady, scope: 'line', quantity: 'm', tool: 'tape', group: 'mask' } as const;

/** All there is to say of a kind of operation; a new kind is a row. Order: OPERATIONS. [common practice, no source] */
export const OPERATION_RULES = {
  'set-up': {
    ...steady,
    scope: 'day',
    word: () => 'Set up',
    quantity: 'each',
    pace: 'day.setUp',
    people: [1, 1],
    task: null,
    group: 'daily',
  },
  'furniture-out': {
    ...opening,
    word: () => 'Move furniture together and cover it',
    quantity: 'm2',
    pace: 'pace.furniture',
  },
  'cloths-down': { ...opening, word: () => 'Cover the floor', quantity: 'm2', pace: 'pace.protect' },
  platform: { ...opening, word: () => 'Put up the platform, and take it down', pace: 'each.platform' },
  'power-off': { ...opening, together: 'power', word: () => 'Power off, and test', pace: 'each.power' },
  'detectors-covered': { ...opening, word: () => 'Cover the detectors', pace: 'each.detector' },
  'curtains-off': { ...opening, word: () => 'Take the curtains down', pace: 'each.curtain' },
  'plates-off': {
    ...opening,
    together: 'power',
    scope: 'surface',
    word: ({ name }) => phrase`Plates off ${name}`,
    pace: 'each.plateOff',
  },
  'hardware-off': {
    ...opening,
    scope: 'surface',
    word: ({ name }) => phrase`Hardware off ${name}`,
    pace: 'each.hardwareOff',
  },
  'fixings-out': {
    ...opening,
    scope: 'surface',
    word: ({ name }) => phrase`Fixings out of ${name}, bagged with what they hold`,
    pace: 'each.fixingOut',
  },
  wash: {
    ...step,
    word: ({ name }) => phrase`Wash ${name}`,
    pace: 'pace.wash',
    dries: water,
    tool: 'sponge',
    task: 'wash',
  },
  degrease: {
    ...step,
    word: ({ name }) => phrase`Degrease ${name}`,
    pace: 'pace.degrease',
    dries: water,
    tool: 'sponge',
    task: 'wash',
  },
  rinse: {
    ...step,
    word: ({ name }) => phrase`Rinse ${name}`,
    pace: 'pace.rinse',
    dries: water,
    tool: 'sponge',
    task: 'wash',
  },
  scrape: {
    ...step,
    word: ({ name }) => phrase`Scrape ${name}`,
    pace: 'pace.scrape',
    dusty: true,
    tool: 'scraper',
    task: 'fill',
  },
  fill: {
    ...steady,
    scope: 'surface',
    word: ({ name, coat: visit }) => phrase`Fill ${name}${visit > 1 ? `, visit ${visit}` : ''}`,
    quantity: 'each',
    pace: 'fill.pinhole',
    dries: filler,
    tool: 'knife',
    task: 'fill',
    group: 'prep',
  },
  degloss: {
    ...step,
    word: ({ name }) => phrase`Rub ${name} dull`,
    pace: 'pace.degloss',
    dusty: true,
    tool: 'paper',
    task: 'sand',
  },
  sand: {
    ...step,
    word: ({ name }) => phrase`Sand ${name}`,
    pace: 'pace.sand',
    dusty: true,
    tool: 'paper',
    task: 'sand',
  },
  dust: { ...step, word: ({ name }) => phrase`Dust ${name} off`, pace: 'pace.dust', dusty: true, task: 'sand' },
  wipe: {
    ...step,
    word: ({ name }) => phrase`Wipe ${name} damp`,
    pace: 'pace.wipe',
    dries: ({ job }) => alike(setting(job, 'dry.wipe')),
    tool: 'sponge',
    task: 'sand',
  },
  caulk: {
    ...steady,
    scope: 'surface',
    word: ({ name }) => phrase`Caulk ${name}`,
    quantity: 'm',
    pace: 'pace.caulk',
    dries: bead,
    tool: 'gun',
    task: 'caulk',
    group: 'prep',
  },
  dab: { ...dabbed, word: ({ name }) => phrase`Dab the pinholes of ${name} with the finish`, task: 'spot' },
  'prime-spot': { ...dabbed, word: ({ name }) => phrase`Spot-prime ${name}`, task: 'spot' },
  'prime-cut': {
    ...brushed,
    word: ({ name }) => phrase`Cut in ${name} with primer`,
    pace: 'pace.cut',
    overhead: 'pace.cutOverhead',
    task: 'prime-cut',
    group: 'prime',
  },
  'prime-roll': {
    ...rolled,
    word: ({ name }) => phrase`Prime ${name}`,
    pace: 'pace.roll',
    overhead: 'pace.rollOverhead',
    task: 'prime-roll',
    group: 'prime',
  },
  'prime-brush': {
    ...brushed,
    word: ({ name }) => phrase`Prime ${name}`,
    pace: 'pace.trim',
    task: 'prime-brush',
    group: 'prime',
  },
  'prime-faces': {
    ...film,
    word: ({ name }) => phrase`Prime ${name}`,
    quantity: 'm2',
    pace: 'pace.leaf',
    tool: 'brush',
    task: 'prime-brush',
    group: 'prime',
  },
  'prime-stains': {
    ...dabbed,
    word: ({ name }) => phrase`Spot-prime ${name} over its primer`,
    task: 'prime-brush',
  },
  rub: {
    ...step,
    word: ({ name }) => phrase`Rub ${name} down and dust`,
    pace: 'pace.rub',
    interruptible: false,
    people: [1, 1],
    dusty: true,
    tool: 'paper',
    task: null,
  },
  mask: { ...taped, word: () => 'Mask', pace: 'pace.mask', task: 'mask' },
  'seal-tape': {
    ...taped,
    word: () => 'Seal the tape with the colour underneath',
    pace: 'pace.sealTape',
    tool: 'brush',
    wet: true,
    dries: ({ job }: Wet) => alike(setting(job, 'dry.seal')),
    task: 'mask',
  },
  // cut into while it is wet, so nothing waits for it
  'caulk-tape': {
    ...taped,
    word: () => 'Caulk the edge of the tape',
    pace: 'pace.caulkTape',
    tool: 'gun',
    task: 'mask',
  },
  straighten: {
    ...taped,
    word: () => 'Sand a wavy corner and run a fine bead along it',
    pace: 'pace.straighten',
    dries: bead,
    tool: 'gun',
    dusty: true,
    task: 'caulk',
    group: 'prep',
  },
  spatter: { ...taped, word: () => 'Cover the top of the trim, and uncover it', pace: 'pace.spatter', task: 'mask' },
  'mask-fixtures': {
    ...taped,
    scope: 'surface',
    quantity: 'each',
    word: ({ name }) => phrase`Mask the fittings on ${name}`,
    pace: 'each.maskFixture',
    task: 'mask',
  },
  // against spatter: no edge of it is cut to
  drape: {
    ...taped,
    scope: 'surface',
    quantity: 'each',
    word: ({ name }) => phrase`Cover what stands before ${name}, and uncover it`,
    pace: 'each.drape',
    task: 'mask',
  },
  card: { ...taped, word: () => 'Set card along the floor, and take it up', pace: 'pace.mask', task: 'card' },
  lap: {
    ...brushed,
    scope: 'line',
    word: ({ name, coat: n }) => phrase`Lap ${name}, coat ${n}`,
    pace: 'pace.lap',
    overhead: 'pace.lapOverhead',
    task: 'lap',
    group: 'cut',
  },
  cut: {
    ...brushed,
    word: ({ name, coat: n }) => phrase`Cut in ${name}, coat ${n}`,
    pace: 'pace.cut',
    overhead: 'pace.cutOverhead',
    task: 'cut',
    group: 'cut',
  },
  roll: {
    ...rolled,
    word: ({ name, coat: n }) => phrase`Roll ${name}, coat ${n}`,
    pace: 'pace.roll',
    overhead: 'pace.rollOverhead',
    task: 'roll',
    group: 'roll',
  },
  brush: {
    ...brushed,
    word: ({ name, coat: n }) => phrase`Paint ${name}, coat ${n}`,
    pace: 'pace.trim',
    task: 'brush',
    group: 'brush',
  },
  edges: {
    ...brushed,
    word: ({ name, coat: n }) => phrase`Paint the edges of ${name}, coat ${n}`,
    pace: 'pace.edge',
    task: 'brush',
    group: 'brush',
  },
  faces: {
    ...film,
    word: ({ name, coat: n }) => phrase`Paint ${name}, coat ${n}`,
    quantity: 'm2',
    pace: 'pace.leaf',
    tool: 'brush',
    task: 'brush',
    group: 'brush',
  },
  'trim-edge': {
    ...brushed,
    scope: 'line',
    word: ({ name, coat: n }) => phrase`Cut the edge of ${name}, coat ${n}`,
    pace: 'pace.trimEdge',
    task: 'brush',
    group: 'cut',
  },
  'paint-fixtures': {
    ...dabbed,
    word: ({ name }) => phrase`Paint the fittings of ${name}`,
    pace: 'each.paintFixture',
    task: 'touch-up',
    group: 'brush',
  },
  wear: {
    ...waxed,
    word: ({ name }) => phrase`Wear the raised edges of ${name}`,
    pace: 'pace.wear',
    dries: null,
    dusty: true,
    tool: 'paper',
  },
  highlight: {
    ...waxed,
    word: ({ name }) => phrase`Brush a highlight on ${name}`,
    pace: 'pace.highlight',
    wet: true,
    dries: coat,
    tool: 'brush',
  },
  wax: { ...waxed, word: ({ name }) => phrase`Wax ${name}, and buff it`, pace: 'pace.wax' },
  'face-wax': {
    ...waxed,
    word: ({ name }) => phrase`Wax the meeting faces of ${name}, so that they do not stick`,
    quantity: 'each',
    pace: 'pace.faceWax',
    dries: null,
  },
  unmask: { ...taped, word: () => 'Pull the masking', pace: 'pace.unmask', task: 'unmask' },
  look: {
    ...steady,
    scope: 'room',
    word: () => 'Look it over, dry, from the side',
    quantity: 'm2',
    pace: 'pace.look',
    people: [1, 1],
    task: 'look',
    group: 'look',
  },
  'mend-scrape': {
    ...mended,
    word: ({ name }) => phrase`Scrape what is loose off ${name}`,
    pace: 'pace.mendScrape',
    dusty: true,
    tool: 'scraper',
  },
  'mend-clean': {
    ...mended,
    word: ({ name }) => phrase`Wipe the coat off ${name}, degrease, rinse`,
    pace: 'pace.mendClean',
    dries: water,
    tool: 'sponge',
  },
  'mend-fill': {
    ...mended,
    word: ({ name }) => phrase`Fill ${name} with a fine quick filler, feathered`,
    pace: 'pace.mendFill',
    dries: ({ job }) => alike(setting(job, 'dry.thin')),
    tool: 'knife',
  },
  'mend-sand': {
    ...mended,
    word: ({ name }) => phrase`Sand the place on ${name} flat at 220, dust off`,
    pace: 'pace.mendSand',
    dusty: true,
    tool: 'paper',
  },
  'mend-prime': {
    ...mended,
    word: ({ name }) => phrase`Spot-prime the place on ${name}`,
    pace: 'pace.mendPrime',
    wet: true,
    dries: ({ job }) => alike(setting(job, 'mend.primed')),
    tool: 'brush',
  },
  'mend-spot': {
    ...mended,
    word: ({ name }) => phrase`Spot-paint ${name}, feathered thin`,
    pace: 'pace.mendSpot',
    wet: true,
    dries: coat,
    tool: 'roller',
  },
  'mend-cut': {
    ...mended,
    quantity: 'm',
    word: ({ name }) => phrase`Cut the edge of ${name} again`,
    pace: 'pace.cut',
    wet: true,
    dries: coat,
    tool: 'brush',
  },
  'mend-coat': {
    ...mended,
    word: ({ name }) => phrase`Coat ${name} from corner to corner, new ${THE.cover}, conditioner in the pot`,
    pace: 'pace.mendCoat',
    interruptible: false,
    wet: true,
    dries: coat,
    tool: 'roller',
  },
  'mend-ease': {
    ...mended,
    quantity: 'each',
    word: ({ name }) => phrase`Score and free ${name}, sand the edge, wax it`,
    pace: 'each.mendEase',
    tool: 'knife',
  },
  'touch-up': {
    ...steady,
    scope: 'room',
    word: () => 'Touch up',
    quantity: 'm2',
    pace: 'pace.touchUp',
    tool: 'brush',
    task: 'touch-up',
    group: 'look',
  },
  'detectors-uncovered': { ...closing, word: () => 'Uncover the detectors', pace: 'each.detector' },
  'plates-on': {
    ...closing,
    together: 'power',
    scope: 'surface',
    word: ({ name }) => phrase`Plates on ${name}`,
    pace: 'each.plateOn',
  },
  'hardware-on': {
    ...closing,
    scope: 'surface',
    word: ({ name }) => phrase`Hardware on ${name}, and try it`,
    pace: 'each.hardwareOn',
  },
  'fixings-back': {
    ...closing,
    scope: 'surface',
    word: ({ name }) => phrase`Fixings back into ${name}, and what hangs on them`,
    pace: 'each.fixingBack',
  },
  'curtains-on': { ...closing, word: () => 'Hang the curtains', pace: 'each.curtain' },
  'power-on': { ...closing, together: 'power', word: () => 'Power on', pace: 'each.power' },
  'furniture-back': { ...closing, word: () => 'Put the furniture back', quantity: 'm2', pace: 'pace.furnitureBack' },
  'cloths-up': { ...closing, word: () => 'Take the covers up', quantity: 'm2', pace: 'pace.clear' },
  'clean-up': {
    ...steady,
    scope: 'day',
    word: () => 'Wash up and wrap',
    quantity: 'each',
    pace: 'day.cleanUp',
    people: [1, 1],
    task: null,
    group: 'daily',
  },
} as const satisfies Record<OperationKind, OperationRule>;

/** The row of an operation: its word, pace, tool and drying. */
export const ruleOf = (kind: OperationKind): OperationRule => OPERATION_RULES[kind];
