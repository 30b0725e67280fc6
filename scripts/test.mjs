// One command: set-up, lint, types, unit tests, build, end-to-end tests; the last line counts them all.
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { chromium, packages, root } from './setup.mjs';

/** Seconds by the clock, and of all processors of this machine where it tells them. */
function now() {
  const [, user = 0, nice = 0, system = 0] = existsSync('/proc/stat')
    ? readFileSync('/proc/stat', 'utf8').split(/\s+/).map(Number)
    : [];
  return { clock: performance.now() / 1000, work: (user + nice + system) / 100 };
}
const began = now();
packages();
process.env.CHROMIUM = chromium();
const installed = now();
const bin = (name) => join(root, 'node_modules/.bin', name);
const cache = join(root, 'node_modules/.cache/kovelin');
mkdirSync(cache, { recursive: true });
let passed = 0;
let failed = 0;

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

/** Checks one after the other, each passes or fails as a whole; what they print is told when each ends. */
async function inTurn(...checks) {
  for (const [name, command, ...args] of checks) {
    const told = [];
    const child = spawn(command, args, { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] });
    child.stdout.on('data', (text) => told.push(text));
    child.stderr.on('data', (text) => told.push(text));
    const status = await new Promise((end) => child.on('close', end));
    process.stdout.write(`\n== ${name}\n${Buffer.concat(told).toString()}`);
    if (status === 0) passed++;
    else failed++;
  }
}

const kept = (name) => ['--cache', '--cache-strategy', 'content', '--cache-location', join(cache, name)];
// each of them uses one core
await Promise.all([
  inTurn(
    ['build', process.execPath, 'scripts/build.mjs'],
    ['import directions', bin('depcruise'), 'core/src', 'web/src', 'server/src'],
  ),
  inTurn(
    ['eslint', bin('eslint'), ...kept('eslint'), '.'],
    ['prettier', bin('prettier'), '--check', ...kept('prettier'), '--log-level', 'warn', '.'],
    [
      'types',
      join(root, 'node_modules/typescript-7/bin/tsc'),
      '-p',
      '.',
      '--incremental',
      '--tsBuildInfoFile',
      join(cache, 'types'),
    ],
  ),
]);
counted(
  'unit',
  bin('jest'),
  (file) => ['--json', `--outputFile=${file}`],
  'jest.json',
  (r) => [r.numPassedTests, r.numFailedTests + r.numRuntimeErrorTestSuites],
);
counted(
  'end to end',
  bin('playwright'),
  () => ['test', '--reporter=list,json'],
  'e2e.json',
  (r) => [r.stats.expected + r.stats.flaky, r.stats.unexpected],
);

const ended = now();
const spent = (from, to) =>
  `${Math.round(to.clock - from.clock)} s by the clock, ${Math.round(to.work - from.work)} s of the processors`;
process.stdout.write(`\ninstall: ${spent(began, installed)}; tests: ${spent(installed, ended)}`);
process.stdout.write(`\n${passed} passed, ${failed} failed\n`);
process.exit(failed ? 1 : 0);
