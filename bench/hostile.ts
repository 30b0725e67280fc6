import fc from 'fast-check';
import { hostileEdit, mutation, smallJob } from '../core/src/testing/hostile.ts';
import { HOSTILE_FILES, HOSTILE_READERS } from '../core/src/testing/hostile-files.ts';
import { archiveOf, bytesChanged, logFiles, tryArchive, tryLog } from '../core/src/testing/hostile-logs.ts';
import { runEdits, tryMutations } from '../core/src/testing/laws.ts';
import { line } from './rooms.ts';
import { keysOf } from '../core/src/units/list.ts';

const RUNS = Number(process.env['HOSTILE_RUNS'] ?? 100_000);
const BATCH = 1000;

/** The laws of edits and files over many more cases than the tests run; every fault is printed with what brought it about. */
export async function benchHostile(): Promise<void> {
  console.log(`\nHostile edits, jobs, logs and archives: ${RUNS.toLocaleString('en-US')} cases, a quarter of each`);
  const job = smallJob();
  const share = RUNS / 4;
  const seed = Date.now() % 1e9;
  let [accepted, faults, slowest] = [0, 0, 0];
  const watch = (what: unknown, run: () => string | null) => {
    const start = performance.now();
    noted(what, start, thrown(run));
  };
  const noted = (what: unknown, start: number, fault: string | null) => {
    const took = performance.now() - start;
    slowest = Math.max(slowest, took);
    if (!fault && took < MOST) return;
    faults++;
    console.log(`fault: ${fault ?? `${took.toFixed(0)} ms`}\n  ${JSON.stringify(what).slice(0, 2000)}`);
  };
  const start = performance.now();
  for (let at = 0; at < share; at += BATCH)
    for (const edits of fc.sample(fc.array(hostileEdit, { minLength: 1, maxLength: 6 }), {
      numRuns: BATCH,
      seed: seed + at,
    }))
      watch(edits, () => {
        const { fault, accepted: done } = runEdits(job, edits);
        accepted += done.length;
        return fault;
      });
  line('runs of edits', `${share}`, `${accepted} edits accepted, ${faults} faults; slowest ${slowest.toFixed(0)} ms`);
  let opened = 0;
  const before = faults;
  slowest = 0;
  for (let at = 0; at < share; at += BATCH)
    for (const changes of fc.sample(fc.array(mutation, { minLength: 1, maxLength: 3 }), {
      numRuns: BATCH,
      seed: seed + at,
    }))
      watch(changes, () => {
        const tried = tryMutations(job, changes);
        if (tried.opened) opened++;
        return tried.fault;
      });
  line('changed files', `${share}`, `${opened} opened, ${faults - before} faults; slowest ${slowest.toFixed(0)} ms`);
  slowest = 0;
  const kept = { folded: 0, aside: 0 };
  const files = logFiles(seed);
  for (const text of fc.sample(files, { numRuns: share, seed })) watch(text, () => tryLog(text, kept));
  line(
    'changed logs',
    `${share}`,
    `${kept.folded} entries folded, ${kept.aside} lines set aside; slowest ${slowest.toFixed(0)} ms`,
  );
  slowest = 0;
  let read = 0;
  const whole = await archiveOf();
  for (const change of fc.sample(bytesChanged(whole.bytes.length), { numRuns: share, seed })) {
    const begun = performance.now();
    const tried = await tryArchive(whole, change);
    if (tried.read) read++;
    noted(change, begun, tried.fault);
  }
  line(
    'changed archives',
    `${share}`,
    `${read} read, with nothing in them but what was packed; slowest ${slowest.toFixed(0)} ms`,
  );
  line('in all', `${((performance.now() - start) / 1000).toFixed(0)} s`, `seed ${seed}`);
  if (faults) process.exitCode = 1;
}

/** No file takes longer, ms. */
const MOST = 2000;
const thrown = (run: () => string | null): string | null => {
  try {
    return run();
  } catch (error) {
    return error instanceof Error ? (error.stack ?? error.message) : String(error);
  }
};

/** Beyond this many times what a normal file of its size takes, a hostile one holds the page up. */
const MOST_TIMES = 15;

/** The slowest of ten hostile files for each reader, beside a normal file of their size. */
export function benchHostileFiles(): void {
  console.log('\nHostile files: the slowest of ten, x a normal file of its size');
  for (const kind of keysOf(HOSTILE_FILES)) {
    const took = (text: string) => {
      const start = performance.now();
      HOSTILE_READERS[kind](text);
      return performance.now() - start;
    };
    const { normal, hostile } = HOSTILE_FILES[kind];
    const usual = Math.max(took(normal), took(normal), 20);
    const worst = Math.max(...hostile.map((text) => took(text) / usual));
    line(kind, `${worst.toFixed(1)} x`, `${usual.toFixed(0)} ms a normal one`);
    if (worst > MOST_TIMES) process.exitCode = 1;
  }
}
