import { wrap, type Remote } from 'comlink';

interface Desk<Api> {
  readonly worker: Worker;
  readonly api: Remote<Api>;
}

/**
 * Asks workers one question each: cancelling ends that worker and nobody else's; one that has answered waits for the next
 * question. @param start makes a worker: its file owns the `new Worker(...)`.
 */
export function askers<Api>(start: () => Worker) {
  let idle: Desk<Api> | null = null;
  return async <T>(question: (api: Remote<Api>) => Promise<T>, signal: AbortSignal): Promise<T> => {
    const desk = idle ?? wrapped<Api>(start());
    idle = null;
    const cancelled = new Promise<never>((_, reject) => {
      signal.addEventListener('abort', () => reject(new DOMException('cancelled', 'AbortError')));
    });
    try {
      const answer = await Promise.race([question(desk.api), cancelled]);
      if (idle) desk.worker.terminate();
      else idle = desk;
      return answer;
    } catch (error) {
      desk.worker.terminate();
      throw error;
    }
  };
}
const wrapped = <Api>(worker: Worker): Desk<Api> => ({ worker, api: wrap<Api>(worker) });
