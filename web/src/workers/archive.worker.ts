import { readArchive, writeArchive, type ReadArchive } from '@kovelin/core/exchange/archive.ts';
import { sentence, type Result } from '@kovelin/core/units/problem.ts';
import { archived, photosOf } from '../store/archive.ts';
import { db } from '../store/db.ts';

/** Packing and unpacking, beside the page: it reads the database by itself, so that photos do not go through the page. */
export const api = {
  /** @param to another device, or kept here as a backup. @param ids of jobs; absent: all of them. */
  async pack(to: 'given' | 'kept', ids: readonly string[] | undefined, withPhotos: boolean): Promise<Packed> {
    const jobs = await archived(db, to === 'given', ids, withPhotos);
    const all = jobs.map(({ id }) => id);
    const file = await writeArchive(jobs, withPhotos ? photosOf(db, all) : [], new Date().toISOString());
    return {
      file,
      jobs: jobs.map(({ id, name }) => ({ id, name })),
      faults: to === 'kept' ? await faultsOf(file, jobs) : [],
    };
  },
  unpack: (file: Blob, told: (done: number, of: number) => void): Promise<Result<ReadArchive>> => {
    let last = 0;
    return readArchive(file, (done, of) => {
      // not each of thousands: what is told goes to the page
      if (Date.now() - last < 100) return;
      last = Date.now();
      told(done, of);
    });
  },
};
/** A file, and what of it could not be read back. */
export interface Packed {
  readonly file: Blob;
  readonly jobs: readonly { readonly id: string; readonly name: string }[];
  readonly faults: readonly string[];
}

/** What a file that was just made does not give back. */
async function faultsOf(file: Blob, jobs: Awaited<ReturnType<typeof archived>>): Promise<string[]> {
  const read = await readArchive(file);
  if (!read.ok) return jobs.length ? read.problems.map(sentence) : [];
  const found = new Map(read.value.jobs.map((job) => [job.job.id, job]));
  const short = jobs.flatMap(({ id, name, log, aside }): string[] => {
    const job = found.get(id);
    // one that was left out is among the warnings
    if (!job || job.log.length + job.aside.length === log.length + aside.length) return [];
    return [
      `“${name}”: ${log.length + aside.length} lines of its log went in, and ${job.log.length + job.aside.length} come out.`,
    ];
  });
  return [...read.value.warnings, ...short];
}
export type ArchiveApi = typeof api;
