import { readFileSync } from 'node:fs';
import type { Download, Page } from '@playwright/test';
import { counting, expect, goTo, ledger, openPart, settled, test, visit } from './helpers.ts';

const money = (text: string | null) =>
  Math.round(Number((text ?? '').replace(/[^\d.−-]/g, '').replace('−', '-')) * 100);

/** The text of a PDF, by an independent reader (pdf.js). */
async function pdfText(path: string): Promise<string> {
  const { getDocument } = await import('pdfjs-dist/legacy/build/pdf.mjs');
  const pdf = await getDocument({ data: new Uint8Array(readFileSync(path)), verbosity: 0 }).promise;
  const pages = await Promise.all(
    Array.from({ length: pdf.numPages }, async (_, i) => {
      const { items } = await (await pdf.getPage(i + 1)).getTextContent();
      const text = items.map((item) => ('str' in item ? item.str : '')).join('');
      // a sentence may go on over the page’s number
      return text.replaceAll(/\s/g, '').replace(/page\d+of\d+$/, '');
    }),
  );
  return pages.join('');
}
async function taken(page: Page, act: () => Promise<void>, to: string): Promise<string> {
  const waiting = page.waitForEvent('download');
  await act();
  const got: Download = await waiting;
  await got.saveAs(to);
  return to;
}
const show = (page: Page, table: string) => page.getByRole('button', { name: table, exact: true }).click();

test('the chance of running short is chosen on its curve; the shelf is boxed in, and no wall changes bucket', async ({
  page,
}) => {
  await openPart(page, 'Loft bedroom');
  await goTo(page, 'Order');
  await page.getByRole('button', { name: /^Wall B, / }).click();
  const row = page.locator('.entry-panel tr.chosen');
  await expect(row).toContainText('and 1.27 qt from the shelf');
  const handle = page.getByRole('slider', { name: 'Accepted chance of running out' });
  await expect(handle).toHaveAttribute('aria-valuenow', '5');
  const box = await handle.boundingBox();
  if (!box) throw new Error('no handle');
  // dragged to the right, less risk is taken, and more is wanted
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2 + 40, box.y + box.height / 2, { steps: 4 });
  await page.mouse.up();
  await expect.poll(async () => Number(await handle.getAttribute('aria-valuenow'))).toBeLessThan(3);
  const wanted = () => handle.getAttribute('aria-valuetext');
  const before = await wanted();
  await handle.press('ArrowLeft');
  await expect.poll(wanted).not.toBe(before);
  expect((await ledger(page))['Risk of not finishing']).toBeLessThan(0.05);
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(handle).toHaveAttribute('aria-valuenow', '5');
  // a dearer paint is compared to the end, and taken
  await expect(page.locator('.rivals li')).toHaveCount(2);
  await expect(page.locator('.rivals li').nth(1)).toContainText(/(less|more), labor with it/);
  await page.getByRole('button', { name: 'Mixing' }).click();
  await expect(page.locator('.buckets')).toContainText(/batch 0417, from the shelf/);
  await expect(page.locator('.buckets')).toContainText('Loft bedroom: walls A, B and D');
  await page.getByLabel('Paint there').fill('0');
  await expect(page.getByRole('alert')).toContainText('More than nothing');
  await page.getByLabel('Paint there').fill('9 gal');
  await page.getByLabel('Paint there').press('Enter');
  await page.getByLabel('Batch number').fill('88');
  await page.getByRole('button', { name: 'Put it on the shelf' }).click();
  await expect(row).toContainText('$0.00');
  await page.getByRole('button', { name: 'take off' }).first().click();
  await page.getByRole('button', { name: 'The paint' }).click();
  await page.getByLabel('Volume solids').fill('40');
  await page.keyboard.press('Enter');
  await page.getByLabel('Dry film').fill('1.6 mils');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Solids and film spread 401 ft²\/gal/)).toBeVisible();
  await page.getByLabel('Dry film').fill('thick');
  await expect(page.getByRole('alert')).toContainText('40 um or 1.6 mils');
});

