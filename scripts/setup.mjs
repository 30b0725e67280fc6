// Everything a fresh machine with Node needs: packages and, for tests, a Chromium. Says plainly what is missing.
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readdirSync, readFileSync, writeFileSync } from 'node:fs';
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

/** What the built application is made of. */
const MADE_OF = ['web', 'core/src', 'docs/guide', 'examples', 'package-lock.json'];
function contents() {
  const hash = createHash('sha256');
  const files = MADE_OF.flatMap((path) =>
    path.includes('.') ? [path] : readdirSync(join(root, path), { recursive: true }).map((name) => join(path, name)),
  ).filter((path) => /\.\w+$/.test(path) && !/^web.(dist|node_modules)\b/.test(path));
  for (const path of files.sort()) hash.update(path).update(readFileSync(join(root, path)));
  return hash.digest('hex');
}
/** The application, built anew where something it is made of has changed. */
export function build() {
  const stamp = join(root, 'web/dist/.made-of');
  const now = contents();
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === now) return;
  const { status } = run(join(root, 'node_modules/.bin/vite'), ['build', 'web', '--logLevel', 'warn']);
  if (status !== 0) stop('The application could not be built (see above).');
  writeFileSync(stamp, now);
}
