import type { Sheen } from '../job/vocabulary.ts';
import { isRaked } from './case.ts';
import { labOf } from './colour.ts';
import type { Specified } from './specify.ts';

/** How plainly a mark would be seen; how likely somebody sees it follows from it. */
export type Visible = 'none' | 'faint' | 'plain';

/** Sheen, depth and raking light each make marks plainer [common practice, no source; the weights are starting judgement]. */
const SHINES: Readonly<Record<Sheen, number>> = {
  flat: 0,
  matte: 0.2,
  eggshell: 0.4,
  satin: 0.6,
  'semi-gloss': 0.8,
  gloss: 1,
};
const DEEP = 45;

/** 0: no light or angle brings a mark out; 1: it is seen from the door. */
function visibility(s: Specified, raked: boolean): number {
  const deep = Math.max(0, (DEEP + 25 - labOf(s.colour.hex).l) / (DEEP + 25));
  return Math.min(1, (SHINES[s.sheen] + 0.5 * deep) * (raked ? 1 : 0.6));
}
/** How much of a lap mark is seen on this surface, by its sheen, colour and light. */
export function visibleOn(s: Specified): Visible {
  const v = visibility(s, isRaked(s));
  return v < 0.15 ? 'none' : v < 0.45 ? 'faint' : 'plain';
}

/** How strongly a mark shows, 0 to 1, so far from a lamp that rakes the wall, in lengths of the wall: the flatter the light, the plainer. */
export function markStrength(s: Specified, away: number): number {
  const grazing = 1 - Math.exp(-4 * away);
  const reaches = Math.exp(-1.2 * away);
  return visibility(s, true) * grazing * reaches * 1.6;
}
