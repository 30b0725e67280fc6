/** Asks the browser not to clear the jobs when it runs short of space. @returns whether they are safe from that. */
export async function askToKeep(): Promise<boolean> {
  try {
    return (await navigator.storage.persisted()) || (await navigator.storage.persist());
  } catch {
    return false;
  }
}
