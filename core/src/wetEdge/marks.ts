import { setting } from '../job/defaults.ts';
import type { Job } from '../job/types.ts';
import type { TriedPlan } from './case.ts';
import { simulate, type Spread } from './simulate.ts';
import { chanceBeyond } from './uniform.ts';
import type { Visible } from '../specify/visible.ts';

/** Chances that a coat has a mark somewhere: a strip over a neighbour that had set, a rolled film over a band that had. */
export interface Marks {
  readonly lap: number;
  readonly halo: number;
}

/** Runs by which two people are judged: they do not slow down together, and there is no closed form. */
const RUNS = 500;
const SEED = 14;

/** Of a plan, with open times multiplied by `longer`: exact where one person is on it, whose ages all grow together. */
export function marksOf({ setup, open, worst }: TriedPlan, spread: Spread, longer: number): Marks {
  if (setup.program.acts.every(({ who }) => who === 0)) {
    const sigma = Math.hypot(spread.people, spread.open);
    return { lap: chanceBeyond(worst.lap / longer, sigma), halo: chanceBeyond(worst.halo / longer, sigma) };
  }
  const { lap, halo } = simulate(setup, stays(open, longer), spread, RUNS, SEED);
  return { lap, halo };
}
export const stays = (open: Float64Array, longer: number): Float64Array =>
  longer === 1 ? open : open.map((minutes) => minutes * longer);

/** How likely somebody sees a mark that is there, by its kind [starting judgement]: what of a lap is left in a joint, and of a halo by its stipple. */
export function seeing(
  job: Pick<Job, 'settings'>,
  visible: Visible,
  { inJoint, stipple }: { readonly inJoint: number; readonly stipple: number },
): Marks {
  if (visible === 'none') return { lap: 0, halo: 0 };
  return { lap: setting(job, `wet.lap.${visible}`) * inJoint, halo: setting(job, `wet.halo.${visible}`) * stipple };
}

/** Share of such walls on which a mark is there and somebody sees it. */
export const seenOf = (marks: Marks, seeing: Marks): number =>
  Math.min(1, marks.lap * seeing.lap + marks.halo * seeing.halo);
