import { openJob } from '../core/src/job/open.ts';
import type { Job } from '../core/src/job/types.ts';
import { wholeOf } from '../core/src/whole/whole.ts';
import { scheduleJob } from '../core/src/sequence/schedule.ts';
import { line, manyRooms, median, ms, times } from './rooms.ts';

/** The core's derivations against reading the same file. A parsed job is new to every memo by identity. */
export function benchCore(): void {
  console.log('\nCore: measure to order, 30 rooms');
  const text = JSON.stringify(manyRooms(30));
  const parse = median(() => void JSON.parse(text));
  const open = median(() => void openJob(text));
  const parsed = Array.from({ length: 40 }, () => JSON.parse(text) as Job);
  let next = 0;
  const work = median(() => void wholeOf(parsed[next++ % parsed.length] as Job), 30);
  line('JSON.parse of the file', ms(parse), `${(text.length / 1024).toFixed(0)} kB`);
  line('parse and validate', ms(open), times(open, parse, 'JSON.parse'));
  line(
    'derive measure -> order',
    ms(work),
    `${times(work, parse, 'JSON.parse')}, ${times(work, open, 'parse + validate')}`,
  );
  const big = JSON.stringify(manyRooms(300));
  const bigger = Array.from({ length: 8 }, () => JSON.parse(big) as Job);
  let at = 0;
  const tenfold = median(() => void wholeOf(bigger[at++ % bigger.length] as Job), 3);
  line('the same for 300 rooms', ms(tenfold), `${times(tenfold, work, 'the work')} for 10 x the rooms`);
  for (const rooms of [4, 30]) {
    const job = manyRooms(rooms);
    const { takeoffs, operations } = wholeOf(job);
    const one = median(() => void scheduleJob(job, takeoffs, operations, { tries: 0 }), 3);
    const start = performance.now();
    const { finish, bound, placed } = scheduleJob(job, takeoffs, operations);
    const all = performance.now() - start;
    line(
      `schedule of ${placed.length} tasks, ${rooms} rooms`,
      ms(all),
      `${times(all, one, 'one pass')}; finish ${(finish / bound).toFixed(3)} x the bound`,
    );
  }
}
