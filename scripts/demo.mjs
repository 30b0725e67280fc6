// One command: set-up, build, serve on this machine, opening on the demo job.
import { join } from 'node:path';
import { packages, root, run, stop } from './setup.mjs';

packages();
const bin = (name) => join(root, 'node_modules/.bin', name);
if (run(bin('vite'), ['build', 'web', '--logLevel', 'warn']).status !== 0)
  stop('The application could not be built (see above).');
const { status } = run(bin('tsx'), ['server/src/main.ts'], { env: { ...process.env, OPEN_AT: '/demo' } });
process.exit(status ?? 0);
