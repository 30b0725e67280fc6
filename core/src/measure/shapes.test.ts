import { heading } from '../units/word.ts';
import { nameWord } from '../words/names.ts';
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { runs } from '../testing/runs.ts';
import polygonClipping, { type Polygon } from 'polygon-clipping';
import { readAny } from '../exchange/read.ts';
import { sentence } from '../units/problem.ts';
import { FOOT } from '../units/si.ts';
import { evaluate } from '../units/working.ts';
import { arcOver, arcPoints } from './arc.ts';
import { insetPerimeter } from './ceiling.ts';
import { seenOn } from './face.ts';
import { polygonArea, type Point } from './geometry.ts';
import { overlay, type Layer } from './overlay.ts';
import { runsOn } from './runs.ts';
import { takeoffRoom, type RoomTakeoff } from './takeoff.ts';

function takeoff(sheet: string): RoomTakeoff {
  const opened = readAny(sheet, 'test');
  if (!opened.ok) throw new Error(opened.problems.map(sentence).join('\n'));
  const { job } = opened.value;
  const room = job.rooms.byId[job.rooms.order[0] ?? ''];
  if (!room) throw new Error('no room');
  const found = takeoffRoom(job, room);
  for (const s of found.surfaces) expect(evaluate(s.area)).toBeCloseTo(s.area.value, 12);
  return found;
}
const refusal = (sheet: string): string => {
  const opened = readAny(sheet, 'test');
  return opened.ok ? 'accepted' : opened.problems.map(sentence).join('\n');
};
/** A room of 12 x 10 x 8 ft; `walls` replaces the rest of a wall's line. */
const box = (more: string, walls: Record<string, string> = {}) =>
  `units ft\nroom Box\nheight 8\n${(['A', 'B', 'C', 'D'] as const)
    .map((w, i) => `wall ${w} ${i % 2 ? 10 : 12} ${walls[w] ?? 'R'}`)
    .join('\n')}\n${more}\n`;
const sqft = (m2: number | undefined) => (m2 ?? NaN) / FOOT ** 2;
const ft = (m: number | undefined) => (m ?? NaN) / FOOT;
const surface = (t: RoomTakeoff, name: string) =>
  t.surfaces.find((s) => heading(nameWord(s.name), 'imperial') === name);

