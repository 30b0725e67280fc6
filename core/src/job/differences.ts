import type { Patch } from 'immer';
import type { Job } from './types.ts';

/**
 * What two copies of one job say otherwise, thing by thing, and the job that is chosen of them. A thing is what a person would
 * choose as a whole: a wall with its readings, a finish, somebody of the crew, one answer of the practice.
 */
export type Side = 'here' | 'there';
export type Path = readonly string[];

/** One place of a thing: `path` below the thing; `undefined` where a side has none. */
export interface FieldDifference {
  readonly path: Path;
  readonly here: unknown;
  readonly there: unknown;
}
export interface Difference {
  /** Where the thing stands in the document, joined by `/`: its name among differences. */
  readonly key: string;
  readonly path: Path;
  /** `undefined`: this side has no such thing. */
  readonly here: unknown;
  readonly there: unknown;
  /** What of it differs; empty where one side has it alone. */
  readonly fields: readonly FieldDifference[];
  /** Who changed it since both were the same; null: that is not known, as what both began from is not, or tells both ways. */
  readonly changed: Side | 'both' | null;
}

/** What names the document itself is no difference of two copies. */
const NAMING: ReadonlySet<string> = new Set(['format', 'version', 'id']);
/** What is a thing as a whole, though it holds others. */
const WHOLES: ReadonlySet<string> = new Set(['taken']);
/** What holds things deeper down; all else holds its things one below, as a map of them. */
const HOLDERS: readonly Path[] = [
  ['rooms', 'byId'],
  ['rooms', 'byId', '*'],
  ...['walls', 'openings', 'parts'].flatMap((table): Path[] => [
    ['rooms', 'byId', '*', table],
    ['rooms', 'byId', '*', table, 'byId'],
  ]),
  ['rooms', 'byId', '*', 'trim'],
  ['shelf', 'byId'],
  ['options', 'byId'],
  ['defects', 'byId'],
  ['samples', 'byId'],
  ['crew', 'people'],
];
const isHolder = (path: Path): boolean =>
  path.length === 0 ||
  (path.length === 1 && !WHOLES.has(path[0] ?? '')) ||
  HOLDERS.some((of) => of.length === path.length && of.every((key, i) => key === '*' || key === path[i]));

type Members = Readonly<Record<string, unknown>>;
const isMembers = (value: unknown): value is Members =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** People stand in a list; each is known by an id, as whatever stands in a table is. */
const isPeople = (path: Path): boolean => path.join('/') === 'crew/people';
function membersOf(value: unknown, path: Path): Members | null {
  if (isPeople(path) && Array.isArray(value))
    return Object.fromEntries((value as { readonly id: string }[]).map((person) => [person.id, person]));
  return isMembers(value) ? value : null;
}

/** The same in what it says, in whatever order its members stand. */
export function same(a: unknown, b: unknown): boolean {
  if (Object.is(a, b)) return true;
  if (Array.isArray(a) && Array.isArray(b)) return a.length === b.length && a.every((item, i) => same(item, b[i]));
  if (!isMembers(a) || !isMembers(b)) return false;
  const keys = Object.keys(a);
  return keys.length === Object.keys(b).length && keys.every((key) => Object.hasOwn(b, key) && same(a[key], b[key]));
}
const own = (value: unknown, key: string): unknown =>
  isMembers(value) && Object.hasOwn(value, key) ? value[key] : undefined;
const at = (value: unknown, path: Path): unknown =>
  path.reduce((found, key, i) => own(membersOf(found, path.slice(0, i)) ?? found, key), value);

/** The places below a thing that differ; a list is one place, and so is a reading. */
function fieldsOf(here: unknown, there: unknown, path: Path = []): FieldDifference[] {
  if (same(here, there)) return [];
  if (!isMembers(here) || !isMembers(there) || 'typed' in here || 'typed' in there) return [{ path, here, there }];
  return keysOf(here, there).flatMap((key) => fieldsOf(own(here, key), own(there, key), [...path, key]));
}
const keysOf = (a: Members, b: Members): string[] => [...new Set([...Object.keys(a), ...Object.keys(b)])];

/** Orders say the same when what both have stands in the same order. */
function ordersAgree(here: unknown, there: unknown): boolean {
  if (!Array.isArray(here) || !Array.isArray(there)) return false;
  return same(
    here.filter((id) => there.includes(id)),
    there.filter((id) => here.includes(id)),
  );
}

/**
 * The things that two copies of a job say otherwise. @param bases what both were when they parted, as far as that is known; more than one
 * where each took from the other
 */