test('materials follow from the job; what is owned is taken off, and a tool that lasts is remembered for the next job', async ({
  page,
}) => {
  await openPart(page, 'Parlour', 'Loft bedroom');
  await goTo(page, 'Order');
  await show(page, 'Everything else');
  const rowOf = (name: RegExp) =>
    page.locator('.entry-panel tr').filter({ has: page.getByRole('rowheader', { name }) });
  const pole = rowOf(/^Extension pole/);
  await expect(pole).toContainText('2 poles');
  await pole.getByLabel('Owned: Extension pole').fill('two');
  await expect(page.getByRole('alert')).toContainText('Whole pieces');
  await pole.getByLabel('Owned: Extension pole').fill('2');
  await page.keyboard.press('Enter');
  await expect(pole).toContainText('none');
  await rowOf(/^Masking tape, 1/)
    .getByRole('button', { name: /rolls?$/ })
    .click();
  await expect(page.locator('.working').first()).toContainText('lines taped');
  await rowOf(/^Caulk/)
    .getByRole('button', { name: 'Caulk', exact: true })
    .click();
  await page.getByLabel(/Price of 1 cartridge/).fill('7.25');
  await page.keyboard.press('Enter');
  await expect(rowOf(/^Caulk/).getByLabel(/Price of 1 cartridge/)).toHaveValue('$7.25');
  await expect(rowOf(/^Caulk/)).toContainText(/your price, \d\d\/\d\d\/\d{4}/);
  await settled(page);
  await page.goto('/');
  await page.getByRole('button', { name: 'New job' }).click();
  await page.getByRole('button', { name: 'Walls one by one' }).click();
  await page.locator('.drawing > svg, .shorthand, [id^=length-]').first().waitFor();
  for (const length of ["12'", "10'", "12'", "10'"]) {
    await page.keyboard.type(length);
    await page.keyboard.press('Enter');
  }
  await goTo(page, 'Order');
  await show(page, 'Everything else');
  await expect(pole).toContainText('none');
});

test('a price is the sum of its lines, options stand apart, and the quote says the same on paper', async ({
  page,
}, info) => {
  await openPart(page, 'Parlour', 'Loft bedroom');
  await goTo(page, 'Order');
  await show(page, 'Labor and price');
  const amounts = async () => {
    const cells = await page.locator('tr[data-line] td:last-child').allTextContents();
    return cells.map(money).reduce((a, b) => a + b, 0);
  };
  const total = async () => money(await page.locator('[data-total=price]').textContent());
  expect(await amounts()).toBe(await total());
  await page.getByLabel('Margin, of the price').fill('100');
  await expect(page.getByRole('alert')).toContainText('From 0 % to 99 % is accepted');
  await page.getByLabel('Margin, of the price').fill('20');
  await page.keyboard.press('Enter');
  await page.getByLabel('Labor billed by').selectOption('days');
  await expect(page.getByRole('rowheader', { name: /^Ines, \d days/ })).toBeVisible();
  expect(await amounts()).toBe(await total());
  expect((await ledger(page))['Price']).toBe(await total());
  // a pace of one's own, from among the starting values
  const work = (await ledger(page))['Work'] ?? 0;
  await page.getByRole('button', { name: 'Starting values …' }).click();
  await page.getByLabel('cutting in a line').fill('-1');
  await expect(page.getByRole('alert')).toContainText('From 0.033 to 320 ft/min is accepted');
  await page.getByLabel('cutting in a line').fill('1');
  await page.keyboard.press('Enter');
  await page.getByRole('dialog').getByRole('button', { name: 'Close' }).click();
  await expect.poll(async () => (await ledger(page))['Work']).toBeGreaterThan(work);
  // what the option adds when it is taken is what it was said to cost
  await settled(page);
  const before = await total();
  const option = page.locator('.shelf li').filter({ hasText: 'built-in' });
  await expect(option.locator('.number')).toHaveText(/\$/);
  const said = money(await option.locator('.number').textContent());
  await option.getByRole('checkbox').check();
  await expect.poll(total).toBe(before + said);
  await option.getByRole('checkbox').uncheck();
  await page.getByRole('button', { name: 'Add an option' }).click();
  await page.getByLabel('Called', { exact: true }).fill('A deep wall');
  await page.getByLabel('What is it?').selectOption({ label: 'painted in B7 deep water blue instead' });
  await page.getByRole('checkbox', { name: 'Wall A', exact: true }).check();
  await page.getByRole('button', { name: 'Price separately' }).click();
  await expect(page.locator('.shelf li').filter({ hasText: 'A deep wall' })).toContainText('B7 deep water blue');
  // the place is not lost to the page
  await expect(page.getByRole('list', { name: 'Options' })).toBeFocused();
  await page.getByLabel('Notes').fill('Key under the third step, Łucja has it; Πειραιάς, Привет, שלום.');
  await page.getByLabel('For', { exact: true }).fill('=the "trust"');
  await page.keyboard.press('Enter');
  const priced = await total();
  await page.getByRole('link', { name: 'Quote' }).click();
  const paper = page.getByRole('main', { name: 'Quote' });
  expect(money(await page.locator('[data-total=quote]').textContent())).toBe(priced);
  await expect(paper).toContainText('follow your local code');
  const path = await taken(
    page,
    () => paper.getByRole('button', { name: 'PDF' }).click(),
    info.outputPath('quote.pdf'),
  );
  const text = await pdfText(path);
  // every sentence and amount of the page is in the file
  const lines = await paper.locator('li, .number, b, .sheet-facts').allTextContents();
  expect(lines.length).toBeGreaterThan(20);
  for (const line of lines)
    expect(text).toContain(line.replaceAll(/\s/g, '').replaceAll('⁄', '/').replaceAll('″', '"'));
  const csv = readFileSync(
    await taken(page, () => paper.getByRole('button', { name: 'CSV' }).click(), info.outputPath('quote.csv')),
    'utf8',
  );
  expect(csv).toContain(`total,,,${(priced / 100).toFixed(2)}`);
});

