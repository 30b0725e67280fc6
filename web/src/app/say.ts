/** What went wrong out of sight, or happened to something that is no longer on the page: one place shows it (Said.tsx). */
export interface Told {
  readonly id: number;
  readonly text: string;
  readonly action: { readonly label: string; readonly run: () => void } | null;
}

let told: readonly Told[] = [];
let last = 0;
const listeners = new Set<() => void>();
const publish = (next: readonly Told[]) => {
  told = next;
  for (const listener of listeners) listener();
};

/** Says a sentence; the same one twice at a time is said once. */
export function say(text: string, action: Told['action'] = null): void {
  if (!told.some((t) => t.text === text)) publish([...told, { id: ++last, text, action }].slice(-4));
}
export const unsay = (id: number): void => publish(told.filter((t) => t.id !== id));

export const saidNow = (): readonly Told[] => told;
/** Hears of each change of what was said. @returns how to stop. */
export const listenToSaid = (listener: () => void): (() => void) => {
  listeners.add(listener);
  return () => listeners.delete(listener);
};
