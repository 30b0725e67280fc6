import FlatQueue from 'flatqueue';
import type { Minutes } from '../units/si.ts';
import { NEVER, type Calendar } from './calendar.ts';
import type { Activity, Chain, Compiled } from './instance.ts';

// looked up once: these are asked for millions of times
const { max, min } = Math;

/** What a search decides: in which order chains are placed, and who should do what. */
export interface Choice {
  /** Of each chain; the lowest of those that may start is placed first. */
  readonly key: Float64Array;
  /** Of each task: who; -1: whoever can begin it first. */
  readonly who: Int8Array;
}

/** A choice that says nothing yet. */
export const choiceFor = ({ chains, count }: Compiled): Choice => ({
  key: new Float64Array(chains.length),
  who: new Int8Array(count).fill(-1),
});

/** How a crew takes up what may be done: what counts least comes next. */
export interface Rule {
  /** A minute of waiting and a minute of fetching, for ten minutes of the work that then lies there and `least` more. */
  readonly wait: number;
  readonly stay: number;
  readonly least: Minutes;
  /** What it counts besides, a figure a task: what much follows is urgent, the turn of its room, chance. */
  readonly bias: Float64Array;
  /** Of each task: whose it is; and what it counts to take up another's. */
  readonly home: Int8Array;
  readonly stranger: number;
}
/** Work that may begin so soon is there for whoever goes to it. */
const SOON: Minutes = 30;

/** So often a chain is moved later until all of it fits. */
const MOVES = 200;
const NEAR = 1e-7;

/**
 * Places tasks one chain after the other, each as early as everybody's days, what it waits for, travel, places and what it
 * must keep apart from allow; later ones also into gaps that were left. Kept and cleared for every try, so it makes no garbage.
 */
export class Board<T extends Activity = Activity> {
  readonly start: Float64Array;
  readonly end: Float64Array;
  /** Who is on each task: a bit a person. */
  readonly on: Int32Array;
  /** Chains in the order in which they were last placed: the same order places them so again. */
  readonly order: number[] = [];
  private readonly agendas: number[][];
  /** Tasks that need each thing there are so many of. */
  private readonly users: number[][];
  private readonly waiting: Int32Array;
  private readonly ready = new FlatQueue<number>();
  private readonly crew: number[] = [];

  constructor(private readonly problem: Compiled<T>) {
    const { count, people, capacities } = problem;
    this.start = new Float64Array(count).fill(-1);
    this.end = new Float64Array(count).fill(-1);
    this.on = new Int32Array(count);
    this.agendas = Array.from({ length: people }, () => []);
    this.users = capacities.map(() => []);
    this.waiting = new Int32Array(problem.chains.length);
  }

  private clear(): void {
    this.start.fill(-1);
    this.on.fill(0);
    for (const agenda of this.agendas) agenda.length = 0;
    for (const own of this.users) own.length = 0;
    this.waiting.set(this.problem.waitsFor);
  }