test.describe('the price desk', () => {
  test.use({ provoked: /503|ERR_INTERNET_DISCONNECTED/ });
  test('the desk is asked when told to; busy, gone or answering, the last known price counts and says its date', async ({
    page,
  }) => {
    await openPart(page, 'Parlour');
    await goTo(page, 'Order');
    const before = await ledger(page);
    let calls = 0;
    await page.route('**/desk/prices', async (route) => {
      calls++;
      const asked = route.request().postDataJSON() as { items: { code: string; litres: number | null }[] };
      if (calls <= 4)
        await route.fulfill({ status: 503, json: { problem: 'Nobody is at the desk just now; ask again.' } });
      else
        await route.fulfill({
          json: {
            desk: 'Counter',
            at: '2026-11-20T09:00:00Z',
            currency: 'USD',
            prices: asked.items.map((i) => ({
              ...i,
              each: i.code === 'PAINT-WALL' ? Math.round(((i.litres ?? 0) / 3.785411784) * 9900) : null,
            })),
          },
        });
    });
    await page.getByRole('button', { name: 'Prices …' }).click();
    const dialog = page.getByRole('dialog');
    const toDesk = () =>
      dialog
        .getByRole('group', { name: 'Where prices come from' })
        .getByRole('button', { name: 'Demonstration: a made-up desk' })
        .click();
    await toDesk();
    const ask = () => dialog.getByRole('button', { name: /^(Ask the desk|Ask again)$/ }).last();
    await ask().click();
    await expect(dialog.getByRole('alert')).toContainText(
      'Nobody is at the desk just now; ask again. The last known prices below go on',
    );
    expect(calls).toBe(4);
    await ask().click();
    await expect(dialog.getByRole('row', { name: /Wall paint, water-borne, 1 gal/ })).toContainText('$99.00 ↑ up');
    await expect(dialog.getByRole('row', { name: /Caulk/ })).toContainText('not sold there');
    await dialog.getByRole('button', { name: /^Take \d+ prices/ }).click();
    await expect.poll(async () => (await ledger(page))['Price']).toBeGreaterThan(before['Price'] ?? 0);
    await page.unroute('**/desk/prices');
    await page.route('**/desk/prices', (route) => route.abort('internetdisconnected'));
    await page.getByRole('button', { name: 'Prices …' }).click();
    await toDesk();
    await expect(dialog.getByRole('row', { name: /Wall paint, water-borne, 1 gal/ })).toContainText(
      'Counter, 11/20/2026',
    );
    await ask().click();
    await expect(dialog.getByRole('alert')).toContainText('The desk cannot be reached. The last known prices');
  });
});

