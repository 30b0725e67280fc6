import { setting, type DefaultKey } from '../job/defaults.ts';
import type { Job } from '../job/types.ts';
import { familyOf, type OperationKind } from '../job/vocabulary.ts';
import type { Specified } from '../specify/specify.ts';
import type { Factor } from './minutes.ts';
import { reachFactor } from './reach.ts';
import { ruleOf } from './rules.ts';

type Paced = Pick<Job, 'settings'>;

/** Everything that makes work on a surface slower than on a smooth wall within reach. */
export function factorsOf(job: Paced, s: Specified, kind: OperationKind): Factor[] {
  const { rough, narrow } = ruleOf(kind);
  const small = narrow && familyOf(s.surface.kind) === 'trim';
  const texture = rough ? setting(job, `slow.${s.survey.texture}` as DefaultKey) : 1;
  const reach = reachFactor(job, s.surface);
  const factors: Factor[] = [];
  if (texture !== 1) factors.push({ name: 'texture', value: texture });
  if (small) factors.push({ name: 'small work', value: setting(job, 'prep.narrow') });
  if (reach !== 1) factors.push({ name: 'reach', value: reach });
  return factors;
}

/** Factors of a coat: later ones are quicker. */
export function coatFactors(job: Paced, s: Specified, kind: OperationKind, coat: number): Factor[] {
  const factors = factorsOf(job, s, kind);
  if (coat > 1 && ruleOf(kind).quickens) factors.push({ name: 'a later coat', value: setting(job, 'coat.later') });
  return factors;
}
