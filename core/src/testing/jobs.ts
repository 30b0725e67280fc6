import { readFileSync } from 'node:fs';
import { readAny } from '../exchange/read.ts';
import { applyEdit, type Edit } from '../job/edits.ts';
import { toTable } from '../job/blank.ts';
import { rows } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import type { Result } from '../units/problem.ts';

/** What a result gave; a refusal is what went wrong. */
export function value<T>(result: Result<T>): T {
  if (result.ok) return result.value;
  throw new Error(result.problems.map(({ path, message }) => `${path}: ${message}`).join('\n'));
}
/** A job file or a tape sheet. */
export const opened = (text: string, name = 'Job'): Job => value(readAny(text, name)).job;
export const edited = (job: Job, ...edits: readonly Edit[]): Job =>
  edits.reduce((now, edit) => value(applyEdit(now, edit)).job, job);

/** Its plan is the best of a few: for what does not ask how good it is. */
export const fewPlans = (job: Job, steps = 6): Job => ({ ...job, settings: { ...job.settings, 'plan.steps': steps } });

/** Some rooms of a job, with all that was chosen for them. */
export function someRooms(job: Job, ...names: readonly string[]): Job {
  const all = rows(job.rooms);
  const left = names.flatMap((name) => all.filter((room) => room.name === name));
  const gone = all.filter((room) => !left.includes(room)).map((room) => JSON.stringify(room));
  const isThere = (surface: string) => !gone.some((room) => room.includes(`"${surface.split(/[/:]/)[0]}"`));
  const of = <T>(record: Readonly<Record<string, T>>): Record<string, T> =>
    Object.fromEntries(Object.entries(record).filter(([key]) => isThere(key)));
  return {
    ...job,
    rooms: toTable(left),
    finishes: of(job.finishes),
    survey: of(job.survey),
    earlier: of(job.earlier),
    options: toTable(rows(job.options).filter(({ surfaces }) => surfaces.every(isThere))),
    defects: toTable(rows(job.defects).filter(({ surface }) => isThere(surface))),
  };
}

// commands and tests run from the root
const example = (file: string): string => readFileSync(`examples/${file}`, 'utf8');
/** The keeper's cottage as it ships. */
export const cottageText = (): string => example('keepers-cottage.json');
export const cottage = (): Job => fewPlans(opened(cottageText()));
/** Its loft bedroom, as a tape sheet. */
export const loftSheet = (): string => example('loft-bedroom.tape');
export const loft = (): Job => fewPlans(opened(loftSheet(), 'Loft'));

/** An average bedroom, 12 by 11 ft, with a window; `more`: its door and trim as the tape sheet has them. */
export function bedroom(more = ''): Job {
  return opened(
    `units ft\nroom Bedroom\nheight 8\nwall A 12 R\nwall B 11 R\nwall C 12 R\nwall D 11 R\nwindow w on C 4 x 4 at 4 sill 3\n${more}`,
    'Bedroom',
  );
}
export const DOOR = `door d on A 2'6 x 6'8 at 1 casing 2 1/2"\n`;
export const BASEBOARD = 'trim baseboard 5"\n';

/** Its wall B in a deep colour. */
export const withAccent = (job: Job): Job =>
  edited(
    job,
    { name: 'setColour', args: { colour: { id: 'deep', name: 'deep', hex: '#7a1f26' } } },
    {
      name: 'setFinish',
      args: {
        scope: `${Object.values(job.rooms.byId)[0]?.walls.order[1]}/field`,
        finish: { product: 'paint-wall', colour: 'deep' },
      },
    },
  );
/** All its finishes dry so long before the next coat. */
export const withRecoat = (job: Job, recoat: number): Job =>
  edited(
    job,
    ...Object.values(job.products)
      .filter(({ role }) => role === 'finish')
      .map((product): Edit => ({ name: 'setProduct', args: { product: { ...product, recoat } } })),
  );
