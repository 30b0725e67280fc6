import { systemOf } from '../job/region.ts';
import type { Job } from '../job/types.ts';
import { suspectsOf } from '../measure/suspects.ts';
import type { RoomTakeoff } from '../measure/takeoff.ts';
import type { JobOrder } from '../whole/plan.ts';
import type { Whole } from '../whole/whole.ts';
import { boxingOf, mendingOf, perCoat } from '../order/paint.ts';
import type { JobSchedule } from '../sequence/schedule.ts';
import type { Decided } from '../specify/reasons.ts';
import { warningsOf } from '../specify/warnings.ts';
import type { QuestionKey } from '../specify/questions.ts';
import { restsOf, type Rests } from '../specify/rests.ts';
import type { Specified } from '../specify/specify.ts';
import type { System } from '../units/si.ts';
import { heading, said } from '../units/word.ts';
import { nameWord } from '../words/names.ts';
import { ruleOf } from '../paces/rules.ts';
import { groupBy } from '../units/group.ts';
import type { Working } from '../units/working.ts';
import { dayOperations } from '../work/days.ts';
import { isWaiting } from '../work/operations.ts';
import { reasonWord, type RuleId } from '../words/reasons.ts';

/** The headless contracts: plain JSON in SI units and degrees, documented in docs/formats.md. */
export const takeoffContract = (job: Job, { takeoffs }: Whole) => ({
  rooms: takeoffs.map((t) => roomContract(job, t)),
});

function roomContract(job: Job, t: RoomTakeoff) {
  const c = t.closure;
  const { classes, tell } = suspectsOf(job, t);
  return {
    name: t.room.name,
    perimeter: t.perimeter,
    floorArea: t.floorArea,
    ceilingArea: t.ceilingArea?.value ?? null,
    closure: c && {
      misclosure: c.misclosure,
      ratio: c.ratio,
      tolerance: c.tolerance,
      withinTolerance: c.withinTolerance,
      provisional: c.provisional,
      suspects: classes.map(({ slip, walls }) => ({
        walls: walls.map((w) => w.wall.label),
        reading: walls[0]?.reading,
        slip,
        corrected: walls[0]?.corrected,
        each: walls.map(({ wall, reading, corrected }) => ({ wall: wall.label, reading, corrected })),
      })),
      tell: tell && {
        from: tell.from.label,
        to: tell.to.label,
        expected: tell.expected.map(({ wall, length }) => ({ wall: wall.label, length })),
      },
    },
    walls: t.walls.map((w) => ({
      id: w.wall.label,
      reading: w.wall.length?.metres ?? 0,
      adjusted: w.adjusted,
      gross: w.gross.value,
      openings: w.openingArea.value,
      net: w.net.value,
      painted: w.painted.value,
    })),
    lines: t.lines.map(({ kind, length }) => ({ kind, length: length.value })),
    meetings: t.meetings.map((meeting) => ({ ...meeting, geometry: meeting.geometry() })),
    trim: t.trim.map(({ kind, length, area }) => ({ kind, length: length.value, area: area.value })),
    surfaces: t.surfaces.map(({ id, kind, name, area, length, cut }) => ({
      id,
      kind,
      name: heading(nameWord(name), systemOf(job)),
      area: area.value,
      length,
      cut,
    })),
    warnings: t.warnings.map((w) => w.message),
  };
}

const decided = <T>({ value, because, override }: Decided<T>, units: System, assumed: readonly QuestionKey[] = []) => ({
  value,
  because: because.map((reason) => ({ ...reason, text: said(reasonWord(reason), units) })),
  ...(override === undefined ? {} : { override }),
  ...(assumed.length ? { assumed } : {}),
});

function systemContract({ system }: Specified, units: System, rests: Rests) {
  return {
    prep: decided(system.prep, units, rests.get('prep')),
    primer: decided(system.primer, units, rests.get('primer')),
    sheen: decided(system.sheen, units, rests.get('sheen')),
    cover: decided(system.cover, units, rests.get('cover')),
    brush: decided(system.brush, units, rests.get('brush')),
    paint: decided(system.paint, units, rests.get('paint')),
    style: decided(system.style, units, rests.get('style')),
    conditioner: decided(system.conditioner, units, rests.get('conditioner')),
    coats: decided(system.coats, units, rests.get('coats')),
    seal: decided(system.seal, units, rests.get('seal')),
  };
}

const restsIn = (job: Job, s: Specified): Rests => {
  const room = job.rooms.byId[s.surface.room];
  return room ? restsOf(job, s, room) : new Map();
};

/** @param withAssumed what each decision rests on although nobody said so; worked out only for those who ask */
export const specifyContract = (job: Job, { surfaces }: Whole, withAssumed = false) => ({
  surfaces: surfaces.map((s) => ({
    id: s.surface.id,
    kind: s.surface.kind,
    name: heading(nameWord(s.surface.name), systemOf(job)),
    area: s.surface.area.value,
    primers: s.primers.map(({ layer, product }) => ({ ...layer, product: product?.name ?? null })),
    warnings: warningsOf(s).map(({ reason }) => ({ ...reason, text: said(reasonWord(reason), systemOf(job)) })),
    system: systemContract(s, systemOf(job), withAssumed ? restsIn(job, s) : new Map()),
  })),
});

