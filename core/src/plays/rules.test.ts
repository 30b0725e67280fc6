import { describe, expect, test } from '@jest/globals';
import { edited, opened } from '../testing/jobs.ts';
import { readAny } from '../exchange/read.ts';
import type { DefaultKey } from '../job/defaults.ts';
import { type Edit } from '../job/edits.ts';
import type { Job } from '../job/types.ts';
import { dipOf } from '../paces/minutes.ts';
import { effective } from '../specify/reasons.ts';
import type { PlayWish } from '../whole/coat-ask.ts';
import { playFor } from '../whole/play.ts';
import { wholeOf } from '../whole/whole.ts';
import type { Play, Stroke } from './play.ts';

// Rules of the trade as named checks: common practice, no source, where none is named.

const SHEET = `units m
room Bedroom
height 2.5
wall A 4 R
wall B 3 R
wall C 4 R
wall D 3 R
door d1 on A 0.8 x 2.05 at 1 casing 0.07 leaf panelled 3 x 2
door d2 on B 0.76 x 2 at 1 casing 0.07 leaf panelled 9 x 9 faces 2
window w1 on C 1.2 x 1.4 at 1 sill 0.9 casing 0.07 sash hung 2 x 2
window w2 on D 1 x 1 at 1 sill 1 casing 0.07 sash sliding 1 x 1
panel p1 on D 2 x 0.3 at 0.5 sill 0.3
radiator x1 on B 0.9 x 0.6 deep 0.1 at 2 sill 0.1
shelf x2 0.9 x 0.02 deep 0.25 count 2
furniture x3 1 x 0.9 deep 0.5
spindles x4 0.15 x 0.9 count 6
trim baseboard 0.12 m
air 20 50 0.1
`;
const plain = opened(SHEET);
const jobOf = (...edits: Edit[]): Job => edited(plain, ...edits);
const room = Object.values(plain.rooms.byId)[0];
const labelled = (label: string) =>
  [room?.openings, room?.parts, room?.walls].flatMap((t) => Object.values(t?.byId ?? {})).find((o) => o.label === label)
    ?.id ?? '';
const id = {
  wall: `${labelled('A')}/field`,
  ceiling: `${room?.id}/ceiling`,
  door: `${labelled('d1')}/leaf`,
  ninety: `${labelled('d2')}/leaf`,
  hung: `${labelled('w1')}/sash`,
  sliding: `${labelled('w2')}/sash`,
  panel: `${labelled('D')}/region/${labelled('p1')}`,
};
const faces = (label: string) => `${labelled(label)}/faces`;
function play(surface: string, wish: Partial<PlayWish> = {}, job: Job = plain): Play {
  const found = playFor(job, surface, { coat: 1, ...wish });
  if (!found) throw new Error(`no play of ${surface}`);
  return found;
}
const practice = (set: Partial<Job['practice']>): Edit => ({ name: 'setPractice', args: { set } });
const setting = (key: DefaultKey, value: number): Edit => ({ name: 'setSetting', args: { key, value } });
const rules = ({ how }: Play) => how.map((reason) => reason.rule);
const kinds = ({ strokes }: Play) => strokes.map((s) => s.kind);
const at = ({ strokes }: Play, wanted: (s: Stroke) => boolean) => strokes.findIndex(wanted);
const lastAt = ({ strokes }: Play, wanted: (s: Stroke) => boolean) => strokes.findLastIndex(wanted);
const total = (list: readonly Stroke[], of: 'minutes' | 'litres' | 'load' | 'area') =>
  list.reduce((sum, s) => sum + s[of], 0);
const coatsOf = (surface: string, job = plain) => {
  const found = wholeOf(job).surfaces.find((s) => s.surface.id === surface);
  return found ? effective(found.system.coats) : 0;
};

