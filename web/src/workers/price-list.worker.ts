import {
  decodeList,
  headOf,
  readPriceList,
  type ListHead,
  type PriceColumns,
} from '@kovelin/core/exchange/price-list.ts';
import { sentence, type Result } from '@kovelin/core/units/problem.ts';
import { db } from '../store/db.ts';
import { sweep } from '../store/price-lists.ts';

export interface ImportAsked {
  readonly id: string;
  readonly name: string;
  readonly imported: string;
  readonly currency: string;
  readonly separator: string;
  readonly columns: PriceColumns;
}
export interface ImportDone {
  readonly rows: number;
  readonly refused: number;
  readonly problems: readonly string[];
}

let text = '';
export const api = {
  /** Decodes a list and shows its head; the text stays here for the import. */
  open(bytes: Uint8Array): Result<ListHead> {
    text = decodeList(bytes);
    return headOf(text);
  },
  /** Reads the list into the browser's database. Until its last row is in, nobody sees it; terminated, nothing of it counts. */
  bringIn(asked: ImportAsked, onProgress: (done: number, rows: number) => void): Promise<ImportDone> {
    // one at a time: a second tab's sweep would take this one's rows for leftovers
    return navigator.locks.request('kovelin-price-list', () => read(asked, onProgress));
  },
};
export type PriceListApi = typeof api;

async function read(asked: ImportAsked, onProgress: (done: number, rows: number) => void): Promise<ImportDone> {
  await sweep(db, new Set([asked.id]));
  const problems: string[] = [];
  let [n, rows] = [0, 0];
  const done = await readPriceList(text, asked, async (chunk, share) => {
    problems.push(...chunk.problems.map(sentence));
    if (chunk.rows.length) await db.priceChunks.put({ list: asked.id, n: n++, rows: chunk.rows });
    rows += chunk.rows.length;
    onProgress(share, rows);
    return true;
  });
  if (done.rows > 0)
    await db.priceLists.put({
      id: asked.id,
      name: asked.name,
      imported: asked.imported,
      currency: asked.currency,
      rows: done.rows,
    });
  return { rows: done.rows, refused: done.refused, problems };
}
