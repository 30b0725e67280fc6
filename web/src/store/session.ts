import { applyEdit, overlap, type Edit, type Edited } from '@kovelin/core/job/edits.ts';
import type { Job } from '@kovelin/core/job/types.ts';
import { liveQuery, type Subscription } from 'dexie';
import type { Patch } from 'immer';
import type { Database } from './db.ts';

interface Entry {
  readonly patches: readonly Patch[];
  readonly inverse: readonly Patch[];
}
interface Queued {
  readonly edit: Edit;
}
export interface SessionState {
  /** With every edit made here, saved or not. */
  readonly job: Job;
  /** `job` with the draft of what is being typed. */
  readonly shown: Job;
  readonly rev: number;
  readonly saving: 'saved' | 'saving' | 'failed';
  readonly canUndo: boolean;
  readonly canRedo: boolean;
  readonly notice: string | null;
}

/** Undo is not endless: old steps are forgotten, saved work is not. */
const MOST_STEPS = 300;
const KEPT_TOUCHES = 500;

/**
 * One open job in one tab. An edit shows at once and is saved as one transaction that compares `rev`; when another tab
 * was quicker, the named edit is run again on the newer document, and undo steps that the other edit touched are dropped.
 */
export class JobSession {
  private saved: { job: Job; rev: number };
  private queue: Queued[] = [];
  private flushing: Promise<void> | null = null;
  private undoable: Entry[] = [];
  private redoable: Entry[] = [];
  private draft: Edit | null = null;
  private listeners = new Set<() => void>();
  private watch: Subscription;
  private failed = false;
  private notice: string | null = null;
  state: SessionState;

  private constructor(
    private readonly db: Database,
    readonly id: string,
    row: { job: Job; rev: number },
  ) {
    this.saved = { job: row.job, rev: row.rev };
    this.state = this.snapshot(row.job);
    this.watch = liveQuery(() => db.jobs.get(id)).subscribe((found) => {
      if (found && found.rev > this.saved.rev && this.queue.length === 0) void this.adopt();
    });
  }

  static async open(db: Database, id: string): Promise<JobSession | null> {
    const row = await db.jobs.get(id);
    return row ? new JobSession(db, id, row) : null;
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };
  readonly getState = (): SessionState => this.state;
  close(): void {
    this.watch.unsubscribe();
  }

  /** What is being typed: drives the drawing, is not saved, makes no undo step. */
  setDraft(edit: Edit | null): void {
    if (edit === this.draft) return;
    this.draft = edit;
    this.publish(this.state.job);
  }

  /** Runs a named edit. @returns a sentence when it cannot be done. */
  edit(edit: Edit): string | null {
    this.draft = null;
    const done = applyEdit(this.state.job, edit);
    if (!done.ok) {
      this.publish(this.state.job);
      return done.problems[0]?.message ?? '';
    }
    if (done.value.patches.length === 0) {
      this.publish(this.state.job);
      return null;
    }
    this.undoable = [...this.undoable, step(done.value)].slice(-MOST_STEPS);
    this.redoable = [];
    this.enqueue(edit, done.value.job);
    return null;
  }

  undo(): void {
    const entry = this.undoable.pop();
    if (entry && this.replay(entry.inverse)) this.redoable.push(entry);
  }
  redo(): void {
    const entry = this.redoable.pop();
    if (entry && this.replay(entry.patches)) this.undoable.push(entry);
  }
  private replay(patches: readonly Patch[]): boolean {
    this.draft = null;
    const edit: Edit = { name: 'patch', args: { patches } };
    const done = applyEdit(this.state.job, edit);
    if (!done.ok) {
      this.tell(done.problems[0]?.message ?? '');
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
    while (this.flushing) await this.flushing;
  }

  /** Tries again what could not be saved. */
  retry(): void {
    this.failed = false;
    this.start();
  }

  private enqueue(edit: Edit, job: Job): void {
    this.queue.push({ edit });
    this.publish(job);
    this.start();
  }
  private start(): void {
    this.flushing ??= this.flush().finally(() => {
      this.flushing = null;
      if (this.queue.length && !this.failed) this.start();
      else this.publish(this.state.job);
    });
  }

  private async flush(): Promise<void> {
    while (this.queue.length && !this.failed) {
      const item = this.queue[0] as Queued;
      try {
        const result = await this.save(item.edit);
        this.queue.shift();
        this.saved = { job: result.job, rev: result.rev };
        if (result.others.length) this.dropTouched(result.others);
        if (result.refused) this.notice = [`Not saved: ${result.refused}`, this.notice].filter(Boolean).join(' ');
        if (result.others.length || result.refused) this.publish(this.rerun());
      } catch (error) {
        this.failed = true;
        this.notice = `This browser could not save: ${error instanceof Error ? error.message : String(error)} Export the job now, then try again.`;
      }
    }
  }

  /** One strict transaction: compare rev, run the edit on what is there, write, bump. */
  private async save(edit: Edit): Promise<{ job: Job; rev: number; others: Patch['path'][]; refused: string | null }> {
    return this.db.transaction('rw', this.db.jobs, this.db.touches, async () => {
      const row = await this.db.jobs.get(this.id);
      if (!row) throw new Error('the job was deleted in another tab.');
      const others = row.rev === this.saved.rev ? [] : await this.touchedSince(this.saved.rev);
      const done = applyEdit(row.job, edit);
      if (!done.ok) return { job: row.job, rev: row.rev, others, refused: done.problems[0]?.message ?? '' };
      const { job, patches } = done.value;
      const rev = row.rev + 1;
      await this.db.jobs.put({ id: this.id, rev, name: job.name, updated: Date.now(), job });
      await this.db.touches.put({ jobId: this.id, rev, paths: patches.map((p) => p.path) });
      if (rev % KEPT_TOUCHES === 0)
        await this.db.touches
          .where('[jobId+rev]')
          .between([this.id, 0], [this.id, rev - KEPT_TOUCHES])
          .delete();
      return { job, rev, others, refused: null };
    });
  }

  private async touchedSince(rev: number): Promise<Patch['path'][]> {
    const rows = await this.db.touches
      .where('[jobId+rev]')
      .between([this.id, rev + 1], [this.id, Infinity])
      .toArray();
    return rows.flatMap((row) => row.paths);
  }

  /** Another tab saved and nothing waits here: take its document. */
  private async adopt(): Promise<void> {
    const [row, others] = await Promise.all([this.db.jobs.get(this.id), this.touchedSince(this.saved.rev)]);
    if (!row || this.queue.length || row.rev <= this.saved.rev) return;
    this.saved = { job: row.job, rev: row.rev };
    this.dropTouched(others);
    this.publish(row.job);
  }

  /** The saved document with what still waits. */
  private rerun(): Job {
    return this.queue.reduce((job, { edit }) => {
      const done = applyEdit(job, edit);
      return done.ok ? done.value.job : job;
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
    this.state = this.snapshot(job);
    for (const listener of this.listeners) listener();
  }
  private snapshot(job: Job): SessionState {
    const drafted = this.draft && applyEdit(job, this.draft);
    return {
      job,
      shown: drafted && drafted.ok ? drafted.value.job : job,
      rev: this.saved.rev,
      saving: this.failed ? 'failed' : this.queue.length ? 'saving' : 'saved',
      canUndo: this.undoable.length > 0,
      canRedo: this.redoable.length > 0,
      notice: this.notice,
    };
  }
}

const step = ({ patches, inverse }: Edited): Entry => ({ patches, inverse });
