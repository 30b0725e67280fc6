import { readFileSync } from 'node:fs';
import type { BrowserContext, Page } from '@playwright/test';
import { readBarcodes } from 'zxing-wasm/reader';
import { readLabel } from '../core/src/record/label.ts';
import { prepared } from './codes.ts';
import { expect, goTo, openLoft, openPart, settled, test } from './helpers.ts';

/** Pages of a PDF as pictures, drawn by another program than made it (pdf.js), and its text. */
async function drawn(context: BrowserContext, path: string): Promise<{ pictures: Uint8Array[]; text: string }> {
  const blank = await context.newPage();
  const lib = (file: string) => readFileSync(`node_modules/pdfjs-dist/legacy/build/${file}`, 'utf8');
  await blank.addScriptTag({ content: lib('pdf.worker.mjs'), type: 'module' });
  // a module keeps its names to itself
  await blank.addScriptTag({ content: `${lib('pdf.mjs')}\nglobalThis.pdfjsLib = { getDocument };`, type: 'module' });
  await blank.waitForFunction(() => 'pdfjsLib' in globalThis && 'pdfjsWorker' in globalThis);
  const bytes = readFileSync(path).toString('base64');
  const found = await blank.evaluate(async (data) => {
    interface Lib {
      getDocument: (of: object) => { promise: Promise<Pdf> };
    }
    interface Pdf {
      numPages: number;
      getPage: (n: number) => Promise<{
        getViewport: (of: object) => { width: number; height: number };
        render: (of: object) => { promise: Promise<void> };
        getTextContent: () => Promise<{ items: { str: string }[] }>;
      }>;
    }
    const lib = (globalThis as unknown as { pdfjsLib: Lib }).pdfjsLib;
    const raw = Uint8Array.from(atob(data), (c) => c.charCodeAt(0));
    const pdf = await lib.getDocument({ data: raw }).promise;
    const pages: { picture: string; text: string }[] = [];
    for (let n = 1; n <= pdf.numPages; n++) {
      const page = await pdf.getPage(n);
      const viewport = page.getViewport({ scale: 3 });
      const canvas = document.createElement('canvas');
      [canvas.width, canvas.height] = [viewport.width, viewport.height];
      await page.render({ canvasContext: canvas.getContext('2d'), canvas, viewport }).promise;
      const { items } = await page.getTextContent();
      pages.push({ picture: canvas.toDataURL('image/png'), text: items.map(({ str }) => str).join(' ') });
    }
    return pages;
  }, bytes);
  await blank.close();
  const pictures = found.map(({ picture }) => Uint8Array.from(Buffer.from(picture.split(',')[1] ?? '', 'base64')));
  return { pictures, text: found.map(({ text }) => text).join('\n') };
}
const saved = async (page: Page, press: () => Promise<void>, path: string): Promise<string> => {
  const download = page.waitForEvent('download');
  await press();
  await (await download).saveAs(path);
  return path;
};
const surface = (page: Page, wall: string) => page.locator(`[data-surface$="/field"][aria-label^="Wall ${wall},"]`);

test('labels: each code of the printed PDF is read by another decoder, and says what its words say', async ({
  page,
  context,
}, info) => {
  await openPart(page, 'Washroom');
  await goTo(page, 'Record');
  await expect(page.locator('.record-table')).toContainText('All four walls');
  await page.getByRole('link', { name: 'Labels' }).click();
  const path = await saved(
    page,
    () => page.getByRole('button', { name: /^PDF of/ }).click(),
    info.outputPath('labels.pdf'),
  );
  const { pictures, text } = await drawn(context, path);
  await prepared('reader');
  const codes = (
    await Promise.all(
      pictures.map((png) => readBarcodes(new Blob([png as BlobPart]), { formats: ['QRCode'], maxNumberOfSymbols: 40 })),
    )
  ).flat();
  const cards = await page.locator('.label-card pre').allTextContents();
  expect(codes.length).toBe(2 * cards.length);
  for (const card of cards) expect(codes.filter((code) => code.text === card)).toHaveLength(2);
  for (const { text: code } of codes) {
    const read = readLabel(code);
    expect(read.ok).toBe(true);
    if (read.ok)
      for (const word of [read.value.label.ROOM, read.value.label.PAINT])
        expect(text.replace(/\s+/g, ' ').replace(/- /g, '-')).toContain(word ?? '');
  }
  // the home record has what is there, what is under it, what is left and how to care for it
  await page.goBack();
  await page.getByRole('link', { name: 'Home record' }).click();
  const home = await drawn(
    context,
    await saved(page, () => page.getByRole('button', { name: 'PDF' }).click(), info.outputPath('home.pdf')),
  );
  for (const words of [/P3 shell/, /sprayed/, /Oil store, second shelf/, /Do not wash the walls for 30 days/])
    expect(home.text.replace(/\s+/g, ' ')).toMatch(words);
});

