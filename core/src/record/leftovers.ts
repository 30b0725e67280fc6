import type { Leftover } from '../job/recorded.ts';
import { potsNow, type SiteState } from '../site/fold.ts';
import type { Litres } from '../units/si.ts';

/** A paint that is left: how much, by whom it was last said, and where it stands. */
export interface Left {
  readonly key: string;
  readonly litres: Litres;
  /** Empty: nobody said. */
  readonly where: string;
  /** Batches of its cans. */
  readonly batches: readonly string[];
}

/** What is left of each paint: as somebody wrote down when the cans were put away, else as the log has it; empty cans are none. */
export function leftoversOf(said: Readonly<Record<string, Leftover>>, state: Pick<SiteState, 'pots'>): Left[] {
  const logged = potsNow(state.pots);
  const keys = new Set([...logged.keys(), ...Object.keys(said)]);
  return [...keys].flatMap((key): Left[] => {
    const own = said[key];
    const litres = own?.litres ?? logged.get(key) ?? 0;
    const batches = [...new Set(state.pots.flatMap((line) => (line.paint === key ? (line.batch ?? []) : [])))];
    return litres > 0 ? [{ key, litres, where: own?.where ?? '', batches }] : [];
  });
}
