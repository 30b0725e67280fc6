import type { Findable } from '@kovelin/core/record/find.ts';
import { askers } from './ask.ts';
import { startWorker } from './start.ts';
import type { FindApi } from './find.worker.ts';

const ask = askers<FindApi>(() => startWorker('find'), 60);

/** What fits over all jobs; given up by the signal. */
export const findPaint = (query: string, kinds: readonly Findable['kind'][], most: number, signal: AbortSignal) =>
  ask((api) => api.find(query, kinds, most), signal);
