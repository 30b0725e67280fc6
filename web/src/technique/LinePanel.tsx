import type { TapeStay } from '@kovelin/core/job/vocabulary.ts';
import { TAPE_STAYS } from '@kovelin/core/job/vocabulary.ts';
import type { MadeLine } from '@kovelin/core/lines/lines.ts';
import { isTaped, type Option } from '@kovelin/core/lines/methods.ts';
import { lineSentence, sidesWord, wayWord } from '@kovelin/core/lines/say.ts';
import type { RoomTakeoff } from '@kovelin/core/measure/takeoff.ts';
import { aboutLength } from '@kovelin/core/units/length.ts';
import { formatMinutes, formatMoney } from '@kovelin/core/units/quantities.ts';
import { heading, said } from '@kovelin/core/units/word.ts';
import { reasonWord } from '@kovelin/core/words/reasons.ts';
import { LINE, METHOD, STAYS } from '@kovelin/core/words/terms.ts';
import { useState } from 'react';
import { Choice } from '../ui/Choice.tsx';
import { Section } from '../ui/Section.tsx';
import type { WholeView } from '../app/whole.ts';
import { TextButton } from '../ui/TextButton.tsx';
import { CornerDrawing } from './CornerDrawing.tsx';
import Radio from '@mui/material/Radio';

/** How many ways of making a line are shown before one asks for all. */
const SHOWN = 5;

/** One line: what laps where, every way of making it with its cost, why this one, pinned and released. */
export function LinePanel({
  view,
  takeoff,
  made,
  onClose,
}: {
  view: WholeView;
  takeoff: RoomTakeoff;
  made: MadeLine;
  onClose: () => void;
}) {
  const { session, system, state } = view;
  const { line, chosen, options, because, pinned } = made;
  const set = (values: Readonly<Record<string, unknown>> | null) =>
    session.edit({ name: 'setLine', args: { key: line.id, set: values } });
  const upright = line.kind === 'corner' || line.kind === 'wall-ceiling' || line.kind === 'crown-ceiling';
  const same = (o: Option) => o.first === chosen.first && o.method === chosen.method;
  const [all, setAll] = useState(false);
  const shown = options.filter((o, i) => all || i < SHOWN || same(o));
  return (
    <aside className="panel" aria-label="Selected line">
      <h2>{heading(sidesWord(line, takeoff), system)}</h2>
      <p className="sub">
        {heading(LINE[line.kind], system)} · {aboutLength(line.length, system)} ·{' '}
        <TextButton onClick={onClose}>back to the surface</TextButton>
      </p>
      <CornerDrawing made={made} takeoff={takeoff} system={system} />
      <p className="line-says">{said(lineSentence(made, takeoff), system)}.</p>
      <Section title="Ways to make it" extra={<small>work, tape, and what is likely to be put right</small>}>
        <div className="ways" role="radiogroup" aria-label="Ways to make this line">
          {shown.map((option) => (
            <Way key={`${option.first}${option.method}`} view={view} takeoff={takeoff} made={made} option={option} />
          ))}
        </div>
        {options.length > shown.length && (
          <TextButton onClick={() => setAll(true)}>All {options.length} ways</TextButton>
        )}
        {pinned && (
          <p>
            <TextButton
              onClick={() => set({ first: null, method: null, stays: null })}
              disabled={!Object.keys(state.job.lines[line.id] ?? {}).some((key) => key !== 'wavy')}
            >
              Release it
            </TextButton>{' '}
            <small>and let cost choose</small>
          </p>
        )}
      </Section>
      <Section title="Why">
        <ul className="because">
          {because.map((reason) => (
            <li key={JSON.stringify(reason)}>{said(reasonWord(reason), system)}</li>
          ))}
          {because.length === 0 && <li>both ways cost the same here</li>}
        </ul>
      </Section>
      {(upright || isTaped(chosen.method)) && (
        <Section title="About it">
          {upright && (
            <Choice
              label="Is the corner straight?"
              value={line.wavy === null ? '' : line.wavy ? 'wavy' : 'straight'}
              options={[
                ['', 'nobody looked: taken as straight'],
                ['straight', 'straight'],
                ['wavy', 'wavy'],
              ]}
              onChange={(v) => set({ wavy: v === '' ? null : v === 'wavy' })}
            />
          )}
          {isTaped(chosen.method) && (
            <Choice
              label="The tape is for"
              value={chosen.stays ?? 'last'}
              options={TAPE_STAYS.map((stays) => [stays, heading(STAYS[stays], system)])}
              onChange={(stays: TapeStay) => set({ method: chosen.method, stays })}
            />
          )}
        </Section>
      )}
    </aside>
  );
}

function Way({
  view: { session, system, state },
  takeoff,
  made: { line, chosen },
  option,
}: {
  view: WholeView;
  takeoff: RoomTakeoff;
  made: MadeLine;
  option: Option;
}) {
  const [first, cut] = [line.sides[option.first], line.sides[1 - option.first] ?? line.sides[0]];
  const taken = option.first === chosen.first && option.method === chosen.method;
  const more = option.cost - chosen.cost;
  return (
    <label className={taken ? 'way taken' : 'way'}>
      <Radio
        name={line.id}
        checked={taken}
        onChange={() =>
          session.edit({
            name: 'setLine',
            args: {
              key: line.id,
              set: { method: option.method, stays: null, ...(first.s && cut.s ? { first: first.id } : {}) },
            },
          })
        }
      />
      <span>
        <b>{heading(METHOD[option.method], system)}</b>
        <small>{said(wayWord(line, option.first, takeoff), system)}</small>
      </span>
      <span className="number">
        {formatMinutes(option.minutes)}
        <small>
          {taken
            ? formatMoney(Math.round(option.cost), state.job.currency)
            : `${more < 0 ? '−' : '+'}${formatMoney(Math.round(Math.abs(more)), state.job.currency)}`}
        </small>
      </span>
    </label>
  );
}
