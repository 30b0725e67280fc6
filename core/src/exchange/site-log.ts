import { MOST } from '../job/limits.ts';
import type { Job } from '../job/types.ts';
import { bad, good, type Result } from '../units/problem.ts';
import type { LogEntry } from '../site/entry.ts';
import { inOrder, meet, parsed, type Aside, type Log } from '../site/log.ts';
import { readEntry } from '../site/schema.ts';

/** A log read from a file. */
export interface ReadLog {
  readonly log: Log;
  /** Lines that are no entries here: kept, and counted for nothing. */
  readonly aside: readonly Aside[];
  /** What was left out, a sentence each. */
  readonly warnings: readonly string[];
}

export const MAX_LOG_BYTES = 64 * 1024 * 1024;

/**
 * A log as JSON Lines: an entry a line, before them one that says whose it is. A line that is no entry, or is named like another, is set
 * aside; a last line that was only half written is left out. Errors: a log of another job; no log at all; more than a log can be.
 */
export function readLog(text: string, job: Pick<Job, 'id' | 'name'>): Result<ReadLog> {
  if (text.length > MAX_LOG_BYTES) return bad('This log is larger than 64 MB; no log of one job is. It was not read.');
  if (hasMoreLines(text, MOST.logLines))
    return bad(`This log has more than ${MOST.logLines} lines; no log of one job has. It was not read.`);
  const warnings: string[] = [];
  const entries: LogEntry[] = [];
  const aside: Aside[] = [];
  let headed = false;
  let left = 0;
  const set = (line: string, reason: string): void => {
    if (line.length <= MOST.logLine && aside.length < MOST.aside) aside.push({ text: line, reason });
    else left++;
  };
  for (const [n, line, isLast] of linesOf(text)) {
    if (!line) continue;
    const json = line.length > MOST.logLine ? undefined : parsed(line);
    if (isHead(json)) {
      if (json.job !== job.id)
        return bad(
          `This is a log of another job, “${String(json.name ?? json.job).slice(0, MOST.name)}”, not of “${job.name}”. Nothing was taken over.`,
          { line: n },
        );
      headed = true;
      continue;
    }
    const entry = readEntry(json);
    if (entry.ok) entries.push(entry.value);
    // whoever wrote it was ended while writing
    else if (json === undefined && isLast) warnings.push(`Line ${n}, the last, was only half written and is left out.`);
    else
      set(
        line,
        `Line ${n}: ${json === undefined ? 'this is no JSON; a log has an entry a line.' : (entry.problems[0]?.message ?? '')}`,
      );
  }
  if (!headed && !entries.length && (aside.length || left))
    return bad(`This is no log: no line of it is an entry. ${aside[0]?.reason ?? ''} Nothing was taken over.`);
  if (left) warnings.push(`${left} lines that are no entries are too long or too many to be kept, and are left out.`);
  const met = meet(new Map(), entries);
  const log = new Map(met.fresh.map((entry) => [entry.id, entry]));
  return good({ log, aside: [...aside, ...met.aside], warnings });
}

/** Counted before anything is read of it. */
function hasMoreLines(text: string, most: number): boolean {
  let at = -1;
  for (let n = 0; n <= most; n++) {
    at = text.indexOf('\n', at + 1);
    if (at < 0) return false;
  }
  return true;
}

/** Lines one after the other, without what stands round them: number from 1, text, whether it is the last. */
function* linesOf(text: string): Generator<readonly [n: number, line: string, isLast: boolean]> {
  let from = text.startsWith('\uFEFF') ? 1 : 0;
  for (let n = 1; from <= text.length; n++) {
    const end = text.indexOf('\n', from);
    yield [n, text.slice(from, end < 0 ? undefined : end).trim(), end < 0];
    if (end < 0) return;
    from = end + 1;
  }
}

interface Head {
  readonly kovelin: 'log';
  readonly job: string;
  readonly name?: unknown;
}
const isHead = (json: unknown): json is Head =>
  typeof json === 'object' && json !== null && 'kovelin' in json && json.kovelin === 'log' && 'job' in json;
/** The log of a job as JSON Lines, in order; what was set aside behind it, as it came. */
export function writeLog(
  log: Log,
  { id, name }: Pick<Job, 'id' | 'name'>,
  aside: readonly Pick<Aside, 'text'>[] = [],
): string {
  const head = { kovelin: 'log', version: 1, job: id, name };
  const lines = [head, ...[...log.values()].sort(inOrder)].map((line) => JSON.stringify(line));
  return [...lines, ...aside.map(({ text }) => text)].map((line) => `${line}\n`).join('');
}
