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
  covers: [0, 2],
} as const satisfies Record<string, Ends>;

interface Start {
  readonly value: number;
  readonly unit: keyof typeof ENDS;
  readonly origin: Origin;
  /** The field, the edit and the door refuse what lies outside. */
  readonly ends: Ends;
}
interface Default extends Start {
  readonly group: DefaultGroup;
}
const d = (value: number, unit: Start['unit'], origin: Origin, ends: Ends = ENDS[unit]): Start => ({
  value,
  unit,
  origin,
  ends,
});

/** Where a starting value stands in its dialog. */
export const DEFAULT_GROUPS = {
  measuring: 'Measuring',
  film: 'Film and hiding',
  paint: 'Paint',
  minutes: 'Paces and minutes',
  lines: 'Lines: who laps, who is cut',
  plays: 'How a surface is painted',
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
  'closure.least': d(0.03, 'm', 'our model', [0.001, 1]),
  'closure.ratio': d(300, '1:n', 'our model'),
  'reading.se': d(0.005, 'm', 'our model', [0.0005, 0.5]),
  'diagonal.se': d(0.008, 'm', 'our model', [0.0005, 0.5]),
  'openings.threshold': d(100 * SQUARE_FOOT, 'm2', 'common practice, no source', [0, 10_000]),
  'door.thickness': d(0.04, 'm', 'starting judgement', [0, 1]),
  'door.stile': d(0.11, 'm', 'starting judgement'),
  'door.moulding': d(0.04, 'm', 'starting judgement', [0, 1]),
  'door.stop': d(0.03, 'm', 'starting judgement', [0, 1]),
  'sash.girth': d(0.09, 'm', 'starting judgement', [0, 1]),
  'board.edge': d(0.03, 'm', 'starting judgement', [0, 1]),
  'radiator.ribs': d(1.8, 'x', 'starting judgement'),
  'fixture.plate': d(0.4, 'm', 'starting judgement', [0, 50]),
  'fixture.socket': d(0.4, 'm', 'starting judgement', [0, 50]),
  'fixture.light': d(0.4, 'm', 'starting judgement', [0, 50]),
  'fixture.detector': d(0.4, 'm', 'starting judgement', [0, 50]),
  'fixture.vent': d(1, 'm', 'starting judgement', [0, 50]),
  'fixture.rod': d(0.4, 'm', 'starting judgement', [0, 50]),
  'fixture.mirror': d(3, 'm', 'starting judgement', [0, 50]),
  'fixture.fixing': d(0.1, 'm', 'starting judgement', [0, 50]),
  'light.near': d(0.6, 'm', 'our model', [0, 10]),
});

const FILM = grouped('film', {
  'hiding.cv': d(0.35, 'cv', 'our model'),
  'hiding.film': d(1, 'x', 'our model'),
  'hiding.cutFilm': d(0.75, 'x', 'our model'),
  'nap.film': d(0.06, 'of film', 'starting judgement'),
  'nap.cv': d(0.15, 'of cv', 'starting judgement'),
  'style.thin': d(0.75, 'x', 'starting judgement'),
  'style.heavy': d(1.6, 'x', 'starting judgement'),
  'hiding.deltaE': d(1, 'CIEDE2000', 'our model'),
  'opacity.red': d(3.5, 'x', 'our model'),
  'opacity.orange': d(3.75, 'x', 'our model'),
  'opacity.yellow': d(4, 'x', 'our model'),
  'opacity.deep-red': d(2.5, 'x', 'our model'),
});

