import { setting } from '../job/defaults.ts';
import type { Job, Opening, Room } from '../job/types.ts';
import type { TrimKind } from '../job/vocabulary.ts';
import { compute, given, type Working } from '../units/working.ts';
import { topLength } from './outline.ts';
import type { Surface, TrimTakeoff, WallTakeoff } from './takeoff.ts';

export const TRIM_NAMES: Readonly<Record<TrimKind | 'casing', string>> = {
  baseboard: 'Baseboard',
  crown: 'Crown',
  'chair-rail': 'Chair rail',
  'picture-rail': 'Picture rail',
  casing: 'Casing',
};

const sumOf = (terms: readonly Working[]) => terms.reduce((total, term) => total + term.value, 0);

/** What there is to paint in a room, each with its id, area and lines. */
export function surfacesOf(
  job: Pick<Job, 'settings'>,
  room: Room,
  walls: readonly WallTakeoff[],
  trim: readonly TrimTakeoff[],
  ceilingArea: Working | null,
): Surface[] {
  const base = { room: room.id, wall: null, length: 0, cut: 0 };
  const surfaces: Surface[] = [];
  if (ceilingArea)
    surfaces.push({
      ...base,
      id: `${room.id}/ceiling`,
      kind: 'ceiling',
      name: 'Ceiling',
      area: ceilingArea,
      cut: walls.reduce((s, w) => s + topLength(w.outline), 0),
    });
  for (const w of walls)
    surfaces.push({
      ...base,
      id: `${w.wall.id}/field`,
      kind: 'wall',
      name: `Wall ${w.wall.label}`,
      wall: w.wall.id,
      area: w.painted,
      cut: sumOf(w.lines),
    });
  for (const t of trim)
    surfaces.push({
      ...base,
      id: `${room.id}/${t.kind}`,
      kind: t.kind,
      name: TRIM_NAMES[t.kind],
      area: t.area,
      length: t.length.value,
    });
  for (const w of walls)
    for (const o of w.openings)
      if (o.leaf !== 'none')
        surfaces.push({
          ...base,
          id: `${o.id}/leaf`,
          kind: 'door',
          name: `Door ${o.label}`,
          wall: w.wall.id,
          area: leafArea(job, o),
        });
  return surfaces;
}

/** This room's face of the leaf, developed over its panels, and its three painted edges (the bottom one is not seen). */
function leafArea(job: Pick<Job, 'settings'>, opening: Opening): Working {
  const [w, h] = [given('width', opening.width.metres, 'length'), given('height', opening.height.metres, 'length')];
  const factor = opening.leaf === 'panelled' ? setting(job, 'door.panelFactor') : 1;
  const face = compute('product', 'face', 'area', w, h, given('panel factor', factor, 'ratio'));
  const edge = compute(
    'product',
    'edges',
    'area',
    compute('sum', 'edge', 'length', h, h, w),
    given('thickness', setting(job, 'door.thickness'), 'length'),
  );
  return compute('sum', `Door ${opening.label}`, 'area', face, edge);
}
