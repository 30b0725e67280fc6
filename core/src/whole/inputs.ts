import type { Job } from '../job/types.ts';

// What each stage reads of the job; a later one reads what those before it read.
export const MEASURED = ['rooms', 'settings', 'units'] as const;
export const SPECIFIED = [
  ...MEASURED,
  'region',
  'products',
  'colours',
  'finishes',
  'survey',
  'decisions',
  'practice',
  'options',
] as const;
/** Lines are chosen by what they cost, so work reads pay and prices. */
export const WORKED = [...SPECIFIED, 'crew', 'learned', 'lines', 'orders', 'prices', 'defects'] as const;
export const PAINTED = [...SPECIFIED, 'learned', 'defects', 'shelf', 'reserved'] as const;
export const PLANNED = [...WORKED, 'shelf', 'reserved', 'air', 'pins', 'wanted', 'taken'] as const;
export const WHOLE = [
  ...PAINTED,
  'crew',
  'lines',
  'orders',
  'owned',
  'prices',
  'pricing',
  'air',
  'pins',
  'wanted',
  'taken',
] as const;

export type Planned = Pick<Job, (typeof PLANNED)[number]>;
/** All that any stage reads: what is sent to be worked out elsewhere. */
export type WholeInput = Pick<Job, (typeof WHOLE)[number]>;
