import { strFromU8, strToU8, unzipSync, Zip, ZipDeflate, ZipPassThrough, type UnzipFileInfo } from 'fflate';
import { imageSize } from 'image-size';
import Joi from 'joi';
import { MAX_JOB_BYTES } from '../job/limits.ts';
import { openJob } from '../job/open.ts';
import type { Id } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import type { LogEntry } from '../site/entry.ts';
import { bad, good, sentence, type Result } from '../units/problem.ts';
import { MAX_LOG_BYTES, readLog, writeLog } from './site-log.ts';

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
  readonly photos: readonly ArchivedPhoto[];
}
export interface ReadArchive {
  /** ISO moment at which it was made. */
  readonly made: string;
  readonly jobs: readonly ReadJob[];
  /** What is in it and could not be read, a sentence each. */
  readonly warnings: readonly string[];
}

const HEAD = 'kovelin.json';
const VERSION = 1;
/** All that is in one, unpacked; photos are some 300 kB each. */
const MAX_BYTES = 1024 * 1024 * 1024;
const MOST_JOBS = 5000;
const MAX_PHOTO_BYTES = 8 * 1024 * 1024;

const jobPath = (n: number): string => `jobs/${n}.kovelin.json`;
const logPath = (n: number): string => `jobs/${n}.log.jsonl`;
const photoPath = (id: Id): string => `photos/${id}.jpg`;

/** @param told takes the file, a piece at a time. @param photos are asked for one after the other. */
export async function writeArchive(
  jobs: readonly ArchivedJob[],
  photos: AsyncIterable<ArchivedPhoto> | Iterable<ArchivedPhoto>,
  made: string,
  told: (piece: Uint8Array<ArrayBuffer>) => void,
): Promise<void> {
  let failed: Error | null = null;
  const zip = new Zip((error, piece) => {
    if (error) failed = error;
    // each piece is the zip's own, and its buffer is no shared one
    else told(piece as Uint8Array<ArrayBuffer>);
  });
  const add = (path: string, bytes: Uint8Array, isPacked: boolean): void => {
    const file = isPacked ? new ZipDeflate(path, { level: 6 }) : new ZipPassThrough(path);
    file.mtime = made;
    zip.add(file);
    file.push(bytes, true);
    if (failed) throw failed;
  };
  const head = { kovelin: 'archive', version: VERSION, made, jobs: jobs.map(({ id, name }) => ({ id, name })) };
  add(HEAD, strToU8(`${JSON.stringify(head, null, 1)}\n`), true);
  for (const [n, { id, name, job, log }] of jobs.entries()) {
    add(jobPath(n + 1), strToU8(`${JSON.stringify(job, null, 1)}\n`), true);
    const entries = new Map(log.map((entry) => [entry.id, entry]));
    if (log.length) add(logPath(n + 1), strToU8(writeLog(entries, { id, name })), true);
  }
  for await (const { id, bytes } of photos) add(photoPath(id), bytes, false);
  zip.end();
  if (failed) throw failed;
}

interface Head {
  readonly kovelin: 'archive';
  readonly version: number;
  readonly made: string;
  readonly jobs: readonly { readonly id: string; readonly name: string }[];
}
const headSchema = Joi.object({
  kovelin: Joi.valid('archive').required(),
  version: Joi.number().integer().min(1).required(),
  made: Joi.string().isoDate().required(),
  jobs: Joi.array()
    .items(Joi.object({ id: Joi.string().max(80).required(), name: Joi.string().max(200).allow('').required() }))
    .max(MOST_JOBS)
    .required(),
});

/** Is this the beginning of a zip? */
export const isZip = (bytes: Uint8Array): boolean =>
  bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 3 && bytes[3] === 4;

/**
 * Reads an archive. A job in it that cannot be read is said and left out; the others are there. Errors: what is no zip, or not of ours,
 * or of a newer Kovelin, or larger than any of ours; never throws.
 */
