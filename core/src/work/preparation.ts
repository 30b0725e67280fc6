import { setting } from '../job/defaults.ts';
import { REPAIR_CLASSES, type OperationKind, type PrepStep, type RepairClass } from '../job/vocabulary.ts';
import { factorsOf } from '../paces/factors.ts';
import type { Amount } from '../paces/minutes.ts';
import { gritsOf } from '../specify/prep-plan.ts';
import { effective } from '../specify/reasons.ts';
import type { Specified } from '../specify/specify.ts';
import type { Survey } from '../job/surveyed.ts';
import { phrase } from '../units/word.ts';
import type { RuleId } from '../words/reasons.ts';
import { HOLES } from '../words/terms.ts';
import { operation, type Labouring, type Operation } from './operation.ts';

/** Visits a hole takes: what is deep is filled in layers, each dry before the next [common practice, no source]. */
const VISITS: Readonly<Record<RepairClass, number>> = { pinhole: 1, anchor: 1, coin: 2, large: 3 };

/** The deepest hole that a visit does not finish, so that its filler lies thick; null: only what soon dries. */
export const deepestIn = ({ repairs }: Pick<Survey, 'repairs'>, visit: number): RepairClass | null => {
  const thick = REPAIR_CLASSES.filter((hole) => repairs[hole] > 0 && VISITS[hole] > visit);
  const deep = thick.length ? thick : REPAIR_CLASSES.filter((hole) => hole === 'anchor' && repairs[hole] > 0);
  return deep.includes('large') ? 'large' : (deep[0] ?? null);
};

/** Area that is worked on: of a hung radiator, what a hand reaches. */
export const reached = (job: Labouring, { surface }: Specified): number =>
  surface.area.value * (surface.name.kind === 'radiator' ? setting(job, 'radiator.reach') : 1);

/** Rules that call for sanding. */
const SANDS: ReadonlySet<RuleId> = new Set<RuleId>([
  'prep.peeling',
  'prep.repairs',
  'prep.oil',
  'prep.gloss',
  'prep.wax',
  'prep.wax-unknown',
  'prep.adhesion',
  'prep.sand-school',
  'prep.clear',
  'prep.bare-wood',
  'prep.bare-metal',
]);

/** Operations of each step that Specify lists, in its order; plates and hardware are the room's to take off. */
const STEPS: Readonly<Record<PrepStep, (job: Labouring, s: Specified) => Operation[]>> = {
  'plates-off': () => [],
  'hardware-off': () => [],
  wash: (job, s) => [...over(job, s, 'wash'), ...(steps(s).includes('degrease') ? [] : over(job, s, 'rinse'))],
  degrease: (job, s) => [...over(job, s, 'degrease'), ...over(job, s, 'rinse')],
  scrape: (job, s) => over(job, s, 'scrape'),
  fill: (job, s) => fill(job, s),
  degloss: (job, s) => over(job, s, 'degloss'),
  sand: (job, s) => sand(job, s),
  dust: (job, s) => over(job, s, 'dust'),
  wipe: (job, s) => over(job, s, 'wipe'),
  caulk: (job, s) => operation(job, on(s), 'caulk', [{ name: 'joints', quantity: s.surface.length }]),
};
const steps = (s: Specified) => effective(s.system.prep);
const on = (s: Specified) => ({ room: s.surface.room, specified: s });

const over = (job: Labouring, s: Specified, kind: OperationKind, times = 1): Operation[] =>
  operation(
    job,
    on(s),
    kind,
    [{ name: times > 1 ? `area, ${times} grits` : 'area', quantity: reached(job, s) * times }],
    {
      factors: factorsOf(job, s, kind),
    },
  );

/** Sanded round a hole, m2 [starting judgement]. */
const ROUND: Readonly<Record<RepairClass, number>> = { pinhole: 0.02, anchor: 0.04, coin: 0.1, large: 0.6 };

/** All of it, once with each grit; where only filled places are sanded level, those. */
function sand(job: Labouring, s: Specified): Operation[] {
  const level = s.system.prep.because.filter(({ rule }) => SANDS.has(rule));
  if (s.system.prep.override || level.some(({ rule }) => rule !== 'prep.repairs'))
    return over(job, s, 'sand', gritsOf(s).length);
  const amounts = REPAIR_CLASSES.map((hole): Amount => ({
    name: phrase`round ${HOLES[hole][1]}`,
    quantity: s.survey.repairs[hole] * ROUND[hole],
  })).filter(({ quantity }) => quantity > 0);
  const whole = amounts.reduce((sum, { quantity }) => sum + quantity, 0) > reached(job, s);
  return whole ? over(job, s, 'sand') : operation(job, on(s), 'sand', amounts, { factors: factorsOf(job, s, 'sand') });
}

/** One operation a visit: the first digs out and backs, the last skims; each hole takes its minutes in equal parts. */
function fill(job: Labouring, s: Specified): Operation[] {
  const holes = REPAIR_CLASSES.filter((hole) => s.survey.repairs[hole] > 0);
  const visits = Math.max(0, ...holes.map((hole) => VISITS[hole]));
  return Array.from({ length: visits }, (_, i) => i + 1).flatMap((visit) => {
    const amounts = holes
      .filter((hole) => VISITS[hole] >= visit)
      .map((hole): Amount => ({
        name: HOLES[hole][1],
        quantity: s.survey.repairs[hole],
        pace: `fill.${hole}`,
        share: 1 / VISITS[hole],
      }));
    return operation(job, on(s), 'fill', amounts, { coat: visit });
  });
}

/** All preparation of a surface as operations, in the order of its steps. */
export const preparationOf = (job: Labouring, s: Specified): Operation[] =>
  steps(s).flatMap((step) => STEPS[step](job, s));
