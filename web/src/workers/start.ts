import type { Part } from './worker.ts';

export const startWorker = (part: Part): Worker =>
  new Worker(new URL('./worker.ts', import.meta.url), { type: 'module', name: part });
