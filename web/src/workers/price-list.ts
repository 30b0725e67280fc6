import { wrap, type Remote } from 'comlink';
import { whenBroken } from './ask.ts';
import { startWorker } from './start.ts';
import type { PriceListApi } from './price-list.worker.ts';

export interface ListReader {
  /** Asks it something; ended meanwhile, the answer is null. */
  readonly run: <T>(question: (api: Remote<PriceListApi>) => Promise<T>) => Promise<T | null>;
  readonly end: () => void;
}

/** A worker for one list: opened, brought in, and ended; ending it early cancels the import. */
export function priceListWorker(): ListReader {
  const worker = startWorker('price-list');
  const api = wrap<PriceListApi>(worker);
  const broken = whenBroken(worker);
  const ended = new AbortController();
  const end = new Promise<null>((resolve) => {
    ended.signal.addEventListener('abort', () => resolve(null));
  });
  return {
    run: (question) => Promise.race([question(api), broken, end]),
    end: () => {
      worker.terminate();
      ended.abort();
    },
  };
}