test('a list of 50,000 prices comes in beside the page; cancelled, nothing of it is there; taken by code and by hand', async ({
  page,
}) => {
  await openPart(page, 'Loft bedroom');
  await goTo(page, 'Order');
  await page.getByRole('button', { name: 'Prices …' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: 'From a list' }).click();
  const give = (name: string, text: string) =>
    dialog
      .getByLabel('Price list file')
      .setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text, 'latin1') });
  await give('one.csv', 'nothing\nhere\n');
  await expect(dialog.getByRole('status').first()).toContainText('one column only');
  const rows = Array.from({ length: 50_000 }, (_, i) => `X-${i};Farbe Nr. ${i};2,5 L;${i % 70},90`);
  rows[40_000] = 'PAINT-WALL;Wandfarbe grün;3,785 L;44,10';
  rows[41_000] = 'BAD;Broken;2,5 L;dear';
  const text = ['Code;Artikel;Gebinde;Preis', ...rows].join('\r\n');
  // three times as long, so that there is time to change one's mind
  await give('big.csv', [text, ...rows, ...rows].join('\r\n'));
  await dialog.getByLabel('Size', { exact: true }).selectOption({ label: 'Gebinde' });
  await expect(dialog.locator('.columns')).toContainText('name “Farbe Nr. 0”');
  await dialog.getByRole('button', { name: 'Bring it in' }).click();
  await expect(dialog.getByRole('progressbar', { name: /^Reading / })).toBeVisible();
  await dialog.getByRole('button', { name: 'Cancel' }).click();
  await expect(dialog.getByLabel('List', { exact: true })).toHaveCount(0);
  // it can be brought in again as it stands, and stopped again
  await dialog.getByRole('button', { name: 'Bring it in' }).click();
  await expect(dialog.getByRole('progressbar', { name: /^Reading / })).toBeVisible();
  await dialog.getByRole('button', { name: 'Cancel' }).click();
  await give('big.csv', text);
  await dialog.getByRole('button', { name: 'Bring it in' }).click();
  await expect(dialog.getByText('49,999 prices were read; 1 rows could not be.')).toBeVisible({ timeout: 60_000 });
  await expect(dialog.getByText(/line 41002: “dear” is not a price/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Take all by code or name' }).click();
  await expect(dialog.getByText('Prices of 1 paint were taken.')).toBeVisible();
  await dialog.getByLabel('Look for').fill('nr. 12345');
  await dialog.getByLabel('Take the price for').selectOption('new');
  await dialog.getByRole('button', { name: 'Take Farbe Nr. 12345 X-12345' }).click();
  await expect(dialog.getByText('Farbe Nr. 12345 is in the job now')).toBeVisible();
  await dialog.getByRole('button', { name: 'Close' }).click();
  await page
    .locator('.entry-panel table')
    .getByRole('button', { name: /^\d+ Wall paint, water-borne/ })
    .first()
    .click();
  await page.getByRole('button', { name: 'The paint' }).click();
  await expect(page.getByLabel('Price of 1 gal', { exact: true })).toHaveValue('$44.10');
  await settled(page);
  await page.reload();
  await page.getByRole('button', { name: 'Prices …' }).click();
  await dialog.getByRole('button', { name: 'From a list' }).click();
  await expect(dialog.getByLabel('List', { exact: true })).toContainText('49,999 prices');
});

