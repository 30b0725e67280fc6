import type { Opening, Part, Room, Wall } from '../job/measured.ts';
import type { Id, SurfaceId } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import type { LineKind, TrimKind } from '../job/vocabulary.ts';
import type { Metres } from '../units/si.ts';
import type { WallTakeoff } from './face.ts';
import type { Point } from './geometry.ts';
import { boardLength, edgeLength, frameOf, isOffFloor, pointsOf, revealLength } from './openings.ts';
import { climbs, footAt, footLength, heightAt, topLength, type Outline } from './outline.ts';
import type { Edge } from './overlay.ts';
import { fixtureCut, PART_RULES } from './parts.ts';
import { footStretches, obstacles, placeOf, stretches, type Stretch } from './runs.ts';
import { at, pairs, ring } from '../units/list.ts';

/** How two surfaces stand to each other where they touch; a step: one lies on the other, as trim on a wall. */
export type Corner = 'inside' | 'outside' | 'flush' | 'step';

/** Points in the coordinates of a wall: along it from its start, up from the floor. */
export type Polyline = readonly Point[];

/**
 * Where two surfaces of a room touch. `a` and `b` are surface ids, or the id of what is not painted there (a part, an opening,
 * `roomId/floor`). The id is made of kind, both ids and a number among those that touch alike, so it stands when the room is
 * worked out again.
 */
export interface Meeting {
  readonly id: string;
  readonly kind: LineKind;
  readonly a: SurfaceId;
  readonly b: SurfaceId;
  /** The wall it runs along; null: over the ceiling. */
  readonly wall: Id | null;
  readonly corner: Corner;
  readonly length: Metres;
  /** Where it runs on its wall; none for what has no place there (fixtures). */
  readonly geometry: () => readonly Polyline[];
}

interface MeetingRule {
  /** null: as the walk turns. */
  readonly corner: Corner | null;
  /** A brush cuts a wall or a ceiling in along it. */
  readonly cut: boolean;
  /** It is worked above the head. */
  readonly overhead?: boolean;
}
/** Every kind of meeting; LINE_KINDS gives their order. */
export const MEETING_RULES = {
  'wall-ceiling': { corner: 'inside', cut: true, overhead: true },
  'wall-crown': { corner: 'step', cut: true, overhead: true },
  'crown-ceiling': { corner: 'inside', cut: true, overhead: true },
  corner: { corner: null, cut: true },
  'wall-baseboard': { corner: 'step', cut: true },
  'wall-floor': { corner: 'inside', cut: true },
  'wall-stair': { corner: 'inside', cut: true },
  'wall-casing': { corner: 'step', cut: true },
  'wall-opening': { corner: 'outside', cut: true },
  'wall-board': { corner: 'inside', cut: true },
  'wall-chair-rail': { corner: 'step', cut: true },
  'wall-picture-rail': { corner: 'step', cut: true },
  region: { corner: 'flush', cut: true },
  cover: { corner: 'step', cut: true },
  fixture: { corner: 'step', cut: true },
  'baseboard-floor': { corner: 'inside', cut: false },
  'casing-frame': { corner: 'step', cut: false },
  'frame-leaf': { corner: 'step', cut: false },
} as const satisfies Record<LineKind, MeetingRule>;

/** A meeting before it has its number. */
type Touch = Omit<Meeting, 'id' | 'corner' | 'wall' | 'geometry'> & Partial<Pick<Meeting, 'corner' | 'geometry'>>;

const nowhere = (): readonly Polyline[] => [];

