import { bad, good, type Result } from '@kovelin/core/units/problem.ts';
import type { Survey as Answers } from '@kovelin/core/job/surveyed.ts';
import { DRY_ENOUGH, WET } from '@kovelin/core/specify/case.ts';
import { TESTS, type Question, type SurfaceTest } from '@kovelin/core/specify/questions.ts';
import type { Specified } from '@kovelin/core/specify/specify.ts';
import { outcomes, type Change } from '@kovelin/core/specify/what-if.ts';
import { phrase, said } from '@kovelin/core/units/word.ts';
import { MEMBER_WORDS, memberWord } from '@kovelin/core/words/systems.ts';
import type { ReactNode } from 'react';
import { DraftField } from '../ui/DraftField.tsx';
import { useArrival } from '../app/useArrival.ts';
import type { WholeView } from '../app/whole.ts';
import { Holes, OldColours, Zones, type SetAnswers } from './SurveyForms.tsx';
import { Toggle } from '../ui/Toggle.tsx';
import Button from '@mui/material/Button';
import { TextButton } from '../ui/TextButton.tsx';
import { TestDrawing } from '../drawing/TestDrawing.tsx';

type Props = { readonly view: WholeView; readonly s: Specified };

interface FrameProps {
  readonly of: string;
  readonly ask: string;
  /** How often the conversation has moved on: each time the question takes the focus. */
  readonly arrived: number;
  readonly children: ReactNode;
}
/** One question, as the person asking would put it; it takes the focus when the answer before it was given. */
export function QuestionFrame({ of, ask, arrived, children }: FrameProps) {
  const frame = useArrival<HTMLFieldSetElement>(arrived);
  return (
    <fieldset ref={frame} className="asked" data-question={of} tabIndex={-1}>
      <legend>{ask}</legend>
      {children}
    </fieldset>
  );
}

export interface AskedProps extends Props {
  readonly question: Question;
  readonly set: SetAnswers;
  readonly onNext: () => void;
  /** Ends the conversation: what is open stands as assumed. */
  readonly onEnd: () => void;
  /** null: nothing was asked before it. */
  readonly onBack: (() => void) | null;
  readonly arrived: number;
}
/** One question of the survey with its answers, and the test that would tell more. */
export function Asked({ view, s, question: q, set, onNext, onEnd, onBack, arrived }: AskedProps) {
  const test = TESTS.find((t) => t.id === q.test);
  // what the test below answers is not offered twice
  const isTested = test?.helps(s) && test.results.some(([change]) => q.key in change);
  const options = q.options.filter(({ unsure }) => !isTested || unsure);
  return (
    <QuestionFrame of={q.key} ask={said(q.ask, view.system)} arrived={arrived}>
      {(q.form === 'one' || q.form === 'many') && (
        <div className="options">
          {options.map((o) => (
            <Toggle
              key={said(o.label, view.system)}
              className="option"
              pressed={o.isNow(s.survey)}
              onChange={() => {
                set(o.set(s.survey));
                if (q.form === 'one') onNext();
              }}
            >
              {said(o.label, view.system)}
            </Toggle>
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
        <Button
          size="small"
          variant="outlined"
          onClick={() => {
            // leaving it as it stands is an answer too
            if (q.form === 'many' || q.form === 'holes' || q.form === 'zones' || q.form === 'year')
              set({ [q.key]: s.survey[q.key as keyof Answers] });
            if (q.form === 'colour') set({ colour: s.survey.colour });
            onNext();
          }}
        >
          {q.form === 'many' && s.survey[q.key as 'stains' | 'touched'].length === 0 ? 'None' : 'That is all'}
        </Button>
      )}
      <div className="row-buttons">
        {onBack && <TextButton onClick={onBack}>Back</TextButton>}
        <TextButton onClick={onNext}>Skip</TextButton>
        <TextButton onClick={onEnd}>Skip the rest</TextButton>
      </div>
      {test?.helps(s) && <Test view={view} s={s} test={test} set={set} onNext={onNext} />}
    </QuestionFrame>
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
        {test.steps
          .map((step) => said(step, view.system))
          .map((step) => (
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
            <Toggle
              key={i}
              className="option"
              pressed={test.isNow(s.survey) === i}
              onChange={() => {
                set(change);
                onNext();
              }}
            >
              {said(label, view.system)}
              <small>{changes.length ? `then ${changed(changes, view)}` : 'changes nothing'}</small>
            </Toggle>
          ))}
        </div>
      )}
    </div>
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