test.describe('in the shop, on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 }, hasTouch: true });
  test('the list goes aisle by aisle, is ticked off with a thumb, stays so, and goes out as text, CSV and PDF', async ({
    page,
  }, info) => {
    await openPart(page, 'Loft bedroom');
    await visit(page, page.url().replace(/measure.*/, 'list'));
    const list = page.getByRole('main', { name: 'Shopping list' });
    await expect(list.getByRole('heading', { level: 2 }).first()).toHaveText('Paint');
    const first = list.locator('li').first();
    const size = await first.locator('label').boundingBox();
    expect(size?.height ?? 0).toBeGreaterThanOrEqual(44);
    const found = list.locator('header p').first();
    const before = await found.textContent();
    await first.locator('label').tap();
    await expect(first.getByRole('checkbox')).toBeChecked();
    await expect(found).not.toHaveText(before ?? '');
    await settled(page);
    await page.reload();
    await expect(first.getByRole('checkbox')).toBeChecked();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390);
    const file = async (name: string) =>
      taken(page, () => list.getByRole('button', { name, exact: true }).click(), info.outputPath(`list.${name}`));
    const text = readFileSync(await file('Text'), 'utf8');
    expect(text).toMatch(/^\[x\] /m);
    const csv = readFileSync(await file('CSV'), 'utf8');
    const lines = await list.locator('li').count();
    expect([text.match(/^\[.\]/gm)?.length, csv.trim().split('\r\n').length - 2]).toEqual([lines, lines]);
    const pdf = await pdfText(await file('PDF'));
    for (const what of await list.locator('li b').allTextContents()) expect(pdf).toContain(what.replaceAll(/\s/g, ''));
  });
});

test('every price of a room is typed in 30 keys; nothing and other money are said; the next job begins with them, asked once', async ({
  page,
}) => {
  const counted = await counting(page);
  await page.goto('/');
  await page.getByLabel('Who is it for?').selectOption('client');
  await page.getByRole('button', { name: 'Yes, all' }).click();
  await page.getByLabel('Length', { exact: true }).fill(`14'`);
  await page.getByLabel('Width', { exact: true }).fill(`11'`);
  await page.getByRole('button', { name: 'Draw it' }).click();
  await page.locator('.drawing > svg').waitFor();
  await settled(page);
  await goTo(page, 'Order');
  const next = page.getByRole('navigation', { name: 'What is next' });
  await expect(next).toContainText(/(\d+) of \1 prices are samples: type yours\./);
  const all = Number(/\d+/.exec((await next.textContent()) ?? '')?.[0]);
  const first = page.locator('.price.sample input').first();
  for (const [text, sentence] of [
    ['€12', /another currency; this job counts in USD, and nothing is converted/],
    ['free', /A price is more than nothing\. What you have of it already goes on the shelf/],
    ['0', /A price is more than nothing/],
    ['-1', /cannot be negative/],
  ] as const) {
    await first.fill(text);
    await expect(page.getByRole('alert').first()).toContainText(sentence);
  }
  await first.press('Escape');
  const before = (await counted()).keys;
  // each paint is typed; of the rest the first few are, and what stands there is taken
  const typed = ['38', '52', '61', '4', '9'];
  for (let n = 0; n < all; n++) {
    await page.keyboard.type(typed[n] ?? '');
    await page.keyboard.press('Enter');
  }
  await expect(next).toContainText('Prices are yours.');
  expect((await counted()).keys - before).toBeLessThanOrEqual(30);
  await settled(page);
  await page.goto('/');
  await page.getByRole('button', { name: 'New job' }).click();
  const ask = page.getByRole('group', {
    name: /As in your last job, Living room: Painter 1, Painter 2, \d+ prices\. Begin with that\?/,
  });
  await ask.getByRole('button', { name: 'Yes, this time and after' }).click();
  await expect(page.getByRole('checkbox', { name: /^As in your last job, Living room/ })).toBeChecked();
  await page.getByLabel('Length', { exact: true }).fill(`12'`);
  await page.getByLabel('Width', { exact: true }).fill(`11'`);
  await page.getByRole('button', { name: 'Draw it' }).click();
  await page.locator('.drawing > svg').waitFor();
  await goTo(page, 'Order');
  await expect(next).toContainText('Prices are yours.');
});
