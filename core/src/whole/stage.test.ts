import { describe, expect, test } from '@jest/globals';
import { cottage as openCottage } from '../testing/jobs.ts';
import { editJob } from '../job/admit.ts';
import type { Edit } from '../job/edits.ts';
import type { Job } from '../job/types.ts';
import { rememberLast } from '../units/remember.ts';
import { WHOLE } from './inputs.ts';
import { inputsOf, keyOf, stage } from './stage.ts';
import { baseOrder } from './plan.ts';

const cottage = openCottage();
const after = (edit: Edit): Job => {
  const done = editJob(cottage, edit);
  if (!done.ok) throw new Error(done.problems[0]?.message);
  return done.value.job;
};
const wall = Object.keys(Object.values(cottage.rooms.byId)[0]?.walls.byId ?? {})[0] ?? '';

describe('the key of what is read', () => {
  const now = keyOf(cottage, WHOLE);
  test.each<[string, Edit]>([
    ['a tick in the shop', { name: 'tick', args: { key: 'pole', date: '2026-11-26' } }],
    ['another name of the job', { name: 'renameJob', args: { name: 'Another' } }],
  ])('%s changes nothing that is read', (_, edit) => expect(keyOf(after(edit), WHOLE)).toBe(now));
  test.each<[string, Edit]>([
    ['a pace', { name: 'setSetting', args: { key: 'pace.roll', value: 0.5 } }],
    ['an answer', { name: 'setSurvey', args: { scope: `${wall}/field`, set: { porous: 'yes' } } }],
    ['a pole owned', { name: 'setOwned', args: { key: 'pole', pieces: 1 } }],
    ['the hours of a day', { name: 'setCrew', args: { set: { hours: [[480, 720]] } } }],
  ])('%s does', (_, edit) => expect(keyOf(after(edit), WHOLE)).not.toBe(now));
});

test('what is sent to be worked out is enough: a clone of it comes to the same order', () => {
  const sent = structuredClone(inputsOf(cottage, WHOLE));
  expect(Object.keys(sent).sort()).toEqual([...WHOLE].sort());
  expect(baseOrder(sent).price).toEqual(baseOrder(cottage).price);
});

test('a stage works once for what it reads, and again when that changed', () => {
  let times = 0;
  const rooms = stage(['rooms'], (job) => {
    times++;
    return job.rooms.order.length;
  });
  rooms(cottage);
  rooms(after({ name: 'setOwned', args: { key: 'pole', pieces: 1 } }));
  expect(times).toBe(1);
  rooms(after({ name: 'addRoom', args: { id: 'new', name: 'New' } }));
  expect(times).toBe(2);
});

test('of the answers that are remembered the one asked longest ago is forgotten first', () => {
  const asked: number[] = [];
  const square = rememberLast(2, String, (n: number) => {
    asked.push(n);
    return n * n;
  });
  expect([1, 2, 1, 3, 1, 2].map(square)).toEqual([1, 4, 1, 9, 1, 4]);
  expect(asked).toEqual([1, 2, 3, 2]);
});
