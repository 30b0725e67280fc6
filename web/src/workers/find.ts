import type { Findable } from '@kovelin/core/record/find.ts';
import { askers } from './ask.ts';
import type { FindApi } from './find.worker.ts';

const ask = askers<FindApi>(() => new Worker(new URL('./find.worker.ts', import.meta.url), { type: 'module' }), 60);

/** What fits over all jobs; given up by the signal. */
export const findPaint = (query: string, kinds: readonly Findable['kind'][], most: number, signal: AbortSignal) =>
  ask((api) => api.find(query, kinds, most), signal);
