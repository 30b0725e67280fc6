import { setting, type DefaultKey } from '../job/defaults.ts';
import type { Product } from '../job/paints.ts';
import { familyOf, REPAIR_CLASSES, type OperationKind, type RepairClass } from '../job/vocabulary.ts';
import type { Meeting } from '../measure/meetings.ts';
import type { RoomTakeoff } from '../measure/takeoff.ts';
import { widthFactor, type Amount, type Dips, type Factor } from '../paces/minutes.ts';
import { ruleOf } from '../paces/rules.ts';
import { isRubbed } from '../specify/prep-plan.ts';
import { effective } from '../specify/reasons.ts';
import { cutCoatsOf, type Specified } from '../specify/specify.ts';
import { buyingRate } from '../specify/spread.ts';
import { INCH } from '../units/si.ts';
import { HOLES, THE } from '../words/terms.ts';
import { lengthOf } from './lines.ts';
import { operation, type Labouring, type Operation } from './operation.ts';
import { factorsOf, reached } from './preparation.ts';

/** A surface with the lines it is cut in along under its finish and under a full primer. */
export interface Lined {
  readonly takeoff: RoomTakeoff;
  readonly specified: Specified;
  readonly cut: readonly Meeting[];
  readonly primed: readonly Meeting[];
}

/** Primer and finish of one surface, coat by coat. */
export const coatsOf = (job: Labouring, lined: Lined): Operation[] => [
  ...primerOf(job, lined),
  ...finishOf(job, lined),
];

function primerOf(job: Labouring, lined: Lined): Operation[] {
  const { specified: s } = lined;
  const { extent, coats } = effective(s.system.primer);
  if (!s.primer || extent === 'none' || coats === 0) return [];
  if (extent === 'spot') return spots(job, s);
  return counted(coats).flatMap((coat) =>
    isBroad(s)
      ? [...cut(job, lined, 'prime-cut', coat), ...roll(job, lined, 'prime-roll', coat)]
      : brush(job, s, 'prime-brush', coat),
  );
}

/** Of the minutes of a coin-size place [starting judgement]. */
const DABS: Readonly<Record<RepairClass, number>> = { pinhole: 0.4, anchor: 0.6, coin: 1, large: 4 };

/** A filled place is dabbed, a stain is blocked; where only scraped ground is primed, it is by its share of the area. */
function spots(job: Labouring, s: Specified): Operation[] {
  const stains = s.survey.stains.length;
  const scraped = s.survey.condition === 'peeling' ? s.surface.area.value * setting(job, 'spot.share') : 0;
  const amounts: Amount[] = [
    ...REPAIR_CLASSES.map((hole) => ({ name: HOLES[hole][1], quantity: s.survey.repairs[hole], share: DABS[hole] })),
    { name: 'stains', quantity: stains, pace: 'spot.stain' },
    // a scraped place is about as large as a hand: 100 to the square metre would be all of it
    { name: 'scraped places, each a hand', quantity: Math.ceil(scraped * 100) },
  ];
  const found = amounts.filter((amount) => amount.quantity > 0);
  // called for by the user where nothing is known to be spotty: the starting share of the area
  const all = found.length
    ? found
    : [{ name: 'places, each a hand', quantity: Math.ceil(s.surface.area.value * setting(job, 'spot.share') * 100) }];
  return operation(job, on(s), 'prime-spot', all, { factors: factorsOf(job, s, 'prime-spot') });
}

function finishOf(job: Labouring, lined: Lined): Operation[] {
  const { specified: s } = lined;
  const coats = effective(s.system.coats);
  if (!isBroad(s)) return counted(coats).flatMap((coat) => [...rub(job, s, coat), ...brush(job, s, 'brush', coat)]);
  const cuts = cutCoatsOf(s);
  const early = cuts - coats;
  const before = counted(early).flatMap((coat) => cut(job, lined, 'cut', coat));
  return [
    ...before,
    ...counted(coats).flatMap((coat) => [
      ...rub(job, s, coat),
      ...cut(job, lined, 'cut', coat + early),
      ...roll(job, lined, 'roll', coat),
    ]),
  ];
}

