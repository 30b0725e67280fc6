import type { Job, Practice } from '../job/types.ts';
import type { Litres, Minutes, Money } from '../units/si.ts';
import { derive, ledgerOf } from './derive.ts';

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
  ...of('trimOrder', ['trim-first', 'trim-last']),
];

/** Every school with its price on this job: the whole derivation is run under each. */
export function schoolPrices(job: Job): SchoolPrice[] {
  const now = ledgerOf(derive(job));
  return SCHOOLS.map((school) => {
    const chosen = JSON.stringify(job.practice[school.of]) === JSON.stringify(school.set[school.of]);
    const then = chosen ? now : ledgerOf(derive({ ...job, practice: { ...job.practice, ...school.set } }));
    return {
      ...school,
      chosen,
      cost: then.price - now.price,
      paint: then.paint - now.paint,
      minutes: then.minutes - now.minutes,
    };
  });
}