test('a label scanned from a picture becomes earlier paint, uncertain; a foreign code says what it is; the next job begins with it', async ({
  page,
}, info) => {
  await openLoft(page);
  await goTo(page, 'Record');
  await surface(page, 'A').click();
  await expect(page.locator('.no-record')).toBeVisible();
  const { toFile } = await import('qrcode');
  const text = 'KOVELIN/1\nPAINT:Lime wash\nCOLOUR:Old ochre\nHEX:#c9a45c\nSHEEN:matt\nDATE:2011\nROOM:Loft';
  const [good, foreign] = [info.outputPath('good.png'), info.outputPath('foreign.png')];
  await toFile(good, text, { width: 500 });
  await toFile(foreign, 'https://example.org/menu', { width: 400 });
  await page.getByRole('button', { name: 'Scan a label' }).click();
  const pictures = page.locator('.scanner input[type=file]');
  await pictures.setInputFiles(foreign);
  await expect(page.getByRole('status').filter({ hasText: 'This code says “https://example.org/menu”' })).toBeVisible();
  await pictures.setInputFiles(good);
  await expect(page.getByLabel('Paint', { exact: true })).toHaveValue('Lime wash');
  await page.getByLabel('How laid').selectOption('brush');
  await page.getByRole('button', { name: 'Put it on record' }).click();
  await expect(page.locator('.stack')).toContainText('Lime wash, Old ochre');
  await expect(page.locator('.stack')).toContainText('not certain');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.locator('.stack')).toHaveCount(0);
  await page.getByRole('button', { name: 'Redo' }).click();
  await settled(page);
  await page.getByRole('button', { name: 'Paint these rooms again' }).click();
  await page.waitForURL(/specify/);
  await settled(page);
  await goTo(page, 'Record');
  await surface(page, 'A').click();
  await expect(page.locator('.stack')).toContainText('Lime wash, Old ochre');
  // and both jobs are found by what people call it
  await page.getByRole('link', { name: 'Find paint' }).click();
  await page.getByLabel('What do you look for?').fill('yellow in the loft');
  await expect(page.locator('.found > li')).toHaveCount(2);
  await expect(page.locator('.found')).toContainText('Old ochre, Lime wash');
  await page.getByLabel('What do you look for?').fill('sauna');
  await expect(page.locator('.empty-find')).toBeVisible();
});

test('colours on trial: judged on a wall in each light, dropped, and the one that is left goes to Specify', async ({
  page,
}) => {
  await openLoft(page);
  await goTo(page, 'Record');
  await page.getByRole('button', { name: 'Choose a color' }).click();
  for (const name of ['Fog', 'Reed']) {
    await page.getByRole('button', { name: 'Put a color on trial' }).click();
    const trial = page.locator('.add-sample');
    await trial.getByLabel('Name', { exact: true }).fill(name);
    await trial.getByLabel('Maker’s code').fill(`${name} 1`);
    await trial.locator('input[type=color]').fill(name === 'Fog' ? '#c9cdcb' : '#9fae8d');
    await page.getByRole('button', { name: 'On trial' }).click();
  }
  await surface(page, 'B').click();
  const reed = page.getByRole('region', { name: 'Trial of Reed' });
  await reed.getByRole('group', { name: 'Reed, evening' }).getByRole('button', { name: 'yes' }).click();
  await expect(reed).toContainText('1 yes, 0 not sure, 0 no; not seen yet: morning, noon, lamp');
  await page.getByRole('region', { name: 'Trial of Fog' }).getByRole('button', { name: 'Put aside' }).click();
  await expect(page.locator('.trial')).toHaveCount(1);
  await reed.getByRole('button', { name: 'It is this one' }).click();
  await settled(page);
  await goTo(page, 'Specify');
  await surface(page, 'B').click();
  await expect(page.locator('.panel')).toContainText('Reed');
});

test('what was half said of an earlier paint is there after a reload and another step; nonsense is refused beside its field', async ({
  page,
}) => {
  await openLoft(page);
  await goTo(page, 'Record');
  await surface(page, 'B').click();
  await page.getByRole('button', { name: 'Add earlier paint' }).click();
  const field = (label: string) => page.getByLabel(label, { exact: true });
  for (const [label, typed, sentence] of [
    ['When (a year will do)', 'last spring', 'A year, a month or a day is accepted: 2019, 2019-05 or 2019-05-30.'],
    ['Coats', '2 1/2', 'Coats from 1 to 20.'],
    ['Color, #rrggbb', 'greyish', 'Six figures such as #d5d6d2.'],
  ] as const) {
    await field(label).fill(typed);
    await field(label).press('Tab');
    await expect(page.locator('.earlier-form').getByRole('alert')).toHaveText(sentence);
    await field(label).press('Escape');
    await expect(page.locator('.earlier-form').getByRole('alert')).toHaveCount(0);
  }
  await field('Paint').fill('Shop-mixed, from the shed');
  await field('Paint').press('Enter');
  await field('Coats').fill('3');
  await page.reload();
  await expect(field('Paint')).toHaveValue('Shop-mixed, from the shed');
  await expect(field('Coats')).toHaveValue('3');
  // of this wall only, and not on record yet
  await surface(page, 'C').click();
  await expect(page.getByRole('button', { name: 'Add earlier paint' })).toBeVisible();
  await goTo(page, 'Inspect');
  await goTo(page, 'Record');
  await surface(page, 'B').click();
  await page.getByRole('button', { name: 'Put it on record' }).click();
  await expect(page.locator('.record-table tr').filter({ hasText: 'Wall B' })).toContainText('Shop-mixed');
  await page.reload();
  await surface(page, 'B').click();
  await expect(page.getByRole('button', { name: 'Add earlier paint' })).toBeVisible();
  // what is left of a paint
  await page.getByRole('button', { name: 'What is left' }).click();
  const left = page.getByRole('table', { name: 'Leftovers' }).getByLabel(/^Left of Wall paint/);
  await left.fill('half a can');
  await left.press('Enter');
  await expect(page.getByRole('alert')).toContainText('“half a can');
  await left.fill('1.5');
  await left.press('Enter');
  await expect(left).toHaveValue('1.5 qt');
});
