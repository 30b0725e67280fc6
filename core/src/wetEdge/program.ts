import { groupBy } from '../units/group.ts';
import type { WetMethod } from '../job/vocabulary.ts';
import type { Metres, Minutes } from '../units/si.ts';
import type { WetCut, WetWall } from './wall.ts';

/** How the people on a wall go about it. */
export interface Plan {
  readonly method: Exclude<WetMethod, 'face'>;
  /** Strips of a section, or that the cutter may be ahead of the roller. */
  readonly strips: number;
  /** From brush to roller, and back. */
  readonly turn: Minutes;
  /** Moving a ladder along, and how much of a line is cut from one place of it. */
  readonly ladder: { readonly minutes: Minutes; readonly reach: Metres };
}

/** Something that takes time without a stop: a part of a line, a strip, a change of tools. */
interface Act {
  readonly who: 0 | 1;
  readonly minutes: Minutes;
  /** Acts that must have ended before it; and one that must have begun. */
  readonly after: readonly number[];
  readonly afterStart: number;
}
export interface Program {
  readonly acts: readonly Act[];
  /** Which act lays each cut, and rolls each strip. */
  readonly cutBy: Int32Array;
  readonly rolledBy: Int32Array;
}

/** Cuts an arm's reach at a time, as the play has them, but never past so many strips. */
const inOrder = (cuts: readonly (WetCut & { readonly n: number })[], block: number) =>
  cuts.toSorted(
    (a, b) => Math.floor(a.strip / block) - Math.floor(b.strip / block) || a.piece - b.piece || a.from - b.from,
  );
/** Strips that an arm's reach spans, about. */
const REACH = 3;

/** Of the minutes of what is cut from a ladder, those of cutting: its pace holds the moves that a whole line needs. */
function shareFromLadder(cuts: readonly (WetCut & { readonly n: number })[], { ladder }: Plan): number {
  let [stands, moves, minutes] = [-Infinity, 0, 0];
  for (const { from, to, high, minutes: own } of inOrder(cuts, REACH)) {
    if (!high) continue;
    minutes += own;
    const middle = (from + to) / 2;
    if (Math.abs(middle - stands) <= ladder.reach / 2) continue;
    stands = middle;
    moves++;
  }
  return minutes > 0 ? Math.max(0.25, 1 - (moves * ladder.minutes) / minutes) : 1;
}

/** A plan for a wall as acts of one or two people, each with what it waits for; minutes. */
export function programOf(wall: WetWall, plan: Plan): Program {
  const acts: Act[] = [];
  const cutBy = new Int32Array(wall.cuts.length).fill(-1);
  const rolledBy = new Int32Array(wall.strips.length).fill(-1);
  const add = (who: 0 | 1, minutes: Minutes, after: readonly number[] = [], afterStart = -1): number =>
    acts.push({ who, minutes, after, afterStart }) - 1;
  const cuts = wall.cuts.map((cut, n) => ({ ...cut, n }));
  const atStrip = groupBy(cuts, (cut) => cut.strip);
  const cutsOf = (strips: readonly number[]) => strips.flatMap((strip) => atStrip.get(strip) ?? []);
  /** Where each one's ladder stands along the wall. */
  const stands: [Metres, Metres] = [-Infinity, -Infinity];
  const fromLadder = shareFromLadder(cuts, plan);
  /** A part of a line; the ladder is moved along first where it stands out of reach. */
  const addCut = (who: 0 | 1, cut: WetCut, afterStart = -1): number => {
    const middle = (cut.from + cut.to) / 2;
    if (cut.high && Math.abs(middle - stands[who]) > plan.ladder.reach / 2) {
      stands[who] = middle;
      if (plan.ladder.minutes > 0) add(who, plan.ladder.minutes);
    }
    return add(who, cut.minutes * (cut.high ? fromLadder : 1), [], afterStart);
  };
  const count = wall.strips.length;
  const minutesOf = (strip: number) => wall.strips[strip]?.minutes ?? 0;

  /** Cut a section, change tools, roll it. */
  const bySections = (who: 0 | 1, strips: readonly number[], size: number) => {
    for (let i = 0; i < strips.length; i += size) {
      const own = strips.slice(i, i + size);
      const mine = cutsOf(own);
      const backwards = (own[0] ?? 0) > (own.at(-1) ?? 0);
      for (const cut of backwards ? inOrder(mine, REACH).reverse() : inOrder(mine, REACH))
        cutBy[cut.n] = addCut(who, cut);
      if (mine.length) add(who, plan.turn);
      for (const strip of own) rolledBy[strip] = add(who, minutesOf(strip));
      if (i + size < strips.length) add(who, plan.turn);
    }
  };
  const all = wall.strips.map((_, i) => i);
  const { method } = plan;
  if (method === 'sections') bySections(0, all, Math.max(1, plan.strips));
  if (method === 'whole' || method === 'dry-edges') bySections(0, all, Math.max(1, count));
  if (method === 'two') {
    const middle = count >> 1;
    bySections(0, all.slice(middle), Math.max(1, plan.strips));
    bySections(1, all.slice(0, middle).reverse(), Math.max(1, plan.strips));
  }
  if (method === 'follow') {
    const lead = Math.max(1, plan.strips);
    const blocks = Math.ceil(count / lead);
    for (let b = 0; b < blocks; b++) {
      const own = all.slice(b * lead, (b + 1) * lead);
      for (const cut of inOrder(cutsOf(own), Math.min(REACH, lead))) {
        const waitsFor = cut.strip - lead;
        cutBy[cut.n] = addCut(0, cut, waitsFor >= 0 ? (rolledBy[waitsFor] ?? -1) : -1);
      }
      for (const strip of own)
        rolledBy[strip] = add(
          1,
          minutesOf(strip),
          cutsOf([strip]).map((c) => cutBy[c.n] ?? -1),
        );
    }
  }
  return { acts, cutBy, rolledBy };
}