const isBroad = (s: Specified): boolean => familyOf(s.surface.kind) !== 'trim';
const counted = (n: number): number[] => Array.from({ length: n }, (_, i) => i + 1);
const on = (s: Specified) => ({ room: s.surface.room, specified: s });
const isOverhead = (s: Specified): boolean => s.surface.kind === 'ceiling';

const rub = (job: Labouring, s: Specified, coat: number): Operation[] =>
  isRubbed(s, coat)
    ? operation(job, on(s), 'rub', [{ name: 'area', quantity: reached(job, s) }], {
        coat,
        factors: factorsOf(job, s, 'rub'),
      })
    : [];

/** Factors of a coat: later ones are quicker. */
function coatFactors(job: Labouring, s: Specified, kind: OperationKind, coat: number): Factor[] {
  const factors = factorsOf(job, s, kind);
  if (coat > 1 && ruleOf(kind).quickens) factors.push({ name: 'a later coat', value: setting(job, 'coat.later') });
  return factors;
}

function cut(job: Labouring, lined: Lined, kind: 'cut' | 'prime-cut', coat: number): Operation[] {
  const { specified: s } = lined;
  const lines = kind === 'cut' ? lined.cut : lined.primed;
  return operation(job, on(s), kind, [{ name: 'lines', quantity: lengthOf(lines) }], {
    coat,
    overhead: isOverhead(s),
    factors: coatFactors(job, s, kind, coat),
  });
}

function roll(job: Labouring, lined: Lined, kind: 'roll' | 'prime-roll', coat: number): Operation[] {
  const { specified: s, takeoff } = lined;
  const area = labourArea(job, takeoff, s);
  const { width } = effective(s.system.cover);
  const factors = coatFactors(job, s, kind, coat);
  const dips = dipsFor(job, s, kind === 'roll' ? s.product : s.primer, area);
  return operation(job, on(s), kind, [{ name: 'area', quantity: area }], {
    coat,
    overhead: isOverhead(s),
    dips,
    factors: width === 9 * INCH ? factors : [...factors, { name: THE.cover, value: widthFactor(job, width) }],
  });
}

/** The paint of one coat over an area, and the cover that takes it there. */
function dipsFor(job: Labouring, s: Specified, product: Product | null, area: number): Dips | null {
  if (!product) return null;
  const texture = setting(job, `texture.${s.survey.texture}` as DefaultKey);
  const { width, pile } = effective(s.system.cover);
  return { litres: (area * texture * s.nap.film) / buyingRate(job, product), width, pile };
}

/** Runs by their length, doors by faces and edges, pieces by what is reached. */
function brush(job: Labouring, s: Specified, kind: 'brush' | 'prime-brush', coat: number): Operation[] {
  const { surface } = s;
  const factors = coatFactors(job, s, kind, coat);
  if (surface.length > 0)
    return operation(job, on(s), kind, [{ name: 'run', quantity: surface.length }], { coat, factors });
  if (kind === 'prime-brush') return operation(job, on(s), 'prime-faces', [areaOf(job, s)], { coat, factors });
  if (surface.kind !== 'door') return operation(job, on(s), 'faces', [areaOf(job, s)], { coat, factors });
  return [
    ...operation(job, on(s), 'edges', [{ name: 'edges', quantity: surface.edges }], { coat, factors }),
    ...operation(job, on(s), 'faces', [{ name: 'faces', quantity: facesOf(job, s) }], { coat, factors }),
  ];
}
const areaOf = (job: Labouring, s: Specified): Amount => ({
  name: 'area',
  quantity: reached(job, s),
  pace: s.surface.kind === 'door' ? 'pace.leaf' : 'pace.piece',
});
const facesOf = (job: Labouring, { surface }: Specified): number =>
  Math.max(0, surface.area.value - surface.edges * setting(job, 'door.thickness'));

/** The gross school leaves ordinary openings in, to pay for the slow edges round them. */
function labourArea(job: Labouring, takeoff: RoomTakeoff, s: Specified): number {
  const painted = s.surface.area.value;
  if (job.practice.openings !== 'gross') return painted;
  const wall = takeoff.walls.find((w) => `${w.wall.id}/field` === s.surface.id);
  if (!wall) return painted;
  return wall.seen ? painted + wall.grossSchool.value - wall.net.value : wall.grossSchool.value;
}
