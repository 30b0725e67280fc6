import type { PriceColumns } from '@kovelin/core/exchange/price-list.ts';
import { COUNTRIES, type Country } from '@kovelin/core/job/region.ts';
import { carriedFrom, NOTHING_CARRIED, type Carried } from '@kovelin/core/job/lessons.ts';
import type { Firm } from '@kovelin/core/job/priced.ts';
import type { Job } from '@kovelin/core/job/types.ts';
import { db } from './db.ts';

/** What is remembered from job to job. */
const OWNED = 'owned';

/** What was owned in earlier jobs, by material. */
export async function ownedBefore(): Promise<Record<string, number>> {
  const row = await db.kept.get(OWNED);
  return { ...(row?.value as Record<string, number> | undefined) };
}

/** Pieces of a tool that lasts: new jobs begin with them. */
export async function rememberOwned(key: string, pieces: number): Promise<void> {
  await db.transaction('rw', db.kept, async () => {
    const { [key]: _, ...rest } = await ownedBefore();
    await db.kept.put({ key: OWNED, value: pieces ? { ...rest, [key]: pieces } : rest });
  });
}

/** All of a kit at once. */
export async function rememberKit(pieces: Readonly<Record<string, number>>): Promise<void> {
  await db.transaction('rw', db.kept, async () => {
    await db.kept.put({ key: OWNED, value: { ...(await ownedBefore()), ...pieces } });
  });
}

const REGION = 'region';
/** Where the last job was; null: nobody said yet. */
export async function regionBefore(): Promise<Country | null> {
  const row = await db.kept.get(REGION);
  return COUNTRIES.find((country) => country === row?.value) ?? null;
}
export const rememberRegion = (country: Country): Promise<unknown> => db.kept.put({ key: REGION, value: country });

const ME = 'me';
/** Who does the work: for nobody's money, or under a name that stands on paper. */
export interface Me {
  /** null: nobody said. */
  readonly own: boolean | null;
  readonly firm: Firm;
  /** They said that they own none of the kit. */
  readonly ownsNone: boolean;
  /** Whether new jobs begin with the crew and the prices of the last one; null: nobody was asked. */
  readonly asBefore: boolean | null;
  /** Whether tax is charged, and at which rate, in the country it was said for; null: nobody said. */
  readonly tax: { readonly country: Country; readonly rate: number } | null;
}
const NOBODY: Me = {
  own: null,
  firm: { name: '', contact: '', address: '' },
  ownsNone: false,
  asBefore: null,
  tax: null,
};
/** For whom, and under which name, earlier jobs were. */
export async function meBefore(): Promise<Me> {
  const row = await db.kept.get(ME);
  return { ...NOBODY, ...(row?.value as Partial<Me> | undefined) };
}
/** New jobs begin with it. */
export async function rememberMe(change: Partial<Me>): Promise<void> {
  await db.transaction('rw', db.kept, async () => {
    await db.kept.put({ key: ME, value: { ...(await meBefore()), ...change } });
  });
}

const columnsKey = (headings: readonly string[]) => `columns|${headings.join('|')}`;
/** The columns chosen for a list with these headings, the last time. */
export async function columnsBefore(headings: readonly string[]): Promise<PriceColumns | null> {
  const row = await db.kept.get(columnsKey(headings));
  return (row?.value as PriceColumns | undefined) ?? null;
}
export const rememberColumns = (headings: readonly string[], columns: PriceColumns): Promise<unknown> =>
  db.kept.put({ key: columnsKey(headings), value: columns });

const LEARNED = 'learned';
/** What logs of other jobs taught, by the names of people and paints. */
export async function carriedBefore(): Promise<Carried> {
  const row = await db.kept.get(LEARNED);
  return (row?.value as Carried | undefined) ?? NOTHING_CARRIED;
}
/** What a job learned goes on to those that come. */
export async function carryOn(job: Job): Promise<void> {
  await db.transaction('rw', db.kept, async () => {
    await db.kept.put({ key: LEARNED, value: carriedFrom(job, await carriedBefore()) });
  });
}
