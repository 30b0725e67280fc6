import { describe, expect, test } from '@jest/globals';
import { Body, Equator, Horizon, Observer } from 'astronomy-engine';
import fc from 'fast-check';
import { runs } from '../testing/runs.ts';
import { letter, newOpening, newRoom, newWall, seededIds } from '../job/blank.ts';
import { polygonArea } from '../measure/geometry.ts';
import { takeoffRoom, type RoomTakeoff } from '../measure/takeoff.ts';
import { SHAPES, trueRoom } from '../testing/rooms.ts';
import { seeded } from '../units/random.ts';
import { newJob } from '../job/create.ts';
import { beams, type Patch } from './beam.ts';
import { placeOf, sunAt, sunDay } from './sun.ts';

describe('where the sun stands', () => {
  test('the published example of Reda and Andreas, Solar Energy 76 (2004): 2003-10-17 12:30:30 at 39.742476, -105.1786', () => {
    const sun = sunAt({ latitude: 39.742476, longitude: -105.1786 }, new Date('2003-10-17T19:30:30Z'));
    // topocentric zenith 50.11162° with refraction, azimuth 194.34024° [from memory]; the library states about 0.01°
    expect(sun.altitude).toBeCloseTo(90 - 50.11162, 1);
    expect(Math.abs(sun.altitude - (90 - 50.11162))).toBeLessThan(0.01);
    expect(Math.abs(sun.azimuth - 194.34024)).toBeLessThan(0.01);
  });
  test('anywhere, any time: within 0.1° of astronomy-engine (VSOP87), nearer where refraction is small', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -66, max: 66, noNaN: true }),
        fc.double({ min: -180, max: 180, noNaN: true }),
        fc.integer({ min: Date.UTC(2000, 0), max: Date.UTC(2060, 0) }),
        (latitude, longitude, millis) => {
          const at = new Date(millis);
          const from = new Observer(latitude, longitude, 0);
          const { ra, dec } = Equator(Body.Sun, at, from, true, true);
          const known = Horizon(at, from, ra, dec, 'normal');
          fc.pre(known.altitude > 0);
          const sun = sunAt({ latitude, longitude }, at);
          expect(Math.abs(sun.altitude - known.altitude)).toBeLessThan(known.altitude < 5 ? 0.11 : 0.03);
          const turn = Math.abs(((sun.azimuth - known.azimuth + 540) % 360) - 180);
          expect(turn * Math.cos((known.altitude * Math.PI) / 180)).toBeLessThan(0.02);
        },
      ),
    );
  });
});

/** A room of given lengths and turns, a window on its first wall. */
function lit(
  lengths: readonly number[],
  turns: readonly number[],
  window: { at: number; sill: number; width: number; height: number },
) {
  const job = newJob('j', 'Sun', 'metric');
  const room = newRoom('r', 'Sunny', seededIds('r'), 'metric');
  const m = (metres: number) => ({ typed: `${metres} m`, metres });
  const walls = lengths.map((metres, i) => ({
    ...newWall(`w${i}`, letter(i)),
    length: m(metres),
    turn: turns[i] ?? 90,
  }));
  const opening = {
    ...newOpening({
      id: 'w',
      label: 'w',
      wall: 'w0',
      kind: 'window',
      width: m(window.width),
      height: m(window.height),
      at: m(window.at),
    }),
    sill: m(window.sill),
  };
  return takeoffRoom(job, {
    ...room,
    height: m(2.5),
    turns: 'declared',
    walls: { byId: Object.fromEntries(walls.map((w) => [w.id, w])), order: walls.map((w) => w.id) },
    openings: { byId: { w: opening }, order: ['w'] },
  });
}
const box = (points: Patch['points']) => ({
  x: [Math.min(...points.map((p) => p.x)), Math.max(...points.map((p) => p.x))],
  y: [Math.min(...points.map((p) => p.y)), Math.max(...points.map((p) => p.y))],
});
const near = (list: readonly (number | undefined)[], wanted: readonly number[]) =>
  wanted.forEach((value, i) => expect(list[i]).toBeCloseTo(value, 6));

