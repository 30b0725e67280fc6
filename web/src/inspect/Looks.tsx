import type { Looked } from '@kovelin/core/whole/inspect.ts';
import { setting } from '@kovelin/core/job/defaults.ts';
import { clockTime } from '@kovelin/core/units/date.ts';
import { heading, said } from '@kovelin/core/units/word.ts';
import { DEFECT } from '@kovelin/core/words/found.ts';
import { SHOWS, standWord } from '@kovelin/core/words/looks.ts';
import { nameWord } from '@kovelin/core/words/names.ts';
import { DateTime } from 'luxon';
import { Section } from '../ui/Section.tsx';
import { DefectPicture } from '../drawing/DefectPicture.tsx';
import { TextButton } from '../ui/TextButton.tsx';
import type { Inspecting } from './shared.ts';
import { Cell, DataTable, Row } from '../ui/DataTable.tsx';

/** When a look is due, as people say it; before anything is done, after which coat. */
function dueWord(
  { view, data }: Inspecting,
  looked: Looked,
  now: number,
): readonly [text: string, state: 'due' | 'later' | 'none'] {
  const { job } = view.state;
  if (!looked.look || data?.zero == null) return ['nothing done yet', 'none'];
  const zero = data.zero;
  const at = (minutes: number) =>
    DateTime.fromMillis(zero + minutes * 60_000, { zone: job.crew.zone }).toFormat('ccc d LLL, H:mm');
  const gone = (now - zero) / 60_000;
  const { first, second, coat } = looked.look;
  if (gone < first) return [`coat ${coat} dries: from ${at(first)}`, 'later'];
  if (gone < second) return [`now; again from ${at(second)}`, 'due'];
  return ['now, for the second time', 'due'];
}

/** All surfaces of the room: when to look, what tends to show. */
export function LookTable(props: Inspecting & { readonly now: number }) {
  const { view, data, now } = props;
  const { takeoff, system } = view;
  if (!data || !takeoff) return <p className="waiting">Working out what to look for …</p>;
  const own = data.looked.filter(({ room }) => room === takeoff.room.id);
  if (!own.length) return <p className="hint">Nothing of this room is painted by this job.</p>;
  const due = own.filter((looked) => dueWord(props, looked, now)[1] === 'due').length;
  return (
    <div className="table-wrap">
      <h3>{due ? `${due} to be looked at now` : 'What to look for, and when'}</h3>
      <DataTable label="Looks" className="look-table" columns={['Surface', 'Look', 'Tends to show']}>
        {own.map((looked) => {
          const surface = takeoff.surfaces.find(({ id }) => id === looked.surface);
          const [text, state] = dueWord(props, looked, now);
          return (
            <Row key={looked.surface} selected={view.surface?.id === looked.surface}>
              <Cell label="Surface">
                <TextButton onClick={() => view.select(looked.surface)}>
                  {surface ? heading(nameWord(surface.name), system) : looked.surface}
                </TextButton>
              </Cell>
              <Cell label="Look" className={`look-${state}`}>
                {text}
              </Cell>
              <Cell label="Tends to show">
                {looked.shows
                  .slice(0, 3)
                  .map(({ kind }) => said(DEFECT[kind].name, system))
                  .join(', ') || 'little'}
              </Cell>
            </Row>
          );
        })}
      </DataTable>
    </div>
  );
}

/** One surface: where to stand, in which light, what to look for and how it looks. */
export function LookPanel(props: Inspecting & { readonly now: number }) {
  const { view, data, now } = props;
  const { surface, system, state } = view;
  const looked = data?.looked.find((own) => own.surface === surface?.id);
  if (!surface) return <p className="hint">Choose a wall in the drawing.</p>;
  if (!looked) return <p className="hint">{data ? 'This job does not paint it.' : 'Working out what to look for …'}</p>;
  return (
    <>
      <Section title="When and from where">
        <p className="look-when">{dueWord(props, looked, now)[0]}</p>
        <p>Stand {said(standWord(looked, state.job), system)}.</p>
        <p className="hint">
          Not before it has dried for {Math.round(setting(state.job, 'look.dry') / 60)} h: some lines vanish as they
          dry, and some appear. So twice: when it is dry, and a day later.
        </p>
        {looked.sun.length > 0 && (
          <ul className="sun-times">
            {looked.sun.map(({ from, to, angle }) => (
              <li key={from}>
                <b>
                  {clockTime(from)} to {clockTime(to)}
                </b>{' '}
                raked by the sun, {Math.round(angle)}° off the wall: a time to look, not to roll
              </li>
            ))}
          </ul>
        )}
      </Section>
      <Section title="What tends to show">
        <ul className="shows">
          {looked.shows.map(({ kind, weight, because }) => (
            <li key={kind}>
              <DefectPicture kind={kind} system={system} />
              <div>
                <b>{heading(DEFECT[kind].name, system)}</b>{' '}
                <span className="how-likely">
                  {weight > 0.4 ? 'look for it first' : weight > 0.2 ? 'likely enough' : 'seldom'}
                </span>
                <p>{said(DEFECT[kind].looks, system)}</p>
                {because.length > 0 && (
                  <small>because of {because.map((rule) => said(SHOWS[rule], system)).join(', ')}</small>
                )}
              </div>
            </li>
          ))}
        </ul>
      </Section>
    </>
  );
}
