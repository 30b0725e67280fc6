import type { SystemValues } from '../job/paints.ts';
import { layered } from '../job/scope.ts';
import type { Survey } from '../job/surveyed.ts';
import { numberOf, rememberLast } from '../units/remember.ts';
import { MEMBERS } from './alike.ts';
import { answered, QUESTIONS, type Question, type QuestionKey } from './questions.ts';
import type { Specified, Specifying } from './specify.ts';
import type { Case } from './case.ts';
import { changes, revised } from './what-if.ts';

type Member = keyof SystemValues;
/** Questions that nobody answered, by the decision that another answer would turn. */
export type Rests = ReadonlyMap<Member, readonly QuestionKey[]>;

/** Answers that reach a surface, from its own to those for all of its family. */
export const givenOf = (job: Pick<Specifying, 'survey'>, { surface }: Pick<Specified, 'surface'>): Partial<Survey> =>
  layered<Partial<Survey>>(job.survey, surface, {});

/** Questions of a surface that nobody answered, nearest scope or wider. */
function openQuestions(job: Specifying, s: Specified): readonly Question[] {
  const given = givenOf(job, s);
  return QUESTIONS.filter((question) => question.asked(s) && !answered(given, question.key));
}

/** A question without a list of answers: the colours below always count; a door's zones and its age are the user's to add. */
const WITHOUT_LIST: Readonly<Partial<Record<QuestionKey, readonly Member[]>>> = { colour: ['coats'] };

/**
 * What a surface's system rests on although nobody said so: every other answer to every question left open is tried, and those
 * that would decide something otherwise are told. Exact for one answer changed.
 */
export function restsOf(job: Specifying, s: Specified, room: Case['room']): Rests {
  const open = openQuestions(job, s);
  return alike(`${numberOf(s.system)} ${open.map((question) => question.key).join()}`, { job, s, room, open });
}
/** Questions about these surfaces of a room that nobody answered, and whose other answers would turn a decision. */
export const mattering = (
  job: Specifying,
  surfaces: readonly Specified[],
  room: Case['room'],
): ReadonlySet<QuestionKey> =>
  new Set(surfaces.flatMap((s) => (s.surface.area.value > 0 ? [...restsOf(job, s, room).values()].flat() : [])));

interface Asked {
  readonly job: Specifying;
  readonly s: Specified;
  readonly room: Case['room'];
  readonly open: readonly Question[];
}
/** Surfaces whose system is one object, and of which the same is asked, rest on the same. */
const alike = rememberLast(
  2000,
  (key: string, { job }: Asked) => `${key} ${numberOf(job.settings)}`,
  (_key: string, { job, s, room, open }: Asked): Rests => {
    const found = new Map<Member, QuestionKey[]>();
    const add = (member: Member, key: QuestionKey) => {
      const keys = found.get(member) ?? [];
      if (!keys.includes(key)) found.set(member, [...keys, key]);
    };
    for (const { key, options } of open) {
      for (const member of WITHOUT_LIST[key] ?? []) add(member, key);
      for (const option of options) {
        if (option.isNow(s.survey)) continue;
        for (const { member } of changes(s, revised(job, s, room, option.set(s.survey)))) add(member, key);
      }
    }
    return new Map(MEMBERS.flatMap((member) => (found.has(member) ? [[member, found.get(member) ?? []]] : [])));
  },
);
