import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import type { JobSession, SessionState } from '../store/session.ts';

/** What the store has to say: a dropped undo step, a refused edit, a save that failed (which stays until it is tried). */
export default function Notice({ session, state }: { session: JobSession; state: SessionState }) {
  const failed = state.saving === 'failed';
  return (
    <Snackbar
      open
      message={state.notice}
      autoHideDuration={failed || state.saving === 'gone' ? null : 9000}
      onClose={(_, reason) => reason !== 'clickaway' && session.tell(null)}
      action={
        failed ? (
          <Button onClick={() => session.retry()}>Try again</Button>
        ) : (
          <Button onClick={() => session.tell(null)}>Close</Button>
        )
      }
    />
  );
}
