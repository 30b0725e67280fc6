import { chromium as playwright } from '@playwright/test';
import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import args from '../scripts/chromium-args.json' with { type: 'json' };
import { serve } from '../scripts/serve.ts';
import { chromiumHere } from '../scripts/setup.mjs';
import { line } from './rooms.ts';

const KILLS = Number(process.env['KILLS'] ?? 200);

/** A browser of its own process group on a profile that outlives it. */
export async function open(profile: string): Promise<{ process: ChildProcess; endpoint: string }> {
  const browser = spawn(
    chromiumHere() ?? '',
    [...args, '--headless=new', '--remote-debugging-port=0', `--user-data-dir=${profile}`, 'about:blank'],
    { detached: true, stdio: ['ignore', 'ignore', 'pipe'] },
  );
  const endpoint = await new Promise<string>((resolve, reject) => {
    let said = '';
    browser.stderr?.on('data', (data: Buffer) => {
      said += data.toString();
      const found = /ws:\/\/\S+/.exec(said);
      if (found) resolve(found[0]);
    });
    browser.once('exit', () => reject(new Error(`The browser did not start: ${said.slice(-300)}`)));
  });
  return { process: browser, endpoint };
}

/**
 * Kills the browser, all its processes at once, at random moments while lengths are typed one after the other. After each
 * kill the job is opened again: what was shown as Saved has to be there, and the job has to open.
 */
export async function benchKills(): Promise<void> {
  console.log(`\nKills: the browser killed ${KILLS} times while it saves`);
  const { url, stop } = await serve();
  const profile = mkdtempSync(join(tmpdir(), 'kovelin-kills-'));
  let [next, sure, lost, unopened, edits] = [1, 0, 0, 0, 0];
  try {
    for (let kill = 0; kill <= KILLS; kill++) {
      const { process: browser, endpoint } = await open(profile);
      const connected = await playwright.connectOverCDP(endpoint);
      const page = await (connected.contexts()[0] ?? (await connected.newContext())).newPage();
      // the loader of this file names inner functions by a helper that the page has not
      await page.addInitScript({ content: 'globalThis.__name = (f) => f' });
      await page.goto(`${url}/demo`);
      const opened = await page
        .locator('input[id^=length-]')
        .first()
        .waitFor({ timeout: 30_000 })
        .then(
          () => true,
          () => false,
        );
      if (!opened) unopened++;
      else {
        const typed = await page.locator('input[id^=length-]').first().inputValue();
        const found = kill === 0 ? 0 : Math.round(parseFloat(typed) * 1000);
        // a later one that was on its way may be there as well; an earlier one may not
        if (found < sure) lost++;
        next = Math.max(next, found + 1);
      }
      const exited = new Promise((resolve) => browser.once('exit', resolve));
      const end = async () => {
        process.kill(-(browser.pid as number), 'SIGKILL');
        await exited;
        await connected.close().catch(() => undefined);
      };
      if (kill === KILLS) {
        await end();
        break;
      }
      await page.exposeFunction('shownSaved', (n: number) => {
        sure = Math.max(sure, n);
        edits++;
      });
      // each length is a millimetre longer; it counts once the page shows Saved
      void page
        .evaluate(
          async (start) => {
            const field = document.querySelector('input[id^=length-]') as HTMLInputElement;
            const write = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
            const status = document.querySelector('.saving') as HTMLElement;
            for (let n = start; ; n++) {
              field.focus();
              write?.call(field, `${(n / 1000).toFixed(3)} m`);
              field.dispatchEvent(new InputEvent('input', { bubbles: true }));
              field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true, cancelable: true }));
              await new Promise<void>((resolve) => {
                const look = () => (status.textContent === 'Saved' ? resolve() : requestAnimationFrame(look));
                requestAnimationFrame(look);
              });
              await (window as unknown as { shownSaved: (n: number) => Promise<void> }).shownSaved(n);
            }
          },
          Math.max(next, 1500),
        )
        .catch((error: Error) => {
          // killed in the middle of it, as it should be
          if (!/closed|crash|disconnect/i.test(error.message)) throw error;
        });
      const moment = 100 + Math.random() * 900;
      await new Promise((resolve) => setTimeout(resolve, moment));
      await end();
    }
  } finally {
    stop();
  }
  line(
    'kills',
    `${KILLS}`,
    `${edits} edits shown as Saved before them, ${lost} lost, ${unopened} times the job did not open`,
  );
  if (lost || unopened) process.exitCode = 1;
  rmSync(profile, { recursive: true, force: true, maxRetries: 20, retryDelay: 200 });
}
