import { bad, good, type Problem, type Result } from '../units/problem.ts';
import { faultsOf } from './admit.ts';
import { MAX_JOB_BYTES, tooLarge } from './limits.ts';
import { migrate, type Json } from './migrations.ts';
import { JOB_VERSION } from './version.ts';
import type { Job } from './types.ts';

/**
 * Opens a job file's text: size, JSON, format, version, migrations, schema, references, in that order.
 * @returns the job, or a sentence per problem (path or line and column). Never throws.
 */
export function openJob(written: string): Result<Job> {
  if (written.length > MAX_JOB_BYTES) return bad(tooLarge(written.length));
  const text = written.replace(/^\uFEFF/, '');
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
  const migrated: unknown = migrate(json as Json);
  const problems = faultsOf(migrated);
  return problems.length ? { ok: false, problems } : good(migrated as Job);
}

const isRecord = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** A bare word that JSON does not have, and where: NaN, Infinity, undefined ... null: there is none. */
function bareWord(text: string): { readonly word: string; readonly at: number } | null {
  for (let at = 0; at < text.length; at++) {
    if (text[at] === '"') {
      for (at++; at < text.length && text[at] !== '"'; at++) if (text[at] === '\\') at++;
      continue;
    }
    if (!/[A-Za-z]/.test(text[at] ?? '')) continue;
    const start = at;
    while (/\w/.test(text[at] ?? '')) at++;
    const word = text.slice(start, at);
    if (!/^(?:true|false|null|[eE]\d*)$/.test(word)) return { word, at: start };
  }
  return null;
}

function jsonPlace(text: string, error: unknown): Partial<Problem> {
  const found = /position (\d+)/.exec(String(error));
  const at = found ? Number(found[1]) : (bareWord(text)?.at ?? text.length);
  const before = text.slice(0, at).split('\n');
  return { line: before.length, column: (before.at(-1)?.length ?? 0) + 1 };
}

function jsonFault(text: string, error: unknown): string {
  if (!text.trim()) return 'the file is empty';
  if (!/^\s*[{[]/.test(text)) return 'it is a file of another kind';
  const bare = bareWord(text);
  if (bare)
    return `“${bare.word.slice(0, 20)}” is no value of JSON; a number, a text, true, false or null was expected`;
  const position = /position (\d+)/.exec(String(error))?.[1];
  const atEnd = position === undefined || Number(position) >= text.trimEnd().length;
  return atEnd || /Unterminated/.test(String(error))
    ? 'the text stops before its end, as if it was cut off'
    : 'a character here does not fit';
}
