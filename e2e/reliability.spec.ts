import { expect, goTo, openDemo, openPart, openRoom, settled, test, watch } from './helpers.ts';
import type { Page } from '@playwright/test';

const length = (page: Page, wall: string) => page.getByLabel(`Length of wall ${wall}`, { exact: true });
const saved = (page: Page) => expect(page.locator('.saving')).toHaveText('Saved');

test('what is being typed counts as unsaved, and is there after a reload, a step, another room and Back', async ({
  page,
}) => {
  await openPart(page, 'Washroom', 'Parlour');
  const leave: readonly (readonly [string, string, () => Promise<unknown>])[] = [
    ['A', `7'7"`, () => page.reload()],
    ['B', `6'3"`, () => page.keyboard.press('Alt+2')],
    ['C', `7'7"`, () => openRoom(page, 'Parlour')],
    ['D', `6'3"`, () => page.getByRole('link', { name: 'Kovelin: all jobs' }).click()],
  ];
  for (const [wall, typed, go] of leave) {
    await length(page, wall).fill(typed);
    await expect(page.locator('.saving')).toHaveText('Typing …');
    await go();
    await page.goto('/job/keepers-cottage/measure');
    await page.locator('.drawing > svg').waitFor();
    await openRoom(page, 'Washroom');
    await expect(length(page, wall)).toHaveValue(typed);
    await saved(page);
  }
});

test('what cannot be read is said when it is left behind, and leaves no ghost in the ledger', async ({ page }) => {
  await openPart(page, 'Washroom');
  const area = page.locator('[data-entry="Paint area"] b');
  const before = await area.textContent();
  await length(page, 'A').fill(`19'`);
  await expect(area).not.toHaveText(before ?? '');
  await length(page, 'A').pressSequentially(' x');
  await goTo(page, 'Specify');
  await expect(page.locator('.MuiSnackbar-root')).toContainText("“19' x” for Length of wall A was not taken");
  await expect(area).toHaveText(before ?? '');
});

test('Ctrl Z in a field that is typed in takes back the typing; afterwards, the last edit', async ({ page }) => {
  await openPart(page, 'Washroom');
  const before = await length(page, 'A').inputValue();
  await length(page, 'A').click();
  await page.keyboard.type(`9'9`);
  await page.keyboard.press('Control+z');
  await expect(length(page, 'A')).not.toHaveValue(`9'9`);
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  await page.keyboard.press('Escape');
  await expect(length(page, 'A')).toHaveValue(before);
  // the next key is a new value at once, selected or not
  await page.keyboard.type(`7'6`);
  await page.keyboard.press('Enter');
  await saved(page);
  await page.keyboard.press('Control+z');
  await expect(length(page, 'A')).toHaveValue(before);
});

test('a new job is typed on a phone from an empty profile, by thumb alone', async ({ browser, baseURL }) => {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
  const page = await context.newPage();
  const faults: string[] = [];
  watch(page, baseURL ?? '', faults);
  await page.goto('/');
  await page.getByRole('button', { name: 'Walls one by one' }).tap();
  const pad = page.getByRole('group', { name: 'Number pad' });
  for (const wall of ['A', 'B', 'C', 'D']) {
    await expect(length(page, wall)).toBeFocused();
    await expect(length(page, wall)).toBeInViewport({ ratio: 1 });
    // a tap that something else takes fails
    for (const key of ['1', '2', 'feet']) await pad.getByRole('button', { name: key, exact: true }).tap();
    await pad.getByRole('button', { name: 'take it and go on' }).tap();
    await expect(length(page, wall)).toHaveValue(`12'`);
  }
  await saved(page);
  await expect(page.locator('[data-entry="Paint area"] b')).not.toHaveText('0.0 ft²');
  expect(faults).toEqual([]);
  await context.close();
});

test('a starting value of nothing is refused with what is accepted; the job goes on', async ({ page }) => {
  await openDemo(page);
  await goTo(page, 'Order');
  await page.getByRole('button', { name: /Starting values/ }).click();
  const field = page.getByLabel('covering the floor', { exact: true });
  await field.fill('0');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('dialog')).toContainText('is accepted');
  await page.keyboard.press('Escape');
});

