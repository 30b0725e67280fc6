import { readFileSync } from 'node:fs';
import { expect, goTo, openDemo, openLoft, openPart, settled, test } from './helpers.ts';

test('a system that fails is warned of even when insisted on; insistence and cautions read are recorded, and undone', async ({
  page,
}) => {
  await openPart(page, 'Washroom');
  await goTo(page, 'Specify');
  await page.getByRole('button', { name: /^Wall A, / }).click();
  await expect(page.locator('.warned')).toHaveCount(0);
  // an ordinary paint where a wet-room paint is recommended: said, and one click away
  await page.getByLabel('Paint', { exact: true }).selectOption('paint-wall');
  await expect(page.locator('.warned')).toContainText('not made for wet rooms');
  await page.getByRole('button', { name: 'Take Wet-room paint, water-borne' }).click();
  await expect(page.locator('.warned')).toHaveCount(0);
  await page.getByLabel('Paint', { exact: true }).selectOption('paint-wall');
  const warned = page.locator('.warned', { hasText: 'cannot be wiped' });
  await page.getByRole('button', { name: 'Change sheen' }).click();
  await page.getByLabel('Sheen instead').selectOption('flat');
  await warned.getByLabel('I insist; record it').check();
  await expect(warned).toContainText(/insisted on, \d\d\/\d\d\/\d{4}/);
  const lead = page.locator('details.caution', { hasText: 'Lead' });
  await lead.locator('summary').click();
  await expect(lead).toContainText('follow your local code');
  await lead.getByRole('button', { name: 'Read' }).click();
  await expect(lead.locator('summary')).toContainText(/read \d\d\/\d\d\/\d{4}/);
  await settled(page);
  await page.reload();
  await expect(warned).toContainText('insisted on');
  // what was read in a room is read on its other walls
  await page.getByRole('button', { name: /^Wall C, / }).click();
  await expect(lead.locator('summary')).toContainText(/read \d\d\/\d\d\/\d{4}/);
  await page.getByRole('button', { name: 'Existing' }).click();
  await page.locator('.answers').getByRole('button', { name: 'Oldest paint' }).click();
  await page.getByLabel(/Oldest paint/).fill('1990');
  await page.keyboard.press('Enter');
  await expect(lead).toHaveCount(0);
});

test('the ledger counts the answers that the price rests on, each a link to its question; a walk still open is a first guess', async ({
  page,
}) => {
  await openDemo(page);
  const rests = page.locator('.ledger [data-entry="Rests on"]');
  await expect(rests).toHaveText('Rests on12 assumptions');
  await rests.click();
  const list = page.getByRole('region', { name: 'What the price rests on' });
  await expect(list.getByRole('link')).toHaveCount(12);
  await list.getByRole('link', { name: 'asbestos test' }).click();
  await expect(page.locator('.asked:not(.once) legend').first()).toHaveText('Was this texture tested for asbestos?');
  await page.locator('.asked').getByRole('button', { name: 'not tested' }).click();
  await expect(rests).toHaveText('Rests on11 assumptions');
  // so does the line that says what the step wants next
  // by the whole room first; where somebody began to answer, by what is left
  await page.getByRole('link', { name: '11 assumptions in this price: answer those you know.' }).click();
  await expect(page).toHaveURL(/ask=room/);
  await expect(page.locator('.survey-progress')).toHaveText('2 assumptions in this room');
  await expect(page.locator('.asked:not(.once) legend').first()).toHaveText('Was it ever waxed or polished?');
  // each decision says it of itself
  await page.getByRole('button', { name: /^Wall A, / }).click();
  await page.getByRole('button', { name: 'New paint' }).click();
  await page.locator('[data-member=prep]').getByRole('link', { name: 'wax or polish' }).click();
  await expect(page.locator('.asked:not(.once) legend').first()).toHaveText('Was it ever waxed or polished?');
  await page.getByRole('link', { name: 'To print', exact: true }).click();
  await expect(page.getByRole('main', { name: 'Finish schedule' })).toContainText(
    'nobody has answered it yet: wax or polish (',
  );
  await goTo(page, 'Measure');
  await page.getByLabel('Length of wall A', { exact: true }).fill("13'");
  await page.keyboard.press('Enter');
  await expect(rests).toContainText('First guess');
});

