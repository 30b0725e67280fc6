import { readFileSync } from 'node:fs';
import { test as base, expect, type BrowserContext, type Locator, type Page } from '@playwright/test';
import { readAny } from '../core/src/exchange/read.ts';

/** Every test watches its page: nothing leaves the origin, and the content policy and the console stay silent. */
export const test = base.extend<{ provoked: RegExp | null }>({
  /** Faults that a test brings about itself. */
  provoked: [null, { option: true }],
  page: async ({ page, baseURL, provoked }, use) => {
    const faults: string[] = [];
    watch(page, baseURL ?? '', faults);
    await use(page);
    expect(faults.filter((fault) => !provoked?.test(fault))).toEqual([]);
  },
});
export { expect };

export function watch(page: Page, origin: string, faults: string[]): void {
  page.on('request', (request) => {
    if (!request.url().startsWith(origin) && !/^(data|blob):/.test(request.url()))
      faults.push(`left the origin: ${request.url()}`);
  });
  page.on('console', (message) => {
    if (message.type() === 'error' || /Content.Security.Policy/i.test(message.text()))
      faults.push(`console: ${message.text()}`);
  });
  page.on('pageerror', (error) => faults.push(`page: ${error.message}`));
}

/** What browsers hold of jobs that were opened before: they are put there, and not read from their files each time. */
const held = new Map<
  string,
  { readonly state: Awaited<ReturnType<BrowserContext['storageState']>>; readonly path: string }
>();
/** A job with its first room on the screen and its plan made. @param first how it comes there the first time. */
async function open(page: Page, name: string, first: () => Promise<unknown>): Promise<void> {
  const known = page.url() === 'about:blank' ? held.get(name) : undefined;
  if (known) {
    await page.context().setStorageState(known.state);
    await page.goto(known.path);
  } else await first();
  await page.locator('.drawing > svg').waitFor();
  await settled(page);
  if (!held.has(name))
    held.set(name, {
      state: await page.context().storageState({ indexedDB: true }),
      path: new URL(page.url()).pathname,
    });
}
const bringIn = (page: Page, file: Parameters<Locator['setInputFiles']>[0]) => async (): Promise<void> => {
  await page.goto('/');
  await page.getByLabel('Job file or tape sheet').setInputFiles(file);
};

/** Plans tried where the plan is not what is looked at: fewer than those after which all plans of a small job are looked at. */
const FEW_PLANS = { 'plan.steps': 28 };
const withFewPlans = <J extends { readonly settings?: unknown }>(job: J): J => ({
  ...job,
  settings: { ...(job.settings as object | undefined), ...FEW_PLANS },
});

export const openDemo = (page: Page): Promise<void> =>
  open(page, 'demo', async () => {
    await page.route(/keepers-cottage.*\.json$/, async (route) => {
      const job = (await (await route.fetch()).json()) as object;
      await route.fulfill({ json: withFewPlans(job) });
    });
    await page.goto('/demo');
  });

interface CottageFile extends Record<string, unknown> {
  readonly settings?: unknown;
  readonly rooms: { byId: Record<string, { readonly name: string }>; order: string[] };
}
/** Some rooms of the cottage, with all that was chosen for them: planned in a fraction of the time. The first one is looked at. */
export async function openPart(page: Page, ...names: readonly string[]): Promise<void> {
  const buffer = Buffer.from(JSON.stringify(partOfCottage(names)));
  await open(page, names.join(), bringIn(page, { name: 'part.json', mimeType: 'application/json', buffer }));
}
function partOfCottage(names: readonly string[]): CottageFile {
  const job = JSON.parse(readFileSync('examples/keepers-cottage.json', 'utf8')) as CottageFile;
  const { byId, order } = job.rooms;
  const left = names.flatMap((name) => order.filter((id) => byId[id]?.name === name));
  const gone = order.filter((id) => !left.includes(id)).map((id) => JSON.stringify(byId[id]));
  const isGone = (surface: string) => gone.some((room) => room.includes(`"${surface.split(/[/:]/)[0] ?? ''}"`));
  job.rooms.byId = Object.fromEntries(left.map((id) => [id, byId[id] as { name: string }]));
  job.rooms.order = left;
  for (const member of ['finishes', 'survey', 'earlier'])
    job[member] = Object.fromEntries(Object.entries(job[member] as object).filter(([key]) => !isGone(key)));
  const named = Object.entries({ options: 'surfaces', defects: 'surface' } as const);
  for (const [member, by] of named) {
    const table = job[member] as { byId: Record<string, Record<string, unknown>>; order: string[] };
    table.order = table.order.filter((id) => ![table.byId[id]?.[by]].flat().some((each) => isGone(String(each))));
    table.byId = Object.fromEntries(table.order.map((id) => [id, table.byId[id] ?? {}]));
  }
  return withFewPlans(job);
}