test.describe('the browser keeps nothing, or is full', () => {
  test.use({ provoked: /Quota|denied|IndexedDB|Internal error/ });
  test('storage denied: a sentence with what to do, and no white page', async ({ page }) => {
    await page.addInitScript(() => {
      const refuse = () => {
        throw new DOMException('The operation is insecure: denied', 'SecurityError');
      };
      Object.defineProperty(window, 'localStorage', { get: refuse });
      IDBFactory.prototype.open = refuse;
    });
    await page.goto('/');
    await expect(page.getByRole('alert')).toContainText(/could not be listed.*does not let Kovelin keep anything/);
    await page.getByRole('button', { name: 'Walls one by one' }).click();
    await expect(page.locator('.MuiSnackbar-root')).toContainText('The job was not made');
    await page.goto('/job/x/measure');
    await expect(page.getByRole('heading', { name: 'This job could not be opened' })).toBeVisible();
  });
  test('full: every write that fails is said, nothing is lost, and saving goes on when there is room', async ({
    page,
  }) => {
    await openPart(page, 'Washroom');
    const fill = (full: boolean) =>
      page.evaluate((on) => {
        const store = IDBObjectStore.prototype as IDBObjectStore & { real?: IDBObjectStore['put'] };
        store.real ??= store.put.bind(undefined) && store.put;
        store.put = on
          ? () => {
              throw new DOMException('full', 'QuotaExceededError');
            }
          : store.real;
      }, full);
    await fill(true);
    await length(page, 'A').fill(`7'9`);
    await page.keyboard.press('Enter');
    await expect(page.locator('.saving')).toHaveText('Not saved');
    await expect(page.locator('.MuiSnackbar-root')).toContainText('no room left');
    await fill(false);
    await page.getByRole('button', { name: 'Try again' }).click();
    await saved(page);
    await expect(page.locator('.MuiSnackbar-root')).toHaveCount(0);
    await page.goto('/');
    await fill(true);
    await page.getByRole('button', { name: /^More for/ }).click();
    await page.getByRole('menuitem', { name: 'Delete' }).click();
    await expect(page.locator('.MuiSnackbar-root')).toContainText(/was not deleted: this browser has no room left/);
    await expect(page.locator('.job-card')).toHaveCount(1);
  });
});

test('a browser that throws its database away leaves the copy outside it: it is offered, and all comes back', async ({
  page,
}) => {
  await openPart(page, 'Washroom');
  await length(page, 'A').fill(`7'9`);
  await page.keyboard.press('Enter');
  await saved(page);
  await page.goto('/kept');
  await page.getByRole('button', { name: 'Back up now' }).click();
  await page.locator('.backups li').first().waitFor();
  // what Chromium does with one that it finds damaged
  await page.goto('/mark.svg');
  await page.evaluate(
    () =>
      new Promise<void>((gone, failed) => {
        const request = indexedDB.deleteDatabase('kovelin');
        request.onsuccess = () => gone();
        request.onerror = () => failed(new Error('not deleted'));
      }),
  );
  await page.goto('/');
  await expect(page.getByRole('alert')).toContainText('This browser threw away what Kovelin had kept in it');
  await page.getByRole('button', { name: 'Look into it' }).click();
  await page.getByRole('button', { name: 'Import' }).click();
  await expect(length(page, 'A')).toHaveValue(`7'9`);
  await page.goto('/');
  await page.getByRole('button', { name: 'Throw it away' }).click();
  await expect(page.getByRole('alert')).toHaveCount(0);
  await page.reload();
  await page.locator('.job-card').waitFor();
  await expect(page.getByRole('alert')).toHaveCount(0);
});

