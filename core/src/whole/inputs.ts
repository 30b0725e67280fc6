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
const WORKED = [...SPECIFIED, 'crew', 'learned', 'lines', 'orders', 'prices', 'defects'] as const;
/** How a coat is kept wet is decided by its paint, its minutes, its air and what it costs. */
export const DECIDED = [...WORKED, 'shelf', 'reserved', 'air'] as const;
export const PLANNED = [...DECIDED, 'pins', 'wanted', 'taken'] as const;
export const WHOLE = [...PLANNED, 'owned', 'pricing'] as const;

export type Decided = Pick<Job, (typeof DECIDED)[number]>;
export type Planned = Pick<Job, (typeof PLANNED)[number]>;
/** All that any stage reads: what is sent to be worked out elsewhere. */
export type WholeInput = Pick<Job, (typeof WHOLE)[number]>;
