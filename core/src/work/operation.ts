import type { Id, SurfaceId } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import type { OperationKind } from '../job/vocabulary.ts';
import { minutesOf, type Amount, type Timed } from '../paces/minutes.ts';
import type { Specified } from '../specify/specify.ts';
import type { Working } from '../units/working.ts';

export type Labouring = Pick<
  Job,
  'settings' | 'practice' | 'crew' | 'learned' | 'lines' | 'orders' | 'prices' | 'region' | 'defects'
>;

/** One piece of work on one surface, along one line, or on a room. */
export interface Operation {
  /** Of the surface, line or room, the kind, and the coat: it stands when the room is measured again. */
  readonly id: string;
  readonly room: Id;
  /** The surface, or the room's id for what is done to the room. */
  readonly surface: SurfaceId;
  /** The meeting it runs along; null: none, or all those of its surface. */
  readonly line: string | null;
  /** At a line: the side that is there first, and that is kept to; null: none. */
  readonly against: SurfaceId | null;
  readonly kind: OperationKind;
  /** Which coat, or which visit, from 1; 0 where there is none. */
  readonly coat: number;
  /** m2, m or a count, as the kind is measured (paces/rules.ts). */
  readonly quantity: number;
  /** Person-minutes. */
  readonly minutes: Working;
  readonly specified: Specified | null;
  /** Of mending: the coat that it is done after; null: all of them, or it mends nothing. */
  readonly after: number | null;
}

/** Where an operation is done. */
export interface Place {
  readonly room: Id;
  readonly specified?: Specified | null;
  readonly line?: string | null;
  readonly against?: SurfaceId | null;
  readonly after?: number | null;
}

/** An operation of so much; none of what is nothing, so that nothing listed costs nothing and no operation is empty. */
export function operation(
  job: Labouring,
  { room, specified = null, line = null, against = null, after = null }: Place,
  kind: OperationKind,
  amounts: readonly Amount[],
  timed: Timed = {},
): Operation[] {
  const quantity = amounts.reduce((sum, amount) => sum + amount.quantity, 0);
  if (!(quantity > 1e-9)) return [];
  const surface = specified?.surface.id ?? room;
  const { coat = 0 } = timed;
  const id = `${line ?? surface}:${kind}${coat || ''}`;
  const minutes = minutesOf(job, kind, amounts, timed);
  return [{ id, room, surface, line, against, kind, coat, quantity, minutes, specified, after }];
}
