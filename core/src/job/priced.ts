import type { Id, SurfaceId } from './table.ts';
import type { FinishChoice } from './paints.ts';
import type { Billing, Promised, Sheen, Taxed } from './vocabulary.ts';
import type { Litres } from '../units/si.ts';

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

/** Who does the work, as it stands on paper. */
export interface Firm {
  readonly name: string;
  /** Telephone, mail, a page. */
  readonly contact: string;
  readonly address: string;
}

/** How a price is made of costs; shares are fractions. */
export interface Pricing {
  /** On top of costs. */
  readonly overhead: number;
  /** Of the price before tax. */
  readonly margin: number;
  /** null: nobody said. */
  readonly tax: number | null;
  readonly taxName: string;
  readonly taxed: Taxed;
  readonly billed: Billing;
  readonly promised: Promised;
  readonly client: string;
  /** Who offers it: the head of a quote; empty: nobody said. */
  readonly firm: Firm;
  /** Days the quote holds. */
  readonly valid: number;
  readonly notes: string;
}
