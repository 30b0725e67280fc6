import {
  familyOf,
  REPAIR_CLASSES,
  SHEENS,
  type CoatStyle,
  type Conditioner,
  type PaintFamily,
  type Pile,
  PILES,
  type PrepStep,
  type PrimerKind,
  type Sheen,
  type SurfaceKind,
} from '../job/vocabulary.ts';
import type { Brush, Colour, Cover, Practice, PrimerChoice, Product } from '../job/paints.ts';
import type { Room } from '../job/measured.ts';
import type { Survey } from '../job/surveyed.ts';
import type { Surface } from '../measure/surface.ts';
import { INCH, type SquareMetres } from '../units/si.ts';
import { lrvOf } from './colour.ts';
import { because, type Reason, type RuleId, type Uses } from '../words/reasons.ts';
import type { Decided } from './reasons.ts';

/** How much of it there is to roll at a time: a strip or a piece, a wall, a large room, a hall. */
export const SURFACE_SIZES = ['narrow', 'medium', 'usual', 'large', 'vast'] as const;
export type SurfaceSize = (typeof SURFACE_SIZES)[number];

/** Square metres up to which a surface takes a medium cover; of floor from which a room takes a wide one [starting judgement]. */
const MEDIUM = 2;
const LARGE = 25;
const VAST = 50;
export function sizeOf(surface: Pick<Surface, 'kind' | 'area'>, floor: SquareMetres | null): SurfaceSize {
  if (familyOf(surface.kind) === 'trim') return 'narrow';
  if (surface.area.value < MEDIUM) return 'medium';
  if (floor === null || floor < LARGE) return 'usual';
  return floor < VAST ? 'large' : 'vast';
}

/** What a rule may look at. */
export interface Case {
  readonly kind: SurfaceKind;
  readonly room: Pick<Room, 'use'>;
  readonly survey: Survey;
  readonly product: Product;
  readonly colour: Colour;
  readonly practice: Practice;
  readonly size: SurfaceSize;
  /** Windows whose light grazes it, by label. */
  readonly grazedBy: readonly string[];
}

interface Row<T> {
  readonly when: (c: Case) => boolean;
  readonly then: T;
}
/** A rule whose sentence needs something says with what. */
type Explained<R extends RuleId> =
  Uses<R> extends [infer Used]
    ? { readonly rule: R; readonly with: (c: Case) => Used }
    : { readonly rule: R; readonly with?: undefined };
type Rule<T> = { [R in RuleId]: Row<T> & Explained<R> }[RuleId];

const explain = (rule: Rule<unknown>, c: Case): Reason => ({ rule: rule.rule, with: rule.with?.(c) ?? {} });

/** The first rule that fits decides; every table ends with one that always does. */
function decide<T>(rules: readonly Rule<T>[], c: Case): { value: T; because: Reason[] } {
  const found = rules.find((rule) => rule.when(c));
  if (!found) throw new Error('a rule table must end with a rule that always fits');
  return { value: found.then, because: [explain(found, c)] };
}

const always = () => true;

/** What the existing coat is to be taken for: what was answered, else what a solvent rub told. */
export const coatOf = ({ coat, solvent }: Pick<Survey, 'coat' | 'solvent'>): Survey['coat'] =>
  coat !== 'unknown' || solvent === 'not-done' ? coat : solvent === 'comes-off' ? 'water-borne' : 'oil';
/** The same for the condition and a wipe with a dark cloth: what nobody wiped may chalk. */
export const conditionOf = ({ condition, wipe }: Pick<Survey, 'condition' | 'wipe'>): Survey['condition'] =>
  condition !== 'unknown' || wipe === 'not-done' ? condition : wipe === 'clean' ? 'sound' : 'chalky';
/** Does it drink? What was answered, else what a water drop told; unknown counts as thirsty, for too little paint is worse. */
export const isPorous = ({ porous, drop }: Pick<Survey, 'porous' | 'drop'>): boolean =>
  porous === 'unknown' ? drop !== 'stands' : porous === 'yes';