/** A job of one room, the loft bedroom. @param change of its starting values; few plans where it says nothing. @returns its id. */
export async function openLoft(page: Page, change: object = FEW_PLANS): Promise<string> {
  const read = readAny(readFileSync('examples/loft-bedroom.tape', 'utf8'), 'loft-bedroom');
  if (!read.ok) throw new Error('the loft is not read');
  const { job } = read.value;
  const buffer = Buffer.from(JSON.stringify({ ...job, settings: { ...job.settings, ...change } }));
  const file = { name: 'loft-bedroom.json', mimeType: 'application/json', buffer };
  await open(page, `loft ${JSON.stringify(change)}`, bringIn(page, file));
  return /\/job\/([^/]+)/.exec(page.url())?.[1] ?? '';
}

/** Another page of the application, as by Back and Forward: nothing is loaded again. */
export async function visit(page: Page, path: string): Promise<void> {
  if (new URL(page.url()).pathname === path) return;
  const before = await page.title();
  await page.evaluate((to) => {
    history.pushState({}, '', to);
    dispatchEvent(new PopStateEvent('popstate', { state: {} }));
  }, path);
  // each page has a title of its own
  await expect(page).not.toHaveTitle(before);
}

/** The ledger has its schedule and everything typed is saved. */
export async function settled(page: Page): Promise<void> {
  await expect(page.locator('.saving')).toHaveText('Saved');
  await expect(page.locator('.ledger')).toHaveAttribute('aria-busy', 'false');
  await expect(page.locator('[data-entry=Days] b')).not.toHaveText('working …');
}

export async function openRoom(page: Page, name: string): Promise<void> {
  const room = page.locator('.rooms').getByRole('button', { name });
  // on a phone the rooms open from below
  const which = page.locator('.phone-top .which');
  if (await which.isVisible()) {
    await which.click();
    await room.click();
    await expect(which).toContainText(name);
    return;
  }
  await room.click();
  await expect(room).toHaveAttribute('aria-current', 'true');
}

export async function goTo(page: Page, step: string): Promise<void> {
  await page.getByRole('navigation', { name: 'Steps' }).getByRole('link', { name: step }).click();
  await page.getByRole('main', { name: step }).waitFor();
}

/** Every figure of the ledger; what it rests on is looked for later, when all is quiet. */
export async function ledger(page: Page): Promise<Record<string, number>> {
  await settled(page);
  const pairs = await page
    .locator('.ledger .entry:not([data-entry="Rests on"])')
    .evaluateAll((entries) =>
      entries.map((e) => [e.getAttribute('data-entry') ?? '', Number(e.getAttribute('data-value'))] as const),
    );
  return Object.fromEntries(pairs);
}

/** Types a room wall by wall, with the keyboard alone, from the focused first length. */
export async function typeWalls(page: Page, lengths: readonly string[]): Promise<void> {
  for (const length of lengths) {
    await page.keyboard.type(length);
    await page.keyboard.press('Enter');
  }
}
