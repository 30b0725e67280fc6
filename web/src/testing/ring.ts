import { editJob } from '@kovelin/core/job/admit.ts';
import { usualSide } from '@kovelin/core/job/differences.ts';
import type { Edit } from '@kovelin/core/job/edits.ts';
import type { Job } from '@kovelin/core/job/types.ts';
import { smallJob } from '@kovelin/core/testing/hostile.ts';
import { seeded, type Random } from '@kovelin/core/units/random.ts';
import { archived, arrivalOf, takeIn } from '../store/archive.ts';
import { newRow, type Database } from '../store/db.ts';

/**
 * Jobs that go from device to device while each of them changes things, against a model that knows of every change which others it had seen.
 */
const START: Job = { ...smallJob(), id: 'house' };
const [WALL = ''] = START.rooms.byId[START.rooms.order[0] ?? '']?.walls.order ?? [];
const ROOM = START.rooms.order[0] ?? '';

/** Things of a job, and how one is set to the value of a change. */
const THINGS: Readonly<Record<string, (n: number) => Edit>> = {
  name: (n) => ({ name: 'renameJob', args: { name: `House ${n}` } }),
  'pricing/client': (n) => ({ name: 'setPricing', args: { set: { client: `Client ${n}` } } }),
  'pricing/notes': (n) => ({ name: 'setPricing', args: { set: { notes: `Note ${n}` } } }),
  'crew/start': (n) => ({ name: 'setCrew', args: { set: { start: `${2026 + (n % 60)}-0${1 + (n % 9)}-1${n % 10}` } } }),
  [`rooms/byId/${ROOM}/walls/byId/${WALL}`]: (n) => ({
    name: 'setWall',
    args: { room: ROOM, wall: WALL, set: { length: { typed: `${3 + n / 1000} m`, metres: 3 + n / 1000 } } },
  }),
};

/** Of each thing: the change it stands at, and all changes that were seen. */
type Known = Map<string, { at: number; seen: ReadonlySet<number> }>;

export interface Ring {
  /** Things that differed, and of how many of them it was named who changed them. */
  readonly differed: number;
  readonly named: number;
  readonly faults: readonly string[];
}

/** @param next who gives to whom in a round. */
export async function history(
  devices: readonly Database[],
  seed: number,
  rounds: number,
  next: (round: number, random: Random) => readonly [from: number, to: number],
): Promise<Ring> {
  const random = seeded(seed);
  for (const db of devices) await Promise.all(db.tables.map((table) => table.clear()));
  const known = devices.map(
    (): Known => new Map(Object.keys(THINGS).map((key) => [key, { at: 0, seen: new Set([0]) }])),
  );
  await devices[0]?.jobs.add(newRow(START, 'made'));
  let [changes, differed, named] = [0, 0, 0];
  const faults: string[] = [];
  const change = async (n: number): Promise<void> => {
    const db = devices[n];
    const row = await db?.jobs.get('house');
    if (!db || !row) return;
    let { job } = row;
    for (const [key, edit] of Object.entries(THINGS)) {
      const own = known[n]?.get(key);
      if (!own || random() > 0.3) continue;
      const done = editJob(job, edit(++changes));
      if (!done.ok) throw new Error(done.problems[0]?.message);
      job = done.value.job;
      Object.assign(own, { at: changes, seen: new Set([...own.seen, changes]) });
    }
    await db.jobs.put({ ...row, rev: row.rev + 1, job });
  };
  const exchange = async (from: number, to: number): Promise<void> => {
    const [source, target] = [devices[from], devices[to]];
    const [theirs, mine] = [known[from], known[to]];
    if (!source || !target || !theirs || !mine) return;
    const [sent] = await archived(source, true, ['house']);
    if (!sent) return;
    // pressed, and taken by nobody
    if (random() < 0.3) return;
    const arrival = await arrivalOf(target, { ...sent, job: sent.job as Job, aside: [], photos: [] });
    const isNew = arrival.row === null;
    const right = new Map<string, 'here' | 'there'>();
    for (const difference of arrival.differences) {
      const [a, b] = [mine.get(difference.key), theirs.get(difference.key)];
      if (!a || !b) throw new Error(`${difference.key} was never changed`);
      const truth = a.seen.has(b.at) ? 'here' : b.seen.has(a.at) ? 'there' : 'both';
      const said = usualSide(difference);
      differed++;
      if (difference.changed !== null) named++;
      if (difference.changed !== null && difference.changed !== truth)
        faults.push(
          `seed ${seed}: ${difference.key} was changed ${truth}, and is said to be changed ${difference.changed}`,
        );
      // who knows takes the newer one; of two that nobody saw together everybody prefers the same, else two would decide otherwise of the
      // same two and no model could tell who is right
      right.set(difference.key, said ?? (truth === 'both' ? (a.at > b.at ? 'here' : 'there') : truth));
    }
    const taken = await takeIn(target, arrival, ({ key }) => right.get(key) ?? 'here');
    if (!taken.ok) throw new Error(taken.problems[0]?.message);
    for (const [key, b] of theirs) {
      const a = mine.get(key);
      if (!a) continue;
      const side = isNew ? 'there' : (right.get(key) ?? (a.at === b.at ? 'here' : null));
      if (side === null) faults.push(`seed ${seed}: ${key} stands at two changes and is said to be the same`);
      Object.assign(a, { at: side === 'there' ? b.at : a.at, seen: new Set([...a.seen, ...b.seen]) });
    }
  };
  for (let round = 0; round < rounds; round++) {
    for (let n = 0; n < devices.length; n++) await change(n);
    await exchange(...next(round, random));
  }
  return { differed, named, faults };
}

/** Each gives to the one after it. */
export const aroundOf =
  (count: number) =>
  (round: number): readonly [number, number] => [round % count, (round + 1) % count];
/** Anybody gives to anybody else. */
export const anyOf =
  (count: number) =>
  (_: number, random: Random): readonly [number, number] => {
    const from = Math.floor(random() * count);
    return [from, (from + 1 + Math.floor(random() * (count - 1))) % count];
  };