describe('closed forms', () => {
  test('arcs: length and area of a segment, and a chain of points with exactly that area', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.2, max: 8, noNaN: true }),
        fc.double({ min: 0.02, max: 0.5, noNaN: true }),
        (chord, part) => {
          const arc = arcOver(chord, part * chord);
          // the textbook's other form, by the central angle: s = R theta, A = R^2 (theta - sin theta) / 2
          const theta = 2 * Math.asin(Math.min(1, chord / (2 * arc.radius)));
          expect(arc.length).toBeCloseTo(arc.radius * theta, 5);
          expect(arc.area).toBeCloseTo((arc.radius ** 2 * (theta - Math.sin(theta))) / 2, 5);
          const chain = [{ x: 0, y: 0 }, ...arcPoints(arc), { x: chord, y: 0 }];
          expect(polygonArea(chain)).toBeCloseTo(arc.area, 12);
        },
      ),
    );
  });

  test('openings of every shape, with casings all of one width', () => {
    const t = takeoff(
      box(
        [
          `window a on A 3' x 4' at 1' sill 2' head round casing 3"`,
          `window b on A 3' x 4' at 6' sill 2' head segmental 6"`,
          `window c on C 3' x 2' at 1' sill 3' head gable`,
          `window d on C 3' x 4' at 5' sill 3' head gable 1'`,
          `window e on B 2' x 2' at 2' sill 4' head circle casing 6"`,
        ].join('\n'),
      ),
    );
    const segment = arcOver(3, 0.5);
    expect(t.walls.map((w) => sqft(w.openingArea.value))).toEqual(
      [3 * 2.5 + (Math.PI * 1.5 ** 2) / 2 + 3 * 3.5 + segment.area, Math.PI, 3 + 3 * 3 + 1.5, 0].map((v) =>
        expect.closeTo(v, 9),
      ),
    );
    // a ring is its middle line times its width; so is the casing round a half circle
    const casing = t.trim.find((x) => x.kind === 'casing')?.area.value;
    const half = 0.25 * (2 * 2.5 + Math.PI * 1.625) + 0.25 * 3.5;
    expect(sqft(casing)).toBeCloseTo(half + Math.PI * (1.5 ** 2 - 1), 9);
    const round = t.lines.find((l) => l.kind === 'wall-casing')?.length.value;
    expect(ft(round)).toBeCloseTo(2 * 2.75 + Math.PI * 1.75 + 3.5 + Math.PI * 3, 9);
  });

  test('a curved wall: its arc is painted, its segment belongs to floor and ceiling', () => {
    for (const [side, sign] of [
      ['out', 1],
      ['in', -1],
    ] as const) {
      const t = takeoff(box('', { A: `R bow ${side} 2` }));
      const arc = arcOver(12, 2);
      expect(sqft(t.walls[0]?.gross.value)).toBeCloseTo(8 * arc.length, 9);
      expect(sqft(t.floorArea ?? 0)).toBeCloseTo(120 + sign * arc.area, 9);
      expect(sqft(t.ceilingArea?.value)).toBeCloseTo(120 + sign * arc.area, 9);
      expect(t.closure?.misclosure).toBe(0);
    }
  });

  test('beside stairs: a raking foot takes a triangle, steps take the sum of their treads; going down leaves more', () => {
    const gross = (foot: string) => {
      const t = takeoff(box(`trim baseboard 6"`, { A: `R ${foot}` }));
      const line = (kind: string) => ft(t.lines.find((l) => l.kind === kind)?.length.value);
      return [sqft(t.walls[0]?.gross.value), line('wall-stair'), line('wall-baseboard')];
    };
    // 9 ft of run, 3 ft of rise, then a landing of 2 ft
    const flight = Math.hypot(9, 3);
    expect(gross('stairs 1 to 10 up 3')).toEqual([96 - 13.5 - 6, flight, 44 - 9].map((v) => expect.closeTo(v, 9)));
    expect(gross('stairs 1 to 10 down 3')).toEqual([96 + 13.5 + 6, flight, 35].map((v) => expect.closeTo(v, 9)));
    expect(gross('stairs 10 to 1 up 3')[0]).toBeCloseTo(96 - 13.5 - 3, 9);
    // three steps of 1 ft, each 3 ft deep
    expect(gross('stairs 1 to 10 up 3 steps 3')).toEqual(
      [96 - 3 * (1 + 2 + 3) - 6, 12, 35].map((v) => expect.closeTo(v, 9)),
    );
  });

  test('ceilings: a vault of slopes and a flat, a tray, and what is let in or hangs down', () => {
    const vault = takeoff(
      `units ft\nroom Loft\nheight 6\nwall A 12 R peak 9 at 4 peak 9 at 8\nwall B 10 R\nwall C 12 R peak 9 at 4 peak 9 at 8\nwall D 10 R\n`,
    );
    expect([vault.ceiling?.shape, vault.ceiling?.planes.length]).toEqual(['vault', 3]);
    expect(sqft(vault.ceilingArea?.value)).toBeCloseTo(10 * (5 + 4 + 5), 9);
    const t = takeoff(
      box(
        `tray t deep 1 high 6"\nhatch h 2 x 2\nskylight s 2 x 3 high 1\nbeam m 10 x 6" deep 4"\nsoffit f on A 5 x 1 deep 2 at 0`,
      ),
    );
    expect(sqft(t.ceilingArea?.value)).toBeCloseTo(120 + 36 * 0.5 - 4 - 6 - 10 / 3 - 10, 9);
    expect(sqft(surface(t, 'Skylight s')?.area.value)).toBeCloseTo(10, 9);
    expect(sqft(surface(t, 'Beam m')?.area.value)).toBeCloseTo(2 * 10 * 0.5 + 10 / 3, 9);
    // its front, its underside, and the one end that stands free
    expect(sqft(surface(t, 'Soffit f')?.area.value)).toBeCloseTo(5 + 10 + 2, 9);
    expect(sqft(surface(t, 'Wall A')?.area.value)).toBeCloseTo(96 - 5, 9);
    // an L-shaped plan keeps its perimeter whatever border is taken: five right turns less one left
    expect(insetPerimeter([6, 5, 3, 2, 3, 3], [90, 90, -90, 90, 90, 90], 0.5)).toBeCloseTo(22 - 8 * 0.5, 9);
  });

  test('solids and pieces: columns, recesses, closets, doors of two faces, sashes, boards, reveals', () => {
    const t = takeoff(
      box(
        [
          `door d on A 2'6 x 6'8 at 1' casing 3" back 3" leaf panelled 3 x 2 faces 2 frame 5"`,
          `window w on C 3 x 4 at 2 sill 3 casing 3" reveal 6" sash hung 2 x 3 board 8" apron 4"`,
          `round-column c 1 x 8\ncolumn q 1 x 2 high 8\nhalf-wall h 4 x 3 deep 6" count 1`,
          `recess n on B 2 x 3 deep 1 at 4 sill 2\ncloset k on A 4 x 7 deep 2 at 0\nspindles p 6" x 3 count 10\ncone o 6 x 4`,
        ].join('\n'),
      ),
    );
    const area = (name: string) => sqft(surface(t, name)?.area.value);
    expect(area('Round column c')).toBeCloseTo(8 * Math.PI, 9);
    expect(area('Column q')).toBeCloseTo(48, 9);
    expect(area('Half wall h')).toBeCloseTo(24 + 2 + 1.5, 9);
    expect(area('Recess n')).toBeCloseTo(6 + 6 + 2 + 2, 9);
    expect(area('Closet k')).toBeCloseTo(2 * 6 * 7 + 8 - 2.5 * (6 + 8 / 12), 9);
    expect(area('Spindles p')).toBeCloseTo(15, 9);
    // radius 3, height 4, slant 5
    expect(area('Cone o')).toBeCloseTo(15 * Math.PI, 9);
    expect(area('Reveal of w')).toBeCloseTo(0.5 * (4 + 4 + 3), 9);
    expect(ft(surface(t, 'Sash of w')?.length)).toBeCloseTo(2 * (3 * 2 + 2 * 2 + 3 + 2 * 2), 9);
    expect(ft(surface(t, 'Lining of door d')?.length)).toBeCloseTo(2 * (6 + 8 / 12) + 2.5, 9);
    expect(ft(surface(t, 'Board of w')?.length)).toBeCloseTo(3.5, 9);
    expect(area('Far casing of d')).toBeCloseTo(0.25 * (2 * (6 + 8 / 12) + 3), 9);
    // a board takes the casing's place below: three sides, not four
    const wall = t.walls[2];
    expect(sqft(wall?.painted.value)).toBeCloseTo(80 + 16 - 12 - 0.25 * (8 + 3.5) - (4 / 12) * 3.5, 9);
  });
});

