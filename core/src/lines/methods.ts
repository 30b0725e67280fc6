import { setting } from '../job/defaults.ts';
import type { Colour } from '../job/paints.ts';
import type { Job } from '../job/types.ts';
import type { LineKind, LineMethod, OperationKind, Sheen, TapeStay, Texture } from '../job/vocabulary.ts';
import { coatFactors } from '../paces/factors.ts';
import { minutesOf, type Amount, type Factor } from '../paces/minutes.ts';
import { metreOf, tapeOf, type Tape } from '../paces/prices.ts';
import { labOf } from '../specify/colour.ts';
import { remember } from '../units/remember.ts';
import { effective } from '../specify/reasons.ts';
import { cutCoatsOf, type Specified } from '../specify/specify.ts';
import type { Minutes, Money } from '../units/si.ts';
import type { Working } from '../units/working.ts';
import type { LineReason } from '../words/reasons.ts';
import { isTrim, offEnd, type Line, type Side } from './line.ts';

/** How a line is made: the side that is there first (it laps), and how the other is kept off it. */
export interface Way {
  /** Which of the line's sides is first. */
  readonly first: 0 | 1;
  readonly method: LineMethod;
  /** null: no tape. */
  readonly stays: TapeStay | null;
}

/** Work that one way of making a line takes: operations are made of these, and only of these. */
export interface LineStep {
  readonly kind: OperationKind;
  /** The side that is painted; of tape: the side that is painted against it. */
  readonly on: Side;
  readonly coat: number;
  readonly amounts: readonly Amount[];
  readonly overhead: boolean;
  readonly factors: readonly Factor[];
  readonly minutes: Working;
}

export type Lining = Pick<Job, 'settings' | 'practice' | 'crew' | 'learned' | 'lines' | 'orders' | 'prices' | 'region'>;

const ROUGH: ReadonlySet<Texture> = new Set<Texture>(['knockdown', 'rough-plaster', 'popcorn', 'brick', 'deep-stucco']);
/** Whether tape bleeds on it, by its texture. */
const isRough = (s: Specified | null): boolean => s !== null && ROUGH.has(s.survey.texture);
const isPopcorn = ({ s }: Side): boolean => s?.survey.texture === 'popcorn';
const isStucco = ({ s }: Side): boolean => s?.survey.texture === 'deep-stucco' || s?.survey.texture === 'rough-plaster';
/** CIE L* below which a colour is deep, and the step that makes another light beside it [starting judgement]. */
const DEEP = 45;
const STEP = 25;
export const lightnessOf = remember((colour: Colour): number => labOf(colour.hex).l);
const lightness = ({ s }: Side): number => (s ? lightnessOf(s.colour) : 100);
/** What is cut in light over deep: its band has more to hide. */
const isLightOverDeep = (cut: Side, first: Side): boolean =>
  first.s !== null && lightness(first) < DEEP && lightness(cut) - lightness(first) > STEP;
/** A slip of deep paint on a light neighbour is seen from the door. */
const isDeepOnLight = (cut: Side, first: Side): boolean => isLightOverDeep(first, cut);

/** Whether a way of making a line takes tape. */
export const isTaped = (method: LineMethod): boolean =>
  method === 'tape' || method === 'tape-sealed' || method === 'tape-caulked';

/** A bead of caulk runs along it. */
export const isBeaded = (method: LineMethod): boolean => method === 'tape-caulked' || method === 'straightened';

/** Where only the floor is at stake. */
const FLOORS: ReadonlySet<LineKind> = new Set<LineKind>(['wall-floor', 'wall-stair', 'baseboard-floor']);
/** Tops of trim that a roller above spatters, where the trim is finished or not painted; its edge needs no seal. */
const SPATTERED: ReadonlySet<LineKind> = new Set<LineKind>(['wall-baseboard', 'wall-chair-rail', 'wall-board']);
/** Cut by hand whatever it costs: short, round or between pieces of trim. */
const BY_HAND: ReadonlySet<LineKind> = new Set<LineKind>(['fixture', 'casing-frame', 'frame-leaf', 'wall-opening']);
/** Straight runs along which an edger's wheels find something to roll on. */
const EDGED: ReadonlySet<LineKind> = new Set<LineKind>(['wall-ceiling', 'corner', 'wall-baseboard', 'wall-casing']);

