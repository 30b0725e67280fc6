import { chromium as playwright, type Browser, type Page } from '@playwright/test';
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import args from '../scripts/chromium-args.json' with { type: 'json' };
import { serve } from '../scripts/serve.ts';
import { chromiumHere } from '../scripts/setup.mjs';
import { bundle } from './bundle.ts';
import { line } from './rooms.ts';

const KILLS = Number(process.env['KILLS'] ?? 1000);
/** Every so many kills the whole browser goes, all its processes at once; else the tab that writes. */
const BROWSER = 10;

interface Opened {
  readonly process: ChildProcess;
  readonly browser: Browser;
  /** What it said on its way. */
  readonly said: () => string;
}
/** A browser of its own process group on a profile that outlives it. */
async function open(profile: string): Promise<Opened> {
  const own = spawn(
    chromiumHere() ?? '',
    [...args, '--headless=new', '--remote-debugging-port=0', `--user-data-dir=${profile}`, 'about:blank'],
    { detached: true, stdio: ['ignore', 'ignore', 'pipe'] },
  );
  let said = '';
  const endpoint = await new Promise<string>((resolve, reject) => {
    own.stderr?.on('data', (data: Buffer) => {
      said += data.toString();
      const found = /ws:\/\/\S+/.exec(said);
      if (found) resolve(found[0]);
    });
    own.once('exit', () => reject(new Error(`The browser did not start: ${said.slice(-300)}`)));
  });
  return { process: own, browser: await playwright.connectOverCDP(endpoint), said: () => said };
}

/** A library asks what it runs in; the application's own build says so. */
const HTML = '<script>process = { env: {} }</script><script type="module" src="/stores.js"></script>';
/** A page that has nothing but the stores of the application. */
async function storesOf(browser: Browser, url: string, code: string): Promise<Page> {
  const page = await (browser.contexts()[0] ?? (await browser.newContext())).newPage();
  await page.route('**/stores.html', (route) => route.fulfill({ contentType: 'text/html', body: HTML }));
  await page.route('**/stores.js', (route) => route.fulfill({ contentType: 'text/javascript', body: code }));
  page.on('pageerror', (error) => console.log(`page: ${error.message}`));
  await page.goto(`${url}/stores.html`);
  await page.waitForFunction('"write" in globalThis');
  return page;
}

/** What Chromium says when it finds its own database damaged, and throws it away: the copy outside it is for that (`safe-copy.ts`). */
const DISCARDED = /recovering from a corrupted \(and deleted\) database/;

/**
 * Kills tabs, and now and then the browser, at random moments while edits are saved, entries noted and jobs taken in: what was shown as
 * written has to be there afterwards, and nothing by halves.
 */
export async function benchKills(): Promise<void> {
  console.log(`\nKills: ${KILLS} of each, every ${BROWSER}th of them the whole browser`);
  const code = await bundle('kills');
  const { url, stop } = await serve();
  const profile = mkdtempSync(join(tmpdir(), 'kovelin-kills-'));
  let own = await open(profile);
  const kill = async (page: Page, whole: boolean): Promise<void> => {
    if (whole) {
      const exited = new Promise((resolve) => own.process.once('exit', resolve));
      process.kill(-(own.process.pid as number), 'SIGKILL');
      await exited;
      await own.browser.close().catch(() => undefined);
      own = await open(profile);
      return;
    }
    const crashed = page.waitForEvent('crash');
    const cdp = await page.context().newCDPSession(page);
    void cdp.send('Page.crash').catch(() => undefined);
    await crashed;
    await page.close();
  };
  try {
    for (const kind of ['edits', 'entries', 'take-ins']) {
      let [sure, lost, half, written, discarded] = [0, 0, 0, 0, 0];
      for (let n = 0; n <= KILLS; n++) {
        const page = await storesOf(own.browser, url, code);
        if (n === 0) await page.evaluate(`begin('${kind}')`);
        const [last = 0, ...others] = (await page.evaluate(`look('${kind}')`)) as number[];
        // a later one that was on its way may be there as well; an earlier one may not
        if (last < sure) {
          const held = String(await page.evaluate('held()'));
          console.log(`  ${kind}, kill ${n}: ${last} is there, ${sure} was shown; ${held}`);
          if (DISCARDED.test(own.said()) && !/[1-9]/.test(held)) {
            discarded++;
            await page.evaluate(`begin('${kind}')`);
          } else lost++;
          // each loss counts once
          sure = last;
        }
        if (others.some((other) => other !== last)) half++;
        if (n === KILLS) {
          await page.close();
          break;
        }
        await page.exposeFunction('shown', (shown: number) => {
          sure = Math.max(sure, shown);
          written++;
        });
        void page.evaluate(`write('${kind}', ${last + 1})`).catch((error: Error) => {
          // killed in the middle of it, as it should be
          if (!/closed|crash|disconnect/i.test(error.message)) throw error;
        });
        await new Promise((resolve) => setTimeout(resolve, 20 + Math.random() * 300));
        await kill(page, n % BROWSER === BROWSER - 1);
      }
      line(
        kind,
        `${KILLS}`,
        `${written} shown as written before the kills, ${lost} lost, ${half} by halves; ${discarded} times the browser threw its database away`,
      );
      if (lost || half) process.exitCode = 1;
    }
  } finally {
    await own.browser.close().catch(() => undefined);
    process.kill(-(own.process.pid as number), 'SIGKILL');
    stop();
  }
  rmSync(profile, { recursive: true, force: true, maxRetries: 20, retryDelay: 200 });
}
