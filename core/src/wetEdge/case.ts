import quantile from '@stdlib/stats-base-dists-normal-quantile';
import type { OpenTime } from '../climate/open.ts';
import { setting } from '../job/defaults.ts';
import type { Job } from '../job/types.ts';
import type { Role } from '../job/vocabulary.ts';
import type { PlayAsk } from '../plays/ground.ts';
import { openOf } from '../plays/manner.ts';
import type { Play } from '../plays/play.ts';
import { playOf } from '../plays/plays.ts';
import { remember } from '../units/remember.ts';
import type { Minutes } from '../units/si.ts';
import type { Plan } from './program.ts';
import { setUp, type Setup, type Spread } from './simulate.ts';
import { sigmaOf, type Uniform } from './uniform.ts';
import { wetWallOf, type WetWall } from './wall.ts';

/** A wall with its open times, before chance. */
export interface WetCase {
  readonly play: Play;
  readonly wall: WetWall;
  readonly open: OpenTime;
  /** Of each strip and line by its height. */
  readonly openAt: (up: number) => Minutes;
  readonly paces: Uniform;
  readonly ladder: Plan['ladder'];
  /** One strip with its loads, on average. */
  readonly strip: Minutes;
}

/** What is to be known of a wall before anybody varies; null: it is not rolled in strips. */
export function wetCaseOf(ask: PlayAsk & { readonly at: Minutes | null }): WetCase | null {
  const play = playOf(ask);
  const wall = wetWallOf(play);
  if (!wall || !wall.strips.length) return null;
  const ceiling = ask.specified.surface.kind === 'ceiling';
  const cut = wall.cuts.reduce((sum, c) => sum + c.minutes, 0);
  const rolled = wall.strips.reduce((sum, s) => sum + s.minutes, 0);
  return {
    play,
    wall,
    open: openOf(ask, ceiling ? 1 : 0, ask.at),
    openAt: (up) => openOf(ask, ceiling ? 1 : up, ask.at).minutes,
    paces: {
      cut: cut > 0 ? wall.length / cut : Infinity,
      roll: rolled > 0 ? wall.length / rolled : Infinity,
      turn: setting(ask.job, 'turn.minutes'),
    },
    ladder: { minutes: setting(ask.job, 'ladder.minutes'), reach: setting(ask.job, 'place.ladder') },
    strip: rolled / wall.strips.length,
  };
}

/** Of a room of this height the share at which something lies. */
const HEIGHT = 3;
function opensOf({ wall, openAt }: WetCase, setup: Setup): Float64Array {
  const high = Math.max(HEIGHT, ...wall.strips.map((s) => s.high));
  const [low, top] = [openAt(0), openAt(1)];
  const at = (up: number): Minutes => (low === Infinity || top === Infinity ? low : low + (top - low) * up);
  const upright = wall.way.axis === 'x';
  return Float64Array.from(setup.cells.of, (n, i) => {
    if (i >= setup.cells.bands) return at(upright ? (wall.strips[n]?.high ?? 0) / high : 1);
    const ends = wall.cuts[n]?.ends;
    return at(ends ? (ends[0].y + ends[1].y) / 2 / high : 0);
  });
}

/** Largest share of its open time that any edge is old. */
function worstOf({ ages }: Setup, open: Float64Array): number {
  let worst = 0;
  for (let i = 0; i < ages.length; i++) worst = Math.max(worst, (ages[i] as number) / (open[i] as number));
  return worst;
}

/** A plan tried on a wall: how old its edges get, as shares of their open time at worst. */
export interface TriedPlan {
  readonly setup: Setup;
  readonly open: Float64Array;
  readonly worst: number;
}
/** Plans of a wall that were tried already: the best one and whether one person can do it are sought among the same. */
const triedOf = remember((_: WetCase) => new Map<string, TriedPlan>());
/** How a wall comes out that is worked on in this way; worked out once a case. */
export function tryPlan(found: WetCase, role: Role, strips: number): TriedPlan {
  const known = triedOf(found);
  const key = `${role} ${strips}`;
  const before = known.get(key);
  if (before) return before;
  const setup = setUp(found.wall, { role, strips, turn: found.paces.turn, ladder: found.ladder });
  const open = opensOf(found, setup);
  const tried = { setup, open, worst: worstOf(setup, open) };
  known.set(key, tried);
  return tried;
}

/** So many strips at a time as stay within this share of their open time; where none do, what comes nearest. */
export function planWithin(found: WetCase, role: Role, share: number): TriedPlan {
  const count = found.wall.strips.length;
  if (role === 'cut-all') return tryPlan(found, role, count);
  let best = tryPlan(found, role, 1);
  for (let strips = 2; strips <= count; strips++) {
    const tried = tryPlan(found, role, strips);
    if (tried.worst <= share || tried.worst < best.worst - 1e-9) best = tried;
    // what is cut and rolled at a time only gets older from here on
    else if (tried.worst > 2 * Math.max(share, best.worst)) break;
  }
  return best;
}

/** How so many people share a wall unless they say otherwise. */
export const usualRole = (people: 1 | 2): Role => (people === 1 ? 'stretches' : 'follow');

/** Share of its open time within which an edge laps no oftener than is accepted. */
export function safeShare(job: Pick<Job, 'settings'>): number {
  const spread = spreadOf(job);
  const deviate = quantile(1 - setting(job, 'wet.risk'), 0, 1);
  return Math.exp(-deviate * Math.hypot(spread.people, spread.open));
}
/** How much people and open times vary from wall to wall, as σ of a log-normal. */
export const spreadOf = (job: Pick<Job, 'settings'>): Spread => ({
  people: sigmaOf(setting(job, 'wet.people')),
  open: sigmaOf(setting(job, 'wet.open')),
});
