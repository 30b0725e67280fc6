import { expect, goTo, openLoft, openPart, settled, test } from './helpers.ts';

test('a Saturday is worked when it is chosen; a task is pinned and let go; the rest is planned round it', async ({
  page,
}) => {
  await openPart(page, 'Parlour', 'Loft bedroom');
  await goTo(page, 'Sequence');
  const start = page.getByLabel('First day', { exact: true });
  await start.fill('12/3/2026');
  await start.press('Enter');
  const done = page.locator('.closing h3');
  await expect(done).toContainText('Mon 7 Dec');
  await page.getByRole('button', { name: 'Sat', exact: true }).click();
  await settled(page);
  await expect(done).toContainText('Sat 5 Dec');
  await page.getByRole('button', { name: 'Sat', exact: true }).click();
  await settled(page);
  await expect(done).toContainText('Mon 7 Dec');
  await expect(page.getByText(/nine times in ten by/)).toBeVisible();
  // the last room is looked over on Tuesday, whatever the plan says
  const look = page
    .getByRole('list', { name: 'Tasks in order' })
    .getByRole('button', { name: /Look it over/ })
    .last();
  await look.click();
  const pin = page.getByLabel('Pinned to');
  await pin.fill('tomorrow');
  await expect(page.getByText('Write a time of the day, for example 10:30, or day 2, 10:30.')).toBeVisible();
  await pin.fill('day 6, 9:30');
  await pin.press('Enter');
  await settled(page);
  await expect(done).toContainText('Tue 8 Dec');
  await expect(page.getByText(/One pin: without it it would be done day 5, Mon 7 Dec/)).toBeVisible();
  await page.getByLabel('Pinned to').fill('');
  await page.getByLabel('Pinned to').press('Enter');
  await settled(page);
  await expect(done).toContainText('Mon 7 Dec');
});

test('searching on says what it found, and a better plan is the user’s to take', async ({ page }) => {
  await openLoft(page);
  await goTo(page, 'Sequence');
  await page.getByRole('button', { name: 'Look for a better plan' }).click();
  const told = page.getByText(/A better one: done|Nothing better among/);
  await expect(told).toBeVisible({ timeout: 60_000 });
  if (/A better one/.test((await told.textContent()) ?? '')) {
    const days = page.locator('[data-entry=Days]');
    await page.getByRole('button', { name: 'Use this plan' }).click();
    await settled(page);
    await page.getByRole('button', { name: 'Back to the base plan' }).click();
    await settled(page);
    await expect(days).toBeVisible();
  }
});

test('a task is moved by keys and given to somebody by dragging; the drawing goes through the plan; another plan is taken', async ({
  page,
}) => {
  await openPart(page, 'Loft bedroom');
  await goTo(page, 'Sequence');
  const chart = page.getByRole('group', { name: /^Plan: arrow keys/ });
  await page.getByRole('button', { name: 'Day 1', exact: true }).click();
  // arrow keys go from task to task; Alt moves one
  const first = chart.getByRole('button').first();
  await first.click();
  await expect(first).toHaveAttribute('aria-pressed', 'true');
  await page.keyboard.press('ArrowRight');
  await expect(first).toHaveAttribute('aria-pressed', 'false');
  await expect(page.locator('.task-work')).toBeVisible();
  await page.keyboard.press('Alt+ArrowRight');
  await expect(page.getByLabel('Pinned to')).not.toHaveValue('');
  await settled(page);
  await expect(page.getByText(/One pin:/)).toBeVisible();
  await page.keyboard.press('Control+z');
  await settled(page);
  await expect(page.getByText(/One pin:/)).toHaveCount(0);
  // from one row to the other
  const box = await first.boundingBox();
  if (!box) throw new Error('no bar');
  await page.mouse.move(box.x + 2, box.y + 8);
  await page.mouse.down();
  await page.mouse.move(box.x + 4, box.y + 40, { steps: 3 });
  await page.mouse.move(box.x + 2, box.y + 66, { steps: 3 });
  await page.mouse.up();
  await expect(page.getByLabel('Done by')).not.toHaveValue('plan');
  await settled(page);
  // the drawing at a moment
  await page.getByRole('button', { name: 'By surface' }).click();
  const moment = page.getByRole('slider', { name: 'Moment shown on the drawing' });
  await moment.focus();
  await page.keyboard.press('Home');
  await expect(page.locator('.drawing')).toContainText('not begun');
  await page.keyboard.press('End');
  await expect(page.locator('.through-now')).toContainText('Tue 1 Dec');
  // plans side by side
  await page.getByRole('button', { name: 'Side by side' }).click();
  const last = page.getByRole('row', { name: /^Trim last/ });
  await last.getByRole('button', { name: 'Use this plan' }).click();
  await expect(page.getByLabel(/Trim last:/)).toBeChecked();
  await expect(last).toContainText('as it is');
});

