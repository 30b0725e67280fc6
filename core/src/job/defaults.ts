import { SQUARE_FOOT } from '../units/si.ts';
import type { Job } from './types.ts';

type Origin = 'common practice, no source' | 'our model' | 'starting judgement';

type Ends = readonly [least: number, most: number];

/** What a value in this unit may be; zero only where nothing is divided by it. A row of its own says otherwise. */
const ENDS = {
  m: [0.001, 5],
  '1:n': [20, 10_000],
  m2: [0.1, 10_000],
  x: [0.1, 10],
  cv: [0, 1],
  'of film': [0, 1],
  'of cv': [0, 1],
  'of it': [0, 1],
  'of use': [0, 0.9],
  'of area': [0, 1],
  min: [0, 1440],
  CIEDE2000: [0.1, 10],
  chance: [0.001, 0.5],
  L: [0, 100],
  'm/min': [0.01, 100],
  'm2/min': [0.01, 100],
  minor: [0, 1e8],
  days: [0.1, 1000],
  rags: [1, 1000],
  plates: [0, 200],
  bags: [1, 1000],
  blades: [1, 1000],
} as const satisfies Record<string, Ends>;

interface Start {
  readonly value: number;
  readonly unit: keyof typeof ENDS;
  readonly origin: Origin;
  readonly what: string;
  /** The field, the edit and the door refuse what lies outside. */
  readonly ends: Ends;
}
interface Default extends Start {
  readonly group: DefaultGroup;
}
const d = (value: number, unit: Start['unit'], origin: Origin, what: string, ends: Ends = ENDS[unit]): Start => ({
  value,
  unit,
  origin,
  what,
  ends,
});

/** Where a starting value stands in its dialog. */
export const DEFAULT_GROUPS = {
  measuring: 'Measuring',
  film: 'Film and hiding',
  paint: 'Paint',
  minutes: 'Paces and minutes',
  drying: 'Drying',
  pieces: 'How far a piece goes',
  prices: 'Prices',
} as const;
export type DefaultGroup = keyof typeof DEFAULT_GROUPS;

/** Starting values of one group. */
const grouped = <K extends string>(group: DefaultGroup, values: Readonly<Record<K, Start>>): Record<K, Default> => {
  const entries = Object.entries<Start>(values).map(([key, start]) => [key, { ...start, group }]);
  return Object.fromEntries(entries) as Record<K, Default>;
};

const MEASURING = grouped('measuring', {
  'closure.least': d(0.03, 'm', 'our model', 'misclosure always tolerated', [0.001, 1]),
  'closure.ratio': d(300, '1:n', 'our model', 'misclosure tolerated, as 1:n of the perimeter'),
  'reading.se': d(0.005, 'm', 'our model', 'standard error of a wall reading', [0.0005, 0.5]),
  'diagonal.se': d(0.008, 'm', 'our model', 'standard error of a diagonal', [0.0005, 0.5]),
  'openings.threshold': d(
    100 * SQUARE_FOOT,
    'm2',
    'common practice, no source',
    'gross school: openings up to this stay in',
    [0, 10_000],
  ),
  'door.thickness': d(0.04, 'm', 'starting judgement', 'thickness of a door leaf', [0, 1]),
  'door.stile': d(0.11, 'm', 'starting judgement', 'width of the stiles and rails of a panelled or glazed leaf'),
  'door.moulding': d(
    0.04,
    'm',
    'starting judgement',
    'what the moulding of a panel adds, per metre of its edge',
    [0, 1],
  ),
  'door.stop': d(0.03, 'm', 'starting judgement', 'what the stops add to the depth of a lining', [0, 1]),
  'sash.girth': d(0.09, 'm', 'starting judgement', 'developed girth of the wood of a sash, this side', [0, 1]),
  'board.edge': d(0.03, 'm', 'starting judgement', 'front edge of a window board', [0, 1]),
  'radiator.ribs': d(1.8, 'x', 'starting judgement', 'surface of a ribbed radiator over that of its box'),
  'fixture.light': d(0.4, 'm', 'starting judgement', 'edge cut round a light', [0, 50]),
  'fixture.rod': d(0.4, 'm', 'starting judgement', 'edge cut round the brackets of a rod', [0, 50]),
  'fixture.mirror': d(3, 'm', 'starting judgement', 'edge cut round a fixed mirror', [0, 50]),
  'light.near': d(0.6, 'm', 'our model', 'a window this near a corner grazes the next wall', [0, 10]),
});

