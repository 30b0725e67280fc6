import type { SaidEntry } from '@kovelin/core/site/entry.ts';
import type { PhotoRow } from './db.ts';

/** What was said and is not on the disk yet, with the time at which it was said. */
interface Waiting {
  readonly said: readonly SaidEntry[];
  readonly at: number;
  readonly photos: readonly PhotoRow[];
}
export interface WriterState {
  /** Sayings that wait to be written. */
  readonly waiting: number;
  /** Why the first of them could not be; null: nothing failed. */
  readonly failed: string | null;
}

/** What could not be written is tried again after so long, ms. */
const AGAIN = 8000;

/** Writes what is said, one after the other, in the order in which it was said; what fails waits, and is tried again. */
export class LogWriter {
  private readonly queue: Waiting[] = [];
  private readonly listeners = new Set<() => void>();
  private now: WriterState = { waiting: 0, failed: null };
  private busy = false;

  constructor(
    private readonly write: (waiting: Waiting) => Promise<unknown>,
    private readonly later: (run: () => void) => void = (run) => void setTimeout(run, AGAIN),
  ) {}

  get state(): WriterState {
    return this.now;
  }
  listen(listener: () => void): () => void {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  }

  say(said: readonly SaidEntry[], at: number, photos: readonly PhotoRow[] = []): void {
    this.queue.push({ said, at, photos });
    this.tell({ waiting: this.queue.length });
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
      for (let next = this.queue[0]; next; next = this.queue[0]) {
        await this.write(next);
        this.queue.shift();
        this.tell({ waiting: this.queue.length, failed: null });
      }
    } catch (reason) {
      this.tell({ failed: whyNot(reason) });
      this.later(() => this.again());
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
