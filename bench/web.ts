import type { Browser, CDPSession, Page } from '@playwright/test';
import { readdirSync, readFileSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
// @ts-expect-error a plain script without types
import { launch } from '../scripts/browser.mjs';
import { serve } from '../scripts/serve.ts';
import { line, manyRooms, ms, times } from './rooms.ts';

const FRAME = 1000 / 60;
/** The browser's own, which the library of types does not know yet. */
declare const scheduler: { postTask(task: () => void, options: { priority: 'user-blocking' }): Promise<void> };

export async function benchWeb(wanted: (part: string) => boolean): Promise<void> {
  const { url, stop } = await serve();
  const browser = await (launch as () => Promise<Browser>)();
  try {
    if (wanted('size')) await sizes(browser, url);
    if (wanted('keys')) await keys(browser, url);
    if (wanted('start')) await starting(browser, url);
    if (wanted('open')) await opening(browser, url);
    if (wanted('slider')) await slider(browser, url);
    if (wanted('memory')) await memory(browser, url);
  } finally {
    await browser.close();
    stop();
  }
}

/**
 * What may be loaded at most, kB (1000 bytes): the one table of it. A change that must raise a row says why.
 * The interface made of MUI's parts, the calendar of days (45 kB) and the form of the first page (10 kB) raised the first (250) and
 * the fourth row (2,100); rooms from tables and plans on the first page, the menu of a room and prices in their rows raised the
 * latter again (2,200); it falls when the core is shipped once.
 */
const MOST_KB = {
  'JavaScript of the first page': 280,
  'JavaScript of the demo room, ready to type in': 340,
  'of it our own code': 150,
  'all JavaScript, with charts and workers': 2220,
  'kept for use without a network, not packed': 7000,
};
/** Sizes of what is loaded, JavaScript in gzip. */
async function sizes(browser: Browser, url: string): Promise<void> {
  console.log('\nSizes of what is loaded');
  const shares = JSON.parse(readFileSync('web/dist/.our-share.json', 'utf8')) as Readonly<Record<string, number>>;
  const packed = (names: readonly string[], share: (name: string) => number = () => 1) =>
    names.reduce((sum, name) => sum + gzipSync(readFileSync(join('web/dist', name))).length * share(name), 0);
  /** Files of the page itself; what it works out beside comes later. */
  const loaded = async (path: string, ready: string): Promise<string[]> => {
    const page = await browser.newPage();
    const scripts = new Set<string>();
    page.on('response', (r) => r.url().endsWith('.js') && scripts.add(new URL(r.url()).pathname));
    await page.goto(url + path);
    await page.locator(ready).first().waitFor();
    await page.waitForLoadState('networkidle');
    const own = await Promise.all(
      page
        .workers()
        .map((worker) =>
          worker.evaluate(() => performance.getEntriesByType('resource').map(({ name }) => new URL(name).pathname)),
        ),
    );
    const beside = new Set([...own.flat(), ...page.workers().map((worker) => new URL(worker.url()).pathname)]);
    await page.close();
    return [...scripts].filter((name) => !beside.has(name));
  };
  const demo = await loaded('/demo', '.drawing > svg');
  const kept = [...readFileSync('web/dist/sw.js', 'utf8').matchAll(/url:\s*"([^"]+)"/g)].map(([, name = '']) => name);
  const found: Readonly<Record<keyof typeof MOST_KB, number>> = {
    'JavaScript of the first page': packed(await loaded('/', '.start-card, .job-card')),
    'JavaScript of the demo room, ready to type in': packed(demo),
    'of it our own code': packed(demo, (name) => shares[name.slice(1)] ?? 1),
    'all JavaScript, with charts and workers': packed(
      readdirSync('web/dist/assets').flatMap((name) => (name.endsWith('.js') ? [`assets/${name}`] : [])),
    ),
    'kept for use without a network, not packed': kept
      .filter((name) => name !== '/')
      .reduce((sum, name) => sum + statSync(join('web/dist', name)).size, 0),
  };
  for (const [name, most] of Object.entries(MOST_KB)) {
    const size = found[name as keyof typeof MOST_KB];
    line(name, `${(size / 1000).toFixed(0)} kB`, times(size, most * 1000, `the most, ${most} kB`));
    if (size > most * 1000) process.exitCode = 1;
  }
}

async function openJob(page: Page, url: string, rooms: number | null): Promise<void> {
  if (rooms === null) await page.goto(`${url}/demo`);
  else {
    await page.goto(url);
    await page.getByLabel('Job file or tape sheet').setInputFiles({
      name: 'many.json',
      mimeType: 'application/json',
      buffer: Buffer.from(JSON.stringify(manyRooms(rooms))),
    });
  }
  await page.locator('.drawing > svg').waitFor();
  await page.locator('.ledger[aria-busy=false]').waitFor();
}

/** From a key to the paint of its character, beside a bare input of the same page; and to the drawing that follows it. */
async function keys(browser: Browser, url: string): Promise<void> {
  console.log('\nPage: a key, p95 of 120, against one frame of 16.7 ms and against a bare input of the same page');
  for (const rooms of [null, 30]) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await openJob(page, url, rooms);
    // the TypeScript runner wraps named functions in a helper that the page does not have
    await page.evaluate('globalThis.__name = (f) => f');
    const spent = await page.evaluate(async () => {
      const field = document.querySelector<HTMLInputElement>('[id^=length-]') as HTMLInputElement;
      const bare = document.createElement('input');
      // what a controlled input does, and nothing else: its value is written back
      bare.addEventListener('input', () => (bare.value = String(bare.value)));
      document.body.append(bare);
      const wall = () => document.querySelector('polygon[data-wall]')?.getAttribute('points');
      const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
      /**
       * Types at the start of a frame; over when that frame has been painted: a task of the highest priority comes first
       * after it, before what the page itself put off until then.
       */
      const type = (input: HTMLInputElement, text: string) =>
        new Promise<number>((resolve) =>
          requestAnimationFrame(() => {
            const start = performance.now();
            set?.call(input, text);
            input.dispatchEvent(new InputEvent('input', { bubbles: true }));
            const done = () => resolve(performance.now() - start);
            void scheduler.postTask(done, { priority: 'user-blocking' });
          }),
        );
      const times = { bare: [] as number[], field: [] as number[], drawing: [] as number[] };
      // one after the other: going from one to the other would be an edit
      bare.focus();
      for (let i = 0; i < 130; i++) times.bare.push(await type(bare, `13'${i % 12}`));
      field.focus();
      for (let i = 0; i < 130; i++) {
        const [before, start] = [wall(), performance.now()];
        times.field.push(await type(field, `13'${i % 12}`));
        while (wall() === before) await new Promise((resolve) => setTimeout(resolve, 0));
        times.drawing.push(performance.now() - start);
        // the drawing has its own frame before the next key comes
        await new Promise((resolve) => requestAnimationFrame(() => requestAnimationFrame(resolve)));
      }
      const p95 = (list: number[]) => list.slice(10).sort((a, b) => a - b)[113] ?? NaN;
      return { bare: p95(times.bare), field: p95(times.field), drawing: p95(times.drawing) };
    });
    const name = rooms === null ? 'demo (4 rooms)' : `${rooms} rooms`;
    line(`${name}: a bare input`, ms(spent.bare), times(spent.bare, FRAME, 'a frame'));
    line(
      `${name}: the character in its field`,
      ms(spent.field),
      `${times(spent.field, FRAME, 'a frame')}, ${times(spent.field, spent.bare, 'the bare input')}`,
    );
    line(`${name}: the drawing that follows`, ms(spent.drawing), times(spent.drawing, FRAME, 'a frame'));
    await page.close();
  }
}

