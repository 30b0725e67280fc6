import { describe, expect, test } from '@jest/globals';
import { anyText } from '../../testing/hostile.ts';
import { cottage, value } from '../../testing/jobs.ts';
import DxfParser from 'dxf-parser';
import fc from 'fast-check';
import { runs } from '../../testing/runs.ts';
import { arcOver } from '../../measure/arc.ts';
import { polygonArea } from '../../measure/geometry.ts';
import { takeoffJob } from '../../measure/takeoff.ts';
import { trueRoom, SHAPES } from '../../testing/rooms.ts';
import { directions, walk } from '../../measure/geometry.ts';
import { parseTapeSheet } from '../tapesheet.ts';
import { readAny } from '../read.ts';
import { outlinesOf, wallsOf, type Chain, type PlanFile } from './chains.ts';
import { draft } from './drafting.ts';
import { readDxf } from './dxf-read.ts';
import { writeDxf } from './dxf-write.ts';
import { readPlan } from './read.ts';
import { writeSvg } from './svg.ts';
import { ring } from '../../units/list.ts';

const takeoffs = () => takeoffJob(cottage());
const round = `units ft
room Round
height 8
wall A 12 R bow out 3
wall B 10 R
wall C 12 R bow in 1
wall D 10 R
window w on A 3 x 4 at 2 sill 2 head round casing 3"
`;
const roundRoom = () => takeoffJob(value(readAny(round, 'x')).job);
const pairs = (...lines: (string | number)[]) => lines.join('\n');
const entities = (...lines: (string | number)[]) => pairs(0, 'SECTION', 2, 'ENTITIES', ...lines, 0, 'ENDSEC', 0, 'EOF');
const line = (x1: number, y1: number, x2: number, y2: number, layer = 'walls') => [
  0,
  'LINE',
  8,
  layer,
  10,
  x1,
  20,
  y1,
  11,
  x2,
  21,
  y2,
];

describe('drawings out', () => {
  test.each(['dxf', 'svg'])('the plan of every room, out as %s and in again, is the same walls', (format) => {
    for (const takeoff of [...takeoffs(), ...roundRoom()]) {
      const marks = draft(takeoff, 'imperial');
      const file = value(readPlan(format === 'dxf' ? writeDxf(marks) : writeSvg(marks, takeoff.room.name)));
      const scale = file.metresPerUnit ?? (file.unit === 'm' ? 1 : NaN);
      const [outline] = value(outlinesOf(file, 'plan', scale));
      const walls = value(wallsOf(outline as Chain, 'metric'));
      const same = takeoff.walls.map((w) => w.wall.turn).join();
      // the first corner may be another one
      const from = walls.findIndex(
        (_, i) => [...walls.slice(i), ...walls.slice(0, i)].map((w) => w.turn).join() === same,
      );
      const turned = [...walls.slice(from), ...walls.slice(0, from)];
      expect(turned.map((w) => w.turn)).toEqual(takeoff.walls.map((w) => w.wall.turn));
      turned.forEach((w, i) => {
        expect(Math.abs((w.length?.metres ?? 0) - (takeoff.walls[i]?.adjusted ?? 0))).toBeLessThan(0.0012);
        expect(w.bow?.side).toBe(takeoff.walls[i]?.wall.bow?.side);
      });
    }
  });

  test('an independent parser reads our DXF: units, layers, each wall of the plan true to length, text with its dimensions', () => {
    for (const takeoff of [...takeoffs(), ...roundRoom()]) {
      const dxf = new DxfParser().parseSync(writeDxf(draft(takeoff, 'imperial')));
      expect(dxf?.header['$INSUNITS']).toBe(6);
      const plan = dxf?.entities.find((e) => e.layer === 'plan') as unknown as {
        shape: boolean;
        vertices: { x: number; y: number; bulge?: number }[];
      };
      expect([plan.shape, plan.vertices.length]).toEqual([true, takeoff.walls.length]);
      plan.vertices.forEach((v, i) => {
        const next = ring(plan.vertices, i + 1);
        expect(Math.hypot(next.x - v.x, next.y - v.y)).toBeCloseTo(
          takeoff.closure?.provisional ? NaN : (takeoff.walls[i]?.outline.chord ?? NaN),
          5,
        );
      });
      const elevations = dxf?.entities.filter((e) => e.layer === 'elevation') as unknown as {
        vertices: { x: number; y: number }[];
      }[];
      elevations.forEach((e, i) =>
        expect(polygonArea(e.vertices)).toBeCloseTo(takeoff.walls[i]?.gross.value ?? NaN, 4),
      );
      const texts = dxf?.entities.filter((e) => e.type === 'TEXT').map((e) => (e as unknown as { text: string }).text);
      for (const w of takeoff.walls) expect(texts).toContain(`Wall ${w.wall.label}`);
      expect(texts).toContain(takeoff.room.name);
    }
  });
});

