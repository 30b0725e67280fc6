import { packages, root, run } from './setup.mjs';
import { join } from 'node:path';

packages();
const { status } = run(join(root, 'node_modules/.bin/tsx'), ['core/src/cli/main.ts', ...process.argv.slice(2)], {
  env: { ...process.env, INIT_CWD: process.env.INIT_CWD ?? process.cwd() },
});
process.exit(status ?? 1);