/** The coats of Specify and the scrubber of a play dragged from end to end: script, layout and paint of each step. */
async function slider(browser: Browser, url: string): Promise<void> {
  console.log('\nPage: dragging a slider, p95 of some sixty steps, against one frame of 16.7 ms');
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await openJob(page, url, null);
  const step = (name: string) => page.getByRole('navigation', { name: 'Steps' }).getByRole('link', { name }).click();
  await step('Specify');
  line('coats of a wall in Specify: a step', ...(await dragged(page, '.stage-slider')));
  await step('Technique');
  await page.getByRole('button', { name: 'Stroke by stroke', exact: true }).click();
  const strokes = await page.locator('.play-picture polygon').count();
  line(
    `play of a wall, ${strokes} shapes: a step of the scrubber`,
    ...(await dragged(page, '.play-bar .MuiSlider-root')),
  );
  await page.close();
}
async function dragged(page: Page, slider: string): Promise<[string, string]> {
  const track = page.locator(slider);
  await track.waitFor();
  const box = (await track.boundingBox()) as NonNullable<Awaited<ReturnType<typeof track.boundingBox>>>;
  await page.evaluate('globalThis.__name = (f) => f');
  await page.evaluate((selector) => {
    const spent: number[] = [];
    let start = 0;
    document.addEventListener('mousemove', () => (start = performance.now()), true);
    const input = document.querySelector(`${selector} input`) as Element;
    new MutationObserver(() => {
      document.body.getBoundingClientRect();
      spent.push(performance.now() - start);
    }).observe(input, { attributeFilter: ['aria-valuenow'] });
    Object.assign(globalThis, { spent });
  }, slider);
  const range = async (end: string) => Number(await track.locator('input').getAttribute(end));
  const stages = Math.min(60, Math.round(((await range('max')) - (await range('min'))) / ((await range('step')) || 1)));
  const to = (i: number) => page.mouse.move(box.x + (box.width * (i % (stages + 1))) / stages, box.y + box.height / 2);
  await to(0);
  await page.mouse.down();
  for (let i = 1; i <= 70; i++) await to(i);
  await page.mouse.up();
  const all = await page.evaluate(() => (globalThis as unknown as { spent: number[] }).spent);
  const counted = all.slice(5).sort((x, y) => x - y);
  const spent = counted[Math.floor(counted.length * 0.95)] ?? NaN;
  return [ms(spent), `${times(spent, FRAME, 'a frame')}; ${counted.length} steps`];
}

