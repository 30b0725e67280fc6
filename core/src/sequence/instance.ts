import { groupBy } from '../units/group.ts';
import type { Minutes } from '../units/si.ts';
import type { Calendar } from './calendar.ts';

/** What one task asks of when another one ends or begins. */
export interface Wait {
  readonly task: string;
  readonly from: 'finish' | 'start';
  readonly minLag: Minutes;
  /** null: none. */
  readonly maxLag: Minutes | null;
}

/** What the solver knows of a task; a job's own tasks carry their operations too. */
export interface Activity {
  readonly id: string;
  /** Minutes with `people` on it. */
  readonly work: Minutes;
  readonly people: number;
  /** Put down for a break and taken up again. */
  readonly interruptible: boolean;
  readonly after: readonly Wait[];
  /** Where, with what, by which tool; null: it makes no difference. */
  readonly room: string | null;
  readonly paint: string | null;
  readonly tool: string | null;
  /** Whose it may be; null: anybody's. */
  readonly who: readonly number[] | null;
  /** Which of the instance's hours it keeps to. */
  readonly hours: string;
  /** Pinned start; null: whenever it may be. */
  readonly at: Minutes | null;
  /** When it has to have ended; null: whenever. */
  readonly by: Minutes | null;
  /** Not before that, because of what was done already. */
  readonly notBefore?: Minutes;
  /** Things there are so many of, besides places in its room: one for each who is on it. */
  readonly uses: readonly string[];
}

/** Two tasks of which either comes first, and then the other waits so long after its end. */
export interface Apart {
  readonly a: string;
  readonly b: string;
  readonly aFirst: Minutes;
  readonly bFirst: Minutes;
}

export interface Instance<T extends Activity = Activity> {
  readonly tasks: readonly T[];
  /** Calendars of each person, by the hours that tasks keep to; what is fetched is fetched in `plain` ones. */
  readonly calendars: Readonly<Record<string, readonly Calendar[]>>;
  /** How many find a place, or how many of a thing there are; what is not named has no end. */
  readonly capacity: Readonly<Record<string, number>>;
  readonly apart: readonly Apart[];
  /** Minutes of going to another room, to another paint, to another tool. */
  readonly travel: { readonly room: Minutes; readonly paint: Minutes; readonly tool: Minutes };
}
export const PLAIN = 'plain';

/** Minutes between two tasks of one person; `null`: nothing before. Nobody goes anywhere for the first room. */
export function travelBetween(
  { travel }: Pick<Instance, 'travel'>,
  before: Activity | null,
  task: Pick<Activity, 'room' | 'paint' | 'tool'>,
): Minutes {
  const isFetched = task.paint !== null && task.paint !== before?.paint;
  if (!before) return isFetched ? travel.paint : 0;
  const goes = task.room !== null && before.room !== null && task.room !== before.room;
  const changes = task.tool !== null && before.tool !== null && task.tool !== before.tool;
  return (goes ? travel.room : 0) + (isFetched ? travel.paint : 0) + (changes ? travel.tool : 0);
}

/** Tasks held together by maximal lags: placed one after the other, moved as a whole. */
export type Chain = readonly number[];

/** An instance in flat arrays: tasks are numbers. */
export interface Compiled<T extends Activity = Activity> {
  readonly instance: Instance<T>;
  readonly tasks: readonly T[];
  readonly people: number;
  readonly count: number;
  /** Of each task: what it waits for. */
  readonly waits: readonly (readonly {
    readonly from: number;
    readonly end: boolean;
    least: Minutes;
    most: Minutes;
  }[])[];
  /** Of each task: tasks it must keep apart from; minutes after it when it is first, and when the other is. */
  readonly apart: readonly (readonly { readonly other: number; readonly first: Minutes; readonly second: Minutes }[])[];
  /** Of each task: the earliest that its pin, and what was done already, let it begin. */
  readonly ready: Float64Array;
  readonly calendars: readonly (readonly Calendar[])[];
  readonly plain: readonly Calendar[];
  /** Who may do each task. */
  readonly able: readonly (readonly number[])[];
  /** Things with an end that each task needs: index into `capacities`. */
  readonly needs: readonly (readonly number[])[];
  readonly capacities: readonly number[];
  readonly chains: readonly Chain[];
  readonly chainOf: Int32Array;
  /** Chains that wait for each chain, once a wait; and how many waits each has. */
  readonly followers: readonly (readonly number[])[];
  readonly waitsFor: Int32Array;
  /** Travel from each kind of place, paint and tool to each, and from nothing: few kinds, so a table. */
  readonly kind: Int32Array;
  readonly travel: readonly Float64Array[];
  /** Tasks of one room with one paint; and how many such groups there are. */
  readonly group: Int32Array;
  readonly groups: number;
  /** Tasks in an order in which what comes before stands before. */
  readonly order: Int32Array;
}

