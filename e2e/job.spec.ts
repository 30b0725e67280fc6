import { execFile } from 'node:child_process';
import { readFileSync, writeFileSync } from 'node:fs';
import { promisify } from 'node:util';
import type { Page } from '@playwright/test';
import { run as runVerb } from '../core/src/cli/run.ts';
import { expect, goTo, ledger, openPart, openRoom, settled, test, watch, visit } from './helpers.ts';

const run = promisify(execFile);
/** A verb of the shell; it throws what the shell says on stderr. */
const cli = async <T>(verb: string, file: string): Promise<T> => {
  const done = await run('node_modules/.bin/tsx', ['core/src/cli/main.ts', verb, file], { maxBuffer: 1 << 26 });
  return JSON.parse(done.stdout) as T;
};

/** The same verbs without a process each. */
const verb = <T>(name: string, file: string): T =>
  JSON.parse(runVerb([name, file], (path) => readFileSync(path, 'utf8')).stdout) as T;

interface Takeoff {
  readonly rooms: readonly {
    readonly walls: readonly { readonly painted: number }[];
    readonly ceilingArea: number;
    readonly trim: readonly { readonly area: number }[];
    readonly lines: readonly { readonly length: number }[];
  }[];
}
interface Specify {
  readonly surfaces: readonly {
    readonly area: number;
    readonly system: { readonly sheen: { readonly value: string; readonly override?: string } };
  }[];
}
interface Order {
  readonly paints: readonly { readonly ordered: number; readonly shortfallChance: number }[];
  readonly labour: { readonly minutes: number };
  readonly price: { readonly total: number };
}

async function exportFrom(page: Page, path: string): Promise<void> {
  await page.goto('/');
  await page
    .getByRole('button', { name: /^More for/ })
    .first()
    .click();
  const waiting = page.waitForEvent('download');
  await page.getByRole('menuitem', { name: 'Export' }).click();
  await (await waiting).saveAs(path);
}

test('another sheen, export, import into an empty profile: the same numbers, and the shell agrees', async ({
  page,
  browser,
  baseURL,
}, info) => {
  await openPart(page, 'Loft bedroom');
  await goTo(page, 'Specify');
  await page.getByRole('button', { name: /^Wall B, / }).click();
  await page.getByRole('button', { name: 'This wall' }).click();
  await page.getByRole('button', { name: 'Change sheen' }).click();
  await page.getByLabel('Sheen instead').selectOption('satin');
  const sheen = page.locator('[data-member=sheen]');
  await expect(sheen).toContainText('your choice; Kovelin would take matte');
  const here = await ledger(page);
  const file = info.outputPath('cottage.json');
  await exportFrom(page, file);

  const [takeoff, specify, order] = [
    verb<Takeoff>('takeoff', file),
    verb<Specify>('specify', file),
    verb<Order>('order', file),
  ];
  // one of them from a shell of its own
  const schedule = await cli<{ finish: number }>('schedule', file);
  const sum = (list: readonly number[]) => list.reduce((a, b) => a + b, 0);
  expect(specify.surfaces.filter((s) => s.system.sheen.override)).toHaveLength(1);
  expect(here['Paint area']).toBeCloseTo(sum(specify.surfaces.map((s) => s.area)), 9);
  expect(here['Cut-in']).toBeCloseTo(sum(takeoff.rooms.flatMap((r) => r.lines.map((l) => l.length))), 9);
  expect(here['Paint']).toBeCloseTo(sum(order.paints.map((p) => p.ordered)), 9);
  expect(here['Price']).toBe(order.price.total);
  expect(here['Work']).toBeCloseTo(order.labour.minutes, 9);
  expect(here['Risk of not finishing']).toBeCloseTo(Math.max(...order.paints.map((p) => p.shortfallChance)), 12);
  expect(here['Days']).toBeCloseTo(schedule.finish, 9);

  const empty = await browser.newContext({ baseURL: baseURL ?? '' });
  const there = await empty.newPage();
  const faults: string[] = [];
  watch(there, baseURL ?? '', faults);
  await there.goto('/');
  await expect(there.getByRole('heading', { name: /^Type a room/ })).toBeVisible();
  await there.getByLabel('Job file or tape sheet').setInputFiles(file);
  await there.locator('.drawing > svg').waitFor();
  expect(await ledger(there)).toEqual(here);
  expect(faults).toEqual([]);
  await empty.close();

  await visit(page, '/job/keepers-cottage/specify');
  await openRoom(page, 'Loft bedroom');
  await page.getByRole('button', { name: /^Wall B, / }).click();
  await page.getByRole('button', { name: 'This wall' }).click();
  await page.getByRole('button', { name: 'Go back to it' }).click();
  await expect(sheen).not.toContainText('your choice');
});

test('two pages edit different rooms, and both survive a reload', async ({ page, context, baseURL }) => {
  await openPart(page, 'Parlour', 'Passage');
  const other = await context.newPage();
  const faults: string[] = [];
  watch(other, baseURL ?? '', faults);
  await other.goto(page.url());
  await settled(other);
  await openRoom(other, 'Passage');
  await page.getByLabel('Room', { exact: true }).fill('Sitting room');
  await other.getByLabel('Room', { exact: true }).fill('Long passage');
  await Promise.all([page.keyboard.press('Enter'), other.keyboard.press('Enter')]);
  await Promise.all([settled(page), settled(other)]);
  for (const one of [page, other]) {
    await expect(one.locator('.rooms')).toContainText('Sitting room');
    await expect(one.locator('.rooms')).toContainText('Long passage');
    await one.reload();
    await settled(one);
    await expect(one.locator('.rooms')).toContainText('Sitting room');
    await expect(one.locator('.rooms')).toContainText('Long passage');
  }
  expect(faults).toEqual([]);
});

