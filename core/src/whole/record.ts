import { DateTime } from 'luxon';
import type { Job } from '../job/types.ts';
import { nearest } from '../job/scope.ts';
import { systemOf } from '../job/region.ts';
import type { Id } from '../job/table.ts';
import { takeoffRoom } from '../measure/takeoff.ts';
import { rows } from '../job/table.ts';
import type { Findable } from '../record/find.ts';
import { leftoversOf, type Left } from '../record/leftovers.ts';
import { recordOf, type Recorded, type SurfaceRecord } from '../record/layer.ts';
import type { LogEntry } from '../site/entry.ts';
import type { SiteState } from '../site/fold.ts';
import type { Log } from '../site/log.ts';
import { zeroOf } from '../site/moments.ts';
import { groupBy } from '../units/group.ts';
import { capital, said } from '../units/word.ts';
import { namesWord } from '../words/names.ts';
import { ROOM_USE } from '../words/terms.ts';
import { stateOf } from './site.ts';
import { wholeOf } from './whole.ts';

/** All that is known of what is on the rooms of a job. */
export interface JobRecord {
  readonly of: Recorded & { readonly job: Job };
  readonly state: SiteState;
  readonly surfaces: readonly SurfaceRecord[];
  readonly left: readonly Left[];
}

/** Entries of a log by their ids. */
export const logFrom = (entries: readonly LogEntry[]): Log => new Map(entries.map((entry) => [entry.id, entry]));

/** The record of a job, from its document and its log. */
export function jobRecord(job: Job, entries: readonly LogEntry[]): JobRecord {
  const log = logFrom(entries);
  const state = stateOf(job, log);
  const of = { job, zero: zeroOf(job.crew, log) ?? 0 };
  return {
    of,
    state,
    surfaces: recordOf(of, state, wholeOf(job).surfaces),
    left: leftoversOf(job.leftovers, state),
  };
}

const COATED = /^(.+):(?:roll|wet|brush)\d*(?:\/\d+)?$/;

/**
 * What of a job can be looked for: paints on its rooms, by finish and room, and cans that are left. It asks no system of any surface, so
 * that a thousand jobs are soon gone through.
 */
export function findablesOf(job: Job, entries: readonly LogEntry[]): Findable[] {
  const state = stateOf(job, logFrom(entries));
  const system = systemOf(job);
  const done = new Map<string, number>();
  for (const { operation, done: at } of state.tasks.values()) {
    const surface = COATED.exec(operation)?.[1];
    if (surface !== undefined && at !== null) done.set(surface, Math.max(at, done.get(surface) ?? -Infinity));
  }
  const zero = zeroOf(job.crew, logFrom(entries)) ?? 0;
  const dayOf = (at: number): string =>
    DateTime.fromMillis(zero + at * 60_000, { zone: job.crew.zone }).toISODate() ?? '';
  const base = (room: Id | null, roomName: string, also: string) => ({
    units: job.units,
    job: job.id,
    jobName: job.name,
    room,
    roomName,
    also,
  });
  const found: Findable[] = [];
  for (const room of rows(job.rooms)) {
    const { surfaces } = takeoffRoom(job, room);
    const own = base(room.id, room.name, said(ROOM_USE[room.use], system));
    const laid = groupBy(
      surfaces.flatMap((surface) => {
        const finish = nearest(job.finishes, surface)?.value;
        return finish ? [{ surface, finish, at: done.get(surface.id) ?? null }] : [];
      }),
      ({ finish, at }) => `${finish.product}|${finish.colour}|${at === null ? 'planned' : 'on'}`,
    );
    for (const [key, group] of laid) {
      const [first] = group;
      const colour = first && job.colours[first.finish.colour];
      if (!first || !colour) continue;
      const at = Math.max(...group.map((one) => one.at ?? -Infinity));
      found.push({
        ...own,
        id: `${job.id}|${room.id}|${key}`,
        on: said(capital(namesWord(group.map(({ surface }) => surface.name))), system),
        surface: first.surface.id,
        kind: first.at === null ? 'planned' : 'on',
        product: job.products[first.finish.product]?.name ?? '',
        colour: colour.name,
        code: colour.code ?? '',
        hex: colour.hex,
        batch: batchesOf(state, `${first.finish.product}|`, first.finish.colour),
        when: Number.isFinite(at) ? dayOf(at) : '',
        litres: null,
      });
    }
    const before = groupBy(
      surfaces.flatMap((surface) => (job.earlier[surface.id] ?? []).map((paint) => ({ surface, paint }))),
      ({ paint }) => JSON.stringify({ ...paint, id: '' }),
    );
    for (const group of before.values())
      for (const { surface, paint } of group.slice(0, 1))
        found.push({
          ...own,
          id: `${job.id}|${surface.id}|${paint.id}`,
          on: said(capital(namesWord(group.map((one) => one.surface.name))), system),
          surface: surface.id,
          kind: 'earlier',
          product: paint.product,
          colour: paint.colour,
          code: paint.code,
          hex: paint.hex,
          batch: paint.batch,
          when: paint.when,
          litres: null,
          also: `${own.also} ${paint.note}`,
        });
  }
  for (const room of rows(job.rooms)) {
    const looked = (state.tasks.get(`${room.id}:look`)?.done ?? null) !== null || Object.hasOwn(job.accepted, room.id);
    const { surfaces } = takeoffRoom(job, room);
    const due = surfaces.filter(({ id }) => done.has(id));
    const [first] = due;
    if (looked || !first) continue;
    found.push({
      ...base(room.id, room.name, said(ROOM_USE[room.use], system)),
      id: `${job.id}|look|${room.id}`,
      on: said(capital(namesWord(due.map(({ name }) => name))), system),
      surface: first.id,
      kind: 'look',
      product: '',
      colour: '',
      code: '',
      hex: null,
      batch: '',
      when: dayOf(Math.max(...due.map(({ id }) => done.get(id) ?? -Infinity))),
      litres: null,
    });
  }
  for (const { key, litres, where, batches } of leftoversOf(job.leftovers, state)) {
    const [product = '', , colour = ''] = key.split('|');
    const tinted = job.colours[colour];
    found.push({
      ...base(null, '', ''),
      id: `${job.id}|left|${key}`,
      on: where,
      surface: null,
      kind: 'left',
      product: job.products[product]?.name ?? product,
      colour: tinted?.name ?? '',
      code: tinted?.code ?? '',
      hex: tinted?.hex ?? null,
      batch: batches.join(', '),
      when: job.leftovers[key]?.date ?? lastRead(state, key, dayOf),
      litres,
    });
  }
  return found;
}
const batchesOf = (state: SiteState, product: string, colour: string): string =>
  [
    ...new Set(
      state.pots.flatMap(({ paint, batch }) =>
        paint.startsWith(product) && paint.endsWith(`|${colour}`) && batch ? [batch] : [],
      ),
    ),
  ].join(', ');
const lastRead = (state: SiteState, key: string, dayOf: (at: number) => string): string => {
  const last = state.pots.findLast(({ paint }) => paint === key);
  return last ? dayOf(last.at) : '';
};
