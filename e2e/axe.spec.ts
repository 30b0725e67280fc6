import { faultsIn } from './axe.ts';
import { expect, goTo, openPart, settled, test, visit } from './helpers.ts';

const STEPS = [
  ['Measure', 'Specify', 'Order', 'Technique'],
  ['Sequence', 'Site', 'Inspect', 'Record'],
] as const;
for (const steps of STEPS)
  test(`axe finds nothing in ${steps.join(', ')}`, async ({ page }) => {
    await openPart(page, 'Loft bedroom');
    const faults: string[] = [];
    for (const step of steps) {
      await goTo(page, step);
      await page.locator('.drawing > svg').waitFor();
      await settled(page);
      faults.push(...(await faultsIn(page, step)));
    }
    expect(faults).toEqual([]);
  });

test('axe finds nothing in what opens: sides, tables and dialogs', async ({ page }) => {
  await openPart(page, 'Loft bedroom');
  const faults: string[] = [];
  const press = (name: string) => page.getByRole('button', { name, exact: true }).first().click();
  const look = async (where: string, part: string) => void faults.push(...(await faultsIn(page, where, part)));
  await press('Shorthand');
  await look('Shorthand', '.entry-panel');
  await goTo(page, 'Specify');
  for (const side of ['Existing', 'Preview']) {
    await press(side);
    await look(side, '.panel');
  }
  await goTo(page, 'Order');
  for (const table of ['Everything else', 'Labor and price']) {
    await press(table);
    await look(table, '.entry-panel');
  }
  const dialogs = [
    ['Order', 'Prices …'],
    ['Order', 'Starting values …'],
    ['Order', 'Keys and guides'],
    ['Order', 'Where the job is'],
    ['Specify', 'How I work …'],
    ['Specify', 'More colors …'],
    ['Specify', 'Read one …'],
    ['Measure', 'Import …'],
  ] as const;
  for (const [step, opens] of dialogs) {
    await goTo(page, step);
    if (step === 'Specify') await press('New paint');
    await page.getByRole('button', { name: opens }).click();
    await page.getByRole('dialog').getByRole('heading').first().waitFor();
    await expect(page.locator('.MuiDialog-container')).toHaveCSS('opacity', '1');
    faults.push(...(await faultsIn(page, opens, '.MuiDialog-root')));
    await page.keyboard.press('Escape');
    await expect(page.getByRole('dialog')).toHaveCount(0);
  }
  expect(faults).toEqual([]);
});

for (const papers of [
  ['schedule', 'quote', 'list', 'lines', 'sheet'],
  ['punch', 'acceptance', 'labels', 'home'],
] as const)
  test(`axe finds nothing on the papers ${papers.join(', ')}`, async ({ page }) => {
    await openPart(page, 'Loft bedroom');
    const job = new URL(page.url()).pathname.split('/').slice(0, 3).join('/');
    const faults: string[] = [];
    for (const paper of papers) {
      await visit(page, `${job}/${paper}`);
      await page.locator('h1').waitFor();
      await settled(page);
      faults.push(...(await faultsIn(page, paper)));
    }
    expect(faults).toEqual([]);
  });

test('axe finds nothing on the pages that are of no job', async ({ page }) => {
  await page.goto('/');
  await page.locator('.start-card').waitFor();
  const faults = await faultsIn(page, 'first page');
  await openPart(page, 'Loft bedroom');
  for (const path of [
    '/',
    '/kept',
    '/find',
    '/bring-in',
    '/hand-over/keepers-cottage',
    '/help',
    '/help/words',
    '/help/technique',
  ]) {
    await visit(page, path);
    await page.locator('h1').waitFor();
    faults.push(...(await faultsIn(page, path)));
  }
  expect(faults).toEqual([]);
});

test('axe finds nothing on a phone, in any step, with what is chosen opened from below', async ({ browser }) => {
  const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
  const page = await phone.newPage();
  await openPart(page, 'Loft bedroom');
  const faults: string[] = [];
  for (const step of STEPS.flat()) {
    await page.locator('.phone-top .where').tap();
    await page.getByRole('link', { name: step }).tap();
    await page.getByRole('main', { name: step }).waitFor();
    await settled(page);
    const sheet = page.locator('.sheet-handle');
    if (await sheet.isVisible()) await sheet.tap();
    faults.push(...(await faultsIn(page, step)));
  }
  expect(faults).toEqual([]);
  await phone.close();
});
