import type { Noted } from './site-log.ts';

export interface WriterState {
  /** Sayings that wait to be written. */
  readonly waiting: number;
  /** They have waited so long that it is said. */
  readonly late: boolean;
  /** Why the first of them could not be; null: nothing failed. */
  readonly failed: string | null;
}

/** What could not be written is tried again after so long, ms. */
const AGAIN = 8000;
/** Nobody waits longer without being told, ms. */
const LATE = 1000;

/** Writes what is said, in the order in which it was said, all that waits at a time; what fails waits, and is tried again. */
export class LogWriter {
  private queue: readonly Noted[] = [];
  private readonly listeners = new Set<() => void>();
  private now: WriterState = { waiting: 0, late: false, failed: null };
  private busy = false;

  constructor(
    private readonly write: (waiting: readonly Noted[]) => Promise<unknown>,
    private readonly later: (run: () => void, ms: number) => void = (run, ms) => void setTimeout(run, ms),
  ) {}

  get state(): WriterState {
    return this.now;
  }
  listen(listener: () => void): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }

  say(noted: Noted): void {
    this.queue = [...this.queue, noted];
    this.tell({ waiting: this.queue.length });
    this.later(() => this.queue.includes(noted) && this.tell({ late: true }), LATE);
    void this.run();
  }
  again(): void {
    void this.run();
  }

  private tell(change: Partial<WriterState>): void {
    this.now = { ...this.now, ...change };
    for (const listener of this.listeners) listener();
  }
  private async run(): Promise<void> {
    if (this.busy) return;
    this.busy = true;
    try {
      while (this.queue.length) {
        const waiting = this.queue;
        await this.write(waiting);
        this.queue = this.queue.slice(waiting.length);
        this.tell({ waiting: this.queue.length, late: false, failed: null });
      }
    } catch (reason) {
      this.tell({ failed: whyNot(reason) });
      this.later(() => this.again(), AGAIN);
    } finally {
      this.busy = false;
    }
  }
}

function whyNot(reason: unknown): string {
  const error = reason instanceof Error ? reason : new Error(String(reason));
  return error.name === 'QuotaExceededError' || /quota/i.test(error.message)
    ? 'There is no room left on this device: free some, and it is written. Nothing that was noted is lost while this page is open.'
    : `It could not be written (${error.message}); it is tried again.`;
}
