import type { Browser } from '@playwright/test';
// @ts-expect-error a plain script without types
import { launch } from '../scripts/browser.mjs';
import { serve } from '../scripts/serve.ts';
import { line } from './rooms.ts';

/** Fills what room there is with something else, to the last hundred bytes, with what cannot be packed. */
const fill = async (): Promise<void> => {
  const opened = await new Promise<IDBDatabase>((open, fail) => {
    const opening = indexedDB.open('something else');
    opening.onupgradeneeded = () => opening.result.createObjectStore('things', { autoIncrement: true });
    opening.onerror = () => fail(opening.error ?? new Error());
    opening.onsuccess = () => open(opening.result);
  });
  const noise = (bytes: number): Uint8Array => {
    const some = new Uint8Array(bytes);
    for (let at = 0; at < bytes; at += 65_536) crypto.getRandomValues(some.subarray(at, at + 65_536));
    return some;
  };
  const isWritten = (bytes: number): Promise<boolean> =>
    new Promise((told) => {
      const writing = opened.transaction('things', 'readwrite');
      writing.objectStore('things').put(noise(bytes));
      writing.oncomplete = () => told(true);
      writing.onabort = () => told(false);
    });
  for (const bytes of [1e6, 1e5, 1e4, 1000, 100]) while (await isWritten(bytes));
  opened.close();
};

/** A disk that is full: what is noted waits and says so, nothing is shown that is not written, and all of it is there once there is room. */
export async function benchFullDisk(): Promise<void> {
  console.log('\nA full disk');
  const { url, stop } = await serve();
  const browser = await (launch as () => Promise<Browser>)();
  try {
    const page = await (await browser.newContext({ serviceWorkers: 'block' })).newPage();
    await page.addInitScript({ content: 'globalThis.__name = (f) => f' });
    const cdp = await page.context().newCDPSession(page);
    await cdp.send('Storage.overrideQuotaForOrigin', { origin: url, quotaSize: 8e6 });
    await page.goto(`${url}/demo`);
    await page.locator('.drawing > svg').first().waitFor();
    await page.goto(`${url}/job/keepers-cottage/site`);
    await page.getByRole('group', { name: 'Beside the work' }).getByRole('button', { name: 'Log' }).click();
    const entries = page.locator('.log > li');
    const full = page.getByText(/no room left on this device/);
    let noted = 0;
    do {
      await page.evaluate(fill);
      await page.getByLabel('Note').fill(`Note ${++noted}`);
      await page.getByRole('button', { name: 'Note it' }).click();
      // a browser may find room again as it packs what was written
      await full.or(entries.nth(noted - 1)).waitFor();
    } while (!(await full.isVisible()));
    const shown = await entries.count();
    await cdp.send('Storage.overrideQuotaForOrigin', { origin: url });
    await entries.nth(noted - 1).waitFor({ timeout: 60_000 });
    await page.reload();
    await page.getByRole('group', { name: 'Beside the work' }).getByRole('button', { name: 'Log' }).click();
    await entries.nth(noted - 1).waitFor();
    line(
      'noted',
      String(noted),
      `${shown} shown while it was full, ${await entries.count()} there afterwards and after a reload`,
    );
    if (shown !== noted - 1) process.exitCode = 1;
  } finally {
    await browser.close();
    stop();
  }
}
