import type { SystemValues } from '../job/paints.ts';
import { systemOf } from '../job/region.ts';
import type { Id, SurfaceId } from '../job/table.ts';
import type { Job } from '../job/types.ts';
import { familyOf, type Family } from '../job/vocabulary.ts';
import type { RoomTakeoff } from '../measure/takeoff.ts';
import { shortWord, type QuestionKey } from '../specify/questions.ts';
import { restsOf } from '../specify/rests.ts';
import { groupBy } from '../units/group.ts';
import { said } from '../units/word.ts';
import { SPECIFIED } from './inputs.ts';
import { stage } from './stage.ts';
import { specifiedRooms } from './plain.ts';

/** One thing that nobody said of a room's walls, ceiling or trim, and where to say it. */
export interface OpenAnswer {
  readonly room: Id;
  readonly family: Family;
  readonly question: QuestionKey;
  /** The first surface it is asked of. */
  readonly surface: SurfaceId;
}
/** What the price rests on although nobody said so. */
export interface Assumed {
  readonly open: readonly OpenAnswer[];
  /** Rooms whose walk does not close: their figures are a first guess. */
  readonly guessed: readonly Id[];
  /** Decisions that rest on it, by surface. */
  readonly members: Readonly<Record<SurfaceId, readonly (keyof SystemValues)[]>>;
}

export const assumedIn = stage(SPECIFIED, (job): Assumed => {
  const rooms = specifiedRooms(job);
  const open = new Map<string, OpenAnswer>();
  const members: Record<SurfaceId, readonly (keyof SystemValues)[]> = {};
  for (const { takeoff, surface: s } of rooms.flatMap(({ takeoff, done }) =>
    done.map((surface) => ({ takeoff, surface })),
  )) {
    const { id, room, kind } = s.surface;
    if (s.surface.area.value <= 0) continue;
    const rests = restsOf(job, s, takeoff.room);
    if (rests.size) members[id] = [...rests.keys()];
    const family = familyOf(kind);
    for (const question of new Set([...rests.values()].flat())) {
      const key = `${room} ${family} ${question}`;
      if (!open.has(key)) open.set(key, { room, family, question, surface: id });
    }
  }
  return { open: [...open.values()], guessed: guessedRooms(rooms.map((r) => r.takeoff)), members };
});

/** What was assumed, by question and room, as a paper says it; empty: nothing was. */
export function assumedSentence({ open, guessed }: Assumed, job: Pick<Job, 'rooms' | 'units' | 'region'>): string {
  const nameOf = (id: Id) => job.rooms.byId[id]?.name ?? '';
  const byQuestion = [...groupBy(open, (answer) => answer.question)].map(([key, answers]) => {
    const where = [...new Set(answers.map((answer) => nameOf(answer.room)))];
    return `${said(shortWord(key), systemOf(job))} (${where.join(', ')})`;
  });
  return [
    ...(guessed.length ? [`A first guess: ${guessed.map(nameOf).join(', ')} not measured to the end.`] : []),
    ...(byQuestion.length ? [`Assumed, since nobody has answered it yet: ${byQuestion.join('; ')}.`] : []),
  ].join(' ');
}

/** A wall without a length, or a walk that misses its start by more than a careful tape does. */
const guessedRooms = (takeoffs: readonly RoomTakeoff[]): Id[] =>
  takeoffs.filter((t) => t.missing.length > 0 || !(t.closure?.withinTolerance ?? false)).map((t) => t.room.id);
