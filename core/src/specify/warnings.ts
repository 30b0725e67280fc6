import { DEFAULTS } from '../job/defaults.ts';
import { familyOf, SHEENS, type PrimerKind } from '../job/vocabulary.ts';
import { remember } from '../units/remember.ts';
import type { SystemValues } from '../job/paints.ts';
import type { PrepStep } from '../job/vocabulary.ts';
import { because, type Reason, type RuleId } from '../words/reasons.ts';
import { effective } from './reasons.ts';
import { bandsOf, deltaE } from './colour.ts';
import type { Specified } from './specify.ts';
import {
  coatOf,
  conditionOf,
  DRY_ENOUGH,
  isClear,
  isDamp,
  isRaked,
  isSuspect,
  mayHoldAsbestos,
  patchesOf,
} from './case.ts';

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
/** Is there a primer that does this, over all of it where that is asked? A kind nobody sells here counts as chosen. */
const primes = ({ primers }: Specified, does: PrimerKind, full: boolean): boolean =>
  primers.some(
    ({ layer, product }) =>
      (layer.kind === does || (product?.serves.includes(does) ?? false)) && (!full || layer.extent === 'full'),
  );
/** Shinier than recommended: what the recommendation itself accepts is no warning. */
const isShinier = ({ sheen, system }: Specified): boolean => SHEENS.indexOf(sheen) > SHEENS.indexOf(system.sheen.value);
const isSmoked = (s: Specified): boolean => s.survey.stains.includes('smoke');
const WASHES: readonly PrepStep[] = ['wash', 'degrease', 'scrape', 'degloss', 'sand', 'wipe'];
const prep = (s: Specified) => effective(s.system.prep);
const isTrim = (s: Specified) => familyOf(s.surface.kind) === 'trim';

/** Filler that the first coat of paint meets. */
const isFilledBare = (s: Specified): boolean =>
  patchesOf(s.survey) > 0 && s.primers.every(({ layer }) => layer.extent !== 'full');

/** Each a thing the trade knows to fail [common practice, no source]. */
const CHECKS: readonly Check[] = [
  {
    mend: ['primer', 'prep'],
    when: (s) =>
      ['oil', 'clear', 'unknown'].includes(coatOf(s.survey)) &&
      s.product.base === 'water-borne' &&
      !isClear(s) &&
      !primes(s, 'bonding', true) &&
      !primes(s, 'undercoat', true),
    warns: (s) => because('warn.oil', { coat: coatOf(s.survey) }),
  },
  {
    mend: ['primer'],
    when: (s) => ['weak', 'chalky'].includes(conditionOf(s.survey)) && !primes(s, 'penetrating', true),
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
    when: (s) => s.survey.stains.length > 0 && !isClear(s) && !primes(s, 'blocking', isSmoked(s)),
    warns: (s) => because(isSmoked(s) ? 'warn.smoke' : 'warn.stains'),
  },
  {
    mend: ['primer'],
    when: (s) => s.primers.some(({ product }) => product === null),
    warns: (s) =>
      because('warn.no-primer', { kind: s.primers.find(({ product }) => product === null)?.layer.kind ?? 'none' }),
  },
  {
    mend: ['prep'],
    when: (s) => isSuspect(s.survey, s.region) && WASHES.some((step) => prep(s).includes(step)),
    warns: () => because('warn.suspect'),
  },
  {
    mend: ['paint'],
    when: (s) => effective(s.system.paint) === 'wet-room' && s.product.family !== 'wet-room',
    warns: (s) => because('warn.wet-room', { product: s.product.name }),
  },
  {
    mend: ['paint'],
    when: (s) => s.surface.kind === 'wall' && s.wiped && (s.product.scrub ?? 0) >= 4,
    warns: (s) => because('warn.scrub', { scrub: s.product.scrub ?? 5 }),
  },
  {
    mend: ['paint'],
    when: (s) => isClear(s) && !['clear', 'bare', 'unknown'].includes(coatOf(s.survey)),
    warns: () => because('warn.clear'),
  },
  {
    mend: [],
    when: (s) => isFilledBare(s) && s.product.recoat < s.filledRecoat,
    warns: (s) => because('warn.recoat', { recoat: s.product.recoat, least: s.filledRecoat }),
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
    when: (s) => s.sheen === 'flat' && s.wet && s.surface.kind === 'wall' && (s.product.scrub ?? 5) > 2,
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
      !isTrim(s) &&
      isRaked(s) &&
      isShinier(s) &&
      s.survey.level !== '5' &&
      s.survey.substrate === 'drywall' &&
      SHINY.includes(s.sheen),
    warns: (s) =>
      because('warn.raking', {
        sheen: s.sheen,
        level: s.survey.level,
      }),
  },
  {
    mend: ['coats', 'primer'],
    when: (s) => !isClear(s) && effective(s.system.coats) < s.hiding.coats,
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
export interface Caution extends Reason {
  readonly step: 'survey' | 'prep' | 'paint';
}

type PlainCaution = Exclude<RuleId & `caution.${string}`, 'caution.lead'>;
const plain = (rule: PlainCaution, step: Caution['step']): Caution => ({ ...because(rule), step });
/** Steps and a pole do not reach further. */
const BEYOND_A_POLE = DEFAULTS['reach.pole'].value;
const SANDS = ['scrape', 'sand', 'degloss'] as const;

/** Cautions of a surface, each deferring to local codes and licensed practice in its words [lead: US EPA RRP 40 CFR 745 or the local year; else common practice]. */
export const cautionsOf = remember((s: Specified): readonly Caution[] => {
  const steps = prep(s);
  const disturbs = SANDS.some((step) => steps.includes(step));
  const year = s.region.lead;
  const old = (s.survey.built ?? 0) < year;
  const list: (Caution | false)[] = [
    disturbs && old && s.survey.coat !== 'bare' && { ...because('caution.lead', { year }), step: 'prep' },
    mayHoldAsbestos(s.survey, s.region) && plain('caution.asbestos', 'survey'),
    disturbs && plain('caution.dust', 'prep'),
    s.product.base === 'oil' && plain('caution.solvent', 'paint'),
    effective(s.system.seal) !== 'none' && plain('caution.wax-rags', 'paint'),
    steps.includes('plates-off') && plain('caution.electricity', 'prep'),
    isDamp(s.survey) && plain('caution.damp', 'survey'),
    s.surface.stairs && plain('caution.stairs', 'paint'),
    !s.surface.stairs && s.surface.high > BEYOND_A_POLE && plain('caution.height', 'paint'),
  ];
  return list.filter((c) => c !== false);
});
