import type { Locator, Page } from '@playwright/test';
import { counting, expect, goTo, settled, test, typeWalls } from './helpers.ts';

/** 4.35 by 3.2 by 2.5 m, from the focused length. */
async function typeSizes(page: Page): Promise<void> {
  for (const [i, size] of ['4.35', '3.2', '2.5'].entries()) {
    if (i) await page.keyboard.press('Enter');
    await page.keyboard.type(size);
  }
}

const figure = (page: Page, entry: string) => page.locator(`[data-entry=${entry}]`);

/** From a drawn room to its paint, price, plan, quote and label. */
async function toTheEnd(page: Page): Promise<void> {
  await goTo(page, 'Sequence');
  await expect(page.locator('.closing h3')).toContainText('Earliest: day');
  // a room’s days are few pages, and nothing of the frame is printed with them
  await page.getByRole('link', { name: 'Day sheet to print' }).click();
  await page.locator('.sheet-day').first().waitFor();
  const printed = (await page.pdf({ preferCSSPageSize: true, format: 'A4' })).toString('latin1');
  expect(printed.match(/\/Type\s*\/Page\b/g)?.length).toBeLessThanOrEqual(3);
  await page.emulateMedia({ media: 'print' });
  for (const part of ['.top', '.rooms', '.next-line', '.ledger', '.sheet-tools'])
    await expect(page.locator(part).first()).toBeHidden();
  await page.emulateMedia({ media: null });
  await goTo(page, 'Order');
  // the quote promises the days that are planned
  const days = /^\d+/.exec((await page.locator('[data-entry=Days] b').textContent()) ?? '')?.[0] ?? 'none';
  await page.getByRole('link', { name: 'Quote' }).click();
  await expect(page.getByRole('main', { name: 'Quote' })).toContainText(new RegExp(`About ${days} working days? for`));
  await page.goBack();
  await goTo(page, 'Record');
  await page.getByRole('link', { name: /Labels/ }).click();
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
}

test.describe('a newcomer in Britain', () => {
  test.use({ locale: 'en-GB' });
  test('4.35 by 3.2 m with a door, two windows and a skirting: to paint and price in 15 clicks and 60 keys, then to plan, quote and label', async ({
    page,
  }) => {
    const counted = await counting(page);
    await page.goto('/');
    await page.getByLabel('Length', { exact: true }).click();
    await typeSizes(page);
    await page.keyboard.press('Tab');
    await page.keyboard.press('Tab');
    await page.keyboard.type('2');
    await expect(page.getByLabel(/^Windows, 1.2 m × 1.2 m/)).toHaveValue('2');
    await page.getByRole('button', { name: 'Draw it' }).click();
    await page.locator('.drawing > svg').waitFor();
    await settled(page);
    await expect(page.locator('[data-opening=w2]')).toBeVisible();
    await goTo(page, 'Order');
    await expect(page.locator('.entry-panel table').first()).toContainText('Wall paint');
    await expect(figure(page, 'Price')).toContainText('£');
    const { clicks, keys } = await counted();
    expect(clicks).toBeLessThanOrEqual(15);
    expect(keys).toBeLessThanOrEqual(60);
    // the words and sizes are those of the country
    await expect(page.locator('body')).not.toContainText(/baseboard|\bgal\b/);
    await toTheEnd(page);
  });
});

