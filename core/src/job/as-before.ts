import type { Crew } from './crew.ts';
import type { Product } from './paints.ts';
import type { Id } from './table.ts';
import type { Job } from './types.ts';

/** What of a job goes with the people who do it: who they are, their hours and days, and the prices that somebody named. */
export interface AsBefore {
  readonly crew: Pick<Crew, 'people' | 'hours' | 'weekdays'>;
  readonly paints: Readonly<Record<Id, Pick<Product, 'cans' | 'priced' | 'code'>>>;
  readonly prices: Job['prices'];
}

/** What the next job in the same currency may begin with; null: the currency is another, and nothing is converted. */
export function asBefore(last: Job, currency: string): AsBefore | null {
  if (last.currency !== currency) return null;
  const { people, hours, weekdays } = last.crew;
  return {
    // days of one job say nothing of another
    crew: { people: people.map((one) => ({ ...one, from: null, until: null, away: [] })), hours, weekdays },
    paints: Object.fromEntries(
      Object.values(last.products).flatMap(({ id, cans, priced, code }) =>
        priced ? [[id, { cans, priced, code }]] : [],
      ),
    ),
    prices: last.prices,
  };
}

/** How many prices it has of paints that a new job has too, and of things. */
export const pricesOf = ({ paints, prices }: AsBefore, { products }: Pick<Job, 'products'>): number =>
  Object.keys(paints).filter((id) => Object.hasOwn(products, id)).length + Object.keys(prices).length;

/** A new job that begins with it. Paints that only the other job had stay there. */
export const beginAs = (job: Job, { crew, paints, prices }: AsBefore): Job => ({
  ...job,
  crew: { ...job.crew, ...crew },
  prices,
  products: Object.fromEntries(
    Object.entries(job.products).map(([id, product]) => [
      id,
      Object.hasOwn(paints, id) ? { ...product, ...paints[id] } : product,
    ]),
  ),
});
