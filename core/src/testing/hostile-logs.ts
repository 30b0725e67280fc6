import fc from 'fast-check';
import { readArchive, writeArchive } from '../exchange/archive.ts';
import { readLog, writeLog } from '../exchange/site-log.ts';
import { ENDS, MOST } from '../job/limits.ts';
import { LEVELS, STOP_REASONS } from '../job/vocabulary.ts';
import type { LogEntry, SaidEntry } from '../site/entry.ts';
import { foldLog } from '../site/fold.ts';
import { anyText, hostileNumber, hostileText, smallJob } from './hostile.ts';
import { notFinite } from './laws.ts';
import { EIGHT, writer } from './site-log.ts';

const job = { ...smallJob(), id: 'house' };

const of = (...lengths: readonly number[]): fc.Arbitrary<string> =>
  fc.oneof(
    fc.constantFrom(...lengths).map((n) => '×'.repeat(n)),
    anyText(1, 12),
  );
const who = of(1, MOST.name);
const number = ([least, most]: readonly [number, number]) =>
  fc.oneof(fc.constantFrom(least, most), fc.double({ min: least, max: most, noNaN: true }));
const litres = number([0, ENDS.can[1]]);
const paint = of(1, MOST.key);
const entry = <K extends SaidEntry['kind']>(kind: K, more: Readonly<Record<string, fc.Arbitrary<unknown>>>) =>
  fc.record({ kind: fc.constant(kind), who, ...more }) as unknown as fc.Arbitrary<SaidEntry>;
const thing = fc.record({ thing: of(1, MOST.scope) });
const removed = fc.constant({ removed: true });

/** Every kind of entry that can be noted, with values at their ends and beside them. */
export const anySaid: fc.Arbitrary<SaidEntry> = fc.oneof(
  entry('start', { operation: of(1, MOST.operation) }),
  entry('done', { operation: of(1, MOST.operation), surface: of(1, MOST.scope) }),
  entry('stop', { value: fc.record({ reason: fc.constantFrom(...STOP_REASONS) }) }),
  entry('air', {
    value: fc.record({
      temperature: number(ENDS.temperature),
      humidity: number([0, 1]),
      draught: number(ENDS.draught),
    }),
  }),
  entry('can', { value: fc.record({ paint, litres, batch: fc.oneof(fc.constant(''), of(1, MOST.batch)) }) }),
  entry('litres', { value: fc.record({ paint, left: litres, by: fc.constantFrom(...LEVELS) }) }),
  entry('cover', { value: thing }),
  entry('uncover', { value: thing }),
  entry('note', { note: of(1, MOST.notes) }),
  entry('correct', {
    corrects: fc.constantFrom('van-1', 'van-2', 'nobody-9'),
    value: fc.oneof(removed, fc.record({ note: of(1, MOST.notes) }), fc.record({ value: fc.oneof(removed, thing) })),
  }),
);

/** A log as a file, with some of its lines changed, cut, repeated, or of something else. */
export function logFiles(seed: number): fc.Arbitrary<string> {
  const van = writer('van');
  for (const [n, said] of fc.sample(anySaid, { numRuns: 40, seed }).entries()) van.says(n, said);
  const lines = writeLog(new Map(van.entries.map((one) => [one.id, one])), job)
    .trim()
    .split('\n');
  const member = fc.constantFrom('id', 'at', 'seq', 'device', 'who', 'kind', 'value', 'corrects', 'operation', 'note');
  const other = fc.oneof(
    hostileText,
    hostileNumber,
    fc.constantFrom(null, [], {}, 'correct', 'van-3', '9999-12-31T23:59:59.999-14:00', '2062-01-01T00:00:00Z'),
  );
  const line = fc.oneof(
    { weight: 6, arbitrary: fc.constantFrom(...lines) },
    {
      weight: 3,
      arbitrary: fc
        .tuple(fc.constantFrom(...lines.slice(1)), member, other)
        .map(([text, key, value]) => JSON.stringify({ ...(JSON.parse(text) as object), [key]: value })),
    },
    { weight: 1, arbitrary: fc.tuple(fc.constantFrom(...lines), fc.nat(80)).map(([text, at]) => text.slice(0, at)) },
    { weight: 1, arbitrary: fc.json({ maxDepth: 3 }) },
  );
  return fc.array(line, { minLength: 1, maxLength: 60 }).map((all) => `${lines[0]}\n${lines[1]}\n${all.join('\n')}\n`);
}

