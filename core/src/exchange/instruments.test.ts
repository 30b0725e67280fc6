import { expect, test } from '@jest/globals';
import { readDeskPrices, readLab, readShot } from './instruments.ts';

const ok = (read: { ok: boolean }) => read.ok;
const shot = { id: 3, metres: 3.82, fault: null, at: '2026-11-26T08:00:00.000Z' };
const answer = {
  desk: 'Counter',
  protocol: 1,
  at: '2026-11-26T08:00:00.000Z',
  currency: 'USD',
  prices: [{ code: 'tape', litres: null, each: 700 }],
};

test('what devices answer is taken only as their protocol says it', () => {
  expect(readShot(JSON.stringify(shot))).toMatchObject({ ok: true, value: { metres: 3.82 } });
  expect(ok(readShot(JSON.stringify({ ...shot, metres: null, fault: 'no-return' })))).toBe(true);
  for (const wrong of [{ metres: '3.82' }, { metres: 1e9 }, { metres: -1 }, { id: 0 }, { fault: 'x' }])
    expect([wrong, ok(readShot(JSON.stringify({ ...shot, ...wrong })))]).toEqual([wrong, false]);
  expect(readLab('{"lab":{"l":62,"a":-8,"b":12}}')).toEqual({ ok: true, value: { l: 62, a: -8, b: 12 } });
  expect(ok(readLab('{"lab":{"l":62,"a":-8,"b":"12"}}'))).toBe(false);
  expect(ok(readDeskPrices(JSON.stringify(answer), 'USD'))).toBe(true);
  expect(readDeskPrices(JSON.stringify(answer), 'EUR')).toMatchObject({
    problems: [{ message: expect.stringMatching(/answered in USD, the job counts in EUR/) as unknown as string }],
  });
  for (const each of [-1, 0.5, 1e300, '700'])
    expect(ok(readDeskPrices(JSON.stringify({ ...answer, prices: [{ code: 'x', litres: 1, each }] }), 'USD'))).toBe(
      false,
    );
  for (const read of [readShot, readLab, (text: string) => readDeskPrices(text, 'USD')])
    expect(ok(read('<html>'))).toBe(false);
});
