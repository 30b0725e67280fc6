import { airAt } from '../climate/air.ts';
import { openTimeOf, type Film, type OpenTime } from '../climate/open.ts';
import { setting } from '../job/defaults.ts';
import type { LayOff, Spread } from '../job/vocabulary.ts';
import { isClear, isPorous, isRaked } from '../specify/case.ts';
import { baseOf } from '../specify/opacity.ts';
import { effective } from '../specify/reasons.ts';
import { visibleOn } from '../specify/visible.ts';
import { INCH, type Metres, type Minutes } from '../units/si.ts';
import { because, type Reason } from '../words/reasons.ts';
import type { Ground, PlayAsk } from './ground.ts';

/** How a broad surface is cut and rolled. */
export interface Manner {
  readonly band: Metres;
  /** The band is rolled over while it is wet, for its stipple to match. */
  readonly backRolled: boolean;
  /** This coat is rolled before it is cut. */
  readonly rollFirst: boolean;
  readonly spread: Spread;
  /** null: left alone. */
  readonly layOff: LayOff | null;
  /** A new cover: its first load rests. */
  readonly newCover: boolean;
}

/** A brushed band wider than this shows beside what is rolled [common practice, no source]. */
const WIDE: Metres = 1.5 * INCH;
/** A mini roller for bands. */
const MINI: Metres = 4 * INCH;

/** Paint that is dry this soon is not gone over again. */
const isQuick = (ask: PlayAsk): boolean => ask.specified.product.dry < setting(ask.job, 'dry.quick');

/** How a coat goes onto a surface by hand: bands, laps, direction, what is done dry. */
export function mannerOf(ask: PlayAsk): Manner {
  const { job, specified: s, coat, coats } = ask;
  const band = setting(job, 'cut.band');
  const shows = visibleOn(s) === 'plain' || (isRaked(s) && s.sheen !== 'flat' && s.sheen !== 'matte');
  return {
    band,
    backRolled: band > WIDE || shows,
    rollFirst: job.practice.firstCoats === 'roll-first' && coat < coats,
    spread: job.practice.spread,
    layOff: isQuick(ask) ? null : job.practice.layOff,
    // a new one for the first coat, and for the last
    newCover: coat === 1 || coat === coats,
  };
}

/** How long the film of this coat stays open in the rooms' air, at some height of it (0 to 1) and time of day. */
export function openOf({ job, specified: s, layer, coat }: PlayAsk, up = 0, at: Minutes | null = null): OpenTime {
  const film: Film = {
    product: s.product,
    dose: effective(s.system.conditioner),
    // what the first coat sealed does not drink
    porous: isPorous(s.survey) && coat === 1 && (layer === 'primer' || s.primers.length === 0),
    film: setting(job, 'hiding.film') * s.nap.film,
    deep: !isClear(s) && baseOf(s.colour) === 'deep',
  };
  return openTimeOf(job, film, airAt(job.air, at, up));
}

/**
 * Strips that are laid off in one: one when it is warm, two when it is cool, the whole wall when it is quite cool. None may be
 * older than a share of the open time; all of them where the whole wall stays open for twice as long as it takes [our model].
 */
export function laidOffTogether(ask: PlayAsk, strips: number, each: Minutes): number {
  const open = openOf(ask, ask.specified.surface.kind === 'ceiling' ? 1 : 0.5).minutes;
  if (strips * each <= open / 2) return strips;
  const fit = Math.floor((open * setting(ask.job, 'roll.settled')) / Math.max(each, 1e-9));
  return Math.max(1, Math.min(strips, fit));
}

/** Above a hand’s reach from the floor. */
const isHigh = ({ job }: PlayAsk, { kind, box }: Ground): boolean =>
  kind === 'ceiling' || box.top > setting(job, 'reach.hand');

/** What is said of the coat as a whole, in the order of the work. */
export function howOf(
  ask: PlayAsk,
  ground: Ground,
  manner: Manner,
  { strips, together, cover }: { readonly strips: number; readonly together: number; readonly cover: Metres },
): Reason[] {
  const { hand, layer, coat, coats } = ask;
  const reasons: (Reason | false)[] = [
    manner.rollFirst ? because('play.rolled-first') : because('play.landing'),
    coat < coats && layer === 'finish' && because('play.short'),
    ask.inside && because('play.inside'),
    manner.backRolled && because('play.back-rolled', { width: MINI }),
    manner.newCover && because('play.rest'),
    ground.kind === 'wall' && !ground.narrow && because('play.hand', { hand, from: hand }),
    ground.kind === 'ceiling' && because(`play.ceiling-${ground.light ?? 'none'}`),
    ground.kind === 'ceiling' && because('play.half'),
    ground.narrow && because('play.narrow'),
    !ground.narrow && because('play.out-of-corner', { cover }),
    because(`play.${manner.spread}`),
    isHigh(ask, ground) && because('play.pole'),
    !ground.narrow && because('play.ends-last'),
    manner.layOff === null && because('play.no-lay-off'),
    manner.layOff !== null && because(`play.lay-off-${manner.layOff}`, { strips: together >= strips ? 0 : together }),
    because('play.whole'),
  ];
  return reasons.filter((reason): reason is Reason => reason !== false);
}
