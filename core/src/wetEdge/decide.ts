import { longerWith, type OpenTime } from '../climate/open.ts';
import { setting } from '../job/defaults.ts';
import { type Conditioner, type WetMethod } from '../job/vocabulary.ts';
import { hourlyOf, pieceOf } from '../paces/prices.ts';
import { openOf } from '../plays/manner.ts';
import { effective } from '../specify/reasons.ts';
import { at } from '../units/list.ts';
import type { Metres, Minutes, Money } from '../units/si.ts';
import { withDose, type WetAsk } from './ask.ts';
import { spreadOf, tryPlan, wetCaseOf, type TriedPlan, type WetCase } from './case.ts';
import { faceOf } from './door.ts';
import { marksOf, seeing, seenOf, type Marks } from './marks.ts';
import type { Plan } from './program.ts';
import type { Setup, Spread } from './simulate.ts';
import { chanceBeyond } from './uniform.ts';
import { visibleOn, type Visible } from '../specify/visible.ts';

/** A way of keeping a coat wet, priced. */
export interface Way {
  readonly method: WetMethod;
  /** Strips of a section, or that the cutter may be ahead; 0: it is done in one. */
  readonly strips: number;
  readonly conditioner: Conditioner;
  readonly people: 1 | 2;
  /** From first to last, and paid to all who are on it. */
  readonly minutes: Minutes;
  readonly paid: Minutes;
  readonly lap: number;
  readonly halo: number;
  /** Share of such walls on which somebody sees a mark. */
  readonly seen: number;
  /** Minutes and conditioner, and with what marks come to: minor units. */
  readonly sure: Money;
  readonly cost: Money;
}

/** A part of a coat that is cut, then rolled. */
export interface Section {
  readonly from: Metres;
  readonly to: Metres;
  readonly cut: Minutes;
  readonly roll: Minutes;
}

/** How the last coat of a surface is kept wet: decided once, and read wherever it is spoken of. */
export interface WetEdgePlan extends Way {
  /** Width, m. */
  readonly cover: Metres;
  /** Cutting and rolling alone. */
  readonly work: Minutes;
  readonly visible: Visible;
  /** How likely somebody sees a mark that is there. */
  readonly seeing: Marks;
  /** How far a section or a lead goes along the wall; 0: it is done in one. */
  readonly long: Metres;
  readonly open: OpenTime;
  readonly sections: readonly Section[];
  /** First and last minute of each person on it, from its begin. */
  readonly spans: Spans;
  /** How much later one who rolls behind may begin before an edge is older than its open time. */
  readonly slack: Minutes;
}
type Spans = readonly (readonly [Minutes, Minutes])[];

/** No section is shorter than this, m, or of fewer strips [common practice, no source]. */
const SECTION = { long: 1, strips: 3 } as const;
/** No wall is in more sections. */
const SECTIONS = 12;
/** No cutter is more strips ahead. */
const AHEAD = 6;

/** Of these one is chosen; edges that are dry before a wall is begun are a school of their own. */
const USUAL: readonly WetMethod[] = ['whole', 'sections', 'follow', 'two'];

/** A way before conditioner, chances and price. */
interface Candidate {
  readonly method: WetMethod;
  readonly strips: number;
  readonly tried: TriedPlan | null;
  readonly spans: Spans;
  /** With open times so many times longer. */
  readonly marks: (longer: number) => Marks;
}

/** What the ways of one coat have in common. */
interface Terms {
  readonly ask: WetAsk;
  readonly visible: Visible;
  readonly seeing: Marks;
  readonly candidates: readonly Candidate[];
  readonly doses: readonly Conditioner[];
  readonly work: Minutes;
  readonly perMinute: Money;
  /** Conditioner for a litre to a litre; coming back, rubbing down and painting once more. */
  readonly perDose: Money;
  readonly puttingRight: Money;
}

/**
 * The way of least expected cost among those that are allowed; where a mark may be seen on so many walls at most, among those that
 * keep to it, or what comes nearest. null: the coat is not kept wet (brushed trim, a wall of no length).
 */
export function wetEdgePlan(asked: WetAsk): WetEdgePlan | null {
  const terms = termsOf(asked);
  if (!terms) return null;
  const { ask, candidates, visible } = terms;
  const cap = setting(ask.job, 'wet.risk');
  let best: { readonly candidate: Candidate; readonly way: Way } | null = null;
  for (const candidate of candidates)
    for (const dose of terms.doses) {
      // what costs more before anything is marked need not be run
      if (best && best.way.seen <= cap && sureCost(terms, candidate, dose) >= best.way.cost) continue;
      const way = wayOf(terms, candidate, dose);
      if (!best || isBetter(way, best.way, cap)) best = { candidate, way };
    }
  if (!best) return null;
  const { tried, spans } = best.candidate;
  return {
    ...best.way,
    cover: effective(ask.specified.system.cover).width,
    work: terms.work,
    visible,
    seeing: terms.seeing,
    long: tried ? (tried.setup.wall.length / tried.setup.wall.strips.length) * best.way.strips : 0,
    open: openOf(withDose(ask, best.way.conditioner), heightOf(ask), ask.at),
    sections: tried ? sectionsOf(tried.setup) : [],
    spans,
    slack: tried && best.way.people === 2 ? slackOf(tried, longer(ask, best.way.conditioner), spreadOf(ask.job)) : 0,
  };
}