/** @returns null when the waits run in a circle. */
export function compile<T extends Activity>(instance: Instance<T>): Compiled<T> | null {
  const { tasks } = instance;
  const count = tasks.length;
  const indexOf = new Map(tasks.map((task, i) => [task.id, i]));
  const waits = tasks.map((task) =>
    task.after.flatMap(({ task: id, from, minLag, maxLag }) => {
      const before = indexOf.get(id);
      return before === undefined
        ? []
        : [{ from: before, end: from === 'finish', least: minLag, most: maxLag ?? Infinity }];
    }),
  );
  const order = ordered(waits);
  if (!order) return null;
  const apart: { other: number; first: Minutes; second: Minutes }[][] = tasks.map(() => []);
  for (const { a, b, aFirst, bFirst } of instance.apart) {
    const [i, j] = [indexOf.get(a), indexOf.get(b)];
    if (i === undefined || j === undefined) continue;
    apart[i]?.push({ other: j, first: aFirst, second: bFirst });
    apart[j]?.push({ other: i, first: bFirst, second: aFirst });
  }
  const plain = instance.calendars[PLAIN] ?? [];
  const people = plain.length;
  const everybody = plain.map((_, i) => i);
  const named = Object.keys(instance.capacity);
  const kinds = [...groupBy(tasks, (t) => JSON.stringify([t.room, t.paint, t.tool])).values()];
  const kind = new Int32Array(count);
  kinds.forEach((own, k) => own.forEach((task) => (kind[indexOf.get(task.id) as number] = k)));
  const painted = [...new Set(tasks.map((t) => `${t.room} ${t.paint}`))];
  const travel = [null, ...kinds.map((own) => own[0] as T)].map((before) =>
    Float64Array.from(kinds, (own) => travelBetween(instance, before, own[0] as T)),
  );
  return {
    instance,
    tasks,
    people,
    count,
    waits,
    apart,
    ready: Float64Array.from(tasks, ({ at, notBefore = 0 }) => Math.max(at ?? 0, notBefore)),
    plain,
    calendars: tasks.map((task) => instance.calendars[task.hours] ?? plain),
    able: tasks.map((task) => task.who ?? everybody),
    needs: tasks.map((task) =>
      [...(task.room === null ? [] : [task.room]), ...task.uses].flatMap((name) => {
        const n = named.indexOf(name);
        return n >= 0 && (instance.capacity[name] as number) < people ? [n] : [];
      }),
    ),
    capacities: named.map((name) => instance.capacity[name] as number),
    kind,
    travel,
    group: Int32Array.from(tasks, (t) => painted.indexOf(`${t.room} ${t.paint}`)),
    groups: painted.length,
    order,
    ...linked(waits, order),
  };
}

type Waits = Compiled['waits'];
function ordered(waits: Waits): Int32Array | null {
  const left = waits.map((own) => own.length);
  const next: number[][] = waits.map(() => []);
  waits.forEach((own, i) => own.forEach(({ from }) => next[from]?.push(i)));
  const order = left.flatMap((n, i) => (n === 0 ? [i] : []));
  for (const i of order)
    for (const follower of next[i] ?? []) {
      left[follower] = (left[follower] as number) - 1;
      if (left[follower] === 0) order.push(follower);
    }
  return order.length === waits.length ? Int32Array.from(order) : null;
}

/** Each task with the followers that a maximal lag ties to it, and which chains wait for which. */
function linked(waits: Waits, order: Int32Array): Pick<Compiled, 'chains' | 'chainOf' | 'followers' | 'waitsFor'> {
  const chains: number[][] = [];
  const chainOf = new Int32Array(waits.length);
  for (const i of order) {
    const tied = waits[i]?.find(({ most }) => most < Infinity);
    const home = tied ? (chainOf[tied.from] as number) : chains.push([]) - 1;
    chains[home]?.push(i);
    chainOf[i] = home;
  }
  const followers: number[][] = chains.map(() => []);
  const waitsFor = new Int32Array(chains.length);
  waits.forEach((own, i) => {
    const mine = chainOf[i] as number;
    for (const { from } of own) {
      const other = chainOf[from] as number;
      if (other === mine) continue;
      followers[other]?.push(mine);
      waitsFor[mine] = (waitsFor[mine] as number) + 1;
    }
  });
  return { chains, chainOf, followers, waitsFor };
}
