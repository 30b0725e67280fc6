import { setting, type DefaultKey } from '../job/defaults.ts';
import type { Job } from '../job/types.ts';
import type { OperationKind } from '../job/vocabulary.ts';
import { INCH, type Litres, type Metres } from '../units/si.ts';
import { compute, given, unopened, type Computed, type Dimension, type Working } from '../units/working.ts';
import type { Word } from '../units/word.ts';
import { ruleOf } from './rules.ts';

/** What makes the same work take longer or shorter. */
export interface Factor {
  readonly name: Word;
  readonly value: number;
}
/** Loads of paint taken up on the way. */
export interface Dips {
  readonly litres: Litres;
  readonly width: Metres;
  readonly pile: Metres;
}
/** So much of something, at a pace of its own where it has one. */
export interface Amount {
  readonly name: Word;
  /** m2, m or a count, as the kind is measured. */
  readonly quantity: number;
  readonly pace?: DefaultKey;
  /** Of the minutes of a whole one: a visit of several, a small one. */
  readonly share?: number;
}
export interface Timed {
  readonly overhead?: boolean;
  readonly factors?: readonly Factor[];
  readonly dips?: Dips | null;
}

const DIMENSION = { m2: 'area', m: 'length', each: 'count' } as const satisfies Record<string, Dimension>;

/** What a cover takes up in a dip: by its width and its pile. */
export const dipOf = (job: Pick<Job, 'settings'>, { width, pile }: Pick<Dips, 'width' | 'pile'>): Litres =>
  (setting(job, 'dip.litres') * width * pile) / (9 * INCH * 0.01);

/** A wider cover is quicker, though less than its width says. */
export const widthFactor = (job: Pick<Job, 'settings'>, width: Metres): number =>
  ((9 * INCH) / width) ** setting(job, 'roll.width');

/** Quantity / pace, or quantity x minutes each. */
function plainly(job: Pick<Job, 'settings'>, kind: OperationKind, amount: Amount, overhead: boolean): Computed {
  const rule = ruleOf(kind);
  const { name, quantity, share = 1 } = amount;
  const rate = setting(job, amount.pace ?? (overhead ? (rule.overhead ?? rule.pace) : rule.pace));
  if (rule.quantity === 'each')
    return unopened(quantity * rate * share, () =>
      compute(
        'product',
        name,
        'minutes',
        given(name, quantity, 'count'),
        given('minutes each', rate, 'minutes'),
        ...(share === 1 ? [] : [given('share', share, 'ratio')]),
      ),
    );
  const dimension = DIMENSION[rule.quantity];
  return unopened(quantity / rate, () =>
    compute('quotient', name, 'minutes', given(name, quantity, dimension), given('done in a minute', rate, dimension)),
  );
}

/** Loads taken up from the tray. */
function loading(job: Pick<Job, 'settings'>, dips: Dips): Working {
  const [dip, minutes] = [dipOf(job, dips), setting(job, 'dip.minutes')];
  return unopened((dips.litres / dip) * minutes, () =>
    compute(
      'product',
      'loading',
      'minutes',
      compute(
        'quotient',
        'dips',
        'count',
        given('paint', dips.litres, 'volume'),
        given('taken up in a dip', dip, 'volume'),
      ),
      given('minutes each', minutes, 'minutes'),
    ),
  );
}

/** Person-minutes of a kind of operation: quantity / pace x factors, and the loads on the way. The only maker of minutes. */
export function minutesOf(
  job: Pick<Job, 'settings'>,
  kind: OperationKind,
  amounts: readonly Amount[],
  { overhead = false, factors = [], dips = null }: Timed = {},
): Working {
  const parts = amounts.map((amount) => plainly(job, kind, amount, overhead));
  const slower = factors.filter((factor) => factor.value !== 1);
  const plain = parts.reduce((sum, part) => sum + part.value, 0);
  const work = slower.reduce((all, { value }) => all * value, plain);
  const loads = dips && loading(job, dips);
  if (parts.length === 1 && !slower.length && !loads) return parts[0] as Computed;
  return unopened(work + (loads?.value ?? 0), () => {
    const [only] = parts;
    const added = parts.length === 1 && only ? only : compute('sum', 'work', 'minutes', ...parts);
    const slowed = slower.length
      ? compute(
          'product',
          'work as it is here',
          'minutes',
          added,
          ...slower.map(({ name, value }) => given(name, value, 'ratio')),
        )
      : added;
    return loads ? compute('sum', 'work and loading', 'minutes', slowed, loads) : slowed;
  });
}
