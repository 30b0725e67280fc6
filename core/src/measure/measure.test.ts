import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readAny } from '../exchange/read.ts';
import { sentence } from '../units/problem.ts';
import { FOOT, INCH } from '../units/si.ts';
import { evaluate } from '../units/working.ts';
import { close } from './closure.ts';
import { polygonArea, walk, directions } from './geometry.ts';
import { takeoffRoom, type RoomTakeoff } from './takeoff.ts';
import { at } from '../units/list.ts';

function takeoff(sheet: string): RoomTakeoff {
  const opened = readAny(sheet, 'test');
  if (!opened.ok) throw new Error(opened.problems.map(sentence).join('\n'));
  const { job } = opened.value;
  const room = job.rooms.byId[job.rooms.order[0] ?? ''];
  if (!room) throw new Error('no room');
  return takeoffRoom(job, room);
}
const refusal = (sheet: string) => {
  const opened = readAny(sheet, 'test');
  return opened.ok ? 'accepted' : opened.problems.map(sentence).join('\n');
};
const BOX = `units ft\nroom Box\nheight 8\nwall A 12 R\nwall B 10 R\nwall C 12 R\nwall D 10 R\n`;
const SETTINGS = { least: 0.03, ratio: 300, readingError: 0.005, diagonalError: 0.008 };

test('a plain room worked by hand', () => {
  const t = takeoff(
    `${BOX}door d on A 2'6 x 6'8 at 3 casing 2 1/2"\nwindow w on C 3 x 4 at 2 sill 3\ntrim baseboard 6"\ntrim crown 4"\ntrim chair-rail 3" at 3'\n`,
  );
  const sqft = (v: number) => v / FOOT ** 2;
  const [a, , c] = t.walls;
  expect(sqft(a?.gross.value ?? 0)).toBeCloseTo(96, 9);
  expect(sqft(a?.net.value ?? 0)).toBeCloseTo(96 - 2.5 * (6 + 8 / 12), 9);
  const casing = (2.5 / 12) * (2 * (6 + 8 / 12) + 2.5 + 5 / 12);
  const run = 12 - 2.5 - 5 / 12;
  expect(sqft(a?.painted.value ?? 0)).toBeCloseTo(
    96 - 2.5 * (6 + 8 / 12) - casing - run * (6 / 12) - 12 * (4 / 12) - run * (3 / 12),
    9,
  );
  expect(sqft(c?.net.value ?? 0)).toBeCloseTo(84, 9);
  expect(sqft(c?.grossSchool.value ?? 0)).toBeCloseTo(96, 9);
  const line = (kind: string) => (t.lines.find((l) => l.kind === kind)?.length.value ?? 0) / FOOT;
  expect(
    [line('wall-crown'), line('crown-ceiling'), line('corner'), line('wall-ceiling')].map((v) => Number(v.toFixed(6))),
  ).toEqual([44, 44, 32, 0]);
  expect(line('wall-baseboard')).toBeCloseTo(44 - 2.5 - 5 / 12, 9);
  expect(line('wall-chair-rail')).toBeCloseTo(2 * (44 - 2.5 - 5 / 12 - 3), 9);
  expect(sqft(t.ceilingArea?.value ?? 0)).toBeCloseTo(120, 9);
  expect(t.closure).toMatchObject({ misclosure: 0, ratio: null, withinTolerance: true });
  const figures = [
    ...t.walls.flatMap((w) => [w.gross, w.openingArea, w.net, w.painted]),
    ...t.lines.map((l) => l.length),
    ...t.trim.map((x) => x.area),
    ...t.surfaces.map((s) => s.area),
  ];
  for (const figure of figures) expect(evaluate(figure)).toBeCloseTo(figure.value, 12);
});

test('mouldings of a panelled door add to its faces, panes of a glazed one take from them', () => {
  const leaf = (how: string) => {
    const t = takeoff(`${BOX}door d on A 2'6 x 6'8 at 3 leaf ${how}\n`);
    return t.surfaces.find((s) => s.kind === 'door')?.area.value ?? NaN;
  };
  const [flush, panelled, glazed] = [leaf('flush'), leaf('panelled 3 x 2'), leaf('glazed 3 x 2')];
  expect(panelled).toBeGreaterThan(flush);
  expect(glazed).toBeLessThan(flush);
});

