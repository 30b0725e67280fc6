import type { PartKind, TrimKind } from '../job/vocabulary.ts';
import { groupBy } from '../units/group.ts';
import { both, inOrder, listed, phrase, type Word } from '../units/word.ts';
import { OPENING, PART, TRIM } from './terms.ts';
import type { OpeningKind } from '../job/vocabulary.ts';

/** What a surface is called after. `lining`, `back`, `sash`, `reveal` and `board` are parts of the opening whose label they bear. */
export type NameKind =
  'ceiling' | 'wall' | TrimKind | 'casing' | 'door' | 'lining' | 'back' | 'sash' | 'reveal' | 'board' | PartKind;

/** The name of a surface, as a value: its words are said by `nameWord`. */
export interface Name {
  readonly kind: NameKind;
  /** Empty where a room has only one such surface. */
  readonly label: string;
  /** Label of the wall whose part it is; null: a surface of its own. */
  readonly wall: string | null;
}

const plural = (one: Word): readonly [Word, Word] => [one, both(one, (text) => `${text}s`)];
const KINDS: Readonly<Record<Exclude<NameKind, PartKind>, readonly [one: Word, many: Word]>> = {
  ceiling: plural('ceiling'),
  wall: plural('wall'),
  baseboard: plural(TRIM.baseboard),
  crown: plural(TRIM.crown),
  'chair-rail': plural(TRIM['chair-rail']),
  'picture-rail': plural(TRIM['picture-rail']),
  casing: plural(TRIM.casing),
  door: plural('door'),
  lining: ['lining of door', 'linings of doors'],
  back: [phrase`far ${TRIM.casing} of`, phrase`far ${TRIM.casing}s of`],
  sash: ['sash of', 'sashes of'],
  reveal: ['reveal of', 'reveals of'],
  board: ['board of', 'boards of'],
};
/** Parts that do not take an s. */
const MANY: Readonly<Partial<Record<PartKind, Word>>> = {
  recess: 'recesses',
  hatch: 'hatches',
  spindles: 'spindles',
  shelf: 'shelves',
  furniture: 'furniture',
};
const isPart = (kind: NameKind): kind is PartKind => kind in PART;
/** One of a kind, and several. */
export const wordsOf = (kind: NameKind): readonly [Word, Word] => {
  if (!isPart(kind)) return KINDS[kind];
  const [one, many] = plural(PART[kind]);
  return [one, MANY[kind] ?? many];
};
/** What belongs to an opening that has a name of its own: “casing of the hall door”. */
const OF: Readonly<Partial<Record<NameKind, Word>>> = {
  casing: phrase`${TRIM.casing} of`,
  lining: 'lining of',
  back: KINDS.back[0],
  sash: KINDS.sash[0],
  reveal: KINDS.reveal[0],
  board: KINDS.board[0],
};
/** Words, and not a label beside a kind: “hall door” is a name, “d1” and “north” are not. */
export const isWords = (label: string): boolean => /\p{L}\s+\p{L}/u.test(label);
/** A label that Kovelin gave: nobody else knows it. */
export const isGiven = (label: string): boolean => /^[a-z]\d+$/.test(label);

/** “door d1”; “hall door” where somebody called it so. */
export const labelled = (kind: Word, label: string): Word =>
  isWords(label) ? label : label ? phrase`${kind} ${label}` : kind;
export const openingWord = ({ kind, label }: { readonly kind: OpeningKind; readonly label: string }): Word =>
  labelled(OPENING[kind], label);
export const partWord = ({ kind, label }: { readonly kind: PartKind; readonly label: string }): Word =>
  labelled(PART[kind], label);

const onWall = ({ wall }: Name, word: Word): Word => (wall === null ? word : phrase`wall ${wall}, ${word}`);

/** “wall A”, “baseboard”, “far casing of d1”, “wall A, dado p1”, “lining of hall door”. */
export function nameWord(name: Name): Word {
  const { kind, label } = name;
  const [one] = wordsOf(kind);
  const of = isWords(label) && OF[kind];
  return onWall(name, of || kind === 'wall' ? phrase`${of || one} ${label}` : labelled(one, label));
}

const NUMBERS = ['one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine', 'ten'];
/** “three”; in figures beyond ten. */
export const numberWord = (n: number): string => NUMBERS[n - 1] ?? String(n);

/**
 * Several names in one: “walls A, B and C; door d1”, the same name in several rooms as “baseboard (3)”. `ofRoom`: how many walls the
 * room has, so that all of them can be said to be all.
 */
export function namesWord(names: readonly Name[], ofRoom = Infinity): Word {
  const groups = [
    ...groupBy(names, (name) => `${name.kind} ${name.wall ?? ''} ${name.label ? alone(name) : 'only'}`).values(),
  ];
  return inOrder(
    groups.map((group) => groupWord(group, ofRoom)),
    '; ',
  );
}
/** What is called by words of its own is not counted with others. */
const alone = ({ kind, label }: Name): string => (kind !== 'wall' && isWords(label) ? label : '');
function groupWord(group: readonly Name[], ofRoom: number): Word {
  const [first] = group;
  if (!first) return '';
  if (group.length === 1) return nameWord(first);
  const [one, many] = wordsOf(first.kind);
  if (!first.label) return phrase`${one} (${group.length})`;
  if (first.kind === 'wall' && group.length === ofRoom && ofRoom > 1 && ofRoom <= NUMBERS.length)
    return `all ${numberWord(ofRoom)} walls`;
  return onWall(first, phrase`${many} ${listed(group.map((name) => name.label))}`);
}

/** As a client calls them: no labels of ours but a wall's; what somebody called a thing is its name. */
const PLAIN: Readonly<Partial<Record<NameKind, readonly [one: Word, many: Word]>>> = {
  lining: plural('door lining'),
  back: [phrase`far ${TRIM.casing}`, phrase`far ${TRIM.casing}s`],
  sash: ['window sash', 'window sashes'],
  reveal: plural('reveal'),
  board: plural('window board'),
};
/** “walls A and B; two doors; pilaster on wall C”. `wallOf`: the label of the wall that a surface is on; null: it is on none. */
export function clientNames<T extends { readonly name: Name }>(
  surfaces: readonly T[],
  wallOf: (surface: T) => string | null,
  ofRoom = Infinity,
): Word {
  const called = ({ label }: Name) => (label && !isGiven(label) ? label : '');
  const groups = groupBy(
    surfaces,
    ({ name }) => `${name.kind} ${name.wall ?? ''} ${name.kind === 'wall' ? '' : called(name)}`,
  );
  return inOrder(
    [...groups.values()].map((group): Word => {
      const [first] = group;
      if (!first?.name.label || first.name.kind === 'wall' || called(first.name))
        return namesWord(
          group.map(({ name }) => name),
          ofRoom,
        );
      const [one, many] = PLAIN[first.name.kind] ?? wordsOf(first.name.kind);
      if (group.length > 1) return onWall(first.name, phrase`${numberWord(group.length)} ${many}`);
      const wall = first.name.wall ?? wallOf(first);
      return wall === null ? one : phrase`${one} ${isPart(first.name.kind) ? 'on' : 'in'} wall ${wall}`;
    }),
    '; ',
  );
}
