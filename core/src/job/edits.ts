import { applyPatches, castDraft, current, enablePatches, produceWithPatches, type Draft, type Patch } from 'immer';
import { bad, good, type Result } from '../units/problem.ts';
import type { Units } from '../units/si.ts';
import { letter, newRoom, newWall, seededIds } from './blank.ts';
import { DEFAULTS, type DefaultKey } from './defaults.ts';
import { ROOM_HOLES, type HowMany } from './library.ts';
import { withShape, type ShapeAsk } from './wall-shapes.ts';
import { ENDS, isStart, MOST, within } from './limits.ts';
import { COUNTRY_ROWS, regionOf, tinsOf, type Air, type Country, type Region } from './region.ts';
import { copyOfRoom } from './copy-room.ts';
import { reconcileRoom, type DraftRoom } from './reconcile.ts';
import type { Check, Opening, Part, Room, TrimRun, Wall } from './measured.ts';
import type { Colour, Decisions, FinishChoice, Practice, Priced, Product, SystemValues } from './paints.ts';
import type { Crew, Moment, TakenPlan, TaskPin } from './crew.ts';
import type { LineSaid, OrderPin } from './lines.ts';
import type { Id, Scope, SurfaceId } from './table.ts';
import type { Accepted } from './learned.ts';
import type { Job } from './types.ts';
import type { JobOption, Pricing, ShelfCan } from './priced.ts';
import type { Acceptance, Defect, EarlierPaint, Leftover, Place, Sample } from './recorded.ts';
import type { Reading } from '../units/reading.ts';
import type { Survey } from './surveyed.ts';
import { FAMILIES, type TrimKind } from './vocabulary.ts';
import { keysOf } from '../units/list.ts';

enablePatches();

/** An edit that cannot be done on this document: its target is gone, or an argument is out of range. */
class EditProblem extends Error {}
const refuse = (message: string): never => {
  throw new EditProblem(message);
};

type D = Draft<Job>;

export interface PricesTaken {
  readonly paints: readonly { readonly product: Id; readonly cans: Product['cans']; readonly code?: string }[];
  readonly materials: readonly { readonly item: string; readonly each: number }[];
  readonly priced: Priced;
}
/** An entry of its own: a key that every object answers to (`constructor`) finds nothing. */
const own = <T>(map: Record<string, T>, key: string): T | undefined => (Object.hasOwn(map, key) ? map[key] : undefined);
function put<T>(map: Record<string, T>, key: string, value: T): void {
  if (key in Object.prototype) refuse(`“${key}” cannot be a name here.`);
  map[key] = value;
}
const roomOf = (job: D, id: Id): Draft<Room> => own(job.rooms.byId, id) ?? refuse('This room is no longer in the job.');
const wallOf = (room: Draft<Room>, id: Id): Draft<Wall> =>
  own(room.walls.byId, id) ?? refuse('This wall is no longer in the room.');
/** A paint and a colour that are both in the job. */
function known(job: D, { product, colour }: FinishChoice): void {
  if (!own(job.products, product) || !own(job.colours, colour)) refuse('That paint or colour is no longer in the job.');
}
const named = (text: string, what: string): string =>
  text.trim() && text.length <= 80 ? text.trim() : refuse(`${what} needs a name of 1 to 80 characters.`);

function insert<T extends { id: Id }>(
  table: { byId: Record<Id, T>; order: Id[] },
  item: T,
  index = table.order.length,
): void {
  if (own(table.byId, item.id)) refuse('This was already added.');
  put(table.byId, item.id, item);
  table.order.splice(index, 0, item.id);
}
function remove<T>(table: { byId: Record<Id, T>; order: Id[] }, id: Id): void {
  if (!own(table.byId, id)) refuse('This is no longer there.');
  Reflect.deleteProperty(table.byId, id);
  table.order.splice(table.order.indexOf(id), 1);
}

/** Another place in the order; a place beyond its end is its end. */
function move<T>(table: { byId: Record<Id, T>; order: Id[] }, id: Id, to: number): void {
  if (!own(table.byId, id)) refuse('This is no longer there.');
  if (!Number.isInteger(to) || to < 0) refuse('A place in an order is a whole number from 0.');
  table.order.splice(table.order.indexOf(id), 1);
  table.order.splice(to, 0, id);
}

