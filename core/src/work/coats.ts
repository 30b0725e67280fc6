import { setting, type DefaultKey } from '../job/defaults.ts';
import type { Product } from '../job/paints.ts';
import { familyOf, type OperationKind, type RepairClass } from '../job/vocabulary.ts';
import type { Meeting } from '../measure/meetings.ts';
import type { RoomTakeoff } from '../measure/takeoff.ts';
import { coatFactors, factorsOf } from '../paces/factors.ts';
import { widthFactor, type Amount, type Dips, type Factor } from '../paces/minutes.ts';
import { isRubbed } from '../specify/prep-plan.ts';
import { effective } from '../specify/reasons.ts';
import type { Primed } from '../specify/primers.ts';
import { cutCoatsOf, type Specified } from '../specify/specify.ts';
import { spotsOf } from '../specify/spots.ts';
import { buyingRate } from '../specify/spread.ts';
import { isClear } from '../specify/case.ts';
import { isTexturedDoor } from '../specify/system.ts';
import { INCH } from '../units/si.ts';
import { HOLES, THE } from '../words/terms.ts';
import { lengthOf, type Lining } from './lines.ts';
import { operation, type Labouring, type Operation } from './operation.ts';
import { reached } from './preparation.ts';

/** A surface with the lines it is cut in along, under its finish and under a full primer. */
export interface Lined {
  readonly takeoff: RoomTakeoff;
  readonly specified: Specified;
  /** What its lines ask of it, where another finish or nothing painted begins. */
  readonly steps: readonly Lining[];
  /** Inside corners that it brushes for both sides. */
  readonly blind: readonly Meeting[];
  readonly primed: readonly Meeting[];
}

/** Primer and finish of one surface, coat by coat. */
export const coatsOf = (job: Labouring, lined: Lined): Operation[] => [
  ...primersOf(job, lined),
  ...dabs(job, lined.specified),
  ...finishOf(job, lined),
  ...seal(job, lined.specified),
  ...meetingFaces(job, lined),
];

/** What a coat of primer is laid with; null: the job has no such product. */
export function primerAt({ primers }: Specified, kind: OperationKind, coat: number): Product | null {
  if (kind === 'prime-spot' || kind === 'prime-stains') return primers[coat - 1]?.product ?? null;
  let done = 0;
  return (
    primers.find(({ layer }) => {
      done += layer.extent === 'full' ? layer.coats : 0;
      return layer.extent === 'full' && coat <= done;
    })?.product ?? null
  );
}

/** Each primer in turn: a spot before anything covers it is the room's to dab, one over a full primer comes after that. */
function primersOf(job: Labouring, lined: Lined): Operation[] {
  const { specified: s } = lined;
  let done = 0;
  return s.primers.flatMap((primer, i) => {
    if (primer.layer.extent === 'spot')
      return primer.product ? spots(job, s, primer, done > 0 ? 'prime-stains' : 'prime-spot', i + 1) : [];
    const coats = counted(primer.layer.coats).map((coat) => coat + done);
    done += primer.layer.coats;
    // one that nobody sells here keeps its place, and is warned of
    if (!primer.product) return [];
    return coats.flatMap((coat) =>
      isBroad(s)
        ? [...cutPrimer(job, lined, coat), ...roll(job, lined, 'prime-roll', coat)]
        : brush(job, s, 'prime-brush', coat),
    );
  });
}

/** Of the minutes of a coin-size place [starting judgement]. */
const DABS: Readonly<Record<RepairClass, number>> = { pinhole: 0.4, anchor: 0.6, coin: 1, large: 4 };

/** A filled place is dabbed, a stain is blocked. */
function spots(
  job: Labouring,
  s: Specified,
  primer: Primed,
  kind: 'prime-spot' | 'prime-stains',
  coat: number,
): Operation[] {
  const amounts = spotsOf(job, s, primer).map(({ name, count, of }): Amount => {
    if (of === 'stain') return { name, quantity: count, pace: 'spot.stain' };
    return of === 'place' ? { name, quantity: count } : { name, quantity: count, share: DABS[of] };
  });
  return operation(job, on(s), kind, amounts, { coat, factors: factorsOf(job, s, kind) });
}

/** Pinholes take a dab of the finish, where nothing is primed all over. */
function dabs(job: Labouring, s: Specified): Operation[] {
  const full = s.primers.some(({ layer }) => layer.extent === 'full');
  const filled = effective(s.system.prep).includes('fill') && !full && !isClear(s);
  const amounts = [{ name: HOLES.pinhole[1], quantity: filled ? s.survey.repairs.pinhole : 0, share: DABS.pinhole }];
  return operation(job, on(s), 'dab', amounts, { factors: factorsOf(job, s, 'dab') });
}

/** What ends chalk-type paint: worn edges or a highlight, then wax; dark wax goes over clear, a small area at a time. */
function seal(job: Labouring, s: Specified): Operation[] {
  const way = effective(s.system.seal);
  const area = [{ name: 'area', quantity: reached(job, s) }];
  if (way === 'none') return [];
  const dark: Amount[] =
    way === 'dark-wax' ? [{ name: 'dark wax', quantity: reached(job, s), pace: 'pace.darkWax' }] : [];
  return [
    ...(way === 'worn' ? operation(job, on(s), 'wear', area) : []),
    ...(way === 'highlight' ? operation(job, on(s), 'highlight', area) : []),
    ...operation(job, on(s), 'wax', [...area, ...dark]),
  ];
}

