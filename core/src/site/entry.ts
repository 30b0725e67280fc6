import type { Id, SurfaceId } from '../job/table.ts';
import type { Level, StopReason } from '../job/vocabulary.ts';
import type { Litres } from '../units/si.ts';

/** What an entry of each kind says besides; SI: °C, 0-1, m/s, litres. */
export interface EntryValues {
  readonly start: undefined;
  readonly done: undefined;
  readonly stop: { readonly reason: StopReason };
  readonly air: { readonly temperature: number; readonly humidity: number; readonly draught: number };
  /** A can that is opened, by the key of its order line. */
  readonly can: { readonly paint: string; readonly litres: Litres; readonly batch: string };
  /** What is left of a paint in all its open cans and trays. */
  readonly litres: { readonly paint: string; readonly left: Litres; readonly by: Level };
  /** A detector or another thing that must not be forgotten under its cover. */
  readonly cover: { readonly thing: string };
  readonly uncover: { readonly thing: string };
  readonly note: undefined;
  /** A picture that is kept beside the log. */
  readonly photo: { readonly photo: Id; readonly width: number; readonly height: number };
  readonly correct: Correction;
}
export type EntryKind = keyof EntryValues;

/** What an entry should have said; what is left out stays. */
export type Correction =
  | { readonly removed: true }
  | {
      readonly at?: string;
      readonly who?: string;
      readonly operation?: string;
      readonly surface?: SurfaceId;
      readonly note?: string;
      readonly value?: unknown;
    };

/** What is said; the log adds its own id, time, number and device. */
interface Said {
  /** Id of a person of the job, or their name. */
  readonly who: string;
  readonly surface?: SurfaceId;
  /** Id of the planned task. */
  readonly operation?: string;
  readonly note?: string;
}
type Kinds = {
  [K in EntryKind]: Said & { readonly kind: K } & (EntryValues[K] extends undefined
      ? { readonly value?: undefined }
      : { readonly value: EntryValues[K] }) &
    (K extends 'correct' ? { readonly corrects: Id } : { readonly corrects?: undefined });
};
export type SaidEntry<K extends EntryKind = EntryKind> = Kinds[K];

/** A line of the log: written once and never changed; a correction is another line. */
export type LogEntry<K extends EntryKind = EntryKind> = Kinds[K] & {
  readonly id: Id;
  /** ISO 8601, UTC, with milliseconds: at least one later than the device's last. */
  readonly at: string;
  /** Counts the entries of a device, from 1. */
  readonly seq: number;
  readonly device: Id;
};