const PAINT = grouped('paint', {
  'spread.cv': d(0.1, 'cv', 'our model'),
  'measure.cv': d(0.02, 'cv', 'our model'),
  'order.risk': d(0.05, 'chance', 'starting judgement'),
  'order.reserve': d(0.5, 'L', 'common practice, no source'),
  'order.porous': d(1.2, 'x', 'starting judgement'),
  'order.thirst': d(0.4, 'of it', 'starting judgement'),
  'cut.band': d(0.035, 'm', 'common practice, no source', [0, 0.5]),
  'cut.overlap': d(0.5, 'of it', 'starting judgement'),
  'box.bucket': d(16, 'L', 'starting judgement', [0.5, 1000]),
  'loss.cover': d(0.15, 'L', 'starting judgement'),
  'loss.tray': d(0.1, 'L', 'starting judgement'),
  'loss.can': d(0.01, 'of use', 'starting judgement'),
  'loss.method': d(0.1, 'of use', 'starting judgement'),
  'texture.smooth': d(1, 'x', 'common practice, no source'),
  'texture.orange-peel': d(1.075, 'x', 'common practice, no source'),
  'texture.knockdown': d(1.125, 'x', 'common practice, no source'),
  'texture.rough-plaster': d(1.15, 'x', 'starting judgement'),
  'texture.popcorn': d(1.4, 'x', 'common practice, no source'),
  'texture.brick': d(1.4, 'x', 'common practice, no source'),
  'texture.deep-stucco': d(1.5, 'x', 'common practice, no source'),
  'texture.grain': d(1.05, 'x', 'starting judgement'),
  'spot.share': d(0.05, 'of area', 'starting judgement'),
  'patch.pinhole': d(0.0004, 'm2', 'starting judgement', [0, 10]),
  'patch.anchor': d(0.003, 'm2', 'starting judgement', [0, 10]),
  'patch.coin': d(0.01, 'm2', 'starting judgement', [0, 10]),
  'patch.large': d(0.25, 'm2', 'starting judgement', [0, 10]),
  'stain.water': d(0.3, 'm2', 'starting judgement', [0, 100]),
  'stain.grease': d(0.1, 'm2', 'starting judgement', [0, 100]),
  'stain.rust': d(0.02, 'm2', 'starting judgement', [0, 100]),
  'stain.ink': d(0.02, 'm2', 'starting judgement', [0, 100]),
  'stain.other': d(0.1, 'm2', 'starting judgement', [0, 100]),
});

