import { setting } from '../job/defaults.ts';
import type { Job } from '../job/types.ts';
import type { Opening, Part, Room } from '../job/measured.ts';
import { familyOf, type SurfaceKind } from '../job/vocabulary.ts';
import type { Metres } from '../units/si.ts';
import { compute, given, type Working } from '../units/working.ts';
import { phrase, type Word } from '../units/word.ts';
import type { Name, NameKind } from '../words/names.ts';
import { TRIM } from '../words/terms.ts';
import type { WallTakeoff } from './face.ts';
import { boardLength, casingLength, isOffFloor, revealLength } from './openings.ts';
import { cutOf, type Meeting } from './meetings.ts';
import { climbs } from './outline.ts';
import { PART_RULES, sizesOf } from './parts.ts';
import { placeOf } from './runs.ts';
import type { Surface, TrimTakeoff } from './surface.ts';

type Context = Pick<Job, 'settings'>;

/** What there is to paint in a room, each with its id, area and the length of its lines. `parts`: the sound ones. */
export function surfacesOf(
  job: Context,
  room: Room,
  walls: readonly WallTakeoff[],
  trim: readonly TrimTakeoff[],
  parts: readonly Part[],
  ceilingArea: Working | null,
  meetings: readonly Meeting[],
): Surface[] {
  const surfaces: Surface[] = [];
  const cut = cutOf(meetings);
  const add = (id: string, kind: SurfaceKind, name: Name, area: Working, more: Partial<Measured> = {}) =>
    surfaces.push({
      id,
      kind,
      room: room.id,
      name,
      wall: more.wall ?? null,
      area,
      length: more.length ?? 0,
      cut: familyOf(kind) === 'trim' ? 0 : (cut.get(id) ?? 0),
      edges: more.edges ?? 0,
      high: more.high ?? 0,
      stairs: more.stairs ?? false,
    });
  const tall = walls.map(standing);
  const over = { high: Math.max(0, ...tall.map((t) => t.high)), stairs: tall.some((t) => t.stairs) };
  if (ceilingArea) add(`${room.id}/ceiling`, 'ceiling', only('ceiling'), ceilingArea, over);
  for (const w of walls) {
    const wall = w.wall.id;
    const { label } = w.wall;
    const placed = { wall, ...standing(w) };
    add(`${wall}/field`, 'wall', { kind: 'wall', label, wall: null }, w.painted, placed);
    for (const { part, area } of w.regions) {
      const name = { kind: part.kind, label: part.label, wall: label };
      add(`${wall}/region/${part.id}`, 'wall', name, area, { ...placed, high: placeOf(part, w.outline).top });
    }
  }
  for (const t of trim) {
    const high = t.kind === 'crown' ? over : {};
    add(`${room.id}/${t.kind}`, t.kind, only(t.kind), t.area, { length: t.length.value, ...high });
  }
  for (const w of walls)
    for (const o of w.openings)
      for (const { id, kind, name, area, length, edges } of piecesOf(job, o, isOffFloor(o, w.outline)))
        add(`${o.id}/${id}`, kind, name, area, { wall: w.wall.id, length, edges });
  for (const part of parts) {
    const rule = PART_RULES[part.kind];
    if (!rule.paints || !rule.area) continue;
    const on = walls.find((w) => w.wall.id === part.wall);
    const sizes = sizesOf(job, part, on?.outline ?? null, on?.openings ?? []);
    const length = rule.run?.(sizes) ?? 0;
    const name = { kind: part.kind, label: part.label, wall: null };
    add(`${part.id}/faces`, rule.paints, name, rule.area(sizes), { wall: part.wall, length });
  }
  return surfaces;
}
type Measured = Pick<Surface, 'wall' | 'length' | 'edges' | 'high' | 'stairs'>;

/** How high a wall goes above its foot, and whether that climbs. */
const standing = ({ outline }: WallTakeoff): Pick<Surface, 'high' | 'stairs'> => ({
  high: Math.max(...outline.top.map((p) => p.y)) - Math.min(...outline.foot.map((p) => p.y)),
  stairs: climbs(outline),
});

/** A room has one of these. */
const only = (kind: NameKind): Name => ({ kind, label: '', wall: null });

type Piece = Pick<Surface, 'id' | 'kind' | 'name' | 'area' | 'length' | 'edges'>;

