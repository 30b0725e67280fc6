// One command: set-up, build, serve on this machine, opening on the demo job.
import { join } from 'node:path';
import { build, packages, root, run } from './setup.mjs';

packages();
const bin = (name) => join(root, 'node_modules/.bin', name);
build();
const { status } = run(bin('tsx'), ['server/src/main.ts'], { env: { ...process.env, OPEN_AT: '/demo' } });
process.exit(status ?? 0);
