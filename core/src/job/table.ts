export type Id = string;

/** `wallId/field`, `roomId/ceiling`, `openingId/leaf`, `openingId/casing`, `roomId/baseboard` ... */
export type SurfaceId = string;

/** A surface id, or a scope it falls back to: `roomId:wall`, `all:trim` (see scope.ts). */
export type Scope = string;

export interface Table<T> {
  readonly byId: Readonly<Record<Id, T>>;
  readonly order: readonly Id[];
}

/** What a table holds, in its order. */
export const rows = <T>(table: Table<T>): T[] => table.order.flatMap((id) => table.byId[id] ?? []);
