import { DEFECTS, SIGNS, type Defect, type Sign } from '@kovelin/core/job/recorded.ts';
import { bad, good } from '@kovelin/core/units/problem.ts';
import { aboutLength, formatLength } from '@kovelin/core/units/length.ts';
import { formatMinutes } from '@kovelin/core/units/quantities.ts';
import { heading, said } from '@kovelin/core/units/word.ts';
import { CAUSE, DEFECT, DEFECT_STATE, FACT, REMEDY, SIGN } from '@kovelin/core/words/found.ts';
import { nameWord } from '@kovelin/core/words/names.ts';
import type { Evidence, Ranked } from '@kovelin/core/inspect/compare.ts';
import type { DefectView } from '@kovelin/core/whole/inspect.ts';
import { useState, type CSSProperties } from 'react';
import { Choice } from '../ui/Choice.tsx';
import { DraftField } from '../ui/DraftField.tsx';
import { LengthField } from '../ui/LengthField.tsx';
import { Section } from '../ui/Section.tsx';
import { readText } from '../ui/read.ts';
import { ShownPhoto, TakePhoto } from '../app/Photos.tsx';
import { DefectPicture } from '../drawing/DefectPicture.tsx';
import type { Inspecting } from './shared.ts';
import Button from '@mui/material/Button';
import { TextButton } from '../ui/TextButton.tsx';
import { Toggle } from '../ui/Toggle.tsx';
import { keysOf } from '@kovelin/core/units/list.ts';
import Radio from '@mui/material/Radio';

interface Props extends Inspecting {
  readonly defect: Defect;
  readonly n: number;
  readonly found: DefectView | null;
  readonly who: string;
  readonly onGone: () => void;
}

/** One defect: what it is, a short comparison, why it came about, what is done. */
export function DefectPanel(props: Props) {
  const { view, defect, n, found, log, who, onGone } = props;
  const { session, system, derived, state } = view;
  const s = derived.surfaces.find((one) => one.surface.id === defect.surface);
  const set = (change: Partial<Omit<Defect, 'id'>>): boolean =>
    session.run({ name: 'setDefect', args: { defect: defect.id, set: change } });
  const photos = (log.entries ?? []).flatMap((entry) =>
    entry.kind === 'photo' && entry.operation === `defect:${defect.id}` ? [entry.value.photo] : [],
  );
  return (
    <>
      <header className="defect-head">
        <DefectPicture kind={defect.kind} system={system} />
        <div>
          <h3>
            {n}. {heading(DEFECT[defect.kind].name, system)}
          </h3>
          <p>
            {s ? heading(nameWord(s.surface.name), system) : 'Its surface is no longer there'}
            {defect.at && `, ${aboutLength(defect.at.x, system)} along, ${aboutLength(defect.at.y, system)} up`}
          </p>
          {DEFECT[defect.kind].term && <small>{DEFECT[defect.kind].term}</small>}
        </div>
      </header>
      <Section title="What it is">
        <Choice
          label="Looks like"
          value={defect.kind}
          options={DEFECTS.map((kind) => [kind, said(DEFECT[kind].name, system)] as const)}
          onChange={(kind) => set({ kind, cause: null, remedy: null })}
        />
        <div className="pair">
          <LengthField
            label="Size across"
            value={{ typed: formatLength(defect.size, system), metres: defect.size }}
            system={system}
            onCommit={(size) => (size && set({ size: size.metres }) ? null : 'A size is wanted.')}
          />
          <DraftField
            label="On which coat"
            value={defect.coat === null ? 'the last' : `${defect.coat}`}
            parse={(text) => {
              const coat = Number(text);
              if (!text.trim() || text.trim() === 'the last') return good(null);
              return Number.isInteger(coat) && coat >= 1 && coat <= 20
                ? good(coat)
                : bad('A coat is 1, 2, 3 …, or the last.');
            }}
            onCommit={(coat) => (set({ coat }) ? null : 'not taken')}
          />
        </div>
        <DraftField
          label="Note"
          lines={2}
          value={defect.note}
          parse={readText(4000)}
          onCommit={(note) => (set({ note }) ? null : 'not taken')}
        />
        <div className="photos">
          <TakePhoto
            job={state.job.id}
            log={log}
            about={{ who, surface: defect.surface, operation: `defect:${defect.id}` }}
          />
          {photos.map((id) => (
            <ShownPhoto key={id} id={id} words={said(DEFECT[defect.kind].name, system)} />
          ))}
        </div>
      </Section>
      <Comparison {...props} set={set} />
      <Section title="What is done about it" extra={<small>{said(DEFECT_STATE[defect.state], system)}</small>}>
        {found?.remedies.length === 0 && <p className="hint">First say what it looks like.</p>}
        {found?.remedies.map((remedy, i) => {
          const words = REMEDY[remedy];
          return (
            <label key={remedy} className="school">
              <Radio name="remedy" checked={defect.remedy === remedy} onChange={() => set({ remedy, state: 'open' })} />
              <span>
                <b>
                  {heading(words.name, system)}
                  {i === 0 ? ' · recommended' : ''}
                </b>
                {said(words.how, system)}
                {words.risk && <small className="risk">{said(words.risk, system)}</small>}
              </span>
            </label>
          );
        })}
        {defect.remedy && defect.state === 'open' && <Planned {...props} />}
        <div className="acts">
          {defect.state !== 'mended' && (
            <Button variant="outlined" onClick={() => set({ state: 'mended' })}>
              It is mended
            </Button>
          )}
          {defect.state !== 'left' && (
            <Button variant="outlined" onClick={() => set({ state: 'left' })}>
              Leave it as it is
            </Button>
          )}
          {defect.state !== 'open' && (
            <Button variant="outlined" onClick={() => set({ state: 'open' })}>
              Open again
            </Button>
          )}
          {defect.remedy && <TextButton onClick={() => set({ remedy: null })}>no remedy</TextButton>}
          <TextButton
            onClick={() => {
              if (session.run({ name: 'removeDefect', args: { defect: defect.id } })) onGone();
            }}
          >
            take it off the list
          </TextButton>
        </div>
      </Section>
    </>
  );
}