  /**
   * Places tasks as a crew would take them up: whoever is free first takes what counts least by the rule, at the end of what they
   * have. @returns false where some chain fits nowhere before the horizon.
   */
  dispatch({ wait, stay, least, stranger, bias, home }: Rule): boolean {
    const { chains, followers, people, able, tasks, group, groups } = this.problem;
    this.clear();
    /** Chains that may begin, and when what they wait for lets them. */
    const open: number[] = [];
    const ready: Minutes[] = [];
    const opened = (c: number): void => {
      open.push(c);
      ready.push(this.readyAt((chains[c] as Chain)[0] as number));
    };
    for (let c = 0; c < chains.length; c++) if (this.waiting[c] === 0) opened(c);
    const block = new Float64Array(groups);
    const busy = new Uint8Array(people);
    while (open.length) {
      const [person, free] = this.firstFree(busy);
      if (person < 0) return false;
      this.standAt(person, free);
      block.fill(0);
      for (let at = 0; at < open.length; at++) {
        const task = (chains[open[at] as number] as Chain)[0] as number;
        const g = group[task] as number;
        if ((ready[at] as number) <= free + SOON) block[g] = (block[g] as number) + (tasks[task] as T).work;
      }
      let [best, lowest] = [-1, NEVER];
      for (let at = 0; at < open.length; at++) {
        const task = (chains[open[at] as number] as Chain)[0] as number;
        if (!(able[task] as readonly number[]).includes(person)) continue;
        const share = 10 / (least + (block[group[task] as number] as number));
        const away = home[task] === person ? 0 : stranger;
        const fixed = (bias[task] as number) + away + share * stay * this.fetchTo(task);
        // waiting only adds to it
        if (fixed >= lowest) continue;
        const idle = this.idleBefore(task, ready[at] as number);
        const counts = fixed + share * wait * idle;
        if (counts < lowest) [best, lowest] = [at, counts];
      }
      // what is left is for others
      if (best < 0) {
        busy[person] = 1;
        continue;
      }
      // what comes after it may be theirs again
      busy.fill(0);
      const c = open[best] as number;
      open[best] = open.at(-1) as number;
      ready[best] = ready.at(-1) as number;
      open.pop();
      ready.pop();
      const head = (chains[c] as Chain)[0] as number;
      const wanted = (tasks[head] as T).people === 1 ? person : -1;
      if (!this.chainFrom(chains[c] as Chain, free, (task) => (task === head ? wanted : -1))) return false;
      for (const next of followers[c] as readonly number[]) {
        this.waiting[next] = (this.waiting[next] as number) - 1;
        if (this.waiting[next] === 0) opened(next);
      }
    }
    return true;
  }
  private firstFree(busy: Uint8Array): readonly [person: number, free: Minutes] {
    let [first, free] = [-1, NEVER];
    for (let person = 0; person < busy.length; person++) {
      if (busy[person]) continue;
      const last = this.agendas[person]?.at(-1);
      const t = this.problem.plain[person]?.next(last === undefined ? 0 : (this.end[last] as number)) ?? NEVER;
      if (t < free) [first, free] = [person, t];
    }
    return [first, free];
  }

  /** Who is asked what comes next, and where they are: the same for all that they might take up. */
  private person = 0;
  private row: Float64Array = new Float64Array(0);
  private from: Minutes = 0;
  private workedFree: Minutes = 0;
  private readonly fetches: Minutes[] = [];
  private readonly there: Minutes[] = [];
  private standAt(person: number, free: Minutes): void {
    const last = this.agendas[person]?.at(-1) ?? -1;
    this.person = person;
    this.row = this.problem.travel[last < 0 ? 0 : (this.problem.kind[last] as number) + 1] as Float64Array;
    this.from = last < 0 ? 0 : (this.end[last] as number);
    this.workedFree = (this.problem.plain[person] as Calendar).worked(free);
    this.fetches.length = 0;
    this.there.length = 0;
  }
  private fetchTo(task: number): Minutes {
    return this.row[this.problem.kind[task] as number] as number;
  }
  /** When they are there with all that was fetched: of few kinds, so each is found once. */
  private arrives(fetch: Minutes): Minutes {
    if (fetch === 0) return this.from;
    const known = this.fetches.indexOf(fetch);
    if (known >= 0) return this.there[known] as Minutes;
    const t = (this.problem.plain[this.person] as Calendar).later(this.from, fetch);
    this.fetches.push(fetch);
    this.there.push(t);
    return t;
  }
  /** Minutes paid and not worked before a task. */
  private idleBefore(task: number, ready: Minutes): Minutes {
    const { calendars, plain, tasks } = this.problem;
    const { work, interruptible } = tasks[task] as T;
    const fetch = this.fetchTo(task);
    const begins = (calendars[task]?.[this.person] as Calendar).start(
      max(ready, this.arrives(fetch)),
      work,
      interruptible,
    );
    if (begins === NEVER) return NEVER;
    return max(0, (plain[this.person] as Calendar).worked(begins) - this.workedFree - fetch);
  }

  /** @returns false where some chain fits nowhere before the horizon. */
  place(choice: Choice): boolean {
    const { chains, followers } = this.problem;
    this.clear();
    const wanted = (task: number): number => choice.who[task] as number;
    const ready = this.ready;
    ready.clear();
    for (let c = 0; c < chains.length; c++) if (this.waiting[c] === 0) ready.push(c, choice.key[c] as number);
    this.order.length = 0;
    for (let c = ready.pop(); c !== undefined; c = ready.pop()) {
      if (!this.chainFrom(chains[c] as Chain, 0, wanted)) return false;
      this.order.push(c);
      for (const next of followers[c] as readonly number[]) {
        this.waiting[next] = (this.waiting[next] as number) - 1;
        if (this.waiting[next] === 0) ready.push(next, choice.key[next] as number);
      }
    }
    return this.order.length === chains.length;
  }

