import { labelsFor } from '@kovelin/core/job/labels.ts';
import { newPart } from '@kovelin/core/job/blank.ts';
import type { Part, Room } from '@kovelin/core/job/measured.ts';
import type { PartKind } from '@kovelin/core/job/vocabulary.ts';
import { PART_RULES } from '@kovelin/core/measure/parts.ts';
import { tapeReading, type Reading } from '@kovelin/core/units/reading.ts';
import { INCH, isImperial, type System } from '@kovelin/core/units/si.ts';
import type { JobView } from '../app/job-context.ts';
import { freshId } from '../store/ids.ts';

export type Dimension = 'width' | 'height' | 'depth' | 'at' | 'sill';

/** Starting sizes, metres: plausible, to be taped. */
const START: Readonly<Partial<Record<PartKind, Partial<Record<Dimension, number>>>>> = {
  dado: { height: 0.9 },
  panel: { width: 1.2, height: 1.5, sill: 0.6 },
  tile: { width: 1.8, height: 0.6, sill: 0.9 },
  cabinet: { width: 0.9, height: 0.9 },
  soffit: { width: 1.2, height: 0.3, depth: 0.3, at: 0 },
  recess: { width: 0.6, height: 0.9, depth: 0.2, sill: 0.9 },
  pilaster: { width: 0.4, height: 2.4, depth: 0.15 },
  closet: { width: 1.2, height: 2.1, depth: 0.6 },
  column: { width: 0.3, depth: 0.3, height: 2.4 },
  'round-column': { width: 0.3, height: 2.4 },
  beam: { width: 3, height: 0.2, depth: 0.15 },
  'half-wall': { width: 1.5, height: 1, depth: 0.12 },
  tray: { height: 0.15, depth: 0.45 },
  hatch: { width: 0.6, depth: 0.6 },
  skylight: { width: 0.6, depth: 0.9, height: 0.3 },
  stringer: { width: 3, height: 0.3 },
  spindles: { width: 0.13, height: 0.75 },
  frieze: { sill: 2 },
  handrail: { width: 3, height: 0.2 },
  shelf: { width: 0.9, height: 0.02, depth: 0.25 },
};
const ELSE: Readonly<Record<Dimension, number>> = { width: 0.9, height: 0.6, depth: 0.3, at: 0.3, sill: 0 };

/** A part of a kind as it is before anybody taped it; `said`: what is known of it. */
export function startPart(view: JobView, room: Room, kind: PartKind, said: Partial<Part> = {}): Part {
  const rule = PART_RULES[kind];
  const sized = (key: Dimension) =>
    rule.needs.includes(key) || START[kind]?.[key] ? reading(START[kind]?.[key] ?? ELSE[key], view.system) : null;
  const here = view.surface?.wall ?? room.walls.order[0] ?? null;
  return newPart({
    id: freshId(),
    label: labelsFor(room)(kind),
    kind,
    wall: rule.place === 'wall' || (rule.place === 'anywhere' && kind !== 'light' && kind !== 'detector') ? here : null,
    width: sized('width'),
    height: sized('height'),
    depth: sized('depth'),
    at: sized('at'),
    sill: sized('sill'),
    count: kind === 'spindles' ? 12 : 1,
    ...said,
  });
}

/** A starting size to the inch or the centimetre. */
function reading(metres: number, system: System): Reading {
  const step = isImperial(system) ? INCH : 0.01;
  return tapeReading(Math.round(metres / step) * step, system);
}
