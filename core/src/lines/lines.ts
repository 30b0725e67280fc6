import type { Id, SurfaceId } from '../job/table.ts';
import type { Practice } from '../job/paints.ts';
import type { RoomTakeoff } from '../measure/takeoff.ts';
import type { Specified } from '../specify/specify.ts';
import { remember } from '../units/remember.ts';
import type { Minutes, Money } from '../units/si.ts';
import { because, type Reason } from '../words/reasons.ts';
import { accentOf, finishesOf, type Accent, type RoomFinish } from './finishes.ts';
import { linesIn, type Line, type Side } from './line.ts';
import { stepsOf, type LineStep, type Lining, type Option } from './methods.ts';
import { cheapestOrder, circleOf, type Arc } from './order.ts';
import { schoolOf, type Demand, type School } from './schools.ts';
import { atLength, waysOf } from './ways.ts';
import { at } from '../units/list.ts';

/** What was said, by the user or a school, that one finish comes before another. */
export type Bond =
  | { readonly of: 'line'; readonly line: Line; readonly before: string; readonly after: string }
  | { readonly of: 'order'; readonly before: string; readonly after: string }
  | { readonly of: 'school'; readonly rule: Demand['rule']; readonly before: string; readonly after: string };

/** A line with every way of making it, and the one that is taken. */
export interface MadeLine {
  readonly line: Line;
  /** Cheapest first; those the other way round with them. */
  readonly options: readonly Option[];
  readonly chosen: Option;
  /** The work of the way that is taken. */
  readonly steps: readonly LineStep[];
  readonly because: readonly Reason[];
  readonly pinned: boolean;
}

export interface RoomLines {
  readonly room: Id;
  readonly finishes: readonly RoomFinish[];
  readonly accent: Accent | null;
  readonly lines: readonly MadeLine[];
  /** Ids of finishes, first laid first. */
  readonly order: readonly string[];
  /** Of all lines, minor units. */
  readonly cost: Money;
  readonly minutes: Minutes;
  /** Above the least cost there is; 0 up to 18 finishes. */
  readonly gap: number;
  /** Pins that run in a circle, and are left out of account until one is taken back; null: they do not. */
  readonly circle: readonly Bond[] | null;
  /** Pins whose finish is no longer in the room. */
  readonly lost: readonly { readonly before: string; readonly after: string }[];
}

/** A line with its options both ways, before the order is known. */
interface Open {
  readonly line: Line;
  /** Of a metre, cheapest first, by the side that is first. */
  readonly ways: readonly [readonly Option[], readonly Option[]];
  /** Places of its two finishes; null: not painted. */
  readonly between: readonly [number | null, number | null];
}

const remembered = remember(
  (
    surfaces: readonly Specified[],
    takeoff: RoomTakeoff,
    settings: Lining['settings'],
    practice: Lining['practice'],
    crew: Lining['crew'],
    learned: Lining['learned'],
    lines: Lining['lines'],
    orders: Lining['orders'],
    prices: Lining['prices'],
    region: Lining['region'],
  ): RoomLines => solve({ settings, practice, crew, learned, lines, orders, prices, region }, takeoff, surfaces),
);

/**
 * Who laps over whom in a room, and how each line is made: the least-cost order of its finishes that no pin or school of the
 * practice forbids. `surfaces`: those that are painted.
 */
export const linesOf = (job: Lining, takeoff: RoomTakeoff, surfaces: readonly Specified[]): RoomLines =>
  remembered(
    surfaces,
    takeoff,
    job.settings,
    job.practice,
    job.crew,
    job.learned,
    job.lines,
    job.orders,
    job.prices,
    job.region,
  );

function solve(job: Lining, takeoff: RoomTakeoff, surfaces: readonly Specified[]): RoomLines {
  const byId = new Map<SurfaceId, Specified>(surfaces.map((s) => [s.surface.id, s]));
  const finishes = finishesOf(surfaces);
  const accent = accentOf(takeoff.room, finishes);
  const school = schoolOf(job.practice, finishes, accent);
  const place = new Map(finishes.map(({ id }, i) => [id, i]));
  const open = linesIn(job, takeoff, byId).map((line): Open => {
    const placeOf = ({ finish }: Side) => (finish === null ? null : (place.get(finish) ?? null));
    const [a, b] = line.sides;
    return {
      line,
      ways: [waysOf(job, line, 0, school), waysOf(job, line, 1, school)],
      between: [placeOf(a), placeOf(b)],
    };
  });
  const { arcs, circle, lost } = bondsOf(job, takeoff.room.id, finishes, open, school);
  const { order, gap } = cheapestOrder(costsOf(finishes.length, open), arcs);
  const rank = new Map(order.map((i, at) => [i, at]));
  const lines = open.map(({ line, ways, between: [a, b] }): MadeLine => {
    const first = a === null ? 0 : b === null ? 1 : (rank.get(a) ?? 0) <= (rank.get(b) ?? 0) ? 0 : 1;
    const [metre] = ways[first] as [Option];
    const chosen = atLength(metre, line.length);
    const other = ways[1 - first]?.[0] ?? null;
    const pinned = line.said.first !== undefined || line.said.method !== undefined || line.said.stays !== undefined;
    const because = reasonsOf(line, metre, other, arcs, a, b, pinned);
    return {
      line,
      chosen,
      steps: stepsOf(job, line, chosen),
      pinned,
      because,
      // there are many, and few are looked at
      get options() {
        return [...ways[0], ...ways[1]].map((way) => atLength(way, line.length)).sort((p, q) => p.cost - q.cost);
      },
    };
  });
  return {
    room: takeoff.room.id,
    finishes,
    accent,
    lines,
    order: order.map((i) => finishes[i]?.id ?? ''),
    cost: lines.reduce((sum, { chosen }) => sum + chosen.cost, 0),
    minutes: lines.reduce((sum, { chosen }) => sum + chosen.minutes, 0),
    gap,
    circle,
    lost,
  };
}