describe('ceilings', () => {
  const gable = `units ft\nroom Loft\nheight 6\nwall A 12 R peak 10 at 6\nwall B 10 R\nwall C 12 R peak 10 at 6\nwall D 10 R\n`;
  test('two planes meeting at a ridge: plan area over cos pitch', () => {
    const t = takeoff(gable);
    expect(t.ceiling?.shape).toBe('ridge');
    expect(t.ceilingArea?.value).toBeCloseTo(120 * FOOT ** 2 * Math.hypot(1, 4 / 6), 9);
    expect(t.lines[0]?.length.value).toBeCloseTo((20 + 4 * Math.hypot(6, 4)) * FOOT, 9);
  });
  test('a slope that meets a flat', () => {
    const t = takeoff(
      `units ft\nroom Lean\nheight 8\nwall A 12 R h 5 to 8 peak 8 at 4\nwall B 10 R\nwall C 12 R h 8 to 5 peak 8 at 8\nwall D 10 R h 5\n`,
    );
    expect(t.ceilingArea?.value).toBeCloseTo((8 * 10 + 10 * 5) * FOOT ** 2, 9);
  });
  test('one slope', () => {
    const t = takeoff(
      `units ft\nroom Lean\nheight 8\nwall A 12 R h 5 to 10\nwall B 10 R h 10\nwall C 12 R h 10 to 5\nwall D 10 R h 5\n`,
    );
    expect([t.ceiling?.shape, t.ceilingArea?.value]).toEqual(['slope', expect.closeTo(10 * 13 * FOOT ** 2, 9)]);
  });
  test('anything else is left open, with a sentence', () => {
    const t = takeoff(gable.replace('wall C 12 R peak 10 at 6', 'wall C 12 R'));
    expect([t.ceilingArea, t.warnings[0]?.message]).toEqual([
      null,
      expect.stringMatching(/fit neither a flat ceiling/),
    ]);
    expect(
      takeoff(BOX.replace('wall B 10 R', 'wall B 10 R h 9'))
        .warnings.map((w) => w.message)
        .join(),
    ).toMatch(/ends 8′ high where wall B starts 9′/);
  });
});

describe('closure', () => {
  test('within tolerance the walls take the least changes that close the walk; square stays square', () => {
    const t = takeoff(BOX.replace('wall A 12 R', `wall A 12'0 1/2 R`));
    expect(t.closure?.misclosure).toBeCloseTo(INCH / 2, 12);
    expect(t.closure?.ratio).toBeCloseTo((44 * 12 + 0.5) / 0.5, 6);
    expect(t.walls.map((w) => w.adjusted / INCH)).toEqual([144.25, 120, 144.25, 120].map((v) => expect.closeTo(v, 9)));
  });
  test('outside tolerance nothing is changed and a straight side closes the plan', () => {
    const t = takeoff(BOX.replace('wall A 12 R', 'wall A 13 R'));
    expect(t.closure).toMatchObject({ withinTolerance: false, provisional: true });
    expect(t.walls[0]?.adjusted).toBeCloseTo(13 * FOOT, 12);
    expect(t.floorArea).toBeCloseTo(125 * FOOT ** 2, 9);
  });
  test('any closed walk, misread a little, closes exactly again and no correction exceeds the misclosure', () => {
    const step = fc.double({ min: 0.5, max: 6, noNaN: true });
    fc.assert(
      fc.property(
        step,
        step,
        step,
        step,
        fc.array(fc.double({ min: -0.003, max: 0.003, noNaN: true }), { minLength: 6, maxLength: 6 }),
        (w, h, nw, nh, noise) => {
          const true_ = [w + nw, h, nw, nh, w, h + nh];
          const turns = [90, 90, -90, 90, 90, 90];
          const lengths = true_.map((l, i) => l + at(noise, i));
          const result = close(
            { lengths, turns, turnsMeasured: false, diagonals: [{ from: 0, to: 2, length: Math.hypot(w + nw, h) }] },
            SETTINGS,
          );
          const end = walk(result.adjusted, directions(turns)).at(-1);
          expect(Math.hypot(end?.x ?? 1, end?.y ?? 1)).toBeLessThan(1e-9);
          expect(polygonArea(result.corners)).toBeCloseTo((w + nw) * h + w * nh, 0);
        },
      ),
    );
  });
  test('compass rule: a closed figure again, each corner moved by its share of the run [std: surveying texts, rule from memory]', () => {
    const r = close(
      { lengths: [4, 3, 4.02, 3], turns: [90, 90, 90, 90], turnsMeasured: true, diagonals: [] },
      SETTINGS,
    );
    expect(r.corners.map((p) => [Number(p.x.toFixed(4)), Number(p.y.toFixed(4))])).toEqual([
      [0, 0],
      [4.0057, 0],
      [4.01, -3],
      [-0.0043, -3],
    ]);
  });
});

test.each([
  [`${BOX}window w on A 13 x 4 at 0 sill 2`, /line 8: Window w is 13′ wide, but wall A is 12′ long/],
  [`${BOX}window w on A 3 x 4 at 2 sill 5`, /line 8: Window w reaches 9′ up, above the ceiling, which is 8′/],
  [`${BOX}window w on A 3 x 4 at 10 sill 2`, /move it at least 1′ back/],
  [`${BOX}door d on A 3 x 7 at 2\nwindow w on A 3 x 4 at 4 sill 2`, /line 9: Window w overlaps d/],
  ['units ft\nroom Two\nheight 8\nwall A 12 R\nwall B 12 R', /line 2: A room needs at least three walls/],
  [BOX.replace('wall B 10 R', 'wall B 10 L'), /line 2: The turns of Box add up to 180 degrees, not 360/],
  [BOX.replace('height 8\n', ''), /Wall A has no height/],
  [BOX.replace('wall A 12 R', 'wall A 400 R'), /line 4, column 8: A wall of 400 ft/],
  [BOX.replace('wall A 12 R', "wall A 12'14 R"), /line 4, column 11: 14 inches after feet/],
  [
    'units ft\nroom Knot\nheight 8\nwall A 10 R\nwall B 10 R\nwall C 5 R\nwall D 15 L\nwall E 5 L\nwall F 5 L\nwall G 10 180R\nwall H 1 180R',
    /cross each other|add up/,
  ],
])('%#: what cannot be is said with its line', (sheet, message) => expect(refusal(sheet)).toMatch(message));