test('a newcomer in America goes wall by wall: after the last, Enter offers what else is there and makes no fifth wall', async ({
  page,
}) => {
  const counted = await counting(page);
  await page.goto('/');
  await page.getByRole('button', { name: 'Walls one by one' }).click();
  await expect(page.getByLabel('Length of wall A', { exact: true })).toBeFocused();
  await typeWalls(page, [`14'3`, `10'6`, `14'3`, `10'6`]);
  // what else is in the room, each with a usual size to take or to change
  const door = page.getByRole('button', { name: 'Add a door' });
  await expect(door).toBeFocused();
  await expect(page.getByText(/The walls are there. What else is in the room\?.*2'6 × 6'8/)).toBeVisible();
  await page.keyboard.press('Enter');
  const width = page.getByLabel('Width of d1');
  await expect(width).toBeFocused();
  await expect(width).toBeInViewport();
  await page.keyboard.type(`2'8`);
  await page.keyboard.press('Enter');
  await expect(width).toHaveValue(`2'8`);
  for (const n of [1, 2]) {
    await page.getByRole('button', { name: 'Add a window' }).click();
    await expect(page.getByLabel(`Width of w${n}`)).toBeFocused();
  }
  await page.getByRole('button', { name: 'Add baseboard' }).click();
  await expect(page.getByLabel('Baseboard face')).toBeFocused();
  await expect(page.getByLabel('Baseboard face')).toHaveValue(`5"`);
  await expect(page.getByText('What else is in the room?')).toHaveCount(0);
  await expect(page.locator('[data-row]')).toHaveCount(4);
  // what is clicked in the drawing leads to its fields
  await page.locator('[data-opening=w1]').click();
  await expect(page.getByLabel('Width of w1')).toBeFocused();
  await settled(page);
  await goTo(page, 'Order');
  await expect(figure(page, 'Price')).toContainText('$');
  const { clicks, keys } = await counted();
  expect(clicks).toBeLessThanOrEqual(15);
  expect(keys).toBeLessThanOrEqual(60);
  await toTheEnd(page);
});

test.describe('all of it', () => {
  test.use({ locale: 'en-GB' });
  /** Answers what would turn a decision, with the first answer of each, until nothing in the room is assumed. */
  async function answerAll(page: Page, press: (button: Locator) => Promise<void>): Promise<void> {
    const left = page.locator('.survey-progress');
    const question = page.locator('.asked').last();
    const none = page.getByText('No assumption in this room');
    await expect(left).toBeVisible();
    while (!(await none.isVisible())) {
      const was = await page.locator('.panel').textContent();
      const end = question.getByRole('button', { name: /^(Yes, all of it|None|That is all)$/ });
      await press((await end.count()) ? end.first() : question.locator('.option').first());
      await expect(page.locator('.panel')).not.toHaveText(was ?? '');
    }
  }
  test('an own room from the empty first page to its price, its list and Saturday’s plan, all that matters answered: 25 clicks, 45 keys', async ({
    page,
  }) => {
    const counted = await counting(page);
    await page.goto('/');
    await expect(page.getByLabel('Who is it for?')).toHaveValue('');
    // a list that the browser opens: one press on it, one in it
    await page.getByLabel('Who is it for?').click();
    await page.getByLabel('Who is it for?').selectOption('own');
    await page.getByLabel('Length', { exact: true }).click();
    await typeSizes(page);
    await page.keyboard.press('Enter');
    await page.locator('.drawing > svg').waitFor();
    await page.getByRole('link', { name: /^Measured\./ }).click();
    await answerAll(page, (button) => button.click());
    await goTo(page, 'Order');
    await settled(page);
    await expect(page.getByText('all answered')).toBeVisible();
    await expect(figure(page, 'Price')).toContainText('£');
    await page.getByRole('link', { name: 'Shopping list' }).click();
    await expect(page.getByRole('main', { name: 'Shopping list' })).toContainText('Wall paint');
    await page.goBack();
    await goTo(page, 'Sequence');
    await page.getByLabel('First day', { exact: true }).click();
    await page.keyboard.type('Sat');
    await page.keyboard.press('Enter');
    await settled(page);
    // alone, on the day that was said: no day of theirs is a day off
    await expect(page.getByRole('dialog')).toHaveCount(0);
    await expect(page.locator('.closing h3')).toContainText(/Earliest: day \d, (Sat|Sun|Mon)/);
    const { clicks, keys } = await counted();
    expect(clicks).toBeLessThanOrEqual(25);
    expect(keys).toBeLessThanOrEqual(45);
  });
});

