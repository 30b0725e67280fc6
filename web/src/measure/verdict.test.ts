import { expect, test } from '@jest/globals';
import { rows } from '@kovelin/core/job/table.ts';
import type { Job } from '@kovelin/core/job/types.ts';
import { takeoffJob } from '@kovelin/core/measure/takeoff.ts';
import { readAny } from '@kovelin/core/exchange/read.ts';
import type { JobView } from '../app/job-context.ts';
import { verdictOf } from './ClosurePlan.tsx';

const opened = (lengths: readonly string[]): Job => {
  const walls = lengths.map((length, i) => `wall ${'ABCD'.charAt(i)} ${length} R`);
  const read = readAny(['units m', 'room Study', 'height 2.4', ...walls].join('\n'), 'Study');
  if (!read.ok) throw new Error(read.problems[0]?.message);
  return read.value.job;
};
/** What of a view the verdict is read from. */
const told = (job: Job, isDraft = false): string => {
  const [takeoff] = takeoffJob(job);
  return verdictOf({ takeoff, system: job.units, state: { isDraft } } as JobView);
};
const SQUARE = ['4 m', '3 m', '4 m', '3 m'];

test.each([
  [SQUARE, 'The walls fit exactly.'],
  [['4 m', '3 m', '4.02 m', '3 m'], 'The walls fit: 20 mm apart, which is shared out.'],
  [['4 m', '3 m', '5 m', '3 m'], 'The walls do not fit: 1.00 m apart.'],
])('%j: %s', (lengths, verdict) => {
  expect(told(opened(lengths))).toBe(verdict);
});

test('nothing is announced at each key, nor before every wall has its length', () => {
  const job = opened(SQUARE);
  expect(told(job, true)).toBe('');
  const [room] = rows(job.rooms);
  if (!room) throw new Error('no room');
  const [first] = rows(room.walls);
  const walls = { ...room.walls, byId: { ...room.walls.byId, [first?.id ?? '']: { ...first, length: null } } };
  const open = { ...job, rooms: { ...job.rooms, byId: { [room.id]: { ...room, walls } } } } as Job;
  expect(told(open)).toBe('');
});
