import { bad, good } from '@kovelin/core/units/problem.ts';
import { personOf, type Crew } from '@kovelin/core/job/crew.ts';
import { TRIM_ORDERS, type TrimOrder } from '@kovelin/core/job/vocabulary.ts';
import { isDay } from '@kovelin/core/units/day.ts';
import type { TaskView } from '@kovelin/core/sequence/view.ts';
import { formatMinutes, formatMoney, parseMoney } from '@kovelin/core/units/quantities.ts';
import { heading, said } from '@kovelin/core/units/word.ts';
import { ruleOf } from '@kovelin/core/paces/rules.ts';
import { nameWord } from '@kovelin/core/words/names.ts';
import { reasonWord } from '@kovelin/core/words/reasons.ts';
import { TRIM_ORDER } from '@kovelin/core/words/terms.ts';
import { taskWord } from '@kovelin/core/paces/tasks.ts';
import { useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useCallback, useEffect, useRef, useState } from 'react';
import { daysWord } from '../app/days.ts';
import { Choice, DraftField, Line, readText, Section } from '../app/fields.tsx';
import { Sides } from '../app/Sides.tsx';
import { useWhole, useOrder, type WholeView } from '../app/whole.ts';
import { Figure } from '../app/Working.tsx';
import { freshId } from '../store/ids.ts';
import { UnrolledRoom, type Coat } from '../drawing/UnrolledRoom.tsx';
import { usePlan } from '../workers/whole.ts';
import { Better } from './Better.tsx';
import { clock, dayWord, laterWord } from './clock.ts';
import { CrewDays } from './CrewDays.tsx';
import { readHours, writeHours } from './hours.ts';
import { TaskPin } from './TaskPin.tsx';
import { waitingWords } from './waiting.ts';
import './sequence.css';

const CrewChart = lazy(() => import('./CrewChart.tsx').then((m) => ({ default: m.CrewChart })));
const LEGEND: readonly (readonly [string, string, string])[] = [
  ['P', 'lichen', 'prepare'],
  ['1', 'slate', 'prime'],
  ['C', 'ochre', 'cut in'],
  ['R', 'spruce', 'roll'],
  ['B', 'clay', 'brush trim, doors'],
  ['M', 'tape', 'mask'],
  ['L', 'card', 'look, touch up'],
];

export default function SequenceView() {
  const view = useWhole();
  const { takeoff, state, system, surface, select, goTo } = view;
  const { data, isFetching, isPlaceholderData, error, refetch } = usePlan(state.job);
  const queries = useQueryClient();
  const stopped = !isFetching && (isPlaceholderData || !data);
  const schedule = data?.schedule;
  const crew = state.job.crew;
  const [picked, setPicked] = useState<number | null>(null);
  const days = [...new Set(schedule?.personDays.map((p) => p.day))];
  const day = picked !== null && days.includes(picked) ? picked : null;
  const actions = useRef({ select, goTo, room: takeoff?.room.id });
  useEffect(() => {
    actions.current = { select, goTo, room: takeoff?.room.id };
  });
  const choose = useCallback((task: TaskView) => {
    if (task.room !== actions.current.room) actions.current.goTo(task.room);
    else if (task.name) actions.current.select(task.surface);
  }, []);
  if (!takeoff?.surfaces.length)
    return (
      <main className="middle empty-view">
        <p>Measure a room first: the order of work follows from it.</p>
      </main>
    );
  if (error)
    return (
      <main className="middle empty-view">
        <p role="alert">The order of work could not be worked out: {error.message}</p>
      </main>
    );
  const waiting = waitingWords(view);
  const done = (id: string) =>
    Math.max(0, ...(schedule?.tasks ?? []).filter((t) => t.surface === id).map((t) => t.pieces.at(-1)?.[1] ?? 0));
  const paint = (id: string): Coat => {
    const end = done(id);
    const s = view.derived.surfaces.find((x) => x.surface.id === id);
    return {
      fill: s?.colour.hex ?? 'var(--trim)',
      ...(end > 0 ? { note: `done day ${clock(end, crew).day + 1}, ${clock(end, crew).time}` } : {}),
    };
  };
  return (
    <>
      <main className="middle sequence" aria-label="Sequence">
        <UnrolledRoom view={view} takeoff={takeoff} paint={paint} aside={<Verdict view={view} />} />
        <div className="entry-panel chart-panel">
          <div className="panel-head">
            <h2>Who does what, when?</h2>
            {days.length > 1 && (
              <Sides
                label="Days shown"
                sides={[['all', 'All'], ...days.slice(0, 10).map((n) => [n, `Day ${n + 1}`] as const)]}
                value={day ?? 'all'}
                onChange={(next) => setPicked(next === 'all' ? null : next)}
              />
            )}
            <span className="legend">
              {LEGEND.map(([letter, colour, words]) => (
                <span key={words}>
                  <i className={`key-${colour}`}>{letter}</i> {words}
                </span>
              ))}
              <span>
                <i className="key-frame" /> set up, clean up
              </span>
              <span>
                <i className="key-dots" /> drying
              </span>
            </span>
            {isFetching && (
              <span role="status" className="busy">
                working it out …{' '}
                <button
                  type="button"
                  className="link"
                  onClick={() => void queries.cancelQueries({ queryKey: ['plan', state.job.id] })}
                >
                  Stop
                </button>
              </span>
            )}
            {stopped && (
              <span role="status" className="busy">
                stopped{data && '; this is the plan before your last change'}{' '}
                <button type="button" className="link" onClick={() => void refetch()}>
                  Work it out
                </button>
              </span>
            )}
          </div>
          {schedule &&
            schedule.problems.length > 0 &&
            schedule.problems.map((p) => (
              <p key={p.path} className="problem" role="alert">
                {said(p.message, system)}
              </p>
            ))}
          {waiting && (
            <p className="problem" role="note">
              Not in this plan until it is dry: {waiting}.
            </p>
          )}
          {schedule && schedule.tasks.length > 0 && (
            <Suspense fallback={<p className="waiting">Drawing …</p>}>
              <CrewChart
                schedule={schedule}
                crew={crew}
                system={system}
                selected={surface?.id ?? null}
                day={day}
                onSelect={choose}
              />
            </Suspense>
          )}
        </div>
      </main>
      <aside className="panel" aria-label="Crew and tasks">
        <Better view={view} />
        <CrewForm view={view} crew={crew} finish={schedule?.finish ?? null} />
        <Section title="Task by task">
          <ol className="tasks" aria-label="Tasks in order">
            {schedule?.tasks.map((task, i) => (
              <TaskRow key={task.id} view={view} task={task} before={schedule.tasks[i - 1] ?? null} onChoose={choose} />
            ))}
          </ol>
        </Section>
      </aside>
    </>
  );
}

