import type { Minutes } from '../units/si.ts';
import { HORIZON, NEVER, type Calendar } from './calendar.ts';
import type { Activity, Compiled } from './instance.ts';

// looked up once: these are asked for millions of times
const { max, min } = Math;

/**
 * What can be proved of the finish without looking at any plan. A finish is shown to be too early by what cannot fit before it:
 * a path of lags on the calendar; what comes before a task, or follows it, being more than the people's hours hold; or, between any
 * two moments, more work than hours, in all and in each room that has few places. The largest finish so refuted is the bound.
 */
export function lowerBound(problem: Compiled, atMost: Minutes = HORIZON): Minutes {
  if (problem.count === 0) return 0;
  const path = pathOf(problem);
  if (path === NEVER) return NEVER;
  const energy = energyBound(problem);
  const least = max(path, energy);
  // somebody finishes by `atMost`, so nothing after it is looked at
  if (!(least < atMost) || atMost >= HORIZON) return least;
  const crew = new CrewTime(problem, problem.people, atMost);
  const relations = relationsOf(problem);
  const heads = headsOf(problem, crew, relations);
  const groups = groupsOf(problem, crew, atMost);
  let [low, high] = [least, atMost];
  // each look takes longer the more tasks there are
  const looks = problem.count < 120 ? 10 : 5;
  for (let i = 0; i < looks && high - low > 0.5; i++) {
    const finish = (low + high) / 2;
    if (isRefuted(problem, crew, relations, heads, groups, finish)) low = finish;
    else high = finish;
  }
  return low;
}

/** Minutes that a number of people work by a moment, as a line with bends. */
export class CrewTime {
  private readonly t: number[] = [0];
  private readonly w: number[] = [0];
  constructor({ plain, people }: Compiled, places: number, until: Minutes) {
    const marks = new Set<number>();
    for (const calendar of plain)
      for (const [from, to] of calendar.within(0, until)) {
        marks.add(from);
        marks.add(to);
      }
    const most = (at: Minutes): Minutes => {
      const each = plain.map((calendar) => calendar.worked(at));
      if (places >= people) return each.reduce((sum, worked) => sum + worked, 0);
      return places * max(0, ...each);
    };
    for (const mark of [...marks].sort((a, b) => a - b)) {
      if (mark <= 0) continue;
      this.t.push(mark);
      this.w.push(most(mark));
    }
  }
  /** Index of the last mark at which `values` are at most `x`. */
  private static below(values: readonly number[], x: number): number {
    let [low, high] = [0, values.length - 1];
    while (low < high) {
      const middle = (low + high + 1) >> 1;
      if ((values[middle] as number) <= x) low = middle;
      else high = middle - 1;
    }
    return low;
  }
  private between(from: readonly number[], to: readonly number[], i: number, x: number): number {
    const [a, b] = [from[i] as number, from[i + 1]];
    if (b === undefined || b <= a) return to[i] as number;
    return (to[i] as number) + (((to[i + 1] as number) - (to[i] as number)) * (x - a)) / (b - a);
  }
  worked(t: Minutes): Minutes {
    return t <= 0 ? 0 : this.between(this.t, this.w, CrewTime.below(this.t, t), t);
  }
  /** The first moment by which so much is worked; Infinity: not before the end that was looked at. */
  first(worked: Minutes): Minutes {
    if (worked <= 0) return 0;
    if (worked > (this.w.at(-1) as number) + 1e-9) return NEVER;
    let i = CrewTime.below(this.w, worked - 1e-9);
    while (i > 0 && (this.w[i] as number) >= worked - 1e-9) i--;
    return this.between(this.w, this.t, i, worked);
  }
  /** The last moment by which no more than so much is worked; -NEVER: there is none. */
  last(worked: Minutes): Minutes {
    if (worked < -1e-9) return -NEVER;
    const i = CrewTime.below(this.w, worked + 1e-9);
    return this.between(this.w, this.t, i, max(worked, this.w[i] as number));
  }
}

/** Earliest start of a task by the best of those who may do it. */
function startOf(problem: Compiled, i: number, ready: Minutes): Minutes {
  const { work, interruptible } = problem.tasks[i] as Activity;
  let start = NEVER;
  for (const person of problem.able[i] as readonly number[])
    start = min(start, (problem.calendars[i]?.[person] as Calendar).start(ready, work, interruptible));
  return start;
}
function endOf(problem: Compiled, i: number, ready: Minutes): Minutes {
  const { work, interruptible } = problem.tasks[i] as Activity;
  let end = NEVER;
  for (const person of problem.able[i] as readonly number[]) {
    const calendar = problem.calendars[i]?.[person] as Calendar;
    const begins = calendar.start(ready, work, interruptible);
    if (begins < NEVER) end = min(end, calendar.end(begins, work, interruptible));
  }
  return end;
}
function latestStart(problem: Compiled, i: number, by: Minutes): Minutes {
  const { work, interruptible } = problem.tasks[i] as Activity;
  let latest = -NEVER;
  for (const person of problem.able[i] as readonly number[])
    latest = max(latest, (problem.calendars[i]?.[person] as Calendar).startBy(by, work, interruptible));
  return latest;
}

