import { expect, test } from '@jest/globals';
import { takeoffRoom } from '../measure/takeoff.ts';
import { specifyRoom } from '../specify/specify.ts';
import { applyEdit } from './edits.ts';
import { cottage, edited, opened } from '../testing/jobs.ts';
import { nextName } from './copy-room.ts';
import type { Room, TrimRun } from './measured.ts';
import { rows } from './table.ts';
import type { Job } from './types.ts';

/** The surfaces of a room as they are specified, without their names. */
const takeoffOf = (job: Job, id: string | undefined) => takeoffRoom(job, job.rooms.byId[id ?? ''] as Room);
const specified = (job: Job, room: string | undefined) =>
  specifyRoom(job, takeoffOf(job, room)).map(({ surface: { kind, area }, product, colour, survey, sheen }) => [
    kind,
    area.value,
    product.id,
    colour.id,
    survey,
    sheen,
  ]);

test('a room like another measures the same, is specified the same, and shares nothing with it', () => {
  const job = cottage();
  const room = job.rooms.order[0] ?? '';
  const copied = edited(job, { name: 'copyRoom', args: { room, id: 'twin', name: 'Parlour 2' } });
  expect(copied.rooms.order.slice(0, 2)).toEqual([room, 'twin']);
  expect(specified(copied, 'twin')).toEqual(specified(copied, room));
  expect(specified(copied, room)).toEqual(specified(job, room));
  const ids = (id: string) => takeoffOf(copied, id).surfaces.map((s) => s.id);
  expect(ids('twin').filter((id) => ids(room).includes(id))).toEqual([]);
});

test('rooms and walls have the order they are given; a frieze goes with its rail', () => {
  const job = opened(`units m
room One
height 2.6
wall A 4 R
wall B 3 R
wall C 4 R
wall D 3 R
trim picture-rail 5 cm at 2
frieze f1 on A sill 2
room Two
height 2
wall A 1 R
wall B 1 R
wall C 1 R
wall D 1 R
`);
  const [one, two] = rows(job.rooms);
  const room = one?.id ?? '';
  const moved = edited(
    job,
    { name: 'moveRoom', args: { room, to: 1 } },
    { name: 'moveWall', args: { room, wall: one?.walls.order[0] ?? '', to: 2 } },
    {
      name: 'setTrim',
      args: {
        room,
        kind: 'picture-rail',
        run: { ...(one?.trim['picture-rail'] as TrimRun), at: { typed: '2.1', metres: 2.1 } },
      },
    },
  );
  expect(moved.rooms.order).toEqual([two?.id, room]);
  expect(
    rows(moved.rooms.byId[room]?.walls ?? { byId: {}, order: [] })
      .map(({ label }) => label)
      .join(''),
  ).toBe('BCAD');
  expect(Object.values(moved.rooms.byId[room]?.parts.byId ?? {}).map(({ sill }) => sill?.metres)).toEqual([2.1]);
  for (const to of [-1, 0.5, NaN]) expect(applyEdit(job, { name: 'moveRoom', args: { room, to } }).ok).toBe(false);
});

test.each([
  ['Bedroom', ['Bedroom'], 'Bedroom 2'],
  ['Bedroom 2', ['Bedroom', 'Bedroom 2'], 'Bedroom 3'],
  ['Bedroom 7', ['Bedroom 7'], 'Bedroom 2'],
])('after %s of %j comes %s', (name, taken, next) => expect(nextName(name, taken)).toBe(next));
