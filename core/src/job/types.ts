import type { Reading } from '../units/reading.ts';
import type { Degrees, Litres, Metres, Minutes, Money, System } from '../units/si.ts';
import type {
  Base,
  BoardLevel,
  BrickSchool,
  Billing,
  Boxing,
  BrushShape,
  Bristle,
  CoatStyle,
  Condition,
  Conditioner,
  ExistingCoat,
  Fabric,
  Floor,
  Known,
  Leaf,
  OpeningKind,
  OpeningSchool,
  OpeningShape,
  PaintFamily,
  PartKind,
  Pile,
  PrepStep,
  PrimerExtent,
  PrimerKind,
  Raking,
  RepairClass,
  RoomUse,
  Sash,
  Sheen,
  SolventRub,
  Stain,
  Substrate,
  Taxed,
  Texture,
  TintBase,
  Toucher,
  TrimKind,
  TrimOrder,
  WallSchool,
  WaterDrop,
  Wipe,
  Zone,
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

export type { Reading };

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
  /** Heights between the ends, in walking order: a gable, where a slope meets a flat, the two knees of a vault. */
  readonly peaks: readonly Peak[];
  /** A curved wall: `length` is its chord, `rise` how far the arc leaves it, out of the room or into it. */
  readonly bow: { readonly rise: Reading; readonly side: 'out' | 'in' } | null;
  /** Stairs beside the wall: from `from` to `to` its foot climbs (or falls) by `rise`, and stays there beyond. */
  readonly foot: Foot | null;
}
export interface Peak {
  readonly height: Reading;
  readonly at: Reading;
}
export interface Foot {
  readonly from: Reading;
  readonly to: Reading;
  readonly rise: Reading;
  readonly down: boolean;
  /** Risers; 0: a raking line. */
  readonly steps: number;
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
  readonly shape: OpeningShape;
  /** Of a segmental head or a gable, within the height; null where the shape says it (a gable: all of it). */
  readonly rise: Reading | null;
  /** Casing face width; null: no casing. */
  readonly casing: Reading | null;
  /** Developed girth of the casing's profile; null: its face. */
  readonly girth: Reading | null;
  /** The same casing on the far side, where that is painted with this room; null: not. */
  readonly back: Reading | null;
  /** Depth of the plastered returns, and whether they are painted. */
  readonly reveal: { readonly depth: Reading; readonly painted: boolean } | null;
  readonly leaf: Leaf;
  /** Faces of the leaf painted with this room. */
  readonly faces: 1 | 2;
  /** Panels of a door, panes of a glazed door or of each sash. */
  readonly panels: { readonly rows: number; readonly columns: number };
  /** Depth of a door's lining, painted with its stops; null: not painted. */
  readonly frame: Reading | null;
  readonly sash: Sash;
  /** Depth of a window board, and face of the apron below it. */
  readonly board: Reading | null;
  readonly apron: Reading | null;
}

/** Anything else there is to measure: regions, what hides wall, solids, what is let into the ceiling, fixtures. */
export interface Part {
  readonly id: Id;
  readonly label: string;
  readonly kind: PartKind;
  /** null: in the room, or on the ceiling. */
  readonly wall: Id | null;
  readonly width: Reading | null;
  readonly height: Reading | null;
  readonly depth: Reading | null;
  /** From the wall's start, and up from the floor; null: nothing. */
  readonly at: Reading | null;
  readonly sill: Reading | null;
  readonly count: number;
}

/** A diagonal between the starting corners of two walls. */
export interface Check {
  readonly from: Id;
  readonly to: Id;
  readonly length: Reading;
}

export interface TrimRun {
  readonly face: Reading;
  /** Developed girth of the profile; null: its face. */
  readonly girth: Reading | null;
  /** Height above the floor of its lower edge; null where the kind says it (baseboard, crown). */
  readonly at: Reading | null;
}

export interface Room {
  readonly id: Id;
  readonly name: string;
  readonly use: RoomUse;
  readonly floor: Floor;
  /** Compass bearing of somebody facing the first wall from inside, degrees from north; null: not known. */
  readonly bearing: Degrees | null;
  readonly height: Reading | null;
  /** Were the turns declared (square stays square) or measured (they share in the adjustment)? */
  readonly turns: 'declared' | 'measured';
  readonly walls: Table<Wall>;
  readonly openings: Table<Opening>;
  readonly checks: readonly Check[];
  readonly trim: Readonly<Partial<Record<TrimKind, TrimRun>>>;
  readonly parts: Table<Part>;
}

export interface Can {
  readonly litres: Litres;
  readonly price: Money;
  /** Tint bases this size is made in; null: all of them. */
  readonly bases: readonly TintBase[] | null;
}
/** Where a price comes from, and when: an ISO date. */
export interface Priced {
  readonly source: string;
  readonly date: string;
}