const MINUTES = grouped('minutes', {
  'day.setUp': d(20, 'min', 'starting judgement'),
  'day.cleanUp': d(25, 'min', 'common practice, no source'),
  'travel.minutes': d(3, 'min', 'starting judgement'),
  'pace.furniture': d(1.2, 'm2/min', 'starting judgement'),
  'pace.furnitureBack': d(1.8, 'm2/min', 'starting judgement'),
  'pace.protect': d(1.5, 'm2/min', 'starting judgement'),
  'pace.clear': d(3, 'm2/min', 'starting judgement'),
  'each.platform': d(20, 'min', 'starting judgement'),
  'each.power': d(3, 'min', 'starting judgement'),
  'each.plateOff': d(1, 'min', 'starting judgement'),
  'each.plateOn': d(1.2, 'min', 'starting judgement'),
  'each.hardwareOff': d(5, 'min', 'starting judgement'),
  'each.hardwareOn': d(5, 'min', 'starting judgement'),
  'each.curtain': d(4, 'min', 'starting judgement'),
  'each.detector': d(1, 'min', 'starting judgement'),
  'each.fixingOut': d(1.5, 'min', 'starting judgement'),
  'each.fixingBack': d(2, 'min', 'starting judgement'),
  'each.maskFixture': d(2, 'min', 'starting judgement'),
  'each.drape': d(2.5, 'min', 'starting judgement'),
  'each.paintFixture': d(4, 'min', 'starting judgement'),
  'pace.wash': d(0.75, 'm2/min', 'starting judgement'),
  'pace.degrease': d(0.7, 'm2/min', 'starting judgement'),
  'pace.rinse': d(2, 'm2/min', 'starting judgement'),
  'pace.scrape': d(0.6, 'm2/min', 'starting judgement'),
  'fill.pinhole': d(0.5, 'min', 'starting judgement'),
  'fill.coin': d(4, 'min', 'starting judgement'),
  'fill.large': d(15, 'min', 'starting judgement'),
  'fill.anchor': d(2, 'min', 'starting judgement'),
  'pace.degloss': d(0.9, 'm2/min', 'starting judgement'),
  'pace.sand': d(0.9, 'm2/min', 'starting judgement'),
  'pace.dust': d(6, 'm2/min', 'starting judgement'),
  'pace.wipe': d(2.5, 'm2/min', 'starting judgement'),
  'pace.caulk': d(1.8, 'm/min', 'starting judgement'),
  'prep.narrow': d(1.4, 'x', 'starting judgement'),
  'spot.each': d(0.6, 'min', 'starting judgement'),
  'spot.stain': d(3, 'min', 'starting judgement'),
  'pace.rub': d(4, 'm2/min', 'starting judgement'),
  'pace.mask': d(1.5, 'm/min', 'starting judgement'),
  'pace.unmask': d(4, 'm/min', 'starting judgement'),
  'pace.sealTape': d(3, 'm/min', 'starting judgement'),
  'pace.caulkTape': d(2.5, 'm/min', 'starting judgement'),
  'pace.straighten': d(0.5, 'm/min', 'starting judgement'),
  'pace.spatter': d(5, 'm/min', 'starting judgement'),
  'pace.lap': d(1.4, 'm/min', 'starting judgement'),
  'pace.lapOverhead': d(1.1, 'm/min', 'starting judgement'),
  'pace.wrap': d(1.7, 'm/min', 'starting judgement'),
  'pace.trimEdge': d(2, 'm/min', 'starting judgement'),
  'pace.cut': d(0.9, 'm/min', 'starting judgement'),
  'pace.cutOverhead': d(0.75, 'm/min', 'starting judgement'),
  'pace.roll': d(0.75, 'm2/min', 'starting judgement'),
  'pace.rollOverhead': d(0.62, 'm2/min', 'starting judgement'),
  'roll.width': d(0.5, 'x', 'starting judgement', [0, 2]),
  'dip.litres': d(0.07, 'L', 'starting judgement', [0.005, 1]),
  'dip.minutes': d(0.2, 'min', 'starting judgement'),
  'pace.trim': d(0.6, 'm/min', 'starting judgement'),
  'pace.leaf': d(0.08, 'm2/min', 'starting judgement'),
  'pace.edge': d(1.5, 'm/min', 'starting judgement'),
  'pace.piece': d(0.15, 'm2/min', 'starting judgement'),
  'radiator.reach': d(0.7, 'of it', 'starting judgement'),
  'pace.wear': d(0.5, 'm2/min', 'starting judgement'),
  'pace.highlight': d(0.3, 'm2/min', 'starting judgement'),
  'pace.wax': d(0.2, 'm2/min', 'starting judgement'),
  'pace.darkWax': d(0.12, 'm2/min', 'starting judgement'),
  'coat.later': d(0.85, 'x', 'starting judgement'),
  'slow.smooth': d(1, 'x', 'common practice, no source'),
  'slow.orange-peel': d(1.05, 'x', 'starting judgement'),
  'slow.knockdown': d(1.1, 'x', 'starting judgement'),
  'slow.rough-plaster': d(1.2, 'x', 'starting judgement'),
  'slow.popcorn': d(1.3, 'x', 'starting judgement'),
  'slow.brick': d(1.6, 'x', 'common practice, no source'),
  'slow.deep-stucco': d(1.8, 'x', 'common practice, no source'),
  'slow.grain': d(1.2, 'x', 'starting judgement'),
  'reach.pole': d(3.5, 'm', 'starting judgement', [2, 10]),
  'slow.high': d(1.6, 'x', 'starting judgement'),
  'slow.stairs': d(1.5, 'x', 'starting judgement'),
  'pace.look': d(15, 'm2/min', 'starting judgement'),
  'pace.touchUp': d(12, 'm2/min', 'starting judgement'),
});

const PLAYS = grouped('plays', {
  'cut.stretch': d(1.2, 'm', 'starting judgement', [0.2, 10]),
  'roll.gap': d(0.5, 'covers', 'common practice, no source', [0, 1]),
  'roll.ends': d(0.15, 'm', 'starting judgement', [0, 1]),
  'roll.layOff': d(0.2, 'of it', 'starting judgement', [0, 0.9]),
  'roll.settled': d(0.17, 'of it', 'starting judgement', [0, 1]),
  'cover.rest': d(1, 'min', 'common practice, no source', [0, 10]),
  'open.minutes': d(6, 'min', 'common practice, no source', [0.5, 120]),
  'dry.quick': d(20, 'min', 'starting judgement'),
  'place.tray': d(2, 'm', 'starting judgement', [0.5, 20]),
  'place.ladder': d(1.2, 'm', 'starting judgement', [0.3, 20]),
  'reach.hand': d(2, 'm', 'starting judgement', [1, 4]),
  'trim.section': d(1, 'm', 'common practice, no source', [0.1, 10]),
  'slow.pieces': d(1.3, 'x', 'starting judgement'),
});

