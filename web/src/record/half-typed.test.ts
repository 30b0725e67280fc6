import { afterAll, beforeEach, expect, test } from '@jest/globals';
import { draftAt, placeOfDraft, unknownPaint } from './half-typed.ts';
import { halfTyped, keepHalfTyped } from '../app/half-typed.ts';

const BLANK = unknownPaint();
const place = placeOfDraft('j', 'w1/field');
const kept = new Map<string, string>();
let denied = false;
const asked = <T>(answer: () => T): T => {
  if (denied) throw new DOMException('denied', 'SecurityError');
  return answer();
};
beforeEach(() => {
  kept.clear();
  denied = false;
  const storage = {
    getItem: (key: string) => asked(() => kept.get(key) ?? null),
    setItem: (key: string, value: string) => asked(() => void kept.set(key, value)),
    removeItem: (key: string) => asked(() => void kept.delete(key)),
  };
  Object.defineProperty(globalThis, 'sessionStorage', { value: storage, configurable: true });
});
afterAll(() => {
  Reflect.deleteProperty(globalThis, 'sessionStorage');
});

test('what was half said comes back as it was, for its surface alone, until it is given up', () => {
  const said = { ...BLANK, product: 'From the shed', coats: 3 };
  keepHalfTyped(place, said);
  expect(draftAt(place, BLANK)).toEqual(said);
  expect(draftAt(placeOfDraft('j', 'w2/field'), BLANK)).toBeNull();
  expect(draftAt(placeOfDraft('other', 'w1/field'), BLANK)).toBeNull();
  keepHalfTyped(place, null);
  expect([draftAt(place, BLANK), kept.size]).toEqual([null, 0]);
});

test('a draft of an earlier Kovelin gets what it lacks from a blank one; a damaged one is none', () => {
  keepHalfTyped(place, { id: 'old', product: 'Limewash' });
  expect(draftAt(place, BLANK)).toEqual({ ...BLANK, id: 'old', product: 'Limewash' });
  for (const key of kept.keys()) kept.set(key, '{"id":"old","prod');
  expect([draftAt(place, BLANK), halfTyped(place)]).toEqual([null, null]);
});

test('a browser that keeps nothing has nothing half said, and the form goes on', () => {
  denied = true;
  expect(() => keepHalfTyped(place, BLANK)).not.toThrow();
  expect(draftAt(place, BLANK)).toBeNull();
});
