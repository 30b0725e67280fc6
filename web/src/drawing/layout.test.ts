import { describe, expect, test } from '@jest/globals';
import { parseTapeSheet } from '@kovelin/core/exchange/tapesheet.ts';
import { newJob } from '@kovelin/core/job/create.ts';
import { seededIds } from '@kovelin/core/job/blank.ts';
import { roomFromDraft } from '@kovelin/core/job/reconcile.ts';
import { takeoffRoom } from '@kovelin/core/measure/takeoff.ts';
import fc from 'fast-check';
import { layoutRoom, staggered } from './layout.ts';
import { Transform } from './transform.ts';

function takeoff(sheet: string) {
  const draft = parseTapeSheet(sheet).rooms[0]?.draft;
  if (!draft) throw new Error('no room');
  const job = newJob('j', 'J');
  return takeoffRoom(job, roomFromDraft(draft, 'r', seededIds('r'), 'metric'));
}
const box = (a: number, b: number, h: number, more = '') =>
  takeoff(`units m\nroom R\nheight ${h}\nwall A ${a} R\nwall B ${b} R\nwall C ${a} R\nwall D ${b} R\n${more}`);

const side = fc.integer({ min: 8, max: 120 }).map((n) => n / 10);
const sheet = fc.record({ width: fc.integer({ min: 300, max: 1600 }), height: fc.integer({ min: 200, max: 900 }) });

describe('the unrolled room', () => {
  test('walls and ceiling share one scale, in walking order, and stay on the sheet', () => {
    fc.assert(
      fc.property(side, side, fc.integer({ min: 20, max: 35 }), sheet, (a, b, h, { width, height }) => {
        const layout = layoutRoom(box(a, b, h / 10), width, height);
        if (!layout?.ceiling) throw new Error('not drawn');
        const { walls, ceiling } = layout;
        const { scale } = layout.at;
        walls.forEach(({ at, shapes, takeoff: { outline } }, i) => {
          const end = at.across(outline.length);
          expect(end - at.x).toBeCloseTo((i % 2 ? b : a) * scale, 6);
          const next = walls[i + 1];
          if (next) expect(next.at.x).toBeGreaterThan(end);
          expect([at.scale, at.y]).toEqual([scale, layout.at.y]);
          expect(at.x).toBeGreaterThanOrEqual(0);
          expect(end).toBeLessThanOrEqual(layout.width + 1e-6);
          expect(at.up(shapes.top)).toBeGreaterThanOrEqual(ceiling.y + ceiling.height);
        });
        expect([ceiling.width, ceiling.height]).toEqual([expect.closeTo(a * scale, 6), expect.closeTo(b * scale, 6)]);
        expect(layout.at.y).toBeLessThan(height);
      }),
    );
  });

  test('a long room scrolls sideways rather than shrink past reading', () => {
    const layout = layoutRoom(box(12, 9, 2.4), 360, 400);
    expect(layout?.width).toBeGreaterThan(1000);
    expect(layoutRoom(box(3, 2, 2.4), 700, 400)?.width).toBe(700);
  });

  test('lettering keeps clear of doors and windows that reach its height', () => {
    const layout = layoutRoom(
      box(5, 4, 2.4, 'door d on A 0.8 x 2.1 at 0.1 casing 60mm\nwindow w on C 1 x 0.5 at 0.2 sill 0.3\n'),
      900,
      500,
    );
    const [a, , c] = layout?.walls ?? [];
    const door = a?.shapes.openings[0];
    expect(a?.label.x).toBeGreaterThan(a?.at.across((door?.box.right ?? 0) + (door?.casing ?? 0)) ?? NaN);
    expect(c?.label.x).toBeCloseTo((c?.at.x ?? 0) + 7, 6);
  });

  test('the baseboard stops at what stands on the floor', () => {
    const layout = layoutRoom(
      box(5, 4, 2.4, 'door d on A 0.8 x 2 at 1 casing 60mm\nwindow w on A 1 x 1 at 3 sill 0.9\ntrim baseboard 12cm\n'),
      900,
      500,
    );
    const runs = (layout?.walls[0]?.shapes.trim ?? []).map(({ points }) =>
      points.split(' ').map((p) => Number(p.split(',')[0])),
    );
    expect(runs).toHaveLength(2);
    const drawn = runs.reduce((sum, xs) => sum + Math.max(...xs) - Math.min(...xs), 0);
    expect(drawn).toBeCloseTo(5 - 0.8 - 0.12, 3);
  });

  test('what stands on a wall is worked out in metres, once, however large it is drawn', () => {
    const room = box(5, 4, 2.4, 'window w on C 1 x 0.5 at 0.2 sill 0.3\n');
    const [small, large] = [layoutRoom(room, 700, 400), layoutRoom(room, 1400, 800)];
    expect(large?.at.scale).toBeGreaterThan(1.5 * (small?.at.scale ?? NaN));
    small?.walls.forEach((wall, i) => expect(large?.walls[i]?.shapes).toBe(wall.shapes));
  });
  test('a transform takes metres up from a floor to pixels of a sheet', () => {
    const at = new Transform(50, 30, 400);
    expect(at.at({ x: 2, y: 1 })).toEqual({ x: 130, y: 350 });
    expect([at.metres(25), at.from(0, 0).across(2), String(at)]).toEqual([0.5, 100, 'translate(30 400) scale(50 -50)']);
  });

  test('figures that would touch stand on two lines, and only those', () => {
    fc.assert(
      fc.property(
        fc.array(fc.record({ width: fc.integer({ min: 20, max: 300 }), letters: fc.integer({ min: 3, max: 10 }) }), {
          minLength: 1,
          maxLength: 12,
        }),
        (walls) => {
          const low = staggered(
            walls.map((w) => w.width),
            walls.map((w) => w.letters),
          );
          let from = 0;
          const boxes = walls.map(({ width, letters }, i) => {
            const middle = from + width / 2;
            from += width;
            const half = (letters * 6) / 2;
            return { left: middle - half, right: middle + half, low: low[i] };
          });
          boxes.forEach((box, i) => {
            const next = boxes[i + 1];
            if (next && next.low === box.low) expect(next.left - box.right).toBeGreaterThan(-1e-9);
          });
          if (walls.every(({ width, letters }) => width >= letters * 6 + 6)) expect(low).not.toContain(true);
        },
      ),
    );
  });
  test('nothing to draw, or no place for it, is null', () => {
    expect([layoutRoom(box(5, 4, 2.4), 20, 20), layoutRoom(takeoff('units m\nroom R\nheight 2\n'), 900, 500)]).toEqual([
      null,
      null,
    ]);
  });
});
