import { bad, good, type Problem, type Result } from '../units/problem.ts';
import { MAX_JOB_BYTES, tooLarge } from './limits.ts';
import { JOB_VERSION, migrate, type Json } from './migrations.ts';
import { jobSchema } from './schema.ts';
import type { Job, Room } from './types.ts';

const MAX_PROBLEMS = 20;

/**
 * Opens a job file's text: size, JSON, format, version, migrations, schema, references, in that order.
 * @returns the job, or a sentence per problem (path or line and column). Never throws.
 */
export function openJob(text: string): Result<Job> {
  if (text.length > MAX_JOB_BYTES) return bad(tooLarge(text.length));
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch (error) {
    return bad(
      `This is not a whole Kovelin job file (JSON): ${jsonFault(text, error)}. Export the job again, or open a backup.`,
      jsonPlace(text, error),
    );
  }
  if (!isRecord(json) || json['format'] !== 'kovelin-job')
    return bad(
      'This is JSON, but not a Kovelin job: it has no "format": "kovelin-job". Open a file that Kovelin exported.',
    );
  if (/"(?:__proto__|constructor)"\s*:/.test(text))
    return bad(
      'This file holds a key (__proto__ or constructor) that no job has; it was damaged or made by hand. Remove that entry.',
    );
  const version = json['version'];
  if (typeof version !== 'number' || !Number.isInteger(version) || version < 1)
    return bad(
      `“${String(version)}” is not a version of a job file; this Kovelin reads versions 1 to ${JOB_VERSION}.`,
      { path: 'version' },
    );
  if (version > JOB_VERSION)
    return bad(
      `This job was written by a newer Kovelin (file version ${version}; this one reads up to ${JOB_VERSION}). The file was left as it is; open it with the newer Kovelin.`,
      { path: 'version' },
    );
  json = migrate(json as Json);
  const { error, value } = jobSchema.validate(json, {
    abortEarly: false,
    convert: false,
    errors: { wrap: { label: false } },
  });
  if (error) {
    const problems = error.details
      .slice(0, MAX_PROBLEMS)
      .map((detail): Problem => ({ path: detail.path.join('/'), message: `${detail.message}.` }));
    const more = error.details.length - problems.length;
    return {
      ok: false,
      problems: more > 0 ? [...problems, { path: '', message: `... and ${more} more faults of this kind.` }] : problems,
    };
  }
  const job = value as Job;
  const broken = references(job);
  return broken.length ? { ok: false, problems: broken } : good(job);
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

function jsonPlace(text: string, error: unknown): Partial<Problem> {
  const found = /position (\d+)/.exec(String(error));
  const at = found ? Number(found[1]) : text.length;
  const before = text.slice(0, at).split('\n');
  return { line: before.length, column: (before.at(-1)?.length ?? 0) + 1 };
}

function jsonFault(text: string, error: unknown): string {
  if (!text.trim()) return 'the file is empty';
  if (!/^\s*[{[]/.test(text)) return 'it is a file of another kind';
  const position = /position (\d+)/.exec(String(error))?.[1];
  const atEnd = position === undefined || Number(position) >= text.trimEnd().length;
  return atEnd || /Unterminated/.test(String(error))
    ? 'the text stops before its end, as if it was cut off'
    : 'a character here does not fit';
}

/** Ids that point nowhere, and tables whose order and entries disagree. */
function references(job: Job): Problem[] {
  const problems: Problem[] = [];
  const say = (path: string, message: string) => problems.push({ path, message });
  const tableIsWhole = (path: string, table: { byId: object; order: readonly string[] }) => {
    const keys = Object.keys(table.byId);
    if (keys.length !== table.order.length || table.order.some((id) => !Object.hasOwn(table.byId, id)))
      say(
        path,
        `the order list and the entries do not name the same things (${table.order.length} against ${keys.length}).`,
      );
    for (const [key, item] of Object.entries(table.byId))
      if ((item as { id: string }).id !== key) say(`${path}/byId/${key}`, 'its id differs from its key.');
  };
  tableIsWhole('rooms', job.rooms);
  const seen = new Set<string>();
  for (const room of Object.values(job.rooms.byId)) checkRoom(room, `rooms/byId/${room.id}`);

  function checkRoom(room: Room, path: string): void {
    tableIsWhole(`${path}/walls`, room.walls);
    tableIsWhole(`${path}/openings`, room.openings);
    tableIsWhole(`${path}/parts`, room.parts);
    for (const key of [room.id, ...[room.walls, room.openings, room.parts].flatMap((t) => Object.keys(t.byId))]) {
      if (seen.has(key)) say(path, `the id “${key}” is used twice in this job.`);
      seen.add(key);
    }
    for (const opening of Object.values(room.openings.byId))
      if (!Object.hasOwn(room.walls.byId, opening.wall))
        say(`${path}/openings/byId/${opening.id}/wall`, `it names a wall that is not in the room (“${opening.wall}”).`);
    for (const part of Object.values(room.parts.byId))
      if (part.wall !== null && !Object.hasOwn(room.walls.byId, part.wall))
        say(`${path}/parts/byId/${part.id}/wall`, `it names a wall that is not in the room (“${part.wall}”).`);
    for (const check of room.checks)
      for (const end of [check.from, check.to])
        if (!Object.hasOwn(room.walls.byId, end))
          say(`${path}/checks`, `a diagonal names a wall that is not in the room (“${end}”).`);
  }
  tableIsWhole('shelf', job.shelf);
  tableIsWhole('options', job.options);
  for (const { id, product, colour } of Object.values(job.shelf.byId))
    if (!Object.hasOwn(job.products, product) || (colour !== null && !Object.hasOwn(job.colours, colour)))
      say(`shelf/byId/${id}`, 'it names a paint or a colour that is not in the job.');
  for (const { id, finish } of Object.values(job.options.byId))
    if (finish && !(Object.hasOwn(job.products, finish.product) && Object.hasOwn(job.colours, finish.colour)))
      say(`options/byId/${id}`, 'it names a paint or a colour that is not in the job.');
  for (const [scope, finish] of Object.entries(job.finishes)) {
    if (!Object.hasOwn(job.products, finish.product))
      say(`finishes/${scope}`, `it names a paint that is not in the job (“${finish.product}”).`);
    if (!Object.hasOwn(job.colours, finish.colour))
      say(`finishes/${scope}`, `it names a colour that is not in the job (“${finish.colour}”).`);
  }
  for (const base of ['all:wall', 'all:ceiling', 'all:trim'])
    if (!job.finishes[base])
      say(`finishes/${base}`, 'every job needs a finish here; it is what surfaces fall back to.');
  return problems;
}
