import { bad, good, type Result } from '@kovelin/core/units/problem.ts';
import { layered, roomScope } from '@kovelin/core/job/scope.ts';
import type { Survey as Answers } from '@kovelin/core/job/surveyed.ts';
import { REPAIR_CLASSES, ZONES } from '@kovelin/core/job/vocabulary.ts';
import {
  answered,
  QUESTIONS,
  readBack,
  TESTS,
  type Question,
  type QuestionKey,
  type SurfaceTest,
} from '@kovelin/core/specify/questions.ts';
import type { System } from '@kovelin/core/units/si.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { DRY_ENOUGH, WET } from '@kovelin/core/specify/case.ts';
import { outcomes, type Change } from '@kovelin/core/specify/what-if.ts';
import { counted, heading, phrase, said } from '@kovelin/core/units/word.ts';
import { nameWord } from '@kovelin/core/words/names.ts';
import { MEMBER_WORDS, memberWord } from '@kovelin/core/words/systems.ts';
import { HOLES } from '@kovelin/core/words/terms.ts';
import { useState } from 'react';
import { DraftField, Section } from '../app/fields.tsx';
import type { WholeView } from '../app/whole.ts';
import { RoomHoles, RoomLight } from './RoomSurvey.tsx';
import { Holes, OldColours, Zones, type SetAnswers } from './SurveyForms.tsx';
import { TestDrawing } from './TestDrawing.tsx';

type Props = { readonly view: WholeView; readonly s: Specified };

/** What is there now, asked one thing at a time; answers fall back on the room's and the job's. */
export function Survey({ view, s, ask }: Props & { readonly ask: string | null }) {
  const { session, state, takeoff } = view;
  const [wide, setWide] = useState(false);
  const [key, setKey] = useState<QuestionKey | null>(QUESTIONS.find((q) => q.key === ask)?.key ?? null);
  // what was asked before this, and passed over: not asked again by itself
  const [trail, setTrail] = useState<readonly QuestionKey[]>([]);
  const scope = wide ? roomScope(s.surface.room, s.surface.kind) : s.surface.id;
  const given = layered<Partial<Answers>>(state.shown.survey, s.surface, {});
  const asked = QUESTIONS.filter((q) => q.asked(s));
  const isOpen = (q: Question) => !answered(given, q.key);
  const open = asked.find((q) => q.key === key) ?? asked.find(isOpen) ?? null;
  const set: SetAnswers = (change) => {
    // more than one answer may be given, so an answer does not take its question away
    if (open) setKey(open.key);
    session.run({ name: 'setSurvey', args: { scope, set: change } });
  };
  const next = (from: QuestionKey) => {
    const at = asked.findIndex((q) => q.key === from);
    const later = [...asked.slice(at + 1), ...asked.slice(0, at)];
    setTrail([...trail, from]);
    setKey((later.find((q) => isOpen(q) && !trail.includes(q.key)) ?? asked[at + 1])?.key ?? null);
  };
  const back = () => {
    setKey(trail.at(-1) ?? null);
    setTrail(trail.slice(0, -1));
  };
  const tests = asked.filter(
    (q) => q.key !== open?.key && TESTS.find((t) => t.id === q.test)?.helps(s) && answered(given, q.key),
  );
  const count = asked.filter((q) => answered(given, q.key)).length;
  return (
    <Section title="What is there now" extra={<small>{`${count} of ${asked.length} answered`}</small>}>
      <RoomHoles view={view} s={s} />
      <p className="read-back">{heading(readBack(s), view.system)}</p>
      {s.surface.kind !== 'ceiling' && (
        <label className="check">
          <input type="checkbox" checked={wide} onChange={(event) => setWide(event.target.checked)} /> answer for all
          like it in this room
        </label>
      )}
      {open ? (
        <Asked
          key={open.key}
          view={view}
          s={s}
          question={open}
          set={set}
          onNext={() => next(open.key)}
          onBack={trail.length ? back : null}
        />
      ) : (
        <p className="hint">Every question about this surface is answered.</p>
      )}
      {tests.length > 0 && (
        <p className="hint">
          A test on the spot would tell more:{' '}
          {tests.map((q) => (
            <button key={q.key} type="button" className="link" onClick={() => setKey(q.key)}>
              {TESTS.find((t) => t.id === q.test)?.title.toLowerCase()}
            </button>
          ))}
        </p>
      )}
      <ul className="answers" aria-label="Answers">
        {asked.map((q) => (
          <li key={q.key} className={q.key === open?.key ? 'chosen' : ''}>
            <button type="button" className="link" onClick={() => setKey(q.key)}>
              {q.short}
            </button>
            <span>
              {answer(q, s, view.system)} {isOpen(q) && <small className="assumed">assumed</small>}
            </span>
          </li>
        ))}
      </ul>
      <CopyAnswers view={view} s={s} given={given} />
      {takeoff && <RoomLight view={view} s={s} />}
    </Section>
  );
}

