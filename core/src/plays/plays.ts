import { setting } from '../job/defaults.ts';
import { rows } from '../job/table.ts';
import { familyOf, type Hand } from '../job/vocabulary.ts';
import type { Opening, Part } from '../job/measured.ts';
import { effective } from '../specify/reasons.ts';
import { isTexturedDoor } from '../specify/system.ts';
import { because, type Reason } from '../words/reasons.ts';
import { broadPlay } from './broad.ts';
import { leafStrokes, type Leaf } from './door.ts';
import type { PlayAsk } from './ground.ts';
import { pieceStrokes, revealStrokes, wholeStroke } from './pieces.ts';
import { boxShape, shared, type Draft, type Drafted, type Play } from './play.ts';
import { sashStrokes } from './window.ts';

/**
 * How one coat of a surface is painted, stroke by stroke. Its minutes are those of the operations given (`done`), its
 * litres the coat's; its shapes tile the surface. A surface of no area has no strokes.
 */
export function playOf(ask: PlayAsk): Play {
  const { specified, layer, coat, done, litres } = ask;
  const { surface } = specified;
  const { drafts, stations, way, how } = surface.area.value > 1e-9 ? draftedOf(ask) : NOTHING;
  return { surface: surface.id, layer, coat, ...shared(drafts, done, litres), stations, way, how };
}
const NOTHING: Drafted = { drafts: [], stations: [], way: null, how: [] };
const plain = (drafts: readonly Draft[], how: readonly Reason[] = []): Drafted => ({
  drafts,
  stations: [],
  way: null,
  how,
});

function draftedOf(ask: PlayAsk): Drafted {
  const { surface } = ask.specified;
  const area = surface.area.value;
  if (surface.kind === 'door') return doorPlay(ask) ?? plain(wholeStroke(area));
  if (surface.kind === 'sash') return sashPlay(ask) ?? plain(runs(ask));
  const part = partOf(ask);
  if (part?.kind === 'spindles') return plain(spindles(part, ask), [because('play.spindles')]);
  if (surface.length > 0) return plain(runs(ask), [because('play.run')]);
  const broad = familyOf(surface.kind) === 'trim' ? null : broadPlay(ask);
  if (broad) return broad;
  const opening = openingOf(ask, 'reveal');
  if (opening) return plain(revealStrokes(opening, area));
  const piece = part && pieceStrokes(part, area);
  return piece ? plain(piece.drafts, piece.how ? [because(piece.how)] : []) : plain(wholeStroke(area));
}

const openingOf = ({ takeoff, specified }: PlayAsk, piece: string): Opening | undefined =>
  rows(takeoff.room.openings).find((o) => specified.surface.id === `${o.id}/${piece}`);
const partOf = ({ takeoff, specified }: PlayAsk): Part | undefined =>
  takeoff.parts.find((p) => specified.surface.id === `${p.id}/faces`);

/** Trim in sections, strokes one way, each begun in the dry and ended in the wet. */
function runs({ job, specified: { surface }, hand }: PlayAsk): Draft[] {
  const girth = surface.area.value / surface.length;
  const count = Math.max(1, Math.ceil(surface.length / setting(job, 'trim.section') - 1e-9));
  const each = surface.length / count;
  return Array.from({ length: count }, (_, i): Draft => {
    const n = hand === 'right' ? count - 1 - i : i;
    const shape = [boxShape(n * each, (n + 1) * each, 0, girth)];
    const ends = [
      { x: n * each, y: girth / 2 },
      { x: (n + 1) * each, y: girth / 2 },
    ];
    // out of the dry, into the wet
    const path = hand === 'right' ? ends : ends.toReversed();
    const area = each * girth;
    return { id: `run-${i + 1}`, kind: 'run', shape, area, path, film: area, weight: each, of: () => true };
  });
}

