// Screenshots of the main views from the demo job: tsx scripts/shots.ts [folder] [name ...]
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
// @ts-expect-error a plain script without types
import { launch } from './browser.mjs';
import { openJob } from '../core/src/job/open.ts';
import { isoAt, zeroOf } from '../core/src/site/moments.ts';
import { basePlan } from '../core/src/whole/plan.ts';
import { serve } from './serve.ts';
import type { Browser, Page } from '@playwright/test';

const [folder = 'docs/screenshots', ...only] = process.argv.slice(2);
mkdirSync(folder, { recursive: true });
const { url, stop } = await serve();
const browser = (await (launch as () => Promise<Browser>)()) as Browser;
let page: Page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
page.on('console', (m) => m.type() === 'error' && console.log('console:', m.text()));
page.on('pageerror', (e) => console.log('page:', e.message));

/** A picture of the page once everything of it is there and nothing moves: two in a row are the same. */
async function still(): Promise<Buffer> {
  await page.locator('.waiting').waitFor({ state: 'detached' });
  let before = await page.screenshot();
  for (;;) {
    const now = await page.screenshot();
    if (now.equals(before)) return now;
    before = now;
  }
}
const shot = async (name: string, act: () => Promise<void>) => {
  if (only.length && !only.includes(name)) return;
  await act();
  writeFileSync(join(folder, `${name}.png`), await still());
  console.log(name);
};
const room = (name: string) =>
  page
    .getByRole('button', { name: new RegExp(name) })
    .first()
    .click();
const step = async (name: string) => {
  await page.getByRole('navigation', { name: 'Steps' }).getByRole('link', { name }).click();
  await page.locator('.drawing > svg').waitFor();
  await page.locator('.ledger[aria-busy=false]').waitFor();
};

