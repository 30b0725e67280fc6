import type { Job } from '../job/types.ts';
import { fitLabel, writeLabel, type Label } from '../record/label.ts';
import type { Layer } from '../record/layer.ts';
import { paintKey, type SurfaceRecord } from '../record/layer.ts';
import { labelOf } from '../record/told.ts';
import { bad, good, type Result } from '../units/problem.ts';
import { jobRecord, type JobRecord } from '../whole/record.ts';
import type { LogEntry } from '../site/entry.ts';
import { logFor, type Options, type Read } from './site-contract.ts';

/** `record FILE [--log LOG.jsonl]`: what is on each surface, oldest first; SI, null is not known. */
export function recordContract(job: Job, options: Options, read: Read): Result<unknown> {
  const entries = entriesFor(job, options, read);
  if (!entries.ok) return entries;
  const record = jobRecord(job, entries.value);
  return good({
    surfaces: record.surfaces.map(({ id, specified, layers }) => ({
      id,
      room: job.rooms.byId[specified.surface.room]?.name ?? '',
      layers: layers.map(told),
    })),
    leftovers: record.left,
  });
}
const told = ({ surface: _, ...layer }: Layer) => layer;

/** `label FILE --surface S [--log LOG.jsonl]`: the text of the label’s code. */
export function labelContract(job: Job, options: Options, read: Read): Result<string> {
  const entries = entriesFor(job, options, read);
  if (!entries.ok) return entries;
  const record = jobRecord(job, entries.value);
  const id = options.get('surface');
  const surface = record.surfaces.find((own) => own.id === id);
  if (!surface)
    return bad(
      `--surface is “${id ?? 'left out'}”; the id of a surface of this job is accepted, as takeoff prints it, such as ${record.surfaces[0]?.id ?? ''}.`,
    );
  return good(`${writeLabel(labelFor(record, surface))}\n`);
}

/** The label of a surface of a record, as it fits into its code. */
export function labelFor({ of, left }: JobRecord, surface: SurfaceRecord, note = ''): Label {
  const { specified } = surface;
  const key = paintKey(specified, false, 1);
  return fitLabel(
    labelOf(of, surface, {
      room: of.job.rooms.byId[specified.surface.room]?.name ?? '',
      left: left.find((own) => own.key === key)?.litres ?? null,
      note,
    }),
  );
}

function entriesFor(job: Job, options: Options, read: Read): Result<LogEntry[]> {
  const path = options.get('log');
  if (path === undefined) return good([]);
  const log = logFor(job, path, read);
  return log.ok ? good([...log.value.log.values()]) : log;
}
