import type { Browser } from '@playwright/test';
import { readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { labelsPdf } from '../core/src/exchange/record-pdf.ts';
import { beams } from '../core/src/inspect/beam.ts';
import { placeOf, sunAt, sunDay } from '../core/src/inspect/sun.ts';
import { openJob } from '../core/src/job/open.ts';
import { rows } from '../core/src/job/table.ts';
import type { Job } from '../core/src/job/types.ts';
import { takeoffRoom } from '../core/src/measure/takeoff.ts';
import { labelFor } from '../core/src/exchange/record-contract.ts';
import { Finder } from '../core/src/record/find.ts';
import { findablesOf, jobRecord } from '../core/src/whole/record.ts';
// @ts-expect-error a plain script without types
import { launch } from '../scripts/browser.mjs';
import { serve } from '../scripts/serve.ts';
import { toDataURL } from 'qrcode';
import { writeLabel } from '../core/src/record/label.ts';
import { line, median, ms, times } from './rooms.ts';

const JOBS = 1000;

function cottage(): Job {
  const opened = openJob(readFileSync('examples/keepers-cottage.json', 'utf8'));
  if (!opened.ok) throw new Error('the cottage does not open');
  return opened.value;
}

/** Search over many jobs, a year of sun, and a sheet of labels; in the browser against bare reads (bench/browser). */
export async function benchRecord(): Promise<void> {
  const job = cottage();
  console.log('\nInspect and Record: the keeper’s cottage');
  const text = JSON.stringify(job);
  const jobs = Array.from({ length: JOBS }, (_, i): Job => ({
    ...(JSON.parse(text) as Job),
    id: `job-${i}`,
    name: `Cottage ${i}`,
  }));
  const parse = median(() => {
    for (let i = 0; i < JOBS; i++) JSON.parse(text);
  }, 3);
  const gone = median(() => jobs.forEach((own) => void findablesOf({ ...own, rooms: { ...own.rooms } }, [])), 1);
  const all = jobs.flatMap((own) => findablesOf(own, []));
  const index = median(() => void new Finder(all), 1);
  const finder = new Finder(all);
  const asked = median(() => void finder.find('the blue in the loft'), 9);
  const near = median(() => void finder.find('#22394f'), 9);
  line(`${JOBS} jobs gone through, ${all.length} things to find`, ms(gone), times(gone, parse, 'parsing them'));
  line('put into words once', ms(index), times(index, parse, 'parsing them'));
  line('“the blue in the loft”', ms(asked), times(asked, parse, 'parsing them'));
  line('near a colour', ms(near), times(near, asked, 'by words'));
  const takeoffs = rows(job.rooms).map((room) => takeoffRoom(job, room));
  const days = Array.from({ length: 365 }, (_, i) => new Date(Date.UTC(2027, 0, 1 + i)).toISOString().slice(0, 10));
  const bare = median(() => {
    for (const day of days)
      for (let minute = 0; minute < 1440; minute += 5) sunAt(placeOf(job), new Date(Date.parse(day) + minute * 60_000));
  }, 1);
  const year = median(() => days.forEach((day) => takeoffs.forEach((room) => void sunDay(job, room, day))), 1);
  line('a year of sun in four rooms, every five minutes', ms(year), times(year, bare, 'the sun’s positions alone'));
  const one = median(
    () => takeoffs.forEach((room) => void beams(room, room.room.bearing ?? 0, { azimuth: 190, altitude: 25 }, 0.12)),
    99,
  );
  line('one moment of it', ms(one), '');
  const record = jobRecord(job, []);
  const labels = record.surfaces.map((own) => labelFor(record, own));
  const start = performance.now();
  const codes = await Promise.all(
    labels.map((label) =>
      toDataURL([{ data: new TextEncoder().encode(writeLabel(label)), mode: 'byte' }], { margin: 2, scale: 6 }),
    ),
  );
  const drawn = performance.now() - start;
  const printed = Array.from({ length: 200 }, (_, i) => ({
    label: labels[i % labels.length] ?? {},
    code: codes[i % codes.length] ?? '',
  }));
  const laid = median(() => void labelsPdf(printed, 'letter-10'), 5);
  line(`codes of ${labels.length} labels drawn`, ms(drawn), `${(drawn / labels.length).toFixed(1)} ms each`);
  line('200 labels laid out', ms(laid), '');
  await inBrowser(text);
}

/** Search in a real browser over real rows, against reading the rows bare; and the PDF of 200 labels. */
async function inBrowser(text: string): Promise<void> {
  const { url, stop } = await serve();
  const browser = (await (launch as () => Promise<Browser>)()) as Browser;
  const folder = join(tmpdir(), `kovelin-record-${process.pid}`);
  try {
    const page = await browser.newPage({ acceptDownloads: true });
    page.setDefaultTimeout(180_000);
    await page.goto(`${url}/`);
    await page.locator('.jobs-page').waitFor();
    const figures = await page.evaluate(
      async ({ job, jobs }) => {
        const db = await new Promise<IDBDatabase>((resolve, reject) => {
          const asked = indexedDB.open('kovelin');
          asked.onsuccess = () => resolve(asked.result);
          asked.onerror = () => reject(asked.error ?? new Error('not opened'));
        });
        const made = JSON.parse(job) as { id: string; name: string };
        await new Promise<void>((resolve, reject) => {
          const writing = db.transaction('jobs', 'readwrite');
          for (let i = 0; i < jobs; i++)
            writing.objectStore('jobs').put({
              id: `b-${i}`,
              made: `m-${i}`,
              rev: 1,
              name: `Cottage ${i}`,
              updated: i,
              job: { ...made, id: `b-${i}`, name: `Cottage ${i}` },
            });
          writing.oncomplete = () => resolve();
          writing.onerror = () => reject(writing.error ?? new Error('not written'));
        });
        const start = performance.now();
        await new Promise<void>((resolve) => {
          const reading = db.transaction('jobs').objectStore('jobs').getAll();
          reading.onsuccess = () => resolve();
        });
        db.close();
        return { bare: performance.now() - start };
      },
      { job: text, jobs: JOBS },
    );
    const asked = async (query: string): Promise<number> => {
      const start = performance.now();
      await page.goto(`${url}/find?q=${encodeURIComponent(query)}`);
      await page.locator('.found > li').first().waitFor();
      return performance.now() - start;
    };
    const first = await asked('the blue in the loft');
    line(
      `in a browser: page opened, ${JOBS} jobs read and searched`,
      ms(first),
      times(first, figures.bare, 'reading the rows bare'),
    );
    const field = page.getByLabel('What do you look for?');
    const again = performance.now();
    await field.fill('green parlour');
    await page.locator('.found').getByText('G4 pale sea green').first().waitFor();
    const next = performance.now() - again;
    line('the next words', ms(next), times(next, figures.bare, 'reading the rows bare'));
    await page.goto(`${url}/demo`);
    await page.locator('.drawing > svg').waitFor();
    await page.goto(page.url().replace(/\/measure.*$/, '/labels'));
    await page.getByLabel('Of each').fill('15');
    await page.keyboard.press('Enter');
    const button = page.getByRole('button', { name: /^PDF of/ });
    const many = Number(/\d+/.exec((await button.textContent()) ?? '')?.[0] ?? 0);
    const waits = page.waitForEvent('download');
    const begun = performance.now();
    await button.click();
    const path = join(folder, 'labels.pdf');
    await (await waits).saveAs(path);
    line(`a PDF of ${many} labels, codes and all`, ms(performance.now() - begun), '');
  } finally {
    rmSync(folder, { recursive: true, force: true });
    await browser.close();
    await stop();
  }
}