/** Per cent on a pin meter's wood scale above which it is too wet to paint [common practice, no source]. */
export const WET = 17;
export const DRY_ENOUGH = 12;
export const isDamp = ({ damp, moisture }: Pick<Survey, 'damp' | 'moisture'>): boolean =>
  moisture !== null ? moisture > WET : damp === 'yes';
/** Does light graze it: as answered, or as the windows beside it say. */
export const isRaked = (c: Pick<Case, 'survey' | 'grazedBy'>): boolean =>
  c.survey.raking === 'yes' || (c.survey.raking === 'windows' && c.grazedBy.length > 0);
export const holesOf = (survey: Pick<Survey, 'repairs'>): number =>
  REPAIR_CLASSES.reduce((sum, of) => sum + survey.repairs[of], 0);
export const isGlossy = (sheen: Sheen): boolean => sheen === 'semi-gloss' || sheen === 'gloss';

const isTrim = (c: Case) => familyOf(c.kind) === 'trim';
const isWet = (c: Case) => c.room.use === 'bathroom' || c.room.use === 'kitchen';
const isTouched = (c: Case) => c.survey.touched.length > 0;
const isWiped = (c: Case) => isTouched(c) || isWet(c) || c.room.use === 'hall';
const isRough = (c: Case) =>
  ['rough-plaster', 'popcorn', 'brick', 'deep-stucco', 'knockdown'].includes(c.survey.texture);
const isBare = (c: Case) => c.survey.coat === 'bare';
const isUnknown = (c: Case) => coatOf(c.survey) === 'unknown';
const isOily = (c: Case) => ['oil', 'clear'].includes(coatOf(c.survey));
const isWeak = (c: Case) => c.survey.condition === 'weak';
const failsCrossCut = (c: Case) => (c.survey.adhesion ?? 0) >= 3;
const isBigDoor = (c: Case) => c.kind === 'door';
const bareOn =
  (...substrates: string[]) =>
  (c: Case) =>
    isBare(c) && substrates.includes(c.survey.substrate);
const texture = (c: Case) => ({ texture: c.survey.texture });

/** The kind of paint for the surface and its use [common practice, no source]. */
const PAINT: readonly Rule<PaintFamily>[] = [
  { rule: 'paint.oil', when: (c) => isTrim(c) && c.product.base === 'oil', then: 'oil-enamel' },
  { rule: 'paint.piece', when: (c) => c.kind === 'piece' && c.product.family === 'chalk-type', then: 'chalk-type' },
  { rule: 'paint.trim', when: isTrim, then: 'enamel' },
  { rule: 'paint.wet', when: (c) => c.room.use === 'bathroom', then: 'wet-room' },
  { rule: 'paint.ceiling', when: (c) => c.kind === 'ceiling', then: 'ceiling' },
  { rule: 'paint.wall', when: always, then: 'wall' },
];
export const paintFor = (c: Case): Decided<PaintFamily> => decide(PAINT, c);

/** Durability against forgiveness [common practice, no source]. */
const SHEEN: readonly Rule<Sheen>[] = [
  { rule: 'sheen.wet-ceiling', when: (c) => c.kind === 'ceiling' && c.room.use === 'bathroom', then: 'matte' },
  { rule: 'sheen.ceiling', when: (c) => c.kind === 'ceiling', then: 'flat' },
  { rule: 'sheen.wet-trim', when: (c) => isTrim(c) && isWet(c), then: 'semi-gloss' },
  { rule: 'sheen.trim', when: isTrim, then: 'satin' },
  { rule: 'sheen.bath', when: (c) => c.room.use === 'bathroom', then: 'satin' },
  {
    rule: 'sheen.school-touch',
    when: (c) => c.practice.walls === 'touch-up',
    then: 'flat',
    with: (c) => ({ wiped: isWiped(c) ? 'often' : 'seldom' }),
  },
  {
    rule: 'sheen.school-wipe',
    when: (c) => c.practice.walls === 'wipe',
    then: 'satin',
    with: (c) => ({ bumps: isRough(c) ? c.survey.texture : 'none' }),
  },
  {
    rule: 'sheen.wiped',
    when: isWiped,
    then: 'eggshell',
    with: (c) => ({ touched: c.survey.touched, use: c.room.use }),
  },
  { rule: 'sheen.rough', when: isRough, then: 'flat', with: texture },
  { rule: 'sheen.living', when: (c) => c.room.use === 'living', then: 'eggshell' },
  { rule: 'sheen.quiet', when: always, then: 'matte' },
];

