import { newRoom, seededIds } from '@kovelin/core/job/blank.ts';
import { newJob } from '@kovelin/core/job/create.ts';
import { usualSide } from '@kovelin/core/job/differences.ts';
import { readEntry } from '@kovelin/core/site/schema.ts';
import { arrivalOf, takeIn } from '../../web/src/store/archive.ts';
import { Database, newRow } from '../../web/src/store/db.ts';
import { LogWriter } from '../../web/src/store/log-writer.ts';
import { JobSession } from '../../web/src/store/session.ts';
import { append, deviceOf, logOf } from '../../web/src/store/site-log.ts';

/** The stores of the application on a page of their own: each numbers what it writes, one after the other. */
const db = new Database('kills');
const JOB = newJob('house', 'House 0', 'metric', [newRoom('r1', 'Parlour', seededIds('r1'), 'metric')], 'GB');
const name = (n: number): string => `House ${n}`;
const numberIn = (text = ''): number => Number(/\d+$/.exec(text)?.[0] ?? 0);

/** Writes the nth thing, and ends when the application would show that it is written. */
type Write = (n: number) => Promise<void>;
const WRITERS: Readonly<Record<string, () => Promise<Write>>> = {
  edits: async () => {
    const session = await JobSession.open(db, 'house');
    return async (n) => {
      session?.run({ name: 'renameJob', args: { name: name(n) } });
      await new Promise<void>((saved) => {
        const look = () => session?.state.saving === 'saved' && (stop?.(), saved());
        const stop = session?.subscribe(look);
        look();
      });
    };
  },
  entries: async () => {
    const device = await deviceOf(db);
    const writer = new LogWriter((noted) => append(db, 'house', device, noted));
    return (n) =>
      new Promise((noted) => {
        const stop = writer.listen(() => writer.state.waiting === 0 && (stop(), noted()));
        writer.say({ said: [{ kind: 'note', who: 'ana', note: `Note ${n}` }], at: Date.now() });
      });
  },
  'take-ins': () =>
    Promise.resolve(async (n) => {
      const entry = readEntry({
        ...{ id: `t${n}`, at: new Date().toISOString(), seq: n, device: 'phone', who: 'ana' },
        ...{ kind: 'note', note: `Note ${n}` },
      });
      if (!entry.ok) throw new Error('no entry');
      const arrival = await arrivalOf(db, {
        job: { ...JOB, name: name(n) },
        log: [entry.value],
        aside: [{ text: `{"kind":"lunch","n":${n}}`, reason: '' }],
        photos: [{ id: `p${n}`, job: 'house', bytes: new Uint8Array(5e4) }],
        exchange: { id: `x${n}`, from: n > 1 ? [`x${n - 1}`] : [] },
      });
      const taken = await takeIn(db, arrival, (one) => usualSide(one) ?? 'there');
      if (!taken.ok) throw new Error(taken.problems[0]?.message);
    }),
};

/** The last number of each thing that is there: they are one where nothing is half written. */
async function look(kind: string): Promise<number[]> {
  const row = await db.jobs.get('house');
  const { log, aside } = await logOf(db, 'house');
  const notes = [...log.values()].reduce((last, { note }) => Math.max(last, numberIn(note)), 0);
  if (kind === 'edits') return [numberIn(row?.name)];
  if (kind === 'entries') return [notes];
  const photos = await db.photos.toCollection().primaryKeys();
  const bases = await db.bases.toArray();
  return [numberIn(row?.job.name), notes, log.size, aside.length, photos.length, numberIn(bases.at(-1)?.id)];
}

declare const shown: (n: number) => Promise<void>;
Object.assign(globalThis, {
  look,
  /** What is there, where something is missing. */
  held: async () => {
    const counts = await Promise.all(db.tables.map(async (table) => `${table.name} ${await table.count()}`));
    return counts.join(', ');
  },
  begin: async (kind: string) => {
    await Promise.all(db.tables.map((table) => table.clear()));
    if (kind !== 'take-ins') await db.jobs.add(newRow({ ...JOB, name: name(0) }, 'made'));
  },
  write: async (kind: string, start: number) => {
    const write = await WRITERS[kind]?.();
    for (let n = start; ; n++) {
      await write?.(n);
      await shown(n);
    }
  },
});