/** What is wrong with how a log is read: it throws nothing, figures are figures, and every line is an entry or set aside, and goes out again. */
export function tryLog(text: string, kept = { folded: 0, aside: 0 }): string | null {
  const read = readLog(text, job);
  if (!read.ok) return `refused: ${read.problems[0]?.message}`;
  const { log, aside } = read.value;
  kept.folded += log.size;
  kept.aside += aside.length;
  const minutesOf = (at: string): number => (Date.parse(at) - EIGHT) / 60_000;
  const wrong = notFinite(foldLog(log, minutesOf));
  if (wrong) return wrong;
  const again = readLog(writeLog(log, job, aside), job);
  if (!again.ok) return `its export is refused: ${again.problems[0]?.message}`;
  const texts = (all: typeof aside) =>
    all
      .map((one) => one.text)
      .sort()
      .join('\n');
  if (texts(again.value.aside) !== texts(aside)) return 'what was set aside is not in the export';
  return JSON.stringify([...again.value.log.values()].sort(byId)) === JSON.stringify([...log.values()].sort(byId))
    ? null
    : 'the export has other entries';
}
const byId = (a: LogEntry, b: LogEntry): number => Number(a.id > b.id) - Number(a.id < b.id);

interface Whole {
  readonly bytes: Uint8Array<ArrayBuffer>;
  readonly entries: readonly LogEntry[];
}
/** A job with a log as an archive. */
export async function archiveOf(): Promise<Whole> {
  const van = writer('van');
  for (let n = 0; n < 20; n++) van.says(n, { kind: 'note', who: 'ana', note: `Note ${n}` });
  const one = {
    id: job.id,
    name: job.name,
    job,
    log: van.entries,
    aside: [],
    photos: 0,
    exchange: { id: 'e1', from: [] },
  };
  const file = await writeArchive([one], [], '2026-12-01T08:00:00.000Z');
  return { bytes: new Uint8Array(await file.arrayBuffer()), entries: van.entries };
}
interface BytesChange {
  readonly at: number;
  readonly bits: number;
  readonly isCut: boolean;
}
/** A bit or more of one byte turned, or the file cut off there. */
export const bytesChanged = (length: number): fc.Arbitrary<BytesChange> =>
  fc.record({ at: fc.nat(length - 1), bits: fc.integer({ min: 1, max: 255 }), isCut: fc.boolean() });

/** What is wrong with how a changed archive is read: it may be refused, or give just what was packed; a damaged log stays out. */
export async function tryArchive(
  { bytes, entries }: Whole,
  { at, bits, isCut }: BytesChange,
): Promise<{ readonly read: boolean; readonly fault: string | null }> {
  const changed = isCut ? bytes.slice(0, at) : Uint8Array.from(bytes);
  if (!isCut) changed[at] = (changed[at] ?? 0) ^ bits;
  const read = await readArchive(new Blob([changed]));
  if (!read.ok) return { read: false, fault: read.problems[0]?.message ? null : 'refused without a word' };
  const [found] = read.value.jobs;
  if (!found) return { read: true, fault: 'no job and no word' };
  const isSame = JSON.stringify(found.job) === JSON.stringify(job);
  const hasLog = JSON.stringify(found.log) === JSON.stringify(entries);
  const isSaid = /without its log/.test(read.value.warnings.join());
  return { read: true, fault: isSame && (hasLog || (isSaid && !found.log.length)) ? null : 'something else came out' };
}
