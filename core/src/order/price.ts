import type { Id } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import type { Minutes, Money } from '../units/si.ts';
import { LABOUR_GROUPS, type LabourGroup } from '../job/vocabulary.ts';
import { ruleOf } from '../paces/rules.ts';
import { hourlyOf } from '../paces/prices.ts';
import { groupBy } from '../units/group.ts';
import type { Operation } from '../work/operations.ts';
import { daily, type WorkDays } from '../work/days.ts';

/** A line of labour: by kind of work where hours are billed, by person where days are. */
export interface LabourLine {
  readonly kind: LabourGroup | 'person';
  /** Who, where days are billed. */
  readonly person: Id | null;
  readonly minutes: Minutes;
  readonly cost: Money;
}
export interface Labour {
  readonly lines: readonly LabourLine[];
  readonly minutes: Minutes;
  /** Days on which anybody works. */
  readonly days: number;
  readonly cost: Money;
}

/** Minutes and their cost, set-up and clean-up of the days and the trips with them; the cost is the sum of the lines. */
export function priceLabour(
  job: Pick<Job, 'crew' | 'settings' | 'pricing' | 'practice' | 'learned'>,
  operations: readonly Operation[],
  { days, byPerson, travel, spare }: WorkDays,
): Labour {
  const worked = operations.reduce((sum, op) => sum + op.minutes.value, 0);
  const aDay = daily(job);
  const allDays = byPerson.reduce((sum, own) => sum + own, 0) * aDay;
  // nobody pays for one's own time
  const hourly = job.pricing.billed === 'own' ? 0 : hourlyOf(job);
  const done = groupBy(operations, (op) => ruleOf(op.kind).group);
  const more = spare * (worked + travel + allDays);
  const other: Readonly<Partial<Record<LabourGroup, Minutes>>> = { daily: allDays, travel, spare: more };
  const byKind = LABOUR_GROUPS.map((kind) => ({
    kind,
    minutes: (done.get(kind) ?? []).reduce((sum, op) => sum + op.minutes.value, other[kind] ?? 0),
  })).filter(({ minutes }) => minutes > 0);
  const lines =
    job.pricing.billed !== 'days'
      ? byKind.map(({ kind, minutes }): LabourLine => ({
          kind,
          minutes,
          person: null,
          cost: Math.round((minutes / 60) * hourly),
        }))
      : job.crew.people.map((person, i): LabourLine => ({
          kind: 'person',
          person: person.id,
          minutes: (worked + travel + more) / job.crew.people.length + (byPerson[i] ?? 0) * aDay,
          cost: Math.round((byPerson[i] ?? 0) * person.day * (1 + spare)),
        }));
  return {
    lines,
    minutes: worked + travel + allDays + more,
    days,
    cost: lines.reduce((sum, line) => sum + line.cost, 0),
  };
}

const PRICE_LINES = ['paint', 'materials', 'labour', 'overhead', 'margin', 'tax'] as const;
export interface Price {
  /** In the order of PRICE_LINES, those of nothing left out. */
  readonly lines: readonly { readonly kind: (typeof PRICE_LINES)[number]; readonly amount: Money }[];
  /** Before tax. */
  readonly net: Money;
  readonly tax: Money;
  readonly total: Money;
}

/**
 * Price of costs: overhead is a share of costs, margin a share of the price before tax (so costs are divided, not
 * multiplied), tax a share of all of it or of paint and materials alone. Each line is whole minor units; the total is their sum.
 */
export function priceOf(
  costs: { readonly paint: Money; readonly materials: Money; readonly labour: Money },
  { billed, tax, taxed, ...shares }: Pick<Job['pricing'], 'billed' | 'overhead' | 'margin' | 'tax' | 'taxed'>,
): Price {
  const { overhead, margin } = billed === 'own' ? { overhead: 0, margin: 0 } : shares;
  const cost = costs.paint + costs.materials + costs.labour;
  const over = Math.round(cost * overhead);
  const gain = Math.round(((cost + over) * margin) / (1 - margin));
  const net = cost + over + gain;
  const base = taxed === 'all' ? net : taxed === 'materials' ? costs.paint + costs.materials : 0;
  const due = Math.round(base * (tax ?? 0));
  const amounts = { ...costs, overhead: over, margin: gain, tax: due };
  const lines = PRICE_LINES.flatMap((kind) => (amounts[kind] ? [{ kind, amount: amounts[kind] }] : []));
  return { lines, net, tax: due, total: net + due };
}

/** Shares a sum out by weights in whole minor units: the parts add up to it (largest remainders get the last units). */
export function shareOut(total: Money, weights: readonly number[]): Money[] {
  const all = weights.reduce((a, b) => a + b, 0);
  if (!(all > 0)) return weights.map((_, i) => (i === 0 ? total : 0));
  const exact = weights.map((w) => (total * w) / all);
  const parts = exact.map(Math.floor);
  const missing = total - parts.reduce((a, b) => a + b, 0);
  const order = exact.map((v, i) => [v - Math.floor(v), i] as const).sort((a, b) => b[0] - a[0] || a[1] - b[1]);
  for (let i = 0; i < missing; i++) {
    const at = order[i % order.length]?.[1] ?? 0;
    parts[at] = (parts[at] ?? 0) + 1;
  }
  return parts;
}
