import { readFileSync } from 'node:fs';
import { expect, goTo, ledger, openDemo, openLoft, openPart, settled, test, typeWalls } from './helpers.ts';

test('a new job is typed with the keyboard alone; it survives a reload; undo takes a step back', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Walls one by one' }).focus();
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Length of wall A', { exact: true })).toBeFocused();
  await typeWalls(page, [`12'6 1/2`, '10.5', '12-6-1/2', `10'6"`]);
  await expect(page.getByText('Exactly: nothing to share out.')).toBeVisible();
  await settled(page);
  const before = await ledger(page);
  expect(before['Paint area']).toBeGreaterThan(40);
  await page.reload();
  await settled(page);
  expect(await ledger(page)).toEqual(before);
  await expect(page.getByLabel('Length of wall C', { exact: true })).toHaveValue('12-6-1/2');
  await page.getByLabel('Length of wall B', { exact: true }).fill('11');
  await page.keyboard.press('Enter');
  expect((await ledger(page))['Paint area']).not.toBe(before['Paint area']);
  await page.keyboard.press('Control+z');
  expect(await ledger(page)).toEqual(before);
  await page.keyboard.press('Control+Shift+z');
  await expect(page.getByLabel('Length of wall B', { exact: true })).toHaveValue(`11'`);
});

test('the drawing follows each key, true to scale, and Esc takes the draft back', async ({ page }) => {
  await openPart(page, 'Loft bedroom');
  const widths = () =>
    page
      .locator('polygon[data-wall]')
      .evaluateAll((walls) => walls.map((w) => (w as SVGPolygonElement).getBBox().width));
  const ratios = (list: readonly number[]) => list.map((w) => w / (list[0] ?? 1));
  const first = await widths();
  const inches = [150.5, 124, 150, 124];
  ratios(first).forEach((ratio, i) =>
    expect(Math.abs(ratio - (inches[i] ?? 0) / 150.5) * (first[0] ?? 0)).toBeLessThan(1),
  );
  const field = page.getByLabel('Length of wall B', { exact: true });
  await field.fill(`2`);
  await expect.poll(async () => (await widths())[1]).toBeLessThan((first[1] ?? 0) / 2);
  await field.pressSequentially(`0'`);
  await expect.poll(async () => ratios(await widths())[1]).toBeGreaterThan(1.5);
  await page.keyboard.press('Escape');
  await expect.poll(async () => (await widths())[1]).toBeCloseTo(first[1] ?? 0, 3);
  await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
});

test('rows and shorthand are two ways of saying the same', async ({ page }) => {
  await openPart(page, 'Washroom');
  await page.getByRole('button', { name: 'Shorthand' }).click();
  const text = page.getByRole('textbox', { name: /Shorthand of/ });
  await expect(text).toHaveValue(/wall A 7'4 R/);
  await text.fill(
    ((await text.inputValue()) as string)
      .replace(`wall A 7'4 R`, `wall A 8'4 R`)
      .replace(`wall C 7'4 1/4 R`, `wall C 8'4 R`),
  );
  await text.press('Control+Enter');
  await page.getByRole('button', { name: 'Row by row' }).click();
  await expect(page.getByLabel('Length of wall A', { exact: true })).toHaveValue(`8'4`);
  await page.getByRole('button', { name: 'Shorthand' }).click();
  await text.fill('units ft\nroom Washroom\nwall A 12 14');
  await expect(page.getByText(/Line 3, column 11/)).toBeVisible();
  await goTo(page, 'Order');
  await goTo(page, 'Measure');
  await expect(page.getByLabel('Length of wall A', { exact: true })).toHaveValue(`8'4`);
});

test('what cannot be is said beside its field; the rest of the job goes on and nothing saved is lost', async ({
  page,
}) => {
  await openDemo(page);
  const before = await ledger(page);
  const wall = page.getByLabel('Length of wall A', { exact: true });
  for (const [typed, message] of [
    [`12'14`, /14 inches after feet/],
    ['abc', /“abc” is not a length/],
    ['-3', /cannot be negative/],
    ['400', /400 ft is over the limit of 197 ft/],
  ] as const) {
    await wall.fill(typed);
    await page.keyboard.press('Tab');
    await expect(page.getByRole('alert').filter({ hasText: message })).toBeVisible();
  }
  // two that are wrong in one row: one sentence below it, of the field that is typed in
  const turn = page.getByLabel('Turn after wall A', { exact: true });
  await turn.fill('99x');
  const sentences = page.locator('[data-row=A] [role=alert]').filter({ visible: true });
  await expect(sentences).toHaveCount(1);
  await expect(sentences).toContainText('A turn is R or L');
  await turn.press('Escape');
  await expect(sentences).toContainText('over the limit');
  await wall.press('Escape');
  expect(await ledger(page)).toEqual(before);
  const opening = async (field: string, typed: string, message: RegExp) => {
    await page.getByLabel(`${field} of w4`, { exact: true }).fill(typed);
    await page.keyboard.press('Enter');
    await expect(page.getByRole('alert').filter({ hasText: message })).toBeVisible();
    expect((await ledger(page))['Paint area']).toBeGreaterThan(0);
    await page.keyboard.press('Control+z');
    await expect(page.getByRole('alert')).toHaveCount(0);
  };
  await opening('Width', '13', /is 13′ wide, but wall H/);
  await opening('Sill', '6', /above the ceiling/);
  await page.getByLabel('Turn after wall A', { exact: true }).fill('L');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert').filter({ hasText: /add up to 180 degrees, not 360/ })).toBeVisible();
  await page.keyboard.press('Control+z');
  expect(await ledger(page)).toEqual(before);
});

test('metric and imperial at any time, without changing what was measured', async ({ page }) => {
  await openDemo(page);
  const before = await ledger(page);
  await page.getByRole('button', { name: 'ft in' }).click();
  await expect(page.locator('[data-entry="Paint area"] b')).toContainText('m²');
  expect(await ledger(page)).toEqual(before);
  await expect(page.getByLabel('Length of wall A', { exact: true })).toHaveValue(`14'`);
  await goTo(page, 'Specify');
  // the words are the country's, the sizes those of the units
  await expect(page.getByText('10 mm nap').first()).toBeVisible();
});

test('a foot too much is found before the paint is bought: the class, the telling diagonal, one click, undo', async ({
  page,
}) => {
  await openPart(page, 'Washroom');
  const before = await ledger(page);
  const wall = page.getByLabel('Length of wall A', { exact: true });
  await wall.fill(`8'4`);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { name: 'The walls do not fit' })).toBeVisible();
  const suspects = page.getByRole('list', { name: 'What may have been misread' });
  await expect(suspects).toContainText('A foot too many or too few');
  await expect(suspects.getByRole('button', { name: /^take C as 8′/ })).toBeVisible();
  await expect(suspects).toContainText(
    /diagonal from the start of A to the start of C\. If it tapes about .*, wall A is the one\. If it tapes about .*, wall C is the one/,
  );
  await expect(page.getByRole('button', { name: /^Wall A, .*perhaps misread/ })).toBeVisible();
  await expect(wall).toHaveValue(`8'4`);
  await suspects.getByRole('button', { name: /^take A as 7′ 4″/ }).click();
  await expect(page.getByRole('heading', { name: 'The walls fit' })).toBeFocused();
  expect((await ledger(page))['Paint area']).toBeCloseTo(before['Paint area'] ?? 0, 9);
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('heading', { name: 'The walls do not fit' })).toBeVisible();
});

