import { familyOf, REPAIR_CLASSES, SHEENS, type PrepStep, type RepairClass } from '../job/vocabulary.ts';
import { remember } from '../units/remember.ts';
import { because, type Reason } from '../words/reasons.ts';
import { effective } from './reasons.ts';
import type { Specified } from './specify.ts';
import { coatOf, isGlossy } from './case.ts';

/** A step of preparation with what it takes: grits of paper, holes by class. */
export interface PrepLine {
  readonly step: PrepStep | 'between';
  readonly how: Reason;
  readonly grits: readonly number[];
  readonly holes: readonly { readonly hole: RepairClass; readonly count: number; readonly how: Reason }[];
}

const HOW: Readonly<Record<PrepStep, Reason['rule']>> = {
  'plates-off': 'how.plates-off',
  'hardware-off': 'how.hardware-off',
  wash: 'how.wash',
  degrease: 'how.degrease',
  scrape: 'how.scrape',
  fill: 'how.fill',
  degloss: 'how.degloss',
  sand: 'how.sand',
  dust: 'how.dust',
  wipe: 'how.wipe',
  caulk: 'how.caulk',
};

/** 80 to key, never on board that will be seen; 120-150 to prepare; 220 between coats [common practice, no source]. */
export function gritsOf(s: Specified): number[] {
  const hard = ['oil', 'clear', 'unknown'].includes(coatOf(s.survey)) || isGlossy(s.survey.sheen);
  const keyed = hard && !['drywall', 'unknown'].includes(s.survey.substrate);
  return keyed ? [80, 150] : hard ? [120, 150] : [150];
}

/** Rubbed down before this coat: between coats on trim and in gloss, before the last one on what shines a little [common practice, no source]. */
export function isRubbed(s: Specified, coat: number): boolean {
  const shine = SHEENS.indexOf(s.sheen);
  const always = familyOf(s.surface.kind) === 'trim' || shine >= SHEENS.indexOf('semi-gloss');
  const last = coat === effective(s.system.coats) && shine >= SHEENS.indexOf('eggshell');
  return coat > 1 && (always || last);
}
/** With this paper. */
const BETWEEN = 220;
const isRubbedBetween = (s: Specified): boolean => isRubbed(s, effective(s.system.coats));

/** Every grit of paper that a surface takes. */
export const gritsFor = (s: Specified): readonly number[] => [
  ...(effective(s.system.prep).includes('sand') ? gritsOf(s) : []),
  ...(isRubbedBetween(s) ? [BETWEEN] : []),
];

/** The preparation decided on, step by step, and the rub between coats. */
export const prepPlan = remember((s: Specified): readonly PrepLine[] => {
  const lines = effective(s.system.prep).map((step): PrepLine => ({
    step,
    how: because(HOW[step]),
    grits: step === 'sand' ? gritsOf(s) : [],
    holes:
      step === 'fill'
        ? REPAIR_CLASSES.flatMap((hole) =>
            s.survey.repairs[hole] > 0
              ? [{ hole, count: s.survey.repairs[hole], how: because(`hole.${hole}` as const) }]
              : [],
          )
        : [],
  }));
  const between: PrepLine = { step: 'between', how: because('how.between'), grits: [BETWEEN], holes: [] };
  return isRubbedBetween(s) ? [...lines, between] : lines;
});
