import type { PriceRow } from '@kovelin/core/exchange/price-list.ts';
import { db, type Database, type PriceListRow } from './db.ts';

/** Lists that are whole, the newest first. */
export const priceLists = (): Promise<PriceListRow[]> => db.priceLists.orderBy('imported').reverse().toArray();

/** Rows of a list that hold every word asked for, in name or code, at most `most`. */
export async function searchPrices(list: string, text: string, most = 60): Promise<PriceRow[]> {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean);
  const found: PriceRow[] = [];
  const count = await db.priceChunks.where('list').equals(list).count();
  for (let n = 0; n < count && found.length < most; n++) {
    const chunk = await db.priceChunks.get([list, n]);
    for (const row of chunk?.rows ?? []) {
      const hay = `${row.name} ${row.code}`.toLowerCase();
      if (words.every((word) => hay.includes(word)) && found.push(row) >= most) break;
    }
  }
  return found;
}

/** Rows of a list that are asked for, whatever their number. */
export async function pricesWhere(list: string, wanted: (row: PriceRow) => boolean): Promise<PriceRow[]> {
  const found: PriceRow[] = [];
  await db.priceChunks
    .where('list')
    .equals(list)
    .each((chunk) => found.push(...chunk.rows.filter(wanted)));
  return found;
}

/** Chunks of lists that never became whole: an import that was cancelled, or cut off with its tab. */
export async function sweep(database: Database, keep: ReadonlySet<string>): Promise<void> {
  await database.transaction('rw', database.priceLists, database.priceChunks, async () => {
    const whole = new Set(await database.priceLists.toCollection().primaryKeys());
    const lists = (await database.priceChunks.orderBy('list').uniqueKeys()) as string[];
    const gone = lists.filter((list) => !whole.has(list) && !keep.has(list));
    await database.priceChunks.where('list').anyOf(gone).delete();
  });
}

/** Takes a price list out, with all its rows. */
export async function removeList(id: string): Promise<void> {
  await db.transaction('rw', db.priceLists, db.priceChunks, async () => {
    await db.priceLists.delete(id);
    await db.priceChunks.where('list').equals(id).delete();
  });
}
