import { readFileSync } from 'node:fs';
import type { Page } from '@playwright/test';
import { expect, goTo, ledger, openDemo, openPart, openRoom, settled, test, watch } from './helpers.ts';

const at = (page: Page, label: string) => page.getByLabel(`Distance from the start of the wall of ${label}`);
const length = (page: Page, wall: string) => page.getByLabel(`Length of wall ${wall}`, { exact: true });

test('an opening is dragged along its wall and comes to rest; by keyboard and typed as well; undo takes it back', async ({
  page,
}) => {
  await openPart(page, 'Parlour');
  await expect(at(page, 'w4')).toHaveValue(`4'6`);
  const window = page.locator('[data-opening=w4]');
  const wall = page.locator('polygon[data-wall=H]');
  const [from, on] = [await window.boundingBox(), await wall.boundingBox()];
  if (!from || !on) throw new Error('not drawn');
  const middle = on.x + on.width / 2;
  await page.mouse.move(from.x + from.width / 2, from.y + from.height / 3);
  await page.mouse.down();
  await page.mouse.move(middle + 3, from.y + from.height / 3 + 30, { steps: 5 });
  await expect(page.locator('.placing')).toContainText('in the middle');
  await page.mouse.up();
  // as a tape would say it
  await expect(at(page, 'w4')).toHaveValue(`4'6 1/16`);
  await page.mouse.move(middle, from.y + from.height / 3);
  await page.mouse.down();
  await page.mouse.move(middle - 60, from.y + from.height / 3, { steps: 5 });
  await page.mouse.up();
  await expect(at(page, 'w4')).not.toHaveValue(`4'6`);
  for (const before of [`4'6 1/16`, `4'6`]) {
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(at(page, 'w4')).toHaveValue(before);
  }

  const grip = page.getByRole('slider', { name: 'Place of w4 along wall H' });
  await grip.focus();
  await page.keyboard.press('ArrowRight');
  await expect(at(page, 'w4')).toHaveValue(`4'7`);
  await page.keyboard.press('Shift+ArrowLeft');
  await expect(at(page, 'w4')).toHaveValue(`3'7`);
  await expect(grip).toHaveAttribute('aria-valuetext', /^3′ 7″, 5′ .+″ to its end$/);
  await page.keyboard.press('Enter');
  await expect(at(page, 'w4')).toBeFocused();
  await page.keyboard.type(`8'6`);
  await page.keyboard.press('Enter');
  await expect(at(page, 'w4')).toHaveValue(`8'6`);
  await expect.poll(() => at(page, 'w4').evaluate((e: HTMLInputElement) => e.selectionEnd)).toBe(3);
  await expect.poll(() => at(page, 'w4').evaluate((e: HTMLInputElement) => e.selectionStart)).toBe(0);
  await page.keyboard.type(`9'6`);
  await page.keyboard.press('Enter');
  await expect(page.getByText(/Window w4 ends 12′ 6″ along wall H/).first()).toBeVisible();
});

test('the laser fills the length that has the focus, goes on, and keeps the raw reading', async ({ page, baseURL }) => {
  await openPart(page, 'Washroom');
  await page.getByRole('button', { name: 'Laser' }).click();
  await expect(page.locator('.laser')).toContainText('first wall without a length');
  await length(page, 'B').click();
  await expect(page.locator('.laser')).toContainText('“Length of wall B”');
  const meter = await page.context().newPage();
  const faults: string[] = [];
  watch(meter, baseURL ?? '', faults);
  await meter.goto('/instruments/console/');
  const read: string[] = [];
  // now and then a meter gets no answer: then it is pressed again
  while (read.length < 2) {
    await meter.getByLabel(/True distance/).fill(read.length ? '2.235' : '1.885');
    const answer = meter.waitForResponse('**/laser/shots');
    await meter.getByRole('button', { name: 'Measure' }).click();
    const shot = (await (await answer).json()) as { metres: number | null };
    await expect(meter.locator('#display')).toHaveText(shot.metres === null ? 'Err 1' : `${shot.metres.toFixed(4)} m`);
    if (shot.metres !== null) read.push(`${shot.metres.toFixed(4)} m`);
    else await expect(page.locator('.laser')).toContainText('got no answer');
  }
  await expect(length(page, 'B')).toHaveValue(read[0] ?? '');
  await expect(length(page, 'C')).toHaveValue(read[1] ?? '');
  await expect(length(page, 'D')).toBeFocused();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(length(page, 'C')).toHaveValue(`7'4 1/4`);
  await meter.getByLabel(/True distance/).fill('900');
  await meter.getByRole('button', { name: 'Measure' }).click();
  await expect(meter.getByRole('alert')).toContainText('from 0.05 to 60');
  faults.splice(0, faults.length, ...faults.filter((f) => !/400/.test(f)));
  expect(faults).toEqual([]);
  await meter.close();
});

