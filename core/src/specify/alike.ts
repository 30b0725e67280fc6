import { groupBy } from '../units/group.ts';
import type { SystemValues } from '../job/paints.ts';
import { effective } from './reasons.ts';
import type { Specified } from './specify.ts';

export const MEMBERS: readonly (keyof SystemValues)[] = [
  'prep',
  'primer',
  'paint',
  'sheen',
  'cover',
  'brush',
  'coats',
  'style',
  'conditioner',
  'seal',
];
const valueOf = (s: Specified, member: keyof SystemValues): string =>
  JSON.stringify(effective<unknown>(s.system[member]));

/** Surfaces that get the very same paint and system stand together, in the order they were first met. */
export const alike = (surfaces: readonly Specified[]): readonly (readonly Specified[])[] => [
  ...groupBy(surfaces, (s) => [s.product.id, s.colour.id, ...MEMBERS.map((m) => valueOf(s, m))].join('|')).values(),
];

/** In which members two systems differ, paint and colour included. */
export const differences = (a: Specified, b: Specified): readonly (keyof SystemValues | 'paint' | 'colour')[] => [
  ...(a.product.id === b.product.id ? [] : (['paint'] as const)),
  ...(a.colour.id === b.colour.id ? [] : (['colour'] as const)),
  ...MEMBERS.filter((m) => valueOf(a, m) !== valueOf(b, m)),
];
