import { systemOf } from '../job/region.ts';
import type { Job } from '../job/types.ts';
import { effective } from '../specify/reasons.ts';
import type { Specified } from '../specify/specify.ts';
import { heading, said } from '../units/word.ts';
import { nameWord } from '../words/names.ts';
import { prepWord, primerWord, colourWord } from '../words/systems.ts';
import { FABRIC, SHEEN, STYLE, THE } from '../words/terms.ts';
import { toCsv } from './csv.ts';
import { INCH, SQUARE_FOOT } from '../units/si.ts';

const HEADINGS = [
  'room',
  'surface',
  'area',
  'paint',
  'colour',
  'sRGB',
  'sheen',
  'preparation',
  'primer',
  'coats',
  'how',
  'conditioner',
  'pile',
  'fabric',
  'brush',
];

/** The finish schedule: a row a surface with its system as it counts (overrules included). RFC 4180, the job's units. */
export function scheduleCsv(job: Job, surfaces: readonly Specified[]): string {
  const imperial = job.units === 'imperial';
  const headings = HEADINGS.map((name) =>
    name === 'area'
      ? `area (${imperial ? 'ft2' : 'm2'})`
      : name === 'conditioner'
        ? 'conditioner (mL/L)'
        : name === 'pile' || name === 'brush'
          ? `${name === 'pile' ? said(THE.pile, systemOf(job)) : name} (${imperial ? 'in' : 'mm'})`
          : name,
  );
  const size = (metres: number) => Number((imperial ? metres / INCH : metres * 1000).toFixed(3));
  const rows = surfaces.map((s) => {
    const cover = effective(s.system.cover);
    return [
      job.rooms.byId[s.surface.room]?.name ?? '',
      heading(nameWord(s.surface.name), systemOf(job)),
      Number((s.surface.area.value / (imperial ? SQUARE_FOOT : 1)).toFixed(2)),
      s.product.name,
      colourWord(s.colour),
      s.colour.hex,
      said(SHEEN[s.sheen], systemOf(job)),
      said(prepWord(effective(s.system.prep)), systemOf(job)),
      said(primerWord(effective(s.system.primer)), systemOf(job)),
      effective(s.system.coats),
      said(STYLE[effective(s.system.style)], systemOf(job)),
      Math.round(effective(s.system.conditioner) * 1000),
      size(cover.pile),
      said(FABRIC[cover.fabric], systemOf(job)),
      size(effective(s.system.brush).width),
    ];
  });
  return toCsv([headings, ...rows]);
}
