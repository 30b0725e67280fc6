import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { takeoffRoom } from '../measure/takeoff.ts';
import { edited, opened } from '../testing/jobs.ts';
import { runs } from '../testing/runs.ts';
import { tapeReading } from '../units/reading.ts';
import { newPart, seededIds } from './blank.ts';
import { friezeEdits } from './frieze.ts';
import type { Room } from './measured.ts';
import type { Colour } from './paints.ts';
import { specifyRoom } from '../specify/specify.ts';
import { applyEdit, type Edit } from './edits.ts';
import type { Job } from './types.ts';
import { rows } from './table.ts';
import { WALL_SHAPES, type ShapeAsk } from './wall-shapes.ts';

/** 4.8 by 3.6 by 2.5 m, a door near each end of wall A and a window in its middle. */
const lounge = opened(`units m
room Lounge
height 2.5
wall A 4.8 R
wall B 3.6 R
wall C 4.8 R
wall D 3.6 R
door d1 on A 0.8 x 2 at 0.1
window w1 on A 1 x 1.2 at 1.9 sill 0.9
`);
const metres = (m: number) => tapeReading(m, 'metric');
const shape = (ask: Pick<ShapeAsk, 'shape'> & { width: number; depth: number; at: number }, wall = 'A'): Edit => {
  const [room] = rows(lounge.rooms);
  return {
    name: 'shapeWall',
    args: {
      room: room?.id ?? '',
      wall: Object.values(room?.walls.byId ?? {}).find(({ label }) => label === wall)?.id ?? '',
      seed: 'breast',
      ask: { shape: ask.shape, width: metres(ask.width), depth: metres(ask.depth), at: metres(ask.at) },
    },
  };
};
const measured = (job: Job) => {
  const [room] = rows(job.rooms);
  if (!room) throw new Error('no room');
  const takeoff = takeoffRoom(job, room);
  const gross = takeoff.walls.reduce((sum, wall) => sum + wall.gross.value, 0);
  return { room, takeoff, gross, floor: takeoff.floorArea ?? NaN };
};
const refusal = (edit: Edit): string => {
  const result = applyEdit(lounge, edit);
  return result.ok ? '' : (result.problems[0]?.message ?? '');
};

describe('a breast, an alcove, a bay in a wall', () => {
  test('the walk closes as before; walls and floor are more or less by what was built', () => {
    const before = measured(lounge);
    const any = fc.record({
      shape: fc.constantFrom(...WALL_SHAPES),
      width: fc.integer({ min: 400, max: 1800 }),
      depth: fc.integer({ min: 50, max: 199 }),
      at: fc.integer({ min: 1, max: 2900 }),
    });
    fc.assert(
      fc.property(any, ({ shape: of, width, depth, at }) => {
        const [w, d, x] = [width / 1000, depth / 1000, at / 1000];
        // the wall across has nothing in it
        const after = measured(edited(lounge, shape({ shape: of, width: w, depth: d, at: x }, 'C')));
        expect(after.takeoff.closure?.misclosure).toBeLessThan(0.0025);
        expect(after.room.walls.order).toHaveLength(8);
        const longer = of === 'bay' ? 2 * d * Math.SQRT2 - 2 * d : 2 * d;
        const wider = of === 'bay' ? (w - d) * d : w * d * (of === 'breast' ? -1 : 1);
        expect(after.gross - before.gross).toBeCloseTo(longer * 2.5, 2);
        expect(after.floor - before.floor).toBeCloseTo(wider, 2);
      }),
      runs(10),
    );
  });
  test('what stands on the wall stays where it is; what was said of the wall is said of its parts; a dado goes on along them', () => {
    const [room] = rows(lounge.rooms);
    const wall = room?.walls.order[0] ?? '';
    const dado = newPart({ id: 'dado', label: 'p1', kind: 'dado', wall, height: metres(1) });
    const said = edited(
      lounge,
      { name: 'addPart', args: { room: room?.id ?? '', part: dado } },
      { name: 'setSurvey', args: { scope: `${wall}/field`, set: { coat: 'oil' } } },
      shape({ shape: 'breast', width: 1.6, depth: 0.4, at: 1.6 }),
    );
    const now = measured(said);
    const on = (label: string) => {
      const item = Object.values(now.room.openings.byId).find((one) => one.label === label);
      return [now.room.walls.byId[item?.wall ?? '']?.label, item?.at.metres];
    };
    expect(on('d1')).toEqual(['A', 0.1]);
    const front = now.room.walls.byId[now.room.walls.order[2] ?? ''];
    const [label, at] = on('w1');
    expect([label, at]).toEqual([front?.label, expect.closeTo(0.3, 9)]);
    expect(Object.values(now.room.parts.byId).map((part) => part.wall)).toEqual(now.room.walls.order.slice(0, 5));
    for (const id of now.room.walls.order.slice(0, 5)) expect(said.survey[`${id}/field`]).toEqual({ coat: 'oil' });
  });
  test.each([
    [
      { shape: 'breast', width: 5, depth: 0.4, at: 0.1 },
      /^From 100 mm to 5\.10 m does not lie inside wall A, which is 4\.80 m/,
    ],
    [{ shape: 'breast', width: 1, depth: 3.6, at: 3 }, /deeper than the room, 3\.60 m beside it/],
    [{ shape: 'bay', width: 1, depth: 0.5, at: 3 }, /too narrow to be 500 mm deep/],
    [{ shape: 'alcove', width: 1, depth: 0.3, at: 2.5 }, /^w1 stands where it would begin or end/],
  ] as const)('%j is refused with a sentence', (ask, sentence) => {
    expect(refusal(shape(ask))).toMatch(sentence);
  });
});

