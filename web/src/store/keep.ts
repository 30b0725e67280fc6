/** Has the browser promised not to clear what is kept when it runs short of space? */
export const isKept = (): Promise<boolean> => asked(() => navigator.storage.persisted());
/** Asks it to. @returns whether it promised. */
export const askToKeep = (): Promise<boolean> => asked(() => navigator.storage.persist());

/** A browser that has no such thing promises nothing. */
async function asked(question: () => Promise<boolean>): Promise<boolean> {
  try {
    return await question();
  } catch {
    return false;
  }
}

export interface Space {
  /** Bytes. */
  readonly used: number;
  readonly most: number;
}
/** How much of the room that the browser gives is used; null where it does not say. */
export async function spaceUsed(): Promise<Space | null> {
  try {
    const { usage, quota } = await navigator.storage.estimate();
    return usage === undefined || !quota ? null : { used: usage, most: quota };
  } catch {
    return null;
  }
}
