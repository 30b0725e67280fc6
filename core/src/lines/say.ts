import type { SurfaceId } from '../job/table.ts';
import type { Part } from '../job/measured.ts';
import { rows } from '../job/table.ts';
import type { LineMethod } from '../job/vocabulary.ts';
import type { RoomTakeoff } from '../measure/takeoff.ts';
import { groupBy } from '../units/group.ts';
import { INCH, type Metres } from '../units/si.ts';
import { capital, listed, phrase, said, type Word } from '../units/word.ts';
import { namesWord, nameWord, openingWord, partWord } from '../words/names.ts';
import { across } from '../words/systems.ts';
import { LINE, METHOD, STAYS } from '../words/terms.ts';
import { isTrim, type Line, type Side } from './line.ts';
import type { Bond, MadeLine, RoomLines } from './lines.ts';

/** How far a lap goes over the line: trim onto a wall, and anything else round a corner or onto what is beside it [common practice, no source]. */
export const lapOf = (first: Side): number => (isTrim(first) ? 0.375 * INCH : 0.5 * INCH);

/** What one side of a line is called: a surface that is painted, or what stands there. */
export function sideWord({ id, s }: Side, takeoff: RoomTakeoff): Word {
  if (s) return nameWord(s.surface.name);
  const surface = takeoff.surfaces.find((found) => found.id === id);
  if (surface) return nameWord(surface.name);
  const part: Part | undefined = takeoff.parts.find((p) => p.id === id);
  if (part) return partWord(part);
  return elseWord(id, takeoff);
}
function elseWord(id: SurfaceId, { room }: RoomTakeoff): Word {
  if (id === `${room.id}/floor`) return 'the floor';
  const opening = rows(room.openings).find((o) => id === o.id || id.startsWith(`${o.id}/`));
  return opening ? openingWord(opening) : 'what is there';
}

const endWord = ({ end }: Side): string => (end === 'along' ? '' : `, its ${end} side`);
/** In the room's own words: the colour, or where both sides have one of that name, the surface. */
function finishWord(side: Side, other: Side): Word {
  const colour = side.s?.colour.name;
  return colour && colour !== other.s?.colour.name ? colour : side.s ? nameWord(side.s.surface.name) : '';
}

/** A way of making a line after “cut …”, where its name alone would not do. */
const BY: Readonly<Partial<Record<LineMethod, Word>>> = {
  tape: 'along burnished tape',
  'tape-sealed': 'along tape, its edge sealed',
  'tape-caulked': 'along tape, its edge caulked',
  shield: 'along a shield',
  edger: 'with an edger',
};

type Made = Pick<MadeLine, 'line' | 'chosen'>;
const sidesOf = ({ line, chosen }: Made) => ({
  first: line.sides[chosen.first],
  cut: line.sides[1 - chosen.first] as Side,
});

/** “Wall A to wall B: deep blue laps 1⁄2″ round the corner first; cut white freehand, its left side”. */
export function lineSentence(made: Made, takeoff: RoomTakeoff): Word {
  const { first, cut } = sidesOf(made);
  return phrase`${capital(sideWord(cut, takeoff))} to ${sideWord(first, takeoff)}: ${wantsWord(made)}`;
}
function wantsWord(made: Made): Word {
  const { line, chosen } = made;
  const { first, cut } = sidesOf(made);
  if (line.hidden) return 'rough, trim hides it later';
  const tape = chosen.stays ? phrase` (${STAYS[chosen.stays]})` : '';
  const how = phrase`${BY[chosen.method] ?? METHOD[chosen.method]}${tape}${endWord(cut)}`;
  if (!first.s) return phrase`cut ${how}`;
  const over = line.kind === 'corner' ? 'round the corner' : 'over the line';
  return phrase`${finishWord(first, cut)} laps ${across(lapOf(first))} ${over} first; cut ${finishWord(cut, first)} ${how}`;
}

export interface LinesAlike {
  readonly kind: Line['kind'];
  readonly says: Word;
  readonly length: Metres;
}
/** Lines onto the same side that are made alike, in one sentence with their lengths added: what a paper has room for. */
export function linesAlike(lines: readonly MadeLine[], takeoff: RoomTakeoff): LinesAlike[] {
  const key = (made: MadeLine) => `${made.line.kind} ${sidesOf(made).first.id} ${said(wantsWord(made), 'metric')}`;
  return [...groupBy(lines, key).values()].flatMap((own) => {
    const [one] = own;
    if (!one) return [];
    const cut = own.map((made) => sidesOf(made).cut);
    const names = cut.flatMap(({ s }) => s?.surface.name ?? []);
    const cuts =
      names.length === cut.length
        ? namesWord(names, takeoff.walls.length)
        : listed([...new Set(cut.map((side) => sideWord(side, takeoff)))]);
    return {
      kind: one.line.kind,
      says: phrase`${capital(cuts)} to ${sideWord(sidesOf(one).first, takeoff)}: ${wantsWord(one)}`,
      length: own.reduce((sum, { line }) => sum + line.length, 0),
    };
  });
}

/** “ceiling line (wall B to ceiling)”: a line by its kind and sides. */
const lineWord = (line: Line, takeoff: RoomTakeoff): Word => phrase`${LINE[line.kind]}, ${sidesWord(line, takeoff)}`;

/** “wall A and wall B”. */
export const sidesWord = ({ sides: [a, b] }: Line, takeoff: RoomTakeoff): Word =>
  phrase`${sideWord(a, takeoff)} and ${sideWord(b, takeoff)}`;

/** “wall A laps, wall B is cut”: one way round. */
export function wayWord({ sides }: Line, first: 0 | 1, takeoff: RoomTakeoff): Word {
  const [there, cut] = [sides[first], sides[1 - first] as Side];
  return there.s
    ? phrase`${sideWord(there, takeoff)} laps, ${sideWord(cut, takeoff)} is cut`
    : phrase`${sideWord(cut, takeoff)} is cut`;
}

/** Pins in a circle, explained by the circle itself. */
export function circleSentence({ circle, finishes }: RoomLines, takeoff: RoomTakeoff): Word | null {
  if (!circle) return null;
  const label = (id: string): Word => finishes.find((f) => f.id === id)?.label ?? id;
  const says = (bond: Bond): Word => {
    const order = phrase`${label(bond.before)} before ${label(bond.after)}`;
    return bond.of === 'line'
      ? phrase`${order} (pinned at ${lineWord(bond.line, takeoff)})`
      : phrase`${order} (pinned)`;
  };
  const all = circle.map(says).reduce((text, one) => phrase`${text}, ${one}`);
  return phrase`these pins run in a circle, so no order keeps them all: ${all}; take one of them back`;
}