/** From the address of the demo job to a field that one can type in, at most, ms. */
const STARTS = [
  { name: 'first load', most: 1500, again: false, slower: 1 },
  { name: 'second load', most: 800, again: true, slower: 1 },
  { name: 'first load, a processor 4 x slower', most: 3000, again: false, slower: 4 },
  { name: 'second load, a processor 4 x slower', most: 3000, again: true, slower: 4 },
] as const;
const SHOWN = `(function look() {
  if (document.querySelector('[id^=length-]')) globalThis.shown = performance.now();
  else requestAnimationFrame(look);
})()`;
/** How long a browser that was never here takes, and one that was; and what of it the page itself is busy with. */
async function starting(browser: Browser, url: string): Promise<void> {
  console.log('\nPage: from its address to a field that one can type in; median of 9');
  for (const { name, most, again, slower } of STARTS) {
    const all: { readonly shown: number; readonly busy: ReadonlyMap<string, number> }[] = [];
    for (let i = 0; i < 9; i++) {
      const context = await browser.newContext({ serviceWorkers: 'allow', viewport: { width: 1280, height: 800 } });
      const page = await context.newPage();
      if (again) {
        await openJob(page, url, null);
        await page.evaluate(async () => void (await navigator.serviceWorker.ready));
      }
      const cdp = await context.newCDPSession(page);
      await cdp.send('Emulation.setCPUThrottlingRate', { rate: slower });
      await cdp.send('Performance.enable');
      await page.addInitScript({ content: SHOWN });
      await page.goto(again ? page.url() : `${url}/demo`);
      const shown = await (await page.waitForFunction(() => (globalThis as { shown?: number }).shown)).jsonValue();
      const { metrics } = await cdp.send('Performance.getMetrics');
      all.push({ shown: Number(shown), busy: new Map(metrics.map((metric) => [metric.name, metric.value * 1000])) });
      await context.close();
    }
    const middle = all.sort((a, b) => a.shown - b.shown)[4];
    if (!middle) continue;
    const of = (metric: string) => `${Math.round((100 * (middle.busy.get(metric) ?? 0)) / middle.shown)} %`;
    line(
      name,
      ms(middle.shown),
      `${times(middle.shown, most, `the most, ${most} ms`)}; scripts ${of('ScriptDuration')}, layout ${of('LayoutDuration')}, styles ${of('RecalcStyleDuration')}, all tasks ${of('TaskDuration')}`,
    );
  }
}

