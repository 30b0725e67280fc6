import { networkFor, scheduleJob } from '../core/src/sequence/schedule.ts';
import { compile } from '../core/src/sequence/instance.ts';
import { Search } from '../core/src/sequence/search.ts';
import { keepFor } from '../core/src/whole/keep.ts';
import { wholeOf } from '../core/src/whole/whole.ts';
import { BEDROOMS, compared } from './bedrooms.ts';
import { askOracle, modelOf } from './oracle.ts';
import { line, manyRooms, median, ms, times } from './rooms.ts';

/** The search for a plan against one pass of it, against its bound, and against a constraint solver. */
export async function benchPlan(): Promise<void> {
  console.log('\nPlan: the search against one pass, and against the bound');
  for (const rooms of [4, 10, 30]) {
    const job = manyRooms(rooms);
    const { takeoffs, operations } = wholeOf(job);
    const keep = keepFor(job);
    const { network } = networkFor(job, takeoffs, operations, keep);
    const problem = compile(network);
    if (!problem) throw new Error('lags in a circle');
    const one = median(() => void new Search(problem).step(), 3);
    line(`first plan of ${rooms} rooms, ${network.tasks.length} tasks`, ms(one));
    const start = performance.now();
    const { gap, placed, travel } = scheduleJob(job, takeoffs, operations, keep);
    const all = performance.now() - start;
    const hops = [0, 1].map((person) => {
      const own = placed.filter((p) => p.who.includes(person));
      return own.filter((p, i) => i > 0 && p.task.room !== own[i - 1]?.task.room).length;
    });
    line(
      `base plan of ${rooms} rooms`,
      ms(all),
      `${times(all, one, 'one pass')}; ${(gap * 100).toFixed(1)} % over the bound; ${travel.toFixed(0)} min fetching and turning, ${hops.join(' and ')} changes of room`,
    );
  }
  console.log('\nPlan: plain bedrooms against MiniZinc’s Chuffed (best proved within two minutes each)');
  const ours = BEDROOMS.map(compared);
  const models = ours.map(({ plan }) => modelOf(plan, 1));
  await askOracle(models, 120, ({ finish, proved, seconds }, i) => {
    const own = ours[i];
    if (!own) return;
    const theirs = finish === null ? 'nothing found' : `${finish} min${proved ? ', proved' : ', not proved'}`;
    line(
      `${own.name}, ${own.plan.tasks.length} tasks`,
      ms(own.ms),
      `ours ${own.finish} min, bound ${own.bound.toFixed(0)}; theirs ${theirs} in ${seconds.toFixed(1)} s${finish === null ? '' : `; ${((own.finish / finish - 1) * 100).toFixed(2)} % over`}`,
    );
  });
}