test.describe('for a client', () => {
  test.use({ locale: 'en-GB' });
  test('tools and tax are asked once, in words; the quote says what was said, and a link to a field leads into it', async ({
    page,
  }) => {
    const button = (name: string | RegExp) => page.getByRole('button', { name });
    await page.goto('/');
    await page.getByLabel('Who is it for?').selectOption('client');
    await expect(page.getByText('Do you have rollers, trays, dust sheets, a pole?')).toBeVisible();
    await button('Yes, all').click();
    await expect(page.getByText('What I own already: all of it')).toBeVisible();
    await page.getByLabel('Length', { exact: true }).fill('4.35');
    await page.getByLabel('Width', { exact: true }).fill('3.2');
    await button('Draw it').click();
    await page.locator('.drawing > svg').waitFor();
    await settled(page);
    await goTo(page, 'Order');
    await button('Everything else').click();
    await expect(page.locator('tr', { hasText: 'Extension pole' }).first()).toContainText('none');
    await page.getByRole('link', { name: 'Quote' }).click();
    const quote = page.getByRole('main', { name: 'Quote' });
    await expect(quote).toContainText('VAT not said');
    const total = quote.locator('[data-total=quote]');
    const before = await total.textContent();
    await expect(quote).toContainText('Do you charge VAT?');
    await expect(page.getByLabel('VAT, usually')).toHaveValue('20 %');
    // neither questions nor hints are the client's
    await page.emulateMedia({ media: 'print' });
    await expect(page.getByText('Do you charge VAT?')).toBeHidden();
    await expect(page.getByRole('link', { name: 'Add your name, address and telephone' })).toBeHidden();
    await page.emulateMedia({ media: null });
    await button('Yes, 20 %').click();
    await expect(quote).toContainText('VAT, 20 %');
    await expect(total).not.toHaveText(before ?? '');
    await expect(page.getByText('Do you charge VAT?')).toHaveCount(0);
    await page.getByRole('link', { name: 'Add your name, address and telephone' }).click();
    await expect(page.getByLabel('Offered by')).toBeFocused();
    // a phone is led into the same field
    await page.setViewportSize({ width: 390, height: 844 });
    await page.goBack();
    await page.getByRole('link', { name: 'Add your name, address and telephone' }).click();
    await expect(page.getByLabel('Offered by')).toBeFocused();
    await expect(page.getByLabel('Offered by')).toBeInViewport();
    // and the next job knows all of it
    await page.goto('/');
    await button('New job').click();
    await expect(page.getByLabel('Who is it for?')).toHaveValue('client');
    await expect(page.getByText('Do you have rollers')).toHaveCount(0);
  });
});

test.describe('by keyboard alone', () => {
  test.use({ locale: 'en-GB' });
  test('the same in 120 keys', async ({ page }) => {
    const counted = await counting(page);
    const on = (locator: Locator) => locator.evaluate((element) => element === document.activeElement);
    const tabTo = async (locator: Locator) => {
      for (let n = 0; n < 60 && !(await on(locator)); n++) await page.keyboard.press('Tab');
      await expect(locator).toBeFocused();
    };
    // the next key is pressed when the step is there
    const step = async (key: string, name: string) => {
      await page.keyboard.press(`Alt+${key}`);
      await page.getByRole('main', { name, exact: true }).waitFor();
      await expect(page.getByRole('heading', { level: 1 })).toBeFocused();
    };
    await page.goto('/');
    await tabTo(page.getByLabel('Who is it for?'));
    await page.keyboard.press('ArrowDown');
    await page.keyboard.press('ArrowDown');
    await expect(page.getByLabel('Who is it for?')).toHaveValue('own');
    await tabTo(page.getByLabel('Length', { exact: true }));
    await typeSizes(page);
    await page.keyboard.press('Enter');
    await page.locator('.drawing > svg').waitFor();
    await step('2', 'Specify');
    await tabTo(page.getByRole('button', { name: 'Go to what is next' }));
    await page.keyboard.press('Enter');
    await tabTo(page.getByRole('link', { name: /^Say what is there now|assumptions in this price/ }));
    await page.keyboard.press('Enter');
    const question = page.locator('.asked').last();
    const none = page.getByText('No assumption in this room');
    await expect(page.locator('.survey-progress')).toBeVisible();
    while (!(await none.isVisible())) {
      const was = await page.locator('.panel').textContent();
      const end = question.getByRole('button', { name: /^(Yes, all of it|None|That is all)$/ });
      await tabTo((await end.count()) ? end.first() : question.locator('.option').first());
      await page.keyboard.press('Enter');
      await expect(page.locator('.panel')).not.toHaveText(was ?? '');
    }
    await step('3', 'Order');
    await tabTo(page.getByRole('button', { name: 'Go to the work' }));
    await page.keyboard.press('Enter');
    await tabTo(page.getByRole('link', { name: 'Shopping list' }));
    await settled(page);
    await expect(figure(page, 'Price')).toContainText('£');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('main', { name: 'Shopping list' })).toContainText('Wall paint');
    await step('5', 'Sequence');
    await tabTo(page.getByRole('button', { name: 'Go to what is next' }));
    await page.keyboard.press('Enter');
    await tabTo(page.getByRole('link', { name: /on which day it begins/ }));
    await page.keyboard.press('Enter');
    await expect(page.getByLabel('First day', { exact: true })).toBeFocused();
    await page.keyboard.type('Sat');
    await page.keyboard.press('Enter');
    await settled(page);
    await expect(page.locator('.closing h3')).toContainText(/Earliest: day \d, (Sat|Sun|Mon)/);
    expect((await counted()).keys).toBeLessThanOrEqual(120);
  });
});

