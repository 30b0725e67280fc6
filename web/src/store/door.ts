import type * as Rules from '@kovelin/core/job/admit.ts';

type Door = typeof Rules;

let open: Door | null = null;
let opening: Promise<Door> | null = null;

/**
 * The edits, and the rules of the document that each is held against. They come in a file of their own, after the page has
 * been drawn; when that cannot be had, it is asked for again the next time.
 */
export function door(): Promise<Door> {
  opening ??= import('@kovelin/core/job/admit.ts').then(
    (rules) => (open = rules),
    (error: unknown) => {
      opening = null;
      throw error;
    },
  );
  return opening;
}

/** The rules where they are here already. */
export const openDoor = (): Door | null => open;
