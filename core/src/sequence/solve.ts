import type { Minutes } from '../units/si.ts';
import { compile, type Activity, type Compiled, type Instance } from './instance.ts';
import { isBetter, type Score } from './score.ts';
import { Search, type Solution, type Taken } from './search.ts';

const { max, min, round } = Math;

export interface SolveOptions {
  /** Plans tried; the search ends earlier where the bound is met. Left out: so many as the tasks set. */
  readonly steps?: number;
  readonly seed?: number;
  /** Where the search begins. */
  readonly taken?: Taken | null;
  /** Told now and then how far it is, and each time that something better was found. */
  readonly told?: (steps: number, of: number, best: Score | null) => void;
}

/** Placements that a search makes by itself: the same on every machine. */
const PLACEMENTS = 20_000;
/**
 * A small job is searched several times over, each with other chances: it takes no time, and its days hang on few tasks; oftener where
 * the bound leaves it open whether a day can be saved.
 */
const SMALL = { tasks: 60, searches: 2, more: 4, near: 1.02, steps: 400 };
const stepsFor = (count: number): number => min(SMALL.steps, max(40, round(PLACEMENTS / (count + 1))));
/** What no first plan fits is not found by changing one. */
const HOPELESS = 12;
const LOOKED = 400;
const TOLD = 25;

function searched<T extends Activity>(problem: Compiled<T>, seed: number, options: SolveOptions): Solution<T> | null {
  const search = new Search(problem, seed, options.taken);
  const steps = options.steps ?? stepsFor(problem.count);
  for (let i = 0; i < steps; i++) {
    const isBest = search.step();
    if (isBest || i % TOLD === 0) options.told?.(i, steps, search.score);
    if (!search.isFound && i > HOPELESS) break;
    if (i % LOOKED === 20 && search.isProven) break;
  }
  return search.solution();
}

/** The best plan of a search, of a small job of several; null: no order of the work fits before the horizon. */
export function planOf<T extends Activity>(problem: Compiled<T>, options: SolveOptions = {}): Solution<T> | null {
  const isSmall = options.steps === undefined && problem.count <= SMALL.tasks;
  const worked = (t: Minutes): Minutes => problem.plain.reduce((sum, calendar) => sum + calendar.worked(t), 0);
  let best: Solution<T> | null = null;
  for (let n = 0; n < (isSmall ? SMALL.more : 1) && !best?.proven; n++) {
    const found = searched(problem, (options.seed ?? 1) + n, options);
    if (!found) return best;
    if (!best || isBetter(found.score, best.score)) best = found;
    const isNear = worked(best.score.finish) <= worked(best.bound) * SMALL.near;
    if (n + 1 >= SMALL.searches && isNear) break;
  }
  return best;
}

/** @returns null where the waits run in a circle, or no order of the work fits before the horizon. */
export function solve<T extends Activity>(instance: Instance<T>, options: SolveOptions = {}): Solution<T> | null {
  const problem = compile(instance);
  return problem && planOf(problem, options);
}
