import { backUpWhereDue } from '../store/backups.ts';
import { db } from '../store/db.ts';
import { whyNot } from '../store/why.ts';
import { say } from './say.ts';

type Milliseconds = number;
/** Not in the first moments of a page, and then every so often. */
const FIRST: Milliseconds = 30_000;
const EVERY: Milliseconds = 600_000;

/** Keeps rolling backups while a page is open; of several pages one does. */
export function keepBackups(): void {
  const look = async (): Promise<void> => {
    try {
      await navigator.locks.request('kovelin-backup', { ifAvailable: true }, async (lock) => {
        for (const fault of lock ? await backUpWhereDue(db) : []) say(`The backup cannot be read back whole: ${fault}`);
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
