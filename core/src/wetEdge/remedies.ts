import { dryingIn, airAt } from '../climate/air.ts';
import { setting } from '../job/defaults.ts';
import { CONDITIONERS, type Change } from '../job/vocabulary.ts';
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
const WIDTHS = [4, 6, 9, 12, 18].map((n) => n * INCH);
/** Draught of a room with its windows and doors shut, m/s [starting judgement]. */
const SHUT = 0.05;

type Tried = { readonly change: Change; readonly value: number; readonly ask: WetAsk; readonly material: Money };

/** Every remedy that applies, each run with the same seeds, one after the other: what brings both chances under the accepted one first, the cheapest of them before the others. */
export function* remediesOf(ask: WetAsk, before: WetAnswer): Generator<Remedy> {
  for (const tried of triesOf(ask)) {
    const answer = wetEdgeOf(tried.ask);
    if (!answer) continue;
    const { strips } = answer.setup.plan;
    // as many strips as are best are no remedy where they are no fewer
    if (tried.change === 'shorter' && strips >= before.setup.plan.strips) continue;
    const value = tried.change === 'shorter' ? strips : tried.value;
    const cost = answer.paid - before.paid + tried.material;
    yield { change: tried.change, value, cost, lap: answer.lap, halo: answer.halo, answer };
  }
}

export function ranked(ask: WetAsk, remedies: readonly Remedy[]): Remedy[] {
  const accepted = setting(ask.job, 'wet.risk');
  const chance = ({ lap, halo }: Remedy) => Math.max(lap, halo);
  const enough = (remedy: Remedy) => chance(remedy) <= accepted;
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
      ask: { ...ask, specified: over(s, { conditioner: { ...s.system.conditioner, override: dose } }) },
      material: bottle * pieceOf(job, 'conditioner'),
    });
  }
  if (people === 1)
    tries.push({ change: 'second', value: 2, ask: { ...ask, people: 2, role: null, strips: null }, material: 0 });
  const wide = widerAsk(ask);
  if (wide) tries.push({ change: 'wider', value: wide.width, ask: wide.ask, material: pieceOf(job, 'cover') });
  const hour = bestHour(ask);
  if (hour !== null) tries.push({ change: 'hour', value: hour, ask: { ...ask, at: hour, strips: null }, material: 0 });
  const { draught } = airAt(job.air, ask.at);
  if (draught > SHUT) {
    const day = job.air.day.map((reading) => ({ ...reading, draught: SHUT }));
    tries.push({
      change: 'shut',
      value: SHUT,
      ask: { ...ask, job: { ...job, air: { ...job.air, draught: SHUT, day } } },
      material: 0,
    });
  }
  return tries;
}

const over = (s: Specified, system: Partial<Specified['system']>): Specified => ({
  ...s,
  system: { ...s.system, ...system },
});

/** The next wider cover; its strips are wider and quicker by the square metre. */
function widerAsk(ask: WetAsk): { width: number; ask: WetAsk } | null {
  const { job, specified: s } = ask;
  const cover = effective(s.system.cover);
  const width = WIDTHS.find((w) => w > cover.width + 1e-6);
  if (width === undefined) return null;
  const quicker = widthFactor(job, width) / widthFactor(job, cover.width);
  const done = ask.done.map((d) => (isRoll(d) ? { ...d, minutes: d.minutes * quicker } : d));
  const specified = over(s, { cover: { ...s.system.cover, override: { ...cover, width } } });
  return { width, ask: { ...ask, done, specified, strips: null } };
}

/** Minutes between the hours of a day that are tried. */
const HOUR = 30;
/** The hour of the working day in which paint stays open longest; null: the day has one air, or it is that hour already. */
export function bestHour({ job, at }: WetAsk): Minutes | null {
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
