import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { runs } from '../testing/runs.ts';
import polygonClipping, { type MultiPolygon, type Polygon } from 'polygon-clipping';
import { readAny } from '../exchange/read.ts';
import { FOOT } from '../units/si.ts';
import { MEETING_RULES, type Meeting } from './meetings.ts';
import { polygonOf } from './outline.ts';
import { placeOf } from './runs.ts';
import { takeoffRoom, type RoomTakeoff } from './takeoff.ts';
import type { Point } from './geometry.ts';
import { at } from '../units/list.ts';

function takeoff(sheet: string): RoomTakeoff {
  const opened = readAny(sheet, 'test');
  if (!opened.ok) throw new Error(opened.problems.map((p) => p.message).join('\n'));
  const { job } = opened.value;
  const room = job.rooms.byId[job.rooms.order[0] ?? ''];
  if (!room) throw new Error('no room');
  return takeoffRoom(job, room);
}
const box = (more: string, wall = 'R') =>
  `units ft\nroom Box\nheight 8\nwall A 12 ${wall}\nwall B 10 R\nwall C 12 R\nwall D 10 R\n${more}\n`;
const ring = (points: readonly Point[]): Polygon => [points.map((p): [number, number] => [p.x, p.y])];
const rectangle = (x: number, y: number, w: number, h: number): Polygon =>
  ring([
    { x, y },
    { x: x + w, y },
    { x: x + w, y: y + h },
    { x, y: y + h },
  ]);
/** Length of all edges of what a polygon library leaves. */
const edgesOf = (shapes: MultiPolygon): number =>
  shapes
    .flat()
    .flatMap((loop) => loop.slice(1).map((b, i) => Math.hypot(b[0] - (loop[i]?.[0] ?? 0), b[1] - (loop[i]?.[1] ?? 0))))
    .reduce((a, b) => a + b, 0);
const touching = (meetings: readonly Meeting[], id: string) =>
  meetings.filter((m) => m.a === id || m.b === id).reduce((sum, m) => sum + m.length, 0);
const drawn = ({ geometry }: Meeting) =>
  geometry()
    .flatMap((line) => line.slice(1).map((b, i) => Math.hypot(b.x - (line[i]?.x ?? 0), b.y - (line[i]?.y ?? 0))))
    .reduce((a, b) => a + b, 0);

