import type { Job } from '@kovelin/core/job/types.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { remember } from '@kovelin/core/units/remember.ts';
import { orderOf, type JobOrder } from '@kovelin/core/whole/plan.ts';
import { wholeOf, type Whole } from '@kovelin/core/whole/whole.ts';
import type { WorkDays } from '@kovelin/core/work/days.ts';
import { usePlan } from '../workers/whole.ts';
import { useJob, type JobView } from './job-context.ts';

/** The open job with all that follows from its measures: for the steps after Measure. */
export interface WholeView extends JobView {
  readonly derived: Whole;
  /** The surface looked at, with what goes on it. */
  readonly specified: Specified | null;
}

/** The open job with all that follows from it. */
export function useWhole(): WholeView {
  const view = useJob();
  const derived = wholeOf(view.state.shown);
  return {
    ...view,
    derived,
    specified: derived.surfaces.find((s) => s.surface.id === view.surface?.id) ?? null,
  };
}

const ordered = remember((job: Job, days: WorkDays): JobOrder => orderOf(job, days));

/** What to buy and what it costs as shown, by the days of the last plan; null until there is one. */
export function useOrder({ state }: JobView): JobOrder | null {
  const { data } = usePlan(state.job);
  return data ? ordered(state.shown, data.days) : null;
}