test('a job moves to another country: tins, money and words are those of its shop, and undo brings all back', async ({
  page,
}) => {
  await openDemo(page);
  await goTo(page, 'Order');
  await page.getByRole('button', { name: 'Where the job is' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Country').selectOption('GB');
  await expect(dialog.getByLabel('Name of the tax')).toHaveValue('VAT');
  await dialog.getByLabel('Lead: paint from before').fill('1970');
  await dialog.getByRole('button', { name: 'Close' }).click();
  await expect(page.locator('.ledger [data-entry=Price] b')).toContainText('£');
  const cans = page.locator('.cans');
  await expect(cans.first()).toContainText(/× (10|5|2\.5|1) L/);
  await expect(page.locator('.entry-panel table')).not.toContainText('3.79 L');
  await expect(page.locator('.entry-panel thead')).toContainText('Tins to buy');
  // remembered: the next job begins there
  await settled(page);
  await page.goto('/');
  await page.getByRole('button', { name: 'New job' }).click();
  await page.getByRole('button', { name: 'Walls one by one' }).click();
  await expect(page.getByRole('button', { name: 'Where the job is' })).toHaveText('GB');
});

test('what is chosen for all walls of a room is chosen for all of them, as one step', async ({ page }) => {
  await openPart(page, 'Washroom');
  await goTo(page, 'Specify');
  await page.getByRole('button', { name: /^Wall A, / }).click();
  await expect(page.getByRole('button', { name: 'All walls' })).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByText('Goes to: 4 surfaces in Washroom')).toBeVisible();
  await page.getByRole('button', { name: 'Change sheen' }).click();
  await page.getByLabel('Sheen instead').selectOption('eggshell');
  await page.getByLabel('same systems together').check();
  const row = page.getByRole('row', { name: /Wall A.*Wall B.*Wall C.*Wall D/ });
  await expect(row).toContainText('Eggshell');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(row).toContainText('Matte');
  await page.getByRole('link', { name: 'To print', exact: true }).click();
  const sheet = page.getByRole('main', { name: 'Finish schedule' });
  await expect(sheet.getByRole('row', { name: /Walls A, B, C and D \d/ })).toContainText(/fill, sand 150/);
  await expect(sheet).toContainText('follow your local code');
  // on paper it is the sheet alone, and nothing of it is cut off
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('navigation', { name: 'Steps' })).toBeHidden();
  const wide = await sheet
    .locator('table')
    .first()
    .evaluate((t) => [t.scrollWidth, t.parentElement?.clientWidth ?? 0]);
  expect(wide[0]).toBeLessThanOrEqual((wide[1] ?? 0) + 1);
});

test('the survey asks what tests tell: an unknown coat is taken for oil until alcohol says otherwise', async ({
  page,
}) => {
  await openDemo(page);
  await goTo(page, 'Specify');
  await page.getByRole('button', { name: /^Wall H, / }).click();
  const primer = page.locator('[data-member=primer]');
  const about = (name: string) => page.getByRole('button', { name, exact: true }).click();
  const asked = page.locator('.asked:not(.once)');
  const answer = (name: string | RegExp) => asked.getByRole('button', { name }).click();
  const question = asked.locator('legend').first();
  await about('Existing');
  await about('This wall');
  // a conversation: it begins with what would turn a decision; what is skipped stays assumed and can be asked again
  await expect(question).toHaveText('Was it ever waxed or polished?');
  await page.getByRole('button', { name: 'Skip', exact: true }).click();
  const done = page.locator('.survey-done');
  await expect(done).toContainText('3 assumptions stay in this room.');
  await done.getByRole('button', { name: 'Ask them again' }).click();
  await expect(question).toHaveText('Was it ever waxed or polished?');
  await answer(/^no$/);
  // the other walls are still assumed to have none
  await expect(done).toContainText('3 assumptions stay in this room.');
  await page.locator('.answers').getByRole('button', { name: 'Existing coat' }).click();
  await answer('I don’t know');
  await expect(done).toBeVisible();
  await page.getByRole('button', { name: 'solvent rub' }).click();
  await expect(page.locator('.test')).toContainText('Wet a white rag with alcohol');
  // what each result would save is worked out, not recited
  await expect(page.getByRole('button', { name: /^color came off/ })).toContainText(/then .*primer/);
  await expect(page.getByRole('button', { name: /^nothing came off/ })).toContainText(/nothing|primer/);
  await about('New paint');
  await expect(primer).toContainText('a solvent rub could save this coat');
  await primer.getByText('What would change it?').click();
  await expect(primer.locator('.turns')).toContainText('Existing coat: latex or water-based paint');
  await about('Existing');
  await page.locator('.answers').getByRole('button', { name: 'Existing coat' }).click();
  await answer(/^color came off/);
  await about('New paint');
  await expect(primer).not.toContainText('Bonding');
  await about('Existing');
  await page.locator('.answers').getByRole('button', { name: 'Cross-cut' }).click();
  await asked.locator('.test').getByRole('button', { name: 'ISO class 4' }).click();
  await page.locator('.answers').getByRole('button', { name: 'Repairs' }).click();
  await page.getByLabel('Coin-size').fill('3');
  await page.keyboard.press('Enter');
  await answer('That is all');
  await about('New paint');
  await expect(primer).toContainText('holds badly');
  await expect(page.locator('[data-member=prep]')).toContainText('class 4');
  await expect(page.locator('[data-member=prep]')).toContainText('3 coin-size holes: back it first');
  await about('Existing');
  await page.getByText('Copy these answers to').click();
  await page.locator('.copy').getByLabel('Wall G', { exact: true }).check();
  await page.getByRole('button', { name: 'Copy to 1 surface' }).click();
  await page.getByRole('button', { name: /^Wall G, / }).click();
  await about('New paint');
  await expect(primer).toContainText('holds badly');
});

