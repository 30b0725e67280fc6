import {
  BlobReader,
  configure,
  TextReader,
  Uint8ArrayReader,
  ZipReader,
  ZipWriter,
  type Entry,
  type FileEntry,
} from '@zip.js/zip.js/lib/zip-core-native.js';
import { imageSize } from 'image-size';
import Joi from 'joi';
import { MAX_JOB_BYTES, MOST } from '../job/limits.ts';
import { openJob } from '../job/open.ts';
import type { Id } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import type { LogEntry } from '../site/entry.ts';
import type { Aside } from '../site/log.ts';
import { bad, good, sentence, type Result } from '../units/problem.ts';
import { MAX_LOG_BYTES, readLog, writeLog } from './site-log.ts';

// whoever packs is beside the page already
configure({ useWebWorkers: false });

/**
 * Jobs with their logs and photos in one file, a zip (docs/formats.md): what is exported as everything, handed over to another device,
 * and kept as a backup.
 */
export interface ArchivedJob {
  readonly id: Id;
  readonly name: string;
  /** As it is kept: a job of another version, or a damaged one, goes out as it is. */
  readonly job: unknown;
  readonly log: readonly LogEntry[];
  /** Lines of its log that are no entries here. */
  readonly aside: readonly Pick<Aside, 'text'>[];
  /** null: it is nobody else's, as in a backup. */
  readonly exchange: Exchange | null;
  /** Photos that its log speaks of and that go with it. */
  readonly photos: number;
}
/** One copy of a job that is given to another device: what both sides then have in common. */
export interface Exchange {
  readonly id: Id;
  /** Copies whose content is in it, the oldest first; no more than the last of them. */
  readonly from: readonly Id[];
}
export interface ArchivedPhoto {
  readonly id: Id;
  readonly job: Id;
  /** A JPEG. */
  readonly bytes: Uint8Array;
}
export interface ReadJob {
  readonly job: Job;
  readonly log: readonly LogEntry[];
  readonly aside: readonly Aside[];
  readonly photos: readonly ArchivedPhoto[];
  readonly exchange: Exchange | null;
}
export interface ReadArchive {
  /** ISO moment at which it was made. */
  readonly made: string;
  readonly jobs: readonly ReadJob[];
  /** What is in it and could not be read, a sentence each. */
  readonly warnings: readonly string[];
}

const HEAD = 'kovelin.json';
const VERSION = 2;
/** All that is in one, unpacked; photos are some 300 kB each. */
const MAX_BYTES = 1024 * 1024 * 1024;
const MOST_JOBS = 5000;
const MOST_FILES = 100_000;
const MAX_PHOTO_BYTES = 8 * 1024 * 1024;

const jobPath = (n: number): string => `jobs/${n}.kovelin.json`;
const logPath = (n: number): string => `jobs/${n}.log.jsonl`;
const photoPath = (id: Id): string => `photos/${id}.jpg`;

/** @param photos are asked for one after the other. @param made ISO moment. @returns the file, as a Blob. */
export async function writeArchive(
  jobs: readonly ArchivedJob[],
  photos: AsyncIterable<ArchivedPhoto> | Iterable<ArchivedPhoto>,
  made: string,
): Promise<Blob> {
  const pieces: Uint8Array<ArrayBuffer>[] = [];
  const zip = new ZipWriter(
    new WritableStream<Uint8Array<ArrayBuffer>>({ write: (piece) => void pieces.push(piece) }),
    {
      lastModDate: new Date(made),
      extendedTimestamp: false,
    },
  );
  const add = (path: string, text: string) => zip.add(path, new TextReader(text), { level: 6 });
  const rows = jobs.map(({ id, name, exchange, log, aside, photos }) => ({
    ...{ id, name, lines: log.length + aside.length, photos },
    ...(exchange ? { exchange } : {}),
  }));
  await add(HEAD, `${JSON.stringify({ kovelin: 'archive', version: VERSION, made, jobs: rows }, null, 1)}\n`);
  for (const [n, { id, name, job, log, aside }] of jobs.entries()) {
    await add(jobPath(n + 1), `${JSON.stringify(job, null, 1)}\n`);
    const entries = new Map(log.map((entry) => [entry.id, entry]));
    if (log.length || aside.length) await add(logPath(n + 1), writeLog(entries, { id, name }, aside));
  }
  for await (const { id, bytes } of photos) await zip.add(photoPath(id), new Uint8ArrayReader(bytes), { level: 0 });
  await zip.close();
  return new Blob(pieces, { type: 'application/zip' });
}

