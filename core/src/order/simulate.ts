import type { Litres } from '../units/si.ts';
import { normals, type Random } from '../units/random.ts';
import { hide, type HidingQuestion } from '../specify/hiding.ts';

/** A surface of a simulated paint. */
export interface SimSurface {
  readonly litres: Litres;
  readonly coats: number;
  /** Film over the planned one below which these coats do not hide and another goes on; 0: never. */
  readonly thinnest: number;
}
export interface SimPaint {
  readonly surfaces: readonly SimSurface[];
  /** Lost and kept, whatever happens. */
  readonly fixed: Litres;
  readonly spreadCv: number;
  readonly measureCv: number;
}

const LEAST_FILM = 0.3;

/**
 * Film over the planned one at which `coats` still hide, by bisection; 0 where even half of it does, or where the plan does
 * not hide to begin with (then the number of coats was the user's own).
 */
export function thinnestFilm(question: HidingQuestion, coats: number): number {
  const enough = (film: number) => {
    const answer = hide({ ...question, film: question.film * film });
    return answer.hides && answer.coats <= coats;
  };
  if (!enough(1) || enough(0.5)) return 0;
  let [low, high] = [0.5, 1];
  for (let i = 0; i < 12; i++) {
    const middle = (low + high) / 2;
    if (enough(middle)) high = middle;
    else low = middle;
  }
  return high;
}

/**
 * Litres wanted in `runs` simulated jobs, sorted. One film for all surfaces of a paint (a thin hand is thin everywhere), an
 * error of its own for each surface, and another coat wherever the film came out too thin to hide: the reason why there
 * is no closed form. Without such surfaces it is the closed form of shortfall.ts.
 */
export function simulateDemand(
  { surfaces, fixed, spreadCv, measureCv }: SimPaint,
  runs: number,
  random: Random,
): Float64Array {
  const litres = new Float64Array(runs);
  const normal = normals(random);
  for (let run = 0; run < runs; run++) {
    const film = Math.max(LEAST_FILM, 1 + spreadCv * normal());
    let sum = fixed;
    for (const s of surfaces) {
      const more = film < s.thinnest ? (s.coats + 1) / s.coats : 1;
      sum += s.litres * more * (film + measureCv * normal());
    }
    litres[run] = sum;
  }
  return litres.sort();
}

/** Chance of wanting more than `have`, from sorted litres. */
export function chanceAbove(sorted: Float64Array, have: Litres): number {
  let [low, high] = [0, sorted.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((sorted[middle] as number) > have) high = middle;
    else low = middle + 1;
  }
  return sorted.length ? (sorted.length - low) / sorted.length : 0;
}

/** What is left on average with `have` litres, from sorted litres. */
export function leftoverOf(sorted: Float64Array, have: Litres): Litres {
  let sum = 0;
  for (const wanted of sorted) sum += Math.max(0, have - wanted);
  return sorted.length ? sum / sorted.length : 0;
}