test('the practice is set once with its price, and overruled where the user likes; a door’s edges apart', async ({
  page,
}) => {
  await openPart(page, 'Loft bedroom');
  await goTo(page, 'Specify');
  const sheen = page.locator('[data-member=sheen]');
  await page.getByRole('button', { name: 'How I work' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByText('A thin coat, then full ones').locator('..')).toContainText(/−.*of paint/);
  await dialog.getByLabel(/Satin: it wipes/).check();
  await dialog.getByLabel(/A thin coat, then full ones/).check();
  await dialog.getByRole('button', { name: 'Close' }).click();
  await page.getByRole('button', { name: /^Wall B, / }).click();
  await expect(page.getByRole('heading', { name: 'Wall B', exact: true })).toBeVisible();
  await expect(sheen).toContainText('your practice: satin walls that wipe');
  await expect(page.locator('[data-member=style]')).toContainText('A thin coat, then full ones');
  await page.getByRole('button', { name: 'This wall' }).click();
  await page.getByRole('button', { name: 'Change how they go on' }).click();
  await page.getByLabel('Instead', { exact: true }).selectOption('one-heavy');
  await expect(page.locator('.warned')).toContainText('one heavy coat sags');
  await page.locator('[data-member=style]').getByRole('button', { name: 'Go back to it' }).click();
  await expect(page.locator('.warned')).toHaveCount(0);
  await page.getByLabel(/^Opacity/).fill('class 4');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel(/^Opacity/)).toHaveValue('90 %, class 4');
  await page.getByLabel(/^Opacity/).fill('100 %');
  await expect(page.getByRole('alert').filter({ hasText: 'no thickness' })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.locator('.entry-panel table').getByRole('button', { name: /^Door/ }).first().click();
  await page.getByRole('button', { name: 'Existing' }).click();
  await page.locator('.answers').getByRole('button', { name: 'Edges and handle' }).click();
  await page.getByLabel(/Edges differ/).check();
  await page.getByLabel('On it now').selectOption('oil');
  await page.getByRole('button', { name: 'New paint' }).click();
  await expect(page.locator('[data-zone=edge]')).toContainText('Bonding primer');
});

test('each coat is shown as it would dry, with its curve; colours come from a palette file and go out as CxF', async ({
  page,
}, info) => {
  await openPart(page, 'Loft bedroom');
  await goTo(page, 'Specify');
  await page.locator('polygon[data-wall=C]').dispatchEvent('click');
  await page.getByRole('button', { name: 'Preview' }).click();
  await expect(page.locator('.hiding-chart canvas')).toBeVisible();
  const slider = page.getByRole('slider', { name: 'Show the room' });
  await slider.focus();
  await page.keyboard.press('Home');
  await expect(slider).toHaveAttribute('aria-valuetext', 'old');
  await page.keyboard.press('ArrowRight');
  await expect(slider).toHaveAttribute('aria-valuetext', 'after coat 1');
  await expect(page.locator('[data-thin]').first()).toBeVisible();
  await page.keyboard.press('End');
  await expect(page.locator('[data-thin]')).toHaveCount(0);
  await expect(page.locator('.doubts')).toContainText('rolled 15 % thinner');
  await expect(page.locator('.lights td[aria-label^="B7 deep water blue, Warm lamp"]')).toBeVisible();
  await page.getByRole('button', { name: 'New paint' }).click();
  await page.getByRole('button', { name: 'Read one' }).click();
  await page.getByLabel(/^True color of the chip/).fill('#6b4a2f');
  const press = page.getByRole('button', { name: 'Press the reader' });
  for (let i = 1; i <= 3; i++) {
    await press.click();
    await expect(page.locator('.readings li')).toHaveCount(i);
  }
  await expect(page.getByRole('dialog').getByRole('status')).toContainText(/Mean of \d: LRV \d+, deep/);
  await page.getByRole('button', { name: 'Take this color' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page.locator('.colour-now')).not.toContainText('B7 deep water blue');
  await page.getByRole('button', { name: 'More colors' }).click();
  const dialog = page.getByRole('dialog');
  const give = (name: string, text: string) =>
    dialog.getByLabel('Palette file').setInputFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(text) });
  await give('bad.cxf', '<!DOCTYPE x [<!ENTITY e SYSTEM "file:///etc/hostname">]><CxF>&e;</CxF>');
  await expect(dialog.getByRole('alert')).toContainText('it was not read');
  await give('coast.gpl', 'GIMP Palette\n195 205 189 Pale weed\n34 57 oops\n120 40 30 Rust 3\n');
  await expect(dialog.getByRole('alert')).toContainText('line 3');
  await dialog.getByLabel(/Rust 3/).check();
  const waiting = page.waitForEvent('download');
  await dialog.getByRole('button', { name: 'The job’s colors as CxF' }).click();
  const path = info.outputPath('colours.cxf');
  await (await waiting).saveAs(path);
  expect(readFileSync(path, 'utf8')).toContain('B7 deep water blue');
  await dialog.getByRole('button', { name: 'Take 1 color' }).click();
  await page.locator('.swatches').getByRole('button', { name: 'Rust 3' }).click();
  await expect(page.locator('.colour-now')).toContainText(/Rust 3.*LRV \d+: deep, strongly/);
});

