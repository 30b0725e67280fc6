import { describe, expect, test } from '@jest/globals';
import { remember } from '../units/remember.ts';
import { groupBy } from '../units/group.ts';
import { layered, nearest, scopesOf } from './scope.ts';

const wall = { id: 'w/field', room: 'r', kind: 'wall' as const };
const rail = { id: 'r/chair-rail', room: 'r', kind: 'chair-rail' as const };

describe('scopes', () => {
  test('from the surface to its family in the whole job', () => {
    expect(scopesOf(rail)).toEqual(['r/chair-rail', 'r:chair-rail', 'r:trim', 'all:chair-rail', 'all:trim']);
  });
  test('the nearest answer wins and says where it stood', () => {
    const map = { 'all:wall': 1, 'r:wall': 2 };
    expect(nearest(map, wall)).toEqual({ value: 2, from: 'r:wall' });
    expect(nearest({ ...map, 'w/field': 3 }, wall)).toEqual({ value: 3, from: 'w/field' });
    expect(nearest(map, rail)).toBeNull();
  });
  test('partial answers lie over each other, nearest on top', () => {
    const map = { 'all:wall': { a: 1, b: 1 }, 'w/field': { b: 2 } };
    expect(layered(map, wall, { a: 0, b: 0, c: 0 })).toEqual({ a: 1, b: 2, c: 0 });
  });
});

test('a derivation is remembered while subject and parts are the same objects', () => {
  let runs = 0;
  const double = remember((subject: { n: number }, by: { k: number }) => (runs++, subject.n * by.k));
  const [one, two] = [{ n: 1 }, { k: 2 }];
  expect([double(one, two), double(one, two), double(one, { k: 3 }), double({ n: 4 }, two), runs]).toEqual([
    2, 2, 3, 8, 3,
  ]);
});

test('groups keep the order of their items', () => {
  expect([...groupBy([3, 1, 4, 1, 5], (n) => n % 2)]).toEqual([
    [1, [3, 1, 1, 5]],
    [0, [4]],
  ]);
});
