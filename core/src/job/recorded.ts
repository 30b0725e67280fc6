import type { Id, Scope, SurfaceId } from './table.ts';
import type { Base, Fabric, Pile, Sheen } from './vocabulary.ts';
import type { Degrees, Litres, Metres } from '../units/si.ts';

/** How a coat was laid: by brush, by roller, by spray gun, or by gun and rolled out at once. */
export const LAID_BY = ['brush', 'roller', 'spray', 'spray-rolled'] as const;
export type LaidBy = (typeof LAID_BY)[number];

/** What can be wrong with a coat. Terms after ISO 4618 (miss, run, cissing, lifting, bleeding, blocking, wrinkling, orange peel) and ISO 4628 (blistering, cracking, flaking), from memory. */
export const DEFECTS = [
  'unknown',
  'lap',
  'halo',
  'miss',
  'flashing',
  'tracks',
  'orange-peel',
  'run',
  'cissing',
  'lifting',
  'filler-lifted',
  'tape-bleed',
  'torn-edge',
  'wavy-edge',
  'shade',
  'lint',
  'poor-hiding',
  'bleeding',
  'blocking',
  'wrinkling',
  'blistering',
  'cracking',
  'flaking',
] as const;
export type DefectKind = (typeof DEFECTS)[number];
/** A defect is open, mended, or left as it is. */
export const DEFECT_STATES = ['open', 'mended', 'left'] as const;
export type DefectState = (typeof DEFECT_STATES)[number];

/** What is asked about a defect, and what may be answered. */
export const SIGNS = {
  from: ['front', 'side'],
  since: ['wet', 'drying', 'dry', 'days'],
  feel: ['level', 'raised', 'rough', 'hollow'],
  where: ['strip-edges', 'cut-band', 'patches', 'all-over', 'spots', 'tape', 'can-change', 'joint'],
  paused: ['no', 'yes'],
  again: ['no', 'yes'],
  cover: ['as-said', 'other', 'unwashed'],
} as const;
export type Sign = keyof typeof SIGNS;
export type SignAnswers = { readonly [S in Sign]?: (typeof SIGNS)[S][number] };

/** Why a defect came about. */
export const CAUSES = [
  'edge-set',
  'gone-back',
  'wrong-cover',
  'dirty-cover',
  'starved',
  'pressed',
  'too-much',
  'thirsty-ground',
  'grease',
  'too-early',
  'tape-open',
  'tape-late',
  'unboxed',
  'few-coats',
  'brush-band',
  'stain',
  'closed-early',
  'unsteady-hand',
  'damp-ground',
  'weak-ground',
] as const;
export type CauseId = (typeof CAUSES)[number];

/** What is done about a defect; each is a list of operations (work/remedies.ts). */
export const REMEDIES = [
  'ridge-corner',
  'ridge-only',
  'recoat-section',
  'another-coat',
  'filler-again',
  'wipe-off',
  'block-stain',
  'ease-sash',
  'cut-again',
  'flatten-spot',
  'scrape-back',
  'spot-in',
] as const;
export type RemedyKind = (typeof REMEDIES)[number];

/** Lights that a colour, or a finished room, is looked at in. */
export const TIMES_OF_LIGHT = ['morning', 'noon', 'evening', 'lamp'] as const;
export type TimeOfLight = (typeof TIMES_OF_LIGHT)[number];
/** Painted on the wall, or on a sheet that is moved about. */
export const SAMPLE_KINDS = ['painted', 'sheet'] as const;
export type SampleKind = (typeof SAMPLE_KINDS)[number];
export const LIKINGS = ['no', 'unsure', 'yes'] as const;
export type Liking = (typeof LIKINGS)[number];

/** Where the rooms are, for the sun: degrees, north and east positive. */
export interface Place {
  readonly latitude: Degrees;
  readonly longitude: Degrees;
}

/** Paint that was on a surface before this job, as somebody said it; an empty text or null: not known. */
export interface EarlierPaint {
  readonly id: Id;
  readonly coats: number;
  readonly product: string;
  readonly colour: string;
  /** The maker's code of the colour, and how it was mixed. */
  readonly code: string;
  readonly formula: string;
  readonly hex: string | null;
  readonly sheen: Sheen | null;
  readonly base: Base | null;
  readonly batch: string;
  readonly primer: string;
  readonly fabric: Fabric | null;
  readonly pile: Pile | null;
  readonly laid: LaidBy | null;
  readonly thinner: string;
  readonly wax: string;
  /** A year, a month or a day: 2019, 2019-05, 2019-05-30; empty: not known. */
  readonly when: string;
  readonly who: string;
  readonly note: string;
  /** Who says so: the name of an earlier job, a label, somebody. */
  readonly source: string;
  /** From a log of that time; by hand and from labels never. */
  readonly certain: boolean;
}

/** What is left of a paint, and where it stands. */
export interface Leftover {
  readonly where: string;
  /** null: what the log says. */
  readonly litres: Litres | null;
  readonly date: string;
}

export interface Defect {
  readonly id: Id;
  readonly surface: SurfaceId;
  /** Along the surface from its start and up from its foot, m; null: all over it. */
  readonly at: { readonly x: Metres; readonly y: Metres } | null;
  /** Of the largest extent, m. */
  readonly size: Metres;
  readonly kind: DefectKind;
  /** ISO day, and who saw it. */
  readonly seen: string;
  readonly by: string;
  /** The coat it was seen on; null: the last. */
  readonly coat: number | null;
  readonly signs: SignAnswers;
  /** What somebody settled on; null: what is likeliest. */
  readonly cause: CauseId | null;
  readonly remedy: RemedyKind | null;
  readonly state: DefectState;
  readonly note: string;
}

/** A room looked over with whoever takes it. */
export interface Acceptance {
  readonly date: string;
  readonly by: string;
  /** From how far it was looked at, m, and in which light. */
  readonly distance: Metres;
  readonly light: TimeOfLight;
  /** Strokes of the signature: x and y in turn, of 1; a list a stroke. */
  readonly signature: readonly (readonly number[])[];
  readonly note: string;
}

/** A colour that is tried on the walls before it is chosen. */
export interface Sample {
  readonly id: Id;
  /** What it is for: a scope of the job, `roomId:wall`. */
  readonly scope: Scope;
  readonly colour: Id;
  readonly kind: SampleKind;
  readonly seen: readonly SampleLook[];
  /** ISO day it was put aside; null: it is still in. */
  readonly dropped: string | null;
}
export interface SampleLook {
  readonly room: Id;
  /** null: moved about. */
  readonly wall: Id | null;
  readonly light: TimeOfLight;
  readonly liking: Liking;
  readonly note: string;
}
