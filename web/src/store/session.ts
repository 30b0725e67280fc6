import type { Edit, Edited } from '@kovelin/core/job/edits.ts';
import { overlap } from '@kovelin/core/job/overlap.ts';
import type { Job } from '@kovelin/core/job/types.ts';
import { liveQuery, type Subscription } from 'dexie';
import type { Patch } from 'immer';
import { commit, JobGone, touchesSince, type Pending } from './commit.ts';
import { stateOf, type Database, type JobRow } from './db.ts';
import { door, openDoor } from './door.ts';
import { freshId } from './ids.ts';
import { leave, leftBehind } from './journal.ts';
import { whyNot } from './why.ts';
import { at } from '@kovelin/core/units/list.ts';

interface Entry {
  readonly patches: readonly Patch[];
  readonly inverse: readonly Patch[];
}
export interface SessionState {
  /** With every edit made here, saved or not. */
  readonly job: Job;
  /** Something is being typed that would change the job. */
  readonly isDraft: boolean;
  /** `job` with the draft of what is being typed; worked out when it is first looked at. */
  readonly shown: Job;
  readonly rev: number;
  /** `gone`: the job was deleted or replaced elsewhere, and nothing is saved here any more. */
  readonly saving: 'saved' | 'saving' | 'failed' | 'gone';
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  readonly notice: string | null;
}

/** A row whose document cannot be worked with: see `stateOf`. */
export class UnfitJob extends Error {
  constructor(readonly row: JobRow) {
    super(stateOf(row));
  }
}

/** What a view can see of a state, its draft apart. */
const SEEN = ['job', 'isDraft', 'rev', 'saving', 'canUndo', 'canRedo', 'notice'] as const;

/** Undo is not endless: old steps are forgotten, saved work is not. */
const MOST_STEPS = 300;
const GONE =
  'This job was deleted, or brought in anew, in another tab. What you see is no longer saved: export it if it is still wanted.';

/**
 * One open job in one tab. An edit shows at once and is saved by `commit`; when another tab was quicker, the named edit is
 * run again on the newer document, and undo steps that the other edit touched are dropped.
 */
export class JobSession {
  private readonly by = freshId();
  private readonly made: string | undefined;
  private saved: { job: Job; rev: number };
  private queue: Pending[] = [];
  /** Made before the rules were here: run when they are. */
  private early: Pending[] = [];
  private flushing: Promise<void> | null = null;
  private undoable: Entry[] = [];
  private redoable: Entry[] = [];
  private draft: { readonly owner: object; readonly edit: Edit } | null = null;
  private listeners = new Set<() => void>();
  private watch: Subscription;
  /** Why the last save failed; it goes when one succeeds. */
  private failure: string | null = null;
  private gone = false;
  private prepared = false;
  private notice: string | null = null;
  /** The draft that `state` shows. */
  private told: object | null = null;
  state: SessionState;

  private constructor(
    private readonly db: Database,
    readonly id: string,
    row: JobRow,
  ) {
    this.made = row.made;
    this.saved = { job: row.job, rev: row.rev };
    this.state = this.snapshot(row.job);
    this.watch = liveQuery(() => Promise.all([db.jobs.get(id), db.trash.get(id)])).subscribe({
      next: ([found, trashed]) => this.look(trashed ? undefined : found),
      error: (error: unknown) => this.tell(`What other tabs do is no longer seen here: ${whyNot(error)}`),
    });
  }

  /**
   * Opens a job and takes up what an earlier page of it had no time to save. @returns null when there is none.
   * Errors: UnfitJob; what the database says when it does not open.
   */
  static async open(db: Database, id: string): Promise<JobSession | null> {
    const [row, trashed] = await Promise.all([db.jobs.get(id), db.trash.get(id)]);
    if (!row || trashed) return null;
    if (stateOf(row) !== 'whole') throw new UnfitJob(row);
    const session = new JobSession(db, id, row);
    await session.takeUp();
    return session;
  }

