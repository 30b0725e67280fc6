import type { EntryValues } from './entry.ts';
import { keysOf } from '../units/list.ts';

type AirNoted = EntryValues['air'];

/** So much another air is worth an entry; a draught sooner, for an edge feels it first [starting judgements]. */
const NEWS = { temperature: 1, humidity: 0.05, draught: 0.1 } as const;
/** The same air is noted again after so long, so that it is known to hold, minutes. */
const AGAIN = 120;

/** Is what a logger reads worth noting? @param since minutes since the last entry. */
export function isNews(last: AirNoted | null, reads: AirNoted, since: number): boolean {
  if (!last || since >= AGAIN) return true;
  return keysOf(NEWS).some((key) => Math.abs(reads[key] - last[key]) >= NEWS[key]);
}