test('the pad on a phone writes feet, inches and fractions, and goes on to the next wall', async ({
  browser,
  baseURL,
}) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
  const page = await context.newPage();
  const faults: string[] = [];
  watch(page, baseURL ?? '', faults);
  await openPart(page, 'Washroom');
  const pad = page.getByRole('group', { name: 'Number pad' });
  await length(page, 'A').tap();
  await expect(length(page, 'A')).toHaveAttribute('inputmode', 'none');
  for (const key of ['7', 'feet', '5', 'inches', '1⁄2'])
    await pad.getByRole('button', { name: key, exact: true }).tap();
  await expect(length(page, 'A')).toHaveValue(`7'5 1/2"`);
  await pad.getByRole('button', { name: 'delete the last' }).tap();
  await pad.getByRole('button', { name: 'inches' }).tap();
  await pad.getByRole('button', { name: 'take it and go on' }).tap();
  await expect(length(page, 'B')).toBeFocused();
  await expect(length(page, 'A')).toHaveValue(`7'5 1/2"`);
  // nothing pushes the page wider than the phone
  expect(await page.evaluate(() => document.scrollingElement?.scrollWidth)).toBe(390);
  expect(faults).toEqual([]);
  await context.close();
});

test('drawings go out to scale and come in again as walls to be confirmed; lists of readings as well', async ({
  page,
}, info) => {
  await openPart(page, 'Parlour', 'Washroom');
  const drawing = async (format: 'DXF' | 'SVG') => {
    const waiting = page.waitForEvent('download');
    await page.getByRole('button', { name: `Parlour as ${format}` }).click();
    const path = info.outputPath(`parlour.${format.toLowerCase()}`);
    await (await waiting).saveAs(path);
    return path;
  };
  const [dxf, svg] = [await drawing('DXF'), await drawing('SVG')];
  expect(readFileSync(svg, 'utf8')).toContain('data-metres-per-unit="0.05"');
  await openRoom(page, 'Washroom');
  const bring = async (from: 'list' | 'plan') => {
    await page.getByRole('button', { name: 'Import …' }).click();
    await page.getByLabel('From', { exact: true }).selectOption(from);
  };
  const dialog = page.getByRole('dialog');
  await bring('plan');
  await dialog.getByLabel('The drawing').setInputFiles({
    name: 'scrap.dxf',
    mimeType: 'text/plain',
    buffer: Buffer.from('0\nSECTION\n2\nENTITIES\n0\nLINE\n8\nwalls\n10\nwide\n'),
  });
  await expect(dialog.getByText('“wide” is not a coordinate')).toBeVisible();
  // a drawing that does not say its unit asks for it
  const unitless = readFileSync(dxf, 'utf8').replace('$INSUNITS', '$OTHER');
  await dialog
    .getByLabel('The drawing')
    .setInputFiles({ name: 'plan.dxf', mimeType: 'text/plain', buffer: Buffer.from(unitless) });
  await expect(dialog.getByText('Choose the unit')).toBeVisible();
  await expect(dialog.getByRole('button', { name: 'Take these walls' })).toBeDisabled();
  await dialog.getByLabel(/Drawn in/).selectOption('m');
  await expect(dialog.getByLabel('What would be taken')).toContainText(`A: 14′`);
  await dialog.getByLabel('The drawing').setInputFiles(svg);
  await dialog.getByRole('button', { name: 'Take these walls' }).click();
  await expect(length(page, 'H')).toHaveValue(`12'3/16`);
  await expect(page.getByText('what stood on its old walls went with them')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(length(page, 'A')).toHaveValue(`7'4`);
  await expect(page.locator('[data-opening=d3]')).toBeVisible();

  await bring('list');
  await dialog.getByLabel(/A length a row/).fill(`C; 7'6\nA; 2,25 m\nhalf a wall`);
  await expect(dialog.getByText('Row 3: “half a wall” holds no length')).toBeVisible();
  await dialog.getByRole('button', { name: 'Take 2 lengths' }).click();
  await expect(length(page, 'C')).toHaveValue(`7'6`);
  await expect(length(page, 'A')).toHaveValue('2,25 m');
  await page.getByRole('button', { name: 'Undo' }).first().click();
  await expect(length(page, 'C')).toHaveValue(`7'4 1/4`);
});

test('the takeoff table and the drawing look at the same surface; totals are the ledger’s; figures show their working', async ({
  page,
}) => {
  await openPart(page, 'Parlour', 'Passage');
  await page.getByRole('button', { name: 'Takeoff', exact: true }).click();
  const table = page.getByRole('table', { name: 'Takeoff of the job' });
  const cell = (row: RegExp, field: string) => table.getByRole('row', { name: row }).locator(`[data-field=${field}]`);
  await cell(/Parlour Wall H/, 'painted').click();
  await expect(page.locator('.panel > h2')).toHaveText('Wall H');
  await expect(page.getByRole('region', { name: 'Working' })).toContainText('Parlour, Wall H, to paint');
  await expect(page.getByRole('region', { name: 'Working' })).toContainText('baseboard');
  await page.getByRole('button', { name: /^Wall B, / }).click();
  await expect(table.getByRole('row', { name: /Parlour Wall B/ })).toHaveAttribute('aria-selected', 'true');
  // what is chosen in the drawing is brought into sight, however far down
  await openRoom(page, 'Passage');
  await page.getByRole('button', { name: /^Wall E, / }).click();
  await expect(table.getByRole('row', { name: /Passage Wall E/ })).toBeVisible();
  await page.getByLabel('Together by').selectOption('kind of surface');
  const all = cell(/The whole job/, 'painted');
  const { 'Paint area': area } = await ledger(page);
  await expect(all).toHaveText(`${Math.round((area ?? 0) / 0.3048 ** 2).toLocaleString('en-US')} ft²`);
  await all.click();
  await expect(page.getByRole('region', { name: 'Working' })).toContainText('Wall, total');
});

test('a dado is a finish of its own: in the drawing, the shorthand, the takeoff and the next step', async ({
  page,
}) => {
  await openPart(page, 'Washroom');
  const before = await ledger(page);
  await page.getByRole('button', { name: /^Wall A, / }).click();
  await page.locator('.below, .parts').scrollIntoViewIfNeeded();
  await page.getByLabel('What there is').selectOption('dado');
  await page.getByRole('button', { name: 'Add it' }).click();
  const line = page.getByRole('group', { name: 'Dado d1' });
  await line.getByLabel('Height').fill(`12'`);
  await expect(page.locator('.drawing [data-surface*="/region/"]')).toHaveCount(1);
  await line.getByLabel('Height').fill(`3'6`);
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Shorthand' }).click();
  await expect(page.getByLabel('Shorthand of Washroom')).toHaveValue(/dado d1 on A 3'6/);
  expect((await ledger(page))['Paint area']).toBeCloseTo(before['Paint area'] ?? 0, 6);
  await page.getByRole('button', { name: /^Wall A, dado d1/ }).click();
  await goTo(page, 'Specify');
  await expect(page.locator('.panel > h2')).toHaveText('Wall A, dado d1');
});

test('the drawing is enlarged, moved and shown whole again; a wall is still what is clicked', async ({ page }) => {
  await openDemo(page);
  const wall = page.locator('polygon[data-wall=B]');
  const width = async () => (await wall.boundingBox())?.width ?? 0;
  const whole = await width();
  await page.getByRole('button', { name: 'Larger' }).click();
  await expect.poll(async () => (await width()) / whole).toBeCloseTo(1.5, 1);
  const middle = async () => {
    const box = await wall.boundingBox();
    if (!box) throw new Error('not drawn');
    return [box.x + box.width / 2, box.y + 30] as const;
  };
  await page.mouse.move(...(await middle()));
  await page.keyboard.down('Control');
  await page.mouse.wheel(0, -12);
  await page.keyboard.up('Control');
  await expect.poll(width).toBeGreaterThan(whole * 1.6);
  const [x, y] = await middle();
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x - 40, y + 5, { steps: 4 });
  await page.mouse.up();
  expect((await middle())[0]).toBeCloseTo(x - 40, 0);
  await page.mouse.click(...(await middle()));
  await expect(page.locator('.panel > h2')).toHaveText('Wall B');
  await page.getByRole('button', { name: 'whole room' }).click();
  await expect.poll(width).toBeCloseTo(whole, 0);
  await settled(page);
});
