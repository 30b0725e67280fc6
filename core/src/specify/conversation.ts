import { roomScope } from '../job/scope.ts';
import type { Survey } from '../job/surveyed.ts';
import type { Id, Scope, SurfaceId } from '../job/table.ts';
import { FAMILIES, familyOf, SURFACE_KINDS, type Family } from '../job/vocabulary.ts';
import { inOrder, phrase, type Word } from '../units/word.ts';
import { COAT, CONDITION, SHEEN, SUBSTRATE, TEXTURE } from '../words/terms.ts';
import { coatOf, conditionOf } from './case.ts';
import { answered, QUESTIONS, type Question, type QuestionKey } from './questions.ts';
import { givenOf } from './rests.ts';
import type { Specified, Specifying } from './specify.ts';

/** Whom an answer is about: all of a family in a room, or one surface that differs from the others. */
export type About = { readonly room: Id; readonly family: Family } | { readonly room: Id; readonly surface: SurfaceId };

/** One question of the conversation, and the surface it is put for: the first that has no answer to it. */
export interface Turn {
  readonly question: Question;
  readonly s: Specified;
  /** Nobody answered it for at least one of the surfaces. */
  readonly isOpen: boolean;
}

type Said = Pick<Specifying, 'survey'>;

/** The surfaces it is about; those without area are not asked about. */
export const surfacesAbout = (about: About, surfaces: readonly Specified[]): readonly Specified[] =>
  surfaces.filter(
    ({ surface }) =>
      surface.room === about.room &&
      ('surface' in about ? surface.id === about.surface : familyOf(surface.kind) === about.family),
  );

/** Each question that any of the surfaces is asked, in the order a painter looks. */
export function conversation(job: Said, surfaces: readonly Specified[]): readonly Turn[] {
  return QUESTIONS.flatMap((question) => {
    const asked = surfaces.filter((s) => question.asked(s));
    const open = asked.find((s) => !answered(givenOf(job, s), question.key));
    const s = open ?? asked[0];
    return s ? [{ question, s, isOpen: open !== undefined }] : [];
  });
}

/** Only doors have them: the answer is theirs, not all woodwork's. */
const OF_DOORS: readonly QuestionKey[] = ['relief', 'zones'];

/**
 * Where an answer is written so that it holds for all it is about. Answers that the surfaces of one kind share are replaced;
 * those of a single surface stay its own. The age of a room's paint is that of all of it.
 */
export function scopesFor(job: Said, about: About, key: QuestionKey): readonly Scope[] {
  if ('surface' in about) return [about.surface];
  if (OF_DOORS.includes(key)) return [roomScope(about.room, 'door')];
  const families = key === 'built' ? FAMILIES : [about.family];
  return families.flatMap((family) => [
    `${about.room}:${family}`,
    ...SURFACE_KINDS.filter((kind) => kind !== family && familyOf(kind) === family)
      .map((kind) => roomScope(about.room, kind))
      .filter((scope) => answered(job.survey[scope] ?? {}, key)),
  ]);
}

/** Surfaces that have answers of their own, and to which questions. */
export function exceptions(
  job: Said,
  surfaces: readonly Specified[],
): readonly { readonly s: Specified; readonly keys: readonly QuestionKey[] }[] {
  return surfaces.flatMap((s) => {
    const own = job.survey[s.surface.id];
    const keys = own ? QUESTIONS.filter(({ key, asked }) => asked(s) && answered(own, key)).map(({ key }) => key) : [];
    return keys.length ? [{ s, keys }] : [];
  });
}

/** What an eye sees from the middle of a room: said in one sentence and confirmed at once. No test is among it. */
const SEEN = ['substrate', 'texture', 'coat', 'condition', 'stains', 'damp', 'fresh', 'sheen'] as const;

/** The starting answers that one look confirms; null: somebody has answered one of them, so they are asked singly. */
export function atAGlance(turns: readonly Turn[]): { readonly sentence: Word; readonly set: Partial<Survey> } | null {
  const seen = turns.filter(({ question }) => (SEEN as readonly string[]).includes(question.key));
  const s = seen[0]?.s;
  if (!s || seen.some((turn) => !turn.isOpen)) return null;
  const { survey } = s;
  const set = Object.fromEntries(
    seen.map(({ question }) => [question.key, survey[question.key as (typeof SEEN)[number]]]),
  );
  return {
    sentence: inOrder(
      [
        phrase`${TEXTURE[survey.texture]} ${SUBSTRATE[survey.substrate]}`,
        phrase`${SHEEN[survey.sheen]}, ${COAT[coatOf(survey)]}`,
        CONDITION[conditionOf(survey)],
        'no stains',
        'dry',
      ],
      '; ',
    ),
    set,
  };
}

/** Answers of a room that other rooms can take over: its families', without what was counted on the spot. */
export function roomAnswers(
  job: Said,
  room: Id,
): readonly { readonly family: Family; readonly set: Partial<Survey> }[] {
  return FAMILIES.flatMap((family) => {
    const { repairs: _counted, ...set } = job.survey[`${room}:${family}`] ?? {};
    return Object.keys(set).length ? [{ family, set }] : [];
  });
}
