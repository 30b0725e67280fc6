import { rows, type Job, type Room } from '@kovelin/core/job/types.ts';
import type { RoomTakeoff, Surface } from '@kovelin/core/measure/takeoff.ts';
import { derive, type Derived } from '@kovelin/core/order/derive.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { remember } from '@kovelin/core/units/remember.ts';
import type { System } from '@kovelin/core/units/si.ts';
import { useContext, useDeferredValue, useMemo, useSyncExternalStore } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import type { JobSession, SessionState } from '../store/session.ts';
import { SessionContext } from './session-context.ts';

/** Worked out once a document, however many views read it. */
const derivedOf = remember((job: Job) => derive(job));

export interface JobView {
  readonly session: JobSession;
  readonly state: SessionState;
  readonly derived: Derived;
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

/**
 * What is being typed is seen in its field at once, and in everything that follows from it when there is time for that, before
 * the next key at the latest. An edit is seen everywhere at once: what is done next starts from it.
 */
function useShown(now: SessionState): SessionState {
  const late = useDeferredValue(now);
  const isDraft = now.shown !== now.job;
  const shown = isDraft && late.job === now.job ? late.shown : now.shown;
  const { job, rev, saving, canUndo, canRedo, notice } = now;
  // the same object as long as nothing of it changed: a key press then stops here
  return useMemo(
    () => ({ job, shown, rev, saving, canUndo, canRedo, notice }),
    [job, shown, rev, saving, canUndo, canRedo, notice],
  );
}

/** Everything a view of the open job needs. Room and surface live in the address, so that every step looks at the same. */
export function useJob(): JobView {
  const session = useContext(SessionContext);
  if (!session) throw new Error('useJob outside a job');
  const state = useShown(useSyncExternalStore(session.subscribe, session.getState));
  const derived = derivedOf(state.shown);
  const [params] = useSearchParams();
  const navigate = useNavigate();
  const rooms = rows(state.shown.rooms);
  const room = rooms.find((r) => r.id === params.get('room')) ?? rooms[0] ?? null;
  const takeoff = derived.takeoffs.find((t) => t.room.id === room?.id) ?? null;
  const wanted = params.get('surface');
  const surface =
    takeoff?.surfaces.find((s) => s.id === wanted) ?? takeoff?.surfaces.find((s) => s.kind === 'wall') ?? null;
  const specified = derived.surfaces.find((s) => s.surface.id === surface?.id) ?? null;
  // the address as it is now: a step that is still loading has it already, the rendered route does not
  const change = (values: Record<string, string>) => {
    const next = new URLSearchParams(window.location.search);
    for (const [key, value] of Object.entries(values))
      if (value) next.set(key, value);
      else next.delete(key);
    void navigate({ pathname: window.location.pathname, search: next.toString() }, { replace: true });
  };
  return {
    session,
    state,
    derived,
    room,
    takeoff,
    surface,
    specified,
    system: state.shown.units,
    select: (id) => change({ surface: id, ...(room ? { room: room.id } : {}) }),
    show: (room, surface) => change({ room, surface }),
    goTo: (id) => change({ room: id, surface: '' }),
  };
}