/** Extent and kind by the worst thing found first [common practice, no source]. */
const spot = (kind: PrimerKind): PrimerChoice => ({ kind, extent: 'spot', coats: 1, tint: null });
const full = (kind: PrimerKind, coats = 1): PrimerChoice => ({ kind, extent: 'full', coats, tint: null });
const PRIMER: readonly Rule<PrimerChoice>[] = [
  { rule: 'primer.weak-twice', when: (c) => isWeak(c) && c.practice.weakCoats === 2, then: full('penetrating', 2) },
  { rule: 'primer.weak', when: isWeak, then: full('penetrating') },
  { rule: 'primer.chalky', when: (c) => conditionOf(c.survey) === 'chalky', then: full('penetrating') },
  {
    rule: 'primer.rubbed',
    when: (c) => c.survey.coat === 'unknown' && c.survey.solvent === 'stays' && c.product.base === 'water-borne',
    then: full('bonding'),
  },
  {
    rule: 'primer.oil',
    when: (c) => isOily(c) && c.product.base === 'water-borne',
    then: full('bonding'),
    with: (c) => ({ coat: c.survey.coat }),
  },
  { rule: 'primer.unknown', when: isUnknown, then: full('bonding') },
  { rule: 'primer.adhesion', when: failsCrossCut, then: full('bonding') },
  {
    rule: 'primer.not-wiped',
    when: (c) => conditionOf(c.survey) === 'unknown' && !isBare(c),
    then: full('penetrating'),
  },
  { rule: 'primer.bare-board', when: bareOn('drywall', 'unknown'), then: full('board') },
  { rule: 'primer.bare-plaster', when: bareOn('plaster'), then: full('penetrating') },
  {
    rule: 'primer.bare-wood',
    when: bareOn('wood', 'mdf'),
    then: full('undercoat'),
    with: (c) => ({ substrate: c.survey.substrate }),
  },
  { rule: 'primer.bare-metal', when: bareOn('metal'), then: full('bonding') },
  { rule: 'primer.bare-masonry', when: bareOn('masonry'), then: full('penetrating') },
  {
    rule: 'primer.stains',
    when: (c) => c.survey.stains.length > 0,
    then: spot('blocking'),
    with: (c) => ({ stains: c.survey.stains }),
  },
  { rule: 'primer.peeling', when: (c) => c.survey.condition === 'peeling', then: spot('bonding') },
  { rule: 'primer.repairs', when: (c) => holesOf(c.survey) > 0, then: spot('penetrating') },
  {
    rule: 'primer.none',
    when: always,
    then: { kind: 'none', extent: 'none', coats: 0, tint: null },
    with: (c) => ({ coat: coatOf(c.survey) }),
  },
];