const DULL: readonly Sheen[] = ['flat', 'matte'];

/** Methods that can be had at all for a side cut to another; which of them is taken is a matter of cost. */
export function methodsFor({ practice }: Pick<Job, 'practice'>, line: Line, first: Side, cut: Side): LineMethod[] {
  if (FLOORS.has(line.kind)) return ['shield', 'freehand'];
  // popcorn holds no tape, and may hold asbestos: a hair's clearance, by brush
  if (line.hidden || BY_HAND.has(line.kind) || isPopcorn(first) || isPopcorn(cut)) return ['freehand'];
  const tapes: LineMethod[] =
    practice.tape === 'caulk-all' ? ['tape-caulked'] : ['tape', 'tape-sealed', 'tape-caulked'];
  const smooth = !isRough(first.s) && !isRough(cut.s) && line.wavy !== true;
  const edger: LineMethod[] = EDGED.has(line.kind) && smooth ? ['edger'] : [];
  // its stipple laps onto the wall, where it shows under anything that shines
  const dull = cut.s !== null && DULL.includes(cut.s.sheen);
  const wrap: LineMethod[] =
    first.s?.surface.kind === 'ceiling' && line.kind === 'wall-ceiling' && dull && smooth ? ['wrap'] : [];
  const bead: LineMethod[] = line.wavy === true ? ['straightened'] : [];
  return ['freehand', ...bead, ...wrap, ...edger, ...tapes];
}

/** Burnished tape is for a first coat and comes off at once; a sealed one lies for the last, or for all over what this job leaves. */
export function staysOf(line: Line, method: LineMethod, first: Side): TapeStay | null {
  if (!isTaped(method)) return null;
  if (line.said.stays) return line.said.stays;
  if (!first.s) return 'all';
  return method === 'tape' ? 'first' : 'last';
}

/** Coats that a side is cut with. */
export const cutsOf = ({ s }: Pick<Side, 's'>): number =>
  s ? (isTrim({ s }) ? effective(s.system.coats) : cutCoatsOf(s)) : 0;

/** Reasons that make a cut slower or surer to fail, each with its setting. */
interface Slower {
  readonly reason: LineReason;
  readonly minutes: Factor | null;
  /** Times the chance of a spoilt line. */
  readonly spoils: number;
}
function slowerOf(job: Lining, line: Line, first: Side, cut: Side, method: LineMethod): Slower[] {
  const of = (key: Parameters<typeof setting>[1]) => setting(job, key);
  const byHand = !isTaped(method);
  const rows: (Slower | false)[] = [
    byHand &&
      cut.s?.surface.kind === 'ceiling' &&
      first.s !== null && {
        reason: 'overhead',
        minutes: { name: 'overhead, against a finished edge', value: of('line.overhead') },
        spoils: of('spoil.overhead'),
      },
    byHand &&
      cut.end !== 'along' &&
      cut.end === offEnd(job) && {
        reason: 'off-hand',
        minutes: { name: 'the hand’s worse side', value: of('line.offHand') },
        spoils: of('spoil.offHand'),
      },
    line.wavy === true &&
      method !== 'straightened' && {
        reason: 'wavy',
        minutes: byHand ? { name: 'a wavy corner', value: of('line.wavy') } : null,
        spoils: byHand ? of('spoil.wavy') : 1,
      },
    byHand &&
      isStucco(cut) && {
        reason: 'rough',
        minutes: { name: 'into rough plaster', value: of('line.rough') },
        spoils: 1,
      },
    (isPopcorn(first) || isPopcorn(cut)) && {
      reason: 'popcorn',
      minutes: { name: 'a hair’s clearance', value: of('line.popcorn') },
      spoils: 1,
    },
    isLightOverDeep(cut, first) && {
      reason: 'light-over-deep',
      minutes: { name: 'light over deep', value: of('line.deep') },
      spoils: 1,
    },
    isDeepOnLight(cut, first) && {
      reason: 'deep-on-light',
      minutes: null,
      spoils: of('spoil.deep'),
    },
  ];
  return rows.filter((row): row is Slower => row !== false);
}

/** The careful cut against each method, over cutting freely. */
const CARE = {
  freehand: null,
  straightened: null,
  wrap: null,
  tape: 'line.taped',
  'tape-sealed': 'line.taped',
  'tape-caulked': 'line.taped',
  shield: 'line.shield',
  edger: 'line.edger',
} as const satisfies Record<LineMethod, Parameters<typeof setting>[1] | null>;