export function readArchive(bytes: Uint8Array): Result<ReadArchive> {
  if (!isZip(bytes)) return bad('This is no zip file. Kovelin exports and backups end in .kovelin.zip.');
  const unpacked = unpack(bytes);
  if (!unpacked.ok) return unpacked;
  const files = unpacked.value;
  const head = readHead(files.get(HEAD));
  if (!head.ok) return head;
  const warnings: string[] = [];
  const jobs = head.value.jobs.flatMap(({ id, name }, i): ReadJob[] => {
    const file = files.get(jobPath(i + 1));
    const said = (why: string) => {
      warnings.push(`“${name || id}” is left out: ${why}`);
      return [];
    };
    if (!file) return said('its file is not in this zip.');
    if (file.length > MAX_JOB_BYTES) return said('its file is larger than any job’s.');
    const job = openJob(strFromU8(file));
    if (!job.ok) return said(job.problems.slice(0, 2).map(sentence).join(' '));
    if (job.value.id !== id) return said('its file is that of another job.');
    const log = readLog(strFromU8(files.get(logPath(i + 1)) ?? new Uint8Array()), job.value);
    if (!log.ok) return said(`its log cannot be read. ${log.problems.slice(0, 2).map(sentence).join(' ')}`);
    warnings.push(...log.value.warnings.map((text) => `${name}, log: ${text}`));
    const entries = [...log.value.log.values()];
    const { photos, bad: wrong } = photosOf(entries, id, files);
    if (wrong) warnings.push(`${name}: ${wrong} of its photos cannot be read and stay out.`);
    return [{ job: job.value, log: entries, photos }];
  });
  if (!jobs.length && warnings.length) return bad(`Nothing in this file can be read. ${warnings.join(' ')}`);
  return good({ made: head.value.made, jobs, warnings });
}

/** The files of a zip that may be ours, by path. */
function unpack(bytes: Uint8Array): Result<ReadonlyMap<string, Uint8Array>> {
  let sum = 0;
  const isOurs = ({ name, originalSize }: UnzipFileInfo): boolean => {
    const most = name.startsWith('photos/') ? MAX_PHOTO_BYTES : MAX_LOG_BYTES;
    if (!/^(kovelin\.json|jobs\/\d+\.(kovelin\.json|log\.jsonl)|photos\/[\w-]+\.jpg)$/.test(name)) return false;
    if (originalSize > most) return false;
    sum += originalSize;
    return sum <= MAX_BYTES;
  };
  try {
    const files = new Map(Object.entries(unzipSync(bytes, { filter: isOurs })));
    return sum > MAX_BYTES
      ? bad('What is in this zip is larger than 1 GB unpacked; no export of Kovelin is. It was not read.')
      : good(files);
  } catch {
    return bad('This zip file is damaged or was cut off; nothing was taken from it. Export or copy it again.');
  }
}

function readHead(file: Uint8Array | undefined): Result<Head> {
  const foreign = 'This zip is none of Kovelin’s: it has no kovelin.json that says so. Nothing was taken from it.';
  if (!file) return bad(foreign);
  let json: unknown;
  try {
    json = JSON.parse(strFromU8(file));
  } catch {
    return bad(foreign);
  }
  const { error } = headSchema.validate(json, { convert: false });
  if (error) return bad(`${foreign} (${error.message.replaceAll('"', '')})`);
  const head = json as Head;
  return head.version > VERSION
    ? bad(
        `This file was written by a newer Kovelin (archive version ${head.version}; this one reads up to ${VERSION}). Nothing was taken from it; open it with the newer Kovelin.`,
      )
    : good(head);
}

function photosOf(log: readonly LogEntry[], job: Id, files: ReadonlyMap<string, Uint8Array>) {
  const ids = new Set(log.flatMap((entry) => (entry.kind === 'photo' ? [entry.value.photo] : [])));
  const photos: ArchivedPhoto[] = [];
  let wrong = 0;
  for (const id of ids) {
    const bytes = files.get(photoPath(id));
    if (bytes && photoHead(bytes, 'jpg').ok) photos.push({ id, job, bytes });
    else if (bytes) wrong++;
  }
  return { photos, bad: wrong };
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