const layer = (id: string, points: readonly (readonly [number, number])[]): Layer => ({
  id,
  points: points.map(([x, y]) => ({ x, y })),
});
const ring = (points: readonly Point[]): Polygon => [points.map((p) => [p.x, p.y] as [number, number])];
const areaOf = (shape: readonly Polygon[]) =>
  shape.reduce(
    (sum, [outer = [], ...holes]) =>
      sum + [outer, ...holes].reduce((s, r, i) => s + (i ? -1 : 1) * polygonArea(r.map(([x, y]) => ({ x, y }))), 0),
    0,
  );

describe('what is seen of shapes laid on one another', () => {
  const coordinate = fc.integer({ min: 0, max: 40 }).map((n) => n / 8);
  const triangle = fc.array(fc.tuple(coordinate, coordinate), { minLength: 3, maxLength: 3 });
  const rectangle = fc
    .tuple(coordinate, coordinate, fc.integer({ min: 1, max: 20 }), fc.integer({ min: 1, max: 20 }))
    .map(
      ([x, y, w, h]) =>
        [
          [x, y],
          [x + w / 8, y],
          [x + w / 8, y + h / 8],
          [x, y + h / 8],
        ] as [number, number][],
    );

  test('agrees with an independent clipping library, and parts the base exactly', () => {
    fc.assert(
      fc.property(fc.array(fc.oneof(triangle, rectangle), { maxLength: 5 }), (shapes) => {
        const layers = [
          layer('base', [
            [0, 0],
            [5, 0],
            [5, 2.5],
            [2.5, 4],
            [0, 2.5],
          ]),
          ...shapes.map((points, i) => layer(`s${i}`, points)),
        ];
        const { areas } = overlay(layers);
        expect([...areas.values()].reduce((a, b) => a + b, 0)).toBeCloseTo(12.5 + 3.75, 9);
        layers.forEach(({ id, points }, i) => {
          const above = layers.slice(i + 1).map((l) => ring(l.points));
          const inside = polygonClipping.intersection(ring(points), ring(layers[0]?.points ?? []));
          const seen = above.length && inside.length ? polygonClipping.difference(inside, ...above) : inside;
          expect(areas.get(id)).toBeCloseTo(areaOf(seen), 6);
        });
      }),
      runs(100),
    );
  });

  test('borders: every side of what is seen borders on something', () => {
    const { border } = overlay([
      layer('wall', [
        [0, 0],
        [4, 0],
        [4, 3],
        [0, 3],
      ]),
      layer('dado', [
        [0, 0],
        [4, 0],
        [4, 1],
        [0, 1],
      ]),
      layer('panel', [
        [1, 0.5],
        [2, 0.5],
        [2, 2],
        [1, 2],
      ]),
    ]);
    expect([border('wall', 'dado'), border('wall', 'panel'), border('dado', 'panel'), border('panel', '')]).toEqual(
      [3, 3, 2, 0].map((v) => expect.closeTo(v, 9)),
    );
    expect([border('dado', ''), border('wall', '')]).toEqual([6, 8].map((v) => expect.closeTo(v, 9)));
  });
});

