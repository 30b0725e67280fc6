import { useEffect, useRef } from 'react';
import { useLocation } from 'react-router';
import { Toast } from '../ui/Toast.tsx';
import type { JobSession, SessionState } from '../store/session.ts';

/** What the store has to say: a dropped undo step, a refused edit, a save that failed (which stays until it is tried). */
export default function Notice({ session, state }: { session: JobSession; state: SessionState }) {
  const close = () => session.tell(null);
  const failed = state.saving === 'failed';
  const stays = failed || state.saving === 'gone';
  const { pathname } = useLocation();
  const at = useRef(pathname);
  useEffect(() => {
    // it was about the page that was left
    if (at.current !== pathname && !stays) session.tell(null);
    at.current = pathname;
  }, [pathname, stays, session]);
  return (
    <Toast
      message={state.notice ?? ''}
      forHowLong={stays ? null : 9000}
      onGone={close}
      actions={[failed ? ['Try again', () => session.retry()] : ['Close', close]]}
    />
  );
}
