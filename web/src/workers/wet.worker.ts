import type { Job } from '@kovelin/core/job/types.ts';
import { rememberLast } from '@kovelin/core/units/remember.ts';
import type { WholeInput } from '@kovelin/core/whole/inputs.ts';
import { WET_RUNS, WET_SEED, wetAskFor, type WetWish } from '@kovelin/core/whole/wet.ts';
import { wetEdgePlan } from '@kovelin/core/wetEdge/decide.ts';
import { remediesOf, type Remedy } from '@kovelin/core/wetEdge/remedies.ts';
import { wetEdgeOf } from '@kovelin/core/wetEdge/wetEdge.ts';

type Input = WholeInput & Pick<Job, 'air'>;

const known = rememberLast(
  3,
  (key: string, _job: Input) => key,
  (_key, job) => job,
);

export const api = {
  /** Of each edge of a wall, the share of its runs in which somebody sees a mark on it; null: it is not rolled in strips. */
  seen(key: string, job: Input, surface: string, wish: WetWish): Float64Array | null {
    const ask = wetAskFor(known(key, job), surface, wish);
    const answer = ask && wetEdgeOf(ask, WET_RUNS, WET_SEED);
    if (!answer) return null;
    const { plan, setup, chance } = answer;
    return chance.map((share, i) => share * (i < setup.cells.bands ? plan.seeing.halo : plan.seeing.lap));
  },
  remedies(key: string, job: Input, surface: string, wish: WetWish): readonly Remedy[] {
    const ask = wetAskFor(known(key, job), surface, wish);
    const plan = ask && wetEdgePlan(ask);
    return ask && plan ? remediesOf(ask, plan) : [];
  },
};
export type WetApi = typeof api;