  /**
   * Something is about to be typed: the rules are fetched. Drafts and edits wait for them; and what was kept is held against
   * them, once.
   */
  prepare(): void {
    if (this.prepared) return;
    this.prepared = true;
    door().then(
      (rules) => {
        const [fault] = rules.faultsOf(this.saved.job);
        if (fault)
          this.notice = `Something in this job is not as it should be (${fault.path}: ${fault.message}) Export it, to be safe.`;
        for (const { edit, key } of this.early.splice(0)) this.tellRefused(this.edit(edit, key));
        this.publish(this.state.job);
      },
      (error: unknown) => {
        this.prepared = false;
        this.tell(`Nothing can be saved yet: ${whyNot(error)}`);
      },
    );
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly getState = (): SessionState => this.state;
  close(): void {
    this.watch.unsubscribe();
  }

  /** What is being typed: drives the drawing, is not saved, makes no undo step. Its owner takes it back with null. */
  setDraft(owner: object, edit: Edit | null): void {
    if (!edit && this.draft?.owner !== owner) return;
    this.prepare();
    this.draft = edit && { owner, edit };
    this.publish(this.state.job);
  }

  /** Runs a named edit, at once or when the rules are here. @returns a sentence when it cannot be done. */
  edit(edit: Edit, key = freshId()): string | null {
    this.prepare();
    this.draft = null;
    const rules = openDoor();
    if (this.gone || !rules) {
      if (!this.gone) this.early.push(this.pending(edit, key));
      this.publish(this.state.job);
      return this.gone ? GONE : null;
    }
    const done = rules.editJob(this.state.job, edit);
    if (!done.ok || done.value.patches.length === 0) {
      this.publish(this.state.job);
      return done.ok ? null : (done.problems[0]?.message ?? '');
    }
    this.undoable = [...this.undoable, step(done.value)].slice(-MOST_STEPS);
    this.redoable = [];
    this.enqueue(edit, done.value.job, key);
    return null;
  }

  /** The same where no field shows the sentence: it is told. @returns whether it was done. */
  run(edit: Edit): boolean {
    return this.tellRefused(this.edit(edit));
  }
  private tellRefused(refused: string | null): boolean {
    if (refused) this.tell(refused);
    return refused === null;
  }

  undo(): void {
    const entry = this.undoable.pop();
    if (entry && this.replay(entry.inverse)) this.redoable.push(entry);
    this.publish(this.state.job);
  }
  redo(): void {
    const entry = this.redoable.pop();
    if (entry && this.replay(entry.patches)) this.undoable.push(entry);
    this.publish(this.state.job);
  }
  private replay(patches: readonly Patch[]): boolean {
    this.draft = null;
    const edit: Edit = { name: 'patch', args: { patches } };
    // only what was edited can be undone: the rules are here
    const done = this.gone ? null : (openDoor()?.editJob(this.state.job, edit) ?? null);
    if (!done?.ok) {
      this.tell(done ? (done.problems[0]?.message ?? '') : GONE);
      return false;
    }
    this.enqueue(edit, done.value.job);
    return true;
  }

  tell(notice: string | null): void {
    this.notice = notice;
    this.publish(this.state.job);
  }

  /** Resolves when everything edited here is in the database. */
  async settled(): Promise<void> {
    if (this.early.length) await door();
    while (this.flushing) await this.flushing;
  }

  /** Tries again what could not be saved. */
  retry(): void {
    this.failure = null;
    this.start();
  }

  /** The page is being left: what is not in the database yet is noted down. @returns false when it cannot be. */
  leave(): boolean {
    return this.gone || leave(this.id, this.by, { made: this.made, edits: [...this.queue, ...this.early] });
  }

  /** What earlier pages left, when they were left in the middle of a save. An edit that was saved after all is not run twice. */
  private async takeUp(): Promise<void> {
    const journals = leftBehind(this.id);
    for (const { made, edits } of journals) if (made === this.made) this.queue.push(...edits);
    // noted down anew before the old notes go: this page may be left as soon as it was opened
    const isNoted = this.leave();
    if (isNoted) for (const { forget } of journals) forget();
    if (!this.queue.length) return;
    await door();
    this.publish(this.rerun());
    this.start();
  }

  private pending(edit: Edit, key: string): Pending {
    return { key, edit, since: this.saved.rev };
  }
  private enqueue(edit: Edit, job: Job, key = freshId()): void {
    this.queue.push(this.pending(edit, key));
    this.publish(job);
    this.start();
  }
  private start(): void {
    this.flushing ??= this.flush().finally(() => {
      this.flushing = null;
      if (this.queue.length && !this.failure && !this.gone) this.start();
      else {
        this.leave();
        this.publish(this.state.job);
      }
    });
  }

  private async flush(): Promise<void> {
    while (this.queue.length && !this.failure && !this.gone) {
      const item = at(this.queue, 0);
      try {
        const { job, rev, others, refused } = await commit(
          this.db,
          { id: this.id, made: this.made, by: this.by },
          item,
        );
        this.queue.shift();
        this.saved = { job, rev };
        if (others.length) this.dropTouched(others);
        if (refused) this.notice = [`Not saved: ${refused}`, this.notice].filter(Boolean).join(' ');
        if (others.length || refused) this.publish(this.rerun());
      } catch (error) {
        if (error instanceof JobGone) return this.lose();
        this.failure = `Not saved: ${whyNot(error)} Export the job now if you have to leave.`;
      }
    }
  }

  /** The row as it is now: gone, back again, or saved by another tab. */
  private look(row: JobRow | undefined): void {
    if (!row || row.made !== this.made) return this.lose();
    if (this.gone) {
      this.gone = false;
      this.notice = 'This job was brought back.';
    }
    if (row.rev > this.saved.rev && this.queue.length === 0) void this.adopt(row);
    else this.publish(this.state.job);
  }
  private lose(): void {
    if (this.gone) return;
    this.gone = true;
    this.notice = GONE;
    this.publish(this.state.job);
  }

  /** Another tab saved and nothing waits here: take its document. */
  private async adopt(row: JobRow): Promise<void> {
    const touches = await touchesSince(this.db, this.id, this.saved.rev);
    if (this.queue.length || row.rev <= this.saved.rev) return;
    this.saved = { job: row.job, rev: row.rev };
    this.dropTouched(touches.flatMap((touch) => touch.paths));
    this.publish(row.job);
  }

  /** The saved document with what still waits. */
  private rerun(): Job {
    return this.queue.reduce((job, { edit }) => {
      const done = openDoor()?.editJob(job, edit);
      return done?.ok ? done.value.job : job;
    }, this.saved.job);
  }

  private dropTouched(paths: readonly Patch['path'][]): void {
    const theirs = paths.map((path) => ({ path }));
    const stays = (entry: Entry) => !overlap(entry.patches, theirs);
    const before = this.undoable.length + this.redoable.length;
    this.undoable = this.undoable.filter(stays);
    this.redoable = this.redoable.filter(stays);
    const dropped = before - this.undoable.length - this.redoable.length;
    if (dropped)
      this.notice = `Another tab changed the same place: ${dropped} undo ${dropped === 1 ? 'step was' : 'steps were'} dropped.`;
  }

  private publish(job: Job): void {
    const next = this.snapshot(job);
    // nothing to tell: the object stays, so that nobody renders for it
    if (this.draft === this.told && SEEN.every((key) => next[key] === this.state[key])) return;
    this.told = this.draft;
    this.state = next;
    for (const listener of this.listeners) listener();
  }
  private snapshot(job: Job): SessionState {
    const draft = openDoor() ? this.draft : null;
    let shown: Job | null = draft ? null : job;
    return {
      job,
      isDraft: draft !== null,
      get shown() {
        shown ??= withDraft(job, draft);
        return shown;
      },
      rev: this.saved.rev,
      saving: this.gone
        ? 'gone'
        : this.failure
          ? 'failed'
          : this.queue.length || this.early.length
            ? 'saving'
            : 'saved',
      canUndo: this.undoable.length > 0,
      canRedo: this.redoable.length > 0,
      notice: this.failure ?? this.notice,
    };
  }
}

/** The job as it would be; what the door refuses changes nothing. */
function withDraft(job: Job, draft: { readonly edit: Edit } | null): Job {
  const done = draft && openDoor()?.editJob(job, draft.edit);
  return done?.ok ? done.value.job : job;
}

const step = ({ patches, inverse }: Edited): Entry => ({ patches, inverse });
