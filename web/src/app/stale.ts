import { say } from './say.ts';
import { takeTyped } from './typed.ts';

const KEY = 'kovelin-loaded-again';
const load = () => window.location.reload();

/** Which build this page is of: its entry has a name of its own. */
const build = (): string => document.querySelector<HTMLScriptElement>('script[type=module]')?.src ?? '';

/** Was this very build loaded again already? Where nothing can be noted, it counts as done: better once too few. */
function wasLoadedAgain(): boolean {
  try {
    if (sessionStorage.getItem(KEY) === build()) return true;
    sessionStorage.setItem(KEY, build());
    return false;
  } catch {
    return true;
  }
}

/**
 * A file of this page is gone: Kovelin was updated since it was loaded, or cannot be reached. The page is loaded again, once,
 * after what is typed was taken; where that did not help, it is said.
 */
export function onFileGone(): void {
  takeTyped();
  if (!wasLoadedAgain()) return load();
  say(
    'A part of this page could not be had, so some figures are missing. See whether Kovelin is running, then load again.',
    { label: 'Load again', run: load },
  );
}
