import type { Job } from '../job/types.ts';
import type { Conditioner, WetMethod } from '../job/vocabulary.ts';
import { widthFactor } from '../paces/minutes.ts';
import { isRoll, type PlayAsk } from '../plays/ground.ts';
import { effective } from '../specify/reasons.ts';
import type { Specified } from '../specify/specify.ts';
import { INCH, type Metres, type Minutes } from '../units/si.ts';

/** A coat that is to be kept wet, as the decision is asked for. What is null is decided. */
export interface WetAsk extends PlayAsk {
  readonly job: PlayAsk['job'] & Pick<Job, 'crew' | 'prices' | 'region'>;
  /** How many can be on it at once. */
  readonly people: 1 | 2;
  /** Minutes of the longest stretch of a day that is worked. */
  readonly longest: Minutes;
  /** Ways that are looked at; null: all that so many people have. */
  readonly methods: readonly WetMethod[] | null;
  /** Strips of a section or of the lead. */
  readonly strips: number | null;
  readonly conditioner: Conditioner | null;
  /** Minute of the day; null: by the air that is typed. */
  readonly at: Minutes | null;
  /** Nobody and nothing varies. */
  readonly uniform: boolean;
}

/** Widths of covers, metres. */
export const WIDTHS = [4, 6, 9, 12, 18].map((n) => n * INCH);
/** Draught of a room with its windows and doors shut, m/s [starting judgement]. */
export const SHUT = 0.05;

const over = <A extends PlayAsk>(ask: A, system: Partial<Specified['system']>): A => ({
  ...ask,
  specified: { ...ask.specified, system: { ...ask.specified.system, ...system } },
});

/** The same coat with so much conditioner in it. */
export const withDose = <A extends PlayAsk>(ask: A, dose: Conditioner): A =>
  effective(ask.specified.system.conditioner) === dose
    ? ask
    : over(ask, { conditioner: { ...ask.specified.system.conditioner, override: dose } });

/** The same coat with windows and doors shut, all day. */
export function shutIn(ask: WetAsk): WetAsk {
  const { air } = ask.job;
  const day = air.day.map((reading) => ({ ...reading, draught: SHUT }));
  return { ...ask, job: { ...ask.job, air: { ...air, draught: SHUT, day } } };
}

/** The same coat with another cover: its strips are as wide as it is, and quicker by the square metre where it is wider. */
export function withCover(ask: WetAsk, width: Metres): WetAsk {
  const { cover: decided } = ask.specified.system;
  const cover = effective(decided);
  const quicker = widthFactor(ask.job, width) / widthFactor(ask.job, cover.width);
  const done = ask.done.map((d) => (isRoll(d) ? { ...d, minutes: d.minutes * quicker } : d));
  return { ...over(ask, { cover: { ...decided, override: { ...cover, width } } }), done };
}
