import { DateTime } from 'luxon';
import type { Job } from '../job/types.ts';
import { corrected, inOrder, type Aside, type Log } from '../site/log.ts';
import type { LogEntry } from '../site/entry.ts';
import { toCsv } from './csv.ts';

const HEAD = [
  'entry',
  'date',
  'time',
  'as noted (UTC)',
  'device',
  'who',
  'kind',
  'task',
  'surface',
  'paint',
  'litres',
  'batch or reading',
  'temperature °C',
  'humidity %',
  'draught m/s',
  'note',
  'stands',
] as const;

/**
 * The log as a table (RFC 4180), a row an entry in the order in which things happened: times are those of the job's zone, as they were put
 * right; what was taken back stands there as such, and corrections stand with what they correct. What was not understood is at the end, as
 * it came.
 */
export function logCsv(log: Log, { crew }: Pick<Job, 'crew'>, aside: readonly Aside[] = []): string {
  const holds = new Map(corrected(log).entries.map((entry) => [entry.id, entry]));
  const name = (who: string): string => crew.people.find(({ id }) => id === who)?.name ?? who;
  const row = (said: LogEntry): (string | number)[] => {
    const entry = holds.get(said.id) ?? said;
    const at = DateTime.fromISO(entry.at, { zone: crew.zone });
    const { paint = '', litres = '', reading = '', air = ['', '', ''] } = valuesOf(entry);
    return [
      ...[entry.id, at.toISODate() ?? '', at.toFormat('HH:mm:ss'), said.at, entry.device, name(entry.who), entry.kind],
      ...[entry.operation ?? '', entry.surface ?? '', paint, litres, reading, ...air, entry.note ?? ''],
      standsAs(said, holds.get(said.id)),
    ];
  };
  const unread = aside.map(({ text }) =>
    HEAD.map((of) => (of === 'note' ? text : of === 'stands' ? 'not understood' : '')),
  );
  return toCsv([[...HEAD], ...[...log.values()].sort(inOrder).map(row), ...unread]);
}

interface Values {
  readonly paint?: string;
  readonly litres?: number;
  readonly reading?: string;
  readonly air?: readonly (string | number)[];
}
function valuesOf(entry: LogEntry): Values {
  switch (entry.kind) {
    case 'can':
      return { paint: entry.value.paint, litres: entry.value.litres, reading: entry.value.batch };
    case 'litres':
      return { paint: entry.value.paint, litres: entry.value.left, reading: entry.value.by };
    case 'air': {
      const { temperature, humidity, draught } = entry.value;
      return { air: [temperature, Math.round(humidity * 100), draught] };
    }
    case 'stop':
      return { reading: entry.value.reason };
    case 'cover':
    case 'uncover':
      return { reading: entry.value.thing };
    case 'photo':
      return { reading: `${entry.value.photo}.jpg` };
    default:
      return {};
  }
}

function standsAs(said: LogEntry, holds: LogEntry | undefined): string {
  if (said.kind === 'correct') return `corrects ${said.corrects}`;
  if (!holds) return 'taken back';
  return holds === said ? 'yes' : 'put right';
}
