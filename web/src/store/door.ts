import type * as Rules from '@kovelin/core/job/admit.ts';
import type { Edited, Edit } from '@kovelin/core/job/edits.ts';
import type { Result } from '@kovelin/core/units/problem.ts';
import type { Job } from '@kovelin/core/job/types.ts';

type Door = typeof Rules;

let open: Door | null = null;
let opening: Promise<Door> | null = null;

/**
 * The rules of the document, which every edit is held against before it is stored. They come in a file of their own, after
 * the page has been drawn; when that cannot be had, it is asked for again the next time.
 */
export function door(): Promise<Door> {
  opening ??= import('@kovelin/core/job/admit.ts').then(
    (rules) => (open = rules),
    (error: unknown) => {
      opening = null;
      throw error;
    },
  );
  return opening;
}

/** Runs an edit against the rules where they are here already; else it shows at once and is held against them when it is saved. */
export function tryEdit(job: Job, edit: Edit, run: (job: Job, edit: Edit) => Result<Edited>): Result<Edited> {
  return open ? open.editJob(job, edit) : run(job, edit);
}
export const doorIsOpen = (): boolean => open !== null;
