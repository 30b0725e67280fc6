import { personOf } from '../job/crew.ts';
import type { Edit } from '../job/edits.ts';
import type { Job } from '../job/types.ts';
import { familyOf, type Conditioner, type TrimOrder } from '../job/vocabulary.ts';
import { DAY } from '../sequence/calendar.ts';
import type { Minutes, Money } from '../units/si.ts';
import type { WholeInput } from './inputs.ts';
import { baseDays, baseOrder, basePlan, replays } from './plan.ts';
import { wholeOf } from './whole.ts';

/** Another way to do a job; what is left out stays as it is. */
export interface Variant {
  readonly trimOrder?: TrimOrder;
  readonly people?: number;
  /** Everybody's day begins and ends so much later. */
  readonly shift?: Minutes;
  /** Flow conditioner in the paint of walls and ceilings. */
  readonly conditioner?: boolean;
}
/** What a plan comes to, to be laid beside others. */
export interface VariantPlan {
  /** null: no plan fits. */
  readonly finish: Minutes | null;
  readonly p90: Minutes | null;
  readonly days: number;
  /** Paid. */
  readonly minutes: Minutes;
  readonly price: Money;
  /** Minutes of careful cutting in. */
  readonly cutting: Minutes;
  /** Of walls like the one on which a mark is likeliest to be seen, the share on which it is. */
  readonly seen: number;
}

/** The starting dose: where it is too little, the wet edge says so. */
const DOSE: Conditioner = 0.125;

/** The edits that make a job so; none: it is so already, or cannot be. */
export function variantEdits(job: Job, { trimOrder, people, shift = 0, conditioner }: Variant): Edit[] {
  const { crew, practice } = job;
  const edits: Edit[] = [];
  if (trimOrder && trimOrder !== practice.trimOrder) edits.push({ name: 'setPractice', args: { set: { trimOrder } } });
  const hours = crew.hours.map(([from, to]) => [from + shift, to + shift] as const);
  const isInDay = hours.every(([from, to]) => from >= 0 && to <= DAY);
  const isOther = people !== undefined && people !== crew.people.length;
  if (isOther || (shift !== 0 && isInDay))
    edits.push({
      name: 'setCrew',
      args: { set: { ...(isOther ? { people: crewOf(crew.people, people) } : {}), ...(isInDay ? { hours } : {}) } },
    });
  if (conditioner !== undefined) {
    const surfaces = wholeOf(job).surfaces.filter(({ surface }) => familyOf(surface.kind) !== 'trim');
    edits.push({
      name: 'decideAll',
      args: {
        surfaces: surfaces.map(({ surface }) => surface.id),
        member: 'conditioner',
        value: conditioner ? DOSE : 0,
      },
    });
  }
  return edits;
}
const crewOf = (people: Job['crew']['people'], count: number): Job['crew']['people'] =>
  Array.from(
    { length: count },
    (_, n) =>
      people[n] ?? personOf({ id: `more-${n + 1}`, name: `Painter ${n + 1}`, day: people[0]?.day ?? 0, hand: 'right' }),
  );

/** The plan of a job and what it comes to. */
export function variantPlan(job: WholeInput): VariantPlan {
  const plan = basePlan(job);
  const { labour, price } = baseOrder(job);
  const works = plan.placed.length > 0;
  const seen = plan.network.tasks.flatMap(({ kept }) => (kept ? [kept.seen] : []));
  return {
    finish: works ? plan.finish : null,
    p90: works ? replays(job).p90 : null,
    days: baseDays(job).days,
    minutes: labour.minutes,
    price: price.total,
    cutting: wholeOf(job)
      .operations.filter(({ kind }) => kind === 'cut' || kind === 'trim-edge')
      .reduce((sum, op) => sum + op.minutes.value, 0),
    seen: Math.max(0, ...seen),
  };
}
