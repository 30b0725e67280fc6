import type { PriceRow } from '@kovelin/core/exchange/price-list.ts';
import type { Json } from '@kovelin/core/job/migrations.ts';
import { JOB_VERSION } from '@kovelin/core/job/version.ts';
import { Dexie, type EntityTable, type Table, type Transaction } from 'dexie';
import type { Job } from '@kovelin/core/job/types.ts';
import type { LogEntry } from '@kovelin/core/site/entry.ts';
import type { Patch } from 'immer';

export interface JobRow {
  id: string;
  /** Given when the row is made: a job deleted and brought in again is another, whatever its id. */
  made?: string;
  /** Goes up by one with every save; a save that finds another rev knows that somebody was quicker. */
  rev: number;
  name: string;
  updated: number;
  job: Job;
}
/** Can a row be worked with? A record of a newer Kovelin is whole, but not for this one. */
export function stateOf({ job }: JobRow): 'whole' | 'newer' | 'damaged' {
  const { format, version = 0 } = (job as Partial<Job> | undefined) ?? {};
  if (format !== 'kovelin-job') return 'damaged';
  return version === JOB_VERSION ? 'whole' : version > JOB_VERSION ? 'newer' : 'damaged';
}

/** Which places of a document a save touched, so that other tabs can tell whether it met theirs. */
export interface TouchRow {
  jobId: string;
  rev: number;
  /** The session that saved it, and which of its edits it was. */
  by?: string;
  key?: string;
  paths: Patch['path'][];
}

/** A job that was deleted and can still be brought back: it is taken out when its undo has passed. */
export interface TrashRow {
  id: string;
  at: number;
}

/** What happened on site, append-only: see Site. The same id with another content is refused. */
export type LogRow = LogEntry & { readonly job: string };

/** A line of a log that is no entry for this Kovelin: kept as it came. */
export interface AsideRow {
  n?: number;
  job: string;
  text: string;
}

/** A copy of a job that was given to another device or came from one (`exchange.ts`). */
export interface BaseRow {
  n?: number;
  id: string;
  job: string;
  /** Copies whose content is in it. */
  from: readonly string[];
  doc: Job;
  /** Characters, as JSON. */
  size: number;
}

/** A photo of the log, small and without anything of where it was taken (`site/photo.worker.ts`); it is never changed. */
export interface PhotoRow {
  id: string;
  job: string;
  /** A JPEG. */
  blob: Blob;
}
/** All jobs and logs as they stood: a zip as it is exported, without photos, which are kept once. */
export interface BackupRow {
  id: string;
  /** ms since 1970. */
  at: number;
  why: 'rolling' | 'before';
  /** Ids and names of the jobs in it. */
  jobs: readonly { readonly id: string; readonly name: string }[];
  file: Blob;
  /** What of it could not be read back when it was made, a sentence each. */
  faults?: readonly string[];
}

/** A price list brought in; it is there once all its rows are. */
export interface PriceListRow {
  id: string;
  name: string;
  /** ISO date. */
  imported: string;
  currency: string;
  rows: number;
}
/** Some two thousand rows of a list, in their order. */
export interface PriceChunkRow {
  list: string;
  n: number;
  rows: readonly PriceRow[];
}
/** What is kept from job to job: pieces owned, columns of lists, by key. */
export interface KeptRow {
  key: string;
  value: unknown;
}

/** The version of the database that began to tell who gave what to whom, counted from 0. */
const EXCHANGED = 14;

export class Database extends Dexie {
  jobs!: EntityTable<JobRow, 'id'>;
  touches!: Table<TouchRow, [string, number]>;
  priceLists!: EntityTable<PriceListRow, 'id'>;
  priceChunks!: Table<PriceChunkRow, [string, number]>;
  kept!: EntityTable<KeptRow, 'key'>;
  trash!: EntityTable<TrashRow, 'id'>;
  log!: Table<LogRow, string>;
  aside!: EntityTable<AsideRow, 'n'>;
  bases!: EntityTable<BaseRow, 'n'>;
  photos!: EntityTable<PhotoRow, 'id'>;
  backups!: EntityTable<BackupRow, 'id'>;

  constructor(name = 'kovelin') {
    super(name, { chromeTransactionDurability: 'strict' });
    const tables = { jobs: 'id, updated', touches: '[jobId+rev]' };
    const lists = { priceLists: 'id, imported', priceChunks: '[list+n], list', kept: 'key' };
    const own = { trash: 'id', log: 'id, [job+device+seq]' };
    const copies = { photos: 'id, job', backups: 'id, at' };
    const exchanged = { aside: '++n, job', bases: '++n, job, [id+job], [n+size]' };
    // the database's own versions; the job's are migrations.ts
    const whole = { ...tables, ...lists, ...own };
    const early = [tables, tables, tables, { ...tables, ...lists }];
    const versions = [
      ...early,
      whole,
      whole,
      whole,
      whole,
      whole,
      whole,
      whole,
      { ...whole, ...copies },
      { ...whole, ...copies },
      { ...whole, ...copies },
      { ...whole, ...copies, ...exchanged },
      { ...whole, ...copies, ...exchanged },
    ];
    // jobs kept in the browser are brought to the version in force, as files are when they are opened
    versions.forEach((stores, i) => {
      const version = this.version(i + 1).stores(stores);
      if (i > 0) version.upgrade(i === EXCHANGED ? bringUpCopies : bringUp);
    });
  }
}

/**
 * The migrations are fetched where there is something to migrate; when they cannot be had, nothing is changed. A row that
 * cannot be brought up to date stays as it is: it is said when it is opened, and the others open.
 */
async function bringUp(upgrade: Transaction): Promise<void> {
  const { migrate } = await Dexie.waitFor(import('@kovelin/core/job/migrations.ts'));
  await upgrade
    .table<{ job: Json }>('jobs')
    .toCollection()
    .modify((row) => {
      try {
        row.job = migrate(row.job);
      } catch {
        // damaged: see `stateOf`
      }
    });
}

/** What a job was when it was last given away, or came: it told nothing of who changed what, for one that nobody took stood there too. */
async function bringUpCopies(upgrade: Transaction): Promise<void> {
  await bringUp(upgrade);
  await upgrade.table<KeptRow>('kept').where('key').startsWith('handed|').delete();
}

export const db = new Database();

/** A row of a new job: `made` tells it from another of the same id. */
export const newRow = (job: Job, made: string): JobRow => ({
  id: job.id,
  made,
  rev: 1,
  name: job.name,
  updated: Date.now(),
  job,
});

/** What saves of a job touched, from a rev on. */
export const touchesOf = (from: Database, id: string, rev = 0) =>
  from.touches.where('[jobId+rev]').between([id, rev], [id, Infinity]);

/** Behind every device, in the order of keys. */
const LAST = '\uffff';
/** What is kept of the log of a job. */
export const logRows = (from: Database, job: string) =>
  from.log.where('[job+device+seq]').between([job, '', 0], [job, LAST, Infinity]);