interface Head {
  readonly kovelin: 'archive';
  readonly version: number;
  readonly made: string;
  readonly jobs: readonly HeadJob[];
}
interface HeadJob {
  readonly id: string;
  readonly name: string;
  readonly exchange?: Exchange;
  /** Of its log, and photos: so many have to be there. Absent: not said (version 1). */
  readonly lines?: number;
  readonly photos?: number;
}
const id = Joi.string().max(MOST.name).required();
const headSchema = Joi.object({
  kovelin: Joi.valid('archive').required(),
  version: Joi.number().integer().min(1).required(),
  made: Joi.string().isoDate().required(),
  jobs: Joi.array()
    .items(
      Joi.object({
        id,
        name: Joi.string().max(200).allow('').required(),
        lines: Joi.number().integer().min(0),
        photos: Joi.number().integer().min(0),
        exchange: Joi.object({ id, from: Joi.array().items(id.optional()).max(MOST.exchanges).required() }),
      }),
    )
    .max(MOST_JOBS)
    .required(),
});

/** Is this the beginning of a zip? */
export const isZip = async (file: Blob): Promise<boolean> => (await file.slice(0, 4).text()) === 'PK\u0003\u0004';

const DAMAGED = 'This zip file is damaged or was cut off; nothing was taken from it. Export or copy it again.';
const FOREIGN = 'This zip is none of Kovelin’s: it has no kovelin.json that says so. Nothing was taken from it.';

/** Takes what was unpacked of a file: its bytes, null where they are not what was packed (CRC-32) or more than there may be. */
type Unpack = (path: string, most: number) => Promise<Uint8Array | null | undefined>;

/**
 * Reads an archive. A job in it that cannot be read is said and left out, and so are a log and photos that are damaged; the others are there.
 * Errors: what is no zip, or not of ours, or of a newer Kovelin, or larger than any of ours; never throws for what is in the file.
 * @param told how many of its files are read, of how many.
 */
export async function readArchive(
  file: Blob,
  told: (done: number, of: number) => void = () => undefined,
): Promise<Result<ReadArchive>> {
  if (!(await isZip(file))) return bad('This is no zip file. Kovelin exports and backups end in .kovelin.zip.');
  const zip = new ZipReader(new BlobReader(file), {
    checkCrc32: true,
    checkOverlappingEntry: true,
    // names are looked up and never written: a foreign one is no hindrance
    filenameValidation: 'tolerant',
  });
  const entries = await zip.getEntries().catch(() => null);
  if (!entries) return bad(DAMAGED);
  const sum = entries.reduce((bytes, entry) => bytes + entry.uncompressedSize, 0);
  if (sum > MAX_BYTES || entries.length > MOST_FILES)
    return bad('What is in this zip is larger than 1 GB unpacked; no export of Kovelin is. It was not read.');
  const files = new Map(entries.filter(isFile).map((entry) => [entry.filename, entry]));
  let done = 0;
  const unpack: Unpack = async (path, most) => {
    const entry = files.get(path);
    if (!entry) return undefined;
    told(++done, files.size);
    return entry.uncompressedSize > most ? null : unpacked(entry, most);
  };
  const head = readHead(files.has(HEAD) ? await unpack(HEAD, MAX_JOB_BYTES) : undefined);
  if (!head.ok) return head;
  const warnings: string[] = [];
  const jobs: ReadJob[] = [];
  for (const [i, named] of head.value.jobs.entries()) {
    const read = await readJob(named, i + 1, unpack);
    warnings.push(...read.warnings);
    if (read.job) jobs.push(read.job);
  }
  if (!jobs.length && warnings.length) return bad(`Nothing in this file can be read. ${warnings.join(' ')}`);
  return good({ made: head.value.made, jobs, warnings });
}

