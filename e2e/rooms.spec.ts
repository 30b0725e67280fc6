import type { Page } from '@playwright/test';
import { counting, expect, goTo, openPart, settled, test } from './helpers.ts';

const names = (page: Page) => page.locator('.rooms li b').allTextContents();

/** A first room, 16 by 12 ft. */
async function drawFirst(page: Page): Promise<void> {
  await page.goto('/');
  await page.getByLabel('Length', { exact: true }).fill(`16'`);
  await page.getByLabel('Width', { exact: true }).fill(`12'`);
  await page.getByRole('button', { name: 'Draw it' }).click();
  await page.locator('.drawing > svg').waitFor();
}
async function choose(page: Page, action: string): Promise<void> {
  await page.getByRole('button', { name: 'More for this room' }).click();
  await page.getByRole('menuitem', { name: action, exact: true }).click();
}

test('six rooms after the first in 3 clicks and 14 keys each; one like another; renamed in place, moved, undone', async ({
  page,
}) => {
  const counted = await counting(page);
  await drawFirst(page);
  const rooms = [
    ['Study', '11', '9'],
    ['Bedroom', '12', '11'],
    ['Nursery', '10', '9'],
    ['Bath', '8', '5'],
    ['Hall', '14', '4'],
    ['Dining', '13', '12'],
  ] as const;
  for (const [name, length, width] of rooms) {
    const before = await counted();
    await page.getByRole('button', { name: 'Add a room' }).click();
    await expect(page.getByLabel('Called')).toBeFocused();
    await page.keyboard.type(name);
    for (const size of [length, width]) {
      await page.keyboard.press('Enter');
      await page.keyboard.type(size);
    }
    await page.keyboard.press('Enter');
    await expect(page.locator('.rooms [aria-current=true] b')).toHaveText(name);
    const after = await counted();
    expect(after.clicks - before.clicks).toBeLessThanOrEqual(3);
    expect(after.keys - before.keys).toBeLessThanOrEqual(14);
  }
  expect(await names(page)).toEqual(['Living room', ...rooms.map(([name]) => name)]);
  // as high as the room before, used as its name says
  await expect(page.getByLabel('Height', { exact: true })).toHaveValue(`8'`);
  await expect(page.getByLabel('Used as')).toHaveValue('living');
  await choose(page, 'Another like it');
  await expect(page.locator('.rooms [aria-current=true] b')).toHaveText('Dining 2');
  await expect(page.getByLabel('Length of wall A', { exact: true })).toHaveValue(`13'`);
  await choose(page, 'Rename');
  await expect(page.getByLabel('Name of Dining 2')).toBeFocused();
  await page.keyboard.type('Snug');
  await page.keyboard.press('Enter');
  await expect(page.locator('.rooms [aria-current=true]')).toBeFocused();
  await choose(page, 'Move up');
  await expect.poll(async () => (await names(page)).slice(-2)).toEqual(['Snug', 'Dining']);
  await page.keyboard.press('Control+z');
  await page.keyboard.press('Control+z');
  await expect(page.locator('.rooms li b').last()).toHaveText('Dining 2');
});

test('a niche is let into a wall; a wall is inserted after another and moved, and has to be typed', async ({
  page,
}) => {
  await drawFirst(page);
  const row = (label: string) => page.locator(`[data-row=${label}]`);
  await row('B').getByRole('button', { name: 'More' }).click();
  await page.getByLabel('What', { exact: true }).selectOption('niche');
  await page.getByLabel('Its opening', { exact: true }).fill(`2'`);
  await page.keyboard.press('Enter');
  await page.keyboard.type('8"');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('group', { name: 'Recess r1' }).getByLabel('On')).toHaveValue(/.+/);
  await expect(page.locator('[data-row]')).toHaveCount(4);
  await page.getByRole('button', { name: 'Insert a wall after it' }).click();
  await expect(page.getByLabel('Length of wall E', { exact: true })).toBeFocused();
  const labels = () => page.locator('[data-row]').evaluateAll((rows) => rows.map((r) => r.getAttribute('data-row')));
  expect(await labels()).toEqual(['A', 'B', 'E', 'C', 'D']);
  await row('E').getByRole('button', { name: 'More' }).click();
  await page.getByRole('button', { name: 'Move down' }).click();
  await expect.poll(labels).toEqual(['A', 'B', 'C', 'E', 'D']);
});

test('a house from a table on the first page: what is not read is said with its line; a plan gives a room an outline', async ({
  page,
}) => {
  await page.goto('/');
  const file = (name: string, text: string) => ({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });
  const bring = (name: string, text: string) =>
    page.getByLabel('Job file or tape sheet').setInputFiles(file(name, text));
  const dialog = page.getByRole('dialog');
  await bring('none.csv', 'Hall,4,3\n');
  await expect(dialog.getByText(/line 1: The first line names no length and no width/i)).toBeVisible();
  await dialog
    .getByLabel('The table')
    .setInputFiles(file('flat.csv', 'ROOM,LENGTH (m),WIDTH (m)\nHall,4.1,\nBedroom,3.9,3.2\nBath,2.3,1.7\n'));
  await expect(dialog.getByText(/line 2: “Hall, 4.1, ” was not read: it has no width/)).toBeVisible();
  await dialog.getByRole('button', { name: 'Take 2 rooms' }).click();
  await page.locator('.drawing > svg').waitFor();
  expect(await names(page)).toEqual(['Bedroom', 'Bath']);
  await page.getByRole('button', { name: 'Import …' }).click();
  await page.getByLabel('From', { exact: true }).selectOption('house');
  const waiting = page.waitForEvent('download');
  await dialog.getByRole('button', { name: 'An example to fill in' }).click();
  await dialog.getByLabel('The table').setInputFiles(await (await waiting).path());
  await dialog.getByRole('button', { name: 'Take 4 rooms' }).click();
  await expect(page.locator('.rooms li')).toHaveCount(6);
  await page.goto('/');
  const box = (x: number, w: number, h: number) => `<polygon points="${x},0 ${x + w},0 ${x + w},${h} ${x},${h}"/>`;
  await bring(
    'plan.svg',
    `<svg xmlns="http://www.w3.org/2000/svg" data-metres-per-unit="0.01">${box(0, 400, 300)}${box(500, 200, 250)}</svg>`,
  );
  await dialog.getByRole('button', { name: 'Take these 2 rooms' }).click();
  await page.locator('.drawing > svg').waitFor();
  expect(await names(page)).toEqual(['Room 1', 'Room 2']);
});

test('the frieze above a picture rail gets another colour, all round at once, and goes with its walls again', async ({
  page,
}) => {
  await openPart(page, 'Parlour');
  await goTo(page, 'Specify');
  await page.getByRole('button', { name: 'New paint' }).click();
  await page.getByRole('button', { name: 'Paint the frieze above the picture rail otherwise' }).click();
  await expect(page.getByRole('button', { name: 'All friezes' })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByRole('heading', { name: 'Wall A, frieze f1', exact: true })).toBeVisible();
  const count = await page.locator('.drawing .surface[data-surface*="/region/"]').count();
  expect(count).toBeGreaterThan(6);
  await page.getByRole('button', { name: 'Paint the frieze with the wall again' }).click();
  await expect(page.getByRole('heading', { name: 'Wall A', exact: true })).toBeVisible();
  await settled(page);
});
