import type { Page } from '@playwright/test';
import { expect, goTo, openPart, openRoom, settled, test, visit } from './helpers.ts';

/** What only America says [common practice, no source]. */
const AMERICAN =
  /.{0,30}(baseboard|\bcasings?\b|matte|drywall|chair.rail|\bcrown\b|roller cover(?!s again)|standard cover|\bcans?\b(?! (be|end|have|still))|drop cloth|degloss|latex|\bnap\b|half-inch|\bmold\b|\d (ft|gal|qt)\b).{0,20}/gi;

/** Everything a reader or a screen reader is told. */
const told = (page: Page) =>
  page.evaluate(() => {
    const attributes = ['aria-label', 'aria-valuetext', 'placeholder', 'title'];
    const named = [...document.querySelectorAll(attributes.map((name) => `[${name}]`).join())];
    const unseen = [...document.querySelectorAll('option, svg text, svg title')];
    return [
      document.body.innerText,
      ...named.flatMap((e) => attributes.map((name) => e.getAttribute(name) ?? '')),
      ...unseen.map((e) => e.textContent),
    ].join('\n');
  });

test('a job in metres says skirting, plasterboard and matt, and no American word, in every view and on every paper', async ({
  page,
}) => {
  const foreign: string[] = [];
  let all = '';
  const look = async (where: string) => {
    const text = await told(page);
    all += text;
    for (const [found] of text.matchAll(AMERICAN)) foreign.push(`${where}: ${found.replaceAll('\n', ' ')}`);
  };
  const press = (name: string | RegExp) => page.getByRole('button', { name }).first().click();
  await openPart(page, 'Loft bedroom', 'Passage');
  await press('Where the job is');
  await page.getByLabel('Country').selectOption('GB');
  await press('Close');
  await openRoom(page, 'Passage');
  await settled(page);
  await page.locator('.trim-pair').last().scrollIntoViewIfNeeded();
  await page.locator('.part-line').first().waitFor();
  await look('Measure');
  for (const way of ['Shorthand', 'Takeoff']) {
    await press(way);
    await page
      .locator(way === 'Takeoff' ? '.takeoff-table .total' : '.shorthand textarea')
      .first()
      .waitFor();
    await look(way);
  }
  await goTo(page, 'Specify');
  await settled(page);
  await look('Specify');
  for (const overrule of await page.getByRole('button', { name: /^Change / }).all()) await overrule.click();
  await look('Specify, overruling');
  await press(/^How I work/);
  await look('Practice');
  await page.keyboard.press('Escape');
  await press('Existing');
  for (const question of ['Made of', 'Existing coat', 'Its sheen']) {
    await page.getByRole('list', { name: 'Answers' }).getByRole('button', { name: question }).click();
    await look(`Existing, ${question}`);
  }
  await press('Preview');
  await look('Preview');
  await goTo(page, 'Order');
  await settled(page);
  for (const side of ['Mixing', 'The paint', 'Everything else', 'Labour and price']) {
    await press(side);
    await look(side);
  }
  await goTo(page, 'Sequence');
  await settled(page);
  await page.locator('.tasks li').first().waitFor();
  await look('Sequence');
  await goTo(page, 'Inspect');
  await page.locator('.look-table').waitFor();
  await look('Inspect');
  await press('Touch up');
  await look('Touch up');
  await goTo(page, 'Record');
  await page.locator('.record-table').waitFor();
  await look('Record');
  const job = new URL(page.url()).pathname.split('/').slice(0, 3).join('/');
  for (const paper of ['sheet', 'schedule', 'quote', 'list', 'punch', 'acceptance', 'labels', 'home']) {
    await visit(page, `${job}/${paper}`);
    await page.locator('h1').waitFor();
    await look(paper);
  }
  expect(foreign).toEqual([]);
  const unsaid = ['skirting', 'architrave', 'plasterboard', 'matt,', 'sleeve', 'tins', 'Dust sheet', '230 mm'].filter(
    (word) => !all.includes(word),
  );
  expect(unsaid).toEqual([]);
});

/** What only Britain says or spells, in what an American job shows [common practice, no source]. */
const BRITISH =
  /.{0,30}(skirting|architrave|\bmatt\b|plasterboard|dado.rail|sleeve|dust sheet|mould|(col|lab|vap|neighb)our|\bgrey\b(?! kelp)|(met|lit|fib)res?\b|draught).{0,20}/gi;