/** All meetings of a room, those of length only. `parts`: the sound ones. */
export function meetingsOf(
  job: Pick<Job, 'settings'>,
  room: Room,
  walls: readonly WallTakeoff[],
  parts: readonly Part[],
): Meeting[] {
  const meetings: Meeting[] = [];
  const alike = new Map<string, number>();
  const add = (wall: Id | null, touches: readonly Touch[]) => {
    for (const { kind, a, b, length, geometry = nowhere, corner } of touches) {
      if (!(length > 0)) continue;
      const name = `${kind}:${a}+${b}`;
      const n = (alike.get(name) ?? 0) + 1;
      alike.set(name, n);
      const turns = corner ?? MEETING_RULES[kind].corner ?? 'inside';
      meetings.push({ id: `${name}:${n}`, kind, a, b, wall, corner: turns, length, geometry });
    }
  };
  for (const w of walls) add(w.wall.id, alongWall(job, room, w));
  walls.forEach((w, i) => add(w.wall.id, cornerAfter(walls, w, i)));
  add(
    null,
    parts.filter((p) => p.wall === null).map((p) => fixtureOn(job, ceilingOf(room), p)),
  );
  return meetings;
}

const ceilingOf = (room: Pick<Room, 'id'>): SurfaceId => `${room.id}/ceiling`;
const floorOf = (room: Pick<Room, 'id'>): SurfaceId => `${room.id}/floor`;
const fieldOf = (wall: Pick<Wall, 'id'>): SurfaceId => `${wall.id}/field`;

const fixtureOn = (job: Pick<Job, 'settings'>, on: SurfaceId, part: Part): Touch => ({
  kind: 'fixture',
  a: on,
  b: part.id,
  length: fixtureCut(job, part),
});

/** Everything but its corners. */
function alongWall(job: Pick<Job, 'settings'>, room: Room, w: WallTakeoff): Touch[] {
  const { wall, outline, openings, parts, runs } = w;
  const field = fieldOf(wall);
  const crown: Touch = {
    kind: 'crown-ceiling',
    a: ceilingOf(room),
    b: `${room.id}/crown`,
    length: topLength(outline),
    geometry: () => [outline.top],
  };
  const trim = openings.flatMap((o) => roundLeaf(room, o));
  const foot: Touch = {
    kind: 'baseboard-floor',
    a: `${room.id}/baseboard`,
    b: floorOf(room),
    length: runs.baseboard ?? 0,
    geometry: () => feet(room, w).map(({ left, right, bottom }) => level(left, right, bottom)),
  };
  const touches = w.seen ? ofEdges(room, w, w.seen.edges) : plain(room, w);
  const fixtures = parts.map((part) => fixtureOn(job, field, part));
  return [...touches, ...(room.trim.crown ? [crown] : []), foot, ...fixtures, ...trim];
}

const level = (left: Metres, right: Metres, y: Metres): Polyline => [
  { x: left, y },
  { x: right, y },
];
const feet = (room: Room, { outline, openings, parts }: WallTakeoff): Stretch[] =>
  footStretches(outline, obstacles(outline, openings, parts), room.trim.baseboard?.face.metres ?? 0);

/** A door in its lining, and the lining in its casing. */
function roundLeaf(room: Room, o: Opening): Touch[] {
  if (!o.frame) return [];
  const [frame, length] = [`${o.id}/frame`, revealLength(o, false)];
  const round = (inwards: Metres) => () => sidesAndHead(pointsOf(frameOf(o, -inwards, false)));
  return [
    {
      kind: 'casing-frame',
      a: `${room.id}/casing`,
      b: frame,
      length: o.casing ? length : 0,
      geometry: round(0),
    },
    {
      kind: 'frame-leaf',
      a: frame,
      b: `${o.id}/leaf`,
      length: o.leaf === 'none' ? 0 : length,
      // where its stop would be drawn
      geometry: round(STOP),
    },
  ];
}
const STOP: Metres = 0.03;

/** Edges of an opening but the one it stands on. */
function sidesAndHead(points: readonly Point[]): Polyline[] {
  const foot = Math.min(...points.map((p) => p.y));
  return pairs(points).filter(([p, q]) => Math.max(p.y, q.y) >= foot + 1e-6);
}