/** Every way that is weighed, the best first. */
export function waysOf(asked: WetAsk): Way[] {
  const terms = termsOf(asked);
  if (!terms) return [];
  const cap = setting(asked.job, 'wet.risk');
  return terms.candidates
    .flatMap((candidate) => terms.doses.map((dose) => wayOf(terms, candidate, dose)))
    .toSorted((a, b) => (isBetter(a, b, cap) ? -1 : isBetter(b, a, cap) ? 1 : 0));
}

const isBetter = (one: Way, other: Way, cap: number): boolean => {
  const [over, by] = [one, other].map(({ seen }) => Math.max(0, seen - cap)) as [number, number];
  return over < by || (over === by && one.cost < other.cost);
};

const heightOf = ({ specified }: WetAsk): number => (specified.surface.kind === 'ceiling' ? 1 : 0.5);

/** What conditioners say of themselves: 190 mL in a litre [common practice, no source]; other doses are the user's. */
const DOSE: Conditioner = 0.19;
/** Doses that are weighed: what is asked for; none in oil, where nothing shows, nor on a wall that shows marks from the side alone. */
function dosesOf(ask: WetAsk, visible: Visible): readonly Conditioner[] {
  if (ask.conditioner !== null) return [ask.conditioner];
  const isOil = ask.specified.product.base === 'oil';
  const shows = visible === 'plain' || (visible === 'faint' && ask.specified.surface.kind === 'door');
  return shows && !isOil ? [0, DOSE] : [0];
}
const longer = (ask: WetAsk, dose: Conditioner): number =>
  ask.specified.product.base === 'water-borne' ? longerWith(dose) : 1;

function termsOf(asked: WetAsk): Terms | null {
  // more than two have hours for without a stop
  if (asked.done.reduce((sum, { minutes }) => sum + minutes, 0) > 2 * asked.longest) return null;
  // all ways are weighed on one play
  const ask = withDose(asked, 0);
  const { job, specified, litres } = ask;
  const found = wetCaseOf(ask);
  const face = found ? null : faceOf(ask);
  const spread = ask.uniform ? { people: 0, open: 0 } : spreadOf(job);
  const visible = visibleOn(specified);
  const candidates = found ? wallWays(ask, found) : face ? [faceWay(face)] : [];
  if (!candidates.length) return null;
  const perMinute = hourlyOf(job) / 60;
  const work = found ? workOf(found) : (face?.minutes ?? 0);
  const paint = Math.min(...specified.product.cans.map((can) => can.price / can.litres));
  return {
    ask,
    visible,
    seeing: seeing(job, visible, {
      inJoint: face?.inJoint ?? 1,
      stipple: found?.backRolled ? setting(job, 'wet.backRolled') : 1,
    }),
    candidates,
    doses: dosesOf(asked, visible),
    work,
    perMinute,
    perDose: (litres / setting(job, 'conditioner.bottle')) * pieceOf(job, 'conditioner'),
    puttingRight: (setting(job, 'wet.rub') + work) * perMinute + litres * (Number.isFinite(paint) ? paint : 0),
  };

  function wallWays(own: WetAsk, wall: WetCase): Candidate[] {
    const wayBy = ({ method, strips }: Pick<Plan, 'method' | 'strips'>): Candidate => {
      const tried = tryPlan(wall, method, strips);
      return { method, strips, tried, spans: spansOf(tried.setup), marks: (by) => marksOf(tried, spread, by) };
    };
    // nobody stops inside a wall
    const fits = ({ spans }: Candidate) => spans.every(([from, to]) => to - from <= own.longest);
    const [first, ...others] = plansOf(own, wall);
    if (!first) return [];
    const whole = wayBy(first);
    // nobody else is called, and nothing is cut up, but where a mark would be seen from the front [common practice, no source]
    if (visible !== 'plain' && own.methods === null && fits(whole)) return [whole];
    const ways = [whole, ...others.map(wayBy)];
    const done = ways.filter((way) => fits(way) && way.method !== 'two');
    // from the middle outwards only what is too long for anything else
    return done.length ? done : ways.some(fits) ? ways.filter(fits) : ways;
  }
  function faceWay({ age, open, minutes: all }: NonNullable<typeof face>): Candidate {
    const sigma = Math.hypot(spread.people, spread.open);
    return {
      method: 'face',
      strips: 0,
      tried: null,
      spans: [[0, all]],
      marks: (by) => ({ lap: chanceBeyond(age / (open * by), sigma), halo: 0 }),
    };
  }
}