/** What all lines between two finishes cost, each by its cheapest method, where the row comes before the column. */
function costsOf(n: number, open: readonly Open[]): number[][] {
  const costs = Array.from({ length: n }, () => Array.from({ length: n }, () => 0));
  for (const { line, ways, between } of open) {
    const [a, b] = between;
    if (a === null || b === null || a === b) continue;
    for (const [first, before, after] of [
      [0, a, b],
      [1, b, a],
    ] as const) {
      const row = at(costs, before);
      row[after] = (row[after] ?? 0) + (ways[first][0]?.cost ?? 0) * line.length;
    }
  }
  return costs;
}

/** What the user pinned, then what the schools of the practice ask where no pin says otherwise. */
function bondsOf(
  job: Lining,
  room: Id,
  finishes: readonly RoomFinish[],
  open: readonly Open[],
  school: School,
): { arcs: readonly Arc<Bond>[]; circle: readonly Bond[] | null; lost: RoomLines['lost'] } {
  const place = new Map(finishes.map(({ id }, i) => [id, i]));
  const arcOf = (bond: Bond): Arc<Bond>[] => {
    const [before, after] = [place.get(bond.before), place.get(bond.after)];
    return before === undefined || after === undefined || before === after ? [] : [{ before, after, because: bond }];
  };
  const ofLines = open.flatMap(({ line }): Bond[] => {
    const [a, b] = line.sides;
    const { first } = line.said;
    if (a.finish === null || b.finish === null || (first !== a.id && first !== b.id)) return [];
    const [before, after] = first === a.id ? [a.finish, b.finish] : [b.finish, a.finish];
    return [{ of: 'line', line, before, after }];
  });
  const said = job.orders[room] ?? [];
  const lost = said.filter(({ before, after }) => !place.has(before) || !place.has(after));
  const pins = [...ofLines, ...said.map((pin): Bond => ({ of: 'order', ...pin }))].flatMap(arcOf);
  const circle = circleOf(pins);
  // nobody can keep a circle: until one of it is taken back, none of it counts
  const kept = circle ? pins.filter((arc) => !circle.includes(arc)) : pins;
  const free = circleOf(kept) ? [] : kept;
  const arcs = [...free];
  for (const demand of school.demands)
    for (const arc of arcOf({ of: 'school', ...demand })) if (!circleOf([...arcs, arc])) arcs.push(arc);
  return { arcs, circle: circle?.map((arc) => arc.because) ?? null, lost };
}

function reasonsOf(
  line: Line,
  chosen: Option,
  other: Option | null,
  arcs: readonly Arc<Bond>[],
  a: number | null,
  b: number | null,
  pinned: boolean,
): Reason[] {
  const reasons: Reason[] = [];
  if (a === null || b === null) reasons.push(because('line.there'));
  const bond = arcs.find(
    ({ before, after }) => (before === a && after === b) || (before === b && after === a),
  )?.because;
  if (line.hidden) reasons.push(because('line.hidden'));
  if (bond?.of === 'school') reasons.push(because(bond.rule));
  else if (pinned || bond) reasons.push(because('line.pinned'));
  else if (other && other.cost > chosen.cost + 1e-9)
    reasons.push(because('line.cheaper', { share: 1 - chosen.cost / other.cost }));
  else if (other && other.cost < chosen.cost - 1e-9) reasons.push(because('line.as-a-whole'));
  if (!line.hidden) reasons.push(because('line.how', { method: chosen.method }));
  for (const reason of chosen.because) reasons.push(because('line.here', { reason }));
  for (const reason of other?.because ?? [])
    if (!chosen.because.includes(reason)) reasons.push(because('line.other-way', { reason }));
  return reasons;
}

/** A school of the order of finishes with what its lines cost; `set`: null asks for none. */
export interface SchoolOrder {
  readonly school: string;
  readonly set: Partial<Pick<Practice, 'trimOrder' | 'accent'>>;
  readonly order: readonly string[];
  readonly cost: Money;
  readonly minutes: Minutes;
  readonly chosen: boolean;
}
const ORDERS = ['cheapest', 'trim-first', 'trim-last', 'one-day'] as const;
const ACCENTS = ['cheapest', 'laps-out', 'cut-last'] as const;

/** Every school beside the others, the pins as they are; those of accents where the room has one. */
export function schoolOrders(job: Lining, takeoff: RoomTakeoff, surfaces: readonly Specified[]): SchoolOrder[] {
  const now = linesOf(job, takeoff, surfaces);
  const priced = (school: string, set: SchoolOrder['set']): SchoolOrder => {
    const practice = { ...job.practice, ...set };
    const then = linesOf({ ...job, practice }, takeoff, surfaces);
    const chosen = practice.trimOrder === job.practice.trimOrder && practice.accent === job.practice.accent;
    return { school, set, order: then.order, cost: then.cost, minutes: then.minutes, chosen };
  };
  return [
    ...ORDERS.map((trimOrder) => priced(trimOrder, { trimOrder })),
    ...(now.accent ? ACCENTS.map((accent) => priced(`accent-${accent}`, { accent })) : []),
  ];
}