/** The closed forms of a wall that is one surface. */
function plain(room: Room, { wall, outline, openings, parts, runs }: WallTakeoff): Touch[] {
  const a = fieldOf(wall);
  const on = { outline, openings, parts };
  const face = room.trim.baseboard?.face.metres ?? 0;
  const bare = () => footStretches(outline, obstacles(outline, openings, []), 0.001);
  const stairs = climbs(outline) ? footLength(outline) - levelLength(outline) : 0;
  const lengthOf = (list: readonly Stretch[]) => list.reduce((sum, { left, right }) => sum + right - left, 0);
  const rails = (['chair-rail', 'picture-rail'] as const).flatMap((kind): Touch[] => {
    const run = room.trim[kind];
    const length = runs[kind];
    if (!run || length === undefined) return [];
    const [lower, upper] = [run.at?.metres ?? 0, (run.at?.metres ?? 0) + run.face.metres];
    const edges = () =>
      stretches(outline, obstacles(outline, openings, parts), lower, run.face.metres).flatMap(({ left, right }) => [
        level(left, right, lower),
        level(left, right, upper),
      ]);
    return [{ kind: `wall-${kind}`, a, b: `${room.id}/${kind}`, length: 2 * length, geometry: edges }];
  });
  const top: Touch = room.trim.crown
    ? { kind: 'wall-crown', a, b: `${room.id}/crown`, length: topLength(outline), geometry: () => [outline.top] }
    : { kind: 'wall-ceiling', a: ceilingOf(room), b: a, length: topLength(outline), geometry: () => [outline.top] };
  const foot: Touch = room.trim.baseboard
    ? {
        kind: 'wall-baseboard',
        a,
        b: `${room.id}/baseboard`,
        length: runs.baseboard ?? 0,
        geometry: () =>
          footStretches(outline, obstacles(outline, openings, parts), face).map(({ left, right, bottom }) =>
            level(left, right, bottom + face),
          ),
      }
    : {
        kind: 'wall-floor',
        a,
        b: floorOf(room),
        length: lengthOf(bare()),
        geometry: () => bare().map(({ left, right, bottom }) => level(left, right, bottom)),
      };
  const climb: Touch = { kind: 'wall-stair', a, b: floorOf(room), length: stairs, geometry: () => [outline.foot] };
  return [top, foot, climb, ...openings.flatMap((o) => roundOpening(room, on.outline, a, o)), ...rails];
}

function roundOpening(room: Room, outline: Outline, a: SurfaceId, o: Opening): Touch[] {
  const off = isOffFloor(o, outline);
  const frame = frameOf(o, o.casing?.metres ?? 0, off);
  const edge: Touch = {
    kind: o.casing ? 'wall-casing' : 'wall-opening',
    a,
    b: behind(room, o),
    length: edgeLength(o, off),
    geometry: () => [pointsOf(frame)],
  };
  const below = o.apron ? boardLength(o) + 2 * o.apron.metres : o.board ? boardLength(o) : 0;
  const y = (o.sill?.metres ?? 0) - (o.apron?.metres ?? 0);
  const left = o.at.metres - (o.casing?.metres ?? 0);
  const board: Touch = {
    kind: 'wall-board',
    a,
    b: `${o.id}/board`,
    length: below,
    geometry: () => [level(left, left + boardLength(o), y)],
  };
  return [edge, board];
}
/** What a wall is cut against at an opening. */
const behind = (room: Pick<Room, 'id'>, o: Opening): SurfaceId =>
  o.casing ? `${room.id}/casing` : o.reveal?.painted ? `${o.id}/reveal` : o.id;

const levelLength = (outline: Outline): Metres => {
  const [from, to] = outline.stairs;
  return outline.length - (to - from);
};

/** Heights of the two upright edges. */
const heightsOf = ({ top, foot }: Outline): readonly [Metres, Metres] => [
  at(top, 0).y - at(foot, 0).y,
  (top.at(-1) as Point).y - (foot.at(-1) as Point).y,
];

/** A wall with regions, or with something before it: borders of what is seen, each by what lies on its two sides. */
function ofEdges(room: Room, w: WallTakeoff, edges: readonly Edge[]): Touch[] {
  const sides = new Map<string, { readonly touch: Omit<Touch, 'length'>; readonly edges: Edge[]; length: Metres }>();
  for (const edge of edges) {
    const touch = touchOf(room, w, edge);
    if (!touch) continue;
    const layers = edge.a < edge.b ? `${edge.a} ${edge.b}` : `${edge.b} ${edge.a}`;
    const key = `${touch.kind} ${layers}`;
    const side = sides.get(key) ?? { touch, edges: [], length: 0 };
    sides.set(key, side);
    side.edges.push(edge);
    side.length += Math.hypot(edge.to.x - edge.from.x, edge.to.y - edge.from.y);
  }
  return [...sides.values()].map(({ touch, edges: own, length }) => ({
    ...touch,
    length,
    geometry: () => {
      const lines: Polyline[] = [];
      for (const { from, to } of own) join(lines, [from, to]);
      return lines;
    },
  }));
}