/** Preparation: every rule that fits adds its steps; PREP_STEPS gives the order. */
const PREP: readonly Rule<readonly PrepStep[]>[] = [
  { rule: 'prep.plates', when: (c) => c.kind === 'wall' || c.kind === 'ceiling', then: ['plates-off'] },
  { rule: 'prep.hardware', when: (c) => c.kind === 'door', then: ['hardware-off'] },
  { rule: 'prep.kitchen', when: (c) => c.room.use === 'kitchen', then: ['degrease'] },
  { rule: 'prep.handled', when: (c) => c.kind === 'door' && c.room.use !== 'kitchen', then: ['degrease'] },
  { rule: 'prep.wash', when: (c) => c.kind !== 'door' && c.room.use !== 'kitchen', then: ['wash'] },
  { rule: 'prep.peeling', when: (c) => c.survey.condition === 'peeling', then: ['scrape', 'sand', 'dust'] },
  { rule: 'prep.chalky', when: (c) => conditionOf(c.survey) === 'chalky', then: ['wash', 'dust'] },
  {
    rule: 'prep.repairs',
    when: (c) => holesOf(c.survey) > 0,
    then: ['fill', 'sand', 'dust'],
    with: (c) => ({ repairs: holesOf(c.survey) }),
  },
  { rule: 'prep.oil', when: (c) => isOily(c) || isUnknown(c), then: ['degloss', 'sand', 'dust'] },
  {
    rule: 'prep.gloss',
    when: (c) => !isOily(c) && !isBare(c) && isGlossy(c.survey.sheen),
    then: ['degloss', 'sand', 'dust'],
    with: (c) => ({ sheen: c.survey.sheen }),
  },
  { rule: 'prep.wax', when: (c) => c.survey.wax === 'yes', then: ['degrease', 'degloss', 'sand', 'dust'] },
  {
    rule: 'prep.wax-unknown',
    when: (c) => c.survey.wax === 'unknown',
    then: ['degrease', 'sand', 'dust'],
  },
  {
    rule: 'prep.adhesion',
    when: failsCrossCut,
    then: ['scrape', 'sand', 'dust'],
    with: (c) => ({ adhesion: c.survey.adhesion ?? 0 }),
  },
  { rule: 'prep.joints', when: (c) => isTrim(c) && c.kind !== 'door', then: ['caulk'] },
];

/** Board below Level 5 in raking light wants a flatter sheen; where it is splashed or wiped hard, washing weighs more. */
function weighLight(wanted: { value: Sheen; because: Reason[] }, c: Case): { value: Sheen; because: Reason[] } {
  const rank = SHEENS.indexOf(wanted.value);
  const rough = isRaked(c) && c.survey.level !== '5' && c.survey.substrate === 'drywall' && !isTrim(c);
  if (!rough || rank < SHEENS.indexOf('eggshell')) return wanted;
  if (isWiped(c))
    return { ...wanted, because: [...wanted.because, because('sheen.washing-wins', { sheen: wanted.value })] };
  return {
    value: SHEENS[rank - 1] ?? wanted.value,
    because: [...wanted.because, because('sheen.light-wins', { sheen: wanted.value, level: c.survey.level })],
  };
}

export const sheenFor = (c: Case): Decided<Sheen> => {
  const wanted = weighLight(decide(SHEEN, c), c);
  if (c.product.sheens.includes(wanted.value)) return wanted;
  const rank = (sheen: Sheen) => Math.abs(SHEENS.indexOf(sheen) - SHEENS.indexOf(wanted.value));
  const nearest = [...c.product.sheens].sort((a, b) => rank(a) - rank(b))[0] ?? wanted.value;
  return {
    value: nearest,
    because: [...wanted.because, because('sheen.offered', { wanted: wanted.value, offered: c.product.sheens })],
  };
};

export const primerFor = (c: Case): Decided<PrimerChoice> => decide(PRIMER, c);

export function prepFor(c: Case, order: readonly PrepStep[]): Decided<readonly PrepStep[]> {
  const fitting = PREP.filter((rule) => rule.when(c));
  const steps = new Set(fitting.flatMap((rule) => rule.then));
  return {
    value: order.filter((step) => steps.has(step)),
    because: fitting.map((rule) => explain(rule, c)),
  };
}

const isBrick = (c: Case) => c.survey.texture === 'brick';

/** Width by room and piece [common practice, no source]. */
const WIDTH: readonly Rule<Cover['width']>[] = [
  { rule: 'cover.narrow', when: isTrim, then: 4 * INCH },
  { rule: 'cover.medium', when: (c) => c.size === 'medium', then: 6 * INCH },
  { rule: 'cover.large', when: (c) => c.size === 'large', then: 12 * INCH },
  { rule: 'cover.vast', when: (c) => c.size === 'vast', then: 18 * INCH },
  { rule: 'cover.wide', when: always, then: 9 * INCH },
];

