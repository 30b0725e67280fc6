import type { Id, Scope, SurfaceId } from './table.ts';
import { remember } from '../units/remember.ts';
import { familyOf, type SurfaceKind } from './vocabulary.ts';

export interface SurfaceRef {
  readonly id: SurfaceId;
  readonly room: Id;
  readonly kind: SurfaceKind;
}

/** All surfaces of a kind in a room, as a scope. */
export const roomScope = (room: Id, kind: SurfaceKind): Scope => `${room}:${kind}`;

/** From the surface itself to all of its family in the job: the nearest answer wins. */
export const scopesOf = remember(({ id, room, kind }: SurfaceRef): readonly Scope[] => [
  id,
  `${room}:${kind}`,
  `${room}:${familyOf(kind)}`,
  `all:${kind}`,
  `all:${familyOf(kind)}`,
]);

/** The nearest entry of a scoped map, with the scope it came from. */
export function nearest<T>(map: Readonly<Record<Scope, T>>, surface: SurfaceRef): { value: T; from: Scope } | null {
  for (const scope of scopesOf(surface)) {
    const value = map[scope];
    if (value !== undefined) return { value, from: scope };
  }
  return null;
}

/** All entries of a scoped map laid over each other, nearest on top. */
export function layered<T extends object>(map: Readonly<Record<Scope, Partial<T>>>, surface: SurfaceRef, base: T): T {
  return scopesOf(surface).reduceRight<T>((under, scope) => ({ ...under, ...map[scope] }), base);
}