const FILM = grouped('film', {
  'hiding.cv': d(0.35, 'cv', 'our model', 'unevenness of one rolled film'),
  'hiding.film': d(1, 'x', 'our model', 'film really rolled over the film of the label'),
  'hiding.cutFilm': d(0.75, 'x', 'our model', 'film of the brushed cut band over the rolled film'),
  'nap.film': d(0.06, 'of film', 'starting judgement', 'film more, or less, a pile longer or shorter than fits'),
  'nap.cv': d(0.15, 'of cv', 'starting judgement', 'unevenness more with a pile that does not fit'),
  'style.thin': d(0.75, 'x', 'starting judgement', 'film of a thin first coat over a full one'),
  'style.heavy': d(1.6, 'x', 'starting judgement', 'film of one heavy coat over an ordinary one'),
  'hiding.deltaE': d(1, 'CIEDE2000', 'our model', 'thin spots may differ this much from full hiding'),
});

const PAINT = grouped('paint', {
  'spread.cv': d(0.1, 'cv', 'our model', 'uncertainty of the spread rate, shared by all surfaces of a paint'),
  'measure.cv': d(0.02, 'cv', 'our model', 'uncertainty of a measured area, not shared'),
  'order.risk': d(0.05, 'chance', 'starting judgement', 'accepted chance of running short'),
  'order.reserve': d(0.5, 'L', 'common practice, no source', 'kept for touch-up, per colour'),
  'order.porous': d(
    1.2,
    'x',
    'starting judgement',
    'paint of the first coat on a porous surface over that on a sealed one',
  ),
  'order.thirst': d(
    0.4,
    'of it',
    'starting judgement',
    'what one full coat of primer leaves of that thirst; a second leaves none',
  ),
  'cut.band': d(0.035, 'm', 'common practice, no source', 'width of the brushed band', [0, 0.5]),
  'cut.overlap': d(0.5, 'of it', 'starting judgement', 'share of the band that the roller covers again'),
  'box.bucket': d(16, 'L', 'starting judgement', 'what a boxing bucket holds with room to stir', [0.5, 1000]),
  'loss.cover': d(0.15, 'L', 'starting judgement', 'left in a 9 in cover of 10 mm pile; in others by pile and width'),
  'loss.tray': d(0.1, 'L', 'starting judgement', 'left in tray and brush, per paint'),
  'loss.can': d(0.01, 'of use', 'starting judgement', 'left on the walls of the can'),
  'loss.method': d(
    0.1,
    'of use',
    'starting judgement',
    'lost in rolling and brushing, where the spread is theoretical',
  ),
  'texture.smooth': d(1, 'x', 'common practice, no source', 'area factor'),
  'texture.orange-peel': d(1.075, 'x', 'common practice, no source', 'area factor'),
  'texture.knockdown': d(1.125, 'x', 'common practice, no source', 'area factor'),
  'texture.rough-plaster': d(1.15, 'x', 'starting judgement', 'area factor'),
  'texture.popcorn': d(1.4, 'x', 'common practice, no source', 'area factor'),
  'texture.brick': d(1.4, 'x', 'common practice, no source', 'area factor'),
  'texture.deep-stucco': d(1.5, 'x', 'common practice, no source', 'area factor'),
  'spot.share': d(0.05, 'of area', 'starting judgement', 'share of a surface that spot-priming covers'),
});

