import { describe, expect, test } from '@jest/globals';
import { cottage as openCottage } from '../testing/jobs.ts';
import fc from 'fast-check';
import { runs } from '../testing/runs.ts';
import polygonClipping from 'polygon-clipping';
import { playFor } from '../whole/play.ts';
import { wholeOf } from '../whole/whole.ts';
import { leafStrokes, membersOf, orderOf, type Leaf, type Member } from './door.ts';
import { areaOf, type Play } from './play.ts';

const cottage = openCottage();
const whole = wholeOf(cottage);
const play = (surface: string, coat = 1): Play => playFor(cottage, surface, { coat }) as Play;
const sum = <T>(list: readonly T[], of: (item: T) => number) => list.reduce((all, item) => all + of(item), 0);
const painted = whole.lines.flatMap((room) => room.painted);
const broad = painted.filter((s) => /\/(field|ceiling)$|\/region\//.test(s.surface.id));

describe('laws of every play of the cottage', () => {
  test('its shapes tile the surface: areas add up to it, and no two overlap (polygon-clipping)', () => {
    for (const { surface } of painted) {
      const { strokes } = play(surface.id);
      expect([surface.id, sum(strokes, (s) => s.area)]).toEqual([surface.id, expect.closeTo(surface.area.value, 6)]);
    }
    for (const { surface } of broad.slice(0, 6)) {
      const shapes = play(surface.id).strokes.flatMap((s) => s.shape);
      const rings = shapes.map((s) => [s.map((p) => [p.x, p.y] as [number, number])]);
      const union = polygonClipping.union(rings[0] as never, ...(rings.slice(1) as never[]));
      const ring = (points: readonly (readonly [number, number])[]) => areaOf([points.map(([x, y]) => ({ x, y }))]);
      const area = sum(union, ([outer, ...holes]) => ring(outer as never) - sum(holes, (h) => ring(h as never)));
      expect(area).toBeCloseTo(areaOf(shapes), 4);
    }
  });
  test('its minutes are those of its operations, its litres Order’s coat before losses', () => {
    for (const { surface, system, product } of painted) {
      const coats = system.coats.override ?? system.coats.value;
      const laid = new Set(['lap', 'cut', 'roll', 'brush', 'edges', 'faces', 'trim-edge']);
      const ops = whole.operations.filter((op) => op.surface === surface.id && laid.has(op.kind));
      const plays = Array.from({ length: coats }, (_, i) => play(surface.id, i + 1));
      expect([surface.id, sum(plays, (p) => p.minutes)]).toEqual([
        surface.id,
        expect.closeTo(
          sum(ops, (op) => op.minutes.value),
          6,
        ),
      ]);
      const use = whole.paints
        .filter((p) => p.product === product)
        .flatMap((p) => p.uses)
        .find((u) => u.specified.surface.id === surface.id);
      expect(plays.map((p) => p.litres)).toEqual((use?.coats ?? []).map((l) => expect.closeTo(l, 9)));
    }
  });
  test('every stroke waits for one before it, and takes time; dips carry what the strips lay', () => {
    for (const { surface } of broad) {
      const { strokes } = play(surface.id);
      const seen = new Set<string>();
      for (const stroke of strokes) {
        for (const id of stroke.after) expect(seen.has(id)).toBe(true);
        for (const { stroke: id } of stroke.overlaps) expect(seen.has(id)).toBe(true);
        expect([stroke.id, stroke.minutes > 0]).toEqual([stroke.id, true]);
        seen.add(stroke.id);
      }
      expect(strokes.some((s) => s.kind === 'dip')).toBe(true);
    }
  });
  test('a right hand goes from right to left, a left hand the other way [common practice, no source]', () => {
    const wall = broad.find((s) => s.surface.kind === 'wall')?.surface.id ?? '';
    const first = (hand: 'left' | 'right') => {
      const people = cottage.crew.people.map((p) => ({ ...p, hand }));
      const strips = (playFor({ ...cottage, crew: { ...cottage.crew, people } }, wall, { coat: 1 }) as Play).strokes;
      const xs = strips.filter((s) => s.kind === 'spread').map((s) => s.shape[0]?.[0]?.x ?? 0);
      return (xs[0] ?? 0) - (xs.at(-1) ?? 0);
    };
    expect(first('right')).toBeGreaterThan(0);
    expect(first('left')).toBeLessThan(0);
  });
  test('a ceiling: first coat across the light, second along it; half a strip is gone over again', () => {
    const ceiling = whole.surfaces.find((s) => s.surface.kind === 'ceiling')?.surface.id ?? '';
    const along = (coat: number) => {
      const strip =
        play(ceiling, coat)
          .strokes.find((s) => s.kind === 'lay-off')
          ?.path.slice(0, 2) ?? [];
      const spread = (of: 'x' | 'y') => Math.max(...strip.map((p) => p[of])) - Math.min(...strip.map((p) => p[of]));
      return spread('x') > spread('y') ? 'x' : 'y';
    };
    expect(along(1)).not.toBe(along(2));
  });
});

const leafOf = (rows: number, columns: number): Leaf => ({
  width: 0.9,
  height: 2.1,
  rows,
  columns,
  stile: 0.1,
  moulding: 0.04,
  thickness: 0.04,
  faces: 1,
  kind: 'panelled',
});
/** The rule of the trade, written by itself: no piece before one that runs up to it. */
function breaksRule(order: readonly Member[]): string[] {
  const at = new Map(order.map((m, i) => [m.id, i]));
  const faults: string[] = [];
  const before = (a: string, b: string) => {
    if ((at.get(a) ?? -1) > (at.get(b) ?? Infinity)) faults.push(`${b} before ${a}`);
  };
  for (const { id, kind, row } of order) {
    if (kind === 'panel' || kind === 'muntin') for (const rail of [row, row + 1]) before(id, `rail-${rail}`);
    if (kind === 'rail') for (const side of ['left', 'right']) before(id, `stile-${side}`);
    if (kind === 'panel')
      for (const m of order) if (m.kind === 'muntin' && m.row === row && touches(id, m.id)) before(id, m.id);
  }
  return faults;
}
const touches = (panel: string, muntin: string): boolean => {
  const [c, m] = [Number(panel.split('-')[2]), Number(muntin.split('-')[2])];
  return m === c || m === c + 1;
};

describe('doors', () => {
  test.each([
    [1, 1],
    [2, 1],
    [2, 2],
    [3, 2],
    [3, 4],
  ])(
    '%i x %i panels: the butting member before the one that closes its joint, by kind and row by row',
    (rows, columns) => {
      const members = membersOf(leafOf(rows, columns));
      expect(members).toHaveLength(rows * columns + rows * (columns - 1) + rows + 1 + 2);
      expect(sum(members, (m) => areaOf([m.shape]))).toBeCloseTo(0.9 * 2.1, 9);
      for (const by of ['kind', 'row'] as const) {
        const order = orderOf(members, by, 'right');
        expect(breaksRule(order)).toEqual([]);
        expect(order.slice(-2).map((m) => m.kind)).toEqual(['stile', 'stile']);
      }
    },
  );
  test('by kind all panels come first; row by row the first row is done, but for the stiles, before the next is begun', () => {
    const members = membersOf(leafOf(3, 2));
    expect(
      orderOf(members, 'kind', 'right')
        .slice(0, 6)
        .every((m) => m.kind === 'panel'),
    ).toBe(true);
    expect(
      orderOf(members, 'row', 'right')
        .map((m) => m.id)
        .slice(0, 4),
    ).toEqual(['panel-0-0', 'panel-0-1', 'muntin-0-1', 'rail-0']);
  });
  test('edges come first, reveals before their field; a textured face is rolled whole, then brushed out in the same order', () => {
    const ask = { rolled: false, by: 'kind', hand: 'right' } as const;
    const ids = leafStrokes(leafOf(2, 1), ask).map((s) => s.id);
    expect(ids.slice(0, 5)).toEqual([
      'edge-lock',
      'edge-top',
      'edge-hinge',
      'face1/reveal-panel-0-0',
      'face1/panel-0-0',
    ]);
    const textured = leafStrokes(leafOf(2, 1), { ...ask, rolled: true });
    expect(textured[3]?.kind).toBe('roll-face');
    expect(sum(textured, (s) => s.area ?? 0)).toBeCloseTo(
      sum(leafStrokes(leafOf(2, 1), ask), (s) => s.area ?? 0),
      9,
    );
  });
  test('law: of any rows and columns the pieces tile the leaf and keep the rule', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 9 }), fc.integer({ min: 1, max: 9 }), (rows, columns) => {
        const leaf = { ...leafOf(rows, columns), stile: 0.03 };
        const members = membersOf(leaf);
        expect(sum(members, (m) => areaOf([m.shape]))).toBeCloseTo(leaf.width * leaf.height, 6);
        expect(breaksRule(orderOf(members, 'row', 'left'))).toEqual([]);
      }),
      runs(10),
    );
  });
});
