import { setting } from '../job/defaults.ts';
import { localPrice } from '../job/region.ts';
import type { Job } from '../job/types.ts';
import type { MaterialItem } from '../job/vocabulary.ts';
import type { Metres, Minutes, Money } from '../units/si.ts';

/** A cartridge of caulk holds 300 mL [common practice, no source]. */
export const CARTRIDGE = 0.0003;

/** What a piece costs where nobody asked: the user's own figure, else the starting one at the prices of the country. */
function startingPrice(job: Pick<Job, 'settings' | 'region'>, item: MaterialItem): Money {
  const own = job.settings[`price.${item}`];
  return Math.round(own ?? localPrice(setting(job, `price.${item}`), job.region.country));
}

type Priced = Pick<Job, 'settings' | 'region' | 'prices'>;
/** What a piece costs, minor units: the job’s price, or a starting price. */
export const pieceOf = (job: Priced, item: MaterialItem): Money => job.prices[item]?.each ?? startingPrice(job, item);

/** Tape along a line: better where the ground is rough. */
export interface Tape {
  readonly item: 'tape' | 'tape-fine';
  readonly length: Metres;
}
/** Tape along a length, m; the better grade on rough ground. */
export const tapeOf = (length: Metres, rough: boolean): Tape => ({ item: rough ? 'tape-fine' : 'tape', length });

/** A metre of tape, or of a bead along its edge, in minor units. */
export const metreOf = (job: Priced, item: Tape['item'] | 'caulk'): number => {
  if (item !== 'caulk') return pieceOf(job, item) / setting(job, 'tape.length');
  const bead = setting(job, 'caulk.bead');
  return (pieceOf(job, 'caulk') * ((bead * bead) / 2)) / CARTRIDGE;
};

/** Minutes of a working day. */
export const dayLength = ({ crew }: Pick<Job, 'crew'>): Minutes =>
  crew.hours.reduce((sum, [from, to]) => sum + to - from, 0);

/** What an hour's work costs on average: a day's pay over its working hours. */
export const hourlyOf = ({ crew }: Pick<Job, 'crew'>): number =>
  crew.people.reduce((sum, p) => sum + p.day, 0) / crew.people.length / (dayLength({ crew }) / 60);
