import type { Exchange } from '@kovelin/core/exchange/archive.ts';
import { ancestryOf, united, type Ancestry } from '@kovelin/core/job/ancestry.ts';
import { same } from '@kovelin/core/job/differences.ts';
import type { Job } from '@kovelin/core/job/types.ts';
import type { Database } from './db.ts';
import { freshId } from './ids.ts';

/** The copies of jobs that went to other devices and came from them: kept to tell who changed what since. */

/** Characters of all copies that are kept, as JSON; the oldest go first. */
const MOST_KEPT = 32e6;

const key = (job: string): string => `copies|${job}`;
/** The copies whose content is in the job as it stands here. */
async function copiesIn(db: Database, job: string): Promise<readonly string[]> {
  const row = await db.kept.get(key(job));
  return (row?.value as readonly string[] | undefined) ?? [];
}

/** A job is given away: to whoever opens it. Given again as it was, it is the same copy. Within a transaction. */
export async function give(db: Database, job: Job): Promise<Exchange> {
  const from = await copiesIn(db, job.id);
  const last = await db.bases.where({ id: from.at(-1) ?? '', job: job.id }).first();
  // nothing came in since that is not in it, though it may have changed nothing
  const isLast = last && new Set([...last.from, last.id]).size === from.length;
  if (isLast && same(last.doc, job)) return { id: last.id, from: last.from };
  const exchange = { id: freshId().slice(0, 13), from };
  await keep(db, exchange, job);
  await db.kept.put({ key: key(job.id), value: united(from, [exchange.id]) });
  return exchange;
}

/** A copy was taken into the job that stands here. Within a transaction. @param isNew nothing of the job was here before */
export async function take(db: Database, exchange: Exchange | null, job: Job, isNew: boolean): Promise<void> {
  const here = isNew ? [] : await copiesIn(db, job.id);
  const value = exchange ? united(here, [...exchange.from, exchange.id]) : here;
  await db.kept.put({ key: key(job.id), value });
  if (exchange) await keep(db, exchange, job);
}

async function keep(db: Database, { id, from }: Exchange, doc: Job): Promise<void> {
  if (await db.bases.where({ id, job: doc.id }).first()) return;
  await db.bases.add({ id, from, job: doc.id, doc, size: JSON.stringify(doc).length });
  const sizes = (await db.bases.orderBy('[n+size]').keys()) as unknown as [n: number, size: number][];
  let sum = 0;
  const old = sizes.reverse().filter(([, size], i) => (sum += size) > MOST_KEPT && i > 0);
  await db.bases.bulkDelete(old.map(([n]) => n));
}

/** What a copy that came and the job here both began from, as far as it is kept. */
export async function beginning(
  db: Database,
  here: Job,
  exchange: Exchange | null,
): Promise<Pick<Ancestry, 'lost'> & { readonly bases: readonly Job[] }> {
  if (!exchange) return { bases: [], lost: 'unknown' };
  const rows = await db.bases.where('job').equals(here.id).toArray();
  // one of another version says other things
  const kept = new Map(rows.filter(({ doc }) => doc.version === here.version).map((row) => [row.id, row]));
  const froms = new Map([...kept].map(([id, { from }]) => [id, from]));
  const { bases, lost } = ancestryOf(await copiesIn(db, here.id), [...exchange.from, exchange.id], froms);
  return { bases: bases.flatMap((id) => kept.get(id)?.doc ?? []), lost };
}

/** All that is kept of a job's copies goes with it. */
export async function forgetCopies(db: Database, job: string): Promise<void> {
  await db.bases.where('job').equals(job).delete();
  await db.kept.delete(key(job));
}