/** Goes on with a line that ends where the next piece begins, in one direction. */
function join(lines: Polyline[], [from, to]: readonly [Point, Point]): void {
  const i = lines.findIndex((line) => {
    const [before, end] = line.slice(-2) as [Point, Point];
    const near = Math.hypot(end.x - from.x, end.y - from.y) < 1e-9;
    return near && Math.abs((end.x - before.x) * (to.y - from.y) - (end.y - before.y) * (to.x - from.x)) < 1e-9;
  });
  const line = lines[i];
  if (line) lines[i] = [...line.slice(0, -1), to];
  else lines.push([from, to]);
}

/** What meets at a border between two layers of a wall (see `seenOn`); null: nothing that is cut. */
function touchOf(room: Room, w: WallTakeoff, edge: Edge): Omit<Touch, 'length'> | null {
  const rank = (id: string) => Number(id === '') + Number(id.includes(':'));
  const [one, other] = [edge.a, edge.b].sort((p, q) => rank(p) - rank(q)) as [string, string];
  const a = surfaceAt(w, one);
  // two faces of trim, or an opening in its casing
  if (one === '' || one.includes(':')) return null;
  if (other === '') return atEnd(room, w, a, edge);
  const [what, id = ''] = other.split(':');
  if (what === other) {
    const covers = [one, other].find((part) => w.parts.some((p) => p.id === part && isCover(p)));
    if (!covers) return { kind: 'region', a, b: surfaceAt(w, other) };
    const wall = covers === one ? other : one;
    const both = [one, other].every((part) => w.parts.some((p) => p.id === part && isCover(p)));
    return both ? null : { kind: 'cover', a: surfaceAt(w, wall), b: surfaceAt(w, covers) };
  }
  if (what === 'trim') return { kind: `wall-${id as TrimKind}`, a, b: `${room.id}/${id}` };
  if (what === 'apron') return { kind: 'wall-board', a, b: `${id}/board` };
  const o = w.openings.find((opening) => opening.id === id);
  if (!o) return null;
  if (what === 'opening' && o.casing) return { kind: 'wall-board', a, b: `${id}/board` };
  return { kind: o.casing ? 'wall-casing' : 'wall-opening', a, b: behind(room, o) };
}
const isCover = (part: Part): boolean => PART_RULES[part.kind].layer === 'cover';

/** The surface that is seen where a layer lies uppermost. */
function surfaceAt({ wall, parts }: WallTakeoff, layer: string): SurfaceId {
  if (layer === 'field') return fieldOf(wall);
  const part = parts.find((p) => p.id === layer);
  if (!part) return layer;
  const { layer: lies, paints } = PART_RULES[part.kind];
  return lies === 'region' ? `${wall.id}/region/${part.id}` : paints ? `${part.id}/faces` : part.id;
}

/** The border of the wall itself: its top, its foot, or (told by the corners) its ends. */
function atEnd(room: Room, { outline }: WallTakeoff, a: SurfaceId, { from, to }: Edge): Omit<Touch, 'length'> | null {
  const [x, y] = [(from.x + to.x) / 2, (from.y + to.y) / 2];
  const upright = Math.abs(to.x - from.x) < 1e-9;
  if (upright && (x < 1e-6 || x > outline.length - 1e-6)) return null;
  if (!upright && y > (heightAt(outline, x) + footAt(outline, x)) / 2)
    return { kind: 'wall-ceiling', a: ceilingOf(room), b: a };
  const [start, end] = outline.stairs;
  const stairs = start !== end && x > start - 1e-6 && x < end + 1e-6;
  return { kind: stairs ? 'wall-stair' : 'wall-floor', a, b: floorOf(room) };
}