const DRYING = grouped('drying', {
  'dry.wash': d(30, 'min', 'starting judgement'),
  'dry.thin': d(20, 'min', 'starting judgement'),
  'fill.dry': d(60, 'min', 'common practice, no source'),
  'dry.deep': d(120, 'min', 'starting judgement'),
  'dry.caulk': d(60, 'min', 'starting judgement'),
  'dry.wipe': d(5, 'min', 'starting judgement'),
  'dry.wax': d(15, 'min', 'starting judgement'),
  'recoat.filled': d(90, 'min', 'starting judgement'),
  'cut.wet': d(15, 'min', 'starting judgement'),
  'mask.dry': d(60, 'min', 'common practice, no source'),
  'dry.seal': d(60, 'min', 'common practice, no source'),
  'tape.after': d(120, 'min', 'common practice, no source'),
  'tape.tacky': d(40, 'min', 'starting judgement'),
  'look.dry': d(120, 'min', 'common practice, no source'),
});

const LINES = grouped('lines', {
  'line.overhead': d(1.4, 'x', 'starting judgement'),
  'line.offHand': d(1.25, 'x', 'starting judgement'),
  'line.wavy': d(1.5, 'x', 'starting judgement'),
  'line.rough': d(0.85, 'x', 'starting judgement'),
  'line.popcorn': d(1.2, 'x', 'starting judgement'),
  'line.deep': d(1.2, 'x', 'starting judgement'),
  'line.hidden': d(0.6, 'x', 'starting judgement'),
  'line.short': d(0.75, 'x', 'common practice, no source'),
  'line.inside': d(0.8, 'x', 'common practice, no source'),
  'line.taped': d(0.6, 'x', 'starting judgement'),
  'line.shield': d(0.8, 'x', 'starting judgement'),
  'line.edger': d(0.85, 'x', 'starting judgement'),
  'line.scored': d(1.5, 'x', 'starting judgement'),
  'spoil.minutes': d(12, 'min', 'starting judgement'),
  'spoil.freehand': d(0.02, 'of it', 'starting judgement'),
  'spoil.edger': d(0.05, 'of it', 'starting judgement'),
  'spoil.shield': d(0.02, 'of it', 'starting judgement'),
  'spoil.tape': d(0.03, 'of it', 'starting judgement'),
  'spoil.sealed': d(0.006, 'of it', 'starting judgement'),
  'spoil.caulked': d(0.004, 'of it', 'starting judgement'),
  'spoil.tapeRough': d(6, 'x', 'starting judgement'),
  'spoil.sealedRough': d(8, 'x', 'starting judgement'),
  'spoil.caulkedRough': d(1, 'x', 'starting judgement'),
  'spoil.overhead': d(2, 'x', 'starting judgement'),
  'spoil.offHand': d(1.5, 'x', 'starting judgement'),
  'spoil.wavy': d(4, 'x', 'starting judgement'),
  'spoil.deep': d(1.5, 'x', 'starting judgement'),
  'spoil.shiny': d(1.2, 'x', 'starting judgement'),
  'spoil.floor': d(4, 'x', 'starting judgement'),
});

