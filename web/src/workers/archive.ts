import { askers } from './ask.ts';
import type { ArchiveApi } from './archive.worker.ts';

const ask = askers<ArchiveApi>(
  () => new Worker(new URL('./archive.worker.ts', import.meta.url), { type: 'module' }),
  // thousands of photos take their time
  600,
);
const NEVER = new AbortController().signal;

/** All jobs, or those named, as a file. */
export const pack = (ids: readonly string[] | undefined, withPhotos: boolean) =>
  ask((api) => api.pack(ids, withPhotos), NEVER);
export const unpack = (file: Blob) => ask((api) => api.unpack(file), NEVER);
