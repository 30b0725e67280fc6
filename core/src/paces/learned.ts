import type { Job } from '../job/types.ts';
import type { CoatClass, OperationKind, TaskKind } from '../job/vocabulary.ts';
import { ruleOf } from './rules.ts';
import { at } from '../units/list.ts';

export type Learning = Pick<Job, 'learned' | 'crew'>;

/** First coats, and what has none, have a pace of their own; later ones another. */
export const coatClass = (coat: number): CoatClass => (coat > 1 ? 'later' : 'first');

/** A last coat by stretches is cut and rolled in one go: what is learned of it is learned of both. */
const TAUGHT_BY: Partial<Record<TaskKind, readonly TaskKind[]>> = { cut: ['cut', 'wet'], roll: ['roll', 'wet'] };

/**
 * What the crew's own paces, as accepted, make of the minutes of an operation; 1: nothing was learned. Who does it is not known before it is
 * planned, so it is everybody's, equally; of those of whom nothing is known, as planned.
 */
export function learnedFactor({ learned, crew }: Learning, kind: OperationKind, coat: number): number {
  const task = ruleOf(kind).task;
  if (task === null || !learned.paces.length || !crew.people.length) return 1;
  const taught = TAUGHT_BY[task] ?? [task];
  const logs = crew.people.map(({ id }) => {
    const own = learned.paces.filter(
      (row) => row.person === id && taught.includes(row.kind) && row.coat === coatClass(coat),
    );
    const weights = own.map(({ sd }) => 1 / Math.max(sd, 1e-3) ** 2);
    const all = weights.reduce((sum, w) => sum + w, 0);
    return all > 0 ? own.reduce((sum, { log }, i) => sum + log * at(weights, i), 0) / all : 0;
  });
  return Math.exp(-logs.reduce((sum, log) => sum + log, 0) / logs.length);
}
