import { describe, expect, test } from '@jest/globals';
import { STARTING_DAYS, type Crew } from '@kovelin/core/job/crew.ts';
import { countdown, onWall } from './times.ts';

const crew: Crew = {
  ...STARTING_DAYS,
  people: [],
  hours: [
    [480, 720],
    [765, 1020],
  ],
  start: '2026-10-24',
  zone: 'Europe/Berlin',
};
/** Saturday, eight in the morning, summer time. */
const ZERO = Date.parse('2026-10-24T06:00:00Z');

test.each([
  [0, '0:00'],
  [4.0917, '4:05'],
  [59.99, '59:59'],
  [60, '1 h 00 min'],
  [80, '1 h 20 min'],
  [3 * 1440, '3 days'],
  [-2.5, '−2:30'],
])('%d minutes are told as %s', (minutes, text) => {
  expect(countdown(minutes)).toBe(text);
});

describe('by the clock on the wall', () => {
  test('today by the hour, tomorrow by name, another day by its date', () => {
    expect(onWall(95, 0, ZERO, crew)).toBe('9:35');
    expect(onWall(2 * 1440 + 60, 0, ZERO, crew)).toBe('Mon 26 Oct, 8:00');
    expect(onWall(-1440, 0, ZERO, crew)).toBe('Fri 23 Oct, 8:00');
  });
  test('over the night in which the clock is put back, minutes are those that pass', () => {
    // a day later by the clock is 25 hours
    expect(onWall(1440, 0, ZERO, crew)).toBe('tomorrow 7:00');
    expect(onWall(1500, 0, ZERO, crew)).toBe('tomorrow 8:00');
  });
  test('a job without a first day and with nothing noted counts its days', () => {
    const open = { ...crew, start: null };
    expect(onWall(95, 0, null, open)).toBe('9:35');
    expect(onWall(1440 + 95, 0, null, open)).toBe('day 2, 9:35');
  });
});
