import { expect, goTo, openDemo, settled, test } from './helpers.ts';

test('a Saturday is worked when it is chosen; a task is pinned and let go; the rest is planned round it', async ({
  page,
}) => {
  await openDemo(page);
  await goTo(page, 'Sequence');
  const done = page.locator('.closing h3');
  await expect(done).toContainText('Mon 7 Dec');
  await page.getByRole('button', { name: 'Sat', exact: true }).click();
  await settled(page);
  await expect(done).toContainText('Sat 5 Dec');
  await page.getByRole('button', { name: 'Sat', exact: true }).click();
  await settled(page);
  await expect(done).toContainText('Mon 7 Dec');
  await expect(page.getByText('Nine times in ten by')).toBeVisible();
  // the last room is looked over on Tuesday, whatever the plan says
  const look = page
    .getByRole('list', { name: 'Tasks in order' })
    .getByRole('button', { name: /Look it over/ })
    .last();
  await look.click();
  const pin = page.getByLabel('Pinned to');
  await pin.fill('tomorrow');
  await expect(page.getByText('Write a time of the day, for example 10:30, or day 2, 10:30.')).toBeVisible();
  await pin.fill('day 8, 9:30');
  await pin.press('Enter');
  await settled(page);
  await expect(done).toContainText('Tue 8 Dec');
  await expect(page.getByText(/One pin: without it it would be done day 7, Mon 7 Dec/)).toBeVisible();
  await page.getByLabel('Pinned to').fill('');
  await page.getByLabel('Pinned to').press('Enter');
  await settled(page);
  await expect(done).toContainText('Mon 7 Dec');
});

test('searching on says what it found, and a better plan is the user’s to take', async ({ page }) => {
  await openDemo(page);
  await goTo(page, 'Sequence');
  await page.getByRole('button', { name: 'Search on' }).click();
  const told = page.getByText(/A better one: done|Nothing better among/);
  await expect(told).toBeVisible({ timeout: 60_000 });
  if (/A better one/.test((await told.textContent()) ?? '')) {
    const days = page.locator('[data-entry=Days]');
    await page.getByRole('button', { name: 'Take it' }).click();
    await settled(page);
    await page.getByRole('button', { name: 'Back to the base plan' }).click();
    await settled(page);
    await expect(days).toBeVisible();
  }
});
