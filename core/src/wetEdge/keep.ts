import type { Crew } from '../job/crew.ts';
import type { Role } from '../job/vocabulary.ts';
import type { PlayAsk } from '../plays/ground.ts';
import { openOf } from '../plays/manner.ts';
import type { Metres, Minutes } from '../units/si.ts';
import { visibleOn } from './visible.ts';
import { planWithin, safeShare, wetCaseOf, type TriedPlan } from './case.ts';

/** A part of a coat that is cut, then rolled before its cut sets. */
export interface Stretch {
  readonly from: Metres;
  readonly to: Metres;
  readonly cut: Minutes;
  readonly roll: Minutes;
}
/** How a coat is kept wet by those who are on it. */
export interface Kept {
  readonly role: Exclude<Role, 'cut-all'>;
  readonly stretches: readonly Stretch[];
  /** First and last minute of each person on it, from its begin. */
  readonly spans: readonly (readonly [Minutes, Minutes])[];
  /** How much later the roller may begin before an edge laps oftener than is accepted; or, where it does anyhow, than not. */
  readonly slack: Minutes;
  /** Greatest median age, and the median open time where it is greatest. */
  readonly age: Minutes;
  readonly open: Minutes;
  /** Its edges lap no oftener than is accepted. */
  readonly safe: boolean;
  /** Every edge stays wet when nobody and nothing varies. */
  readonly wet: boolean;
}

/** The hour of the working day at which paint sets soonest, so that what is planned by it holds whenever it is done; null: one air all day. */
function driestHour(ask: PlayAsk, hours: Crew['hours']): Minutes | null {
  if (!ask.job.air.day.length) return null;
  const [first, last] = [hours[0]?.[0] ?? 0, hours.at(-1)?.[1] ?? 0];
  const marks = Array.from({ length: Math.max(1, Math.ceil((last - first) / 60)) }, (_, i) => first + 60 * i);
  const open = (at: Minutes): Minutes => openOf(ask, 0.5, at).minutes;
  return marks.reduce((driest, at) => (open(at) < open(driest) ? at : driest));
}

/**
 * The coat alone by stretches where that keeps it wet and one person has the time, else one behind the other, or two from the
 * middle; null: it is not rolled in strips. `apart`: who cuts never rolls; `longest`: the longest working stretch.
 */
export function keepOf(
  ask: PlayAsk,
  { hours, people, apart }: { readonly hours: Crew['hours']; readonly people: number; readonly apart: boolean },
  longest: Minutes,
): Kept | null {
  // more than two have hours for without a stop
  if (ask.done.reduce((sum, { minutes }) => sum + minutes, 0) > 2 * longest) return null;
  const found = wetCaseOf({ ...ask, at: driestHour(ask, hours) });
  if (!found) return null;
  // where a lap would not show, nobody pays to be surer than the medians
  const share = visibleOn(ask.specified) === 'none' ? 1 : safeShare(ask.job);
  const kept = (role: Kept['role']): Kept => keptBy(role, planWithin(found, role, share), share);
  const alone = kept('stretches');
  const fits = ({ spans }: Kept): boolean => spans.every(([from, to]) => to - from <= longest);
  const { roles } = ask.job.practice;
  const isPair = roles === 'pair' || (apart && roles === 'as-needed');
  if (people < 2 || roles === 'alone' || (!isPair && roles === 'as-needed' && alone.wet && fits(alone))) return alone;
  const paired = kept('follow');
  if (!fits(paired)) return kept('two');
  const isBetter = paired.age / paired.open < alone.age / alone.open;
  return isPair || !fits(alone) || isBetter ? paired : alone;
}

function keptBy(role: Kept['role'], { setup, open, worst }: TriedPlan, share: number): Kept {
  const { wall, program, starts, ends, plan } = setup;
  const spans = [...new Set(program.acts.map((act) => act.who))].map((who): readonly [Minutes, Minutes] => {
    const own = program.acts.flatMap((act, i) => (act.who === who ? [i] : []));
    return [Math.min(...own.map((i) => starts[i] as number)), Math.max(...own.map((i) => ends[i] as number))];
  });
  const size = Math.max(1, plan.strips);
  const stretches = Array.from({ length: Math.ceil(wall.strips.length / size) }, (_, i): Stretch => {
    const strips = wall.strips.slice(i * size, (i + 1) * size);
    const cuts = wall.cuts.filter(({ strip }) => Math.floor(strip / size) === i);
    return {
      from: strips[0]?.from ?? 0,
      to: strips.at(-1)?.to ?? 0,
      cut: cuts.reduce((sum, cut) => sum + cut.minutes, 0),
      roll: strips.reduce((sum, strip) => sum + strip.minutes, 0),
    };
  });
  const oldest = setup.ages.reduce(
    (most, age, i) => (age / (open[i] as number) > (setup.ages[most] as number) / (open[most] as number) ? i : most),
    0,
  );
  const limit = worst <= share ? share : 1;
  const left = Array.from(setup.ages, (age, i) => limit * (open[i] as number) - age);
  return {
    role,
    stretches,
    spans,
    slack: Math.max(0, Math.min(60, ...left)),
    age: setup.ages[oldest] ?? 0,
    open: open[oldest] ?? Infinity,
    safe: worst <= share,
    wet: worst <= 1,
  };
}
