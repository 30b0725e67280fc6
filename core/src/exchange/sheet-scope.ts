import { rows, type Id, type Scope } from '../job/table.ts';
import type { Room } from '../job/measured.ts';
import type { Job } from '../job/types.ts';
import { FAMILIES, SURFACE_KINDS, type Family, type SurfaceKind } from '../job/vocabulary.ts';
import { takeoffRoom } from '../measure/takeoff.ts';
import type { Line } from './line.ts';

/** What a line of a tape sheet is about: a family or a kind of surface, or one surface by its label. */
export interface SheetScope {
  /** A family or a kind of surface, all of it; null: one surface, named by its label. */
  readonly kind: Family | SurfaceKind | null;
  /** “A”, “d1/casing”, as written. */
  readonly label: string;
}
const SCOPES: readonly (readonly [word: string, kind: Family | SurfaceKind])[] = [
  ['walls', 'wall'],
  ['ceilings', 'ceiling'],
  ['ceiling', 'ceiling'],
  ['trim', 'trim'],
  ...SURFACE_KINDS.filter((kind) => kind !== 'wall' && kind !== 'ceiling').flatMap((kind) => [
    [`${kind}s`, kind] as const,
    [kind, kind] as const,
  ]),
];
/** Reads a scope. */
export function readScope(line: Line): SheetScope {
  // a label may have a piece after it: d1/casing
  const word = SCOPES.find(([text]) => line.peek(new RegExp(`${text}(?=\\s|$)`, 'iy')));
  if (word) {
    line.keyword(word[0]);
    return { kind: word[1], label: word[0] };
  }
  const label = line.name('The walls, ceiling, trim or label it is for');
  return { kind: null, label: label + (line.take(/\/[\w/-]+/y) ?? '') };
}

/** Scopes that a sheet's words stand for, here or in the whole job. */
export function scopesFor(job: Job, room: Room | null, { kind, label }: SheetScope): Scope[] | string {
  if (kind) return [`${room?.id ?? 'all'}:${kind}`];
  if (!room) return `“${label}” stands in a room; before the first room say walls, ceiling or trim.`;
  const id = surfaceOf(room, label);
  const pieces = piecesIn(job, room);
  // a wall that cannot be worked out yet has no surface; one that is named is there all the same
  if (id && (pieces.includes(id) || !label.includes('/'))) return [id];
  if (id) {
    const here = pieces.map((piece) => scopeWords(job, piece, (text) => text)?.words).slice(0, 40);
    return `There is no “${label}” in ${room.name}; ${here.join(', ')} are there.`;
  }
  const known = [...rows(room.walls), ...rows(room.openings)].map((item) => item.label).slice(0, 30);
  return `There is no “${label}” in ${room.name}; walls, ceiling, trim and ${known.join(', ')} are there.`;
}

const piecesIn = (job: Job, room: Room): Id[] => takeoffRoom(job, room).surfaces.map((surface) => surface.id);

/** A wall is its field, a door its leaf, a window its sash, a part its faces, unless the piece is said: d1/casing. */
export function surfaceOf(room: Room, written: string): Id | null {
  const [label = '', ...piece] = written.split('/');
  if (label === 'here') return `${room.id}/${piece.join('/')}`;
  const wall = rows(room.walls).find((w) => w.label === label);
  const opening = rows(room.openings).find((o) => o.label === label);
  const part = rows(room.parts).find((p) => p.label === label);
  const owner = wall ?? opening ?? part;
  if (!owner) return null;
  const usual = wall ? 'field' : opening ? (opening.kind === 'window' ? 'sash' : 'leaf') : 'faces';
  const rest = piece.length ? piece.map((name) => rows(room.parts).find((p) => p.label === name)?.id ?? name) : [usual];
  return [owner.id, ...rest].join('/');
}

/** Surfaces by their scope, for those who write a sheet. */
interface WrittenScope {
  /** null: the whole job. */
  readonly room: Id | null;
  readonly words: string;
}
/** How a sheet names a scope; null: it has no name there (its surface is gone). */
export function scopeWords(job: Job, scope: Scope, quoted: (label: string) => string): WrittenScope | null {
  const [place = '', kind = ''] = scope.split(':');
  if (scope.includes(':')) {
    const words = kind === 'wall' ? 'walls' : [...FAMILIES, ...SURFACE_KINDS].find((one) => one === kind);
    if (!words) return null;
    if (place === 'all') return { room: null, words };
    return job.rooms.byId[place] ? { room: place, words } : null;
  }
  const [owner = '', ...piece] = scope.split('/');
  if (job.rooms.byId[owner]) return { room: owner, words: `here/${piece.join('/')}` };
  for (const room of rows(job.rooms)) {
    const named = [...rows(room.walls), ...rows(room.openings), ...rows(room.parts)].find((item) => item.id === owner);
    if (!named) continue;
    const rest = piece.map((id) => room.parts.byId[id]?.label ?? id);
    return { room: room.id, words: `${quoted(named.label)}/${rest.join('/')}` };
  }
  return null;
}
