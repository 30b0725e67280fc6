// Figures and ratios of speed, size and memory: npm run bench
import { join } from 'node:path';
import { build, chromium, packages, root, run } from './setup.mjs';

packages();
process.env.CHROMIUM = chromium();
const bin = (name) => join(root, 'node_modules/.bin', name);
build();
process.exit(run(bin('tsx'), ['bench/main.ts', ...process.argv.slice(2)]).status ?? 1);