const PIECES = grouped('pieces', {
  'tape.length': d(55, 'm', 'common practice, no source', [1, 1000]),
  'film.area': d(40, 'm2', 'starting judgement'),
  'card.length': d(1, 'm', 'starting judgement', [0.1, 10]),
  'filler.pinhole': d(0.0002, 'L', 'starting judgement'),
  'filler.coin': d(0.006, 'L', 'starting judgement'),
  'filler.large': d(0.25, 'L', 'starting judgement'),
  'filler.anchor': d(0.003, 'L', 'starting judgement'),
  'filler.tub': d(0.5, 'L', 'starting judgement', [0.05, 100]),
  'wash.area': d(80, 'm2', 'starting judgement'),
  'degrease.area': d(40, 'm2', 'starting judgement'),
  'wax.area': d(6, 'm2', 'starting judgement'),
  'highlight.area': d(12, 'm2', 'starting judgement'),
  'conditioner.bottle': d(0.946, 'L', 'starting judgement', [0.05, 100]),
  'cover.litres': d(20, 'L', 'starting judgement', [0.1, 1000]),
  'cover.days': d(3, 'days', 'starting judgement'),
  'rags.day': d(3, 'rags', 'starting judgement', [0, 100]),
  'rags.pack': d(20, 'rags', 'starting judgement'),
  'plates.room': d(5, 'plates', 'starting judgement'),
  'bags.pack': d(25, 'bags', 'starting judgement'),
  'blades.room': d(2, 'blades', 'starting judgement', [0, 100]),
  'blades.pack': d(10, 'blades', 'starting judgement'),
  'dropcloth.area': d(10, 'm2', 'starting judgement'),
  'caulk.bead': d(0.005, 'm', 'starting judgement', [0.001, 0.05]),
  'abrasive.area': d(6, 'm2', 'starting judgement'),
});

const PRICES = grouped('prices', {
  'price.tape': d(700, 'minor', 'starting judgement'),
  'price.tape-fine': d(1150, 'minor', 'starting judgement'),
  'price.film': d(900, 'minor', 'starting judgement'),
  'price.card': d(450, 'minor', 'starting judgement'),
  'price.filler': d(850, 'minor', 'starting judgement'),
  'price.patch': d(550, 'minor', 'starting judgement'),
  'price.wash': d(800, 'minor', 'starting judgement'),
  'price.degrease': d(1100, 'minor', 'starting judgement'),
  'price.conditioner': d(1600, 'minor', 'starting judgement'),
  'price.wax': d(1800, 'minor', 'starting judgement'),
  'price.dark-wax': d(1900, 'minor', 'starting judgement'),
  'price.highlight': d(900, 'minor', 'starting judgement'),
  'price.frame': d(900, 'minor', 'starting judgement'),
  'price.tray': d(700, 'minor', 'starting judgement'),
  'price.liner': d(150, 'minor', 'starting judgement'),
  'price.pole': d(2200, 'minor', 'starting judgement'),
  'price.rags': d(1200, 'minor', 'starting judgement'),
  'price.bags': d(400, 'minor', 'starting judgement'),
  'price.blades': d(500, 'minor', 'starting judgement'),
  'price.mask': d(350, 'minor', 'starting judgement'),
  'price.goggles': d(900, 'minor', 'starting judgement'),
  'price.gloves': d(1300, 'minor', 'starting judgement'),
  'price.respirator': d(3900, 'minor', 'starting judgement'),
  'price.lead-test': d(2500, 'minor', 'starting judgement'),
  'price.asbestos-test': d(6000, 'minor', 'starting judgement'),
  'price.drop-cloth': d(1800, 'minor', 'starting judgement'),
  'price.cover': d(600, 'minor', 'starting judgement'),
  'price.brush': d(1500, 'minor', 'starting judgement'),
  'price.caulk': d(500, 'minor', 'starting judgement'),
  'price.abrasive': d(150, 'minor', 'starting judgement'),
});

/** Every starting value a painter may change. Formulas read them by key; a job stores only what was changed. */
export const DEFAULTS = {
  ...MEASURING,
  ...FILM,
  ...PAINT,
  ...MINUTES,
  ...DRYING,
  ...LINES,
  ...PLAYS,
  ...PIECES,
  ...PRICES,
};

export type DefaultKey = keyof typeof DEFAULTS;

export const DEFAULT_KEYS = Object.keys(DEFAULTS) as readonly DefaultKey[];

/** The job's value for a key, or its starting value. */
export const setting = (job: Pick<Job, 'settings'>, key: DefaultKey): number =>
  job.settings[key] ?? DEFAULTS[key].value;
