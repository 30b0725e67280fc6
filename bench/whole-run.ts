import { readFileSync } from 'node:fs';
import { openJob } from '../core/src/job/open.ts';
import type { Job } from '../core/src/job/types.ts';
import { countedDays } from '../core/src/work/days.ts';
import { orderOf } from '../core/src/whole/plan.ts';
import { wholeOf } from '../core/src/whole/whole.ts';

// Run by whole.ts as one file, as it ships: a job's text in, milliseconds out.
const [path = '', runs = '20'] = process.argv.slice(2);
const text = readFileSync(path, 'utf8');
const spent = { open: [] as number[], derive: [] as number[] };

function timed(kind: keyof typeof spent, run: () => unknown): void {
  const start = performance.now();
  run();
  spent[kind].push(performance.now() - start);
}

// in turn, so that a busy moment meets both; each document is new to every memo
for (let i = 0; i < Number(runs) + 5; i++) {
  timed('open', () => openJob(text));
  const job = JSON.parse(text) as Job;
  timed('derive', () => {
    const { operations } = wholeOf(job);
    const minutes = operations.reduce((sum, op) => sum + op.minutes.value, 0);
    orderOf(job, countedDays(job, minutes));
  });
}
const quiet = (list: number[]) => {
  const sorted = list.slice(5).sort((a, b) => a - b);
  return { quarter: sorted[sorted.length >> 2], median: sorted[sorted.length >> 1] };
};
console.log(JSON.stringify({ open: quiet(spent.open), derive: quiet(spent.derive) }));
