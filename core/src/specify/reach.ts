import type { Edit } from '../job/edits.ts';
import type { FinishChoice } from '../job/paints.ts';
import { roomScope } from '../job/scope.ts';
import { rows, type Id, type Scope } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import { familyOf, SURFACE_KINDS, type SurfaceKind } from '../job/vocabulary.ts';
import type { NameKind } from '../words/names.ts';
import type { Specified } from './specify.ts';

/** How far a choice made on a surface goes: it alone, all of its kind or family in the room, rooms used alike, wherever its colour is. */
export const REACHES = ['one', 'kind', 'room', 'use', 'colour'] as const;
export type Reach = (typeof REACHES)[number];

type Rooms = Pick<Job, 'rooms'>;

/** The rooms a choice goes to: rooms of unknown use are not alike. */
export function roomsReached({ rooms: all }: Rooms, { surface: { room } }: Specified, reach: Reach): readonly Id[] {
  const use = all.byId[room]?.use;
  if (reach !== 'use' || !use || use === 'other') return [room];
  return [room, ...rows(all).flatMap((one) => (one.use === use && one.id !== room ? [one.id] : []))];
}

/** What part of a wall it is (a frieze, a dado); null: no part of one. */
export const regionOf = ({ surface: { id, name } }: Pick<Specified, 'surface'>): NameKind | null =>
  id.includes('/region/') ? name.kind : null;

/** The surfaces a choice goes to, as they are now; itself first. */
export function reached(job: Rooms, surfaces: readonly Specified[], s: Specified, reach: Reach): readonly Specified[] {
  const rooms = roomsReached(job, s, reach);
  const goes = ({ surface, colour }: Specified): boolean => {
    if (reach === 'colour') return colour.id === s.colour.id;
    if (!rooms.includes(surface.room)) return false;
    if (reach === 'kind' && regionOf(s)) return regionOf({ surface }) === regionOf(s);
    return reach === 'kind' ? surface.kind === s.surface.kind : familyOf(surface.kind) === familyOf(s.surface.kind);
  };
  return [s, ...(reach === 'one' ? [] : surfaces.filter((one) => one.surface.id !== s.surface.id && goes(one)))];
}

/**
 * Those reached that somebody gave a finish of their own, of another colour: an accent is not gone over unasked. One that has
 * already what is `becoming` of all loses nothing.
 */
export const accents = (
  [s, ...others]: readonly Specified[],
  becoming: Partial<FinishChoice> = {},
): readonly Specified[] =>
  others.filter(({ surface: { room, kind }, finishFrom, colour, product }) => {
    const wide: readonly Scope[] = [`${room}:${familyOf(kind)}`, `all:${familyOf(kind)}`];
    const next = { colour: colour.id, product: product.id, ...becoming };
    const loses = Object.keys(becoming).length === 0 || next.colour !== colour.id || next.product !== product.id;
    return loses && colour.id !== s?.colour.id && !wide.includes(finishFrom);
  });

/** What is written so that all it reaches get this paint or colour; what is not said stays as it is, and so do the surfaces left out. */
export function finishEdits(
  job: Pick<Job, 'finishes' | 'rooms'>,
  to: readonly Specified[],
  reach: Reach,
  set: Partial<FinishChoice>,
  left: readonly Specified[] = [],
): readonly Edit[] {
  const [s] = to;
  if (!s) return [];
  const { finishes } = job;
  const put = (scope: Scope, finish: FinishChoice | null): Edit => ({ name: 'setFinish', args: { scope, finish } });
  const ofNow = ({ product, colour }: Specified): FinishChoice => ({ product: product.id, colour: colour.id });
  const { kind } = s.surface;
  if (reach === 'one') return [put(s.surface.id, { ...ofNow(s), ...set })];
  // a paint goes to what is of its family; a colour goes wherever the colour was
  if (reach === 'colour')
    return set.colour
      ? Object.entries(finishes).flatMap(([scope, finish]) =>
          finish.colour === s.colour.id ? [put(scope, { ...finish, ...set })] : [],
        )
      : to.flatMap((one) =>
          familyOf(one.surface.kind) === familyOf(kind) ? [put(one.surface.id, { ...ofNow(one), ...set })] : [],
        );
  // parts of walls have no scope of their own: each is named
  if (reach === 'kind' && regionOf(s)) return to.map((one) => put(one.surface.id, { ...ofNow(one), ...set }));
  const family = familyOf(kind);
  const stays = new Set(left.map(({ surface: { id } }) => id));
  const inRooms = roomsReached(job, s, reach).flatMap((room) => {
    const wide: Scope = reach === 'kind' ? roomScope(room, kind) : `${room}:${family}`;
    const ofRoom = finishes[`${room}:${family}`];
    // of a kind in all of the job: what is said of the room goes before it
    const ofKind = (of: SurfaceKind) => finishes[roomScope(room, of)] ?? (ofRoom ? undefined : finishes[`all:${of}`]);
    const before = (reach === 'kind' ? ofKind(kind) : undefined) ?? ofRoom ?? finishes[`all:${family}`];
    const base = { ...(before ?? ofNow(s)), ...set };
    const kinds = reach === 'kind' ? [] : SURFACE_KINDS.filter((of) => of !== family && familyOf(of) === family);
    const narrow: readonly (readonly [Scope, FinishChoice | undefined])[] = [
      ...kinds.map((of) => [roomScope(room, of), ofKind(of)] as const),
      ...to.flatMap(({ surface: { id, room: of } }) =>
        of === room && !stays.has(id) ? [[id, finishes[id]] as const] : [],
      ),
    ];
    return [
      put(wide, base),
      ...narrow.flatMap(([scope, finish]): readonly Edit[] => {
        if (!finish) return [];
        const next = { ...finish, ...set };
        if (next.product !== base.product || next.colour !== base.colour) return [put(scope, next)];
        // what says no more than the room is not said again
        return finishes[scope] ? [put(scope, null)] : [];
      }),
    ];
  });
  // those left out that had it from a wider scope say now what they were
  return [...inRooms, ...left.flatMap((one) => (finishes[one.surface.id] ? [] : [put(one.surface.id, ofNow(one))]))];
}
