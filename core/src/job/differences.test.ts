import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { runs } from '../testing/runs.ts';
import { hostileEdit, smallJob } from '../testing/hostile.ts';
import { editJob } from './admit.ts';
import { differencesOf, patchesFor, same, usualSide, type Side } from './differences.ts';
import type { Edit } from './edits.ts';
import { sayDifferences } from '../words/differences.ts';
import { rows } from './table.ts';
import type { Job } from './types.ts';

const start = smallJob();
/** Those edits that are accepted, one after the other. */
const after = (job: Job, edits: readonly Edit[]): Job =>
  edits.reduce((now, edit) => {
    const done = editJob(now, edit);
    return done.ok ? done.value.job : now;
  }, job);
const edits = fc.array(hostileEdit, { minLength: 1, maxLength: 5 });
function chosen(here: Job, there: Job, side: (key: string) => Side) {
  const patches = patchesFor(here, there, differencesOf(here, there, []), ({ key }) => side(key));
  return editJob(here, { name: 'patch', args: { patches } });
}

describe('two copies of one job', () => {
  test('law: all of the other side is the other side, none of it changes nothing, and the same copies differ in nothing', () => {
    fc.assert(
      fc.property(edits, edits, (mine, theirs) => {
        const [here, there] = [after(start, mine), after(start, theirs)];
        expect(differencesOf(here, here, [])).toEqual([]);
        expect(patchesFor(here, there, differencesOf(here, there, []), () => 'here')).toEqual([]);
        const all = chosen(here, there, () => 'there');
        expect(all.ok && differencesOf(all.value.job, there, [])).toEqual([]);
        expect(all.ok && same(all.value.job, { ...there, id: here.id })).toBe(true);
      }),
      runs(40),
    );
  });
  test('law: who alone changed a thing is right, on whichever side one stands', () => {
    fc.assert(
      fc.property(edits, edits, (mine, theirs) => {
        const [here, there] = [after(start, mine), after(start, theirs)];
        const differences = differencesOf(here, there, [start]);
        fc.pre(differences.every(({ changed }) => changed !== 'both'));
        const merged = (a: Job, b: Job) => {
          const patches = patchesFor(a, b, differencesOf(a, b, [start]), (one) => usualSide(one) ?? 'here');
          return editJob(a, { name: 'patch', args: { patches } });
        };
        const [one, other] = [merged(here, there), merged(there, here)];
        // what one took away the other may refer to: refused on both sides, for somebody to choose
        expect(one.ok).toBe(other.ok);
        if (!one.ok || !other.ok) return;
        const left = differencesOf(one.value.job, other.value.job, []);
        // two that were added at one place stand one before the other
        expect(left.filter(({ path }) => path.at(-1) !== 'order' && path.at(-1) !== 'people')).toEqual([]);
      }),
      runs(40),
    );
  });
  test('a wall made longer here and a door added there: both are kept, and one step takes it back', () => {
    const [room] = rows(start.rooms);
    const [wall] = rows(room?.walls ?? { byId: {}, order: [] });
    if (!room || !wall) throw new Error('no room');
    const length = { typed: '4.2 m', metres: 4.2 };
    const here = after(start, [{ name: 'setWall', args: { room: room.id, wall: wall.id, set: { length } } }]);
    const there = after(start, [
      { name: 'addWall', args: { room: room.id, id: 'new', after: wall.id } },
      { name: 'setPricing', args: { set: { client: 'A. Keeper' } } },
    ]);
    const differences = differencesOf(here, there, [start]);
    expect(differences.map(({ key, changed }) => [key, changed])).toEqual([
      [`rooms/byId/${room.id}/walls/byId/${wall.id}`, 'here'],
      [`rooms/byId/${room.id}/walls/byId/new`, 'there'],
      ['pricing/client', 'there'],
    ]);
    expect(differences[0]?.fields).toEqual([{ path: ['length'], here: length, there: wall.length }]);
    const done = editJob(here, {
      name: 'patch',
      args: { patches: patchesFor(here, there, differences, (one) => usualSide(one) ?? 'here') },
    });
    if (!done.ok) throw new Error(JSON.stringify(done.problems));
    const walls = done.value.job.rooms.byId[room.id]?.walls;
    expect([walls?.byId[wall.id]?.length, walls?.order.indexOf('new')]).toEqual([
      length,
      (walls?.order.indexOf(wall.id) ?? 0) + 1,
    ]);
    const back = editJob(done.value.job, { name: 'patch', args: { patches: done.value.inverse } });
    expect(back.ok && back.value.job).toEqual(here);
  });
  test('who changed a thing is named only where all that both began from says the same; else nothing is chosen for anybody', () => {
    const named = (name: string): Job => after(start, [{ name: 'renameJob', args: { name } }]);
    const [here, there] = [named('Here'), named('There')];
    const sides = (bases: readonly Job[]) =>
      differencesOf(here, there, bases).map((one) => [one.changed, usualSide(one)]);
    expect(sides([])).toEqual([[null, null]]);
    expect(sides([start])).toEqual([['both', null]]);
    expect(sides([here])).toEqual([['there', 'there']]);
    expect(sides([there, there])).toEqual([['here', 'here']]);
    expect(sides([here, start])).toEqual([[null, null]]);
  });
  test('rooms in another order there, and one more here: each side changed what it changed', () => {
    const here = after(start, [{ name: 'addRoom', args: { id: 'attic', name: 'Attic' } }]);
    const base = after(start, [{ name: 'addRoom', args: { id: 'hall', name: 'Hall' } }]);
    const there = { ...base, rooms: { ...base.rooms, order: [...base.rooms.order].reverse() } };
    const mine = {
      ...here,
      rooms: { byId: { ...here.rooms.byId, ...base.rooms.byId }, order: [...base.rooms.order, 'attic'] },
    };
    expect(differencesOf(mine, there, [base]).map(({ key, changed }) => [key, changed])).toEqual([
      ['rooms/byId/attic', 'here'],
      ['rooms/order', 'there'],
    ]);
  });
  test('a finish of a paint that is not taken with it is refused, with a sentence', () => {
    const [product] = Object.values(start.products);
    const [colour] = Object.values(start.colours);
    if (!product || !colour) throw new Error('no paint');
    const there = after(start, [
      { name: 'setProduct', args: { product: { ...product, id: 'other', name: 'Another' } } },
      { name: 'setFinishes', args: { scopes: ['all:wall'], finish: { product: 'other', colour: colour.id } } },
    ]);
    const kept = chosen(start, there, (key) => (key.startsWith('finishes') ? 'there' : 'here'));
    expect(kept.ok ? '' : kept.problems[0]?.message).toMatch(/paint|product/);
  });
  test('each is said under its heading, by name and in the words and units of the job here', () => {
    const [room] = rows(start.rooms);
    const [wall] = rows(room?.walls ?? { byId: {}, order: [] });
    if (!room || !wall) throw new Error('no room');
    const length = { typed: '4.2 m', metres: 4.2 };
    const there = after(start, [
      { name: 'setWall', args: { room: room.id, wall: wall.id, set: { length } } },
      { name: 'setPricing', args: { set: { margin: 0.2 } } },
      { name: 'setCrew', args: { set: { hours: [[450, 720]] } } },
      { name: 'decide', args: { surface: `${wall.id}/field`, member: 'coats', value: 3 } },
    ]);
    const said = differencesOf(start, there, []).map(sayDifferences(start, there));
    expect(said.map(({ group, title, lines }) => [group, title, lines[0]?.there])).toEqual([
      [`Measurements, ${room.name}`, `Wall ${wall.label}`, '4.2 m'],
      ['Specification', `Decided for ${room.name}, wall ${wall.label}`, expect.stringContaining('coats 3')],
      ['Crew and plan', 'Crew: hours', '7:30 to 12:00'],
      ['Order and price', 'Pricing: margin', '20 %'],
    ]);
    // no id is left standing in what people read
    expect(JSON.stringify(said)).not.toContain(wall.id);
  });
});
