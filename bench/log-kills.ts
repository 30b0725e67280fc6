import { chromium as playwright, type Browser, type Page } from '@playwright/test';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { serve } from '../scripts/serve.ts';
import { open } from './kills.ts';
import { line } from './rooms.ts';

const KILLS = Number(process.env['LOG_KILLS'] ?? 1000);
/** Every so many kills the whole browser goes, all its processes at once; else the tab that writes. */
const BROWSER = 10;
const SITE = '/job/keepers-cottage/site';

/** The number of the last note that the log shows; 0: none. */
async function lastNote(page: Page): Promise<number> {
  const first = page.locator('.log > li').first();
  const none = page.getByText('Nothing noted yet');
  await first.or(none).first().waitFor({ timeout: 30_000 });
  return (await none.isVisible()) ? 0 : Number(/Note (\d+)/.exec((await first.textContent()) ?? '')?.[1]);
}
async function openLog(browser: Browser, url: string): Promise<Page> {
  const page = await (browser.contexts()[0] ?? (await browser.newContext())).newPage();
  // the loader of this file names inner functions by a helper that the page has not
  await page.addInitScript({ content: 'globalThis.__name = (f) => f' });
  await page.goto(url + SITE);
  await page.getByRole('group', { name: 'Beside the work' }).getByRole('button', { name: 'Log' }).click();
  return page;
}
/** Notes numbers one after the other, each a note once the log shows the one before. */
const writeNotes = async (start: number): Promise<void> => {
  const write = Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, 'value')?.set;
  for (let n = start; ; n++) {
    const field = document.querySelector('.site-panel textarea') as HTMLTextAreaElement;
    write?.call(field, `Note ${n}`);
    field.dispatchEvent(new InputEvent('input', { bubbles: true }));
    await new Promise<void>((pressed) => {
      const press = () => {
        const button = [...document.querySelectorAll('button')].find((one) => one.textContent === 'Note it');
        if (!button || button.disabled) return void requestAnimationFrame(press);
        button.click();
        pressed();
      };
      press();
    });
    await new Promise<void>((shown) => {
      const look = () =>
        document.querySelector('.log > li')?.textContent?.includes(`“Note ${n}”`)
          ? shown()
          : requestAnimationFrame(look);
      requestAnimationFrame(look);
    });
    await (window as unknown as { shownNoted: (n: number) => Promise<void> }).shownNoted(n);
  }
};

/** Kills tabs, and now and then the browser, at random moments while notes are written: what the log showed has to be there afterwards. */
export async function benchLogKills(): Promise<void> {
  console.log(
    `\nKills: ${KILLS} at random moments while a log is written, every ${BROWSER}th of them the whole browser`,
  );
  const { url, stop } = await serve();
  const profile = mkdtempSync(join(tmpdir(), 'kovelin-log-kills-'));
  let [sure, lost, unopened, shown] = [0, 0, 0, 0];
  let own = await open(profile);
  let browser = await playwright.connectOverCDP(own.endpoint);
  try {
    const demo = await (browser.contexts()[0] ?? (await browser.newContext())).newPage();
    await demo.goto(`${url}/demo`);
    await demo.locator('.drawing > svg').first().waitFor();
    await demo.close();
    for (let kill = 1; kill <= KILLS + 1; kill++) {
      const page = await openLog(browser, url);
      const found = await lastNote(page).catch(() => null);
      if (found === null) unopened++;
      else if (found < sure) lost++;
      if (kill > KILLS) break;
      await page.exposeFunction('shownNoted', (n: number) => {
        sure = Math.max(sure, n);
        shown++;
      });
      void page.evaluate(writeNotes, Math.max(sure, found ?? 0) + 1).catch((error: Error) => {
        // killed in the middle of it, as it should be
        if (!/closed|crash|disconnect/i.test(error.message)) throw error;
      });
      await new Promise((resolve) => setTimeout(resolve, 30 + Math.random() * 500));
      if (kill % BROWSER) {
        const crashed = page.waitForEvent('crash');
        const cdp = await page.context().newCDPSession(page);
        void cdp.send('Page.crash').catch(() => undefined);
        await crashed;
        await page.close();
      } else {
        const exited = new Promise((resolve) => own.process.once('exit', resolve));
        process.kill(-(own.process.pid as number), 'SIGKILL');
        await exited;
        await browser.close().catch(() => undefined);
        own = await open(profile);
        browser = await playwright.connectOverCDP(own.endpoint);
      }
      if (kill % 100 === 0) console.log(`  ${kill} kills, ${shown} entries shown, ${lost} lost`);
    }
  } finally {
    await browser.close().catch(() => undefined);
    process.kill(-(own.process.pid as number), 'SIGKILL');
    stop();
  }
  line(
    'log',
    `${KILLS}`,
    `${shown} entries shown as noted before them, ${lost} lost, ${unopened} times it did not open`,
  );
  if (lost || unopened) process.exitCode = 1;
  rmSync(profile, { recursive: true, force: true, maxRetries: 20, retryDelay: 200 });
}
