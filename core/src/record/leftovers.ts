import type { Leftover } from '../job/recorded.ts';
import type { Job } from '../job/types.ts';
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

/** “Wall paint, W1 warm white” of the key of an order line. */
export function leftName(job: Pick<Job, 'products' | 'colours'>, key: string): string {
  const [product = '', , colour = ''] = key.split('|');
  return [job.products[product]?.name ?? product, job.colours[colour]?.name].filter(Boolean).join(', ');
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