const MINUTES = grouped('minutes', {
  'fill.pinhole': d(0.5, 'min', 'starting judgement', 'filling a pinhole, sanding with the rest'),
  'fill.coin': d(4, 'min', 'starting judgement', 'backing and filling a coin-size hole'),
  'fill.large': d(15, 'min', 'starting judgement', 'patching a larger hole'),
  'fill.anchor': d(2, 'min', 'starting judgement', 'drawing an anchor by its screw and filling'),
  'pace.cut': d(0.9, 'm/min', 'starting judgement', 'cutting in a line'),
  'pace.cutOverhead': d(0.75, 'm/min', 'starting judgement', 'cutting in a ceiling'),
  'pace.roll': d(0.6, 'm2/min', 'starting judgement', 'rolling a wall'),
  'pace.rollOverhead': d(0.5, 'm2/min', 'starting judgement', 'rolling a ceiling'),
  'pace.trim': d(0.6, 'm/min', 'starting judgement', 'brushing a run of trim'),
  'pace.leaf': d(0.08, 'm2/min', 'starting judgement', 'painting a door leaf'),
  'pace.prep': d(1.2, 'm2/min', 'starting judgement', 'washing, filling and sanding a sound wall or ceiling'),
  'pace.prepTrim': d(0.8, 'm/min', 'starting judgement', 'washing, filling and sanding trim'),
  'pace.prime': d(0.6, 'm2/min', 'starting judgement', 'priming broad surfaces'),
  'pace.mask': d(1.5, 'm/min', 'starting judgement', 'laying and sealing tape, or setting card'),
  'pace.unmask': d(4, 'm/min', 'starting judgement', 'pulling tape'),
  'pace.protect': d(1, 'm2/min', 'starting judgement', 'covering the floor and what stands on it'),
  'pace.clear': d(2, 'm2/min', 'starting judgement', 'uncovering and clearing the room'),
  'prep.poor': d(2, 'x', 'starting judgement', 'preparation where the surface is peeling, chalky or much repaired'),
  'day.setUp': d(20, 'min', 'starting judgement', 'a person’s setting up at the start of a day'),
  'day.cleanUp': d(25, 'min', 'common practice, no source', 'a person’s washing up and wrapping at its end'),
  'load.minutes': d(3, 'min', 'starting judgement', 'fetching, stirring and loading before a surface is started'),
});

const DRYING = grouped('drying', {
  'fill.dry': d(60, 'min', 'common practice, no source', 'filler and washing dry before paint'),
  'cut.wet': d(15, 'min', 'starting judgement', 'after the cut, rolling starts within'),
  'mask.dry': d(60, 'min', 'common practice, no source', 'trim dries before it is masked or cut against'),
});

const PIECES = grouped('pieces', {
  'tape.length': d(55, 'm', 'common practice, no source', 'tape on a roll', [1, 1000]),
  'film.area': d(40, 'm2', 'starting judgement', 'masking film on a roll'),
  'card.length': d(1, 'm', 'starting judgement', 'length of a floor shield, moved along', [0.1, 10]),
  'filler.pinhole': d(0.0002, 'L', 'starting judgement', 'filler in a pinhole'),
  'filler.coin': d(0.006, 'L', 'starting judgement', 'filler in a coin-size hole'),
  'filler.large': d(0.25, 'L', 'starting judgement', 'filler round a patch'),
  'filler.anchor': d(0.003, 'L', 'starting judgement', 'filler where an anchor was'),
  'filler.tub': d(0.5, 'L', 'starting judgement', 'filler in a tub', [0.05, 100]),
  'wash.area': d(80, 'm2', 'starting judgement', 'washed with a bottle of sugar soap'),
  'degrease.area': d(40, 'm2', 'starting judgement', 'degreased with a bottle'),
  'conditioner.bottle': d(0.946, 'L', 'starting judgement', 'flow conditioner in a bottle', [0.05, 100]),
  'cover.litres': d(20, 'L', 'starting judgement', 'rolled with one cover before it goes lank', [0.1, 1000]),
  'cover.days': d(3, 'days', 'starting judgement', 'a cover is kept wrapped'),
  'rags.day': d(3, 'rags', 'starting judgement', 'rags a person uses in a day', [0, 100]),
  'rags.pack': d(20, 'rags', 'starting judgement', 'rags in a pack'),
  'plates.room': d(5, 'plates', 'starting judgement', 'plates of a room in which none were counted'),
  'bags.pack': d(25, 'bags', 'starting judgement', 'bags for plates and screws in a pack'),
  'blades.room': d(2, 'blades', 'starting judgement', 'blades used in a room', [0, 100]),
  'blades.pack': d(10, 'blades', 'starting judgement', 'blades in a pack'),
  'dropcloth.area': d(10, 'm2', 'starting judgement', 'area of a drop cloth'),
  'caulk.bead': d(0.005, 'm', 'starting judgement', 'width of a triangular bead', [0.001, 0.05]),
  'abrasive.area': d(6, 'm2', 'starting judgement', 'area one sheet keys'),
});

