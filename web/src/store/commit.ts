import type { Edit } from '@kovelin/core/job/edits.ts';
import { overlap } from '@kovelin/core/job/overlap.ts';
import type { Job } from '@kovelin/core/job/types.ts';
import type { Patch } from 'immer';
import { touchesOf, type Database } from './db.ts';
import { door } from './door.ts';

/** An edit on its way into the database. */
export interface Pending {
  /** Told apart from all others: an edit that was already saved is not saved again. */
  readonly key: string;
  readonly edit: Edit;
  /** The rev it was made on. */
  readonly since: number;
}
export interface Committed {
  readonly job: Job;
  readonly rev: number;
  /** Places that others changed since. */
  readonly others: readonly Patch['path'][];
  /** Why it was not done. */
  readonly refused: string | null;
}

/** The job is gone: deleted, or another of the same name stands in its place. */
export class JobGone extends Error {}

const OVERLAPPED =
  'Another tab changed the same place since; this step was left out, so that nothing of theirs is lost.';

/** How many touches are kept to tell a slow tab what it missed. */
const KEPT_TOUCHES = 500;

/**
 * The one way into a job's row: a strict transaction that runs the named edit on what is there, holds it against the rules
 * of the document, writes, and bumps `rev`. An undo that meets what others did since is refused.
 * Errors: JobGone; whatever the database says when it cannot write.
 */
export async function commit(
  db: Database,
  { id, made, by }: { readonly id: string; readonly made: string | undefined; readonly by: string },
  { key, edit, since }: Pending,
): Promise<Committed> {
  const { editJob } = await door();
  return db.transaction('rw', db.jobs, db.touches, async () => {
    const row = await db.jobs.get(id);
    if (!row || row.made !== made) throw new JobGone('This job was deleted, or brought in anew, in another tab.');
    const touches = row.rev > since ? await touchesSince(db, id, since) : [];
    const others = touches.filter((touch) => touch.by !== by).flatMap((touch) => touch.paths);
    const as = { job: row.job, rev: row.rev, others };
    if (touches.some((touch) => touch.key === key)) return { ...as, refused: null };
    if (
      edit.name === 'patch' &&
      overlap(
        edit.args.patches,
        others.map((path) => ({ path })),
      )
    )
      return { ...as, refused: OVERLAPPED };
    const done = editJob(row.job, edit);
    if (!done.ok) return { ...as, refused: done.problems[0]?.message ?? '' };
    const { job, patches } = done.value;
    if (!patches.length) return { ...as, refused: null };
    const rev = row.rev + 1;
    await db.jobs.put({ ...row, rev, name: job.name, updated: Date.now(), job });
    await db.touches.put({ jobId: id, rev, by, key, paths: patches.map((p) => p.path) });
    if (rev % KEPT_TOUCHES === 0)
      await db.touches
        .where('[jobId+rev]')
        .between([id, 0], [id, rev - KEPT_TOUCHES])
        .delete();
    return { job, rev, others, refused: null };
  });
}

export const touchesSince = (db: Database, id: string, rev: number) => touchesOf(db, id, rev + 1).toArray();
