import type { Job } from '@kovelin/core/job/types.ts';
import { coatsOf } from '@kovelin/core/plays/plays.ts';
import type { Play } from '@kovelin/core/plays/play.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { formatMinutes, formatVolume } from '@kovelin/core/units/quantities.ts';
import type { System } from '@kovelin/core/units/si.ts';
import { heading, said } from '@kovelin/core/units/word.ts';
import { playFor } from '@kovelin/core/whole/play.ts';
import { nameWord } from '@kovelin/core/words/names.ts';
import { reasonWord } from '@kovelin/core/words/reasons.ts';
import { placed, PlayPicture } from './PlayPicture.tsx';

interface Sheet {
  readonly s: Specified;
  readonly plays: readonly Play[];
}
/** Sentences of a surface in their order: what only its first coats or its last have says so. */
function tellings({ plays }: Sheet, system: System): Telling[] {
  const of = (play: Play | undefined): Telling[] =>
    (play?.how ?? []).map((reason) => ({ rule: reason.rule, text: heading(reasonWord(reason), system) }));
  const [begin, end] = [of(plays[0]), of(plays.at(-1))];
  const isIn = (list: readonly Telling[], { text }: Telling) => list.some((one) => one.text === text);
  return [
    ...begin.map((t) => (isIn(end, t) ? t : { ...t, text: `${t.text} (not in the last coat)` })),
    ...end.filter((t) => !isIn(begin, t)).map((t) => ({ ...t, text: `${t.text} (in the last coat)` })),
  ];
}
interface Telling {
  readonly rule: string;
  readonly text: string;
}

interface Told {
  readonly s: Specified;
  readonly texts: readonly Telling[];
}
const has = (list: readonly Telling[], one: Telling, by: keyof Telling) => list.some((other) => other[by] === one[by]);
/** The surface before that is done most like this one, where that is most of it. */
function likest(told: readonly Told[], texts: readonly Telling[]): Told | null {
  const shared = (other: Told) => texts.filter((one) => has(other.texts, one, 'text')).length;
  const [best] = told.toSorted((a, b) => shared(b) - shared(a));
  return best && shared(best) * 2 > texts.length ? best : null;
}

/** A play for each surface of a room: its steps numbered on it, what each coat takes, and how it is done. */
export function PlaysOnPaper({ job, painted, system }: { job: Job; painted: readonly Specified[]; system: System }) {
  const sheets = painted.flatMap((s): Sheet[] => {
    const count = coatsOf({ specified: s, layer: 'finish' });
    const plays = Array.from({ length: count }, (_, i) => playFor(job, s.surface.id, { coat: i + 1 }) ?? []).flat();
    return plays.some((play) => play.strokes.length) ? [{ s, plays }] : [];
  });
  const all = sheets.map((sheet): Told => ({ s: sheet.s, texts: tellings(sheet, system) }));
  return (
    <div className="plays-on-paper">
      {sheets.map(({ s, plays }, i) => {
        const [first] = plays;
        const texts = all[i]?.texts ?? [];
        const like = likest(all.slice(0, i), texts);
        const own = like ? texts.filter((one) => !has(like.texts, one, 'text')) : texts;
        const not = like ? like.texts.filter((one) => !has(texts, one, 'rule')) : [];
        return (
          <section key={s.surface.id}>
            {first && (
              <PlayPicture
                play={first}
                strokes={placed(first)}
                time={null}
                colour={s.colour.hex}
                old={s.survey.colour}
              />
            )}
            <div>
              <h3>{heading(nameWord(s.surface.name), system)}</h3>
              <p>
                {plays.map((play) => (
                  <span key={play.coat}>
                    Coat {play.coat}: {formatMinutes(play.minutes)}, {formatVolume(play.litres, system)}
                    {loadsWord(play)}
                    <br />
                  </span>
                ))}
              </p>
              {like && (
                <p>
                  Done as {said(nameWord(like.s.surface.name), system)}
                  {own.length + not.length > 0 && ', but:'}
                </p>
              )}
              {own.length + not.length > 0 && (
                <ul>
                  {own.map(({ text }) => (
                    <li key={text}>{text}</li>
                  ))}
                  {not.map(({ text }) => (
                    <li key={text}>Here not: {text}</li>
                  ))}
                </ul>
              )}
            </div>
          </section>
        );
      })}
    </div>
  );
}

function loadsWord({ strokes }: Play): string {
  const loads = strokes.filter((stroke) => stroke.kind === 'dip').length;
  return loads > 0 ? `, ${loads} loads` : '';
}