/** A snapshot of a product, copied when it is picked; no derivation reads the library again. */
export interface Product {
  readonly id: Id;
  readonly name: string;
  readonly role: 'finish' | 'primer';
  readonly primer: PrimerKind;
  readonly base: Base;
  /** null: a primer. */
  readonly family: PaintFamily | null;
  readonly sheens: readonly Sheen[];
  /** Label spread rate, m2/L on a smooth sealed surface. */
  readonly labelRate: number;
  /** Label rate on bare porous ground, which holds the porosity already; null: none is given. */
  readonly porousRate: number | null;
  /** Volume solids (0-1) and the dry film wanted: the spread is worked out of them, not read off the label; null: the label. */
  readonly solids: { readonly volume: number; readonly dry: Metres } | null;
  /** Contrast ratio at the label's film, 0-1 (ISO 6504-3's quantity). */
  readonly contrast: number;
  /** Spread, m2/L, at which the contrast ratio was measured; null: the label rate. */
  readonly contrastRate: number | null;
  readonly recoat: Minutes;
  /** Until it can be masked or cut against. */
  readonly dry: Minutes;
  readonly cans: readonly Can[];
  /** Its number in a price list; empty: none. */
  readonly code: string;
  /** null: starting prices. */
  readonly priced: Priced | null;
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
  readonly repairs: Readonly<Record<RepairClass, number>>;
  readonly stains: readonly Stain[];
  readonly porous: Known;
  /** Who touches it, so that it is wiped. */
  readonly touched: readonly Toucher[];
  /** What is on it now, and other old colours on it: patches, a stripe. */
  readonly colour: string;
  readonly patches: readonly string[];
  readonly sheen: Sheen;
  /** Wax or polish was used on it. */
  readonly wax: Known;
  readonly damp: Known;
  /** Plaster or filler that has not dried through. */
  readonly fresh: boolean;
  /** Light from a window or a lamp grazes it. */
  readonly raking: Raking;
  readonly level: BoardLevel;
  readonly solvent: SolventRub;
  readonly drop: WaterDrop;
  readonly wipe: Wipe;
  /** Moisture by a pin meter, per cent on its wood scale; null: not measured. */
  readonly moisture: number | null;
  /** Cross-cut class of ISO 2409, 0 best to 5; null: not tested. */
  readonly adhesion: number | null;
  /** Year the building's paint may go back to; null: not known. */
  readonly built: number | null;
  /** A door's edges and handle zones, where they differ from its faces. */
  readonly zones: Readonly<Partial<Record<Zone, ZoneSurvey>>>;
}
export type ZoneSurvey = Partial<Pick<Survey, 'coat' | 'condition' | 'solvent' | 'adhesion' | 'wax'>>;

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
  /** sRGB it is tinted to; null: as it comes. */
  readonly tint: string | null;
}

/** The members of a system: what is decided for each surface. */
export interface SystemValues {
  readonly prep: readonly PrepStep[];
  readonly primer: PrimerChoice;
  readonly paint: PaintFamily;
  readonly sheen: Sheen;
  readonly cover: Cover;
  readonly brush: Brush;
  readonly coats: number;
  readonly style: CoatStyle;
  readonly conditioner: Conditioner;
}
export type Decisions = { readonly [K in keyof SystemValues]?: SystemValues[K] };

export interface Practice {
  readonly openings: OpeningSchool;
  readonly trimOrder: TrimOrder;
  readonly walls: WallSchool;
  readonly coats: Exclude<CoatStyle, 'one-heavy'>;
  readonly brick: BrickSchool;
  /** Coats of penetrating primer on weak filler and plaster. */
  readonly weakCoats: 1 | 2;
  /** One cover kept for all work it serves, so that touch-ups match; null: the best for each surface. */
  readonly house: Pick<Cover, 'pile' | 'fabric'> | null;
  /** Cans boxed, so that a wall is one colour; or used as they come, a batch to whole walls. */
  readonly boxing: Boxing;
}

/** Paint that is there already. */
export interface ShelfCan {
  readonly id: Id;
  readonly product: Id;
  readonly sheen: Sheen;
  /** null: untinted primer. */
  readonly colour: Id | null;
  readonly litres: Litres;
  readonly batch: string;
}

/** Something priced apart from the rest: surfaces left out unless it is taken, or another finish on them. */
export interface JobOption {
  readonly id: Id;
  readonly name: string;
  readonly surfaces: readonly SurfaceId[];
  /** null: the surfaces themselves are the option. */
  readonly finish: FinishChoice | null;
  readonly taken: boolean;
}

/** How a price is made of costs; shares are fractions. */
export interface Pricing {
  /** On top of costs. */
  readonly overhead: number;
  /** Of the price before tax. */
  readonly margin: number;
  readonly tax: number;
  readonly taxName: string;
  readonly taxed: Taxed;
  readonly billed: Billing;
  readonly client: string;
  /** Days the quote holds. */
  readonly valid: number;
  readonly notes: string;
}

export interface Person {
  readonly id: Id;
  readonly name: string;
  /** Pay for a day, minor units. */
  readonly day: Money;
}
export interface Crew {
  readonly people: readonly Person[];
  /** Working stretches of a day, minutes after midnight. */
  readonly hours: readonly (readonly [Minutes, Minutes])[];
  /** ISO date of the first day; null: not set. */
  readonly start: string | null;
}

export interface Job {
  readonly format: 'kovelin-job';
  readonly version: 5;
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
  readonly pricing: Pricing;
  readonly shelf: Table<ShelfCan>;
  readonly options: Table<JobOption>;
  /** Pieces of a material owned already, by its key. */
  readonly owned: Readonly<Record<string, number>>;
  /** Prices of materials that are not the starting ones, by item: a piece, minor units. */
  readonly prices: Readonly<Record<string, Priced & { readonly each: Money }>>;
  /** What was ticked on the shopping list, by key: the ISO date. */
  readonly bought: Readonly<Record<string, string>>;
  /** Cautions read and warnings insisted on, by `surface|rule`: the ISO date. */
  readonly noted: Readonly<Record<string, string>>;
  /** Starting values the user has changed, by key of defaults.ts. */
  readonly settings: Readonly<Record<string, number>>;
}

export const rows = <T>(table: Table<T>): T[] => table.order.flatMap((id) => table.byId[id] ?? []);
