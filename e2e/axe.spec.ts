import axe from 'axe-core';
import type { Page } from '@playwright/test';
import { expect, goTo, openPart, settled, test, visit } from './helpers.ts';

/** What axe finds, best practice included; of long lists of things alike in the first dozen. Colours of the other schemes: `palette.test.ts`. */
async function faultsIn(page: Page, where: string, ...parts: readonly string[]): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
  // buttons pass from one colour to the other, what opens moves in
  await page.evaluate(() => Promise.all(document.getAnimations().map((running) => running.finished)));
  const found = await page.evaluate(async (include) => {
    const there = (window as unknown as { axe: typeof axe }).axe;
    const { violations } = await there.run(
      {
        ...(include.length > 0 ? { include: [...include] } : {}),
        exclude: ['.tasks li:nth-child(n + 12)', '.bar:nth-of-type(n + 12)'],
      },
      // what passes is not put into words
      { resultTypes: ['violations'] },
    );
    const at = (nodes: (typeof violations)[number]['nodes']) => nodes.slice(0, 3).map((node) => node.target.join(' '));
    return violations.map(({ id, nodes }) => `${id} ${at(nodes).join(' | ')}`);
  }, parts);
  return found.map((fault) => `${where}: ${fault}`);
}

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
  for (const side of ['There now', 'Will look']) {
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
    ['Specify', 'Your practice …'],
    ['Specify', 'More colors …'],
    ['Specify', 'Read one …'],
    ['Measure', 'Bring in …'],
  ] as const;
  for (const [step, opens] of dialogs) {
    await goTo(page, step);
    if (step === 'Specify') await press('Goes on');
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
