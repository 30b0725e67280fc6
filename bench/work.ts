import { takeoffJob, takeoffRoom } from '../core/src/measure/takeoff.ts';
import { rows } from '../core/src/job/table.ts';
import type { Job } from '../core/src/job/types.ts';
import { specifyRoom } from '../core/src/specify/specify.ts';
import { operationsOf } from '../core/src/work/operations.ts';
import { line, manyRooms, median, ms, times } from './rooms.ts';

/** Every operation of 300 rooms with its minutes, against measuring those rooms. */
export function benchWork(): void {
  console.log('\nWork: operations and minutes of 300 rooms, against their takeoff');
  const job = manyRooms(300);
  const text = JSON.stringify(job);
  // each run has documents that nobody saw before
  const fresh = () => JSON.parse(text) as Job;
  const documents = Array.from({ length: 20 }, fresh);
  let at = 0;
  const takeoff = median(() => {
    const mine = documents[at++] as Job;
    for (const room of rows(mine.rooms)) takeoffRoom(mine, room);
  }, 11);
  const takeoffs = takeoffJob(job);
  const surfaces = takeoffs.map((t) => specifyRoom(job, t));
  let operations = 0;
  const work = median(() => {
    const settings = { ...job.settings };
    const mine = takeoffs.map((t, i) => operationsOf({ ...job, settings }, t, surfaces[i] ?? []));
    operations = mine.reduce((sum, list) => sum + list.length, 0);
  }, 11);
  line('takeoff of 300 rooms', ms(takeoff));
  line(`${operations.toLocaleString('en-US')} operations`, ms(work), times(work, takeoff, 'the takeoff'));
}