/** The plans of a wall that are tried: in one go first, so that it stays where nothing is better. */
function plansOf({ methods, strips, people }: WetAsk, { wall }: WetCase): Pick<Plan, 'method' | 'strips'>[] {
  const count = wall.strips.length;
  const least = Math.max(SECTION.strips, Math.ceil((SECTION.long * count) / wall.length - 1e-9));
  const upTo = (from: number, to: number) => Array.from({ length: Math.max(0, to - from + 1) }, (_, i) => from + i);
  // sections alike, up to so many: a wall of hundreds of strips is no wall that is tried in hundreds of ways
  const alike = [...new Set(upTo(2, SECTIONS).map((n) => Math.ceil(count / n)))].filter((n) => n >= least && n < count);
  const inSections = strips === null ? alike : [Math.min(strips, count)];
  const leads = strips === null ? upTo(1, Math.min(AHEAD, count)) : [Math.min(strips, count)];
  const all = [
    { method: 'whole', strips: 0 },
    ...inSections.map((n) => ({ method: 'sections', strips: n }) as const),
    ...(people === 2 ? leads.map((n) => ({ method: 'follow', strips: n }) as const) : []),
    ...(people === 2 ? [...inSections, count].map((n) => ({ method: 'two', strips: n }) as const) : []),
    { method: 'dry-edges', strips: 0 },
  ] as const;
  const allowed = methods ?? USUAL;
  const asked = all.filter(({ method }) => allowed.includes(method));
  // a wall too short for sections is done in one go whatever is asked
  return asked.length ? asked : all.slice(0, 1);
}

const paidFor = (spans: Spans): Minutes => spans.reduce((sum, [from, to]) => sum + to - from, 0);
/** What a way costs where it leaves no mark. */
const sureCost = ({ perMinute, perDose }: Terms, { spans }: Candidate, dose: Conditioner): Money =>
  paidFor(spans) * perMinute + dose * perDose;

function wayOf(terms: Terms, candidate: Candidate, dose: Conditioner): Way {
  const { method, strips, tried, spans, marks } = candidate;
  const { ask } = terms;
  const found = marks(longer(ask, dose));
  const seen = seenOf(found, terms.seeing);
  const paid = paidFor(spans);
  const sure = sureCost(terms, candidate, dose);
  return {
    method,
    strips,
    conditioner: dose,
    people: spans.length === 2 ? 2 : 1,
    minutes: tried ? tried.setup.minutes : paid,
    paid,
    ...found,
    seen,
    sure,
    cost: sure + seen * terms.puttingRight,
  };
}

function workOf({ wall }: WetCase): Minutes {
  const sum = (list: readonly { readonly minutes: Minutes }[]) => list.reduce((all, { minutes }) => all + minutes, 0);
  return sum(wall.cuts) + sum(wall.strips);
}

function spansOf({ program, starts, ends }: Setup): Spans {
  return [...new Set(program.acts.map((act) => act.who))].map((who) => {
    const own = program.acts.flatMap((act, i) => (act.who === who ? [i] : []));
    return [Math.min(...own.map((i) => at(starts, i))), Math.max(...own.map((i) => at(ends, i)))] as const;
  });
}

function sectionsOf({ wall, plan }: Setup): Section[] {
  const count = wall.strips.length;
  const size = plan.method === 'sections' ? plan.strips : count;
  return Array.from({ length: Math.ceil(count / size) }, (_, i): Section => {
    const strips = wall.strips.slice(i * size, (i + 1) * size);
    const cuts = wall.cuts.filter(({ strip }) => Math.floor(strip / size) === i);
    return {
      from: strips[0]?.from ?? 0,
      to: strips.at(-1)?.to ?? 0,
      cut: cuts.reduce((sum, cut) => sum + cut.minutes, 0),
      roll: strips.reduce((sum, strip) => sum + strip.minutes, 0),
    };
  });
}

/** Nobody waits for longer than this for who is to roll behind. */
const HOUR: Minutes = 60;
/** Until an edge is as old as marks one in twenty, or as the oldest is anyhow. */
function slackOf({ setup, open, worst }: TriedPlan, by: number, spread: Spread): Minutes {
  const share = Math.max(Math.exp(-1.645 * Math.hypot(spread.people, spread.open)), worst.lap / by, worst.halo / by);
  return Math.max(
    0,
    setup.ages.reduce((least, age, i) => Math.min(least, share * by * at(open, i) - age), HOUR),
  );
}