/** The order as JSON for other programs: litres, tins by size, chances from 0 to 1, money in minor units. */
export const orderContract = (job: Job, order: JobOrder) => ({
  paints: order.paints.map((p) => ({
    product: p.product.name,
    sheen: p.sheen,
    colour: p.colour?.name ?? null,
    expected: p.expected.value,
    ordered: p.ordered,
    shortfallChance: p.shortfallChance,
    reserve: p.reserve && {
      litres: p.reserve.litres,
      chance: p.reserve.chance,
      price: p.reserve.price,
      bought: p.reserve.bought,
    },
    cans: (p.choice?.cans ?? []).map(({ litres, count, price }) => ({ size: litres, count, price })),
    cost: p.choice?.cost ?? 0,
    base: p.base,
    coats: perCoat(p.uses),
    mending: mendingOf(p.uses),
    fromShelf: p.fromShelf,
    leftover: p.leftover,
    conditioner: p.conditioner,
    boxing: boxingOf(p, job.settings).buckets.map(({ pours, walls, litres }) => ({
      litres,
      walls,
      pours: pours.map(({ can, litres: poured }) => ({ size: p.boxed[can]?.litres ?? 0, litres: poured })),
    })),
  })),
  materials: order.materials.map(({ item, aisle, quantity, owned, unit, cost, size }) => ({
    item,
    aisle,
    ...size,
    quantity,
    owned,
    unit,
    cost,
  })),
  labour: {
    minutes: order.labour.minutes,
    cost: order.labour.cost,
    days: order.labour.days,
    lines: order.labour.lines,
  },
  total: order.total,
  price: order.price,
});

/** Every operation with where its minutes come from; set-up and clean-up of the plan's days with them, trips not. */
export function workContract(job: Job, { operations, surfaces }: Whole, plan: JobSchedule) {
  const done = operations.map((op) => ({
    id: op.id,
    room: op.room,
    surface: op.surface,
    line: op.line,
    kind: op.kind,
    coat: op.coat,
    quantity: op.quantity,
    unit: ruleOf(op.kind).quantity,
    minutes: op.minutes.value,
    terms: termsOf(op.minutes, systemOf(job)),
  }));
  const ofDays = dayOperations(job, plan.personDays).map((op) => ({
    ...op,
    room: null,
    surface: null,
    line: null,
    coat: 0,
    quantity: 1,
    unit: ruleOf(op.kind).quantity,
    minutes: op.minutes.value,
    terms: termsOf(op.minutes, systemOf(job)),
  }));
  const all = [...done, ...ofDays];
  const byKind = Object.fromEntries(
    [...groupBy(all, (op) => op.kind)].map(([kind, ops]) => [kind, ops.reduce((sum, op) => sum + op.minutes, 0)]),
  );
  return {
    operations: all,
    minutes: all.reduce((sum, op) => sum + op.minutes, 0),
    byKind,
    travel: plan.travel,
    waiting: surfaces.filter(isWaiting).map((s) => s.surface.id),
  };
}

/** The tree of a figure, its names said. */
const termsOf = (working: Working, units: System): unknown => ({
  name: said(working.name, units),
  value: working.value,
  ...(working.op === 'given' ? {} : { op: working.op, of: working.of.map((term) => termsOf(term, units)) }),
});

/** Ten days past the end: what a checker needs to try other plans. */
const BEYOND = 14_400;

/** A plan with all that a checker needs: tasks, what they wait for and why, what keeps apart, everybody's hours, travel. */
export function scheduleContract(job: Job, s: JobSchedule) {
  const name = (person: number): string => job.crew.people[person]?.name ?? '';
  const because = (rule: RuleId): string => said(reasonWord({ rule, with: {} }), systemOf(job));
  const { capacity, apart, travel, calendars } = s.network;
  return {
    crew: job.crew.people.map((person) => person.name),
    school: job.practice.trimOrder,
    workingTime: s.workingTime,
    hours: Object.fromEntries(
      Object.entries(calendars).map(([hours, own]) => [hours, own.map((c) => c.within(0, s.finish + BEYOND))]),
    ),
    resources: Object.entries(capacity).map(([id, places]) => ({ id, places })),
    travel,
    apart: apart.map((pair) => ({ ...pair, because: because(pair.because) })),
    tasks: s.placed.map(({ task, pieces, who, travel: trips }) => ({
      id: task.id,
      room: task.room,
      paint: task.paint,
      tool: task.tool,
      uses: task.uses,
      hours: task.hours,
      able: task.who?.map(name) ?? null,
      at: task.at,
      by: task.by,
      surface: task.surface,
      operation: task.kind,
      coat: task.coat,
      operations: task.operations.map((op) => op.id),
      work: task.work,
      people: task.people,
      interruptible: task.interruptible,
      stretches: task.kept?.sections ?? [],
      after: task.after.map((lag) => ({ ...lag, because: because(lag.because) })),
      pieces,
      who: who.map(name),
      travel: trips.map((trip) => ({ who: name(trip.who), pieces: trip.pieces })),
    })),
    personDays: s.personDays.map(({ person, day, setUp, cleanUp }) => ({
      who: name(person),
      day: day + 1,
      setUp,
      cleanUp,
    })),
    finish: s.finish,
    bound: s.bound,
    gap: s.gap,
    late: s.late,
  };
}