test('a job deleted in another tab is noticed, and so is one brought in anew under its name', async ({
  page,
  baseURL,
}) => {
  await openDemo(page);
  const other = await page.context().newPage();
  const faults: string[] = [];
  watch(other, baseURL ?? '', faults);
  await other.goto('/');
  await other.getByRole('button', { name: /^More for/ }).click();
  await other.getByRole('menuitem', { name: 'Delete' }).click();
  await expect(page.locator('.saving')).toHaveText('Deleted');
  await expect(page.locator('.MuiSnackbar-root')).toContainText('no longer saved: export it');
  await other.getByRole('button', { name: 'Restore' }).click();
  await saved(page);
  await openRoom(page, 'Washroom');
  await length(page, 'A').fill(`7'9`);
  await page.keyboard.press('Enter');
  await settled(page);
  await other.getByRole('button', { name: /^More for/ }).click();
  await other.getByRole('menuitem', { name: 'Delete' }).click();
  await other.keyboard.press('Escape');
  await expect(other.locator('.MuiSnackbar-root')).toHaveCount(0);
  await other.getByLabel('Job file or tape sheet').setInputFiles('examples/keepers-cottage.json');
  await other.locator('.drawing > svg').waitFor();
  await expect(page.locator('.saving')).toHaveText('Deleted');
  expect(faults).toEqual([]);
});

test('files that once froze the page are refused beside it, and can be stopped', async ({ page }) => {
  await openPart(page, 'Washroom');
  await page.getByRole('button', { name: 'Import …' }).click();
  await page.getByLabel('From', { exact: true }).selectOption('plan');
  const dialog = page.getByRole('dialog');
  const svg = (inside: string) => Buffer.from(`<svg xmlns="http://www.w3.org/2000/svg">${inside}</svg>`);
  const bring = (buffer: Buffer) =>
    dialog.getByLabel('The drawing').setInputFiles({ name: 'plan.svg', mimeType: 'image/svg+xml', buffer });
  await bring(svg(`<path d="M0 0A${'1'.repeat(300)}"/>`));
  await expect(dialog.getByRole('alert').first()).toContainText('not a number a drawing can have');
  // a worker that never answers is ended when the reader has enough of it
  await page.evaluate(() => {
    Worker.prototype.postMessage = () => undefined;
  });
  await bring(svg('<line x1="0" y1="0" x2="1" y2="1"/>'));
  await dialog.getByRole('button', { name: 'Cancel' }).click();
  await expect(dialog.getByRole('progressbar')).toHaveCount(0);
});

test('one stream of the meter for all tabs, and none while a tab cannot be seen', async ({ page }) => {
  const streams: string[] = [];
  page.context().on('request', (request) => request.url().includes('/laser/events') && streams.push(request.url()));
  const pages = [page, await page.context().newPage(), await page.context().newPage()];
  for (const tab of pages) {
    await openDemo(tab);
    await tab.getByRole('button', { name: 'Laser' }).click();
    await expect(tab.locator('.laser')).toBeVisible();
  }
  await expect(page.locator('.laser')).toContainText('goes to');
  expect(streams).toHaveLength(1);
  // the tab that has it is hidden: another takes it over, and a shot that came meanwhile is not lost
  await page.evaluate(() => {
    Object.defineProperty(document, 'visibilityState', { get: () => 'hidden' });
    document.dispatchEvent(new Event('visibilitychange'));
  });
  await expect.poll(() => streams.length).toBe(2);
  // and when that one is closed, the last
  await pages[1]?.close();
  await expect.poll(() => streams.length).toBe(3);
  await pages[2]?.close();
});

test('an older Kovelin in another tab that holds the database is named; when it is closed, the page goes on by itself', async ({
  page,
}) => {
  const older = await page.context().newPage();
  await older.goto('/mark.svg');
  await older.evaluate(
    () =>
      new Promise<void>((resolve, reject) => {
        const request = indexedDB.open('kovelin', 10);
        request.onupgradeneeded = () =>
          request.result.createObjectStore('jobs', { keyPath: 'id' }).createIndex('updated', 'updated');
        request.onsuccess = () => resolve();
        request.onerror = () => reject(new Error('not opened'));
      }),
  );
  await page.goto('/');
  await expect(page.locator('.MuiSnackbar-root')).toContainText('Another tab holds an older Kovelin open');
  await older.close();
  await expect(page.getByRole('heading', { name: /^Type a room/ })).toBeVisible();
});
