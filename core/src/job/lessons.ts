import type { Accepted, AcceptedPace, AcceptedSpread } from './learned.ts';
import type { Job } from './types.ts';

/** What was learned on one job, for others: people and paints go by their names, for every job has ids of its own. */
export interface Carried {
  readonly paces: readonly (Omit<AcceptedPace, 'person'> & { readonly name: string })[];
  readonly spreads: readonly (Omit<AcceptedSpread, 'product'> & { readonly name: string })[];
}
export const NOTHING_CARRIED: Carried = { paces: [], spreads: [] };

const sameName = (a: string, b: string): boolean => a.trim().toLowerCase() === b.trim().toLowerCase();

/** What a job learned, put to what was carried before; of the same work the later one counts. */
export function carriedFrom({ learned, crew, products }: Job, before: Carried): Carried {
  const paces = learned.paces.flatMap(({ person, ...rate }) => {
    const name = crew.people.find(({ id }) => id === person)?.name;
    return name === undefined ? [] : [{ ...rate, name }];
  });
  const spreads = learned.spreads.flatMap(({ product, ...rate }) => {
    const name = products[product]?.name;
    return name === undefined ? [] : [{ ...rate, name }];
  });
  return {
    paces: [
      ...before.paces.filter((old) => !paces.some((row) => isSameWork(old, row) && sameName(old.name, row.name))),
      ...paces,
    ],
    spreads: [
      ...before.spreads.filter(
        (old) => !spreads.some((row) => old.texture === row.texture && sameName(old.name, row.name)),
      ),
      ...spreads,
    ],
  };
}
const isSameWork = (a: Pick<AcceptedPace, 'kind' | 'coat'>, b: Pick<AcceptedPace, 'kind' | 'coat'>): boolean =>
  a.kind === b.kind && a.coat === b.coat;

/** Of what was carried, what fits this job's people and paints and does not count in it yet. */
export function lessonsFor({ learned, crew, products }: Job, { paces, spreads }: Carried): Accepted {
  return {
    paces: crew.people.flatMap(({ id, name }) =>
      paces
        .filter((row) => sameName(row.name, name))
        .filter((row) => !learned.paces.some((own) => own.person === id && isSameWork(own, row)))
        .map(({ name: _, ...rate }) => ({ ...rate, person: id })),
    ),
    spreads: Object.values(products).flatMap(({ id, name }) =>
      spreads
        .filter((row) => sameName(row.name, name))
        .filter((row) => !learned.spreads.some((own) => own.product === id && own.texture === row.texture))
        .map(({ name: _, ...rate }) => ({ ...rate, product: id })),
    ),
  };
}
