import { wrap, type Remote } from 'comlink';

interface Desk<Api> {
  readonly worker: Worker;
  readonly api: Remote<Api>;
  /** Rejects when the worker's own file cannot be had. */
  readonly broken: Promise<never>;
}

/** A worker's own file is gone, after an update or offline: what can be done about it is said where errors are. */
export class NoWorker extends Error {
  constructor() {
    super('Failed to fetch a worker of this page');
  }
}
/** A question took longer than it may. */
export class TooLong extends Error {
  constructor(readonly seconds: number) {
    super(`It took longer than ${seconds} seconds and was given up.`);
  }
}

/** Rejects when a worker's own file cannot be had, or fails as it starts. */
export function whenBroken(worker: Worker): Promise<never> {
  const broken = new Promise<never>((_, reject) => {
    worker.addEventListener('error', () => reject(new NoWorker()));
  });
  // asked only as long as a question waits
  broken.catch(() => undefined);
  return broken;
}
const desk = <Api>(worker: Worker): Desk<Api> => ({ worker, api: wrap<Api>(worker), broken: whenBroken(worker) });

const when = (signal: AbortSignal, why: () => Error): Promise<never> =>
  new Promise((_, reject) => {
    if (signal.aborted) reject(why());
    signal.addEventListener('abort', () => reject(why()));
  });

/**
 * Asks workers one question each: cancelling ends that worker and nobody else's; one that has answered waits for the next
 * question. @param start makes a worker: its file owns the `new Worker(...)`. @param seconds a question may take at most, where it does not
 * say otherwise.
 */
export function askers<Api>(start: () => Worker, seconds?: number) {
  let idle: Desk<Api> | null = null;
  return async <P extends Promise<unknown>>(
    question: (api: Remote<Api>) => P,
    signal: AbortSignal,
    most = seconds,
  ): Promise<Awaited<P>> => {
    const at = idle ?? desk<Api>(start());
    idle = null;
    const ends = [at.broken, when(signal, () => new DOMException('cancelled', 'AbortError'))];
    if (most) ends.push(when(AbortSignal.timeout(most * 1000), () => new TooLong(most)));
    try {
      const answer = await Promise.race<Awaited<P>>([question(at.api) as Promise<Awaited<P>>, ...ends]);
      if (idle) at.worker.terminate();
      else idle = at;
      return answer;
    } catch (error) {
      at.worker.terminate();
      throw error;
    }
  };
}

/** Answers to a question for each of a list, one after the other, as they are ready. */
export async function* inTurn<A, T>(list: readonly A[], question: (item: A) => Promise<T>): AsyncGenerator<T> {
  for (const item of list) yield await question(item);
}
