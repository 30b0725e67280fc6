import { wrap, type Remote } from 'comlink';
import type { PriceListApi } from './price-list.worker.ts';

/** A worker for one list: opened, brought in, and ended; ending it early cancels the import. */
export function priceListWorker(): { readonly api: Remote<PriceListApi>; readonly end: () => void } {
  const worker = new Worker(new URL('./price-list.worker.ts', import.meta.url), { type: 'module' });
  return { api: wrap<PriceListApi>(worker), end: () => worker.terminate() };
}