/** All that a way of making a line takes, coat by coat. */
export function stepsOf(job: Lining, line: Line, { first: i, method, stays }: Way): LineStep[] {
  const [first, cut] = [line.sides[i], line.sides[1 - i] as Side];
  const slower = slowerOf(job, line, first, cut, method);
  if (FLOORS.has(line.kind))
    return [
      ...cutSteps(job, line, { first, cut, method, stays, slower }),
      ...(method === 'shield' ? [lineStep(job, line, 'card', cut, 0)] : []),
    ];
  return [
    ...lapSteps(job, line, first, cut, method),
    ...(method === 'straightened' ? [lineStep(job, line, 'straighten', cut, 0)] : []),
    ...(SPATTERED.has(line.kind) && cut.s && !isTrim(cut) && !line.hidden
      ? [lineStep(job, line, 'spatter', cut, 1)]
      : []),
    ...tapeSteps(job, line, cut, method, stays),
    ...cutSteps(job, line, { first, cut, method, stays, slower }),
  ];
}

const counted = (n: number): number[] => Array.from({ length: n }, (_, i) => i + 1);

function paintStep(
  job: Lining,
  line: Line,
  kind: OperationKind,
  on: Side,
  coat: number,
  factors: readonly Factor[],
  pace: Amount['pace'] | null = null,
): LineStep {
  const s = on.s as Specified;
  const amounts: Amount[] = [{ name: 'line', quantity: line.length, ...(pace ? { pace } : {}) }];
  const all = [...coatFactors(job, s, kind, coat), ...factors];
  const overhead = s.surface.kind === 'ceiling';
  const minutes = minutesOf(job, kind, amounts, { overhead, factors: all, coat });
  return { kind, on, coat, amounts, overhead, factors: all, minutes };
}

function lineStep(
  job: Lining,
  line: Line,
  kind: OperationKind,
  on: Side,
  coat: number,
  factors: readonly Factor[] = [],
): LineStep {
  const amounts: Amount[] = [{ name: 'line', quantity: line.length }];
  return {
    kind,
    on,
    coat,
    amounts,
    overhead: false,
    factors,
    minutes: minutesOf(job, kind, amounts, { factors, coat }),
  };
}

/** What is laid first goes over the line, and need not be neat: trim is brushed over its edge as it is brushed anyway. */
function lapSteps(job: Lining, line: Line, first: Side, cut: Side, method: LineMethod): LineStep[] {
  if (!first.s || isTrim(first)) return [];
  const rough: Factor[] = line.hidden ? [{ name: 'hidden later', value: setting(job, 'line.hidden') }] : [];
  const pace = method === 'wrap' ? 'pace.wrap' : null;
  // nothing to lap onto: it is cut to
  return cut.s === null
    ? []
    : counted(cutsOf(first)).map((coat) => paintStep(job, line, 'lap', first, coat, rough, pace));
}

/** Earlier coats stop short of the line, or inside one that was taped; the last is cut to it. */
interface Cutting {
  readonly first: Side;
  readonly cut: Side;
  readonly method: LineMethod;
  readonly stays: TapeStay | null;
  readonly slower: readonly Slower[];
}
function cutSteps(job: Lining, line: Line, { first, cut, method, stays, slower: rows }: Cutting): LineStep[] {
  if (!cut.s) return [];
  const cuts = cutsOf(cut);
  const care = CARE[method];
  const slower = rows.flatMap(({ minutes }) => minutes ?? []);
  const at = (key: Parameters<typeof setting>[1], name: string): Factor => ({ name, value: setting(job, key) });
  const factorsFor = (coat: number): Factor[] => {
    if (line.hidden) return [at('line.hidden', 'hidden later')];
    const last = coat === cuts;
    if (stays === 'first' && coat > 1) return [at('line.inside', 'inside the taped line')];
    if (stays === 'last' && !last) return [at('line.short', 'stops short of the line')];
    if (stays) return [at('line.taped', 'against tape')];
    if (!last && first.s) return [at('line.short', 'stops short of the line')];
    return [...(care ? [at(care, method === 'shield' ? 'behind a shield' : 'with an edger')] : []), ...slower];
  };
  // trim is brushed along its edges anyway: only the careful one is work of its own
  if (isTrim(cut)) {
    if (line.hidden || !first.s) return [];
    return [paintStep(job, line, 'trim-edge', cut, cuts, factorsFor(cuts))];
  }
  return counted(cuts).map((coat) => paintStep(job, line, 'cut', cut, coat, factorsFor(coat)));
}