  /** Puts a chain where its tasks fit from a moment on, by somebody; -1: whoever can. @returns false where it fits nowhere. */
  takeUp(c: number, earliest: Minutes, person: number): boolean {
    return this.chainFrom(this.problem.chains[c] as Chain, earliest, () => person);
  }
  takeBack(c: number): void {
    for (const task of this.problem.chains[c] as Chain) this.remove(task);
  }

  private chainFrom(tasks: Chain, earliest: Minutes, wanted: (task: number) => number): boolean {
    let from = earliest;
    for (let moves = 0; moves < MOVES; moves++) {
      let late = 0;
      let done = 0;
      for (const task of tasks) {
        if (!this.one(task, max(this.readyAt(task), done === 0 ? from : 0), wanted(task))) {
          late = NEVER;
          break;
        }
        done++;
        late = this.lateness(task);
        if (late > NEAR) break;
      }
      if (late <= NEAR) return true;
      const head = this.start[tasks[0] as number] as number;
      for (let i = done - 1; i >= 0; i--) this.remove(tasks[i] as number);
      if (late === NEVER) return false;
      from = head + max(late, 0.5);
    }
    return false;
  }

  /** The earliest that what it waits for lets it begin. */
  private readyAt(task: number): Minutes {
    let ready = this.problem.ready[task] as number;
    for (const { from, end, least } of this.problem.waits[task] as Compiled['waits'][number]) {
      const then = (end ? (this.end[from] as number) : (this.start[from] as number)) + least;
      if (then > ready) ready = then;
    }
    return ready;
  }
  private lateness(task: number): Minutes {
    let late = 0;
    for (const { from, end, most } of this.problem.waits[task] as Compiled['waits'][number]) {
      const over =
        (this.start[task] as number) - (end ? (this.end[from] as number) : (this.start[from] as number)) - most;
      if (over > late) late = over;
    }
    return late;
  }

  /** Places a task at or after `ready`; `wanted`: who should do it. */
  private one(task: number, ready: Minutes, wanted: number): boolean {
    const { tasks, able } = this.problem;
    const { people } = tasks[task] as T;
    const may = able[task] as readonly number[];
    for (let t = ready, tries = 0; Number.isFinite(t) && tries < 5000; tries++) {
      const begins = people === 1 ? this.byOne(task, t, wanted, may) : this.byMore(task, t, people, may);
      if (begins === NEVER) return false;
      const person = this.crew[0] as number;
      const ends = this.endOf(task, person, begins);
      const free = this.allowed(task, begins, ends);
      if (free <= begins + NEAR) {
        this.put(task, begins, ends);
        return true;
      }
      t = free;
    }
    return false;
  }

  private endOf(task: number, person: number, begins: Minutes): Minutes {
    const { work, interruptible } = this.problem.tasks[task] as T;
    return (this.problem.calendars[task]?.[person] as Calendar).end(begins, work, interruptible);
  }

  /** Who begins it first, the one who is wanted where that is said; of equals, who has the least to fetch. */
  private byOne(task: number, t: Minutes, wanted: number, may: readonly number[]): Minutes {
    this.crew.length = 1;
    if (wanted >= 0 && may.includes(wanted)) {
      this.crew[0] = wanted;
      return this.onPerson(wanted, task, t);
    }
    let best = NEVER;
    let least = NEVER;
    for (const person of may) {
      const begins = this.onPerson(person, task, t);
      const fetch = this.fetching;
      if (begins < best - NEAR || (begins < best + NEAR && fetch < least)) {
        best = begins;
        least = fetch;
        this.crew[0] = person;
      }
    }
    return best;
  }

  /** The earliest moment at which so many can begin together. */
  private byMore(task: number, from: Minutes, people: number, may: readonly number[]): Minutes {
    for (let t = from, tries = 0; Number.isFinite(t) && tries < 2000; tries++) {
      this.crew.length = 0;
      let next = NEVER;
      for (const person of may) {
        const begins = this.onPerson(person, task, t);
        if (begins <= t + NEAR) this.crew.push(person);
        else if (begins < next) next = begins;
      }
      if (this.crew.length >= people) {
        this.crew.length = people;
        return t;
      }
      t = next;
    }
    return NEVER;
  }

