import { airAt } from '../climate/air.ts';
import { limitsOf, type AirLimit } from '../climate/limits.ts';
import type { Metres, Minutes } from '../units/si.ts';
import { withDose, type WetAsk } from './ask.ts';
import { spreadOf, tryPlan, wetCaseOf, type WetCase } from './case.ts';
import { wetEdgePlan, type WetEdgePlan } from './decide.ts';
import { simulate, type Runs, type Setup } from './simulate.ts';
import { leadWithin, longestStretch } from './uniform.ts';

/** A wall as it is shown: how old each edge gets by its plan, and how often it is marked. */
export interface WetAnswer extends Runs {
  readonly plan: WetEdgePlan;
  readonly case: WetCase;
  readonly setup: Setup;
  /** Median open time of each edge. */
  readonly open: Float64Array;
  /** Greatest median age, and where; -1: there is no edge. */
  readonly maxAge: Minutes;
  readonly oldest: number;
  /** Longest stretch that one person may cut before rolling it, at uniform paces. */
  readonly longestStretch: Metres;
  /** Minutes that a cutter may be ahead of the roller. */
  readonly lead: Minutes;
  readonly limits: readonly AirLimit[];
}

/** A wall by the plan that is decided for it, run so many times with a seed; null: it is not rolled in strips. */
export function wetEdgeOf(asked: WetAsk, runs: number, seed: number): WetAnswer | null {
  const plan = wetEdgePlan(asked);
  if (!plan || plan.method === 'face') return null;
  const ask = withDose(asked, plan.conditioner);
  const found = wetCaseOf(ask);
  if (!found) return null;
  const { setup, open } = tryPlan(found, plan.method, plan.strips);
  const spread = ask.uniform ? { people: 0, open: 0 } : spreadOf(ask.job);
  const oldest = setup.ages.reduce((best, age, i) => (best < 0 || age > (setup.ages[best] as number) ? i : best), -1);
  const air = airAt(ask.job.air, ask.at, ask.specified.surface.kind === 'ceiling' ? 1 : 0);
  return {
    ...simulate(setup, open, spread, ask.uniform ? Math.min(1, runs) : runs, seed),
    plan,
    case: found,
    setup,
    open,
    maxAge: oldest < 0 ? 0 : (setup.ages[oldest] as number),
    oldest,
    longestStretch: Math.min(found.wall.length, longestStretch(found.paces, found.open.minutes)),
    lead: Math.min(leadWithin(found.open.minutes, found.strip), setup.minutes),
    limits: limitsOf(air, ask.specified.product, found.open.drying),
  };
}
