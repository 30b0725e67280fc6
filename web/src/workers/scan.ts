import { transfer } from 'comlink';
import { askers } from './ask.ts';
import { startWorker } from './start.ts';
import type { ScanApi } from './scan.worker.ts';

const ask = askers<ScanApi>(() => startWorker('scan'), 30);
const NEVER = new AbortController().signal;

/** The code that a camera sees, or that a picture shows; null: none. */
export const codeIn = (bitmap: ImageBitmap, withBars: boolean) =>
  ask((api) => api.frame(transfer(bitmap, [bitmap]), withBars), NEVER);