test.describe('what was in the way', () => {
  test.use({ locale: 'en-GB' });
  test('millimetres in a metric room are offered and taken; one key skips to the work; every page is named; a price at cost says so', async ({
    page,
  }) => {
    await page.goto('/');
    await page.getByLabel('Length', { exact: true }).fill('4350');
    const refused = page.getByRole('alert');
    await expect(refused).toContainText('A wall of 4350 m is over the limit of 60 m; was a unit or a mark left out?');
    await expect(refused).not.toContainText(/\bft\b/);
    await refused.getByRole('button', { name: 'Take 4350 mm' }).click();
    await expect(page.getByLabel('Length', { exact: true })).toHaveValue('4350 mm');
    await expect(page.getByLabel('Width', { exact: true })).toBeFocused();
    await page.keyboard.type('3.2');
    await page.keyboard.press('Enter');
    await page.keyboard.press('Enter');
    await page.locator('.drawing > svg').waitFor();
    await settled(page);
    await expect(page.getByLabel('Length of wall A', { exact: true })).toHaveValue('4350 mm');
    await expect(page).toHaveTitle('Measure · Living room · Kovelin');
    // from the top of the page to the first field of the room
    await page.reload();
    await settled(page);
    await page.keyboard.press('Tab');
    await expect(page.getByRole('button', { name: 'Go to the work' })).toBeFocused();
    await page.keyboard.press('Enter');
    await expect(page.locator('.entry-panel')).toBeFocused();
    // at 200 % a window of 1280 by 800 has half of each: more than half of it stays with the work
    const window = page.viewportSize() ?? { width: 1280, height: 720 };
    await page.setViewportSize({ width: 640, height: 400 });
    await expect.poll(async () => (await page.getByRole('main').boundingBox())?.height).toBeGreaterThan(200);
    await page.setViewportSize(window);
    await goTo(page, 'Order');
    await expect(page).toHaveTitle('Order · Living room · Kovelin');
    await expect(page.getByText(/^The price has overhead and margin in it\./)).toBeVisible();
    await page.getByRole('button', { name: 'Labour and price', exact: true }).click();
    for (const label of ['Overhead, on costs', 'Margin, of the price']) {
      await page.getByLabel(label).fill('0');
      await page.keyboard.press('Enter');
    }
    await settled(page);
    await expect(page.getByText('The price is what it costs: no overhead, margin or tax is in it.')).toBeVisible();
    await page.getByRole('link', { name: 'Quote' }).click();
    await expect(page).toHaveTitle('Quote · Living room · Kovelin');
  });
});

test('a newcomer on a phone, by touch: a length that is missing is asked for; the room is drawn, paint and price are there', async ({
  browser,
}) => {
  const phone = await browser.newContext({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    isMobile: true,
    locale: 'en-GB',
  });
  const page = await phone.newPage();
  const counted = await counting(page);
  await page.goto('/');
  await page.getByRole('button', { name: 'Draw it' }).tap();
  await expect(page.getByRole('alert').first()).toHaveText('Type how long this wall is, then the room can be drawn.');
  const length = page.getByLabel('Length', { exact: true });
  await expect(length).toBeFocused();
  await length.fill('4.35');
  await page.getByLabel('Width', { exact: true }).tap();
  await page.getByLabel('Width', { exact: true }).fill('3.2');
  await page.getByRole('button', { name: 'Draw it' }).tap();
  await page.locator('.drawing > svg').waitFor();
  await settled(page);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(390);
  await page.locator('.phone-top .where').tap();
  await page.getByRole('link', { name: 'Order' }).tap();
  await expect(page.locator('.entry-panel table').first()).toContainText('Wall paint');
  expect((await counted()).clicks).toBeLessThanOrEqual(15);
  await phone.close();
});

