import { readAny } from '../exchange/read.ts';
import { applyEdit } from '../job/edits.ts';
import type { Edit } from '../job/edits.ts';
import type { Job } from '../job/types.ts';

export function edited(job: Job, ...edits: readonly Edit[]): Job {
  return edits.reduce((now, edit) => {
    const done = applyEdit(now, edit);
    if (!done.ok) throw new Error(`${edit.name}: ${done.problems[0]?.message}`);
    return done.value.job;
  }, job);
}

/** An average bedroom, 12 by 11 ft, with a window; `more`: its door and trim as the tape sheet has them. */
export function bedroom(more = ''): Job {
  const opened = readAny(
    `units ft\nroom Bedroom\nheight 8\nwall A 12 R\nwall B 11 R\nwall C 12 R\nwall D 11 R\nwindow w on C 4 x 4 at 4 sill 3\n${more}`,
    'Bedroom',
  );
  if (!opened.ok) throw new Error(opened.problems[0]?.message);
  return opened.value.job;
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
