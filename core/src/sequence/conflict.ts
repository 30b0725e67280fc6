import { groupBy } from '../units/group.ts';
import type { Minutes } from '../units/si.ts';
import { earliestOf } from './bound.ts';
import { compile, type Activity, type Instance } from './instance.ts';

/** What cannot be, whoever works: the smallest set of what was asked and what it waits for. */
export interface Conflict {
  /** The task that is pinned, or that is still done when its room is wanted back. */
  readonly task: string;
  readonly of: 'pin' | 'wanted';
  /** When it was to begin, or to have ended, and the earliest that is possible. */
  readonly asked: Minutes;
  readonly earliest: Minutes;
  /** What it waits for one after the other, the task itself last; without any of them it could be sooner. */
  readonly chain: readonly string[];
  /** The first of the chain is pinned, and so a part of the conflict; else it may begin when the job does. */
  readonly anchored: boolean;
}

const NEAR = 0.5;

/**
 * Pins and hours wanted back that lags and calendars alone rule out, with as many people as anybody likes. Of pins that hold each
 * other up only the first is told, of a room the last of its tasks: the others follow from it.
 */
export function conflictsOf(instance: Instance): Conflict[] {
  const problem = compile(instance);
  if (!problem) return [];
  const { tasks } = problem;
  const { starts, ends, from } = earliestOf(problem);
  const chainTo = (i: number): number[] => {
    const chain = [i];
    for (let k = i; from[k] !== -1;) {
      k = from[k] as number;
      chain.push(k);
    }
    return chain.reverse();
  };
  const told = new Set<number>();
  const pinned = Array.from(problem.order).filter((i) => {
    const { at } = tasks[i] as Activity;
    if (at === null || (starts[i] as number) <= at + NEAR) return false;
    const isNew = !chainTo(i).some((k) => told.has(k));
    told.add(i);
    return isNew;
  });
  const late = (i: number): Minutes => (ends[i] as number) - (tasks[i]?.by ?? Infinity);
  const all = tasks.map((_, i) => i);
  const wanted = [...groupBy(all, (i) => tasks[i]?.room ?? '').values()].flatMap((own) => {
    const last = own.reduce((worst, i) => (late(i) >= late(worst) ? i : worst));
    return late(last) > NEAR ? [last] : [];
  });
  const conflict = (i: number, of: Conflict['of']): Conflict => {
    const { id, at, by } = tasks[i] as Activity;
    const chain = chainTo(i);
    return {
      task: id,
      of,
      asked: (of === 'pin' ? at : by) ?? 0,
      earliest: (of === 'pin' ? starts[i] : ends[i]) as number,
      chain: chain.map((k) => (tasks[k] as Activity).id),
      anchored: chain.length > 1 && tasks[chain[0] as number]?.at !== null,
    };
  };
  return [...pinned.map((i) => conflict(i, 'pin')), ...wanted.map((i) => conflict(i, 'wanted'))];
}