function answer(q: Question, { survey, grazedBy }: Specified, system: System): string {
  if (q.key === 'repairs')
    return (
      REPAIR_CLASSES.filter((of) => survey.repairs[of] > 0)
        .map((of) => said(counted(survey.repairs[of], ...HOLES[of]), system))
        .join(', ') || 'none'
    );
  if (q.key === 'colour') return [survey.colour, ...survey.patches].join(', ');
  if (q.key === 'built') return survey.built === null ? 'not known: taken as old' : `about ${survey.built}`;
  if (q.key === 'zones') return ZONES.filter((zone) => survey.zones[zone]).join(' and ') || 'as the faces';
  if (q.key === 'raking' && survey.raking === 'windows')
    return grazedBy.length ? `yes: window ${grazedBy.join(', ')}` : 'no window near';
  if (q.key === 'damp' && survey.moisture !== null) return `${survey.moisture} % read`;
  return q.options.flatMap((o) => (o.isNow(survey) ? [said(o.label, system)] : [])).join(', ') || 'none';
}

interface AskedProps extends Props {
  readonly question: Question;
  readonly set: SetAnswers;
  readonly onNext: () => void;
  /** null: nothing was asked before it. */
  readonly onBack: (() => void) | null;
}
function Asked({ view, s, question: q, set, onNext, onBack }: AskedProps) {
  const test = TESTS.find((t) => t.id === q.test);
  return (
    <fieldset className="asked" data-question={q.key}>
      <legend>{q.ask}</legend>
      {(q.form === 'one' || q.form === 'many') && (
        <div className="options">
          {q.options.map((o) => (
            <button
              key={said(o.label, view.system)}
              type="button"
              className="option"
              aria-pressed={o.isNow(s.survey)}
              onClick={() => {
                set(o.set(s.survey));
                if (q.form === 'one') onNext();
              }}
            >
              {said(o.label, view.system)}
            </button>
          ))}
        </div>
      )}
      {q.form === 'holes' && <Holes s={s} set={set} />}
      {q.form === 'colour' && <OldColours s={s} set={set} />}
      {q.form === 'zones' && <Zones s={s} set={set} system={view.system} />}
      {q.form === 'year' && (
        <DraftField
          label="Oldest paint from about (year)"
          value={s.survey.built === null ? '' : String(s.survey.built)}
          placeholder="not known: taken as old"
          parse={readYear}
          onCommit={(built) => {
            set({ built });
            return null;
          }}
        />
      )}
      {q.form !== 'one' && (
        <button
          type="button"
          className="take"
          onClick={() => {
            // leaving it as it stands is an answer too
            if (q.form === 'many' || q.form === 'holes' || q.form === 'zones' || q.form === 'year')
              set({ [q.key]: s.survey[q.key as keyof Answers] });
            if (q.form === 'colour') set({ colour: s.survey.colour });
            onNext();
          }}
        >
          {q.form === 'many' && s.survey[q.key as 'stains' | 'touched'].length === 0 ? 'None' : 'That is all'}
        </button>
      )}
      <div className="row-buttons">
        {onBack && (
          <button type="button" className="link" onClick={onBack}>
            Back
          </button>
        )}
        <button type="button" className="link" onClick={onNext}>
          Skip
        </button>
      </div>
      {test?.helps(s) && <Test view={view} s={s} test={test} set={set} onNext={onNext} />}
    </fieldset>
  );
}

