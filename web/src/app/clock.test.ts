import { STARTING_DAYS } from '@kovelin/core/job/crew.ts';
import { expect, test } from '@jest/globals';
import { clock, dayWord, laterWord } from './clock.ts';

const crew = { ...STARTING_DAYS, people: [], hours: [[480, 720] as const, [765, 1020] as const], start: '2026-01-05' };
const DAY = 1440;

test('minutes from the start of the first day’s hours, as a day and a clock read to five minutes', () => {
  expect(clock(0, crew)).toEqual({ day: 0, date: 'Mon 5 Jan', time: '8:00' });
  expect(clock(DAY + 63, crew).time).toBe('9:05');
  expect(dayWord(DAY, crew, true)).toBe('day 2, Tue 6 Jan');
});
test('how much later a plan ends than it could', () => {
  expect(laterWord(60, 95, crew)).toBe('35 min later that day');
  expect(laterWord(400, DAY + 60, crew)).toBe('the next morning');
  expect(laterWord(400, DAY + 500, crew)).toBe('the next afternoon');
  expect(laterWord(400, 3 * DAY, crew)).toBe('3 days later');
});