test('a job in feet says baseboard and color, and no British word, in every step and on its papers', async ({
  page,
}) => {
  const foreign: string[] = [];
  const look = async (where: string) => {
    // what a label says is the same in every country
    const text = (await told(page)).replaceAll(/^[A-Z]+:.*$/gm, '');
    for (const [found] of text.matchAll(BRITISH)) foreign.push(`${where}: ${found.replaceAll('\n', ' ')}`);
  };
  await openPart(page, 'Loft bedroom');
  for (const [step, opens] of [
    ['Measure', []],
    ['Specify', ['Existing', 'Preview']],
    ['Order', ['Everything else', 'Labor and price']],
    ['Technique', []],
    ['Sequence', []],
    ['Site', []],
    ['Inspect', ['Touch up']],
    ['Record', ['What is left', 'Choose a color']],
  ] as const) {
    await goTo(page, step);
    await settled(page);
    await look(step);
    for (const side of opens) {
      await page.getByRole('button', { name: side, exact: true }).first().click();
      await look(`${step}, ${side}`);
    }
  }
  const job = new URL(page.url()).pathname.split('/').slice(0, 3).join('/');
  for (const paper of ['sheet', 'schedule', 'quote', 'list', 'home']) {
    await visit(page, `${job}/${paper}`);
    await look(paper);
  }
  expect(foreign).toEqual([]);
});

/** Sizes of the other system, as people and papers write them. A setting names both, and a code on a label is the same everywhere. */
const FEET =
  /.{0,40}(\d\s?['′″"](?!\w)|\d (ft|in|inch|inches|feet|gal|qt|oz)\b(?! (the |Living))|°F|\binch(es)?\b).{0,30}/g;
const METRES = /.{0,40}(\d\s?(mm|cm|m|m²|L|ml|°C)\b|\b(millimet|centimet)(er|re)s?\b|°C).{0,30}/g;
for (const [locale, lengths, foreign] of [
  ['en-GB', ['4.35', '3.2', '2.5'], FEET],
  ['en-US', [`14'3`, `10'6`, `8'`], METRES],
] as const)
  test.describe(`a room of one system of units, ${locale}`, () => {
    test.use({ locale });
    test('has no size of the other in any view, test or paper', async ({ page }) => {
      const found = new Set<string>();
      const look = async (where: string) => {
        const text = (await told(page)).replaceAll(/^[A-Z]+:.*$|Feet and inches, or met(re|er)s/gm, '');
        for (const [one] of text.matchAll(foreign)) found.add(`${where}: ${one.replaceAll('\n', ' ')}`);
      };
      const press = (name: string | RegExp) => page.getByRole('button', { name }).first().click();
      await page.goto('/');
      for (const [i, label] of ['Length', 'Width', 'Height'].entries())
        await page.getByLabel(label, { exact: true }).fill(lengths[i] ?? '');
      await look('first page');
      await press('Draw it');
      await page.locator('.drawing > svg').waitFor();
      await settled(page);
      const rail = locale === 'en-GB' ? 'Dado rail' : 'Chair rail';
      await page.getByLabel(`${rail} face`).fill(locale === 'en-GB' ? '60 mm' : '3"');
      await page.keyboard.press('Enter');
      await expect(
        page.getByLabel(/^at the height of|^its height/i).or(page.locator('.trim-pair input').last()),
      ).toBeVisible();
      await look('Measure');
      for (const way of ['Shorthand', 'Takeoff']) {
        await press(way);
        await look(way);
      }
      await goTo(page, 'Specify');
      await settled(page);
      for (const change of await page.getByRole('button', { name: /^Change / }).all()) await change.click();
      await look('Specify');
      await press('Existing');
      const answers = page.locator('.answers').getByRole('button');
      for (let n = await answers.count(); n > 0; n--) {
        await answers.nth(n - 1).click();
        await look('Existing');
      }
      await press('Preview');
      await look('Preview');
      for (const [step, sides] of [
        ['Order', ['Everything else', /^Labou?r and price/]],
        ['Technique', []],
        ['Sequence', []],
        ['Site', ['List', 'Cans']],
        ['Inspect', ['Touch up']],
        ['Record', ['What is left']],
      ] as const) {
        await goTo(page, step);
        await settled(page);
        await look(step);
        for (const side of sides) {
          await press(side);
          await look(`${step}, ${side}`);
        }
      }
      const job = new URL(page.url()).pathname.split('/').slice(0, 3).join('/');
      for (const paper of ['sheet', 'schedule', 'quote', 'list', 'lines', 'punch', 'acceptance', 'labels', 'home']) {
        await visit(page, `${job}/${paper}`);
        await page.locator('h1').first().waitFor();
        await look(paper);
      }
      expect([...found]).toEqual([]);
    });
  });
