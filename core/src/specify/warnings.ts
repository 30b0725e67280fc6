import { DEFAULTS } from '../job/defaults.ts';
import { familyOf } from '../job/vocabulary.ts';
import { remember } from '../units/remember.ts';
import type { SystemValues } from '../job/paints.ts';
import { because, type Reason, type RuleId } from '../words/reasons.ts';
import { effective } from './reasons.ts';
import { bandsOf, deltaE } from './colour.ts';
import type { Specified } from './specify.ts';
import { coatOf, conditionOf, DRY_ENOUGH, isDamp, isRaked } from './system.ts';

/** What a system as a whole gets wrong, however it was chosen, and the members that would mend it. */
export interface Warning {
  readonly reason: Reason;
  readonly mend: readonly (keyof SystemValues)[];
  /** The user chose it so, against the recommendation. */
  readonly insisted: boolean;
}

interface Check {
  readonly mend: readonly (keyof SystemValues)[];
  readonly when: (s: Specified) => boolean;
  readonly warns: (s: Specified) => Reason;
}

const HANDLED = ['door', 'sash', 'frame', 'casing', 'stair', 'baseboard'];
const SHINY = ['satin', 'semi-gloss', 'gloss'];
const primer = (s: Specified) => effective(s.system.primer);
const prep = (s: Specified) => effective(s.system.prep);
const isTrim = (s: Specified) => familyOf(s.surface.kind) === 'trim';

/** Each a thing the trade knows to fail [common practice, no source]. */
const CHECKS: readonly Check[] = [
  {
    mend: ['primer', 'prep'],
    when: (s) =>
      ['oil', 'clear', 'unknown'].includes(coatOf(s.survey)) &&
      s.product.base === 'water-borne' &&
      (primer(s).extent !== 'full' || !['bonding', 'undercoat'].includes(primer(s).kind)),
    warns: (s) => because('warn.oil', { coat: coatOf(s.survey) }),
  },
  {
    mend: ['primer'],
    when: (s) =>
      ['weak', 'chalky'].includes(conditionOf(s.survey)) &&
      (primer(s).kind !== 'penetrating' || primer(s).extent !== 'full'),
    warns: (s) => because('warn.weak', { condition: conditionOf(s.survey) }),
  },
  { mend: [], when: (s) => s.survey.fresh, warns: () => because('warn.fresh') },
  { mend: [], when: (s) => isDamp(s.survey), warns: () => because('warn.damp') },
  {
    mend: [],
    when: (s) => (s.survey.moisture ?? 0) > DRY_ENOUGH && !isDamp(s.survey),
    warns: (s) => because('warn.moisture', { moisture: s.survey.moisture ?? 0, dry: DRY_ENOUGH }),
  },
  {
    mend: ['paint'],
    when: (s) => HANDLED.includes(s.surface.kind) && ['wall', 'ceiling', 'wet-room'].includes(s.product.family ?? ''),
    warns: (s) => because('warn.family', { family: s.product.family ?? 'wall' }),
  },
  {
    mend: ['style'],
    when: (s) =>
      effective(s.system.style) === 'one-heavy' &&
      (s.surface.kind !== 'door' || deltaE(bandsOf(s.survey.colour), bandsOf(s.colour.hex)) > 1),
    warns: () => because('warn.one-heavy'),
  },
  {
    mend: ['primer'],
    when: (s) =>
      s.survey.stains.length > 0 &&
      (primer(s).kind !== 'blocking' || primer(s).extent === 'none') &&
      primer(s).extent !== 'full',
    warns: () => because('warn.stains'),
  },
  {
    mend: ['prep'],
    when: (s) => s.survey.wax === 'yes' && !(prep(s).includes('degrease') && prep(s).includes('sand')),
    warns: () => because('warn.wax'),
  },
  {
    mend: ['prep', 'primer'],
    when: (s) => (s.survey.adhesion ?? 0) >= 3 && !prep(s).includes('scrape'),
    warns: (s) => because('warn.adhesion', { adhesion: s.survey.adhesion ?? 0 }),
  },
  {
    mend: ['sheen'],
    when: (s) => s.sheen === 'flat' && s.wet && s.surface.kind === 'wall',
    warns: () => because('warn.flat-wet'),
  },
  {
    mend: ['cover', 'sheen'],
    when: (s) => effective(s.system.cover).pile >= 0.018 && ['semi-gloss', 'gloss'].includes(s.sheen),
    warns: () => because('warn.pile-gloss'),
  },
  {
    mend: ['sheen'],
    when: (s) =>
      !isTrim(s) && isRaked(s) && s.survey.level !== '5' && s.survey.substrate === 'drywall' && SHINY.includes(s.sheen),
    warns: (s) =>
      because('warn.raking', {
        sheen: s.sheen,
        level: s.survey.level,
      }),
  },
  {
    mend: ['coats', 'primer'],
    when: (s) => effective(s.system.coats) < s.hiding.coats,
    warns: (s) =>
      because('warn.thin', {
        coats: effective(s.system.coats),
        delta: s.hiding.looks[effective(s.system.coats) - 1]?.thinDelta ?? 0,
      }),
  },
];

/** Everything a system should not do on this surface; empty for a sound one. The recommendation itself raises only what no choice can mend. */
export const warningsOf = (s: Specified): Warning[] =>
  CHECKS.filter((check) => check.when(s)).map((check) => ({
    reason: check.warns(s),
    mend: check.mend,
    insisted: check.mend.some((member) => s.system[member].override !== undefined),
  }));

/** Where work can hurt someone: said at the surface and the step it concerns. */
export interface Caution {
  readonly rule: RuleId;
  readonly step: 'survey' | 'prep' | 'paint';
}

const LEAD_YEAR = 1978;
/** Steps and a pole do not reach further. */
const BEYOND_A_POLE = DEFAULTS['reach.pole'].value;
const SANDS = ['scrape', 'sand', 'degloss'] as const;

/** Cautions of a surface, each deferring to local codes and licensed practice in its words [US EPA RRP for lead; else common practice]. */
export const cautionsOf = remember((s: Specified): readonly Caution[] => {
  const steps = prep(s);
  const disturbs = SANDS.some((step) => steps.includes(step));
  const old = s.survey.built === null || s.survey.built < LEAD_YEAR;
  const list: (Caution | false)[] = [
    disturbs && old && s.survey.coat !== 'bare' && { rule: 'caution.lead', step: 'prep' },
    ['popcorn', 'deep-stucco'].includes(s.survey.texture) && old && { rule: 'caution.asbestos', step: 'survey' },
    disturbs && { rule: 'caution.dust', step: 'prep' },
    s.product.base === 'oil' && { rule: 'caution.solvent', step: 'paint' },
    steps.includes('plates-off') && { rule: 'caution.electricity', step: 'prep' },
    isDamp(s.survey) && { rule: 'caution.damp', step: 'survey' },
    s.surface.stairs && { rule: 'caution.stairs', step: 'paint' },
    !s.surface.stairs && s.surface.high > BEYOND_A_POLE && { rule: 'caution.height', step: 'paint' },
  ];
  return list.filter((c) => c !== false);
});