test('a room is asked about in one conversation: a glance, what is left, part by part; a colour goes where it is wanted', async ({
  page,
}) => {
  await openLoft(page);
  await goTo(page, 'Specify');
  await page.getByRole('button', { name: /^Wall C, / }).click();
  await expect(page.getByRole('heading', { name: 'Wall C', exact: true })).toBeVisible();
  const colour = page.getByLabel(/^Another color/);
  // neither a name, a code nor a colour: said, and Enter takes nothing
  await colour.fill('no such thing');
  await expect(page.getByText('No color here is called that.')).toBeVisible();
  await colour.press('Enter');
  await expect(page.locator('.colour-now')).toContainText('W1 warm white');
  await colour.fill('light grey');
  const scope = (name: string) =>
    page.getByRole('group', { name: 'What you choose goes to' }).getByRole('button', { name });
  const fill = (wall: string) => page.locator(`polygon[data-wall=${wall}]`).getAttribute('fill');
  await scope('This wall').click();
  await page.getByRole('button', { name: 'N2 light pebble' }).click();
  await expect.poll(() => fill('C')).toBe('#d0cfc9');
  expect(await fill('A')).not.toBe('#d0cfc9');
  // what is pressed stays, and is what is painted: the wall with a colour of its own is asked about
  await page.getByRole('button', { name: /^Wall A, / }).click();
  await expect(scope('This wall')).toHaveAttribute('aria-pressed', 'true');
  await scope('All walls').click();
  await colour.fill('green');
  await colour.press('Enter');
  const accent = page.getByRole('dialog', { name: 'One of them has a finish of its own' });
  await expect(accent).toContainText('Wall C, Loft bedroom: N2 light pebble');
  await accent.getByRole('button', { name: 'Leave it as it is' }).click();
  await expect.poll(() => fill('A')).not.toBe('#d0cfc9');
  expect([await fill('B'), await fill('C')]).toEqual([await fill('A'), '#d0cfc9']);
  await expect(scope('All walls')).toHaveAttribute('aria-pressed', 'true');
  await colour.fill('light grey');
  await page.getByRole('button', { name: 'N2 light pebble' }).click();
  await expect.poll(() => fill('A')).toBe('#d0cfc9');
  await expect(accent).toHaveCount(0);
  // the accent keeps what it has, unless somebody says otherwise
  // written, it is the same colour, not one more
  await colour.fill('#D0CFC9');
  await expect(page.locator('.swatches li')).toHaveCount(1);
  await expect(page.locator('.swatches button')).toHaveAttribute('aria-pressed', 'true');

  await page.getByRole('button', { name: 'Existing' }).click();
  await page.locator('.once').getByRole('button', { name: 'A few' }).click();
  const question = page.locator('.asked');
  await expect(question.locator('legend').first()).toHaveText('Are the walls like this?');
  await expect(question).toContainText('Smooth drywall; matte, water-based; sound; no stains; dry.');
  await question.getByRole('button', { name: 'Yes, all of it' }).click();
  await expect(question).toBeFocused();
  await expect(question).toHaveAttribute('data-question', 'adhesion');
  const asked = new Set<string>();
  // to the end with the keyboard alone: the first answer of each question, none asked twice
  const part = page.locator('.sides.full [aria-pressed=true]').last();
  const where = async () =>
    `${(await part.textContent()) ?? ''} ${(await question.getAttribute('data-question')) ?? ''}`;
  const left = async () => {
    const [count = 0] = ((await page.locator('.survey-progress').textContent()) ?? '').match(/\d+/) ?? [];
    return Number(count);
  };
  while ((await left()) > 0) {
    await expect(question).toBeFocused();
    const now = await where();
    expect([...asked]).not.toContain(now);
    asked.add(now);
    const all = question.getByRole('button', { name: /^(None|That is all|Yes, all of it)$/ });
    await ((await all.count()) ? all.first() : question.locator('.option').first()).press('Enter');
    await expect.poll(async () => (await left()) === 0 || (await where()) !== now).toBe(true);
  }
  await expect(page.locator('.survey-progress')).toHaveText('No assumption in this room');
  await expect(page.locator('[data-entry="Rests on"] b')).toHaveText('all answered');
  // one wall that differs, and then does not
  await page.getByRole('button', { name: /^Wall B, / }).click();
  await page.getByRole('button', { name: 'This wall' }).click();
  await page.locator('.answers').getByRole('button', { name: 'Existing coat' }).click();
  await question.getByRole('button', { name: 'oil or alkyd' }).click();
  const exceptions = page.getByRole('list', { name: 'Surfaces with answers of their own' });
  await expect(exceptions).toContainText('Wall B differs: existing coat');
  await exceptions.getByRole('button', { name: 'As the others' }).click();
  await expect(exceptions).toHaveCount(0);
});

