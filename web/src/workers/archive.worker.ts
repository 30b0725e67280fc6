import { readArchive, writeArchive, type ReadArchive } from '@kovelin/core/exchange/archive.ts';
import type { Result } from '@kovelin/core/units/problem.ts';
import { expose } from 'comlink';
import { archived, photosOf } from '../store/archive.ts';
import { db } from '../store/db.ts';

/** Packing and unpacking, beside the page: it reads the database by itself, so that photos do not go through the page. */
const api = {
  /** @param ids of jobs; absent: all of them. */
  async pack(ids: readonly string[] | undefined, withPhotos: boolean): Promise<{ file: Blob; jobs: Packed[] }> {
    const jobs = await archived(db, ids);
    const pieces: Uint8Array<ArrayBuffer>[] = [];
    const photos = withPhotos
      ? photosOf(
          db,
          jobs.map(({ id }) => id),
        )
      : [];
    await writeArchive(jobs, photos, new Date().toISOString(), (piece) => pieces.push(piece));
    return {
      file: new Blob(pieces, { type: 'application/zip' }),
      jobs: jobs.map(({ id, name, job }) => ({ id, name, job })),
    };
  },
  async unpack(file: Blob): Promise<Result<ReadArchive>> {
    return readArchive(new Uint8Array(await file.arrayBuffer()));
  },
};
/** A job that went out, as it was then. */
export interface Packed {
  readonly id: string;
  readonly name: string;
  readonly job: unknown;
}
export type ArchiveApi = typeof api;

expose(api);