const changed = (list: readonly Change[], view: WholeView) =>
  list
    .map(({ member, becomes }) =>
      said(phrase`${MEMBER_WORDS[member]} ${memberWord(member, becomes as never)}`, view.system),
    )
    .join('; ');

/** How to find out, and what each result would change. */
function Test({ view, s, test, set, onNext }: Props & { test: SurfaceTest; set: SetAnswers; onNext: () => void }) {
  const room = view.state.shown.rooms.byId[s.surface.room];
  const results = room ? outcomes(view.state.shown, s, room, test.results) : [];
  return (
    <div className="test">
      <h4>{test.title}</h4>
      <TestDrawing test={test.id} />
      <ol>
        {test.steps.map((step) => (
          <li key={step}>{step}</li>
        ))}
      </ol>
      {test.id === 'moisture' ? (
        <>
          <p>
            Under {DRY_ENOUGH} % it can be painted; above {WET} % it is damp.
          </p>
          <DraftField
            label="Worst reading (%)"
            value={s.survey.moisture === null ? '' : String(s.survey.moisture)}
            placeholder="not measured"
            parse={readPerCent}
            onCommit={(moisture) => {
              set({ moisture });
              return null;
            }}
          />
        </>
      ) : (
        <div className="options">
          {results.map(({ label, set: change, changes }, i) => (
            <button
              key={label}
              type="button"
              className="option"
              aria-pressed={test.isNow(s.survey) === i}
              onClick={() => {
                set(change);
                onNext();
              }}
            >
              {label}
              <small>{changes.length ? `then ${changed(changes, view)}` : 'changes nothing'}</small>
            </button>
          ))}
        </div>
      )}
    </div>
  );
}

/** The answers given here, for surfaces like it anywhere in the job. */
function CopyAnswers({ view, s, given }: Props & { given: Partial<Answers> }) {
  const { derived, session, state, system } = view;
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const alike = derived.surfaces.filter((o) => o.surface.kind === s.surface.kind && o.surface.id !== s.surface.id);
  if (!alike.length || !Object.keys(given).length) return null;
  return (
    <details className="copy">
      <summary>Copy these answers to …</summary>
      <div className="checks">
        {alike.map(({ surface }) => (
          <label key={surface.id} className="check">
            <input
              type="checkbox"
              checked={chosen.has(surface.id)}
              onChange={(event) => {
                const next = new Set(chosen);
                if (event.target.checked) next.add(surface.id);
                else next.delete(surface.id);
                setChosen(next);
              }}
            />{' '}
            {surface.room === s.surface.room ? '' : `${state.shown.rooms.byId[surface.room]?.name ?? ''}: `}
            {heading(nameWord(surface.name), system)}
          </label>
        ))}
      </div>
      <button
        type="button"
        className="take"
        disabled={!chosen.size}
        onClick={() => {
          session.run({ name: 'setSurveys', args: { scopes: [...chosen], set: given } });
          setChosen(new Set());
        }}
      >
        Copy to {chosen.size} {chosen.size === 1 ? 'surface' : 'surfaces'}
      </button>
    </details>
  );
}

function readYear(text: string): Result<number | null> {
  if (!text.trim()) return good(null);
  const year = /^\d{4}$/.test(text.trim()) ? Number(text) : NaN;
  return year >= 1000 && year <= 2100 ? good(year) : bad('A year of four figures is expected, such as 1962.');
}
function readPerCent(text: string): Result<number | null> {
  if (!text.trim()) return good(null);
  const n = Number(text.replace(/%/, '').replace(',', '.'));
  return n >= 0 && n <= 100 ? good(n) : bad('A reading from 0 to 100 % is expected.');
}
