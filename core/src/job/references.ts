import type { Problem } from '../units/problem.ts';
import { MOST } from './limits.ts';
import type { Job } from './types.ts';
import type { Room } from './measured.ts';

/** Ids that point nowhere, and tables whose order and entries disagree. */
export function references(job: Job): Problem[] {
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
  const measured = Object.values(job.rooms.byId).reduce(
    (sum, r) => sum + r.walls.order.length + r.openings.order.length + r.parts.order.length,
    0,
  );
  if (measured > MOST.measured)
    say('rooms', `it holds ${measured} walls, openings and parts; a job is at most ${MOST.measured} of them.`);
  tableIsWhole('shelf', job.shelf);
  tableIsWhole('options', job.options);
  tableIsWhole('defects', job.defects);
  tableIsWhole('samples', job.samples);
  for (const { id, colour } of Object.values(job.samples.byId))
    if (!Object.hasOwn(job.colours, colour)) say(`samples/byId/${id}`, 'it names a colour that is not in the job.');
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
