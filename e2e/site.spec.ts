import { expect, type Page } from '@playwright/test';
import { GLOSSARY } from '@kovelin/core/words/glossary.ts';
import { writeBarcode } from 'zxing-wasm/writer';
import { serve } from '../scripts/serve.ts';
import { prepared } from './codes.ts';
import { goTo, openLoft, openPart, settled, test, visit } from './helpers.ts';

const press = (page: Page, name: string) => page.getByRole('button', { name, exact: true }).first();
const now = (page: Page) => page.locator('.now-card h2');
const beside = (page: Page, name: string) =>
  page.getByRole('group', { name: 'Beside the work' }).getByRole('button', { name, exact: true }).click();
/** Begins what is next, whatever is asked about it. */
async function begin(page: Page): Promise<void> {
  await press(page, 'Start').click();
  const anyway = page.getByRole('button', { name: /^(Start anyway|Work through)$/ });
  await expect(press(page, 'Done').or(anyway)).toBeVisible();
  if (await anyway.isVisible()) await anyway.click();
  await expect(press(page, 'Done')).toBeVisible();
}
/** What is done in a moment is asked about. */
async function finish(page: Page): Promise<void> {
  await press(page, 'Done').click();
  await page.getByRole('button', { name: 'Yes, done' }).click();
}
const entries = (page: Page) => page.locator('.log > li');

test('what is begun and done is written at once, is there after a reload and in another tab, and can be put right', async ({
  page,
  context,
}) => {
  await openLoft(page);
  await goTo(page, 'Site');
  const first = await now(page).textContent();
  await begin(page);
  // a second tab goes on where this one is
  const other = await context.newPage();
  await other.goto(page.url());
  await finish(other);
  await expect(press(page, 'Start')).toBeVisible();
  await page.reload();
  await beside(page, 'Log');
  await expect(entries(page)).toHaveCount(2);
  await expect(entries(page).first()).toContainText(`Done: ${first}`);
  // it was earlier than it was noted
  await entries(page).last().getByRole('button', { name: 'Correct' }).click();
  await entries(page).last().getByLabel('It was at').fill('00:00');
  await page.keyboard.press('Enter');
  await expect(entries(page).last()).toContainText('0:00');
  // and the other did not happen: somebody is still on it
  await entries(page).first().getByRole('button', { name: 'Correct' }).click();
  await entries(page).first().getByRole('button', { name: 'It did not happen' }).click();
  await expect(entries(page)).toHaveCount(1);
  await expect(press(page, 'Done')).toBeVisible();
  await expect(press(other, 'Done')).toBeVisible();
  await other.close();
});

