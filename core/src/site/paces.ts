import type { CoatClass, TaskKind } from '../job/vocabulary.ts';
import { coatClass } from '../paces/learned.ts';
import type { Task } from '../sequence/task.ts';
import { groupBy } from '../units/group.ts';
import { workedOn, type SiteState } from './fold.ts';
import { at } from '../units/list.ts';

/** What is believed of a rate before anything is logged, and how far single entries stray: logarithms. */
export interface Believed {
  /** Standard deviation of people's (or paints') own rates about the planned one. */
  readonly tau: number;
  /** Of single entries about their own rate; from the data once there are enough. */
  readonly sigma: number;
}
/** Entries from which their own scatter says more than what is believed; and from which strays are looked for. */
const ENOUGH = 8;
const FEW = 5;
/** Median absolute deviations, made a standard deviation, beyond which an entry is left out. */
const STRAY = 3;
const OF_NORMAL = 1.4826;

/** A rate learned from entries y = ln(rate / planned rate): a normal mean with a normal prior about 0. */
export interface Learned {
  /** Entries that count, and those that strayed, by their index. */
  readonly m: number;
  readonly strays: readonly number[];
  /** Mean of those that count; 0: there are none. */
  readonly own: number;
  /** Prior mean, posterior mean and its standard deviation. */
  readonly prior: number;
  readonly mean: number;
  readonly sd: number;
  readonly sigma: number;
}

const meanOf = (values: readonly number[]): number =>
  values.length ? values.reduce((sum, y) => sum + y, 0) / values.length : 0;
function medianOf(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b);
  const half = sorted.length >> 1;
  const upper = sorted[half] ?? 0;
  return sorted.length % 2 ? upper : ((sorted[half - 1] ?? 0) + upper) / 2;
}

/** Entries that lie far outside the others, by the median absolute deviation; of few, or where most are equal, none. */
export function straysOf(y: readonly number[]): number[] {
  if (y.length < FEW) return [];
  const median = medianOf(y);
  const mad = medianOf(y.map((one) => Math.abs(one - median)));
  if (!(mad > 0)) return [];
  return y.flatMap((one, i) => (Math.abs(one - median) > STRAY * OF_NORMAL * mad ? [i] : []));
}

/** The conjugate posterior of a normal mean: few entries stay near what was planned. */
export function learn(y: readonly number[], { tau, sigma }: Believed): Learned {
  const strays = straysOf(y);
  const counted = y.filter((_, i) => !strays.includes(i));
  const m = counted.length;
  const own = meanOf(counted);
  const scatter = Math.sqrt(counted.reduce((sum, one) => sum + (one - own) ** 2, 0) / Math.max(1, m - 1));
  // entries that are all equal say nothing of their scatter
  const noise = m >= ENOUGH && scatter > 0 ? scatter : sigma;
  const precision = m / noise ** 2 + 1 / tau ** 2;
  return { m, strays, own, prior: 0, mean: (m * own) / noise ** 2 / precision, sd: precision ** -0.5, sigma: noise };
}

/** A task that was timed from its first start to its end. */
export interface Timed {
  readonly operation: string;
  readonly person: string;
  readonly kind: TaskKind;
  readonly coat: CoatClass;
  /** Minutes of all hands: planned and worked. */
  readonly planned: number;
  readonly actual: number;
  /** ln(rate / planned rate). */
  readonly y: number;
}
export interface LearnedPace extends Learned {
  readonly person: string;
  readonly kind: TaskKind;
  readonly coat: CoatClass;
  readonly entries: readonly Timed[];
}

/** Nobody does a task in a smaller share of its minutes [starting judgement]: it is asked about, and teaches no pace. */
export const HARDLY = 0.2;

/** Tasks that are done and whose sessions say how long they took; each once for everybody who was on it. */
export function timedOf(state: SiteState, tasks: readonly Task[]): Timed[] {
  const byId = new Map(tasks.map((task) => [task.id, task]));
  return [...state.tasks.values()].flatMap((logged): Timed[] => {
    const task = byId.get(logged.operation);
    const actual = workedOn(logged, 0);
    if (!task || logged.done === null || task.work <= 0) return [];
    const planned = task.work * task.people;
    // what was only tapped through teaches nothing
    if (actual < HARDLY * planned) return [];
    const people = new Set(logged.sessions.map(({ who }) => who));
    return [...people].map((person) => ({
      operation: task.id,
      person,
      kind: task.kind,
      coat: coatClass(task.coat),
      planned,
      actual,
      y: Math.log(planned / actual),
    }));
  });
}

/** Paces of each person, kind of work, and first or later coats. */
export function pacesOf(timed: readonly Timed[], believed: Believed): LearnedPace[] {
  const groups = groupBy(timed, ({ person, kind, coat }) => JSON.stringify([person, kind, coat]));
  return [...groups.values()].map((entries): LearnedPace => {
    const { person, kind, coat } = at(entries, 0);
    const learned = learn(
      entries.map(({ y }) => y),
      believed,
    );
    return { person, kind, coat, entries, ...learned };
  });
}
