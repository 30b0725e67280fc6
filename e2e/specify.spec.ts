import { readFileSync } from 'node:fs';
import { expect, goTo, openDemo, openRoom, settled, test } from './helpers.ts';

test('a system that fails is warned of even when insisted on; insistence and cautions read are recorded, and undone', async ({
  page,
}) => {
  await openDemo(page);
  await openRoom(page, 'Washroom');
  await goTo(page, 'Specify');
  await page.getByRole('button', { name: /^Wall A, / }).click();
  const warned = page.locator('.warned');
  await expect(warned).toHaveCount(0);
  await page.getByRole('button', { name: 'Overrule sheen' }).click();
  await page.getByLabel('Sheen instead').selectOption('flat');
  await expect(warned).toContainText('cannot be wiped');
  await warned.getByLabel('I insist; record it').check();
  await expect(warned).toContainText(/insisted on, \d{4}-\d\d-\d\d/);
  const lead = page.locator('details.caution', { hasText: 'Lead' });
  await lead.locator('summary').click();
  await expect(lead).toContainText('follow your local code');
  await lead.getByRole('button', { name: 'Read' }).click();
  await expect(lead.locator('summary')).toContainText(/read \d{4}/);
  await settled(page);
  await page.reload();
  await expect(warned).toContainText('insisted on');
  // what was read in a room is read on its other walls
  await page.getByRole('button', { name: /^Wall C, / }).click();
  await expect(lead.locator('summary')).toContainText(/read \d{4}/);
  await page.getByLabel(/Oldest paint/).fill('1990');
  await page.keyboard.press('Enter');
  await expect(lead).toHaveCount(0);
});

test('surfaces with one system are overruled together, as one step', async ({ page }) => {
  await openDemo(page);
  await openRoom(page, 'Washroom');
  await goTo(page, 'Specify');
  await page.getByRole('button', { name: /^Wall A, / }).click();
  await page.getByLabel(/overrule all 4 surfaces of the room/).check();
  await page.getByRole('button', { name: 'Overrule sheen' }).click();
  await page.getByLabel('Sheen instead').selectOption('eggshell');
  await page.getByLabel('same systems together').check();
  const row = page.getByRole('row', { name: /Wall A.*Wall B.*Wall C.*Wall D/ });
  await expect(row).toContainText('Eggshell');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row).toContainText('Satin');
});

test('the survey asks what tests tell: an unknown coat is taken for oil until alcohol says otherwise', async ({
  page,
}) => {
  await openDemo(page);
  await goTo(page, 'Specify');
  await page.getByRole('button', { name: /^Wall H, / }).click();
  const primer = page.locator('[data-member=primer]');
  await page.getByLabel('Existing coat').selectOption('unknown');
  await expect(primer).toContainText('a solvent rub could save this coat');
  await page.getByLabel('What happened').selectOption('comes-off');
  await expect(primer).not.toContainText('Bonding');
  await page.getByLabel('What happened').selectOption('stays');
  await expect(primer).toContainText('nothing came off on alcohol');
  await page.getByLabel('What happened').selectOption('comes-off');
  await page.getByLabel('How much came off').selectOption('4');
  await expect(primer).toContainText('holds badly');
  await expect(page.locator('[data-member=prep]')).toContainText('class 4');
});

test('each coat is shown as it would dry, with its curve; colours come from a palette file and go out as CxF', async ({
  page,
}, info) => {
  await openDemo(page);
  await openRoom(page, 'Loft bedroom');
  await goTo(page, 'Specify');
  await page.locator('polygon[data-wall=C]').dispatchEvent('click');
  await expect(page.locator('.hiding-chart canvas')).toBeVisible();
  await page.getByRole('button', { name: 'after coat 1' }).click();
  await expect(page.locator('[data-thin]').first()).toBeVisible();
  await page.getByRole('button', { name: 'fully hidden' }).click();
  await expect(page.locator('[data-thin]')).toHaveCount(0);
  await expect(page.locator('.doubts')).toContainText('rolled 15 % thinner');
  await page.getByRole('button', { name: 'Read one' }).click();
  const press = page.getByRole('button', { name: 'Press the reader' });
  for (let i = 1; i <= 3; i++) {
    await press.click();
    await expect(page.locator('.readings li')).toHaveCount(i);
  }
  await expect(page.getByRole('dialog').getByRole('status')).toContainText(/Mean of \d: LRV \d+, deep/);
  await page.getByRole('button', { name: 'Take this colour' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page.getByLabel('Colour', { exact: true })).not.toHaveValue('deep');
  await page.getByRole('button', { name: 'Colours from a file' }).click();
  const dialog = page.getByRole('dialog');
  const give = (name: string, text: string) =>
    dialog.getByLabel('Palette file').setInputFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });
  await give('bad.cxf', '<!DOCTYPE x [<!ENTITY e SYSTEM "file:///etc/hostname">]><CxF>&e;</CxF>');
  await expect(dialog.getByRole('alert')).toContainText('it was not read');
  await give('coast.gpl', 'GIMP Palette\n195 205 189 Pale weed\n34 57 oops\n120 40 30 Rust 3\n');
  await expect(dialog.getByRole('alert')).toContainText('line 3');
  await dialog.getByLabel(/Rust 3/).check();
  const waiting = page.waitForEvent('download');
  await dialog.getByRole('button', { name: 'The job’s colours as CxF' }).click();
  const path = info.outputPath('colours.cxf');
  await (await waiting).saveAs(path);
  expect(readFileSync(path, 'utf8')).toContain('B7 deep water blue');
  await dialog.getByRole('button', { name: 'Take 1 colour' }).click();
  await page.getByLabel('Colour', { exact: true }).selectOption({ label: 'Rust 3' });
  await expect(page.getByText(/^LRV \d+: deep, strongly/)).toBeVisible();
});