/** Two that say the same, whatever each is called. */
const samePaint = (a: EarlierPaint, b: EarlierPaint): boolean =>
  JSON.stringify({ ...a, id: '' }) === JSON.stringify({ ...b, id: '' });
/** An id that none of these has: the same each time the edit is run again. */
const freeId = (id: Id, taken: readonly { readonly id: Id }[]): Id =>
  taken.some((one) => one.id === id) ? freeId(`${id}-1`, taken) : id;

function setPin(job: D, task: string, pin: Draft<TaskPin>): void {
  if (pin.at === null && pin.who === null) Reflect.deleteProperty(job.pins, task);
  else put(job.pins, task, pin);
}

function overrule<K extends keyof SystemValues>(job: D, surface: Id, member: K, value: SystemValues[K] | null): void {
  const decisions = { ...own(job.decisions, surface) } as Record<string, unknown>;
  if (value === null) Reflect.deleteProperty(decisions, member);
  else put(decisions, member, value);
  if (Object.keys(decisions).length) put(job.decisions, surface, decisions as Draft<Decisions>);
  else Reflect.deleteProperty(job.decisions, surface);
}

/** Every paint in other tins, at starting prices. */
function sellIn(job: D, tins: readonly number[], times: number): void {
  const sorted = [...tins].sort((a, b) => a - b);
  for (const product of Object.values(job.products)) {
    const sizes = product.cans.map((can) => can.litres).sort((a, b) => a - b);
    if (times === 1 && sizes.join() === sorted.join()) continue;
    Object.assign(product, castDraft({ cans: tinsOf(product.cans, sorted, times), priced: null }));
  }
}

/**
 * The named edits: every change of a job is one of these, so that it can be saved, undone, and run again on a newer
 * document when another tab was quicker. Ids come with the arguments (or from a seed), never from here.
 */
