import {
  SHEENS,
  type CoatStyle,
  type Conditioner,
  type PaintFamily,
  type Pile,
  PILES,
  type PrepStep,
  type Seal,
  type Sheen,
} from '../job/vocabulary.ts';
import type { Brush, Cover, PrimerChoice } from '../job/paints.ts';
import { INCH } from '../units/si.ts';
import {
  type Case,
  bareOn,
  coatOf,
  conditionOf,
  failsCrossCut,
  holesOf,
  isBare,
  isChalkType,
  isClear,
  isClearOverClear,
  isGlossy,
  isGreasy,
  isHandled,
  isHardWearing,
  isJointed,
  isOily,
  isPeeling,
  isRakedRoom,
  isRough,
  isSanded,
  isSmoked,
  isSuspect,
  isTrim,
  isUnknown,
  isWeak,
  isWet,
  isWiped,
  isWood,
  patchesOf,
  texture,
} from './case.ts';
import { NO_PRIMER, primerMeeting, type Demand } from './primers.ts';
import { because, type Reason, type RuleId, type Uses } from '../words/reasons.ts';
import type { Decided } from './reasons.ts';

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

/** The kind of paint for the surface and its use [common practice, no source]. */
const PAINT: readonly Rule<PaintFamily>[] = [
  { rule: 'paint.oil', when: (c) => isTrim(c) && c.product.base === 'oil', then: 'oil-enamel' },
  { rule: 'paint.piece', when: (c) => c.kind === 'piece' && c.product.family === 'chalk-type', then: 'chalk-type' },
  { rule: 'paint.clear', when: isClear, then: 'clear' },
  { rule: 'paint.trim', when: isTrim, then: 'enamel' },
  { rule: 'paint.wet', when: (c) => c.room.use === 'bathroom', then: 'wet-room' },
  { rule: 'paint.ceiling', when: (c) => c.kind === 'ceiling', then: 'ceiling' },
  { rule: 'paint.wall', when: always, then: 'wall' },
];
/** The kind of paint, with its reasons. */
export const paintFor = (c: Case): Decided<PaintFamily> => decide(PAINT, c);