describe('plans in', () => {
  test('loose lines in any order and direction, in any unit, are walls of the room they enclose', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SHAPES),
        fc.integer({ min: 1, max: 1e6 }),
        fc.constantFrom([4, 1000], [6, 1], [2, 1 / 0.3048], [1, 1 / 0.0254], [5, 100]),
        fc.infiniteStream(fc.nat()),
        (shape, seed, [code = 6, per = 1], stream) => {
          let state = seed;
          const room = trueRoom(() => (state = (state * 48271) % 2147483647) / 2147483647, shape);
          const corners = walk(room.lengths, directions(room.turns));
          const sides = room.lengths.map((_, i) => [corners[i], corners[(i + 1) % room.lengths.length]] as const);
          const shuffled = [...sides].sort(() => ((stream.next().value ?? 0) % 2) - 0.5);
          const lines = shuffled.flatMap(([a, b]) => {
            const [p, q] = (stream.next().value ?? 0) % 2 ? [a, b] : [b, a];
            return line((p?.x ?? 0) * per, (p?.y ?? 0) * per, (q?.x ?? 0) * per, (q?.y ?? 0) * per);
          });
          const file = value(
            readDxf(
              `${pairs(0, 'SECTION', 2, 'HEADER', 9, '$INSUNITS', 70, code, 0, 'ENDSEC')}\n${entities(...lines)}`,
            ),
          );
          const metres = { in: 0.0254, ft: 0.3048, mm: 0.001, cm: 0.01, m: 1 }[file.unit ?? 'm'];
          const [outline] = value(outlinesOf(file, 'walls', metres));
          expect(polygonArea(outline?.corners ?? [])).toBeCloseTo(polygonArea(corners.slice(0, -1)), 6);
          const walls = value(wallsOf(outline as Chain, 'metric'));
          expect(walls.reduce((s, w) => s + w.turn, 0)).toBeCloseTo(360, 6);
          expect([...walls].map((w) => w.length?.metres ?? 0).sort((a, b) => a - b)).toEqual(
            [...room.lengths].sort((a, b) => a - b).map((v) => expect.closeTo(v, 2)),
          );
        },
      ),
      runs(20),
    );
  });

  test('arcs of a DXF are curved walls, whichever entity says them', () => {
    const half = Math.hypot(2, 1);
    // a D-shaped room: three lines and an ARC over the right side, chord 4, rise 1 (radius 2.5)
    const angle = (Math.asin(2 / 2.5) * 180) / Math.PI;
    const arc = entities(
      ...line(4, 0, 0, 0),
      ...line(0, 0, 0, 4),
      ...line(0, 4, 4, 4),
      0,
      'ARC',
      8,
      'walls',
      10,
      2.5,
      20,
      2,
      40,
      2.5,
      50,
      360 - angle,
      51,
      angle,
    );
    const bulged = entities(
      0,
      'LWPOLYLINE',
      8,
      'walls',
      90,
      4,
      70,
      1,
      10,
      0,
      20,
      0,
      10,
      4,
      20,
      0,
      42,
      0.5,
      10,
      4,
      20,
      4,
      10,
      0,
      20,
      4,
    );
    for (const text of [arc, bulged]) {
      const [outline] = value(outlinesOf(value(readDxf(text)), 'walls', 1));
      const walls = value(wallsOf(outline as Chain, 'metric'));
      expect(walls.map((w) => w.bow && [w.bow.side, w.bow.rise.metres])).toContainEqual(['out', expect.closeTo(1, 3)]);
    }
    expect(arcOver(4, 1).radius).toBe(2.5);
    expect(half).toBeGreaterThan(2);
  });

  test.each<[string, string, RegExp]>([
    ['nothing', '', /not a text DXF/],
    ['another kind of file', 'hello there\nfriend', /not a text DXF/],
    ['binary', `\0\u0001`, /binary/],
    ['cut off', pairs(0, 'SECTION', 2, 'ENTITIES', 0, 'LINE', 8), /cut off/],
    ['a line too few', pairs(0, 'SECTION', 2, 'ENTITIES', 0, 'LINE', 8, 'walls', 'x', 10, 3), /group code/],
    ['a coordinate that is none', entities(0, 'LINE', 8, 'a', 10, 'wide', 20, 0, 11, 1, 21, 1), /not a coordinate/],
    ['a line without an end', entities(0, 'LINE', 8, 'a', 10, 0, 20, 0), /no group 11/],
    ['XML that is no drawing', '<a></a>', /no <svg>/],
    ['broken XML', '<svg><g></svg>', /not a whole SVG/],
    ['a moved group', '<svg><g transform="scale(2)"><rect width="4" height="3"/></g></svg>', /flatten/],
  ])('%s is refused with a sentence', (_, text, message) => {
    const file = readPlan(text);
    expect(file.ok ? '' : file.problems[0]?.message).toMatch(message);
  });

  test('what does not close, and a layer that is not there, are said; other entities are passed over aloud', () => {
    const open = value(
      readDxf(
        entities(
          ...line(0, 0, 4, 0),
          ...line(4, 0, 4, 3),
          ...line(4, 3, 0, 3.4),
          0,
          'CIRCLE',
          8,
          'walls',
          10,
          1,
          20,
          1,
          40,
          1,
        ),
      ),
    );
    const outline = outlinesOf(open, 'walls', 1);
    expect(outline.ok ? '' : outline.problems[0]?.message).toMatch(/do not close: the nearest ends are 3400 mm apart/);
    const none = outlinesOf(open, 'kitchen', 1);
    expect(none.ok ? '' : none.problems[0]?.message).toMatch(/no layer “kitchen”.*walls/);
    expect(open.notes.join()).toMatch(/1 of CIRCLE/);
  });

  test('random and mutated drawings give outlines or sentences, never a throw, and no figure that is none', () => {
    const [first] = takeoffs();
    if (!first) throw new Error('no room');
    const good = [
      writeDxf(draft(first, 'metric')).slice(0, 6000),
      writeSvg(draft(first, 'metric'), 'R').slice(0, 6000),
    ];
    const sound = (file: PlanFile) =>
      file.layers.every((l) =>
        l.chains.every((c) => c.corners.every((p) => [p.x, p.y, p.bulge].every(Number.isFinite))),
      );
    const finish = (text: string) => {
      const file = readPlan(text);
      if (!file.ok) return expect(file.problems[0]?.message.length).toBeGreaterThan(10);
      expect(sound(file.value)).toBe(true);
      for (const { name } of file.value.layers) {
        const outlines = outlinesOf(file.value, name, 0.001);
        if (outlines.ok) for (const outline of outlines.value) wallsOf(outline, 'imperial');
      }
    };
    fc.assert(fc.property(anyText(0, 200), finish));
    fc.assert(
      fc.property(
        fc.constantFrom(...good),
        fc.nat(5999),
        fc.nat(40),
        fc.string({ maxLength: 12 }),
        (text, at, gone, scrap) => finish(text.slice(0, at) + scrap + text.slice(at + gone)),
      ),
      runs(100),
    );
  });
});

test('a drawing and a tape sheet of ten thousand lines are read to the last of them', () => {
  const sides = Array.from({ length: 10_000 }, (_, i) => line(i, 0, i + 1, i % 7, `l${i % 3}`)).flat();
  const file = value(readDxf(['0\nSECTION\n2\nENTITIES', ...sides, '0\nENDSEC\n0\nEOF'].join('\n')));
  expect(file.layers.map((l) => l.chains.length)).toEqual([3334, 3333, 3333]);
  const walls = Array.from({ length: 400 }, (_, i) => `wall w${i} ${1 + (i % 9)}.5 R`).join('\n');
  const rooms = Array.from({ length: 25 }, (_, i) => `room R${i}\nheight 2.4\n${walls}`).join('\n');
  const sheet = parseTapeSheet(`units m\n${rooms}`);
  expect([sheet.problems, sheet.rooms.flatMap((r) => r.draft.walls).length]).toEqual([[], 10_000]);
});
