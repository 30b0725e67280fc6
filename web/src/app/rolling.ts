import { backUpWhereDue } from '../store/backups.ts';
import { db } from '../store/db.ts';
import { whyNot } from '../store/why.ts';
import { say } from './say.ts';

type Milliseconds = number;
/** Not in the first moments of a page, and then every minute: so much may be lost with a database that the browser throws away. */
const FIRST: Milliseconds = 30_000;
const EVERY: Milliseconds = 60_000;

/** Keeps rolling backups, and a copy of what is newer, while a page is open; of several pages one does. */
export function keepBackups(): void {
  const look = async (): Promise<void> => {
    try {
      await navigator.locks.request('kovelin-backup', { ifAvailable: true }, async (lock) => {
        for (const fault of lock ? await backUpWhereDue(db) : []) say(fault);
      });
    } catch (error) {
      say(`No backup was made on this device: ${whyNot(error)}`);
    }
  };
  setTimeout(() => {
    void look();
    setInterval(() => void look(), EVERY);
  }, FIRST);
}