const EDITS = {
  renameJob: (job: D, { name }: { name: string }) => {
    job.name = named(name, 'A job');
  },
  setUnits: (job: D, { units }: { units: Units }) => {
    job.units = units;
  },
  /**
   * The job in another country: its words, paper, dates and tins; prices and pay go by its level. What a shop of another
   * currency asked is forgotten.
   */
  moveTo: (job: D, { country }: { country: Country }) => {
    const before = job.region.country;
    const from = COUNTRY_ROWS[before];
    const to = own(COUNTRY_ROWS, country) ?? refuse(`“${country}” is not a country here.`);
    const times = job.currency === to.currency ? 1 : to.level / from.level;
    sellIn(job, to.tins, times);
    if (times !== 1) {
      for (const person of job.crew.people) person.day = Math.round((person.day * times) / 100) * 100;
      for (const key of Object.keys(job.settings))
        if (key.startsWith('price.')) job.settings[key] = Math.round((job.settings[key] ?? 0) * times);
      job.prices = {};
    }
    job.region = castDraft(regionOf(country));
    job.crew.zone = to.zone;
    job.units = to.units;
    job.currency = to.currency;
    job.pricing.taxName = to.taxName;
    if (job.region.country !== before) job.pricing.tax = null;
  },
  /** One thing of the region otherwise than its country has it. */
  setRegion: (job: D, { set }: { set: Partial<Omit<Region, 'country'>> }) => {
    if (set.tins) sellIn(job, set.tins, 1);
    Object.assign(job.region, castDraft(set));
  },
  setCurrency: (job: D, { currency }: { currency: string }) => {
    job.currency = /^[A-Z]{3}$/.test(currency) ? currency : refuse('A currency is three capital letters, such as GBP.');
  },
  setAir: (job: D, { set }: { set: Partial<Air> }) => {
    Object.assign(job.air, set);
  },
  addRoom: (job: D, { id, name }: { id: Id; name: string }) =>
    insert(job.rooms, castDraft(newRoom(id, named(name, 'A room'), seededIds(id), job.units))),
  addRooms: (job: D, { rooms }: { rooms: readonly Room[] }) =>
    rooms.forEach((room) => insert(job.rooms, castDraft(room))),
  setRoom: (
    job: D,
    {
      room,
      set,
    }: { room: Id; set: Partial<Pick<Room, 'name' | 'use' | 'height' | 'turns' | 'floor' | 'bearing' | 'focal'>> },
  ) => {
    if (set.name !== undefined) named(set.name, 'A room');
    if (typeof set.bearing === 'number' && !(set.bearing >= 0 && set.bearing < 360))
      refuse('A bearing lies between 0 and 360 degrees from north.');
    Object.assign(roomOf(job, room), set);
  },
  removeRoom: (job: D, { room }: { room: Id }) => remove(job.rooms, room),
  moveRoom: (job: D, { room, to }: { room: Id; to: number }) => move(job.rooms, room, to),
  /** A room like another, beside it: what was measured and what was said of finishes and of what is there. */
  copyRoom: (job: D, { room, id, name }: { room: Id; id: Id; name: string }) => {
    const like = current(roomOf(job, room));
    const copy = copyOfRoom(like, id, named(name, 'A room'), seededIds(id));
    insert(job.rooms, castDraft(copy.room), job.rooms.order.indexOf(room) + 1);
    for (const said of [job.finishes, job.survey, job.decisions, job.earlier] as Record<string, unknown>[])
      for (const [key, value] of Object.entries(copy.saidOf(current(said)))) put(said, key, value);
  },
  addWall: (job: D, { room, id, after }: { room: Id; id: Id; after: Id | null }) => {
    const { walls } = roomOf(job, room);
    const taken = new Set(Object.values(walls.byId).map((wall) => wall.label));
    let index = walls.order.length;
    while (taken.has(letter(index))) index++;
    insert(walls, castDraft(newWall(id, letter(index))), after === null ? undefined : walls.order.indexOf(after) + 1);
  },
  moveWall: (job: D, { room, wall, to }: { room: Id; wall: Id; to: number }) => move(roomOf(job, room).walls, wall, to),
  /** A chimney breast, an alcove or a bay in a wall: what was said of that wall is said of those that come of it. */
  shapeWall: (job: D, { room, wall, ask, seed }: { room: Id; wall: Id; ask: ShapeAsk; seed: string }) => {
    const shaped = withShape(current(roomOf(job, room)), wall, ask, seededIds(seed), job.units);
    if (!shaped.ok) return refuse(shaped.problems[0]?.message ?? 'It cannot be built there.');
    job.rooms.byId[room] = castDraft(shaped.value.room);
    for (const said of [job.finishes, job.survey, job.decisions] as Record<string, unknown>[]) {
      const own = said[`${wall}/field`];
      if (own !== undefined) for (const id of shaped.value.added) said[`${id}/field`] = structuredClone(current(own));
    }
  },
  setWall: (job: D, { room, wall, set }: { room: Id; wall: Id; set: Partial<Omit<Wall, 'id'>> }) => {
    if (set.turn !== undefined && !(Math.abs(set.turn) < 360)) refuse('A turn is less than 360 degrees.');
    Object.assign(wallOf(roomOf(job, room), wall), castDraft(set));
  },
  /** Many lengths at once: from a list. */
  setLengths: (job: D, { room, lengths }: { room: Id; lengths: readonly { wall: Id; length: Reading }[] }) => {
    for (const { wall, length } of lengths) wallOf(roomOf(job, room), wall).length = length;
  },
  removeWall: (job: D, { room: id, wall }: { room: Id; wall: Id }) => {
    const room = roomOf(job, id);
    remove(room.walls, wall);
    for (const opening of Object.values(room.openings.byId))
      if (opening.wall === wall) remove(room.openings, opening.id);
    for (const part of Object.values(room.parts.byId)) if (part.wall === wall) remove(room.parts, part.id);
    room.checks = room.checks.filter((check) => check.from !== wall && check.to !== wall);
  },
  addOpening: (job: D, { room, opening }: { room: Id; opening: Opening }) => {
    wallOf(roomOf(job, room), opening.wall);
    insert(roomOf(job, room).openings, castDraft(opening));
  },
  setOpening: (job: D, { room, opening, set }: { room: Id; opening: Id; set: Partial<Omit<Opening, 'id'>> }) => {
    const found = own(roomOf(job, room).openings.byId, opening) ?? refuse('This opening is no longer in the room.');
    Object.assign(found, castDraft(set));
  },
  removeOpening: (job: D, { room, opening }: { room: Id; opening: Id }) => remove(roomOf(job, room).openings, opening),
  addPart: (job: D, { room, part }: { room: Id; part: Part }) => {
    if (part.wall !== null) wallOf(roomOf(job, room), part.wall);
    insert(roomOf(job, room).parts, castDraft(part));
  },
  setPart: (job: D, { room, part, set }: { room: Id; part: Id; set: Partial<Omit<Part, 'id'>> }) => {
    const found = own(roomOf(job, room).parts.byId, part) ?? refuse('This part is no longer in the room.');
    if (set.count !== undefined && !(Number.isInteger(set.count) && set.count >= 0 && set.count <= 999))
      refuse('A count is a whole number from 0 to 999.');
    Object.assign(found, castDraft(set));
  },
  removePart: (job: D, { room, part }: { room: Id; part: Id }) => remove(roomOf(job, room).parts, part),
  setTrim: (job: D, { room, kind, run }: { room: Id; kind: TrimKind; run: TrimRun | null }) => {
    const { trim, parts } = roomOf(job, room);
    const rail = trim['picture-rail']?.at?.metres;
    // a frieze begins where its rail is
    if (kind === 'picture-rail' && run?.at)
      for (const part of Object.values(parts.byId))
        if (part.kind === 'frieze' && part.sill && part.sill.metres === rail) part.sill = run.at;
    if (run) put(trim as Record<string, Draft<TrimRun>>, kind, castDraft(run));
    else Reflect.deleteProperty(trim, kind);
  },
  setChecks: (job: D, { room, checks }: { room: Id; checks: readonly Check[] }) => {
    roomOf(job, room).checks = castDraft([...checks]);
  },
  /** The whole room from its shorthand text; labels, then positions, keep their ids. */
  setRoomFromText: (job: D, { room, draft, seed }: { room: Id; draft: DraftRoom; seed: string }) => {
    const old = roomOf(job, room) as Room;
    job.rooms.byId[room] = castDraft(reconcileRoom(old, draft, seededIds(seed)));
  },
  setFinish: (job: D, { scope, finish }: { scope: Scope; finish: FinishChoice | null }) => {
    if (finish === null) Reflect.deleteProperty(job.finishes, scope);
    else {
      known(job, finish);
      put(job.finishes, scope, finish);
    }
  },
  /** One finish for several scopes, as one step. */
  setFinishes: (job: D, { scopes, finish }: { scopes: readonly Scope[]; finish: FinishChoice }) => {
    known(job, finish);
    for (const scope of scopes) put(job.finishes, scope, finish);
  },
  /** A paint taken up, from the starting ones where the job has not got it, on a scope in a colour that is there. */
  takeUp: (job: D, { scope, product, colour }: { scope: Scope; product: Product; colour: Id }) => {
    if (!own(job.products, product.id)) put(job.products, product.id, castDraft(product));
    known(job, { product: product.id, colour });
    put(job.finishes, scope, { product: product.id, colour });
  },
  setSurvey: (job: D, { scope, set }: { scope: Scope; set: Partial<Survey> }) => {
    put(job.survey, scope, castDraft({ ...own(job.survey, scope), ...set } as Partial<Survey>));
  },
  /** One set of answers for several surfaces, as one step. */
  setSurveys: (job: D, { scopes, set }: { scopes: readonly Scope[]; set: Partial<Survey> }) => {
    for (const scope of scopes)
      put(job.survey, scope, castDraft({ ...own(job.survey, scope), ...set } as Partial<Survey>));
  },
  /** Takes back what was said of one scope: the wider answers hold again. */
  forgetSurvey: (job: D, { scope }: { scope: Scope }) => {
    if (!own(job.survey, scope)) refuse('Nothing was said of it by itself.');
    Reflect.deleteProperty(job.survey, scope);
  },
  /** How many holes a room has: said once, for its walls, ceiling and trim. */
  setHoles: (job: D, { room, how }: { room: Id; how: HowMany }) => {
    const holes = own(ROOM_HOLES, how) ?? refuse('Holes are none, few, some or many.');
    roomOf(job, room);
    for (const family of FAMILIES) {
      const scope = `${room}:${family}`;
      put(job.survey, scope, castDraft({ ...own(job.survey, scope), repairs: holes[family] } as Partial<Survey>));
    }
  },
  /** Overrules one member of a surface's system; null goes back to the recommendation. */
  decide: <K extends keyof SystemValues>(
    job: D,
    { surface, member, value }: { surface: Id; member: K; value: SystemValues[K] | null },
  ) => overrule(job, surface, member, value),
  /** The same for a group of surfaces, as one step. */
  decideAll: <K extends keyof SystemValues>(
    job: D,
    { surfaces, member, value }: { surfaces: readonly Id[]; member: K; value: SystemValues[K] | null },
  ) => {
    for (const surface of surfaces) overrule(job, surface, member, value);
  },
  /** Different values for several surfaces, as one step. */
  decideEach: (
    job: D,
    { member, values }: { member: keyof SystemValues; values: readonly { surface: Id; value: unknown }[] },
  ) => {
    for (const { surface, value } of values) overrule(job, surface, member, value as never);
  },
  /** A caution read, or a warning insisted on; null takes it back. */
  note: (job: D, { key, date }: { key: string; date: string | null }) => {
    if (date === null) Reflect.deleteProperty(job.noted, key);
    else put(job.noted, key, date);
  },
  /** What is said of a line, or of all lines of a kind; null takes all of it back. */
  setLine: (job: D, { key, set }: { key: string; set: Partial<Record<keyof LineSaid, unknown>> | null }) => {
    const said = { ...own(job.lines, key), ...set } as Record<string, unknown>;
    for (const member of Object.keys(said)) if (said[member] === null) Reflect.deleteProperty(said, member);
    if (set && Object.keys(said).length) put(job.lines, key, said as Draft<LineSaid>);
    else Reflect.deleteProperty(job.lines, key);
  },
  /** Pins finishes of a room before others: all that is pinned there; none lets them be ordered by cost. */
  pinOrder: (job: D, { room, pins }: { room: Id; pins: readonly OrderPin[] }) => {
    roomOf(job, room);
    if (pins.some(({ before, after }) => before === after)) refuse('A finish cannot come before itself.');
    if (pins.length) put(job.orders, room, castDraft(pins) as Draft<OrderPin>[]);
    else Reflect.deleteProperty(job.orders, room);
  },
  setPractice: (job: D, { set }: { set: Partial<Practice> }) => {
    Object.assign(job.practice, set);
  },
  setCrew: (job: D, { set }: { set: Partial<Crew> }) => {
    if (set.people && !(set.people.length >= 1 && set.people.length <= MOST.people))
      refuse(`A crew is one to ${MOST.people} people.`);
    if (set.start && !isStart(set.start)) refuse('The first day lies between the years 2000 and 2100.');
    const hours = set.hours;
    if (
      hours &&
      (!hours.length || hours.some(([from, to], i) => from >= to || to > 1440 || from < (hours[i - 1]?.[1] ?? 0)))
    )
      refuse('Working hours are stretches of one day, in order and not overlapping.');
    Object.assign(job.crew, castDraft(set));
    const there = new Set(job.crew.people.map((person) => person.id));
    for (const [task, pin] of Object.entries(job.pins))
      if (pin.who?.some((id) => !there.has(id))) setPin(job, task, { at: pin.at, who: null });
  },
  /** What is pinned of a task; neither time nor people lets it go. */
  pinTask: (job: D, { task, pin }: { task: string; pin: TaskPin }) => setPin(job, task, castDraft(pin)),
  /** When a room is wanted back; null: whenever it is done. */
  wantRoom: (job: D, { room, at }: { room: Id; at: Moment | null }) => {
    roomOf(job, room);
    if (at) put(job.wanted, room, at);
    else Reflect.deleteProperty(job.wanted, room);
  },
  /** Takes a plan that was found by searching on; null goes back to the base plan. */
  takePlan: (job: D, { plan }: { plan: TakenPlan | null }) => {
    job.taken = castDraft(plan);
  },
  setSetting: (job: D, { key, value }: { key: DefaultKey; value: number | null }) => {
    if (!Object.hasOwn(DEFAULTS, key)) refuse(`“${key}” is not a starting value.`);
    if (value === null) Reflect.deleteProperty(job.settings, key);
    else if (within(value, DEFAULTS[key].ends)) job.settings[key] = value;
    else refuse(`This value lies between ${DEFAULTS[key].ends[0]} and ${DEFAULTS[key].ends[1]} ${DEFAULTS[key].unit}.`);
  },
  setColour: (job: D, { colour }: { colour: Colour }) => {
    if (!/^#[0-9a-f]{6}$/.test(colour.hex)) refuse('A colour is written #rrggbb.');
    put(job.colours, colour.id, { ...colour, name: named(colour.name, 'A colour') });
  },
  addColours: (job: D, { colours }: { colours: readonly Colour[] }) => {
    for (const colour of colours)
      if (!/^#[0-9a-f]{6}$/.test(colour.hex)) refuse('A colour is written #rrggbb.');
      else put(job.colours, colour.id, { ...colour, name: named(colour.name, 'A colour') });
  },
  /** Two colours that are one: what names `from` names `into`. */
  mergeColours: (job: D, { from, into }: { from: Id; into: Id }) => {
    if (from === into || !own(job.colours, from) || !own(job.colours, into))
      refuse('These are not two colours of the job.');
    const naming: { colour: Id | null }[] = [
      ...Object.values(job.finishes),
      ...Object.values(job.shelf.byId),
      ...Object.values(job.samples.byId),
      ...Object.values(job.options.byId).flatMap(({ finish }) => finish ?? []),
    ];
    for (const one of naming) if (one.colour === from) one.colour = into;
    for (const product of Object.values(job.products)) {
      const contrast = own(product.inColour, from);
      if (contrast !== undefined && own(product.inColour, into) === undefined) put(product.inColour, into, contrast);
      Reflect.deleteProperty(product.inColour, from);
    }
    Reflect.deleteProperty(job.colours, from);
  },
  setPlace: (job: D, { place }: { place: Place | null }) => {
    job.place = castDraft(place);
  },
  /** All paint that was on a surface before this job; none takes the answer back. */
  setEarlier: (job: D, { surface, paints }: { surface: SurfaceId; paints: readonly EarlierPaint[] }) => {
    if (paints.length) put(job.earlier, surface, castDraft([...paints]));
    else Reflect.deleteProperty(job.earlier, surface);
  },
  /** One paint more on several surfaces, the newest of those that are there. What says the same is not said twice. */
  addEarlier: (job: D, { surfaces, paint }: { surfaces: readonly SurfaceId[]; paint: EarlierPaint }) => {
    for (const surface of surfaces) {
      const there = own(job.earlier, surface) ?? [];
      if (there.every((one) => !samePaint(one, paint)))
        put(job.earlier, surface, [...there, castDraft({ ...paint, id: freeId(paint.id, there) })]);
    }
  },
  /** What is left of a paint; null: what the log says. */
  setLeftover: (job: D, { key, leftover }: { key: string; leftover: Leftover | null }) => {
    if (leftover) put(job.leftovers, key, leftover);
    else Reflect.deleteProperty(job.leftovers, key);
  },
  addDefect: (job: D, { defect }: { defect: Defect }) => insert(job.defects, castDraft(defect)),
  setDefect: (job: D, { defect, set }: { defect: Id; set: Partial<Omit<Defect, 'id'>> }) => {
    const found = own(job.defects.byId, defect) ?? refuse('This defect is no longer on the list.');
    Object.assign(found, castDraft(set));
  },
  removeDefect: (job: D, { defect }: { defect: Id }) => remove(job.defects, defect),
  /** A room taken over; null takes it back. */
  accept: (job: D, { room, acceptance }: { room: Id; acceptance: Acceptance | null }) => {
    roomOf(job, room);
    if (acceptance) put(job.accepted, room, castDraft(acceptance));
    else Reflect.deleteProperty(job.accepted, room);
  },
  addSample: (job: D, { sample }: { sample: Sample }) => {
    if (!own(job.colours, sample.colour)) refuse('That colour is no longer in the job.');
    insert(job.samples, castDraft(sample));
  },
  setSample: (job: D, { sample, set }: { sample: Id; set: Partial<Omit<Sample, 'id' | 'colour'>> }) => {
    const found = own(job.samples.byId, sample) ?? refuse('This sample is no longer there.');
    Object.assign(found, castDraft(set));
  },
  removeSample: (job: D, { sample }: { sample: Id }) => remove(job.samples, sample),
  setProduct: (job: D, { product }: { product: Product }) => {
    if (!(product.labelRate > 0)) refuse('A spread rate must be more than zero.');
    if (!(product.contrast > 0 && product.contrast < 1)) refuse('A contrast ratio lies between 0 and 1.');
    if (product.cans.some((can) => !(can.litres > 0 && Number.isInteger(can.price) && can.price >= 0)))
      refuse('A can holds more than nothing and costs a whole number of cents, zero or more.');
    put(job.products, product.id, castDraft(product));
  },
  /** Prices from a list or the desk, dated: sizes of paints, pieces of materials. Paints that are gone are passed over. */
  takePrices: (job: D, { paints, materials, priced }: PricesTaken) => {
    for (const { product, cans, code } of paints) {
      const found = own(job.products, product);
      if (found) Object.assign(found, castDraft({ cans, priced, ...(code === undefined ? {} : { code }) }));
    }
    for (const { item, each } of materials) put(job.prices, item, { each, ...priced });
  },
  setPricing: (job: D, { set }: { set: Partial<Pricing> }) => {
    for (const key of ['overhead', 'margin', 'tax'] as const)
      if (!within(set[key] ?? 0, ENDS[key === 'margin' ? 'margin' : 'share']))
        refuse('A share lies between 0 and 100 %.');
    Object.assign(job.pricing, set);
  },
  addShelfCan: (job: D, { can }: { can: ShelfCan }) => {
    if (!(can.litres > 0)) refuse('A can on the shelf holds more than nothing.');
    insert(job.shelf, castDraft(can));
  },
  removeShelfCan: (job: D, { can }: { can: Id }) => remove(job.shelf, can),
  addOption: (job: D, { option }: { option: JobOption }) => {
    named(option.name, 'An option');
    insert(job.options, castDraft(option));
  },
  setOption: (job: D, { option, set }: { option: Id; set: Partial<Omit<JobOption, 'id'>> }) => {
    if (set.name !== undefined) named(set.name, 'An option');
    Object.assign(own(job.options.byId, option) ?? refuse('This option is no longer in the job.'), castDraft(set));
  },
  removeOption: (job: D, { option }: { option: Id }) => remove(job.options, option),
  /** Pieces of a material that need not be bought; zero forgets it. */
  setOwned: (job: D, { key, pieces }: { key: string; pieces: number }) => {
    if (!Number.isInteger(pieces) || pieces < 0 || pieces > 9999) refuse('Pieces are a whole number from 0 to 9999.');
    if (pieces) put(job.owned, key, pieces);
    else Reflect.deleteProperty(job.owned, key);
  },
  /** Buys the touch-up reserve of a paint as well, by the key of its order line; or not. */
  reserve: (job: D, { key, on }: { key: string; on: boolean }) => {
    if (on) put(job.reserved, key, true);
    else Reflect.deleteProperty(job.reserved, key);
  },
  /** Ticked off the shopping list, or put back with null. */
  tick: (job: D, { key, date }: { key: string; date: string | null }) => {
    if (date === null) Reflect.deleteProperty(job.bought, key);
    else put(job.bought, key, date);
  },
  /** What logs taught, as far as it was accepted. */
  setLearned: (job: D, { set }: { set: Partial<Accepted> }) => {
    Object.assign(job.learned, castDraft(set));
  },
  /** Several edits as one: all of them or none, and undone at once. */
  together: (job: D, { edits }: { edits: readonly { readonly name: string; readonly args: unknown }[] }): void => {
    for (const { name, args } of edits) {
      const run = own(EDITS as Readonly<Record<string, (draft: D, args: never) => void>>, name);
      if (!run || name === 'patch' || name === 'together') refuse(`“${name}” is not an edit that goes with others.`);
      else run(job, args as never);
    }
  },
  /** Undo and redo: patches recorded from an earlier edit. */
  patch: (job: D, { patches }: { patches: readonly Patch[] }) => {
    applyPatches(job, patches);
  },
};

export type EditName = keyof typeof EDITS;
export const EDIT_NAMES = keysOf(EDITS);
export type Edit = { [K in EditName]: { readonly name: K; readonly args: Parameters<(typeof EDITS)[K]>[1] } }[EditName];

export interface Edited {
  readonly job: Job;
  readonly patches: readonly Patch[];
  readonly inverse: readonly Patch[];
}

/** Runs a named edit on a job. Errors: a Problem when its target is gone or an argument is out of range. */
export function applyEdit(job: Job, edit: Edit): Result<Edited> {
  try {
    const run = EDITS[edit.name] as (draft: D, args: unknown) => void;
    const [next, patches, inverse] = produceWithPatches(job, (draft) => void run(draft, edit.args));
    return good({ job: next, patches, inverse });
  } catch (error) {
    if (error instanceof EditProblem) return bad(error.message);
    // immer's own words when a patch no longer fits the document
    if (edit.name === 'patch' && error instanceof Error)
      return bad('This step can no longer be undone: what it changed is gone.');
    throw error;
  }
}
