import type { SurfaceId } from '../job/table.ts';
import type { PlayAsk } from '../plays/ground.ts';
import { playOf } from '../plays/plays.ts';
import type { Play } from '../plays/play.ts';
import { coatAskFor, type PlayWish } from './coat-ask.ts';
import type { Planned } from './inputs.ts';
import { wholeOf } from './whole.ts';

/** What a play is asked with; null: the surface is not painted, or has no such coat. */
export const playAskFor = (job: Planned, surface: SurfaceId, wish: PlayWish): PlayAsk | null =>
  coatAskFor(wholeOf(job), job, surface, wish);

/** The play of a coat of a surface; null: the surface is not painted, or has no such coat. */
export function playFor(job: Planned, surface: SurfaceId, wish: PlayWish): Play | null {
  const ask = playAskFor(job, surface, wish);
  return ask && playOf(ask);
}
