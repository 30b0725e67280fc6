import type { Survey } from '../job/surveyed.ts';
import type { Word } from '../units/word.ts';
import type { SystemValues } from '../job/paints.ts';
import { QUESTIONS, type QuestionKey } from './questions.ts';
import { MEMBERS } from './alike.ts';
import { specifySurface, type Specified, type Specifying } from './specify.ts';
import type { Case } from './case.ts';

type Member = keyof SystemValues;

/** The surface as it would be specified had the survey said something else there. */
export const revised = (job: Specifying, s: Specified, room: Case['room'], change: Partial<Survey>): Specified =>
  specifySurface(
    { ...job, survey: { ...job.survey, [s.surface.id]: { ...job.survey[s.surface.id], ...change } } },
    s.surface,
    room,
    s.around,
  );

export interface Change<K extends Member = Member> {
  readonly member: K;
  readonly becomes: SystemValues[K];
}
/** What Kovelin would recommend otherwise. */
export function changes(before: Specified, after: Specified): Change[] {
  return MEMBERS.flatMap((member) => {
    const [a, b] = [before.system[member].value, after.system[member].value];
    return JSON.stringify(a) === JSON.stringify(b) ? [] : [{ member, becomes: b }];
  });
}

/** An answer that would turn a decision: of this question to this option. */
export interface Turn {
  readonly key: QuestionKey;
  /** Options of the question that lead to the same. */
  readonly answers: readonly Word[];
  readonly becomes: SystemValues[Member];
}

/**
 * What would change one decision: every other answer to every question about this surface is tried, one at a time, and
 * those that lead elsewhere are listed. Exact for one answer changed; two at once are not tried.
 */
export function turnsOf(job: Specifying, s: Specified, room: Case['room'], member: Member): Turn[] {
  const now = JSON.stringify(s.system[member].value);
  return QUESTIONS.filter((q) => q.asked(s)).flatMap((q) => {
    const found = new Map<string, { answers: Word[]; becomes: SystemValues[Member] }>();
    for (const option of q.options) {
      if (option.isNow(s.survey)) continue;
      const { value } = revised(job, s, room, option.set(s.survey)).system[member];
      const key = JSON.stringify(value);
      if (key === now) continue;
      const group = found.get(key) ?? { answers: [], becomes: value };
      group.answers.push(option.label);
      found.set(key, group);
    }
    return [...found.values()].map((group) => ({ key: q.key, ...group }));
  });
}

/** What each result of a test would change; `null`: nothing. */
export function outcomes(
  job: Specifying,
  s: Specified,
  room: Case['room'],
  results: readonly (readonly [Partial<Survey>, Word])[],
): { readonly label: Word; readonly set: Partial<Survey>; readonly changes: readonly Change[] }[] {
  return results.map(([set, label]) => ({ label, set, changes: changes(s, revised(job, s, room, set)) }));
}
