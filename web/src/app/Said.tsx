import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import { useSyncExternalStore } from 'react';
import { listenToSaid, saidNow, unsay } from './say.ts';

/** What was said last, since that answers what was just done; what was said before it is there when it is closed. */
export default function Said() {
  const last = useSyncExternalStore(listenToSaid, saidNow).at(-1);
  if (!last) return null;
  const { id, text, action } = last;
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
