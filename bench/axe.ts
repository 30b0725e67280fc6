import type { Browser, Page } from '@playwright/test';
import { faultsIn } from '../e2e/axe.ts';
// @ts-expect-error a plain script without types
import { launch } from '../scripts/browser.mjs';
import { serve } from '../scripts/serve.ts';

const SIZES = [
  [1280, 800],
  [1024, 768],
  [390, 844],
] as const;
const SCHEMES = ['light', 'dark', 'daylight'] as const;
const STEPS = ['measure', 'specify', 'order', 'technique', 'sequence', 'site', 'inspect', 'record'];
const PAPERS = ['schedule', 'quote', 'list', 'lines', 'sheet', 'punch', 'acceptance', 'labels', 'home'];
const PAGES = ['/', '/kept', '/find', '/bring-in', '/help', '/help/words', '/kit'];

/** What axe finds in every view of the cottage, in every scheme and at three sizes. Fails where it finds anything. */
export async function benchAxe(): Promise<void> {
  const { url, stop } = await serve();
  const browser = await (launch as () => Promise<Browser>)();
  console.log('\naxe, best practice included, over all views');
  try {
    for (const scheme of SCHEMES)
      for (const [width, height] of SIZES) {
        const page = await (await browser.newContext({ viewport: { width, height } })).newPage();
        await page.addInitScript((name: string) => {
          localStorage.setItem('kovelin-mode', name === 'dark' ? 'dark' : 'light');
          localStorage.setItem('kovelin-scheme-light', name === 'dark' ? 'light' : name);
        }, scheme);
        const faults = await walk(page, url);
        const views = STEPS.length + PAPERS.length + PAGES.length;
        console.log(`${scheme}, ${width} x ${height}: ${views} views, ${faults.length} faults`);
        for (const fault of faults) console.log(`  ${fault}`);
        if (faults.length > 0) process.exitCode = 1;
        await page.context().close();
      }
  } finally {
    await browser.close();
    stop();
  }
}

async function walk(page: Page, url: string): Promise<string[]> {
  await page.goto(`${url}/demo`);
  await page.locator('.drawing > svg').waitFor();
  const job = new URL(page.url()).pathname.split('/').slice(0, 3).join('/');
  const faults: string[] = [];
  for (const path of [...[...STEPS, ...PAPERS].map((name) => `${job}/${name}`), ...PAGES]) {
    await page.goto(url + path);
    await page.locator('h1').first().waitFor({ state: 'attached' });
    await page.locator('.waiting').waitFor({ state: 'detached' });
    faults.push(...(await faultsIn(page, path)));
  }
  return faults;
}
