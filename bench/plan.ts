import { scheduleJob } from '../core/src/sequence/schedule.ts';
import { keepFor } from '../core/src/whole/keep.ts';
import { wholeOf } from '../core/src/whole/whole.ts';
import { line, manyRooms, median, ms, times } from './rooms.ts';

/** The search for a plan against one pass of it, and what it reaches against its bound. */
export function benchPlan(): void {
  console.log('\nPlan: the search against one pass, and against the bound');
  for (const rooms of [4, 30]) {
    const job = manyRooms(rooms);
    const { takeoffs, operations } = wholeOf(job);
    let pass = 0;
    // a seed of its own each time: an answer that is remembered costs nothing
    const one = median(() => void scheduleJob(job, takeoffs, operations, keepFor(job), { steps: 1, seed: ++pass }), 3);
    const start = performance.now();
    const { finish, bound, placed } = scheduleJob(job, takeoffs, operations, keepFor(job));
    const all = performance.now() - start;
    line(
      `schedule of ${placed.length} tasks, ${rooms} rooms`,
      ms(all),
      `${times(all, one, 'one pass')}; finish ${(finish / bound).toFixed(3)} x the bound`,
    );
  }
}
