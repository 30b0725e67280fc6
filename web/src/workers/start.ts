import type { Part } from './worker.ts';
import url from './worker.ts?worker&url';

export const startWorker = (part: Part): Worker => new Worker(url, { type: 'module', name: part });