/** Earliest begins and ends by lags, pins and calendars alone, with as many of each person as are wanted; and what each waits for last. */
export function earliestOf(problem: Compiled): {
  readonly starts: Float64Array;
  readonly ends: Float64Array;
  /** -1: nothing. */
  readonly from: Int32Array;
} {
  const { order, waits, count } = problem;
  const [starts, ends] = [new Float64Array(count), new Float64Array(count)];
  const last = new Int32Array(count).fill(-1);
  for (const i of order) {
    let ready = problem.ready[i] as number;
    for (const { from, end, least } of waits[i] as Compiled['waits'][number]) {
      const then = ((end ? ends[from] : starts[from]) as number) + least;
      if (then > ready) [ready, last[i]] = [then, from];
    }
    starts[i] = startOf(problem, i, ready);
    ends[i] = endOf(problem, i, ready);
  }
  return { starts, ends, from: last };
}
/** The longest path of lags on the calendar. */
export const pathOf = (problem: Compiled): Minutes =>
  earliestOf(problem).ends.reduce((longest, end) => max(longest, end), 0);

/** Of each task: what comes before it, with the least time from the end of that to its begin; the longest times first. */
type Relation = readonly [task: number, gap: Minutes];
interface Relations {
  readonly before: readonly (readonly Relation[])[];
  readonly after: readonly (readonly Relation[])[];
}
/** Who waits for whom in a compiled network, both ways round, by the index of the task. */
export function relationsOf({ order, waits, tasks, count }: Compiled): Relations {
  const before: Relation[][] = [];
  const after: Relation[][] = Array.from({ length: count }, () => []);
  const at = new Int32Array(count);
  order.forEach((task, k) => (at[task] = k));
  const work = (i: number): Minutes => (tasks[i] as Activity).work;
  for (const j of order) {
    // least time from the begin of each predecessor to the begin of j
    const gap = new Map<number, Minutes>([[j, 0]]);
    const open = [j];
    for (let k = at[j] as number; k >= 0 && open.length; k--) {
      const i = order[k] as number;
      const own = gap.get(i);
      if (own === undefined) continue;
      for (const { from, end, least } of waits[i] as Compiled['waits'][number]) {
        const through = own + least + (end ? work(from) : 0);
        if (!(through <= (gap.get(from) ?? -NEVER))) gap.set(from, through);
      }
    }
    gap.delete(j);
    before[j] = [...gap].map(([i, g]) => [i, g - work(i)] as const).sort((a, b) => b[1] - a[1]);
    for (const [i, g] of before[j]) after[i]?.push([j, g]);
  }
  for (const own of after) own.sort((a, b) => b[1] - a[1]);
  return { before, after };
}

/** Earliest starts: by paths, and by what comes before being done by all people together. */
function headsOf(problem: Compiled, crew: CrewTime, { before }: Relations): Float64Array {
  const { order, waits, tasks, count } = problem;
  const [starts, ends] = [new Float64Array(count), new Float64Array(count)];
  for (const j of order) {
    let ready = problem.ready[j] as number;
    for (const { from, end, least } of waits[j] as Compiled['waits'][number])
      ready = max(ready, ((end ? ends[from] : starts[from]) as number) + least);
    const own = before[j] as Relations['before'][number];
    // all that begins no sooner than some moment, and ends so long before j
    for (const from of new Set(own.map(([i]) => starts[i] as number))) {
      let sum = crew.worked(from);
      for (let k = 0; k < own.length; k++) {
        const [i, gap] = own[k] as Relation;
        if ((starts[i] as number) < from) continue;
        const { work, people } = tasks[i] as Activity;
        sum += work * people;
        ready = max(ready, crew.first(sum) + gap);
      }
    }
    starts[j] = startOf(problem, j, ready);
    ends[j] = endOf(problem, j, ready);
  }
  return starts;
}

/** Latest ends that leave time for what follows, one after the other and all of it together. */
export function latestEnds(problem: Compiled, crew: CrewTime, { after }: Relations, finish: Minutes): Float64Array {
  const { order, waits, tasks, count } = problem;
  const ends = new Float64Array(count).fill(finish);
  const starts = new Float64Array(count).fill(NEVER);
  for (let k = count - 1; k >= 0; k--) {
    const i = order[k] as number;
    let by = ends[i] as number;
    const own = after[i] as Relations['after'][number];
    for (const until of new Set(own.map(([j]) => ends[j] as number))) {
      let left = crew.worked(until);
      for (const [j, gap] of own) {
        if ((ends[j] as number) > until) continue;
        const { work, people } = tasks[j] as Activity;
        left -= work * people;
        by = min(by, crew.last(left) - gap);
      }
    }
    const start = min(starts[i] as number, latestStart(problem, i, by));
    starts[i] = start;
    const { work, interruptible } = tasks[i] as Activity;
    // what has to begin by then ends by so much later
    ends[i] = start === -NEVER ? -NEVER : interruptible ? by : min(by, start + work);
    for (const { from, end, least } of waits[i] as Compiled['waits'][number])
      if (end) ends[from] = min(ends[from] as number, start - least);
      else starts[from] = min(starts[from] as number, start - least);
  }
  return ends;
}

