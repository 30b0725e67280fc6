import type { TaskView } from '@kovelin/core/sequence/view.ts';
import { said } from '@kovelin/core/units/word.ts';
import { momentAt } from '@kovelin/core/sequence/calendar.ts';
import { useQueryClient } from '@tanstack/react-query';
import { lazy, Suspense, useState } from 'react';
import { Section } from '../ui/Section.tsx';
import { Sides } from '../ui/Sides.tsx';
import { useWhole } from '../app/whole.ts';
import { UnrolledRoom, type Coat } from '../drawing/UnrolledRoom.tsx';
import { paintAt } from '../drawing/moment.tsx';
import { usePlan } from '../workers/whole.ts';
import { axisOf } from './axis.ts';
import { Better } from './Better.tsx';
import { clock } from '../app/clock.ts';
import { CrewForm } from './CrewForm.tsx';
import { LETTER, PlanChart } from './PlanChart.tsx';
import { peopleRows, surfaceRows } from './rows.ts';
import { SideBySide } from './SideBySide.tsx';
import { TaskList } from './TaskList.tsx';
import { Through } from './Through.tsx';
import type { Moved } from './useDrag.ts';
import { Verdict } from './Verdict.tsx';
import { waitingWords } from './waiting.ts';
import { TextButton } from '../ui/TextButton.tsx';
import './sequence.css';
import { Message } from '../ui/Message.tsx';

const EarlierLessons = lazy(() => import('../app/EarlierLessons.tsx'));

const LEGEND = [
  ['prepare', 'prepare'],
  ['prime', 'prime'],
  ['cut', 'cut in'],
  ['roll', 'roll'],
  ['brush', 'brush'],
  ['mask', 'mask'],
  ['look', 'look, touch up'],
] as const;

/** Who does what when: the plan as bars, the drawing as it stands at a moment, the crew beside it. */
export default function SequenceView() {
  const view = useWhole();
  const { takeoff, state, session, system, surface, select, goTo } = view;
  const { data, isFetching, isPlaceholderData, error, refetch } = usePlan(state.job);
  const queries = useQueryClient();
  const stopped = !isFetching && (isPlaceholderData || !data);
  const schedule = data?.schedule;
  const crew = state.job.crew;
  const [picked, setPicked] = useState<number | null>(null);
  const [kind, setKind] = useState<'people' | 'surfaces' | 'plans'>('people');
  const [chosenId, setChosen] = useState<string | null>(null);
  const [time, setTime] = useState<number | null>(null);
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
  const days = [...new Set(schedule?.personDays.map((p) => p.day))];
  const day = picked !== null && days.includes(picked) ? picked : null;
  const chosen = schedule?.tasks.find((task) => task.id === chosenId) ?? null;
  const choose = (task: TaskView | null): void => {
    setChosen(task?.id ?? null);
    if (!task) return;
    if (task.room !== takeoff.room.id) goTo(task.room);
    else if (task.name) select(task.surface);
  };
  const move = (task: TaskView, { at, who }: Moved): void => {
    const pin = state.job.pins[task.id] ?? { at: null, who: null };
    const person = who === null ? null : crew.people[who]?.id;
    setChosen(task.id);
    session.edit({
      name: 'pinTask',
      args: {
        task: task.id,
        pin: { at: at === null ? pin.at : momentAt(crew, at), who: person ? [person] : pin.who },
      },
    });
  };
  const waiting = waitingWords(view);
  const axis = schedule && axisOf(schedule.workingTime, crew, day);
  const rows =
    schedule && axis
      ? kind === 'people'
        ? peopleRows(schedule, crew, axis, system)
        : surfaceRows(schedule, takeoff, axis, system)
      : [];
  const ends = new Map<string, number>();
  for (const task of schedule?.tasks ?? [])
    ends.set(task.surface, Math.max(ends.get(task.surface) ?? 0, task.pieces.at(-1)?.[1] ?? 0));
  const whenDone = (id: string): Coat => {
    const end = ends.get(id) ?? 0;
    const s = view.derived.surfaces.find((x) => x.surface.id === id);
    return {
      fill: s?.colour.hex ?? 'var(--trim)',
      ...(end > 0 ? { note: `done day ${clock(end, crew).day + 1}, ${clock(end, crew).time}` } : {}),
    };
  };
  const now = schedule && time !== null ? paintAt({ view, schedule, time }) : { paint: whenDone };
  return (
    <>
      <main className="middle sequence" aria-label="Sequence">
        <UnrolledRoom view={view} takeoff={takeoff} {...now} aside={<Verdict view={view} />} />
        <div className="entry-panel chart-panel">
          <div className="panel-head">
            <Sides
              label="Rows of the plan"
              sides={[
                ['people', 'By person'],
                ['surfaces', 'By surface'],
                ['plans', 'Side by side'],
              ]}
              value={kind}
              onChange={setKind}
            />
            {days.length > 1 && kind !== 'plans' && (
              <Sides
                label="Days shown"
                sides={[['all', 'All'], ...days.slice(0, 10).map((n) => [n, `Day ${n + 1}`] as const)]}
                value={day ?? 'all'}
                onChange={(next) => {
                  setPicked(next === 'all' ? null : next);
                  setTime(null);
                }}
              />
            )}
            <span className="legend" hidden={kind === 'plans'}>
              {LEGEND.map(([mark, words]) => (
                <span key={mark}>
                  <i className={`mark-key ${mark}`}>{LETTER[mark]}</i> {words}
                </span>
              ))}
              <span>
                <i className="key-chain" /> critical
              </span>
              {kind === 'surfaces' && (
                <span>
                  <i className="key-dots" /> drying
                </span>
              )}
            </span>
            {isFetching && (
              <span role="status" className="busy">
                working it out …{' '}
                <TextButton onClick={() => void queries.cancelQueries({ queryKey: ['plan', state.job.id] })}>
                  Stop
                </TextButton>
              </span>
            )}
            {stopped && (
              <span role="status" className="busy">
                stopped{data && '; this is the plan before your last change'}{' '}
                <TextButton onClick={() => void refetch()}>Work it out</TextButton>
              </span>
            )}
          </div>
          {schedule?.problems.map((p) => (
            <Message key={p.path} kind="wrong">
              {said(p.message, system)}
            </Message>
          ))}
          {waiting && <Message kind="note">Not in this plan until it is dry: {waiting}.</Message>}
          {kind === 'plans' && <SideBySide view={view} />}
          {kind !== 'plans' && schedule && axis && schedule.tasks.length > 0 && (
            <>
              <PlanChart
                schedule={schedule}
                crew={crew}
                system={system}
                axis={axis}
                rows={rows}
                chosen={chosen}
                surface={surface?.id ?? null}
                time={time}
                onChoose={choose}
                onMove={move}
              />
              <Through axis={axis} view={view} schedule={schedule} time={time} onTime={setTime} />
            </>
          )}
        </div>
      </main>
      <aside className="panel" aria-label="Crew and tasks">
        <Better view={view} />
        <CrewForm view={view} crew={crew} />
        <Suspense fallback={null}>
          <EarlierLessons view={view} />
        </Suspense>
        <Section title="Task by task">
          {schedule && <TaskList view={view} schedule={schedule} chosen={chosen?.id ?? null} onChoose={choose} />}
        </Section>
      </aside>
    </>
  );
}