describe('regions of a wall', () => {
  test('field, regions, what is hidden, trim and openings part the wall exactly, whatever they are', () => {
    const at = fc.integer({ min: 0, max: 60 });
    const part = fc.record({
      kind: fc.constantFrom('panel', 'tile', 'cabinet'),
      x: at,
      y: fc.integer({ min: 0, max: 40 }),
      w: fc.integer({ min: 4, max: 50 }),
      h: fc.integer({ min: 4, max: 40 }),
    });
    fc.assert(
      fc.property(
        fc.array(part, { maxLength: 4 }),
        fc.boolean(),
        fc.constantFrom('R', 'R stairs 1 to 8 up 2', 'R stairs 2 to 7 up 1.5 steps 4', 'R peak 10 at 5', 'R bow out 1'),
        (parts, dado, wall) => {
          const t = takeoff(
            box(
              [
                `window w on A 2 x 3 at 8' sill 4' head round casing 3"`,
                `trim baseboard 6"\ntrim crown 3"\ntrim chair-rail 3" at 3'`,
                ...(dado ? ['dado z on A 3'] : []),
                ...parts.map((p, i) => `${p.kind} p${i} on A ${p.w}" x ${p.h}" at ${p.x}" sill ${p.y}"`),
              ].join('\n'),
              { A: wall },
            ),
          );
          const a = t.walls[0];
          const regions = t.surfaces.filter((s) => s.id.includes('/region/')).reduce((s, r) => s + r.area.value, 0);
          const hidden = a?.painted.op === 'given' ? [] : (a?.painted.of.slice(1) ?? []);
          const all = (a?.painted.value ?? 0) + hidden.reduce((s, term) => s + term.value, 0);
          expect(all).toBeCloseTo(a?.net.value ?? NaN, 9);
          // the rest of the wall, as drawn, is what the closed forms leave of it
          if (!a) throw new Error('no wall');
          const seen = seenOn(t.room, a.outline, a.openings, a.parts, runsOn(t.room, a));
          expect(seen.areas.get('field')).toBeCloseTo(a.painted.value, 9);
          expect(regions).toBeLessThanOrEqual((a?.net.value ?? 0) + 1e-9);
          expect(a?.painted.value).toBeGreaterThan(-1e-9);
          for (const region of a?.regions ?? []) expect(region.area.value).toBeGreaterThan(-1e-9);
        },
      ),
    );
  });

  test('a dado and a stripe by hand: areas, and the lines between finishes', () => {
    const t = takeoff(box(`dado z on A 3\npanel s on A 2 x 8 at 5\ntile t on A 4 x 2 at 8 sill 3`));
    expect(sqft(surface(t, 'Wall A, dado z')?.area.value)).toBeCloseTo(36 - 6, 9);
    expect(sqft(surface(t, 'Wall A, panel s')?.area.value)).toBeCloseTo(16, 9);
    expect(sqft(surface(t, 'Wall A')?.area.value)).toBeCloseTo(96 - 30 - 16 - 8, 9);
    const line = (kind: string) => ft(t.lines.find((l) => l.kind === kind)?.length.value);
    // dado to field 10 less the tile's 4, stripe to both sides 16; the tile's four sides, its right one at the corner
    expect([line('region'), line('cover')]).toEqual([6 + 16, 4 + 4 + 2].map((v) => expect.closeTo(v, 9)));
  });
});

