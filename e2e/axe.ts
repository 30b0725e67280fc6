import axe from 'axe-core';
import type { Page } from '@playwright/test';

/** What axe finds, best practice included; of long lists of things alike in the first dozen. */
export async function faultsIn(page: Page, where: string, ...parts: readonly string[]): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(axe.source);
  // buttons pass from one colour to the other, what opens moves in
  await page.evaluate(() => Promise.all(document.getAnimations().map((running) => running.finished)));
  const found = await page.evaluate(async (include) => {
    const there = (window as unknown as { axe: typeof axe }).axe;
    const { violations } = await there.run(
      {
        ...(include.length > 0 ? { include: [...include] } : {}),
        exclude: ['.tasks li:nth-child(n + 12)', '.bar:nth-of-type(n + 12)'],
      },
      // what passes is not put into words
      { resultTypes: ['violations'] },
    );
    // no function with a name in here: what runs the bench would give it a helper that the page does not have
    return violations.map(
      ({ id, nodes }) =>
        `${id} ${nodes
          .slice(0, 3)
          .map(({ target }) => target.join(' '))
          .join(' | ')}`,
    );
  }, parts);
  return found.map((fault) => `${where}: ${fault}`);
}
