import type { PriceRow } from '@kovelin/core/exchange/price-list.ts';
import { JOB_VERSION, migrate, type Json } from '@kovelin/core/job/migrations.ts';
import { Dexie, type EntityTable, type Table } from 'dexie';
import type { Job } from '@kovelin/core/job/types.ts';
import type { Patch } from 'immer';

export interface JobRow {
  id: string;
  /** Goes up by one with every save; a save that finds another rev knows that somebody was quicker. */
  rev: number;
  name: string;
  updated: number;
  job: Job;
}
/** Which places of a document a save touched, so that other tabs can tell whether it met theirs. */
export interface TouchRow {
  jobId: string;
  rev: number;
  paths: Patch['path'][];
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

export class Database extends Dexie {
  jobs!: EntityTable<JobRow, 'id'>;
  touches!: Table<TouchRow, [string, number]>;
  priceLists!: EntityTable<PriceListRow, 'id'>;
  priceChunks!: Table<PriceChunkRow, [string, number]>;
  kept!: EntityTable<KeptRow, 'key'>;

  constructor(name = 'kovelin') {
    super(name, { chromeTransactionDurability: 'strict' });
    const tables = { jobs: 'id, updated', touches: '[jobId+rev]' };
    const lists = { priceLists: 'id, imported', priceChunks: '[list+n], list', kept: 'key' };
    this.version(1).stores(tables);
    // jobs kept in the browser are brought to the version in force, as files are when they are opened
    for (let version = 2; version <= JOB_VERSION; version++)
      this.version(version)
        .stores(version < 4 ? tables : { ...tables, ...lists })
        .upgrade((upgrade) =>
          upgrade
            .table<{ job: Json }>('jobs')
            .toCollection()
            .modify((row) => {
              row.job = migrate(row.job);
            }),
        );
  }
}

export const db = new Database();