test.each([
  ['a bow beyond a half circle', box('', { A: 'R bow out 7' }), /more than half its chord/],
  ['peaks out of order', box('', { A: 'R peak 9 at 8 peak 9 at 4' }), /come in order/],
  ['stairs beyond the wall', box('', { A: 'R stairs 1 to 14 up 3' }), /lie beside it/],
  ['stairs through the ceiling', box('', { A: 'R stairs 1 to 10 up 9' }), /climb to 9/],
  ['a door below the stairs', box(`door d on A 2'6 x 4' at 6'`, { A: 'R stairs 1 to 10 up 3' }), /give it a sill/],
  ['an oval circle', box(`window w on A 2 x 3 at 1 sill 2 head circle`), /give both the diameter/],
  ['a head higher than its opening', box(`window w on A 3 x 1 at 1 sill 2 head round`), /to the top of the head/],
  ['a soffit past its wall', box(`soffit f on A 10 x 1 deep 1 at 4`), /must stand on its wall/],
  ['a recess behind a door', box(`door d on A 2'6 x 6'8 at 1'\nrecess n on A 2 x 3 deep 1 at 2 sill 1`), /overlaps d/],
  ['a tray wider than the room', box(`tray t deep 5 high 6"`), /narrower than half the room/],
  ['a hatch larger than the ceiling', box(`hatch h 20 x 20`), /larger than the ceiling/],
  ['a part without its sizes', box(`soffit f on A 10 x 1 at 0`), /soffit needs more: soffit p1 on A/],
  ['a part without its wall', box(`tile t 3 x 2 at 1`), /stands on a wall/],
  ['a count that is none', box(`light l count 1.5`), /whole number/],
])('%s is said', (_, sheet, message) => expect(refusal(sheet)).toMatch(message));
