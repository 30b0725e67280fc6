import { spawnSync } from 'node:child_process';

const RUNS = process.env['LAW_RUNS'] ?? '10000';

/** Every law of the unit tests, or of those whose path has a pattern in it, over many more cases than a test run has. */
export function benchLaws(patterns: readonly string[]): void {
  console.log(`\nLaws of the tests: ${RUNS} cases each, by chance; a fault becomes a case with a name`);
  const { status } = spawnSync(process.execPath, ['node_modules/.bin/jest', ...patterns], {
    stdio: 'inherit',
    env: { ...process.env, LAW_RUNS: RUNS },
  });
  process.exitCode = status ?? 1;
}
