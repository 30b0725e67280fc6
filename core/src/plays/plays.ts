import { setting } from '../job/defaults.ts';
import { rows } from '../job/table.ts';
import { familyOf, type Hand } from '../job/vocabulary.ts';
import { effective } from '../specify/reasons.ts';
import { isTexturedDoor } from '../specify/system.ts';
import { broadStrokes, type BroadAsk } from './broad.ts';
import { leafStrokes, type Leaf } from './door.ts';
import { shared, type Draft, type Play } from './play.ts';

/** A run of trim is brushed in sections about this long, each into the last [common practice, no source]. */
const SECTION = 1;

/** Paint that is dry this soon is brushed row by row [starting judgement]. */
const QUICK = 20;

/**
 * How one coat of a surface is painted, stroke by stroke. Its minutes are those of the operations given (`done`), its
 * litres the coat's; its shapes tile the surface. A surface of no area has no strokes.
 */
export function playOf(ask: BroadAsk): Play {
  const { specified, coat, done, litres } = ask;
  const { surface } = specified;
  const drafts = surface.area.value > 1e-9 ? draftsOf(ask) : [];
  return shared(surface.id, coat, drafts, done, litres);
}

function draftsOf(ask: BroadAsk): Draft[] {
  const { surface } = ask.specified;
  if (surface.kind === 'door') return doorDrafts(ask);
  if (familyOf(surface.kind) !== 'trim') {
    const strokes = broadStrokes(ask);
    return strokes.length ? strokes : pieces(ask);
  }
  return surface.length > 0 ? runs(ask) : pieces(ask);
}

/** A reveal, a column, a piece of furniture: all of it in one go, along its length. */
function pieces({ specified: { surface } }: BroadAsk): Draft[] {
  const area = surface.area.value;
  return [
    {
      id: 'piece',
      kind: 'piece',
      shape: [strip(0, 1, area)],
      area,
      overlaps: [],
      after: null,
      film: area,
      weight: area,
      of: () => true,
    },
  ];
}
const strip = (from: number, to: number, wide: number) => [
  { x: from, y: 0 },
  { x: to, y: 0 },
  { x: to, y: wide },
  { x: from, y: wide },
];

/** Trim in sections, strokes one way, each begun in the dry and ended in the wet. */
function runs({ specified: { surface } }: BroadAsk): Draft[] {
  const girth = surface.area.value / surface.length;
  const count = Math.max(1, Math.ceil(surface.length / SECTION - 1e-9));
  const each = surface.length / count;
  return Array.from({ length: count }, (_, i): Draft => {
    const shape = [strip(i * each, (i + 1) * each, girth)];
    const area = each * girth;
    return {
      id: `run-${i + 1}`,
      kind: 'run',
      shape,
      area,
      overlaps: [],
      after: null,
      film: area,
      weight: each,
      of: () => true,
    };
  });
}

function doorDrafts({ job, takeoff, specified, hand }: BroadAsk): Draft[] {
  const opening = rows(takeoff.room.openings).find((o) => specified.surface.id === `${o.id}/leaf`);
  if (!opening) return [];
  const leaf: Leaf = {
    width: opening.width.metres,
    height: opening.height.metres,
    ...opening.panels,
    stile: setting(job, 'door.stile'),
    moulding: opening.leaf === 'panelled' ? setting(job, 'door.moulding') : 0,
    thickness: setting(job, 'door.thickness'),
    faces: opening.faces,
    kind: opening.leaf === 'none' ? 'flush' : opening.leaf,
  };
  const { columns, rows: down, stile, width, height } = leaf;
  // more stiles than door: nothing is left for panels
  const fits = width > (columns + 1) * stile && height > (down + 1) * stile;
  const textured = isTexturedDoor({ kind: 'door', survey: specified.survey });
  const by = specified.product.dry < QUICK ? 'row' : 'kind';
  return leafStrokes(fits ? leaf : { ...leaf, kind: 'flush', moulding: 0 }, { textured, by, hand });
}

/** The hand that paints: that of the crew; one of each, the right. */
export const handOf = (people: readonly { readonly hand: Hand }[]): Hand =>
  people.every(({ hand }) => hand === 'left') ? 'left' : 'right';

/** Coats of a surface that a play can be asked for. */
export const coatsOf = ({ specified }: Pick<BroadAsk, 'specified'>): number => effective(specified.system.coats);
