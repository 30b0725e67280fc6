import type { ScheduleView, TaskView } from '@kovelin/core/sequence/view.ts';
import { setting } from '@kovelin/core/job/defaults.ts';
import { onClock } from '@kovelin/core/sequence/calendar.ts';
import { taskWord } from '@kovelin/core/paces/tasks.ts';
import { effective } from '@kovelin/core/specify/reasons.ts';
import { formatMinutes, formatVolume } from '@kovelin/core/units/quantities.ts';
import { said } from '@kovelin/core/units/word.ts';
import { playFor } from '@kovelin/core/whole/play.ts';
import { reasonWord } from '@kovelin/core/words/reasons.ts';
import { brushWord, coverWord } from '@kovelin/core/words/systems.ts';
import { Fragment } from 'react';
import type { WholeView } from '../app/whole.ts';
import { clock, dayWord } from '../app/clock.ts';

interface PersonSheetProps {
  readonly view: WholeView;
  readonly schedule: ScheduleView;
  readonly day: number;
  /** Index into the crew. */
  readonly person: number;
  readonly tasks: readonly TaskView[];
  /** What each line wants, by task. */
  readonly wants: ReadonlyMap<string, string[]>;
}

/** The day of one person on a page of its own: what, where, when, with what, what it waits for, which tape comes off when. */
export function PersonSheet({ view, schedule, day, person, tasks, wants }: PersonSheetProps) {
  const { state, system } = view;
  const { crew } = state.job;
  const own = schedule.personDays.find((p) => p.day === day && p.person === person);
  if (!own) return null;
  const begins = own.setUp[0];
  // before each break that lies between two of the tasks
  const wraps = (crew.people[person]?.hours ?? crew.hours).slice(0, -1).flatMap(([, ends]) => {
    const until = onClock(crew, day, ends);
    const after = tasks.findIndex((task) => (task.pieces[0]?.[0] ?? 0) >= until - 1);
    return after > 0 ? [{ after, times: [until - setting(state.job, 'day.wrap'), until] as const }] : [];
  });
  return (
    <section className="sheet-day">
      <h2>
        {crew.people[person]?.name}, {dayWord(begins, crew)}
      </h2>
      <table>
        <thead>
          <tr>
            <th>
              <span className="unseen">Done</span>
            </th>
            <th>From</th>
            <th>To</th>
            <th>What</th>
            <th>With</th>
            <th>Wait for, and tape</th>
          </tr>
        </thead>
        <tbody>
          <PlainRow times={own.setUp} what="Set up" view={view} />
          {tasks.map((task, i) => (
            <Fragment key={task.id}>
              {wraps
                .filter(({ after }) => after === i)
                .map(({ times }) => (
                  <PlainRow key={times[0]} times={times} what="Wrap covers airtight for the break" view={view} />
                ))}
              <tr>
                <td className="box" aria-hidden="true" />
                <td className="number">{clock(task.pieces[0]?.[0] ?? 0, crew).time}</td>
                <td className="number">{clock(task.pieces.at(-1)?.[1] ?? 0, crew).time}</td>
                <td>
                  {task.roomName}: {said(taskWord(task), system)}
                  {task.who.length > 1 &&
                    `, with ${task.who
                      .filter((n) => n !== person)
                      .map((n) => crew.people[n]?.name)
                      .join(' and ')}`}
                  {task.sections > 1 && <small>{task.sections} sections, each cut, then rolled while it is wet</small>}
                  {(wants.get(task.id) ?? []).map((text) => (
                    <small key={text} className="line-want">
                      {text}
                    </small>
                  ))}
                </td>
                <td>
                  {task.paint !== null && said(task.paint, system)}
                  <With view={view} task={task} />
                </td>
                <td>
                  <Waits view={view} schedule={schedule} task={task} />
                </td>
              </tr>
            </Fragment>
          ))}
          <PlainRow times={own.cleanUp} what="Wash up, wrap covers airtight, clean up" view={view} />
        </tbody>
      </table>
    </section>
  );
}

function PlainRow({ times, what, view }: { times: readonly [number, number]; what: string; view: WholeView }) {
  const { crew } = view.state.job;
  return (
    <tr>
      <td className="box" aria-hidden="true" />
      <td className="number">{clock(times[0], crew).time}</td>
      <td className="number">{clock(times[1], crew).time}</td>
      <td>{what}</td>
      <td />
      <td />
    </tr>
  );
}

const BY_PLAY = new Set<TaskView['kind']>(['lap', 'cut', 'roll', 'wet', 'brush']);
/** Cover or brush, and the steps and paint of the play that is printed with the lines. */
function With({ view, task }: { view: WholeView; task: TaskView }) {
  const { derived, state, system } = view;
  const s = derived.surfaces.find(({ surface }) => surface.id === task.surface);
  if (!s || !BY_PLAY.has(task.kind)) return null;
  const isRolled = task.kind === 'roll' || task.kind === 'wet';
  const tool = isRolled ? coverWord(effective(s.system.cover)) : brushWord(effective(s.system.brush));
  const play = isRolled || task.kind === 'brush' ? playFor(state.job, task.surface, { coat: task.coat }) : null;
  const steps = play?.strokes.reduce((most, stroke) => Math.max(most, stroke.step), 0) ?? 0;
  return (
    <small>
      {said(tool, system)}
      {play && steps > 0 && `; ${steps} strokes, ${formatVolume(play.litres, system)}`}
    </small>
  );
}

/** What has to be dry, since when; when tape that is laid now comes off, and which comes off with this. */
function Waits({ view, schedule, task }: { view: WholeView; schedule: ScheduleView; task: TaskView }) {
  const { derived, state, system } = view;
  const { crew } = state.job;
  const has = (other: TaskView, kind: 'mask' | 'unmask'): boolean =>
    derived.operations.some((op) => op.kind === kind && other.operations.includes(op.id));
  const begins = task.pieces[0]?.[0] ?? 0;
  const off = has(task, 'mask')
    ? schedule.tasks.find(
        (other) => other.surface === task.surface && has(other, 'unmask') && (other.pieces[0]?.[0] ?? 0) >= begins,
      )
    : undefined;
  return (
    <>
      {task.waits.map(({ because, least, task: id }) => {
        const other = schedule.tasks.find((t) => t.id === id);
        const until = (other?.pieces.at(-1)?.[1] ?? 0) + least;
        // what was over before this day began needs no telling
        return least > 0 && clock(until, crew).day === clock(begins, crew).day ? (
          <small key={because}>
            not before {clock(until, crew).time}: {formatMinutes(least)},{' '}
            {said(reasonWord({ rule: because, with: {} }), system)}
          </small>
        ) : null;
      })}
      {off && (
        <small>
          tape comes off {dayWord(off.pieces.at(-1)?.[1] ?? 0, crew, true)},{' '}
          {clock(off.pieces.at(-1)?.[1] ?? 0, crew).time}
        </small>
      )}
      {has(task, 'unmask') && task.kind !== 'unmask' && <small>pull the tape at the end, while it is wet</small>}
      {task.drying > 0 && <small>then it dries {formatMinutes(task.drying)}</small>}
    </>
  );
}
