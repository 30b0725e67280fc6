import type { Degrees, Litres, Metres, Minutes, Money, System } from '../units/si.ts';
import type {
  Base,
  BrushShape,
  Bristle,
  Condition,
  ExistingCoat,
  Fabric,
  Leaf,
  OpeningKind,
  OpeningSchool,
  Pile,
  PrepStep,
  PrimerExtent,
  PrimerKind,
  Repairs,
  RoomUse,
  Sheen,
  Substrate,
  Texture,
  TrimKind,
  TrimOrder,
} from './vocabulary.ts';

export type Id = string;
/** `wallId/field`, `roomId/ceiling`, `openingId/leaf`, `openingId/casing`, `roomId/baseboard` ... */
export type SurfaceId = string;
/** A surface id, or a scope it falls back to: `roomId:wall`, `all:trim` (see scope.ts). */
export type Scope = string;

export interface Table<T> {
  readonly byId: Readonly<Record<Id, T>>;
  readonly order: readonly Id[];
}

/** What the tape said, as typed, and what it means: changing units never changes what was measured. */
export interface Reading {
  readonly typed: string;
  readonly metres: Metres;
}

export interface Wall {
  readonly id: Id;
  readonly label: string;
  /** null: not measured yet. */
  readonly length: Reading | null;
  /** Deflection at the wall's end, degrees, right positive (walked clockwise, standing inside). */
  readonly turn: Degrees;
  /** null: the room's height. */
  readonly heightStart: Reading | null;
  readonly heightEnd: Reading | null;
  /** A third height, `at` metres from the wall's start: a gable, or a slope meeting a flat. */
  readonly peak: { readonly height: Reading; readonly at: Reading } | null;
}

export interface Opening {
  readonly id: Id;
  readonly label: string;
  readonly wall: Id;
  readonly kind: OpeningKind;
  readonly width: Reading;
  readonly height: Reading;
  /** From the wall's start to the opening's near side. */
  readonly at: Reading;
  /** null: on the floor. */
  readonly sill: Reading | null;
  /** Casing face width; null: no casing. */
  readonly casing: Reading | null;
  readonly leaf: Leaf;
}

/** A diagonal between the starting corners of two walls. */
export interface Check {
  readonly from: Id;
  readonly to: Id;
  readonly length: Reading;
}

export interface TrimRun {
  readonly face: Reading;
  /** Height above the floor of its lower edge; null where the kind says it (baseboard, crown). */
  readonly at: Reading | null;
}

export interface Room {
  readonly id: Id;
  readonly name: string;
  readonly use: RoomUse;
  readonly height: Reading | null;
  /** Were the turns declared (square stays square) or measured (they share in the adjustment)? */
  readonly turns: 'declared' | 'measured';
  readonly walls: Table<Wall>;
  readonly openings: Table<Opening>;
  readonly checks: readonly Check[];
  readonly trim: Readonly<Partial<Record<TrimKind, TrimRun>>>;
}

export interface Can {
  readonly litres: Litres;
  readonly price: Money;
}

/** A snapshot of a product, copied when it is picked; no derivation reads the library again. */
export interface Product {
  readonly id: Id;
  readonly name: string;
  readonly role: 'finish' | 'primer';
  readonly primer: PrimerKind;
  readonly base: Base;
  readonly sheens: readonly Sheen[];
  /** Label spread rate, m2/L on a smooth sealed surface. */
  readonly labelRate: number;
  /** Contrast ratio at the label's film, 0-1 (ISO 6504-3's quantity). */
  readonly contrast: number;
  readonly recoat: Minutes;
  /** Until it can be masked or cut against. */
  readonly dry: Minutes;
  readonly cans: readonly Can[];
  readonly source: string;
  /** ISO date it was picked; null for a starting value. */
  readonly picked: string | null;
}

export interface Colour {
  readonly id: Id;
  readonly name: string;
  /** sRGB, `#rrggbb`. */
  readonly hex: string;
}

export interface FinishChoice {
  readonly product: Id;
  readonly colour: Id;
}

export interface Survey {
  readonly substrate: Substrate;
  readonly texture: Texture;
  readonly coat: ExistingCoat;
  readonly condition: Condition;
  readonly repairs: Repairs;
  readonly stains: boolean;
  readonly porous: boolean;
  /** Touched and wiped: children, pets, a passage. */
  readonly wiped: boolean;
  /** What is on it now. */
  readonly colour: string;
  readonly sheen: Sheen;
}

export interface Cover {
  readonly pile: Pile;
  readonly fabric: Fabric;
  readonly width: Metres;
}
export interface Brush {
  readonly width: Metres;
  readonly shape: BrushShape;
  readonly bristle: Bristle;
}
export interface PrimerChoice {
  readonly kind: PrimerKind;
  readonly extent: PrimerExtent;
  readonly coats: number;
}

/** The members of a system: what is decided for each surface. */
export interface SystemValues {
  readonly prep: readonly PrepStep[];
  readonly primer: PrimerChoice;
  readonly sheen: Sheen;
  readonly cover: Cover;
  readonly brush: Brush;
  readonly coats: number;
}
export type Decisions = { readonly [K in keyof SystemValues]?: SystemValues[K] };

export interface Practice {
  readonly openings: OpeningSchool;
  readonly trimOrder: TrimOrder;
}

export interface Person {
  readonly id: Id;
  readonly name: string;
}
export interface Crew {
  readonly people: readonly Person[];
  /** Working stretches of a day, minutes after midnight. */
  readonly hours: readonly (readonly [Minutes, Minutes])[];
  /** ISO date of the first day; null: not set. */
  readonly start: string | null;
  /** Pay for an hour's work, minor units. */
  readonly hourly: Money;
}

export interface Job {
  readonly format: 'kovelin-job';
  readonly version: 1;
  readonly id: Id;
  readonly name: string;
  readonly units: System;
  readonly currency: string;
  readonly rooms: Table<Room>;
  readonly products: Readonly<Record<Id, Product>>;
  readonly colours: Readonly<Record<Id, Colour>>;
  readonly finishes: Readonly<Record<Scope, FinishChoice>>;
  readonly survey: Readonly<Record<Scope, Partial<Survey>>>;
  readonly decisions: Readonly<Record<SurfaceId, Decisions>>;
  readonly practice: Practice;
  readonly crew: Crew;
  /** Starting values the user has changed, by key of defaults.ts. */
  readonly settings: Readonly<Record<string, number>>;
}

export const rows = <T>(table: Table<T>): T[] => table.order.flatMap((id) => table.byId[id] ?? []);