describe('walls', () => {
  test('loads: none beyond what the cover takes up, and together they are what is rolled', () => {
    for (const spread of ['zigzag', 'upright'] as const) {
      const job = jobOf(practice({ spread }));
      const { strokes } = play(id.wall, {}, job);
      const dips = strokes.filter((s) => s.kind === 'dip');
      const cover = wholeOf(job).surfaces.find((s) => s.surface.id === id.wall)?.system.cover;
      const most = dipOf(job, cover ? effective(cover) : { width: 0, pile: 0 });
      expect(Math.max(...dips.map((d) => d.load))).toBeLessThanOrEqual(most * 1.001);
      const rolled = strokes.filter((s) => s.kind === 'spread' || s.kind === 'ends');
      expect(total(dips, 'load')).toBeCloseTo(total(rolled, 'litres'), 9);
      expect(rolled.every((s) => strokes.findIndex((d) => d.kind === 'dip') < strokes.indexOf(s))).toBe(true);
    }
  });
  test('cut in from the top, round what is in the way, along the floor last; the first load of a new cover rests', () => {
    const { strokes } = play(id.wall);
    const cuts = strokes.filter((s) => s.kind === 'cut').map((s) => s.id);
    expect([cuts[0], cuts.at(-1)]).toEqual([
      expect.stringContaining('cut:wall-ceiling'),
      expect.stringContaining('cut:wall-baseboard'),
    ]);
    expect(strokes.find((s) => s.kind !== 'cut')?.kind).toBe('rest');
  });
  test('top and bottom of a strip come once its loads are spread; each strip goes back into the last', () => {
    const { strokes } = play(id.wall);
    const ends = strokes.findIndex((s) => s.id === 'strip-2/ends');
    expect(strokes.slice(ends).some((s) => s.id.startsWith('strip-2/') && s.kind === 'spread')).toBe(false);
    const second = strokes.find((s) => s.id === 'strip-2/1');
    expect(second?.overlaps.every((o) => o.stroke.startsWith('strip-1/'))).toBe(true);
    expect(second?.overlaps.length).toBeGreaterThan(0);
  });
  test('laid off one strip at a time when it is warm, more when it is cool, the whole wall when it is quite cool', () => {
    const inAir = (temperature: number, humidity: number) =>
      play(id.wall, {}, jobOf({ name: 'setAir', args: { set: { temperature, humidity } } })).strokes;
    const times = (strokes: readonly Stroke[]) => strokes.filter((s) => s.kind === 'lay-off').length;
    const strips = inAir(30, 0.3).filter((s) => s.kind === 'ends').length;
    expect(times(inAir(30, 0.3))).toBe(strips);
    expect(times(inAir(12, 0.7))).toBeLessThan(strips);
    expect(times(inAir(10, 0.85))).toBe(1);
  });
  test('schools of laying off; paint that dries fast is not laid off at all', () => {
    const path = (layOff: 'up-and-back' | 'down') =>
      play(id.wall, {}, jobOf(practice({ layOff }))).strokes.find((s) => s.kind === 'lay-off')?.path ?? [];
    const [up, down] = [path('up-and-back'), path('down')];
    expect([up.length, (up[1]?.y ?? 0) > (up[0]?.y ?? 0)]).toEqual([3, true]);
    expect([down.length, (down[1]?.y ?? 0) < (down[0]?.y ?? 0)]).toEqual([2, true]);
    const quick = play(id.wall, {}, jobOf(setting('dry.quick', 600)));
    expect(kinds(quick)).not.toContain('lay-off');
    expect(rules(quick)).toContain('play.no-lay-off');
  });
  test('a first coat may be rolled before it is cut, and stops short; the last is cut, then rolled', () => {
    const job = jobOf(practice({ firstCoats: 'roll-first' }));
    const last = coatsOf(id.wall, job);
    const [first, end] = [play(id.wall, { coat: 1 }, job), play(id.wall, { coat: last }, job)];
    const isCut = (s: Stroke) => s.kind === 'cut';
    const isRolled = (s: Stroke) => s.kind === 'spread';
    expect(at(first, isCut)).toBeGreaterThan(lastAt(first, isRolled));
    expect(lastAt(end, isCut)).toBeLessThan(at(end, isRolled));
    expect([rules(first).includes('play.short'), rules(end).includes('play.short')]).toEqual([true, false]);
    const own = wholeOf(job).operations.filter((op) => op.surface === id.wall && op.coat === 1);
    expect(own.findIndex((op) => op.kind === 'roll')).toBeLessThan(own.findIndex((op) => op.kind === 'cut'));
  });
  test('a wide band is rolled over while it is wet, all of it', () => {
    expect(kinds(play(id.wall))).not.toContain('back-roll');
    const { strokes } = play(id.wall, {}, jobOf(setting('cut.band', 0.1)));
    const again = strokes.filter((s) => s.kind === 'back-roll').flatMap((s) => s.overlaps.map((o) => o.stroke));
    const drawn = strokes.filter((s) => s.kind === 'cut' && s.shape.length).map((s) => s.id);
    expect(new Set(again)).toEqual(new Set(drawn));
  });
  test('a band that is too thin is cut again in the first coat, when it is dry', () => {
    const job = jobOf(
      { name: 'setColour', args: { colour: { id: 'grey', name: 'grey green', hex: '#9fb0a8' } } },
      { name: 'setFinish', args: { scope: 'all:wall', finish: { product: 'paint-wall', colour: 'grey' } } },
      setting('hiding.cutFilm', 0.4),
    );
    const cuts = wholeOf(job).operations.filter((op) => op.surface === id.wall && op.kind === 'cut');
    expect(Math.max(...cuts.map((op) => op.coat))).toBeGreaterThan(coatsOf(id.wall, job));
    const first = play(id.wall, {}, job);
    const line = first.strokes.find((s) => s.kind === 'cut-again');
    expect(at(first, (s) => s === line)).toBeGreaterThan(at(first, (s) => s.id === line?.id.split('~')[0]));
    expect(kinds(play(id.wall, { coat: 2 }, job))).not.toContain('cut-again');
  });
  test('hands: from the right, or from the left; a ladder only for what a hand does not reach', () => {
    const start = (hand: 'left' | 'right') =>
      play(id.wall, { hand }).strokes.find((s) => s.kind === 'ends')?.shape[0]?.[0]?.x;
    expect(start('right')).toBeGreaterThan(3);
    expect(start('left')).toBeLessThan(1);
    // and the edges of a kind in the same order
    const corners = (hand: 'left' | 'right') =>
      play(id.wall, { hand })
        .strokes.filter((s) => s.kind === 'cut')
        .flatMap(({ shape }) => shape.map((piece) => piece.map((p) => p.x)))
        .filter((xs) => Math.max(...xs) - Math.min(...xs) < 0.2)
        .map((xs) => Math.round(Math.min(...xs)));
    expect([corners('right')[0], corners('left')[0]]).toEqual([4, 0]);
    const { stations, strokes } = play(id.wall);
    const high = stations.filter((s) => s.kind === 'ladder').flatMap((s) => s.strokes);
    expect(high.length).toBeGreaterThan(0);
    for (const one of high) {
      const tops = strokes.find((s) => s.id === one)?.shape.flatMap((s) => s.map((p) => p.y)) ?? [];
      expect(Math.max(...tops)).toBeGreaterThan(2);
    }
    const dips = strokes.filter((s) => s.kind === 'dip').map((s) => s.id);
    expect(new Set(stations.filter((s) => s.kind === 'tray').flatMap((s) => s.strokes))).toEqual(
      new Set([...dips, ...strokes.filter((s) => ['spread', 'ends', 'lay-off'].includes(s.kind)).map((s) => s.id)]),
    );
  });
  test('a later coat is cut inside a line that was taped for the first', () => {
    const taped = jobOf(
      { name: 'setColour', args: { colour: { id: 'blue', name: 'blue', hex: '#22394f' } } },
      { name: 'setFinish', args: { scope: id.wall, finish: { product: 'paint-wall', colour: 'blue' } } },
      { name: 'setLine', args: { key: 'corner', set: { method: 'tape', stays: 'first' } } },
    );
    const cut = wholeOf(taped).lines[0]?.made.lines.find(({ line }) => line.kind === 'corner');
    const side = cut?.line.sides[1 - cut.chosen.first]?.id ?? '';
    expect([1, 2].map((coat) => rules(play(side, { coat }, taped)).includes('play.inside'))).toEqual([false, true]);
  });
  test('a narrow piece is rolled along its length', () => {
    const { strokes, how } = play(id.panel);
    const box = strokes.find((s) => s.kind === 'spread')?.shape.flat() ?? [];
    const spread = (of: 'x' | 'y') => Math.max(...box.map((p) => p[of])) - Math.min(...box.map((p) => p[of]));
    expect(spread('x')).toBeGreaterThan(spread('y'));
    expect(how.map((r) => r.rule)).toContain('play.narrow');
  });
  test('a primer has its own play, whose minutes are its operations and whose litres are ordered', () => {
    const bare: Edit = { name: 'setSurvey', args: { scope: 'all:wall', set: { substrate: 'drywall', coat: 'bare' } } };
    const job = jobOf(bare);
    const primer = play(id.wall, { layer: 'primer' }, job);
    const ops = wholeOf(job).operations.filter((op) => op.surface === id.wall && /^prime-(cut|roll)$/.test(op.kind));
    expect(primer.minutes).toBeCloseTo(
      ops.reduce((sum, op) => sum + op.minutes.value, 0),
      6,
    );
    expect(total(primer.strokes, 'area')).toBeCloseTo(total(play(id.wall).strokes, 'area'), 6);
    expect(primer.litres).toBeGreaterThan(0);
    expect(playFor(plain, id.wall, { coat: 1, layer: 'primer' })).toBeNull();
  });
});

