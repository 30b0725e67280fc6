import type { Room } from '@kovelin/core/job/measured.ts';
import { takeoffJob, type RoomTakeoff, type Surface } from '@kovelin/core/measure/takeoff.ts';
import type { System } from '@kovelin/core/units/si.ts';
import { createContext, useContext, useDeferredValue } from 'react';
import type { JobSession, SessionState } from '../store/session.ts';

/** The open job as every view of it sees it. */
export interface JobView {
  readonly session: JobSession;
  readonly state: SessionState;
  readonly system: System;
  /** The room looked at, as shown (with what is being typed). */
  readonly room: Room | null;
  readonly takeoff: RoomTakeoff | null;
  /** The surface looked at: the same in every step. */
  readonly surface: Surface | null;
  readonly select: (surface: string) => void;
  readonly goTo: (room: string) => void;
  /** A surface of any room. */
  readonly show: (room: string, surface: string) => void;
}

export const ViewContext = createContext<JobView | null>(null);

/** The open job. @throws outside of one. */
export function useJob(): JobView {
  const view = useContext(ViewContext);
  if (!view) throw new Error('useJob outside a job');
  return view;
}

/**
 * All rooms measured, as shown. null at first: the room looked at is drawn before the others are worked out.
 */
export function useTakeoffs(): readonly RoomTakeoff[] | null {
  const { state } = useJob();
  const afterTheFirst = useDeferredValue(true, false);
  return afterTheFirst ? takeoffJob(state.shown) : null;
}