interface TaskRowProps {
  readonly view: WholeView;
  readonly task: TaskView;
  readonly before: TaskView | null;
  readonly onChoose: (task: TaskView) => void;
}
/** A task; opened, it says what is in it, where each minute comes from, and what it waits for. */
function TaskRow({ view, task, before, onChoose }: TaskRowProps) {
  const { system, surface, state } = view;
  const { crew } = state.job;
  const [open, setOpen] = useState(false);
  const [from, to] = [clock(task.pieces[0]?.[0] ?? 0, crew), clock(task.pieces.at(-1)?.[1] ?? 0, crew)];
  const newDay = !before || clock(before.pieces[0]?.[0] ?? 0, crew).day !== from.day;
  return (
    <li className={task.surface === surface?.id ? 'chosen' : ''}>
      {newDay && <h4>{dayWord(task.pieces[0]?.[0] ?? 0, crew)}</h4>}
      <button
        type="button"
        className="task"
        aria-expanded={open}
        onClick={() => {
          onChoose(task);
          setOpen(!open);
        }}
      >
        <time>
          {from.time}–{to.time}
        </time>
        <span>
          {said(taskWord(task), system)}
          {state.job.pins[task.id] && <b className="pinned"> · pinned</b>}
          <small>
            {task.who.map((w) => crew.people[w]?.name).join(' and ')} · {task.roomName} · {formatMinutes(task.work)}
          </small>
        </span>
      </button>
      {open && <TaskWork view={view} task={task} />}
    </li>
  );
}

function TaskWork({ view, task }: { view: WholeView; task: TaskView }) {
  const { system, derived } = view;
  // what the plan was made of; a change that it does not know yet has no place in it
  const operations = derived.operations.filter((op) => task.operations.includes(op.id));
  return (
    <div className="task-work">
      {task.stretches > 1 && (
        <p className="because">
          In {task.stretches} stretches, each cut and rolled before the next: no edge is older than its paint stays
          open.
        </p>
      )}
      {operations.map((op) => (
        <Line
          key={op.id}
          label={said(
            ruleOf(op.kind).word({ name: op.specified ? nameWord(op.specified.surface.name) : '', coat: op.coat }),
            system,
          )}
        >
          <Figure working={op.minutes} system={system} />
        </Line>
      ))}
      {task.waits.map(({ because, least }) => (
        <p key={because} className="because">
          {least > 0 && <b>{formatMinutes(least)}: </b>}
          {said(reasonWord({ rule: because, with: {} }), system)}
        </p>
      ))}
      <TaskPin view={view} task={task} />
    </div>
  );
}

function Verdict({ view }: { view: WholeView }) {
  const { data } = usePlan(view.state.job);
  const order = useOrder(view);
  const schedule = data?.schedule;
  const crew = view.state.job.crew;
  if (!order || !schedule?.tasks.length) return null;
  const end = clock(schedule.finish, crew);
  const gap = schedule.finish - schedule.bound;
  return (
    <div className="closing">
      <h3>
        Done on {dayWord(schedule.finish, crew, true)} at {end.time}
      </h3>
      <p>
        {gap < 1
          ? 'Nothing can be earlier with this crew and these drying times: the bound is met.'
          : `No order of work can end before ${dayWord(schedule.bound, crew, true)} at ${clock(schedule.bound, crew).time}; this one finishes ${laterWord(schedule.bound, schedule.finish, crew)}.`}
      </p>
      <dl className="facts">
        <div>
          <dt>Work</dt>
          <dd>{formatMinutes(order.labour.minutes)}</dd>
        </div>
        <div>
          <dt>Days</dt>
          <dd>{daysWord(data?.days.days ?? 0)}</dd>
        </div>
        <div>
          <dt>Tasks</dt>
          <dd>{schedule.tasks.length}</dd>
        </div>
      </dl>
    </div>
  );
}

