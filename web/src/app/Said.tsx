import { useEffect, useRef, useSyncExternalStore } from 'react';
import { useLocation } from 'react-router';
import { Toast } from '../ui/Toast.tsx';
import { listenToSaid, saidNow, unsay } from './say.ts';

/**
 * What was said last, since that answers what was just done; what was said before it is there when it is closed. What was said
 * on a page of a job goes with the page, unless it waits for an answer.
 */
export default function Said() {
  const told = useSyncExternalStore(listenToSaid, saidNow);
  const { pathname } = useLocation();
  const shown = useRef({ pathname, ids: [] as readonly number[] });
  useEffect(() => {
    const before = shown.current;
    if (before.pathname !== pathname && before.pathname.startsWith('/job/')) before.ids.forEach(unsay);
    shown.current = { pathname, ids: told.flatMap(({ id, action }) => (action ? [] : [id])) };
  }, [pathname, told]);
  const last = told.at(-1);
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
