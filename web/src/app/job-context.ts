import type { Job, Room } from '@kovelin/core/job/types.ts';
import type { RoomTakeoff, Surface } from '@kovelin/core/measure/takeoff.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { remember } from '@kovelin/core/units/remember.ts';
import type { System } from '@kovelin/core/units/si.ts';
import type { WorkDays } from '@kovelin/core/work/days.ts';
import { orderOf, type JobOrder, type Whole } from '@kovelin/core/whole/whole.ts';
import { createContext, useContext } from 'react';
import type { JobSession, SessionState } from '../store/session.ts';
import { usePlan } from '../workers/whole.ts';

/** The open job as every view of it sees it. */
export interface JobView {
  readonly session: JobSession;
  readonly state: SessionState;
  readonly derived: Whole;
  readonly system: System;
  /** The room looked at, as shown (with what is being typed). */
  readonly room: Room | null;
  readonly takeoff: RoomTakeoff | null;
  /** The surface looked at: the same in every step. */
  readonly surface: Surface | null;
  readonly specified: Specified | null;
  readonly select: (surface: string) => void;
  readonly goTo: (room: string) => void;
  /** A surface of any room. */
  readonly show: (room: string, surface: string) => void;
}

export const ViewContext = createContext<JobView | null>(null);

export function useJob(): JobView {
  const view = useContext(ViewContext);
  if (!view) throw new Error('useJob outside a job');
  return view;
}

const ordered = remember((job: Job, days: WorkDays): JobOrder => orderOf(job, days));

/** What to buy and what it costs as shown, by the days of the last plan; null until there is one. */
export function useOrder({ state }: JobView): JobOrder | null {
  const { data } = usePlan(state.job);
  return data ? ordered(state.shown, data.days) : null;
}
