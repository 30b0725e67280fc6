// Plain bedrooms, invented: small enough that a constraint solver proves their best plan, with what our search finds for each.
import { scheduleContract } from '../core/src/exchange/contracts.ts';
import { readAny } from '../core/src/exchange/read.ts';
import { Calendar, type Span } from '../core/src/sequence/calendar.ts';
import { compile, type Instance } from '../core/src/sequence/instance.ts';
import { planOf } from '../core/src/sequence/solve.ts';
import type { Job } from '../core/src/job/types.ts';
import { basePlan } from '../core/src/whole/plan.ts';
import { seeded } from '../core/src/units/random.ts';
import { inWholeMinutes, type PlanJson } from './oracle.ts';

const walls = (height: string, ...lengths: readonly number[]) =>
  `units ft\nroom Bedroom\nheight ${height}\n${lengths.map((length, i) => `wall ${'ABCD'[i]} ${length} R`).join('\n')}\n`;
const DOOR = "door d on A 2'6 x 6'8 at 1";
const WINDOW = 'window w on C 4 x 4 at 4 sill 3\n';
export const BEDROOMS: readonly (readonly [name: string, sheet: string])[] = [
  ['12 x 11 ft, no trim', `${walls('8', 12, 11, 12, 11)}${DOOR}\n${WINDOW}`],
  [
    '14 x 12 ft, baseboard and casing',
    `${walls('8', 14, 12, 14, 12)}${DOOR} casing 2 1/2"\n${WINDOW}trim baseboard 5"\n`,
  ],
  ['10 x 10 ft, 9 ft high', `${walls('9', 10, 10, 10, 10)}${DOOR} casing 3"\ntrim baseboard 4"\n`],
  ['13 x 11 ft, crown', `${walls('8', 13, 11, 13, 11)}${DOOR}\ntrim baseboard 5"\ntrim crown 4"\n`],
  ['16 x 13 ft', `${walls('8', 16, 13, 16, 13)}${DOOR} casing 2 1/2"\n${WINDOW}trim baseboard 5"\n`],
];

/** Bedrooms of any size, with or without a window and trim. */
export function randomBedrooms(seed: number, count: number): (readonly [name: string, sheet: string])[] {
  const random = seeded(seed);
  const whole = (least: number, most: number) => least + Math.floor(random() * (most - least + 1));
  return Array.from({ length: count }, (_, i) => {
    const [a, b, height] = [whole(9, 16), whole(9, 14), whole(8, 10)];
    const window = random() < 0.7 ? WINDOW : '';
    const trim = random() < 0.7 ? `trim baseboard ${whole(3, 6)}"\n` : '';
    return [`by chance ${i + 1}, ${a} x ${b} ft`, `${walls(String(height), a, b, a, b)}${DOOR}\n${window}${trim}`];
  });
}

export function jobOf(sheet: string, name: string): Job {
  const opened = readAny(sheet, name);
  if (!opened.ok) throw new Error(opened.problems[0]?.message);
  return opened.value.job;
}

export interface Compared {
  readonly name: string;
  readonly plan: PlanJson;
  /** Worked minutes of our plan and of our bound. */
  readonly finish: number;
  readonly bound: number;
  readonly ms: number;
}
/** Our search on the exported plan in whole minutes. */
export function compared([name, sheet]: readonly [string, string]): Compared {
  const job = jobOf(sheet, name);
  const plan = inWholeMinutes(scheduleContract(job, basePlan(job)));
  const calendars = Object.fromEntries(
    Object.entries(plan.hours).map(([hours, own]) => [
      hours,
      own.map((spans) => new Calendar((day) => (day === 0 ? (spans as readonly Span[]) : []))),
    ]),
  );
  const instance: Instance = {
    tasks: plan.tasks.map((task) => ({ ...task, who: task.able?.map((who) => plan.crew.indexOf(who)) ?? null })),
    calendars,
    capacity: Object.fromEntries(plan.resources.map(({ id, places }) => [id, places])),
    apart: plan.apart,
    travel: plan.travel,
  };
  const problem = compile(instance);
  const start = performance.now();
  const solution = problem && planOf(problem);
  const ms = performance.now() - start;
  if (!problem || !solution) throw new Error(`no plan of ${name}`);
  const worked = (t: number): number => problem.plain[0]?.worked(t) ?? 0;
  const finish = solution.score.finish;
  return {
    name,
    plan: { ...plan, finish },
    finish: worked(finish),
    bound: worked(solution.bound),
    ms,
  };
}
