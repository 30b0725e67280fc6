/** A file on its way from where it was opened to the page that looks at it. */
export interface Waiting {
  readonly file: File;
  /** A backup of this device. */
  readonly isOwn: boolean;
}
let waiting: Waiting | null = null;

export const putIn = (file: File, isOwn = false): void => void (waiting = { file, isOwn });
export const peek = (): Waiting | null => waiting;
export const clear = (): void => void (waiting = null);

/** Where the service worker leaves what another application shared (`public/share-target.js`). */
const SHARED = 'kovelin-shared';
/** The file that was shared with Kovelin; null: none. It is taken out. */
export async function takeShared(): Promise<File | null> {
  if (!('caches' in window)) return null;
  const cache = await caches.open(SHARED);
  const found = await cache.match('/shared-file');
  if (!found) return null;
  await cache.delete('/shared-file');
  return new File([await found.blob()], decodeURIComponent(found.headers.get('X-Name') ?? 'shared'));
}
