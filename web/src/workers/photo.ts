import { askers } from './ask.ts';
import { startWorker } from './start.ts';
import type { PhotoApi } from './photo.worker.ts';

const ask = askers<PhotoApi>(() => startWorker('photo'), 60);
const NEVER = new AbortController().signal;

/** A photo as it is kept: see the worker. */
export const smallPhoto = (file: Blob) => ask((api) => api.small(file), NEVER);
