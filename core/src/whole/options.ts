import type { Id } from '../job/table.ts';
import type { JobOption } from '../job/priced.ts';
import type { Money } from '../units/si.ts';
import type { WholeInput } from './inputs.ts';
import { baseOrder } from './plan.ts';

export interface OptionPrice {
  readonly option: JobOption;
  /** Tax with it, on top of the job without this option. */
  readonly price: Money;
}

/** One option by itself: the price of the job with it less the price without, the other options as they are. */
export function optionPrice(job: WholeInput, option: JobOption): OptionPrice {
  const total = (id: Id, taken: boolean): Money => {
    const options = { ...job.options, byId: { ...job.options.byId, [id]: { ...option, taken } } };
    return baseOrder({ ...job, options }).price.total;
  };
  return { option, price: total(option.id, true) - total(option.id, false) };
}
