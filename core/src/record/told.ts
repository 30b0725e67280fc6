import type { Id } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import { systemOf } from '../job/region.ts';
import type { Litres } from '../units/si.ts';
import { heading, said } from '../units/word.ts';
import { nameWord } from '../words/names.ts';
import { SHEEN } from '../words/terms.ts';
import { coverText, type Label } from './label.ts';
import { paintsOf, plannedLayers, type Recorded, type SurfaceRecord } from './layer.ts';

/** What a label says beside the paint: where it is on, and what is left of it. */
export interface Labelled {
  readonly room: string;
  readonly left: Litres | null;
  readonly note: string;
}

/** “0.8 L” of a label: to the hundredth. */
const leftText = (litres: Litres): string => `${Number(litres.toFixed(2))} L`;

/** The label of a surface: what is seen on it by its record, or what the plan says while nobody did it. */
export function labelOf(
  of: Recorded & { readonly job: Pick<Job, 'earlier'> },
  record: SurfaceRecord,
  { room, left, note }: Labelled,
): Label {
  const system = systemOf(of.job);
  const layers = record.top ? record.layers : plannedLayers(of, record.specified);
  const paint = paintsOf(layers.filter(({ role }) => role === 'finish')).at(-1);
  const top = paint?.top;
  const isPlanned = !record.top;
  const { name = null, code = null } = top?.colour ?? {};
  const colour = [name, code && !name?.includes(code) ? code : null].filter(Boolean).join(', ');
  const remarks = [isPlanned ? 'as planned' : '', top?.laid === 'spray' ? 'sprayed' : '', top?.wax ?? '', note];
  const all: Label = {
    PAINT: top?.product ?? '',
    COLOUR: colour,
    HEX: top?.colour?.hex ?? '',
    FORMULA: top?.formula ?? '',
    SHEEN: top?.sheen ? said(SHEEN[top.sheen], system) : '',
    PRIMER: top?.primer ?? '',
    BATCH: top?.batch ?? '',
    COVER: top?.laid === 'brush' ? 'brush' : coverText(top?.cover?.fabric ?? null, top?.cover?.pile ?? null),
    COATS: paint ? String(Math.min(20, paint.coats)) : '',
    DATE: top?.when ?? '',
    ROOM: room,
    SURFACE: heading(nameWord(record.specified.surface.name), system),
    LEFT: left === null ? '' : leftText(left),
    NOTE: remarks.filter(Boolean).join('; '),
  };
  return Object.fromEntries(Object.entries(all).filter(([, value]) => value !== ''));
}

/** Surfaces of one room that bear the same paint get one label. */
export function labelGroups(
  records: readonly SurfaceRecord[],
  label: (record: SurfaceRecord) => Label,
): { readonly room: Id; readonly surfaces: readonly SurfaceRecord[]; readonly label: Label }[] {
  const groups = new Map<string, { room: Id; surfaces: SurfaceRecord[]; label: Label }>();
  for (const record of records) {
    const { room } = record.specified.surface;
    const own = label(record);
    const key = JSON.stringify([room, { ...own, SURFACE: '' }]);
    const group = groups.get(key);
    if (group) group.surfaces.push(record);
    else groups.set(key, { room, surfaces: [record], label: own });
  }
  return [...groups.values()];
}
