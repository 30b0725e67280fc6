import exifr from 'exifr';
import JSZip from 'jszip';
import { readBarcodes } from 'zxing-wasm/reader';
import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import piexif from 'piexifjs';
import type { Browser, Download, Page } from '@playwright/test';
import chromium from '../scripts/chromium-args.json' with { type: 'json' };
import { chromiumHere } from '../scripts/setup.mjs';
import { prepared } from './codes.ts';
import { expect, openLoft, settled, test, watch, visit } from './helpers.ts';

/** What a camera would see, in place of one: Chromium reads it when the camera is asked for. */
const CAMERA = join(tmpdir(), `kovelin-camera-${process.pid}.y4m`);
test.use({
  launchOptions: {
    args: [
      ...chromium,
      '--use-fake-device-for-media-stream',
      '--use-fake-ui-for-media-stream',
      `--use-file-for-fake-video-capture=${CAMERA}`,
    ],
    executablePath: chromiumHere() ?? '',
  },
});
test.afterAll(() => rmSync(CAMERA, { force: true }));

/** Another device: another browser profile. */
async function device(
  browser: Browser,
  baseURL = '',
): Promise<{ page: Page; faults: string[]; end: () => Promise<void> }> {
  const context = await browser.newContext({
    baseURL,
    viewport: { width: 1280, height: 800 },
    serviceWorkers: 'block',
  });
  const page = await context.newPage();
  const faults: string[] = [];
  watch(page, baseURL, faults);
  return { page, faults, end: () => context.close() };
}
const bytesOf = async (download: Download): Promise<Buffer> => readFileSync((await download.path()) ?? '');
async function saved(page: Page, press: string): Promise<Buffer> {
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: press }).click();
  return bytesOf(await download);
}
async function bring(page: Page, name: string, buffer: Buffer): Promise<void> {
  await page.goto('/bring-in');
  await page.getByLabel('Open a file').setInputFiles({ name, mimeType: 'application/zip', buffer });
}
async function measure(page: Page, job: string, lengths: Readonly<Record<number, string>>): Promise<void> {
  await visit(page, `/job/${job}/measure`);
  for (const [nth, text] of Object.entries(lengths)) {
    const field = page.locator('input[id^=length-]').nth(Number(nth));
    await field.fill(text);
    await field.press('Enter');
  }
  await settled(page);
}
const lengthsOf = (page: Page) =>
  page
    .locator('input[id^=length-]')
    .evaluateAll((all) => all.slice(0, 3).map((one) => (one as HTMLInputElement).value));

/** A photo of so many pixels as a camera makes it, with where it was taken written into it. */
async function photograph(page: Page, width: number, height: number): Promise<Buffer> {
  const url = await page.evaluate(
    ([w = 0, h = 0]) => {
      const canvas = Object.assign(document.createElement('canvas'), { width: w, height: h });
      const context = canvas.getContext('2d');
      if (!context) throw new Error('no canvas');
      for (let i = 0; i < 60; i++) {
        context.fillStyle = `hsl(${i * 6} 50% 60%)`;
        context.fillRect((w * i) / 60, 0, w / 60, h);
      }
      return canvas.toDataURL('image/jpeg');
    },
    [width, height],
  );
  // tags 1 to 4 of a GPS directory (CIPA DC-008, Exif): 52.5 N, 13.4 E
  const degrees = (whole: number, minutes: number) => [
    [whole, 1],
    [minutes, 1],
    [0, 1],
  ];
  const where = { 1: 'N', 2: degrees(52, 30), 3: 'E', 4: degrees(13, 24) };
  const located = piexif.insert(piexif.dump({ GPS: where }), url);
  return Buffer.from(located.split(',')[1] ?? '', 'base64');
}

