import { Toast } from '../ui/Toast.tsx';
import type { JobSession, SessionState } from '../store/session.ts';

/** What the store has to say: a dropped undo step, a refused edit, a save that failed (which stays until it is tried). */
export default function Notice({ session, state }: { session: JobSession; state: SessionState }) {
  const close = () => session.tell(null);
  const failed = state.saving === 'failed';
  return (
    <Toast
      message={state.notice ?? ''}
      forHowLong={failed || state.saving === 'gone' ? null : 9000}
      onGone={close}
      actions={[failed ? ['Try again', () => session.retry()] : ['Close', close]]}
    />
  );
}
