import { test as base, expect, type BrowserContext, type Page } from '@playwright/test';
import { cottageText, fewPlans, loftSheet, opened, someRooms } from '../core/src/testing/jobs.ts';
import type { Job } from '../core/src/job/types.ts';

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
  // a page that was somewhere may be of another server
  const isFresh = page.url() === 'about:blank';
  const known = isFresh ? held.get(name) : undefined;
  if (known) {
    await page.context().setStorageState(known.state);
    await page.goto(known.path);
  } else await first();
  await page.locator('.drawing > svg').waitFor();
  await settled(page);
  if (isFresh && !held.has(name))
    held.set(name, {
      state: await page.context().storageState({ indexedDB: true }),
      path: new URL(page.url()).pathname,
    });
}
/** Plans tried where the plan is not what is looked at: fewer than those after which all plans of a small job are looked at. */
const FEW_PLANS = 28;
const fullCottage = (): Job => opened(cottageText());

export const openDemo = (page: Page): Promise<void> =>
  open(page, 'demo', async () => {
    await page.route(/keepers-cottage.*\.json$/, (route) =>
      route.fulfill({ json: fewPlans(fullCottage(), FEW_PLANS) }),
    );
    await page.goto('/demo');
  });

const openFile = (page: Page, name: string, job: Job): Promise<void> =>
  open(page, name, async () => {
    await page.goto('/');
    await page
      .getByLabel('Job file or tape sheet')
      .setInputFiles({ name: 'job.json', mimeType: 'application/json', buffer: Buffer.from(JSON.stringify(job)) });
  });
/** Some rooms of the cottage, with all that was chosen for them: planned in a fraction of the time. The first one is looked at. */
export const openPart = (page: Page, ...names: readonly string[]): Promise<void> =>
  openFile(page, names.join(), fewPlans(someRooms(fullCottage(), ...names), FEW_PLANS));

/** A job of one room, the loft bedroom. @param steps plans that are tried. @returns its id. */
export async function openLoft(page: Page, steps = FEW_PLANS): Promise<string> {
  await openFile(page, `loft ${steps}`, fewPlans(opened(loftSheet(), 'loft-bedroom'), steps));
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

/** What a person does: each press of the pointer and each key, as the page hears them. */
export async function counting(page: Page): Promise<() => Promise<{ clicks: number; keys: number }>> {
  await page.addInitScript(() => {
    const count = () => JSON.parse(sessionStorage.getItem('counted') ?? '[0,0]') as [number, number];
    const add = (i: 0 | 1) => {
      const now = count();
      now[i]++;
      sessionStorage.setItem('counted', JSON.stringify(now));
    };
    addEventListener('pointerdown', () => add(0), true);
    addEventListener('keydown', () => add(1), true);
  });
  return () =>
    page.evaluate(() => {
      const [clicks, keys] = JSON.parse(sessionStorage.getItem('counted') ?? '[0,0]') as [number, number];
      return { clicks, keys };
    });
}
