import type { JOB_VERSION } from './version.ts';
import type { Id, Scope, SurfaceId, Table } from './table.ts';
import type { Room } from './measured.ts';
import type { Survey } from './surveyed.ts';
import type { Colour, Decisions, FinishChoice, Practice, Priced, Product } from './paints.ts';
import type { JobOption, Pricing, ShelfCan } from './priced.ts';
import type { Crew, Moment, TakenPlan, TaskPin } from './crew.ts';
import type { LineSaid, OrderPin } from './lines.ts';
import type { Accepted } from './learned.ts';
import type { Acceptance, Defect, EarlierPaint, Leftover, Place, Sample } from './recorded.ts';
import type { Air, Region } from './region.ts';
import type { Money, Units } from '../units/si.ts';

export interface Job {
  readonly format: 'kovelin-job';
  readonly version: typeof JOB_VERSION;
  readonly id: Id;
  readonly name: string;
  readonly units: Units;
  readonly currency: string;
  /** Where the job is, and what follows from that. */
  readonly region: Region;
  /** The rooms' air while they are painted. */
  readonly air: Air;
  readonly rooms: Table<Room>;
  readonly products: Readonly<Record<Id, Product>>;
  readonly colours: Readonly<Record<Id, Colour>>;
  readonly finishes: Readonly<Record<Scope, FinishChoice>>;
  readonly survey: Readonly<Record<Scope, Partial<Survey>>>;
  readonly decisions: Readonly<Record<SurfaceId, Decisions>>;
  readonly practice: Practice;
  /** What was said of lines, by the id of a line, or by its kind for all of a kind. */
  readonly lines: Readonly<Record<string, LineSaid>>;
  /** Finishes pinned before others, by room. */
  readonly orders: Readonly<Record<Id, readonly OrderPin[]>>;
  readonly crew: Crew;
  /** What logs taught of paces and spread, and was accepted. */
  readonly learned: Accepted;
  /** What was pinned of the plan, by the id of a task. */
  readonly pins: Readonly<Record<string, TaskPin>>;
  /** When rooms are wanted back, by room. */
  readonly wanted: Readonly<Record<Id, Moment>>;
  /** A better plan than the base plan that was taken; null: none. */
  readonly taken: TakenPlan | null;
  readonly pricing: Pricing;
  readonly shelf: Table<ShelfCan>;
  readonly options: Table<JobOption>;
  /** Paints whose touch-up reserve is bought for as well, by key of an order line. */
  readonly reserved: Readonly<Record<string, true>>;
  /** Pieces of a material owned already, by its key. */
  readonly owned: Readonly<Record<string, number>>;
  /** Prices of materials that are not the starting ones, by item: a piece, minor units. */
  readonly prices: Readonly<Record<string, Priced & { readonly each: Money }>>;
  /** What was ticked on the shopping list, by key: the ISO date. */
  readonly bought: Readonly<Record<string, string>>;
  /** Cautions read and warnings insisted on, by `surface|rule`: the ISO date. */
  readonly noted: Readonly<Record<string, string>>;
  /** Where the rooms are; null: taken as the middle of the country. */
  readonly place: Place | null;
  /** Paint that was there before this job, oldest first. */
  readonly earlier: Readonly<Record<SurfaceId, readonly EarlierPaint[]>>;
  /** What is left of the paints of this job, by key of an order line. */
  readonly leftovers: Readonly<Record<string, Leftover>>;
  readonly defects: Table<Defect>;
  /** Rooms that were taken over, by room. */
  readonly accepted: Readonly<Record<Id, Acceptance>>;
  readonly samples: Table<Sample>;
  /** Starting values the user has changed, by key of defaults.ts. */
  readonly settings: Readonly<Record<string, number>>;
}
