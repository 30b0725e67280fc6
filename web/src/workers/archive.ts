import type { ReadArchive } from '@kovelin/core/exchange/archive.ts';
import type { Result } from '@kovelin/core/units/problem.ts';
import { proxy } from 'comlink';
import { askers } from './ask.ts';
import { startWorker } from './start.ts';
import type { ArchiveApi } from './archive.worker.ts';
import { MOST_SECONDS } from './files.ts';

const ask = askers<ArchiveApi>(
  () => startWorker('archive'),
  // thousands of photos take their time
  600,
);
/** Bytes of photos that the slowest device reads in a second [starting judgement]. */
const A_SECOND = 10e6;
const NEVER = new AbortController().signal;

/** All jobs, or those named, as a file: given to another device, or kept here. */
export const pack = (to: 'given' | 'kept', ids: readonly string[] | undefined, withPhotos: boolean) =>
  ask((api) => api.pack(to, ids, withPhotos), NEVER);

/** Reads an archive, until it has taken longer than a file of its size can. @param told how many of its files are read. */
export const unpack = (
  file: Blob,
  signal: AbortSignal,
  told: (done: number, of: number) => void,
): Promise<Result<ReadArchive>> =>
  ask((api) => api.unpack(file, proxy(told)), signal, MOST_SECONDS + file.size / A_SECOND);
