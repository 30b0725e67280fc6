import { setting } from '../job/defaults.ts';
import type { Metres } from '../units/si.ts';
import { because, type Reason } from '../words/reasons.ts';
import type { Remedy } from './remedies.ts';
import type { WetAnswer, WetAsk } from './wetEdge.ts';

/** How far a stretch or a lead goes along the wall. */
export const stretchOf = ({ setup: { wall, plan } }: WetAnswer): Metres =>
  Math.min(wall.length, (wall.length / wall.strips.length) * plan.strips);

/** What to do about a wall, in a sentence: as it is, or the cheapest change that is enough. */
export function adviceOf(
  ask: WetAsk,
  answer: WetAnswer,
  remedies: readonly Pick<Remedy, 'change' | 'lap' | 'halo'>[],
): Reason {
  const accepted = setting(ask.job, 'wet.risk');
  const chance = Math.max(answer.lap, answer.halo);
  if (!answer.case.open.dries) return because('air.still-wet');
  if (chance <= accepted)
    return ask.people === 1
      ? because('wet.alone', { stretch: stretchOf(answer) })
      : because('wet.two', { stretch: stretchOf(answer) });
  const [best] = remedies;
  if (best && Math.max(best.lap, best.halo) <= accepted)
    return because('wet.change', { change: best.change, chance, after: Math.max(best.lap, best.halo) });
  return best && Math.max(best.lap, best.halo) < chance
    ? because('wet.better', { change: best.change, chance, after: Math.max(best.lap, best.halo) })
    : because('wet.none', { chance });
}