/** More than that are drawn as one run. */
const SPINDLES = 60;
/** Each from the top down, its faces one after the other. */
function spindles(part: Part, ask: PlayAsk): Draft[] {
  const n = part.count;
  if (n < 1 || n > SPINDLES) return runs(ask);
  const area = ask.specified.surface.area.value / n;
  const high = part.height?.metres || 1;
  const girth = area / high;
  return Array.from({ length: n }, (_, i): Draft => {
    const x = i * girth * 2;
    const path = [
      { x: x + girth / 2, y: high },
      { x: x + girth / 2, y: 0 },
    ];
    return {
      id: `spindle-${i + 1}`,
      kind: 'run',
      shape: [boxShape(x, x + girth, 0, high)],
      area,
      path,
      film: area,
      weight: 1,
      of: () => true,
    };
  });
}

function sashPlay(ask: PlayAsk): Drafted | null {
  const opening = openingOf(ask, 'sash');
  if (!opening) return null;
  const { length, area } = ask.specified.surface;
  const drafts = sashStrokes(opening, length > 0 ? area.value / length : 0);
  return plain(drafts, [because('play.sash'), ...(opening.sash === 'fixed' ? [] : [because('play.moved')])]);
}

/** The leaf of a door whose faces are painted; null: it is none. */
export function leafOf(ask: PlayAsk): Leaf | null {
  const { job } = ask;
  const opening = openingOf(ask, 'leaf');
  if (!opening) return null;
  const [width, height] = [opening.width.metres, opening.height.metres];
  const { rows: down, columns } = opening.panels;
  // of more panels than fit, stiles and rails take half of it
  const stile = Math.min(setting(job, 'door.stile'), width / 2 / (columns + 1), height / 2 / (down + 1));
  return {
    width,
    height,
    rows: down,
    columns,
    stile,
    moulding: opening.leaf === 'panelled' ? setting(job, 'door.moulding') : 0,
    thickness: setting(job, 'door.thickness'),
    faces: opening.faces,
    kind: opening.leaf === 'none' ? 'flush' : opening.leaf,
  };
}

function doorPlay(ask: PlayAsk): Drafted | null {
  const { job, specified: s, hand, coat, coats, layer } = ask;
  const leaf = leafOf(ask);
  if (!leaf) return null;
  const textured = isTexturedDoor({ kind: 'door', survey: s.survey });
  const rolled = textured && job.practice.doors === 'rolled';
  const by = s.product.dry < setting(job, 'dry.quick') ? 'row' : 'kind';
  const how: (Reason | false)[] = [
    because('play.hung'),
    because('play.edges'),
    leaf.kind !== 'flush' && because(by === 'row' ? 'play.row-by-row' : 'play.joints'),
    because(textured ? (rolled ? 'play.rolled-out' : 'play.pieces') : 'play.smooth', {
      pile: effective(s.system.cover).pile,
    }),
    leaf.faces === 2 && because('play.faces-in-turn'),
    because('play.drips'),
    layer === 'finish' && coat === coats && because('play.waxed'),
  ];
  return plain(
    fitted(leafStrokes(leaf, { rolled, by, hand }), s.surface.area.value),
    how.filter((r): r is Reason => r !== false),
  );
}

/** Narrower stiles than were measured leave wider panels: areas are those of the takeoff. */
function fitted(drafts: readonly Draft[], area: number): Draft[] {
  const drawn = drafts.reduce((sum, d) => sum + (d.area ?? 0), 0);
  const scale = drawn > 0 ? area / drawn : 1;
  return drafts.map((d) => ({ ...d, area: (d.area ?? 0) * scale }));
}

/** The hand that paints: that of the crew; one of each, the right. */
export const handOf = (people: readonly { readonly hand: Hand }[]): Hand =>
  people.every(({ hand }) => hand === 'left') ? 'left' : 'right';

/** Coats of a layer of a surface that a play can be asked for. */
export const coatsOf = ({ specified: s, layer }: Pick<PlayAsk, 'specified' | 'layer'>): number =>
  layer === 'finish'
    ? effective(s.system.coats)
    : s.primers.reduce((n, { layer: l, product }) => n + (product && l.extent === 'full' ? l.coats : 0), 0);
