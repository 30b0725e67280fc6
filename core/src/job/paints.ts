import type { Id } from './table.ts';
import type {
  AccentSchool,
  Base,
  Boxing,
  BrickSchool,
  Bristle,
  BrushShape,
  CoatStyle,
  Conditioner,
  Fabric,
  OpeningSchool,
  PaintFamily,
  Pile,
  PrepSchool,
  PrepStep,
  PrimerExtent,
  PrimerKind,
  Pull,
  ScrubClass,
  Seal,
  Sheen,
  TapeSchool,
  Spread,
  LayOff,
  FirstCoats,
  Division,
  DoorSchool,
  TintBase,
  TrimOrder,
  WallSchool,
  WetSchool,
  Rim,
  Washing,
} from './vocabulary.ts';
import type { Litres, Metres, Minutes, Money } from '../units/si.ts';

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
  /** All that a primer does, its own kind first; none: a finish. */
  readonly serves: readonly PrimerKind[];
  readonly base: Base;
  /** null: a primer. */
  readonly family: PaintFamily | null;
  readonly sheens: readonly Sheen[];
  /** Wet-scrub class of its label; null: not known. */
  readonly scrub: ScrubClass | null;
  /** Label spread rate, m2/L on a smooth sealed surface. */
  readonly labelRate: number;
  /** Label rate on bare porous ground, which holds the porosity already; null: none is given. */
  readonly porousRate: number | null;
  /** Volume solids (0-1) and the dry film wanted: the spread is worked out of them, not read off the label; null: the label. */
  readonly solids: { readonly volume: number; readonly dry: Metres } | null;
  /** Contrast ratio at the label's film, 0-1 (ISO 6504-3's quantity), in the pale colours that labels state it for. */
  readonly contrast: number;
  /** The same in a colour of its own, by the colour's id, once it is known. */
  readonly inColour: Readonly<Record<Id, number>>;
  /** Spread, m2/L, at which the contrast ratio was measured; null: the label rate. */
  readonly contrastRate: number | null;
  readonly recoat: Minutes;
  /** Until it can be masked or cut against. */
  readonly dry: Minutes;
  /** That it stays workable, in the air of its label; null: none is given. */
  readonly open: Minutes | null;
  /** Air in which its times are stated; null: 23 °C, 50 %. */
  readonly labelAir: { readonly temperature: number; readonly humidity: number } | null;
  /** Temperatures it may be laid in, °C; null: 10 to 32. */
  readonly labelRange: { readonly least: number; readonly most: number } | null;
  /** A next coat comes before that, or after sanding; null: none is given. */
  readonly recoatBefore: Minutes | null;
  /** Until tape may lie on it; null: none is given. */
  readonly tapeAfter: Minutes | null;
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
  /** The maker's code, and how it is mixed, as the client gives them; left out: nobody said. */
  readonly code?: string;
  readonly formula?: string;
}

export interface FinishChoice {
  readonly product: Id;
  readonly colour: Id;
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

/** One primer: a spot or all of it, so many coats. */
export interface PrimerLayer {
  readonly kind: PrimerKind;
  readonly extent: PrimerExtent;
  readonly coats: number;
  /** sRGB it is tinted to; null: as it comes. */
  readonly tint: string | null;
}
/** The first primer, and one over it where the first does not do all that is asked. */
export interface PrimerChoice extends PrimerLayer {
  readonly then: PrimerLayer | null;
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
  /** What goes over chalk-type paint. */
  readonly seal: Seal;
}

export type Decisions = { readonly [K in keyof SystemValues]?: SystemValues[K] };

export interface Practice {
  readonly openings: OpeningSchool;
  readonly trimOrder: TrimOrder;
  readonly accent: AccentSchool;
  readonly pull: Pull;
  readonly tape: TapeSchool;
  readonly spread: Spread;
  readonly layOff: LayOff;
  readonly firstCoats: FirstCoats;
  readonly doors: DoorSchool;
  readonly roles: WetSchool;
  readonly division: Division;
  readonly walls: WallSchool;
  readonly prep: PrepSchool;
  readonly coats: Exclude<CoatStyle, 'one-heavy'>;
  readonly brick: BrickSchool;
  /** Coats of penetrating primer on weak filler and plaster. */
  readonly weakCoats: 1 | 2;
  /** One cover kept for all work it serves, so that touch-ups match; null: the best for each surface. */
  readonly house: Pick<Cover, 'pile' | 'fabric'> | null;
  /** Cans boxed, so that a wall is one colour; or used as they come, a batch to whole walls. */
  readonly boxing: Boxing;
  readonly washing: Washing;
  readonly rim: Rim;
}
