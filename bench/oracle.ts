// A constraint model of a plan, solved by MiniZinc's Chuffed in headless Chromium. It reads the exported JSON and shares no code with the solver.
import { readFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { once } from 'node:events';
import { createRequire } from 'node:module';
import express from 'express';
import { chromiumHere } from '../scripts/setup.mjs';
import type { scheduleContract } from '../core/src/exchange/contracts.ts';

export type PlanJson = Pick<
  ReturnType<typeof scheduleContract>,
  'crew' | 'hours' | 'resources' | 'travel' | 'apart' | 'tasks' | 'finish' | 'bound'
>;

/** The same plan in whole minutes, everything rounded up: what a solver of whole numbers reads. */
export function inWholeMinutes(plan: PlanJson): PlanJson {
  const up = (minutes: number): number => Math.ceil(minutes - 1e-6);
  return {
    ...plan,
    travel: { room: up(plan.travel.room), paint: up(plan.travel.paint), tool: up(plan.travel.tool) },
    apart: plan.apart.map((pair) => ({ ...pair, aFirst: up(pair.aFirst), bFirst: up(pair.bFirst) })),
    tasks: plan.tasks.map((task) => ({
      ...task,
      work: up(task.work),
      after: task.after.map((lag) => {
        const least = up(lag.minLag);
        return { ...lag, minLag: least, maxLag: lag.maxLag === null ? null : Math.max(least, up(lag.maxLag)) };
      }),
    })),
  };
}

/** Time is counted in worked minutes, so that a task that is put down for a break is one piece; `late`: worked minutes past the plan's own end. */
export function modelOf(plan: PlanJson, late: number): string {
  const spans = plan.hours['plain']?.[0] ?? [];
  const people = plan.crew.length;
  const { tasks } = plan;
  // elapsed time of each worked minute, as a beginning and as an end
  const begins: number[] = [];
  const ends: number[] = [0];
  for (const [from, to] of spans)
    for (let t = Math.ceil(from); t < Math.floor(to); t++) {
      begins.push(t);
      ends.push(t + 1);
    }
  const horizon = Math.min(begins.length - 1, begins.filter((t) => t < plan.finish).length + late);
  const worked = (t: number): number => begins.filter((at) => at < t).length;
  const at = new Map(tasks.map((task, i) => [task.id, i + 1]));
  const lines: string[] = [];
  const add = (text: string) => lines.push(text);
  add(`int: H = ${horizon};`);
  add(`array[0..H] of int: B = array1d(0..H, [${begins.slice(0, horizon + 1).join(',')}]);`);
  add(`array[0..H] of int: E = array1d(0..H, [${ends.slice(0, horizon + 1).join(',')}]);`);
  add(`array[1..${tasks.length}] of var 0..H: s;`);
  add(`array[1..${tasks.length}] of var 1..${people}: a;`);
  add('var 0..H: finish;');
  tasks.forEach((task, k) => {
    const i = k + 1;
    const own = plan.hours[task.hours]?.[0] ?? spans;
    const ranges = own.flatMap(([from, to]) => {
      const [first, last] = [worked(from), worked(to) - task.work];
      return last >= first ? [`${first}..${last}`] : [];
    });
    if (!task.interruptible) add(`constraint s[${i}] in ${ranges.join(' union ')};`);
    add(`constraint finish >= s[${i}] + ${task.work};`);
    if (task.paint !== null) add(`constraint s[${i}] >= ${plan.travel.paint};`);
    if (task.able !== null) add(`constraint a[${i}] in {${task.able.map((n) => plan.crew.indexOf(n) + 1).join(',')}};`);
    for (const lag of task.after) {
      const j = at.get(lag.task) ?? 0;
      const from = lag.from === 'finish' ? `E[s[${j}] + ${tasks[j - 1]?.work ?? 0}]` : `B[s[${j}]]`;
      add(`constraint B[s[${i}]] >= ${from} + ${lag.minLag};`);
      if (lag.maxLag !== null) add(`constraint B[s[${i}]] <= ${from} + ${lag.maxLag};`);
    }
  });
  const travel = (i: number, j: number): number => {
    const [p, q] = [tasks[i], tasks[j]];
    if (!p || !q) return 0;
    return (
      (p.room !== q.room ? plan.travel.room : 0) +
      (q.paint !== null && q.paint !== p.paint ? plan.travel.paint : 0) +
      (p.tool !== null && q.tool !== null && p.tool !== q.tool ? plan.travel.tool : 0)
    );
  };
  for (let i = 0; i < tasks.length; i++)
    for (let j = i + 1; j < tasks.length; j++) {
      const [p, q] = [tasks[i], tasks[j]];
      if (!p || !q) continue;
      const one = `s[${j + 1}] >= s[${i + 1}] + ${p.work + travel(i, j)}`;
      const other = `s[${i + 1}] >= s[${j + 1}] + ${q.work + travel(j, i)}`;
      const together = p.people + q.people > people ? '' : `a[${i + 1}] != a[${j + 1}] \\/ `;
      add(`constraint ${together}${one} \\/ ${other};`);
    }
  for (const { a, b, aFirst, bFirst } of plan.apart) {
    const [i, j] = [at.get(a) ?? 0, at.get(b) ?? 0];
    const [p, q] = [tasks[i - 1]?.work ?? 0, tasks[j - 1]?.work ?? 0];
    add(`constraint B[s[${j}]] >= E[s[${i}] + ${p}] + ${aFirst} \\/ B[s[${i}]] >= E[s[${j}] + ${q}] + ${bFirst};`);
  }
  for (const { id, places } of plan.resources) {
    const own = tasks.flatMap((task, i) => (task.room === id || task.uses.includes(id) ? [i] : []));
    if (own.length < 2 || places >= people) continue;
    const list = (of: (i: number) => string | number) => `[${own.map(of).join(',')}]`;
    add(
      `constraint cumulative(${list((i) => `s[${i + 1}]`)}, ${list((i) => tasks[i]?.work ?? 0)}, ${list((i) => tasks[i]?.people ?? 1)}, ${places});`,
    );
  }
  return `include "globals.mzn";\n${lines.join('\n')}\nsolve minimize finish;\n`;
}

/** What the solver said of a model: worked minutes, and whether it is proved. */
export interface OracleAnswer {
  readonly finish: number | null;
  readonly proved: boolean;
  readonly seconds: number;
  readonly status: string;
}

/** Solves models one after the other in headless Chromium, `seconds` each. */
export async function askOracle(
  models: readonly string[],
  seconds: number,
  said: (answer: OracleAnswer, index: number) => void = () => undefined,
): Promise<OracleAnswer[]> {
  const { chromium } = await import('@playwright/test');
  const require = createRequire(import.meta.url);
  const root = dirname(require.resolve('minizinc'));
  const app = express()
    .get('/', (_, response) => void response.type('html').send('<!doctype html><title>oracle</title>'))
    .use(express.static(root));
  const server = app.listen(0, '127.0.0.1');
  await once(server, 'listening');
  const address = server.address();
  const port = typeof address === 'object' && address ? address.port : 0;
  const args = JSON.parse(readFileSync(new URL('../scripts/chromium-args.json', import.meta.url), 'utf8')) as string[];
  const browser = await chromium.launch({ executablePath: chromiumHere() ?? '', args });
  try {
    const page = await browser.newPage();
    await page.goto(`http://127.0.0.1:${port}/`);
    const answers: OracleAnswer[] = [];
    for (const [index, text] of models.entries()) {
      const start = performance.now();
      const { status, finish } = await page.evaluate(
        async ([model, limit]) => {
          const from = '/minizinc.mjs';
          const { Model } = (await import(from)) as {
            Model: new () => {
              addFile: (name: string, text: string) => void;
              solve: (options: unknown) => Promise<{
                status: string;
                solution: { output: { json?: { finish?: number } } } | null;
              }>;
            };
          };
          const asked = new Model();
          asked.addFile('plan.mzn', model);
          try {
            const answer = await asked.solve({
              options: {
                solver: 'chuffed',
                'time-limit': limit,
                'free-search': true,
                'output-mode': 'json',
                'output-objective': true,
              },
            });
            return { status: answer.status, finish: answer.solution?.output.json?.finish ?? null };
          } catch (reason) {
            throw new Error(JSON.stringify(reason), { cause: reason });
          }
        },
        [text, seconds * 1000] as const,
      );
      const taken = (performance.now() - start) / 1000;
      const answer = { finish, proved: status === 'OPTIMAL_SOLUTION', seconds: taken, status };
      answers.push(answer);
      said(answer, index);
    }
    return answers;
  } finally {
    await browser.close();
    server.close();
  }
}
