import type { Page } from '@playwright/test';
import { expect, goTo, ledger, openDemo, openPart, settled, test } from './helpers.ts';

/** Counts what the page asks of its workers. */
async function countQuestions(page: Page): Promise<() => Promise<number>> {
  await page.addInitScript(() => {
    const asked = { count: 0 };
    Object.assign(globalThis, { asked });
    const post = Worker.prototype.postMessage as (...args: unknown[]) => void;
    Worker.prototype.postMessage = function (this: Worker, ...args: unknown[]) {
      // a worker that is let go is told so, whenever memory is swept: no question
      if ((args[0] as { type?: string }).type === 'APPLY') asked.count++;
      post.apply(this, args);
    };
  });
  return () => page.evaluate(() => (globalThis as unknown as { asked: { count: number } }).asked.count);
}

test('a tick in the shop asks no worker anything; a wider wall does', async ({ page }) => {
  const asked = await countQuestions(page);
  await openDemo(page);
  await goTo(page, 'Order');
  await page.getByRole('link', { name: 'Shopping list' }).click();
  const box = page.getByRole('main', { name: 'Shopping list' }).getByRole('checkbox').first();
  await box.waitFor();
  await settled(page);
  const before = await asked();
  await box.click();
  await expect(box).toBeChecked();
  await settled(page);
  expect(await asked()).toBe(before);
  await goTo(page, 'Measure');
  const length = page.getByLabel('Length of wall A', { exact: true });
  await length.fill(`14'2"`);
  await length.press('Enter');
  await expect.poll(asked).toBeGreaterThan(before);
});

test('days in the plan, in the price and on the quote are one figure', async ({ page }) => {
  await openDemo(page);
  const { Price } = await ledger(page);
  const days = Number.parseInt((await page.locator('[data-entry=Days] b').textContent()) ?? '');
  await goTo(page, 'Sequence');
  await expect(page.locator('.closing .facts')).toContainText(`${days} days`);
  await goTo(page, 'Order');
  await page.getByRole('button', { name: 'Labor and price' }).click();
  await expect(page.getByText(`Labor, ${days} working days for 2 people`)).toBeVisible();
  await page.getByRole('link', { name: 'Quote' }).click();
  const quote = page.getByRole('main', { name: 'Quote' });
  await expect(quote).toContainText(`About ${days} working days for 2 people`);
  const total = (await quote.locator('[data-total=quote]').textContent()) ?? '';
  expect(Number(total.replace(/[^\d.]/g, '')) * 100).toBeCloseTo(Price ?? 0, 6);
});

test.describe('a worker whose file is gone', () => {
  test.use({ provoked: /whole\.worker|Failed to load|404/ });
  test('loads the page again once, then says so; nothing is “working …” for ever', async ({ page }) => {
    let loads = 0;
    page.on('domcontentloaded', () => loads++);
    await page.route('**/whole.worker*.js', (route) => route.fulfill({ status: 404, body: '' }));
    await page.goto('/demo');
    await expect(page.getByText('A part of this page could not be had')).toBeVisible();
    await expect(page.locator('[data-entry=Days] b')).toHaveText('stopped');
    expect(loads).toBe(2);
    await expect(page.getByLabel('Length of wall A', { exact: true })).toBeVisible();
  });
});

test('from the key press on old figures say so, and no old sum stands under another currency', async ({ page }) => {
  await openPart(page, 'Washroom');
  await settled(page);
  const price = page.locator('.ledger [data-entry=Price]');
  await expect(price.locator('span')).toHaveText('Price');
  const before = await price.locator('b').textContent();
  // every word of the price as it changes, from the key on
  await page.evaluate(() => {
    const seen: string[] = [];
    Object.assign(window, { seen });
    const ledger = document.querySelector('.ledger');
    new MutationObserver(() => {
      seen.push(document.querySelector('[data-entry=Price]')?.textContent ?? '');
    }).observe(ledger ?? document.body, { subtree: true, childList: true, characterData: true });
  });
  await page.getByLabel('Length of wall A', { exact: true }).fill(`9'`);
  await expect(price.locator('span')).toHaveText('Price, old');
  await page.keyboard.press('Enter');
  await settled(page);
  await expect(price.locator('span')).toHaveText('Price');
  await expect(price.locator('b')).not.toHaveText(before ?? '');
  await page.getByRole('button', { name: 'Where the job is' }).click();
  const after = await price.locator('b').textContent();
  await page.getByLabel('Country').selectOption('GB');
  await page.getByRole('button', { name: 'Close' }).click();
  await settled(page);
  await expect(price.locator('b')).toContainText('£');
  const seen = await page.evaluate(() => Reflect.get(window, 'seen') as string[]);
  const sum = (after ?? '').replace('$', '');
  expect(seen.filter((text) => text.includes('£') && text.includes(sum))).toEqual([]);
  expect(seen.some((text) => text.startsWith('Price, old'))).toBe(true);
});