describe('ceilings', () => {
  test('edges first; without a window it does not matter which way', () => {
    const { strokes, how } = play(id.ceiling);
    expect(lastAt({ strokes } as Play, (s) => s.kind === 'cut')).toBeLessThan(
      at({ strokes } as Play, (s) => s.kind === 'spread'),
    );
    expect(how.map((r) => r.rule)).toContain('play.ceiling-across');
    const dark = edited(
      plain,
      ...['w1', 'w2'].map((label): Edit => ({
        name: 'removeOpening',
        args: { room: room?.id ?? '', opening: labelled(label) },
      })),
    );
    expect(rules(play(id.ceiling, {}, dark))).toContain('play.ceiling-none');
  });
});

describe('doors, windows and pieces', () => {
  const order = (surface: string, job = plain) => play(surface, {}, job).strokes.map((s) => s.id);
  test('textured: rolled all over, then brushed out; or piece by piece, which takes longer; drips last', () => {
    const grain: Edit = { name: 'setSurvey', args: { scope: id.door, set: { texture: 'grain' } } };
    const [rolled, pieces] = (['rolled', 'pieces'] as const).map((doors) =>
      play(id.door, {}, jobOf(grain, practice({ doors }))),
    );
    expect([kinds(rolled as Play).includes('roll-face'), kinds(pieces as Play).includes('roll-face')]).toEqual([
      true,
      false,
    ]);
    expect(pieces?.minutes).toBeGreaterThan(rolled?.minutes ?? 0);
    for (const one of [rolled, pieces]) expect(one?.strokes.at(-1)?.kind).toBe('look');
    expect(rules(play(id.door, { coat: coatsOf(id.door) }))).toContain('play.waxed');
  });
  test('row by row where the paint sets fast; both faces in turn', () => {
    const quick = jobOf(setting('dry.quick', 600));
    expect(order(id.door, quick).indexOf('face1/rail-0')).toBeLessThan(
      order(id.door, quick).indexOf('face1/panel-2-0'),
    );
    expect(order(id.door).indexOf('face1/rail-0')).toBeGreaterThan(order(id.door).indexOf('face1/panel-2-0'));
    const both = play(id.ninety);
    expect(lastAt(both, (s) => s.id.startsWith('face1'))).toBeLessThan(at(both, (s) => s.id.startsWith('face2')));
  });
  test('a leaf of 9 x 9 panels has all of them, as narrow as they are, and the area that was measured', () => {
    const { strokes } = play(id.ninety);
    expect(strokes.filter((s) => s.kind === 'panel')).toHaveLength(2 * 81);
    const measured = wholeOf(plain).surfaces.find((s) => s.surface.id === id.ninety)?.surface.area.value;
    expect(total(strokes, 'area')).toBeCloseTo(measured ?? 0, 6);
  });
  test('a window sash by sash, bars before rails before stiles, each moved before the next', () => {
    const ids = order(id.hung);
    expect(ids.indexOf('move-1')).toBeLessThan(ids.findIndex((s) => s.startsWith('lower')));
    expect(ids.at(-1)).toBe('move-2');
    const upper = play(id.hung)
      .strokes.filter((s) => s.id.startsWith('upper'))
      .map((s) => s.kind);
    expect(upper).toEqual(['bar', 'bar', 'rail', 'rail', 'stile', 'stile']);
    expect(order(id.sliding).filter((s) => s.startsWith('move'))).toHaveLength(2);
  });
  test('what is hard to reach first, what is looked at last: radiators, shelves, furniture; spindles one by one', () => {
    const parts = (label: string) => play(faces(label)).strokes.map((s) => s.part);
    expect(parts('x1')).toEqual(['back', 'ribs', 'ends', 'top', 'front']);
    expect(parts('x2')).toEqual(['underside', 'ends', 'top', 'front-edge', 'underside', 'ends', 'top', 'front-edge']);
    expect(parts('x3').at(-1)).toBe('top');
    expect(rules(play(faces('x3')))).toContain('play.raised');
    expect(play(faces('x4')).strokes).toHaveLength(6);
  });
});

test('a surface of no area, or one that is not painted, has no strokes', () => {
  const tiled = readAny(`${SHEET}tile t9 on A 4 x 2.5 at 0 sill 0\n`, 'Bedroom');
  if (!tiled.ok) throw new Error(tiled.problems[0]?.message);
  const { strokes, minutes, litres } = play(id.wall, {}, tiled.value.job);
  expect([strokes, minutes, litres]).toEqual([[], 0, 0]);
  expect(playFor(plain, 'nowhere/field', { coat: 1 })).toBeNull();
  expect(playFor(plain, id.wall, { coat: 9 })).toBeNull();
});
