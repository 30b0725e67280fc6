import type { Minutes } from '../units/si.ts';
import type { RuleId } from '../words/reasons.ts';
import type { Calendar } from './calendar.ts';
import type { Network } from './network.ts';
import type { Placed } from './placed.ts';
import type { Task } from './task.ts';

/** Why a task of a plan does not begin sooner. */
export type Held = (
  | { readonly by: 'lag'; readonly because: RuleId }
  /** Who does it is busy with the other task, and then fetches what they need. */
  | { readonly by: 'person'; readonly person: number }
  /** No place in its room, or no work platform, before the other task ends. */
  | { readonly by: 'place' }
) & {
  /** What it waits for. */
  readonly task: string;
  readonly until: Minutes;
};
interface HeldTask {
  /** null: nothing holds it but the hours of the day, a pin, or that nobody took it up sooner. */
  readonly held: Held | null;
  /** The hours of the day, too, kept it from beginning at once. */
  readonly overHours: boolean;
}

/** Minutes that a begin may be after what it waits for and still be said to follow it. */
const NEAR: Minutes = 0.6;

/**
 * What held each task of a plan, the latest of all that it waited for; by task. What was free to begin sooner, and was not taken
 * up, is held by nothing.
 */
export function heldIn(
  { apart, capacity, calendars }: Network,
  placed: readonly Placed<Task>[],
): ReadonlyMap<string, HeldTask> {
  const byId = new Map(placed.map((p) => [p.task.id, p]));
  const waysApart = new Map<string, (readonly [other: string, after: Minutes, because: RuleId])[]>();
  const add = (of: string, other: string, after: Minutes, because: RuleId): void => {
    waysApart.set(of, [...(waysApart.get(of) ?? []), [other, after, because]]);
  };
  for (const { a, b, aFirst, bFirst, because } of apart) {
    add(b, a, aFirst, because);
    add(a, b, bFirst, because);
  }
  const agendas = (calendars['plain'] ?? []).map((_, person) => placed.filter((p) => p.who.includes(person)));
  const users = new Map<string, Placed<Task>[]>();
  for (const p of placed)
    for (const thing of [p.task.room ?? '', ...p.task.uses])
      if (thing in capacity) users.set(thing, [...(users.get(thing) ?? []), p]);

  const reasonsFor = (p: Placed<Task>): Held[] => {
    const begins = startOf(p);
    const held: Held[] = [];
    for (const lag of p.task.after) {
      const other = byId.get(lag.task);
      if (!other) continue;
      const until = (lag.from === 'finish' ? endOf(other) : startOf(other)) + lag.minLag;
      held.push({ by: 'lag', because: lag.because, task: lag.task, until });
    }
    for (const [id, after, because] of waysApart.get(p.task.id) ?? []) {
      const other = byId.get(id);
      if (other && endOf(other) <= begins + NEAR)
        held.push({ by: 'lag', because, task: id, until: endOf(other) + after });
    }
    for (const person of p.who) {
      const agenda = agendas[person] ?? [];
      const before = agenda[agenda.indexOf(p) - 1];
      if (!before) continue;
      const trip = p.travel.find(({ who }) => who === person)?.pieces ?? [];
      const fetch = trip.reduce((sum, [from, to]) => sum + to - from, 0);
      const until = (calendars['plain']?.[person] as Calendar).later(endOf(before), fetch);
      held.push({ by: 'person', person, task: before.task.id, until });
    }
    for (const thing of [p.task.room ?? '', ...p.task.uses]) {
      const places = capacity[thing];
      if (places === undefined) continue;
      // who left just then; before that there was no place
      const left = (users.get(thing) ?? []).filter((u) => u !== p && Math.abs(endOf(u) - begins) < NEAR);
      const there = (users.get(thing) ?? []).filter(
        (u) => u !== p && startOf(u) < begins - NEAR && endOf(u) > begins + NEAR,
      );
      const count = [...left, ...there].reduce((sum, u) => sum + u.task.people, 0);
      const last = left[0];
      if (last && count + p.task.people > places) held.push({ by: 'place', task: last.task.id, until: endOf(last) });
    }
    return held.filter(({ until }) => until <= begins + NEAR);
  };

  return new Map(
    placed.map((p) => {
      const latest = reasonsFor(p).reduce<Held | null>(
        (best, held) => (best && best.until >= held.until - 1e-6 ? best : held),
        null,
      );
      const calendar = (calendars[p.task.hours] ?? calendars['plain'])?.[p.who[0] ?? 0] as Calendar;
      const until = latest?.until ?? 0;
      const soonest = calendar.start(until, p.task.work, p.task.interruptible);
      const isTight = startOf(p) <= soonest + NEAR;
      return [p.task.id, { held: isTight ? latest : null, overHours: isTight && startOf(p) > until + NEAR }] as const;
    }),
  );
}

const startOf = (p: Placed): Minutes => p.pieces[0]?.[0] ?? 0;
const endOf = (p: Placed): Minutes => p.pieces.at(-1)?.[1] ?? 0;

/** The tasks that one after the other hold up the end, the first of them first. */
export function criticalChain(placed: readonly Placed<Task>[], held: ReturnType<typeof heldIn>): readonly string[] {
  const last = placed.reduce<Placed<Task> | null>((late, p) => (late && endOf(late) >= endOf(p) ? late : p), null);
  const chain: string[] = [];
  for (let id = last?.task.id; id !== undefined && !chain.includes(id); id = held.get(id)?.held?.task) chain.push(id);
  return chain.reverse();
}
