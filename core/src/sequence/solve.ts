import { compile, type Activity, type Compiled, type Instance } from './instance.ts';
import { isBetter, type Score } from './score.ts';
import { FEW, Search, type Solution, type Taken } from './search.ts';

const { floor, max, min, round } = Math;

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
/** Steps of a small job; it is searched once more, and longer, where the bound leaves it open whether a day can be saved. */
const SMALL = { steps: 400, longer: 2000, near: 0.02 };
const stepsFor = (count: number): number => min(SMALL.steps, max(40, round(PLACEMENTS / (count + 1))));
/** So often in a search, and in the second one, all plans of a small job are looked at, in so many tries. */
const LOOKS = { first: 3, second: 1, tries: 8000, leastSteps: 30 };
/** What no first plan fits is not found by changing one. */
const HOPELESS = 12;
const LOOKED = 400;
const TOLD = 25;

function searched(search: Search, steps: number, looks: number, told: SolveOptions['told']): void {
  const every = steps < LOOKS.leastSteps ? Infinity : floor(steps / looks);
  for (let i = 0; i < steps; i++) {
    const isBest = search.step();
    if (isBest || i % TOLD === 0) told?.(i, steps, search.score);
    if (!search.isFound && i > HOPELESS) return;
    if (i % every === every - 1) search.look(LOOKS.tries);
    if ((i % LOOKED === 20 || i % every === every - 1) && search.isProven) return;
  }
}

/** The best plan of a search, of a small job of two; null: no order of the work fits before the horizon. */
export function planOf<T extends Activity>(problem: Compiled<T>, options: SolveOptions = {}): Solution<T> | null {
  const { seed = 1, steps, told } = options;
  const first = new Search(problem, seed, options.taken);
  searched(first, steps ?? stepsFor(problem.count), LOOKS.first, told);
  if (steps !== undefined || problem.count > FEW || first.gap <= SMALL.near) return first.solution();
  const second = new Search(problem, seed + 1, null, first.bound);
  searched(second, SMALL.longer, LOOKS.second, told);
  return second.score && first.score && isBetter(second.score, first.score)
    ? second.solution()
    : first.solution(second.bound);
}

/** @returns null where the waits run in a circle, or no order of the work fits before the horizon. */
export function solve<T extends Activity>(instance: Instance<T>, options: SolveOptions = {}): Solution<T> | null {
  const problem = compile(instance);
  return problem && planOf(problem, options);
}
