import { readFileSync, statSync } from 'node:fs';
import { resolve } from 'node:path';
import { MAX_JOB_BYTES, tooLarge } from '../job/limits.ts';
import { run } from './run.ts';

/** Paths are the caller's: npm runs scripts from the project's root and keeps the shell's folder in INIT_CWD. */
const from = process.env['INIT_CWD'] ?? process.cwd();

const output = run(process.argv.slice(2), (path) => {
  const full = resolve(from, path);
  const found = statSync(full, { throwIfNoEntry: false });
  if (!found) throw new Error('there is no such file.');
  if (!found.isFile()) throw new Error('it is not a file. Name a job file or a tape sheet.');
  const { size } = found;
  if (size > MAX_JOB_BYTES) throw new Error(tooLarge(size));
  return readFileSync(full, 'utf8');
});
process.stdout.write(output.stdout);
process.stderr.write(output.stderr);
process.exitCode = output.code;