export function differencesOf(here: Job, there: Job, bases: readonly Job[]): Difference[] {
  const found: Difference[] = [];
  const walk = (path: Path, a: unknown, b: unknown): void => {
    if (same(a, b) || (path.length === 1 && NAMING.has(path[0] ?? ''))) return;
    if (path.at(-1) === 'order' && ordersAgree(a, b)) return;
    const [as, bs] = [membersOf(a, path), membersOf(b, path)];
    if (as && bs && isHolder(path)) {
      const before = found.length;
      for (const key of keysOf(as, bs)) walk([...path, key], own(as, key), own(bs, key));
      // the same people in another order
      if (isPeople(path) && found.length === before) found.push(thing(path, a, b));
      return;
    }
    found.push(thing(path, a, b));
  };
  const thing = (path: Path, a: unknown, b: unknown): Difference => ({
    key: path.join('/'),
    path,
    here: a,
    there: b,
    fields: a === undefined || b === undefined ? [] : fieldsOf(a, b),
    changed: changedBy(path, bases, a, b),
  });
  walk([], here, there);
  return found;
}
function changedBy(path: Path, bases: readonly Job[], here: unknown, there: unknown): Difference['changed'] {
  const agree = path.at(-1) === 'order' ? ordersAgree : same;
  const stood = bases.map((base) => at(base, path));
  const [asHere, asThere] = [here, there].map((side) => stood.filter((base) => agree(base, side)).length);
  if (!stood.length) return null;
  if (asHere === stood.length) return 'there';
  if (asThere === stood.length) return 'here';
  return asHere || asThere ? null : 'both';
}

/** What is taken unless somebody chooses otherwise: who alone changed a thing is right; else nobody but a person can say. */
export const usualSide = ({ changed }: Difference): Side | null =>
  changed === 'here' || changed === 'there' ? changed : null;

/** Ids in the order of `first`, those that it lacks behind whatever they stand behind in `second`. */
function ordered(first: readonly string[], second: readonly string[], kept: ReadonlySet<string>): string[] {
  const order = first.filter((id) => kept.has(id));
  for (const [i, id] of second.entries())
    if (kept.has(id) && !order.includes(id)) {
      const before = second.slice(0, i).findLast((other) => order.includes(other));
      order.splice(before === undefined ? 0 : order.indexOf(before) + 1, 0, id);
    }
  return order;
}

/**
 * The steps from what stands here to what was chosen: patches of an edit, so that it is held against the rules of the document and
 * can be undone. Tables keep their order; what comes in stands behind what it stood behind.
 */
export function patchesFor(
  here: Job,
  there: Job,
  differences: readonly Difference[],
  choose: (difference: Difference) => Side,
): Patch[] {
  const patches: Patch[] = [];
  const tables = new Map<string, { readonly path: Path; readonly take: Side }>();
  const touch = (path: Path, take: Side): void => {
    const known = tables.get(path.join('/'));
    if (!known || take === 'there') tables.set(path.join('/'), { path, take });
  };
  for (const difference of differences) {
    if (choose(difference) === 'here') continue;
    const { path } = difference;
    const last = path.at(-1) ?? '';
    if (last === 'order') touch(path.slice(0, -1), 'there');
    else if (path.at(-2) === 'byId') {
      touch(path.slice(0, -2), 'here');
      patches.push(patch(path, difference));
    } else if (!isPeople(path) && !isPeople(path.slice(0, -1))) patches.push(patch(path, difference));
  }
  for (const { path, take } of tables.values()) {
    const [mine, theirs] = [at(here, path), at(there, path)];
    const kept = new Set(Object.keys((own(mine, 'byId') ?? {}) as Members));
    for (const { path: changed, op } of patches)
      if (changed.length === path.length + 2 && path.every((key, i) => key === changed[i]) && changed.at(-2) === 'byId')
        if (op === 'remove') kept.delete(String(changed.at(-1)));
        else kept.add(String(changed.at(-1)));
    const orders = [own(mine, 'order'), own(theirs, 'order')] as readonly (readonly string[])[];
    const [first = [], second = []] = take === 'here' ? orders : [...orders].reverse();
    patches.push({ op: 'replace', path: [...path, 'order'], value: ordered(first, second, kept) });
  }
  return [...patches, ...peoplePatch(here, there, differences, choose)];
}
const patch = (path: Path, { here, there }: Difference): Patch =>
  there === undefined
    ? { op: 'remove', path: [...path] }
    : { op: here === undefined ? 'add' : 'replace', path: [...path], value: there };

/** People are a list: it is written whole. */
function peoplePatch(
  here: Job,
  there: Job,
  differences: readonly Difference[],
  choose: (difference: Difference) => Side,
): Patch[] {
  const taken = differences.filter(({ path }) => isPeople(path.slice(0, 2)));
  if (!taken.some((difference) => choose(difference) === 'there')) return [];
  const people = new Map(here.crew.people.map((person) => [person.id, person]));
  const theirs = new Map(there.crew.people.map((person) => [person.id, person]));
  let whole = false;
  for (const difference of taken) {
    if (choose(difference) === 'here') continue;
    const [, , id] = difference.path;
    const person = id === undefined ? undefined : theirs.get(id);
    if (id === undefined) whole = true;
    else if (person) people.set(id, person);
    else people.delete(id);
  }
  const ids = [here, there].map(({ crew }) => crew.people.map(({ id }) => id));
  const [first = [], second = []] = whole ? [...ids].reverse() : ids;
  const order = ordered(first, second, new Set(people.keys()));
  return [{ op: 'replace', path: ['crew', 'people'], value: order.flatMap((id) => people.get(id) ?? []) }];
}
