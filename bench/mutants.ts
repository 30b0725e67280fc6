import { spawn } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { dirname, relative, resolve } from 'node:path';
import ts from 'typescript';
import { seeded } from '../core/src/units/random.ts';
import jest from '../jest.config.mjs';
import { line } from './rooms.ts';
import { at } from '../core/src/units/list.ts';

/** A change to a source file that a test should notice: `text` in place of what is from `from` to `to`. */
interface Mutant {
  readonly file: string;
  readonly from: number;
  readonly to: number;
  readonly text: string;
  readonly what: 'negated' | 'swapped' | 'off by one';
}

const COMPARES = new Set([
  ts.SyntaxKind.LessThanToken,
  ts.SyntaxKind.LessThanEqualsToken,
  ts.SyntaxKind.GreaterThanToken,
  ts.SyntaxKind.GreaterThanEqualsToken,
  ts.SyntaxKind.EqualsEqualsEqualsToken,
  ts.SyntaxKind.ExclamationEqualsEqualsToken,
]);

/** Places of a file where a rule can be turned round: its conditions, the rows of its tables, what it counts to. */
function mutantsOf(file: string): Mutant[] {
  const text = readFileSync(file, 'utf8');
  const found: Mutant[] = [];
  const source = ts.createSourceFile(file, text, ts.ScriptTarget.Latest, true);
  const put = (what: Mutant['what'], from: ts.Node, to: ts.Node, by: string) =>
    found.push({ file, from: from.getStart(), to: to.getEnd(), text: by, what });
  const negate = (node: ts.Expression) => put('negated', node, node, `!(${node.getText()})`);
  const swapped = (rows: readonly ts.Expression[]) =>
    rows.slice(1).forEach((next, n) => {
      const row = at(rows, n);
      const [a, b] = [row.getText(), next.getText()];
      if (a !== b) put('swapped', row, next, b + text.slice(row.getEnd(), next.getStart()) + a);
    });
  const see = (node: ts.Node): void => {
    if (ts.isIfStatement(node)) negate(node.expression);
    else if (ts.isConditionalExpression(node)) negate(node.condition);
    else if (ts.isBinaryExpression(node)) {
      const one = ts.isNumericLiteral(node.right) && /^[0-3]$/.test(node.right.text) ? node.right : null;
      if (one && COMPARES.has(node.operatorToken.kind)) put('off by one', one, one, String(Number(one.text) + 1));
    } else if (ts.isArrayLiteralExpression(node) && node.elements.every((row) => ts.isArrayLiteralExpression(row))) {
      // what a row says goes to its neighbour: the order of rows alone may mean nothing
      swapped(node.elements.flatMap((row) => (ts.isArrayLiteralExpression(row) && row.elements.at(-1)) || []));
    } else if (ts.isVariableStatement(node) && node.parent === source)
      for (const { initializer } of node.declarationList.declarations)
        if (initializer && ts.isObjectLiteralExpression(initializer))
          swapped(initializer.properties.flatMap((each) => (ts.isPropertyAssignment(each) ? each.initializer : [])));
    ts.forEachChild(node, see);
  };
  see(source);
  return found;
}

const sourcesIn = (folder: string): string[] =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((path) => /\.tsx?$/.test(path))
    .map((path) => resolve(folder, path))
    .sort();

/** Which files import a file, by its path. */
function importers(): ReadonlyMap<string, readonly string[]> {
  const by = new Map<string, string[]>();
  for (const file of ['core/src', 'web/src'].flatMap(sourcesIn))
    for (const { fileName } of ts.preProcessFile(readFileSync(file, 'utf8')).importedFiles) {
      const path = fileName.startsWith('.')
        ? resolve(dirname(file), fileName)
        : resolve('core/src', fileName.replace('@kovelin/core/', ''));
      by.set(path, [...(by.get(path) ?? []), file]);
    }
  return by;
}