/** A painted window that opens would stick where its sashes meet. */
function meetingFaces(job: Labouring, { takeoff, specified: s }: Lined): Operation[] {
  const opening = takeoff.room.openings.byId[s.surface.id.split('/')[0] ?? ''];
  const opens = s.surface.kind === 'sash' && opening && opening.sash !== 'none' && opening.sash !== 'fixed';
  return opens && !isClear(s) ? operation(job, on(s), 'face-wax', [{ name: 'windows', quantity: 1 }]) : [];
}

function finishOf(job: Labouring, lined: Lined): Operation[] {
  const { specified: s } = lined;
  const coats = effective(s.system.coats);
  if (!isBroad(s))
    return counted(coats).flatMap((coat) => [
      ...rub(job, s, coat),
      ...brush(job, s, 'brush', coat),
      ...atLines(job, lined, coat, ['trim-edge']),
    ]);
  const cuts = cutCoatsOf(s);
  const early = cuts - coats;
  const before = counted(early).flatMap((coat) => finishCut(job, lined, coat));
  return [
    ...before,
    ...counted(coats).flatMap((coat) => {
      const cut = finishCut(job, lined, coat + early);
      const rolled = roll(job, lined, 'roll', coat);
      const rollFirst = job.practice.firstCoats === 'roll-first' && coat < coats;
      return [...rub(job, s, coat), ...(rollFirst ? [...rolled, ...cut] : [...cut, ...rolled])];
    }),
  ];
}

/** What a coat's edges take: laps, cuts, and inside corners that are brushed for both sides. */
function finishCut(job: Labouring, lined: Lined, coat: number): Operation[] {
  const { specified: s, blind } = lined;
  const corners = [{ name: 'inside corners', quantity: lengthOf(blind) }];
  return [
    ...atLines(job, lined, coat, ['lap']),
    ...atLines(job, lined, coat, ['cut']),
    ...operation(job, on(s), 'cut', corners, { coat, factors: coatFactors(job, s, 'cut', coat) }),
  ];
}

const TAPING: readonly OperationKind[] = ['mask', 'straighten', 'seal-tape', 'caulk-tape', 'spatter', 'card', 'unmask'];
/** Tape and what is laid against spatter, line by line. */
export const tapingOf = (job: Labouring, lined: Lined): Operation[] => atLines(job, lined, null, TAPING);

/** Operations of the lines of a surface. `coat`: null: of all coats. */
const atLines = (job: Labouring, lined: Lined, coat: number | null, kinds: readonly OperationKind[]): Operation[] =>
  lined.steps.flatMap(({ line, against, step }) =>
    kinds.includes(step.kind) && (coat === null || step.coat === coat)
      ? operation(job, { ...on(lined.specified), line, against }, step.kind, step.amounts, {
          coat: step.coat,
          overhead: step.overhead,
          factors: step.factors,
        })
      : [],
  );

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

function cutPrimer(job: Labouring, { specified: s, primed }: Lined, coat: number): Operation[] {
  return operation(job, on(s), 'prime-cut', [{ name: 'lines', quantity: lengthOf(primed) }], {
    coat,
    overhead: isOverhead(s),
    factors: coatFactors(job, s, 'prime-cut', coat),
  });
}

function roll(job: Labouring, lined: Lined, kind: 'roll' | 'prime-roll', coat: number): Operation[] {
  const { specified: s, takeoff } = lined;
  const area = labourArea(job, takeoff, s);
  const { width } = effective(s.system.cover);
  const factors = coatFactors(job, s, kind, coat);
  const dips = dipsFor(job, s, kind === 'roll' ? s.product : primerAt(s, kind, coat), area);
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
  const plain = coatFactors(job, s, kind, coat);
  const brushedOut = isTexturedDoor({ kind: surface.kind, survey: s.survey });
  const factors = brushedOut ? [...plain, outOf(job)] : plain;
  if (surface.length > 0)
    return operation(job, on(s), kind, [{ name: 'run', quantity: surface.length }], { coat, factors });
  if (kind === 'prime-brush') return operation(job, on(s), 'prime-faces', [areaOf(job, s)], { coat, factors });
  if (surface.kind !== 'door') return operation(job, on(s), 'faces', [areaOf(job, s)], { coat, factors });
  return [
    ...operation(job, on(s), 'edges', [{ name: 'edges', quantity: surface.edges }], { coat, factors }),
    ...operation(job, on(s), 'faces', [{ name: 'faces', quantity: facesOf(job, s) }], { coat, factors }),
  ];
}
/** A textured door, by the school of the practice. */
const outOf = (job: Labouring): Factor =>
  job.practice.doors === 'rolled'
    ? { name: 'rolled, then brushed out', value: setting(job, 'slow.grain') }
    : { name: 'piece by piece', value: setting(job, 'slow.pieces') };
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
