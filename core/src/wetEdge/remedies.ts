import { airAt, dryingIn } from '../climate/air.ts';
import { CONDITIONERS, type Change } from '../job/vocabulary.ts';
import { dayLength, pieceOf } from '../paces/prices.ts';
import { effective } from '../specify/reasons.ts';
import type { Minutes, Money } from '../units/si.ts';
import { SHUT, shutIn, WIDTHS, withCover, type WetAsk } from './ask.ts';
import { because, type Reason } from '../words/reasons.ts';
import { wetEdgePlan, type Way, type WetEdgePlan } from './decide.ts';

/** Something that might be done otherwise. */
export interface Remedy {
  readonly change: Change;
  /** The hour, of `hour`; the cover's width, of `wider`; litres to a litre, of `conditioner`. */
  readonly value: number;
  /** Over what is planned, minor units: what is paid for it, and what it comes to with the marks it saves. */
  readonly price: Money;
  readonly cost: Money;
  readonly way: Way;
}

/** What else might be done: the decision again with one thing changed, priced against it, what saves most first. */
export function remediesOf(ask: WetAsk, plan: WetEdgePlan): Remedy[] {
  const found: Remedy[] = [];
  const add = (change: Change, value: number, asked: WetAsk, material: Money = 0) => {
    const way = wetEdgePlan(asked);
    // a wall too short for sections has none
    if (way && (change !== 'sections' || way.method === 'sections'))
      found.push({ change, value, price: way.sure + material - plan.sure, cost: way.cost + material - plan.cost, way });
  };
  const isDoor = plan.method === 'face';
  if (ask.specified.product.base === 'water-borne') {
    const doses = CONDITIONERS.filter((dose) => dose > plan.conditioner);
    const dosed = doses.flatMap((conditioner) => wetEdgePlan({ ...ask, conditioner }) ?? []);
    const [best] = dosed.toSorted((a, b) => a.cost - b.cost);
    if (best) add('conditioner', best.conditioner, { ...ask, conditioner: best.conditioner });
    if (plan.conditioner > 0) add('undosed', 0, { ...ask, conditioner: 0 });
  }
  if (!isDoor && plan.method !== 'whole') add('whole', 0, { ...ask, methods: ['whole'], strips: null });
  if (!isDoor && plan.method !== 'sections' && plan.visible === 'plain')
    add('sections', 0, { ...ask, methods: ['sections'], strips: null });
  if (!isDoor && plan.people === 1) add('second', 2, { ...ask, people: 2, methods: ['follow'], strips: null });
  const { width } = effective(ask.specified.system.cover);
  const wide = isDoor ? undefined : WIDTHS.find((w) => w > width + 1e-6);
  if (wide !== undefined) add('wider', wide, withCover(ask, wide), pieceOf(ask.job, 'cover'));
  const hour = bestHour(ask);
  if (hour !== null) add('hour', hour, { ...ask, at: hour });
  if (airAt(ask.job.air, ask.at).draught > SHUT + 1e-9) add('shut', SHUT, shutIn(ask));
  return found.toSorted((a, b) => a.cost - b.cost);
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

/** What to do about a wall or a door, in a sentence. */
export function adviceOf({ method, seen, conditioner: dose, long, open }: WetEdgePlan): Reason {
  if (!open.dries) return because('air.still-wet');
  return method === 'sections' || method === 'follow'
    ? because(`wet.${method}`, { seen, dose, long })
    : because(`wet.${method}`, { seen, dose });
}
