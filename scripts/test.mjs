// One command: set-up, lint, types, unit tests, build, end-to-end tests; the last line counts them all.
import { spawn, spawnSync } from 'node:child_process';
import { mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { chromium, packages, root, run } from './setup.mjs';

packages();
process.env.CHROMIUM = chromium();
const bin = (name) => join(root, 'node_modules/.bin', name);
const cache = join(root, 'node_modules/.cache/kovelin');
mkdirSync(cache, { recursive: true });
let passed = 0;
let failed = 0;

/** A check that passes or fails as a whole. */
function check(name, command, args) {
  process.stdout.write(`\n== ${name}\n`);
  if (run(command, args).status === 0) passed++;
  else failed++;
}
/** A runner that counts its own tests in a JSON report. */
function counted(name, command, args, report, count) {
  process.stdout.write(`\n== ${name}\n`);
  const file = join(cache, report);
  const { status } = spawnSync(command, args(file), {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, PLAYWRIGHT_JSON_OUTPUT_FILE: file },
  });
  const [good, bad] = count(JSON.parse(readFileSync(file, 'utf8')));
  passed += good;
  failed += bad;
  // a runner that fails with no failing test did not run them all
  if (status !== 0 && bad === 0) failed++;
}

/** Checks one after the other, what they print told when each ends. */
async function inTurn(...checks) {
  for (const [name, command, ...args] of checks) {
    const told = [];
    const child = spawn(bin(command), args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] });
    child.stdout.on('data', (text) => told.push(text));
    child.stderr.on('data', (text) => told.push(text));
    const status = await new Promise((end) => child.on('close', end));
    process.stdout.write(`\n== ${name}\n${Buffer.concat(told).toString()}`);
    if (status === 0) passed++;
    else failed++;
  }
}

// each of them uses one core
await Promise.all([
  inTurn(['eslint', 'eslint', '.'], ['import directions', 'depcruise', 'core/src', 'web/src', 'server/src']),
  inTurn(['types', 'tsc', '-p', 'tsconfig.json'], ['prettier', 'prettier', '--check', '--log-level', 'warn', '.']),
]);
counted(
  'unit',
  bin('jest'),
  (file) => ['--json', `--outputFile=${file}`],
  'jest.json',
  (r) => [r.numPassedTests, r.numFailedTests + r.numRuntimeErrorTestSuites],
);
check('build', bin('vite'), ['build', 'web', '--logLevel', 'warn']);
counted(
  'end to end',
  bin('playwright'),
  () => ['test', '--reporter=list,json'],
  'e2e.json',
  (r) => [r.stats.expected + r.stats.flaky, r.stats.unexpected],
);

process.stdout.write(`\n${passed} passed, ${failed} failed\n`);
process.exit(failed ? 1 : 0);
