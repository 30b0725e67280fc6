import { Toast } from '../ui/Toast.tsx';
import { useSyncExternalStore } from 'react';
import { listenToSaid, saidNow, unsay } from './say.ts';

/** What was said last, since that answers what was just done; what was said before it is there when it is closed. */
export default function Said() {
  const last = useSyncExternalStore(listenToSaid, saidNow).at(-1);
  if (!last) return null;
  const { id, text, action } = last;
  const close = () => unsay(id);
  const answer = () => {
    close();
    action?.run();
  };
  return (
    <Toast
      key={id}
      message={text}
      onGone={close}
      actions={[...(action ? [[action.label, answer] as const] : []), ['Close', close]]}
    />
  );
}