test('the first page follows its country and what is typed; what finds no place on a wall is said; a second job begins there too', async ({
  page,
}) => {
  await page.goto('/');
  const country = page.getByLabel('Where do you paint?');
  await expect(country).toHaveValue('US');
  await expect(page.getByText(/^Baseboard 5" high, and casing 2 1\/2" round each/)).toBeVisible();
  // what is owned and for whom it is done is said once
  await page.getByText('What I own already: not said yet').click();
  await page.getByRole('button', { name: 'One extension pole more' }).click();
  await expect(page.getByText('What I own already: 1 piece')).toBeVisible();
  await page.getByLabel('Who is it for?').selectOption({ label: 'I do it myself, for myself' });
  await country.selectOption('GB');
  await expect(page.getByText(/^Skirting 120 mm high, and architrave 65 mm round each/)).toBeVisible();
  await expect(page.getByText('Tins, sleeves, tape')).toBeVisible();
  const drawing = page.getByRole('img', { name: /The four walls of the room/ });
  const field = (label: string) => page.getByLabel(label, { exact: true });
  await field('Length').fill('nine');
  await field('Length').press('Tab');
  await expect(page.getByRole('alert')).toContainText('“nine');
  // the drawing follows each key, not each field
  await field('Length').fill('1.4');
  await expect(drawing).toContainText('A · 1.40 m');
  await field('Length').press('Enter');
  await expect(field('Width')).toBeFocused();
  await page.keyboard.type('1.2');
  await expect(drawing).toContainText('B · 1.20 m');
  await page.keyboard.press('Enter');
  await expect(drawing).toContainText('A · 1.40 m');
  await expect(drawing).toContainText('B · 1.20 m');
  await field('Called').fill('Larder');
  await field('Called').press('Enter');
  await page.locator('.drawing > svg').waitFor();
  await expect(page.getByText(/^One door or window of the usual size found no place on a wall/)).toBeVisible();
  await settled(page);
  await expect(page.locator('[data-opening]')).toHaveCount(1);
  // for oneself there is a cost, and neither labour, margin nor quote in the way
  await expect(page.locator('[data-entry=Price] span')).toHaveText('Cost');
  await expect(page.locator('[data-entry=Days] b')).toContainText('alone');
  await goTo(page, 'Order');
  // what floats goes with its page
  await expect(page.getByText(/^One door or window of the usual size found no place/)).toHaveCount(0);
  await expect(page.getByText('It is what you buy: your own time costs nothing here.')).toBeVisible();
  await expect(page.getByRole('link', { name: 'Quote' })).toHaveCount(0);
  await page.getByRole('button', { name: 'Everything else' }).click();
  await expect(page.locator('tr', { hasText: 'Extension pole' }).first()).toContainText('none');
  await page.getByRole('button', { name: 'Time and cost' }).click();
  await expect(page.getByLabel('Overhead, on costs')).toHaveCount(0);
  await expect(page.locator('tr', { hasText: 'Your time, ' })).toContainText(/\d min/);
  await page.getByLabel('Who is it for?').selectOption({ label: 'I do it for a client' });
  await page.getByLabel('Offered by').fill('Two Lamps');
  await page.keyboard.press('Tab');
  await page.getByRole('link', { name: 'Quote' }).click();
  await expect(page.locator('.letterhead')).toHaveText('Two Lamps');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Quote: Larder');
  // the list has the job by the name of its room, and offers the same ways to begin the next, in the same country
  await page.goto('/');
  await expect(page.getByRole('link', { name: 'Larder', exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'New job' }).click();
  await expect(country).toHaveValue('GB');
  await page.getByRole('button', { name: 'Walls one by one' }).click();
  await expect(page.getByLabel('Length of wall A', { exact: true })).toBeFocused();
  await expect(page.getByRole('button', { name: 'Where the job is' })).toHaveText('GB');
});
