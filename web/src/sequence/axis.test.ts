import { expect, test } from '@jest/globals';
import { calendarOf } from '@kovelin/core/sequence/calendar.ts';
import { STARTING_DAYS, type Crew } from '@kovelin/core/job/crew.ts';
import fc from 'fast-check';
import { runs } from '@kovelin/core/testing/runs.ts';
import { axisOf } from './axis.ts';

const crew: Crew = {
  ...STARTING_DAYS,
  people: [],
  hours: [
    [480, 720],
    [765, 1020],
  ],
  start: '2026-10-22',
  zone: 'Europe/Berlin',
};
// over a weekend on which clocks are put back
const worked = calendarOf(crew, null).within(0, 8 * 1440);
const whole = axisOf(worked, crew, null);

test('law: a worked moment is where it is placed; what comes later is not placed before', () => {
  const moment = fc
    .tuple(fc.nat(worked.length - 1), fc.nat(1000))
    .map(([i, share]) => (worked[i]?.[0] ?? 0) + (share / 1000) * ((worked[i]?.[1] ?? 0) - (worked[i]?.[0] ?? 0)));
  fc.assert(
    fc.property(moment, moment, (a, b) => {
      expect(whole.timeAt(whole.place(a))).toBeCloseTo(a, 6);
      if (a < b) expect(whole.place(a)).toBeLessThan(whole.place(b));
      expect(whole.place(a)).toBeLessThanOrEqual(whole.end);
    }),
    runs(167),
  );
});
test('a night and a break take the same little room however long they are; a moment in one lies at its edge', () => {
  const [first, second, third] = whole.stretches;
  if (!first || !second || !third) throw new Error('three stretches');
  expect([first.day, second.day, third.day]).toEqual([0, 0, 1]);
  expect(second.at - (first.at + first.to - first.from)).toBe(8);
  expect(third.at - (second.at + second.to - second.from)).toBe(40);
  expect(whole.place(first.to + 20)).toBe(second.at);
  expect(whole.timeAt(second.at - 4)).toBe(second.from);
  // Thursday, Friday, and from Monday on
  expect([...new Set(whole.stretches.map(({ day }) => day))]).toEqual([0, 1, 4, 5, 6, 7]);
});
test('one day alone begins at nothing and ends with its last stretch', () => {
  const day = axisOf(worked, crew, 1);
  expect(day.stretches.map(({ at }) => at)).toEqual([0, 248]);
  expect(day.end).toBe(248 + 255);
  expect(axisOf([], crew, null).end).toBe(0);
});