test('nothing starts too early: what waits is asked about with its reason, a press is one start, a photo is there at once', async ({
  page,
}) => {
  await openLoft(page);
  await goTo(page, 'Site');
  // pressed twice in one breath, it is begun once
  await press(page, 'Start').evaluate((button: HTMLButtonElement) => {
    button.click();
    button.click();
  });
  const anyway = page.getByRole('button', { name: 'Work through' });
  await expect(press(page, 'Done').or(anyway)).toBeVisible();
  if (await anyway.isVisible()) await anyway.click();
  await beside(page, 'Log');
  await expect(entries(page)).toHaveCount(1);
  // a photo that is none is refused with a sentence; one that is stands with the task
  const photo = page.locator('.now-card input[type=file]');
  await photo.setInputFiles({ name: 'wall.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('%PDF-1.7 no picture') });
  await expect(page.getByText(/wall\.jpg was not taken/)).toBeVisible();
  await photo.setInputFiles('docs/screenshots/jobs.png');
  await expect(page.locator('.now-photos')).toContainText('One photo with this task');
  await expect(page.locator('.now-photos img')).toBeVisible();
  // done in a moment: asked about; "Not yet" leaves it running
  await press(page, 'Done').click();
  await page.getByRole('button', { name: 'Not yet' }).click();
  await expect(press(page, 'Done')).toBeVisible();
  // somebody else's task that waits for another says what for, and takes a reason
  await page.getByRole('button', { name: 'Clocks', exact: true }).last().click();
  const early = page.getByRole('button', { name: 'Start anyway' });
  const later = page.locator('.next').getByRole('button', { name: 'Start this' });
  await later.last().click();
  await expect(page.getByRole('heading', { name: /Start anyway\?$/ })).toBeVisible();
  await page.getByRole('button', { name: /^Wait/ }).click();
  await expect(early).toHaveCount(0);
  await later.last().click();
  await page.getByLabel('Why it may begin').fill('dry since yesterday');
  await early.click();
  await beside(page, 'Log');
  await expect(entries(page).first()).toContainText('dry since yesterday');
  await expect(entries(page).first()).toContainText('Begun before what it waits for was done or dry');
});

/** The button is whole in the window, and itself what a finger meets in its middle. */
const inSight = async (page: Page, name: string) => {
  await expect(press(page, name)).toBeVisible();
  await expect
    .poll(() =>
      press(page, name).evaluate((button) => {
        const { x, y, width: w, height: h } = button.getBoundingClientRect();
        const met = document.elementFromPoint(x + w / 2, y + h / 2);
        const isWhole = x >= 0 && y >= 0 && x + w <= innerWidth + 0.5 && y + h <= innerHeight + 0.5;
        return isWhole && h >= 44 && met !== null && button.contains(met);
      }),
    )
    .toBe(true);
};
/** Works on until something dries that a clock is kept of. */
async function untilClock(page: Page): Promise<void> {
  for (let n = 0; n < 12 && !(await page.locator('.clock, .alarm.next').count()); n++) {
    const was = await page.locator('.site-now').textContent();
    await begin(page);
    await finish(page);
    await expect(page.locator('.site-now')).not.toHaveText(was ?? '');
    await expect(press(page, 'Start')).toBeVisible();
  }
}
const SIZES = [
  [390, 844],
  [844, 390],
  [667, 375],
  [640, 400],
  [320, 568],
] as const;
for (const [width, height] of SIZES)
  test(`on ${width} by ${height} what is pressed on site is on the screen, with nothing over it, in every state`, async ({
    browser,
  }) => {
    const phone = await browser.newContext({ viewport: { width, height }, hasTouch: true, isMobile: true });
    const page = await phone.newPage();
    await page.clock.install();
    await openLoft(page);
    const path = new URL(page.url());
    await page.goto(path.pathname.replace('measure', 'site') + path.search);
    await inSight(page, 'Start');
    await begin(page);
    await inSight(page, 'Done');
    await inSight(page, 'Stop …');
    // two hours later it runs late
    await page.clock.fastForward('02:00:00');
    await expect(page.locator('.now-time .over')).toBeVisible();
    await inSight(page, 'Done');
    // long words and a clock that runs late make the card longer, not the button absent
    await page
      .locator('.now-card h2')
      .evaluate((heading) => heading.append(' and the long wall with the gable'.repeat(6)));
    await inSight(page, 'Done');
    await press(page, 'Stop …').click();
    await expect(page.getByRole('heading', { name: 'Stopped: why?' })).toBeVisible();
    await page.getByRole('button', { name: 'it has to wait' }).click();
    await inSight(page, 'Start');
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(width);
    await phone.close();
  });

test('while an alarm rings, what is pressed stays on the screen at every size, and so does what ends the ringing', async ({
  browser,
}) => {
  const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
  const page = await phone.newPage();
  await page.clock.install();
  await openLoft(page);
  const path = new URL(page.url());
  await page.goto(path.pathname.replace('measure', 'site') + path.search);
  await expect(press(page, 'Start')).toBeVisible();
  await untilClock(page);
  const ringing = page.locator('.alarm.ringing');
  for (let n = 0; n < 8 && !(await ringing.count()); n++) await page.clock.fastForward('00:30:00');
  await expect(ringing).toBeVisible();
  for (const [width, height] of SIZES) {
    await page.setViewportSize({ width, height });
    await inSight(page, 'Start');
    await expect(ringing.getByRole('button', { name: 'Seen' })).toBeInViewport({ ratio: 1 });
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(width);
  }
  await begin(page);
  for (const [width, height] of SIZES) {
    await page.setViewportSize({ width, height });
    await inSight(page, 'Done');
  }
  await phone.close();
});

test('stopped with a reason by keyboard; a clock runs for what dries; a detector that stays covered keeps the day open', async ({
  page,
}) => {
  await openPart(page, 'Loft bedroom');
  await goTo(page, 'Site');
  // somebody else's work: the list of who
  await page.getByRole('group', { name: 'Whose day' }).getByRole('button').last().click();
  await begin(page);
  await press(page, 'Stop …').focus();
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'it has to wait' }).press('Enter');
  await expect(press(page, 'Start')).toBeVisible();
  // what is washed dries
  await untilClock(page);
  await expect(page.locator('.clock').first()).toContainText(/May begin|Dry to the touch/);
  await beside(page, 'List');
  // where the clocks are not shown, the next to come due is
  await expect(page.locator('.alarm.next')).toBeVisible();
  await page.getByRole('button', { name: 'Covered', exact: true }).click();
  await expect(page.getByText(/Still covered: Loft bedroom/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Close the day' })).toHaveCount(0);
  await page.getByLabel('Why').fill('It is sprayed tomorrow; nobody sleeps here');
  await page.getByRole('button', { name: 'Note it' }).click();
  await page.getByRole('button', { name: 'Close the day' }).click();
  await expect(page.getByText('The day is closed.')).toBeVisible();
  const item = page.getByRole('checkbox', { name: 'Windows shut' });
  await item.check();
  await expect(item).toBeChecked();
});

test('on a phone: one line of frame, one thing to press, nothing wider than the page, and the log goes from one device to the other', async ({
  browser,
  baseURL,
}, info) => {
  const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
  const page = await phone.newPage();
  await openPart(page, 'Loft bedroom');
  await page.locator('.phone-top .where').tap();
  await page.getByRole('link', { name: 'Site' }).tap();
  await begin(page);
  const box = await press(page, 'Done').boundingBox();
  expect(box?.height).toBeGreaterThanOrEqual(64);
  expect((box?.y ?? 0) + (box?.height ?? 0)).toBeGreaterThan(700);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBe(390);
  await page.getByRole('group', { name: 'Shown' }).getByRole('button', { name: 'Log' }).tap();
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export the log' }).tap();
  const path = info.outputPath('cottage.log.jsonl');
  await (await waiting).saveAs(path);
  // at the desk
  const desk = await (await browser.newContext({ baseURL: baseURL ?? '' })).newPage();
  await openPart(desk, 'Loft bedroom');
  await goTo(desk, 'Site');
  await desk.getByRole('group', { name: 'Beside the work' }).getByRole('button', { name: 'Log', exact: true }).click();
  await desk.getByLabel('Take one over').setInputFiles(path);
  await expect(desk.getByText('1 entry taken over')).toBeVisible();
  await expect(press(desk, 'Done')).toBeVisible();
  // once more: it is the same log
  await desk.getByRole('button', { name: 'Close', exact: true }).click();
  await desk.getByLabel('Take one over').setInputFiles(path);
  await expect(desk.getByText('0 entries taken over')).toBeVisible();
  await expect(entries(desk)).toHaveCount(1);
  await settled(desk);
  await phone.close();
  await desk.context().close();
});

test('on a phone no step is wider than the page, what is pressed is 44 px high, and a paint and a wall are asked about by thumb', async ({
  browser,
}) => {
  const phone = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
  const page = await phone.newPage();
  const job = await openLoft(page);
  for (const step of ['Measure', 'Specify', 'Order', 'Technique', 'Sequence', 'Site', 'Inspect', 'Record']) {
    if (step !== 'Measure') {
      await page.locator('.phone-top .where').tap();
      await page.getByRole('link', { name: step }).tap();
    }
    await page.getByRole('main', { name: step }).waitFor();
    await settled(page);
    expect((await page.getByRole('main', { name: step }).boundingBox())?.width).toBeGreaterThan(360);
    const wide = await page.evaluate(() =>
      [document.documentElement, ...document.querySelectorAll('main, main *:not(svg, svg *), .ledger')]
        // the walls in a row are wider than any phone: they are drawn through by a finger
        .filter((part) => part.scrollWidth > innerWidth && !part.matches('.drawing, .unseen'))
        .map((part) => part.className),
    );
    expect([step, wide]).toEqual([step, []]);
    const small = await page.evaluate(() =>
      [...document.querySelectorAll('button, a, select, summary, textarea, input:not([type=range], .unseen)')]
        .filter((one) => !one.closest('svg') && one.getClientRects().length > 0)
        .filter(
          (one) =>
            Math.max(...[one, one.closest('label') ?? one].map((at) => at.getBoundingClientRect().height)) < 43.5,
        )
        .map((one) => `${one.className} ${one.textContent}`),
    );
    expect([step, small]).toEqual([step, []]);
  }
  await visit(page, `/job/${job}/specify`);
  await page.locator('.drawing .surface').nth(1).tap();
  await page.getByRole('button', { name: 'Existing' }).tap();
  const asked = page.locator('.asked:not(.once)');
  await page.locator('.answers').getByRole('button', { name: 'Existing coat' }).tap();
  await expect(asked.locator('legend').first()).toHaveText('What is on it now?');
  await asked.getByRole('button', { name: 'I don’t know' }).tap();
  await expect(asked.locator('legend').first()).not.toHaveText('What is on it now?');
  await settled(page);
  await page.goto(`/job/${job}/order`);
  await page.locator('.entry-panel tbody tr').nth(1).getByRole('button').first().tap();
  await page.locator('.sheet-handle').tap();
  await expect(page.getByRole('heading', { name: 'How much is enough?' })).toBeVisible();
  await phone.close();
});

test('with server and network gone the whole application and all data are there after a reload, and what is noted then is kept', async ({
  browser,
}) => {
  const served = await serve();
  const context = await browser.newContext({ baseURL: served.url, serviceWorkers: 'allow' });
  const page = await context.newPage();
  await page.goto('/');
  await openPart(page, 'Loft bedroom');
  await page.evaluate(async () => {
    await navigator.serviceWorker.ready;
  });
  await served.end();
  await context.setOffline(true);
  await page.reload();
  for (const step of ['Order', 'Technique', 'Site']) await goTo(page, step);
  await begin(page);
  await page.reload();
  await expect(press(page, 'Done')).toBeVisible();
  await beside(page, 'Log');
  await expect(entries(page)).toHaveCount(1);
  // a file that another application shares is taken by the service worker
  await page.evaluate(async () => {
    const body = new FormData();
    body.set('file', new File(['no zip'], 'from elsewhere.zip'));
    await fetch('/bring-in', { method: 'POST', body, redirect: 'manual' });
  });
  await page.goto('/bring-in?shared');
  await page.getByRole('button', { name: 'Look into it' }).click();
  await expect(page.getByRole('alert')).toContainText('This is no zip file');
  // guides and the words of the trade, in both Englishes, and back
  await page.goBack();
  await goTo(page, 'Specify');
  await page.getByRole('link', { name: 'Guide to Specify' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Specify');
  await page.getByRole('link', { name: 'Words of the trade' }).click();
  await expect(page.getByText('Baseboard and casing')).toBeVisible();
  await page.getByRole('button', { name: 'British' }).click();
  await expect(page.getByText('Skirting and architrave')).toBeVisible();
  await expect(page.locator('.words > li')).toHaveCount(GLOSSARY.length);
  // each has its picture
  await expect(page.locator('.words > li:has(> svg:empty, > svg > rect:only-child)')).toHaveCount(0);
  await page.getByRole('link', { name: 'Back to the job' }).click();
  await expect(page.getByRole('main', { name: 'Specify' })).toBeVisible();
  // a paper with the typefaces that travel in it
  await visit(page, page.url().replace(/specify.*/, 'list'));
  const paper = page.waitForEvent('download');
  await page.getByRole('button', { name: 'PDF', exact: true }).click();
  expect((await paper).suggestedFilename()).toMatch(/\.pdf$/);
  // another page of the job, and all jobs
  await page.goto('/');
  await expect(page.getByText('Keeper’s cottage').first()).toBeVisible();
  await context.close();
});

test.describe('what a day brings', () => {
  test.use({ provoked: /Failed to load resource/ });
  test('the logger is followed, a batch is read from its bars, and a clock that was set back is said', async ({
    page,
  }) => {
    await openPart(page, 'Loft bedroom');
    await goTo(page, 'Site');
    await beside(page, 'Cans');
    let isThere = true;
    let temperature = 12.4;
    await page.route('**/instruments/climate/now', (route) =>
      isThere
        ? route.fulfill({ json: { at: new Date().toISOString(), temperature, humidity: 0.61, draught: 0.1 } })
        : route.abort(),
    );
    await page.getByLabel(/Follow the climate logger/).check();
    await expect(page.getByLabel('Temperature')).toHaveValue('54 °F');
    // what is there no more is said; what was read last counts
    isThere = false;
    await page.getByLabel(/Follow the climate logger/).uncheck();
    await page.getByLabel(/Follow the climate logger/).check();
    await expect(page.getByText(/The logger: it cannot be reached.*what was read last/)).toBeVisible();
    isThere = true;
    temperature = 12.9;
    await page.getByLabel(/Follow the climate logger/).uncheck();
    await page.getByLabel(/Follow the climate logger/).check();
    await expect(page.getByText(/The logger:/)).toHaveCount(0);
    await expect(page.getByLabel('Temperature')).toHaveValue('54 °F');
    // the batch of a can, as it is printed on it
    await page.getByText('Open a can, read a level').first().click();
    await page.getByRole('button', { name: 'Scan' }).first().click();
    await prepared('writer');
    const { image } = await writeBarcode('LOT-48213-B', { format: 'Code128', scale: 4 });
    await page.getByLabel('Open pictures').setInputFiles({
      name: 'can.png',
      mimeType: 'image/png',
      buffer: Buffer.from(await (image as Blob).arrayBuffer()),
    });
    await expect(page.getByLabel('Batch').first()).toHaveValue('LOT-48213-B');
    await page.getByLabel('Opened').first().fill('1');
    await page.keyboard.press('Enter');
    await beside(page, 'Log');
    await expect(entries(page)).toHaveCount(2);
    await expect(entries(page).first()).toContainText('batch LOT-48213-B');
    await begin(page);
    await expect(entries(page)).toHaveCount(3);
    // the clock goes back across a reload
    await page.clock.setSystemTime(Date.now() - 3_600_000);
    await page.reload();
    await expect(page.getByText(/The clock of this device is behind the log/)).toBeVisible();
    await press(page, 'Done').click();
    const sure = page.getByRole('button', { name: 'Yes, done' });
    await expect(press(page, 'Start').or(sure)).toBeVisible();
    if (await sure.isVisible()) await sure.click();
    await expect(press(page, 'Start')).toBeVisible();
    await beside(page, 'Log');
    await expect(entries(page).first()).toContainText('Done:');
  });
});
