import { airAt } from '../climate/air.ts';
import { limitsOf, type AirLimit } from '../climate/limits.ts';
import type { Job } from '../job/types.ts';
import type { Role } from '../job/vocabulary.ts';
import { hourlyOf } from '../paces/prices.ts';
import type { PlayAsk } from '../plays/ground.ts';
import type { Metres, Minutes, Money } from '../units/si.ts';
import {
  planWithin,
  safeShare,
  spreadOf,
  tryPlan,
  usualRole,
  wetCaseOf,
  type TriedPlan,
  type WetCase,
} from './case.ts';
import { simulate, type Runs, type Setup } from './simulate.ts';
import { leadWithin, longestStretch } from './uniform.ts';
import { visibleOn, type Visible } from './visible.ts';

type WetJob = PlayAsk['job'] & Pick<Job, 'crew' | 'prices' | 'region'>;
export interface WetAsk extends PlayAsk {
  readonly job: WetJob;
  readonly people: 1 | 2;
  /** null: by stretches alone, one behind the other for two. */
  readonly role: Role | null;
  /** Strips of a stretch or of the lead; null: as many as lap no oftener than is accepted, or what comes nearest. */
  readonly strips: number | null;
  /** Minute of the day; null: by the air that is typed. */
  readonly at: Minutes | null;
  readonly runs: number;
  readonly seed: number;
  /** Nobody and nothing varies. */
  readonly uniform: boolean;
}

export interface WetAnswer extends Runs {
  readonly case: WetCase;
  readonly setup: Setup;
  /** Median open time of each edge. */
  readonly open: Float64Array;
  /** Greatest median age, and where; -1: there is no edge. */
  readonly maxAge: Minutes;
  readonly oldest: number;
  /** One person can keep every edge wet, at medians. */
  readonly alone: boolean;
  /** Longest stretch that one person may cut before rolling it, at uniform paces. */
  readonly longestStretch: Metres;
  /** Minutes that a cutter may be ahead of the roller. */
  readonly lead: Minutes;
  readonly visible: Visible;
  readonly limits: readonly AirLimit[];
  /** From first to last, and paid to all who are on it. */
  readonly minutes: Minutes;
  readonly paid: Money;
}

/** Can this wall be kept wet, by these people, in this air? null: it is not rolled in strips. */
export function wetEdgeOf(ask: WetAsk): WetAnswer | null {
  const found = wetCaseOf(ask);
  if (!found) return null;
  const role = ask.role ?? usualRole(ask.people);
  const tried =
    ask.strips === null
      ? planWithin(found, role, ask.uniform ? 1 : safeShare(ask.job))
      : tryPlan(found, role, ask.strips);
  return answerOf(ask, found, tried);
}

function answerOf(ask: WetAsk, found: WetCase, { setup, open }: TriedPlan): WetAnswer {
  const { wall, paces, strip, open: openTime } = found;
  const spread = ask.uniform ? { people: 0, open: 0 } : spreadOf(ask.job);
  const runs = simulate(setup, open, spread, ask.uniform ? 1 : ask.runs, ask.seed);
  const oldest = setup.ages.reduce((best, age, i) => (best < 0 || age > (setup.ages[best] as number) ? i : best), -1);
  const ceiling = ask.specified.surface.kind === 'ceiling';
  const air = airAt(ask.job.air, ask.at, ceiling ? 1 : 0);
  const on = new Set(setup.program.acts.map((act) => act.who)).size;
  const least = planWithin(found, 'stretches', 1);
  return {
    ...runs,
    case: found,
    setup,
    open,
    maxAge: oldest < 0 ? 0 : (setup.ages[oldest] as number),
    oldest,
    alone: least.worst <= 1,
    longestStretch: Math.min(wall.length, longestStretch(paces, openTime.minutes)),
    lead: Math.min(leadWithin(openTime.minutes, strip), setup.minutes),
    visible: visibleOn(ask.specified),
    limits: limitsOf(air, ask.specified.product, openTime.drying),
    minutes: setup.minutes,
    paid: (setup.minutes * on * hourlyOf(ask.job)) / 60,
  };
}
