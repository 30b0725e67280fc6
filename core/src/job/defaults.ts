import { SQUARE_FOOT } from '../units/si.ts';
import type { Job } from './types.ts';

type Origin = 'common practice, no source' | 'our model' | 'starting judgement';

interface Default {
  readonly value: number;
  readonly unit: string;
  readonly origin: Origin;
  readonly what: string;
}
const d = (value: number, unit: string, origin: Origin, what: string): Default => ({ value, unit, origin, what });

/** Every starting value a painter may change. Formulas read them by key; a job stores only what was changed. */
export const DEFAULTS = {
  'closure.least': d(0.03, 'm', 'our model', 'misclosure always tolerated'),
  'closure.ratio': d(300, '1:n', 'our model', 'misclosure tolerated, as 1:n of the perimeter'),
  'reading.se': d(0.005, 'm', 'our model', 'standard error of a wall reading'),
  'diagonal.se': d(0.008, 'm', 'our model', 'standard error of a diagonal'),
  'openings.threshold': d(
    100 * SQUARE_FOOT,
    'm2',
    'common practice, no source',
    'gross school: openings up to this stay in',
  ),
  'door.thickness': d(0.04, 'm', 'starting judgement', 'thickness of a door leaf'),
  'door.stile': d(0.11, 'm', 'starting judgement', 'width of the stiles and rails of a panelled or glazed leaf'),
  'door.moulding': d(0.04, 'm', 'starting judgement', 'what the moulding of a panel adds, per metre of its edge'),
  'door.stop': d(0.03, 'm', 'starting judgement', 'what the stops add to the depth of a lining'),
  'sash.girth': d(0.09, 'm', 'starting judgement', 'developed girth of the wood of a sash, this side'),
  'board.edge': d(0.03, 'm', 'starting judgement', 'front edge of a window board'),
  'radiator.ribs': d(1.8, 'x', 'starting judgement', 'surface of a ribbed radiator over that of its box'),
  'fixture.light': d(0.4, 'm', 'starting judgement', 'edge cut round a light'),
  'fixture.rod': d(0.4, 'm', 'starting judgement', 'edge cut round the brackets of a rod'),
  'fixture.mirror': d(3, 'm', 'starting judgement', 'edge cut round a fixed mirror'),
  'hiding.cv': d(0.35, 'cv', 'our model', 'unevenness of one rolled film'),
  'hiding.film': d(1, 'x', 'our model', 'film really rolled over the film of the label'),
  'hiding.cutFilm': d(0.75, 'x', 'our model', 'film of the brushed cut band over the rolled film'),
  'nap.film': d(0.06, 'of film', 'starting judgement', 'film more, or less, a pile longer or shorter than fits'),
  'nap.cv': d(0.15, 'of cv', 'starting judgement', 'unevenness more with a pile that does not fit'),
  'style.thin': d(0.75, 'x', 'starting judgement', 'film of a thin first coat over a full one'),
  'style.heavy': d(1.6, 'x', 'starting judgement', 'film of one heavy coat over an ordinary one'),
  'light.near': d(0.6, 'm', 'our model', 'a window this near a corner grazes the next wall'),
  'fill.pinhole': d(0.5, 'min', 'starting judgement', 'filling a pinhole, sanding with the rest'),
  'fill.coin': d(4, 'min', 'starting judgement', 'backing and filling a coin-size hole'),
  'fill.large': d(15, 'min', 'starting judgement', 'patching a larger hole'),
  'fill.anchor': d(2, 'min', 'starting judgement', 'drawing an anchor by its screw and filling'),
  'hiding.deltaE': d(1, 'CIEDE2000', 'our model', 'thin spots may differ this much from full hiding'),
  'spread.cv': d(0.1, 'cv', 'our model', 'uncertainty of the spread rate, shared by all surfaces of a paint'),
  'measure.cv': d(0.02, 'cv', 'our model', 'uncertainty of a measured area, not shared'),
  'order.risk': d(0.05, 'chance', 'starting judgement', 'accepted chance of running short'),
  'order.reserve': d(0.5, 'L', 'common practice, no source', 'kept for touch-up, per colour'),
  'order.porous': d(1.2, 'x', 'starting judgement', 'more paint in the first coat on a porous surface'),
  'loss.cover': d(0.15, 'L', 'starting judgement', 'left in the cover, per paint'),
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
  'load.minutes': d(3, 'min', 'starting judgement', 'fetching, stirring and loading before a surface is started'),
  'fill.dry': d(60, 'min', 'common practice, no source', 'filler and washing dry before paint'),
  'cut.wet': d(15, 'min', 'starting judgement', 'after the cut, rolling starts within'),
  'mask.dry': d(60, 'min', 'common practice, no source', 'trim dries before it is masked or cut against'),
  'tape.length': d(55, 'm', 'common practice, no source', 'tape on a roll'),
  'price.tape': d(700, 'minor', 'starting judgement', 'a roll of tape'),
  'price.dropcloth': d(1800, 'minor', 'starting judgement', 'a drop cloth'),
  'dropcloth.area': d(10, 'm2', 'starting judgement', 'area of a drop cloth'),
  'price.cover': d(600, 'minor', 'starting judgement', 'a roller cover'),
  'price.brush': d(1500, 'minor', 'starting judgement', 'a brush'),
  'price.caulk': d(500, 'minor', 'starting judgement', 'a cartridge of caulk'),
  'caulk.bead': d(0.005, 'm', 'starting judgement', 'width of a triangular bead'),
  'price.abrasive': d(150, 'minor', 'starting judgement', 'a sheet of abrasive paper'),
  'abrasive.area': d(6, 'm2', 'starting judgement', 'area one sheet keys'),
} as const satisfies Record<string, Default>;

export type DefaultKey = keyof typeof DEFAULTS;

/** The job's value for a key, or its starting value. */
export const setting = (job: Pick<Job, 'settings'>, key: DefaultKey): number =>
  job.settings[key] ?? DEFAULTS[key].value;
