import { setting } from '../job/defaults.ts';
import type { Job } from '../job/types.ts';
import type { PrimerKind, RepairClass, Stain } from '../job/vocabulary.ts';
import type { SquareMetres } from '../units/si.ts';
import { phrase, type Word } from '../units/word.ts';
import { HOLES, STAIN } from '../words/terms.ts';
import type { Primed } from './primers.ts';
import type { Specified } from './specify.ts';

/** Places that a primer is dabbed on, so many of a size. */
export interface Spots {
  readonly name: Word;
  readonly count: number;
  /** Of one of them. */
  readonly area: SquareMetres;
  readonly of: RepairClass | 'stain' | 'place';
}

const PATCHES = ['anchor', 'coin', 'large'] as const satisfies readonly RepairClass[];
/** A scraped place is about as large as a hand: 100 to the square metre would be all of it [starting judgement]. */
const HAND: SquareMetres = 0.01;

type Ground = Pick<Specified, 'survey' | 'surface' | 'primers'>;
type Duty = 'stains' | 'patches' | 'scraped';
/** What a primer has to do to be the one for it. */
const DUTIES: Readonly<Record<Duty, readonly PrimerKind[]>> = {
  stains: ['blocking'],
  patches: ['sealing', 'undercoat'],
  scraped: ['bonding', 'undercoat'],
};
const does = ({ layer, product }: Primed, duty: Duty): boolean =>
  DUTIES[duty].some((kind) => layer.kind === kind || (product?.serves.includes(kind) ?? false));

/** The places that one spot primer of a surface goes on; none where it goes on all over. */
export function spotsOf(job: Pick<Job, 'settings'>, s: Ground, primer: Primed): readonly Spots[] {
  if (primer.layer.extent !== 'spot') return [];
  const first = (duty: Duty) => s.primers.find((other) => does(other, duty)) === primer;
  const { survey, surface } = s;
  const area = surface.area.value;
  const places = (share: number): Spots[] => {
    const count = Math.ceil((area * share) / HAND);
    return count > 0 ? [{ name: 'places, each a hand', count, area: HAND, of: 'place' }] : [];
  };
  const found = [
    ...(first('stains') ? survey.stains.flatMap((stain) => stained(job, stain, area)) : []),
    ...(first('patches')
      ? PATCHES.map((hole): Spots => ({
          name: HOLES[hole][1],
          count: survey.repairs[hole],
          area: setting(job, `patch.${hole}`),
          of: hole,
        }))
      : []),
    ...(first('scraped') && survey.condition === 'peeling' ? places(setting(job, 'spot.share')) : []),
  ].filter(({ count }) => count > 0);
  // called for by the user where nothing is known to be spotty: the starting share of the area
  return found.length ? found : places(setting(job, 'spot.share'));
}

/** How far a stain goes: smoke is everywhere, tannin in knots all over, the others in one place. */
function stained(job: Pick<Job, 'settings'>, stain: Stain, whole: SquareMetres): Spots[] {
  const area =
    stain === 'smoke'
      ? whole
      : stain === 'tannin'
        ? whole * setting(job, 'spot.share')
        : Math.min(whole, setting(job, `stain.${stain}`));
  return [{ name: phrase`${STAIN[stain]} stain`, count: 1, area, of: 'stain' }];
}

/** Area that a primer covers: its spots, or the whole surface. */
export function primedArea(job: Pick<Job, 'settings'>, s: Ground, primer: Primed): SquareMetres {
  const whole = s.surface.area.value;
  if (primer.layer.extent !== 'spot') return whole;
  const spots = spotsOf(job, s, primer).reduce((sum, { count, area }) => sum + count * area, 0);
  return Math.min(whole, spots);
}

/** Paint or primer that a remedy puts on besides what the system of the surface says. */
export interface MendingCoat {
  readonly specified: Specified;
  /** null: the paint of the surface; else the first of its primers that does one of these, or the job's product for the first. */
  readonly primer: readonly [PrimerKind, ...PrimerKind[]] | null;
  /** null: all of the surface, rolled; else a place that is brushed. */
  readonly area: SquareMetres | null;
}
