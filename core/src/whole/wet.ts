import type { Air } from '../job/region.ts';
import type { SurfaceId } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import { CONDITIONERS, type Conditioner, type Role } from '../job/vocabulary.ts';
import { shutIn, withCover, withDose, type Remedy } from '../wetEdge/remedies.ts';
import type { WetAsk } from '../wetEdge/wetEdge.ts';
import type { Minutes } from '../units/si.ts';
import type { WholeInput } from './inputs.ts';
import { playAskFor } from './play.ts';

/** What is asked of a wall: who is on it, in what air, with what. */
export interface WetWish {
  /** null: the last, which is looked at. */
  readonly coat?: number | null;
  readonly people?: 1 | 2;
  readonly role?: Role | null;
  readonly strips?: number | null;
  readonly at?: Minutes | null;
  /** In place of that of the job. */
  readonly air?: Partial<Air>;
  readonly conditioner?: Conditioner;
  /** Of the cover, metres. */
  readonly width?: number;
  /** Windows and doors are shut. */
  readonly shut?: boolean;
  readonly runs?: number;
  readonly uniform?: boolean;
}
/** Runs by which chances are told, and the seed of all of them. */
export const WET_RUNS = 2000;
export const WET_SEED = 14;

/** The question of a wet edge, with all that it reads; null: the surface is not painted, or has no such coat. */
export function wetAskFor(job: WholeInput & Pick<Job, 'air'>, surface: SurfaceId, wish: WetWish): WetAsk | null {
  const {
    coat = null,
    people = 1,
    role = null,
    strips = null,
    at = null,
    air,
    conditioner,
    width,
    shut = false,
    runs = WET_RUNS,
    uniform = false,
  } = wish;
  const first = playAskFor(job, surface, { coat: 1 });
  const ask = first && (coat === 1 ? first : playAskFor(job, surface, { coat: coat ?? first.coats }));
  if (!ask) return null;
  const { settings, practice, crew, prices, region } = job;
  const asked: WetAsk = {
    ...ask,
    job: { settings, practice, crew, prices, region, air: { ...job.air, ...air } },
    ...{ people, role, strips, at, runs, seed: WET_SEED, uniform },
  };
  const dosed = conditioner === undefined ? asked : withDose(asked, conditioner);
  const covered = width === undefined ? dosed : withCover(dosed, width);
  return shut ? shutIn(covered) : covered;
}

/** The same question with a remedy taken. */
export function withRemedy(wish: WetWish, { change, value }: Pick<Remedy, 'change' | 'value'>): WetWish {
  switch (change) {
    case 'shorter':
      return { ...wish, role: null, strips: null };
    case 'conditioner':
      return { ...wish, conditioner: CONDITIONERS.find((dose) => dose === value) ?? 0, strips: null };
    case 'second':
      return { ...wish, people: 2, role: null, strips: null };
    case 'wider':
      return { ...wish, width: value, strips: null };
    case 'hour':
      return { ...wish, at: value, strips: null };
    case 'shut':
      return { ...wish, shut: true, strips: null };
  }
}
