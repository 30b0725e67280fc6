import type { Id } from '@kovelin/core/job/table.ts';
import type { JobOption } from '@kovelin/core/job/priced.ts';
import { viewSchedule, type ScheduleView } from '@kovelin/core/sequence/view.ts';
import { rememberLast } from '@kovelin/core/units/remember.ts';
import type { WorkDays } from '@kovelin/core/work/days.ts';
import { alternatives, type Alternative } from '@kovelin/core/whole/compare.ts';
import { optionPrice, type OptionPrice } from '@kovelin/core/whole/options.ts';
import { schoolPrice, SCHOOLS, type SchoolPrice } from '@kovelin/core/whole/schools.ts';
import type { WholeInput } from '@kovelin/core/whole/inputs.ts';
import { orderedOf, type Ordered } from '@kovelin/core/whole/ledger.ts';
import { assumedIn, type Assumed } from '@kovelin/core/whole/rests.ts';
import type { TakenPlan } from '@kovelin/core/job/crew.ts';
import { isBetterPlan, takenFrom } from '@kovelin/core/sequence/schedule.ts';
import type { Replays } from '@kovelin/core/sequence/replay.ts';
import { baseDays, baseOrder, basePlan, replays, searchOn } from '@kovelin/core/whole/plan.ts';
import { overtimeFor, type Overtime } from '@kovelin/core/whole/overtime.ts';
import { variantPlan, type VariantPlan } from '@kovelin/core/whole/variants.ts';
import type { LogEntry } from '@kovelin/core/site/entry.ts';
import { changeOf, siteView, type Change, type SiteView } from '@kovelin/core/whole/site.ts';
import { inspectView, type InspectOwn, type InspectView } from '@kovelin/core/whole/inspect.ts';
import { wholeOf } from '@kovelin/core/whole/whole.ts';
import { replaceEqualDeep } from '@tanstack/react-query';

/** The base plan as a view reads it, its days, and what the order by it comes to. */
export interface BasePlan {
  readonly schedule: ScheduleView;
  readonly days: WorkDays;
  readonly ordered: Ordered;
}

/** The job that was asked about last: what a new one has in common with it is the same objects, of which all is known already. */
let last: WholeInput | null = null;
/** What came under a key is what it was the first time, so that what was worked out of it is still known. */
const known = rememberLast(
  3,
  (key: string, _job: WholeInput) => key,
  (_key, job): WholeInput => (last = replaceEqualDeep(last, job) as WholeInput),
);

/** What searching on found: when it ends, and the plan to be taken. */
export interface Better {
  readonly finish: number;
  readonly gap: number;
  readonly travel: number;
  readonly now: number;
  readonly plan: TakenPlan;
  readonly isBetter: boolean;
}
/** How far a search is. */
export interface SearchProgress {
  readonly share: number;
  readonly finish: number | null;
}
/** Orders tried each time that somebody searches on. */
const STEPS_ON = 1500;

export const api = {
  plan(key: string, job: WholeInput): BasePlan {
    const mine = known(key, job);
    return {
      schedule: viewSchedule(basePlan(mine), wholeOf(mine).takeoffs),
      days: baseDays(mine),
      ordered: orderedOf(baseOrder(mine)),
    };
  },
  /** How the plan does when minutes and drying vary; asked with the same job as the plan. */
  replays(
    key: string,
    job: WholeInput,
  ): Pick<Replays, 'runs' | 'p50' | 'p80' | 'p90'> & { readonly delays: Replays['delays'] } {
    const found = replays(known(key, job));
    return { ...found, delays: found.delays.slice(0, 5) };
  },
  /** The finish without any pin. */
  unpinned(key: string, job: WholeInput): number {
    return basePlan({ ...known(key, job), pins: {} }).finish;
  },
  /** A plan found by searching on; `told` hears how far it is and the best finish so far. */
  searchOn(key: string, job: WholeInput, seed: number, told: (progress: SearchProgress) => void): Better {
    const mine = known(key, job);
    const now = basePlan(mine);
    const then = searchOn(mine, seed, STEPS_ON, (steps, of, best) =>
      told({ share: steps / of, finish: best?.finish ?? null }),
    );
    return {
      finish: then.finish,
      gap: then.gap,
      travel: then.travel,
      now: now.finish,
      plan: takenFrom(then),
      isBetter: isBetterPlan(then, now),
    };
  },
  /** The least overtime that saves a day; null: none does. */
  overtime(key: string, job: WholeInput): Overtime | null {
    return overtimeFor(known(key, job));
  },
  /** What another way of doing the job comes to. */
  variant(key: string, job: WholeInput): VariantPlan {
    return variantPlan(known(key, job));
  },
  /** What the price rests on although nobody said so; asked with the same job as the plan. */
  assumed(key: string, job: WholeInput): Assumed {
    return assumedIn(known(key, job));
  },
  /** Looks of a day and what is thought of each defect; `own`: what of the job Inspect reads besides. */
  inspect(key: string, job: WholeInput, own: InspectOwn, entries: readonly LogEntry[], date: string): InspectView {
    return inspectView({ ...known(key, job), ...own }, entries, date);
  },
  /** What Site shows of a moment; `now`: minutes from the job's start. */
  site(key: string, job: WholeInput, entries: readonly LogEntry[], now: number): SiteView {
    return siteView(known(key, job), entries, now);
  },
  /** What a new plan of the rest would change. */
  change(key: string, job: WholeInput, entries: readonly LogEntry[], now: number): Change {
    return changeOf(known(key, job), entries, now);
  },
  school(key: string, job: WholeInput, index: number): SchoolPrice {
    const school = SCHOOLS[index];
    if (!school) throw new Error(`there is no school ${index}`);
    return schoolPrice(known(key, job), school);
  },
  option(key: string, job: WholeInput, option: JobOption): OptionPrice {
    return optionPrice(known(key, job), option);
  },
  alternatives(key: string, job: WholeInput, paint: Id): Alternative[] {
    const mine = known(key, job);
    const line = wholeOf(mine).paints.find((p) => p.key === paint);
    return line ? alternatives(mine, line) : [];
  },
};
export type WholeApi = typeof api;
