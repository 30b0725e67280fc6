import { effective } from '@kovelin/core/specify/reasons.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';

/** 0: as it is now; n: after coat n; 'hidden': the paint's own colour. */
export type Stage = number | 'hidden';

/** The mean colour of a surface at a stage. */
export function lookAt(s: Specified, stage: Stage): string {
  if (stage === 'hidden') return s.colour.hex;
  if (stage === 0) return s.survey.colour;
  const looks = s.hiding.looks;
  return looks[Math.min(stage, effective(s.system.coats), looks.length) - 1]?.mean ?? s.colour.hex;
}