// by hand, m: round the walls 5 + 0.7 (breast) + 4 + 5 - 2.4 + 1.2 + 2 x 0.6 √2 (bay) + 4 + 0.6 (alcove); 1.98 between skirting and
// rail, 0.45 above the rail; the floor 5 x 4 - 1.4 x 0.35 + (2.4 - 0.6) x 0.6 + 1 x 0.3
test('a lounge with a breast, alcoves, a bay, a picture rail and a frieze of another colour has its areas to the millimetre', () => {
  const bare = opened(`units m
room Lounge
height 2.6
wall A 5 R
wall B 4 R
wall C 5 R
wall D 4 R
trim skirting 12 cm
trim picture-rail 5 cm at 2.1
`);
  const [before] = rows(bare.rooms);
  const room = before?.id ?? '';
  const [a = '', , c = '', d = ''] = before?.walls.order ?? [];
  const build = (wall: string, of: ShapeAsk['shape'], width: number, depth: number, at: number): Edit => {
    const ask = { shape: of, width: metres(width), depth: metres(depth), at: metres(at) };
    return { name: 'shapeWall', args: { room, wall, seed: wall, ask } };
  };
  const built = edited(
    bare,
    build(a, 'breast', 1.4, 0.35, 1.8),
    build(c, 'bay', 2.4, 0.6, 1.3),
    build(d, 'alcove', 1, 0.3, 1.5),
    { name: 'setColour', args: { colour: { ...(Object.values(bare.colours)[0] as Colour), id: 'sky', name: 'sky' } } },
  );
  const walls = built.rooms.byId[room]?.walls.order ?? [];
  const product = Object.values(built.products).find(({ role }) => role === 'finish')?.id ?? '';
  const done = edited(
    built,
    ...friezeEdits(built.rooms.byId[room] as Room, seededIds('frieze')),
    ...walls.map((wall, i): Edit => {
      const finish = { product, colour: 'sky' };
      return { name: 'setFinish', args: { scope: `${wall}/region/frieze-${i.toString(36)}`, finish } };
    }),
  );
  const { takeoff, floor } = measured(done);
  const round = 5 + 0.7 + 4 + (5 - 2.4 + 1.2 + 1.2 * Math.SQRT2) + 4 + 0.6;
  const surfaces = specifyRoom(done, takeoff).filter(({ surface }) => surface.kind === 'wall');
  const area = (isFrieze: boolean) =>
    surfaces.reduce(
      (sum, { surface, colour }) => sum + ((colour.id === 'sky') === isFrieze ? surface.area.value : 0),
      0,
    );
  const MM = 0.001;
  expect(takeoff.problems).toEqual([]);
  expect(Math.abs(takeoff.walls.reduce((sum, wall) => sum + wall.adjusted, 0) - round)).toBeLessThan(MM);
  expect(Math.abs(area(false) - round * 1.98)).toBeLessThan(MM * 1.98);
  expect(Math.abs(area(true) - round * 0.45)).toBeLessThan(MM * 0.45);
  expect(Math.abs(floor - (20 - 0.49 + 1.08 + 0.3))).toBeLessThan(MM * 5);
  expect(takeoff.ceilingArea?.value).toBeCloseTo(floor, 9);
});
