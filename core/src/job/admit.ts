import type { Patch } from 'immer';
import type Joi from 'joi';
import { bad, type Problem, type Result } from '../units/problem.ts';
import { applyEdit, type Edit, type Edited } from './edits.ts';
import { references } from './references.ts';
import { jobSchema, memberSchema, RECORDS } from './schema.ts';
import type { Job } from './types.ts';

const MOST_PROBLEMS = 20;
type Path = readonly (string | number)[];

const get = (from: unknown, path: Path): unknown =>
  path.reduce<unknown>((here, key) => (here as Record<string | number, unknown> | null | undefined)?.[key], from);

/** The first thing wrong with a part of a document; one at a time, so that a file of nothing but faults is soon refused. */
function fault(schema: Joi.Schema, value: unknown, at: Path): Problem | null {
  const found = schema.validate(value).error?.details[0];
  return found ? { path: [...at, ...found.path].join('/'), message: `${found.message}.` } : null;
}

/** Where the records of a document are: `*` is every entry. */
function places(job: unknown, pattern: readonly string[], at: Path = []): Path[] {
  const star = pattern.indexOf('*');
  if (star < 0) return [[...at, ...pattern]];
  const owner = [...at, ...pattern.slice(0, star)];
  const keys = Object.keys((get(job, owner) as object | undefined) ?? {});
  return keys.flatMap((key) => places(job, pattern.slice(star + 1), [...owner, key]));
}

/** What the door has against a whole document: one fault an entry, at most twenty. Reads anything; never throws. */
export function faultsOf(json: unknown): Problem[] {
  const first = fault(jobSchema, json, []);
  if (!first) return references(json as Job).slice(0, MOST_PROBLEMS);
  const problems = new Map([[first.path, first]]);
  for (const [pattern, schema] of RECORDS)
    for (const at of places(json, pattern)) {
      const record = get(json, at);
      for (const key in record as object) {
        if (problems.size >= MOST_PROBLEMS) return [...problems.values()];
        const found = fault(schema, { [key]: (record as Record<string, unknown>)[key] }, at);
        if (found) problems.set(found.path, found);
      }
    }
  return [...problems.values()];
}

/** The smallest part that holds a changed place and can be looked at by itself. */
function faultAt(job: Job, path: Path): Problem | null {
  const record = RECORDS.find(([of]) => path.length > of.length && of.every((k, i) => k === '*' || k === path[i]));
  const [, schema = jobSchema, most = Infinity] = record ?? [];
  const at = path.slice(0, record?.[0].length ?? 0);
  const owner = (get(job, at) ?? {}) as Record<string, unknown>;
  const key = String(path[at.length]);
  if (!record) return Object.hasOwn(job, key) ? fault(memberSchema(key), owner[key], [key]) : fault(jobSchema, job, []);
  // an entry that was taken out is looked at by what refers to it
  if (!Object.hasOwn(owner, key)) return null;
  const count = Object.keys(owner).length;
  return count > most
    ? { path: at.join('/'), message: `There are ${count} entries here; at most ${most} are accepted.` }
    : fault(schema, { [key]: owner[key] }, at);
}

/** What the door has against an edit, looked at only where it changed something. */
function faultsOfEdit({ job, patches }: { readonly job: Job; readonly patches: readonly Patch[] }): Problem[] {
  const parts = new Map(patches.map(({ path }) => [path.slice(0, 6).join('/'), path] as const));
  const wrong = [...parts.values()].flatMap((path) => faultAt(job, path) ?? []);
  return (wrong.length ? wrong : references(job)).slice(0, MOST_PROBLEMS);
}

/**
 * Runs a named edit, and lets through only what the door would let in: `open(serialise(job))` of what it gives is the
 * same job. Errors: what the edit refuses, or the door's own sentence.
 */
export function editJob(job: Job, edit: Edit): Result<Edited> {
  const done = applyEdit(job, edit);
  if (!done.ok) return done;
  const [found] = faultsOfEdit(done.value);
  return found ? bad(`This cannot be kept: ${found.message}`, { path: found.path }) : done;
}