test('two tabs painting at once, one wall and all of them: both are kept; a colour of emoji is none', async ({
  page,
  context,
}) => {
  await openLoft(page);
  await goTo(page, 'Specify');
  const other = await context.newPage();
  await other.goto(page.url());
  await other.locator('.drawing > svg').waitFor();
  const take = async (tab: typeof page, wall: string, scope: string, name: string) => {
    await tab.getByRole('button', { name: new RegExp(`^Wall ${wall}, `) }).click();
    await expect(tab.getByRole('heading', { name: `Wall ${wall}`, exact: true })).toBeVisible();
    await tab.getByRole('button', { name: scope }).click();
    await tab.getByLabel(/^Another color/).fill(name);
  };
  await take(page, 'A', 'All walls', 'b7');
  await take(other, 'C', 'This wall', 'light grey');
  await Promise.all([
    page.getByLabel(/^Another color/).press('Enter'),
    other.getByLabel(/^Another color/).press('Enter'),
  ]);
  const fill = (tab: typeof page, wall: string) => tab.locator(`polygon[data-wall=${wall}]`).getAttribute('fill');
  for (const tab of [page, other]) {
    await expect.poll(() => fill(tab, 'A')).toBe('#22394f');
    await expect.poll(() => fill(tab, 'C')).not.toBe('#22394f');
  }
  await other.close();
  await page.getByLabel(/^Another color/).fill('🎨🟩');
  await page.getByLabel(/^Another color/).press('Enter');
  await expect(page.getByText('No color here is called that.')).toBeVisible();
  await expect.poll(() => fill(page, 'A')).toBe('#22394f');
});
