import { rows } from '../job/table.ts';
import type { WholeInput } from '../whole/inputs.ts';
import { optionPrice, type OptionPrice } from '../whole/options.ts';

/** What each option would add to the price by itself. */
export const optionPrices = (job: WholeInput): OptionPrice[] =>
  rows(job.options).map((option) => optionPrice(job, option));