  /** What has to be fetched before the place last found. */
  private fetching = 0;
  /** The earliest that somebody can begin a task at or after `t`, with time to fetch before it and before what follows it. */
  private onPerson(person: number, task: number, t: Minutes): Minutes {
    const { calendars, plain, travel, kind, tasks } = this.problem;
    const { work, interruptible } = tasks[task] as T;
    const agenda = this.agendas[person] as number[];
    const calendar = calendars[task]?.[person] as Calendar;
    const fetched = plain[person] as Calendar;
    const k = kind[task] as number;
    let [low, high] = [0, agenda.length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((this.end[agenda[middle] as number] as number) > t) high = middle;
      else low = middle + 1;
    }
    for (let i = low; i <= agenda.length; i++) {
      const before = i > 0 ? (agenda[i - 1] as number) : -1;
      const next = i < agenda.length ? (agenda[i] as number) : -1;
      const follows = next < 0 ? NEVER : (this.start[next] as number);
      // a gap too short for it in any case
      if (follows - max(t, before < 0 ? 0 : (this.end[before] as number)) < work - NEAR) continue;
      const fetch = (travel[before < 0 ? 0 : (kind[before] as number) + 1] as Float64Array)[k] as number;
      const free =
        before < 0 ? (fetch > 0 ? fetched.later(0, fetch) : 0) : fetched.later(this.end[before] as number, fetch);
      const begins = calendar.start(max(t, free), work, interruptible);
      if (begins === NEVER) return NEVER;
      if (next < 0) {
        this.fetching = fetch;
        return begins;
      }
      if (begins + work > follows + NEAR) continue;
      const ends = calendar.end(begins, work, interruptible);
      const onward = (travel[k + 1] as Float64Array)[kind[next] as number] as number;
      if (ends <= follows + NEAR && (onward === 0 || fetched.later(ends, onward) <= follows + NEAR)) {
        this.fetching = fetch;
        return begins;
      }
    }
    return NEVER;
  }

  /** Now, where places and what it must keep apart from allow it; else the earliest moment at which that may have changed. */
  private allowed(task: number, begins: Minutes, ends: Minutes): Minutes {
    let free = begins;
    for (const { other, first, second } of this.problem.apart[task] as Compiled['apart'][number]) {
      if ((this.start[other] as number) < 0) continue;
      const before = (this.start[other] as number) >= ends + first - NEAR;
      const after = begins >= (this.end[other] as number) + second - NEAR;
      if (!before && !after) free = max(free, (this.end[other] as number) + second);
    }
    const { people } = this.problem.tasks[task] as T;
    for (const thing of this.problem.needs[task] as readonly number[]) {
      const then = this.placeIn(thing, people, begins, ends);
      if (then > free) free = then;
    }
    return free;
  }

  /** Now, where so many more find a place for all that time; else the first end of who is in the way. */
  private placeIn(thing: number, people: number, begins: Minutes, ends: Minutes): Minutes {
    const places = this.problem.capacities[thing] as number;
    const own = this.users[thing] as number[];
    for (const one of own) {
      const at = max(begins, this.start[one] as number);
      if (at >= ends - NEAR || (this.end[one] as number) <= begins + NEAR) continue;
      let there = people;
      let leaves = NEVER;
      for (const other of own) {
        if ((this.start[other] as number) > at + NEAR || (this.end[other] as number) <= at + NEAR) continue;
        there += (this.problem.tasks[other] as T).people;
        leaves = min(leaves, this.end[other] as number);
      }
      if (there > places) return leaves;
    }
    return begins;
  }

  private put(task: number, begins: Minutes, ends: Minutes): void {
    this.start[task] = begins;
    this.end[task] = ends;
    let on = 0;
    for (const person of this.crew) {
      on |= 1 << person;
      const agenda = this.agendas[person] as number[];
      let at = agenda.length;
      while (at > 0 && (this.start[agenda[at - 1] as number] as number) > begins) at--;
      agenda.splice(at, 0, task);
    }
    this.on[task] = on;
    for (const thing of this.problem.needs[task] as readonly number[]) this.users[thing]?.push(task);
  }
  private remove(task: number): void {
    for (const agenda of this.agendas) {
      const at = agenda.indexOf(task);
      if (at >= 0) agenda.splice(at, 1);
    }
    for (const thing of this.problem.needs[task] as readonly number[]) {
      const own = this.users[thing] as number[];
      own.splice(own.indexOf(task), 1);
    }
    this.start[task] = -1;
    this.on[task] = 0;
  }

  /** Tasks of a person in the order they do them. */
  agenda(person: number): readonly number[] {
    return this.agendas[person] as readonly number[];
  }
}