/** Tasks that share something of which there is not enough for everybody: all of them, and those of each room with few places. */
interface Group {
  readonly tasks: readonly number[];
  readonly crew: CrewTime;
}
function groupsOf(problem: Compiled, crew: CrewTime, until: Minutes): Group[] {
  const { tasks, needs, capacities, people } = problem;
  const all = tasks.map((_, i) => i);
  const few = capacities.flatMap((places, thing): Group[] =>
    places < people
      ? [{ crew: new CrewTime(problem, places, until), tasks: all.filter((i) => needs[i]?.includes(thing)) }]
      : [],
  );
  return [{ tasks: all, crew }, ...few];
}

function isRefuted(
  problem: Compiled,
  crew: CrewTime,
  relations: Relations,
  heads: Float64Array,
  groups: readonly Group[],
  finish: Minutes,
): boolean {
  const ends = latestEnds(problem, crew, relations, finish);
  for (let i = 0; i < problem.count; i++)
    if ((ends[i] as number) - (heads[i] as number) < (problem.tasks[i] as Activity).work - 1e-6) return true;
  return groups.some((group) => isOverfull(problem, group, heads, ends));
}

/** Is there a time between two moments in which more must be done than there are hours for? */
function isOverfull(problem: Compiled, { tasks, crew }: Group, heads: Float64Array, ends: Float64Array): boolean {
  const byEnd = [...tasks].sort((a, b) => (ends[a] as number) - (ends[b] as number));
  const from = [...new Set(tasks.map((i) => heads[i] as number))].sort((a, b) => b - a);
  for (const start of thinned(from)) {
    const at = crew.worked(start);
    let sum = 0;
    for (let k = 0; k < byEnd.length; k++) {
      const i = byEnd[k] as number;
      if ((heads[i] as number) < start - 1e-9) continue;
      const { work, people } = problem.tasks[i] as Activity;
      sum += work * people;
      const next = byEnd[k + 1];
      if (next !== undefined && (ends[next] as number) <= (ends[i] as number)) continue;
      if (sum > crew.worked(ends[i] as number) - at + 1e-6) return true;
    }
  }
  return false;
}
/** So many moments are looked at; of more, every so manieth. */
const MOMENTS = 80;
function thinned(moments: readonly number[]): readonly number[] {
  if (moments.length <= MOMENTS) return moments;
  const step = moments.length / MOMENTS;
  const some = Array.from({ length: MOMENTS }, (_, i) => moments[Math.floor(i * step)] as number);
  return [...some, moments.at(-1) as number];
}

/** All work, and what cannot be spared of fetching, if nobody ever waits. */
function energyBound(problem: Compiled): Minutes {
  const { tasks, plain } = problem;
  const minutes = tasks.reduce((sum, { work, people }) => sum + work * people, leastTravel(problem));
  const worked = (t: Minutes) => plain.reduce((sum, calendar) => sum + calendar.worked(t), 0);
  let [low, high] = [0, 1440];
  while (worked(high) < minutes) {
    if (high >= HORIZON / 2) return NEVER;
    [low, high] = [high, high * 2];
  }
  for (let i = 0; i < 60 && high - low > 1e-6; i++) {
    const middle = (low + high) / 2;
    if (worked(middle) < minutes) low = middle;
    else high = middle;
  }
  return high;
}

/**
 * Fetching that no plan spares: whoever first paints with a paint in a room came there with it, or took it up there; whoever first
 * uses another tool for it changed tools; and where every room begins with something that needs no paint, all but the rooms that
 * people begin in are gone to for that.
 */
function leastTravel({ instance, tasks, people }: Pick<Compiled, 'instance' | 'tasks' | 'people'>): Minutes {
  const { travel } = instance;
  const painted = new Map<string, Set<string | null>>();
  for (const { room, paint, tool } of tasks)
    if (paint !== null) painted.set(`${room} ${paint}`, (painted.get(`${room} ${paint}`) ?? new Set()).add(tool));
  const each = min(travel.room, travel.paint);
  const tool = min(each, travel.tool);
  let least = 0;
  for (const tools of painted.values()) least += each + tool * (tools.size - 1);
  const rooms = new Set(tasks.flatMap(({ room }) => room ?? []));
  const first = (task: Activity): boolean => task.after.length === 0;
  const plainFirst = tasks.every((task) => task.paint === null || !first(task));
  return least + (plainFirst ? max(0, rooms.size - people) * travel.room : 0);
}