/** Tests that import a file, or else one that does, and so on; the fewest steps away. */
function testsOf(file: string, by: ReadonlyMap<string, readonly string[]>): string[] {
  const seen = new Set([file]);
  const tests: string[] = [];
  for (let ring = [file], steps = 0; ring.length && (steps < MOST_STEPS || !tests.length); steps++) {
    ring = [...new Set(ring.flatMap((path) => by.get(path) ?? []))].filter((path) => !seen.has(path));
    ring.forEach((path) => seen.add(path));
    tests.push(...ring.filter((path) => path.includes('.test.')));
  }
  return tests;
}
/** A test that imports what imports the file is still its test. */
const MOST_STEPS = 2;

const TRANSFORM = Object.fromEntries(
  Object.entries(jest.transform).map(([match, [, options]]) => [match, ['<rootDir>/bench/mutant.mjs', options]]),
);
const CONFIG = JSON.stringify({ ...jest, rootDir: resolve('.'), transform: TRANSFORM });

/** Whether the tests notice. */
const isKilled = (mutant: Mutant, tests: readonly string[]): Promise<boolean> =>
  new Promise((told) => {
    const jestArgs = ['--config', CONFIG, '--bail', '--silent', '--runInBand', '--runTestsByPath', ...tests];
    const child = spawn(process.execPath, ['node_modules/.bin/jest', ...jestArgs], {
      stdio: 'ignore',
      env: { ...process.env, MUTANT: JSON.stringify(mutant) },
    });
    // one that never ends is noticed as well
    const wait = setTimeout(() => child.kill('SIGKILL'), MOST_SECONDS * 1000);
    child.on('close', (status) => {
      clearTimeout(wait);
      told(status !== 0);
    });
  });
const MOST_SECONDS = 300;

/**
 * Starting values are the user's to change, words are no rules, and a search that looks elsewhere first finds as good a plan:
 * what it finds is held against a solver that proves it (`plan`).
 */
const LEFT = /\.test\.ts$|\/(testing|words|paces|sequence)\/|job\/defaults\.ts$/;

/**
 * Rules turned round one at a time, drawn with a seed from all of the core, and whether the tests that import them notice.
 * @param wanted `seed=1`, `count=60`, and parts of paths to draw from.
 */
export async function benchMutants(wanted: readonly string[]): Promise<void> {
  const number = (name: string, otherwise: number) =>
    Number(wanted.find((each) => each.startsWith(`${name}=`))?.split('=')[1] ?? otherwise);
  const [seed, count] = [number('seed', 1), number('count', 60)];
  const parts = wanted.filter((each) => !each.includes('='));
  const files = sourcesIn('core/src').filter(
    (path) => !LEFT.test(path) && (parts.length === 0 || parts.some((part) => path.includes(part))),
  );
  const random = seeded(seed);
  const all = files.flatMap(mutantsOf);
  const drawn = all
    .map((mutant) => ({ mutant, by: random() }))
    .sort((a, b) => a.by - b.by)
    .slice(0, count)
    .map(({ mutant }) => mutant);
  console.log(`\nMutants: ${drawn.length} of ${all.length} places in ${files.length} files, drawn with seed ${seed}`);
  const by = importers();
  const killed: boolean[] = [];
  const left = drawn.map((mutant, n) => ({ mutant, n }));
  await Promise.all(
    Array.from({ length: availableParallelism() }, async () => {
      for (let next = left.shift(); next; next = left.shift()) {
        const tests = testsOf(next.mutant.file, by);
        const is = (killed[next.n] = tests.length > 0 && (await isKilled(next.mutant, tests)));
        if (!is)
          console.log(`  survives: ${told(next.mutant)}  [${tests.map((path) => relative('.', path)).join(', ')}]`);
      }
    }),
  );
  const share = killed.filter(Boolean).length / drawn.length;
  line(
    'noticed by a test',
    `${(100 * share).toFixed(0)} %`,
    `of ${drawn.length}; at least ${100 * LEAST} % are wanted`,
  );
  if (share < LEAST) process.exitCode = 1;
}
const LEAST = 0.85;

function told({ file, from, to, text, what }: Mutant): string {
  const source = readFileSync(file, 'utf8');
  const at = source.slice(0, from).split('\n').length;
  const short = (part: string) => part.replace(/\s+/g, ' ').slice(0, 90);
  return `${relative('.', file)}:${at} ${what}: ${short(source.slice(from, to))} -> ${short(text)}`;
}