describe('meetings of a wall', () => {
  test('what a surface meets is all round it: the edges a polygon library (polygon-clipping) leaves of the wall', () => {
    const inch = (least: number, most: number) => fc.integer({ min: least, max: most });
    const part = fc.record({
      kind: fc.constantFrom('panel', 'tile', 'cabinet'),
      x: inch(1, 70),
      y: inch(1, 40),
      w: inch(5, 60),
      h: inch(5, 50),
    });
    const shapes = ['R', 'R h 8 to 9', 'R peak 10 at 5', 'R stairs 2 to 9 up 1.5'];
    fc.assert(
      fc.property(fc.array(part, { minLength: 1, maxLength: 4 }), fc.constantFrom(...shapes), (parts, wall) => {
        const lines = parts.map((p, i) => `${p.kind} p${i} on A ${p.w}" x ${p.h}" at ${p.x}" sill ${p.y}"`);
        const t = takeoff(box(['window w on A 2 x 2 at 9 sill 4', ...lines].join('\n'), wall));
        const [a] = t.walls;
        if (!a) throw new Error('no wall');
        const above = [...a.parts].sort((p, q) => Number(p.kind !== 'panel') - Number(q.kind !== 'panel'));
        const over = above.map((p) => {
          const { left, right, bottom, top } = placeOf(p, a.outline);
          return rectangle(left, bottom, right - left, top - bottom);
        });
        const hole = rectangle(9 * FOOT, 4 * FOOT, 2 * FOOT, 2 * FOOT);
        const field = polygonClipping.difference(ring(polygonOf(a.outline)), ...over, hole);
        const corners = t.meetings.filter((m) => m.kind === 'corner');
        const own = (id: string) => touching(t.meetings, id);
        // a corner is as high as the lower of its walls; the rest of a taller one stands free
        const free = [a.outline.top[0], a.outline.top.at(-1)].reduce((sum, p) => sum + ((p?.y ?? 0) - 8 * FOOT), 0);
        const foot = a.outline.foot.at(-1)?.y ?? 0;
        expect(own(`${a.wall.id}/field`) + Math.max(0, free - foot)).toBeCloseTo(edgesOf(field), 6);
        for (const region of a.regions) {
          const i = above.indexOf(region.part);
          const seen = polygonClipping.intersection(
            ring(polygonOf(a.outline)),
            polygonClipping.difference(at(over, i), ...over.slice(i + 1), hole),
          );
          expect(own(`${a.wall.id}/region/${region.part.id}`)).toBeCloseTo(edgesOf(seen), 6);
        }
        for (const m of t.meetings.filter((x) => x.kind !== 'fixture')) expect(drawn(m)).toBeCloseTo(m.length, 6);
        expect(corners.length).toBeGreaterThanOrEqual(4);
      }),
      runs(67),
    );
  });

  test('by hand: a dado on two walls, a cabinet in their corner, a cased door in its lining', () => {
    const t = takeoff(
      box(
        `door d on A 2'6 x 6'8 at 3 casing 2 1/2" frame 5" leaf flush\ndado y on A 3\ndado z on B 3\n` +
          `cabinet c on B 2 x 2 at 0 sill 6\nlight l count 2\ntrim baseboard 5"`,
      ),
    );
    const of = (kind: string) =>
      t.meetings
        .filter((m) => m.kind === kind)
        .map((m) => Number((m.length / FOOT).toFixed(4)))
        .sort();
    // the corner of A and B: dado to dado 3 ft, wall to wall 3 ft, wall to cabinet 2 ft; then three of 8 ft and two dados end
    expect(of('corner')).toEqual([2, 3, 3, 3, 3, 5, 5, 8]);
    expect(of('region')).toEqual([10, Number((12 - 2.5 - 5 / 12).toFixed(4))].sort());
    expect(of('cover')).toEqual([4]);
    expect(of('frame-leaf')).toEqual([Number((2 * (6 + 8 / 12) + 2.5).toFixed(4))]);
    const frame = t.meetings.find((m) => m.kind === 'casing-frame');
    expect(frame && drawn(frame)).toBeCloseTo(frame?.length ?? 0, 6);
    expect(t.meetings.find((m) => m.kind === 'fixture')).toMatchObject({ a: `${t.room.id}/ceiling`, wall: null });
  });

  test('corners know which way they turn, and are the same whichever wall the walk begins with', () => {
    const ell = ['A 12 R', 'B 6 R', 'C 5 L', 'D 4 R', 'E 7 R', 'F 10 R'].map((w) => `wall ${w}`);
    const room = (walls: readonly string[]) => takeoff(`units ft\nroom Ell\nheight 8\n${walls.join('\n')}\n`);
    const corners = room(ell).meetings.filter((m) => m.kind === 'corner');
    expect(corners.map((m) => m.corner)).toEqual(['inside', 'inside', 'outside', 'inside', 'inside', 'inside']);
    const sum = (t: RoomTakeoff) => t.lines.map((l) => [l.kind, Number(l.length.value.toFixed(9))]);
    expect(sum(room([...ell.slice(2), ...ell.slice(0, 2)]))).toEqual(sum(room(ell)));
  });

  test('names are unique, stand when the room is measured again, and lines are their sums', () => {
    const sheet = (a: string, h: string) =>
      box(
        `height ${h}\nwindow v on A 2 x 3 at 1 sill 3 casing 3" board 6" apron 3"\nwindow w on A 2 x 3 at 6 sill 3 casing 3"\n` +
          `dado z on C 3\ntrim baseboard 5"\ntrim crown 4"\ntrim chair-rail 3" at 3'`,
        'R',
      ).replace('wall A 12', `wall A ${a}`);
    const ids = (t: RoomTakeoff) =>
      t.meetings.map((m) => m.id.replaceAll(/[^:+/|-]+(?=\/)/g, '').replaceAll(t.room.id, ''));
    const [first, again] = [takeoff(sheet('12', '8')), takeoff(sheet("12'0 1/2", "8'1"))];
    expect(new Set(first.meetings.map((m) => m.id)).size).toBe(first.meetings.length);
    expect(ids(again)).toEqual(ids(first));
    for (const { kind, length } of first.lines)
      expect(length.value).toBeCloseTo(
        first.meetings.filter((m) => m.kind === kind).reduce((sum, m) => sum + m.length, 0),
        9,
      );
    expect(Object.keys(MEETING_RULES)).toEqual(expect.arrayContaining(first.meetings.map((m) => m.kind)));
  });
});
