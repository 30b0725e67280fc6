import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { runs } from '../testing/runs.ts';
import { takeoffJob } from '../measure/takeoff.ts';
import { readReading, unitOf, type Reading } from '../units/reading.ts';
import { baseOrder } from '../whole/plan.ts';
import { seededIds } from './blank.ts';
import { newJob } from './create.ts';
import { openJob } from './open.ts';
import { plainRoom, type PlainRoom } from './plain-room.ts';

const reading = (metres: number): Reading => ({ typed: `${metres} m`, metres });
const drawn = (plain: PlainRoom, units: 'metric' | 'imperial' = 'metric') => {
  const { room, left } = plainRoom('r', plain, seededIds('r'), units);
  return { job: newJob('j', 'Job', units, [room], units === 'metric' ? 'GB' : 'US'), left };
};
const PLAIN = { name: 'Living room', height: reading(2.5), doors: 1, windows: 2, baseboard: true };

test('law: a room from two lengths and a height measures what was said, and holds every opening or says how many it could not', () => {
  const metres = (min: number, max: number) =>
    fc.integer({ min: min * 100, max: max * 100 }).map((cm) => reading(cm / 100));
  const any = fc.record({
    length: metres(0.5, 20),
    width: metres(0.5, 20),
    height: metres(1.5, 6),
    doors: fc.integer({ min: 0, max: 4 }),
    windows: fc.integer({ min: 0, max: 9 }),
    baseboard: fc.boolean(),
    units: fc.constantFrom('metric' as const, 'imperial' as const),
  });
  fc.assert(
    fc.property(any, ({ units, ...said }) => {
      const { job, left } = drawn({ name: 'Room', ...said }, units);
      expect(openJob(JSON.stringify(job)).ok).toBe(true);
      const [takeoff] = takeoffJob(job);
      expect(takeoff?.problems).toEqual([]);
      expect(takeoff?.floorArea).toBeCloseTo(said.length.metres * said.width.metres, 9);
      const { openings, trim } = job.rooms.byId['r'] ?? {};
      expect((openings?.order.length ?? 0) + left).toBe(said.doors + said.windows);
      expect(Boolean(trim?.baseboard)).toBe(said.baseboard);
    }),
    runs(50),
  );
});

// 2 (4.35 + 3.2) 2.5 less the holes: by hand
test('4.35 by 3.2 by 2.5 m with a door, two windows and a skirting: areas by hand, and a price', () => {
  const { job, left } = drawn({ ...PLAIN, length: reading(4.35), width: reading(3.2) });
  expect(left).toBe(0);
  const [takeoff] = takeoffJob(job);
  const gross = takeoff?.walls.reduce((sum, { gross: area }) => sum + area.value, 0);
  expect(gross).toBeCloseTo(37.75, 9);
  const holes = takeoff?.walls.reduce((sum, { openingArea }) => sum + openingArea.value, 0);
  expect(holes).toBeCloseTo(0.76 * 1.98 + 2 * 1.2 * 1.2, 9);
  const { total, paints } = baseOrder(job);
  expect(total).toBeGreaterThan(0);
  expect(paints.length).toBeGreaterThanOrEqual(3);
});

// the first wall has the doors, windows look the other way, then the sides; what no wall holds is left out
test.each([
  [4.5, 3.6, 2.4, 1, 1, 'A:d1 C:w1', 0],
  [4.5, 3.6, 2.4, 1, 2, 'A:d1 C:w1 C:w2', 0],
  [4.5, 3.6, 2.4, 1, 3, 'A:d1 B:w1 C:w2 C:w3', 0],
  [4.5, 3.6, 2.4, 3, 0, 'A:d1 A:d2 A:d3', 0],
  [1.4, 1, 2.4, 1, 1, 'A:d1', 1],
  [1, 1, 2.4, 1, 0, '', 1],
  [4.5, 3.6, 1.9, 1, 1, '', 2],
  [4.5, 3.6, 2.05, 1, 1, 'A:d1', 1],
  [20, 1, 3, 0, 9, 'C:w1 C:w2 C:w3 C:w4 C:w5 C:w6 C:w7 C:w8 C:w9', 0],
] as const)(
  '%d by %d, %d m high, %d doors and %d windows: %s, %d left out',
  (length, width, height, doors, windows, seats, left) => {
    const said = { ...PLAIN, length: reading(length), width: reading(width), height: reading(height), doors, windows };
    const made = drawn(said);
    const room = made.job.rooms.byId['r'];
    const seated = Object.values(room?.openings.byId ?? {}).map(
      (o) => `${room?.walls.byId[o.wall]?.label ?? ''}:${o.label}`,
    );
    expect([seated.sort().join(' '), made.left]).toEqual([seats, left]);
    // evenly: as much wall before the first as after the last
    for (const wall of Object.values(room?.walls.byId ?? {})) {
      const own = Object.values(room?.openings.byId ?? {}).filter((o) => o.wall === wall.id);
      if (!own.length) continue;
      const first = Math.min(...own.map((o) => o.at.metres));
      const last = Math.max(...own.map((o) => o.at.metres + o.width.metres));
      expect((wall.length?.metres ?? 0) - last).toBeCloseTo(first, 2);
    }
  },
);

test('what a field reads as a length is what the room is drawn with, in the words it was typed in', () => {
  const typed = readReading(`14'3 1/2`, unitOf('imperial'));
  if (!typed.ok) throw new Error('unread');
  const { job } = drawn({ ...PLAIN, length: typed.value, width: typed.value }, 'imperial');
  expect(Object.values(job.rooms.byId['r']?.walls.byId ?? {}).map(({ length }) => length?.typed)).toEqual(
    Array(4).fill(typed.value.typed),
  );
});