test('the tape sheet taken out comes back as the same job; the takeoff comes out as CSV', async ({ page }, info) => {
  await openDemo(page);
  const before = await ledger(page);
  const take = async (name: string, file: string) => {
    const waiting = page.waitForEvent('download');
    await page.getByRole('button', { name }).click();
    await (await waiting).saveAs(info.outputPath(file));
    return readFileSync(info.outputPath(file), 'utf8');
  };
  expect(await take('Takeoff as CSV', 'takeoff.csv')).toMatch(/^room,surface,reading \(ft\)/);
  expect(await take('Tape sheet of the job', 'cottage.tape')).toContain("wall D 2'10 45R");
  await page.goto('/');
  await page.getByLabel('Job file or tape sheet').setInputFiles(info.outputPath('cottage.tape'));
  await page.locator('.drawing > svg').waitFor();
  expect((await ledger(page))['Cut-in']).toBeCloseTo(before['Cut-in'] ?? 0, 9);
});

test('a chimney breast is built into a wall in twelve keys: real walls, the window on its front; what does not fit says so', async ({
  page,
}) => {
  await page.goto('/');
  for (const [label, text] of [
    ['Length', `16'`],
    ['Width', `12'`],
  ] as const)
    await page.getByLabel(label, { exact: true }).fill(text);
  await page.getByRole('button', { name: 'Draw it' }).click();
  await page.locator('.drawing > svg').waitFor();
  await page.locator('[data-row]').nth(1).getByRole('button', { name: 'More' }).click();
  const width = page.getByLabel('Its width', { exact: true });
  await width.fill(`13'`);
  await page.keyboard.press('Enter');
  await page.keyboard.type('1');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/does not lie inside wall B, which is 12′/)).toBeVisible();
  await width.fill('');
  let keys = 0;
  const press = async (key: string) => {
    keys++;
    await page.keyboard.press(key);
  };
  await width.focus();
  for (const key of ['5', 'Enter', '1', "'", '4', 'Enter', 'Enter']) await press(key);
  await expect(page.locator('[data-row]')).toHaveCount(8);
  expect(keys).toBeLessThanOrEqual(12);
  await expect(page.getByRole('heading', { name: 'The walls fit' })).toBeVisible();
  // 12 ft less 5 ft, in two halves
  for (const wall of ['B', 'H'])
    await expect(page.getByLabel(`Length of wall ${wall}`, { exact: true })).toHaveValue(`3'6`);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.locator('[data-row]')).toHaveCount(4);
});

test('a door has the name people give it: in the row, where it is specified, on the quote; emptied, ours again', async ({
  page,
}) => {
  await openLoft(page);
  const row = page.locator('.openings-table');
  await row.getByRole('button', { name: 'More of d1' }).click();
  const name = row.getByLabel('Name', { exact: true });
  await name.fill('w1');
  await expect(page.getByRole('alert').filter({ hasText: 'There is a “w1” in Loft bedroom already.' })).toBeVisible();
  await name.fill('landing door');
  await name.press('Enter');
  await expect(row.getByRole('rowheader', { name: 'Landing door' })).toBeVisible();
  await expect(page.locator('.drawing').getByRole('button', { name: 'Landing door' })).toBeVisible();
  await name.fill('');
  await name.press('Enter');
  await expect(row.getByRole('rowheader', { name: 'Door d1' })).toBeVisible();
});
