import type { Edit } from '../job/edits.ts';
import type { FinishChoice } from '../job/paints.ts';
import type { Id, Scope } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import { familyOf, SURFACE_KINDS } from '../job/vocabulary.ts';
import { roomScope } from '../job/scope.ts';
import type { Specified } from './specify.ts';

/** Where a colour goes: on one surface, on all of its kind in the room, or wherever another colour is. */
export type Place = 'here' | 'room' | { readonly instead: Id };

/** What is said of finishes so that a colour goes there; paints stay as they are. */
export function placeColour(
  job: Pick<Job, 'finishes'>,
  surfaces: readonly Specified[],
  s: Specified,
  colour: Id,
  place: Place,
): readonly Edit[] {
  const put = (scope: Scope, { product }: Pick<FinishChoice, 'product'>): Edit => ({
    name: 'setFinish',
    args: { scope, finish: { product, colour } },
  });
  if (place === 'here') return [put(s.surface.id, { product: s.product.id })];
  if (place !== 'room')
    return Object.entries(job.finishes).flatMap(([scope, finish]) =>
      finish.colour === place.instead ? [put(scope, finish)] : [],
    );
  const { room, kind } = s.surface;
  const family = familyOf(kind);
  const { finishes } = job;
  const base = finishes[`${room}:${family}`] ?? finishes[`all:${family}`] ?? { product: s.product.id };
  const kinds = SURFACE_KINDS.filter((of) => of !== family && familyOf(of) === family);
  const narrow = [
    ...kinds.map((of) => ({
      scope: roomScope(room, of),
      finish: finishes[roomScope(room, of)] ?? finishes[`all:${of}`],
    })),
    ...likeIt(surfaces, s).map(({ surface: { id } }) => ({ scope: id, finish: finishes[id] })),
  ];
  return [
    put(`${room}:${family}`, base),
    ...narrow.flatMap(({ scope, finish }): readonly Edit[] => {
      if (!finish) return [];
      if (finish.product !== base.product) return [put(scope, finish)];
      // what says no more than the room is not said again
      return finishes[scope] ? [{ name: 'setFinish', args: { scope, finish: null } }] : [];
    }),
  ];
}

/** The surfaces of the room that a painter would do in one colour with it, itself included. */
export const likeIt = (surfaces: readonly Specified[], { surface: { room, kind } }: Specified): readonly Specified[] =>
  surfaces.filter(({ surface }) => surface.room === room && familyOf(surface.kind) === familyOf(kind));
