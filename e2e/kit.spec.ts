import { wcagContrast } from 'culori';
import { faultsIn } from './axe.ts';
import { expect, test } from './helpers.ts';

const SCHEMES = ['Light', 'Dark', 'Daylight'] as const;

test('every part of the kit, in three schemes: axe finds nothing, and what has the focus has a ring of 3:1', async ({
  page,
}) => {
  await page.goto('/kit');
  await page.getByRole('heading', { name: 'The kit' }).waitFor();
  await page.getByRole('button', { name: 'What few need' }).click();
  for (const scheme of SCHEMES) {
    await expect(page.locator('html')).toHaveAttribute('data-scheme', scheme.toLowerCase());
    expect(await faultsIn(page, scheme)).toEqual([]);
    // by the keyboard, from the first to the last
    await page.locator('h1').click();
    const rings: { part: string; ring: string; ground: string; wide: number }[] = [];
    for (;;) {
      await page.keyboard.press('Tab');
      const ring = await page.evaluate(() => {
        const at = document.activeElement;
        if (!at || at === document.body) return null;
        // a box that is drawn by its frame has the ring there
        const shown = [at, at.parentElement, at.nextElementSibling].filter((one) => one instanceof HTMLElement);
        const ringed = shown.find((one) => getComputedStyle(one).outlineStyle !== 'none') ?? at;
        const style = getComputedStyle(ringed);
        return {
          part: `${at.tagName} ${at.getAttribute('aria-label') ?? at.textContent ?? ''}`.trim(),
          ring: style.outlineColor,
          wide: style.outlineStyle === 'none' ? 0 : parseFloat(style.outlineWidth),
          ground: getComputedStyle(document.body).backgroundColor,
        };
      });
      if (ring === null) break;
      rings.push(ring);
    }
    expect(rings.length).toBeGreaterThan(30);
    const faint = rings.filter(({ ring, ground, wide }) => wide < 1 || wcagContrast(ring, ground) < 3);
    expect([scheme, faint]).toEqual([scheme, []]);
    await page.getByRole('button', { name: /^(Dark|Daylight|Light)$/ }).click();
  }
  for (const opens of ['A window', 'A toast']) {
    await page.getByRole('button', { name: opens }).click();
    const opened = page.locator('[role=dialog], [role=alert]').filter({ hasText: /A window|It was deleted/ });
    await opened.waitFor();
    expect(await faultsIn(page, opens)).toEqual([]);
    // nothing that opens is printed
    await page.emulateMedia({ media: 'print' });
    if (opens === 'A window') await expect(opened).toBeHidden();
    await page.emulateMedia({ media: 'screen' });
    await opened.getByRole('button', { name: /Close|Restore/ }).click();
    await expect(opened).toHaveCount(0);
  }
});

test('a day is typed by its name, or picked from a calendar that is loaded when it opens', async ({ page }) => {
  await page.goto('/kit');
  const days = page.getByLabel('Days', { exact: true });
  await days.fill('1/2/2027, 2 Feb 2027');
  await expect(page.getByRole('alert').filter({ hasText: 'Write a day there is' })).toBeVisible();
  await days.fill('24/12/2027');
  await days.press('Enter');
  await expect(days).toHaveValue('24/12/2027');
  await page.getByRole('button', { name: 'Days: from a calendar' }).click();
  const calendar = page.getByRole('dialog', { name: 'Days: from a calendar' });
  await calendar.getByRole('gridcell', { name: '15' }).click();
  await expect(calendar).toHaveCount(0);
  await expect(days).toHaveValue(/15\/\d\d\/\d{4}/);
  await days.fill('tomorrow');
  await days.press('Enter');
  await expect(days).toHaveValue(/^\d\d\/\d\d\/\d{4}$/);
});

test('with a thumb every part of the kit is 44 px, and a long choice opens from below', async ({ browser }) => {
  const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
  const page = await phone.newPage();
  await page.goto('/kit');
  await page.getByRole('heading', { name: 'The kit' }).waitFor();
  const small = await page.evaluate(() =>
    [...document.querySelectorAll('button, a, select, textarea, input:not(.unseen, [type=range])')]
      .map((one) => one.closest('label') ?? one)
      .filter((one) => one.getBoundingClientRect().height < 43.5)
      .map((one) => `${one.tagName} ${one.textContent}`),
  );
  expect(small).toEqual([]);
  await page.getByRole('button', { name: 'Many: Parlour' }).tap();
  const list = page.getByRole('listbox', { name: 'Many' });
  expect(await faultsIn(page, 'from below')).toEqual([]);
  await list.getByRole('option', { name: 'Cellar' }).tap();
  await expect(page.getByRole('button', { name: 'Many: Cellar' })).toBeVisible();
  await phone.close();
});
