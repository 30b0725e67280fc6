import { db } from '../store/db.ts';
import { whyNot } from '../store/why.ts';
import { say } from './say.ts';

const reload = { label: 'Load again', run: () => window.location.reload() };

/** What the database itself has to say: another version of Kovelin wants in, or stands in the way. */
export function listenToDatabase(): void {
  db.on('versionchange', () => {
    db.close();
    say('A newer Kovelin was opened in another tab. Load this page again to go on; what was saved is safe.', reload);
  });
  db.on('blocked', () => {
    say('Another tab holds an older Kovelin open. Close it, and this page goes on by itself.');
  });
}

/** Does something that writes; when it cannot be done, says what it was and what helps. @returns null then. */
export async function attempt<T>(what: string, write: () => Promise<T>): Promise<T | null> {
  try {
    return await write();
  } catch (error) {
    say(`${what}: ${whyNot(error)}`);
    return null;
  }
}
