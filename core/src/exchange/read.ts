import { newJob } from '../job/create.ts';
import { seededIds } from '../job/blank.ts';
import { faultsOf } from '../job/admit.ts';
import { openJob } from '../job/open.ts';
import { roomFromDraft } from '../job/reconcile.ts';
import { rows } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import { takeoffJob } from '../measure/takeoff.ts';
import { good, type Problem, type Result } from '../units/problem.ts';
import { isHouse, readHouse, systemOfHouse } from './house.ts';
import { applyLines, type SaidLine } from './job-sheet.ts';
import { parseTapeSheet } from './tapesheet.ts';

export interface Opened {
  readonly job: Job;
  readonly warnings: readonly Problem[];
}

/**
 * Reads a job file, a table of rooms or a tape sheet, whichever the text is (a job file is JSON, a table has headings). Defaults fill what a tape sheet does
 * not say. Readings that cannot be (an opening above the ceiling, turns that do not come round) are errors here, with
 * the sheet's line or the job's path; what only looks odd is a warning.
 */
export function readAny(written: string, name: string): Result<Opened> {
  const text = written.replace(/^\uFEFF/, '');
  if (/^\s*[{[]/.test(text)) return readJobFile(text);
  return isHouse(text) ? readTable(text, name) : readSheet(text, name);
}

/**
 * The same for a person at a screen: a reading that cannot be does not keep a file out, for it is shown beside its field
 * there; only what cannot be read at all is refused.
 */
export function readForView(written: string, name: string): Result<Job> {
  const text = written.replace(/^\uFEFF/, '');
  if (/^\s*[{[]/.test(text)) return openJob(text);
  if (isHouse(text)) {
    const table = readTable(text, name);
    return table.ok ? good(table.value.job) : table;
  }
  const sheet = sheetJob(text, name);
  return sheet.ok ? good(sheet.value.job) : sheet;
}

/** A table of rooms; rows that are not read are warnings. */
function readTable(text: string, name: string): Result<Opened> {
  const system = systemOfHouse(text);
  const house = readHouse(text, system, 's');
  if (!house.ok) return house;
  const { rooms, notes } = house.value;
  const job = newJob('sheet', name, system, rooms);
  const problems = faultsOf(job);
  if (problems.length) return { ok: false, problems };
  const judged = judge(job);
  return judged.ok ? good({ job, warnings: [...notes, ...judged.value.warnings] }) : judged;
}

function readJobFile(text: string): Result<Opened> {
  const opened = openJob(text);
  return opened.ok ? judge(opened.value) : opened;
}

function judge(job: Job, locate: (problem: Problem) => Problem = (p) => p): Result<Opened> {
  const takeoffs = takeoffJob(job);
  const unmeasured = takeoffs.flatMap((t): Problem[] =>
    t.missing.length
      ? [
          {
            path: `rooms/${t.room.id}/walls`,
            message: `${t.room.name} still waits for the length of wall ${t.missing.join(', ')}.`,
          },
        ]
      : [],
  );
  const problems = [...takeoffs.flatMap((t) => t.problems), ...unmeasured].map(locate);
  if (problems.length) return { ok: false, problems };
  return good({ job, warnings: takeoffs.flatMap((t) => t.warnings).map(locate) });
}

function readSheet(text: string, name: string): Result<Opened> {
  const sheet = sheetJob(text, name);
  return sheet.ok ? judge(sheet.value.job, sheet.value.lineOf) : sheet;
}

function sheetJob(text: string, name: string): Result<{ job: Job; lineOf: (problem: Problem) => Problem }> {
  const sheet = parseTapeSheet(text);
  if (sheet.problems.length) return { ok: false, problems: sheet.problems };
  const system = sheet.units === 'm' || sheet.units === 'cm' || sheet.units === 'mm' ? 'metric' : 'imperial';
  const ids = seededIds('s');
  const rooms = sheet.rooms.map((room) => roomFromDraft(room.draft, ids(), ids, system));
  const lineOf = (problem: Problem): Problem => {
    const [, roomId, part, id] = problem.path.split('/');
    const index = rooms.findIndex((room) => room.id === roomId);
    const [room, source] = [rooms[index], sheet.rooms[index]];
    if (!room || !source) return problem;
    const label =
      part === 'trim'
        ? `trim ${id}`
        : [...rows(room.walls), ...rows(room.openings)].find((item) => item.id === id)?.label;
    return { ...problem, line: (label !== undefined ? source.lines.get(label) : undefined) ?? source.line };
  };
  const said = sheet.said.map((one): SaidLine => ({ ...one, room: rooms[one.room] ?? null }));
  const applied = applyLines(newJob('sheet', name, system, rooms), said);
  if (!applied.ok) return applied;
  const job = applied.value;
  const problems = faultsOf(job);
  return problems.length ? { ok: false, problems: problems.map(lineOf) } : good({ job, lineOf });
}