describe('where it falls', () => {
  // a window from 1 to 2 m along the first wall, which looks south: 4 x 3 m, sill 1 m, head 2 m
  const south = lit([4, 3, 4, 3], [90, 90, 90, 90], { at: 1, sill: 1, width: 1, height: 1 });
  const on = (patches: readonly Patch[], wall: string) => patches.filter((p) => p.wall === wall);
  const [, west, north, east] = south.walls.map((w) => w.wall.id) as [string, string, string, string];

  test('straight in at 30°: it begins sill / tan a from the window, and climbs the wall opposite to head - depth x tan a', () => {
    const patches = beams(south, 180, { azimuth: 180, altitude: 30 }, 0);
    const tan = Math.tan(Math.PI / 6);
    const [floor] = on(patches, 'floor');
    near(box(floor?.points ?? []).y, [-3, -1 / tan]);
    near(box(floor?.points ?? []).x, [1, 2]);
    const [wall] = on(patches, north);
    near(box(wall?.points ?? []).y, [0, 2 - 3 * tan]);
    // seen from inside, the wall opposite runs the other way
    near(box(wall?.points ?? []).x, [2, 3]);
    expect(wall?.angle).toBeCloseTo(60, 6);
  });
  test('from the side: a deep wall narrows it by depth x tan of the turn; along a wall it rakes', () => {
    const turned = beams(south, 180, { azimuth: 180 + 40, altitude: 25 }, 0.2);
    const all = turned.reduce((sum, p) => sum + p.area * Math.sin((p.angle * Math.PI) / 180), 0);
    const [turn, up] = [(40 * Math.PI) / 180, (25 * Math.PI) / 180];
    const width = 1 - 0.2 * Math.tan(turn);
    const height = 1 - (0.2 * Math.tan(up)) / Math.cos(turn);
    expect(all).toBeCloseTo(width * height * Math.cos(up) * Math.cos(turn), 6);
    // who looks south has the west on the right: the second wall; light from the west lands on the east
    expect(on(beams(south, 180, { azimuth: 250, altitude: 15 }, 0), west)).toHaveLength(0);
    const [raked] = on(beams(south, 180, { azimuth: 110, altitude: 10 }, 0), west);
    expect(raked).toMatchObject({ window: 'w' });
    expect(on(beams(south, 180, { azimuth: 187, altitude: 12 }, 0), east)).toHaveLength(0);
    expect(beams(south, 180, { azimuth: 0, altitude: 40 }, 0)).toEqual([]);
    expect(beams(south, 180, { azimuth: 180, altitude: -1 }, 0)).toEqual([]);
  });
  test('law: in a room of any shape no light is lost and none is made; none lies outside a wall', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SHAPES),
        fc.integer({ min: 1, max: 1e6 }),
        fc.double({ min: -85, max: 85, noNaN: true }),
        fc.double({ min: 3, max: 70, noNaN: true }),
        (shape, seed, turn, altitude) => {
          const random = seeded(seed);
          const { lengths, turns } = trueRoom(random, shape);
          const long = lengths[0] ?? 3;
          const window = { at: 0.05 * long, sill: 0.4 + random(), width: 0.8 * long, height: 1 };
          const room: RoomTakeoff = lit(lengths, turns, window);
          fc.pre(room.floorArea !== null);
          const patches = beams(room, 180, { azimuth: 180 + turn, altitude }, 0);
          const [t, a] = [(turn * Math.PI) / 180, (altitude * Math.PI) / 180];
          const through = window.width * window.height * Math.cos(a) * Math.cos(t);
          const landed = patches.reduce((sum, p) => sum + p.area * Math.sin((p.angle * Math.PI) / 180), 0);
          // slivers are left out
          expect(Math.abs(landed - through)).toBeLessThan(2e-3);
          for (const { wall, points } of patches) {
            const own = room.walls.find((w) => w.wall.id === wall);
            if (!own) continue;
            const { x, y } = box(points);
            near([Math.min(0, x[0] ?? 0), Math.max(own.outline.length, x[1] ?? 0)], [0, own.outline.length]);
            expect(y[1]).toBeLessThanOrEqual(2.5 + 1e-6);
          }
          expect(polygonArea(patches[0]?.points ?? [])).toBeCloseTo(patches[0]?.area ?? 0, 9);
        },
      ),
      runs(50),
    );
  });
});

describe('a day of sun', () => {
  const room = lit([4, 3, 4, 3], [90, 90, 90, 90], { at: 1, sill: 1, width: 1, height: 1 });
  const job = { ...newJob('j', 'Sun', 'metric'), place: { latitude: 51.5, longitude: 0 } };
  const facing = (bearing: number | null) => ({ ...room, room: { ...room.room, bearing } });

  test('in the morning it is on the west wall, in the evening on the east; a window to the north has none in winter', () => {
    const day = sunDay(job, facing(180), '2026-12-21');
    // sunrise 8:04, sunset 15:53 at London [almanac, from memory]
    expect(day?.rises).toBeGreaterThan(7 * 60 + 58);
    expect(day?.rises).toBeLessThan(8 * 60 + 10);
    const [, west, , east] = room.walls.map((w) => w.wall.id);
    const spells = (wall: string | undefined) => day?.walls.find((own) => own.wall === wall)?.spells ?? [];
    expect(spells(west).every(({ to }) => to <= 720)).toBe(true);
    expect(spells(east).every(({ from }) => from >= 660)).toBe(true);
    expect([...spells(east), ...spells(west)].some(({ kind }) => kind === 'rakes')).toBe(true);
    expect(sunDay(job, facing(0), '2026-12-21')?.walls).toEqual([]);
    expect(sunDay(job, facing(null), '2026-12-21')).toBeNull();
  });
  test('on the day that clocks go forward no spell overlaps another, and a place nobody said is assumed', () => {
    const zoned = { ...job, crew: { ...job.crew, zone: 'Europe/London' } };
    for (const { spells } of sunDay(zoned, facing(180), '2027-03-28')?.walls ?? [])
      for (const [i, { from, to }] of spells.entries()) {
        expect(to).toBeGreaterThan(from);
        expect(from).toBeGreaterThanOrEqual(spells[i - 1]?.to ?? 0);
      }
    expect([placeOf(job).assumed, placeOf({ ...job, place: null }).assumed]).toEqual([false, true]);
  });
});