test('a job goes to another device and comes back: logs are united, differences shown and chosen, a photo comes without its place', async ({
  page,
  browser,
  baseURL,
}) => {
  const job = await openLoft(page);
  const phone = await device(browser, baseURL);
  await visit(page, `/hand-over/${job}`);
  await bring(phone.page, 'loft.kovelin.zip', await saved(page, 'Save the file'));
  await phone.page.getByRole('button', { name: 'Import' }).click();
  await phone.page.locator('.drawing > svg').first().waitFor();
  // on the phone: a length, work begun, a photo
  await measure(phone.page, job, { 1: `10'5`, 2: `12'7` });
  await visit(phone.page, `/job/${job}/site`);
  await phone.page.getByRole('button', { name: 'Start', exact: true }).click();
  const taken = await photograph(phone.page, 4000, 3000);
  expect((await exifr.gps(taken)).latitude).toBeCloseTo(52.5, 3);
  const card = phone.page.locator('.now-card').locator('input[type=file]');
  await card.setInputFiles({ name: 'wall.jpg', mimeType: 'image/jpeg', buffer: taken });
  await phone.page.getByRole('button', { name: 'Log', exact: true }).click();
  await phone.page.locator('.log .photo img').waitFor();
  // what is none is said, and nothing is noted
  const letter = Buffer.from('Dear painter, this is no photo.');
  await card.setInputFiles({ name: 'letter.jpg', mimeType: 'image/jpeg', buffer: letter });
  await expect(phone.page.getByText(/letter.jpg was not taken.*no photo/)).toBeVisible();
  await phone.page.getByRole('alert').getByRole('button', { name: 'Close' }).click();
  // 60 MB: more than is handed to a page in one piece, so it comes from the disk
  const huge = join(tmpdir(), `kovelin-huge-${process.pid}.jpg`);
  writeFileSync(huge, Buffer.concat([taken, Buffer.alloc(60 * 1024 * 1024 - taken.length)]));
  await card.setInputFiles(huge);
  await expect(phone.page.getByText(/60 MB; photos of up to 50 MB/)).toBeVisible();
  rmSync(huge);
  await expect(phone.page.locator('.log li')).toHaveCount(2);
  // meanwhile here: another length, and one of the same
  await measure(page, job, { 0: `12'8`, 1: `10'3` });
  await visit(page, `/job/${job}/site`);
  await page.getByRole('button', { name: 'Log', exact: true }).click();
  await page.getByLabel('Note').fill('The key is under the mat');
  await page.getByRole('button', { name: 'Note it' }).click();
  await expect(page.locator('.log li')).toHaveCount(1);
  await visit(phone.page, `/hand-over/${job}`);
  const back = await saved(phone.page, 'Save the file');
  // opened by another library: the photo is small, and nothing says where it was taken
  const zip = await JSZip.loadAsync(back, { checkCRC32: true });
  const [photo] = zip.file(/^photos\//);
  const kept = Buffer.from((await photo?.async('uint8array')) ?? []);
  expect(kept.length).toBeGreaterThan(1000);
  expect(await exifr.parse(kept, true)).not.toHaveProperty('latitude');
  expect(await exifr.gps(kept)).toBeUndefined();
  await bring(page, 'back.kovelin.zip', back);
  const things = page.locator('.difference');
  await expect(things).toHaveCount(3);
  await expect(things.nth(0)).toContainText('changed here');
  await expect(things.nth(1)).toContainText('changed on both sides');
  await expect(things.nth(2)).toContainText('changed there');
  await expect(page.locator('.arrival')).toContainText('2 entries of its log and 1 photo');
  // where both changed a thing nobody has chosen for anybody
  await expect(things.nth(1).getByRole('radio', { checked: true })).toHaveCount(0);
  await expect(page.getByText('One thing is still to be chosen')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Import' })).toBeDisabled();
  await things
    .nth(1)
    .getByLabel(/As it came/)
    .check();
  await page.getByRole('button', { name: 'Import' }).click();
  await settled(page);
  expect(await lengthsOf(page)).toEqual([`12'8`, `10'5`, `12'7`]);
  await visit(page, `/job/${job}/site`);
  await page.getByRole('button', { name: 'Log', exact: true }).click();
  await expect(page.locator('.log li')).toHaveCount(3);
  await expect(page.locator('.log .photo img')).toBeVisible();
  // what stood here before is in the backups, and comes back from there
  await visit(page, '/kept');
  // an hour may have passed, or the first half minute: there may be a rolling one too
  const before = page.locator('.backups li', { hasText: 'before something was brought in' }).first();
  await before.getByRole('button', { name: 'Look into it' }).click();
  await expect(things).toHaveCount(2);
  await expect(things.first()).toContainText('who changed it is not known');
  await page.getByRole('button', { name: 'all as it came' }).click();
  await page.getByRole('button', { name: 'Import' }).click();
  await settled(page);
  expect(await lengthsOf(page)).toEqual([`12'8`, `10'3`, `12'6`]);
  // everything, on a device that knows nothing of it
  await visit(page, '/kept');
  const all = await saved(page, 'Export everything');
  const third = await device(browser, baseURL);
  await bring(third.page, 'all.kovelin.zip', all);
  await expect(third.page.locator('.arrival')).toContainText('3 entries of its log and 1 photo');
  await bring(third.page, 'cut.kovelin.zip', all.subarray(0, all.length - 100));
  await expect(third.page.getByRole('alert')).toContainText('damaged or was cut off');
  for (const one of [phone, third]) {
    expect(one.faults).toEqual([]);
    await one.end();
  }
});

interface Grey {
  readonly side: number;
  readonly pixels: Buffer;
}
/** What a picture on the page looks like, in grey. */
async function greyOf(page: Page, nth: number, side: number): Promise<Grey> {
  await page.getByLabel(/^Code, of/).fill(String(nth));
  await page.keyboard.press('Enter');
  const image = page.getByRole('img', { name: `Code ${nth} of` });
  await image.waitFor();
  const text = await image.evaluate(async (shown: HTMLImageElement, size) => {
    await shown.decode();
    const canvas = Object.assign(document.createElement('canvas'), { width: size, height: size });
    const context = canvas.getContext('2d');
    if (!context) throw new Error('no canvas');
    context.drawImage(shown, 0, 0, size, size);
    const { data } = context.getImageData(0, 0, size, size);
    let grey = '';
    for (let i = 0; i < data.length; i += 4) grey += String.fromCharCode(data[i] ?? 0);
    return btoa(grey);
  }, side);
  return { side, pixels: Buffer.from(text, 'base64') };
}
/** What an independent decoder reads. */
async function decoded({ side, pixels }: Grey): Promise<string> {
  await prepared('reader');
  const data = new Uint8ClampedArray(side * side * 4);
  for (let i = 0; i < pixels.length; i++) data.fill(pixels[i] ?? 0, i * 4, i * 4 + 3).fill(255, i * 4 + 3, i * 4 + 4);
  const [found] = await readBarcodes({ data, width: side, height: side, colorSpace: 'srgb' } as ImageData, {
    formats: ['QRCode'],
  });
  return found?.text ?? '';
}
/** A film of pictures (YUV4MPEG2, grey), each for some frames. */
function film(pictures: readonly Grey[], width: number, height: number): Buffer {
  const grey = Buffer.alloc((width * height) / 2, 128);
  return Buffer.concat([
    Buffer.from(`YUV4MPEG2 W${width} H${height} F2:1 Ip A1:1 C420jpeg\n`),
    ...pictures.flatMap(({ side, pixels }) => {
      const frame = Buffer.alloc(width * height, 200);
      const [left, top] = [(width - side) / 2, (height - side) / 2];
      for (let y = 0; y < side; y++) pixels.copy(frame, (top + y) * width + left, y * side, (y + 1) * side);
      return [Buffer.from('FRAME\n'), frame, grey];
    }),
  ]);
}

test('a job as codes: read by another decoder, by a camera in any order with those missing named, and from pictures', async ({
  page,
  browser,
  baseURL,
}) => {
  const job = await openLoft(page);
  await visit(page, `/hand-over/${job}`);
  await page.getByRole('button', { name: 'Show the codes' }).click();
  await page.getByRole('button', { name: 'Stop' }).click();
  const count = Number(
    /of (\d+)/.exec((await page.getByRole('img', { name: /^Code 1 of/ }).getAttribute('alt')) ?? '')?.[1],
  );
  expect(count).toBeGreaterThan(3);
  const shown: Grey[] = [];
  for (let n = 1; n <= count; n++) shown.push(await greyOf(page, n, 700));
  const texts = await Promise.all(shown.map(decoded));
  expect(texts.map((text) => text.split(' ').slice(0, 2).join(' '))).toEqual(
    texts.map((_, i) => `KOVELIN-QR/1 ${i + 1}/${count}`),
  );
  // the camera sees all but the second, the last first, over and over
  const seen = [...shown].reverse().filter((_, i) => i !== count - 2);
  writeFileSync(CAMERA, film(seen, 960, 720));
  const other = await device(browser, baseURL);
  await other.page.goto('/bring-in');
  await other.page.getByRole('button', { name: 'Use the camera' }).click();
  await expect(other.page.getByText(`${count - 1} of ${count} read; still missing: 2`)).toBeVisible();
  await other.page.getByRole('button', { name: 'Camera off' }).click();
  // that one comes as a picture
  await page.getByLabel(/^Code, of/).fill('2');
  await page.keyboard.press('Enter');
  const picture = await page.getByRole('img', { name: `Code 2 of ${count}` }).screenshot();
  await other.page.getByLabel('Open pictures').setInputFiles([
    { name: 'no-code.png', mimeType: 'image/png', buffer: await page.locator('h1').screenshot() },
    { name: 'second.png', mimeType: 'image/png', buffer: picture },
  ]);
  await expect(other.page.getByText('No code was found in no-code.png')).toBeVisible();
  await expect(other.page.locator('.arrival')).toContainText('Not in this browser: 1 room');
  await other.page.getByRole('button', { name: 'Import' }).click();
  await settled(other.page);
  expect(await lengthsOf(other.page)).toEqual([`12'6 1/2`, `10'4`, `12'6`]);
  expect(other.faults).toEqual([]);
  await other.end();
});
