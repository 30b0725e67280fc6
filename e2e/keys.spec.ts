import type { Page } from '@playwright/test';
import { expect, openDemo, test } from './helpers.ts';

interface Fiber {
  readonly tag: number;
  readonly flags: number;
  readonly alternate: Fiber | null;
  readonly child: Fiber | null;
  readonly sibling: Fiber | null;
  readonly stateNode: unknown;
}

/** Notes, commit by commit, which rows of the walls React rendered, as its developer tools would: by what it tells their hook. */
async function watchRows(page: Page): Promise<void> {
  await page.addInitScript(() => {
    const FUNCTIONS = [0, 11, 14, 15];
    const HOST = 5;
    const rendered: string[] = [];
    /** The first element that is drawn by it; some of the toolkit's parts draw nothing themselves. */
    const drawnBy = (fiber: Fiber): Fiber | null => {
      for (let child = fiber.child; child; child = child.sibling) {
        const drawn = child.tag === HOST ? child : drawnBy(child);
        if (drawn) return drawn;
      }
      return null;
    };
    const rowOf = (fiber: Fiber): string | null => {
      const element = drawnBy(fiber)?.stateNode;
      return element instanceof HTMLTableRowElement ? (element.dataset['row'] ?? null) : null;
    };
    const visit = (next: Fiber, before: Fiber | null): void => {
      // the same fiber as before: React did not come by
      if (next === before) return;
      const worked = FUNCTIONS.includes(next.tag) && (next.flags & 1) === 1;
      const row = worked ? rowOf(next) : null;
      if (row) rendered.push(row);
      if (before && next.child === before.child) return;
      for (let child = next.child; child; child = child.sibling) visit(child, child.alternate);
    };
    Object.assign(globalThis, {
      rendered,
      __REACT_DEVTOOLS_GLOBAL_HOOK__: {
        supportsFiber: true,
        isDisabled: false,
        inject: () => 1,
        onCommitFiberUnmount: () => undefined,
        onCommitFiberRoot: (_: number, root: { current: Fiber }) => visit(root.current, root.current.alternate),
      },
    });
  });
}

/** The rows rendered since `forget`, each once. */
const renderedRows = (page: Page): Promise<string[]> =>
  page.evaluate(() => [...new Set((globalThis as unknown as { rendered: string[] }).rendered)]);
const forget = (page: Page): Promise<unknown> =>
  page.evaluate(() => (globalThis as unknown as { rendered: string[] }).rendered.splice(0));

test('a key renders the row it is typed in, and no other', async ({ page }) => {
  await watchRows(page);
  await openDemo(page);
  const length = page.getByLabel('Length of wall B', { exact: true });
  await length.focus();
  await expect(page.locator('tr[data-row=B]')).toHaveClass(/chosen/);
  // going from one wall to another concerns both
  expect(await renderedRows(page)).toContain('A');
  const drawn = () => page.locator('polygon[data-wall=B]').getAttribute('points');
  for (const key of ['1', '2', '5']) {
    await forget(page);
    const before = await drawn();
    await page.keyboard.type(key);
    await expect.poll(drawn).not.toBe(before);
    await expect.poll(() => renderedRows(page)).toEqual(['B']);
  }
});
