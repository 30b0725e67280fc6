import { Dexie } from 'dexie';
import { Database } from '../../web/src/store/db.ts';
import { append } from '../../web/src/store/site-log.ts';

const said = { kind: 'note', who: 'ana', note: 'wet' } as const;

async function perSecond(write: (n: number) => Promise<unknown>, count: number): Promise<number> {
  for (let n = 0; n < 20; n++) await write(n);
  const start = performance.now();
  for (let n = 0; n < count; n++) await write(n);
  return (count * 1000) / (performance.now() - start);
}

/** Entries a second of our log and of a bare table, each write waited for, each in a strict transaction. */
Object.assign(globalThis, {
  writes: async (count: number) => {
    const bare = new Dexie('bare', { chromeTransactionDurability: 'strict' });
    bare.version(1).stores({ log: 'id' });
    const own = new Database('own');
    const ours = await perSecond(() => append(own, 'job', 'van', [{ said: [said], at: Date.now() }]), count);
    const theirs = await perSecond((n) => bare.table('log').add({ ...said, id: String(Math.random()), seq: n }), count);
    return { ours, theirs };
  },
});
