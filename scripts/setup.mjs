// Everything a fresh machine with Node needs: packages and, for tests, a Chromium. Says plainly what is missing.
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = join(dirname(fileURLToPath(import.meta.url)), '..');

export function stop(message) {
  process.stderr.write(`${message}\n`);
  process.exit(1);
}

/** Runs a command from the root; its stdout goes to stderr unless `show`, so that a verb's JSON stays alone on stdout. */
export function run(command, args, { show = true, ...options } = {}) {
  return spawnSync(command, args, { cwd: root, stdio: ['inherit', show ? 'inherit' : 2, 'inherit'], ...options });
}

export function packages() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19))
    stop(`Kovelin needs Node 20.19 or newer; this is ${process.versions.node}.`);
  const lock = readFileSync(join(root, 'package-lock.json'), 'utf8');
  const stamp = join(root, 'node_modules', '.kovelin-lock');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === lock) return;
  const { status } = run('npm', ['install', '--no-save', '--no-audit', '--no-fund', '--loglevel=error'], {
    show: false,
  });
  if (status !== 0)
    stop('The packages could not be installed: npm install failed (see above). Is the npm registry reachable?');
  writeFileSync(stamp, lock);
}

/** Without windows and tabs, a third less of the processor for each page. */
const SHELL = '/usr/bin/chromium-headless-shell';
const PLACES = [SHELL, '/usr/bin/chromium', '/usr/bin/chromium-browser', '/snap/bin/chromium'];

/** The Chromium of this machine; undefined: there is none. */
export const chromiumHere = () => [process.env.CHROMIUM, ...PLACES].find((path) => path && existsSync(path));

export function chromium() {
  const canInstall = process.getuid?.() === 0 && existsSync('/usr/bin/apt-get');
  if (!process.env.CHROMIUM && !existsSync(SHELL) && canInstall) {
    const apt = (...args) =>
      run('apt-get', args, { show: false, env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' } });
    apt('update', '-qq');
    apt('install', '-y', '-qq', '--no-install-recommends', 'chromium-headless-shell');
  }
  return (
    chromiumHere() ??
    stop(
      'No Chromium was found for the browser tests. On Debian: apt-get install chromium-headless-shell; elsewhere set CHROMIUM to its path.',
    )
  );
}
