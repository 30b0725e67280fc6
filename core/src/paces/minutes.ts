import { setting, type DefaultKey } from '../job/defaults.ts';
import type { Job } from '../job/types.ts';
import type { OperationKind } from '../job/vocabulary.ts';
import { INCH, type Litres, type Metres } from '../units/si.ts';
import { compute, given, unopened, type Computed, type Dimension, type Working } from '../units/working.ts';
import type { Word } from '../units/word.ts';
import { learnedFactor, type Learning } from './learned.ts';
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
  /** Left out: it has no coats. */
  readonly coat?: number;
}

const DIMENSION = { m2: 'area', m: 'length', each: 'count' } as const satisfies Record<string, Dimension>;

/** What a cover takes up in a dip: by its width and its pile. */
export const dipOf = (job: Pick<Job, 'settings'>, { width, pile }: Pick<Dips, 'width' | 'pile'>): Litres =>
  (setting(job, 'dip.litres') * width * pile) / (9 * INCH * 0.01);

/** A wider cover is quicker, though less than its width says. */
export const widthFactor = (job: Pick<Job, 'settings'>, width: Metres): number =>
  ((9 * INCH) / width) ** setting(job, 'roll.width');

type Paced = Pick<Job, 'settings'> & Learning;

/** Done in a minute, or minutes for each. */
function rateOf(job: Paced, kind: OperationKind, { pace }: Amount, overhead: boolean): number {
  const rule = ruleOf(kind);
  return setting(job, pace ?? (overhead ? (rule.overhead ?? rule.pace) : rule.pace));
}

/** Person-minutes of a kind of operation: quantity / pace x factors, and the loads on the way. The only maker of minutes. */
export function minutesOf(job: Paced, kind: OperationKind, amounts: readonly Amount[], timed: Timed = {}): Working {
  const { overhead = false, factors = [], dips = null, coat = 0 } = timed;
  const each = ruleOf(kind).quantity === 'each';
  let work = 0;
  for (const amount of amounts) {
    const rate = rateOf(job, kind, amount, overhead);
    work += each ? amount.quantity * rate * (amount.share ?? 1) : amount.quantity / rate;
  }
  for (const { value } of factors) work *= value;
  if (dips) work += (dips.litres / dipOf(job, dips)) * setting(job, 'dip.minutes');
  work *= learnedFactor(job, kind, coat);
  // thousands of them are made and few are opened
  return unopened(work, () => termsOf(job, kind, amounts, timed));
}

function termsOf(job: Paced, kind: OperationKind, amounts: readonly Amount[], timed: Timed): Computed {
  const { overhead = false, factors = [], dips = null, coat = 0 } = timed;
  const parts = amounts.map((amount) => plainly(job, kind, amount, overhead));
  const [only] = parts;
  const plain = parts.length === 1 && only ? only : compute('sum', 'work', 'minutes', ...parts);
  const slower = factors.map(({ name, value }) => given(name, value, 'ratio'));
  const slowed = slower.length ? compute('product', 'work as it is here', 'minutes', plain, ...slower) : plain;
  const planned = dips ? compute('sum', 'work and loading', 'minutes', slowed, loading(job, dips)) : slowed;
  const own = learnedFactor(job, kind, coat);
  return own === 1
    ? planned
    : compute('product', 'at your own pace', 'minutes', planned, given('as logged', own, 'ratio'));
}

/** Quantity / pace, or quantity x minutes each. */
function plainly(job: Paced, kind: OperationKind, amount: Amount, overhead: boolean): Computed {
  const { name, quantity, share = 1 } = amount;
  const rate = rateOf(job, kind, amount, overhead);
  const unit = ruleOf(kind).quantity;
  if (unit !== 'each')
    return compute(
      'quotient',
      name,
      'minutes',
      given(name, quantity, DIMENSION[unit]),
      given('done in a minute', rate, DIMENSION[unit]),
    );
  const parts = share === 1 ? [] : [given('share', share, 'ratio')];
  return compute(
    'product',
    name,
    'minutes',
    given(name, quantity, 'count'),
    given('minutes each', rate, 'minutes'),
    ...parts,
  );
}

/** Loads taken up from the tray. */
const loading = (job: Paced, dips: Dips): Computed =>
  compute(
    'product',
    'loading',
    'minutes',
    compute(
      'quotient',
      'dips',
      'count',
      given('paint', dips.litres, 'volume'),
      given('taken up in a dip', dipOf(job, dips), 'volume'),
    ),
    given('minutes each', setting(job, 'dip.minutes'), 'minutes'),
  );
