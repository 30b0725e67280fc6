import type { Locator, Page } from '@playwright/test';
import { expect, goTo, openPart, settled, test, visit } from './helpers.ts';

/** What nobody has typed before, and what a field of figures cannot read. */
let typed = 0;

/** Would the browser ask before it leaves? What can be taken is taken by this, as it is by leaving. */
const asks = (page: Page): Promise<boolean> =>
  page.evaluate(() => !dispatchEvent(new Event('beforeunload', { cancelable: true })));
/** All that is to be typed into stands open. */
const unfold = (page: Page): Promise<void> =>
  page.evaluate(() => document.querySelectorAll('details').forEach((one) => (one.open = true)));
const FIELDS = 'input:not([type]), input[type=text], input[type=search], textarea';

/** Types into every field there, in the page: the browser asks about it, or it is to be found again. @returns what is to be found. */
async function typeIntoAll(page: Page, within: Locator, where: string): Promise<[where: string, text: string][]> {
  await unfold(page);
  const { left, faults, last } = await within.evaluate(
    async (root, { fields, first }) => {
      const frame = () => new Promise((done) => requestAnimationFrame(done));
      const asks = () => !dispatchEvent(new Event('beforeunload', { cancelable: true }));
      let last = first;
      const left: [string, string][] = [];
      const faults: string[] = [];
      const all = () => root.querySelectorAll<HTMLInputElement | HTMLTextAreaElement>(fields);
      for (let n = 0; n < all().length; n++) {
        const field = all()[n];
        // what was typed into on another side is passed over
        if (!field?.checkVisibility() || field.disabled || field.readOnly || /Zq\d+z/.test(field.value)) continue;
        const text = `Zq${++last}z`;
        const name = field.labels?.[0]?.textContent ?? field.id;
        field.focus();
        // as a key does: React listens to the property
        Object.getOwnPropertyDescriptor(Object.getPrototypeOf(field), 'value')?.set?.call(field, text);
        field.dispatchEvent(new InputEvent('input', { bubbles: true, data: text }));
        await frame();
        await frame();
        if (!asks()) left.push([name, text]);
        else {
          // a figure that cannot be read: back to what stood there
          field.dispatchEvent(new KeyboardEvent('keydown', { key: 'Escape', bubbles: true }));
          await frame();
          await frame();
          if (asks()) faults.push(name);
        }
      }
      return { left, faults, last };
    },
    { fields: FIELDS, first: typed },
  );
  typed = last;
  expect(faults, where).toEqual([]);
  return left.map(([name, text]) => [`${where}: ${name}`, text]);
}
const found = (page: Page, text: string): Promise<boolean> =>
  page.evaluate(
    (wanted) =>
      document.body.innerText.includes(wanted) ||
      [...document.querySelectorAll<HTMLInputElement>('input, textarea')].some(({ value }) => value.includes(wanted)),
    text,
  );

for (const steps of [
  ['Measure', 'Specify'],
  ['Order', 'Technique'],
  ['Sequence', 'Site'],
  ['Inspect', 'Record'],
])
  test(`what is typed into any field of ${steps.join(' and ')} is there after a reload, or the browser asks first`, async ({
    page,
  }) => {
    await openPart(page, 'Washroom');
    const missing: string[] = [];
    let tried = 0;
    for (const step of steps) {
      await goTo(page, step);
      await page.locator('.drawing > svg').waitFor();
      await settled(page);
      const sides = page.locator('main .sides button, aside .sides button').filter({ visible: true });
      const start = await page
        .locator('main .sides [aria-pressed=true], aside .sides [aria-pressed=true]')
        .allTextContents();
      /** Shows a side, and a side within it, from where the step begins. */
      const show = async (path: readonly string[]): Promise<void> => {
        for (const side of [...start, ...path]) {
          const button = page
            .locator('main .sides, aside .sides')
            .getByRole('button', { name: side, exact: true })
            .first();
          if (path.includes(side) || (await button.isVisible())) await button.click();
        }
        await unfold(page);
      };
      const paths: string[][] = [[]];
      const seen = new Set<string>();
      const left: [path: readonly string[], url: string, texts: [string, string][]][] = [];
      for (const path of paths) {
        await show(path);
        const url = page.url();
        left.push([path, url, await typeIntoAll(page, page.locator('#root'), [step, ...path].join(', '))]);
        for (const side of await sides.allTextContents()) if (!seen.has(side)) paths.push([...path, side]);
        for (const side of await sides.allTextContents()) seen.add(side);
      }
      await page.reload();
      await page.locator('.drawing > svg').waitFor();
      await expect(page.locator('.saving')).toHaveText(/Saved|Typing/);
      // what is listed by the plan comes with it
      await expect(page.locator('.ledger')).toHaveAttribute('aria-busy', 'false');
      for (const [path, url, texts] of left) {
        // another surface was chosen since
        if (page.url() !== url)
          await page.evaluate((to) => {
            history.pushState({}, '', to);
            dispatchEvent(new PopStateEvent('popstate', { state: {} }));
          }, url);
        await page.getByRole('main', { name: step }).waitFor();
        await show(path);
        for (const [where, text] of texts) {
          tried++;
          await expect
            .poll(() => found(page, text))
            .toBe(true)
            .catch(() => missing.push(where));
        }
      }
    }
    expect(missing).toEqual([]);
    expect(tried).toBeGreaterThan(1);
  });

test('what is typed on the first page, into labels and into a dialog is there after a reload', async ({ page }) => {
  await page.goto('/');
  await page.locator('.start-card').waitFor();
  const first = await typeIntoAll(page, page.locator('.start-card'), 'first page');
  await page.reload();
  await page.locator('.start-card').waitFor();
  for (const [where, text] of first) expect(await found(page, text), where).toBe(true);
  await openPart(page, 'Loft bedroom');
  await page.getByRole('button', { name: 'Import …' }).click();
  await page.getByLabel(/^A length a row/).fill('A 4 m');
  await page.reload();
  await page.locator('.drawing > svg').waitFor();
  await page.getByRole('button', { name: 'Import …' }).click();
  await expect(page.getByLabel(/^A length a row/)).toHaveValue('A 4 m');
  await page.keyboard.press('Escape');
  await visit(page, new URL(page.url()).pathname.replace('measure', 'labels'));
  await page.getByLabel('Note on all').fill('kept in the shed');
  expect(await asks(page)).toBe(false);
  await page.reload();
  await expect(page.getByLabel('Note on all')).toHaveValue('kept in the shed');
});

test('a level that is typed and not yet taken is asked about as the page is left, and noted once', async ({ page }) => {
  await openPart(page, 'Loft bedroom');
  await goTo(page, 'Site');
  const beside = (name: string) =>
    page.getByRole('group', { name: 'Beside the work' }).getByRole('button', { name }).click();
  await beside('Cans');
  const left = page.getByLabel('Left, in all open cans').first();
  await left.waitFor({ state: 'attached' });
  await unfold(page);
  await left.fill('2 L');
  // it is being written
  expect(await asks(page)).toBe(true);
  await beside('Log');
  await expect(page.locator('.log > li')).toHaveCount(1);
  expect(await asks(page)).toBe(false);
  await expect(page.locator('.log > li')).toHaveCount(1);
});
