import type { PrimerChoice, PrimerLayer, Product } from '../job/paints.ts';
import type { PrimerKind } from '../job/vocabulary.ts';

/** What the ground, its stains and its patches ask of a primer. */
export interface Demand {
  readonly does: PrimerKind;
  readonly extent: 'spot' | 'full';
  readonly coats: number;
}

/** A primer that goes on, with the product that does it; null: the job has none for it. */
export interface Primed {
  readonly layer: PrimerLayer;
  readonly product: Product | null;
}

/** What holds to the ground comes first, what blocks over it, what is sanded last [common practice, no source]. */
const ORDER: readonly PrimerKind[] = ['penetrating', 'bonding', 'board', 'sealing', 'blocking', 'undercoat'];

export const NO_PRIMER: PrimerChoice = { kind: 'none', extent: 'none', coats: 0, tint: null, then: null };
/** One layer of primer and no other. */
export const only = (layer: PrimerLayer): PrimerChoice => ({ ...layer, then: null });

/** The primers of a choice in the order they go on. */
export const layersOf = ({ then, ...first }: PrimerChoice): readonly PrimerLayer[] =>
  [first, ...(then ? [then] : [])].filter(({ extent, coats }) => extent !== 'none' && coats > 0);

const doesAll = (product: Product, demands: readonly Demand[]): boolean =>
  demands.every(({ does }) => product.serves.includes(does));
const perLitre = ({ cans }: Product): number => Math.min(...cans.map((can) => can.price / can.litres));
/** The product for a kind: one made for it, else the cheapest that does it besides. null: the job has none. */
export const primerFor = (primers: readonly Product[], kind: PrimerKind): Product | null =>
  primers.find((p) => p.primer === kind) ??
  primers.filter((p) => p.serves.includes(kind)).sort((a, b) => perLitre(a) - perLitre(b))[0] ??
  null;

/** The primers of a choice with the products that do them. */
export const primedWith = (primers: readonly Product[], choice: PrimerChoice): readonly Primed[] =>
  layersOf(choice).map((layer) => ({ layer, product: primerFor(primers, layer.kind) }));

/** One layer for demands that one product meets together; null: none of the job does. */
function together(primers: readonly Product[], demands: readonly Demand[]): PrimerLayer | null {
  const [first] = demands;
  if (!first) return null;
  const full = demands.some(({ extent }) => extent === 'full');
  const coats = Math.max(...demands.map((d) => d.coats));
  const layer = (kind: PrimerKind): PrimerLayer => ({ kind, extent: full ? 'full' : 'spot', coats, tint: null });
  if (demands.length === 1) return layer(first.does);
  const product = primers.find((p) => doesAll(p, demands));
  return product ? layer(product.primer) : null;
}

/** All ways of putting demands into one or two heaps, the first in the first. */
function heaps(demands: readonly Demand[]): (readonly [readonly Demand[], readonly Demand[]])[] {
  const [first, ...rest] = demands;
  if (!first) return [];
  const ways = rest.reduce<[Demand[], Demand[]][]>(
    (found, demand) =>
      found.flatMap(([a, b]): [Demand[], Demand[]][] => [
        [[...a, demand], b],
        [a, [...b, demand]],
      ]),
    [[[first], []]],
  );
  return ways.sort(([, a], [, b]) => a.length - b.length);
}

/**
 * A primer that does all that is asked; else two in order, as little of them full as can be. What no product of the job does
 * keeps its kind, and a warning says so.
 */
export function primerMeeting(demands: readonly Demand[], primers: readonly Product[]): PrimerChoice {
  if (!demands.length) return NO_PRIMER;
  for (const [a, b] of heaps(demands)) {
    const one = together(primers, a);
    const other = together(primers, b);
    if (!one || (b.length > 0 && !other)) continue;
    const [first, then] = other ? inOrder(one, other) : [one, null];
    return { ...first, then };
  }
  // three that nothing puts together: patches are left to the finish
  return primerMeeting(demands.slice(0, 2), primers);
}
const inOrder = (a: PrimerLayer, b: PrimerLayer): readonly [PrimerLayer, PrimerLayer] =>
  ORDER.indexOf(a.kind) <= ORDER.indexOf(b.kind) ? [a, b] : [b, a];
