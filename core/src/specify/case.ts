import type { Room } from '../job/measured.ts';
import type { Colour, Practice, Product } from '../job/paints.ts';
import type { Region } from '../job/region.ts';
import type { Survey } from '../job/surveyed.ts';
import { familyOf, REPAIR_CLASSES, type Sheen, type SurfaceKind } from '../job/vocabulary.ts';
import type { Surface } from '../measure/surface.ts';
import type { SquareMetres } from '../units/si.ts';

/** How much of it there is to roll at a time: a strip or a piece, a wall, a large room, a hall. */
type SurfaceSize = 'narrow' | 'medium' | 'usual' | 'large' | 'vast';

/** Square metres up to which a surface takes a medium cover; of floor from which a room takes a wide one [starting judgement]. */
const MEDIUM = 2;
const LARGE = 25;
const VAST = 50;
/** How large a surface is to whoever picks a cover for it: by its area, and the floor of its room, m2. */
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
  /** Windows whose light grazes it, by label; and those that graze any wall of its room, for they get one sheen. */
  readonly grazedBy: readonly string[];
  readonly grazing: readonly string[];
  /** Primers of the job. */
  readonly primers: readonly Product[];
  readonly region: Pick<Region, 'lead' | 'asbestos'>;
}

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
/** By the meter where there is a reading, else by what was answered. */
export const isDamp = ({ damp, moisture }: Pick<Survey, 'damp' | 'moisture'>): boolean =>
  moisture !== null ? moisture > WET : damp === 'yes';
/** Does light graze it: as answered, or as the windows beside it say. */
export const isRaked = (c: Pick<Case, 'survey' | 'grazedBy'>): boolean =>
  c.survey.raking === 'yes' || (c.survey.raking === 'windows' && c.grazedBy.length > 0);
/** Light grazes it, by what was said or by the windows. */
export const isRakedRoom = ({ survey, grazing }: Case): boolean => isRaked({ survey, grazedBy: grazing });
/** Holes of any size, counted. */
export const holesOf = (survey: Pick<Survey, 'repairs'>): number =>
  REPAIR_CLASSES.reduce((sum, of) => sum + survey.repairs[of], 0);
/** Semi-gloss or gloss. */
export const isGlossy = (sheen: Sheen): boolean => sheen === 'semi-gloss' || sheen === 'gloss';

/** Holes that are patched rather than dabbed. */
export const patchesOf = ({ repairs }: Pick<Survey, 'repairs'>): number =>
  repairs.coin + repairs.large + repairs.anchor;
/** A sprayed or deep texture. */
const isSprayed = ({ texture }: Pick<Survey, 'texture'>): boolean => texture === 'popcorn' || texture === 'deep-stucco';
/** It may hold asbestos, or does. What nobody dates is taken as old. */
export const mayHoldAsbestos = (survey: Survey, { asbestos }: Pick<Region, 'asbestos'>): boolean =>
  isSprayed(survey) && survey.fibres !== 'none' && (survey.fibres !== 'unknown' || (survey.built ?? 0) < asbestos);
/** A sprayed texture that sheds when it is touched: kept clear of. */
export const isSuspect = (survey: Survey, region: Pick<Region, 'asbestos'>): boolean =>
  survey.texture === 'popcorn' && mayHoldAsbestos(survey, region);
/** The hardest classes wipe whatever their sheen [EN 13300; the limit is a starting judgement]. */
export const isHardWearing = ({ product }: Pick<Case, 'product'>): boolean =>
  product.scrub !== null && product.scrub <= 2;
/** Painted with chalk-type paint; and with a clear finish. */
export const isChalkType = ({ product }: Pick<Case, 'product'>): boolean => product.family === 'chalk-type';
/** What goes on is a clear finish. */
export const isClear = ({ product }: Pick<Case, 'product'>): boolean => product.family === 'clear';

/** Neither wall nor ceiling. */
export const isTrim = (c: Case) => familyOf(c.kind) === 'trim';
/** A bathroom or a kitchen. */
export const isWet = (c: Case) => c.room.use === 'bathroom' || c.room.use === 'kitchen';
const isTouched = (c: Case) => c.survey.touched.length > 0;
/** It is touched, splashed, or in a hall. */
export const isWiped = (c: Case): boolean => isTouched(c) || isWet(c) || c.room.use === 'hall';
/** A texture that a short pile does not reach into. */
export const isRough = (c: Case) =>
  ['rough-plaster', 'popcorn', 'brick', 'deep-stucco', 'knockdown'].includes(c.survey.texture);
/** Nothing is on it yet. */
export const isBare = (c: Case) => c.survey.coat === 'bare';
/** Nobody knows what is on it. */
export const isUnknown = (c: Case) => coatOf(c.survey) === 'unknown';
/** Clear goes over clear, or on bare wood: there is nothing to hide. */
export const isClearOverClear = (c: Case) => isClear(c) && coatOf(c.survey) === 'clear';
/** Stained by smoke. */
export const isSmoked = (c: Case) => c.survey.stains.includes('smoke');
/** Stained by smoke or grease. */
export const isGreasy = (c: Case) => isSmoked(c) || c.survey.stains.includes('grease');
/** Wood or fibreboard. */
export const isWood = (c: Case) => c.survey.substrate === 'wood' || c.survey.substrate === 'mdf';
const isSoundOld = (c: Case) => !isBare(c) && conditionOf(c.survey) === 'sound';
/** Sound old paint, by the school that sands it. */
export const isSanded = (c: Case) => c.practice.prep === 'sand' && isSoundOld(c);
/** Washed by degreasing: doors are handled, kitchens cooked in. */
export const isHandled = (c: Case) => c.kind === 'door' || c.room.use === 'kitchen';
/** Runs against a wall have joints to close; sashes and loose pieces have none. */
export const isJointed = (c: Case) =>
  ['baseboard', 'crown', 'chair-rail', 'picture-rail', 'casing', 'frame', 'board'].includes(c.kind);
/** What is on it is oil paint or a clear finish. */
export const isOily = (c: Case) => ['oil', 'clear'].includes(coatOf(c.survey));
/** The ground is weak. */
export const isWeak = (c: Case) => c.survey.condition === 'weak';
/** The old coat peels. */
export const isPeeling = (c: Case) => c.survey.condition === 'peeling';
/** Class 3 or worse of a cross-cut (ISO 2409). */
export const failsCrossCut = (c: Case) => (c.survey.adhesion ?? 0) >= 3;
/** A case: bare, and of one of these. */
export const bareOn =
  (...substrates: string[]) =>
  (c: Case) =>
    isBare(c) && substrates.includes(c.survey.substrate);
/** Its texture, for a reason’s words. */
export const texture = (c: Case) => ({ texture: c.survey.texture });
