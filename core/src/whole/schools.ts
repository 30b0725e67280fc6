import type { Practice } from '../job/paints.ts';
import type { Litres, Minutes, Money } from '../units/si.ts';
import type { WholeInput } from './inputs.ts';
import { baseOrder } from './plan.ts';

/** One way of working among those practitioners disagree about, as a change of the job's practice. */
export interface School {
  readonly of: keyof Practice;
  readonly set: Partial<Practice>;
}
/** What a school costs against the practice as it is. */
export interface SchoolPrice extends School {
  readonly chosen: boolean;
  readonly cost: Money;
  readonly paint: Litres;
  readonly minutes: Minutes;
}

const of = <K extends keyof Practice>(key: K, values: readonly Practice[K][]): School[] =>
  values.map((value) => ({ of: key, set: { [key]: value } as Partial<Practice> }));

export const SCHOOLS: readonly School[] = [
  ...of('walls', ['weighed', 'touch-up', 'wipe']),
  ...of('prep', ['wash', 'sand']),
  ...of('coats', ['equal', 'thin-then-full']),
  ...of('weakCoats', [1, 2]),
  ...of('brick', ['long-pile', 'half-inch']),
  ...of('house', [
    null,
    { pile: 0.01, fabric: 'microfibre' },
    { pile: 0.01, fabric: 'woven' },
    { pile: 0.013, fabric: 'microfibre' },
  ]),
  ...of('boxing', ['box', 'as-they-come']),
  ...of('openings', ['net', 'gross']),
  ...of('trimOrder', ['trim-first', 'trim-last', 'one-day', 'cheapest']),
  ...of('accent', ['cheapest', 'laps-out', 'cut-last']),
  ...of('tape', ['by-ground', 'caulk-all']),
  ...of('pull', ['wet', 'tacky', 'dry']),
  ...of('firstCoats', ['cut-first', 'roll-first']),
  ...of('spread', ['zigzag', 'upright']),
  ...of('layOff', ['up-and-back', 'down']),
  ...of('doors', ['rolled', 'pieces']),
  ...of('roles', ['as-needed', 'alone', 'pair', 'cut-all']),
  ...of('division', ['free', 'ceilings-walls', 'mask-lap', 'seal-cut-roll']),
  ...of('washing', ['daily', 'bagged']),
  ...of('rim', ['holes', 'band']),
];

/** What the job costs under a school: all of it is worked out, its base plan with it. */
export function schoolPrice(job: WholeInput, school: School): SchoolPrice {
  const chosen = JSON.stringify(job.practice[school.of]) === JSON.stringify(school.set[school.of]);
  const now = baseOrder(job);
  const then = chosen ? now : baseOrder({ ...job, practice: { ...job.practice, ...school.set } });
  const litres = ({ paints }: typeof now): Litres => paints.reduce((sum, p) => sum + p.ordered, 0);
  return {
    ...school,
    chosen,
    cost: then.price.total - now.price.total,
    paint: litres(then) - litres(now),
    minutes: then.labour.minutes - now.labour.minutes,
  };
}
