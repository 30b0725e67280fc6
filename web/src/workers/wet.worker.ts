import type { Job } from '@kovelin/core/job/types.ts';
import { rememberLast } from '@kovelin/core/units/remember.ts';
import type { WholeInput } from '@kovelin/core/whole/inputs.ts';
import { wetAskFor, type WetWish } from '@kovelin/core/whole/wet.ts';
import { remedyAt, type Remedy } from '@kovelin/core/wetEdge/remedies.ts';
import { wetEdgeOf } from '@kovelin/core/wetEdge/wetEdge.ts';

/** Chances of a wall: of each edge, and of any. */
export interface Chances {
  readonly chance: Float64Array;
  readonly lap: number;
  readonly halo: number;
  readonly runs: number;
}
export type Told = Omit<Remedy, 'answer'>;
type Input = WholeInput & Pick<Job, 'air'>;

const known = rememberLast(
  3,
  (key: string, _job: Input) => key,
  (_key, job) => job,
);

export const api = {
  chances(key: string, job: Input, surface: string, wish: WetWish): Chances | null {
    const ask = wetAskFor(known(key, job), surface, wish);
    const answer = ask && wetEdgeOf(ask);
    return answer && { chance: answer.chance, lap: answer.lap, halo: answer.halo, runs: answer.runs };
  },
  /** The remedy of that number, run with the same seeds; null: it does not apply. */
  remedy(key: string, job: Input, surface: string, wish: WetWish, n: number): Told | null {
    const ask = wetAskFor(known(key, job), surface, wish);
    const before = ask && wetEdgeOf(ask);
    const remedy = ask && before && remedyAt(ask, before, n);
    if (!remedy) return null;
    const { change, value, cost, lap, halo } = remedy;
    return { change, value, cost, lap, halo };
  },
};
export type WetApi = typeof api;