function tapeSteps(job: Lining, line: Line, cut: Side, method: LineMethod, stays: TapeStay | null): LineStep[] {
  if (!stays || !cut.s) return [];
  const coat = stays === 'last' ? cutsOf(cut) : 1;
  const off = stays === 'first' ? 1 : cutsOf(cut);
  const scored = job.practice.pull === 'dry' ? [{ name: 'scored', value: setting(job, 'line.scored') }] : [];
  const edge = method === 'tape' ? null : method === 'tape-sealed' ? 'seal-tape' : 'caulk-tape';
  return [
    lineStep(job, line, 'mask', cut, coat),
    ...(edge ? [lineStep(job, line, edge, cut, coat)] : []),
    lineStep(job, line, 'unmask', cut, off, scored),
  ];
}

/** A way of making a line with all it costs, in minor units: work, tape, and what is likely to be put right. */
export interface Option extends Way {
  readonly minutes: Minutes;
  /** Metres likely to be put right, and what that takes. */
  readonly spoilt: Minutes;
  readonly tape: Tape | null;
  readonly cost: Money;
  readonly because: readonly LineReason[];
}

/** Spoilt of a metre, by method. */
const SPOILS = {
  freehand: 'spoil.freehand',
  straightened: 'spoil.freehand',
  wrap: 'spoil.freehand',
  tape: 'spoil.tape',
  'tape-sealed': 'spoil.sealed',
  'tape-caulked': 'spoil.caulked',
  shield: 'spoil.shield',
  edger: 'spoil.edger',
} as const satisfies Record<LineMethod, Parameters<typeof setting>[1]>;
const SHINY: readonly Sheen[] = ['semi-gloss', 'gloss'];

/** Minutes likely to be spent on putting a line right. */
function spoiltBy(
  job: Lining,
  line: Line,
  { first, cut, method, slower }: Pick<Cutting, 'first' | 'cut' | 'method' | 'slower'>,
): Minutes {
  if (line.hidden || !cut.s || (isTrim(cut) && !first.s && !FLOORS.has(line.kind))) return 0;
  const bleeds =
    isTaped(method) && isRough(first.s)
      ? setting(
          job,
          method === 'tape' ? 'spoil.tapeRough' : method === 'tape-sealed' ? 'spoil.sealedRough' : 'spoil.caulkedRough',
        )
      : 1;
  const shines = SHINY.includes(cut.s.sheen) ? setting(job, 'spoil.shiny') : 1;
  const worse = slower.reduce((x, { spoils }) => x * spoils, 1);
  const floor = FLOORS.has(line.kind) && method === 'freehand' ? setting(job, 'spoil.floor') : 1;
  const share = Math.min(1, setting(job, SPOILS[method]) * floor * bleeds * shines * worse);
  return line.length * share * setting(job, 'spoil.minutes');
}

/**
 * One way of making a line: its minutes, what it spoils and what both cost, in minor units.
 * @param perMinute pay of whoever makes it.
 */
export function optionOf(job: Lining, line: Line, way: Way, perMinute: Money): Option {
  const [first, cut] = [line.sides[way.first], line.sides[1 - way.first] as Side];
  const slower = slowerOf(job, line, first, cut, way.method);
  const minutes = stepsOf(job, line, way).reduce((sum, step) => sum + step.minutes.value, 0);
  const spoilt = spoiltBy(job, line, { first, cut, method: way.method, slower });
  const tape = way.stays ? tapeOf(line.length, isRough(first.s) || isRough(cut.s)) : null;
  const bead = isBeaded(way.method) ? line.length * metreOf(job, 'caulk') : 0;
  const material = (tape ? tape.length * metreOf(job, tape.item) : 0) + bead;
  return {
    ...way,
    minutes,
    spoilt,
    tape,
    cost: (minutes + spoilt) * perMinute + material,
    because: slower.map(({ reason }) => reason),
  };
}
