// Every way a plan can be wrong, found from what is exported of it alone: it shares no code with the solver.

type Span = readonly [number, number];
export interface CheckedPlan {
  readonly crew: readonly string[];
  /** By the sort of hours, each person's stretches. */
  readonly hours: Readonly<Record<string, readonly (readonly Span[])[]>>;
  readonly resources: readonly { readonly id: string; readonly places: number }[];
  readonly travel: { readonly room: number; readonly paint: number; readonly tool: number };
  readonly apart: readonly {
    readonly a: string;
    readonly b: string;
    readonly aFirst: number;
    readonly bFirst: number;
  }[];
  readonly tasks: readonly {
    readonly id: string;
    readonly room: string | null;
    readonly paint: string | null;
    readonly tool: string | null;
    readonly uses: readonly string[];
    readonly hours: string;
    readonly able: readonly string[] | null;
    readonly work: number;
    readonly people: number;
    readonly interruptible: boolean;
    readonly after: readonly {
      readonly task: string;
      readonly from: 'finish' | 'start';
      readonly minLag: number;
      readonly maxLag: number | null;
    }[];
    readonly pieces: readonly Span[];
    readonly who: readonly string[];
  }[];
  readonly finish: number;
  readonly bound: number;
}
const NEAR = 1e-5;

export function faultsOf(plan: CheckedPlan): string[] {
  const found: string[] = [];
  const say = (fault: string) => void found.push(fault);
  const by = new Map(plan.tasks.map((task) => [task.id, task]));
  type Task = CheckedPlan['tasks'][number];
  const start = (task: Task) => task.pieces[0]?.[0] ?? NaN;
  const end = (task: Task) => task.pieces.at(-1)?.[1] ?? NaN;
  const stretches = (hours: string, who: string) => plan.hours[hours]?.[plan.crew.indexOf(who)] ?? [];
  for (const task of plan.tasks) {
    const minutes = task.pieces.reduce((sum, [a, b]) => sum + b - a, 0);
    if (Math.abs(minutes - task.work) > NEAR) say(`${task.id} has ${minutes} of its ${task.work} minutes`);
    if (!task.interruptible && task.pieces.length !== 1) say(`${task.id} stops`);
    if (new Set(task.who).size !== task.people) say(`${task.id} has not its people`);
    for (const who of task.who) {
      if (!plan.crew.includes(who) || (task.able && !task.able.includes(who))) say(`${task.id} is not ${who}'s to do`);
      for (const [a, b] of task.pieces)
        if (!stretches(task.hours, who).some(([from, to]) => a >= from - NEAR && b <= to + NEAR))
          say(`${task.id} is done outside the hours of ${who}`);
    }
    for (const lag of task.after) {
      const other = by.get(lag.task);
      if (!other) continue;
      const from = lag.from === 'finish' ? end(other) : start(other);
      if (!(start(task) >= from + lag.minLag - NEAR)) say(`${task.id} is too early after ${lag.task}`);
      if (lag.maxLag !== null && !(start(task) <= from + lag.maxLag + NEAR))
        say(`${task.id} is too late after ${lag.task}`);
    }
    if (end(task) > plan.finish + NEAR) say(`${task.id} ends after the finish`);
  }
  for (const who of plan.crew) {
    const own = plan.tasks.filter((task) => task.who.includes(who)).sort((a, b) => start(a) - start(b));
    own.forEach((task, i) => {
      const before = own[i - 1];
      const between = stretches('plain', who)
        .map(([a, b]) => Math.min(b, start(task)) - Math.max(a, before ? end(before) : 0))
        .reduce((sum, part) => sum + Math.max(0, part), 0);
      const { room, paint, tool } = plan.travel;
      const goes = before && before.room !== null && task.room !== null && before.room !== task.room ? room : 0;
      const fetches = task.paint !== null && task.paint !== before?.paint ? paint : 0;
      const changes = before && before.tool !== null && task.tool !== null && before.tool !== task.tool ? tool : 0;
      if (before && end(before) > start(task) + NEAR) say(`${who} is at ${before.id} and ${task.id} at once`);
      if (between < goes + fetches + changes - NEAR) say(`${who} has no time to go to ${task.id}`);
    });
  }
  for (const { a, b, aFirst, bFirst } of plan.apart) {
    const [one, other] = [by.get(a), by.get(b)];
    if (!one || !other) continue;
    const apart = start(other) >= end(one) + aFirst - NEAR || start(one) >= end(other) + bFirst - NEAR;
    if (!apart) say(`${a} and ${b} are not apart`);
  }
  for (const { id, places } of plan.resources) {
    const users = plan.tasks.filter((task) => task.room === id || task.uses.includes(id));
    for (const task of users) {
      const there = users.filter((other) => start(other) <= start(task) + NEAR && end(other) > start(task) + NEAR);
      if (there.reduce((sum, other) => sum + other.people, 0) > Math.max(places, task.people))
        say(`too many in ${id} at ${start(task)}`);
    }
  }
  return found;
}
