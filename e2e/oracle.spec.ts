import { expect, test } from '@playwright/test';
import { BEDROOMS, compared } from '../bench/bedrooms.ts';
import { askOracle, modelOf } from '../bench/oracle.ts';

// the reference: MiniZinc's Chuffed, a constraint solver, on the exported plan
test('plans of plain bedrooms end within 1 % of the finish that a constraint solver proves, and no bound is above it', async () => {
  test.setTimeout(240_000);
  const ours = BEDROOMS.slice(0, 3).map(compared);
  const answers = await askOracle(
    ours.map(({ plan }) => modelOf(plan, 1)),
    60,
  );
  let proved = 0;
  for (const [i, { finish, proved: isProved }] of answers.entries()) {
    const own = ours[i];
    if (!own || finish === null || !isProved) continue;
    proved++;
    expect([own.name, own.finish <= finish * 1.01 + 1e-6]).toEqual([own.name, true]);
    expect([own.name, own.bound <= finish + 1e-6]).toEqual([own.name, true]);
  }
  expect(proved).toBeGreaterThanOrEqual(2);
});