const PRICES = grouped('prices', {
  'price.tape': d(700, 'minor', 'starting judgement', 'a roll of tape'),
  'price.tape-fine': d(1150, 'minor', 'starting judgement', 'a roll of better tape, for rough walls'),
  'price.film': d(900, 'minor', 'starting judgement', 'a roll of masking film'),
  'price.card': d(450, 'minor', 'starting judgement', 'a floor shield'),
  'price.filler': d(850, 'minor', 'starting judgement', 'a tub of filler'),
  'price.patch': d(550, 'minor', 'starting judgement', 'a backing patch with its mesh'),
  'price.wash': d(800, 'minor', 'starting judgement', 'a bottle of sugar soap'),
  'price.degrease': d(1100, 'minor', 'starting judgement', 'a bottle of degreaser'),
  'price.conditioner': d(1600, 'minor', 'starting judgement', 'a bottle of flow conditioner'),
  'price.frame': d(900, 'minor', 'starting judgement', 'a roller frame'),
  'price.tray': d(700, 'minor', 'starting judgement', 'a tray'),
  'price.liner': d(150, 'minor', 'starting judgement', 'a tray liner'),
  'price.pole': d(2200, 'minor', 'starting judgement', 'an extension pole'),
  'price.rags': d(1200, 'minor', 'starting judgement', 'a pack of rags'),
  'price.bags': d(400, 'minor', 'starting judgement', 'a pack of bags'),
  'price.blades': d(500, 'minor', 'starting judgement', 'a pack of blades'),
  'price.mask': d(350, 'minor', 'starting judgement', 'a dust mask, one a person and day'),
  'price.goggles': d(900, 'minor', 'starting judgement', 'goggles'),
  'price.gloves': d(1300, 'minor', 'starting judgement', 'a box of gloves'),
  'price.respirator': d(3900, 'minor', 'starting judgement', 'a mask for solvent vapour'),
  'price.lead-test': d(2500, 'minor', 'starting judgement', 'a kit to test for lead'),
  'price.asbestos-test': d(6000, 'minor', 'starting judgement', 'a laboratory test for asbestos'),
  'price.drop-cloth': d(1800, 'minor', 'starting judgement', 'a drop cloth'),
  'price.cover': d(600, 'minor', 'starting judgement', 'a roller cover'),
  'price.brush': d(1500, 'minor', 'starting judgement', 'a brush'),
  'price.caulk': d(500, 'minor', 'starting judgement', 'a cartridge of caulk'),
  'price.abrasive': d(150, 'minor', 'starting judgement', 'a sheet of abrasive paper'),
});

/** Every starting value a painter may change. Formulas read them by key; a job stores only what was changed. */
export const DEFAULTS = { ...MEASURING, ...FILM, ...PAINT, ...MINUTES, ...DRYING, ...PIECES, ...PRICES };

export type DefaultKey = keyof typeof DEFAULTS;

export const DEFAULT_KEYS = Object.keys(DEFAULTS) as readonly DefaultKey[];

/** The job's value for a key, or its starting value. */
export const setting = (job: Pick<Job, 'settings'>, key: DefaultKey): number =>
  job.settings[key] ?? DEFAULTS[key].value;