function CrewForm({ view, crew, finish }: { view: WholeView; crew: Crew; finish: number | null }) {
  const { session, state } = view;
  const people = (n: number) =>
    Array.from(
      { length: n },
      (_, i) =>
        crew.people[i] ??
        personOf({ id: freshId(), name: `Painter ${i + 1}`, day: crew.people[0]?.day ?? 0, hand: 'right' }),
    );
  return (
    <Section title="Crew and order of work">
      <Choice
        label="People"
        value={String(crew.people.length)}
        options={[
          ['1', 'one, alone'],
          ['2', 'two'],
          ['3', 'three'],
        ]}
        onChange={(n) => session.edit({ name: 'setCrew', args: { set: { people: people(Number(n)) } } })}
      />
      {crew.people.map((person, i) => (
        <div className="pair" key={person.id}>
          <DraftField
            label={`Name ${i + 1}`}
            value={person.name}
            parse={readText(40, 1)}
            onCommit={(name) =>
              session.edit({
                name: 'setCrew',
                args: { set: { people: crew.people.map((p, j) => (j === i ? { ...p, name } : p)) } },
              })
            }
          />
          <DraftField
            label={`Pay for a day ${i + 1}`}
            value={formatMoney(person.day, state.job.currency)}
            parse={parseMoney}
            onCommit={(day) =>
              session.edit({
                name: 'setCrew',
                args: { set: { people: crew.people.map((p, j) => (j === i ? { ...p, day } : p)) } },
              })
            }
          />
        </div>
      ))}
      <Choice
        label="Brush hand"
        value={
          crew.people.every((p) => p.hand === 'left')
            ? 'left'
            : crew.people.some((p) => p.hand === 'left')
              ? 'both'
              : 'right'
        }
        options={[
          ['right', 'right'],
          ['left', 'left'],
          ...(crew.people.length > 1 ? ([['both', 'one of each']] as const) : []),
        ]}
        onChange={(hand) =>
          session.edit({
            name: 'setCrew',
            args: {
              set: {
                people: crew.people.map((p, i) => ({
                  ...p,
                  hand: hand === 'left' || (hand === 'both' && i === 0) ? ('left' as const) : ('right' as const),
                })),
              },
            },
          })
        }
      />
      <DraftField
        label="Hours of a day"
        value={writeHours(crew.hours)}
        parse={readHours}
        onCommit={(hours) => session.edit({ name: 'setCrew', args: { set: { hours } } })}
      />
      <div className="pair">
        <DraftField
          label="First day"
          value={crew.start ?? ''}
          placeholder="2026-12-01"
          parse={(text) =>
            text.trim() === ''
              ? good(null)
              : isDay(text.trim())
                ? good(text.trim())
                : bad('Write a day there is as year-month-day: 2026-12-01.')
          }
          onCommit={(start) => session.edit({ name: 'setCrew', args: { set: { start } } })}
        />
      </div>
      <CrewDays view={view} crew={crew} />
      <fieldset>
        <legend>Trim before or after the walls?</legend>
        {TRIM_ORDERS.map((order) => (
          <OrderOfWork key={order} view={view} order={order} finish={finish} />
        ))}
      </fieldset>
    </Section>
  );
}

const ORDER_WORDS: Readonly<Record<TrimOrder, string>> = {
  'trim-first': 'it laps onto the walls, and they are cut to it',
  'trim-last': 'the walls go on first, card shields the floor',
  'one-day': 'ceilings and deep colours early, edges taped and sealed',
  cheapest: 'whichever way each room’s lines cost least',
};
/** A school of the order of work, with the time it would be done by. */
function OrderOfWork({ view, order, finish }: { view: WholeView; order: TrimOrder; finish: number | null }) {
  const { session, state } = view;
  const { practice, crew } = state.job;
  const isNow = practice.trimOrder === order;
  const { data: other } = usePlan(isNow ? state.job : { ...state.job, practice: { ...practice, trimOrder: order } });
  const end = isNow ? finish : (other?.schedule.finish ?? null);
  return (
    <label className="school">
      <input
        type="radio"
        name="trim-order"
        checked={isNow}
        onChange={() => session.edit({ name: 'setPractice', args: { set: { trimOrder: order } } })}
      />
      <span>
        {heading(TRIM_ORDER[order], view.system)}: {ORDER_WORDS[order]}
        {end !== null && end > 0 && (
          <b>
            done {dayWord(end, crew, true)}, {clock(end, crew).time}
          </b>
        )}
      </span>
    </label>
  );
}
