import { networkFor, scheduleJob } from '../core/src/sequence/schedule.ts';
import { compile } from '../core/src/sequence/instance.ts';
import { Search } from '../core/src/sequence/search.ts';
import { keepFor } from '../core/src/whole/wet.ts';
import { wholeOf } from '../core/src/whole/whole.ts';
import { BEDROOMS, compared, randomBedrooms } from './bedrooms.ts';
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
  console.log('\nPlan: searching on, from the first plan to where nothing better is found');
  for (const [rooms, steps] of [
    [4, 2000],
    [10, 600],
    [30, 150],
  ] as const)
    searchedOn(rooms, steps);
  const seed = Number(process.env['SEED'] ?? Date.now() % 1e6);
  console.log(
    `\nPlan: plain bedrooms and five by chance (seed ${seed}) against MiniZinc’s Chuffed (best proved within two minutes each)`,
  );
  const ours = [...BEDROOMS, ...randomBedrooms(seed, 5)].map(compared);
  const models = ours.map(({ plan }) => modelOf(plan, 1));
  await askOracle(models, 120, ({ finish, proved, seconds }, i) => {
    const own = ours[i];
    if (!own) return;
    // within 1 % of what is proved, and no bound above it
    if (finish !== null && proved && (own.finish > finish * 1.01 + 1e-6 || own.bound > finish + 1e-6)) {
      console.log(`fault: ${own.name}`);
      process.exitCode = 1;
    }
    const theirs = finish === null ? 'nothing found' : `${finish} min${proved ? ', proved' : ', not proved'}`;
    line(
      `${own.name}, ${own.plan.tasks.length} tasks`,
      ms(own.ms),
      `ours ${own.finish} min, bound ${own.bound.toFixed(0)}; theirs ${theirs} in ${seconds.toFixed(1)} s, ${times(seconds * 1000, own.ms, 'our time')}${finish === null ? '' : `; ${((own.finish / finish - 1) * 100).toFixed(2)} % over`}`,
    );
  });
}

/** How soon a search comes within 2 % of its best finish, how far that is from the bound, and what memory it takes. */
function searchedOn(rooms: number, steps: number): void {
  const job = manyRooms(rooms);
  const { takeoffs, operations } = wholeOf(job);
  const { network } = networkFor(job, takeoffs, operations, keepFor(job));
  const problem = compile(network);
  if (!problem) throw new Error('lags in a circle');
  const worked = (t: number): number => problem.plain.reduce((sum, calendar) => sum + calendar.worked(t), 0);
  globalThis.gc?.();
  const before = process.memoryUsage().heapUsed;
  const search = new Search(problem);
  const start = performance.now();
  const found: (readonly [ms: number, finish: number])[] = [];
  for (let i = 0; i < steps; i++)
    if (search.step()) found.push([performance.now() - start, worked(search.score?.finish ?? 0)]);
  const all = performance.now() - start;
  globalThis.gc?.();
  const memory = (process.memoryUsage().heapUsed - before) / 2 ** 20;
  const best = Math.min(...found.map(([, finish]) => finish));
  const [near = 0] = found.find(([, finish]) => finish <= best * 1.02) ?? [];
  line(
    `within 2 % of its best, ${rooms} rooms, ${network.tasks.length} tasks`,
    ms(near),
    `of ${ms(all)} in ${steps} steps; its best ${((best / worked(search.bound) - 1) * 100).toFixed(1)} % over the bound; ${memory.toFixed(1)} MB`,
  );
}
