import Button from '@mui/material/Button';
import Snackbar, { type SnackbarCloseReason } from '@mui/material/Snackbar';

interface ToastProps {
  readonly message: string;
  /** What can be done about it, each with its word. */
  readonly actions: readonly (readonly [string, () => void])[];
  /** It went away by itself, or by Escape. */
  readonly onGone: (reason: SnackbarCloseReason) => void;
  /** Milliseconds; absent: it stays. */
  readonly forHowLong?: number | null;
}

/** What is said above the work, once, with what answers it. */
export const Toast = ({ message, actions, onGone, forHowLong = null }: ToastProps) => (
  <Snackbar
    open
    message={message}
    autoHideDuration={forHowLong}
    onClose={(_, reason) => reason !== 'clickaway' && onGone(reason)}
    action={actions.map(([word, run]) => (
      <Button key={word} onClick={run}>
        {word}
      </Button>
    ))}
  />
);
