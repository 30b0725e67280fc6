import Joi from 'joi';
import { ENDS, MOST, within } from '../job/limits.ts';
import { bad, good, type Result } from '../units/problem.ts';
import { LEVELS, STOP_REASONS } from '../job/vocabulary.ts';
import type { EntryKind, LogEntry, SaidEntry } from './entry.ts';
import { keysOf } from '../units/list.ts';

/** The one validator of the log: what is noted, corrected, read from a file or a backup, merged or stored is validated here. */

const id = Joi.string()
  .pattern(/^[A-Za-z0-9][\w-]{0,79}$/, 'an id')
  .required();
const text = (most: number) => Joi.string().max(most);
const place = text(MOST.scope);
/** Ids of operations hold those of the two surfaces that meet. */
const operation = text(MOST.operation);
const at = Joi.string()
  .pattern(
    /^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d{1,3})?)?(Z|[+-]\d\d:\d\d)$/,
    'a moment such as 2026-12-01T08:30:00.000Z',
  )
  .custom((value: string, helpers) => {
    const moment = Date.parse(value);
    return within(moment, ENDS.moment) ? new Date(moment).toISOString() : helpers.error('at');
  })
  .messages({ at: '{#label} is no moment from 2020 to 2099; 2026-12-01T08:30:00.000Z is one' });
const litres = Joi.number().min(0).max(ENDS.can[1]).required();

/** Kinds with a value of their own. */
const SAID = {
  stop: Joi.object({ reason: Joi.valid(...STOP_REASONS).required() }).required(),
  air: Joi.object({
    temperature: Joi.number().min(ENDS.temperature[0]).max(ENDS.temperature[1]).required(),
    humidity: Joi.number().min(0).max(1).required(),
    draught: Joi.number().min(0).max(ENDS.draught[1]).required(),
  }).required(),
  can: Joi.object({
    paint: text(MOST.key).required(),
    litres,
    batch: text(MOST.batch).allow('').required(),
  }).required(),
  litres: Joi.object({
    paint: text(MOST.key).required(),
    left: litres,
    by: Joi.valid(...LEVELS).required(),
  }).required(),
  cover: Joi.object({ thing: place.required() }).required(),
  uncover: Joi.object({ thing: place.required() }).required(),
  photo: Joi.object({
    photo: id,
    width: Joi.number().integer().min(1).max(20_000).required(),
    height: Joi.number().integer().min(1).max(20_000).required(),
  }).required(),
};
/** A correction may be of a correction, and that of another: no deeper. Whether it fits its entry is seen where it is applied. */
const correction = (deeper: number): Joi.Schema =>
  Joi.alternatives(
    Joi.object({ removed: Joi.valid(true).required() }),
    Joi.object({
      at,
      who: text(MOST.name),
      operation,
      surface: place,
      note: text(MOST.notes).allow(''),
      value: Joi.alternatives(...Object.values(SAID), ...(deeper ? [correction(deeper - 1)] : [])),
    }),
  );
const VALUES: Readonly<Record<EntryKind, Joi.Schema>> = {
  ...SAID,
  start: Joi.forbidden(),
  done: Joi.forbidden(),
  note: Joi.forbidden(),
  correct: correction(2).required(),
};
/** Entries that say nothing without one of these. */
const NEEDS: Partial<Record<EntryKind, 'operation' | 'note'>> = { start: 'operation', done: 'operation', note: 'note' };

const entryOf = (kind: EntryKind): Joi.ObjectSchema => {
  const needs = (member: string): Joi.PresenceMode => (NEEDS[kind] === member ? 'required' : 'optional');
  return Joi.object({
    id,
    at: at.required(),
    seq: Joi.number().integer().min(1).max(1e9).required(),
    device: id,
    who: text(MOST.name).required(),
    kind: Joi.valid(kind).required(),
    surface: place,
    operation: operation.presence(needs('operation')),
    note: needs('note') === 'required' ? text(MOST.notes).required() : text(MOST.notes).allow(''),
    value: VALUES[kind],
    corrects: kind === 'correct' ? id : Joi.forbidden(),
  });
};
const SCHEMAS = new Map(keysOf(VALUES).map((kind) => [kind, entryOf(kind)]));

/** An entry, as its kind has it. Errors: a sentence that says what is wrong with it. */
export function readEntry(value: unknown): Result<LogEntry> {
  const kind = typeof value === 'object' && value !== null && 'kind' in value ? (value.kind as EntryKind) : null;
  if (kind === null) return bad('This is no entry of a log: it does not say of what kind it is.');
  const schema = SCHEMAS.get(kind);
  if (!schema)
    return bad(`No entry of the kind “${String(kind).slice(0, 40)}” is known here; a newer Kovelin may know it.`);
  const read = schema.validate(value, { convert: true });
  if (read.error) return bad(`${capital(read.error.message.replaceAll('"', ''))}.`);
  return good(read.value as LogEntry);
}

/** Of an entry that is about to be noted, what the log itself adds. */
const STAMP = { id: 'new', at: '2026-12-01T08:00:00.000Z', seq: 1, device: 'new' };
/** Why something cannot be noted, as a sentence; null: it can. */
export function faultOfSaid(said: SaidEntry): string | null {
  const read = readEntry({ ...said, ...STAMP });
  return read.ok ? null : `This cannot be noted: ${read.problems[0]?.message ?? ''}`;
}
const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