test('days are typed as the region writes them; a room wanted too soon is ruled out by what it waits for', async ({
  page,
}) => {
  await openPart(page, 'Parlour');
  await goTo(page, 'Sequence');
  const start = page.getByLabel('First day', { exact: true });
  await expect(start).toHaveValue('12/01/2026');
  await start.fill('27/11/2026');
  await expect(page.getByText('Write a day there is as month/day/year: 12/1/2026.')).toBeVisible();
  await start.fill('12/2/2026');
  await start.press('Enter');
  await expect(start).toHaveValue('12/02/2026');
  const wanted = page.getByLabel('Parlour wanted back');
  await wanted.fill('day 2, 10:00');
  await wanted.press('Enter');
  await settled(page);
  await expect(
    page.getByText(/Parlour is wanted back by day 2.*cannot be ready before day \d.*whoever works/),
  ).toBeVisible();
  await expect(page.locator('.conflict li').first()).toContainText('Cover the floor');
});

test('a first day that nobody works is asked about, by name or date; days of another century are refused', async ({
  page,
}) => {
  await openPart(page, 'Washroom');
  await goTo(page, 'Sequence');
  const day = page.getByLabel('First day', { exact: true });
  for (const slip of ['1/1/1900', '12/31/9999']) {
    await day.fill(slip);
    await day.press('Enter');
    await expect(page.getByText('The first day lies between the years 2000 and 2100.')).toBeVisible();
  }
  await day.fill('12/26/2026');
  await day.press('Enter');
  const asked = page.getByRole('dialog', { name: 'Saturday, December 26 is not a working day for this crew' });
  await asked.getByRole('button', { name: 'Begin on Monday, December 28' }).click();
  await expect(day).toHaveValue('12/28/2026');
  await day.fill('12/26/2026');
  await day.press('Enter');
  // neither answered: it stands as it was said, and the plan says when it begins
  await page.keyboard.press('Escape');
  await expect(
    page.getByText('Saturday, December 26 is a day off: the plan begins on Monday, December 28.'),
  ).toBeVisible();
  await day.fill('12/26/2026 ');
  await day.press('Enter');
  await asked.getByRole('button', { name: 'Work it' }).click();
  await expect(page.getByLabel('Worked besides', { exact: true })).toHaveValue('12/26/2026');
  await settled(page);
  await expect(page.locator('.closing h3')).toContainText(/Earliest: day \d+, /);
  await expect(page.getByText(/is a day off/)).toHaveCount(0);
});

test('on a phone a bar thinner than a finger asks which of those under it is meant', async ({ browser }) => {
  const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
  const page = await phone.newPage();
  const job = await openLoft(page);
  await page.goto(`/job/${job}/sequence`);
  await settled(page);
  await page.locator('.plan-chart .bar').nth(3).tap();
  const sheet = page.getByRole('dialog', { name: 'Tasks under the finger' });
  const second = sheet.getByRole('button').nth(1);
  const name = ((await second.textContent()) ?? '').replace(/^[\d:]+ /, '').split(',')[0] ?? '';
  expect((await second.boundingBox())?.height).toBeGreaterThanOrEqual(44);
  await second.tap();
  await expect(sheet).toHaveCount(0);
  await expect(page.locator('.plan-chart [role=status]')).toContainText(name);
  await phone.close();
});