/** From a click on a job in the list to its first room on the screen. */
async function opening(browser: Browser, url: string): Promise<void> {
  console.log('\nPage: opening a job from the list, to its first room; median of 9');
  for (const rooms of [4, 30]) {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await openJob(page, url, rooms);
    await page.evaluate('globalThis.__name = (f) => f');
    const spent: number[] = [];
    for (let i = 0; i < 9; i++) {
      await page.getByRole('link', { name: 'Kovelin: all jobs' }).click();
      await page.locator('.job-card').waitFor();
      const shown = await page.evaluate(
        () =>
          new Promise<number>((resolve) => {
            const start = performance.now();
            const watch = new MutationObserver(() => {
              if (!document.querySelector('.drawing > svg polygon[data-wall]')) return;
              watch.disconnect();
              requestAnimationFrame(() => resolve(performance.now() - start));
            });
            watch.observe(document, { childList: true, subtree: true });
            document.querySelector<HTMLElement>('.job-card h2 a')?.click();
          }),
      );
      spent.push(shown);
      await page.locator('.ledger[aria-busy=false]').waitFor();
    }
    line(`${rooms} rooms`, ms(spent.sort((x, y) => x - y)[4] ?? NaN), 'wanted: under 200 ms');
    await page.close();
  }
}

/**
 * What an hour of edits leaves behind (720, one in five seconds). Each edit is painted, each tenth waits until all are saved; the
 * heap is swept before it is read.
 */
async function memory(browser: Browser, url: string): Promise<void> {
  const [FEW, HOUR] = [20, 720];
  console.log(`\nPage: memory after ${HOUR} edits (an hour, one in five seconds) against after ${FEW}`);
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await openJob(page, url, null);
  const cdp: CDPSession = await page.context().newCDPSession(page);
  const heap = async () => {
    await page.locator('.ledger[aria-busy=false]').waitFor();
    await cdp.send('HeapProfiler.collectGarbage');
    return (await cdp.send('Runtime.getHeapUsage')).usedSize;
  };
  /** Types and takes so many lengths, one after the other, inside the page: no time goes to its remote control. */
  const edits = (from: number, to: number) =>
    page.evaluate(
      async ([first, last]) => {
        const field = document.querySelector<HTMLInputElement>('[id^=length-]') as HTMLInputElement;
        const set = Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, 'value')?.set;
        const saved = () => document.querySelector('.saving')?.textContent === 'Saved';
        for (let i = first; i < last; i++) {
          field.focus();
          set?.call(field, `13'${i % 11} ${1 + (i % 2) * 2}/4`);
          field.dispatchEvent(new InputEvent('input', { bubbles: true }));
          await new Promise(requestAnimationFrame);
          field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Enter', bubbles: true, cancelable: true }));
          await new Promise(requestAnimationFrame);
          if (i % 10 === 9) while (!saved()) await new Promise(requestAnimationFrame);
        }
      },
      [from, to] as const,
    );
  await page.evaluate('globalThis.__name = (f) => f');
  const start = performance.now();
  await edits(0, FEW);
  const few = await heap();
  await edits(FEW, HOUR);
  const hour = await heap();
  line(`after ${FEW} edits`, `${(few / 1e6).toFixed(1)} MB`);
  line(`after ${HOUR} edits`, `${(hour / 1e6).toFixed(1)} MB`, times(hour, few, `after ${FEW}`));
  line(
    'an hour of edits leaves behind',
    `${((hour - few) / 1e3).toFixed(0)} kB`,
    `${ms((performance.now() - start) / HOUR)} an edit`,
  );
  await page.close();
}
