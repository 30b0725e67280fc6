import type { Id, Table } from './table.ts';
import type {
  FixtureWay,
  Floor,
  Leaf,
  OpeningKind,
  OpeningShape,
  PartKind,
  RoomUse,
  Sash,
  TrimKind,
} from './vocabulary.ts';
import type { Degrees } from '../units/si.ts';
import type { Reading } from '../units/reading.ts';

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
  /** What is done about a fixture; null: what is usual for its kind. */
  readonly way: FixtureWay | null;
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
  /** Still to come: it hides wall, is not painted, and nothing is cut fine along it. */
  readonly later: boolean;
}

export interface Room {
  readonly id: Id;
  readonly name: string;
  readonly use: RoomUse;
  readonly floor: Floor;
  /** Compass bearing of somebody facing the first wall from inside, degrees from north; null: not known. */
  readonly bearing: Degrees | null;
  /** The wall that is to be looked at; `none` is an answer too, null: not asked. */
  readonly focal: Id | 'none' | null;
  readonly height: Reading | null;
  /** Were the turns declared (square stays square) or measured (they share in the adjustment)? */
  readonly turns: 'declared' | 'measured';
  readonly walls: Table<Wall>;
  readonly openings: Table<Opening>;
  readonly checks: readonly Check[];
  readonly trim: Readonly<Partial<Record<TrimKind, TrimRun>>>;
  readonly parts: Table<Part>;
}
