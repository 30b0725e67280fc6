import fc from 'fast-check';
import type { Task } from '../sequence/task.ts';
import type { Placed } from '../sequence/placed.ts';
import { STOP_REASONS } from '../job/vocabulary.ts';
import type { LogEntry, SaidEntry } from '../site/entry.ts';
import { stamped } from '../site/log.ts';

/** Eight in the morning, UTC. */
export const EIGHT = Date.parse('2026-12-01T08:00:00Z');
export const at = (minutes: number): string => new Date(EIGHT + Math.round(minutes * 60_000)).toISOString();

/** A device that writes what it is told, minute by minute. */
export function writer(device: string) {
  const entries: LogEntry[] = [];
  return {
    entries,
    says: (minutes: number, said: SaidEntry): LogEntry => {
      const entry = stamped(said, device, entries.at(-1) ?? null, EIGHT + Math.round(minutes * 60_000));
      entries.push(entry);
      return entry;
    },
  };
}

/** The begins and ends of a plan's tasks as somebody would have written them, so many times as long as planned. */
export function loggedPlan(placed: readonly Placed<Task>[], names: readonly string[], slower: number): LogEntry[] {
  const device = writer('van');
  const moments = placed.flatMap(({ task, pieces, who }) => {
    const from = pieces[0]?.[0] ?? 0;
    const person = names[who[0] ?? 0] ?? '';
    return [
      { at: from, said: { kind: 'start', who: person, operation: task.id } as const },
      { at: from + task.work * slower, said: { kind: 'done', who: person, operation: task.id } as const },
    ];
  });
  for (const { at: minutes, said } of moments.sort((a, b) => a.at - b.at)) device.says(minutes, said);
  return device.entries;
}

const WHO = ['ana', 'bo'] as const;
const TASKS = ['t1', 't2', 't3'] as const;
const said: fc.Arbitrary<SaidEntry> = fc.oneof(
  fc.record({
    kind: fc.constantFrom('start', 'done'),
    who: fc.constantFrom(...WHO),
    operation: fc.constantFrom(...TASKS),
  }),
  fc.record({
    kind: fc.constant('stop'),
    who: fc.constantFrom(...WHO),
    operation: fc.constantFrom(...TASKS),
    value: fc.record({ reason: fc.constantFrom(...STOP_REASONS) }),
  }),
  fc.record({
    kind: fc.constantFrom('cover', 'uncover'),
    who: fc.constantFrom(...WHO),
    value: fc.constant({ thing: 'hall' }),
  }),
  fc.record({ kind: fc.constant('note'), who: fc.constantFrom(...WHO), note: fc.string({ minLength: 1 }) }),
) as fc.Arbitrary<SaidEntry>;

/** Logs of a few devices, each in the order it was written, some of it corrected or taken back later; clocks go back now and then. */
export const deviceLogs: fc.Arbitrary<readonly (readonly LogEntry[])[]> = fc
  .array(
    fc.array(fc.tuple(fc.integer({ min: -200, max: 600 }), said, fc.option(fc.nat(20), { freq: 3 }), fc.boolean()), {
      maxLength: 12,
    }),
    { minLength: 1, maxLength: 3 },
  )
  .map((devices) =>
    devices.map((own, n) => {
      const device = writer(`d${n}`);
      for (const [minutes, entry, which, removed] of own) {
        const target = which === null ? undefined : device.entries[which % Math.max(1, device.entries.length)];
        device.says(
          minutes,
          target
            ? {
                kind: 'correct',
                who: 'ana',
                corrects: target.id,
                value: removed ? { removed: true } : { at: at(minutes - 5) },
              }
            : entry,
        );
      }
      return device.entries;
    }),
  );
