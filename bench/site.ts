import type { Browser, Page } from '@playwright/test';
import { rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { readLog, writeLog } from '../core/src/exchange/site-log.ts';
import { loggedPlan, writer, EIGHT } from '../core/src/testing/site-log.ts';
import type { LogEntry } from '../core/src/site/entry.ts';
import { changeOf, siteView, stateOf } from '../core/src/whole/site.ts';
import { scheduleJob } from '../core/src/sequence/schedule.ts';
import { keepFor } from '../core/src/whole/wet.ts';
import { wholeOf } from '../core/src/whole/whole.ts';
import { basePlan } from '../core/src/whole/plan.ts';
// @ts-expect-error a plain script without types
import { launch } from '../scripts/browser.mjs';
import { serve } from '../scripts/serve.ts';
import { bundle } from './bundle.ts';
import { line, manyRooms, median, ms, times } from './rooms.ts';

const ENTRIES = 20_000;

/** A job of 30 rooms half done, and as many entries as make a long log: air, notes, levels and corrections among the work. */
function longLog(): { job: ReturnType<typeof manyRooms>; log: LogEntry[] } {
  const rooms = manyRooms(30);
  const job = { ...rooms, crew: { ...rooms.crew, start: new Date(EIGHT).toISOString().slice(0, 10), zone: 'UTC' } };
  const plan = basePlan(job).placed;
  const names = job.crew.people.map(({ id }) => id);
  const work = loggedPlan(plan.slice(0, plan.length >> 1), names, 1.1);
  const other = writer('other');
  const days = 60 * 24 * 20;
  for (let n = 0; work.length + other.entries.length < ENTRIES; n++) {
    const at = (n * days) / ENTRIES;
    const who = names[n % names.length] ?? '';
    if (n % 50 === 49)
      other.says(at, { kind: 'correct', who, corrects: other.entries[n - 5]?.id ?? '', value: { note: 'put right' } });
    else if (n % 3) other.says(at, { kind: 'note', who, note: `Note ${n}` });
    else other.says(at, { kind: 'air', who, value: { temperature: 18 + (n % 5), humidity: 0.5, draught: 0.1 } });
  }
  return { job, log: [...work, ...other.entries] };
}

/** A long log read, folded and planned on; what is noted, and a photo, in a browser. */
export async function benchSite(): Promise<void> {
  const { job, log } = longLog();
  const last = log.reduce((latest, { at }) => Math.max(latest, Date.parse(at)), 0);
  const now = (last - EIGHT) / 60_000 + 480;
  console.log(`\nSite: a log of ${log.length} entries, ${job.rooms.order.length} rooms`);
  const map = new Map(log.map((entry) => [entry.id, entry]));
  const text = writeLog(map, job);
  const parsed = median(() => text.split('\n').forEach((own) => own && void JSON.parse(own)), 5);
  line(
    'read from a file, each entry validated',
    ms(median(() => void readLog(text, job), 5)),
    `parsing alone ${ms(parsed)}`,
  );
  const folded = median(() => void stateOf(job, map), 9);
  line('folded', ms(folded), times(folded, parsed, 'parsing it'));
  const { takeoffs, operations } = wholeOf(job);
  const plan = median(() => void scheduleJob(job, takeoffs, operations, keepFor(job)), 3);
  const shown = median(() => void siteView(job, log, now), 3);
  line('all that Site shows, the rest planned on in its order', ms(shown), times(shown, plan, 'the base plan'));
  const anew = median(() => void changeOf(job, log, now), 3);
  line('the rest planned anew', ms(anew), times(anew, plan, 'the base plan'));
  const { url, stop } = await serve();
  const browser = await (launch as () => Promise<Browser>)();
  try {
    await inBrowser(browser, url);
  } finally {
    await browser.close();
    stop();
  }
}

async function inBrowser(browser: Browser, url: string): Promise<void> {
  const page = await (await browser.newContext({ serviceWorkers: 'block' })).newPage();
  const code = await bundle('writes');
  await page.route('**/assets/writes.js', (route) => route.fulfill({ contentType: 'text/javascript', body: code }));
  await page.goto(`${url}/kept`);
  await page.addScriptTag({ url: '/assets/writes.js', type: 'module' });
  const { ours, theirs } = (await page.evaluate('writes(300)')) as { ours: number; theirs: number };
  line(
    'entries noted a second, each on the disk',
    ours.toFixed(0),
    `${times(ours, theirs, `bare Dexie (${theirs.toFixed(0)})`)}, each in a strict transaction`,
  );
  await photo(page, url);
}

/** From the choice of a photo of 12 megapixels to its small picture in the log, beside decoding and encoding it alone. */
async function photo(page: Page, url: string): Promise<void> {
  await page.goto(`${url}/demo`);
  await page.locator('.drawing > svg').first().waitFor();
  await page.goto(`${url}/job/keepers-cottage/site`);
  await page.getByRole('group', { name: 'Beside the work' }).getByRole('button', { name: 'Log' }).click();
  await page.evaluate('globalThis.__name = (f) => f');
  const bytes = await page.evaluate(async () => {
    const canvas = new OffscreenCanvas(4000, 3000);
    const context = canvas.getContext('2d');
    if (!context) throw new Error('no canvas');
    const noise = context.createImageData(4000, 3000);
    for (let i = 0; i < noise.data.length; i++) noise.data[i] = i % 4 === 3 ? 255 : (i / 40 + Math.random() * 40) % 256;
    context.putImageData(noise, 0, 0);
    const blob = await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.9 });
    return [...new Uint8Array(await blob.arrayBuffer())];
  });
  const file = join(tmpdir(), `kovelin-bench-${process.pid}.jpg`);
  writeFileSync(file, Buffer.from(bytes));
  const take = async (): Promise<number> => {
    const before = await page.locator('.photo img').count();
    const start = performance.now();
    await page.locator('.site-panel .file-pick input[multiple]').setInputFiles(file);
    await page.locator('.photo img').nth(before).waitFor();
    return performance.now() - start;
  };
  await take();
  const taken = await take();
  const alone = await page.evaluate(async (data) => {
    const start = performance.now();
    const bitmap = await createImageBitmap(new Blob([new Uint8Array(data)], { type: 'image/jpeg' }));
    const canvas = new OffscreenCanvas(2048, 1536);
    canvas.getContext('2d')?.drawImage(bitmap, 0, 0, 2048, 1536);
    await canvas.convertToBlob({ type: 'image/jpeg', quality: 0.82 });
    return performance.now() - start;
  }, bytes);
  line(
    `a photo of 12 MP (${(bytes.length / 1e6).toFixed(1)} MB), small and in the log`,
    ms(taken),
    times(taken, alone, 'decoding and encoding alone'),
  );
  rmSync(file);
}
