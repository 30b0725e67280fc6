import { useEffect } from 'react';
import { useLocation, useNavigate } from 'react-router';
import type { JobSession } from '../store/session.ts';
import { useJob } from './job-context.ts';
import { useSteps, type Step } from './step.ts';
import { takeTyped } from './typed.ts';

/** Where the page is: the step, or the step that the paper belongs to. */
export function useHere(): { readonly page: string; readonly step: Step | undefined } {
  const { pathname } = useLocation();
  const steps = useSteps();
  const page = pathname.split('/').at(-1) ?? '';
  return { page, step: steps.find((s) => s.key === page || s.papers.some((paper) => paper.key === page)) };
}

/** Goes to a step with the room and surface of the address as it is now: what is on the screen may still be a render behind. */
export function useGoToStep(): (key: string) => void {
  const navigate = useNavigate();
  return (key) => void navigate({ pathname: key, search: window.location.search });
}

type Typed = HTMLInputElement | HTMLTextAreaElement;

/** The field a key was pressed in. */
const fieldOf = (target: EventTarget | null): Typed | null =>
  target instanceof HTMLTextAreaElement ||
  (target instanceof HTMLInputElement && !['radio', 'checkbox', 'color'].includes(target.type))
    ? target
    : null;

const atFocus = new WeakMap<EventTarget, string>();

/** Its own undo has something to take back: a field with a draft says so, any other holds another text than when it was entered. */
function isTypedIn(field: Typed | null): boolean {
  if (!field) return false;
  const { dirty } = field.dataset as { readonly dirty?: string };
  return dirty === undefined ? field.value !== atFocus.get(field) : dirty === 'yes';
}

/** Undo and redo, the steps by their place, the rooms one after the other, and the list of all this. */
export function useShortcuts(onHelp: () => void): void {
  const { session, room, goTo } = useJob();
  const steps = useSteps();
  const goToStep = useGoToStep();
  useEffect(() => {
    const toNextRoom = (by: 1 | -1) => {
      const { order } = session.state.job.rooms;
      const here = new URLSearchParams(window.location.search).get('room') ?? room?.id ?? '';
      const next = order[order.indexOf(here) + by];
      if (next) goTo(next);
    };
    const onKey = (event: KeyboardEvent) => {
      const field = fieldOf(event.target);
      const command = event.ctrlKey || event.metaKey;
      const key = event.key.toLowerCase();
      const isUndo = command && (key === 'z' || key === 'y') && !isTypedIn(field);
      const step = event.altKey ? steps.find((s) => String(s.place) === key) : undefined;
      if (isUndo) {
        event.preventDefault();
        if (key === 'y' || event.shiftKey) session.redo();
        else session.undo();
      } else if (step) {
        event.preventDefault();
        goToStep(step.key);
      } else if (event.altKey && (key === 'arrowup' || key === 'arrowdown')) {
        event.preventDefault();
        toNextRoom(key === 'arrowup' ? -1 : 1);
      } else if (event.key === '?' && !field) onHelp();
    };
    const onFocus = ({ target }: FocusEvent) => {
      const field = fieldOf(target);
      if (!field) return;
      session.prepare();
      atFocus.set(field, field.value);
    };
    // what follows a press may be an edit
    const onPress = () => session.prepare();
    window.addEventListener('keydown', onKey);
    window.addEventListener('pointerdown', onPress);
    window.addEventListener('focusin', onFocus);
    return () => {
      window.removeEventListener('keydown', onKey);
      window.removeEventListener('pointerdown', onPress);
      window.removeEventListener('focusin', onFocus);
    };
  });
}

/** What is not saved yet is noted down, with what is being typed; where that cannot be, the browser asks first. */
export function useLeaving(session: JobSession): void {
  useEffect(() => {
    const onLeave = (event: Event) => {
      takeTyped();
      if (!session.leave() && event.type === 'beforeunload') event.preventDefault();
    };
    const moments = ['beforeunload', 'pagehide'] as const;
    for (const moment of moments) window.addEventListener(moment, onLeave);
    return () => {
      for (const moment of moments) window.removeEventListener(moment, onLeave);
    };
  }, [session]);
}
