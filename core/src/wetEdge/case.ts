import type { OpenTime } from '../climate/open.ts';
import { setting } from '../job/defaults.ts';
import type { Job } from '../job/types.ts';
import type { PlayAsk } from '../plays/ground.ts';
import { mannerOf, openOf } from '../plays/manner.ts';
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
  /** Its band is rolled over while it is wet, for its stipple to match. */
  readonly backRolled: boolean;
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
    backRolled: mannerOf(ask).backRolled,
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

/** Largest share of its open time that an edge between strips is old, and one of the band. */
function worstOf({ ages, cells }: Setup, open: Float64Array): TriedPlan['worst'] {
  let [lap, halo] = [0, 0];
  for (let i = 0; i < ages.length; i++) {
    const share = (ages[i] as number) / (open[i] as number);
    if (i < cells.bands) halo = Math.max(halo, share);
    else lap = Math.max(lap, share);
  }
  return { lap, halo };
}

/** A plan tried on a wall: how old its edges get, as shares of their open time at worst. */
export interface TriedPlan {
  readonly setup: Setup;
  readonly open: Float64Array;
  readonly worst: { readonly lap: number; readonly halo: number };
}
/** Plans of a wall that were tried already. */
const triedOf = remember((_: WetCase) => new Map<string, TriedPlan>());
/** How a wall comes out that is worked on in this way; worked out once a case. */
export function tryPlan(found: WetCase, method: Plan['method'], strips: number): TriedPlan {
  const known = triedOf(found);
  const key = `${method} ${strips}`;
  const before = known.get(key);
  if (before) return before;
  const setup = setUp(found.wall, { method, strips, turn: found.paces.turn, ladder: found.ladder });
  const open = opensOf(found, setup);
  const tried = { setup, open, worst: worstOf(setup, open) };
  known.set(key, tried);
  return tried;
}

/** How much people and open times vary from wall to wall, as σ of a log-normal. */
export const spreadOf = (job: Pick<Job, 'settings'>): Spread => ({
  people: sigmaOf(setting(job, 'wet.people')),
  open: sigmaOf(setting(job, 'wet.open')),
});