/** What stands at an end of a wall, from its foot up: trim counts as the wall that it lies on. */
interface Upright {
  readonly from: Metres;
  readonly to: Metres;
  readonly surface: SurfaceId;
}
function uprights(w: WallTakeoff, end: 'start' | 'end'): Upright[] {
  const { outline, parts, wall } = w;
  const foot = (outline.foot.at(end === 'start' ? 0 : -1) as Point).y;
  const top = (outline.top.at(end === 'start' ? 0 : -1) as Point).y;
  const order = { region: 0, cover: 1 } as const;
  const layers = parts
    .flatMap((part) => {
      const { layer } = PART_RULES[part.kind];
      return layer ? [{ part, layer, box: placeOf(part, outline) }] : [];
    })
    .filter(({ box }) => (end === 'start' ? box.left < 1e-6 : box.right > outline.length - 1e-6))
    .sort((p, q) => order[p.layer] - order[q.layer]);
  return layers.reduce<Upright[]>(
    (list, { part, box }) => {
      const [from, to] = [Math.max(box.bottom, foot), Math.min(box.top, top)];
      if (to <= from) return list;
      const left = list.flatMap((u): Upright[] =>
        [
          { ...u, to: Math.min(u.to, from) },
          { ...u, from: Math.max(u.from, to) },
        ].filter((piece) => piece.to > piece.from),
      );
      return [...left, { from, to, surface: surfaceAt(w, part.id) }];
    },
    [{ from: foot, to: top, surface: fieldOf(wall) }],
  );
}

/** A corner belongs to two walls, and is as high as the lower of them; floors that lie apart are told from the top. */
function cornerAfter(walls: readonly WallTakeoff[], w: WallTakeoff, i: number): Touch[] {
  if (walls.length < 3) return [];
  const next = ring(walls, i + 1);
  const corner = w.wall.turn > 0 ? 'inside' : w.wall.turn < 0 ? 'outside' : 'flush';
  const [here, there] = [uprights(w, 'end'), uprights(next, 'start')];
  const { length } = w.outline;
  const at = (from: Metres, to: Metres) => (): readonly Polyline[] => [
    [
      { x: length, y: from },
      { x: length, y: to },
    ],
  ];
  const touch = (a: SurfaceId, b: SurfaceId, run: Metres, from: Metres): Touch => ({
    kind: 'corner',
    ...ordered(a, b),
    corner,
    length: run,
    geometry: at(from, from + run),
  });
  const ends = [w.outline.top.at(-1), next.outline.top[0], w.outline.foot.at(-1), next.outline.foot[0]];
  const [topHere, topThere, footHere, footThere] = ends.map((p) => (p as Point).y) as [Metres, Metres, Metres, Metres];
  if (here.length === 1 && there.length === 1) {
    const run = Math.min(heightsOf(w.outline)[1], heightsOf(next.outline)[0]);
    return [touch((here[0] as Upright).surface, (there[0] as Upright).surface, run, footHere)];
  }
  const shift = Math.abs(footHere - footThere) < 1e-6 ? 0 : topHere - topThere;
  return here.flatMap((p) =>
    there.flatMap((q) => {
      const from = Math.max(p.from, q.from + shift);
      const run = Math.min(p.to, q.to + shift) - from;
      return run > 1e-9 ? [touch(p.surface, q.surface, run, from)] : [];
    }),
  );
}
/** The two walls of a corner in the order of their ids, so that its name does not depend on where the walk begins. */
const ordered = (a: SurfaceId, b: SurfaceId) => (a < b ? { a, b } : { a: b, b: a });

/** Lines cut in along each surface. */
export function cutOf(meetings: readonly Meeting[]): ReadonlyMap<SurfaceId, Metres> {
  const cut = new Map<SurfaceId, Metres>();
  for (const { kind, a, b, length } of meetings)
    if (MEETING_RULES[kind].cut) for (const id of [a, b]) cut.set(id, (cut.get(id) ?? 0) + length);
  return cut;
}
