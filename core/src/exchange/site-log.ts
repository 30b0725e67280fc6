import type { Job } from '../job/types.ts';
import { bad, good, type Problem, type Result } from '../units/problem.ts';
import type { LogEntry } from '../site/entry.ts';
import { inOrder, union, type Log } from '../site/log.ts';
import { readEntry } from '../site/schema.ts';

/** A log read from a file, and what was left out of it. */
export interface ReadLog {
  readonly log: Log;
  readonly warnings: readonly string[];
}

export const MAX_LOG_BYTES = 64 * 1024 * 1024;
/** So many sentences are said; the rest of the lines are counted. */
const SAID = 5;

/**
 * A log as JSON Lines: an entry a line, before them one that says whose it is. Read whole or not at all, but for a last line that was only half
 * written. Errors: a sentence a line that is no entry; a log of another job; an id with two contents.
 */
export function readLog(text: string, job: Pick<Job, 'id' | 'name'>): Result<ReadLog> {
  if (text.length > MAX_LOG_BYTES) return bad('This log is larger than 64 MB; no log of one job is. It was not read.');
  const lines = text.replace(/^\uFEFF/, '').split(/\r?\n/);
  const warnings: string[] = [];
  const entries: LogEntry[] = [];
  const problems: Problem[] = [];
  for (const [i, raw] of lines.entries()) {
    if (raw.trim() === '') continue;
    const line = i + 1;
    const json = parsed(raw);
    if (json === undefined) {
      // whoever wrote it was ended while writing
      if (i === lines.length - 1) warnings.push(`Line ${line}, the last, was only half written and is left out.`);
      else problems.push({ path: '', line, message: 'This is no JSON; a log has one entry a line.' });
      continue;
    }
    if (isHead(json)) {
      if (json.job !== job.id)
        return bad(
          `This is a log of another job, “${String(json.name ?? json.job)}”, not of “${job.name}”. Nothing was taken over.`,
          { line },
        );
      continue;
    }
    const entry = readEntry(json);
    if (entry.ok) entries.push(entry.value);
    else problems.push(...entry.problems.map((p) => ({ ...p, line })));
  }
  if (problems.length) {
    const more = problems.length - SAID;
    const rest: Problem[] =
      more > 0 ? [{ path: '', message: `${more} more lines are wrong; nothing was taken over.` }] : [];
    return { ok: false, problems: [...problems.slice(0, SAID), ...rest] };
  }
  const log = union(new Map(), entries);
  return log.ok ? good({ log: log.value, warnings }) : log;
}

interface Head {
  readonly kovelin: 'log';
  readonly job: string;
  readonly name?: unknown;
}
const isHead = (json: unknown): json is Head =>
  typeof json === 'object' && json !== null && 'kovelin' in json && json.kovelin === 'log' && 'job' in json;
function parsed(text: string): unknown {
  try {
    return JSON.parse(text) as unknown;
  } catch (reason) {
    if (reason instanceof SyntaxError) return undefined;
    throw reason;
  }
}

/** The log of a job as JSON Lines, in order. */
export function writeLog(log: Log, { id, name }: Pick<Job, 'id' | 'name'>): string {
  const head = { kovelin: 'log', version: 1, job: id, name };
  return [head, ...[...log.values()].sort(inOrder)].map((line) => `${JSON.stringify(line)}\n`).join('');
}