test('a wall clicked while the next step is still loading is chosen there, and the step is not lost', async ({
  page,
}) => {
  await openPart(page, 'Parlour');
  let letIn: () => void = () => undefined;
  const clicked = new Promise<void>((resolve) => (letIn = resolve));
  await page.route('**/assets/SpecifyView-*.js', async (route) => {
    await clicked;
    await route.continue();
  });
  await page.getByRole('link', { name: 'Specify' }).click();
  await page.getByRole('button', { name: /^Wall B, / }).click();
  letIn();
  await expect(page.getByRole('main', { name: 'Specify' })).toBeVisible();
  await expect(page.locator('.panel > h2')).toHaveText('Wall B');
});

test('a room and the next step, clicked in one breath, lead to that room in that step', async ({ page }) => {
  await openPart(page, 'Parlour', 'Loft bedroom');
  await page.evaluate(() => {
    for (const [place, words] of [
      ['.rooms button', 'Loft bedroom'],
      ['.tape a', 'Specify'],
    ] as const)
      [...document.querySelectorAll<HTMLElement>(place)].find((e) => e.textContent.includes(words))?.click();
  });
  await page.getByRole('main', { name: 'Specify' }).waitFor();
  await expect(page.locator('.rooms [aria-current=true]')).toContainText('Loft bedroom');
});

test('damaged, foreign, future and huge files are refused with sentences; the jobs there stay', async ({
  page,
}, info) => {
  await openPart(page, 'Loft bedroom');
  await page.goto('/');
  const good = readFileSync('examples/keepers-cottage.json', 'utf8');
  const cases: readonly (readonly [string, string | Buffer, RegExp])[] = [
    ['cut.json', good.slice(0, 4000), /cut off/],
    ['hand.json', good.replace('"turn": 90', '"turn": "R"'), /turn must be a number/],
    ['future.json', good.replace(/"version": \d+/, '"version": 99'), /newer Kovelin/],
    ['picture.json', Buffer.from('89504e470d0a1a0a', 'hex'), /line 1/],
    ['huge.json', Buffer.alloc(50 * 1024 * 1024, 32), /50 MB; a job file is at most 20 MB/],
    ['walls.tape', `units ft\nroom R\nwall A 12'14`, /line 3, column 11: 14 inches after feet/],
  ];
  for (const [name, content, message] of cases) {
    const path = info.outputPath(name);
    writeFileSync(path, content);
    await page.getByLabel('Job file or tape sheet').setInputFiles(path);
    await expect(page.getByRole('alert')).toContainText(`${name} was not imported; your jobs are as they were.`);
    await expect(page.getByRole('alert')).toContainText(message);
    await page.getByRole('button', { name: 'Close' }).click();
  }
  await expect(page.locator('.job-card')).toHaveCount(1);
  await page.getByLabel('Job file or tape sheet').setInputFiles('examples/loft-bedroom.tape');
  await page.locator('.drawing > svg').waitFor();
  await expect(page.locator('.rooms')).toContainText('Loft bedroom');
});

test('jobs are renamed, duplicated, deleted and brought back', async ({ page }) => {
  await openPart(page, 'Loft bedroom');
  await page.goto('/');
  const more = async (name: string, item: string) => {
    await page.getByRole('button', { name: `More for ${name}` }).click();
    await page.getByRole('menuitem', { name: item }).click();
  };
  await more('Keeper’s cottage', 'Duplicate');
  await expect(page.locator('.job-card')).toHaveCount(2);
  await more('Keeper’s cottage (copy)', 'Rename');
  await page.getByLabel('Name').fill('Boat house');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('link', { name: 'Boat house', exact: true })).toBeVisible();
  await more('Boat house', 'Delete');
  await expect(page.locator('.job-card')).toHaveCount(1);
  await page.getByRole('button', { name: 'Restore' }).click();
  await expect(page.getByRole('link', { name: 'Boat house', exact: true })).toBeVisible();
});

test('a wall clicked in one step is the wall in every step; the sheet says what to buy and do', async ({ page }) => {
  await openPart(page, 'Loft bedroom');
  // a window stands for its wall
  await page.locator('[data-opening=w5]').click();
  for (const step of ['Specify', 'Order']) {
    await goTo(page, step);
    await expect(page.locator('.panel h2')).toHaveText('Wall C');
  }
  await goTo(page, 'Sequence');
  await expect(page.locator('.plan-chart svg')).toBeVisible();
  await expect(page.locator('.tasks li.chosen').first()).toContainText('wall C');
  const first = await page.locator('[data-entry=Days]').getAttribute('data-value');
  await page.getByLabel('People').selectOption('1');
  await expect
    .poll(async () => Number(await page.locator('[data-entry=Days]').getAttribute('data-value')))
    .toBeGreaterThan(Number(first));
  await page.getByRole('link', { name: 'Day sheet to print' }).click();
  await expect(page.locator('.sheet')).toContainText('B7 deep water blue');
  await expect(page.locator('.sheet-day').first()).toContainText('Cover the floor');
  await page.emulateMedia({ media: 'print' });
  await expect(page.locator('.ledger')).toBeHidden();
  const pdf = await page.pdf({ preferCSSPageSize: true });
  expect(pdf.byteLength).toBeGreaterThan(20_000);
});
