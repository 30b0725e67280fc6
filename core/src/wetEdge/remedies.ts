import { dryingIn, airAt } from '../climate/air.ts';
import { setting } from '../job/defaults.ts';
import { CONDITIONERS, type Change, type Conditioner } from '../job/vocabulary.ts';
import { dayLength, pieceOf } from '../paces/prices.ts';
import { widthFactor } from '../paces/minutes.ts';
import { isRoll } from '../plays/ground.ts';
import { effective } from '../specify/reasons.ts';
import type { Specified } from '../specify/specify.ts';
import { INCH, type Minutes, type Money } from '../units/si.ts';
import { wetEdgeOf, type WetAnswer, type WetAsk } from './wetEdge.ts';

export interface Remedy {
  readonly change: Change;
  /** The hour, of `hour`; the cover's width, of `wider`; litres to a litre, of `conditioner`; strips of `shorter`. */
  readonly value: number;
  /** Over the wall as it was asked, minor units. */
  readonly cost: Money;
  readonly lap: number;
  readonly halo: number;
  readonly answer: WetAnswer;
}

/** Widths of covers, metres. */
export const WIDTHS = [4, 6, 9, 12, 18].map((n) => n * INCH);
/** Draught of a room with its windows and doors shut, m/s [starting judgement]. */
const SHUT = 0.05;

type Tried = { readonly change: Change; readonly value: number; readonly ask: WetAsk; readonly material: Money };

/** How many remedies there are to be tried. */
export const remedyCount = (ask: WetAsk): number => triesOf(ask).length;

/** The remedy of that number, run with the same seeds as the wall itself; null: it does not apply. */
export function remedyAt(ask: WetAsk, before: WetAnswer, n: number): Remedy | null {
  const tried = triesOf(ask)[n];
  const answer = tried && wetEdgeOf(tried.ask);
  if (!tried || !answer) return null;
  const { strips } = answer.setup.plan;
  // as many strips as are best are no remedy where they are no fewer
  if (tried.change === 'shorter' && strips >= before.setup.plan.strips) return null;
  const value = tried.change === 'shorter' ? strips : tried.value;
  const cost = answer.paid - before.paid + tried.material;
  return { change: tried.change, value, cost, lap: answer.lap, halo: answer.halo, answer };
}

/** All that might keep the edge wet, each with what it would change. */
export const remediesOf = (ask: WetAsk, before: WetAnswer): Remedy[] =>
  Array.from({ length: remedyCount(ask) }, (_, n) => remedyAt(ask, before, n) ?? []).flat();

/** What brings both chances under the accepted one first, the cheapest of them before the others. */
export function ranked<R extends Pick<Remedy, 'lap' | 'halo' | 'cost'>>(ask: WetAsk, remedies: readonly R[]): R[] {
  const accepted = setting(ask.job, 'wet.risk');
  const chance = ({ lap, halo }: R) => Math.max(lap, halo);
  const enough = (remedy: R) => chance(remedy) <= accepted;
  return remedies.toSorted(
    (a, b) =>
      Number(enough(b)) - Number(enough(a)) || (enough(a) ? a.cost - b.cost : chance(a) - chance(b)) || a.cost - b.cost,
  );
}

function triesOf(ask: WetAsk): Tried[] {
  const { job, specified: s, people } = ask;
  const tries: Tried[] = [];
  if (ask.strips !== null || ask.role === 'cut-all')
    tries.push({ change: 'shorter', value: 0, ask: { ...ask, role: null, strips: null }, material: 0 });
  const dose = CONDITIONERS.find((d) => d >= 0.19 && d > effective(s.system.conditioner));
  if (dose !== undefined && s.product.base === 'water-borne') {
    const bottle = (ask.litres * dose) / setting(job, 'conditioner.bottle');
    tries.push({
      change: 'conditioner',
      value: dose,
      ask: { ...withDose(ask, dose), strips: null },
      material: bottle * pieceOf(job, 'conditioner'),
    });
  }
  if (people === 1)
    tries.push({ change: 'second', value: 2, ask: { ...ask, people: 2, role: null, strips: null }, material: 0 });
  const wide = widerThan(ask);
  if (wide !== null)
    tries.push({
      change: 'wider',
      value: wide,
      ask: { ...withCover(ask, wide), strips: null },
      material: pieceOf(job, 'cover'),
    });
  const hour = bestHour(ask);
  if (hour !== null) tries.push({ change: 'hour', value: hour, ask: { ...ask, at: hour, strips: null }, material: 0 });
  const { draught } = airAt(job.air, ask.at);
  if (draught > SHUT + 1e-9) {
    tries.push({
      change: 'shut',
      value: SHUT,
      ask: { ...shutIn(ask), strips: null },
      material: 0,
    });
  }
  return tries;
}

const over = (s: Specified, system: Partial<Specified['system']>): Specified => ({
  ...s,
  system: { ...s.system, ...system },
});

/** The same coat with so much conditioner. */
export const withDose = (ask: WetAsk, dose: Conditioner): WetAsk => ({
  ...ask,
  specified: over(ask.specified, { conditioner: { ...ask.specified.system.conditioner, override: dose } }),
});

/** The same coat with windows and doors shut, all day. */
export function shutIn(ask: WetAsk): WetAsk {
  const { air } = ask.job;
  const day = air.day.map((reading) => ({ ...reading, draught: SHUT }));
  return { ...ask, job: { ...ask.job, air: { ...air, draught: SHUT, day } } };
}

/** The next wider cover, metres; null: there is none. */
const widerThan = ({ specified: s }: WetAsk): number | null =>
  WIDTHS.find((w) => w > effective(s.system.cover).width + 1e-6) ?? null;

/** The same coat with another cover: its strips are as wide as it is, and quicker by the square metre where it is wider. */
export function withCover(ask: WetAsk, width: number): WetAsk {
  const { job, specified: s } = ask;
  const cover = effective(s.system.cover);
  const quicker = widthFactor(job, width) / widthFactor(job, cover.width);
  const done = ask.done.map((d) => (isRoll(d) ? { ...d, minutes: d.minutes * quicker } : d));
  return { ...ask, done, specified: over(s, { cover: { ...s.system.cover, override: { ...cover, width } } }) };
}

/** Minutes between the hours of a day that are tried. */
const HOUR = 30;
/** The hour of the working day in which paint stays open longest; null: the day has one air, or it is that hour already. */
function bestHour({ job, at }: WetAsk): Minutes | null {
  if (!job.air.day.length || dayLength(job) <= 0) return null;
  let best: { at: Minutes; drying: number } | null = null;
  for (const [from, to] of job.crew.hours)
    for (let hour = from; hour < to; hour += HOUR) {
      const drying = dryingIn(airAt(job.air, hour));
      if (drying > 0 && (!best || drying < best.drying)) best = { at: hour, drying };
    }
  const now = dryingIn(airAt(job.air, at));
  return best && best.at !== at && best.drying < now - 1e-9 ? best.at : null;
}
