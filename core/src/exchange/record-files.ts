import type { Job } from '../job/types.ts';
import { systemOf } from '../job/region.ts';
import type { Layer } from '../record/layer.ts';
import { heading, said } from '../units/word.ts';
import type { JobRecord } from '../whole/record.ts';
import { nameWord } from '../words/names.ts';
import { LAID } from '../words/found.ts';
import { SHEEN } from '../words/terms.ts';
import { toCsv } from './csv.ts';

/** The open record of a home: what is on each surface, as the shell prints it, with the names of things. */
export function recordJson(job: Job, record: JobRecord): string {
  const system = systemOf(job);
  const whole = {
    kovelin: 'record',
    version: 1,
    job: { id: job.id, name: job.name },
    surfaces: record.surfaces.map(({ id, specified, layers }) => ({
      id,
      room: job.rooms.byId[specified.surface.room]?.name ?? '',
      name: heading(nameWord(specified.surface.name), system),
      layers: layers.map(({ surface: _, ...layer }: Layer) => layer),
    })),
    leftovers: record.left,
  };
  return `${JSON.stringify(whole, null, 1)}\n`;
}

const HEADINGS = [
  'room',
  'surface',
  'layer',
  'kind',
  'coat',
  'paint',
  'colour',
  'code',
  'hex',
  'formula',
  'sheen',
  'primer',
  'batch',
  'cover',
  'pile mm',
  'laid',
  'thinner',
  'wax',
  'when',
  'who',
  'air C',
  'air RH %',
  'certain',
  'source',
  'note',
] as const;

/** A row a coat, from the oldest up; empty is not known. */
export function recordCsv(job: Job, record: JobRecord): string {
  const system = systemOf(job);
  const rows = record.surfaces.flatMap(({ specified, layers }) =>
    layers.map((layer, i): (string | number)[] => [
      job.rooms.byId[specified.surface.room]?.name ?? '',
      heading(nameWord(specified.surface.name), system),
      i + 1,
      layer.role,
      layer.coat,
      layer.product ?? '',
      layer.colour?.name ?? '',
      layer.colour?.code ?? '',
      layer.colour?.hex ?? '',
      layer.formula ?? '',
      layer.sheen ? said(SHEEN[layer.sheen], system) : '',
      layer.primer ?? '',
      layer.batch ?? '',
      layer.cover?.fabric ?? '',
      layer.cover?.pile == null ? '' : Math.round(layer.cover.pile * 1000),
      layer.laid ? said(LAID[layer.laid], system) : '',
      layer.thinner ?? '',
      layer.wax ?? '',
      layer.when ?? '',
      layer.who ?? '',
      layer.air ? layer.air.temperature : '',
      layer.air ? Math.round(layer.air.humidity * 100) : '',
      layer.certain ? 'yes' : 'no',
      layer.source,
      layer.note ?? '',
    ]),
  );
  return toCsv([[...HEADINGS], ...rows]);
}
