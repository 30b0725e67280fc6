import { describe, expect, test } from '@jest/globals';
import { readHours, writeHours } from './hours.ts';

describe('hours as people write them', () => {
  test.each([
    ['8-16:30', [[480, 990]]],
    ['8am-4pm', [[480, 960]]],
    [
      '8 a.m. to 12, 12:45 – 5 pm',
      [
        [480, 720],
        [765, 1020],
      ],
    ],
    [
      '7h30-12; 13-16.15',
      [
        [450, 720],
        [780, 975],
      ],
    ],
  ])('%s', (text, hours) => {
    expect(readHours(text)).toEqual({ ok: true, value: hours });
    expect(readHours(writeHours(hours as never))).toEqual({ ok: true, value: hours });
  });
  test.each(['', '8', '17-8', '8-12, 11-13', '13pm-14', '8-8:05', 'nine to five', '8-12-17'])(
    '%p is refused',
    (text) => {
      expect(readHours(text).ok).toBe(false);
    },
  );
});
