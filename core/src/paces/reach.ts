import { setting } from '../job/defaults.ts';
import type { Job } from '../job/types.ts';
import type { Surface } from '../measure/surface.ts';

/** From what a surface is worked: the floor and steps, with a pole; a ladder or a tower; over stairs, a platform. */
export type Reach = 'floor' | 'tower' | 'platform';

type Placed = Pick<Surface, 'kind' | 'high' | 'stairs'>;

/** From where a place is reached. @param high its upper end over the floor, m. */
export const reachOf = (job: Pick<Job, 'settings'>, { high, stairs }: Placed): Reach =>
  stairs ? 'platform' : high > setting(job, 'reach.pole') ? 'tower' : 'floor';

/** Minutes over those from the floor: over stairs all of it, else the part of it that a pole does not reach. */
export function reachFactor(job: Pick<Job, 'settings'>, surface: Placed): number {
  const reach = reachOf(job, surface);
  if (reach === 'floor') return 1;
  if (reach === 'platform') return setting(job, 'slow.stairs');
  const above = surface.kind === 'wall' ? (surface.high - setting(job, 'reach.pole')) / surface.high : 1;
  return 1 + above * (setting(job, 'slow.high') - 1);
}