/** What is painted of an opening besides its casing on this side. */
function piecesOf(job: Context, o: Opening, offFloor: boolean): Piece[] {
  const pieces: Piece[] = [];
  const add = (id: string, kind: SurfaceKind, name: NameKind, area: Working, length: Metres = 0, edges: Metres = 0) =>
    pieces.push({ id, kind, name: { kind: name, label: o.label, wall: null }, area, length, edges });
  const run = (name: Word, length: Metres, girth: Metres) =>
    compute('product', name, 'area', given('run', length, 'length'), given('girth', girth, 'length'));
  if (o.leaf !== 'none') add('leaf', 'door', 'door', leafArea(job, o), 0, 2 * o.height.metres + o.width.metres);
  if (o.kind === 'door' && o.frame) {
    const length = revealLength(o, false);
    const girth = o.frame.metres + setting(job, 'door.stop');
    add('frame', 'frame', 'lining', run('lining and stops', length, girth), length);
  }
  if (o.back) {
    const length = casingLength(o, offFloor, o.back.metres);
    const face = compute(
      'product',
      phrase`${TRIM.casing}, far side`,
      'area',
      given('run', length, 'length'),
      given('girth', o.girth?.metres ?? o.back.metres, 'length'),
    );
    add('back', 'casing', 'back', face, length);
  }
  if (o.sash !== 'none') {
    const length = sashLength(o);
    add('sash', 'sash', 'sash', run('stiles, rails and bars', length, setting(job, 'sash.girth')), length);
  }
  if (o.reveal?.painted) {
    const length = revealLength(o, offFloor);
    const depth = given('depth', o.reveal.depth.metres, 'length');
    const area = compute('product', 'returns', 'area', given('round the opening', length, 'length'), depth);
    add('reveal', 'wall', 'reveal', area);
  }
  if (o.board || o.apron) {
    const length = boardLength(o);
    const terms = [
      ...(o.board ? [run('board and its edge', length, o.board.metres + setting(job, 'board.edge'))] : []),
      ...(o.apron ? [run('apron', length, o.apron.metres)] : []),
    ];
    add('board', 'board', 'board', compute('sum', 'board and apron', 'area', ...terms), length);
  }
  return pieces;
}

/** Stiles, rails and bars of one side of a window, by the way it opens: a hung or a sliding one is two sashes. */
function sashLength({ width: { metres: w }, height: { metres: h }, sash, panels }: Opening): Metres {
  const [sashes, sw, sh] = sash === 'hung' ? [2, w, h / 2] : sash === 'sliding' ? [2, w / 2, h] : [1, w, h];
  return sashes * (2 * sw + 2 * sh + (panels.rows - 1) * sw + (panels.columns - 1) * sh);
}

/** The faces of the leaf, developed over its panels or less its panes, and its three painted edges (the bottom one is not seen). */
function leafArea(job: Context, o: Opening): Working {
  const [w, h] = [given('width', o.width.metres, 'length'), given('height', o.height.metres, 'length')];
  const flat = compute('product', 'face', 'area', w, h);
  const face = o.leaf === 'flush' ? flat : panelledFace(job, o, flat);
  const faces = compute('product', 'faces', 'area', face, given('faces painted', o.faces, 'count'));
  const edge = compute(
    'product',
    'edges',
    'area',
    compute('sum', 'edge', 'length', h, h, w),
    given('thickness', setting(job, 'door.thickness'), 'length'),
  );
  return compute('sum', `Door ${o.label}`, 'area', faces, edge);
}

/** Panels stand between stiles and rails of one width; their mouldings add paint, panes of glass take it away. */
function panelledFace(job: Context, o: Opening, flat: Working): Working {
  const { rows: r, columns: c } = o.panels;
  const stile = setting(job, 'door.stile');
  const pw = Math.max(0, (o.width.metres - (c + 1) * stile) / c);
  const ph = Math.max(0, (o.height.metres - (r + 1) * stile) / r);
  const n = given('panels', r * c, 'count');
  if (o.leaf === 'glazed')
    return compute(
      'difference',
      'face less its glass',
      'area',
      flat,
      compute('product', 'panes', 'area', n, given('pane width', pw, 'length'), given('pane height', ph, 'length')),
    );
  return compute(
    'sum',
    'developed face',
    'area',
    flat,
    compute(
      'product',
      phrase`mouldings`,
      'area',
      n,
      given('edge of a panel', 2 * (pw + ph), 'length'),
      given(phrase`its moulding adds`, setting(job, 'door.moulding'), 'length'),
    ),
  );
}

/** Casing on this side as runs and faces. */
export function casingTrim(walls: readonly WallTakeoff[]): TrimTakeoff | null {
  const cased = walls.flatMap((w) =>
    w.openings.filter((o) => o.casing).map((o) => ({ o, off: isOffFloor(o, w.outline) })),
  );
  if (!cased.length) return null;
  const lengths = cased.map(({ o, off }) => given(o.label, casingLength(o, off), 'length'));
  const areas = cased.map(({ o, off }) => {
    const length = given('run', casingLength(o, off), 'length');
    return compute('product', o.label, 'area', length, given('girth', (o.girth ?? o.casing)?.metres ?? 0, 'length'));
  });
  return {
    kind: 'casing',
    length: compute('sum', TRIM.casing, 'length', ...lengths),
    area: compute('sum', TRIM.casing, 'area', ...areas),
  };
}
