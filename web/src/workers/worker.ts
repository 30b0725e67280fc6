import { expose } from 'comlink';

/** What can be worked out beside the page: each part is loaded by the worker that is named after it, what they share lies in files of its own. */
const PARTS = {
  archive: () => import('./archive.worker.ts'),
  files: () => import('./files.worker.ts'),
  find: () => import('./find.worker.ts'),
  photo: () => import('./photo.worker.ts'),
  'price-list': () => import('./price-list.worker.ts'),
  scan: () => import('./scan.worker.ts'),
  simulate: () => import('./simulate.worker.ts'),
  wet: () => import('./wet.worker.ts'),
  whole: () => import('./whole.worker.ts'),
};
export type Part = keyof typeof PARTS;

type Call = (...args: readonly unknown[]) => unknown;
const part = PARTS[self.name as Part]().then(({ api }) => api as unknown as Readonly<Record<string, Call>>);
// a file that is gone is told to the page as an error of this worker
part.catch(reportError);
/** Questions that come before the part is here wait for it. */
async function answered(name: string, args: readonly unknown[]): Promise<unknown> {
  const call = (await part)[name];
  if (!call) throw new Error(`${self.name} cannot answer “${name}”`);
  return call(...args);
}
expose(
  new Proxy(
    {},
    {
      get:
        (_, name) =>
        (...args: readonly unknown[]) =>
          answered(String(name), args),
    },
  ),
);
