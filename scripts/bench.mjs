// Figures and ratios of speed, size and memory: npm run bench
import { join } from 'node:path';
import { chromium, packages, root, run, stop } from './setup.mjs';

packages();
process.env.CHROMIUM = chromium();
const bin = (name) => join(root, 'node_modules/.bin', name);
if (run(bin('vite'), ['build', 'web', '--logLevel', 'warn']).status !== 0)
  stop('The application could not be built (see above).');
process.exit(run(bin('tsx'), ['bench/main.ts', ...process.argv.slice(2)]).status ?? 1);