/** What of the plan its remedy made. */
function Planned({ view, defect, found }: Props) {
  const operations = view.derived.operations.filter(
    ({ kind, surface }) => surface === defect.surface && kind.startsWith('mend-'),
  );
  const minutes = operations.reduce((sum, op) => sum + op.minutes.value, 0);
  const visits = found?.visits.all ?? 0;
  return (
    <p className="planned">
      In the plan as {visits === 1 ? 'one visit' : `${visits} visits`} to this surface, {formatMinutes(minutes)} of work
      with all that is mended there
      {found && found.visits.done > 0 ? `; ${found.visits.done} done by the log` : ''}. What it takes is on the shopping
      list.
    </p>
  );
}

/** The answers with one more, or without it. */
function answeredWith(signs: Defect['signs'], sign: Sign, value: string | null): Defect['signs'] {
  const others = Object.fromEntries(Object.entries(signs).filter(([key]) => key !== sign));
  return value === null ? others : { ...others, [sign]: value };
}

/** Asks what tells most, and ranks causes by what was answered and by what the log knows. */
function Comparison({
  view,
  defect,
  found,
  set,
}: Props & { readonly set: (change: Partial<Omit<Defect, 'id'>>) => boolean }) {
  const { system } = view;
  const [open, setOpen] = useState<Sign | null>(null);
  const [all, setAll] = useState(false);
  if (!found) return <p className="hint">Asking the log …</p>;
  const ask = open ?? found.ask;
  const answered = keysOf(SIGNS).filter((sign) => defect.signs[sign] !== undefined);
  const answer = (sign: Sign, value: string | null) => {
    set({ signs: answeredWith(defect.signs, sign, value) });
    setOpen(null);
  };
  const [first] = found.ranked;
  const settled = defect.cause ?? found.likeliest;
  return (
    <Section title="Why it came about" extra={<small>{`${answered.length} answered`}</small>}>
      {answered.length > 0 && (
        <ul className="answers">
          {answered.map((sign) => (
            <li key={sign}>
              {said(SIGN[sign].ask, system)}{' '}
              <TextButton onClick={() => setOpen(sign)}>
                {said(SIGN[sign].answers[defect.signs[sign] ?? ''] ?? '', system)}
              </TextButton>
            </li>
          ))}
        </ul>
      )}
      {ask && (
        <fieldset className="asked">
          <legend>{said(SIGN[ask].ask, system)}</legend>
          {SIGNS[ask].map((value) => (
            <Toggle key={value} pressed={defect.signs[ask] === value} onChange={() => answer(ask, value)}>
              {said(SIGN[ask].answers[value] ?? '', system)}
            </Toggle>
          ))}
          {defect.signs[ask] !== undefined && <TextButton onClick={() => answer(ask, null)}>not known</TextButton>}
        </fieldset>
      )}
      <p className="verdict">
        {settled
          ? `${defect.cause ? 'Settled: ' : 'Most likely '}${said(CAUSE[settled].why, system)}.`
          : first?.cause === null
            ? 'None of the causes known here stands out: unknown stays unknown.'
            : 'Not known yet: answer what you can.'}
      </p>
      <ol className="causes">
        {found.ranked.slice(0, all ? undefined : 3).map((one) => (
          <Cause
            key={one.cause ?? 'none'}
            one={one}
            view={view}
            chosen={one.cause !== null && one.cause === defect.cause}
            onSettle={(cause) => set({ cause })}
          />
        ))}
      </ol>
      <TextButton onClick={() => setAll(!all)}>{all ? 'fewer' : `all ${found.ranked.length}`}</TextButton>
    </Section>
  );
}

function Cause({
  one,
  view,
  chosen,
  onSettle,
}: Pick<Props, 'view'> & {
  readonly one: Ranked;
  readonly chosen: boolean;
  readonly onSettle: (cause: Ranked['cause']) => void;
}) {
  const { system } = view;
  const share = Math.round(one.share * 100);
  const bar = { '--share': `${share}%` } as CSSProperties;
  if (one.cause === null)
    return (
      <li>
        <span className="share" style={bar}>
          {share} %
        </span>
        <div>something that is not known here</div>
      </li>
    );
  const { cause } = one;
  const words = CAUSE[cause];
  return (
    <li className={chosen ? 'chosen' : ''}>
      <span className="share" style={bar}>
        {share} %
      </span>
      <div>
        <b>{heading(words.why, system)}</b>
        {one.evidence.slice(0, 4).map((evidence) => (
          <small key={evidence.key}>
            {evidence.weight > 1 ? 'for it: ' : 'against it: '}
            {evidenceWord(evidence, view)}
          </small>
        ))}
        <small className="avoid">Next time: {said(words.avoid, system)}.</small>
        <TextButton onClick={() => onSettle(chosen ? null : cause)}>
          {chosen ? 'not settled' : 'settle on it'}
        </TextButton>
      </div>
    </li>
  );
}
function evidenceWord({ key, value }: Evidence, { system }: Props['view']): string {
  const [sign = '', answer = ''] = key.split('.');
  if (sign in SIGN) return said(SIGN[sign as Sign].answers[answer] ?? '', system);
  return said(FACT[key]?.(value) ?? '', system);
}
