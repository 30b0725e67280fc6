import type { Sameness } from '@kovelin/core/inspect/touchUp.ts';
import { bad, good } from '@kovelin/core/units/problem.ts';
import { formatLength } from '@kovelin/core/units/length.ts';
import { formatVolume } from '@kovelin/core/units/quantities.ts';
import { capital, said } from '@kovelin/core/units/word.ts';
import { jobRecord } from '@kovelin/core/whole/record.ts';
import { touchUpFor, type TouchAnswer, type TouchAsk } from '@kovelin/core/whole/touch.ts';
import { today } from '@kovelin/core/units/date.ts';
import { THE } from '@kovelin/core/words/terms.ts';
import { TOUCH_CHANGE, TOUCH_REASON, TOUCH_STEPS, TRIM_VERDICT, VERDICT } from '@kovelin/core/words/touch.ts';
import { useState } from 'react';
import { Choice } from '../ui/Choice.tsx';
import { DraftField } from '../ui/DraftField.tsx';
import { LengthField } from '../ui/LengthField.tsx';
import { Line, Section } from '../ui/Section.tsx';
import { useSpelt } from '../app/useSpelt.ts';
import { plainNumber, type Inspecting } from './shared.ts';

const SAME: readonly (readonly [Sameness, string])[] = [
  ['same', 'the same'],
  ['other', 'another'],
  ['unknown', 'not known'],
];
/** Less than that nobody measures. */
const SPOON = 0.03;
const COUNT = (least: number, most: number, what: string) => (text: string) => {
  const value = plainNumber(text);
  return value >= least && value <= most ? good(value) : bad(`${what} from ${least} to ${most}.`);
};

/** Touch up or repaint the surface that is chosen: asked, answered, with its reasons. */
export function TouchUpPanel({ view, log }: Inspecting) {
  const spell = useSpelt();
  const { surface, system, state } = view;
  const [ask, setAsk] = useState<TouchAsk>({ patches: 1, size: 0.03 });
  const { job } = state;
  if (!surface) return <p className="hint">Choose a wall in the drawing.</p>;
  const record = jobRecord(job, log.entries ?? []);
  const own = record.surfaces.find(({ id }) => id === surface.id);
  if (!own) return <p className="hint">This job does not paint it.</p>;
  const answer = touchUpFor(
    job,
    own,
    record.surfaces.map(({ specified }) => specified),
    ask,
    today(),
  );
  const change = (set: Partial<TouchAsk>) => {
    setAsk({ ...ask, ...set });
    return null;
  };
  const { of, assumed } = answer;
  const isAssumed = (what: (typeof assumed)[number]): string => (assumed.includes(what) ? ', assumed' : '');
  const verdicts = of.trim ? TRIM_VERDICT : VERDICT;
  return (
    <>
      <Section title="What there is to mend">
        <div className="pair">
          <DraftField
            label="Places"
            value={`${ask.patches}`}
            parse={COUNT(1, 1000, 'Places')}
            onCommit={(n) => change({ patches: Math.round(n) })}
          />
          <LengthField
            label="The largest, across"
            system={system}
            value={{ typed: formatLength(ask.size, system), metres: ask.size }}
            onCommit={(size) => change({ size: size?.metres ?? ask.size })}
          />
          <DraftField
            label={`Years on the wall${isAssumed('age')}`}
            value={of.age.toFixed(of.age < 10 ? 1 : 0)}
            parse={COUNT(0, 200, 'Years')}
            onCommit={(age) => change({ age })}
          />
          <DraftField
            label={`Hours of sun a day${isAssumed('sun')}`}
            value={`${of.sun}`}
            parse={COUNT(0, 24, 'Hours')}
            onCommit={(sun) => change({ sun })}
          />
          <Choice
            label={`Paint${isAssumed('paint')}`}
            value={of.paint}
            options={SAME}
            onChange={(paint) => change({ paint })}
          />
          <Choice
            label={`Batch${isAssumed('batch')}`}
            value={of.batch}
            options={SAME}
            onChange={(batch) => change({ batch })}
          />
          <Choice
            label={`${said(capital(THE.cover), system)}${isAssumed('cover')}`}
            value={of.cover}
            options={SAME}
            onChange={(cover) => change({ cover })}
          />
          <Choice
            label="The mended places are"
            value={ask.ground ? 'white' : 'as'}
            options={[
              ['as', 'as the wall'],
              ['white', 'white filler'],
            ]}
            onChange={(ground) => change({ ground: ground === 'white' ? '#f4f2ec' : null })}
          />
        </div>
      </Section>
      <Section title="Touch up, or repaint?">
        <p className="verdict large" role="status">
          {said(verdicts[answer.verdict], system)}
        </p>
        <Scale score={answer.score} />
        <Line label={spell('Colour will differ by')}>ΔE {answer.deltaE.toFixed(1)}</Line>
        <Line label="Gloss will differ by">{answer.gloss.toFixed(1)} units at 60°</Line>
        <Line label="Paint for it">
          {answer.litres < SPOON ? `less than ${formatVolume(SPOON, system)}` : formatVolume(answer.litres, system)}
        </Line>
        <ul className="because">
          {answer.because.map(({ rule, value, points }) => (
            <li key={rule}>
              {said(TOUCH_REASON[rule](value), system)} <small>+{points.toFixed(0)}</small>
            </li>
          ))}
        </ul>
        {answer.wouldChange.length > 0 && (
          <>
            <h4>What would change it</h4>
            <ul className="would">
              {answer.wouldChange.map(({ change: what, verdict }) => (
                <li key={what}>
                  {said(capital(TOUCH_CHANGE[what]), system)}: {said(verdicts[verdict], system).toLowerCase()}
                </li>
              ))}
            </ul>
          </>
        )}
      </Section>
      <Section title="How">
        <ol className="how">
          {TOUCH_STEPS[answer.verdict](answer.coats).map((step) => (
            <li key={said(step, system)}>{said(step, system)}</li>
          ))}
        </ol>
      </Section>
    </>
  );
}

/** Where the score lies: from what nobody finds to what everybody sees. */
function Scale({ score }: Pick<TouchAnswer, 'score'>) {
  const at = Math.min(100, (score / 120) * 100);
  return (
    <div
      className="touch-scale"
      role="img"
      aria-label={`Score ${score.toFixed(0)}: 0 is never found, from 100 on everybody sees it`}
    >
      <span className="touch-at" style={{ left: `${at}%` }}>
        {score.toFixed(0)}
      </span>
      <i>never found</i>
      <i>seen at once</i>
    </div>
  );
}
