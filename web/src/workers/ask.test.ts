import { expect, test } from '@jest/globals';
import { askers, NoWorker, TooLong } from './ask.ts';
import { whyNotRead } from './files.ts';

/** A worker that never answers; it may fail to start. */
class Silent extends EventTarget {
  ended = false;
  constructor(broken: boolean) {
    super();
    if (broken) queueMicrotask(() => this.dispatchEvent(new Event('error')));
  }
  postMessage(): void {
    // keeps it to itself
  }
  terminate(): void {
    this.ended = true;
  }
}
const silent = (broken = false) => {
  const started: Silent[] = [];
  const start = () => {
    const worker = new Silent(broken);
    started.push(worker);
    return worker as unknown as Worker;
  };
  return { started, start };
};
type Api = { think: () => Promise<number> };

test('a question that takes too long is given up with a sentence, and its worker ended', async () => {
  const { started, start } = silent();
  const error: unknown = await askers<Api>(start, 0.02)((api) => api.think(), new AbortController().signal).catch(
    (e: unknown) => e,
  );
  expect(error).toBeInstanceOf(TooLong);
  expect(started.map((w) => w.ended)).toEqual([true]);
  expect(whyNotRead('plan.dxf', error)).toMatch(/^plan.dxf took longer than 0.02 seconds .* nothing was taken/);
});
test('a cancelled question ends its worker and says nothing; one whose file is gone says so', async () => {
  const { started, start } = silent();
  const stop = new AbortController();
  const asked = askers<Api>(start)((api) => api.think(), stop.signal).catch((e: unknown) => e);
  stop.abort();
  expect([whyNotRead('x', await asked), started[0]?.ended]).toEqual([null, true]);
  const gone = silent(true);
  const error: unknown = await askers<Api>(gone.start)((api) => api.think(), new AbortController().signal).catch(
    (e: unknown) => e,
  );
  expect(error).toBeInstanceOf(NoWorker);
  expect(whyNotRead('plan.dxf', error)).toMatch(/could not be fetched, perhaps because it was updated/);
});
