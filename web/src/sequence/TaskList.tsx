import { ruleOf } from '@kovelin/core/paces/rules.ts';
import { taskWord } from '@kovelin/core/paces/tasks.ts';
import type { ScheduleView, TaskView } from '@kovelin/core/sequence/view.ts';
import { formatMinutes } from '@kovelin/core/units/quantities.ts';
import { said } from '@kovelin/core/units/word.ts';
import { nameWord } from '@kovelin/core/words/names.ts';
import { reasonWord } from '@kovelin/core/words/reasons.ts';
import { useEffect, useRef } from 'react';
import { Line } from '../ui/Section.tsx';
import type { WholeView } from '../app/whole.ts';
import { Figure } from '../app/Working.tsx';
import { clock, dayWord } from '../app/clock.ts';
import { TextButton } from '../ui/TextButton.tsx';
import { TaskPin } from './TaskPin.tsx';
import ButtonBase from '@mui/material/ButtonBase';

interface TaskListProps {
  readonly view: WholeView;
  readonly schedule: ScheduleView;
  readonly chosen: string | null;
  /** null: none. */
  readonly onChoose: (task: TaskView | null) => void;
}
/** The tasks in their order; the chosen one is open. */
export function TaskList({ view, schedule, chosen, onChoose }: TaskListProps) {
  return (
    <ol className="tasks" aria-label="Tasks in order">
      {schedule.tasks.map((task, i) => (
        <TaskRow
          key={task.id}
          view={view}
          schedule={schedule}
          task={task}
          before={schedule.tasks[i - 1] ?? null}
          isOpen={task.id === chosen}
          onChoose={onChoose}
        />
      ))}
    </ol>
  );
}

interface TaskRowProps extends Omit<TaskListProps, 'chosen'> {
  readonly task: TaskView;
  readonly before: TaskView | null;
  readonly isOpen: boolean;
}
function TaskRow({ view, schedule, task, before, isOpen, onChoose }: TaskRowProps) {
  const { system, surface, state } = view;
  const { crew } = state.job;
  const row = useRef<HTMLLIElement>(null);
  useEffect(() => {
    if (isOpen) row.current?.scrollIntoView({ block: 'nearest' });
  }, [isOpen]);
  const [from, to] = [clock(task.pieces[0]?.[0] ?? 0, crew), clock(task.pieces.at(-1)?.[1] ?? 0, crew)];
  const isNewDay = !before || clock(before.pieces[0]?.[0] ?? 0, crew).day !== from.day;
  return (
    <li ref={row} className={isOpen || task.surface === surface?.id ? 'chosen' : ''}>
      {isNewDay && <h4>{dayWord(task.pieces[0]?.[0] ?? 0, crew)}</h4>}
      <ButtonBase className="task" aria-expanded={isOpen} onClick={() => onChoose(isOpen ? null : task)}>
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
      </ButtonBase>
      {isOpen && <TaskWork view={view} schedule={schedule} task={task} onChoose={onChoose} />}
    </li>
  );
}

/** What is in a task, where each minute comes from, what it waits for and what waits for it. */
function TaskWork({ view, schedule, task, onChoose }: Pick<TaskRowProps, 'view' | 'schedule' | 'task' | 'onChoose'>) {
  const { system, derived } = view;
  // what the plan was made of; a change that it does not know yet has no place in it
  const operations = derived.operations.filter((op) => task.operations.includes(op.id));
  const followers = schedule.tasks.filter(
    (other) => other.held?.task === task.id || other.waits.some((wait) => wait.task === task.id),
  );
  const named = (id: string) => {
    const other = schedule.tasks.find((t) => t.id === id);
    return other ? <TaskLink view={view} task={other} onChoose={onChoose} /> : null;
  };
  return (
    <div className="task-work">
      {schedule.chain.includes(task.id) && (
        <p className="because">
          <b>Holds up the end:</b> what makes it later makes the job later.
        </p>
      )}
      {task.sections > 1 && (
        <p className="because">
          In {task.sections} sections, each cut and rolled before the next: no edge is older than its paint stays open.
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
      {task.waits.length > 0 && <h5>It waits for</h5>}
      {task.waits.map(({ because, least, task: other }) => (
        <p key={because} className="because">
          {least > 0 && <b>{formatMinutes(least)}: </b>}
          {said(reasonWord({ rule: because, with: {} }), system)} ({named(other)})
        </p>
      ))}
      {task.held && task.held.by !== 'lag' && (
        <p className="because">
          {task.held.by === 'person' ? 'In this plan, who does it is busy until then with ' : 'No place there before '}
          {named(task.held.task)}
          {task.overHours && ', and the hours of the day'}.
        </p>
      )}
      {followers.length > 0 && (
        <>
          <h5>Waits for it</h5>
          <p className="because">
            {followers.slice(0, 6).map((other, i) => (
              <span key={other.id}>
                {i > 0 && '; '}
                <TaskLink view={view} task={other} onChoose={onChoose} />
              </span>
            ))}
            {followers.length > 6 && ` and ${followers.length - 6} more`}
          </p>
        </>
      )}
      <TaskPin view={view} task={task} />
    </div>
  );
}

function TaskLink({ view, task, onChoose }: { view: WholeView; task: TaskView; onChoose: TaskRowProps['onChoose'] }) {
  return (
    <TextButton onClick={() => onChoose(task)}>
      {said(taskWord(task), view.system)}, {clock(task.pieces[0]?.[0] ?? 0, view.state.job.crew).time}
    </TextButton>
  );
}
