/** What the browser's errors mean to somebody who wants to save, and what helps. */
const MEANINGS: readonly (readonly [RegExp, string])[] = [
  [
    /Quota|disk|space/i,
    'this browser has no room left. Delete a job or a price list that is no longer needed, or free space on this device, and try again.',
  ],
  [
    /VersionError|higher version|newer/i,
    'what is kept here was written by a newer Kovelin. Load the page again; if that does not help, close its other tabs first.',
  ],
  [
    /dynamically imported module|Importing a module|Loading chunk|Failed to fetch/i,
    'a part of Kovelin could not be fetched, perhaps because it was updated. Load the page again.',
  ],
  [
    /DatabaseClosed|MissingAPI|InvalidState|SecurityError|NotAllowed|OpenFailed|UnknownError|not allowed|denied/i,
    'this browser does not let Kovelin keep anything (a private window, or storage switched off for this page). Allow it, or use another window.',
  ],
];

/** The names and messages an error has, its causes with it. */
function told(error: unknown): string {
  if (!(error instanceof Error)) return String(error);
  const inner = (error as { readonly inner?: unknown }).inner ?? error.cause;
  return `${error.name} ${error.message} ${inner ? told(inner) : ''}`;
}

/** Why something could not be kept, as the end of a sentence with what to do. */
export function whyNot(error: unknown): string {
  const words = told(error);
  const known = MEANINGS.find(([pattern]) => pattern.test(words));
  return (
    known?.[1] ?? `${error instanceof Error ? error.message : String(error)}. Load the page again and try once more.`
  );
}