/** Pile by texture first, then by sheen [common practice, no source]. Needs the sheen that counts. */
export function coverFor(c: Case, sheen: Sheen): Decided<Cover> {
  const narrow = isTrim(c);
  const pile: readonly Rule<Pile>[] = [
    { rule: 'cover.deep', when: (x) => x.survey.texture === 'deep-stucco', then: 0.028 },
    { rule: 'cover.brick-half', when: (x) => isBrick(x) && x.practice.brick === 'half-inch', then: 0.013 },
    { rule: 'cover.brick', when: (x) => isBrick(x) || x.survey.texture === 'popcorn', then: 0.018, with: texture },
    {
      rule: 'cover.rough',
      when: (x) => ['knockdown', 'rough-plaster'].includes(x.survey.texture),
      then: 0.013,
      with: texture,
    },
    { rule: 'cover.gloss', when: () => isGlossy(sheen), then: 0.005, with: () => ({ sheen }) },
    { rule: 'cover.door', when: (x) => x.kind === 'door', then: 0.005 },
    { rule: 'cover.trim', when: isTrim, then: 0.005 },
    { rule: 'cover.smooth', when: always, then: 0.01, with: (x) => ({ ...texture(x), sheen }) },
  ];
  const chosen = decide(pile, c);
  const fabric: readonly Rule<Cover['fabric']>[] = [
    { rule: 'cover.fabric-gloss', when: () => sheen === 'gloss' && chosen.value === 0.005, then: 'foam' },
    { rule: 'cover.fabric-long', when: () => chosen.value >= 0.018, then: 'woven' },
    { rule: 'cover.fabric-board', when: bareOn('drywall'), then: 'nylon-polyester' },
    { rule: 'cover.fabric', when: always, then: 'microfibre' },
  ];
  const cloth = decide(fabric, c);
  const width = decide(WIDTH, c);
  const { house } = c.practice;
  const far = house ? Math.abs(PILES.indexOf(house.pile) - PILES.indexOf(chosen.value)) : 0;
  const serves = house && !narrow && far <= 1 && !(isGlossy(sheen) && house.pile > chosen.value);
  if (house && !narrow && far > 0 && !serves) chosen.because.push(because('cover.house-not'));
  if (serves)
    return {
      value: { ...house, width: width.value },
      because: [
        because(far === 0 ? 'cover.house' : house.pile > chosen.value ? 'cover.house-long' : 'cover.house-short'),
        ...(far === 0 ? [] : chosen.because),
        ...width.because,
      ],
    };
  return {
    value: { pile: chosen.value, fabric: cloth.value, width: width.value },
    because: [...chosen.because, ...cloth.because, ...width.because],
  };
}

export const brushFor = (c: Case): Decided<Brush> => ({
  value: {
    width: (isTrim(c) ? 2 : 2.5) * INCH,
    shape: 'angled-sash',
    bristle: c.product.base === 'oil' ? 'natural' : 'synthetic',
  },
  because: [
    because(isTrim(c) ? 'brush.trim' : 'brush.broad'),
    because(c.product.base === 'oil' ? 'brush.natural' : 'brush.synthetic'),
  ],
});

/** Two equal coats, or a thin one first: the job's school; one heavy coat is never recommended. */
export const styleFor = (c: Case): Decided<CoatStyle> => ({
  value: c.practice.coats,
  because: [because(c.practice.coats === 'equal' ? 'style.equal' : 'style.thin')],
});

const DEEP = 15;
const deepAndShiny = (c: Case, sheen: Sheen) =>
  !isTrim(c) && SHEENS.indexOf(sheen) >= SHEENS.indexOf('eggshell') && lrvOf(c.colour.hex) < DEEP;

/** Conditioner where an edge would show most: doors, gloss, and deep colours with sheen [common practice, no source]. */
export function conditionerFor(c: Case, sheen: Sheen): Decided<Conditioner> {
  const rules: readonly Rule<Conditioner>[] = [
    { rule: 'conditioner.oil', when: (x) => x.product.base === 'oil', then: 0 },
    { rule: 'conditioner.door', when: isBigDoor, then: 0.125 },
    { rule: 'conditioner.gloss', when: () => isGlossy(sheen), then: 0.125, with: () => ({ sheen }) },
    { rule: 'conditioner.deep', when: (x) => deepAndShiny(x, sheen), then: 0.125, with: () => ({ sheen }) },
    { rule: 'conditioner.none', when: always, then: 0 },
  ];
  return decide(rules, c);
}
