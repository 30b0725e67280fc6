import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import { useSyncExternalStore } from 'react';
import { listenToSaid, saidNow, unsay } from './say.ts';

/** What was said, the oldest first; it stays until it is closed. */
export default function Said() {
  const [first] = useSyncExternalStore(listenToSaid, saidNow);
  if (!first) return null;
  const { id, text, action } = first;
  return (
    <Snackbar
      key={id}
      open
      message={text}
      onClose={(_, reason) => reason === 'escapeKeyDown' && unsay(id)}
      action={
        <>
          {action && (
            <Button
              onClick={() => {
                unsay(id);
                action.run();
              }}
            >
              {action.label}
            </Button>
          )}
          <Button onClick={() => unsay(id)}>Close</Button>
        </>
      }
    />
  );
}
