import { systemOf } from '@kovelin/core/job/region.ts';
import { rows } from '@kovelin/core/job/table.ts';
import { takeoffRoom } from '@kovelin/core/measure/takeoff.ts';
import { useCallback, useDeferredValue, useMemo, useSyncExternalStore, type ReactNode } from 'react';
import { useNavigate, useSearchParams } from 'react-router';
import type { JobSession, SessionState } from '../store/session.ts';
import { ViewContext } from './job-context.ts';
import { SessionContext } from './session-context.ts';

/**
 * What is being typed is seen in its field at once, and in everything that follows from it when there is time for that, before
 * the next key at the latest. An edit is seen everywhere at once: what is done next starts from it.
 */
function useShown(now: SessionState): SessionState {
  const late = useDeferredValue(now);
  return now.isDraft && late.job === now.job ? late : now;
}

/** The address as it is now: a step that is still loading has it already, the rendered route does not. */
function addressWith(values: Readonly<Record<string, string>>): { pathname: string; search: string } {
  const next = new URLSearchParams(window.location.search);
  for (const [key, value] of Object.entries(values))
    if (value) next.set(key, value);
    else next.delete(key);
  return { pathname: window.location.pathname, search: next.toString() };
}

/** The room of the address; where it names none, the first. */
const roomHere = (session: JobSession): string =>
  new URLSearchParams(window.location.search).get('room') ?? session.state.job.rooms.order[0] ?? '';

/**
 * Gives every view of the open job the same picture of it. It alone listens to the session: a key press renders this and no
 * view, and then, deferred, those that show what follows from it. Room and surface live in the address, so that every step
 * looks at the same.
 */
export function JobProvider({ session, children }: { session: JobSession; children: ReactNode }) {
  const state = useShown(useSyncExternalStore(session.subscribe, session.getState));
  const [params] = useSearchParams();
  const navigate = useNavigate();
  const change = useCallback(
    (values: Readonly<Record<string, string>>) => void navigate(addressWith(values), { replace: true }),
    [navigate],
  );
  const actions = useMemo(
    () => ({
      select: (surface: string) => change({ surface, room: roomHere(session), ask: '' }),
      show: (room: string, surface: string) => change({ room, surface, ask: '' }),
      goTo: (room: string) => change({ room, surface: '', ask: '' }),
    }),
    [session, change],
  );
  const [wantedRoom, wantedSurface] = [params.get('room'), params.get('surface')];
  const view = useMemo(() => {
    const { shown } = state;
    const rooms = rows(shown.rooms);
    const room = rooms.find((r) => r.id === wantedRoom) ?? rooms[0] ?? null;
    const takeoff = room && takeoffRoom(shown, room);
    const surfaces = takeoff?.surfaces ?? [];
    const surface = surfaces.find((s) => s.id === wantedSurface) ?? surfaces.find((s) => s.kind === 'wall') ?? null;
    return {
      session,
      state,
      system: systemOf(shown),
      room,
      takeoff,
      surface,
      ...actions,
    };
  }, [session, state, wantedRoom, wantedSurface, actions]);
  return (
    <SessionContext value={session}>
      <ViewContext value={view}>{children}</ViewContext>
    </SessionContext>
  );
}