await page.goto(`${url}/demo`);
await page.locator('.drawing > svg').waitFor();
await shot('measure', () => step('Measure'));
await shot('specify', async () => {
  await step('Specify');
  await room('Loft');
  await page.getByRole('button', { name: /^Wall C, / }).click();
  const slider = page.getByRole('slider', { name: 'Show the room' });
  await slider.press('Home');
  await slider.press('ArrowRight');
});
await shot('order', async () => {
  await step('Order');
  await page.locator('.risk-curve canvas').waitFor();
});
await shot('quote', async () => {
  await page.getByRole('link', { name: 'Quote' }).click();
  await page.getByRole('main', { name: 'Quote' }).waitFor();
});
await shot('list', async () => {
  await page.goBack();
  await page.setViewportSize({ width: 390, height: 844 });
  await page.getByRole('link', { name: 'Shopping list' }).click();
  await page.locator('.shopping li label').nth(1).click();
});
if (!only.length || only.includes('list')) {
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goBack();
}
await shot('technique', async () => {
  await step('Technique');
  await room('Loft');
  await page.locator('.lines').getByRole('button', { name: 'Wall B and wall C' }).click();
});
await shot('play', async () => {
  await step('Technique');
  await room('Loft');
  await page.getByRole('button', { name: 'Stroke by stroke', exact: true }).click();
  await page.getByLabel('Surface', { exact: true }).selectOption({ label: 'Wall C' });
  const slider = page.getByRole('slider', { name: 'Minutes of coat 1' });
  await slider.press('Home');
  for (let i = 0; i < 11; i++) await slider.press('PageUp');
});
await shot('wet', async () => {
  await step('Technique');
  await room('Loft');
  await page.getByRole('button', { name: 'Wet edge', exact: true }).click();
  await page.getByLabel('Surface', { exact: true }).selectOption({ label: 'Wall C' });
  await page.locator('.wet-remedy').waitFor();
  await page.locator('.wet-picture .risk').first().waitFor();
});
await shot('sequence', async () => {
  await step('Sequence');
  await page.locator('.plan-chart svg').waitFor();
});
await shot('inspect', async () => {
  await step('Inspect');
  await room('Washroom');
  await page.getByRole('button', { name: /^1: / }).click();
  await page.getByLabel('Hour of the day').fill('510');
  await page.locator('.causes li').first().waitFor();
});
await shot('record', async () => {
  await step('Record');
  await room('Washroom');
  await page.getByRole('button', { name: /^Wall C, / }).click({ position: { x: 8, y: 30 } });
});
await shot('find', async () => {
  await page.goto(`${url}/find?q=${encodeURIComponent('white in the washroom')}`);
  await page.locator('.found > li').first().waitFor();
  await page.goBack();
  await page.goForward();
  await page.locator('.found > li').first().waitFor();
});
if (!only.length || only.includes('find')) {
  await page.goBack();
  await page.locator('.drawing > svg').waitFor();
}
/** The demo's log as it would stand in the middle of its third day, as somebody would have written it. */
function logUntil(now: number): string {
  const opened = openJob(readFileSync('examples/keepers-cottage.json', 'utf8'));
  if (!opened.ok) throw new Error(opened.problems[0]?.message);
  const job = opened.value;
  const zero = zeroOf(job.crew, new Map()) ?? 0;
  const moments = basePlan(job).placed.flatMap(({ task, pieces, who }) => {
    const [from, to] = [pieces[0]?.[0] ?? 0, pieces.at(-1)?.[1] ?? 0];
    const said = { who: job.crew.people[who[0] ?? 0]?.id ?? '', operation: task.id };
    return [
      { t: from, entry: { ...said, kind: 'start' } },
      { t: to, entry: { ...said, kind: 'done' } },
    ].filter(({ t }) => t <= now);
  });
  return moments
    .sort((a, b) => a.t - b.t)
    .map(({ t, entry }, i) =>
      JSON.stringify({ id: `van-${i + 1}`, seq: i + 1, device: 'van', at: isoAt(zero, t + i / 1e5), ...entry }),
    )
    .join('\n');
}
/** Ten past ten of the third day. */
const SITE = { at: '2026-12-03T15:10:00Z', minutes: 2 * 1440 + 130 };
const onSite = async () => {
  await page.clock.setFixedTime(SITE.at);
  await step('Site');
  await page.getByRole('button', { name: 'Log', exact: true }).last().click();
  await page.getByLabel('Take one over').setInputFiles({
    name: 'van.log.jsonl',
    mimeType: 'application/jsonl',
    buffer: Buffer.from(logUntil(SITE.minutes)),
  });
  await page.getByText(/taken over/).waitFor();
  await page.getByRole('button', { name: 'Close', exact: true }).click();
  await page.reload();
  await page.locator('.now-card h2').waitFor();
  await page.locator('.clock').first().waitFor();
};
await shot('site', onSite);
await shot('site-phone', async () => {
  if (only.length && !only.includes('site')) await onSite();
  await page.setViewportSize({ width: 390, height: 844 });
  await page.locator('.phone-top .where').waitFor();
});
await shot('site-tablet', async () => {
  if (only.length && !only.includes('site')) await onSite();
  await page.setViewportSize({ width: 1024, height: 768 });
});
if (!only.length || only.some((name) => name.startsWith('site-')))
  await page.setViewportSize({ width: 1280, height: 800 });
await shot('sheet', async () => {
  await page.getByRole('link', { name: 'Day sheet to print' }).click();
  await page.locator('.sheet-day').first().waitFor();
});
await shot('phone', async () => {
  await step('Measure');
  await page.setViewportSize({ width: 390, height: 844 });
  await page.locator('.phone-top .where').waitFor();
});
await shot('jobs', async () => {
  await page.setViewportSize({ width: 1280, height: 800 });
  await page.goto(`${url}/`);
  await page.locator('.job-card').waitFor();
});
await shot('start', async () => {
  const fresh = await browser.newContext({
    serviceWorkers: 'block',
    viewport: { width: 1280, height: 800 },
    locale: 'en-GB',
  });
  page = await fresh.newPage();
  await page.goto(`${url}/`);
  await page.getByLabel('Length', { exact: true }).fill('4.35');
  await page.getByLabel('Width', { exact: true }).fill('3.2');
  await page.getByLabel(/^Windows/).selectOption('2');
});
await browser.close();
stop();