async function readJob(
  { id, name, exchange, lines = 0, photos: sent = 0 }: HeadJob,
  n: number,
  unpack: Unpack,
): Promise<{ readonly job: ReadJob | null; readonly warnings: readonly string[] }> {
  const title = `“${name || id}”`;
  const leftOut = (reason: string) => ({ job: null, warnings: [`${title} is left out: ${reason}`] });
  const bytes = await unpack(jobPath(n), MAX_JOB_BYTES);
  if (bytes === undefined) return leftOut('its file is not in this zip.');
  if (bytes === null) return leftOut('its file is damaged, or larger than any job’s.');
  const job = openJob(new TextDecoder().decode(bytes));
  if (!job.ok) return leftOut(job.problems.slice(0, 2).map(sentence).join(' '));
  if (job.value.id !== id) return leftOut('its file is that of another job.');
  const warnings: string[] = [];
  const kept = await unpack(logPath(n), MAX_LOG_BYTES);
  const read = kept ? readLog(new TextDecoder().decode(kept), job.value) : null;
  if (kept === null || (kept === undefined && lines > 0))
    warnings.push(`${title} comes without its log: that is damaged, or larger than any log.`);
  if (read && !read.ok) warnings.push(`${title} comes without its log: ${read.problems.map(sentence).join(' ')}`);
  const log = read?.ok ? [...read.value.log.values()] : [];
  if (read?.ok) warnings.push(...read.value.warnings.map((text) => `${title}, log: ${text}`));
  const { photos, damaged } = await photosOf(log, id, unpack);
  // of a log that did not come nobody knows the photos
  const wrong = read?.ok ? Math.max(damaged, sent - photos.length) : 0;
  if (wrong) warnings.push(`${title}: ${wrong} of its photos cannot be read and stay out.`);
  const aside = read?.ok ? read.value.aside : [];
  return { job: { job: job.value, log, aside, photos, exchange: exchange ?? null }, warnings };
}

const isFile = (entry: Entry): entry is FileEntry => !entry.directory;
/** @returns null where it is damaged, or more than it says. */
async function unpacked(entry: FileEntry, most: number): Promise<Uint8Array | null> {
  const pieces: Uint8Array[] = [];
  let size = 0;
  const into = new WritableStream<Uint8Array>({
    write: (piece) => {
      size += piece.length;
      if (size > most) throw new Error('more than there may be');
      pieces.push(piece);
    },
  });
  // whatever it is that does not fit: the file says so by a sentence
  return entry.getData(into).then(
    () => joined(pieces, size),
    () => null,
  );
}

function joined(pieces: readonly Uint8Array[], size: number): Uint8Array {
  const all = new Uint8Array(size);
  let at = 0;
  for (const piece of pieces) {
    all.set(piece, at);
    at += piece.length;
  }
  return all;
}

function readHead(file: Uint8Array | null | undefined): Result<Head> {
  if (file === undefined) return bad(FOREIGN);
  if (file === null) return bad(DAMAGED);
  let json: unknown;
  try {
    json = JSON.parse(new TextDecoder().decode(file));
  } catch {
    return bad(FOREIGN);
  }
  const { kovelin, version } = (json ?? {}) as Partial<Head>;
  if (kovelin === 'archive' && typeof version === 'number' && version > VERSION)
    return bad(
      `This file was written by a newer Kovelin (archive version ${version}; this one reads up to ${VERSION}). Nothing was taken from it; open it with the newer Kovelin.`,
    );
  const { error } = headSchema.validate(json, { convert: false });
  return error ? bad(`${FOREIGN} (${error.message.replaceAll('"', '')})`) : good(json as Head);
}

async function photosOf(log: readonly LogEntry[], job: Id, unpack: Unpack) {
  const ids = new Set(log.flatMap((entry) => (entry.kind === 'photo' ? [entry.value.photo] : [])));
  const photos: ArchivedPhoto[] = [];
  let damaged = 0;
  for (const id of ids) {
    const bytes = await unpack(photoPath(id), MAX_PHOTO_BYTES);
    if (bytes && photoHead(bytes, 'jpg').ok) photos.push({ id, job, bytes });
    else if (bytes !== undefined) damaged++;
  }
  return { photos, damaged };
}

/** What a browser may be given to decode: photos of 200 million pixels are no photos of a wall. */
export const PHOTO_LIMITS = { bytes: 50 * 1024 * 1024, pixels: 120e6 } as const;
const READABLE: ReadonlySet<string> = new Set(['jpg', 'png', 'webp', 'heif', 'gif', 'bmp']);

/** A picture by its first bytes: what it is, and how large. Errors: no picture, one of another kind, or one that is too large. */
export function photoHead(
  bytes: Uint8Array,
  only?: string,
): Result<{ readonly type: string; readonly width: number; readonly height: number }> {
  let head;
  try {
    head = imageSize(bytes);
  } catch {
    return bad('This is no photo that can be read here: JPEG, PNG, WebP and what this browser itself can show are.');
  }
  const { type = '', width, height } = head;
  if (!READABLE.has(type) || (only && type !== only))
    return bad(`This is a picture of another kind (${type}); JPEG, PNG, WebP or HEIC are taken.`);
  if (width * height > PHOTO_LIMITS.pixels)
    return bad(`This photo has ${Math.round((width * height) / 1e6)} million pixels; up to 120 million are taken.`);
  return good({ type, width, height });
}