/** Durability against forgiveness [common practice, no source]. */
const SHEEN: readonly Rule<Sheen>[] = [
  { rule: 'sheen.wet-ceiling', when: (c) => c.kind === 'ceiling' && c.room.use === 'bathroom', then: 'matte' },
  { rule: 'sheen.ceiling', when: (c) => c.kind === 'ceiling', then: 'flat' },
  { rule: 'sheen.wet-trim', when: (c) => isTrim(c) && isWet(c), then: 'semi-gloss' },
  { rule: 'sheen.trim', when: isTrim, then: 'satin' },
  {
    rule: 'sheen.scrub',
    when: (c) => c.practice.walls !== 'wipe' && isWiped(c) && isHardWearing(c),
    then: 'matte',
    with: (c) => ({ scrub: c.product.scrub ?? 1 }),
  },
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

/** What is asked of a primer by the ground, by its stains and by its patches; null: nothing. */
type Asked = Demand | null;
const spot = (does: Demand['does']): Demand => ({ does, extent: 'spot', coats: 1 });
const full = (does: Demand['does'], coats = 1): Demand => ({ does, extent: 'full', coats });

/** The ground, by the worst thing found first [common practice, no source]. */
const GROUND: readonly Rule<Asked>[] = [
  { rule: 'primer.weak-twice', when: (c) => isWeak(c) && c.practice.weakCoats === 2, then: full('penetrating', 2) },
  { rule: 'primer.weak', when: isWeak, then: full('penetrating') },
  { rule: 'primer.chalk-type', when: isChalkType, then: null },
  { rule: 'primer.clear', when: isClear, then: null },
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
  { rule: 'primer.bare-places', when: (c) => isPeeling(c) && isWood(c), then: spot('undercoat') },
  { rule: 'primer.peeling', when: isPeeling, then: spot('bonding') },
  { rule: 'primer.none', when: always, then: null, with: (c) => ({ coat: coatOf(c.survey) }) },
];
/** A stain is blocked over as much as it covers, whatever else the ground wants. */
const STAINED: readonly Rule<Asked>[] = [
  { rule: 'primer.no-stains', when: (c) => c.survey.stains.length === 0 || isClear(c), then: null },
  { rule: 'primer.smoke', when: isSmoked, then: full('blocking') },
  {
    rule: 'primer.stains',
    when: always,
    then: spot('blocking'),
    with: (c) => ({ stains: c.survey.stains }),
  },
];
/** Patches drink and flash; pinholes are dabbed with the finish itself. */
const PATCHED: readonly Rule<Asked>[] = [
  { rule: 'primer.pinholes', when: (c) => patchesOf(c.survey) === 0, then: null },
  { rule: 'primer.patched-wood', when: isWood, then: spot('undercoat') },
  { rule: 'primer.repairs', when: always, then: spot('sealing') },
];

/** A primer that does all that ground, stains and patches ask; where none does, two in order. */
export function primerFor(c: Case): Decided<PrimerChoice> {
  const [ground, stains, patches] = [decide(GROUND, c), decide(STAINED, c), decide(PATCHED, c)];
  const below = [ground, stains].filter(({ value }) => value !== null);
  // under a primer that goes on all over no filled place wants one of its own
  const covered = below.some(({ value }) => value?.extent === 'full');
  const filled = !covered && holesOf(c.survey) > 0 && !isClear(c) && !isChalkType(c) ? [patches] : [];
  const asked = [...below, ...filled];
  const demands = asked.flatMap(({ value }) => value ?? []);
  return {
    value: demands.length ? primerMeeting(demands, c.primers) : NO_PRIMER,
    because: (asked.length ? asked : [ground]).flatMap((one) => one.because),
  };
}

/** Preparation: every rule that fits adds its steps; PREP_STEPS gives the order. */
const PREP: readonly Rule<readonly PrepStep[]>[] = [
  { rule: 'prep.plates', when: (c) => c.kind === 'wall' || c.kind === 'ceiling', then: ['plates-off'] },
  { rule: 'prep.hardware', when: (c) => c.kind === 'door', then: ['hardware-off'] },
  { rule: 'prep.smoke', when: isGreasy, then: ['degrease'] },
  { rule: 'prep.kitchen', when: (c) => c.room.use === 'kitchen', then: ['degrease'] },
  { rule: 'prep.handled', when: (c) => c.kind === 'door' && c.room.use !== 'kitchen', then: ['degrease'] },
  { rule: 'prep.wash', when: (c) => !isHandled(c) && !isSanded(c), then: ['wash'] },
  { rule: 'prep.sand-school', when: isSanded, then: ['sand', 'dust', 'wipe'] },
  { rule: 'prep.peeling', when: isPeeling, then: ['scrape', 'sand', 'dust'] },
  { rule: 'prep.chalky', when: (c) => conditionOf(c.survey) === 'chalky', then: ['wash', 'dust'] },
  {
    rule: 'prep.repairs',
    when: (c) => holesOf(c.survey) > 0,
    then: ['fill', 'sand', 'dust'],
    with: (c) => ({ repairs: holesOf(c.survey) }),
  },
  { rule: 'prep.clear', when: isClearOverClear, then: ['sand', 'dust'] },
  {
    rule: 'prep.oil',
    when: (c) => (isOily(c) || isUnknown(c)) && !isClearOverClear(c),
    then: ['degloss', 'sand', 'dust'],
  },
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
  { rule: 'prep.bare-wood', when: bareOn('wood', 'mdf'), then: ['sand', 'dust'] },
  { rule: 'prep.bare-metal', when: bareOn('metal'), then: ['degrease', 'sand', 'dust'] },
  {
    rule: 'prep.bare',
    when: bareOn('drywall', 'unknown', 'plaster', 'masonry'),
    then: ['dust'],
    with: (c) => ({ substrate: c.survey.substrate }),
  },
  { rule: 'prep.joints', when: isJointed, then: ['caulk'] },
];

const WET_STEPS: readonly PrepStep[] = ['wash', 'degrease'];
const isThirstyGround = bareOn('drywall', 'unknown', 'plaster', 'masonry', 'wood', 'mdf');
/** What must not be done there, whatever asks for it; the first that fits is said for each step. */
const NEVER: readonly Rule<readonly PrepStep[]>[] = [
  {
    rule: 'prep.suspect',
    when: (c) => isSuspect(c.survey, c.region),
    then: ['plates-off', 'wash', 'degrease', 'scrape', 'fill', 'degloss', 'sand', 'dust', 'wipe', 'caulk'],
    with: (c) => ({ texture: c.survey.texture, fibres: c.survey.fibres }),
  },
  {
    rule: 'prep.soft-texture',
    when: (c) => c.survey.texture === 'popcorn',
    then: [...WET_STEPS, 'wipe', 'sand', 'degloss', 'scrape'],
  },
  {
    rule: 'prep.chalk-type',
    when: isChalkType,
    then: ['degrease', 'scrape', 'degloss', 'sand', 'dust', 'wipe'],
  },
  { rule: 'prep.no-water', when: (c) => isThirstyGround(c) && !isGreasy(c), then: WET_STEPS },
  // soot and grease come off although the ground should have no water
  { rule: 'prep.no-water', when: isThirstyGround, then: ['wash'] },
];
/** Where there is wax, soot or grease, degreasing is a washing. */
const SPARED: Readonly<Partial<Record<PrepStep, PrepStep>>> = { wash: 'degrease' };

/** Steps of preparation with their reasons, in the order given; what must not be done there is left out. */
export function prepFor(c: Case, order: readonly PrepStep[]): Decided<readonly PrepStep[]> {
  const fitting = PREP.filter((rule) => rule.when(c));
  const asked = new Set(fitting.flatMap((rule) => rule.then));
  const forbids = NEVER.filter((rule) => rule.when(c));
  const barred = (step: PrepStep) => forbids.find((rule) => rule.then.includes(step));
  const allowed = new Set([...asked].filter((step) => !barred(step)));
  const spared = (step: PrepStep) => {
    const by = SPARED[step];
    return by !== undefined && allowed.has(by);
  };
  const value = order.filter((step) => allowed.has(step) && !spared(step));
  const barring = new Set([...asked].flatMap((step) => barred(step) ?? []));
  return {
    value,
    because: [
      ...fitting.filter((rule) => rule.then.some((step) => value.includes(step))),
      ...forbids.filter((rule) => barring.has(rule)),
    ].map((rule) => explain(rule, c)),
  };
}

/** Board below Level 5 in raking light wants a flatter sheen; where it is splashed or wiped hard, washing weighs more. */
function weighLight(wanted: { value: Sheen; because: Reason[] }, c: Case): { value: Sheen; because: Reason[] } {
  const rank = SHEENS.indexOf(wanted.value);
  const rough = isRakedRoom(c) && c.survey.level !== '5' && c.survey.substrate === 'drywall' && !isTrim(c);
  if (!rough || rank < SHEENS.indexOf('eggshell')) return wanted;
  if (isWiped(c))
    return { ...wanted, because: [...wanted.because, because('sheen.washing-wins', { sheen: wanted.value })] };
  return {
    value: SHEENS[rank - 1] ?? wanted.value,
    because: [...wanted.because, because('sheen.light-wins', { sheen: wanted.value, level: c.survey.level })],
  };
}

/** The sheen, with its reasons: the nearest one that the paint is made in. */
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

/** A door with a texture of its own is rolled longer, then brushed out. */
export const isTexturedDoor = ({ kind, survey }: Pick<Case, 'kind' | 'survey'>): boolean =>
  kind === 'door' && survey.texture !== 'smooth';
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
    { rule: 'cover.door-textured', when: isTexturedDoor, then: 0.01 },
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

/** The brush, with its reasons; its width in m. */
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

/** None in oil; where a wet edge asks for some it is decided there. */
export const conditionerFor = (c: Case): Decided<Conditioner> =>
  decide<Conditioner>(
    [
      { rule: 'conditioner.oil', when: (x) => x.product.base === 'oil', then: 0 },
      { rule: 'conditioner.none', when: always, then: 0 },
    ],
    c,
  );

/** How chalk-type paint is ended: with clear wax, unless the user likes it otherwise. */
const SEAL: readonly Rule<Seal>[] = [
  { rule: 'seal.chalk-type', when: isChalkType, then: 'clear-wax' },
  { rule: 'seal.none', when: always, then: 'none' },
];
/** What goes over it at last, with its reasons. */
export const sealFor = (c: Case): Decided<Seal> => decide(SEAL, c);
